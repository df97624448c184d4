package coach_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// TestWhatBallsAreCarriedIn: baskets, tubes of shuttles and boxes, as usual (common practice, no source) and as the
// coach has them.
func TestWhatBallsAreCarriedIn(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	own := s
	own.Basket, own.Baskets, own.Tube, own.Tubes, own.Box, own.Boxes = 80, 3, 6, 10, 50, 2
	for _, c := range []struct {
		sport      court.Sport
		usual, own coach.Container
		batch      [2]int
		several    string
	}{
		{
			court.Tennis, coach.Container{One: "basket", Many: "baskets", Holds: 60, Has: 2},
			coach.Container{One: "basket", Many: "baskets", Holds: 80, Has: 3}, [2]int{60, 80}, "2 baskets",
		},
		{
			court.Badminton, coach.Container{One: "tube", Many: "tubes", Holds: 12, Has: 8},
			coach.Container{One: "tube", Many: "tubes", Holds: 6, Has: 10}, [2]int{96, 60}, "2 tubes",
		},
		{
			court.TableTennis, coach.Container{One: "box", Many: "boxes", Holds: 100, Has: 1},
			coach.Container{One: "box", Many: "boxes", Holds: 50, Has: 2}, [2]int{100, 50}, "2 boxes",
		},
	} {
		require.Equal(t, c.usual, s.Container(c.sport))
		require.Equal(t, c.own, own.Container(c.sport))
		require.Equal(t, c.batch, [2]int{c.usual.Batch(), c.own.Batch()}, "tubes are used up before anybody picks up")
		require.Equal(t, c.several, c.usual.Of(2))
		require.Equal(t, "1 "+c.usual.One, c.usual.Of(1))
	}
}

// TestTheAirOfACoach: 1.204 kg/m³ at 20 °C at sea level (ISO 2533:1975), less where it is warm or high, and the wind.
func TestTheAirOfACoach(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	require.InDelta(t, 1.204, s.Flown().Density, 0.002)
	require.Equal(t, flight.Vec{}, s.Flown().Wind)
	s.Air = coach.Air{Celsius: 35, Altitude: 1600, Across: 2, Along: -3}
	require.InDelta(t, flight.Density(35, 1600), s.Flown().Density, 0)
	require.Less(t, s.Flown().Density, 1.0)
	require.Equal(t, flight.Vec{X: 2, Y: -3}, s.Flown().Wind)
}

// TestHowSteadyACoachFeeds: half as wild when very steady and 1.7 times when wild; machines and partners are as they
// are. Common practice, no source.
func TestHowSteadyACoachFeeds(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	usual := s.Scatter()
	require.InDelta(t, 0.05, usual[feed.ByHand].Speed, 0)
	require.InDelta(t, 2*math.Pi/180, usual[feed.ByHand].Elevation, 1e-12)
	require.InDelta(t, 1.5*math.Pi/180, usual[feed.ByHand].Azimuth, 1e-12)
	require.InDelta(t, 0.5*math.Pi/180, usual[feed.Machine].Elevation, 1e-12)
	require.InDelta(t, 0.5*math.Pi/180, usual[feed.Machine].Azimuth, 1e-12)
	require.InDelta(t, 2*math.Pi/180, usual[feed.Partner].Elevation, 1e-12)
	require.InDelta(t, 2.2*math.Pi/180, usual[feed.Partner].Azimuth, 1e-12)
	for degree, times := range map[coach.Steadiness]float64{coach.VerySteady: 0.5, coach.Wild: 1.7} {
		s.Feeding = degree
		for method, scatter := range s.Scatter() {
			if method == feed.Machine || method == feed.Partner || method == feed.Live {
				require.Equal(t, usual[method], scatter, "%s", method)
				continue
			}
			require.InDelta(t, times*usual[method].Speed, scatter.Speed, 1e-12, "%s", method)
			require.InDelta(t, times*usual[method].Elevation, scatter.Elevation, 1e-12, "%s", method)
			require.InDelta(t, times*usual[method].Azimuth, scatter.Azimuth, 1e-12, "%s", method)
		}
	}
}

