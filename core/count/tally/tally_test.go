package tally_test

import (
	"encoding/json"
	"os"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/tally"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
)

func entries(kinds ...any) []tally.Entry {
	var list []tally.Entry
	for i, k := range kinds {
		e := tally.Entry{Seq: i}
		switch v := k.(type) {
		case tally.Kind:
			e.Kind = v
		case [2]int:
			e.Kind, e.Made, e.Of = tally.Turn, v[0], v[1]
		}
		list = append(list, e)
	}
	return list
}

func TestFold(t *testing.T) {
	const made, missed, undo = tally.Made, tally.Missed, tally.Undo
	for _, c := range []struct {
		name  string
		given []tally.Entry
		want  tally.Count
	}{
		{"nothing yet", nil, tally.Count{}},
		{"made ones in a row", entries(made, made, made), tally.Count{Made: 3, Balls: 3, Streak: 3, Best: 3, Taps: 3}},
		{"a miss ends the streak and keeps the best", entries(made, made, missed, made),
			tally.Count{Made: 3, Balls: 4, Streak: 1, Best: 2, Taps: 4}},
		{"undo takes back the last one", entries(made, missed, undo),
			tally.Count{Made: 1, Balls: 1, Streak: 1, Best: 1, Taps: 1}},
		{"undo twice takes back two", entries(made, made, missed, undo, undo),
			tally.Count{Made: 1, Balls: 1, Streak: 1, Best: 1, Taps: 1}},
		{"undo of nothing is nothing", entries(undo, made), tally.Count{Made: 1, Balls: 1, Streak: 1, Best: 1, Taps: 1}},
		{"a whole turn made lengthens the streak", entries(made, [2]int{5, 5}),
			tally.Count{Made: 6, Balls: 6, Streak: 6, Best: 6, Taps: 2}},
		{"4 of 5 is certain to hold 2 in a row", entries([2]int{4, 5}),
			tally.Count{Made: 4, Balls: 5, Best: 2, AtLeast: true, Taps: 1}},
		{"a ball played again counts for nobody", entries(made, tally.Again, made),
			tally.Count{Made: 2, Balls: 2, Streak: 2, Best: 2, Taps: 3}},
		{"undo takes back a ball played again", entries(made, tally.Again, undo),
			tally.Count{Made: 1, Balls: 1, Streak: 1, Best: 1, Taps: 1}},
		{"a choice is counted apart", []tally.Entry{{Kind: made, Choice: tally.WrongChoice},
			{Seq: 1, Kind: missed, Choice: tally.RightChoice}}, tally.Count{Made: 1, Balls: 2, Best: 1, Right: 1, Wrong: 1,
			Taps: 2}},
		{"0 of 5 hides nothing", entries([2]int{0, 5}), tally.Count{Balls: 5, Taps: 1}},
		{"taps that arrive out of order are put in order", []tally.Entry{{Seq: 2, Kind: made}, {Seq: 0, Kind: made},
			{Seq: 1, Kind: missed}}, tally.Count{Made: 2, Balls: 3, Streak: 1, Best: 1, Taps: 3}},
	} {
		t.Run(c.name, func(t *testing.T) { require.Equal(t, c.want, tally.Fold(c.given)) })
	}
}

func TestTwoDevicesAreCountedTogetherByTime(t *testing.T) {
	at := func(second int) time.Time { return time.Date(2026, 3, 10, 16, 0, second, 0, time.UTC) }
	phone := []tally.Entry{
		{Seq: 0, Kind: tally.Made, At: at(1)},
		{Seq: 1, Kind: tally.Made, At: at(3)},
		{Seq: 2, Kind: tally.Undo, At: at(4)},
	}
	tablet := []tally.Entry{{Seq: 0, Kind: tally.Missed, At: at(0)}, {Seq: 1, Kind: tally.Made, At: at(2)}}
	require.Equal(t, tally.Count{Made: 2, Balls: 3, Streak: 2, Best: 2, Taps: 3}, tally.Fold(phone, tablet))
}

