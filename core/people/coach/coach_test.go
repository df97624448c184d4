package coach_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/people/coach"
)

func TestDefaultsWork(t *testing.T) {
	s := coach.Default()
	require.Equal(t, units.Metres, s.Units)
	// Common practice, no source.
	require.Equal(t, 60, s.Basket)
	require.InDelta(t, 2.5, s.PickUp, 1e-9)
	require.InDelta(t, 20, s.ChangeOver, 1e-9)
}
