package library_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/footwork"
	"hodometer/core/library"
	"hodometer/core/simulation"
	"hodometer/core/student"
	"hodometer/internal/sample"
)

// at is a drill at another gap, the gaps of single tasks changed by the same share.
func atGap(d drill.Document, gap float64) drill.Document {
	d = d.Clone()
	share := gap / d.Pattern.Gap
	d.Pattern.Gap = gap
	for i := range d.Pattern.Tasks {
		d.Pattern.Tasks[i].Gap *= share
	}
	return d
}

// R10: at the fastest gap the player is back where the pattern wants them when the next ball is struck, turn after turn. R1:
// from there on no longer gap makes any ball harder.
func TestTheFastestGapCanBeKeptUp(t *testing.T) {
	kept := 0
	for _, stored := range library.All() {
		for _, level := range []student.Level{student.Improver, student.Club, student.Tournament} {
			d := stored.Document
			if d.Pattern.Rally != nil || d.Pattern.OneBall() || d.Pattern.Ends == feed.ByTheClock || len(d.Pattern.Repeats) > 0 || d.Pattern.Back != "" {
				continue
			}
			player := d.PlayerFor(level, student.RightHand)
			run := func(gap float64) footwork.Timeline {
				s, err := simulation.Run(t.Context(), atGap(d, gap), player, coach.Default())
				require.NoError(t, err)
				return s.Timeline
			}
			first, err := simulation.Run(t.Context(), d, player, coach.Default())
			require.NoError(t, err)
			gap := first.Fastest[2].Gap // within a stretch
			if gap == nil || *gap <= 0.5 {
				continue
			}
			kept++
			c, err := court.Find(d.Court)
			require.NoError(t, err)
			home := map[int]court.Point{}
			for _, kind := range []drill.PlaceKind{drill.Start, drill.Recovery} {
				if place, ok := d.Place(kind); ok {
					home[0], err = c.Resolve(place.Mark)
					require.NoError(t, err)
				}
			}
			line := run(*gap)
			for i, m := range line.Interceptions {
				if i == 0 || d.Pattern.Tasks[line.Interceptions[i-1].Task].Recover != nil || m.Sequence != line.Interceptions[i-1].Sequence || m.Player != 0 || d.Pattern.MethodOf(d.Pattern.Tasks[m.Task]) == feed.SelfDrop {
					continue
				}
				require.Less(t, m.From.Distance(home[0]), 0.06, "%s, %s, task %d at %.1f s", d.Name, level, i+1, *gap)
			}
			if d.Pattern.Varies() {
				continue
			}
			for _, share := range []float64{1.1, 1.5, 2.5} {
				longer := run(*gap * share)
				for i, m := range line.Interceptions {
					require.False(t, longer.Interceptions[i].Verdict.Worse(m.Verdict), "%s, %s, task %d at %.1f s × %g", d.Name, level, i+1, *gap, share)
				}
			}
		}
	}
	require.Greater(t, kept, 60)
}

// Who does not have to get back all the way can be fed faster, and runs less.
func TestHalfTheWayBackIsFaster(t *testing.T) {
	d := sample.Drill(t, "Both Verges")
	run := func(back feed.Back) (gap, metres float64) {
		d := d.Clone()
		d.Pattern.Back = back
		s, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
		require.NoError(t, err)
		require.NotNil(t, s.Fastest[2].Gap)
		return *s.Fastest[2].Gap, s.Metres[0]
	}
	all, far := run(feed.AllTheWay)
	half, near := run(feed.HalfWay)
	require.Less(t, half, all)
	require.Less(t, near, far)
}

// Every drill of the library is fed no faster than it can be kept up by the level it is written for.
func TestTheLibraryCanBeKeptUp(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		s, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		if len(s.Fastest) > 0 && s.Fastest[2].Gap != nil {
			require.LessOrEqual(t, *s.Fastest[2].Gap, d.Pattern.Gap+1e-9, "%s: %s", d.Name, s.Fastest[2].First)
		}
	}
}
