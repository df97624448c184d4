package simulation_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/coach"
	"hodometer/core/library"
	"hodometer/core/simulation"
	"hodometer/core/student"
	"hodometer/internal/sample"
)

func TestMetresOfATurn(t *testing.T) {
	wide, err := simulation.WorkOf(t.Context(), sample.Drill(t, "Both Verges"), coach.Default())
	require.NoError(t, err)
	near, err := simulation.WorkOf(t.Context(), sample.Drill(t, "Two Hops Beyond"), coach.Default())
	require.NoError(t, err)
	require.Greater(t, wide.Metres, 15.0)
	require.Less(t, near.Metres, 3.0)
}

// What is planned with is what the drill shows to the player it is written for.
func TestAStrokeOfARallyTakesTheSameEverywhere(t *testing.T) {
	rallies := 0
	for _, stored := range library.All() {
		d := stored.Document
		work, err := simulation.WorkOf(t.Context(), d, coach.Default())
		require.NoError(t, err)
		if d.Pattern.Rally == nil {
			require.Zero(t, work.Stroke, d.Name)
			continue
		}
		rallies++
		seen, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		require.InDelta(t, simulation.StrokeGap(d, seen.Timeline), work.Stroke, 1e-9, d.Name)
		require.InDelta(t, work.Metres, seen.Timeline.Runners[0].Metres, 1e-9, d.Name)
		require.Greater(t, work.Stroke, 0.3, d.Name)
		require.Less(t, work.Stroke, 4.0, d.Name)
	}
	require.Greater(t, rallies, 3)
}

func BenchmarkMetres(b *testing.B) {
	d := sample.Drill(b, "Both Verges")
	for b.Loop() {
		if _, err := simulation.WorkOf(b.Context(), d, coach.Default()); err != nil {
			b.Fatal(err)
		}
	}
}
