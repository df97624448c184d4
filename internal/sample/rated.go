package sample

import (
	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/skill"
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

// Believed is the same of somebody of whom nothing was counted.
func Believed(d drill.Document, level float64) schedule.Rated {
	rated := Rated(d, level)
	for i := range rated.Measures {
		better := (&skill.Skill{}).At("forehand", "any", 0, false)
		rated.Measures[i].Rate = odds.Believed(skill.Belief{Better: better, Attempt: skill.Of(level)}, "")
	}
	return rated
}
