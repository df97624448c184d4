package footwork

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// How fast a hand throws, m/s, and from what height on it throws overarm, metres. Common practice, no source.
const (
	underarm  = 9.0
	overarm   = 14.0
	overarmAt = 1.6
)

// fed is how a task's ball leaves the feeder. A hand throws only so fast; where that is too little, the error says from
// how much nearer the ball goes.
func (d Drill) fed(t feed.Task, from, landing court.Point) (flight.Launch, bool, error) {
	l, slower, err := d.launch(t, from, landing, 1)
	if err != nil || d.Pattern.MethodOf(t) != feed.ByHand {
		return l, slower, err
	}
	most, how := underarm, "underarm"
	if l.From.Z >= overarmAt {
		most, how = overarm, "overarm"
	}
	speed := l.Velocity.Norm()
	if speed <= most {
		return l, slower, nil
	}
	why := fmt.Sprintf("a hand throws %s at up to %g m/s, and this takes %s m/s", how, most, units.Decimal(speed, 1))
	if pace, ok := d.gentler(t, from, landing, most); ok {
		return l, slower, fmt.Errorf("%w: %s; at %s pace it goes", flight.ErrImpossible, why, pace)
	}
	if nearer, ok := d.nearer(t, from, landing, most); ok {
		return l, slower, fmt.Errorf("%w: %s; it goes from %s nearer", flight.ErrImpossible, why, units.Metres.Length(nearer))
	}
	return l, slower, fmt.Errorf("%w: %s", flight.ErrImpossible, why)
}

// gentler is the quickest pace below the one that was chosen at which a hand throws it from there, in words; false
// where none was chosen, or none is slow enough.
func (d Drill) gentler(t feed.Task, from, landing court.Point, most float64) (string, bool) {
	if t.By != "" || t.Pace == "" {
		return "", false
	}
	const usual sports.Pace = "" // of a hand
	paces := []sports.Pace{sports.GamePace, sports.RallyPace, sports.HalfPace, sports.Gentle, usual}
	for _, pace := range paces[slices.Index(paces, t.Pace)+1:] {
		t.Pace = pace
		if l, _, err := d.launch(t, from, landing, 1); err == nil && l.Velocity.Norm() <= most {
			if pace == usual {
				return "its usual", true
			}
			return strings.TrimSuffix(string(pace), " pace"), true
		}
	}
	return "", false
}

// nearer is how many metres nearer to the landing a hand has to be so that it throws at most so fast, to the next
// tenth; false where it does not from anywhere on the way.
func (d Drill) nearer(t feed.Task, from, landing court.Point, most float64) (float64, bool) {
	far := from.Distance(landing)
	for metres := 0.1; metres < far-0.5; metres += 0.1 {
		share := metres / far
		at := court.Point{X: from.X + share*(landing.X-from.X), Y: from.Y + share*(landing.Y-from.Y)}
		if l, _, err := d.launch(t, at, landing, 1); err == nil && l.Velocity.Norm() <= most {
			return metres, true
		}
	}
	return 0, false
}
