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

// twoAndAway is the line drill: two balls each, then to the back of the line; everybody picks up as many
// as they hit (common practice, no source).
func twoAndAway() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Two and Away",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "A line behind the baseline: forehand, backhand, and away to the back of the line; pick up as " +
			"many balls as you hit.",
		Stroke: sports.Forehand,
		Rung:   ladder.Direction,
		Level:  student.Improver,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 0.8, court.Out, 0),
			),
			at(drill.Queue, off(court.NearBaseline, 4.5, court.Out, 2.5)),
			at(drill.OnDeck, off(court.NearBaseline, 3, court.Out, 1.5)),
			at(drill.Feeder, off(court.FarService, 0, court.Out, 0)),
		},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       3.2,
			Sequences: 1,
			Pause:     3,
			Next:      feed.WhileTheLast,
			Overlap:   1.5,
			Tasks: []feed.Task{
				paced(
					sports.HalfPace,
					sports.Forehand,
					off(court.NearBaseline, 3, court.In, 1.8),
				),
				paced(sports.HalfPace, sports.Backhand, off(court.NearBaseline, 3, court.In, -1.4)),
			},
		},
		Turns:    6,
		SetUp:    40,
		Effort:   5,
		Measures: one(court.Ring(2.5, off(court.FarBaseline, 3.5, court.In, -2)), score.Goal{Kind: score.Total, Count: 5}),
		Cues:     []string{"Ready before the feed", "Walk back outside the court"},
		Cautions: []string{
			looseBalls,
			"The line waits out of the swing of the one who plays.",
		},
		Equipment: []string{"1 basket", "3 flat markers"},
		Variations: []drill.Variation{
			easier("One ball each", feed.Transformation{Kind: feed.DropTask, Task: 2}),
			easier("Nearer together", feed.Transformation{Kind: feed.Gather, By: 2}),
			harder("Three balls each", feed.Transformation{Kind: feed.LinkOn}),
		},
	}
}

// crossroads is the figure of eight: one only cross-court, the other only down the line, at least ten shots
// a rally; the second runs more (common practice, no source).
func crossroads() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Crossroads",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "One plays only cross-court, the other only down the line: ten shots or more, then change over. " +
			"Who goes down the line runs more.",
		Stroke: sports.Forehand,
		Rung:   ladder.Direction,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 1, court.Out, 0),
			),
			at(drill.Recovery, off(court.NearBaseline, 1, court.Out, 0)),
			at(drill.Feeder, off(court.FarBaseline, 1, court.Out, 0)),
		},
		Pattern: feed.Pattern{
			Method:    feed.Live,
			Gap:       1.8,
			Sequences: 3,
			Pause:     15,
			Tasks:     []feed.Task{paced(sports.HalfPace, sports.Forehand, off(court.NearBaseline, 3, court.In, 2.5))},
			Rally: &feed.Rally{
				Near:  feed.CrossCourt,
				Far:   feed.DownTheLine,
				Shots: 12,
				Deep:  3,
				Wide:  1.5,
				Pace:  sports.HalfPace,
			},
		},
		Turns:     3,
		SetUp:     45,
		Effort:    8,
		Measures:  one(farHalf(), score.Goal{Kind: score.Rallies, Count: 3, From: 10, To: 30}),
		Cues:      []string{"Height over the net buys time", "Recover a step towards the longer way"},
		Cautions:  []string{looseBalls, "Long runs: water and a break after each change."},
		Equipment: []string{"6 balls"},
		Variations: []drill.Variation{
			easier("Slower gaps", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Mirrored", feed.Transformation{Kind: feed.ForLeftHander}),
		},
	}
}

// pairAgainstOne is two against one where the pair only plays straight (common practice, no source).
func pairAgainstOne() drill.Document {
	d := crossroads()
	d.Name, d.Summary = "Pair Against One", "Two at one end, each on their own side, play only straight; the one "+
		"opposite sends the ball to either of them in turn."
	d.Pattern.Rally = &feed.Rally{
		Near:  feed.Alternate,
		Far:   feed.DownTheLine,
		Pair:  true,
		Shots: 12,
		Deep:  3,
		Wide:  1.5,
		Pace:  sports.HalfPace,
	}
	return d
}

