package lesson_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestAWarmUpSpeaksTheSport(t *testing.T) {
	for _, c := range sports.Courts() {
		ball := lesson.Starters(c.Sport)[1]
		require.Len(t, ball.Calls, 4)
		for _, call := range ball.Calls {
			if c.Sport != court.Tennis && c.Sport != court.Pickleball {
				require.NotContains(t, call.Text, "Forehand side", c.Name)
			}
			require.NotEmpty(t, call.Text)
		}
		if !c.HasNet() {
			require.NotContains(t, ball.Rotation.Spots[0].Name, "net", "squash has none")
		}
		require.Len(t, ball.Rotation.Spots, 2)
	}
	// What a coach wrote stays, and the block that was offered is left alone.
	own := lesson.Starters("")[1]
	own.Calls[0].Text = "As we do it here"
	spoken := own.In(court.Squash)
	require.Equal(t, "As we do it here", spoken.Calls[0].Text)
	require.NotEqual(t, own.Calls[1].Text, spoken.Calls[1].Text)
	require.Equal(t, "at the net", own.Rotation.Spots[0].Name)
	require.Equal(t, own, own.In(court.Tennis))
}
