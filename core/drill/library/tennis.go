package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// coinInTheCorner aims short balls 4.5 ft in from the sideline and 6.5 ft in from the baseline
// (common practice, no source).
func coinInTheCorner() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Coin in the Corner",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "A deep ball to push the player back, then a short one to step in on and place cross-court in the " +
			"corner.",
		Stroke: sports.Forehand,
		Rung:   ladder.Direction,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Off(court.NearBaseline, 0.6, court.Out), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(
				drill.Recovery,
				court.From(court.Off(court.NearBaseline, 0.6, court.Out), court.Off(court.NearCentre, 1.5, court.Right)),
			),
			at(drill.Feeder, court.From(court.Off(court.FarService, 1, court.Out), court.Off(court.FarCentre, 0.6, court.Left))),
		},
		Pattern: feed.Pattern{
			Method: feed.ByRacket, Gap: 3.5, Sequences: 3, Pause: 6,
			Tasks: []feed.Task{
				ball(
					sports.Forehand,
					court.From(court.Off(court.NearBaseline, 1.5, court.In), court.Off(court.RightSingles, 1.5, court.In)),
				),
				paced(
					sports.Gentle,
					sports.Forehand,
					court.From(court.Off(court.NearService, 0.6, court.In), court.Off(court.RightSingles, 1.8, court.In)),
				),
			},
		},
		Turns:  4,
		SetUp:  60,
		Effort: 6,
		Measures: counted(
			drill.Counts{NoCount: true},
			one(
				court.Ring(
					4.5*ft,
					court.From(court.Off(court.FarBaseline, 6.5*ft, court.In), court.Off(court.LeftSingles, 4.5*ft, court.In)),
				),
				score.Goal{Kind: score.Total, Count: 5},
			),
		),
		Cues:      []string{"Small steps into the short ball", "Full swing: no pushing it in"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "4 flat markers"},
		Variations: []drill.Variation{
			easier("Only the short ball", feed.Transformation{Kind: feed.DropTask, Task: 1}),
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
			harder("Backhand wing", feed.Transformation{Kind: feed.ToOtherWing}),
			harder(
				"Quicker, and one more",
				feed.Transformation{Kind: feed.LinkOn},
				feed.Transformation{Kind: feed.Quicken, By: 0.5},
			),
		},
	}
}

// lastStretch asks for depth in a strip 4.5 ft inside the baseline, 25 balls (common practice, no
// source).
func lastStretch() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Last Stretch",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Alternate a ball to the backhand corner and one to the middle; every reply is to land in the " +
			"last stretch before the baseline.",
		Stroke: sports.Backhand,
		Rung:   ladder.Depth,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 0.6, court.Left)),
			),
			at(
				drill.Recovery,
				court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 1, court.Right)),
			),
			at(
				drill.Feeder,
				court.From(court.Between(court.FarService, court.FarBaseline, 0.5), court.Off(court.FarCentre, 0, court.Right)),
			),
		},
		Pattern: feed.Pattern{
			Method: feed.ByRacket, Gap: 3.8, Sequences: 4, Pause: 4,
			Tasks: []feed.Task{
				paced(
					sports.HalfPace,
					sports.Backhand,
					court.From(court.Off(court.NearBaseline, 2, court.In), court.Off(court.LeftSingles, 1.2, court.In)),
				),
				paced(
					sports.HalfPace,
					sports.Backhand,
					court.From(court.Off(court.NearBaseline, 2.2, court.In), court.Off(court.NearCentre, 0.8, court.Left)),
				),
			},
		},
		Turns:     4,
		SetUp:     60,
		Effort:    6,
		Measures:  one(court.StripAlong(court.FarBaseline, 4.5*ft), score.Goal{Kind: score.Total, Count: 25}),
		Cues:      []string{"Height over the net gives depth", "Finish the swing high"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "1 rope or 6 flat markers"},
		Variations: []drill.Variation{
			easier("All from one place", feed.Transformation{Kind: feed.LockPlace, Task: 2}),
			harder("Wider apart", feed.Transformation{Kind: feed.Spread, By: 1.3}),
			harder(
				"In any order, quicker",
				feed.Transformation{Kind: feed.Shuffle, Seed: 5},
				feed.Transformation{Kind: feed.Quicken, By: 0.4},
			),
		},
	}
}

