package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// netAlphabet is the warm-up of two at the net: forehand volley, backhand volley, both in turn, overhead;
// the roles change every minute (common practice, no source).
func netAlphabet() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Net Alphabet",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "A pair warms up at the net: volleys on either side, then an overhead, fed by the partner; roles " +
			"change every minute, no errors, feet never still.",
		Stroke: sports.ForehandVolley,
		Rung:   ladder.Consistency,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NetLine, court.NearService, 0.55), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(drill.Feeder, off(court.FarBaseline, 3, court.In, 0.5)),
		},
		Pattern: feed.Pattern{Method: feed.Partner, Gap: 3, Sequences: 4, Pause: 6, Tasks: []feed.Task{
			paced(
				sports.HalfPace,
				sports.ForehandVolley,
				off(court.NearService, 0.5, court.Out, 1),
			),
			paced(sports.HalfPace, sports.BackhandVolley, off(court.NearService, 0.5, court.Out, -1)),
			lobbed(4.5, sports.Overhead, off(court.NearService, 1, court.Out, 0)),
		}},
		Turns:     2,
		SetUp:     20,
		Effort:    4,
		Measures:  one(farHalf(), score.Goal{Kind: score.Streak, Count: 20}),
		Cues:      []string{"Always moving between balls", "Meet it in front"},
		Cautions:  []string{turnAndRun, eyes},
		Equipment: []string{"6 balls"},
		Variations: []drill.Variation{
			easier("Volleys only", feed.Transformation{Kind: feed.DropTask, Task: 3}),
			harder("Wider", feed.Transformation{Kind: feed.Spread, By: 1.4}),
		},
	}
}

// firstAnswer is the serve-and-return part of that warm-up: the partner serves, the student returns (common
// practice, no source).
func firstAnswer() drill.Document {
	served := paced(
		sports.RallyPace,
		sports.Return,
		court.From(court.Off(court.NearService, 1.2, court.In), court.Off(court.NearCentre, 2, court.Right)),
	)
	served.Contact = feed.Rising
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "First Answer",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "The partner serves at rally pace into one box; every return goes back deep, and after a minute " +
			"the roles change.",
		Stroke: sports.Return,
		Rung:   ladder.Consistency,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 0.6, court.Out, 2.6),
			),
			at(drill.Feeder, off(court.FarBaseline, 0.2, court.Out, -0.6)),
		},
		Pattern:   feed.Pattern{Method: feed.Partner, Gap: 7, Sequences: 4, Pause: 5, Tasks: []feed.Task{served}},
		Turns:     2,
		SetUp:     20,
		Effort:    4,
		Measures:  one(farHalf(), score.Goal{Kind: score.Total, Count: 6}),
		Cues:      []string{"Split step as the server strikes", "Short backswing"},
		Cautions:  []string{looseBalls, "Serve with half the shoulder until it is warm."},
		Equipment: []string{"6 balls"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 2}),
			harder("Backhand side", feed.Transformation{Kind: feed.ToOtherWing}),
		},
	}
}
