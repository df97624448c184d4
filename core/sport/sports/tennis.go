package sports

import (
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// tennis is the sport as its federation rules it and as clubs play it; what has no source is common practice.
func tennis() *Sport {
	return &Sport{
		Name: court.Tennis,
		Courts: []Played{
			{tennisFull(), tennisBall, tennisRegions()},
			{
				tennisOrange(),
				orangeBall,
				[]court.Scheme{{Name: "four depths, orange", Court: "tennis-orange", Depths: fourDepths()}},
			},
			{tennisRed(), redBall, []court.Scheme{{Name: "four depths, red", Court: "tennis-red", Depths: fourDepths()}}},
		},
		Green: &greenBall, Stages: true,
		One: "ball", Many: "balls", Carried: Baskets,

		Speeds:  map[Pace]float64{Gentle: 9, HalfPace: 13, RallyPace: 17, GamePace: 22},
		Over:    map[Pace]float64{Gentle: 2.2, HalfPace: 1.6, RallyPace: 1.1, GamePace: 0.8},
		Topspin: 1200, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Lob: 4.5, Rally: 0.9,
		Reach: 0.75, Lunge: 1.75, High: 2.6, Circle: 2.2,

		Strokes: []Stroke{
			Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead, Serve, Return, Approach, Drop, Lob,
		},
		Spins: everySpin(), AboveHead: []Stroke{Serve, Overhead, Clear, Smash},
		Answers: []Stroke{Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead}, Volleys: true,
		Striking: Striking{
			Hardest: 50, First: map[Stroke]float64{Serve: 46, Overhead: 36}, Apex: map[Stroke]float64{Lob: 6.5},
			Over: map[Stroke]float64{Drop: 0.5},
		},

		Serving:  Serving{Held: 1.6, Up: 3.0, Met: 2.7, Ready: 4, Line: court.NearBaseline, Inside: 1},
		ServedTo: [2]court.BoxID{"far-ad-service-box", "far-deuce-service-box"},
		Second:   Second{There: true, Spin: HeavyTopspin},

		WarmUp: WarmUp{"at the net", "feeds from the back", []string{
			"Forehand side, soft and clean", "Backhand side", "Alternate sides, always moving", "Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 4, Stroke: 1.45, Between: 15},
		Halves: [2]string{"deuce side", "ad side"},

		Replies: tennisReplies(), Situations: tennisSituations(),
	}
}

var (
	tennisBall = flight.Ball{
		Name:     "tennis ball",
		Sport:    court.Tennis,
		Mass:     0.0577,
		Diameter: 0.067,
		Drag:     0.55,
		SpinDrag: true,
		Dropped:  2.54,
		Rebounds: 1.41,
		Source:   "ITF Rules of Tennis, ball appendix: 56.0–59.4 g, 6.54–6.86 cm, 135–147 cm from 254 cm",
	}
	greenBall = flight.Ball{
		Name:     "green ball",
		Sport:    court.Tennis,
		Mass:     0.0493,
		Diameter: 0.0658,
		Drag:     0.55,
		SpinDrag: true,
		Dropped:  2.54,
		Rebounds: 1.275,
		Source:   "ITF Rules of Tennis, ball appendix (from memory): 47.0–51.5 g, 6.30–6.86 cm, 120–135 cm from 254 cm",
	}
	orangeBall = flight.Ball{
		Name:     "orange ball",
		Sport:    court.Tennis,
		Mass:     0.0415,
		Diameter: 0.0643,
		Drag:     0.55,
		SpinDrag: true,
		Dropped:  2.54,
		Rebounds: 1.125,
		Source:   "ITF Rules of Tennis, ball appendix (from memory): 36.0–46.9 g, 6.00–6.86 cm, 105–120 cm from 254 cm",
	}
	redBall = flight.Ball{
		Name:     "red ball",
		Sport:    court.Tennis,
		Mass:     0.0425,
		Diameter: 0.075,
		Drag:     0.55,
		SpinDrag: true,
		Dropped:  2.54,
		Rebounds: 0.975,
		Source:   "ITF Rules of Tennis, ball appendix (from memory): 36.0–49.0 g, 7.00–8.00 cm, 90–105 cm from 254 cm",
	}
)
