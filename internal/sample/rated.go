package sample

import (
	"hodometer/core/drill"
	"hodometer/core/odds"
)

// Rated is somebody who makes so much of one at every measure of a drill.
func Rated(d drill.Document, mean float64) []odds.Estimates {
	list := make([]odds.Estimates, len(d.Measures))
	for i := range list {
		list[i].Rate.Mean = mean
	}
	return list
}
