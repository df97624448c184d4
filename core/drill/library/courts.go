package library

import (
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// bollardsYourChoice is the last rung of the bollards: three balls in an order nobody knows, and the player
// chooses the reply (common practice, no source).
func bollardsYourChoice() drill.Document {
	d := bollardsAndAVolley()
	d.Name, d.Summary = "Bollards, Your Choice", "Length or volley comes as it comes, and the player chooses the "+
		"reply: right idea first, then right ball."
	d.Pattern.Order, d.Pattern.Seed, d.Pattern.Gap = feed.Drawn, 3, 6
	d.Measures = counted(drill.Counts{Choices: true}, d.Measures)
	d.Cues = []string{"Choose early", "Back to the middle whatever you chose"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
		harder("Fed earlier", feed.Transformation{Kind: feed.Quicken, By: 0.5}),
	}
	return d
}

// conesOnTheLine dinks at a cone 6 in inside the no-volley zone (common practice, no source).
func conesOnTheLine() drill.Document {
	d := softLanding()
	d.Name, d.Summary = "Cones on the Line", "Two cones stand a hand's width inside the no-volley zone. Dink so that "+
		"the ball lands at a cone; what is out of reach in front is left to bounce."
	d.Rung = ladder.Direction
	d.Measures = one(
		court.Ring(
			0.6,
			court.From(court.Off(court.FarKitchen, 6*units.Inch, court.In), court.Off(court.LeftSide, 1.2, court.In)),
		),
		score.Goal{Kind: score.Total, Count: 12},
	)
	d.Cues = []string{"Aim at the foot of the cone", "Let it bounce when it is out of reach"}
	return d
}

// softOneIn plays the soft ball from deep that lets one come in (common practice, no source).
func softOneIn() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "The Soft One In",
		Sport:         court.Pickleball,
		Court:         "pickleball",
		Summary: "A deep ball comes; answer it softly into the no-volley zone and walk in behind it, then do it " +
			"again from half-way.",
		Stroke: sports.Drop,
		Rung:   ladder.Depth,
		Places: []drill.Place{
			at(
				drill.Start,
				behind(0.5, 0.8),
			),
			at(drill.Recovery, off(court.NearKitchen, 1.5, court.Out, 0.8)),
			at(drill.Feeder, off(court.FarKitchen, 0.3, court.Out, 0)),
		},
		Pattern: feed.Pattern{Method: feed.ByRacket, Gap: 4, Sequences: 3, Pause: 8, Tasks: []feed.Task{
			paced(
				sports.HalfPace,
				sports.Drop,
				off(court.NearBaseline, 1.5, court.In, 1),
			),
			paced(sports.HalfPace, sports.Drop, off(court.NearKitchen, 1.6, court.Out, 0.6)),
		}},
		Turns:  3,
		SetUp:  30,
		Effort: 5,
		Measures: one(
			court.Target{Kind: court.BoxTarget, Box: "far-no-volley-zone"},
			score.Goal{Kind: score.Total, Count: 10},
		),
		Cues:      []string{"Lift, do not hit", "Walk in behind a good one, stay behind a bad one"},
		Cautions:  []string{eyes, looseBalls},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("Only from half-way", feed.Transformation{Kind: feed.DropTask, Task: 1}),
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.6}),
		},
	}
}

// halfStepCloser is closing volleys on the small court: a step nearer to the line with each (common practice,
// no source).
func halfStepCloser() drill.Document {
	step := func(stroke sports.Stroke, back, across float64) feed.Task {
		t := paced(sports.Gentle, stroke, off(court.NearKitchen, 0.4, court.Out, across))
		to := off(court.NearKitchen, back, court.Out, 0)
		t.Contact, t.Recover = feed.OutOfTheAir, &to
		return t
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Half a Step Closer",
		Sport:         court.Pickleball,
		Court:         "pickleball",
		Summary:       "Volleys with a partner, half a step nearer to the no-volley line each time; never into the zone.",
		Stroke:        sports.ForehandVolley,
		Rung:          ladder.Consistency,
		Places: []drill.Place{
			at(drill.Start, off(court.NearKitchen, 1.6, court.Out, 0)),
			at(drill.Feeder, off(court.FarKitchen, 0.8, court.Out, 0)),
		},
		Pattern: feed.Pattern{Method: feed.Partner, Gap: 2.5, Sequences: 3, Pause: 8, Tasks: []feed.Task{
			step(
				sports.ForehandVolley,
				1.2,
				0.4,
			),
			step(sports.BackhandVolley, 0.8, -0.4),
			step(sports.ForehandVolley, 0.5, 0.4),
			step(sports.BackhandVolley, 1.6, -0.4),
		}},
		Turns:     3,
		SetUp:     20,
		Effort:    5,
		Measures:  one(farHalf(), score.Goal{Kind: score.Streak, Count: 24}),
		Cues:      []string{"Paddle up between balls", "Feet outside the zone"},
		Cautions:  []string{eyes, "At the last step play softly: nobody aims at a body."},
		Equipment: []string{"6 balls"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.7}),
			harder("From the line out", feed.Transformation{Kind: feed.Reverse}),
		},
	}
}

