package footwork_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
)

func TestRunningTimes(t *testing.T) {
	p := footwork.Player{Speedup: 4, Top: 6}
	// By hand: 2 m from rest at 4 m/s² take 1 s; the top speed is reached after 4.5 m and 1.5 s.
	require.InDelta(t, 1, p.Seconds(2), 1e-12)
	require.InDelta(t, 1.5+1, p.Seconds(4.5+6), 1e-12)
	require.Zero(t, p.Seconds(0))
	long.Check(t, func(t *rapid.T) {
		d := rapid.Float64Range(0, 40).Draw(t, "metres")
		require.InDelta(t, d, p.Metres(p.Seconds(d)), 1e-9)
		require.Greater(t, p.Seconds(d+0.1), p.Seconds(d))
	})
}

func TestPlayersByAgeAndLevel(t *testing.T) {
	of := func(age student.AgeBand, level student.Level) footwork.Player {
		return footwork.For(court.Tennis, age, level, student.RightHand, student.TwoHanded)
	}
	adult, child := of(student.Adult, student.Club), of(student.Under8, student.Red)
	require.Greater(t, child.Seconds(5), adult.Seconds(5))
	require.Greater(t, child.Reaction, adult.Reaction)
	require.Less(t, child.LungeReach, adult.LungeReach)
	require.Less(t, of(student.Adult, student.Tournament).Seconds(5), adult.Seconds(5))
}

// From 5 m to 10 m of a standing sprint adults are known at 0.65 to 0.85 s, players of 12 to 16 years at 0.75 to 0.95 s
// (Ulbricht et al., J. Strength Cond. Res. 30 (2016) 989, from memory); who has just begun is not among them.
func TestRunnersAreAsQuickAsPeopleAre(t *testing.T) {
	for _, level := range []student.Level{student.Improver, student.Club, student.Tournament} {
		for age, known := range map[student.AgeBand][2]float64{student.Adult: {0.65, 0.85}, student.Eleven: {0.75, 0.95},
			student.Fourteen: {0.75, 0.95}} {
			p := footwork.For(court.Tennis, age, level, student.RightHand, student.TwoHanded)
			split := p.Seconds(10) - p.Seconds(5)
			require.Greater(t, split, known[0], "%s, %s", level, age)
			if level != student.Improver || age != student.Adult {
				require.Less(t, split, known[1], "%s, %s", level, age)
			}
			require.InDelta(t, 1.25, p.Seconds(5), 0.25, "and five metres from rest take about a second and a quarter")
		}
	}
}

func TestTheWayRoundAnObstacle(t *testing.T) {
	a, b := court.Point{Y: -4}, court.Point{Y: 4}
	o := footwork.Obstacle{Width: 1.4} // a metre to each side with the shoulders
	// Two tangents of √(4²−1²) and an arc of π − 2·arccos(1/4).
	want := 2*math.Sqrt(15) + (math.Pi-2*math.Acos(0.25))*1
	require.InDelta(t, want, footwork.ShortestRoute(a, b, []footwork.Obstacle{o}).Length, 0.02)

	o.At.X = 1.2 // the straight way just misses it
	require.InDelta(t, 8, footwork.ShortestRoute(a, b, []footwork.Obstacle{o}).Length, 1e-9)
	o.Round = footwork.OnTheLeft
	require.InDelta(
		t,
		8,
		footwork.ShortestRoute(a, b, []footwork.Obstacle{o}).Length,
		1e-9,
		"it is passed on the left already",
	)
	o.Round = footwork.OnTheRight
	wide := footwork.ShortestRoute(a, b, []footwork.Obstacle{o})
	require.Greater(t, wide.Length, 9.0, "the forced wide way")
	require.Greater(t, wide.After(wide.Length/2).X, 2.0)
	require.InDelta(
		t,
		wide.Length,
		footwork.ShortestRoute(b, a, []footwork.Obstacle{{At: o.At, Width: 1.4, Round: footwork.OnTheLeft}}).Length,
		1e-9,
		"back on the same side is the other hand's",
	)
}

// TestNoShorterWay compares with many ways through a grid of places beside the obstacle.
func TestNoShorterWay(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		place := func(name string) court.Point {
			return court.Point{X: rapid.Float64Range(-5, 5).Draw(t, name+" x"), Y: rapid.Float64Range(-6, 6).Draw(t, name+" y")}
		}
		a, b, o := place(
			"a",
		), place(
			"b",
		), footwork.Obstacle{
			At:    place("o"),
			Width: rapid.Float64Range(0.2, 2).Draw(t, "width"),
		}
		r := o.Width/2 + 0.3
		if a.Distance(o.At) <= r || b.Distance(o.At) <= r {
			return
		}
		route := footwork.ShortestRoute(a, b, []footwork.Obstacle{o})
		require.GreaterOrEqual(t, route.Length, a.Distance(b)-1e-9)
		for i := range 100 {
			at := route.After(route.Length * float64(i) / 100)
			require.Greater(t, at.Distance(o.At), r-0.02, "it never runs into it")
		}
		free := func(p, q court.Point) bool {
			for i := range 101 {
				s := float64(i) / 100
				if (court.Point{X: p.X + s*(q.X-p.X), Y: p.Y + s*(q.Y-p.Y)}).Distance(o.At) < r {
					return false
				}
			}
			return true
		}
		for i := range 72 {
			sin, cos := math.Sincos(float64(i) * math.Pi / 36)
			via := court.Point{X: o.At.X + 1.3*r*cos, Y: o.At.Y + 1.3*r*sin}
			if free(a, via) && free(via, b) {
				require.LessOrEqual(t, route.Length, a.Distance(via)+via.Distance(b)+0.03)
			}
		}
	})
}

