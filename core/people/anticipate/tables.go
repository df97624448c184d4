package anticipate

import (
	"fmt"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// table is what can be played in a sport, and what is likely when. Chances and places are common practice, no source.
type table struct {
	replies    []reply
	situations []Situation
}

var tables = map[court.Sport]table{
	court.Tennis: tennis(), court.Pickleball: pickleball(), court.Badminton: badminton(), court.Squash: squash(), court.TableTennis: tableTennis(),
}

// spot is where an opponent hits from.
type spot struct {
	name               string
	across, deep, high float64
}

// when is a situation: chances in hundredths, a name and a figure in turn.
func when(at spot, pressure Pressure, after string, waiting float64, pairs ...any) Situation {
	s := Situation{
		Name: fmt.Sprintf("%s, %s, after %s", at.name, pressure, after), After: after, Pressure: pressure,
		Across: at.across, Deep: at.deep, High: at.high, Waiting: waiting,
	}
	for i := 0; i+1 < len(pairs); i += 2 {
		name, _ := pairs[i].(string)
		chance, _ := pairs[i+1].(int)
		s.Likely = append(s.Likely, Likely{name, float64(chance) / 100})
	}
	return s
}

// numbered gives situations their identifiers: they stay, since new ones are added at the end.
func numbered(prefix string, list ...Situation) []Situation {
	for i := range list {
		list[i].ID = fmt.Sprintf("%s-%d", prefix, i+1)
	}
	return list
}

func tennis() table {
	const back, net = 1.06, 0.26
	forehand, backhand, middle := spot{"deep in their forehand corner", 0.8, 1.03, 0.9}, spot{"deep in their backhand corner", -0.8, 1.03, 0.9}, spot{"behind the middle of their baseline", 0.05, 1.04, 0.9}
	shortF, shortB := spot{"inside the court on their forehand", 0.5, 0.6, 1.0}, spot{"inside the court on their backhand", -0.5, 0.6, 0.9}
	front, over := spot{"at the net", 0.2, 0.22, 1.1}, spot{"under a short lob", 0.1, 0.35, 2.4}
	serving := spot{"behind the baseline, serving from their right", 0.1, 1.0, 2.5}
	servingLeft := spot{"behind the baseline, serving from their left", -0.1, 1.0, 2.5}
	return table{
		replies: []reply{
			{name: "cross-court", side: Cross, deep: 0.78, in: 0.9, stroke: feed.Forehand},
			{name: "down the line", side: Straight, deep: 0.78, in: 0.9, stroke: feed.Forehand},
			{name: "deep to the middle", side: Middle, deep: 0.82, stroke: feed.Forehand},
			{name: "short angle", side: Cross, deep: 0.45, in: 0.6, stroke: feed.Forehand},
			{name: "drop shot", side: Straight, deep: 0.2, in: 1, stroke: feed.Drop},
			{name: "floated cross-court", side: Cross, deep: 0.72, in: 1.2, stroke: feed.Backhand, pace: feed.HalfPace},
			{name: "floated to the middle", side: Middle, deep: 0.7, stroke: feed.Backhand, pace: feed.HalfPace},
			{name: "lob", side: Middle, deep: 0.86, stroke: feed.Lob},
			{name: "lob over the backhand", side: ToBackhand, deep: 0.85, in: 1.2, stroke: feed.Lob},
			{name: "pass down the line", side: Straight, deep: 0.7, in: 0.4, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "pass cross-court", side: Cross, deep: 0.5, in: 0.4, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "at the body", side: Middle, deep: 0.5, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "volley into the open court", side: Cross, deep: 0.65, in: 0.6, stroke: feed.ForehandVolley},
			{name: "volley behind you", side: Straight, deep: 0.65, in: 0.8, stroke: feed.ForehandVolley},
			{name: "smash to the forehand", side: ToForehand, deep: 0.75, in: 0.6, stroke: feed.Overhead},
			{name: "smash to the backhand", side: ToBackhand, deep: 0.75, in: 0.6, stroke: feed.Overhead},
			{name: "serve wide", side: Cross, deep: 0.46, in: 0.6, stroke: feed.Serve, pace: feed.GamePace},
			{name: "serve to the body", side: Cross, deep: 0.48, in: 2.1, stroke: feed.Serve, pace: feed.GamePace},
			{name: "serve to the middle line", side: Cross, deep: 0.49, in: 3.6, stroke: feed.Serve, pace: feed.GamePace},
		},
		situations: numbered("tennis",
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
		),
	}
}

func pickleball() table {
	const line, back = 0.36, 1.03
	kitchenF, kitchenB, kitchen := spot{"at the no-volley line on their forehand", 0.6, 0.36, 0.35}, spot{"at the no-volley line on their backhand", -0.6, 0.36, 0.35}, spot{"at the no-volley line in the middle", 0.05, 0.36, 0.35}
	high := spot{"at the no-volley line under a high ball", 0.2, 0.38, 1.5}
	deepF, deepB, deep := spot{"at their baseline on the forehand", 0.6, 1.0, 0.6}, spot{"at their baseline on the backhand", -0.6, 1.0, 0.6}, spot{"at the middle of their baseline", 0.05, 1.0, 0.6}
	between := spot{"between the lines", 0.2, 0.65, 0.4}
	return table{
		replies: []reply{
			{name: "cross-court dink", side: Cross, deep: 0.22, in: 0.7, stroke: feed.Dink},
			{name: "straight dink", side: Straight, deep: 0.22, in: 0.7, stroke: feed.Dink},
			{name: "dink to the middle", side: Middle, deep: 0.22, stroke: feed.Dink},
			{name: "drive down the line", side: Straight, deep: 0.8, in: 0.5, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "drive cross-court", side: Cross, deep: 0.8, in: 0.6, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "drive at the body", side: Middle, deep: 0.75, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "drop cross-court", side: Cross, deep: 0.24, in: 0.8, stroke: feed.Drop},
			{name: "drop straight", side: Straight, deep: 0.24, in: 0.8, stroke: feed.Drop},
			{name: "drop to the middle", side: Middle, deep: 0.24, stroke: feed.Drop},
			{name: "lob", side: Middle, deep: 0.85, stroke: feed.Lob},
			{name: "lob over the backhand", side: ToBackhand, deep: 0.85, in: 0.9, stroke: feed.Lob},
			{name: "speed-up at the body", side: Middle, deep: 0.6, stroke: feed.Forehand, pace: feed.GamePace},
			{name: "deep to the middle", side: Middle, deep: 0.85, stroke: feed.Forehand},
			{name: "deep to the backhand", side: ToBackhand, deep: 0.85, in: 0.7, stroke: feed.Forehand},
			{name: "put away cross-court", side: Cross, deep: 0.7, in: 0.5, stroke: feed.Overhead},
			{name: "put away straight", side: Straight, deep: 0.7, in: 0.5, stroke: feed.Overhead},
			{name: "serve deep", side: Cross, deep: 0.88, in: 1.4, stroke: feed.Serve, pace: feed.RallyPace},
			{name: "serve short and wide", side: Cross, deep: 0.5, in: 0.5, stroke: feed.Serve, pace: feed.HalfPace},
		},
		situations: numbered("pickleball",
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
		),
	}
}

func badminton() table {
	const base, front = 0.5, 0.42
	rearF, rearB, round := spot{"deep in their forehand corner", 0.8, 0.9, 2.4}, spot{"deep in their backhand corner", -0.8, 0.9, 2.2}, spot{"deep in their backhand corner, round the head", -0.6, 0.88, 2.45}
	lateF, lateB := spot{"late in their forehand rear corner", 0.85, 0.95, 1.4}, spot{"late in their backhand rear corner", -0.85, 0.95, 1.4}
	netF, netB := spot{"at the net on their forehand", 0.7, 0.18, 1.35}, spot{"at the net on their backhand", -0.7, 0.18, 1.35}
	lowF, lowB := spot{"low at the net on their forehand", 0.7, 0.16, 0.5}, spot{"low at the net on their backhand", -0.7, 0.16, 0.5}
	midF, midB := spot{"in midcourt on their forehand", 0.75, 0.55, 1.2}, spot{"in midcourt on their backhand", -0.75, 0.55, 1.0}
	serve := spot{"serving from their right", 0.1, 0.36, 1.1}
	return table{
		replies: []reply{
			{name: "straight drop", side: Straight, deep: 0.24, in: 0.45, stroke: feed.Drop},
			{name: "cross drop", side: Cross, deep: 0.24, in: 0.45, stroke: feed.Drop},
			{name: "straight clear", side: Straight, deep: 0.92, in: 0.5, stroke: feed.Clear},
			{name: "cross clear", side: Cross, deep: 0.92, in: 0.5, stroke: feed.Clear},
			{name: "straight smash", side: Straight, deep: 0.7, in: 0.4, stroke: feed.Smash},
			{name: "cross smash", side: Cross, deep: 0.7, in: 0.4, stroke: feed.Smash},
			{name: "smash at the body", side: Middle, deep: 0.65, stroke: feed.Smash},
			{name: "straight net shot", side: Straight, deep: 0.1, in: 0.5, stroke: feed.Net},
			{name: "cross net shot", side: Cross, deep: 0.12, in: 0.5, stroke: feed.Net},
			{name: "straight lift", side: Straight, deep: 0.92, in: 0.5, stroke: feed.Lift},
			{name: "cross lift", side: Cross, deep: 0.92, in: 0.5, stroke: feed.Lift},
			{name: "straight block", side: Straight, deep: 0.2, in: 0.5, stroke: feed.Block},
			{name: "cross block", side: Cross, deep: 0.22, in: 0.5, stroke: feed.Block},
			{name: "straight drive", side: Straight, deep: 0.72, in: 0.4, stroke: feed.Drive},
			{name: "cross drive", side: Cross, deep: 0.72, in: 0.4, stroke: feed.Drive},
			{name: "low serve", side: Cross, deep: 0.33, in: 2.2, stroke: feed.Serve},
			{name: "high serve", side: Cross, deep: 0.94, in: 2.0, stroke: feed.Serve},
		},
		situations: numbered("badminton",
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
		),
	}
}

func squash() table {
	const t = 0.6
	backF, backB := spot{"in the back corner on their forehand", 0.75, 0.9, 0.5}, spot{"in the back corner on their backhand", -0.75, 0.9, 0.5}
	digF, digB := spot{"digging it out of the forehand back corner", 0.85, 0.96, 0.25}, spot{"digging it out of the backhand back corner", -0.85, 0.96, 0.25}
	frontF, frontB := spot{"at the front on their forehand", 0.65, 0.22, 0.5}, spot{"at the front on their backhand", -0.65, 0.22, 0.5}
	reachF, reachB := spot{"stretched at the front on their forehand", 0.75, 0.16, 0.2}, spot{"stretched at the front on their backhand", -0.75, 0.16, 0.2}
	midF, midB := spot{"in midcourt on their forehand, volleying", 0.5, 0.6, 1.3}, spot{"in midcourt on their backhand, volleying", -0.5, 0.6, 1.3}
	sideF, sideB := spot{"by the forehand side wall in midcourt", 0.8, 0.65, 0.6}, spot{"by the backhand side wall in midcourt", -0.8, 0.65, 0.6}
	return table{
		replies: []reply{
			{name: "straight drive", side: Straight, deep: 0.8, in: 0.35, stroke: feed.Drive},
			{name: "cross-court drive", side: Cross, deep: 0.8, in: 0.4, stroke: feed.Drive},
			{name: "straight drop", side: Straight, deep: 0.13, in: 0.35, stroke: feed.Drop},
			{name: "cross-court drop", side: Cross, deep: 0.13, in: 0.4, stroke: feed.Drop},
			{name: "boast", side: Cross, deep: 0.24, in: 0.6, stroke: feed.Boast, boast: true},
			{name: "straight lob", side: Straight, deep: 0.85, in: 0.4, stroke: feed.Lob},
			{name: "cross-court lob", side: Cross, deep: 0.85, in: 0.4, stroke: feed.Lob},
			{name: "straight kill", side: Straight, deep: 0.35, in: 0.4, stroke: feed.Drive, pace: feed.GamePace},
		},
		situations: numbered("squash",
			when(backF, AtEase, "a straight drive", t, "straight drive", 55, "boast", 15, "cross-court drive", 20, "straight drop", 10),
			when(backB, AtEase, "a straight drive", t, "straight drive", 60, "boast", 15, "cross-court drive", 20, "straight drop", 5),
			when(digF, Hurried, "a tight, dying ball", t, "boast", 60, "straight lob", 25, "straight drive", 15),
			when(digB, Hurried, "a tight, dying ball", t, "boast", 65, "straight lob", 20, "straight drive", 15),
			when(frontF, AtEase, "a loose drop", t, "straight drive", 40, "cross-court drive", 30, "straight drop", 30),
			when(frontB, AtEase, "a loose drop", t, "straight drive", 40, "cross-court drive", 30, "straight drop", 30),
			when(reachF, Hurried, "a tight drop", t, "cross-court lob", 45, "straight drop", 30, "straight drive", 25),
			when(reachB, Hurried, "a tight drop", t, "cross-court lob", 50, "straight drop", 30, "straight drive", 20),
			when(midF, AtEase, "a loose cross-court", t, "straight drive", 45, "straight drop", 35, "cross-court drive", 20),
			when(midB, AtEase, "a loose cross-court", t, "straight drive", 45, "straight drop", 35, "cross-court drive", 20),
			when(sideF, AtEase, "a straight drive", t, "straight drive", 50, "straight kill", 15, "cross-court drive", 20, "boast", 15),
			when(sideB, AtEase, "a straight drive", t, "straight drive", 55, "straight kill", 10, "cross-court drive", 20, "boast", 15),
		),
	}
}

func tableTennis() table {
	const base = 1.5
	forehand, backhand, middle := spot{"wide on their forehand", 0.9, 1.25, 0.2}, spot{"wide on their backhand", -0.8, 1.2, 0.2}, spot{"in the middle", 0.1, 1.2, 0.2}
	shortF, shortB := spot{"over the table, short on their forehand", 0.5, 0.4, 0.15}, spot{"over the table, short on their backhand", -0.5, 0.4, 0.15}
	farF, farB := spot{"far behind the table on their forehand", 0.8, 2.3, 0.1}, spot{"far behind the table on their backhand", -0.6, 2.3, 0.1}
	return table{
		replies: []reply{
			{name: "to the forehand", side: ToForehand, deep: 0.8, in: 0.15, stroke: feed.Forehand},
			{name: "to the backhand", side: ToBackhand, deep: 0.8, in: 0.15, stroke: feed.Forehand},
			{name: "to the elbow", side: ToForehand, deep: 0.82, in: 0.66, stroke: feed.Forehand},
			{name: "fast to the forehand", side: ToForehand, deep: 0.85, in: 0.12, stroke: feed.Loop, pace: feed.GamePace},
			{name: "fast to the backhand", side: ToBackhand, deep: 0.85, in: 0.12, stroke: feed.Loop, pace: feed.GamePace},
			{name: "fast to the elbow", side: ToForehand, deep: 0.85, in: 0.66, stroke: feed.Loop, pace: feed.GamePace},
			{name: "short to the forehand", side: ToForehand, deep: 0.3, in: 0.25, stroke: feed.Push, pace: feed.Gentle},
			{name: "short to the backhand", side: ToBackhand, deep: 0.3, in: 0.25, stroke: feed.Push, pace: feed.Gentle},
			{name: "long push to the backhand", side: ToBackhand, deep: 0.85, in: 0.2, stroke: feed.Push, pace: feed.HalfPace},
			{name: "flick to the forehand", side: ToForehand, deep: 0.8, in: 0.15, stroke: feed.Flick},
			{name: "flick to the backhand", side: ToBackhand, deep: 0.8, in: 0.15, stroke: feed.Flick},
			{name: "lob", side: Middle, deep: 0.8, stroke: feed.Lob},
		},
		situations: numbered("table-tennis",
			when(middle, AtEase, "a rally ball", base, "to the backhand", 45, "to the forehand", 30, "to the elbow", 25),
			when(forehand, AtEase, "a wide ball", base, "fast to the forehand", 50, "fast to the backhand", 30, "fast to the elbow", 20),
			when(forehand, Hurried, "a wide ball", base, "to the forehand", 55, "to the elbow", 30, "to the backhand", 15),
			when(backhand, AtEase, "a wide ball", base, "to the backhand", 55, "to the forehand", 20, "to the elbow", 25),
			when(backhand, Hurried, "a wide ball", base, "to the backhand", 65, "to the elbow", 25, "to the forehand", 10),
			when(shortF, AtEase, "a short serve", base, "short to the forehand", 25, "long push to the backhand", 40, "flick to the forehand", 15, "flick to the backhand", 20),
			when(shortB, AtEase, "a short serve", base, "short to the backhand", 25, "long push to the backhand", 35, "flick to the forehand", 15, "flick to the backhand", 25),
			when(shortF, Hurried, "a spun short serve", base, "long push to the backhand", 60, "short to the forehand", 40),
			when(shortB, Hurried, "a spun short serve", base, "long push to the backhand", 55, "short to the backhand", 45),
			when(middle, AtEase, "a long push", base, "fast to the backhand", 40, "fast to the forehand", 30, "fast to the elbow", 30),
			when(farF, Hurried, "your fast ball", base, "lob", 50, "to the forehand", 35, "to the backhand", 15),
			when(farB, Hurried, "your fast ball", base, "lob", 55, "to the backhand", 35, "to the forehand", 10),
		),
	}
}
