package drill

import (
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// maxPlaces is how many people and things a drill has at most.
const maxPlaces = 24

// carried says whether it is put down on court before the drill.
func (k PlaceKind) carried() bool { return k == Basket || k == Cone || k.long() }

// long says whether it has a length.
func (k PlaceKind) long() bool { return k == Obstacle || k == Strip || k == Rope }

// Put is somebody or something that is put on court.
type Put struct {
	Kind PlaceKind   `json:"kind"`
	At   court.Point `json:"at"`
}

// usualLength is how long a thing is that is put down, metres. Common practice, no source.
var usualLength = map[PlaceKind]float64{Obstacle: 0.6, Strip: 2, Rope: 4}

// put returns the drill with somebody or something more, measured from the nearest lines. Offsets become multiples of
// the grain, in metres. The error is told at "put".
func (d Document) put(in Put, grain float64) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	if len(d.Places) >= maxPlaces {
		return d, invalid.Fields{
			{
				Path:    "put",
				Message: fmt.Sprintf("there are %d people and things on court already; take one away first", maxPlaces),
			},
		}
	}
	place := Place{Kind: in.Kind, Mark: near(c, in.At, grain), Size: usualLength[in.Kind]}
	if in.Kind == Obstacle {
		place.Around = PassEither
	}
	if _, err := c.Resolve(place.Mark); err != nil {
		return d, invalid.Fields{{Path: "put", Message: err.Error()}}
	}
	d = d.Clone()
	d.Places = append(d.Places, place)
	return d, nil
}

// PlaceName is what one of the places is called: by the name that the coach gave it, else by what it is; cones by
// letter, in the order in which they were put down.
func (d Document) PlaceName(i int) string {
	place := d.Places[i]
	if place.Name != "" {
		return place.Name
	}
	if place.Kind == Cone {
		return "cone " + d.Letter(i)
	}
	return string(place.Kind)
}

// Letter is the letter of a cone, A for the first; empty for anything else.
func (d Document) Letter(i int) string {
	if d.Places[i].Kind != Cone {
		return ""
	}
	n := 0
	for _, place := range d.Places[:i] {
		if place.Kind == Cone {
			n++
		}
	}
	return string(rune('A' + n%26))
}

// named are those of the kinds of things that lists of equipment call by other names, too. Common practice, no source.
var named = map[PlaceKind][]string{
	Cone: {"cone", "marker", "disc", "spot"}, Obstacle: {"obstacle", "bollard", "post", "chair", "hurdle"},
	Strip: {"strip", "line"}, Rope: {"rope", "cord"}, Basket: {"basket", "box", "tube"},
}

// FromContainer says whether the balls come out of a basket, a tube or a box: where the list of equipment or the court
// says so, or where loose balls are fed and the list speaks of no balls.
func (d Document) FromContainer() bool {
	if mentions(d.Equipment, named[Basket]) {
		return true
	}
	of := sports.Of(d.Sport)
	return slices.ContainsFunc(d.Places, func(p Place) bool { return p.Kind == Basket }) ||
		d.Pattern.Rally == nil && !d.Pattern.OneBall() && d.Pattern.BallsPerTurn() > 0 &&
			!mentions(d.Equipment, []string{of.One, of.Many, "ball"})
}

// Carry is what a drill needs to be brought: its list of equipment, and what its balls come out of or stands on its
// court that no line of the list speaks of.
func (d Document) Carry() []string {
	list := append([]string{}, d.Equipment...)
	for _, kind := range []PlaceKind{Cone, Obstacle, Strip, Rope, Basket} {
		n := 0
		for _, place := range d.Places {
			if place.Kind == kind {
				n++
			}
		}
		if n > 0 && !mentions(d.Equipment, named[kind]) {
			list = append(list, units.Count(n, string(kind), string(kind)+"s"))
		}
	}
	if d.FromContainer() && !mentions(list, named[Basket]) {
		list = append(list, "1 "+string(sports.Of(d.Sport).Carried))
	}
	return list
}
