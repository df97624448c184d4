package rotation

import "math"

// Line is a line drill: players take turns and go to the back of the line.
type Line struct {
	People  int
	Lines   int     // side by side, each with its own feeder
	Turn    float64 // seconds of one turn
	Between float64 // seconds from the end of one turn to the next; less than nothing where turns overlap
}

// Longest is how many stand in the longest line.
func (l Line) Longest() int {
	lines := max(1, l.Lines)
	return (l.People + lines - 1) / lines
}

// Waiting is how long a player stands in the longest line between two turns, in seconds: the others' turns
// and the changes between them, less what turns overlap.
func (l Line) Waiting() float64 {
	n := l.Longest()
	if n < 2 {
		return math.Max(0, l.Between)
	}
	return math.Max(0, float64(n-1)*l.Turn+float64(n)*l.Between)
}

// Rest is how many seconds of rest come to a second of work.
func (l Line) Rest() float64 {
	if l.Turn <= 0 {
		return 0
	}
	return l.Waiting() / l.Turn
}

// Largest is the largest group for one line in which nobody waits longer than is tolerable; at least one.
func (l Line) Largest(tolerable float64) int {
	if l.Turn+l.Between <= 0 {
		return math.MaxInt32
	}
	return max(1, int((tolerable+l.Turn)/(l.Turn+l.Between)+1e-9))
}

// Split is the fewest lines in which nobody waits longer than is tolerable, at most one a player.
func (l Line) Split(tolerable float64) int {
	largest := l.Largest(tolerable)
	return (l.People + largest - 1) / largest
}
