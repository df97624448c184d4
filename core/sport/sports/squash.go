package sports

import (
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// squash is the sport as its federation rules it and as clubs play it; what has no source is common practice.
func squash() *Sport {
	return &Sport{
		Name: court.Squash,
		Courts: []Played{{squashCourt(), squashBall, []court.Scheme{{
			Name: "three depths, squash", Court: "squash", Depths: []court.Depth{
				{Name: "front", Purpose: "finish and retrieve", Stop: court.Off(court.ShortLine, 1, court.Far)},
				{Name: "middle", Purpose: "control", Stop: court.Off(court.BoxBack, 0, court.Near)},
				{Name: "back", Purpose: "length"},
			},
		}}}},
		One: "ball", Many: "balls", Carried: Baskets, Cautions: []string{"Eye protection on, always."},

		Speeds:  map[Pace]float64{Gentle: 7, HalfPace: 10, RallyPace: 13, GamePace: 19},
		Topspin: 300, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Rally: 0.9,
		Reach: 0.75, Lunge: 1.8, High: 2.3, Circle: 1.6,

		Strokes: []Stroke{Drive, Forehand, Backhand, ForehandVolley, BackhandVolley, Drop, Boast, Lob, Serve, Return},
		Spins:   []SpinKind{Flat, Slice, HeavySlice}, AboveHead: []Stroke{Overhead, Clear, Smash},
		Answers: []Stroke{Forehand, Backhand, ForehandVolley, BackhandVolley}, Lunges: true, Straight: true,
		Striking: Striking{
			Hardest: 60, Wall: map[Stroke]float64{Drop: 0.65, Lob: 4.2},
			ServeWall: map[Pace]float64{Gentle: 4.0, HalfPace: 3.6, RallyPace: 3.2, GamePace: 2.3},
		},

		Serving:  Serving{Held: 1.0, Up: 1.7, Met: 1.4, Ready: 3.5, Line: court.ShortLine},
		ServedTo: [2]court.BoxID{"back-right", "back-left"},

		WarmUp: WarmUp{"in front of the short line", "feeds from the service box", []string{
			"Straight drives, forehand side", "Straight drives, backhand side", "Boast and drive, back to the T",
			"Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 8, Stroke: 1.4, Between: 9},
		Halves: fromEitherSide,

		Replies: squashReplies(), Situations: squashSituations(),
	}
}

var (
	squashBall = flight.Ball{
		Name:     "squash ball",
		Sport:    court.Squash,
		Mass:     0.024,
		Diameter: 0.040,
		Drag:     0.50,
		Dropped:  2.54,
		Rebounds: 0.295 * 2.54,
		Source:   "WSF ball specification (from memory): 23–25 g, 39.5–40.5 mm, 26–33 % of 254 cm at 45 °C",
	}
)

func squashCourt() court.Court {
	const half, length, box = 3.20, 4.875, 1.60
	short := -length + 4.26
	part := func(id, name string, left, right, from, to float64) court.Box {
		return court.Box{ID: court.BoxID(id), Name: name, Min: point(left, from), Max: point(right, to)}
	}
	return court.Court{
		ID: "squash", Name: "Squash", Sport: court.Squash, Length: 2 * length, Width: 2 * half, Singles: 2 * half,
		Source:   "WSF court specification (from memory)",
		Surfaces: []string{"sprung wood"},
		Lines: []court.Line{
			court.NamedLine(
				court.FrontWall,
				point(-half, length),
				point(half, length),
			),
			court.NamedLine(court.BackWall, point(-half, -length), point(half, -length)),
			court.NamedLine(
				court.LeftWall,
				point(-half, -length),
				point(-half, length),
			),
			court.NamedLine(court.RightWall, point(half, -length), point(half, length)),
			court.NamedLine(
				court.ShortLine,
				point(-half, short),
				point(half, short),
			),
			court.NamedLine(court.HalfCourt, point(0, -length), point(0, short)),
			court.NamedLine(
				court.LeftBox,
				point(-half+box, short-box),
				point(-half+box, short),
			),
			court.NamedLine(court.RightBox, point(half-box, short-box), point(half-box, short)),
			court.NamedLine(court.BoxBack, point(-half, short-box), point(half, short-box)),
		},
		Walls: []court.WallLine{
			{
				Name: "board",
				Wall: court.FrontWall,
				From: 0.48,
				To:   0.48,
			},
			{Name: "service line", Wall: court.FrontWall, From: 1.78, To: 1.78},
			{
				Name: "front wall line",
				Wall: court.FrontWall,
				From: 4.57,
				To:   4.57,
			},
			{Name: "back wall line", Wall: court.BackWall, From: 2.13, To: 2.13},
			{
				Name: "left side wall line",
				Wall: court.LeftWall,
				From: 4.57,
				To:   2.13,
			},
			{Name: "right side wall line", Wall: court.RightWall, From: 4.57, To: 2.13},
		},
		Boxes: court.SmallerFirst([]court.Box{
			part("left-service-box", "left service box", -half, -half+box, short-box, short),
			part("right-service-box", "right service box", half-box, half, short-box, short),
			part(
				"front-left",
				"front left quarter",
				-half,
				0,
				short,
				length,
			),
			part("front-right", "front right quarter", 0, half, short, length),
			part(
				"back-left",
				"back left quarter",
				-half,
				0,
				-length,
				short,
			),
			part("back-right", "back right quarter", 0, half, -length, short),
			part(
				"front-half",
				"in front of the short line",
				-half,
				half,
				short,
				length,
			),
			part("back-half", "behind the short line", -half, half, -length, short),
		}),
	}
}
