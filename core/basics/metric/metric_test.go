package metric_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/metric"
)

func TestAMetricNamesItsDerivation(t *testing.T) {
	d := metric.New("Balls", 24, "24", "balls", metric.Derivation{Formula: "turns × balls", Source: metric.OwnArithmetic})
	require.Equal(t, "Balls", d.Derivation.Figure)
	require.Equal(t, "24 balls", d.Derivation.Value)
	require.Equal(t, "turns × balls", d.Derivation.Formula)
}
