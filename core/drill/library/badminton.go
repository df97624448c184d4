package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// shuttles is a badminton drill around the base in the middle.
func shuttles(pattern feed.Pattern, effort int) drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Sport:         court.Badminton,
		Court:         "badminton",
		Stroke:        sports.Clear,
		Rung:          ladder.Consistency,
		Level:         student.Improver,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NearService, court.NearBaseline, 0.45), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(drill.Feeder, off(court.FarService, 1, court.Out, 0)),
		},
		Pattern:   pattern,
		Turns:     3,
		SetUp:     30,
		Effort:    effort,
		Measures:  repeated(score.Goal{Kind: score.Total, Count: 24}),
		Cautions:  []string{"Dry floor and shoes that grip before quick turns.", "Stop when the knee or the ankle hurts."},
		Equipment: []string{"6 flat markers"},
	}
}

// corner is a task at a place measured from a line, so far to the right.
func corner(kind feed.Kind, line court.LineID, distance, across float64, stroke sports.Stroke) feed.Task {
	return feed.Task{Kind: kind, Stroke: stroke, Landing: off(line, distance, court.In, across)}
}

// twoShadows has one mirror the partner's way over the court (common practice, no source).
func twoShadows() drill.Document {
	d := shuttles(
		feed.Pattern{Method: feed.Partner, Gap: 3.2, Sequences: 8, Pause: 0, Order: feed.Drawn, Seed: 21, Tasks: []feed.Task{
			corner(
				feed.ShadowTask,
				court.NearService,
				0.2,
				1.6,
				sports.Lift,
			),
			corner(feed.ShadowTask, court.NearService, 0.2, -1.6, sports.Lift),
			corner(
				feed.ShadowTask,
				court.NearBaseline,
				1,
				1.3,
				sports.Clear,
			),
			corner(feed.ShadowTask, court.NearBaseline, 1, -1.3, sports.Clear),
		}},
		7,
	)
	d = wanting(d, 46)
	d.Name, d.Summary = "Two Shadows", "One leads over the court without a shuttle, the other is the mirror; after "+
		"half a minute the lead changes."
	d.Cues = []string{"Eyes on the leader's hips", "Split step as the leader turns"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
		harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.5}),
	}
	return d
}

// fastFeetThenGo is quick feet on the spot, then a shuttle to react to (common practice, no source).
func fastFeetThenGo() drill.Document {
	spot := func(across float64) feed.Task {
		return feed.Task{
			Kind:   feed.TouchTask,
			Stroke: sports.Lift,
			Landing: court.From(
				court.Between(court.NearService, court.NearBaseline, 0.45),
				court.Off(court.NearCentre, across, court.Right),
			),
			Gap: 1.5,
		}
	}
	go1 := lobbed(3.8, sports.Lift, off(court.NearService, 0.5, court.In, 1.2))
	go2 := ball(sports.Clear, off(court.NearBaseline, 1, court.In, 0.8))
	go1.Gap, go2.Gap = 4, 4
	d := shuttles(
		feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       4,
			Sequences: 3,
			Pause:     8,
			Tasks:     []feed.Task{spot(0.4), spot(0), go1, spot(0.4), spot(0), go2},
		},
		8,
	)
	d = wanting(d, 18)
	d.Name, d.Summary = "Fast Feet, Then Go", "Quick feet over a line; then a shuttle goes up, front or back, and the "+
		"feet are already moving."
	d.Cues = []string{"Light on the toes", "First step towards the shuttle, not up"}
	d.Equipment = []string{"1 tube of shuttles", "2 flat markers"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
		harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.4}),
	}
	return d
}

// roundThePosts is the run to every corner on the clock (common practice, no source).
func roundThePosts() drill.Document {
	d := shuttles(feed.Pattern{Method: feed.ByHand, Gap: 2.6, Sequences: 2, Pause: 20, Tasks: []feed.Task{
		corner(
			feed.TouchTask,
			court.NearService,
			0.2,
			1.8,
			sports.Lift,
		),
		corner(feed.TouchTask, court.NearService, 0.2, -1.8, sports.Lift),
		corner(
			feed.TouchTask,
			court.NearBaseline,
			3,
			1.8,
			sports.Smash,
		),
		corner(feed.TouchTask, court.NearBaseline, 3, -1.8, sports.Smash),
		corner(
			feed.TouchTask,
			court.NearBaseline,
			1,
			1.5,
			sports.Clear,
		),
		corner(feed.TouchTask, court.NearBaseline, 1, -1.5, sports.Clear),
	}}, 9)
	d.Name, d.Summary = "Round the Posts", "A marker in each corner and on each side: touch them all twice, back to "+
		"the base after each: the best of three runs on the clock."
	d.Measures = []drill.Measure{
		{
			Number: 1,
			What:   score.Time,
			Stroke: sports.Footwork,
			Counts: drill.Counts{By: drill.ByMovement},
			Goals:  score.Course{{Kind: score.WithinATime, Count: 3, Seconds: 32}},
		},
	}
	d.Cues = []string{"Racket foot to the marker", "Push off, do not stand up"}
	d.Cautions = append(d.Cautions, "Hard running: a full rest and water after each turn.")
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.6}),
		harder("Called, in any order", feed.Transformation{Kind: feed.Shuffle, Seed: 5}),
	}
	return d
}

// shuttleRain feeds many shuttles at a pace set for the player (common practice, no source).
func shuttleRain() drill.Document {
	d := shuttles(feed.Pattern{Method: feed.ByRacket, Gap: 3, Sequences: 3, Pause: 15, Tasks: []feed.Task{
		ball(
			sports.Clear,
			off(court.NearBaseline, 1, court.In, 1),
		),
		ball(sports.Clear, off(court.NearBaseline, 1, court.In, -1)),
		lobbed(
			3.8,
			sports.Lift,
			off(court.NearService, 0.5, court.In, 1.2),
		),
		ball(sports.Smash, off(court.NearBaseline, 2.5, court.In, 0)),
	}}, 9)
	d.Name, d.Summary = "Shuttle Rain", "Many shuttles, one after the other, at the pace this player can just keep up "+
		"with: set the gap by the verdicts."
	d.Rung = ladder.Direction
	d.Measures = counted(
		drill.Counts{NoCount: true},
		one(court.StripAlong(court.FarBaseline, 1.2), score.Goal{Kind: score.Total, Count: 20}),
	)
	d.Cues = []string{"Back to the base before the next one", "Reach up for the clear"}
	d.Cautions = []string{
		"Sweep shuttles off the floor between turns.",
		"Overhead strokes add up for growing shoulders; pain means stop.",
	}
	d.Equipment = []string{"1 tube of shuttles"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
		harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.4}),
		harder("In any order", feed.Transformation{Kind: feed.Shuffle, Seed: 9}),
	}
	return d
}
