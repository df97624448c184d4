package court

import (
	"cmp"
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

// bothEnds makes a box on the near half and the one that the far player has: turned half round.
func bothEnds(id, name string, left, right, from, to float64) []Box {
	return []Box{
		{ID: BoxID("near-" + id), Name: "near " + name, Min: Point{left, -to}, Max: Point{right, -from}},
		{ID: BoxID("far-" + id), Name: "far " + name, Min: Point{-right, from}, Max: Point{-left, to}},
	}
}

// sized puts the boxes in order, smaller ones first, so that a place is found in the finest.
func sized(groups ...[]Box) []Box {
	boxes := slices.Concat(groups...)
	slices.SortStableFunc(boxes, func(a, b Box) int { return cmp.Compare(a.Area(), b.Area()) })
	return boxes
}

// halves are the parts that every court with two ends has.
func halves(width, length float64) []Box {
	w, l := width/2, length/2
	return slices.Concat(
		bothEnds("half", "half", -w, w, 0, l),
		[]Box{
			{ID: "left-half", Name: "left half, both ends", Min: Point{-w, -l}, Max: Point{0, l}},
			{ID: "right-half", Name: "right half, both ends", Min: Point{0, -l}, Max: Point{w, l}},
		},
	)
}

// ServedTo is the box into which a serve from a place at the near end has to go: the one across, in squash the back quarter
// across, at a table the far half. False where the court has none.
func (c Court) ServedTo(from Point) (BoxID, bool) {
	right := from.X >= 0
	names := map[Sport][2]BoxID{
		Tennis: {"far-ad-service-box", "far-deuce-service-box"}, Pickleball: {"far-left-service-court", "far-right-service-court"},
		Badminton: {"far-left-service-court", "far-right-service-court"}, Squash: {"back-right", "back-left"}, TableTennis: {"far-half", "far-half"},
	}[c.Sport]
	id := names[0]
	if right {
		id = names[1]
	}
	_, ok := c.Box(id)
	return id, ok
}
