package closing

import (
	"context"
	"math"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
)

// Played is what one student was to play in a lesson, and really did.
type Played struct {
	Planned schedule.Budget `json:"planned"`
	Played  schedule.Budget `json:"played"`
	Counted int             `json:"counted" description:"In how many blocks it is known from what was counted; in the others from the time"`
	Said    string          `json:"said" description:"In words; empty where nothing is played in it"`
}

// Everybody is what every student of a lesson was to play by a plan and really did up to a second of the lesson: of
// each block as much of what it holds as was counted of it, or, where nothing was counted, as much of it as was run. It
// returns invalid.Fields, or ctx.Err() when cancelled.
func Everybody(
	ctx context.Context,
	k underway.Kit,
	counters []underway.Counter,
	planned lesson.Document,
	end float64,
) ([]Played, error) {
	in := k.Inputs()
	timetable, list, err := put(ctx, k.Document, &in)
	if err != nil {
		return nil, err
	}
	k.Becomes(planned)
	then := k.Inputs()
	before, _, err := put(ctx, planned, &then)
	if err != nil {
		return nil, err
	}
	all := make([]Played, len(in.People))
	for i, person := range in.People {
		p := Played{
			Played:  schedule.Budget{Student: person.ID, Name: person.Profile.Name, Short: person.Short},
			Planned: schedule.Budget{Student: person.ID},
		}
		if at := slices.IndexFunc(before.Budgets, func(b schedule.Budget) bool { return b.Student == person.ID }); at >= 0 {
			p.Planned = before.Budgets[at]
		}
		known := map[string]float64{} // how much of a block was counted, by the block under which it is
		for n, block := range list {
			under := block.Block.CountedAs()
			share, there := known[under]
			if !there {
				share = counted(person, under, list, timetable, counters)
				known[under] = share
				if !math.IsNaN(share) {
					p.Counted++
				}
			}
			if math.IsNaN(share) {
				share = gone(timetable.Blocks[n].Start, block.Block, end) / block.Block.Seconds()
			}
			p.Played.Add(block.ComesTo(person.ID, timetable.Blocks[n], in), share)
		}
		// What was counted is what was done.
		p.Played.Balls = max(p.Played.Balls, underway.CountedOf(counters, person.ID, student.Balls))
		p.Played.Overheads = max(p.Played.Overheads, underway.CountedOf(counters, person.ID, student.Overheads))
		p.Played.Serves = max(p.Played.Serves, underway.CountedOf(counters, person.ID, student.Serves))
		length := func(metres float64) string { return in.Settings.Units.Length(math.Round(metres)) }
		p.Played.Ran = length(p.Played.Metres)
		p.Said = p.say(length)
		all[i] = p
	}
	return all, nil
}

// put puts a lesson on the clock, with how far players run in it.
func put(ctx context.Context, d lesson.Document, in *schedule.Inputs) (schedule.Timetable, []schedule.Prepared, error) {
	if err := in.Measure(ctx, d); err != nil {
		return schedule.Timetable{}, nil, err
	}
	return schedule.Make(ctx, d, *in)
}

// counted is how much of what the blocks hold that are counted as one was counted of somebody: at measures that follow
// one another and share the balls at all of them, else at the measure of which most was; not a number where nothing
// was.
func counted(
	person lesson.Person,
	under string,
	list []schedule.Prepared,
	t schedule.Timetable,
	counters []underway.Counter,
) float64 {
	share, balls, measures := math.NaN(), 0, []int{}
	for _, c := range counters {
		one := c.Unit == score.Ball || c.Unit == score.Sequence || c.Unit == score.Repetition || c.Unit == score.Rally
		if c.Counted != under || c.Student != person.ID || c.Count.Balls == 0 || !one {
			continue
		}
		tries := 0
		for i, l := range list {
			if l.Block.CountedAs() != under || !l.Drilled || t.Blocks[i].Load == nil {
				continue
			}
			mine := l.Block.DrillFor(l.Document, person)
			if k := slices.IndexFunc(mine.Measures, func(m drill.Measure) bool { return m.Number == c.Measure }); k >= 0 {
				tries += load.Pool(mine, mine.Measures[k], l.TurnsOf(person.ID, t.Blocks[i]))
			}
		}
		n := c.Count.Balls
		if c.Follows && !slices.Contains(measures, c.Measure) {
			measures, balls = append(measures, c.Measure), balls+n
			n = balls
		}
		if tries > 0 && !(float64(n)/float64(tries) <= share) {
			share = float64(n) / float64(tries)
		}
	}
	return share
}

func (p Played) say(length func(float64) string) string {
	var parts []string
	of := func(played, planned int, one, many string) {
		switch {
		case played == 0 && planned == 0:
		case planned == 0:
			parts = append(parts, units.Count(played, one, many))
		default:
			parts = append(parts, strconv.Itoa(played)+" of "+units.Count(planned, one, many))
		}
	}
	of(p.Played.Balls, p.Planned.Balls, "stroke", "strokes")
	of(p.Played.Overheads, p.Planned.Overheads, "overhead", "overheads")
	if p.Planned.Metres >= 1 || p.Played.Metres >= 1 {
		parts = append(parts, "ran "+length(p.Played.Metres)+" of "+length(p.Planned.Metres))
	}
	return strings.Join(parts, ", ")
}
