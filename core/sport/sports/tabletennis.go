package sports

import (
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// tableTennis is the sport as its federation rules it and as clubs play it; what has no source is common practice.
func tableTennis() *Sport {
	return &Sport{
		Name: court.TableTennis,
		Also: []string{"tabletennis", "tt"},
		Courts: []Played{{tableTennisCourt(), tableTennisBall, []court.Scheme{{
			Name: "three depths, table", Court: "table-tennis", Depths: []court.Depth{
				{Name: "at the table", Purpose: "attack early", Stop: court.Off(court.NearEnd, 0.7, court.Out)},
				{Name: "half distance", Purpose: "topspin", Stop: court.Off(court.NearEnd, 1.6, court.Out)},
				{Name: "away", Purpose: "defend"},
			},
		}}}},
		One: "ball", Many: "balls", Carried: Boxes,

		Speeds:  map[Pace]float64{Gentle: 3, HalfPace: 4.5, RallyPace: 6.5, GamePace: 9},
		Over:    map[Pace]float64{Gentle: 0.45, HalfPace: 0.35, RallyPace: 0.25, GamePace: 0.2},
		Topspin: 3000, ByHand: 0.25, Dropped: 0.25, OffWall: 0.25, Struck: 0.25, Rally: 0.2,
		Reach: 0.50, Lunge: 1.15, High: 1.6, Circle: 0.26,

		Strokes: []Stroke{Forehand, Backhand, Push, Loop, Flick, Block, Smash, Lob, Serve, Return},
		Spins:   everySpin(), AboveHead: []Stroke{Overhead, Clear},
		Answers: []Stroke{Forehand, Backhand},
		Striking: Striking{
			Hardest: 24, First: map[Stroke]float64{Smash: 22}, Apex: map[Stroke]float64{Lob: 2.5},
		},

		Serving:  Serving{Held: 0.1, Up: 0.4, Met: 0.2, Ready: 2.5, Line: court.NearBaseline},
		ServedTo: [2]court.BoxID{"far-half", "far-half"},

		WarmUp: WarmUp{"blocks at the table", "plays topspin", []string{
			"Forehand to forehand, soft and clean", "Backhand to backhand", "Two thirds of the table, always moving",
			"Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 4, Stroke: 0.7, Between: 8},
		Halves: fromEitherSide,
		Room:   3,

		Replies: tableTennisReplies(), Situations: tableTennisSituations(),
	}
}

var (
	tableTennisBall = flight.Ball{
		Name:     "table tennis ball",
		Sport:    court.TableTennis,
		Mass:     0.0027,
		Diameter: 0.040,
		Drag:     0.45,
		Dropped:  0.30,
		Rebounds: 0.23,
		Source:   "ITTF Laws 2.03 and 2.01.03: 2.7 g, 40 mm, about 23 cm from 30 cm",
	}
)

func tableTennisCourt() court.Court {
	const half, length = 1.525 / 2, 2.74 / 2
	lines := slices.Concat(
		court.PairAcross(court.NearEnd, court.FarEnd, length, half),
		court.PairAlong(court.LeftSide, court.RightSide, half, length),
		court.CentreLines(0, length),
		court.NetAcross(half+0.1525),
	)
	return court.Court{
		ID:      "table-tennis",
		Name:    "Table tennis",
		Sport:   court.TableTennis,
		Length:  2 * length,
		Width:   2 * half,
		Singles: 2 * half,
		Net: court.Net{
			Centre: 0.1525,
			Post:   0.1525,
			HalfUp: half + 0.1525,
		},
		RunOff:   court.RunOff{Back: 2.5, Side: 1.5},
		Above:    0.76,
		Source:   "ITTF Laws 2.01 and 2.02; run-off: common practice, no source",
		Lines:    lines,
		Walls:    []court.WallLine{},
		Surfaces: []string{"table"},
		Boxes: court.SmallerFirst(
			court.BothEnds("right-half-court", "right half-court", 0, half, 0, length),
			court.BothEnds("left-half-court", "left half-court", -half, 0, 0, length),
			court.Halves(2*half, 2*length),
		),
	}
}
