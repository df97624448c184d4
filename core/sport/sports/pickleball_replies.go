package sports

import "hodometer/core/sport/court"

func pickleballReplies() []Reply {
	return []Reply{
		{Name: "cross-court dink", Side: Cross, Deep: 0.22, In: 0.7, Stroke: Dink},
		{Name: "straight dink", Side: Straight, Deep: 0.22, In: 0.7, Stroke: Dink},
		{Name: "dink to the middle", Side: Middle, Deep: 0.22, Stroke: Dink},
		{Name: "drive down the line", Side: Straight, Deep: 0.8, In: 0.5, Stroke: Forehand, Pace: GamePace},
		{Name: "drive cross-court", Side: Cross, Deep: 0.8, In: 0.6, Stroke: Forehand, Pace: GamePace},
		{Name: "drive at the body", Side: Middle, Deep: 0.75, Stroke: Forehand, Pace: GamePace},
		{Name: "drop cross-court", Side: Cross, Deep: 0.24, In: 0.8, Stroke: Drop},
		{Name: "drop straight", Side: Straight, Deep: 0.24, In: 0.8, Stroke: Drop},
		{Name: "drop to the middle", Side: Middle, Deep: 0.24, Stroke: Drop},
		{Name: "lob", Side: Middle, Deep: 0.85, Stroke: Lob},
		{Name: "lob over the backhand", Side: ToBackhand, Deep: 0.85, In: 0.9, Stroke: Lob},
		{Name: "speed-up at the body", Side: Middle, Deep: 0.6, Stroke: Forehand, Pace: GamePace},
		{Name: "deep to the middle", Side: Middle, Deep: 0.85, Stroke: Forehand},
		{Name: "deep to the backhand", Side: ToBackhand, Deep: 0.85, In: 0.7, Stroke: Forehand},
		{Name: "put away cross-court", Side: Cross, Deep: 0.7, In: 0.5, Stroke: Overhead},
		{Name: "put away straight", Side: Straight, Deep: 0.7, In: 0.5, Stroke: Overhead},
		{Name: "serve deep", Side: Cross, Deep: 0.88, In: 1.4, Stroke: Serve, Pace: RallyPace},
		{Name: "serve short and wide", Side: Cross, Deep: 0.5, In: 0.5, Stroke: Serve, Pace: HalfPace},
	}
}

func pickleballSituations() []Situation {
	const line, back = 0.36, 1.03
	kitchenF, kitchenB, kitchen := spot{"at the no-volley line on their forehand", 0.6, 0.36, 0.35}, spot{"at the no-volley line on their backhand", -0.6, 0.36, 0.35}, spot{"at the no-volley line in the middle", 0.05, 0.36, 0.35}
	high := spot{"at the no-volley line under a high ball", 0.2, 0.38, 1.5}
	deepF, deepB, deep := spot{"at their baseline on the forehand", 0.6, 1.0, 0.6}, spot{"at their baseline on the backhand", -0.6, 1.0, 0.6}, spot{"at the middle of their baseline", 0.05, 1.0, 0.6}
	between := spot{"between the lines", 0.2, 0.65, 0.4}
	return situationsOf(court.Pickleball, "pickleball",
		when(kitchenF, AtEase, "a dink", line, "cross-court dink", 55, "straight dink", 20, "dink to the middle", 15, "speed-up at the body", 10),
		when(kitchenB, AtEase, "a dink", line, "cross-court dink", 50, "straight dink", 25, "dink to the middle", 20, "lob", 5),
		when(kitchen, AtEase, "a dink", line, "cross-court dink", 35, "straight dink", 35, "dink to the middle", 15, "speed-up at the body", 15),
		when(kitchenF, Hurried, "a wide dink", line, "cross-court dink", 45, "straight dink", 35, "lob", 20),
		when(kitchenB, Hurried, "a wide dink", line, "cross-court dink", 40, "straight dink", 35, "lob", 25),
		when(high, AtEase, "a dink that sat up", line, "put away cross-court", 45, "put away straight", 35, "speed-up at the body", 20),
		when(deepF, AtEase, "your return", line, "drop cross-court", 45, "drop straight", 20, "drive down the line", 15, "drive at the body", 20),
		when(deepB, AtEase, "your return", line, "drop cross-court", 50, "drop to the middle", 20, "drive at the body", 20, "lob over the backhand", 10),
		when(deep, Hurried, "a deep ball", line, "drop to the middle", 40, "drive at the body", 25, "lob", 35),
		when(between, Hurried, "a ball at the feet", line, "drop to the middle", 45, "straight dink", 20, "cross-court dink", 20, "drive at the body", 15),
		when(deepF, AtEase, "nothing: a serve", back, "serve deep", 80, "serve short and wide", 20),
		when(deepB, AtEase, "nothing: a serve", back, "serve deep", 75, "serve short and wide", 25),
		when(deep, AtEase, "your serve", back, "deep to the middle", 45, "deep to the backhand", 40, "drive cross-court", 15),
	)
}