func inUpAndOver() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion, Name: "In, Up and Over", Sport: court.Tennis, Court: "tennis",
		Summary: "Approach, volley, overhead: three balls on the way to the net, the last one played going back.",
		Stroke:  sports.ForehandVolley, Rung: ladder.Consistency,
		Places: []drill.Place{
			at(drill.Start, court.From(court.Off(court.NearService, 2, court.Out), court.Off(court.NearCentre, 0, court.Right))),
			at(
				drill.Recovery,
				court.From(court.Between(court.NetLine, court.NearService, 0.6), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(
				drill.Feeder,
				court.From(court.Off(court.FarBaseline, 2.5, court.In), court.Off(court.FarCentre, 1, court.Right)),
			),
		},
		Pattern: feed.Pattern{
			Method: feed.ByRacket, Gap: 4, Sequences: 2, Pause: 8,
			Tasks: []feed.Task{
				paced(
					sports.HalfPace,
					sports.Approach,
					court.From(court.Off(court.NearService, 0.8, court.Out), court.Off(court.RightSingles, 2, court.In)),
				),
				paced(
					sports.HalfPace,
					sports.ForehandVolley,
					court.From(court.Between(court.NetLine, court.NearService, 0.9), court.Off(court.NearCentre, 1.4, court.Right)),
				),
				lobbed(
					5,
					sports.Overhead,
					court.From(court.Off(court.NearService, 1.5, court.Out), court.Off(court.NearCentre, 0.4, court.Left)),
				),
			},
		},
		Turns: 3, SetUp: 75, Effort: 8,
		Measures:  one(court.StripAlong(court.FarBaseline, 3), score.Goal{Kind: score.Streak, Count: 5}),
		Cues:      []string{"Split step as the feeder strikes", "Racket head above the wrist"},
		Cautions:  []string{turnAndRun, looseBalls, "Count overheads for growing shoulders; pain means stop."},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("Without the overhead", feed.Transformation{Kind: feed.DropTask, Task: 3}),
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Backhand volley", feed.Transformation{Kind: feed.ToOtherWing}),
		},
	}
}

func bothVerges() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Both Verges",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Wide to one side, wide to the other, then one to the middle: play high cross-court and get back " +
			"each time.",
		Stroke: sports.Forehand,
		Rung:   ladder.Consistency,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Off(court.NearBaseline, 0.9, court.Out), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(drill.Feeder, court.From(court.Off(court.FarService, 0.5, court.In), court.Off(court.FarCentre, 0, court.Right))),
		},
		Pattern: feed.Pattern{
			Back: feed.HalfWay, Method: feed.ByRacket, Gap: 4, Sequences: 2, Pause: 10,
			Tasks: []feed.Task{
				paced(
					sports.Gentle,
					sports.Forehand,
					court.From(court.Off(court.NearBaseline, 3, court.In), court.Off(court.RightSingles, 0.9, court.In)),
				),
				paced(
					sports.Gentle,
					sports.Backhand,
					court.From(court.Off(court.NearBaseline, 3, court.In), court.Off(court.LeftSingles, 0.9, court.In)),
				),
				paced(
					sports.Gentle,
					sports.Forehand,
					court.From(court.Off(court.NearBaseline, 2.5, court.In), court.Off(court.NearCentre, 0.9, court.Right)),
				),
			},
		},
		Turns:  4,
		SetUp:  45,
		Effort: 7,
		Measures: one(
			court.Ring(
				1.8,
				court.From(court.Between(court.FarService, court.FarBaseline, 0.5), court.Off(court.LeftSingles, 2, court.In)),
			),
			score.Goal{Kind: score.Streak, Count: 3},
		),
		Cues:      []string{"Outside foot plants, then push back", "High and cross-court buys time"},
		Cautions:  []string{looseBalls, "Watch the fences and the next court when running wide."},
		Equipment: []string{"1 basket", "2 flat markers"},
		Variations: []drill.Variation{
			easier("Less wide", feed.Transformation{Kind: feed.Gather, By: 1.4}),
			harder("Deeper", feed.Transformation{Kind: feed.Deeper, By: 1}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 1}),
		},
	}
}

// toeTheChalk is depth from about 3 ft behind the baseline, then on the rise from right behind it, never
// letting the ball pass the line (common practice, no source).
func toeTheChalk() drill.Document {
	rise := func(stroke sports.Stroke, across float64) feed.Task {
		t := paced(sports.HalfPace, stroke, off(court.NearBaseline, 2, court.In, across))
		t.Contact, t.Stance = feed.Rising, "feet right behind the line"
		return t
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Toe the Chalk",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Two deep balls from a stride behind the baseline, then two taken on the rise with the feet right " +
			"behind it: no ball may pass the line.",
		Stroke: sports.Forehand,
		Rung:   ladder.Depth,
		Places: []drill.Place{
			at(drill.Start, off(court.NearBaseline, 3*ft, court.Out, 0)),
			at(drill.Feeder, off(court.FarBaseline, 1, court.In, 0)),
		},
		Pattern: feed.Pattern{Method: feed.ByRacket, Gap: 3.5, Sequences: 3, Pause: 8, Tasks: []feed.Task{
			paced(
				sports.HalfPace,
				sports.Forehand,
				off(court.NearBaseline, 3, court.In, 1.6),
			),
			paced(sports.HalfPace, sports.Backhand, off(court.NearBaseline, 3, court.In, -1.6)),
			rise(sports.Forehand, 1.2),
			rise(sports.Backhand, -1.2),
		}},
		Turns:     3,
		SetUp:     45,
		Effort:    7,
		Measures:  one(court.StripAlong(court.FarBaseline, 2), score.Goal{Kind: score.Total, Count: 9}),
		Cues:      []string{"Short backswing on the rise", "Hold the line with the feet"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "1 rope for the line"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Deeper", feed.Transformation{Kind: feed.Deeper, By: 0.8}),
			harder("In any order", feed.Transformation{Kind: feed.Shuffle, Seed: 2}),
		},
	}
}
