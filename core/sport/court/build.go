package court

import (
	"cmp"
	"slices"
	"strings"
)

// PairAcross builds the two lines parallel to the net at distance d from it.
func PairAcross(near, far LineID, d, halfWidth float64) []Line {
	return []Line{
		NamedLine(near, Point{-halfWidth, -d}, Point{halfWidth, -d}),
		NamedLine(far, Point{-halfWidth, d}, Point{halfWidth, d}),
	}
}

// PairAlong builds the two lines parallel to the sidelines at distance d from the middle.
func PairAlong(left, right LineID, d, halfLength float64) []Line {
	return []Line{
		NamedLine(left, Point{-d, -halfLength}, Point{-d, halfLength}),
		NamedLine(right, Point{d, -halfLength}, Point{d, halfLength}),
	}
}

// CentreLines builds the two centre lines between distances from and to from the net.
func CentreLines(from, to float64) []Line {
	return []Line{
		NamedLine(NearCentre, Point{0, -to}, Point{0, -from}),
		NamedLine(FarCentre, Point{0, from}, Point{0, to}),
	}
}

// nameOf is what a coach calls a line.
func nameOf(id LineID) string {
	// The replacer tries its pairs in order: the hyphen of no-volley stays.
	return strings.NewReplacer("no-volley", "no-volley", "-", " ").Replace(string(id))
}

// BothEnds makes a box on the near half and the one that the far player has: turned half round.
func BothEnds(id, name string, left, right, from, to float64) []Box {
	return []Box{
		{ID: BoxID("near-" + id), Name: "near " + name, Min: Point{left, -to}, Max: Point{right, -from}},
		{ID: BoxID("far-" + id), Name: "far " + name, Min: Point{-right, from}, Max: Point{-left, to}},
	}
}

// SmallerFirst puts the boxes in order, smaller ones first, so that a place is found in the finest.
func SmallerFirst(groups ...[]Box) []Box {
	boxes := slices.Concat(groups...)
	slices.SortStableFunc(boxes, func(a, b Box) int { return cmp.Compare(a.Area(), b.Area()) })
	return boxes
}

// Halves are the parts that every court with two ends has.
func Halves(width, length float64) []Box {
	w, l := width/2, length/2
	return slices.Concat(
		BothEnds("half", "half", -w, w, 0, l),
		[]Box{
			{ID: "left-half", Name: "left half, both ends", Min: Point{-w, -l}, Max: Point{0, l}},
			{ID: "right-half", Name: "right half, both ends", Min: Point{0, -l}, Max: Point{w, l}},
		},
	)
}

// NetAcross builds the foot of a net that reaches so far to either side.
func NetAcross(half float64) []Line {
	return []Line{NamedLine(NetLine, Point{-half, 0}, Point{half, 0})}
}

// NamedLine is a line that goes by its own name.
func NamedLine(id LineID, from, to Point) Line {
	return Line{ID: id, Name: nameOf(id), From: from, To: to}
}
