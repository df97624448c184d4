package progress

import (
	"slices"
	"time"

	"hodometer/core/people/ladder"
)

// Stand is a rung that a student came to.
type Stand struct {
	Rung ladder.Quality
	At   time.Time
}

// Milestone is a rung that a student left upwards, and is still beyond.
type Milestone struct {
	Rung  ladder.Quality `json:"rung" description:"That is behind them"`
	Next  ladder.Quality `json:"next" description:"That they went on to"`
	At    time.Time      `json:"at"`
	Made  int            `json:"made" description:"Balls made on it, from when they came to it"`
	Balls int            `json:"balls"`
}

// Milestones are the milestones of a stroke on its rungs, the lowest first, of a student who began on a rung and then
// came to others, the oldest first. One step over several rungs leaves a milestone on each; a step back takes those
// from there on back. Evidence is what they did, with the rung of each drill.
func Milestones(rungs []ladder.Quality, began ladder.Quality, stands []Stand, evidence []Evidence) []Milestone {
	list := []Milestone{}
	here := Stand{Rung: began.On(rungs)}
	for _, stand := range stands {
		stand.Rung = stand.Rung.On(rungs)
		if stand.Rung.Index() > here.Rung.Index() {
			for rung := here.Rung; rung != stand.Rung; {
				next, _ := rung.Beside(rungs, 1)
				m := Milestone{Rung: rung, Next: next, At: stand.At}
				for _, e := range evidence {
					if e.Rung == rung && e.At.After(here.At) && !e.At.After(stand.At) {
						m.Made, m.Balls = m.Made+e.Made, m.Balls+e.Made+e.Missed
					}
				}
				list, rung = append(list, m), next
			}
		} else {
			list = slices.DeleteFunc(list, func(m Milestone) bool { return m.Rung.Index() >= stand.Rung.Index() })
		}
		here = stand
	}
	return list
}
