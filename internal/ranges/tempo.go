package ranges

import (
	"context"
	"errors"

	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// tempo are the rows of how quick things are. No constant is fitted to them.
func tempo() []Row {
	type value = func(context.Context, student.Level) (float64, error)
	row := func(what string, level student.Level, low, high float64, of value) Row {
		return Row{What: what, Level: level, Low: low, High: high, Value: func(ctx context.Context) (float64, error) {
			return of(ctx, level)
		}}
	}
	const (
		sprinting = "5 to 10 m of a sprint, s"
		corner    = "badminton, a corner and back, shadow, s"
		serving   = "from one serve to the next, s"
	)
	return []Row{
		row(sprinting, student.Red, 0.95, 1.15, sprint),
		row(sprinting, student.Beginner, 0.8, 0.95, sprint),
		row(sprinting, student.Club, 0.65, 0.85, sprint),
		row(sprinting, student.Tournament, 0.65, 0.85, sprint),
		row(corner, student.Beginner, 1.9, 2.6, shadow),
		row(corner, student.Club, 1.6, 2.2, shadow),
		row(corner, student.Tournament, 1.35, 1.8, shadow),
		row("tennis, "+serving, student.Club, 4, 8, between("tennis", -11.5)),
		row("table, "+serving, student.Club, 3, 6, between("table-tennis", -1.5)),
		row("badminton smash until it is met at 1 m, s", student.Club, 0.45, 0.85, smashed),
		row("table, own strokes at full tempo, s", student.Tournament, 0.9, 1.3, atTheTable),
	}
}

func player(sport court.Sport, level student.Level) footwork.Player {
	return footwork.For(sport, footwork.Usual(level), level, student.RightHand, student.TwoHanded)
}

func sprint(_ context.Context, level student.Level) (float64, error) {
	p := player(court.Tennis, level)
	return p.Seconds(10) - p.Seconds(5), nil
}

// fastest is the shortest gap at which a staple is honest work.
func fastest(ctx context.Context, a asked, level student.Level) (float64, error) {
	d, err := a.drill(level)
	if err != nil {
		return 0, err
	}
	turn, err := simulation.Run(ctx, d, d.PlayerFor(level, student.RightHand), coach.Default())
	if err != nil {
		return 0, err
	}
	if gap := turn.Fastest[1].Gap; gap != nil {
		return *gap, nil
	}
	return 0, errors.New("no gap does")
}

func shadow(ctx context.Context, level student.Level) (float64, error) {
	return fastest(ctx, asked{
		on: "badminton", method: feed.ByHand, feeder: at(0, 4), start: at(0, -3.2),
		task: feed.Task{Kind: feed.ShadowTask, Stroke: sports.Clear, Landing: court.At(2, -5.4)},
	}, level)
}

func between(on court.ID, y float64) func(context.Context, student.Level) (float64, error) {
	return func(ctx context.Context, level student.Level) (float64, error) {
		return fastest(ctx, served(on, 0.3, y, sports.RallyPace), level)
	}
}

func smashed(_ context.Context, level student.Level) (float64, error) {
	c, err := sports.Court("badminton")
	if err != nil {
		return 0, err
	}
	d := footwork.Drill{World: sports.World(c, ""), Power: player(c.Sport, level).Power}
	l, err := d.Reply(feed.Task{Stroke: sports.Smash}, flight.Vec{X: 1, Y: -5.4, Z: 2.5}, court.Point{X: 1.5, Y: 4.8})
	if err != nil {
		return 0, err
	}
	met, ok := d.World.Follow(l, 1).Passes(1, 0, false)
	if !ok {
		return 0, errors.New("it never comes down to there")
	}
	return met.T, nil
}

func atTheTable(ctx context.Context, level student.Level) (float64, error) {
	a := asked{
		on: "table-tennis", method: feed.Live, feeder: at(0, 2), start: at(0, -2),
		task: task(sports.Forehand, sports.GamePace, 0.3, -1),
	}
	d, err := a.drill(level)
	if err != nil {
		return 0, err
	}
	d.Pattern.Rally = &feed.Rally{
		Near: feed.CrossCourt, Far: feed.CrossCourt, Shots: 12, Deep: 0.25, Wide: 0.25, Pace: sports.GamePace,
	}
	line, err := simulation.TurnOf(ctx, d, d.PlayerFor(level, student.RightHand), coach.Default())
	return 2 * simulation.StrokeGap(d, line), err
}
