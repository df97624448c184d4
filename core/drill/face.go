package drill

import (
	"hodometer/core/count/score"
	"hodometer/core/sport/feed"
)

// Face is the clock by which a measure is counted beside that of the lesson: work and rest in turn, or one time.
type Face struct {
	Work   float64 `json:"work" description:"Seconds of work in each round"`
	Rest   float64 `json:"rest" description:"Seconds after each round but the last"`
	Rounds int     `json:"rounds"`
}

// FaceOf is the clock of a measure: that of a pattern that is work by the clock, else the time that its first goal has;
// nil where it has none.
func (d Document) FaceOf(m Measure) *Face {
	if p := d.Pattern; p.Ends == feed.ByTheClock && p.On > 0 {
		return &Face{Work: p.On, Rest: p.Pause, Rounds: max(1, p.Sequences)}
	}
	if m.What == score.Time || len(m.Goals) == 0 || m.Goals[0].Minutes <= 0 {
		return nil
	}
	return &Face{Work: 60 * m.Goals[0].Minutes, Rounds: 1}
}
