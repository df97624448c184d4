package demo

import (
	"context"
	"fmt"
	"math/rand/v2"
	"slices"
	"time"

	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/store"
)

// filler makes the demo. Its dice are seeded, so that every demo is the same but for its dates.
type filler struct {
	store  *store.Store
	now    time.Time
	dice   *rand.Rand
	places *rand.Rand // where balls land
	ids    int
}

func fill(ctx context.Context, stored *store.Store, now time.Time, years int) error {
	f := &filler{
		store:  stored,
		now:    now,
		dice:   rand.New(rand.NewPCG(7, 420)), //nolint:gosec // dice, not secrets
		places: rand.New(rand.NewPCG(7, 421)), //nolint:gosec // the same
	}
	students := make([]string, len(people()))
	for i, profile := range people() {
		var err error
		if students[i], err = f.student(ctx, profile); err != nil {
			return err
		}
	}
	if err := f.place(ctx, students); err != nil {
		return err
	}
	for _, s := range timetable() {
		for i, day := range slices.Concat(s.past, s.next) {
			if err := f.lesson(ctx, s, students, i, day); err != nil {
				return fmt.Errorf("%s on day %d: %w", s.title, day, err)
			}
		}
	}
	if err := f.years(ctx, years); err != nil {
		return err
	}
	return f.games(ctx, students) // last, so that the dice of all else stay as they are
}

// id returns the next identifier: a UUIDv7 of an instant long ago, counting up.
func (f *filler) id() string {
	f.ids++
	return fmt.Sprintf("0190a000-0000-7000-8000-%012x", f.ids)
}

func (f *filler) lesson(ctx context.Context, s series, students []string, n, day int) error {
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         s.title,
		Date:          f.now.AddDate(0, 0, day).Format(time.DateOnly),
		Start:         s.start,
		Minutes:       s.minutes,
		Blocks:        slices.Clone(s.blocks),
		Students:      make([]string, len(s.students)),
	}
	for i, who := range s.students {
		d.Students[i] = students[who]
	}
	id, err := f.add(ctx, d)
	if err != nil || day >= 0 {
		return err
	}
	start, err := time.ParseInLocation("2006-01-02 15:04", d.Date+" "+d.Start, f.now.Location())
	if err != nil {
		return err
	}
	if err := f.finish(ctx, id, start, d.Minutes); err != nil {
		return err
	}
	return f.played(ctx, s, d, id, n, start)
}

// student adds a student.
func (f *filler) student(ctx context.Context, profile student.Profile) (string, error) {
	id := f.id()
	if err := profile.Check(); err != nil {
		return "", err
	}
	_, err := f.store.Students.Create(ctx, id, profile)
	return id, err
}

// place puts students on the rungs on which they began, before their first lesson.
func (f *filler) place(ctx context.Context, students []string) error {
	for _, p := range rungs() {
		err := f.store.SetLadderPosition(ctx, store.LadderPosition{
			Student: students[p.who], Stroke: p.stroke, Rung: p.rung, At: f.now.AddDate(0, 0, -60),
		})
		if err != nil {
			return err
		}
	}
	return nil
}

// add gives the blocks of a lesson their identifiers and adds it.
func (f *filler) add(ctx context.Context, d lesson.Document) (string, error) {
	for i := range d.Blocks {
		d.Blocks[i].ID = f.id()
	}
	if err := d.Check(); err != nil {
		return "", err
	}
	id := f.id()
	_, err := f.store.Lessons.Create(ctx, id, d)
	return id, err
}

// finish says that a lesson was given to its end.
func (f *filler) finish(ctx context.Context, lessonID string, start time.Time, minutes int) error {
	length := time.Duration(minutes) * time.Minute
	return f.store.SetClock(ctx, lessonID, lesson.Clock{Anchor: start.Add(length), Second: length.Seconds()}, true)
}

// begin is a run of a block's drill, with nothing counted yet.
func (f *filler) begin(
	lessonID string,
	block lesson.Block,
	studentID string,
	at time.Time,
) (underway.Counted, drill.Document) {
	i := slices.IndexFunc(builtIn(), func(s library.Stored) bool { return s.ID == block.Drill })
	d := builtIn()[i].Document
	return underway.Counted{Runs: []underway.Run{{ID: f.id()}}, Attempt: underway.Attempt{
		Lesson:  lessonID,
		Block:   block.ID,
		Student: studentID,
		Drill:   block.Drill,
		Name:    d.Name,
		Stroke:  d.StrokeOf(d.Main()),
		Rung:    d.RungOf(d.Main()),
		Measure: d.Main(),
		At:      at,
	}}, d
}

// played logs what every student did in a lesson of the past.
func (f *filler) played(ctx context.Context, s series, d lesson.Document, id string, n int, start time.Time) error {
	for i, who := range s.students {
		at, drills := start, 0
		for _, block := range d.Blocks {
			begins := at
			at = at.Add(time.Duration(block.Minutes * float64(time.Minute)))
			if block.Kind != lesson.Drill {
				continue
			}
			rate := s.rates[who][drills] + 0.015*float64(n) // a little better every time
			drills++
			if err := f.store.AddTaps(
				ctx,
				f.run(id, block, d.Students[i], people()[s.students[i]].Hand, begins, rate, who%2 == 0),
			); err != nil {
				return err
			}
		}
		remark := store.Remark{Lesson: id, Student: d.Students[i], Engagement: 7 + f.dice.IntN(3), Remark: s.remarks[n]}
		if err := f.store.SetRemark(ctx, remark); err != nil {
			return err
		}
	}
	return nil
}

// run logs one student's turns at a drill, after the turn or ball by ball.
func (f *filler) run(
	lessonID string,
	block lesson.Block,
	studentID string,
	hand student.Hand,
	at time.Time,
	rate float64,
	afterTheTurn bool,
) underway.Counted {
	run, d := f.begin(lessonID, block, studentID, at)
	var taps []tally.Entry
	mirrored, radius := d.For(hand), 0.0
	if shape, ok := mirrored.Aimed(mirrored.Main()); ok && !afterTheTurn && d.Main().Target.Kind == court.Circle {
		run.Aim, radius = &shape.Centre, shape.Radius
	}
	for range d.Turns {
		balls, made := d.Pattern.BallsPerTurn(), 0
		for range balls {
			in := f.dice.Float64() < rate
			if in {
				made++
			}
			if afterTheTurn {
				continue
			}
			kind := tally.Missed
			if in {
				kind = tally.Made
			}
			at = at.Add(time.Duration(d.Pattern.Gap * float64(time.Second)))
			taps = append(taps, tally.Entry{Seq: len(taps), Kind: kind, At: at, Landing: f.landing(run.Aim, radius, in)})
		}
		at = at.Add(time.Duration(d.Pattern.TurnSeconds() * float64(time.Second)))
		if afterTheTurn {
			taps = append(taps, tally.Entry{Seq: len(taps), Kind: tally.Turn, Made: made, Of: balls, At: at})
		}
	}
	run.Runs[0].Entries = taps
	return run
}

// landing is where a ball came down that was in a circle or not; nil where nobody looked.
func (f *filler) landing(aim *court.Point, radius float64, in bool) *court.Point {
	if aim == nil {
		return nil
	}
	for {
		at := court.Point{X: aim.X + 0.9*f.places.NormFloat64(), Y: aim.Y - 0.3 + 1.5*f.places.NormFloat64()}
		if (at.Distance(*aim) <= radius) == in {
			return &at
		}
	}
}
