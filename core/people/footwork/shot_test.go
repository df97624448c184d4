package footwork_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// shuttle is the reply of a stroke of badminton by somebody of a level.
func shuttle(
	t *testing.T,
	level student.Level,
	stroke sports.Stroke,
	pace sports.Pace,
	from flight.Vec,
	to court.Point,
) (flight.Launch, flight.Path) {
	c, err := sports.Court("badminton")
	require.NoError(t, err)
	d := footwork.Drill{
		World: sports.World(c, ""),
		Power: footwork.For(court.Badminton, student.Adult, level, student.RightHand, student.OneHanded).Power,
	}
	l, err := d.Reply(feed.Task{Stroke: stroke, ReplyPace: pace}, from, to)
	require.NoError(t, err)
	return l, d.World.Follow(l, 1)
}

// A smash leaves a club player at 45 to 62 m/s and a tournament player at 60 to 85 (from memory), and takes 0.3 to
// 0.6 s over 8 m (by the drag law of Cohen, Darbois-Texier, Quéré and Clanet, New J. Phys. 17 (2015) 063001), a clear
// and a lift go over everybody's reach, and a drive stays low.
func TestShuttlesFlyAsTheyDoInPlay(t *testing.T) {
	between := map[student.Level][2]float64{student.Club: {45, 62}, student.Tournament: {60, 85}}
	for _, level := range []student.Level{student.Club, student.Tournament} {
		smash, path := shuttle(t, level, sports.Smash, sports.GamePace, flight.Vec{Y: -2.3, Z: 2.6}, court.Point{Y: 5.7})
		require.True(
			t,
			smash.Velocity.Norm() >= between[level][0] && smash.Velocity.Norm() <= between[level][1],
			"%s: %g m/s",
			level,
			smash.Velocity.Norm(),
		)
		landed, ok := path.Bounce(0)
		require.True(t, ok)
		require.True(t, landed.T > 0.30 && landed.T < 0.60, "%s: %g s", level, landed.T)
		drive, low := shuttle(
			t,
			level,
			sports.Drive,
			sports.RallyPace,
			flight.Vec{Y: -3.5, Z: 1.5},
			court.Point{X: 1, Y: 4.5},
		)
		require.Less(t, low.Top.P.Z, 2.2, "a drive stays low")
		require.Less(t, drive.Velocity.Norm(), smash.Velocity.Norm())
	}
	for _, stroke := range []sports.Stroke{sports.Clear, sports.Lift} {
		_, path := shuttle(t, student.Club, stroke, "", flight.Vec{Y: -2, Z: 1}, court.Point{X: 1, Y: 6})
		require.Greater(t, path.Top.P.Z, 4.5, "nobody reaches a %s on its way", stroke)
	}
	slow, _ := shuttle(t, student.Beginner, sports.Smash, sports.GamePace, flight.Vec{Y: -4, Z: 2.5}, court.Point{Y: 4})
	fast, _ := shuttle(t, student.Tournament, sports.Smash, sports.GamePace, flight.Vec{Y: -4, Z: 2.5}, court.Point{Y: 4})
	require.Less(t, slow.Velocity.Norm(), fast.Velocity.Norm(), "by level")
}

// What is met above the head is met near the full reach: 1.35 to 1.55 of the body, of an adult 1.76 m (common practice,
// no source), whenever there is time.
func TestOverheadsAreMetNearTheFullReach(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		d := sideToSide(t, 6)
		x, y := rapid.Float64Range(-2.5, 2.5).Draw(t, "x"), rapid.Float64Range(-7, -4.5).Draw(t, "y")
		d.Starts = []court.Point{{X: 0, Y: -5}}
		d.Pattern.Tasks = []feed.Task{
			{
				Stroke:  sports.Overhead,
				Landing: court.At(x, y),
				By:      flight.ByApex,
				Value:   rapid.Float64Range(5, 8).Draw(t, "apex"),
			},
		}
		m := line(t, d, clubPlayer).Interceptions[0]
		require.NotNil(t, m.Where)
		if !m.Late {
			require.True(t, m.Where.Z >= 1.35*1.76 && m.Where.Z <= 1.55*1.76, "met at %g m", m.Where.Z)
		}
		require.Equal(t, feed.OutOfTheAir, m.How)
	})
}

// A ball that is met out of the air above the shoulder is a high volley, and is said to be; after a bounce nothing is
// out of the air.
func TestAHighVolleyIsSaidToBe(t *testing.T) {
	d := sideToSide(t, 6)
	d.Starts = []court.Point{{X: 0, Y: -3}}
	d.Pattern.Sequences = 1
	volley := func(high float64) footwork.Interception {
		d.Pattern.Tasks = []feed.Task{
			{Stroke: sports.ForehandVolley, Landing: court.At(0.6, -6.5), By: flight.ByClearance, Value: high},
		}
		return line(t, d, clubPlayer).Interceptions[0]
	}
	require.Equal(t, "forehand volley", volley(0.2).Label)
	high := volley(1.1)
	require.Greater(t, high.Where.Z, 1.43)
	require.Equal(t, "high forehand volley", high.Label)
	long.Check(t, func(t *rapid.T) {
		d := sideToSide(t, rapid.Float64Range(1, 4).Draw(t, "gap"))
		for i := range d.Pattern.Tasks {
			d.Pattern.Tasks[i].Stroke = rapid.SampledFrom(sports.Of(court.Tennis).Strokes).Draw(t, "stroke")
			d.Pattern.Tasks[i].Contact = rapid.SampledFrom([]feed.Moment{"", feed.OutOfTheAir, feed.Rising, feed.Falling}).
				Draw(t, "contact")
		}
		for _, m := range line(t, d, clubPlayer).Interceptions {
			if m.How == feed.OutOfTheAir {
				require.Nil(t, m.Bounce, "out of the air is before the bounce")
			}
		}
	})
}
