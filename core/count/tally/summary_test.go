package tally_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/sport/court"
)

// at is a second of an afternoon.
func at(second int) time.Time {
	return time.Date(2026, 3, 10, 16, 0, second, 0, time.UTC)
}

// TestWhatSeveralDevicesCountedIsSummedUp by hand: two devices, of which one undoes.
func TestWhatSeveralDevicesCountedIsSummedUp(t *testing.T) {
	t.Parallel()
	left := court.Zone{Name: "left", Left: -4, Right: 0, Bottom: 8, Top: 12}
	right := court.Zone{Name: "right", Left: 0, Right: 4, Bottom: 8, Top: 12}
	first := []tally.Entry{
		{Seq: 3, Kind: tally.Fault, Fault: "late", At: at(9)},
		{Seq: 0, Kind: tally.Made, At: at(1), Zone: &left},
		{Seq: 1, Kind: tally.Missed, At: at(2), Miss: tally.Long, Zone: &right},
		{Seq: 2, Kind: tally.Made, At: at(3), Landing: &court.Point{X: 1, Y: 9}, Choice: tally.RightChoice},
		{Seq: 4, Kind: tally.Fault, Fault: "elbow", At: at(5)},
		{Seq: 5, Kind: tally.Made, At: at(20)},
		{Seq: 6, Kind: tally.Undo, At: at(21)},
	}
	second := []tally.Entry{
		{Seq: 0, Kind: tally.Undo, At: at(1)}, // of nothing
		{Seq: 1, Kind: tally.Missed, At: at(4), Zone: &left, Choice: tally.WrongChoice, Miss: tally.Wide},
		{Seq: 2, Kind: tally.Fault, Fault: "late", At: at(6)},
		{Seq: 3, Kind: tally.Missed, At: at(7), Miss: tally.IntoNet, Landing: &court.Point{X: 1, Y: 2}},
	}
	require.Equal(t, tally.Summary{
		Count:  tally.Count{Made: 2, Balls: 5, Best: 1, Right: 1, Wrong: 1, Net: 1, Long: 1, Wide: 1, Taps: 5},
		Zones:  []tally.Zoned{{Zone: left, Balls: 2}, {Zone: right, Balls: 1}},
		Faults: []tally.Seen{{Fault: "elbow", Times: 1}, {Fault: "late", Times: 2}},
		Landed: 2, Last: at(9),
	}, tally.Summarise(first, second))
	require.Equal(t, tally.Summary{}, tally.Summarise())
	require.Equal(t, []court.Point{{X: 1, Y: 9}}, tally.Landings(first))
	require.Equal(t, tally.CountOf(tally.InOrder(first, second)), tally.Fold(first, second))

	seen := tally.AddSeen([]tally.Seen{{Fault: "late", Times: 2}}, tally.Seen{Fault: "elbow", Times: 1},
		tally.Seen{Fault: "late", Times: 3})
	require.Equal(t, []tally.Seen{{Fault: "late", Times: 5}, {Fault: "elbow", Times: 1}}, seen)
}

// TestTheKindsOfWhatIsCounted: what one of each does to a count, after two that were made.
func TestTheKindsOfWhatIsCounted(t *testing.T) {
	t.Parallel()
	for kind, c := range map[string]struct {
		entry tally.Entry
		want  tally.Count
	}{
		"made":    {tally.Entry{Kind: tally.Made}, tally.Count{Made: 3, Balls: 3, Streak: 3, Best: 3, Taps: 3}},
		"missed":  {tally.Entry{Kind: tally.Missed}, tally.Count{Made: 2, Balls: 3, Best: 2, Taps: 3}},
		"again":   {tally.Entry{Kind: tally.Again}, tally.Count{Made: 2, Balls: 2, Streak: 2, Best: 2, Taps: 3}},
		"time up": {tally.Entry{Kind: tally.TimeUp}, tally.Count{Made: 2, Balls: 2, Streak: 2, Best: 2, Taps: 3}},
		"fault":   {tally.Entry{Kind: tally.Fault}, tally.Count{Made: 2, Balls: 2, Streak: 2, Best: 2, Taps: 2}},
		"a clean turn": {
			tally.Entry{Kind: tally.Turn, Made: 4, Of: 4}, tally.Count{Made: 6, Balls: 6, Streak: 6, Best: 6, Taps: 3},
		},
		"a turn with misses": { // 8 of 10: at least 3 in a row, whatever the order
			tally.Entry{Kind: tally.Turn, Made: 8, Of: 10},
			tally.Count{Made: 10, Balls: 12, Best: 3, AtLeast: true, Taps: 3},
		},
		"a turn without a make": {
			tally.Entry{Kind: tally.Turn, Of: 3}, tally.Count{Made: 2, Balls: 5, Best: 2, Taps: 3},
		},
		"a rally": {
			tally.Entry{Kind: tally.Rally, Strokes: 5},
			tally.Count{Made: 7, Balls: 8, Best: 7, Rallies: 1, Longest: 5, Taps: 3},
		},
		"a rally that was stopped": {
			tally.Entry{Kind: tally.Rally, Strokes: 5, Stopped: true},
			tally.Count{Made: 7, Balls: 7, Streak: 7, Best: 7, Rallies: 1, Longest: 5, Taps: 3},
		},
		"a try": {
			tally.Entry{Kind: tally.Timed, Seconds: 41.5},
			tally.Count{Made: 2, Balls: 2, Streak: 2, Best: 2, Tries: 1, Fastest: 41.5, Taps: 3},
		},
	} {
		two := []tally.Entry{{Kind: tally.Made}, {Seq: 1, Kind: tally.Made}}
		c.entry.Seq = 2
		require.Equal(t, c.want, tally.CountOf(append(two, c.entry)), kind)
	}
	runs := tally.CountOf([]tally.Entry{
		{Kind: tally.Timed, Seconds: 42}, {Kind: tally.Timed, Seconds: 40}, {Kind: tally.Timed, Seconds: 41},
		{Kind: tally.Rally, Strokes: 9}, {Kind: tally.Rally, Strokes: 4},
	})
	require.Equal(t, []any{3, 40.0, 2, 9}, []any{runs.Tries, runs.Fastest, runs.Rallies, runs.Longest})
	misses := tally.Count{Made: 4, Balls: 10, Net: 1, Long: 2, Wide: 3}
	require.Equal(t, []int{6, 1, 2, 3, 6}, []int{
		misses.Missed(), misses.Of(tally.IntoNet), misses.Of(tally.Long), misses.Of(tally.Wide), misses.Of(""),
	})
}

