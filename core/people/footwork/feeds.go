package footwork

import (
	"context"
	"errors"
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Drill is a pattern with its places resolved: what a timeline is worked out from. Places that stand for
// several live players are in the order of the players.
type Drill struct {
	World     flight.World
	Pattern   feed.Pattern
	Starts    []court.Point // at least one
	Recovery  []court.Point // where a task does not say; a player without one goes back to the start
	Feeder    court.Point
	Obstacles []Obstacle
	Scatter   map[feed.Method]flight.Scatter
	Middle    bool    // in a rally players get back to the middle by rote, not to the base position
	Power     float64 // how hard its players strike, as a share of an adult tournament player
}

func under(task int, part string, err error) error {
	var wrong invalid.Fields
	wrong.Under(invalid.Join("pattern.tasks", task, part), err)
	return wrong.Err()
}

// launch finds how a task's ball leaves, so many times as fast as its pace says; slower says that it comes slower, so
// that it clears the net.
func (d Drill) launch(t feed.Task, from, landing court.Point, times float64) (l flight.Launch, slower bool, err error) {
	w, method := d.World, d.Pattern.MethodOf(t)
	of, height := sports.Of(w.Court.Sport), t.Height
	if height == 0 {
		height = method.Height(of)
	}
	if t.Served() {
		toss := of.Serving
		up := math.Sqrt(2 * flight.Gravity * (toss.Up - toss.Held))
		return flight.Launch{From: flight.Above(landing, toss.Held), Velocity: flight.Vec{Z: up}}, false, nil
	}
	if method == feed.SelfDrop {
		facing := d.facing(landing)
		from = court.Point{X: landing.X, Y: landing.Y - 0.1*facing} // dropped in front of the body
		l = flight.Launch{From: flight.Above(from, height), Velocity: flight.Vec{Y: 0.2 * facing}}
		return l, false, nil
	}
	want := flight.Want{
		From:    flight.Above(from, height),
		Landing: landing,
		By:      t.By,
		Value:   t.Value,
		Spin:    t.SpinOf(w.Court.Sport),
	}
	if t.By != "" {
		l, err = w.Aim(want)
		return l, false, err
	}
	if w.Court.HasFrontWall() && (method == feed.OffWall || method == feed.Partner || method == feed.Live) {
		want.By, want.Value = flight.ByWall, wallHeight[d.Pattern.PaceOf(t)]
		l, err = w.Aim(want)
		return l, false, err
	}
	if of.Lob > 0 && t.Pace == "" && of.Overhead(t.Stroke) {
		want.By, want.Value = flight.ByApex, of.Lob
		l, err = w.Aim(want)
		return l, false, err
	}
	if method == feed.ByHand && t.Pace == "" && w.Ball.Bounces() {
		want.By, want.Value = flight.ByApex, height+toss
		if l, err = w.Aim(want); err == nil {
			return l, false, nil
		}
	}
	want.By, want.Value = flight.ByTime, max(0.15, from.Distance(landing)/(times*d.Pattern.PaceOf(t).Speed(w.Court)))
	if l, err = w.Aim(want); err == nil {
		return l, false, nil
	}
	// At that pace it would not clear the net: as fast as the net lets it.
	want.By, want.Value = flight.ByClearance, 0.15*w.Court.Net.Centre
	quick, failed := w.Aim(want)
	if failed != nil {
		return l, false, err
	}
	return quick, true, nil
}

// toss is how far a hand tosses a ball up, metres. Common practice, no source.
const toss = 0.5

// wallHeight is where a ball of a pace meets the front wall, metres. Common practice, no source.
var wallHeight = map[sports.Pace]float64{
	sports.Gentle:    3.4,
	sports.HalfPace:  3.0,
	sports.RallyPace: 2.4,
	sports.GamePace:  1.6,
}

// problem says in a coach's words why a task cannot be fed.
func (f flown) problem(i int) string {
	switch {
	case f.fails == nil:
		return ""
	case errors.Is(f.fails, errNothingToAnswer):
		return "Not played: " + errNothingToAnswer.Error() + "."
	}
	why := strings.TrimPrefix(f.fails.Error(), flight.ErrImpossible.Error()+": ")
	return fmt.Sprintf("Ball %d cannot be fed: %s.", i+1, why)
}

// Problems lists, by field, the balls of a pattern that nobody can feed.
func (d Drill) Problems(ctx context.Context) (invalid.Fields, error) {
	list, err := d.atRest(ctx)
	if err != nil {
		return nil, err
	}
	wrong := invalid.Fields{}
	for i, f := range list {
		if f.fails != nil {
			wrong = append(wrong, invalid.Field{Path: invalid.Join("pattern.tasks", i), Message: f.problem(i)})
		}
	}
	return wrong, nil
}

// MomentNear is how a task's ball would be met where its way passes nearest to a place, and how high it is
// there, in metres to the centimetre.
func (d Drill) MomentNear(ctx context.Context, task int, place court.Point) (feed.Moment, float64, error) {
	list, err := d.atRest(ctx)
	if err != nil {
		return "", 0, err
	}
	f := list[task]
	if f.fails != nil || !f.task.Kind.Flies() {
		return "", 0, errors.New("there is no ball to be met in this task")
	}
	const steps, nearTop, grain = 400, 0.06, 0.01
	best := f.path.At(0)
	for i := range steps {
		at := f.path.At(f.path.End() * float64(i) / steps)
		if at.P.Floor().Distance(place) < best.P.Floor().Distance(place) {
			best = at
		}
	}
	if f.bounce == nil || best.T < f.bounce.T {
		return feed.OutOfTheAir, 0, nil
	}
	if wall, ok := f.path.OffWall(); ok && best.T > wall.T && d.World.Court.HasNet() {
		return feed.OffTheWall, 0, nil
	}
	top := d.top(f.path, *f.bounce, f.path.End())
	switch {
	case math.Abs(best.T-top.T) < nearTop:
		return feed.AtTheTop, 0, nil
	case best.T < top.T:
		return feed.Rising, 0, nil
	}
	return feed.AtHeight, math.Max(grain, math.Round(best.P.Z/grain)*grain), nil
}
