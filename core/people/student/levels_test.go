package student_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func TestLevelsInWords(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		levels []student.Level
		want   string
	}{
		{nil, ""},
		{[]student.Level{student.Club}, "club player"},
		{[]student.Level{student.Club, student.Tournament}, "club and tournament player"},
		{[]student.Level{student.Improver, student.Club}, "improver and club player"},
		{
			[]student.Level{student.Green, student.Beginner, student.Improver, student.Club},
			"green ball, beginner to club player",
		},
		{[]student.Level{student.Red, student.Green, student.Tournament}, "red ball, green ball, tournament player"},
		{student.LevelsFor(court.Tennis), "red to green ball, beginner to tournament player"},
	} {
		require.Equal(t, c.want, student.Spoken(c.levels))
	}
}

// A level among them is none apart, a neighbour one, and a child's stage that ranks as a level is not that level.
func TestHowFarLevelsAreApart(t *testing.T) {
	t.Parallel()
	offered := []student.Level{student.Improver, student.Club}
	require.Zero(t, student.Club.Apart(offered))
	require.InDelta(t, 1, student.Tournament.Apart(offered), 0)
	require.InDelta(t, 0.5, student.Green.Apart(offered), 0)
	require.InDelta(t, 2, student.Red.Apart(offered), 0)
}
