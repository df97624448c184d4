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

func threeCornerRound() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Three-Corner Round",
		Sport:         court.Badminton,
		Court:         "badminton",
		Summary:       "Front forehand, round-the-middle rear, front backhand: back to the base between shuttles.",
		Stroke:        sports.Clear,
		Rung:          ladder.Depth,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NearService, court.NearBaseline, 0.45), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(
				drill.Feeder,
				court.From(court.Between(court.FarService, court.FarBaseline, 0.4), court.Off(court.FarCentre, 0, court.Right)),
			),
		},
		Pattern: feed.Pattern{
			Method: feed.ByRacket, Gap: 3, Sequences: 3, Pause: 8,
			Tasks: []feed.Task{
				lobbed(
					3.8,
					sports.Lift,
					court.From(court.Off(court.NearService, 0.5, court.In), court.Off(court.RightSingles, 0.6, court.In)),
				),
				ball(
					sports.Clear,
					court.From(court.Off(court.NearBaseline, 0.7, court.In), court.Off(court.NearCentre, 0.6, court.Right)),
				),
				lobbed(
					3.8,
					sports.Lift,
					court.From(court.Off(court.NearService, 0.5, court.In), court.Off(court.LeftSingles, 0.6, court.In)),
				),
			},
		},
		Turns:    4,
		SetUp:    45,
		Effort:   8,
		Measures: one(court.StripAlong(court.FarBaseline, 0.9), score.Goal{Kind: score.Total, Count: 20}),
		Cues:     []string{"Chassé back to the base", "Strike in front of the body"},
		Cautions: []string{
			"Sweep shuttles off the floor between turns.",
			"Overhead strokes add up for growing shoulders; pain means stop.",
		},
		Equipment: []string{"1 tube of shuttles"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.6}),
			easier("Two corners", feed.Transformation{Kind: feed.DropTask, Task: 2}),
			harder("Any corner", feed.Transformation{Kind: feed.Shuffle, Seed: 11}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.4}),
		},
	}
}

func softLanding() drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Soft Landing",
		Sport:         court.Pickleball,
		Court:         "pickleball",
		Summary: "One ball to the forehand, one to the backhand, both low: dink each cross-court so that it dies " +
			"inside the no-volley zone.",
		Stroke: sports.Dink,
		Rung:   ladder.Consistency,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Off(court.NearKitchen, 0.3, court.Out), court.Off(court.NearCentre, 1.2, court.Right)),
			),
			at(
				drill.Feeder,
				court.From(court.Off(court.FarKitchen, 0.3, court.Out), court.Off(court.FarCentre, 1.2, court.Left)),
			),
		},
		Pattern: feed.Pattern{
			Method: feed.ByHand, Gap: 3, Sequences: 5, Pause: 4,
			Tasks: []feed.Task{
				ball(
					sports.Dink,
					court.From(court.Off(court.NearKitchen, 0.6, court.In), court.Off(court.RightSide, 0.9, court.In)),
				),
				ball(
					sports.Dink,
					court.From(court.Off(court.NearKitchen, 0.6, court.In), court.Off(court.NearCentre, 0.6, court.Right)),
				),
			},
		},
		Turns:  3,
		SetUp:  30,
		Effort: 4,
		Measures: one(
			court.Ring(0.9, court.From(court.Off(court.NetLine, 1.1, court.Far), court.Off(court.LeftSide, 1.2, court.In))),
			score.Goal{Kind: score.Streak, Count: 5},
		),
		Cues:      []string{"Lift from the legs, quiet wrist", "Let it bounce when it is out of reach in front"},
		Cautions:  []string{"Wear eye protection for close-range volleys.", looseBalls},
		Equipment: []string{"1 basket", "2 cones"},
		Variations: []drill.Variation{
			easier("One place", feed.Transformation{Kind: feed.LockPlace, Task: 1}),
			harder("Wider", feed.Transformation{Kind: feed.Spread, By: 1.5}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.8}),
		},
	}
}

