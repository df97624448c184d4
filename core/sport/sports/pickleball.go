package sports

import (
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// pickleball is the sport as its federation rules it and as clubs play it; what has no source is common practice.
func pickleball() *Sport {
	return &Sport{
		Name: court.Pickleball,
		Courts: []Played{{pickleballCourt(), pickleballBall, []court.Scheme{{
			Name: "three depths, pickleball", Court: "pickleball", Depths: []court.Depth{
				{Name: "no-volley zone", Purpose: "soft game", Stop: court.Off(court.NearKitchen, 0, court.Out)},
				{Name: "transition", Purpose: "reset", Stop: court.Off(court.NearBaseline, 1.2, court.In)},
				{Name: "baseline", Purpose: "drive and drop"},
			},
		}}}},
		One: "ball", Many: "balls", Carried: Baskets,

		Speeds:  map[Pace]float64{Gentle: 4.5, HalfPace: 6, RallyPace: 8.5, GamePace: 12},
		Over:    map[Pace]float64{Gentle: 1.2, HalfPace: 0.9, RallyPace: 0.7, GamePace: 0.5},
		Topspin: 500, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Lob: 3.5, Rally: 0.6,
		Reach: 0.65, Lunge: 1.5, High: 2.3, Circle: 1.2,

		Strokes: []Stroke{
			Forehand, Backhand, ForehandVolley, BackhandVolley, Dink, Drop, Drive, Lob, Overhead, Serve, Return,
		},
		Spins: everySpin(), AboveHead: []Stroke{Overhead, Clear, Smash},
		Answers: []Stroke{Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead}, Volleys: true,
		Striking: Striking{
			Hardest: 28, First: map[Stroke]float64{Serve: 21, Overhead: 20}, Apex: map[Stroke]float64{Lob: 4.5},
			Over: map[Stroke]float64{Drop: 0.4, Dink: 0.3},
		},

		Serving:  Serving{Held: 1.0, Up: 1.0, Met: 0.75, Ready: 3.5, Line: court.NearBaseline, Inside: 0.3},
		ServedTo: [2]court.BoxID{"far-left-service-court", "far-right-service-court"},

		WarmUp: WarmUp{"at the no-volley line", "feeds from the baseline", []string{
			"Dinks cross-court, soft and clean", "Dinks the other way", "Volleys, alternate sides", "Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 6, Stroke: 1.1, Between: 12},
		Halves: fromEitherSide,

		Replies: pickleballReplies(), Situations: pickleballSituations(),
	}
}

var (
	pickleballBall = flight.Ball{
		Name:     "pickleball",
		Sport:    court.Pickleball,
		Mass:     0.0246,
		Diameter: 0.0742,
		Drag:     0.40,
		Dropped:  78 * units.Inch,
		Rebounds: 32 * units.Inch,
		Source:   "USA Pickleball equipment standards (from memory): 22.1–26.5 g, 73–75.5 mm, 30–34 in from 78 in",
	}
)

func pickleballCourt() court.Court {
	const half, length, kitchen = 10 * ft, 22 * ft, 7 * ft
	return court.Court{
		ID:       "pickleball",
		Name:     "Pickleball",
		Sport:    court.Pickleball,
		Length:   2 * length,
		Width:    2 * half,
		Singles:  2 * half,
		Net:      court.Net{Centre: 34 * inch, Post: 36 * inch, HalfUp: half},
		RunOff:   court.RunOff{Back: 3.05, Side: 2.13},
		Source:   "USA court.Pickleball rulebook, section 2 (from memory); run-off: common practice, no source",
		Walls:    []court.WallLine{},
		Surfaces: []string{"hard", "sports hall floor"},
		Lines: slices.Concat(
			court.PairAcross(
				court.NearBaseline,
				court.FarBaseline,
				length,
				half,
			),
			court.PairAcross(court.NearKitchen, court.FarKitchen, kitchen, half),
			court.PairAlong(
				court.LeftSide,
				court.RightSide,
				half,
				length,
			),
			court.CentreLines(kitchen, length),
			court.NetAcross(half),
		),
		Boxes: court.SmallerFirst(
			court.BothEnds("no-volley-zone", "no-volley zone", -half, half, 0, kitchen),
			court.BothEnds("right-service-court", "right service court", 0, half, kitchen, length),
			court.BothEnds("left-service-court", "left service court", -half, 0, kitchen, length),
			court.Halves(2*half, 2*length),
		),
	}
}
