package drill

import (
	"fmt"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/invalid"
	"hodometer/core/units"
	"hodometer/core/working"
)

// Report is everything a view shows about a drill. All places are resolved.
type Report struct {
	Court  court.Court    `json:"court"`
	Spots  []Spot         `json:"spots" description:"Every place that can be moved"`
	Feeds  []Feed         `json:"feeds" description:"The balls of one sequence in order"`
	Target court.Shape    `json:"target"`
	Aim    string         `json:"aim" description:"The target in words"`
	Goal   string         `json:"goal" description:"The goal in words"`
	Load   Load           `json:"load"`
	Drums  []working.Drum `json:"drums"`
}

// Spot is one place that can be moved on the court.
type Spot struct {
	Handle string      `json:"handle" description:"Where the mark stands in the document: places.0, pattern.balls.1, target"`
	Label  string      `json:"label"`
	At     court.Point `json:"at"`
	Said   string      `json:"said" description:"The place as a coach says it"`
}

// Feed is one ball as it is fed.
type Feed struct {
	Number  int         `json:"number" description:"From 1"`
	Label   string      `json:"label"`
	From    court.Point `json:"from"`
	Landing court.Point `json:"landing"`
	Release float64     `json:"release" description:"Seconds after the first ball of the sequence"`
}

// Report works out a drill for so many people. Its error is a list of fields.
func (d Document) Report(people int, s coach.Settings) (Report, error) {
	if err := d.Check(); err != nil {
		return Report{}, err
	}
	if people < 1 {
		return Report{}, invalid.Fields{{Path: "people", Message: "a drill needs at least one player"}}
	}
	c, err := court.Find(d.Court)
	if err != nil {
		return Report{}, err
	}
	r := Report{Court: c, Load: d.LoadFor(people, d.Turns, s), Aim: c.SayTarget(d.Target, s.Units), Goal: d.Goal.String()}
	if r.Target, err = c.Shape(d.Target); err != nil {
		return Report{}, err
	}
	for i, place := range d.Places {
		at, err := c.Resolve(place.Mark)
		if err != nil {
			return Report{}, err
		}
		r.Spots = append(r.Spots, Spot{Handle: invalid.Join("places", i), Label: string(place.Kind), At: at, Said: c.Say(place.Mark, s.Units)})
	}
	if err := d.reportFeeds(&r, c, s); err != nil {
		return Report{}, err
	}
	if d.Target.Kind == court.Circle {
		r.Spots = append(r.Spots, Spot{Handle: targetHandle, Label: "target", At: r.Target.Centre, Said: c.Say(*d.Target.Mark, s.Units)})
	}
	r.Drums = d.drums(r, s)
	return r, nil
}

func (d Document) reportFeeds(r *Report, c court.Court, s coach.Settings) error {
	feeder, _ := d.place(Feeder)
	from, err := c.Resolve(feeder.Mark)
	if err != nil {
		return err
	}
	releases := d.Pattern.Releases()
	for i, ball := range d.Pattern.Balls {
		landing, err := c.Resolve(ball.Landing)
		if err != nil {
			return err
		}
		label := fmt.Sprintf("ball %d, %s", i+1, ball.Stroke)
		r.Feeds = append(r.Feeds, Feed{Number: i + 1, Label: label, From: from, Landing: landing, Release: releases[i]})
		r.Spots = append(r.Spots, Spot{Handle: invalid.Join("pattern.balls", i), Label: label, At: landing, Said: c.Say(ball.Landing, s.Units)})
	}
	return nil
}

func (d Document) drums(r Report, s coach.Settings) []working.Drum {
	p, l := d.Pattern, r.Load
	size := working.Step{Name: "Balls in a sequence", Value: units.Count(len(p.Balls), "ball", "balls")}
	sequences := working.Step{Name: "Sequences a turn", Value: units.Decimal(float64(p.Sequences), 0)}
	time := l.working(d, s)
	return []working.Drum{
		working.NewDrum("Balls a turn", float64(p.BallsPerTurn()), units.Decimal(float64(p.BallsPerTurn()), 0), "balls", working.Working{
			Formula: "balls in a sequence × sequences a turn", Inputs: []working.Step{size, sequences}, Source: working.OwnArithmetic,
		}),
		working.NewDrum("Feed rate", p.Rate(), units.Decimal(p.Rate(), 1), "balls/min", working.Working{
			Formula: "60 ÷ gap", Inputs: []working.Step{{Name: "Gap", Value: units.Decimal(p.Gap, 2) + " s"}}, Source: working.OwnArithmetic,
		}),
		working.NewDrum("One turn", p.TurnSeconds(), units.Clock(p.TurnSeconds()), "min", working.Working{
			Formula: "sequences × (balls × gap + pause)",
			Inputs: []working.Step{sequences, size, {Name: "Gap", Value: units.Decimal(p.Gap, 2) + " s"},
				{Name: "Pause after a sequence", Value: units.Decimal(p.Pause, 1) + " s"}},
			Source: working.OwnArithmetic,
		}),
		working.NewDrum("Balls in all", float64(l.Balls), units.Decimal(float64(l.Balls), 0), "balls", working.Working{
			Formula: "players × turns × balls a turn",
			Inputs: []working.Step{{Name: "Players", Value: units.Decimal(float64(l.People), 0)},
				{Name: "Turns each", Value: units.Decimal(float64(l.Turns), 0)},
				{Name: "Balls a turn", Value: units.Decimal(float64(p.BallsPerTurn()), 0)}},
			Source: working.OwnArithmetic,
		}),
		working.NewDrum("Baskets", float64(l.Baskets), units.Decimal(float64(l.Baskets), 0), basketsOf(s), working.Working{
			Formula: "balls ÷ balls in a basket, rounded up",
			Inputs: []working.Step{{Name: "Balls", Value: units.Decimal(float64(l.Balls), 0)},
				{Name: "Balls in a basket", Value: units.Decimal(float64(s.Basket), 0)}},
			Source: working.OwnArithmetic,
		}),
		working.NewDrum("Time", l.Need, units.Clock(l.Need), "min", time),
	}
}

func basketsOf(s coach.Settings) string { return fmt.Sprintf("of %d", s.Basket) }

// String puts a goal into words.
func (g Goal) String() string {
	if g.Kind == Streak {
		return fmt.Sprintf("%d in a row", g.Count)
	}
	return fmt.Sprintf("%d made in all", g.Count)
}