// roundTheBollards is length from the back with a wide way back to the middle around obstacles; then with a
// volley in front of the service box; feeding earlier raises the tempo (common practice, no source).
func roundTheBollards() drill.Document {
	deep := func(across float64, stroke sports.Stroke) feed.Task {
		t := paced(sports.Gentle, stroke, court.At(across, -2.9))
		t.Contact = feed.Falling
		return t
	}
	bollard := func(across float64, outside drill.PassSide) drill.Place {
		return drill.Place{
			Kind: drill.Obstacle, Mark: court.At(across, -2.4), Size: 0.3, Around: outside, Leg: drill.OnTheWayBack,
		}
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Round the Bollards",
		Sport:         court.Squash,
		Court:         "squash",
		Summary: "Length from both back corners; on the way back to the middle the player runs wide around a " +
			"bollard. Feed earlier to raise the tempo.",
		Stroke: sports.Backhand,
		Rung:   ladder.Depth,
		Places: []drill.Place{
			at(drill.Start, court.At(0, -0.9)),
			at(drill.Recovery, court.At(0, -0.9)),
			at(drill.Feeder, court.At(0.4, 1.2)),
			bollard(-1.7, drill.PassLeft),
			bollard(1.7, drill.PassRight),
		},
		Pattern: feed.Pattern{
			Method:    feed.Partner,
			Gap:       5,
			Sequences: 4,
			Pause:     10,
			Tasks:     []feed.Task{deep(-2.3, sports.Backhand), deep(2.3, sports.Forehand)},
		},
		Turns:    3,
		SetUp:    60,
		Effort:   8,
		Measures: one(court.Target{Kind: court.BoxTarget, Box: "back-left"}, score.Goal{Kind: score.Total, Count: 12}),
		Cues:     []string{"Racket up before the turn", "Back to the middle in three strides"},
		Cautions: []string{
			"Eye protection on, always.",
			"Nobody runs backwards into a bollard; touching one costs nothing but a breath.",
			"Forfeits are optional and not for everybody.",
		},
		Equipment: []string{"2 soft bollards", "6 balls"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			easier("One corner", feed.Transformation{Kind: feed.LockPlace, Task: 1}),
			harder(
				"Fed earlier",
				feed.Transformation{Kind: feed.Quicken, By: 0.8},
			),
			harder("The player cannot know", feed.Transformation{Kind: feed.Shuffle, Seed: 4}),
		},
	}
}

// bollardsAndAVolley is the next rung of it: a volley in front of the service box between the two lengths
// (common practice, no source).
func bollardsAndAVolley() drill.Document {
	d := roundTheBollards()
	d.Name, d.Summary = "Bollards and a Volley", "The two lengths round the bollards, with a volley stepped into in "+
		"front of the service box in between."
	volley := paced(sports.HalfPace, sports.ForehandVolley, court.At(1.2, -2.4))
	d.Pattern.Tasks = []feed.Task{d.Pattern.Tasks[0], volley, d.Pattern.Tasks[1]}
	return wanting(d, 20)
}

// shadowSix is the first step of covering a badminton court: every corner without a shuttle (common
// practice, no source).
func shadowSix() drill.Document {
	corner := func(line court.LineID, distance, across float64, stroke sports.Stroke) feed.Task {
		return feed.Task{Kind: feed.ShadowTask, Stroke: stroke, Landing: off(line, distance, court.In, across)}
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Shadow Six",
		Sport:         court.Badminton,
		Court:         "badminton",
		Summary: "Six corners without a shuttle: front, middle, back on either side, to the base in between; six " +
			"times twenty seconds of work, and as long to rest.",
		Stroke: sports.Clear,
		Rung:   ladder.Consistency,
		Level:  student.Improver,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NearService, court.NearBaseline, 0.45), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(drill.Feeder, off(court.FarService, 1, court.Out, 0)),
		},
		Pattern: feed.Pattern{
			Method:    feed.ByHand,
			Gap:       3,
			Sequences: 6,
			Pause:     20,
			Ends:      feed.ByTheClock,
			On:        20,
			Tasks: []feed.Task{
				corner(court.NearService, 0.2, 1.6, sports.Lift), corner(court.NearService, 0.2, -1.6, sports.Lift),
				corner(court.NearBaseline, 3, 1.8, sports.Smash), corner(court.NearBaseline, 3, -1.8, sports.Smash),
				corner(court.NearBaseline, 1, 1.3, sports.Clear), corner(court.NearBaseline, 1, -1.3, sports.Clear),
			},
		},
		Turns:    1,
		SetUp:    30,
		Effort:   7,
		Measures: repeated(score.Goal{Kind: score.Total, Count: 18}),
		Cues:     []string{"Split step at the base", "Last step long, racket foot in front"},
		Cautions: []string{
			"Dry floor and shoes that grip before quick turns.",
			"Stop when the knee or the ankle hurts.",
		},
		Equipment: []string{"6 flat markers"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
			harder("Called, in any order", feed.Transformation{Kind: feed.Shuffle, Seed: 6}),
			harder("Against the clock", feed.Transformation{Kind: feed.Quicken, By: 0.6}),
		},
	}
}