// TestWhatIsWrongWithSettings, by field.
func TestWhatIsWrongWithSettings(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	require.NoError(t, s.Check())
	s.Collections = []coach.Collection{{Name: "Mine"}, {Name: "Ours"}}
	s.Schemes = []court.Scheme{sports.Regions()[0]}
	s.Likely = []coach.Likely{
		{Situation: "deep", Replies: []coach.Reply{{Reply: "a", Chance: 0.335}, {Reply: "b", Chance: 0.665}}},
	}
	require.NoError(t, s.Check())
	s.Collections = append(s.Collections, coach.Collection{Name: "mine"})
	require.ErrorContains(t, s.Check(), "collections.2.name")
	s.Collections = nil
	s.Likely[0].Replies[1].Chance = 0.6
	require.ErrorContains(t, s.Check(), "likely.0: the chances add up to 9")
	s.Likely = nil
	s.Schemes[0].Court = "the moon"
	require.ErrorContains(t, s.Check(), "schemes.0.court")
}

func TestTheFirstSchemeOfACourtIsTold(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	usual := sports.Regions()[0]
	got, ok := s.Scheme(usual.Court)
	require.True(t, ok)
	require.Equal(t, usual, got)
	own := court.Scheme{Court: usual.Court, Name: "mine"}
	s.Schemes = []court.Scheme{{Court: "elsewhere"}, own, {Court: usual.Court, Name: "another"}}
	got, ok = s.Scheme(usual.Court)
	require.True(t, ok)
	require.Equal(t, own, got)
	_, ok = s.Scheme("no such court")
	require.False(t, ok)
}

// TestASizeIsTypedAsTheCoachMeansIt: a circle of 2 m is one of that radius, or, said so, of that diameter.
func TestASizeIsTypedAsTheCoachMeansIt(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	tennis, err := sports.Court("tennis")
	require.NoError(t, err)
	mark := court.Mark{Measures: []court.Measure{}}
	target := court.Target{Kind: court.Circle, Radius: 1, Mark: &mark}
	require.Equal(t, []coach.Size{{Path: "measures.0.target.radius", Label: "radius", Text: "1 m"}},
		s.Sizes(target, "measures.0.target"))
	s.Within = coach.Diameter
	require.Equal(t, []coach.Size{{Path: "t.radius", Label: "across", Text: "2 m"}}, s.Sizes(target, "t"))
	there, _ := s.SetSize(&target, "radius", "3 m", tennis, court.Singles)
	require.True(t, there)
	require.InDelta(t, 1.5, target.Radius, 1e-12)
	s.Within = coach.Radius
	there, _ = s.SetSize(&target, "radius", "3 m", tennis, court.Singles)
	require.True(t, there)
	require.InDelta(t, 3, target.Radius, 1e-12)
	there, err = s.SetSize(&target, "radius", "a bit", tennis, court.Singles)
	require.True(t, there)
	require.Error(t, err)
	there, err = s.SetSize(&target, "height", "1 m", tennis, court.Singles)
	require.False(t, there)
	require.NoError(t, err)
}

func TestLengthsAreWrittenAsTheyAreMeasured(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	require.Equal(t, court.Tape{System: units.Metres}, s.WalkTape())
	s.InSteps, s.Step, s.Units = true, 0.7, units.Feet
	require.Equal(t, court.Tape{System: units.Feet, Step: 0.7}, s.WalkTape())
	require.Equal(t, court.Tape{System: units.Feet}, s.Tape())
}

func TestStepsThatMakeNoSense(t *testing.T) {
	s := coach.Default()
	s.Steps = coach.Steps{Wanted: 2.9, Up: 5.4}
	require.EqualError(t, s.Check(), "steps.wanted: at least 3 of 10: who makes less has not reached a rung; "+
		"steps.up: at least 5.5 in 10: less is no more likely than not")
	s.Steps = coach.Steps{Wanted: 3, Up: 5.5, Back: 4.5}
	require.NoError(t, s.Check())
}
