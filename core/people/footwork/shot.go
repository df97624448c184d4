package footwork

import (
	"cmp"
	"fmt"
	"math"

	"hodometer/core/basics/units"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Reply is how the answer to a task's ball leaves from where it was met, so that it lands at a place; the
// error wraps flight.ErrImpossible where it cannot.
func (d Drill) Reply(t feed.Task, met flight.Vec, landing court.Point) (flight.Launch, error) {
	return d.shot(t.Answered(d.World.Court.Sport), met, landing)
}

// Strike is the answer to a task's ball as Reply has it, with so much of its speed, which a serve, a smash or a drive
// has to have; at 0 they go by their pace.
func (d Drill) Strike(t feed.Task, met flight.Vec, landing court.Point, share float64) (flight.Launch, error) {
	l, err := d.struck(t.Answered(d.World.Court.Sport), met, landing, share)
	return d.within(t.Stroke, l, err)
}

// BySpeed says whether a stroke goes by the speed at which it leaves.
func (d Drill) BySpeed(stroke sports.Stroke) bool {
	_, ok := sports.Of(d.World.Court.Sport).Striking.First[stroke]
	return ok
}

// shot is the launch of a stroke from where the ball is met: a serve, a smash or a drive by the speed at which it
// leaves, or a little slower where it has to be, a lob or a clear by how high it goes, a drop by its way over the
// net, and the others by their pace. The error wraps flight.ErrImpossible where it cannot be played, also where the
// player does not strike so hard.
func (d Drill) shot(t feed.Task, from flight.Vec, landing court.Point) (flight.Launch, error) {
	var l flight.Launch
	var err error
	for _, share := range d.Shares(t.Stroke) {
		if l, err = d.struck(t, from, landing, share); err == nil {
			break
		}
	}
	return d.within(t.Stroke, l, err)
}

// shares are those of the speed of a stroke at which it is tried, from the fastest on; 0 goes by its pace.
var shares = []float64{1, 0.9, 0.8, 0.7, 0.6, 0.5, 0}

// Shares are those of the speed of a stroke at which it is tried, from the fastest on. A smash that goes by its pace
// would be none.
func (d Drill) Shares(stroke sports.Stroke) []float64 {
	switch {
	case !d.BySpeed(stroke):
		return shares[:1]
	case stroke == sports.Smash:
		return shares[:len(shares)-1]
	}
	return shares
}

// within is a launch that its player is able to strike.
func (d Drill) within(stroke sports.Stroke, l flight.Launch, err error) (flight.Launch, error) {
	const aimed = 1.01 // a launch is found to a hundredth
	if leaves, most := l.Velocity.Norm(), d.hardest(stroke); err == nil && leaves > aimed*most {
		err = fmt.Errorf(
			"%w: it would leave at %s m/s, and they strike at most %s m/s",
			flight.ErrImpossible,
			units.Decimal(leaves, 0),
			units.Decimal(most, 0),
		)
	}
	return l, err
}

// beside is how hard a ball that is met beside the body is struck at most, as a share of one that is met above the
// head. Common practice, no source.
const beside = 0.8

// hardest is how fast a ball of a stroke leaves at most, m/s.
func (d Drill) hardest(stroke sports.Stroke) float64 {
	of := sports.Of(d.World.Court.Sport)
	if first, ok := of.Striking.First[stroke]; ok {
		most := first * sports.AboveHead(d.power())
		if d.underhand(stroke) {
			most = math.Max(most, of.Striking.Hardest*d.power())
		}
		return most
	}
	if of.Overhead(stroke) {
		return of.Striking.Hardest * sports.AboveHead(d.power())
	}
	return beside * of.Striking.Hardest * d.power()
}

// underhand says whether a ball is served from beside the body: whoever is not strong takes a swing that reaches.
func (d Drill) underhand(stroke sports.Stroke) bool {
	return stroke == sports.Serve && !sports.Of(d.World.Court.Sport).Overhead(stroke)
}

// power is how hard its players strike: where nothing is said, as a club player does.
func (d Drill) power() float64 { return cmp.Or(d.Power, byLevel[student.Club][3]) }

// struck is the launch of a stroke for somebody who strikes as hard as it takes; one that goes by the speed at which it
// leaves at so much of that, 0 by its pace.
func (d Drill) struck(t feed.Task, from flight.Vec, landing court.Point, share float64) (l flight.Launch, err error) {
	if t.Pace == "" {
		t.Pace = sports.RallyPace
		if t.Stroke != sports.Serve && d.aboveHead(t.Stroke) {
			t.Pace = sports.GamePace
		}
	}
	t.Height, t.Method = from.Z, feed.Live
	want := flight.Want{From: from, Landing: landing, Spin: t.SpinOf(d.World.Court.Sport), Flat: true}
	if t.Stroke == sports.Serve && d.World.Court.AtTable() {
		want.Flat = false
		return d.overOwnHalf(want)
	}
	var ok bool
	want.By, want.Value, ok = sports.By(d.World.Court, t.Stroke, t.Pace, d.power(), math.Abs(landing.Y))
	switch {
	case !ok:
		return d.byPace(t, from, landing, share)
	case want.By == flight.BySpeed && share == 0:
		t.Stroke = ""
		return d.byPace(t, from, landing, 1)
	case want.By == flight.BySpeed:
		want.Value *= share
	case want.By == flight.ByApex:
		want.Value = math.Max(want.Value, from.Z+0.5)
	}
	l, err = d.World.Aim(want)
	if err != nil && want.By == flight.BySpeed && d.underhand(t.Stroke) {
		t.Stroke = ""
		return d.byPace(t, from, landing, 1)
	}
	return l, err
}

// ownPace is how many times as fast as its pace a player's own stroke goes: the paces are a club player's on the full
// court, and children who do not strike so hard play more slowly on small courts too. A shuttle that is struck harder
// is no quicker there: how fast a rally of it goes is a matter of tactics. With a share of it they take pace off, but
// not below a beginner's.
func (d Drill) ownPace(share float64) float64 {
	power := d.power() / byLevel[student.Club][3]
	c := sports.Of(d.World.Court.Sport).Courts[0].Court
	small := sports.RallyPace.Speed(d.World.Court) / sports.RallyPace.Speed(c)
	own := math.Min(power/small, math.Max(power, 1))
	if !d.World.Ball.Bounces() {
		own = math.Min(own, 1)
	}
	return math.Max(share*own, math.Min(own, byLevel[student.Beginner][3]/byLevel[student.Club][3]))
}

// byPace is a stroke that goes by its pace, but not so slowly that it had to be struck steeper than half-way up, where
// it would take more of a stroke again. Over a long way it goes no higher over the net than players of that pace send
// it, so that it goes faster, as fast as they are able to.
func (d Drill) byPace(t feed.Task, from flight.Vec, landing court.Point, share float64) (flight.Launch, error) {
	least := math.Sqrt(flight.Gravity * from.Floor().Distance(landing) / 2)
	own := d.ownPace(share)
	l, slower, err := d.launch(t, from.Floor(), landing, math.Max(own, least/t.Pace.Speed(d.World.Court)))
	most := t.Pace.Over(d.World.Court.Sport) / (own * own) // a slower ball is longer on its way
	if err != nil || slower || most == 0 || from.Y*landing.Y >= 0 {
		return l, err
	}
	if net, ok := d.World.Follow(l, 1).First(flight.OverNet); !ok || d.World.Clearance(net) <= most {
		return l, nil
	}
	want := flight.Want{From: from, Landing: landing, Spin: t.SpinOf(d.World.Court.Sport), Flat: true}
	hardest := d.hardest(t.Stroke)
	want.By, want.Value = flight.ByClearance, most
	if lower, err := d.World.Aim(want); err == nil && lower.Velocity.Norm() <= hardest {
		return lower, nil
	}
	want.By, want.Value = flight.BySpeed, hardest
	if lower, err := d.World.Aim(want); err == nil && hardest > l.Velocity.Norm() {
		return lower, nil
	}
	return l, nil
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
