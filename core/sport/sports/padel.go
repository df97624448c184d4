package sports

import (
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// padel is played by two against two between glass and mesh; what has no source is common practice.
func padel() *Sport {
	return &Sport{
		Name: court.Padel, Later: 1,
		Courts: []Played{{padelCourt(), padelBall, []court.Scheme{{
			Name: "three depths, padel", Court: "padel", Depths: []court.Depth{
				{Name: "net", Purpose: "finish", Stop: court.Between(court.NetLine, court.NearService, 0.65)},
				{Name: "on the way", Purpose: "reset, and in or out", Stop: court.Off(court.NearService, 0.3, court.Out)},
				{Name: "at the glass", Purpose: "defend and lob"},
			},
		}}}},
		One: "ball", Many: "balls", Carried: Baskets,
		Cautions: []string{"The cord of the racket goes round the wrist, always."},

		Speeds:  map[Pace]float64{Gentle: 7, HalfPace: 9.5, RallyPace: 12.5, GamePace: 17},
		Over:    map[Pace]float64{Gentle: 2.0, HalfPace: 1.4, RallyPace: 1.0, GamePace: 0.7},
		Topspin: 900, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Lob: 4.5, Rally: 0.8,
		Reach: 0.70, Lunge: 1.6, High: 2.5, Circle: 2.1,

		Strokes: []Stroke{
			Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead, Smash, Lob, Drop, Serve, Return,
		},
		Spins: everySpin(), AboveHead: []Stroke{Overhead, Smash, Clear},
		Answers: []Stroke{Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead}, Volleys: true,
		Striking: Striking{
			Hardest: 44, First: map[Stroke]float64{Serve: 20, Overhead: 24, Smash: 40}, Apex: map[Stroke]float64{Lob: 6},
			Over: map[Stroke]float64{Drop: 0.35},
		},

		// The ball is let bounce, and struck no higher than the waist (rules of padel, from memory).
		Serving:  Serving{Held: 1.15, Up: 1.15, Met: 0.65, Ready: 4, Bounced: true, Line: court.NearService},
		ServedTo: [2]court.BoxID{"far-left-service-box", "far-right-service-box"},
		Second:   Second{There: true, Spin: Slice},

		WarmUp: WarmUp{"volleys at the net", "plays from the glass", []string{
			"Across to the forehand, soft and clean", "Backhands, every other one off the glass",
			"Lobs, and overheads back to the middle",
			"Your choice, no errors",
		}},
		Tempo:  Tempo{Strokes: 9, Stroke: 1.3, Between: 14},
		Halves: fromEitherSide,

		Replies: padelReplies(), Situations: padelSituations(),
	}
}

var padelBall = flight.Ball{
	Name:     "padel ball",
	Sport:    court.Padel,
	Mass:     0.0577,
	Diameter: 0.0656,
	Drag:     0.55,
	SpinDrag: true,
	Dropped:  2.54,
	Rebounds: 1.40,
	Source:   "Rules of padel, rule on the ball (from memory): 56.0–59.4 g, 6.35–6.77 cm, 135–145 cm from 254 cm",
}

// padelCourt has glass at the back and round the corners, mesh over it and between. The rules leave two ways of
// building the sides; this is the one that goes down in steps.
func padelCourt() court.Court {
	const half, length, service, beyond = 5.0, 10.0, 6.95, 0.2
	name := func(lines []court.Line, names ...string) []court.Line {
		for i := range lines {
			lines[i].Name = names[i]
		}
		return lines
	}
	return court.Court{
		ID: "padel", Name: "Padel", Sport: court.Padel, Length: 2 * length, Width: 2 * half, Singles: 2 * half,
		Net: court.Net{Centre: 0.88, Post: 0.92, HalfUp: half}, Surfaces: []string{"artificial turf"},
		Source: "Rules of padel of its international federation, rules on the court and the enclosure (from memory)",
		Lines: slices.Concat(
			name(court.PairAcross(court.NearBaseline, court.FarBaseline, length, half), "near back wall", "far back wall"),
			court.PairAcross(court.NearService, court.FarService, service, half),
			name(court.PairAlong(court.LeftSide, court.RightSide, half, length), "left side wall", "right side wall"),
			court.CentreLines(0, service+beyond), court.NetAcross(half),
		),
		Boxes: court.SmallerFirst(
			court.BothEnds("right-service-box", "right service box", 0, half, 0, service),
			court.BothEnds("left-service-box", "left service box", -half, 0, 0, service),
			court.BothEnds("back", "back court", -half, half, service, length),
			court.Halves(2*half, 2*length),
		),
		Walls: []court.WallLine{},
		Panels: slices.Concat(
			court.RoundedBy(court.NearBaseline, court.FarBaseline, -half, half, 0, 3, "glass"),
			court.RoundedBy(court.NearBaseline, court.FarBaseline, -half, half, 3, 4, "mesh"),
			court.RoundedBy(court.LeftSide, court.RightSide, 8, length, 0, 3, "glass"),
			court.RoundedBy(court.LeftSide, court.RightSide, 8, length, 3, 4, "mesh"),
			court.RoundedBy(court.LeftSide, court.RightSide, 6, 8, 0, 2, "glass"),
			court.RoundedBy(court.LeftSide, court.RightSide, 6, 8, 2, 3, "mesh"),
			court.RoundedBy(court.LeftSide, court.RightSide, -6, 6, 0, 3, "mesh"),
		),
	}
}

func padelReplies() []Reply {
	return []Reply{
		{Name: "volley deep cross-court", Side: Cross, Deep: 0.82, In: 1, Stroke: ForehandVolley},
		{Name: "volley deep and straight", Side: Straight, Deep: 0.82, In: 1, Stroke: ForehandVolley},
		{Name: "volley to the middle", Side: Middle, Deep: 0.78, Stroke: ForehandVolley},
		{Name: "drop volley", Side: Straight, Deep: 0.2, In: 0.8, Stroke: Drop},
		{Name: "lob cross-court", Side: Cross, Deep: 0.88, In: 1.5, Stroke: Lob},
		{Name: "lob over you", Side: Straight, Deep: 0.88, In: 1.8, Stroke: Lob},
		{Name: "lob to the middle", Side: Middle, Deep: 0.88, Stroke: Lob},
		{Name: "soft and low cross-court", Side: Cross, Deep: 0.4, In: 1.5, Stroke: Forehand, Pace: HalfPace},
		{Name: "soft and low to the middle", Side: Middle, Deep: 0.4, Stroke: Forehand, Pace: HalfPace},
		{Name: "hard through the middle", Side: Middle, Deep: 0.6, Stroke: Forehand, Pace: GamePace},
		{Name: "hard down the line", Side: Straight, Deep: 0.6, In: 0.8, Stroke: Forehand, Pace: GamePace},
		{Name: "overhead to the side glass", Side: Cross, Deep: 0.75, In: 0.5, Stroke: Overhead, Pace: RallyPace},
		{Name: "overhead to the middle", Side: Middle, Deep: 0.8, Stroke: Overhead, Pace: RallyPace},
		{Name: "smash through the middle", Side: Middle, Deep: 0.65, Stroke: Smash, Pace: GamePace},
		{Name: "deep cross-court", Side: Cross, Deep: 0.82, In: 1.2, Stroke: Forehand},
		{Name: "serve to the side glass", Side: Cross, Deep: 0.58, In: 0.6, Stroke: Serve, Pace: RallyPace},
		{Name: "serve to the middle line", Side: Cross, Deep: 0.6, In: 4.3, Stroke: Serve, Pace: RallyPace},
	}
}

func padelSituations() []Situation {
	const net, back, returning = 0.3, 0.78, 0.88
	netF, netB := spot{
		"at the net on their forehand",
		0.5,
		0.28,
		1.1,
	}, spot{
		"at the net on their backhand",
		-0.5,
		0.28,
		1.0,
	}
	over := spot{"under a lob by their service line", 0.2, 0.62, 2.3}
	glassF := spot{"off the back glass on their forehand", 0.5, 0.82, 0.7}
	glassB := spot{"off the back glass on their backhand", -0.5, 0.82, 0.7}
	cornerF, cornerB := spot{"in the forehand corner", 0.8, 0.9, 0.5}, spot{"in the backhand corner", -0.8, 0.9, 0.5}
	feetF, feetB := spot{
		"on the way in, at the feet on their forehand",
		0.4,
		0.55,
		0.3,
	}, spot{
		"on the way in, at the feet on their backhand",
		-0.4,
		0.55,
		0.3,
	}
	right, left := spot{
		"behind their service line, serving from their right",
		0.3,
		0.72,
		0.6,
	}, spot{
		"behind their service line, serving from their left",
		-0.3,
		0.72,
		0.6,
	}
	return situationsOf(
		court.Padel,
		"padel",
		when(
			netF,
			AtEase,
			"a low ball",
			back,
			"volley deep cross-court",
			45,
			"volley to the middle",
			30,
			"volley deep and straight",
			15,
			"drop volley",
			10,
		),
		when(
			netB,
			AtEase,
			"a low ball",
			back,
			"volley deep cross-court",
			50,
			"volley to the middle",
			30,
			"volley deep and straight",
			15,
			"drop volley",
			5,
		),
		when(
			netF,
			Hurried,
			"a ball at the body",
			back,
			"volley to the middle",
			55,
			"volley deep cross-court",
			30,
			"volley deep and straight",
			15,
		),
		when(
			over,
			AtEase,
			"your lob",
			back,
			"overhead to the side glass",
			45,
			"overhead to the middle",
			25,
			"smash through the middle",
			30,
		),
		when(
			over,
			Hurried,
			"your deep lob",
			back,
			"overhead to the middle",
			55,
			"overhead to the side glass",
			35,
			"lob to the middle",
			10,
		),
		when(
			glassF,
			AtEase,
			"your deep volley",
			net,
			"lob cross-court",
			35,
			"lob over you",
			20,
			"soft and low to the middle",
			20,
			"soft and low cross-court",
			15,
			"hard through the middle",
			10,
		),
		when(
			glassB,
			AtEase,
			"your deep volley",
			net,
			"lob cross-court",
			40,
			"lob over you",
			20,
			"soft and low to the middle",
			20,
			"soft and low cross-court",
			15,
			"hard through the middle",
			5,
		),
		when(
			cornerF,
			Hurried,
			"a ball off both walls",
			net,
			"lob cross-court",
			55,
			"lob to the middle",
			30,
			"soft and low to the middle",
			15,
		),
		when(
			cornerB,
			Hurried,
			"a ball off both walls",
			net,
			"lob cross-court",
			60,
			"lob to the middle",
			30,
			"soft and low to the middle",
			10,
		),
		when(
			feetF,
			Hurried,
			"your volley at the feet",
			net,
			"volley to the middle",
			45,
			"soft and low cross-court",
			30,
			"lob over you",
			25,
		),
		when(
			feetB,
			Hurried,
			"your volley at the feet",
			net,
			"volley to the middle",
			45,
			"soft and low cross-court",
			35,
			"lob over you",
			20,
		),
		when(right, AtEase, "nothing: a serve", returning, "serve to the side glass", 65, "serve to the middle line", 35),
		when(left, AtEase, "nothing: a serve", returning, "serve to the side glass", 60, "serve to the middle line", 40),
		when(
			glassF,
			AtEase,
			"your serve, returning",
			net,
			"soft and low cross-court",
			40,
			"deep cross-court",
			20,
			"lob over you",
			30,
			"hard down the line",
			10,
		),
	)
}
