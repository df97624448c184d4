package lesson

import (
	"fmt"
	"math"
	"time"

	"hodometer/core/coach"
	"hodometer/core/drill"
	"hodometer/core/odds"
	"hodometer/core/student"
	"hodometer/core/units"
	"hodometer/core/working"
)

// Person is a student of the lesson.
type Person struct {
	ID      string
	Profile student.Profile
}

// Inputs is what a lesson is laid out from, besides its own document.
type Inputs struct {
	Drills   map[string]drill.Document // by identifier; a missing one becomes a finding
	People   []Person                  // in the order of the document
	Settings coach.Settings
	// Rates are what the students make of the drills: by drill, then by student. Without them nothing is
	// said of misses.
	Rates map[string]map[string]odds.Rate
}

// Plan is a lesson on the clock. All times are seconds from its start.
type Plan struct {
	Stretches  []Stretch      `json:"stretches"`
	Milestones []Milestone    `json:"milestones" description:"One every five minutes"`
	Booked     float64        `json:"booked" description:"Length of the booking"`
	Planned    float64        `json:"planned" description:"Length of all blocks"`
	Over       float64        `json:"over" description:"Planned beyond the booking; 0 where it fits"`
	Spare      float64        `json:"spare" description:"Booked but not planned; 0 where there is none"`
	Late       float64        `json:"late" description:"How late the lesson ends when every drill is played to its last ball"`
	Balls      int            `json:"balls"`
	Baskets    int            `json:"baskets" description:"Basketfuls fed"`
	Findings   []Finding      `json:"findings"`
	Drums      []working.Drum `json:"drums"`
}

// Stretch is one block on the road.
type Stretch struct {
	Block  string          `json:"block" description:"Identifier of the block"`
	Kind   Kind            `json:"kind"`
	Title  string          `json:"title"`
	Clock  string          `json:"clock" description:"When it begins, on the clock"`
	Start  float64         `json:"start"`
	End    float64         `json:"end"`
	Effort int             `json:"effort"`
	SetUp  float64         `json:"setUp" description:"Walking over, setting the court and explaining"`
	Work   float64         `json:"work" description:"Of a drill: feeding; otherwise all the rest"`
	PickUp float64         `json:"pickUp" description:"Picking up balls"`
	Over   float64         `json:"over" description:"How much more the drill needs than it has"`
	Spare  float64         `json:"spare" description:"How much the drill leaves over"`
	Load   *drill.Load     `json:"load"`
	Fits   string          `json:"fits" description:"What fits, in words"`
	Time   working.Working `json:"time" description:"How its time came about"`
}

// Milestone is a mark on the road.
type Milestone struct {
	Second float64 `json:"second"`
	Clock  string  `json:"clock"`
}

// Milestones stand five minutes apart.
const milestoneEvery = 5 * 60

// Lay puts the blocks of a lesson on the clock one after the other, each with the minutes it was
// given, and compares these with what its drill needs: the change-over from the block before, set-up,
// feeding and picking up. Its error is a list of fields.
func Lay(d Document, in Inputs) (Plan, error) {
	if err := d.Check(); err != nil {
		return Plan{}, err
	}
	start, err := time.Parse("15:04", d.Start)
	if err != nil {
		return Plan{}, fmt.Errorf("start of the lesson: %w", err)
	}
	clock := func(second float64) string {
		return start.Add(time.Duration(second) * time.Second).Format("15:04")
	}
	p := Plan{Stretches: []Stretch{}, Milestones: []Milestone{}, Findings: []Finding{}, Booked: float64(d.Minutes) * 60}
	for i, block := range d.Blocks {
		s := lay(block, i == 0, in)
		s.Start, s.End, s.Clock = p.Planned, p.Planned+block.Seconds(), clock(p.Planned)
		p.Planned = s.End
		p.Late += s.Over
		if s.Load != nil {
			p.Balls += s.Load.Balls
			p.Baskets += s.Load.Baskets
		}
		p.Stretches = append(p.Stretches, s)
	}
	p.Over, p.Spare = math.Max(0, p.Planned-p.Booked), math.Max(0, p.Booked-p.Planned)
	p.Late = math.Max(0, p.Planned+p.Late-p.Booked)
	for second := 0.0; second <= math.Max(p.Booked, p.Planned); second += milestoneEvery {
		p.Milestones = append(p.Milestones, Milestone{Second: second, Clock: clock(second)})
	}
	p.Findings = findings(d, p, in)
	p.Drums = p.drums(d, in)
	return p, nil
}

