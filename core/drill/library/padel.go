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

// padelDrills are those of padel. Their counts and times are common practice, no source.
func padelDrills() []Stored {
	return []Stored{
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e01", Document: letItComeOut()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e02", Document: twoPanes()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e03", Document: lobAndGo()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e04", Document: volleysAndOneOver()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e05", Document: atTheirFeet()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e06", Document: intoThePane()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e07", Document: returnAndIn()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e08", Document: twoAtTheNet()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e09", Document: glassShadows()},
		{ID: "3b0f9c0e-52a1-5c57-9d0b-6a1f4f0c7e10", Document: highAndHome()},
	}
}

// mindTheGlass goes with every drill that ends at a wall.
const mindTheGlass = "Slow down before the glass; the free hand goes to it, never the racket."

// inPadel is a padel drill from a place so far from the back wall and the middle, fed from the other side's service
// line.
func inPadel(
	name, summary string,
	stroke sports.Stroke,
	rung ladder.Quality,
	fromBack, across float64,
	pattern feed.Pattern,
) drill.Document {
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          name,
		Summary:       summary,
		Sport:         court.Padel,
		Court:         "padel",
		Format:        court.Doubles,
		Stroke:        stroke,
		Rung:          rung,
		Level:         student.Improver,
		Places: []drill.Place{
			at(drill.Start, off(court.NearBaseline, fromBack, court.In, across)),
			at(drill.Feeder, off(court.FarService, 1, court.In, 0)),
		},
		Pattern:   pattern,
		Turns:     3,
		SetUp:     30,
		Effort:    5,
		Cautions:  []string{looseBalls, mindTheGlass},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier(
				"More time",
				feed.Transformation{Kind: feed.Slow, By: 0.8},
			),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.5}),
		},
	}
}

// offTheGlass is a ball that is let come off the back wall.
func offTheGlass(pace sports.Pace, stroke sports.Stroke, fromBack, across float64) feed.Task {
	t := paced(pace, stroke, off(court.NearBaseline, fromBack, court.In, across))
	t.Contact = feed.OffTheWall
	return t
}

// deepStrip is the last part of the other half, before the back wall.
func deepStrip() court.Target { return court.StripAlong(court.FarBaseline, 3) }

func letItComeOut() drill.Document {
	d := inPadel(
		"Let It Come Out",
		"A deep ball to either side: turn, go back with it, let the glass give it to you, and lift it high and deep.",
		sports.Lob,
		ladder.Consistency,
		2,
		0,
		feed.Pattern{Method: feed.ByRacket, Gap: 4.5, Sequences: 4, Pause: 6, Tasks: []feed.Task{
			offTheGlass(sports.RallyPace, sports.Lob, 2.4, 1.6), offTheGlass(sports.RallyPace, sports.Lob, 2.4, -1.6),
		}},
	)
	d.Measures = one(deepStrip(), score.Goal{Kind: score.Total, Count: 4})
	d.Cues = []string{"Turn first, then go back", "Wait for the ball: it comes to you"}
	return d
}

func twoPanes() drill.Document {
	d := inPadel(
		"Two Panes",
		"Into the corner, off the side glass or the back: read which pane comes first, stay out of its way, and play "+
			"cross-court.",
		sports.Backhand,
		ladder.Direction,
		2.4,
		-1.5,
		feed.Pattern{Method: feed.ByRacket, Gap: 5, Sequences: 5, Pause: 6, Tasks: []feed.Task{
			offTheGlass(sports.RallyPace, sports.Backhand, 2.2, -3.6), offTheGlass(sports.RallyPace, sports.Backhand, 2.6, -2.4),
		}},
	)
	d.Measures = one(court.Target{Kind: court.BoxTarget, Box: "far-half"}, score.Goal{Kind: score.Streak, Count: 4})
	d.Cues = []string{"Give the corner room", "Short swing, from low to high"}
	return d
}

func lobAndGo() drill.Document {
	volley := paced(sports.Gentle, sports.ForehandVolley, off(court.NearService, 0.4, court.In, 0.9))
	volley.Gap = 5
	in := court.From(court.Off(court.NetLine, 3, court.Near), court.Off(court.NearCentre, 0.3, court.Right))
	lob := offTheGlass(sports.HalfPace, sports.Lob, 2.6, 1.2)
	lob.Recover, lob.Gap = &in, 5
	d := inPadel(
		"Lob and Go",
		"Lob from the back, and while the ball is up, walk in: the next one is a volley at the net.",
		sports.Lob,
		ladder.Depth,
		2,
		1.2,
		feed.Pattern{Method: feed.ByRacket, Gap: 5, Sequences: 4, Pause: 10, Tasks: []feed.Task{lob, volley}},
	)
	d.Measures = numbered(
		drill.Measure{
			Name:   "lobs",
			What:   score.Ball,
			Tasks:  []int{0},
			Target: target(deepStrip()),
			Goals:  score.Course{{Kind: score.Total, Count: 2}},
		},
		drill.Measure{
			Name:   "volleys",
			What:   score.Ball,
			Tasks:  []int{1},
			Stroke: sports.ForehandVolley,
			Target: target(farHalf()),
			Goals:  score.Course{{Kind: score.Total, Count: 11}},
		},
	)
	d.Cues, d.Effort = []string{"High enough to walk in behind", "Split step when they strike"}, 7
	return d
}

