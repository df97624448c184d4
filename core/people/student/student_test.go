package student_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func TestCheck(t *testing.T) {
	p := student.Profile{Name: "Ida", Age: student.Eight, Sport: court.Tennis, Level: student.Orange}
	require.NoError(t, p.Check())
	p.Sport = court.Squash
	require.ErrorContains(t, p.Check(), "ball stages belong to tennis")
	p.Sport, p.Name = court.Tennis, "  "
	require.ErrorContains(t, p.Check(), "needs a name")
	require.True(t, student.Eight.Growing())
	require.False(t, student.Adult.Growing())
}
