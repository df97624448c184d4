// Package schedule puts the blocks of a lesson on the clock: change-overs, loads, who is where, what comes to each
// student and what is carried.
package schedule

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
)

// Timetable is a lesson on the clock. All times are seconds from its start.
type Timetable struct {
	Blocks     []ScheduledBlock `json:"blocks"`
	Milestones []Milestone      `json:"milestones" description:"One every five minutes"`
	Booked     float64          `json:"booked" description:"Length of the booking"`
	Planned    float64          `json:"planned" description:"Length of all blocks"`
	Over       float64          `json:"over" description:"Planned beyond the booking; 0 where it fits"`
	Spare      float64          `json:"spare" description:"Booked but not planned; 0 where there is none"`
	Late       float64          `json:"late" description:"How late the lesson ends when every drill is played to its last ball"`
	Balls      int              `json:"balls" description:"Fed to everybody"`
	Rallies    int              `json:"rallies" description:"Played, each with one ball"`
	Baskets    int              `json:"baskets" description:"Basketfuls fed"`
	Budgets    []Budget         `json:"budgets" description:"What comes to each student"`
	Carry      []Piece          `json:"carry" description:"What to carry to the court"`
}

// ScheduledBlock is one block on the road.
type ScheduledBlock struct {
	Block   string            `json:"block" description:"Identifier of the block"`
	Kind    lesson.Kind       `json:"kind"`
	Title   string            `json:"title"`
	Clock   string            `json:"clock" description:"When it begins, on the clock"`
	Start   float64           `json:"start"`
	End     float64           `json:"end"`
	Length  string            `json:"length" description:"From its beginning to its end, in words: 8 min"`
	Effort  int               `json:"effort"`
	Pinned  bool              `json:"pinned"`
	SetUp   float64           `json:"setUp" description:"Walking over, collecting, setting the court and explaining"`
	Work    float64           `json:"work" description:"Of a drill: feeding; otherwise all the rest"`
	PickUp  float64           `json:"pickUp" description:"Picking up balls"`
	Over    float64           `json:"over" description:"How much more the drill needs than it has"`
	Spare   float64           `json:"spare" description:"How much the drill leaves over"`
	Load    *load.Load        `json:"load"`
	Fits    string            `json:"fits" description:"What fits, in words"`
	Strikes string            `json:"strikes" description:"What each of its people strikes in a drill, in words: 16 to 20 balls; empty without one"`
	Time    metric.Derivation `json:"time" description:"How its time came about"`
	Group   string            `json:"group" description:"How the group plays it, in words; empty where there is nothing to say"`
	People  []string          `json:"people" description:"Identifiers of who is in it"`
	Table   *rotation.Table   `json:"table" description:"Who is where in each round; null where nobody changes places"`
	Comes   []Piece           `json:"comes" description:"Equipment put down for it"`
	Goes    []Piece           `json:"goes" description:"Equipment collected before it"`
	Stays   []Piece           `json:"stays" description:"Equipment that stands already"`

	Machine bool `json:"machine" description:"Its drill is planned with a ball machine"`

	Game *GameInBlock `json:"game" description:"Null where the block has none"`

	Version  string   `json:"version,omitempty" description:"Which version of its drill is played; none for the drill as it is written"`
	Versions []string `json:"versions" description:"Those there are, from the easiest to the hardest; empty where there is one only"`
	Unsafe   []string `json:"unsafe" description:"Those of them that ask somebody in the block for what they are spared while something hurts: they are not proposed"`
}

// Milestone is a mark on the road.
type Milestone struct {
	Second float64 `json:"second"`
	Clock  string  `json:"clock"`
}

// Milestones stand five minutes apart.
const milestoneEvery = 5 * 60

// Make puts the blocks of a lesson on the clock one after the other, each with the minutes it was
// given, and compares these with what its drill needs: the change-over from the block before, set-up,
// feeding and picking up. The prepared blocks come with it. It returns invalid.Fields, or ctx.Err() when cancelled.
func Make(ctx context.Context, d lesson.Document, in Inputs) (Timetable, []Prepared, error) {
	if err := d.Check(); err != nil {
		return Timetable{}, nil, err
	}
	clock := func(second float64) string { return units.TimeOfDay(d.Start, second) }
	in = in.Named()
	p := Timetable{Blocks: []ScheduledBlock{}, Milestones: []Milestone{}, Booked: float64(d.Minutes) * 60}
	list := Prepare(d, in)
	for _, l := range list {
		if err := ctx.Err(); err != nil {
			return Timetable{}, nil, err
		}
		s := l.schedule(in)
		game, err := l.game(ctx, s.Work)
		if err != nil {
			return Timetable{}, nil, err
		}
		if s.Game = game; game != nil {
			s.Fits, s.Group, s.Time = game.fits(s.Work), game.group(), game.time(l, l.Block.Seconds(), s.Work)
		}
		s.Start, s.End, s.Clock = p.Planned, p.Planned+l.Block.Seconds(), clock(p.Planned)
		s.Length = units.Decimal(l.Block.Minutes, 1) + " min"
		p.Planned = s.End
		p.Late += s.Over
		if s.Load != nil {
			if l.Document.Pattern.Rally == nil {
				p.Balls += s.Load.Balls
			} else {
				p.Rallies += s.Load.Balls
			}
			p.Baskets += s.Load.Baskets
		}
		p.Blocks = append(p.Blocks, s)
	}
	off := units.Round(p.Planned) - p.Booked // as it is read
	p.Over, p.Spare = math.Max(0, off), math.Max(0, -off)
	p.Late = math.Max(0, p.Planned+p.Late-p.Booked)
	for second := 0.0; second <= math.Max(p.Booked, p.Planned); second += milestoneEvery {
		p.Milestones = append(p.Milestones, Milestone{Second: second, Clock: clock(second)})
	}
	p.Budgets, p.Carry = p.budgets(list, in), p.carry(list, in)
	return p, list, nil
}

