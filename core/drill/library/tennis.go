package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/progress"
	"hodometer/core/people/student"
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
		Rung:   progress.Direction,
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
				score.Goal{Kind: score.Total, Count: 10},
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
		Rung:   progress.Depth,
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
		Stroke:  sports.ForehandVolley, Rung: progress.Consistency,
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
		Rung:   progress.Consistency,
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
			score.Goal{Kind: score.Streak, Count: 4},
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
		Rung:   progress.Depth,
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
		Measures:  one(court.StripAlong(court.FarBaseline, 2), score.Goal{Kind: score.Total, Count: 20}),
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
		Rung:   progress.Consistency,
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
		Measures:  one(farHalf(), score.Goal{Kind: score.Streak, Count: 10}),
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
		Rung:   progress.Consistency,
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

// exchanged is one ball between a volleyer and a partner who drops it and then plays it back: two strokes as often as a
// group says, so many metres nearer each time.
func exchanged(from, partner court.Mark, tasks []feed.Task, groups ...feed.Repeat) drill.Document {
	drop := feed.Task{Stroke: sports.Forehand, Landing: partner, Method: feed.SelfDrop, Player: 1, Contact: feed.Falling}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Sport:         court.Tennis,
		Court:         "tennis",
		Stroke:        sports.ForehandVolley,
		Rung:          progress.Consistency,
		Places:        []drill.Place{at(drill.Start, from), at(drill.Start, partner), at(drill.Feeder, partner)},
		Pattern: feed.Pattern{
			Method:    feed.Partner,
			Gap:       1.3,
			Sequences: 1,
			Pause:     10,
			Tasks:     append([]feed.Task{drop}, tasks...),
			Repeats:   groups,
		},
		SetUp:     40,
		Equipment: []string{"6 balls"},
	}
}

// answered is a ball that a player sends on to where it would land; a volley is met before it does.
func answered(player int, pace sports.Pace, stroke sports.Stroke, landing court.Mark) feed.Task {
	t := paced(pace, stroke, landing)
	t.Method, t.Player = feed.Answer, player
	return t
}

// deepMiddle is a place in the middle of the near half, so far from the net.
func deepMiddle(fromNet float64) court.Mark {
	return court.From(court.Off(court.NetLine, fromNet, court.Near), court.Off(court.NearCentre, 0, court.Right))
}

// farMiddle is a place on the far half, so far inside the baseline, a little to the right.
func farMiddle(in float64) court.Mark { return off(court.FarBaseline, in, court.In, -0.4) }

