package drill

import (
	"context"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

// Written is the level a drill is written for.
func (d Document) Written() student.Level {
	if d.Level == "" {
		return student.Club
	}
	return d.Level
}

// Offered are the levels that it is offered to: those that it suits, else the one that it is written for.
func (d Document) Offered(suits []student.Level) []student.Level {
	if len(suits) == 0 {
		return []student.Level{d.Written()}
	}
	return suits
}

// PlayerFor is the player that somebody of a level is taken for, at the age that goes with it.
func (d Document) PlayerFor(level student.Level, hand student.Hand) footwork.Player {
	return footwork.For(d.Sport, footwork.Usual(level), level, hand, student.TwoHanded)
}

// legs are the runs on which an obstacle is in the way.
var legs = map[Leg]footwork.Leg{OnTheWayOut: footwork.WayOut, OnTheWayBack: footwork.WayBack}

// Resolved is what a timeline is worked out from.
func (d Document) Resolved(s coach.Settings) (footwork.Drill, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return footwork.Drill{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	world := sports.World(c, d.Surface)
	world.Air = s.Flown()
	if d.Written() == student.Green {
		world.Ball = sports.BallOn(c, true)
	}
	drill := footwork.Drill{
		World:   world,
		Pattern: d.Pattern,
		Scatter: s.Scatter(),
		Middle:  s.Recovery == coach.ToTheMiddle,
		Power:   d.PlayerFor(d.Written(), student.RightHand).Power,
	}
	for _, place := range d.Places {
		at, err := c.Resolve(place.Mark)
		if err != nil {
			return drill, err
		}
		switch place.Kind {
		case Start:
			drill.Starts = append(drill.Starts, at)
		case Recovery:
			drill.Recovery = append(drill.Recovery, at)
		case Feeder:
			drill.Feeder = at
		case Obstacle:
			round := map[PassSide]footwork.Round{PassLeft: footwork.OnTheLeft, PassRight: footwork.OnTheRight}[place.Around]
			drill.Obstacles = append(
				drill.Obstacles,
				footwork.Obstacle{At: at, Width: place.Size, Round: round, Leg: legs[place.Leg]},
			)
		}
	}
	return drill, nil
}

// feedProblems lists the balls that nobody can feed.
func (d Document) feedProblems(ctx context.Context, s coach.Settings) (invalid.Fields, error) {
	if err := d.Check(); err != nil {
		return nil, err
	}
	drill, err := d.Resolved(s)
	if err != nil {
		return nil, err
	}
	return drill.Problems(ctx)
}
