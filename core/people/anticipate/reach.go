package anticipate

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Reached is what is reached of a ball that lands at a place, at game pace from where the opponent is.
type Reached struct {
	At   court.Point `json:"at"`
	From []float64   `json:"from" description:"How often it is reached, from each of the stands"`
}

// Landings across and along the half.
const (
	across = 9
	along  = 12
)

// reach is what is reached from each of some stands, of balls that land all over the near half; none of a landing to
// which no ball can be played.
func (b board) reach(from court.Point, stands []Stand) []Reached {
	c, list := b.World.Court, []Reached{}
	strokes := sports.Of(c.Sport).Answers
	for row := range along {
		for column := range across {
			at := court.Point{X: ((float64(column)+0.5)/across - 0.5) * c.Singles, Y: c.AtDepth((float64(row) + 0.5) / along)}
			l, err := b.drill.Reply(
				feed.Task{Stroke: sports.Forehand, ReplyPace: sports.GamePace},
				flight.Above(from, b.Situation.High),
				at,
			)
			if err != nil {
				continue
			}
			coming, r := b.drill.Coming(b.Player, l, at, strokes), Reached{At: at, From: make([]float64, len(stands))}
			for i, s := range stands {
				if m, ok := b.drill.Meet(coming, b.Player, s.At, b.Player.Reaction); ok {
					r.From[i] = 0.5 * math.Erfc(-m.Lunge/start/math.Sqrt2)
				}
			}
			list = append(list, r)
		}
	}
	return list
}
