package sports

import (
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// badminton is the sport as its federation rules it and as clubs play it; what has no source is common practice.
func badminton() *Sport {
	return &Sport{
		Name: court.Badminton,
		Courts: []Played{{badmintonCourt(), shuttlecock, []court.Scheme{{
			Name: "three depths, badminton", Court: "badminton", Depths: []court.Depth{
				{Name: "forecourt", Purpose: "net play", Stop: court.Off(court.NearService, 0.3, court.Out)},
				{Name: "mid-court", Purpose: "drive and smash", Stop: court.Off(court.NearLong, 0.8, court.In)},
				{Name: "rear court", Purpose: "clear and drop"},
			},
		}}}},
		One: "shuttle", Many: "shuttles", Carried: Tubes,

		Speeds: map[Pace]float64{Gentle: 5, HalfPace: 6.5, RallyPace: 8, GamePace: 12},
		ByHand: 1.9, Dropped: 1.1, OffWall: 1.1, Struck: 1.1, Lob: 4.5, Rally: 1.4,
		Reach: 0.70, Lunge: 1.85, High: 2.6, Circle: 0.75,

		Strokes: []Stroke{Clear, Drop, Smash, Lift, Net, Drive, Block, Serve, Return, Forehand, Backhand},
		Spins:   []SpinKind{Flat}, AboveHead: []Stroke{Overhead, Clear, Smash},
		Answers: []Stroke{Clear, Forehand, Backhand},
		ByDepth: &ByDepth{Short: Net, Middle: Drive, Deep: Clear, Lifted: Smash}, Lunges: true, Straight: true,
		Striking: Striking{
			Hardest: 80, First: map[Stroke]float64{Smash: 66, Drive: 36},
			Apex: map[Stroke]float64{Clear: 6, Lift: 5.5, Lob: 5.5}, Over: map[Stroke]float64{Net: 0.15, Drop: 0.3, Block: 0.3},
			ServeOver: 0.12, ServeUp: 5.5,
		},

		// The height of a serve is held under the 1.15 m of the BWF Laws, Law 9 (from memory).
		Serving:  Serving{Held: 1.25, Up: 1.25, Met: 1.1, Ready: 3, Line: court.NearService},
		ServedTo: [2]court.BoxID{"far-left-service-court", "far-right-service-court"},

		WarmUp: WarmUp{"in the forecourt", "lifts from the rear court", []string{
			"Clears, high and easy", "Drops and lifts", "Drives, flat and always moving", "Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 6, Stroke: 1.15, Between: 11},
		Halves: fromEitherSide,

		Replies: badmintonReplies(), Situations: badmintonSituations(),
	}
}

var (
	shuttlecock = flight.Ball{
		Name:     "shuttlecock",
		Sport:    court.Badminton,
		Mass:     0.0052,
		Diameter: 0.066,
		Drag:     0.5534079719881946,
		Source: "BWF Laws 2: 4.74–5.50 g; drag from a terminal speed of 6.7 m/s, Cohen et al., New J. Phys. 17 (2015) " +
			"063001",
	}
)

func badmintonCourt() court.Court {
	const half, singles, length, short, long = 3.05, 2.59, 6.70, 1.98, 6.70 - 0.76
	return court.Court{
		ID:       "badminton",
		Name:     "Badminton",
		Sport:    court.Badminton,
		Length:   2 * length,
		Width:    2 * half,
		Singles:  2 * singles,
		Net:      court.Net{Centre: 1.524, Post: 1.55, HalfUp: half},
		RunOff:   court.RunOff{Back: 2, Side: 2},
		Source:   "BWF Laws of court.Badminton, Law 1; run-off: common practice, no source",
		Walls:    []court.WallLine{},
		Surfaces: []string{"court mat", "wood"},
		Lines: slices.Concat(
			court.PairAcross(
				court.NearBaseline,
				court.FarBaseline,
				length,
				half,
			),
			court.PairAcross(court.NearLong, court.FarLong, long, half),
			court.PairAcross(court.NearService, court.FarService, short, half),
			court.PairAlong(
				court.LeftSide,
				court.RightSide,
				half,
				length,
			),
			court.PairAlong(court.LeftSingles, court.RightSingles, singles, length),
			court.CentreLines(short, length),
			court.NetAcross(half),
		),
		Boxes: court.SmallerFirst(
			court.BothEnds("right-service-court", "right service court", 0, singles, short, length),
			court.BothEnds("left-service-court", "left service court", -singles, 0, short, length),
			court.BothEnds("forecourt", "forecourt", -singles, singles, 0, short),
			court.BothEnds("right-alley", "right alley", singles, half, 0, length),
			court.BothEnds("left-alley", "left alley", -half, -singles, 0, length),
			court.Halves(2*singles, 2*length),
		),
	}
}
