package game

import (
	"errors"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Move is a start place or a target that was moved on court.
type Move struct {
	Handle string      `json:"handle" maxLength:"60" description:"Where its mark stands in the document: rules.spots.0.mark, rules.awards.0.target.mark"`
	To     court.Point `json:"to"`
}

// SpotHandle is the handle of the mark of a start place.
func SpotHandle(i int) string { return invalid.Join("rules.spots", i, "mark") }

// TargetPath is where the target of an award stands in the document.
func TargetPath(i int) string { return invalid.Join("rules.awards", i, "target") }

// mark is the mark with a handle; nil where there is none.
func (d *Document) mark(handle string) *court.Mark {
	for i := range d.Rules.Spots {
		if SpotHandle(i) == handle {
			return &d.Rules.Spots[i].Mark
		}
	}
	for i, a := range d.Rules.Awards {
		if a.Target != nil && TargetPath(i)+".mark" == handle {
			return a.Target.Mark
		}
	}
	return nil
}

// Moved returns the game with a start place or a target moved: from the lines nearest to where it is now, in multiples
// of the grain, in metres. It returns invalid.Fields.
func (d Document) Moved(m Move, grain float64) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	moved := d.Clone()
	mark := moved.mark(m.Handle)
	if mark == nil {
		return d, invalid.Fields{{Path: "move.handle", Message: "the game has nothing there that can be moved"}}
	}
	*mark = c.Rounded(c.Nearby(m.To), grain, true, true)
	if _, err := c.Resolve(*mark); err != nil {
		return d, invalid.Fields{{Path: m.Handle, Message: err.Error()}}
	}
	return moved, nil
}

// Typed returns the game with a size of a target read from words. It returns invalid.Fields.
func (d Document) Typed(in coach.Typed, s coach.Settings) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	typed := d.Clone()
	for i, a := range typed.Rules.Awards {
		name, ok := strings.CutPrefix(in.Path, TargetPath(i)+".")
		if !ok || a.Target == nil {
			continue
		}
		if known, err := s.SetSize(a.Target, name, in.Text, c, ""); err != nil {
			var wrong invalid.Fields
			wrong.Under(in.Path, err)
			return d, wrong.Err()
		} else if known {
			return typed, nil
		}
	}
	return d, invalid.Fields{{Path: "typed.path", Message: "the game has nothing there that can be typed"}}
}

// Sized returns the game with so many start places on each side: those that are too many are taken away from the end of
// a side, new ones stand beside the last one, 1.5 m nearer to the middle line of the side that it has. A side may have
// none; then the drill plays for it.
func (d Document) Sized(near, far int) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	const most = 6
	if near < 0 || far < 0 || near > most || far > most || near+far == 0 {
		return d, invalid.Fields{
			{Path: "rules.spots", Message: "a side has up to 6 players, and one of them has at least one"},
		}
	}
	d = d.Clone()
	var spots []Spot
	for _, side := range []struct {
		side Side
		n    int
	}{{Near, near}, {Far, far}} {
		var own []Spot
		for _, spot := range d.Rules.Spots {
			if spot.Side == side.side && len(own) < side.n {
				own = append(own, spot)
			}
		}
		for k := len(own); k < side.n; k++ {
			own = append(own, Spot{side.side, c.Rounded(c.Nearby(usualSpot(c, side.side, k)), 0.05, true, true)})
		}
		spots = append(spots, own...)
	}
	d.Rules.Spots = spots
	return d, nil
}

// usualSpot is where the n-th player of a side begins of whom nothing is said: at the back, from the right and the left
// in turn.
func usualSpot(c court.Court, side Side, n int) court.Point {
	across := []float64{0.15, -0.35, 0.38, -0.12, 0, 0.25}[n%6] * c.Singles
	along := c.AtDepth(0.9)
	if n >= 2 {
		along = c.AtDepth(0.45) // the others are nearer to the net
	}
	if c.AtTable() {
		along = -c.Length/2 - 0.6 // behind the table
	}
	if side == Far {
		across = -across
		if c.HasNet() {
			along = -along
		}
	}
	return court.Point{X: across, Y: along}
}

// OnCourt returns the game on another court, of its sport or of any other: start places and targets come to the same
// share of it, and of another sport start places to where players usually begin. A target that makes no sense there is
// left out; its points stay; a stroke that the sport does not have is no longer counted, and versions for courts of
// another sport, or for this one, are gone. It returns invalid.Fields.
func (d Document) OnCourt(id court.ID) (Document, error) {
	from, err := sports.Court(d.Court)
	to, also := sports.Court(id)
	if err = errors.Join(err, also); err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	scaled := func(m court.Mark) (court.Mark, bool) {
		at, err := from.Resolve(m)
		if err != nil {
			return m, false
		}
		return to.Rounded(
			to.Nearby(court.Point{X: at.X * to.Singles / from.Singles, Y: at.Y * to.Length / from.Length}),
			0.05,
			true,
			true,
		), true
	}
	d = d.Clone()
	nth := map[Side]int{}
	for i := range d.Rules.Spots {
		spot := &d.Rules.Spots[i]
		mark, ok := scaled(spot.Mark)
		if !ok || from.Sport != to.Sport {
			mark = to.Rounded(to.Nearby(usualSpot(to, spot.Side, nth[spot.Side])), 0.05, true, true)
		}
		spot.Mark = mark
		nth[spot.Side]++
	}
	for i := range d.Rules.Awards {
		a := &d.Rules.Awards[i]
		if a.Target == nil {
			continue
		}
		target := *a.Target
		if target.Mark != nil {
			mark, _ := scaled(*target.Mark)
			target.Mark = &mark
		}
		a.Target = &target
		if _, err := to.Shape(target, ""); err != nil || target.Mark == nil {
			a.Target = nil
		}
	}
	d.Rules.Measures = slices.DeleteFunc(
		d.Rules.Measures,
		func(m Measure) bool { return !slices.Contains(sports.Of(to.Sport).Strokes, m.Stroke) },
	)
	d.Versions = slices.DeleteFunc(d.Versions, func(v Version) bool {
		c, err := sports.Court(v.Court)
		return v.Court != "" && (err != nil || c.Sport != to.Sport) || v.Court == to.ID
	})
	d.Court, d.Sport = to.ID, to.Sport
	return d, nil
}
