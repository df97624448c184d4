package working_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/working"
)

func TestADrumNamesItsWorking(t *testing.T) {
	d := working.NewDrum("Balls", 24, "24", "balls", working.Working{Formula: "turns × balls", Source: working.OwnArithmetic})
	require.Equal(t, "Balls", d.Working.Figure)
	require.Equal(t, "24 balls", d.Working.Value)
	require.Equal(t, "turns × balls", d.Working.Formula)
}
