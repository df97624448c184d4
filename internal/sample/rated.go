package sample

import (
	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/lesson/schedule"
)

// Rated is somebody who makes so much of one at every measure of a drill.
func Rated(d drill.Document, mean float64) schedule.Rated {
	rated := schedule.Rated{Measures: make([]odds.Estimates, len(d.Measures))}
	for i := range rated.Measures {
		rated.Measures[i].Rate.Mean = mean
	}
	if d.Pattern.Rally != nil {
		rated.Stroke = d.Pattern.Gap
	}
	return rated
}
