package library

import (
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// exchanged is one ball between a volleyer and a partner who drops it and then plays it back: two strokes as often as a
// group says, so many metres nearer each time.
func exchanged(from, partner court.Mark, tasks []feed.Task, groups ...feed.Repeat) drill.Document {
	drop := feed.Task{Stroke: sports.Forehand, Landing: partner, Method: feed.SelfDrop, Player: 1, Contact: feed.Falling}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Sport:         court.Tennis,
		Court:         "tennis",
		Stroke:        sports.ForehandVolley,
		Rung:          ladder.Consistency,
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
	d.Turns, d.Effort = 4, 5
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
			Goals:  score.Course{{Kind: score.Streak, Count: 16}},
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
