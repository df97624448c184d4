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

// Played is what one student was to play in a lesson, and really did: what was counted, and about how much there was
// besides.
type Played struct {
	Planned schedule.Budget `json:"planned"`
	Played  schedule.Budget `json:"played" description:"What was counted, and what nobody counted by the time it was run"`
	Sure    Strokes         `json:"sure" description:"What was counted of it; the rest is about so much"`
	Counted int             `json:"counted" description:"In how many blocks something was counted"`
	Said    string          `json:"said" description:"In words; empty where nothing is played in it"`
}

// Strokes are strokes, and which of them were what.
type Strokes struct {
	Balls     int `json:"balls"`
	Overheads int `json:"overheads"`
	Serves    int `json:"serves"`
}

// Everybody is what every student of a lesson was to play by a plan and really did up to a second of the lesson. What
// was counted is what was played, in its own unit. What nobody counted is an estimate: as much of what a block holds as
// the time allows that it really ran, and no more of it than was counted of its attempts, where something was. It
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
		for _, under := range roots(list) {
			p.add(account{person, under, list, timetable, counters, in, end})
		}
		p.Played.Ran = in.Ran(p.Played.Metres)
		p.Said = p.say(in.Ran)
		all[i] = p
	}
	return all, nil
}

// roots are the blocks under which something is counted, in order: those that go on from another one are in it.
func roots(list []schedule.Prepared) (ids []string) {
	for _, l := range list {
		if under := l.Block.CountedAs(); !slices.Contains(ids, under) {
			ids = append(ids, under)
		}
	}
	return ids
}

// account is what there is to know of one student in the blocks that are counted as one.
type account struct {
	person   lesson.Person
	under    string
	list     []schedule.Prepared
	t        schedule.Timetable
	counters []underway.Counter
	in       schedule.Inputs
	end      float64
}

// add takes in what was played in the blocks that are counted as one.
func (p *Played) add(a account) {
	var whole, ran, most schedule.Budget // what they hold, what the time allows of it, and what it does without setting up
	for n, l := range a.list {
		if l.Block.CountedAs() != a.under {
			continue
		}
		comes := l.ComesTo(a.person.ID, a.t.Blocks[n], a.in)
		whole.Add(comes, 1)
		ran.Add(comes, a.allows(n, true))
		most.Add(comes, a.allows(n, false))
	}
	own := a.own()
	share := a.counted(own)
	if !math.IsNaN(share) {
		p.Counted++
		switch counted := share * whole.Playing; {
		case counted < ran.Playing:
			ran = ran.Times(counted / ran.Playing)
		case most.Playing > ran.Playing: // what was counted was played, however short the setting up was
			ran = most.Times(math.Min(counted, most.Playing) / most.Playing)
		}
	}
	sure := Strokes{
		Balls:     underway.CountedOf(own, a.person.ID, student.Balls),
		Overheads: underway.CountedOf(own, a.person.ID, student.Overheads),
		Serves:    underway.CountedOf(own, a.person.ID, student.Serves),
	}
	ran.Balls, ran.Overheads, ran.Serves = max(ran.Balls, sure.Balls), max(ran.Overheads, sure.Overheads),
		max(ran.Serves, sure.Serves)
	p.Played.Add(ran, 1)
	p.Sure.Balls += sure.Balls
	p.Sure.Overheads += sure.Overheads
	p.Sure.Serves += sure.Serves
}

// allows is how much of what a block holds the time allows that it was run: of a drill the time beside changing over
// and setting up, or all of it.
func (a account) allows(n int, setUp bool) float64 {
	s, block := a.t.Blocks[n], a.list[n].Block
	ran := gone(s.Start, block, a.end)
	if s.Load == nil {
		return ran / block.Seconds()
	}
	play := s.Load.Need - s.Load.SetUp
	if play <= 0 {
		return 0
	}
	if setUp {
		ran -= s.SetUp
	}
	return math.Max(0, math.Min(1, ran/play))
}

// own are the counters of the student in these blocks.
func (a account) own() (list []underway.Counter) {
	for _, c := range a.counters {
		if c.Counted == a.under && c.Student == a.person.ID {
			list = append(list, c)
		}
	}
	return list
}

// put puts a lesson on the clock, with how far players run in it.
func put(ctx context.Context, d lesson.Document, in *schedule.Inputs) (schedule.Timetable, []schedule.Prepared, error) {
	if err := in.Measure(ctx, d); err != nil {
		return schedule.Timetable{}, nil, err
	}
	return schedule.Make(ctx, d, *in)
}

// counted is how much of the attempts that the blocks hold was counted: at measures that follow one another and share
// the balls at all of them, else at the measure of which most was; not a number where nothing was.
func (a account) counted(own []underway.Counter) float64 {
	share, balls, measures := math.NaN(), 0, []int{}
	for _, c := range own {
		one := c.Unit == score.Ball || c.Unit == score.Sequence || c.Unit == score.Repetition || c.Unit == score.Rally
		if c.Count.Balls == 0 || !one {
			continue
		}
		tries := 0
		for i, l := range a.list {
			if l.Block.CountedAs() != a.under || !l.Drilled || a.t.Blocks[i].Load == nil {
				continue
			}
			mine := l.Block.DrillFor(l.Document, a.person)
			if k := slices.IndexFunc(mine.Measures, func(m drill.Measure) bool { return m.Number == c.Measure }); k >= 0 {
				tries += load.Pool(mine, mine.Measures[k], l.TurnsOf(a.person.ID, a.t.Blocks[i]))
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
	of := func(played, sure, planned int, one, many string) {
		if played == 0 && planned == 0 {
			return
		}
		about, counted := "", ""
		if sure < played {
			about = "about "
			if sure > 0 {
				counted = ", " + strconv.Itoa(sure) + " of them counted"
			}
		}
		if planned == 0 {
			parts = append(parts, about+units.Count(played, one, many)+counted)
			return
		}
		parts = append(parts, about+strconv.Itoa(played)+" of "+units.Count(planned, one, many)+counted)
	}
	of(p.Played.Balls, p.Sure.Balls, p.Planned.Balls, "stroke", "strokes")
	of(p.Played.Overheads, p.Sure.Overheads, p.Planned.Overheads, "overhead", "overheads")
	if p.Planned.Metres >= 1 || p.Played.Metres >= 1 {
		parts = append(parts, "ran about "+length(p.Played.Metres)+" of "+length(p.Planned.Metres))
	}
	return strings.Join(parts, ", ")
}
