package library

import (
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Bare is the least drill there is for a target: one deep ball beside the player, met at ease near the
// baseline, and a circle round a mark so far inside the far baseline and the right sideline. In
// squash the mark is in the back right corner, and the ball goes there off the front wall. It returns
// invalid.Fields.
func Bare(on court.ID, level student.Level, inBack, inSide, radius float64) (drill.Document, error) {
	c, err := sports.Court(on)
	if err != nil {
		return drill.Document{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	d := drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "A mark",
		Sport:         c.Sport,
		Court:         c.ID,
		Stroke:        sports.Forehand,
		Level:         level,
		Turns:         1,
		Rung:          ladder.Consistency,
		Cues:          []string{},
		Cautions:      []string{},
		Equipment:     []string{},
		Pattern: feed.Pattern{
			Method: feed.ByRacket, Gap: 5, Sequences: 1,
			Tasks: []feed.Task{{Stroke: sports.Forehand, Landing: court.At(0.3*c.Singles/2, -0.36*c.Length)}},
		},
	}
	feeder, start := court.At(0, c.Length/4), court.At(0, -c.Length/2)
	if c.HasFrontWall() {
		d.Pattern.Method, feeder, start = feed.Partner, court.At(0.4, 1.2), court.At(0, -0.9)
		d.Pattern.Tasks[0].Landing, d.Pattern.Tasks[0].Contact, d.Pattern.Tasks[0].Pace = court.At(
			1.5,
			-2.5,
		), feed.Falling, sports.Gentle
	}
	if c.AtTable() {
		start = court.At(0, -c.Length/2-0.5) // behind the table
	}
	if !sports.Of(c.Sport).Bounces() {
		start = court.At(0, -0.35*c.Length)
		d.Pattern.Tasks[0] = lobbed(4, sports.Clear, court.At(0.4, -0.42*c.Length))
	}
	d.Places = []drill.Place{at(drill.Start, start), at(drill.Feeder, feeder)}
	back, side, _ := c.Ends(false)
	d.Measures = one(
		court.Ring(radius, court.From(court.Off(back, inBack, court.In), court.Off(side, inSide, court.In))),
		score.Goal{Kind: score.Total, Count: 10},
	)
	return d, d.Check()
}

// Begun is a drill that is begun by pressing the court where its first ball lands: for somebody of club level, who
// meets the circle in the far corner about every other time and is to do so with two of six balls. Returns
// invalid.Fields.
func Begun(on court.ID, at court.Point) (drill.Document, error) {
	c, err := sports.Court(on)
	if err != nil {
		return drill.Document{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	of := sports.Of(c.Sport)
	first := of.Courts[0].Court
	radius := units.Centimetres(of.Circle * math.Min(c.Length/first.Length, c.Singles/first.Singles))
	d, err := Bare(on, student.Club, radius, radius, radius)
	if err != nil {
		return d, err
	}
	d.Name, d.Level, d.Turns, d.Pattern.Sequences, d.Effort, d.SetUp = "New drill", "", 3, 2, 5, 30
	d.Measures[0].Goals = score.Course{{Kind: score.Total, Count: 2}}
	d.Pattern.Gap, d.Pattern.Pause = 3.5, 8
	d.Pattern.Tasks[0].By, d.Pattern.Tasks[0].Value = "", 0
	d, err = d.Edited(drill.Edit{Press: &at}, student.RightHand, coach.Default())
	if err != nil {
		return d, err
	}
	d.Pattern.Tasks = d.Pattern.Tasks[1:]
	d.Stroke = d.Pattern.Tasks[0].Stroke
	return d, d.Check()
}
