package drill

import (
	"math"
	"slices"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// What counts as wide running: so many metres between two things to do, sideways or to a place that is touched; on
// small courts this share of the width, but never less than what one step to the side reaches. Our own choice.
const (
	wideMetres  = 3.0
	wideShare   = 0.4
	narrowest   = 1.8
	frontMetres = 2.5 // so near the net, or the front wall, a ball is met in a lunge where that is usual
)

// Strains is what a drill asks of a body that a sore one may have to be spared, in the order in which it is offered.
// What a rally with a free choice may come to is not foreseen.
func (d Document) Strains() []student.Strain {
	asks := map[student.Strain]bool{
		student.ServesAndOverheads: d.strikes(
			func(s sports.Stroke) bool { return s == sports.Serve || sports.Of(d.Sport).Overhead(s) },
		),
		student.Backhands: d.strikes(
			func(s sports.Stroke) bool { return s == sports.Backhand || s == sports.BackhandVolley },
		),
		student.FullPace:    d.atFullPace(),
		student.WideRunning: d.runsWide(),
		student.Lunges:      d.lunges() || mentions(d.said(), []string{"lunge"}),
		student.Jumps:       mentions(d.said(), []string{"jump", "leap", "skipping"}),
	}
	list := []student.Strain{}
	for _, each := range student.Strain("").Enum() {
		if strain := each.(student.Strain); asks[strain] {
			list = append(list, strain)
		}
	}
	return list
}

// strikes says whether a stroke of a sort is played, or worked on.
func (d Document) strikes(sort func(sports.Stroke) bool) bool {
	return sort(d.Stroke) || d.Pattern.Count(sort) > 0 || slices.ContainsFunc(d.Pattern.Tasks, func(t feed.Task) bool {
		return (t.Kind.Struck() || t.Kind == feed.ShadowTask) && sort(t.Stroke)
	})
}

// atFullPace says whether a ball comes, or is to go back, at game pace, or is attacked.
func (d Document) atFullPace() bool {
	if r := d.Pattern.Rally; r != nil && r.Pace == sports.GamePace {
		return true
	}
	return slices.ContainsFunc(d.Pattern.Tasks, func(t feed.Task) bool {
		return t.ReplyPace == sports.GamePace || t.Kind.Struck() && t.Pace == sports.GamePace
	})
}

// said is what the drill says in words of what is done.
func (d Document) said() []string {
	lines := append([]string{d.Name, d.Summary}, d.Cues...)
	for _, t := range d.Pattern.Tasks {
		lines = append(lines, t.Stance)
	}
	return append(lines, d.names()...)
}

// spots are where the player goes for each task, of players who are live beside each other apart.
func (d Document) spots() (c court.Court, byPlayer map[int][]court.Point, ok bool) {
	c, err := sports.Court(d.Court)
	if err != nil || c.AtTable() {
		return c, nil, false // at a table nobody runs far
	}
	byPlayer = map[int][]court.Point{}
	for _, t := range d.Pattern.Tasks {
		if at, err := c.Resolve(t.Landing); err == nil {
			byPlayer[t.Player] = append(byPlayer[t.Player], at)
		}
	}
	return c, byPlayer, true
}

// runsWide says whether somebody runs far to the side between two tasks.
func (d Document) runsWide() bool {
	c, byPlayer, ok := d.spots()
	if !ok {
		return false
	}
	wide := math.Max(narrowest, math.Min(wideMetres, wideShare*c.Singles))
	fixed := d.Pattern.Order == "" || d.Pattern.Order == feed.AsListed
	for _, spots := range byPlayer {
		for i, from := range spots {
			for k, to := range spots {
				if fixed && k != (i+1)%len(spots) || i == k {
					continue
				}
				if math.Abs(from.X-to.X) >= wide {
					return true
				}
			}
		}
	}
	return false
}

// lunges says whether a ball is met so far in front that it takes a lunge, as at the net with a shuttle and at the
// front wall.
func (d Document) lunges() bool {
	c, byPlayer, ok := d.spots()
	if !ok || !sports.Of(d.Sport).Lunges {
		return false
	}
	for _, spots := range byPlayer {
		if slices.ContainsFunc(spots, func(p court.Point) bool {
			if !c.HasNet() {
				return c.Length/2-p.Y <= frontMetres
			}
			return math.Abs(p.Y) <= frontMetres
		}) {
			return true
		}
	}
	return false
}
