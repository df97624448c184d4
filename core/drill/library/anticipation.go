package library

import (
	"context"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/footwork"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Reading makes a drill of a situation: the feeder stands where the opponent hits from and chooses from the likely
// replies by their chances, and the player waits where most of them are held. The right choice is marked apart from the
// ball that was made. What is given up there is meant to be too much. Returns invalid.Fields.
func Reading(ctx context.Context, on court.ID, s sports.Situation, level student.Level) (drill.Document, error) {
	c, err := sports.Court(on)
	if err != nil {
		return drill.Document{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	player := footwork.For(c.Sport, footwork.Usual(level), level, student.RightHand, student.TwoHanded)
	a, err := anticipate.Question{
		World:     sports.World(c, ""),
		Situation: s,
		Opponent:  student.RightHand,
		Power:     player.Power,
		Player:    player,
	}.Answer(
		ctx,
	)
	if err != nil {
		return drill.Document{}, err
	}
	spot := func(p court.Point) court.Mark { return court.At(hundredth(p.X), hundredth(p.Y)) }
	wait := a.Stands[1]
	const lost = 0.35 // of the balls that come there
	p := feed.Pattern{Method: feed.ByRacket, Gap: 4, Sequences: 2, Pause: 10, Order: feed.Drawn, Seed: 7}
	if c.HasFrontWall() {
		p.Method = feed.Partner
	}
	for i, each := range a.Coming {
		task := feed.Task{
			Stroke:  wait.With[i],
			Landing: spot(each.Landing),
			Height:  s.High,
			Weight:  math.Round(100 * each.Chance),
			Meant:   wait.Each[i] < lost,
			By:      flight.ByTime,
			Value:   hundredth(each.Seconds),
		}
		if each.Wall > 0 {
			task.By, task.Value = flight.ByWall, hundredth(each.Wall)
		}
		if !each.Possible || task.Weight == 0 || each.Reply == "boast" { // nobody feeds a ball off the side wall alike
			continue
		}
		if !slices.Contains(sports.Of(c.Sport).Strokes, task.Stroke) {
			task.Stroke = sports.Forehand
		}
		p.Tasks = append(p.Tasks, task)
	}
	if len(p.Tasks) == 0 {
		return drill.Document{}, invalid.Fields{{Path: "likely", Message: "none of these can be fed"}}
	}
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Read It",
		Sport:         c.Sport,
		Court:         c.ID,
		Level:         level,
		Summary: fmt.Sprintf(
			"The feeder hits from %s and chooses from what is likely there; wait where most of it is reached, and mark the "+
				"right choice apart from the ball that was made.",
			s.Name,
		),
		Stroke:  p.Tasks[0].Stroke,
		Rung:    ladder.Direction,
		Places:  []drill.Place{at(drill.Start, spot(wait.At)), at(drill.Feeder, spot(a.From))},
		Pattern: p,
		Turns:   3,
		SetUp:   30,
		Effort:  6,
		Measures: numbered(
			drill.Measure{
				What:   score.Ball,
				Stroke: sports.Footwork,
				Counts: drill.Counts{Choices: true},
				Goals:  score.Course{{Kind: score.Total, Count: 10}},
			},
		),
		Cues:      []string{"Split as the ball is struck", "Say which one it was"},
		Cautions:  []string{looseBalls},
		Equipment: []string{"1 basket"},
	}, nil
}

func hundredth(v float64) float64 { return math.Round(100*v) / 100 }

// readFromTheCorner is the weighted replies of a shuttle from the rear forehand corner.
func readFromTheCorner() drill.Document {
	s, _ := anticipate.Find(court.Badminton, "badminton-1")
	d, err := Reading(context.Background(), "badminton", s, student.Club)
	if err != nil {
		panic(err) // it is written here
	}
	d = wanting(d, 17)
	d.Name = "Four Ways Back"
	d.Summary = "From the rear corner comes a drop or a clear, straight or across, as often as in play. Wait where " +
		"three of the four are reached, and mark the right choice apart from the shuttle that was made."
	d.Equipment = []string{"1 tube of shuttles"}
	d.Variations = []drill.Variation{
		easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
		harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.5}),
	}
	return d
}

