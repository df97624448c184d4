package drill

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Ball is what a turn of a drill is counted in: what the sport feeds, and rallies where each reply is the next feed.
func (d Document) Ball() (one, many string) {
	if d.Pattern.Rally != nil {
		return "rally", "rallies"
	}
	of := sports.Of(d.Sport)
	return of.One, of.Many
}

// Part is what a live player of a pattern does: the strokes in the order in which they come.
func (d Document) Part(player int) string {
	var strokes []string
	for _, t := range d.Pattern.Tasks {
		if t.Player == player && t.Kind.Flies() && !slices.Contains(strokes, string(t.Stroke)) {
			strokes = append(strokes, string(t.Stroke))
		}
	}
	if len(strokes) == 0 {
		return fmt.Sprintf("player %d", player+1)
	}
	return fmt.Sprintf("player %d: %s", player+1, strings.Join(strokes, ", "))
}

// Fed is so many of them in words.
func (d Document) Fed(n int) string {
	one, many := d.Ball()
	return units.Count(n, one, many)
}

// Turn is what one turn has, in words: its balls, or what is done without any.
func (d Document) Turn() string {
	if n := d.Pattern.BallsPerTurn(); n > 0 {
		return d.Fed(n)
	}
	done := d.Pattern.UsualSequences() * d.Pattern.CountTasks(func(int, feed.Task) bool { return true })
	return units.Count(int(math.Round(done)), "repetition", "repetitions")
}
