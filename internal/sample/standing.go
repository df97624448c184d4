package sample

import (
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/skill"
	"hodometer/core/sport/sports"
)

// Standing is somebody on a rung of the forehand who made and missed so many balls on it: the level makes half of them,
// and of the standard tasks 8, 6.5, 5, 4 and 3.5 of 10.
func Standing(rung ladder.Quality, made, missed int) progress.Known {
	k := progress.Known{
		Ladder: ladder.Qualities(), Rung: rung, Placed: true, Skill: &skill.Skill{}, Of: string(sports.Forehand),
		Bounds:    progress.Usual(),
		Standards: map[ladder.Quality]progress.Standard{},
		Options: []progress.Option{{
			Name: "Coin in the Corner", Unit: "balls",
			Look: skill.Look{Drill: string(sports.Forehand), Attempt: skill.Of(0.5), Attempts: 24},
		}},
	}
	if made+missed > 0 {
		k.Skill = Counted(made, missed)
		k.Evidence = []progress.Evidence{{Rung: rung, Made: made, Missed: missed}}
	}
	for i, q := range ladder.Qualities() {
		chance := []float64{0.8, 0.65, 0.5, 0.4, 0.35}[i]
		k.Standards[q] = progress.StandardOf(q, sports.Forehand, skill.Of(chance))
	}
	return k
}