// fourRungsIn is five volleys from each of four depths, in and back out, with one ball: a streak whose
// stages are not equally hard (common practice, no source).
func fourRungsIn() drill.Document {
	const rung = 2.0 // metres between two depths
	partner := off(court.FarBaseline, 0.5, court.In, 0)
	back := answered(1, sports.HalfPace, sports.Forehand, farMiddle(4))
	way := func(fromNet float64) []feed.Task {
		return []feed.Task{
			answered(0, sports.HalfPace, sports.ForehandVolley, off(court.NetLine, fromNet+2, court.Near, 0.5)),
			back,
		}
	}
	d := exchanged(deepMiddle(9), partner, append(way(9), way(5)...),
		feed.Repeat{From: 1, To: 2, Times: 4, Nearer: rung, Whose: 1}, feed.Repeat{From: 1, To: 2, Times: 5},
		feed.Repeat{From: 3, To: 4, Times: 3, Nearer: -rung, Whose: 1}, feed.Repeat{From: 3, To: 4, Times: 5})
	d.Name, d.Summary = "Four Rungs In", "Five volleys, then a step nearer to the net, from four depths and back out "+
		"again, all with one ball and in one streak."
	first, last := deepMiddle(9), deepMiddle(5)
	d.Pattern.Tasks[1].Recover, d.Pattern.Tasks[3].Recover = &first, &last
	five := score.Stage{Count: 5}
	far, near := score.Stage{Count: 5, Hard: score.Harder}, score.Stage{Count: 5, Hard: score.Easier}
	d.Measures = []drill.Measure{{Number: 1, What: score.Ball, Tasks: []int{1, 3}, Target: target(farHalf()),
		Goals: score.Course{{Kind: score.Stages, Count: 1, Stages: []score.Stage{far, five, five, near, five, five, far}}}}}
	d.Turns, d.Effort = 2, 5
	d.Cues, d.Cautions = []string{
		"Split step before every ball",
		"Racket up on the way in",
	}, []string{
		eyes,
		"Nobody walks behind the volleyer.",
	}
	d.Variations = []drill.Variation{
		easier("Keep it soft", feed.Transformation{Kind: feed.Neutral}),
		harder("Sliced at the volleyer", feed.Transformation{Kind: feed.SliceIn}),
	}
	return d
}

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
		Rung:   progress.Direction,
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
		Measures: one(court.Ring(2.5, off(court.FarBaseline, 3.5, court.In, -2)), score.Goal{Kind: score.Total, Count: 8}),
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
		Rung:   progress.Direction,
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
		Rung:   progress.Pace,
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
		Measures:  one(court.StripAlong(court.FarBaseline, 2.5), score.Goal{Kind: score.Total, Count: 12}),
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
		Rung:   progress.Depth,
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
		Measures: one(court.Ring(1.8, off(court.FarBaseline, 2.2, court.In, -2.6)), score.Goal{Kind: score.Total, Count: 25}),
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
		Rung:          progress.Consistency,
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

// closingTheDoor starts three quarters of the way back and both come a step nearer with each volley, through the
// partner and not past, on both sides (common practice, no source).
func closingTheDoor() drill.Document {
	const step = 0.6 // metres
	start := court.From(court.Between(court.NetLine, court.NearService, 0.75), court.Off(court.NearCentre, 0, court.Right))
	partner := court.From(court.Between(court.NetLine, court.FarService, 0.75), court.Off(court.FarCentre, 0, court.Right))
	at := func(player int, line court.LineID, across float64, stroke sports.Stroke) feed.Task {
		return answered(player, sports.Gentle, stroke, off(line, 0.3, court.In, across))
	}
	d := exchanged(start, partner, []feed.Task{
		at(0, court.NearService, 0.4, sports.ForehandVolley), at(1, court.FarService, -0.4, sports.ForehandVolley),
		at(0, court.NearService, -0.4, sports.BackhandVolley), at(1, court.FarService, 0.4, sports.BackhandVolley),
	}, feed.Repeat{From: 1, To: 4, Times: 3, Nearer: step})
	d.Name, d.Summary = "Closing the Door", "Start three quarters of the way back; with one ball both come a step "+
		"nearer after a volley on either side, through the partner and not past."
	d.Pattern.Gap, d.Pattern.Sequences, d.Pattern.Pause = 0.9, 3, 8
	d.Measures = []drill.Measure{
		{
			Number: 1,
			What:   score.Ball,
			Tasks:  []int{1, 3},
			Target: target(farHalf()),
			Goals:  score.Course{{Kind: score.Streak, Count: 6}},
		},
	}
	d.Turns, d.Effort = 4, 6
	d.Cues, d.Cautions = []string{
		"Split step before every ball",
		"Racket up on the way in",
	}, []string{
		eyes,
		"At the last step play softly: nobody aims at a body.",
	}
	d.Variations = []drill.Variation{
		easier("Keep it soft", feed.Transformation{Kind: feed.Neutral}),
		harder("At game pace", feed.Transformation{Kind: feed.Attack}),
	}
	return d
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
		Rung:   progress.Direction,
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
				Goals:  score.Course{{Kind: score.Total, Count: 12}},
			},
			drill.Measure{
				Name:   "at the net",
				What:   score.Ball,
				Tasks:  []int{2, 3},
				Target: target(farHalf()),
				Counts: drill.Counts{Choices: true},
				Goals:  score.Course{{Kind: score.Total, Count: 6}},
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