func volleysAndOneOver() drill.Document {
	over := lobbed(4.8, sports.Overhead, off(court.NearService, 0.6, court.In, 0.8))
	over.Gap = 5
	d := inPadel(
		"Three and One Over",
		"Volley, volley, then a lob: turn, go back with it and play it down deep, with control instead of power.",
		sports.Overhead,
		ladder.Consistency,
		6.4,
		0.8,
		feed.Pattern{Method: feed.ByRacket, Gap: 3.2, Sequences: 3, Pause: 8, Tasks: []feed.Task{
			paced(sports.HalfPace, sports.ForehandVolley, off(court.NearService, 0.6, court.In, 1.6)),
			paced(sports.HalfPace, sports.BackhandVolley, off(court.NearService, 0.6, court.In, 0)),
			over,
		}},
	)
	d.Measures = one(farHalf(), score.Goal{Kind: score.Total, Count: 26})
	d.Cues, d.Cautions = []string{
		"Sideways at once",
		"Deep and slow beats hard and out",
	}, []string{
		looseBalls,
		eyes,
		turnAndRun,
	}
	return d
}

func atTheirFeet() drill.Document {
	d := inPadel(
		"At Their Feet",
		"Soft and low over the net, so that whoever stands there has to lift the next ball.",
		sports.Forehand,
		ladder.Direction,
		2.4,
		0,
		feed.Pattern{Method: feed.ByRacket, Gap: 3.8, Sequences: 4, Pause: 6, Tasks: []feed.Task{
			paced(
				sports.HalfPace,
				sports.Forehand,
				off(court.NearBaseline, 4.2, court.In, 1),
			),
			paced(sports.HalfPace, sports.Backhand, off(court.NearBaseline, 4.2, court.In, -1)),
		}},
	)
	feet := court.Ring(
		1.6,
		court.From(court.Off(court.NetLine, 3.4, court.Far), court.Off(court.FarCentre, 0, court.Right)),
	)
	d.Measures = one(feet, score.Goal{Kind: score.Total, Count: 6})
	d.Places = append(
		d.Places,
		at(drill.Opponent, court.From(court.Off(court.NetLine, 2.6, court.Far), court.Off(court.FarCentre, 2.6, court.Left))),
	)
	d.Cues = []string{"Loose hand, slow ball", "Come in behind it"}
	return d
}

func intoThePane() drill.Document {
	serve := feed.Task{Stroke: sports.Serve, Method: feed.SelfDrop, Landing: off(court.NearService, 0.3, court.Out, 1.5)}
	d := inPadel(
		"Into the Pane",
		"Serves from the right, from below and after a bounce: deep in the box and near to the side glass.",
		sports.Serve,
		ladder.Direction,
		2.5,
		1.5,
		feed.Pattern{Method: feed.SelfDrop, Gap: 7, Sequences: 10, Tasks: []feed.Task{serve}},
	)
	d.Measures = one(
		court.Ring(1.5, court.From(court.Off(court.FarService, 1.5, court.In), court.Off(court.LeftSide, 1.5, court.In))),
		score.Goal{Kind: score.Total, Count: 9},
	)
	d.Turns, d.Effort, d.Level = 2, 3, ""
	d.Cues = []string{"Bounce it beside the front foot", "Waist high, and follow it in"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
		harder("Full pace", feed.Transformation{Kind: feed.Attack}),
	}
	return d
}

func glassShadows() drill.Document {
	step := func(stroke sports.Stroke, fromBack, across float64) feed.Task {
		return feed.Task{Kind: feed.ShadowTask, Stroke: stroke, Landing: off(court.NearBaseline, fromBack, court.In, across)}
	}
	d := inPadel(
		"Net, Glass, Net",
		"Without a ball: volley at the net, turn and go back to the glass, lift from there, and in again.",
		sports.Forehand,
		ladder.Consistency,
		5,
		1,
		feed.Pattern{Method: feed.ByHand, Gap: 3.6, Sequences: 3, Pause: 20, Tasks: []feed.Task{
			step(
				sports.ForehandVolley,
				7,
				1.4,
			),
			step(sports.Lob, 1.6, 1.8),
			step(sports.BackhandVolley, 7, 0.2),
			step(sports.Lob, 1.6, 0.2),
		}},
	)
	d.Measures, d.Effort, d.Turns = repeated(score.Goal{Kind: score.Total, Count: 12}), 7, 2
	d.Cues, d.Equipment = []string{"Turn, do not run backwards", "Low at the glass"}, []string{"4 flat markers"}
	return d
}

func highAndHome() drill.Document {
	d := inPadel(
		"High and Home",
		"Two cross-court, lobs only: as long as it stays up there, nobody is in trouble.",
		sports.Lob,
		ladder.Depth,
		1.8,
		2,
		feed.Pattern{Method: feed.ByRacket, Gap: 4.2, Sequences: 6, Pause: 4, Tasks: []feed.Task{
			lobbed(4.5, sports.Lob, off(court.NearBaseline, 2.6, court.In, 2)),
		}},
	)
	d.Measures = one(
		court.Ring(1.8, court.From(court.Off(court.FarBaseline, 1.9, court.In), court.Off(court.LeftSide, 2.2, court.In))),
		score.Goal{Kind: score.Streak, Count: 2},
	)
	d.Cues = []string{"Open face, long follow-through", "Aim at where the glass begins"}
	return d
}
