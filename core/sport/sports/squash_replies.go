package sports

import "hodometer/core/sport/court"

func squashReplies() []Reply {
	return []Reply{
		{Name: "straight drive", Side: Straight, Deep: 0.8, In: 0.35, Stroke: Drive},
		{Name: "cross-court drive", Side: Cross, Deep: 0.8, In: 0.4, Stroke: Drive},
		{Name: "straight drop", Side: Straight, Deep: 0.13, In: 0.35, Stroke: Drop},
		{Name: "cross-court drop", Side: Cross, Deep: 0.13, In: 0.4, Stroke: Drop},
		{Name: "boast", Side: Cross, Deep: 0.24, In: 0.6, Stroke: Boast, OffSide: true},
		{Name: "straight lob", Side: Straight, Deep: 0.85, In: 0.4, Stroke: Lob},
		{Name: "cross-court lob", Side: Cross, Deep: 0.85, In: 0.4, Stroke: Lob},
		{Name: "straight kill", Side: Straight, Deep: 0.35, In: 0.4, Stroke: Drive, Pace: GamePace},
	}
}

func squashSituations() []Situation {
	const t = 0.6
	backF, backB := spot{
		"in the back corner on their forehand",
		0.75,
		0.9,
		0.5,
	}, spot{
		"in the back corner on their backhand",
		-0.75,
		0.9,
		0.5,
	}
	digF, digB := spot{
		"digging it out of the forehand back corner",
		0.85,
		0.96,
		0.25,
	}, spot{
		"digging it out of the backhand back corner",
		-0.85,
		0.96,
		0.25,
	}
	frontF, frontB := spot{
		"at the front on their forehand",
		0.65,
		0.22,
		0.5,
	}, spot{
		"at the front on their backhand",
		-0.65,
		0.22,
		0.5,
	}
	reachF, reachB := spot{
		"stretched at the front on their forehand",
		0.75,
		0.16,
		0.2,
	}, spot{
		"stretched at the front on their backhand",
		-0.75,
		0.16,
		0.2,
	}
	midF, midB := spot{
		"in midcourt on their forehand, volleying",
		0.5,
		0.6,
		1.3,
	}, spot{
		"in midcourt on their backhand, volleying",
		-0.5,
		0.6,
		1.3,
	}
	sideF, sideB := spot{
		"by the forehand side wall in midcourt",
		0.8,
		0.65,
		0.6,
	}, spot{
		"by the backhand side wall in midcourt",
		-0.8,
		0.65,
		0.6,
	}
	return situationsOf(
		court.Squash,
		"squash",
		when(
			backF,
			AtEase,
			"a straight drive",
			t,
			"straight drive",
			55,
			"boast",
			15,
			"cross-court drive",
			20,
			"straight drop",
			10,
		),
		when(
			backB,
			AtEase,
			"a straight drive",
			t,
			"straight drive",
			60,
			"boast",
			15,
			"cross-court drive",
			20,
			"straight drop",
			5,
		),
		when(digF, Hurried, "a tight, dying ball", t, "boast", 60, "straight lob", 25, "straight drive", 15),
		when(digB, Hurried, "a tight, dying ball", t, "boast", 65, "straight lob", 20, "straight drive", 15),
		when(frontF, AtEase, "a loose drop", t, "straight drive", 40, "cross-court drive", 30, "straight drop", 30),
		when(frontB, AtEase, "a loose drop", t, "straight drive", 40, "cross-court drive", 30, "straight drop", 30),
		when(reachF, Hurried, "a tight drop", t, "cross-court lob", 45, "straight drop", 30, "straight drive", 25),
		when(reachB, Hurried, "a tight drop", t, "cross-court lob", 50, "straight drop", 30, "straight drive", 20),
		when(midF, AtEase, "a loose cross-court", t, "straight drive", 45, "straight drop", 35, "cross-court drive", 20),
		when(midB, AtEase, "a loose cross-court", t, "straight drive", 45, "straight drop", 35, "cross-court drive", 20),
		when(
			sideF,
			AtEase,
			"a straight drive",
			t,
			"straight drive",
			50,
			"straight kill",
			15,
			"cross-court drive",
			20,
			"boast",
			15,
		),
		when(
			sideB,
			AtEase,
			"a straight drive",
			t,
			"straight drive",
			55,
			"straight kill",
			10,
			"cross-court drive",
			20,
			"boast",
			15,
		),
	)
}