func TestCheck(t *testing.T) {
	at := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	for _, year := range []int{1, 1999, 2100, 9999} {
		require.ErrorContains(
			t,
			tally.Entry{Kind: tally.Made, At: time.Date(year, 6, 1, 0, 0, 0, 0, time.UTC)}.Check(),
			"between the years",
		)
	}
	require.NoError(t, tally.Entry{At: at, Kind: tally.Turn, Made: 4, Of: 5}.Check())
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Turn, Made: 6, Of: 5}.Check(), "made")
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Turn}.Check(), "at least one ball")
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Made, Seq: -1}.Check(), "seq")
	place := &court.Point{X: 2, Y: 9}
	require.NoError(t, tally.Entry{At: at, Kind: tally.Made, Landing: place}.Check())
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Turn, Made: 4, Of: 5, Landing: place}.Check(), "single ball")
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Again, Choice: tally.RightChoice}.Check(), "choice")
	require.ErrorContains(
		t,
		tally.Entry{At: at, Kind: tally.Missed, Landing: &court.Point{X: 900}}.Check(),
		"near the court",
	)
	zone := &court.Zone{Left: 1, Right: 2, Bottom: 8, Top: 10}
	require.NoError(t, tally.Entry{At: at, Kind: tally.Missed, Zone: zone}.Check())
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Again, Zone: zone}.Check(), "single ball")
	require.ErrorContains(t, tally.Entry{At: at, Kind: tally.Made, Zone: zone, Landing: place}.Check(), "not by both")
	require.ErrorContains(
		t,
		tally.Entry{At: at, Kind: tally.Made, Zone: &court.Zone{Left: 2, Right: 1, Bottom: 8, Top: 10}}.Check(),
		"zone",
	)
}

func TestLandingsThatStand(t *testing.T) {
	list := entries(tally.Made, tally.Missed, tally.Undo, [2]int{4, 5}, tally.Missed)
	list[0].Landing, list[1].Landing, list[4].Landing = &court.Point{X: 1}, &court.Point{X: 2}, &court.Point{X: 3}
	require.Equal(t, []court.Point{{X: 1}, {X: 3}}, tally.Landings(list))
	list[0].Zone, list[1].Zone = &court.Zone{Left: 1, Right: 2}, &court.Zone{Left: 5, Right: 6}
	sum := tally.Summarise(list)
	require.Equal(
		t,
		[]tally.Zoned{{Zone: court.Zone{Left: 1, Right: 2}, Balls: 1}},
		sum.Zones,
		"what was taken back counts nowhere",
	)
	require.Equal(t, 2, sum.Landed)
	require.Equal(t, list[4].At, sum.Last)
	require.Equal(t, tally.Fold(list), sum.Count)
	require.Zero(t, tally.Summarise().Last)
}

// The best streak certain in a turn never exceeds what any order of its balls holds.
func TestNoOrderOfATurnHasAShorterBestStreak(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		balls := rapid.SliceOfN(rapid.Bool(), 1, 12).Draw(t, "balls")
		made, best, run := 0, 0, 0
		for _, in := range balls {
			run++
			if !in {
				run = 0
				continue
			}
			made++
			best = max(best, run)
		}
		count := tally.Fold(entries([2]int{made, len(balls)}))
		require.LessOrEqual(t, count.Best, best)
		require.LessOrEqual(t, count.Streak, run)
	})
}

// TestWaitingTapsAreCountedAsThePageCountsThem keeps to the cases that the page's own preview of taps which are not
// answered yet is tested against, too (ui/src/views/courtside/waiting.test.ts).
func TestWaitingTapsAreCountedAsThePageCountsThem(t *testing.T) {
	text, err := os.ReadFile("testdata/waiting.json")
	require.NoError(t, err)
	var cases []struct {
		Name              string
		Answered, Waiting []tally.Entry
		Made, Balls, Taps int
	}
	require.NoError(t, json.Unmarshal(text, &cases))
	require.NotEmpty(t, cases)
	for _, c := range cases {
		all := slices.Concat(c.Answered, c.Waiting)
		for i := range all {
			all[i].Seq = i
		}
		count := tally.Fold(all)
		require.Equal(t, []int{c.Made, c.Balls, c.Taps}, []int{count.Made, count.Balls, count.Taps}, c.Name)
	}
}

// Whatever happens, what one side made the other missed, and taken twice a tap is the same side's again.
func TestTheOtherSideHasItTheOtherWayRound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 30).Draw(t, "taps")
		var own, other []tally.Entry
		for i := range n {
			e := tally.Entry{
				Seq: i,
				Kind: rapid.SampledFrom([]tally.Kind{tally.Made, tally.Missed, tally.Turn, tally.Undo, tally.Again}).
					Draw(t, "kind"),
			}
			if e.Kind == tally.Turn {
				e.Of = rapid.IntRange(1, 9).Draw(t, "of")
				e.Made = rapid.IntRange(0, e.Of).Draw(t, "made")
			}
			require.Equal(t, e, e.ForTheOther().ForTheOther())
			own, other = append(own, e), append(other, e.ForTheOther())
		}
		a, b := tally.Fold(own), tally.Fold(other)
		require.Equal(t, a.Balls, b.Balls)
		require.Equal(t, a.Made, b.Missed())
		require.Equal(t, a.Taps, b.Taps)
	})
}
