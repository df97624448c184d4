package footwork

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Reply is how the answer to a task's ball leaves from where it was met, so that it lands at a place; the
// error wraps flight.ErrImpossible where it cannot.
func (d Drill) Reply(t feed.Task, met flight.Vec, landing court.Point) (flight.Launch, error) {
	l, _, err := d.shot(t.Answered(d.World.Court.Sport), met, landing)
	return l, err
}

// shot is the launch of a stroke from where the ball is met: a serve, a smash or a drive by the speed at which it
// leaves, a lob or a clear by how high it goes, a drop by its way over the net, and the others by their pace. Slower
// says that it goes slower than that, so that it clears the net.
func (d Drill) shot(t feed.Task, from flight.Vec, landing court.Point) (l flight.Launch, slower bool, err error) {
	if t.Pace == "" {
		t.Pace = sports.RallyPace
	}
	t.Height, t.Method = from.Z, feed.Live
	if t.Stroke == sports.Serve && d.World.Court.AtTable() {
		l, err = d.overOwnHalf(flight.Want{From: from, Landing: landing, Spin: t.SpinOf(d.World.Court.Sport)})
		return l, false, err
	}
	by, value, ok := sports.By(d.World.Court, t.Stroke, t.Pace, d.Power, math.Abs(landing.Y))
	if !ok {
		return d.byPace(t, from, landing)
	}
	want := flight.Want{
		From:    from,
		Landing: landing,
		By:      by,
		Value:   value,
		Spin:    t.SpinOf(d.World.Court.Sport),
		Flat:    true,
	}
	if by == flight.ByApex {
		want.Value = math.Max(value, from.Z+0.5)
	}
	if l, err = d.World.Aim(want); err == nil || by != flight.BySpeed {
		return l, false, err
	}
	t.Stroke = "" // at that speed it would not clear the net, or not come down there
	return d.byPace(t, from, landing)
}

// byPace is a stroke that goes by its pace; over a long way no higher over the net than players of that pace send it,
// so that it goes faster.
func (d Drill) byPace(t feed.Task, from flight.Vec, landing court.Point) (l flight.Launch, slower bool, err error) {
	l, slower, err = d.launch(t, from.Floor(), landing)
	most := t.Pace.Over(d.World.Court.Sport)
	if err != nil || slower || most == 0 || from.Y*landing.Y >= 0 {
		return l, slower, err
	}
	if net, ok := d.World.Follow(l, 1).First(flight.OverNet); ok && d.World.Clearance(net) > most {
		if lower, err := d.World.Aim(
			flight.Want{From: from, Landing: landing, By: flight.ByClearance, Value: most, Spin: t.SpinOf(d.World.Court.Sport)},
		); err == nil {
			return lower, false, nil
		}
	}
	return l, slower, nil
}

// overOwnHalf is a serve at a table: with the first bounce where the ball then passes the net about as high over it as
// it should. How high, and where players try it, is common practice, no source.
func (d Drill) overOwnHalf(want flight.Want) (best flight.Launch, err error) {
	const over = 0.1 // metres
	least := math.Inf(1)
	for _, share := range []float64{0.3, 0.7, 0.8, 0.85, 0.9} {
		want.First = share * d.World.Court.Length / 2
		l, failed := d.World.Aim(want)
		if failed != nil {
			err = failed
			continue
		}
		if net, ok := d.World.Follow(l, 2).First(flight.OverNet); ok {
			if off := math.Abs(d.World.Clearance(net) - over); off < least {
				best, least = l, off
			}
		}
	}
	if !math.IsInf(least, 1) {
		err = nil
	}
	return best, err
}
