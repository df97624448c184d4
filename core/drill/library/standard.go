package library

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Standard is the drill in which a rung is measured: one ball for a stroke on a court, fed alike everywhere, and a part
// of where the stroke may go; for a level, whose ball it is. It returns invalid.Fields, also where nobody strikes that
// in the sport.
func Standard(on court.ID, level student.Level, stroke sports.Stroke, task ladder.Task) (drill.Document, error) {
	d, err := Bare(on, level, 1, 1, 1)
	if err != nil {
		return d, err
	}
	c, _ := sports.Court(on)
	if !slices.Contains(sports.Of(c.Sport).Strokes, stroke) {
		return d, invalid.Fields{{Path: "stroke", Message: fmt.Sprintf("there is no %s in %s", stroke, c.Sport)}}
	}
	d.Name, d.Stroke = "A standard task", stroke
	first, from := fedFor(c, stroke, d.Pattern.Tasks[0])
	if task.Method != "" {
		d.Pattern.Method = task.Method
	}
	if task.Pace != "" && first.By == "" {
		first.Pace = task.Pace
	}
	d.Pattern.Tasks = []feed.Task{first}
	for i, place := range d.Places {
		if place.Kind == drill.Start && from != nil {
			d.Places[i].Mark = court.At(from.X, from.Y)
		}
	}
	if stroke == sports.Serve {
		d, err = d.Edited(
			drill.Edit{Stroke: &drill.Restroke{Stroke: stroke}}, student.RightHand, coach.Default(),
		)
		if err != nil {
			return d, err
		}
	}
	if task.InTurn > 1 {
		d.Measures[0].What = score.Sequence
		for len(d.Pattern.Tasks) < task.InTurn {
			d.Pattern.Tasks = append(d.Pattern.Tasks, d.Pattern.Tasks[0])
		}
	}
	d.Measures[0].Target = partOf(c, stroke, d.Pattern.Tasks[0], task.Into)
	d.Measures[0].Goals = score.Course{{Kind: score.Total, Count: 1}}
	return d, d.Check()
}

// Ground is the court on which somebody of a level is measured in a sport: children who begin, on their small one.
func Ground(sport court.Sport, level student.Level) court.ID {
	of := sports.Of(sport)
	stage := map[student.Level]int{student.Orange: 1, student.Red: 2}[level]
	if !of.Stages || stage >= len(of.Courts) {
		stage = 0
	}
	return of.Courts[stage].Court.ID
}

// fedFor is the ball that is fed for a stroke, where the one beside the player near the back is known, and where the
// player waits for it; nil: where they wait for that.
func fedFor(c court.Court, stroke sports.Stroke, back feed.Task) (feed.Task, *court.Point) {
	of, l, x := sports.Of(c.Sport), c.Length, 0.3*c.Singles/2
	if stroke == sports.Backhand || stroke == sports.BackhandVolley {
		x = -x
	}
	ball := func(deep float64, from float64) (feed.Task, *court.Point) {
		return feed.Task{Stroke: stroke, Landing: court.At(x, -deep*l)}, &court.Point{Y: -from * l}
	}
	volley := stroke == sports.ForehandVolley || stroke == sports.BackhandVolley
	switch {
	case c.HasFrontWall():
		back.Stroke = stroke
		if x < 0 {
			back.Landing = back.Landing.Mirrored()
		}
		if volley {
			back.Contact = ""
		}
		return back, nil
	case c.AtTable():
		back.Stroke, back.Landing = stroke, court.At(x, -0.36*l)
		return back, nil
	case !of.Bounces():
		switch stroke {
		case sports.Net, sports.Lift, sports.Return:
			return ball(0.2, 0.28)
		case sports.Drive, sports.Block:
			return ball(0.3, 0.3)
		case sports.Serve:
			back.Stroke = sports.Clear
			return back, nil
		}
		return lobbed(4, stroke, court.At(x, -0.42*l)), &court.Point{Y: -0.35 * l}
	case volley:
		return ball(0.34, 0.18)
	case of.Overhead(stroke) && stroke != sports.Serve:
		return lobbed(of.Lob, stroke, court.At(0.1, -0.3*l)), &court.Point{Y: -0.2 * l}
	case stroke == sports.Dink:
		task, from := ball(0.12, 0.19)
		task.Pace = sports.Gentle
		return task, from
	case stroke == sports.Approach:
		return ball(0.25, 0.4)
	}
	if back.Stroke = stroke; stroke == sports.Serve {
		back.Stroke = sports.Forehand
	}
	back.Landing = court.At(x, -0.36*l)
	return back, nil
}

// partOf is the part of where a ball may go that is asked for. Also all of it is a target: a player takes off the pace
// that it asks for.
func partOf(c court.Court, stroke sports.Stroke, task feed.Task, into ladder.Into) *court.Target {
	least, most := court.Point{X: -c.Singles / 2}, court.Point{X: c.Singles / 2, Y: c.Length / 2}
	short, deep := least.Y, most.Y
	if c.HasFrontWall() {
		least.Y = -c.Length / 2
		short, deep = most.Y, least.Y
	}
	if stroke == sports.Serve {
		at, _ := c.Resolve(task.Landing)
		if id, ok := sports.ServedTo(c, at); ok {
			box, _ := c.Box(id)
			least, most = box.Min, box.Max
			short, deep = least.Y, most.Y
			if c.HasFrontWall() {
				short, deep = deep, short
			}
		}
	}
	if into == ladder.Side || into == ladder.Corner {
		if math.Abs(least.X) > math.Abs(most.X) {
			most.X = (least.X + most.X) / 2
		} else {
			least.X = (least.X + most.X) / 2
		}
	}
	if into == ladder.End || into == ladder.Corner {
		end := deep
		if stroke.Soft() {
			end = short
		}
		third := (most.Y - least.Y) / 3
		if end == most.Y {
			least.Y = most.Y - third
		} else {
			most.Y = least.Y + third
		}
	}
	return &court.Target{Kind: court.Polygon, Points: []court.Mark{
		court.At(least.X, least.Y), court.At(most.X, least.Y), court.At(most.X, most.Y), court.At(least.X, most.Y),
	}}
}
