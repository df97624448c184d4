package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func pair(t testing.TB, on court.ID) odds.Exchange {
	c, err := sports.Court(on)
	require.NoError(t, err)
	return odds.Exchange{
		World: sports.World(c, ""), Near: c.Length / 2, Far: c.Length / 2, Height: 0.6, Pace: sports.GamePace,
		Rate: 0.95, Seconds: 60, Wanted: 50, Sets: 2, Restart: 4,
	}
}

// The tempo challenge of a pair: 50 balls in 60 s is the bar, 14 sets of two are 28 balls. Common practice,
// no source.
func TestFiftyBallsInAMinute(t *testing.T) {
	t.Parallel()
	e := pair(t, "tennis")
	back, err := e.Answer(t.Context())
	require.NoError(t, err)
	// From baseline to baseline not even game pace is quick enough.
	require.Less(t, back.PerMinute, 50.0)
	require.Zero(t, back.Chance)
	require.Equal(t, back.InTime/2, back.Sets)
	// Half-way between service line and baseline it can be done.
	e.Near, e.Far = 7.5, 7.5
	near, err := e.Answer(t.Context())
	require.NoError(t, err)
	require.Greater(t, near.PerMinute, 50.0)
	require.Greater(t, near.PerMinute, back.PerMinute)
	require.NotNil(t, near.Needed)
	require.LessOrEqual(t, *near.Needed, near.Speed)
	require.Contains(t, near.Sentence, "50 in that time")
	// Steadier players get further, a higher ball makes it slower.
	e.Rate = 1
	sure, err := e.Answer(t.Context())
	require.NoError(t, err)
	require.InDelta(t, 1, sure.Chance, 1e-9)
	require.Greater(t, sure.Expected, near.Expected)
	e.Height = 2
	high, err := e.Answer(t.Context())
	require.NoError(t, err)
	require.Less(t, high.PerMinute, sure.PerMinute)
	// Out of the air is quicker than after the bounce.
	e.Height, e.Volleys, e.Near, e.Far = 0.4, true, 4, 4
	volleys, err := e.Answer(t.Context())
	require.NoError(t, err)
	require.Greater(t, volleys.PerMinute, sure.PerMinute)
}

func TestEverySportWithANetRallies(t *testing.T) {
	t.Parallel()
	for on, height := range map[court.ID]float64{"tennis-red": 1.2, "tennis-orange": 0.6, "pickleball": 0.9,
		"badminton": 1, "table-tennis": 0.15} {
		e := pair(t, on)
		e.Height = height
		if on == "badminton" { // met out of the air, so some way inside the back line
			e.Near, e.Far = 5, 5
		}
		r, err := e.Answer(t.Context())
		require.NoError(t, err, on)
		require.Greater(t, r.PerMinute, 20.0, on)
		require.Less(t, r.PerMinute, 150.0, on)
	}
}

func TestBadExchangesAreAnsweredInWords(t *testing.T) {
	t.Parallel()
	for path, change := range map[string]func(*odds.Exchange){
		"near":   func(e *odds.Exchange) { e.Near = 40 },
		"height": func(e *odds.Exchange) { e.Height = -1 },
		"pace":   func(e *odds.Exchange) { e.Pace = "warp" },
		"rate":   func(e *odds.Exchange) { e.Rate = 0 },
		"wanted": func(e *odds.Exchange) { e.Wanted = 0 },
		"court": func(e *odds.Exchange) {
			c, err := sports.Court("squash")
			require.NoError(t, err)
			e.World = sports.World(c, "")
		},
	} {
		e := pair(t, "tennis")
		change(&e)
		_, err := e.Answer(t.Context())
		var wrong invalid.Fields
		require.ErrorAs(t, err, &wrong, path)
		require.Equal(t, path, wrong[0].Path)
	}
	e := pair(t, "pickleball")
	e.Pace = sports.Gentle
	_, err := e.Answer(t.Context())
	require.ErrorContains(t, err, "it takes")
	_, err = pair(t, "tennis").Answer(cancelled(t))
	require.Error(t, err)
}

// Each figure of an exchange is bounded, and its bounds are good.
func TestHowManyBallsMayBeWanted(t *testing.T) {
	t.Parallel()
	for name, c := range map[string]struct {
		change func(e *odds.Exchange)
		good   bool
	}{
		"one ball":           {func(e *odds.Exchange) { e.Wanted = 1 }, true},
		"none":               {func(e *odds.Exchange) { e.Wanted = 0 }, false},
		"as many as goes":    {func(e *odds.Exchange) { e.Wanted = 1000 }, true},
		"one more":           {func(e *odds.Exchange) { e.Wanted = 1001 }, false},
		"single balls":       {func(e *odds.Exchange) { e.Sets = 1 }, true},
		"no set":             {func(e *odds.Exchange) { e.Sets = 0 }, false},
		"no time":            {func(e *odds.Exchange) { e.Seconds = 0 }, false},
		"at once":            {func(e *odds.Exchange) { e.Restart = 0 }, true},
		"before the miss":    {func(e *odds.Exchange) { e.Restart = -1 }, false},
		"on the net cord":    {func(e *odds.Exchange) { e.Height = 0 }, true},
		"as high as it goes": {func(e *odds.Exchange) { e.Height = 12 }, true},
		"higher":             {func(e *odds.Exchange) { e.Height = 12.1 }, false},
		"in the net":         {func(e *odds.Exchange) { e.Near = 0 }, false},
	} {
		e := pair(t, "tennis")
		c.change(&e)
		require.Equal(t, c.good, e.Check() == nil, name)
	}
}

// What becomes of balls to a place on the near half is what becomes of those to the one across the net.
func TestTheNearHalfIsTheFarOneTurnedRound(t *testing.T) {
	t.Parallel()
	for _, id := range []court.ID{"tennis", "squash", "padel"} {
		c, err := sports.Court(id)
		require.NoError(t, err)
		shares := func(side float64) odds.Shares {
			at := court.Point{X: 0.5, Y: side * 0.35 * c.Length}
			shape, err := c.Shape(court.Ring(1, court.At(at.X, at.Y)), court.Singles)
			require.NoError(t, err)
			ground, err := odds.OnGround(c, shape, court.Singles)
			require.NoError(t, err)
			return ground.Shares(odds.Scatter{Normal: odds.Normal{SX: 1, SY: 2}, Net: 0.05}, at)
		}
		far, near := shares(1), shares(-1)
		require.InDelta(t, far.In, near.In, 1e-4, id)
		require.InDelta(t, far.Long, near.Long, 1e-4, id)
		require.InDelta(t, far.Short, near.Short, 1e-4, id)
		require.InDelta(t, far.Net, near.Net, 1e-4, id)
	}
}
