package footwork_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestPlayersAndTheirWays: what a player of every sport, age and level is taken for, how far and how quickly they run,
// how quick timed runs say they are, and ways round things.
func TestPlayersAndTheirWays(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, sport := range sports.All() {
		for i, level := range student.LevelsFor(sport.Name) {
			for k, age := range student.AgeBand("").Enum() {
				if (i+k)%3 > 0 {
					continue
				}
				hand := []student.Hand{student.RightHand, student.LeftHand}[k%2]
				p := footwork.For(sport.Name, age.(student.AgeBand), level, hand, student.TwoHanded)
				fmt.Fprintf(&b, "%s %s %s: %s; 0.5 m %.3f s, 6 m %.3f s, in 1 s %.3f m\n", sport.Name, level, age,
					golden.Line(t, p, 3), p.Seconds(0.5), p.Seconds(6), p.Metres(1))
			}
		}
		var timed []student.TimedRun
		for n, kind := range student.RunKind("").Enum() {
			timed = append(
				timed,
				student.TimedRun{Kind: kind.(student.RunKind), Seconds: 2.4 + 2.2*float64(n), On: "2026-02-11"},
			)
			profile := student.Profile{Name: "Ada", Sport: sport.Name, Age: student.Adult, Level: student.Club, Timed: timed}
			quick := footwork.QuicknessOf(profile, time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC))
			fmt.Fprintln(&b, "  ", golden.Line(t, quick, 3))
		}
	}
	for i := range 6 {
		x := float64(i)
		route := footwork.ShortestRoute(court.Point{X: -3, Y: x}, court.Point{X: 3, Y: -1}, []footwork.Obstacle{
			{At: court.Point{X: 0, Y: 0.3 * x}, Width: 0.5 + 0.1*x}, {At: court.Point{X: 1, Y: -0.5}, Width: 0.4},
		}[:i%3])
		fmt.Fprintln(&b, golden.Line(t, route, 3), golden.Line(t, route.After(2), 3))
	}
	golden.Same(t, "players.txt", b.String())
}

// TestTheFeetOfTheLibrary: where and when each ball of every third drill is met, with which wing, and what each live
// player runs.
func TestTheFeetOfTheLibrary(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	levels := []student.Level{student.Beginner, student.Club, student.Tournament}
	for i, stored := range library.All() {
		if i%3 > 0 {
			continue
		}
		d := stored.Document
		hand := []student.Hand{student.LeftHand, student.RightHand}[i%2]
		turn, err := simulation.Run(t.Context(), d, d.PlayerFor(levels[i%len(levels)], hand), coach.Default())
		if err != nil {
			t.Fatal(d.Name, err)
		}
		line := turn.Timeline
		fmt.Fprintf(&b, "%s, %s: %.2f s, %s; %v\n", d.Name, hand, line.Seconds, line.Worst, turn.Problems)
		for k, met := range line.Interceptions {
			if k%3 == i%2 {
				fmt.Fprintln(&b, "  ", golden.Line(t, met, 2))
			}
		}
		fmt.Fprintln(&b, "  ", golden.Line(t, turn.Tempos, 2))
		fmt.Fprintln(&b, "  ", golden.Line(t, turn.Runs, 2))
	}
	golden.Same(t, "feet.txt", b.String())
}