// table is a drill at the table: the feeder sends the ball into a corner of the near half, the student answers
// on a diagonal. Paces are common practice, no source.
func table(tasks []feed.Task, target court.Target) drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Sport:         court.TableTennis,
		Court:         "table-tennis",
		Stroke:        sports.Forehand,
		Rung:          ladder.Consistency,
		Level:         student.Improver,
		Places: []drill.Place{
			at(drill.Start, court.At(0, -1.9)),
			at(drill.Recovery, court.At(0, -1.9)),
			at(drill.Feeder, court.At(0, 1.8)),
		},
		Pattern:   feed.Pattern{Method: feed.ByRacket, Gap: 2, Sequences: 8, Pause: 3, Tasks: tasks},
		Turns:     3,
		SetUp:     15,
		Effort:    4,
		Measures:  one(target, score.Goal{Kind: score.Total, Count: 18}),
		Cautions:  []string{looseBalls, "A free arm's length to the next table."},
		Equipment: []string{"1 box of balls"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.5}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.4}),
		},
	}
}

// diagonalForehand is the forehand at the table (common practice, no source).
func diagonalForehand() drill.Document {
	d := table(
		[]feed.Task{paced(sports.HalfPace, sports.Forehand, court.At(0.45, -0.95))},
		court.Ring(0.35, court.At(-0.4, 0.95)),
	)
	d.Name, d.Summary = "Forehand Diagonal", "Forehand to forehand over the long diagonal, one after the other, the "+
		"same stroke every time."
	d.Cues = []string{"Turn from the hip", "Meet it at the top of the bounce"}
	return d
}

// diagonalBackhand is the backhand at the table (common practice, no source).
func diagonalBackhand() drill.Document {
	d := table(
		[]feed.Task{paced(sports.HalfPace, sports.Backhand, court.At(-0.45, -0.95))},
		court.Ring(0.35, court.At(0.4, 0.95)),
	)
	d.Name, d.Summary, d.Stroke = "Backhand Diagonal", "Backhand to backhand over the other diagonal: short stroke, "+
		"quick return to the middle.", sports.Backhand
	d.Cues = []string{"Elbow in front of the body", "Short, from the forearm"}
	return d
}

// twoAndOne is footwork at the table: backhand, forehand from the backhand corner, forehand wide (common
// practice, no source).
func twoAndOne() drill.Document {
	d := table([]feed.Task{
		paced(
			sports.HalfPace,
			sports.Backhand,
			court.At(-0.45, -0.95),
		),
		paced(sports.HalfPace, sports.Forehand, court.At(-0.3, -0.95)),
		paced(sports.HalfPace, sports.Forehand, court.At(0.5, -0.95)),
	}, court.Ring(0.4, court.At(-0.4, 0.95)))
	d = wanting(d, 27)
	d.Name, d.Summary, d.Rung = "Two and One", "Backhand, round it for a forehand, then a forehand out wide: the feet "+
		"decide.", ladder.Direction
	d.Pattern.Sequences, d.Effort = 4, 6
	d.Cues = []string{"Small steps around the ball", "Low in the knees between strokes"}
	d.Variations = append(d.Variations, harder("In any order", feed.Transformation{Kind: feed.Shuffle, Seed: 7}))
	return d
}

// keeperOfTheNet is a drive and who takes it: a coach feeds a drive, the volleyer on the other side takes it out of the
// air, and both queue for the other part (common practice, no source).
func keeperOfTheNet() drill.Document {
	drive := paced(sports.HalfPace, sports.Drive, off(court.NearBaseline, 1.8, court.In, 1.2))
	take := feed.Task{
		Stroke:  sports.ForehandVolley,
		Method:  feed.Answer,
		Player:  1,
		Pace:    sports.RallyPace,
		Landing: off(court.FarBaseline, 1.5, court.In, -0.6),
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Keeper of the Net",
		Sport:         court.Pickleball,
		Court:         "pickleball",
		Summary: "A drive from the baseline, and the player at the other net takes it out of the air. Two queues; " +
			"everybody changes over after each turn.",
		Stroke: sports.Drive,
		Rung:   ladder.Direction,
		Places: []drill.Place{
			at(
				drill.Start,
				off(court.NearBaseline, 0.5, court.Out, 0.4),
			),
			at(drill.Start, off(court.FarKitchen, 0.4, court.Out, 0)),
			at(
				drill.Feeder,
				off(court.FarBaseline, 0.5, court.In, 2),
			),
			at(drill.Queue, off(court.NearBaseline, 2, court.Out, 2)),
		},
		Pattern: feed.Pattern{Method: feed.ByRacket, Gap: 2.5, Sequences: 5, Pause: 2, Tasks: []feed.Task{drive, take}},
		Turns:   6,
		SetUp:   30,
		Effort:  5,
		Measures: numbered(
			drill.Measure{
				Name:   "drives",
				What:   score.Ball,
				Tasks:  []int{0},
				Target: target(farHalf()),
				Goals:  score.Course{{Kind: score.Total, Count: 15}},
			},
			drill.Measure{
				Name:   "volleys",
				What:   score.Ball,
				Tasks:  []int{1},
				Stroke: sports.ForehandVolley,
				Target: target(court.Target{Kind: court.BoxTarget, Box: "near-half"}),
				Goals:  score.Course{{Kind: score.Total, Count: 15}},
			},
		),
		Cues: []string{"Drive at the feet of the volleyer", "Paddle out in front"},
		Cautions: []string{
			looseBalls,
			eyes,
			"The queues wait out of the line of the drive.",
		},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("Keep it soft", feed.Transformation{Kind: feed.Neutral}),
			harder("Drive to attack", feed.Transformation{Kind: feed.Attack}),
		},
	}
}
