// Package ranges is what is known of how well players of a level play: ranges, wide on purpose, beside what the model
// of a player comes to. Tests hold the model inside them, and its constants are fitted to them.
package ranges

import (
	"context"
	"fmt"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// Row is one known range. All of them are from memory and common practice.
type Row struct {
	What      string
	Level     student.Level
	Low, High float64
	Fits      bool // the constants of a stroke are fitted to it
	Value     func(ctx context.Context) (float64, error)
}

// String is a row in words.
func (r Row) String() string { return fmt.Sprintf("%s, %s", r.What, r.Level) }

// asked is a staple of a sport: one ball on a court, and how it is answered.
type asked struct {
	on            court.ID
	task          feed.Task
	feeder, start court.Point
	method        feed.Method
	target        *court.Target
}

// drill is the staple as a drill for a level.
func (a asked) drill(level student.Level) (drill.Document, error) {
	d, err := library.Bare(a.on, level, 1, 1, 1)
	if err != nil {
		return d, err
	}
	d.Stroke, d.Pattern.Method, d.Pattern.Tasks = a.task.Stroke, a.method, []feed.Task{a.task}
	d.Measures[0].Target = a.target
	if a.task.Kind == feed.ShadowTask {
		d.Measures[0].What, d.Measures[0].Counts.By = score.Repetition, drill.ByMovement
	}
	d.Places = []drill.Place{
		{Kind: drill.Start, Mark: court.At(a.start.X, a.start.Y)},
		{Kind: drill.Feeder, Mark: court.At(a.feeder.X, a.feeder.Y)},
	}
	return d, d.Check()
}

// Played is one ball as the model sees it.
type Played struct {
	Ball playerfit.Ball
	Fit  playerfit.Measure
	Met  footwork.Interception
}

// played works out what a level makes of a staple.
func (a asked) played(ctx context.Context, level student.Level) (Played, error) {
	d, err := a.drill(level)
	if err != nil {
		return Played{}, err
	}
	s := coach.Default()
	player := d.PlayerFor(level, student.RightHand)
	line, err := simulation.TurnOf(ctx, d, player, s)
	if err != nil {
		return Played{}, err
	}
	turn := simulation.Simulation{Timeline: line, Player: player}
	fit, err := playerfit.For(ctx, d, turn, []playerfit.Evidence{{Level: level, Typical: true}}, 1, s)
	if err != nil {
		return Played{}, err
	}
	p := Played{Fit: fit.Measures[0]}
	if len(p.Fit.Balls) > 0 {
		p.Ball = p.Fit.Balls[0]
	}
	if len(turn.Timeline.Interceptions) > 0 {
		p.Met = turn.Timeline.Interceptions[0]
	}
	return p, nil
}

// in is how often it is made.
func in(p Played) float64 { return p.Ball.Chance }

// speed is how fast it leaves, m/s.
func speed(p Played) float64 { return p.Ball.Speed }

// netShare is the share of the errors that go into the net; a ball that is mishit goes anywhere else.
func netShare(p Played) float64 {
	if p.Fit.Target == nil {
		return 0
	}
	return p.Fit.Target.Shares.Net / (1 - p.Ball.Reach*p.Ball.Chance)
}

// rows are a row for each level.
func rows(what string, a asked, of func(Played) float64, ranges map[student.Level][2]float64) []Row {
	var list []Row
	for _, level := range []student.Level{
		student.Red, student.Orange, student.Green, student.Beginner, student.Improver, student.Club, student.Tournament,
	} {
		known, ok := ranges[level]
		if !ok {
			continue
		}
		list = append(list, Row{
			What: what, Level: level, Low: known[0], High: known[1], Fits: true,
			Value: func(ctx context.Context) (float64, error) {
				p, err := a.played(ctx, level)
				return of(p), err
			},
		})
	}
	return list
}

// adults are the ranges of a beginner, a club and a tournament player, each from and to.
func adults(b1, b2, c1, c2, t1, t2 float64) map[student.Level][2]float64 {
	return map[student.Level][2]float64{
		student.Beginner: {b1, b2}, student.Club: {c1, c2}, student.Tournament: {t1, t2},
	}
}

// only is the range of one level.
func only(level student.Level, low, high float64) map[student.Level][2]float64 {
	return map[student.Level][2]float64{level: {low, high}}
}
