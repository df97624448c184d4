package ranges

import (
	"slices"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// All are all rows.
func All() []Row { return slices.Concat(tennis(), badminton(), table(), squash(), padel(), tempo()) }

func at(x, y float64) court.Point { return court.Point{X: x, Y: y} }

func task(stroke sports.Stroke, pace sports.Pace, x, y float64) feed.Task {
	return feed.Task{Stroke: stroke, ReplyPace: pace, Landing: court.At(x, y)}
}

// rally is a ball fed from behind the other baseline, beside a player who waits behind their own.
func rally(on court.ID, length float64) asked {
	share := length / 23.77
	return asked{
		on: on, method: feed.ByRacket, feeder: at(0, length/2), start: at(0, -length/2-0.3),
		task: task(sports.Forehand, sports.RallyPace, 1.2*share, -8.5*share),
	}
}

// served is a serve of a player's own toss.
func served(on court.ID, x, y float64, pace sports.Pace) asked {
	return asked{
		on: on, method: feed.SelfDrop, feeder: at(0, -y), start: at(x, y-0.3), task: task(sports.Serve, pace, x, y),
	}
}

func (a asked) to(t court.Target) asked {
	a.target = &t
	return a
}

func tennis() []Row {
	ground := rally("tennis", 23.77)
	overhead := asked{
		on: "tennis", method: feed.ByRacket, feeder: at(0, 10), start: at(0, -4),
		task: feed.Task{Stroke: sports.Overhead, Landing: court.At(0.5, -6)},
	}
	volley := asked{
		on: "tennis", method: feed.ByRacket, feeder: at(0, 9), start: at(0, -3),
		task: feed.Task{
			Stroke: sports.ForehandVolley, Landing: court.At(0.7, -4.5), Contact: feed.OutOfTheAir, Pace: sports.HalfPace,
		},
	}
	first := served("tennis", 0.6, -11.5, sports.GamePace)
	return slices.Concat(
		rows("tennis rally ball in", ground, in, adults(0.65, 0.85, 0.87, 0.95, 0.92, 0.98)),
		rows("of its errors, in the net", ground, netShare, adults(0.3, 0.5, 0.3, 0.5, 0.3, 0.5)),
		rows("first serve in", first, in, adults(0.25, 0.45, 0.48, 0.62, 0.55, 0.68)),
		rows("second serve in", served("tennis", 0.6, -11.5, sports.RallyPace), in,
			adults(0.5, 0.75, 0.80, 0.90, 0.88, 0.95)),
		rows("red court: rally ball in", rally("tennis-red", 10.97), in, only(student.Red, 0.5, 0.75)),
		rows("red court: first serve in", served("tennis-red", 0.4, -5.6, sports.GamePace), in, only(student.Red, 0.45, 0.7)),
		rows("full court: rally ball in", ground, in, only(student.Red, 0, 0.35)),
		rows("full court: first serve in", first, in, only(student.Red, 0, 0.2)),
		rows("rally forehand, m/s", ground, speed, adults(12, 18, 18, 25, 25, 33)),
		rows("overhead, m/s", overhead, speed, adults(14, 22, 22, 33, 32, 46)),
		rows("first serve, m/s", first, speed, adults(18, 30, 32, 43, 44, 56)),
		rows("in the last 1.4 m", ground.to(court.StripAlong("far-baseline", 1.4)), in,
			adults(0.05, 0.2, 0.12, 0.3, 0.25, 0.45)),
		rows("volley at ease met at, m", volley, height, adults(0.8, 1.7, 0.8, 1.7, 0.8, 1.7)),
	)
}

func height(p Played) float64 {
	if p.Met.Where == nil {
		return 0
	}
	return p.Met.Where.Z
}

func badminton() []Row {
	smash := asked{
		on: "badminton", method: feed.ByRacket, feeder: at(0, 6), start: at(0, -3),
		task: feed.Task{
			Stroke: sports.Smash, Landing: court.At(0.4, -5.4), By: "height", Value: 6, Contact: feed.OutOfTheAir,
		},
	}
	drop := smash
	drop.task.Stroke = sports.Drop
	tight := court.At(0.4, 0.55)
	low := court.At(-0.5, 2.35)
	short := served("badminton", 0.5, -2.3, sports.RallyPace)
	short.task.Reply = &low
	return slices.Concat(
		rows("badminton smash, m/s", smash, speed, adults(25, 40, 45, 62, 60, 85)),
		rows("short serve that is low and in", short, in,
			adults(0.2, 0.55, 0.6, 0.85, 0.85, 0.95)),
		rows("tight drop", drop.to(court.Target{Kind: court.BoxTarget, Mark: &tight, Width: 3, Depth: 1.1}), in,
			adults(0.1, 0.3, 0.3, 0.6, 0.55, 0.8)),
	)
}

func table() []Row {
	loop := asked{
		on: "table-tennis", method: feed.ByRacket, feeder: at(0, 1.5), start: at(0, -1.9),
		task: task(sports.Loop, sports.RallyPace, 0.3, -1.0),
	}
	return rows("table: rally topspin on the table", loop, in,
		adults(0.6, 0.8, 0.85, 0.94, 0.92, 0.98))
}

func squash() []Row {
	length := asked{
		on: "squash", method: feed.Partner, feeder: at(0.4, 1.2), start: at(0.4, -1.8),
		task: feed.Task{Stroke: sports.Drive, Landing: court.At(1.5, -2.5), Contact: feed.Falling, Pace: sports.Gentle},
	}
	back := court.Target{Kind: court.BoxTarget, Box: "back-right"}
	return rows("squash: length to the back quarter", length.to(back), in,
		adults(0.2, 0.45, 0.45, 0.7, 0.65, 0.85))
}

func padel() []Row {
	ground := asked{
		on: "padel", method: feed.ByRacket, feeder: at(0, 8), start: at(0, -8.5),
		task: task(sports.Forehand, sports.RallyPace, 0.8, -6.5),
	}
	glass := ground
	glass.start, glass.task = at(0, -7), task(sports.Forehand, sports.RallyPace, 0.8, -7.6)
	glass.task.Contact = feed.OffTheWall
	return slices.Concat(
		rows("padel: serve in", served("padel", 0.6, -7.2, sports.RallyPace), in, only(student.Club, 0.75, 0.92)),
		rows("padel: rally ball in", ground, in, only(student.Club, 0.85, 0.95)),
		rows("padel: played back off the glass", glass, in, only(student.Club, 0.5, 0.8)),
	)
}
