package sports

import "hodometer/core/sport/court"

func tennisReplies() []Reply {
	return []Reply{
		{Name: "cross-court", Side: Cross, Deep: 0.78, In: 0.9, Stroke: Forehand},
		{Name: "down the line", Side: Straight, Deep: 0.78, In: 0.9, Stroke: Forehand},
		{Name: "deep to the middle", Side: Middle, Deep: 0.82, Stroke: Forehand},
		{Name: "short angle", Side: Cross, Deep: 0.45, In: 0.6, Stroke: Forehand},
		{Name: "drop shot", Side: Straight, Deep: 0.2, In: 1, Stroke: Drop},
		{Name: "floated cross-court", Side: Cross, Deep: 0.72, In: 1.2, Stroke: Backhand, Pace: HalfPace},
		{Name: "floated to the middle", Side: Middle, Deep: 0.7, Stroke: Backhand, Pace: HalfPace},
		{Name: "lob", Side: Middle, Deep: 0.86, Stroke: Lob},
		{Name: "lob over the backhand", Side: ToBackhand, Deep: 0.85, In: 1.2, Stroke: Lob},
		{Name: "pass down the line", Side: Straight, Deep: 0.7, In: 0.4, Stroke: Forehand, Pace: GamePace},
		{Name: "pass cross-court", Side: Cross, Deep: 0.5, In: 0.4, Stroke: Forehand, Pace: GamePace},
		{Name: "at the body", Side: Middle, Deep: 0.5, Stroke: Forehand, Pace: GamePace},
		{Name: "volley into the open court", Side: Cross, Deep: 0.65, In: 0.6, Stroke: ForehandVolley},
		{Name: "volley behind you", Side: Straight, Deep: 0.65, In: 0.8, Stroke: ForehandVolley},
		{Name: "smash to the forehand", Side: ToForehand, Deep: 0.75, In: 0.6, Stroke: Overhead},
		{Name: "smash to the backhand", Side: ToBackhand, Deep: 0.75, In: 0.6, Stroke: Overhead},
		{Name: "serve wide", Side: Cross, Deep: 0.46, In: 0.6, Stroke: Serve, Pace: GamePace},
		{Name: "serve to the body", Side: Cross, Deep: 0.48, In: 2.1, Stroke: Serve, Pace: GamePace},
		{Name: "serve to the middle line", Side: Cross, Deep: 0.49, In: 3.6, Stroke: Serve, Pace: GamePace},
	}
}

func tennisSituations() []Situation {
	const back, net = 1.06, 0.26
	forehand, backhand, middle := spot{"deep in their forehand corner", 0.8, 1.03, 0.9}, spot{"deep in their backhand corner", -0.8, 1.03, 0.9}, spot{"behind the middle of their baseline", 0.05, 1.04, 0.9}
	shortF, shortB := spot{"inside the court on their forehand", 0.5, 0.6, 1.0}, spot{"inside the court on their backhand", -0.5, 0.6, 0.9}
	front, over := spot{"at the net", 0.2, 0.22, 1.1}, spot{"under a short lob", 0.1, 0.35, 2.4}
	serving := spot{"behind the baseline, serving from their right", 0.1, 1.0, 2.5}
	servingLeft := spot{"behind the baseline, serving from their left", -0.1, 1.0, 2.5}
	return situationsOf(court.Tennis, "tennis",
		when(middle, AtEase, "a rally ball", back, "cross-court", 35, "down the line", 25, "deep to the middle", 25, "short angle", 10, "drop shot", 5),
		when(forehand, AtEase, "a cross-court ball", back, "cross-court", 55, "down the line", 25, "short angle", 10, "deep to the middle", 10),
		when(backhand, AtEase, "a cross-court ball", back, "cross-court", 60, "down the line", 20, "deep to the middle", 15, "short angle", 5),
		when(forehand, Hurried, "a wide ball", back, "floated cross-court", 55, "floated to the middle", 25, "down the line", 10, "lob", 10),
		when(backhand, Hurried, "a wide ball", back, "floated cross-court", 50, "floated to the middle", 30, "down the line", 8, "lob", 12),
		when(shortF, AtEase, "a short ball", back, "cross-court", 35, "down the line", 40, "short angle", 15, "drop shot", 10),
		when(shortB, AtEase, "a short ball", back, "cross-court", 40, "down the line", 35, "short angle", 10, "drop shot", 15),
		when(forehand, Hurried, "your approach", net, "pass down the line", 40, "pass cross-court", 30, "lob", 20, "at the body", 10),
		when(backhand, Hurried, "your approach", net, "pass down the line", 35, "pass cross-court", 25, "lob over the backhand", 30, "at the body", 10),
		when(middle, AtEase, "your approach", net, "pass down the line", 30, "pass cross-court", 30, "at the body", 25, "lob over the backhand", 15),
		when(front, AtEase, "your passing shot", back, "volley into the open court", 60, "volley behind you", 25, "drop shot", 15),
		when(over, AtEase, "your short lob", back, "smash to the forehand", 45, "smash to the backhand", 55),
		when(serving, AtEase, "nothing: a first serve", 1.1, "serve wide", 40, "serve to the middle line", 40, "serve to the body", 20),
		when(servingLeft, AtEase, "nothing: a first serve", 1.1, "serve wide", 45, "serve to the middle line", 35, "serve to the body", 20),
	)
}
