package court

import "math"

// Stop is something to be put down on court.
type Stop struct {
	Label string `json:"label"`
	Mark  Mark   `json:"mark"`
}

// Step is one stop of a walk.
type Step struct {
	Label       string  `json:"label"`
	At          Point   `json:"at"`
	Description string  `json:"description" description:"The place as a coach says it"`
	Walk        float64 `json:"walk" description:"Metres from the stop before"`
}

// Corner is where a coach comes on: the near left corner.
func (c Court) Corner() Point { return Point{X: -c.Width / 2, Y: -c.Length / 2} }

// WalkOff puts stops into one short walking order from a starting place: the shortest there is for up to
// twelve stops (Held and Karp, Journal of the SIAM 10 (1962) 196), and for more each time the nearest.
func (c Court) WalkOff(stops []Stop, start Point, t Tape) ([]Step, error) {
	places := make([]Point, len(stops))
	for i, stop := range stops {
		var err error
		if places[i], err = c.Resolve(stop.Mark); err != nil {
			return nil, err
		}
	}
	const maxExact = 12
	order := nearest(places, start)
	if len(places) <= maxExact {
		order = shortest(places, start)
	}
	steps := make([]Step, len(order))
	at := start
	for i, n := range order {
		steps[i] = Step{
			Label:       stops[n].Label,
			At:          places[n],
			Description: c.Describe(stops[n].Mark, t),
			Walk:        at.Distance(places[n]),
		}
		at = places[n]
	}
	return steps, nil
}

func nearest(places []Point, at Point) []int {
	left := make([]bool, len(places))
	var order []int
	for range places {
		best := -1
		for i, p := range places {
			if !left[i] && (best < 0 || at.Distance(p) < at.Distance(places[best])) {
				best = i
			}
		}
		left[best], at = true, places[best]
		order = append(order, best)
	}
	return order
}

// shortest solves the open round trip by dynamic programming over sets of places: best[set][last] is the
// shortest walk that has been to the set and ends at last.
func shortest(places []Point, start Point) []int {
	n := len(places)
	if n == 0 {
		return nil
	}
	best, before := make([]float64, n<<n), make([]int, n<<n)
	for i := range best {
		best[i] = math.Inf(1)
	}
	for i, p := range places {
		best[(1<<i)*n+i] = start.Distance(p)
	}
	for set := 1; set < 1<<n; set++ {
		for last := range n {
			here := best[set*n+last]
			if math.IsInf(here, 1) {
				continue
			}
			for next := range n {
				to := (set|1<<next)*n + next
				if length := here + places[last].Distance(places[next]); set&(1<<next) == 0 && length < best[to] {
					best[to], before[to] = length, last
				}
			}
		}
	}
	set, last := 1<<n-1, 0
	for i := range n {
		if best[set*n+i] < best[set*n+last] {
			last = i
		}
	}
	order := make([]int, n)
	for i := n - 1; i >= 0; i-- {
		order[i] = last
		previous := before[set*n+last]
		set &^= 1 << last
		last = previous
	}
	return order
}