func TestRoundTwoObstacles(t *testing.T) {
	obstacles := []footwork.Obstacle{{At: court.Point{Y: -1}, Width: 0.8}, {At: court.Point{X: 0.3, Y: 1.5}, Width: 0.8}}
	route := footwork.ShortestRoute(court.Point{Y: -4}, court.Point{Y: 4}, obstacles)
	require.Greater(t, route.Length, 8.0)
	require.Less(t, route.Length, 9.0)
	for i := range 200 {
		at := route.After(route.Length * float64(i) / 200)
		for _, o := range obstacles {
			require.Greater(t, at.Distance(o.At), 0.68)
		}
	}
}

// An obstacle that is in the way out only leaves the way back alone, and the other way round; on both it is run round
// twice.
func TestObstaclesHaveTheirLegs(t *testing.T) {
	metres := func(list ...footwork.Obstacle) float64 {
		d := sideToSide(t, 6)
		d.Pattern.Sequences, d.Obstacles = 1, list
		return line(t, d, clubPlayer).Runners[0].Metres
	}
	o := footwork.Obstacle{At: court.Point{X: 1.4, Y: -12.6}, Width: 0.8}
	free, both := metres(), metres(o)
	o.Leg = footwork.WayOut
	out := metres(o)
	o.Leg = footwork.WayBack
	back := metres(o)
	require.Greater(t, out, free)
	require.Greater(t, back, free)
	require.Greater(t, both, out)
	require.Greater(t, both, back)
}

// By hand: from the left corner of a squash court back to the middle, the obstacle of the right corner lies 2.2 m
// beside the way, and its side is nothing to this run; the own one, 0.65 m beside it, has to be run round on the
// outside: a body passes its middle at 0.45 m, 1.1 m off a way of 4.3 m, which makes two ways of √(2.15² + 1.1²) at
// least.
func TestTheObstacleOfTheOtherCornerIsNotInTheWay(t *testing.T) {
	from, to := court.Point{X: -2.28, Y: -4.55}, court.Point{Y: -0.9}
	at := func(x float64, round footwork.Round) footwork.Obstacle {
		return footwork.Obstacle{At: court.Point{X: x, Y: -2.4}, Width: 0.3, Round: round}
	}
	for _, round := range []footwork.Round{footwork.OnTheLeft, footwork.OnTheRight} {
		metres := footwork.ShortestRoute(from, to, []footwork.Obstacle{at(1.7, round)}).Length
		require.InDelta(t, from.Distance(to), metres, 1e-9)
	}
	wide := footwork.ShortestRoute(from, to, []footwork.Obstacle{at(-1.7, footwork.OnTheLeft)}).Length
	require.InDelta(t, 4.83, wide, 0.06)
	require.InDelta(t, 4.3, footwork.ShortestRoute(from, to, []footwork.Obstacle{at(-1.7, footwork.Either)}).Length, 0.01)
}

// R6: an obstacle never shortens a run, two never less than one, a forced side never less than a free one; to a
// centimetre, since a way leads from corner to corner.
func TestOneMoreObstacleNeverShortens(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		place := func(name string) court.Point {
			return court.Point{X: rapid.Float64Range(-5, 5).Draw(t, name+" x"), Y: rapid.Float64Range(-6, 6).Draw(t, name+" y")}
		}
		a, b := place("a"), place("b")
		var obstacles []footwork.Obstacle
		last := a.Distance(b)
		for range rapid.IntRange(1, 4).Draw(t, "obstacles") {
			o := footwork.Obstacle{At: place("o"), Width: rapid.Float64Range(0.2, 1).Draw(t, "width")}
			free := footwork.ShortestRoute(a, b, append(obstacles, o)).Length
			require.GreaterOrEqual(t, free, last-0.01)
			o.Round = rapid.SampledFrom([]footwork.Round{footwork.Either, footwork.OnTheLeft, footwork.OnTheRight}).
				Draw(t, "round")
			obstacles = append(obstacles, o)
			route := footwork.ShortestRoute(a, b, obstacles)
			require.GreaterOrEqual(t, route.Length, free-0.01)
			last = route.Length
		}
	})
}