// lay works out one block without its place on the clock.
func lay(block Block, first bool, in Inputs) Stretch {
	changeOver := in.Settings.ChangeOver
	if first {
		changeOver = 0
	}
	has := block.Seconds()
	s := Stretch{Block: block.ID, Kind: block.Kind, Title: block.Title, Effort: block.Effort, SetUp: math.Min(changeOver, has)}
	s.Work = has - s.SetUp
	s.Fits = units.Clock(s.Work) + " min of it to play"
	s.Time = working.Working{
		Figure: block.Title, Value: units.Clock(has) + " min", Formula: "walking over + the rest of the block",
		Inputs: []working.Step{{Name: "Walking over", Value: units.Clock(s.SetUp) + " min"}, {Name: "To play", Value: units.Clock(s.Work) + " min"}},
		Source: working.Practice,
	}
	document, known := in.Drills[block.Drill]
	if block.Kind != Drill || !known || len(in.People) == 0 {
		return s
	}
	turns := block.turns(document)
	load := document.LoadFor(len(in.People), turns, in.Settings)
	need := changeOver + load.Need
	s.Load = &load
	s.SetUp, s.Work, s.PickUp = changeOver+load.SetUp, load.Feeding, load.PickUp
	s.Over, s.Spare = math.Max(0, need-has), math.Max(0, has-need)
	s.Fits = fits(document, turns, has-changeOver, s, in)
	s.Time = working.Working{
		Figure: block.Title, Value: units.Clock(need) + " min",
		Formula: "walking over + set-up + players × turns × turn + picking up",
		Inputs: []working.Step{
			{Name: "Walking over", Value: units.Clock(changeOver) + " min"},
			{Name: "Set-up and explaining", Value: units.Clock(load.SetUp) + " min"},
			{Name: "Feeding", Value: fmt.Sprintf("%d × %d × %s s = %s min", load.People, turns, units.Decimal(document.Pattern.TurnSeconds(), 1), units.Clock(load.Feeding))},
			{Name: "Picking up", Value: fmt.Sprintf("%d × %s s ÷ %d = %s min", load.Balls, units.Decimal(in.Settings.PickUp, 1), load.People+1, units.Clock(load.PickUp))},
			{Name: "Given", Value: units.Clock(has) + " min"},
		},
		Source: working.OwnArithmetic + "; walking over and seconds a ball: " + working.Practice,
	}
	return s
}

// turns is how many turns each player has in the block.
func (b Block) turns(d drill.Document) int {
	if b.Turns > 0 {
		return b.Turns
	}
	return d.Turns
}

func fits(d drill.Document, turns int, has float64, s Stretch, in Inputs) string {
	planned := units.Count(turns, "turn", "turns") + " each"
	if s.Over == 0 {
		return fmt.Sprintf("%s, %s: fits with %s to spare", planned, units.Count(s.Load.Balls, "ball", "balls"), units.Clock(s.Spare))
	}
	return fmt.Sprintf("%s, %s: %s over; %s would fit", planned, units.Count(s.Load.Balls, "ball", "balls"),
		units.Clock(s.Over), units.Count(d.TurnsIn(has, len(in.People), in.Settings), "turn", "turns"))
}

