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

// behind is a place behind the near baseline, so far to the right of the centre line.
func behind(distance, across float64) court.Mark {
	return off(court.NearBaseline, distance, court.Out, across)
}

// rallied is a rally of two from the baselines: places, ball and pattern. Gaps and paces are common practice,
// no source.
func rallied(r feed.Rally, gap float64, rallies int, pause float64) drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Sport:         court.Tennis,
		Court:         "tennis",
		Stroke:        sports.Forehand,
		Rung:          ladder.Consistency,
		Places: []drill.Place{
			at(drill.Start, behind(1, 0)),
			at(drill.Recovery, behind(1, 0)),
			at(drill.Feeder, off(court.FarBaseline, 1, court.Out, 0)),
		},
		Pattern: feed.Pattern{Method: feed.Live, Gap: gap, Sequences: rallies, Pause: pause, Rally: &r,
			Tasks: []feed.Task{paced(sports.HalfPace, sports.Forehand, off(court.NearBaseline, 3, court.In, 2.5))}},
		SetUp:     30,
		Effort:    6,
		Cautions:  []string{looseBalls},
		Equipment: []string{"6 balls"},
		Variations: []drill.Variation{
			easier("Slower gaps", feed.Transformation{Kind: feed.Slow, By: 0.5}),
			harder("Mirrored", feed.Transformation{Kind: feed.ForLeftHander}),
		},
	}
}

// safeLane rallies cross-court at a safe mark: about 2 ft inside the singles sideline and short of the
// baseline (common practice, no source).
func safeLane() drill.Document {
	d := rallied(
		feed.Rally{Near: feed.CrossCourt, Far: feed.CrossCourt, Shots: 10, Deep: 2.5, Wide: 0.6, Pace: sports.HalfPace},
		1.8,
		4,
		12,
	)
	d.Name, d.Summary = "Safe Lane", "Both rally cross-court at a mark a little inside the sideline and well short of "+
		"the baseline: the lane that forgives."
	d.Rung, d.Turns = ladder.Direction, 3
	d.Measures = one(
		court.Ring(
			1.5,
			court.From(court.Off(court.FarBaseline, 2.5, court.In), court.Off(court.LeftSingles, 2*ft, court.In)),
		),
		score.Goal{Kind: score.Total, Count: 20},
	)
	d.Cues = []string{"Height over the net before speed", "Recover before the ball bounces over there"}
	return d
}

// tenPast is ten rally balls in a row past the service line at half pace (common practice, no source).
func tenPast() drill.Document {
	const behindService = 18 * ft
	d := rallied(
		feed.Rally{Near: feed.ToTheMiddle, Far: feed.ToTheMiddle, Shots: 10, Deep: 3, Wide: 2, Pace: sports.HalfPace},
		1.8,
		4,
		12,
	)
	d.Name, d.Summary = "Ten Past", "A rally at half pace: every ball past the service line, ten in a row before "+
		"anything else is asked."
	d.Rung, d.Turns, d.Effort = ladder.Depth, 3, 5
	d.Measures = one(court.StripAlong(court.FarBaseline, behindService), score.Goal{Kind: score.Streak, Count: 10})
	d.Cues = []string{"Same swing every time", "Let the ball come down into the strings"}
	return d
}

// hundredIn is the dependable stroke: in, a hundred times in a row, no target (common practice, no source).
func hundredIn() drill.Document {
	d := rallied(
		feed.Rally{Near: feed.ToTheMiddle, Far: feed.ToTheMiddle, Shots: 20, Deep: 3.5, Wide: 2.5, Pace: sports.HalfPace},
		1.8,
		5,
		5,
	)
	d.Name, d.Summary = "A Hundred In", "No target but the court: a hundred in a row, a miss begins again. Nobody "+
		"gets there in one lesson: note the best and come back to it."
	d.Turns, d.Effort = 2, 5
	d.Measures = one(farHalf(), score.Goal{Kind: score.Streak, Count: 100})
	d.Cues = []string{"Breathe out at every strike", "Mind this ball, not the count"}
	return d
}

// oneTwoAgain is the tempo challenge of a pair, counted in sets of two: fourteen in a minute are 28 balls, fifty balls
// in one are the bar, and then two and three minutes; a miss resumes where the count was (common practice, no source).
func oneTwoAgain() drill.Document {
	d := rallied(
		feed.Rally{Near: feed.ToTheMiddle, Far: feed.ToTheMiddle, Shots: 28, Deep: 5, Wide: 2.5, Pace: sports.HalfPace},
		1.8,
		1,
		4,
	)
	d.Name, d.Summary = "One, Two, Again", "A pair counts one, two, start again, for one minute, two and three: "+
		"fourteen sets of two in the first are a start, twenty-five are the bar. A miss takes up the count where it was; "+
		"height and pace must match."
	d.Rung, d.Turns, d.Effort = ladder.Pace, 7, 8
	sets := func(name string, minutes float64, hoped int) drill.Measure {
		target := farHalf()
		return drill.Measure{
			Name:   name,
			What:   score.Rally,
			Target: &target,
			Goals:  score.Course{{Kind: score.AsManyAsPossible, Count: hoped, Of: 2, Minutes: minutes}},
		}
	}
	d.Measures, d.Order = numbered(sets("60 s", 1, 14), sets("120 s", 2, 28), sets("180 s", 3, 42)), drill.OneByOne
	d.Cues = []string{"Match the other one's height", "Shorten the swing, not the step"}
	d.Cautions = append(d.Cautions, "A hard minute: a full rest before the next one.")
	return d
}

