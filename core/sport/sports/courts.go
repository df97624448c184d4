package sports

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

const (
	ft   = units.Foot
	inch = units.Inch
)

func point(x, y float64) court.Point { return court.Point{X: x, Y: y} }

// played lists the courts of all sports, in the order in which they are offered.
var played = slices.Collect(func(yield func(Played) bool) {
	for _, s := range all {
		for _, p := range s.Courts {
			if !yield(p) {
				return
			}
		}
	}
})

// Courts lists the courts in the order in which they are offered.
func Courts() []court.Court {
	list := make([]court.Court, len(played))
	for i, p := range played {
		list[i] = p.Court
	}
	return list
}

// Court returns a court by name; its error lists the courts there are.
func Court(id court.ID) (court.Court, error) {
	p, err := on(id)
	return p.Court, err
}

func on(id court.ID) (Played, error) {
	if i := slices.IndexFunc(played, func(p Played) bool { return p.Court.ID == id }); i >= 0 {
		return played[i], nil
	}
	names := make([]string, len(played))
	for i, p := range played {
		names[i] = string(p.Court.ID)
	}
	return Played{}, invalid.Fields{
		{Message: fmt.Sprintf("there is no court %q; the courts are %s", id, strings.Join(names, ", "))},
	}
}

// Regions are the built-in schemes of depth regions, at least one for each court. Names, purposes and borders are
// common practice, no source.
func Regions() (list []court.Scheme) {
	for _, p := range played {
		list = append(list, p.Regions...)
	}
	return list
}

// BallOn is the ball that is played on a court; green is the full court with the ball of the green stage.
func BallOn(c court.Court, green bool) flight.Ball {
	if own := Of(c.Sport); green && own.Green != nil && own.Courts[0].Court.ID == c.ID {
		return *own.Green
	}
	p, _ := on(c.ID)
	return p.Ball
}

// World is a court in still air, with the ball that is played there, on a surface; empty: the first that the court
// lists.
func World(c court.Court, surface string) flight.World {
	if surface == "" && len(c.Surfaces) > 0 {
		surface = c.Surfaces[0]
	}
	return flight.World{Ball: BallOn(c, false), Air: flight.StillAir(), Court: c, Surface: flight.SurfaceCalled(surface)}
}

// ServedTo is the box into which a serve from a place at the near end has to go. False where the court has none.
func ServedTo(c court.Court, from court.Point) (court.BoxID, bool) {
	id := Of(c.Sport).ServedTo[0]
	if from.X >= 0 {
		id = Of(c.Sport).ServedTo[1]
	}
	_, ok := c.Box(id)
	return id, ok
}

// ServedInside is how many metres inside the line behind which it is struck a serve is tossed at a place of the near
// end, and that line; 0 where it may be struck there.
func ServedInside(c court.Court, at court.Point) (metres float64, behind court.Line) {
	v := Of(c.Sport).Serving
	behind, ok := c.Line(v.Line)
	if inside := at.Y - behind.From.Y; ok && inside > v.Inside+0.005 {
		return inside, behind
	}
	return 0, behind
}

// ServedFrom is where a ball is tossed that is served from about a place of the near end: half-way to how far inside it
// may be, and no nearer to the middle than a step.
func ServedFrom(c court.Court, about court.Point) court.Point {
	const step = 0.3 // metres
	inside, behind := ServedInside(c, about)
	if inside > 0 {
		about.Y = behind.From.Y + Of(c.Sport).Serving.Inside/2
		if Of(c.Sport).Serving.Inside == 0 {
			about.Y -= step
		}
	}
	if math.Abs(about.X) < step {
		about.X = math.Copysign(step, about.X)
	}
	return about
}
