package feed

import (
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Answered is the stroke with which a task's ball is answered, as one that is sent. A second serve, at less than game
// pace, has the spin that is usual for it unless another is said (common practice, no source).
func (t Task) Answered(sport court.Sport) Task {
	sent := Task{Stroke: t.Stroke, Pace: t.ReplyPace, Spin: t.ReplySpin}
	if t.Stroke == sports.Serve && t.ReplySpin == "" && t.ReplyPace != sports.GamePace {
		sent.Spin = sports.Of(sport).Second.Spin
	}
	return sent
}

// FirstServe says whether a ball is answered with a first serve: struck as hard as it goes, wherever it is aimed.
func (t Task) FirstServe() bool { return t.Served() && t.ReplyPace == sports.GamePace }