// fourAndOut is game pace: a rally of about four balls is right, and one that reaches twenty is too slow
// (common practice, no source).
func fourAndOut() drill.Document {
	d := rallied(
		feed.Rally{Near: feed.CrossCourt, Far: feed.CrossCourt, Shots: 4, Deep: 1.5, Wide: 1, Pace: sports.RallyPace},
		1.6,
		6,
		12,
	)
	d.Name, d.Summary = "Four and Out", "Play every rally to end it: about four strokes are right, and one that gets "+
		"to twenty was too slow: it is stopped."
	d.Rung, d.Turns, d.Effort = ladder.Pace, 3, 8
	d.Measures = one(court.StripAlong(court.FarBaseline, 3.5), score.Goal{Kind: score.Rallies, Count: 1, From: 4, To: 19})
	d.Cues = []string{"Decide before the bounce", "Through the ball on the third"}
	return d
}

// fortyAndFour is the short-ball workload: ten makes for each of four ways, then five in a row for each
// (common practice, no source).
func fortyAndFour() drill.Document {
	d := coinInTheCorner()
	d.Name, d.Summary = "Forty and Four", "Forehand and backhand, cross-court and down the line: ten of each, then "+
		"five in a row of each: work for several lessons. In the second part swings get slow out of fear: watch for it."
	forehand := paced(
		sports.Gentle,
		sports.Forehand,
		court.From(court.Off(court.NearService, 0.6, court.In), court.Off(court.RightSingles, 2.2, court.In)),
	)
	backhand := paced(
		sports.Gentle,
		sports.Backhand,
		court.From(court.Off(court.NearService, 0.6, court.In), court.Off(court.LeftSingles, 2.2, court.In)),
	)
	d.Pattern = feed.Pattern{Method: feed.ByRacket, Gap: 4, Sequences: 5, Pause: 8, Tasks: []feed.Task{forehand, backhand}}
	d.Places = []drill.Place{
		at(
			drill.Start,
			off(court.NearService, 1.2, court.Out, 0),
		),
		at(drill.Recovery, off(court.NearService, 1.2, court.Out, 0)),
		at(drill.Feeder, off(court.FarService, 1, court.Out, 0)),
	}
	d.Turns = 16
	way := func(name string, task int, stroke sports.Stroke, side court.LineID) drill.Measure {
		target := court.Ring(
			4.5*ft,
			court.From(court.Off(court.FarBaseline, 6.5*ft, court.In), court.Off(side, 4.5*ft, court.In)),
		)
		return drill.Measure{
			Name:   name,
			What:   score.Ball,
			Tasks:  []int{task},
			Stroke: stroke,
			Target: &target,
			Counts: drill.Counts{NoCount: true},
			Goals:  score.Course{{Kind: score.Total, Count: 10}, {Kind: score.Streak, Count: 5}},
		}
	}
	d.Measures, d.Order = numbered(
		way(
			"forehand cross-court",
			0,
			sports.Forehand,
			court.LeftSingles,
		),
		way("forehand down the line", 0, sports.Forehand, court.RightSingles),
		way(
			"backhand cross-court",
			1,
			sports.Backhand,
			court.RightSingles,
		),
		way("backhand down the line", 1, sports.Backhand, court.LeftSingles),
	), drill.GoalByGoal
	d.Cues = []string{"The last ball as free as the first", "Small steps into the ball"}
	d.Variations = []drill.Variation{
		easier("One wing", feed.Transformation{Kind: feed.DropTask, Task: 2}),
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
		harder("In any order", feed.Transformation{Kind: feed.Shuffle, Seed: 12}),
	}
	return d
}