// schedule works out one block without its place on the clock.
func (l Prepared) schedule(in Inputs) ScheduledBlock {
	has, block := l.Block.Seconds(), l.Block
	s := ScheduledBlock{
		Block:  block.ID,
		Kind:   block.Kind,
		Title:  l.title(),
		Effort: block.Effort,
		Pinned: block.Pinned,
		SetUp: math.Min(
			l.changeOver(),
			has,
		),
		Group:    l.GroupSummary,
		People:   []string{},
		Comes:    l.comes,
		Goes:     l.goes,
		Stays:    l.stays,
		Versions: []string{},
		Unsafe:   l.unsafe(),
	}
	s.Version, s.Versions = l.version, append(s.Versions, l.versions...)
	if s.Stays == nil {
		s.Stays = []Piece{}
	}
	for _, p := range l.People {
		s.People = append(s.People, p.ID)
	}
	s.Work = has - s.SetUp
	if !l.Drilled {
		s.Table = l.table(has)
		s.Fits = units.Clock(s.Work) + " min of it to play"
		s.Time = l.taken(has, nil, metric.Clock.Of("To play", s.Work))
		s.Time.Source = metric.Practice
		return s
	}
	load := l.load(in)
	need := l.changeOver() + load.Need
	s.Load, s.Machine = &load, l.Document.WithMachine()
	s.SetUp, s.Work, s.PickUp = l.changeOver()+load.SetUp, load.Feeding, load.PickUp
	s.Over, s.Spare = math.Max(0, need-has), math.Max(0, has-need)
	s.Table = l.table(l.Document.Pattern.FeedingSeconds(1, load.Row))
	s.Fits, s.Strikes = l.fits(s, in), l.strikes(s)
	s.Time = l.taken(need, load.Played(l.Document, in.Settings),
		metric.Clock.Of("Feeding", load.Feeding), metric.Clock.Of("Picking up", load.PickUp))
	s.Time.Inputs = append(s.Time.Inputs, metric.Input{Name: "Given", Value: units.Clock(has) + " min"})
	s.Time.Source = metric.OwnArithmetic + "; walking over, a piece and seconds a ball: " + metric.Practice
	return s
}

// taken is how the seconds of a block come about: what it takes until it can be played, and what is played.
func (l Prepared) taken(seconds float64, before []metric.Sum, played ...metric.Part) metric.Derivation {
	parts := append(l.moving(), played...)
	if !l.Drilled && l.changeOver() > seconds {
		parts = []metric.Part{metric.Clock.Of("Walking over, cut short", seconds)}
	}
	all := metric.Added.Work(l.title(), metric.Clock, parts...)
	return metric.Derivation{
		Figure: l.title(), Value: units.Clock(seconds) + " min",
		Sums: append(before, all), Inputs: []metric.Input{},
	}
}

// load is what the drill of the block takes with all its turns.
func (l Prepared) load(in Inputs) load.Load {
	return load.For(l.Document, l.Group, l.Block.TurnsOf(l.Document), in.Settings)
}

// Glance is what a list shows of a lesson, without scheduling it.
type Glance struct {
	Planned float64 `json:"planned" description:"Length of all blocks, seconds"`
	Balls   int     `json:"balls" description:"Fed to everybody; rallies are not among them"`
}

// GlanceAt adds up what a list shows of a lesson. The figures are those of its plan.
func GlanceAt(d lesson.Document, in Inputs) Glance {
	var g Glance
	for _, l := range Prepare(d, in) {
		g.Planned += l.Block.Seconds()
		if l.Drilled && l.Document.Pattern.Rally == nil {
			g.Balls += l.load(in).Balls
		}
	}
	g.Planned = units.Round(g.Planned)
	return g
}

// TurnsIn is how many turns each player has time for in the block.
func (l Prepared) TurnsIn(in Inputs) int {
	return load.TurnsIn(l.Document, l.Block.Seconds()-l.changeOver(), l.Group, in.Settings)
}

// Need is how many seconds so many turns each take, with walking over, collecting and set-up.
func (l Prepared) Need(turns int, in Inputs) float64 {
	return l.changeOver() + load.For(l.Document, l.Group, turns, in.Settings).Need
}

func (l Prepared) fits(s ScheduledBlock, in Inputs) string {
	planned := l.between(s, func(turns float64) int { return int(math.Round(turns)) }).of("turn", "turns") + " each"
	if s.Load.Balls > 0 {
		planned += ", " + l.Document.Fed(s.Load.Balls)
	}
	if s.Over == 0 {
		return fmt.Sprintf("%s: fits with %s to spare", planned, units.Clock(s.Spare))
	}
	return fmt.Sprintf(
		"%s: %s over; %s would fit",
		planned,
		units.Clock(s.Over),
		units.Count(l.TurnsIn(in), "turn", "turns"),
	)
}
