package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// begun is a drill that was begun by pressing a court.
func begun(t *testing.T, on court.ID) drill.Document {
	c, err := sports.Court(on)
	require.NoError(t, err)
	d, err := library.Begun(on, court.Point{X: 0.15 * c.Singles, Y: c.AtDepth(0.7)})
	require.NoError(t, err)
	return d
}

// Work in each depth region for some seconds, from the baseline to the net and back (common practice, no source): by
// hand, three regions are five visits out and back, of as many balls as the gap lets in.
func TestATourGoesThroughEveryRegionOnEveryCourt(t *testing.T) {
	for _, c := range sports.Courts() {
		t.Run(c.Name, func(t *testing.T) {
			s := coach.Default()
			scheme, ok := s.Scheme(c.ID)
			if !ok {
				_, err := begun(t, c.ID).Edited(drill.Edit{Tour: &drill.Tour{Seconds: 20}}, student.RightHand, s)
				require.ErrorContains(t, err, "no depth regions")
				return
			}
			bands, err := scheme.Bands(c, court.FromNet)
			require.NoError(t, err)
			d, err := begun(t, c.ID).Edited(drill.Edit{Tour: &drill.Tour{Seconds: 20, Back: true}}, student.RightHand, s)
			require.NoError(t, err)
			require.Len(t, d.Pattern.Tasks, 2*len(bands)-1)
			require.Len(t, d.Pattern.Repeats, 2*len(bands)-1)
			for i, task := range d.Pattern.Tasks {
				if task.Recover == nil {
					continue
				}
				at, err := c.Resolve(*task.Recover)
				require.NoError(t, err)
				region, err := scheme.RegionOf(c, at, court.FromNet)
				require.NoError(t, err)
				nth := len(bands) - 1 - i
				if nth < 0 {
					nth = -nth
				}
				require.Equal(t, bands[nth].Name, region.Band.Name, "task %d is played from there", i+1)
			}
			if home := d.Pattern.Tasks[0].Recover; home != nil {
				start, _ := d.Place(drill.Start)
				require.Equal(t, *home, start.Mark, "they begin where the first ball is waited for")
			}
			p, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), s)
			require.NoError(t, err)
			require.Empty(t, p.Problems)
			require.NotEqual(t, footwork.OutOfReach, p.Timeline.Worst, p.Verdict)
		})
	}
}

// Three minutes of work are as good as twenty seconds, in a tour and to the corners, with as long a rest.
func TestLongWorkIsNotCutShort(t *testing.T) {
	for _, edit := range []drill.Edit{{Tour: &drill.Tour{Seconds: 180}}, {Corners: &drill.Corners{Seconds: 180}}} {
		d, err := begun(t, "tennis").Edited(edit, student.RightHand, coach.Default())
		require.NoError(t, err)
		require.Greater(t, d.Pattern.TurnSeconds(), 180.0)
	}
}

// Five volleys from each of four depths, in and back out, with one ball (common practice, no source): by hand, seven
// visits of five volleys are 35, each played back.
func TestVolleysFromEachDepthWithOneBall(t *testing.T) {
	d, err := begun(
		t,
		"tennis",
	).Edited(drill.Edit{Tour: &drill.Tour{Stroke: sports.ForehandVolley, Balls: 5, Back: true, OneBall: true}},
		student.RightHand, coach.Default())
	require.NoError(t, err)
	require.True(t, d.Pattern.OneBall())
	require.InDelta(t, 35, d.Pattern.CountTasks(func(_ int, t feed.Task) bool { return t.Player == 0 }), 1e-9)
	require.InDelta(
		t,
		36,
		d.Pattern.CountTasks(func(_ int, t feed.Task) bool { return t.Player == 1 }),
		1e-9,
		"and the drop that starts it",
	)
	require.Equal(t, []int{1, 3, 5, 7, 9, 11, 13}, d.Measures[0].Tasks, "what the volleyer does is counted")
	p, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
	require.NoError(t, err)
	require.Empty(t, p.Problems)
	_, err = d.Edited(drill.Edit{Tour: &drill.Tour{Seconds: 20, OneBall: true}}, student.RightHand, coach.Default())
	require.ErrorContains(t, err, "counted, not timed")
	_, err = d.Edited(drill.Edit{Tour: &drill.Tour{Scheme: "ten depths", Seconds: 20}}, student.RightHand, coach.Default())
	require.ErrorContains(t, err, "no depth regions")
	_, err = d.Edited(drill.Edit{Tour: &drill.Tour{}}, student.RightHand, coach.Default())
	require.ErrorContains(t, err, "how many balls")
}

func TestCornersAtRandomOnTheClock(t *testing.T) {
	for _, c := range sports.Courts() {
		t.Run(c.Name, func(t *testing.T) {
			right, err := begun(
				t,
				c.ID,
			).Edited(drill.Edit{Corners: &drill.Corners{Seconds: 20}}, student.RightHand, coach.Default())
			require.NoError(t, err)
			require.Len(t, right.Pattern.Tasks, 4)
			require.Equal(
				t,
				[]any{feed.Shuffled, feed.ByTheClock, 20.0},
				[]any{right.Pattern.Order, right.Pattern.Ends, right.Pattern.On},
			)
			// The work is in all four quarters.
			quarters := map[[2]bool]bool{}
			for _, task := range right.Pattern.Tasks {
				at, err := c.Resolve(task.Landing)
				require.NoError(t, err)
				quarters[[2]bool{at.X < 0, at.Y < c.AtDepth(0.6)}] = true
			}
			require.Len(t, quarters, 4)
			// Of a left-hander's corners the strokes are the mirrored ones.
			left, err := begun(
				t,
				c.ID,
			).Edited(drill.Edit{Corners: &drill.Corners{Seconds: 20}}, student.LeftHand, coach.Default())
			require.NoError(t, err)
			count := func(d drill.Document) (n int) {
				for _, task := range d.Pattern.Tasks {
					if task.Stroke.OnBackhand() {
						n++
					}
				}
				return n
			}
			require.Equal(t, count(right), count(left))
			listed, err := begun(
				t,
				c.ID,
			).Edited(drill.Edit{Corners: &drill.Corners{Listed: true}}, student.RightHand, coach.Default())
			require.NoError(t, err)
			require.Empty(t, listed.Pattern.Order)
		})
	}
}