// threeDoorsIn is the transition series: contact near the baseline, three to four steps in, and near the
// service line; open stance on the first two, closed on the third (common practice, no source).
func threeDoorsIn() drill.Document {
	door := func(stance string, line court.LineID, distance float64, toward court.Toward, across float64,
		pace sports.Pace) feed.Task {
		t := paced(pace, sports.Forehand, off(line, distance, toward, across))
		t.Stance = stance
		return t
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Three Doors In",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Three forehands on the way in: near the baseline, a few steps inside, and near the service line. " +
			"Feet open, open, closed.",
		Stroke: sports.Forehand,
		Rung:   ladder.Pace,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 0.5, court.Out, 0),
			),
			at(drill.Recovery, off(court.NearService, 2, court.Out, 0)),
			at(drill.Feeder, off(court.FarBaseline, 3, court.In, 0)),
		},
		Pattern: feed.Pattern{
			Back:      feed.HalfWay,
			Method:    feed.ByRacket,
			Gap:       3.2,
			Sequences: 2,
			Pause:     10,
			Tasks: []feed.Task{
				door(
					"open",
					court.NearBaseline,
					3.2,
					court.In,
					1.2,
					sports.HalfPace,
				),
				door("open", court.NearService, 1, court.Out, 1.2, sports.HalfPace),
				door("closed", court.NearService, 1.5, court.In, 0.8, sports.Gentle),
			},
		},
		Turns:     3,
		SetUp:     45,
		Effort:    7,
		Measures:  one(court.StripAlong(court.FarBaseline, 2.5), score.Goal{Kind: score.Total, Count: 6}),
		Cues:      []string{"Load on the outside leg", "Step through the third"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket", "3 flat markers"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			easier("Without the first", feed.Transformation{Kind: feed.DropTask, Task: 1}),
			harder(
				"Other wing",
				feed.Transformation{Kind: feed.ToOtherWing},
			),
			harder("And out again", feed.Transformation{Kind: feed.Reverse}),
		},
	}
}

// metronome is machine work: sequences of three with a pause, set in balls a minute; deep marks keep the
// replies out of the middle (common practice, no source).
func metronome() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Metronome",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "The machine gives three and a pause: wide, middle, wide. Every reply to the deep mark, not to " +
			"the middle.",
		Stroke: sports.Backhand,
		Rung:   ladder.Depth,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 1, court.Out, 0),
			),
			at(drill.Feeder, off(court.FarBaseline, 0.5, court.In, 0)),
		},
		Pattern: feed.Pattern{Method: feed.Machine, Gap: 3, Sequences: 5, Pause: 5, Tasks: []feed.Task{
			{
				Stroke:  sports.Backhand,
				Landing: off(court.NearBaseline, 3, court.In, -2.4),
				Pace:    sports.RallyPace,
				Spin:    sports.Topspin,
			},
			{
				Stroke:  sports.Backhand,
				Landing: off(court.NearBaseline, 3, court.In, -0.6),
				Pace:    sports.RallyPace,
				Spin:    sports.Topspin,
			},
			{
				Stroke:  sports.Forehand,
				Landing: off(court.NearBaseline, 3, court.In, 2.4),
				Pace:    sports.RallyPace,
				Spin:    sports.Topspin,
			},
		}},
		Turns:    3,
		SetUp:    120,
		Effort:   7,
		Measures: one(court.Ring(1.8, off(court.FarBaseline, 2.2, court.In, -2.6)), score.Goal{Kind: score.Total, Count: 14}),
		Cues:     []string{"Aim at the mark, not back to the machine"},
		Cautions: []string{
			looseBalls,
			"Switch the machine off before anybody walks in front of it.",
		},
		Equipment: []string{"ball machine", "2 baskets", "2 cones"},
		Variations: []drill.Variation{
			easier("Slower", feed.Transformation{Kind: feed.Slow, By: 0.6}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.5}),
			harder("In any order", feed.Transformation{Kind: feed.Shuffle, Seed: 9}),
		},
	}
}
