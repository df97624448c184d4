package drill

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// How near to a line of play somebody stands in it, metres, and how far up a net player stands at most. Our own choice.
const (
	inLine   = 1.0
	atTheNet = 4.0
)

// line is a straight way of a ball or of a player.
type line struct {
	from, to court.Point
	player   int // who runs it
}

// off is how far a point is from a line, and whether it is beside it rather than at one of its ends.
func (l line) off(p court.Point) (metres float64, beside bool) {
	dx, dy := l.to.X-l.from.X, l.to.Y-l.from.Y
	length := math.Hypot(dx, dy)
	if length < 1e-9 {
		return p.Distance(l.from), false
	}
	along := ((p.X-l.from.X)*dx + (p.Y-l.from.Y)*dy) / length
	return math.Abs((p.X-l.from.X)*dy-(p.Y-l.from.Y)*dx) / length, along > inLine && along < length-inLine
}

// crosses says whether two lines cross.
func (l line) crosses(m line) bool {
	side := func(a, b, c court.Point) float64 { return (b.X-a.X)*(c.Y-a.Y) - (b.Y-a.Y)*(c.X-a.X) }
	return side(l.from, l.to, m.from)*side(l.from, l.to, m.to) < 0 &&
		side(m.from, m.to, l.from)*side(m.from, m.to, l.to) < 0
}

// linesOfPlay are the ways of the balls of a drill as they are drawn, and the ways that its players run between them.
// Of a rally nothing is drawn.
func (d Document) linesOfPlay(c court.Court) (balls, runs []line) {
	feeder, fed := d.Place(Feeder)
	var target *court.Point
	if t := d.Main().Target; t != nil {
		if shape, err := c.Shape(*t, d.Format); err == nil {
			target = &shape.Centre
		}
	}
	at := map[int]court.Point{} // where each player is
	n := 0
	for _, place := range d.Places {
		if place.Kind != Start {
			continue
		}
		if p, err := c.Resolve(place.Mark); err == nil {
			at[n] = p
		}
		n++
	}
	for _, t := range d.Pattern.Tasks {
		met, err := c.Resolve(t.Landing)
		if err != nil {
			continue
		}
		if before, known := at[t.Player]; known {
			runs = append(runs, line{before, met, t.Player})
		}
		at[t.Player] = met
		if !t.Kind.Flies() {
			continue
		}
		from := feeder.Mark
		if t.From != nil {
			from = *t.From
		}
		if p, err := c.Resolve(from); err == nil && (fed || t.From != nil) && d.Pattern.MethodOf(t) != feed.Answer {
			balls = append(balls, line{from: p, to: met})
		}
		to := target
		if t.Reply != nil {
			if p, err := c.Resolve(*t.Reply); err == nil {
				to = &p
			}
		}
		if to != nil && t.Kind.Struck() {
			balls = append(balls, line{from: met, to: *to})
		}
	}
	return balls, runs
}

// dangers are cautions that follow from what stands where: who stands at the net in the line of a feed or a reply,
// players whose runs cross, and a rope in the way of a run. Common practice, no source.
func (d Document) dangers() []string {
	c, err := sports.Court(d.Court)
	if err != nil || c.AtTable() {
		return nil
	}
	var list []string
	balls, runs := d.linesOfPlay(c)
	for i, place := range d.Places {
		stands := place.Kind == Start && d.Starts() > 1 || place.Kind == Opponent || place.Kind == Partner ||
			place.Kind == Queue ||
			place.Kind == OnDeck
		at, err := c.Resolve(place.Mark)
		if err != nil {
			continue
		}
		if stands && c.HasNet() && math.Abs(at.Y) <= atTheNet {
			for _, ball := range balls {
				if off, beside := ball.off(at); off < inLine && beside {
					list = append(
						list,
						fmt.Sprintf(
							"The %s at the net is in the line of a ball: eyes on it and racket up, or one step to the side.",
							strings.Replace(d.PlaceName(i), string(Start), "player", 1),
						),
					)
					break
				}
			}
		}
		if place.Kind == Rope && !place.Up && place.Size > 0 {
			rope := line{from: court.Point{X: at.X - place.Size/2, Y: at.Y}, to: court.Point{X: at.X + place.Size/2, Y: at.Y}}
			for _, run := range runs {
				if run.crosses(rope) {
					list = append(
						list,
						"A rope lies in the way of a run: flat on the floor or out of the way, and nobody backs up over it.",
					)
					break
				}
			}
		}
	}
	for i, run := range runs {
		for _, other := range runs[i+1:] {
			if run.player != other.player && run.crosses(other) {
				return append(list, "The ways of two players cross: agree who goes first, and call.")
			}
		}
	}
	return list
}

// nearWalls says whether a wall is played against, or stands round the court.
func (d Document) nearWalls() bool {
	c, err := sports.Court(d.Court)
	if err == nil && c.PlaysWalls() {
		return true
	}
	for _, t := range d.Pattern.Tasks {
		if d.Pattern.MethodOf(t) == feed.OffWall {
			return true
		}
	}
	return false
}
