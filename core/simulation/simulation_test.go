package simulation_test

import (
	"hodometer/core/coach"
	"hodometer/core/simulation"
	"hodometer/internal/sample"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestMetresOfATurn(t *testing.T) {
	wide, err := simulation.Metres(t.Context(), sample.Drill(t, "Both Verges"), coach.Default())
	require.NoError(t, err)
	near, err := simulation.Metres(t.Context(), sample.Drill(t, "Two Hops Beyond"), coach.Default())
	require.NoError(t, err)
	require.Greater(t, wide, 15.0)
	require.Less(t, near, 3.0)
}

func BenchmarkMetres(b *testing.B) {
	d := sample.Drill(b, "Both Verges")
	for b.Loop() {
		if _, err := simulation.Metres(b.Context(), d, coach.Default()); err != nil {
			b.Fatal(err)
		}
	}
}
