package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func ring(t require.TestingT, c court.Court, at court.Point, radius float64) odds.Ground {
	shape, err := c.Shape(court.Ring(radius, court.At(at.X, at.Y)), court.Singles)
	require.NoError(t, err)
	g, err := odds.OnGround(c, shape, court.Singles)
	require.NoError(t, err)
	return g
}

func tennis(t require.TestingT) court.Court {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	return c
}

func TestTheBestAimKeepsErrorsDownWhereItCan(t *testing.T) {
	t.Parallel()
	c := tennis(t)
	corner := court.Point{X: c.Singles/2 - 0.3, Y: c.Length/2 - 0.3}
	_, _, s := drive(t, student.Club, corner)
	g := ring(t, c, corner, 1)
	most := 0.25
	best, err := g.BestAim(t.Context(), s, most)
	require.NoError(t, err)
	require.True(t, best.Within)
	require.LessOrEqual(t, best.Shares.Errors(), most)
	require.Greater(t, g.Shares(s, corner).Errors(), most)
	// No other aim nearby that keeps errors down hits more.
	for dx := -1.0; dx <= 1; dx += 0.1 {
		for dy := -1.0; dy <= 1; dy += 0.1 {
			other := g.Shares(s, court.Point{X: best.At.X + dx, Y: best.At.Y + dy})
			require.True(t, other.Errors() > most || other.In <= best.Shares.In+1e-3)
		}
	}
	wild := s
	wild.SX, wild.SY = 6, 8
	hopeless, err := g.BestAim(t.Context(), wild, 0.05)
	require.NoError(t, err)
	require.False(t, hopeless.Within)
	_, err = g.BestAim(t.Context(), s, 0)
	require.ErrorContains(t, err, "share of errors")
	_, err = g.BestAim(cancelled(t), s, 0.2)
	require.Error(t, err)
}

func TestATargetIsFittedToARate(t *testing.T) {
	t.Parallel()
	c := tennis(t)
	at := court.Point{X: 2, Y: 9}
	_, _, s := drive(t, student.Club, at)
	chance := func(target court.Target) (float64, error) {
		shape, err := c.Shape(target, court.Singles)
		if err != nil {
			return 0, err
		}
		g, err := odds.OnGround(c, shape, court.Singles)
		return g.Shares(s, shape.Centre).In, err
	}
	for _, target := range []court.Target{court.Ring(1, court.At(at.X, at.Y)), court.StripAlong(court.FarBaseline, 1)} {
		fitted, err := odds.FitSize(t.Context(), target, 0.7, chance)
		require.NoError(t, err)
		got, err := chance(fitted)
		require.NoError(t, err)
		require.InDelta(t, 0.7, got, 0.002)
	}
	_, err := odds.FitSize(t.Context(), court.StripAlong(court.FarBaseline, 1), 0.999, chance)
	require.ErrorContains(t, err, "no size of this target")
	_, err = odds.FitSize(t.Context(), court.Target{Kind: court.BoxTarget, Box: c.Boxes[0].ID}, 0.7, chance)
	require.ErrorContains(t, err, "choose a circle")
	_, err = odds.FitSize(t.Context(), court.Ring(1, court.At(0, 9)), 1.2, chance)
	require.ErrorContains(t, err, "neither never nor always")
}

func BenchmarkBestAim(b *testing.B) {
	c := tennis(b)
	corner := court.Point{X: c.Singles/2 - 0.5, Y: c.Length/2 - 0.5}
	_, _, s := drive(b, student.Club, corner)
	g := ring(b, c, corner, 1)
	for b.Loop() {
		if _, err := g.BestAim(b.Context(), s, 0.2); err != nil {
			b.Fatal(err)
		}
	}
}
