package footwork_test

import (
	"context"
	"math"
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

var clubPlayer = footwork.For(court.Tennis, student.Adult, student.Club, student.RightHand, student.TwoHanded)

// sideToSide feeds wide to either side of the baseline.
func sideToSide(t require.TestingT, gap float64) footwork.Drill {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	ball := func(stroke sports.Stroke, x float64) feed.Task {
		return feed.Task{Stroke: stroke, Landing: court.At(x, -9), Pace: sports.Gentle}
	}
	return footwork.Drill{
		World:  sports.World(c, "hard"),
		Starts: []court.Point{{Y: -12.5}}, Feeder: court.Point{Y: 6},
		Pattern: feed.Pattern{
			Method:    feed.ByRacket,
			Gap:       gap,
			Sequences: 2,
			Pause:     5,
			Tasks: []feed.Task{
				ball(sports.Forehand, 3.2),
				ball(sports.Backhand, -3.2),
				ball(sports.Forehand, 3),
				ball(sports.Backhand, -3),
				ball(sports.Forehand, 2),
				ball(sports.Backhand, -2),
			},
		},
		Scatter: map[feed.Method]flight.Scatter{feed.ByRacket: {Speed: 0.04, Elevation: 0.02, Azimuth: 0.02}},
	}
}

func line(t require.TestingT, d footwork.Drill, p footwork.Player) footwork.Timeline {
	work, err := d.Timing(context.Background(), p)
	require.NoError(t, err)
	l, err := work.Turn(context.Background(), 0)
	require.NoError(t, err)
	return l
}

func TestATimelineHangsTogether(t *testing.T) {
	d := sideToSide(t, 3)
	l := line(t, d, clubPlayer)
	require.Len(t, l.Interceptions, 12)
	sum := 0.0
	for _, m := range l.Interceptions {
		require.Empty(t, m.Problem)
		require.Less(t, m.Release, m.Bounce.T)
		require.Less(t, m.Bounce.T, m.Contact)
		require.GreaterOrEqual(t, *m.Clearance, 0.0)
		require.InDelta(t, m.Available-m.Needed, m.Spare, 1e-9)
		require.InDelta(t, m.Contact, m.Release+m.Available, 1e-9)
		require.GreaterOrEqual(t, m.Leaves, m.Release)
		require.Equal(t, m.From, m.Route[0])
		require.Equal(t, m.Body, m.Route[len(m.Route)-1])
		require.GreaterOrEqual(t, m.Metres, m.From.Distance(m.Body)-1e-9)
		require.InDelta(t, m.Release, m.Trail[0].T, 1e-9)
		require.True(t, m.Chance >= 0 && m.Chance <= 1)
		sum += m.Metres
	}
	require.Len(t, l.Runners, 1)
	require.GreaterOrEqual(t, l.Runners[0].Metres, sum)
	require.Equal(t, 12, l.Runners[0].Balls)
	require.InDelta(t, l.Seconds, l.Runners[0].Work+l.Runners[0].Rest, 1e-9)
	// In comfort the ball is met beside the body, at the player's reach.
	m := l.Interceptions[0]
	require.InDelta(t, math.Hypot(clubPlayer.Reach, 0.3), court.Point{X: m.Where.X, Y: m.Where.Y}.Distance(m.Body), 0.01)
	require.Greater(t, m.Where.X, m.Body.X, "a right-hander's forehand is met on the right")
}

func TestThePlaceCarriesOver(t *testing.T) {
	slow, quick := line(t, sideToSide(t, 6), clubPlayer), line(t, sideToSide(t, 1.4), clubPlayer)
	require.InDelta(t, 0, slow.Interceptions[1].From.X, 0.05, "there is time to be back in the middle")
	require.Greater(t, quick.Interceptions[1].From.X, 0.8, "there is none: the next run starts out wide")
	require.True(t, quick.Worst.Worse(slow.Worst))
	require.Greater(t, slow.Interceptions[1].Chance, quick.Interceptions[1].Chance-1e-9)
}

func tempos(t require.TestingT, d footwork.Drill) []footwork.Tempo {
	work, err := d.Timing(context.Background(), clubPlayer)
	require.NoError(t, err)
	list, err := work.Tempos(context.Background())
	require.NoError(t, err)
	return list
}

func fastestOf(t require.TestingT, d footwork.Drill) []footwork.Fastest {
	work, err := d.Timing(context.Background(), clubPlayer)
	require.NoError(t, err)
	list, err := work.Fastest(context.Background())
	require.NoError(t, err)
	return list
}

func TestTempos(t *testing.T) {
	list := tempos(t, sideToSide(t, 3))
	require.Equal(t, footwork.OutOfReach, list[0].Worst, "nobody gets to them half a second apart")
	fastest := fastestOf(t, sideToSide(t, 3))
	require.NotNil(t, fastest[1].Gap)
	require.NotNil(t, fastest[2].Gap)
	require.LessOrEqual(t, *fastest[2].Gap, *fastest[1].Gap, "stretched is never slower than working")
	require.Contains(t, fastest[1].First, "the way back after ball")
	at := line(t, sideToSide(t, *fastest[1].Gap), clubPlayer)
	require.False(t, at.Worst.Worse(footwork.Working), "at the fastest gap it is what it says")
	for _, tempo := range list {
		require.Len(t, tempo.Verdicts, 6)
	}
	d := sideToSide(t, 3)
	for i := range d.Pattern.Tasks {
		d.Pattern.Tasks[i].Meant = true
	}
	require.Equal(t, footwork.Easy, tempos(t, d)[0].Worst, "an overload that is meant is no finding")
}

// TestABetterPlayerNeverHasLessToSpare: more speed or less distance never makes a first ball harder.
func TestABetterPlayerNeverHasLessToSpare(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		d := sideToSide(t, 4)
		d.Pattern.Sequences = 1
		d.Pattern.Tasks = []feed.Task{
			{
				Stroke:  sports.Forehand,
				Landing: court.At(rapid.Float64Range(-3.5, 3.5).Draw(t, "x"), rapid.Float64Range(-11, -3).Draw(t, "y")),
				Contact: rapid.SampledFrom([]feed.Moment{feed.Rising, feed.AtTheTop, feed.Falling}).Draw(t, "moment"),
			},
		}
		better := clubPlayer
		better.Top *= rapid.Float64Range(1, 1.5).Draw(t, "faster")
		better.Speedup *= rapid.Float64Range(1, 1.5).Draw(t, "quicker")
		better.Reaction *= rapid.Float64Range(0.5, 1).Draw(t, "sooner")
		a, b := line(t, d, clubPlayer).Interceptions[0], line(t, d, better).Interceptions[0]
		require.False(t, b.Verdict.Worse(a.Verdict))
		require.GreaterOrEqual(t, b.Chance, a.Chance-0.02)
	})
}

