package playerfit_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/golden"
)

// TestHowTheLibrarySuits: what every ninth drill is for somebody of another level, who has done something at it, and
// what becomes of it when its goal or its target is fitted to them.
func TestHowTheLibrarySuits(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	s := coach.Default()
	for i, stored := range library.All() {
		if i%9 != 4 {
			continue
		}
		d := stored.Document
		levels := student.LevelsFor(d.Sport)
		hand := []student.Hand{student.RightHand, student.LeftHand}[i%2]
		player := d.PlayerFor(levels[i%len(levels)], hand)
		d = d.For(hand)
		turn, err := simulation.Run(t.Context(), d, player, s)
		if err != nil {
			t.Fatal(d.Name, err)
		}
		evidence := make([]playerfit.Evidence, len(d.Measures))
		for k, m := range d.Measures {
			e := counted(t, d, player, levels[i%len(levels)], 1, 12, 8+i%7)
			if _, ok := d.Aimed(m); ok {
				e.Landings = []court.Point{{X: 0.3, Y: -0.4}, {X: -0.6, Y: 0.2}, {X: 0.1, Y: 0.9}, {X: -0.2, Y: -1.1}}[:i%5]
				e.Zones = []odds.Zone{{Left: -0.5, Right: 0.5, Bottom: -0.5, Top: 0.5, Count: i % 4}}
			}
			evidence[k] = e
		}
		fit, err := playerfit.For(t.Context(), d, turn, evidence, 1+i%4, s)
		if err != nil {
			t.Fatal(d.Name, err)
		}
		fmt.Fprintf(&b, "%s, %s %s\n", d.Name, levels[i%len(levels)], hand)
		for k, m := range fit.Measures {
			fmt.Fprintf(&b, "   %d: %d %s, %s; %s\n", m.Number, m.Attempts, m.Word, golden.Line(t, m.Rates, 3), m.Why)
			for n, ball := range m.Balls {
				if n < 3 {
					fmt.Fprintln(&b, "     ", golden.Line(t, ball, 3))
				}
			}
			for n, goal := range m.Goals {
				fmt.Fprintf(&b, "      %.3f %s %s", goal.Rate, golden.Line(t, goal.Clock, 2), goal.Why)
				if goal.Answer != nil {
					fmt.Fprintf(&b, "%s", golden.Line(t, goal.Answer, 2))
				}
				q := playerfit.Ask(
					d,
					d.Measures[k],
					d.Measures[k].Goals[n],
					m.Rates,
					simulation.StrokeGap(d, turn.Timeline),
					1+i%4,
					s,
				)
				q = playerfit.Planned(q, d, d.Measures[k], 2, 200)
				tries, one, many := playerfit.Tries(q, d, d.Measures[k])
				fmt.Fprintln(&b, ";", tries, one, many, q.Balls, fmt.Sprintf("%.1f", q.Seconds))
			}
			if m.Target != nil {
				fmt.Fprintln(&b, "     ", golden.Line(t, m.Target, 2))
			}
		}
		fmt.Fprintln(&b, "  ", golden.Line(t, fit.Metrics, 2))
		for _, want := range []playerfit.AdaptRequest{
			{Minutes: 6}, {Hit: 0.5}, {Errors: 0.2}, {Measure: 2, Minutes: 3}, {Measure: 1, Goal: 1, Minutes: 4}, {},
		} {
			after, told, err := playerfit.Adapt(t.Context(), d, want, evidence, player, 2, s)
			said := told.String()
			if err != nil {
				said = invalid.Sentence(err)
			}
			fmt.Fprintf(&b, "   %s: %s %s\n", golden.Line(t, want, 2), said, golden.Line(t, after.Measures[0].Target, 2))
		}
	}
	golden.Same(t, "suits.txt", b.String())
}

// TestWhatPractisingSays by hand: only the like speaks for the like, and only the own drill's measure for itself.
func TestWhatPractisingSays(t *testing.T) {
	t.Parallel()
	now := time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)
	m := library.All()[0].Document.Measures[0]
	row := func(student int, drill string, measure int, unit score.Unit, made, of int) playerfit.Practice {
		return playerfit.Practice{Student: student, Drill: drill, Measure: measure,
			At: now.Add(-48 * time.Hour), Unit: unit, Count: tally.Count{Made: made, Balls: of}}
	}
	list := playerfit.Practised([]playerfit.Practice{
		row(
			0,
			"it",
			m.Number,
			score.Ball,
			3,
			5,
		),
		row(0, "it", m.Number+1, score.Ball, 4, 6),
		row(1, "it", m.Number, score.Point, 2, 9),
		row(1, "other", 1, score.Sequence, 7, 7),
		row(1, "other", 1, score.Point, 1, 2),
	}, 3, "it", m, now)
	var b strings.Builder
	for _, each := range list {
		fmt.Fprintln(&b, golden.Line(t, each, 2))
	}
	zones := playerfit.Zoned(nil, []tally.Zoned{{Zone: court.Zone{Left: 0, Right: 1, Bottom: 2, Top: 3}, Balls: 2},
		{Zone: court.Zone{Left: 0, Right: 1, Bottom: 3, Top: 4}, Balls: 5}}, court.Point{X: 0.5, Y: 2})
	zones = playerfit.Zoned(zones, []tally.Zoned{{Zone: court.Zone{Left: 0, Right: 1, Bottom: 2, Top: 3}, Balls: 4}},
		court.Point{X: 0.5, Y: 2})
	fmt.Fprintln(&b, golden.Line(t, zones, 2))
	golden.Same(t, "practised.txt", b.String())
}
