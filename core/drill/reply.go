package drill

import (
	"fmt"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Reply is where the reply to one ball goes, in words.
type Reply struct {
	Task  int             `json:"task" minimum:"0" maximum:"59" description:"From 0"`
	Place feed.ReplyPlace `json:"place"`
}

// replied returns the drill, as it is written, with the reply to one ball at a place in words: from the nearest lines,
// in multiples of the grain, in metres. The error is told at "reply.task".
func (d Document) replied(r Reply, grain float64) (Document, error) {
	c, landing, err := d.played("reply.task", r.Task)
	if err != nil {
		return d, err
	}
	if d.Pattern.Answered(r.Task) {
		return d, invalid.Fields{
			{
				Path:    "reply.task",
				Message: fmt.Sprintf("task %d is the answer to it: where that lands, this reply goes", r.Task+2),
			},
		}
	}
	changed := d.Clone()
	task := &changed.Pattern.Tasks[r.Task]
	mark := near(c, r.Place.At(c, landing, task.Stroke), grain)
	task.Reply = &mark
	return changed, nil
}

// Replies lists the tasks of the drill, as it is written, whose replies go to a place in words, and to which.
func (d Document) Replies(s coach.Settings) []Reply {
	replies := []Reply{}
	c, err := sports.Court(d.Court)
	if err != nil {
		return replies
	}
	for i, task := range d.Pattern.Tasks {
		if task.Reply == nil {
			continue
		}
		landing, err := c.Resolve(task.Landing)
		at, also := c.Resolve(*task.Reply)
		if err != nil || also != nil {
			continue
		}
		if place := feed.ReplyPlaceAt(at, s.Units.Grain(), c, landing, task.Stroke); place != "" {
			replies = append(replies, Reply{i, place})
		}
	}
	return replies
}
