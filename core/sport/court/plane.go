package court

import "math"

// area returns the area of a simple polygon and its centroid, by the shoelace formula.
func area(corners []Point) (size float64, centre Point) {
	sum := 0.0
	for i, p := range corners {
		q := corners[(i+1)%len(corners)]
		cross := p.X*q.Y - q.X*p.Y
		sum += cross
		centre.X += (p.X + q.X) * cross
		centre.Y += (p.Y + q.Y) * cross
	}
	if sum == 0 {
		return 0, Point{}
	}
	return math.Abs(sum) / 2, Point{centre.X / (3 * sum), centre.Y / (3 * sum)}
}

// clip cuts a polygon at the sides of a convex one whose corners run anticlockwise (Sutherland and
// Hodgman, Communications of the ACM 17 (1974) 32).
func clip(corners, window []Point) []Point {
	for i, a := range window {
		b := window[(i+1)%len(window)]
		inside := func(p Point) float64 { return (b.X-a.X)*(p.Y-a.Y) - (b.Y-a.Y)*(p.X-a.X) }
		var within []Point
		for j, p := range corners {
			q := corners[(j+1)%len(corners)]
			sp, sq := inside(p), inside(q)
			if sp >= 0 {
				within = append(within, p)
			}
			if (sp > 0 && sq < 0) || (sp < 0 && sq > 0) {
				t := sp / (sp - sq)
				within = append(within, Point{p.X + t*(q.X-p.X), p.Y + t*(q.Y-p.Y)})
			}
		}
		corners = within
	}
	return corners
}

// crossing finds two sides of a polygon that cross, by the corners they start at.
func crossing(corners []Point) (first, second int, crossed bool) {
	n := len(corners)
	turn := func(a, b, c Point) float64 { return (b.X-a.X)*(c.Y-a.Y) - (b.Y-a.Y)*(c.X-a.X) }
	for i := range n {
		for j := i + 2; j < n; j++ {
			if i == 0 && j == n-1 {
				continue // neighbours
			}
			a, b, c, d := corners[i], corners[i+1], corners[j], corners[(j+1)%n]
			if turn(a, b, c)*turn(a, b, d) < 0 && turn(c, d, a)*turn(c, d, b) < 0 {
				return i, j, true
			}
		}
	}
	return 0, 0, false
}
