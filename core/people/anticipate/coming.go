package anticipate

import (
	"fmt"
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// plays is a reply as an opponent plays it from a place.
func (b board) plays(l sports.Likely, from court.Point) (Coming, ball) {
	r, _ := replyCalled(b.Situation.Sport, l.Reply)
	c := b.World.Court
	coming := Coming{Reply: l.Reply, Side: r.Side, Landing: lands(r, c, from, b.Player.Hand)}
	task := feed.Task{Stroke: r.Stroke, ReplyPace: r.Pace}
	if b.Situation.Pressure == sports.Hurried && r.Pace == "" {
		task.ReplyPace = sports.HalfPace
		if r.Stroke == sports.Smash {
			task.ReplyPace = sports.RallyPace // a slower one comes down later than a drop, and nobody plays it
		}
	}
	leaves, sooner := flight.Above(from, b.Situation.High), 0.0
	if r.OffSide {
		leaves, sooner = b.offTheSideWall(leaves)
	}
	launch, err := b.drill.Reply(task, leaves, coming.Landing)
	if err != nil {
		coming.Why = err.Error()
		return coming, ball{}
	}
	hardest := sports.Of(c.Sport).Striking.Hardest * b.Power
	if b.Situation.Pressure == sports.Hurried {
		hardest *= hurriedPower
	}
	if speed := launch.Velocity.Norm(); speed > hardest {
		coming.Why = fmt.Sprintf("it would have to leave at %.0f m/s, and they strike at up to %.0f m/s", speed, hardest)
		return coming, ball{}
	}
	path := b.World.Follow(launch, 1)
	coming.Possible, coming.Speed, coming.Seconds = true, launch.Velocity.Norm(), sooner+path.End()
	if wall, ok := path.First(flight.Walled); ok {
		coming.Wall = wall.P.Z
	}
	return coming, ball{
		coming: b.drill.Coming(b.Player, launch, coming.Landing, sports.Of(c.Sport).Answers),
		chance: l.Chance,
		sooner: sooner,
	}
}

// offTheSideWall is where a boast leaves the side wall, and how long after the strike. How fast it gets there is common
// practice, no source.
func (b board) offTheSideWall(from flight.Vec) (flight.Vec, float64) {
	const speed, ahead = 14.0, 0.8 // m/s, metres
	side := math.Copysign(b.World.Court.Width/2-2*b.World.Ball.Radius(), from.X)
	at := flight.Vec{X: side, Y: from.Y + ahead, Z: from.Z + 0.3}
	return at, at.Sub(from).Norm() / speed
}