// regionTour spends some seconds in each of four depth regions, from the baseline to the net and back (common
// practice, no source).
func regionTour() drill.Document {
	const stay = 20 // seconds in each region
	// Shares of the way from the net to the baseline: where the balls land, and where the player waits.
	regions := []struct {
		land, wait float64
		right      sports.Stroke
		left       sports.Stroke
	}{
		{0.75, 1, sports.Forehand, sports.Backhand}, {0.55, 0.82, sports.Forehand, sports.Backhand},
		{0.75, 0.5, sports.ForehandVolley, sports.BackhandVolley}, {0.5, 0.25, sports.ForehandVolley, sports.BackhandVolley},
	}
	share := func(of, across float64) court.Mark {
		return court.From(
			court.Between(court.NetLine, court.NearBaseline, of),
			court.Off(court.NearCentre, across, court.Right),
		)
	}
	pattern := feed.Pattern{Method: feed.ByRacket, Gap: 4, Sequences: 1, Pause: 10}
	for _, i := range []int{0, 1, 2, 3, 2, 1, 0} {
		r, from := regions[i], len(pattern.Tasks)
		wait := share(r.wait, 0)
		right, left := paced(
			sports.HalfPace,
			r.right,
			share(r.land, 0.9),
		), paced(
			sports.HalfPace,
			r.left,
			share(r.land, 0.9).Mirrored(),
		)
		right.Recover, left.Recover = &wait, &wait
		pattern.Tasks = append(pattern.Tasks, right, left)
		pattern.Repeats = append(pattern.Repeats, feed.Repeat{From: from, To: from + 1, Seconds: stay})
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "The Tour",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Twenty seconds in each of four regions, from the baseline to the net and out again, without " +
			"stopping: rally, set up, finish.",
		Stroke:    sports.Forehand,
		Rung:      ladder.Consistency,
		Places:    []drill.Place{at(drill.Start, behind(0.8, 0)), at(drill.Feeder, off(court.FarBaseline, 3, court.In, 0))},
		Pattern:   pattern,
		Turns:     2,
		SetUp:     30,
		Effort:    7,
		Measures:  one(farHalf(), score.Goal{Kind: score.Total, Count: 66}),
		Cues:      []string{"Split step in every region", "Shorter swing on the way in"},
		Cautions:  []string{looseBalls, turnAndRun},
		Equipment: []string{"1 basket", "4 flat markers"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Other wing", feed.Transformation{Kind: feed.ToOtherWing}),
			harder("Attack", feed.Transformation{Kind: feed.Attack}),
		},
	}
}

// longArm builds a one-handed backhand: slow repetitions without a ball, each followed by a dropped one;
// contact a foot or more in front of the body, in a stint of about 80 s (common practice, no source).
func longArm() drill.Document {
	slow := feed.Task{Kind: feed.ShadowTask, Stroke: sports.Backhand, Landing: behind(0.3, -0.6)}
	drop := ball(sports.Backhand, off(court.NearBaseline, 0.4, court.In, -0.7))
	beside := off(court.NearBaseline, 2.5, court.In, -0.2) // the coach tosses it from close in front
	drop.Method, drop.Contact, drop.From = feed.ByHand, feed.AtTheTop, &beside
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Long Arm",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "A slow swing without a ball, then one with a ball tossed from the side: contact well in front of " +
			"the body. Stints of about eighty seconds.",
		Stroke: sports.Backhand,
		Rung:   ladder.Consistency,
		Level:  student.Improver,
		Places: []drill.Place{
			at(drill.Start, behind(0.6, 0)),
			at(drill.Recovery, behind(0.6, 0)),
			at(drill.Feeder, off(court.NetLine, 1, court.Far, -0.7)),
		},
		Pattern: feed.Pattern{Method: feed.ByHand, Gap: 4, Sequences: 10, Pause: 0, Tasks: []feed.Task{slow, drop}},
		Turns:   2,
		SetUp:   40,
		Effort:  3,
		Measures: numbered(
			drill.Measure{
				Name:   "slow swing",
				What:   score.Repetition,
				Stroke: sports.Technique,
				Tasks:  []int{0},
				Counts: drill.Counts{By: drill.ByMovement},
				Goals:  score.Course{{Kind: score.Total, Count: 10}},
			},
			drill.Measure{
				Name:   "with a ball",
				What:   score.Ball,
				Tasks:  []int{1},
				Counts: drill.Counts{By: drill.ByBoth},
				Goals:  score.Course{{Kind: score.Total, Count: 17}},
			},
		),
		Cues:      []string{"Contact an arm's length in front", "Slow first, then the same with a ball"},
		Cautions:  []string{looseBalls, "Stop when the elbow or the wrist hurts."},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Only balls", feed.Transformation{Kind: feed.DropTask, Task: 1}),
		},
	}
}

// lastLight grooves the strokes in the last session before an event: easy, and nothing new (common practice,
// no source).
func lastLight() drill.Document {
	d := rallied(
		feed.Rally{Near: feed.Alternate, Far: feed.ToTheMiddle, Shots: 10, Deep: 3, Wide: 2, Pace: sports.HalfPace},
		1.8,
		4,
		10,
	)
	d.Name, d.Summary = "Last Light", "The day before: easy rallies with every stroke that works, and nothing new. "+
		"Then stretch, eat, drink, sleep."
	d.Turns, d.Effort = 2, 4
	d.Measures = one(court.StripAlong(court.FarBaseline, 4), score.Goal{Kind: score.Total, Count: 40})
	d.Cues = []string{"Only what works today", "Stop while it feels good"}
	return d
}
