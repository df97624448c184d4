package court

import "math"

// Zone is an upright rectangle of the ground, in or beyond the lines, in which landings are counted where
// nobody taps places. Its borders are metres on the court.
type Zone struct {
	Name   string  `json:"name,omitempty" maxLength:"40"`
	Left   float64 `json:"left" minimum:"-60" maximum:"60"`
	Right  float64 `json:"right" minimum:"-60" maximum:"60"`
	Bottom float64 `json:"bottom" minimum:"-60" maximum:"60"`
	Top    float64 `json:"top" minimum:"-60" maximum:"60"`
}

// Proper says whether a zone has a width and a depth, on or near the court.
func (z Zone) Proper() bool {
	const far = 60.0 // metres, well off any court
	for _, border := range []float64{z.Left, z.Right, z.Bottom, z.Top} {
		if !(math.Abs(border) <= far) {
			return false
		}
	}
	return z.Left < z.Right && z.Bottom < z.Top
}

// Zones are the zones of the half that balls are played to, as a coach looks at it from the near end: rows
// from beyond the baseline to the net, each from left to right. The court as it is played is three thirds wide
// and three deep, with a band of a third outside it.
func (c Court) Zones(format Format, far bool) []Zone {
	half, depth := c.InPlay(format)/2, c.Length/2
	across := []struct {
		name        string
		left, right float64
	}{
		{
			"wide left",
			-half * 5 / 3,
			-half,
		},
		{"left", -half, -half / 3},
		{"middle", -half / 3, half / 3},
		{"right", half / 3, half},
		{"wide right", half, half * 5 / 3},
	}
	along := []struct {
		name        string
		bottom, top float64
	}{
		{
			"long",
			depth,
			depth * 4 / 3,
		},
		{"deep", depth * 2 / 3, depth},
		{"half-way", depth / 3, depth * 2 / 3},
		{"short", 0, depth / 3},
	}
	var zones []Zone
	for _, row := range along {
		for _, column := range across {
			z := Zone{
				Name:   row.name + ", " + column.name,
				Left:   column.left,
				Right:  column.right,
				Bottom: row.bottom,
				Top:    row.top,
			}
			if !far {
				z.Bottom, z.Top = -row.top, -row.bottom
			}
			zones = append(zones, z)
		}
	}
	return zones
}