// threeOfFour covers three of four corners of a tennis court and gives the fourth one up: short angles are let go.
func threeOfFour() drill.Document {
	corner := func(stroke sports.Stroke, across float64, deep float64) feed.Task {
		t := ball(stroke, off(court.NearBaseline, deep, court.In, across))
		t.Weight = 3
		return t
	}
	angle := paced(sports.RallyPace, sports.Backhand, off(court.NearService, 0.6, court.Out, -3.4))
	angle.Meant, angle.Weight = true, 1
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Three of Four",
		Sport:         court.Tennis,
		Court:         "tennis",
		Summary: "Deep to either corner, or short to the forehand, in any order: cover those three. The short " +
			"angle to the backhand comes now and then and is let go, on purpose.",
		Stroke: sports.Forehand,
		Rung:   ladder.Direction,
		Places: []drill.Place{at(drill.Start, behind(0.5, 0.4)), at(drill.Feeder, off(court.FarBaseline, 0.5, court.In, 0))},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       5,
			Sequences: 2,
			Pause:     10,
			Order:     feed.Drawn,
			Seed:      4,
			Tasks: []feed.Task{
				corner(sports.Forehand, 2.4, 2.6), corner(sports.Backhand, -2, 2.6), corner(sports.Forehand, 1.6, 4.6), angle,
			},
		},
		Turns:  3,
		SetUp:  30,
		Effort: 7,
		Measures: numbered(
			drill.Measure{
				What:   score.Ball,
				Tasks:  []int{0, 1, 2},
				Target: target(farHalf()),
				Counts: drill.Counts{Choices: true},
				Goals:  score.Course{{Kind: score.Total, Count: 17}},
			},
		),
		Cues:      []string{"Split as the ball is struck", "Let the fourth one go"},
		Cautions:  []string{looseBalls, turnAndRun},
		Equipment: []string{"1 basket"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 1}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.8}),
		},
	}
}

// smashAndClose is a smash, and in after it: the block comes straight, or the shuttle is lifted again.
func smashAndClose() drill.Document {
	lift := lobbed(
		4.5,
		sports.Smash,
		court.From(court.Off(court.NearBaseline, 1.6, court.In), court.Off(court.NearCentre, 0.4, court.Right)),
	)
	lift.Gap = 2.4
	block := lobbed(
		2,
		sports.Net,
		court.From(court.Off(court.NearService, 0.7, court.In), court.Off(court.NearCentre, 0.8, court.Right)),
	)
	again := lobbed(
		4.5,
		sports.Clear,
		court.From(court.Off(court.NearBaseline, 1.2, court.In), court.Off(court.NearCentre, 0.6, court.Left)),
	)
	return drill.Document{
		FormatVersion: drill.FormatVersion,
		Name:          "Smash and Close",
		Sport:         court.Badminton,
		Court:         "badminton",
		Summary: "Smash, and close in behind it: most shuttles are blocked short, some are lifted again. The " +
			"feeder chooses; read it before the net.",
		Stroke: sports.Smash,
		Rung:   ladder.Direction,
		Places: []drill.Place{
			at(
				drill.Start,
				court.From(court.Between(court.NearService, court.NearBaseline, 0.4), court.Off(court.NearCentre, 0, court.Right)),
			),
			at(
				drill.Feeder,
				court.From(court.Between(court.FarService, court.FarBaseline, 0.3), court.Off(court.FarCentre, 0, court.Right)),
			),
		},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       4,
			Sequences: 4,
			Pause:     8,
			Seed:      3,
			Tasks:     []feed.Task{lift, block, again},
			Branches: []feed.Branch{
				{From: 1, To: 1, Case: feed.IfShort, Chance: 0.7}, {From: 2, To: 2, Case: feed.IfHigh, Chance: 0.3},
			},
		},
		Turns:  3,
		SetUp:  30,
		Effort: 8,
		Measures: numbered(
			drill.Measure{
				Name:   "smash",
				What:   score.Ball,
				Tasks:  []int{0},
				Target: target(farHalf()),
				Goals:  score.Course{{Kind: score.Total, Count: 12}},
			},
			drill.Measure{
				Name:   "what comes back",
				What:   score.Ball,
				Tasks:  []int{1, 2},
				Stroke: sports.Net,
				Target: target(farHalf()),
				Counts: drill.Counts{Choices: true},
				Goals:  score.Course{{Kind: score.Total, Count: 8}},
			},
		),
		Cues: []string{"Two steps in as it leaves the racket", "Split before the answer"},
		Cautions: []string{
			"Sweep shuttles off the floor between turns.",
			"Overhead strokes add up for growing shoulders; pain means stop.",
		},
		Equipment: []string{"1 tube of shuttles"},
		Variations: []drill.Variation{
			easier("More time", feed.Transformation{Kind: feed.Slow, By: 0.8}),
			harder("Quicker", feed.Transformation{Kind: feed.Quicken, By: 0.4}),
		},
	}
}
