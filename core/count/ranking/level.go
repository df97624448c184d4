package ranking

import "hodometer/core/people/student"

// A level above another is worth so much before anything was played, as logarithms of odds: seven points of ten, nine
// games of ten. Common practice, no source.
const (
	levelInPoints = 0.85
	levelInGames  = 2.2
)

// expected are the strengths that players have by their levels alone, against the middle of those whose level is known.
func expected(names []string, levels map[string]student.Level, by By) []float64 {
	step := levelInPoints
	if by == Games {
		step = levelInGames
	}
	list := make([]float64, len(names))
	mean, known := 0.0, 0.0
	for i, name := range names {
		if level, ok := levels[name]; ok {
			list[i] = step * float64(level.Rank())
			mean, known = mean+list[i], known+1
		}
	}
	for i, name := range names {
		if _, ok := levels[name]; ok {
			list[i] -= mean / known
		}
	}
	return list
}
