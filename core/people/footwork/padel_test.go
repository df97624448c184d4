package footwork_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// played is one ball to a place of the near half of a padel court, met at a moment by a club player who waits at a
// place.
func played(t *testing.T, landing, waits court.Point, stroke sports.Stroke, when feed.Moment) footwork.Interception {
	c, err := sports.Court("padel")
	require.NoError(t, err)
	task := feed.Task{Stroke: stroke, Landing: court.At(landing.X, landing.Y), Contact: when, Pace: sports.RallyPace}
	d := footwork.Drill{
		World: sports.World(c, ""), Starts: []court.Point{waits}, Feeder: court.Point{Y: 6},
		Pattern: feed.Pattern{Method: feed.ByRacket, Gap: 6, Sequences: 1, Tasks: []feed.Task{task}},
	}
	p := footwork.For(c.Sport, student.Adult, student.Club, student.RightHand, student.TwoHanded)
	return line(t, d, p).Interceptions[0]
}

// There is more time for who lets a deep ball come off the glass than for who takes it before.
func TestWhoLetsItComeOffTheGlassHasMoreTime(t *testing.T) {
	waits := court.Point{Y: -8}
	before := played(t, court.Point{X: 2, Y: -7.6}, waits, sports.Forehand, feed.Rising)
	after := played(t, court.Point{X: 2, Y: -7.6}, waits, sports.Forehand, feed.OffTheWall)
	require.Equal(t, feed.OffTheWall, after.How)
	require.Greater(t, after.Available, before.Available+0.2)
	require.Greater(t, after.Spare, before.Spare)
	require.Greater(t, after.Where.Y, -10.0)
	short := played(t, court.Point{X: 2, Y: -4}, waits, sports.Forehand, feed.OffTheWall)
	require.Equal(t, feed.Falling, short.How, "a short ball does not come to the glass")
}

// Nobody stands in the glass, however deep and wide a ball comes.
func TestNobodyStandsInTheGlass(t *testing.T) {
	for _, x := range []float64{-4.6, -2, 0, 2, 4.6} {
		for _, y := range []float64{-9.4, -8, -6} {
			m := played(t, court.Point{X: x, Y: y}, court.Point{Y: -8}, sports.Backhand, feed.OffTheWall)
			require.LessOrEqual(t, m.Body.X, 4.71)
			require.GreaterOrEqual(t, m.Body.X, -4.71)
			require.GreaterOrEqual(t, m.Body.Y, -9.71)
		}
	}
}

// A serve is struck after its bounce and no higher than the waist, about 1 m (rules of padel, from memory).
func TestAPadelServeIsStruckAfterItsBounce(t *testing.T) {
	m := played(t, court.Point{X: 1.5, Y: -7.3}, court.Point{X: 1.5, Y: -7.5}, sports.Serve, "")
	require.Equal(t, feed.AtTheTop, m.How)
	require.Greater(t, m.Where.Z, 0.4)
	require.Less(t, m.Where.Z, 1.0)
}
