package sports

import "hodometer/core/sport/court"

func tableTennisReplies() []Reply {
	return []Reply{
		{Name: "to the forehand", Side: ToForehand, Deep: 0.8, In: 0.15, Stroke: Forehand},
		{Name: "to the backhand", Side: ToBackhand, Deep: 0.8, In: 0.15, Stroke: Forehand},
		{Name: "to the elbow", Side: ToForehand, Deep: 0.82, In: 0.66, Stroke: Forehand},
		{Name: "fast to the forehand", Side: ToForehand, Deep: 0.85, In: 0.12, Stroke: Loop, Pace: GamePace},
		{Name: "fast to the backhand", Side: ToBackhand, Deep: 0.85, In: 0.12, Stroke: Loop, Pace: GamePace},
		{Name: "fast to the elbow", Side: ToForehand, Deep: 0.85, In: 0.66, Stroke: Loop, Pace: GamePace},
		{Name: "short to the forehand", Side: ToForehand, Deep: 0.3, In: 0.25, Stroke: Push, Pace: Gentle},
		{Name: "short to the backhand", Side: ToBackhand, Deep: 0.3, In: 0.25, Stroke: Push, Pace: Gentle},
		{Name: "long push to the backhand", Side: ToBackhand, Deep: 0.85, In: 0.2, Stroke: Push, Pace: HalfPace},
		{Name: "flick to the forehand", Side: ToForehand, Deep: 0.8, In: 0.15, Stroke: Flick},
		{Name: "flick to the backhand", Side: ToBackhand, Deep: 0.8, In: 0.15, Stroke: Flick},
		{Name: "lob", Side: Middle, Deep: 0.8, Stroke: Lob},
	}
}

func tableTennisSituations() []Situation {
	const base = 1.5
	forehand, backhand, middle := spot{
		"wide on their forehand",
		0.9,
		1.25,
		0.2,
	}, spot{
		"wide on their backhand",
		-0.8,
		1.2,
		0.2,
	}, spot{
		"in the middle",
		0.1,
		1.2,
		0.2,
	}
	shortF, shortB := spot{
		"over the table, short on their forehand",
		0.5,
		0.4,
		0.15,
	}, spot{
		"over the table, short on their backhand",
		-0.5,
		0.4,
		0.15,
	}
	farF, farB := spot{
		"far behind the table on their forehand",
		0.8,
		2.3,
		0.1,
	}, spot{
		"far behind the table on their backhand",
		-0.6,
		2.3,
		0.1,
	}
	return situationsOf(
		court.TableTennis,
		"table-tennis",
		when(middle, AtEase, "a rally ball", base, "to the backhand", 45, "to the forehand", 30, "to the elbow", 25),
		when(
			forehand,
			AtEase,
			"a wide ball",
			base,
			"fast to the forehand",
			50,
			"fast to the backhand",
			30,
			"fast to the elbow",
			20,
		),
		when(forehand, Hurried, "a wide ball", base, "to the forehand", 55, "to the elbow", 30, "to the backhand", 15),
		when(backhand, AtEase, "a wide ball", base, "to the backhand", 55, "to the forehand", 20, "to the elbow", 25),
		when(backhand, Hurried, "a wide ball", base, "to the backhand", 65, "to the elbow", 25, "to the forehand", 10),
		when(
			shortF,
			AtEase,
			"a short serve",
			base,
			"short to the forehand",
			25,
			"long push to the backhand",
			40,
			"flick to the forehand",
			15,
			"flick to the backhand",
			20,
		),
		when(
			shortB,
			AtEase,
			"a short serve",
			base,
			"short to the backhand",
			25,
			"long push to the backhand",
			35,
			"flick to the forehand",
			15,
			"flick to the backhand",
			25,
		),
		when(shortF, Hurried, "a spun short serve", base, "long push to the backhand", 60, "short to the forehand", 40),
		when(shortB, Hurried, "a spun short serve", base, "long push to the backhand", 55, "short to the backhand", 45),
		when(
			middle,
			AtEase,
			"a long push",
			base,
			"fast to the backhand",
			40,
			"fast to the forehand",
			30,
			"fast to the elbow",
			30,
		),
		when(farF, Hurried, "your fast ball", base, "lob", 50, "to the forehand", 35, "to the backhand", 15),
		when(farB, Hurried, "your fast ball", base, "lob", 55, "to the backhand", 35, "to the forehand", 10),
	)
}
