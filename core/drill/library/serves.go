package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// fourThreeTwo is a loose grip: the same slow stroke with four fingers on the handle, with three and with two, a minute
// each, counted (common practice, no source).
func fourThreeTwo() drill.Document {
	stroke := feed.Task{Kind: feed.ShadowTask, Stroke: sports.Forehand, Landing: behind(0.5, 0.6)}
	minute := func(name, grip string, hoped int) drill.Measure {
		return drill.Measure{
			Name:       name,
			What:       score.Repetition,
			Stroke:     sports.Technique,
			Constraint: grip,
			Counts: drill.Counts{
				By: drill.ByMovement,
			},
			Goals: score.Course{{Kind: score.AsManyAsPossible, Count: hoped, Minutes: 1}},
		}
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Four, Three, Two",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "The same slow stroke with four fingers on the handle, with three and with two: a minute each, " +
			"and everybody counts their own clean ones.",
		Stroke: sports.Forehand,
		Rung:   ladder.Consistency,
		Places: []drill.Place{at(drill.Start, behind(0.5, 0)), at(drill.Feeder, off(court.FarService, 0, court.Out, 0))},
		Pattern: feed.Pattern{
			Method:    feed.ByHand,
			Gap:       3,
			Sequences: 1,
			Pause:     15,
			Ends:      feed.ByTheClock,
			On:        60,
			Next:      feed.AllAtOnce,
			Tasks:     []feed.Task{stroke},
		},
		Turns:  3,
		SetUp:  20,
		Effort: 2,
		Order:  drill.OneByOne,
		Measures: numbered(
			minute("four fingers", "four fingers on the grip", 12),
			minute("three", "three fingers on the grip", 10),
			minute("two", "two fingers on the grip", 8),
		),
		Cues: []string{"Loose until the ball would be met", "Same finish every time"},
		Cautions: []string{
			"A racket can slip: nobody stands in front of the swing.",
			"When a hand or an elbow hurts, stop.",
		},
		Equipment: []string{},
		Variations: []drill.Variation{
			easier("Slower", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Other wing", feed.Transformation{Kind: feed.ToOtherWing}),
		},
	}
}

// fourCorners is serves to both corners of both boxes, one after the other; easy ones before the first full one (common
// practice, no source).
func fourCorners() drill.Document {
	const inside = 1.2 // metres from the lines to the middle of the target
	serve := func(across float64) feed.Task {
		return feed.Task{Stroke: sports.Serve, Method: feed.SelfDrop, Landing: off(court.NearBaseline, 0.4, court.In, across)}
	}
	corner := func(name string, task int, line court.LineID, way court.Toward) drill.Measure {
		to := court.From(court.Off(court.FarService, inside, court.In), court.Off(line, inside, way))
		return drill.Measure{
			Name:   name,
			What:   score.Ball,
			Tasks:  []int{task},
			Target: target(court.Ring(inside, to)),
			Goals:  score.Course{{Kind: score.Total, Count: 6}},
		}
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Four Corners",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Serves from either side to the outer corner and to the middle of the box, one corner after the " +
			"other. Begin easy, with the height; the pace comes last.",
		Stroke:  sports.Serve,
		Rung:    ladder.Direction,
		Places:  []drill.Place{at(drill.Start, behind(0.3, 0)), at(drill.Feeder, off(court.FarService, 0, court.Out, 0))},
		Pattern: feed.Pattern{Method: feed.SelfDrop, Gap: 8, Sequences: 6, Tasks: []feed.Task{serve(0.6), serve(-0.6)}},
		Turns:   4,
		SetUp:   30,
		Effort:  4,
		Order:   drill.OneByOne,
		Measures: numbered(
			corner(
				"from the right, wide",
				0,
				court.LeftSingles,
				court.In,
			),
			corner("from the right, middle", 0, court.FarCentre, court.Left),
			corner(
				"from the left, wide",
				1,
				court.RightSingles,
				court.In,
			),
			corner("from the left, middle", 1, court.FarCentre, court.Right),
		),
		Cues: []string{"Same toss to every corner", "Up at the ball, then in"},
		Cautions: []string{
			looseBalls,
			"Easy ones before the first full one; count the serves of a young shoulder.",
			"When the shoulder hurts, stop.",
		},
		Equipment: []string{"1 basket", "4 flat markers"},
		Variations: []drill.Variation{
			easier("From one side", feed.Transformation{Kind: feed.DropTask, Task: 2}),
			harder("Full pace", feed.Transformation{Kind: feed.Attack}),
		},
	}
}
