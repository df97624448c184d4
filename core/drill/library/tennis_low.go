package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// underTheBar is low balls: sliced to the feet, played up the middle first, then with movement (common
// practice, no source).
func underTheBar() drill.Document {
	low := func(across float64, stroke sports.Stroke) feed.Task {
		t := paced(sports.HalfPace, stroke, off(court.NearService, 0.8, court.Out, across))
		t.Spin, t.Contact, t.At = sports.Slice, feed.AtHeight, 0.4
		return t
	}
	feet := func(stroke sports.Stroke) feed.Task {
		t := low(0, stroke)
		t.Toward, t.Contact, t.At = feed.TheFeet, feed.Rising, 0
		return t
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Under the Bar",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary:       "Slices that stay low at the feet: bend, and play them up the middle first; then from either side.",
		Stroke:        sports.Backhand,
		Rung:          ladder.Consistency,
		Places: []drill.Place{
			at(drill.Start, off(court.NearService, 3, court.Out, 0)), at(drill.Feeder, off(court.FarBaseline, 1, court.In, 0)),
		},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       4,
			Sequences: 3,
			Pause:     8,
			Tasks: []feed.Task{
				feet(sports.Forehand),
				feet(sports.Backhand),
				low(1.6, sports.Forehand),
				low(-1.7, sports.Backhand),
			},
		},
		Turns:     2,
		SetUp:     40,
		Effort:    6,
		Measures:  one(court.Ring(2, off(court.FarBaseline, 4, court.In, 0)), score.Goal{Kind: score.Total, Count: 12}),
		Cues:      []string{"Bend the knees, not the back", "Open the racket face"},
		Cautions:  []string{looseBalls, "Bend as deep as is comfortable; pain means stop."},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Wider", feed.Transformation{Kind: feed.Spread, By: 1.3}),
			harder("Deeper", feed.Transformation{Kind: feed.Deeper, By: 1}),
		},
	}
}

// shortOrHigh is one ball to read: an approach and a volley if it comes short, an overhead if it comes high, else the
// rally goes on (common practice, no source).
func shortOrHigh() drill.Document {
	deep := paced(sports.HalfPace, sports.Forehand, off(court.NearBaseline, 3, court.In, 0))
	deep.Area = &feed.Area{Wide: 4, Deep: 1.5}
	short := paced(sports.HalfPace, sports.Approach, off(court.NearService, 0.5, court.Out, 1))
	in := court.From(court.Between(court.NetLine, court.NearService, 0.7), court.Off(court.NearCentre, 0, court.Right))
	short.Recover = &in
	volley := paced(sports.HalfPace, sports.ForehandVolley, off(court.NearService, 0, court.Out, 0.8))
	volley.Gap = 5
	high := lobbed(5, sports.Overhead, off(court.NearService, 1.5, court.Out, 0))
	high.Gap = 5
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Short or High",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Deep balls anywhere in the back; now and then one comes short, to be approached and volleyed, or " +
			"high, to be hit overhead. Read it early.",
		Stroke: sports.Forehand,
		Rung:   ladder.Direction,
		Places: []drill.Place{at(drill.Start, behind(0.8, 0)), at(drill.Feeder, off(court.FarService, 1, court.Out, 0))},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       4.5,
			Sequences: 6,
			Pause:     6,
			Seed:      5,
			Tasks:     []feed.Task{deep, short, volley, high},
			Branches: []feed.Branch{
				{From: 1, To: 2, Case: feed.IfShort, Chance: 0.35}, {From: 3, To: 3, Case: feed.IfHigh, Chance: 0.25},
			},
		},
		Turns:  3,
		SetUp:  30,
		Effort: 7,
		Measures: numbered(
			drill.Measure{
				Name:   "deep balls",
				What:   score.Ball,
				Tasks:  []int{0},
				Target: target(farHalf()),
				Goals:  score.Course{{Kind: score.Total, Count: 17}},
			},
			drill.Measure{
				Name:   "at the net",
				What:   score.Ball,
				Tasks:  []int{2, 3},
				Target: target(farHalf()),
				Counts: drill.Counts{Choices: true},
				Goals:  score.Course{{Kind: score.Total, Count: 8}},
			},
		),
		Cues:      []string{"Call it: short, or high", "Stop before the volley"},
		Cautions:  []string{looseBalls, turnAndRun},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			easier("Without the high one", feed.Transformation{Kind: feed.DropTask, Task: 4}),
			harder("Attack", feed.Transformation{Kind: feed.Attack}),
			harder("Sliced", feed.Transformation{Kind: feed.SliceIn}),
		},
	}
}
