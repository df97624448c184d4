package court

import "math"

// How far from the net balls go that are told in a word, as shares of the half, and how far to a side, as shares of
// half the width. Common practice, no source.
const (
	DeepShare  = 0.8
	MidShare   = 0.58
	ShortShare = 0.38
	WideShare  = 0.8
)

// AtDepth is how far along the court a depth on the near half is: a share of the half from the net, and with walls of
// the whole court from the front wall.
func (c Court) AtDepth(share float64) float64 {
	if !c.HasNet() {
		return c.Length/2 - share*c.Length
	}
	return -share * c.Length / 2
}

// Ends are the line at the far end of a court, in squash the back wall's, and the sideline for singles on one side;
// false where it has none.
func (c Court) Ends(left bool) (back, side LineID, ok bool) {
	end, x := c.Length/2, c.Singles/2
	if !c.HasNet() {
		end = -end
	}
	if left {
		x = -x
	}
	for _, line := range c.Lines {
		switch {
		case line.Across() && math.Abs(line.From.Y-end) < 1e-6:
			back = line.ID
		case !line.Across() && math.Abs(line.From.X-x) < 1e-6:
			side = line.ID
		}
	}
	return back, side, back != "" && side != ""
}

// Third is which third of a half of the table, from the net, a place lies in; empty where there is none, and beside the
// table.
func (c Court) Third(p Point) string {
	if !c.AtTable() || math.Abs(p.Y) > c.Length/2 || math.Abs(p.X) > c.Width/2 {
		return ""
	}
	return []string{"short third", "middle third", "long third"}[min(2, int(3*math.Abs(p.Y)/(c.Length/2)))]
}

// Remeasure says where a place is in the way another mark is said, and from the nearest lines where it lies on the
// other half than the line across that the mark is said from.
func (c Court) Remeasure(p Point, like Mark) Mark {
	for _, m := range like.Measures {
		line, ok := c.Line(m.Line)
		if !ok {
			continue
		}
		if at, isY := line.position(); isY && at*p.Y < 0 {
			like.Measures = c.Nearby(p).Measures
			break
		}
	}
	return c.Measure(p, like)
}

// Nearby says where a place is from the nearest line across the court and the nearest one along it, and as a plain
// place where the court has none.
func (c Court) Nearby(p Point) Mark {
	var like Mark
	for _, across := range []bool{true, false} {
		var nearest LineID
		best := math.Inf(1)
		for _, line := range c.Lines {
			at, isY := line.position()
			off := p.X - at
			if isY {
				off = p.Y - at
			}
			if line.Across() == across && isY == across && math.Abs(off) < best {
				nearest, best = line.ID, math.Abs(off)
			}
		}
		if nearest != "" {
			like.Measures = append(like.Measures, Measure{Line: nearest})
		}
	}
	return c.Measure(p, like)
}