// TestTheBoundsOfAnEntry: the last that is let in, and the first that is not, and where that is said.
func TestTheBoundsOfAnEntry(t *testing.T) {
	t.Parallel()
	day := func(year int) time.Time { return time.Date(year, 6, 1, 12, 0, 0, 0, time.UTC) }
	for _, c := range []struct {
		in, out tally.Entry
		path    string
	}{
		{tally.Entry{Kind: tally.Made, At: day(2000)}, tally.Entry{Kind: tally.Made, At: day(1999)}, "at"},
		{tally.Entry{Kind: tally.Made, At: day(2099)}, tally.Entry{Kind: tally.Made, At: day(2100)}, "at"},
		{tally.Entry{Kind: tally.Made}, tally.Entry{Seq: -1, Kind: tally.Made}, "seq"},
		{tally.Entry{Kind: tally.Turn, Of: 1}, tally.Entry{Kind: tally.Turn}, "of"},
		{tally.Entry{Kind: tally.Turn, Of: 2, Made: 2}, tally.Entry{Kind: tally.Turn, Of: 2, Made: 3}, "made"},
		{tally.Entry{Kind: tally.Turn, Of: 2}, tally.Entry{Kind: tally.Turn, Of: 2, Made: -1}, "made"},
		{tally.Entry{Kind: tally.Rally, Strokes: 3}, tally.Entry{Kind: tally.Made, Strokes: 3}, "strokes"},
		{tally.Entry{Kind: tally.Rally, Stopped: true}, tally.Entry{Kind: tally.Made, Stopped: true}, "strokes"},
		{tally.Entry{Kind: tally.Rally}, tally.Entry{Kind: tally.Rally, Strokes: -1}, "strokes"},
		{tally.Entry{Kind: tally.Timed, Seconds: 3600}, tally.Entry{Kind: tally.Timed, Seconds: 3600.1}, "seconds"},
		{tally.Entry{Kind: tally.Timed, Seconds: 0.1}, tally.Entry{Kind: tally.Timed}, "seconds"},
		{tally.Entry{Kind: tally.Made}, tally.Entry{Kind: tally.Made, Seconds: 5}, "seconds"},
		{tally.Entry{Kind: tally.Made}, tally.Entry{Kind: tally.Made, Seconds: -5}, "seconds"},
		{tally.Entry{Kind: tally.Fault, Fault: "late"}, tally.Entry{Kind: tally.Fault}, "fault"},
		{tally.Entry{Kind: tally.Made}, tally.Entry{Kind: tally.Made, Fault: "late"}, "fault"},
		{
			tally.Entry{Kind: tally.Missed, Choice: tally.RightChoice},
			tally.Entry{Kind: tally.Rally, Choice: tally.RightChoice}, "choice",
		},
		{
			tally.Entry{Kind: tally.Made, Choice: tally.WrongChoice},
			tally.Entry{Kind: tally.Again, Choice: tally.WrongChoice}, "choice",
		},
		{tally.Entry{Kind: tally.Missed, Miss: tally.Long}, tally.Entry{Kind: tally.Made, Miss: tally.Long}, "miss"},
		{
			tally.Entry{Kind: tally.Made, Landing: &court.Point{X: 60, Y: -60}},
			tally.Entry{Kind: tally.Made, Landing: &court.Point{X: 60.1}}, "landing",
		},
		{
			tally.Entry{Kind: tally.Missed, Landing: &court.Point{}},
			tally.Entry{Kind: tally.Missed, Landing: &court.Point{Y: 60.1}}, "landing",
		},
		{tally.Entry{Kind: tally.Again}, tally.Entry{Kind: tally.Again, Landing: &court.Point{}}, "landing"},
		{
			tally.Entry{Kind: tally.Made, Zone: &court.Zone{Right: 1, Top: 1}},
			tally.Entry{Kind: tally.Made, Zone: &court.Zone{Left: 1, Top: 1}}, "zone",
		},
		{
			tally.Entry{Kind: tally.Missed, Zone: &court.Zone{Right: 1, Top: 1}},
			tally.Entry{Kind: tally.Turn, Of: 1, Zone: &court.Zone{Right: 1, Top: 1}}, "zone",
		},
		{
			tally.Entry{Kind: tally.Made, Landing: &court.Point{}},
			tally.Entry{Kind: tally.Made, Landing: &court.Point{}, Zone: &court.Zone{Right: 1, Top: 1}}, "zone",
		},
	} {
		for _, e := range []*tally.Entry{&c.in, &c.out} {
			if e.At.IsZero() {
				e.At = at(0)
			}
		}
		require.NoError(t, c.in.Check(), "%+v", c.in)
		require.ErrorContains(t, c.out.Check(), c.path+":", "%+v", c.out)
	}
}
