package drill

import (
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Restroke is another stroke for one ball.
type Restroke struct {
	Task   int           `json:"task" minimum:"0" maximum:"59" description:"From 0"`
	Stroke sports.Stroke `json:"stroke"`
}

// restroked returns the drill with one ball played with another stroke. What becomes a serve is tossed by the player,
// behind the line from where it is struck: how it came is forgotten. Offsets become multiples of the grain, in metres.
// The error is told at "stroke".
func (d Document) restroked(r Restroke, grain float64) (Document, error) {
	c, at, err := d.played("stroke.task", r.Task)
	if err != nil {
		return d, err
	}
	if !slices.Contains(sports.Of(c.Sport).Strokes, r.Stroke) {
		return d, invalid.Fields{{Path: "stroke.stroke", Message: fmt.Sprintf("there is no %q in %s", r.Stroke, c.Sport)}}
	}
	changed := d.Clone()
	task := &changed.Pattern.Tasks[r.Task]
	was := task.Served()
	task.Stroke = r.Stroke
	if !task.Served() || was {
		return changed, nil
	}
	changed.Pattern.Tasks[r.Task] = feed.Task{
		Kind: task.Kind, Stroke: task.Stroke, Landing: near(c, sports.ServedFrom(c, at), grain),
		Stance: task.Stance, Reply: task.Reply,
		ReplyPace: task.ReplyPace, ReplySpin: task.ReplySpin, Recover: task.Recover, Gap: task.Gap, Player: task.Player,
		Weight: task.Weight, Meant: task.Meant,
	}
	return changed, nil
}
