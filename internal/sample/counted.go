package sample

import (
	"context"

	"hodometer/core/people/skill"
	"hodometer/core/sport/sports"
)

// Counted is somebody who made and missed so many of balls that their level makes half of, at several strokes.
func Counted(made, missed int) *skill.Skill {
	var counts []skill.Count
	for _, stroke := range []sports.Stroke{sports.Forehand, sports.Backhand, sports.Serve, sports.ForehandVolley} {
		counts = append(counts, skill.Count{
			Stroke: string(stroke), Drill: string(stroke), Attempt: skill.Of(0.5), Made: made, Tried: made + missed,
		})
	}
	s, err := skill.Fit(context.Background(), counts, nil)
	if err != nil {
		panic(err)
	}
	return s
}
