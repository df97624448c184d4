package court

// Holds says whether a place on the floor lies in a target on the floor; its edge counts. A gate, a window and a wall
// band hold none.
func (s Shape) Holds(p Point) bool {
	if s.Radius > 0 {
		return s.Centre.Distance(p) <= s.Radius+grain
	}
	in := false
	for i, a := range s.Corners {
		if len(s.Corners) < 3 {
			return false
		}
		b := s.Corners[(i+1)%len(s.Corners)]
		if onEdge(a, b, p) {
			return true
		}
		// A ray to the right crosses the edge, or not.
		if (a.Y > p.Y) != (b.Y > p.Y) && p.X < (b.X-a.X)*(p.Y-a.Y)/(b.Y-a.Y)+a.X {
			in = !in
		}
	}
	return in
}

// grain is how exactly places are known, in metres.
const grain = 1e-6

// onEdge says whether a place lies on the line between two others.
func onEdge(a, b, p Point) bool {
	return a.Distance(p)+p.Distance(b) <= a.Distance(b)+grain
}
