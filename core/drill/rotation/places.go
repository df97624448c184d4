package rotation

import (
	"slices"
	"strings"

	"hodometer/core/sport/court"
)

// Words that say how deep a spot is. Common practice, no source.
var (
	inFront = []string{"net", "volley", "forecourt", "front", "short line", "at the table", "kitchen line"}
	behind  = []string{"back", "baseline", "rear", "service box", "deep"}
)

// How deep a spot is, in shares of the length of the court from its middle.
const (
	frontShare  = 0.12
	middleShare = 0.3
	backShare   = 0.44
)

// Places puts everybody of a round on a court, in the order of its seats, by what their spots are called: sides, or two
// who share a role, stand on opposite halves (in squash behind and before one another), those in front nearer to the
// net, left and right as they look; several groups side by side, each in its share of the width. Whoever waits stands
// beside the court. Metres, as court.Point.
func (f Form) Places(round Round, c court.Court) []court.Point {
	groups := 1
	for _, seat := range round.Seats {
		groups = max(groups, seat.Court)
	}
	lane := c.Width / float64(groups)
	places := make([]court.Point, len(round.Seats))
	waiting := 0
	for i, seat := range round.Seats {
		if seat.Waits || seat.Court == 0 {
			places[i] = court.Point{X: c.Width/2 + beside, Y: c.Length * (float64(waiting)*0.09 - backShare)}
			waiting++
			continue
		}
		far, depth := f.half(seat), depthOf(seat)
		row := []int{} // who stands as deep on the same half of the same group, from their left
		for j, other := range round.Seats {
			if !other.Waits && other.Court == seat.Court && f.half(other) == far && depthOf(other) == depth {
				row = append(row, j)
			}
		}
		slices.SortStableFunc(row, func(a, b int) int { return leftOf(round.Seats[a]) - leftOf(round.Seats[b]) })
		across := (float64(slices.Index(row, i))+0.5)/float64(len(row)) - 0.5
		if len(row) == 1 {
			across = 0.25 * float64(leftOf(seat))
		}
		y := -c.Length * depth
		if far {
			across, y = -across, -y
		}
		if !c.HasNet() { // one floor for all, who look to the front wall
			y = c.Length * (0.5 - 2*depth)
			if across /= 2; far {
				across = -across
			}
			across += map[bool]float64{false: -0.2, true: 0.2}[far]
		}
		places[i] = court.Point{X: -c.Width/2 + lane*(float64(seat.Court)-0.5) + across*lane, Y: y}
	}
	return places
}

// beside is how far from the sideline somebody waits, in metres.
const beside = 1.2

// half says whether a seat is on the far half: that of another side than the first one, or of every other role.
func (f Form) half(s Seat) bool {
	spots := f.spots()
	at := slices.IndexFunc(spots, func(spot Spot) bool { return spot.Name == s.Spot && spot.Side == s.Side })
	if at < 0 {
		return false
	}
	if spots[at].Side != "" {
		return spots[at].Side != spots[0].Side
	}
	return at%2 == 1
}

func depthOf(s Seat) float64 {
	says := func(words []string) bool {
		return slices.ContainsFunc(words, func(word string) bool { return strings.Contains(strings.ToLower(s.Spot), word) })
	}
	switch {
	case says(inFront):
		return frontShare
	case says(behind):
		return backShare
	}
	return middleShare
}

// leftOf is -1 for a spot on the left, 1 for one on the right.
func leftOf(s Seat) int {
	switch {
	case strings.Contains(s.Spot, "left"):
		return -1
	case strings.Contains(s.Spot, "right"):
		return 1
	}
	return 0
}