// cornerCatch has shuttles thrown and caught instead of hit (common practice, no source).
func cornerCatch() drill.Document {
	thrown := func(line court.LineID, distance, across, apex float64) feed.Task {
		t := lobbed(apex, sports.Lift, off(line, distance, court.In, across))
		t.Kind = feed.CatchTask
		return t
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Corner Catch",
		Sport:         court.Badminton,
		Court:         "badminton",
		Summary:       "Shuttles are thrown to four corners and caught in the racket hand: the feet do all the work.",
		Stroke:        sports.Lift,
		Rung:          ladder.Consistency,
		Level:         student.Improver,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NearService, court.NearBaseline, 0.4), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(drill.Feeder, off(court.FarService, 0.9, court.In, 0)),
		},
		Pattern: feed.Pattern{Method: feed.ByHand, Gap: 3.4, Sequences: 2, Pause: 10, Tasks: []feed.Task{
			thrown(
				court.NearService,
				0,
				1.3,
				3.2,
			),
			thrown(court.NearBaseline, 2.2, -1, 4.2),
			thrown(court.NearService, 0, -1.3, 3.2),
			thrown(court.NearBaseline, 2.2, 1, 4.2),
		}},
		Turns:     3,
		SetUp:     30,
		Effort:    6,
		Measures:  repeated(score.Goal{Kind: score.Total, Count: 12}),
		Cues:      []string{"Lunge with the racket foot", "Push back at once"},
		Cautions:  []string{"Sweep shuttles off the floor between turns."},
		Equipment: []string{"1 tube of shuttles"},
		Variations: []drill.Variation{
			easier(
				"Front corners only",
				feed.Transformation{Kind: feed.DropTask, Task: 4},
				feed.Transformation{Kind: feed.DropTask, Task: 2},
			),
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
			harder("Any corner", feed.Transformation{Kind: feed.Shuffle, Seed: 8}),
		},
	}
}

// twoHopsBeyond is the short table serve: spin first, then short, at least two bounces beyond the net
// (common practice, no source).
func twoHopsBeyond() drill.Document {
	serve := feed.Task{Stroke: sports.Serve, Landing: court.At(0.3, -1.5), Method: feed.SelfDrop, ReplySpin: sports.Slice}
	reply := court.At(-0.3, 0.4)
	serve.Reply = &reply
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Two Hops Beyond",
		Sport:         court.TableTennis,
		Court:         "table-tennis",
		Summary:       "Serve with spin first, then short: left alone, the ball would bounce at least twice beyond the net.",
		Stroke:        sports.Serve,
		Rung:          ladder.Spin,
		Level:         student.Improver,
		Places:        []drill.Place{at(drill.Start, court.At(0.2, -1.9)), at(drill.Feeder, court.At(0, 1.8))},
		Pattern:       feed.Pattern{Method: feed.SelfDrop, Gap: 5, Sequences: 10, Pause: 0, Tasks: []feed.Task{serve}},
		Turns:         2,
		SetUp:         30,
		Effort:        2,
		Measures:      one(court.Target{Kind: court.DoubleBounce, Box: "far-half"}, score.Goal{Kind: score.Total, Count: 17}),
		Cues:          []string{"Brush under the ball", "First bounce near your own net half"},
		Cautions:      []string{looseBalls, "A free arm's length to the next table."},
		Equipment:     []string{"1 box of balls"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("To the other corner", feed.Transformation{Kind: feed.ForLeftHander}),
		},
	}
}
