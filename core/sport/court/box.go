package court

import (
	"slices"
)

// BoxID names a part of a court. Left and right in it are the near player's; deuce and ad are those of
// the player whose end it is.
type BoxID string

// Box is a named part of the surface.
type Box struct {
	ID   BoxID  `json:"id"`
	Name string `json:"name"`
	Min  Point  `json:"min"`
	Max  Point  `json:"max"`
}

// Area is the box's area in square metres.
func (b Box) Area() float64 { return (b.Max.X - b.Min.X) * (b.Max.Y - b.Min.Y) }

// Holds says whether a place lies in the box.
func (b Box) Holds(p Point) bool {
	return p.X >= b.Min.X && p.X <= b.Max.X && p.Y >= b.Min.Y && p.Y <= b.Max.Y
}

// nearly says whether a place lies in the box or within a millimetre of it.
func (b Box) nearly(p Point) bool {
	const slack = 1e-3
	return p.X >= b.Min.X-slack && p.X <= b.Max.X+slack && p.Y >= b.Min.Y-slack && p.Y <= b.Max.Y+slack
}

// Box finds a box by name.
func (c Court) Box(id BoxID) (Box, bool) {
	i := slices.IndexFunc(c.Boxes, func(b Box) bool { return b.ID == id })
	if i < 0 {
		return Box{}, false
	}
	return c.Boxes[i], true
}
