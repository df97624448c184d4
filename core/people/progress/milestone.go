package progress

import (
	"slices"
	"time"
)

// Stand is a rung that a student came to.
type Stand struct {
	Rung Rung
	At   time.Time
}

// Milestone is a rung that a student left upwards, and is still beyond.
type Milestone struct {
	Rung  Rung      `json:"rung" description:"That is behind them"`
	Next  Rung      `json:"next" description:"That they went on to"`
	At    time.Time `json:"at"`
	Made  int       `json:"made" description:"Balls made on it, from when they came to it"`
	Balls int       `json:"balls"`
}

// Milestones are the milestones of a stroke, the lowest rung first, of a student who began on a rung and then came to
// others, the oldest first. A step back takes the milestones from there on back. Evidence is what they did, with the
// rung of each drill.
func Milestones(began Rung, stands []Stand, evidence []Evidence) []Milestone {
	list := []Milestone{}
	here := Stand{Rung: began}
	for _, stand := range stands {
		if stand.Rung.index() > here.Rung.index() {
			m := Milestone{Rung: here.Rung, Next: stand.Rung, At: stand.At}
			for _, e := range evidence {
				if e.Rung == here.Rung && e.At.After(here.At) && !e.At.After(stand.At) {
					m.Made, m.Balls = m.Made+e.Made, m.Balls+e.Made+e.Missed
				}
			}
			list = append(list, m)
		} else {
			list = slices.DeleteFunc(list, func(m Milestone) bool { return m.Rung.index() >= stand.Rung.index() })
		}
		here = stand
	}
	return list
}

// Plain says what a rung asks, for somebody who does not coach.
func (r Rung) Plain() string {
	return map[Rung]string{
		Consistency: "keeping the ball in play",
		Direction:   "sending it to a chosen side",
		Depth:       "sending it deep",
		Spin:        "putting spin on it",
		Pace:        "hitting it fast, and still in",
	}[r]
}
