package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

func returnAndIn() drill.Document {
	in := court.From(court.Off(court.NetLine, 3.4, court.Near), court.Off(court.NearCentre, 1.2, court.Left))
	back := paced(sports.HalfPace, sports.Return, off(court.NearService, 0.9, court.In, -3))
	back.Recover, back.Gap = &in, 5.5
	volley := paced(sports.HalfPace, sports.BackhandVolley, off(court.NearService, 0.2, court.In, -2.2))
	volley.Gap = 5
	d := inPadel(
		"Return, Then In",
		"Return low and cross-court, come in behind it, and volley the answer.",
		sports.Return,
		ladder.Direction,
		1.6,
		-2.4,
		feed.Pattern{Method: feed.ByRacket, Gap: 5.5, Sequences: 4, Pause: 8, Tasks: []feed.Task{back, volley}},
	)
	d.Measures, d.Effort = one(farHalf(), score.Goal{Kind: score.Total, Count: 22}), 7
	d.Cues = []string{"Meet it after the glass if it is deep, before if it is short", "Two steps, then split"}
	return d
}

func twoAtTheNet() drill.Document {
	at2 := func(player int, stroke sports.Stroke, across float64) feed.Task {
		t := paced(sports.HalfPace, stroke, off(court.NearService, 0.7, court.In, across))
		t.Player = player
		return t
	}
	d := inPadel(
		"Shoulder to Shoulder",
		"Two at the net as if a rope tied them: whoever the ball comes to volleys deep through the middle, and both move "+
			"with it.",
		sports.ForehandVolley,
		ladder.Consistency,
		6.6,
		2,
		feed.Pattern{Method: feed.ByRacket, Gap: 2.8, Sequences: 4, Pause: 6, Tasks: []feed.Task{
			at2(
				0,
				sports.ForehandVolley,
				2.6,
			),
			at2(1, sports.BackhandVolley, -2.8),
			at2(0, sports.BackhandVolley, 1.2),
			at2(1, sports.ForehandVolley, -1.2),
		}},
	)
	d.Places = append(
		[]drill.Place{d.Places[0], at(drill.Start, off(court.NearBaseline, 6.6, court.In, -2))},
		d.Places[1:]...)
	between := off(court.FarBaseline, 3, court.In, 0)
	middle := court.Target{Kind: court.BoxTarget, Mark: &between, Width: 4, Depth: 5}
	d.Measures = numbered(
		drill.Measure{
			Name:   "right",
			What:   score.Ball,
			Tasks:  []int{0, 2},
			Target: &middle,
			Goals:  score.Course{{Kind: score.Total, Count: 8}},
		},
		drill.Measure{
			Name:   "left",
			What:   score.Ball,
			Tasks:  []int{1, 3},
			Target: &middle,
			Goals:  score.Course{{Kind: score.Total, Count: 8}},
		},
	)
	d.Cues, d.Cautions = []string{"Same line, same distance", "Call early: mine, or yours"}, []string{looseBalls, eyes}
	return d
}
