package demo

import (
	"context"
	"fmt"
	"time"

	"hodometer/core/count/tally"
	"hodometer/core/lesson"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// MaxYears is how many years a demo can go back.
const MaxYears = 40

// A busy coach's year: a club of five hundred in twenty years, of whom twelve come all the time.
const (
	regulars      = 12
	newcomers     = 25 // students who begin in a year
	stayingYears  = 3  // how long they stay
	lessonsOfWeek = 19 // beside that of the regulars
	weeksOfYear   = 52
	ballsOfRun    = 23 // of one student on one drill
)

// years fills in what a busy coach did in the years before the demo: each week a lesson of the regulars, and lessons of
// one to three students who stay for some years.
func (f *filler) years(ctx context.Context, years int) error {
	group, err := f.students(ctx, regulars, "Regular")
	if err != nil {
		return err
	}
	var cohorts [][]string
	for year := years; year >= 1; year-- {
		cohort, err := f.students(ctx, newcomers, fmt.Sprint("of ", f.now.Year()-year))
		if err != nil {
			return err
		}
		cohorts = append(cohorts, cohort)
		var there []string
		for _, each := range cohorts[max(0, len(cohorts)-stayingYears):] {
			there = append(there, each...)
		}
		for week := range weeksOfYear {
			first := f.now.AddDate(-year, 0, 7*week)
			if err := ctx.Err(); err != nil {
				return err
			}
			if err := f.past(ctx, "The twelve", first.AddDate(0, 0, 3), 18, group, 1); err != nil {
				return err
			}
			for n := range lessonsOfWeek {
				who := f.some(there, 1+n%3)
				if err := f.past(
					ctx,
					fmt.Sprintf("Lesson %d of the week", n+1),
					first.AddDate(0, 0, n%6),
					9+n/2,
					who,
					2,
				); err != nil {
					return err
				}
			}
		}
	}
	return nil
}

// students adds invented students.
func (f *filler) students(ctx context.Context, count int, family string) ([]string, error) {
	given := []string{
		"Alba",
		"Birk",
		"Cora",
		"Dag",
		"Effie",
		"Finn",
		"Greta",
		"Hugo",
		"Isla",
		"Jory",
		"Kaya",
		"Lars",
		"Mina",
		"Ned",
		"Orla",
		"Piet",
		"Quinn",
		"Rosa",
		"Sten",
		"Thea",
		"Una",
		"Vito",
		"Willa",
		"Yara",
		"Zeno",
	}
	hands := []student.Hand{student.RightHand, student.RightHand, student.RightHand, student.LeftHand}
	levels := []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament}
	ids := make([]string, count)
	for i := range ids {
		var err error
		if ids[i], err = f.student(ctx, student.Profile{
			Name: given[i%len(given)] + " " + family, Age: student.Adult, Hand: hands[i%len(hands)], Backhand: student.TwoHanded,
			Sport: court.Tennis, Level: levels[i%len(levels)], Objective: "Playing well for a long time",
		}); err != nil {
			return nil, err
		}
	}
	return ids, nil
}

// some draws a few different ones of a list.
func (f *filler) some(list []string, count int) []string {
	start, drawn := f.dice.IntN(len(list)), []string{}
	for i := range min(count, len(list)) {
		drawn = append(drawn, list[(start+7*i)%len(list)])
	}
	return drawn
}

// past adds a lesson that was given, with what everybody did on its drills.
func (f *filler) past(ctx context.Context, title string, day time.Time, hour int, who []string, drills int) error {
	names := []string{"Coin in the Corner", "Last Stretch", "In, Up and Over", "Both Verges"}
	blocks := []lesson.Block{body(8), volleys(8)}
	for i := range drills {
		built := (f.ids + i) % len(names)
		blocks = append(blocks, drillBlock(names[built], built, 12), water(4))
	}
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         title,
		Date:          day.Format(time.DateOnly),
		Start:         fmt.Sprintf("%02d:00", hour),
		Minutes:       60,
		Students:      who,
		Blocks:        append(blocks, talk(4)),
	}
	id, err := f.add(ctx, d)
	if err != nil {
		return err
	}
	begins := time.Date(day.Year(), day.Month(), day.Day(), hour, 0, 0, 0, f.now.Location())
	if err := f.finish(ctx, id, begins, d.Minutes); err != nil {
		return err
	}
	var runs []underway.Counted
	for _, student := range who {
		for _, block := range d.Blocks {
			if block.Kind == lesson.Drill {
				runs = append(runs, f.counted(id, block, student, begins.Add(16*time.Minute)))
			}
		}
	}
	return f.store.AddTaps(ctx, runs...)
}

// counted is a run that was counted ball by ball.
func (f *filler) counted(lessonID string, block lesson.Block, studentID string, at time.Time) underway.Counted {
	run, _ := f.begin(lessonID, block, studentID, at)
	taps := make([]tally.Entry, ballsOfRun)
	for i := range taps {
		kind := tally.Made
		if f.dice.Float64() > 0.62 {
			kind = tally.Missed
		}
		taps[i] = tally.Entry{Seq: i, Kind: kind, At: at.Add(time.Duration(i) * 3217 * time.Millisecond)}
	}
	run.Runs[0].Entries = taps
	return run
}