func (p Plan) drums(d Document, in Inputs) []working.Drum {
	var sums, balls, baskets []working.Step
	for _, s := range p.Stretches {
		sums = append(sums, working.Step{Name: s.Title, Value: units.Clock(s.End-s.Start) + " min"})
		if s.Load == nil {
			continue
		}
		balls = append(balls, working.Step{Name: s.Title, Value: fmt.Sprintf("%d players × %d each = %d", s.Load.People, s.Load.Each, s.Load.Balls)})
		baskets = append(baskets, working.Step{Name: s.Title, Value: fmt.Sprintf("%d ÷ %d, rounded up = %d", s.Load.Balls, in.Settings.Basket, s.Load.Baskets)})
	}
	booked := working.Step{Name: "Booked", Value: fmt.Sprintf("%d min", d.Minutes)}
	room := working.NewDrum("To spare", p.Spare, units.Clock(p.Spare), "min", working.Working{
		Formula: "booked − planned", Inputs: append([]working.Step{booked}, sums...), Source: working.OwnArithmetic,
	})
	if p.Over > 0 {
		room = working.NewDrum("Over", p.Over, units.Clock(p.Over), "min", working.Working{
			Formula: "planned − booked", Inputs: append([]working.Step{booked}, sums...), Source: working.OwnArithmetic,
		})
	}
	wait := 0.0
	var waits []working.Step
	for _, s := range p.Stretches {
		if s.Load != nil {
			wait = math.Max(wait, s.Load.Waiting)
			waits = append(waits, working.Step{Name: s.Title, Value: units.Decimal(s.Load.Waiting, 0) + " s"})
		}
	}
	return append([]working.Drum{
		working.NewDrum("Planned", p.Planned, units.Clock(p.Planned), "min", working.Working{
			Formula: "the minutes of all blocks", Inputs: none(sums), Source: working.OwnArithmetic,
		}),
		room,
		working.NewDrum("Balls", float64(p.Balls), units.Decimal(float64(p.Balls), 0), "balls", working.Working{
			Formula: "players × turns × balls a turn, over all drills", Inputs: none(balls), Source: working.OwnArithmetic,
		}),
		working.NewDrum("Baskets", float64(p.Baskets), units.Decimal(float64(p.Baskets), 0), fmt.Sprintf("of %d", in.Settings.Basket), working.Working{
			Formula: "balls of each drill ÷ balls in a basket, rounded up", Inputs: none(baskets), Source: working.OwnArithmetic,
		}),
		working.NewDrum("Longest wait", wait, units.Decimal(wait, 0), "s", working.Working{
			Formula: "the other players' turns + the pauses between them", Inputs: none(waits), Source: working.OwnArithmetic,
		}),
	}, p.expected(d, in)...)
}

// expected are the drums that count balls with the misses that are to be expected of these students.
func (p Plan) expected(d Document, in Inputs) []working.Drum {
	if in.Rates == nil {
		return nil
	}
	made, goals := 0.0, 0.0
	var makes, needs []working.Step
	for i, block := range d.Blocks {
		load, document := p.Stretches[i].Load, in.Drills[block.Drill]
		if load == nil {
			continue
		}
		for _, person := range in.People {
			rate := in.Rates[block.Drill][person.ID]
			name := block.Title + ", " + person.Profile.Name
			made += float64(load.Each) * rate.Mean
			makes = append(makes, working.Step{Name: name, Value: fmt.Sprintf("%d × %s", load.Each, units.Decimal(rate.Mean, 2))})
			balls, counted := document.Goal.MeanBalls(rate.Mean)
			if !counted {
				continue
			}
			goals += balls
			needs = append(needs, working.Step{Name: name, Value: fmt.Sprintf("%s: %s balls", document.Goal, units.Decimal(balls, 0))})
		}
	}
	return []working.Drum{
		working.NewDrum("Made", math.Round(made), units.Decimal(made, 0), fmt.Sprintf("of %d", p.Balls), working.Working{
			Formula: "balls planned for each student × what they make of 1", Inputs: none(makes), Source: "Beta-binomial model of what was counted",
		}),
		working.NewDrum("For the goals", math.Round(goals), units.Decimal(goals, 0), "balls", working.Working{
			Formula: "the mean number of balls until each student reaches the drill's goal, misses counted", Inputs: none(needs), Source: "Feller, An Introduction to Probability Theory, vol. 1, XIII.7",
		}),
	}
}

// none makes an empty list of a missing one, so that it is written as a list.
func none(steps []working.Step) []working.Step {
	if steps == nil {
		return []working.Step{}
	}
	return steps
}