func TestMomentsOfContact(t *testing.T) {
	d := sideToSide(t, 6)
	met := func(moment feed.Moment, height float64) footwork.Interception {
		d.Pattern.Tasks = []feed.Task{{Stroke: sports.Forehand, Landing: court.At(0.8, -8), Contact: moment, At: height}}
		m := line(t, d, clubPlayer).Interceptions[0]
		require.NotNil(t, m.Where)
		return m
	}
	rising, top, falling := met(feed.Rising, 0), met(feed.AtTheTop, 0), met(feed.Falling, 0)
	require.Less(t, rising.Contact, top.Contact)
	require.Less(t, top.Contact, falling.Contact)
	require.Greater(t, top.Where.Z, rising.Where.Z)
	require.InDelta(t, 0.6, met(feed.AtHeight, 0.6).Where.Z, 0.02)
	d.Starts[0].Y = -7
	air := met(feed.OutOfTheAir, 0)
	require.Nil(t, air.Bounce)
	require.Greater(t, air.Where.Y, -8.0)
}

func TestTouchesShadowsAndCatches(t *testing.T) {
	d := sideToSide(t, 3)
	d.Pattern.Tasks = []feed.Task{
		{Kind: feed.TouchTask, Stroke: sports.Forehand, Landing: court.At(0, -0.3), Gap: 6},
		{Kind: feed.ShadowTask, Stroke: sports.Forehand, Landing: court.At(3, -11), Gap: 5},
		{Kind: feed.CatchTask, Stroke: sports.Forehand, Landing: court.At(2, -10)},
	}
	l := line(t, d, clubPlayer)
	require.Equal(t, 2, l.Runners[0].Balls, "only the caught one is a ball, in both sequences")
	require.InDelta(t, -0.3, l.Interceptions[0].Body.Y, 1e-9)
	require.Nil(t, l.Interceptions[0].Where)
	require.InDelta(
		t,
		clubPlayer.Seconds(12.2),
		l.Interceptions[0].Contact,
		1e-6,
		"12.2 m to the net from a standing start",
	)
	require.Greater(t, l.Interceptions[1].Metres, 10.0)
	require.NotNil(t, l.Interceptions[2].Where)
	d.Pattern.Tasks[0].Gap = 1
	require.Equal(t, footwork.OutOfReach, line(t, d, clubPlayer).Interceptions[0].Verdict)
}

func TestSeveralLivePlayers(t *testing.T) {
	d := sideToSide(t, 2)
	d.Starts = []court.Point{{X: 2, Y: -12.5}, {X: -2, Y: -12.5}}
	for i := range d.Pattern.Tasks {
		d.Pattern.Tasks[i].Player = i % 2
	}
	l := line(t, d, clubPlayer)
	require.Len(t, l.Runners, 2)
	alone := line(t, sideToSide(t, 2), clubPlayer)
	require.Less(
		t,
		l.Runners[0].Metres,
		alone.Runners[0].Metres/2,
		"two who share the court run less than half of one alone",
	)
}

