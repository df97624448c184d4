package sports

import "hodometer/core/sport/court"

func badmintonReplies() []Reply {
	return []Reply{
		{Name: "straight drop", Side: Straight, Deep: 0.24, In: 0.45, Stroke: Drop},
		{Name: "cross drop", Side: Cross, Deep: 0.24, In: 0.45, Stroke: Drop},
		{Name: "straight clear", Side: Straight, Deep: 0.92, In: 0.5, Stroke: Clear},
		{Name: "cross clear", Side: Cross, Deep: 0.92, In: 0.5, Stroke: Clear},
		{Name: "straight smash", Side: Straight, Deep: 0.7, In: 0.4, Stroke: Smash},
		{Name: "cross smash", Side: Cross, Deep: 0.7, In: 0.4, Stroke: Smash},
		{Name: "smash at the body", Side: Middle, Deep: 0.65, Stroke: Smash},
		{Name: "straight net shot", Side: Straight, Deep: 0.1, In: 0.5, Stroke: Net},
		{Name: "cross net shot", Side: Cross, Deep: 0.12, In: 0.5, Stroke: Net},
		{Name: "straight lift", Side: Straight, Deep: 0.92, In: 0.5, Stroke: Lift},
		{Name: "cross lift", Side: Cross, Deep: 0.92, In: 0.5, Stroke: Lift},
		{Name: "straight block", Side: Straight, Deep: 0.2, In: 0.5, Stroke: Block},
		{Name: "cross block", Side: Cross, Deep: 0.22, In: 0.5, Stroke: Block},
		{Name: "straight drive", Side: Straight, Deep: 0.72, In: 0.4, Stroke: Drive},
		{Name: "cross drive", Side: Cross, Deep: 0.72, In: 0.4, Stroke: Drive},
		{Name: "low serve", Side: Cross, Deep: 0.33, In: 2.2, Stroke: Serve},
		{Name: "high serve", Side: Cross, Deep: 0.94, In: 2.0, Stroke: Serve},
	}
}

func badmintonSituations() []Situation {
	const base, front = 0.5, 0.42
	rearF, rearB, round := spot{"deep in their forehand corner", 0.8, 0.9, 2.4}, spot{"deep in their backhand corner", -0.8, 0.9, 2.2}, spot{"deep in their backhand corner, round the head", -0.6, 0.88, 2.45}
	lateF, lateB := spot{"late in their forehand rear corner", 0.85, 0.95, 1.4}, spot{"late in their backhand rear corner", -0.85, 0.95, 1.4}
	netF, netB := spot{"at the net on their forehand", 0.7, 0.18, 1.35}, spot{"at the net on their backhand", -0.7, 0.18, 1.35}
	lowF, lowB := spot{"low at the net on their forehand", 0.7, 0.16, 0.5}, spot{"low at the net on their backhand", -0.7, 0.16, 0.5}
	midF, midB := spot{"in midcourt on their forehand", 0.75, 0.55, 1.2}, spot{"in midcourt on their backhand", -0.75, 0.55, 1.0}
	serve := spot{"serving from their right", 0.1, 0.36, 1.1}
	return situationsOf(court.Badminton, "badminton",
		when(rearF, AtEase, "your clear", base, "straight drop", 40, "cross drop", 20, "straight clear", 30, "cross clear", 10),
		when(round, AtEase, "your clear", base, "straight drop", 30, "cross drop", 25, "straight clear", 30, "cross clear", 15),
		when(rearB, Hurried, "your clear", base, "straight drop", 50, "straight clear", 30, "cross drop", 20),
		when(rearF, AtEase, "your lift", base, "straight smash", 45, "smash at the body", 15, "straight drop", 20, "cross drop", 10, "straight clear", 10),
		when(round, AtEase, "your lift", base, "straight smash", 40, "cross smash", 15, "straight drop", 20, "cross drop", 15, "straight clear", 10),
		when(lateF, Hurried, "a clear behind them", base, "straight drop", 55, "straight clear", 30, "cross drop", 15),
		when(lateB, Hurried, "a clear behind them", base, "straight drop", 60, "straight clear", 25, "cross drop", 15),
		when(netF, AtEase, "your drop", front, "straight net shot", 45, "cross net shot", 10, "straight lift", 30, "cross lift", 15),
		when(netB, AtEase, "your drop", front, "straight net shot", 45, "cross net shot", 10, "straight lift", 25, "cross lift", 20),
		when(lowF, Hurried, "your net shot", front, "straight lift", 55, "cross lift", 20, "straight net shot", 25),
		when(lowB, Hurried, "your net shot", front, "straight lift", 50, "cross lift", 25, "straight net shot", 25),
		when(midF, Hurried, "your smash", front, "straight block", 50, "cross block", 20, "straight lift", 20, "straight drive", 10),
		when(midB, Hurried, "your smash", front, "straight block", 45, "cross block", 25, "straight lift", 20, "cross drive", 10),
		when(serve, AtEase, "nothing: a serve", 0.46, "low serve", 60, "high serve", 40),
	)
}
