package student

import (
	"math"
	"slices"
	"strings"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// stages are the ball stages of children, and grades the levels of everybody else, each from the first on.
var (
	stages = []Level{Red, Orange, Green}
	grades = []Level{Beginner, Improver, Club, Tournament}
)

// LevelsFor are the levels that there are in a sport: in some children begin with slow balls, by stages.
func LevelsFor(sport court.Sport) []Level {
	if sports.Of(sport).Stages {
		return slices.Concat(stages, grades)
	}
	return slices.Clone(grades)
}

// Apart is how far a level is from the nearest of some levels: 0 where it is one of them, 0.5 at least where it is not.
func (l Level) Apart(levels []Level) float64 {
	if slices.Contains(levels, l) {
		return 0
	}
	nearest := math.Inf(1)
	for _, other := range levels {
		nearest = math.Min(nearest, math.Abs(float64(l.Rank()-other.Rank())))
	}
	return math.Max(0.5, nearest)
}

// Spoken says levels in words: green ball, beginner to club player.
func Spoken(levels []Level) string {
	var parts []string
	for _, row := range [][]Level{stages, grades} {
		for from := 0; from < len(row); from++ {
			to := from
			for to < len(row) && slices.Contains(levels, row[to]) {
				to++
			}
			if to == from {
				continue
			}
			parts = append(parts, run(row[from:to]))
			from = to
		}
	}
	return strings.Join(parts, ", ")
}

// run says levels that follow one another: club and tournament player.
func run(levels []Level) string {
	first, last := string(levels[0]), string(levels[len(levels)-1])
	words := strings.Fields(last)
	short := strings.TrimSuffix(first, " "+words[len(words)-1])
	switch len(levels) {
	case 1:
		return last
	case 2:
		return short + " and " + last
	}
	return short + " to " + last
}