func TestTheForcedWideWayIsLonger(t *testing.T) {
	d := sideToSide(t, 5)
	free := line(t, d, clubPlayer).Runners[0].Metres
	d.Obstacles = []footwork.Obstacle{{At: court.Point{X: 1, Y: -12}, Width: 0.5, Round: footwork.OnTheLeft}}
	require.Greater(t, line(t, d, clubPlayer).Runners[0].Metres, free)
}

func TestABallThatCannotBeFedIsTold(t *testing.T) {
	d := sideToSide(t, 3)
	d.Pattern.Tasks[1].By, d.Pattern.Tasks[1].Value = flight.ByApex, 0.5
	problems, err := d.Problems(context.Background())
	require.NoError(t, err)
	require.Len(t, problems, 1)
	require.Equal(t, "pattern.tasks.1", problems[0].Path)
	require.Contains(t, problems[0].Message, "Ball 2 cannot be fed: it leaves at 0.95 m already")
	require.NotEmpty(t, line(t, d, clubPlayer).Interceptions[1].Problem)
}

func TestAQuickFeedComesSlowerWhereTheNetIsInItsWay(t *testing.T) {
	d := sideToSide(t, 3)
	d.Pattern.Tasks = []feed.Task{{Stroke: sports.Forehand, Landing: court.At(1, -3), Pace: sports.GamePace}}
	m := line(t, d, clubPlayer).Interceptions[0]
	require.True(t, m.Slower)
	require.InDelta(t, 0.15*0.914, *m.Clearance, 0.02)
}

func TestItStopsWhenNobodyWaits(t *testing.T) {
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	_, err := sideToSide(t, 3).Timing(ctx, clubPlayer)
	require.ErrorIs(t, err, context.Canceled)
	work, err := sideToSide(t, 3).Timing(t.Context(), clubPlayer)
	require.NoError(t, err)
	_, err = work.Turn(ctx, 0)
	require.ErrorIs(t, err, context.Canceled)
	_, err = work.Tempos(ctx)
	require.ErrorIs(t, err, context.Canceled)
}

// TestTheDownTheLinePlayerRunsMore is the figure of eight: one plays only cross-court, the other only down
// the line, and the second runs more (common practice, no source). It comes out of the model at both ends
// and on each court.
func TestTheDownTheLinePlayerRunsMore(t *testing.T) {
	for _, id := range []court.ID{"tennis", "tennis-orange", "pickleball", "table-tennis"} {
		c, err := sports.Court(id)
		require.NoError(t, err)
		p := footwork.For(c.Sport, student.Adult, student.Club, student.RightHand, student.TwoHanded)
		for _, swapped := range []bool{false, true} {
			behind := c.Length/2 + 0.05*c.Length
			d := footwork.Drill{World: sports.World(c, ""), Starts: []court.Point{{Y: -behind}}, Feeder: court.Point{Y: behind}}
			r := feed.Rally{
				Near:  feed.CrossCourt,
				Far:   feed.DownTheLine,
				Shots: 12,
				Deep:  c.Length / 9,
				Wide:  c.Singles / 6,
				Pace:  sports.HalfPace,
			}
			if swapped {
				r.Near, r.Far = r.Far, r.Near
			}
			d.Pattern = feed.Pattern{Method: feed.Live, Gap: 2, Sequences: 1, Rally: &r}
			l := line(t, d, p)
			require.GreaterOrEqual(t, len(l.Interceptions), 10, "at least ten shots on %s", id)
			// Whoever strikes first has met one ball less: metres for each ball.
			cross, straight := l.Runners[0], l.Runners[1]
			if swapped {
				cross, straight = straight, cross
			}
			require.Greater(
				t,
				straight.Metres/float64(straight.Balls),
				cross.Metres/float64(cross.Balls),
				"%s swapped %v",
				id,
				swapped,
			)
		}
	}
}

func TestTwoAgainstOne(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	d := footwork.Drill{World: sports.World(c, ""), Starts: []court.Point{{Y: -12.5}}, Feeder: court.Point{Y: 12}}
	d.Pattern = feed.Pattern{
		Method:    feed.Live,
		Gap:       2,
		Sequences: 1,
		Rally: &feed.Rally{
			Near:  feed.Alternate,
			Far:   feed.DownTheLine,
			Pair:  true,
			Shots: 12,
			Deep:  2.5,
			Wide:  1,
			Pace:  sports.HalfPace,
		},
	}
	l := line(t, d, clubPlayer)
	require.Len(t, l.Runners, 3)
	for _, each := range l.Runners[1:] {
		require.Greater(t, l.Runners[0].Metres, each.Metres, "the one does the running")
	}
}

func BenchmarkSixBallPattern(b *testing.B) {
	d := sideToSide(b, 3)
	d.Pattern.Sequences = 1
	for b.Loop() {
		line(b, d, clubPlayer)
	}
}

func BenchmarkFastestGap(b *testing.B) {
	d := sideToSide(b, 3)
	for b.Loop() {
		fastestOf(b, d)
	}
}
