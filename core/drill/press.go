package drill

import (
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// pressed adds a ball that lands where the court of a player of a hand was pressed, as the last one comes. Offsets
// become multiples of the grain, in metres. The error is told at "press".
func (d Document) pressed(at court.Point, hand student.Hand, grain float64) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	switch {
	case d.Pattern.Rally != nil:
		return d, invalid.Fields{
			{
				Path:    "press",
				Message: "in a rally balls land where the players send them; take “each reply is the next feed” out first",
			},
		}
	case len(d.Pattern.Tasks) >= feed.MaxTasks:
		return d, invalid.Fields{
			{
				Path:    "press",
				Message: fmt.Sprintf("a pattern has at most %d tasks; let a group be played several times instead", feed.MaxTasks),
			},
		}
	case c.HasNet() && at.Y >= 0:
		return d, invalid.Fields{
			{Path: "press", Message: "balls to the student land on the near half; press there, or drag the target"},
		}
	}
	d = d.Clone()
	last := d.Pattern.Tasks[len(d.Pattern.Tasks)-1]
	task := feed.Task{
		Stroke:  d.strokeAt(c, at, hand, last.Stroke),
		Pace:    last.Pace,
		Spin:    last.Spin,
		Method:  last.Method,
		Landing: near(c, at, grain),
	}
	if task.Method == feed.Answer {
		task.Method = ""
	}
	if _, err := c.Resolve(task.Landing); err != nil {
		return d, invalid.Fields{{Path: "press", Message: err.Error()}}
	}
	d.Pattern.Tasks = append(d.Pattern.Tasks, task)
	return d, nil
}

// strokeAt is the stroke with which a ball is likely to be met that lands at a place, after one that was met with
// another: on the side of where the player waits, out of the air where the last one was; a shuttle by how deep it
// comes. Common practice, no source.
func (d Document) strokeAt(c court.Court, at court.Point, hand student.Hand, last sports.Stroke) sports.Stroke {
	const deep, short = 0.7, 0.35 // shares of the half
	if by := sports.Of(c.Sport).ByDepth; by != nil {
		switch share := math.Abs(at.Y) / (c.Length / 2); {
		case share >= deep:
			return by.Deep
		case share <= short:
			return by.Short
		}
		return by.Middle
	}
	home := court.Point{}
	for _, kind := range []PlaceKind{Start, Recovery} {
		if place, ok := d.Place(kind); ok {
			if p, err := c.Resolve(place.Mark); err == nil {
				home = p
			}
		}
	}
	stroke := sports.Forehand
	if last.Volleyed() {
		stroke = sports.ForehandVolley
	}
	if (at.X < home.X) == (hand != student.LeftHand) {
		return stroke.OtherWing()
	}
	return stroke
}
