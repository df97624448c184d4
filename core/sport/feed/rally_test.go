package feed_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Balls of a usual rally land in the last quarter of the half on every court. By hand: at a table 2.74 m long, 2.5 m of
// 23.77 m are 0.29 m inside the end line, and 1 m of 8.23 m of its 1.525 m 0.19 m inside the side.
func TestAUsualRallyLiesOnItsCourt(t *testing.T) {
	for _, of := range sports.All() {
		for _, played := range of.Courts {
			c := played.Court
			r := feed.UsualRally(c)
			require.Positive(t, r.Deep, c.ID)
			require.Less(t, r.Deep, c.Length/8, c.ID)
			require.Less(t, r.Wide, c.Singles/6, c.ID)
		}
	}
	table, err := sports.Court("table-tennis")
	require.NoError(t, err)
	require.Equal(t, feed.Rally{Near: feed.CrossCourt, Far: feed.CrossCourt, Shots: 10, Deep: 0.29, Wide: 0.19},
		feed.UsualRally(table))
}
