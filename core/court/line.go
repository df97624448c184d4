package court

import "strings"

// LineID names a line of a court. Near, far, left and right in a name are the near player's.
type LineID string

// The lines that courts share. Not every court has each of them.
const (
	NetLine      LineID = "net"
	NearBaseline LineID = "near-baseline"
	FarBaseline  LineID = "far-baseline"
	NearService  LineID = "near-service-line"
	FarService   LineID = "far-service-line"
	NearLong     LineID = "near-long-service-line"
	FarLong      LineID = "far-long-service-line"
	NearKitchen  LineID = "near-no-volley-line"
	FarKitchen   LineID = "far-no-volley-line"
	LeftSide     LineID = "left-sideline"
	RightSide    LineID = "right-sideline"
	LeftSingles  LineID = "left-singles-sideline"
	RightSingles LineID = "right-singles-sideline"
	NearCentre   LineID = "near-centre-line"
	FarCentre    LineID = "far-centre-line"
)

// mirrored swaps left and right.
func (id LineID) mirrored() LineID {
	if rest, ok := strings.CutPrefix(string(id), "left-"); ok {
		return LineID("right-" + rest)
	}
	if rest, ok := strings.CutPrefix(string(id), "right-"); ok {
		return LineID("left-" + rest)
	}
	return id
}

// plain is the line's name without its end and side.
func (id LineID) plain() string {
	words := string(id)
	for _, prefix := range []string{"near-", "far-", "left-", "right-"} {
		words = strings.TrimPrefix(words, prefix)
	}
	return strings.NewReplacer("service-line", "service line", "no-volley-line", "no-volley line",
		"long-service line", "long service line", "centre-line", "centre line", "singles-sideline", "singles sideline").Replace(words)
}

// across builds the two lines parallel to the net at distance d from it.
func across(near, far LineID, d, halfWidth float64) []Line {
	return []Line{
		{ID: near, Name: nameOf(near), From: Point{-halfWidth, -d}, To: Point{halfWidth, -d}},
		{ID: far, Name: nameOf(far), From: Point{-halfWidth, d}, To: Point{halfWidth, d}},
	}
}

// sides builds the two lines parallel to the sidelines at distance d from the middle.
func sides(left, right LineID, d, halfLength float64) []Line {
	return []Line{
		{ID: left, Name: nameOf(left), From: Point{-d, -halfLength}, To: Point{-d, halfLength}},
		{ID: right, Name: nameOf(right), From: Point{d, -halfLength}, To: Point{d, halfLength}},
	}
}

// centre builds the two centre lines between distances from and to from the net.
func centre(from, to float64) []Line {
	return []Line{
		{ID: NearCentre, Name: nameOf(NearCentre), From: Point{0, -to}, To: Point{0, -from}},
		{ID: FarCentre, Name: nameOf(FarCentre), From: Point{0, from}, To: Point{0, to}},
	}
}

func nameOf(id LineID) string {
	for _, prefix := range []string{"near", "far", "left", "right"} {
		if strings.HasPrefix(string(id), prefix+"-") {
			return prefix + " " + id.plain()
		}
	}
	return id.plain()
}
