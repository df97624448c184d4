package report_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
	"hodometer/internal/sample"
)

func TestReportSaysWhatACoachSays(t *testing.T) {
	s := coach.Default()
	s.Units = units.Feet
	r, err := report.Of(sample.Coin().Document, 1, s)
	require.NoError(t, err)
	// Common practice, no source (T1).
	require.Equal(
		t,
		"circle within 4 ft 6 in of the mark: 6 ft 6 in inside the far baseline, 4 ft 6 in inside the left singles sideline",
		r.Measures[0].Aim,
	)
	require.Equal(t, "5 made in all", r.Measures[0].Goal)
	require.InDelta(t, 3.5, r.Feeds[1].Release, 1e-12)
}
