package rotation_test

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/rotation"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Everybody has a place of their own: who plays on the court, opponents on the other half, who waits beside it.
func TestEverybodyIsSomewhere(t *testing.T) {
	forms := map[string]rotation.Form{
		"warm-up": {
			Kind:  rotation.Roles,
			Every: 1,
			Spots: []rotation.Spot{{Name: "at the net"}, {Name: "feeds from the back", Feeds: true}},
		},
		"pickleball": {
			Kind:  rotation.Roles,
			Every: 1,
			Spots: []rotation.Spot{{Name: "at the no-volley line"}, {Name: "feeds from the baseline", Feeds: true}},
		},
		"squash": {
			Kind:  rotation.Roles,
			Every: 1,
			Spots: []rotation.Spot{{Name: "in front of the short line"}, {Name: "feeds from the service box", Feeds: true}},
		},
		"table": {
			Kind:  rotation.Roles,
			Every: 1,
			Spots: []rotation.Spot{{Name: "blocks at the table"}, {Name: "plays topspin"}},
		},
		"two and two": {
			Kind:  rotation.Spots,
			Every: 2,
			Spots: []rotation.Spot{
				{Name: "net, left", Side: "net"},
				{Name: "net, right", Side: "net"},
				{Name: "back, left", Side: "back"},
				{Name: "back, right", Side: "back"},
			},
		},
		"everybody":     {Kind: rotation.Pairs, Every: 4},
		"one and two":   {Kind: rotation.TwoToOne, Every: 4},
		"without words": {Kind: rotation.Spots, Every: 2, Spots: []rotation.Spot{{Name: "A"}, {Name: "B"}, {Name: "C"}}},
	}
	for name, form := range forms {
		for _, c := range sports.Courts() {
			for people := 2; people <= 12; people++ {
				for n, round := range form.Table(people, 24*60, 0).Rounds {
					said := fmt.Sprintf("%s, %d on %s, round %d", name, people, c.Name, n)
					places := form.Places(round, c)
					require.Len(t, places, len(round.Seats))
					at := map[int]court.Point{}
					for i, seat := range round.Seats {
						at[seat.Person] = places[i]
						inside := math.Abs(places[i].X) <= c.Width/2 && math.Abs(places[i].Y) <= c.Length/2
						require.Equal(t, !seat.Waits, inside, said)
						for j := range places[:i] {
							require.Greater(t, math.Hypot(places[i].X-places[j].X, places[i].Y-places[j].Y), 0.02*c.Length, said)
						}
					}
					for _, seat := range round.Seats {
						for _, other := range seat.Against {
							if c.HasNet() {
								require.Negative(t, at[seat.Person].Y*at[other].Y, "%s: over the net", said)
							}
						}
					}
				}
			}
		}
	}
}

// By hand: at the net is nearer to it than at the back, and each one's left is theirs.
func TestPlacesByHand(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	form := rotation.Form{
		Kind:  rotation.Spots,
		Every: 2,
		Spots: []rotation.Spot{
			{Name: "net, left", Side: "net"},
			{Name: "net, right", Side: "net"},
			{Name: "back, left", Side: "back"},
			{Name: "back, right", Side: "back"},
		},
	}
	round := form.Table(4, 120, 0).Rounds[0]
	places := form.Places(round, c)
	spot := map[string]court.Point{}
	for i, seat := range round.Seats {
		spot[seat.Spot] = places[i]
	}
	require.Negative(t, spot["net, left"].X)
	require.Positive(t, spot["net, right"].X)
	require.Positive(t, spot["back, left"].X, "who looks the other way has their left on our right")
	require.Negative(t, spot["back, right"].X)
	require.InDelta(t, -0.12*c.Length, spot["net, left"].Y, 1e-9)
	require.InDelta(t, 0.44*c.Length, spot["back, left"].Y, 1e-9)
}
