package report

import (
	"fmt"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// OnCourt is what stands on court in a game.
type OnCourt struct {
	Court   court.Court  `json:"court"`
	Spots   []Spot       `json:"spots" description:"Start places, numbered in the order in which players move on"`
	Targets []GameTarget `json:"targets" description:"What has to be hit"`
}

// GameTarget is what has to be hit for an award.
type GameTarget struct {
	Award  string       `json:"award" description:"For which one, by its identifier"`
	Target court.Shape  `json:"target"`
	Said   string       `json:"said" description:"In words"`
	Spot   *Spot        `json:"spot" description:"By which it can be moved; null where it has no mark of its own"`
	Sizes  []coach.Size `json:"sizes" description:"That can be typed"`
}

// OfGame puts the start places and the targets of a game on its court. It returns invalid.Fields.
func OfGame(d game.Document, s coach.Settings) (OnCourt, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return OnCourt{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	on := OnCourt{Court: c, Spots: []Spot{}, Targets: []GameTarget{}}
	var wrong invalid.Fields
	for i, spot := range d.Rules.Spots {
		handle := game.SpotHandle(i)
		at, err := c.Resolve(spot.Mark)
		if wrong.Under(handle, err); err != nil {
			continue
		}
		on.Spots = append(on.Spots, Spot{
			Handle:      handle,
			Label:       fmt.Sprintf("%s side, place %d", spot.Side, i+1),
			Kind:        drill.Start,
			Letter:      fmt.Sprint(i + 1),
			At:          at,
			Description: c.Describe(spot.Mark, s.Tape()),
			Mark:        spot.Mark,
			Parts:       c.Parts(spot.Mark, s.Units),
		})
	}
	for i, a := range d.Rules.Awards {
		if a.Target == nil {
			continue
		}
		path := game.TargetPath(i)
		shape, err := c.Shape(*a.Target, "")
		if wrong.Under(path, err); err != nil {
			continue
		}
		target := GameTarget{
			Award:  a.ID,
			Target: shape,
			Said:   c.DescribeTarget(*a.Target, s.Tape()),
			Sizes:  append([]coach.Size{}, s.Sizes(*a.Target, path)...),
		}
		if mark := a.Target.Mark; mark != nil {
			target.Spot = &Spot{
				Handle:      path + ".mark",
				Label:       a.Name,
				At:          shape.Centre,
				Description: c.Describe(*mark, s.Tape()),
				Mark:        *mark,
				Parts:       c.Parts(*mark, s.Units),
			}
		}
		on.Targets = append(on.Targets, target)
	}
	return on, wrong.Err()
}

// Report is the same as a report that a court is drawn from: targets without goals.
func (on OnCourt) Report() Report {
	r := Report{Court: on.Court, Spots: on.Spots}
	for i, target := range on.Targets {
		r.Measures = append(r.Measures, Measure{Number: i + 1, Target: &target.Target})
	}
	return r
}
