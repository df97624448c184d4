package footwork_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// volleys feeds balls to a volleyer four metres from the net, who gets back to the middle.
func volleys(t require.TestingT, tasks ...feed.Task) footwork.Drill {
	d := sideToSide(t, 3)
	d.Starts, d.Feeder = []court.Point{{Y: -4}}, court.Point{X: 2, Y: 9}
	d.Scatter = nil
	d.Pattern.Sequences, d.Pattern.Tasks = 1, tasks
	return d
}

// By hand: the feeder is 2 m to the right and 13 m away. A ball that lands 6 m behind the net passes the volleyer, 4 m
// behind it, in the middle of the body and goes on to x = 2 − 2×15/13; at the crossover point a right-hander is passed
// 0.2 m to the right, a left-hander 0.2 m to the left. At the feet it lands 0.3 m in front of them.
func TestABallComesAtThePlayer(t *testing.T) {
	at := func(part feed.Body, hand student.Hand, x float64) court.Point {
		p := clubPlayer
		p.Hand = hand
		d := volleys(t, feed.Task{Stroke: sports.ForehandVolley, Toward: part, Landing: court.At(3, -6)})
		d.Starts[0].X = x
		l := line(t, d, p)
		require.Empty(t, l.Interceptions[0].Problem)
		last := l.Interceptions[0].Trail
		require.NotEmpty(t, last)
		first, end := last[0], last[len(last)-1]
		share := (-4 - first.Y) / (end.Y - first.Y)
		return court.Point{X: first.X + share*(end.X-first.X), Y: end.Y}
	}
	for _, x := range []float64{-1.5, 0, 1} {
		body := at(feed.TheBody, student.RightHand, x)
		require.InDelta(t, x, body.X, 0.06)
		require.InDelta(t, 0.2, at(feed.TheCrossover, student.RightHand, x).X-body.X, 0.06)
		require.InDelta(t, -0.2, at(feed.TheCrossover, student.LeftHand, x).X-body.X, 0.06)
	}
	d := volleys(
		t,
		feed.Task{Stroke: sports.Forehand, Toward: feed.TheFeet, Landing: court.At(0, -6), Contact: feed.Rising},
	)
	feet := line(t, d, clubPlayer).Interceptions[0]
	require.NotNil(t, feet.Bounce)
	require.InDelta(t, -3.7, feet.Bounce.Y, 0.06)
	beside := line(t, volleys(t, feed.Task{Stroke: sports.Forehand, Landing: court.At(1.2, -3.7), Contact: feed.Rising}),
		clubPlayer).Interceptions[0]
	require.Greater(t, feet.Needed, beside.Needed, "the body has to get out of the way")
}

// Balls land in the area, in all of it, and its middle is where it says; a wider area is never less to run.
func TestABallLandsAnywhereInItsArea(t *testing.T) {
	run := func(wide, deep float64) (metres float64, places map[court.Point]bool) {
		d := sideToSide(t, 4)
		d.Scatter = nil
		d.Pattern.Sequences, d.Pattern.Tasks = 12, []feed.Task{
			{Stroke: sports.Forehand, Landing: court.At(1.5, -8), Area: &feed.Area{Wide: wide, Deep: deep}},
		}
		work, err := d.Timing(t.Context(), clubPlayer)
		require.NoError(t, err)
		places = map[court.Point]bool{}
		x, y, n := 0.0, 0.0, 0.0
		for turn := range 10 {
			l, err := work.Turn(t.Context(), turn)
			require.NoError(t, err)
			for _, m := range l.Interceptions {
				require.LessOrEqual(t, math.Abs(m.Bounce.X-1.5), wide/2+0.02)
				require.LessOrEqual(t, math.Abs(m.Bounce.Y+8), deep/2+0.02)
				x, y, n = x+m.Bounce.X, y+m.Bounce.Y, n+1
				places[court.Point{X: math.Round(m.Bounce.X * 20), Y: math.Round(m.Bounce.Y * 20)}] = true
			}
		}
		require.InDelta(t, 1.5, x/n, 0.05*wide+0.02)
		require.InDelta(t, -8, y/n, 0.05*deep+0.02)
		all, err := work.Metres(t.Context())
		require.NoError(t, err)
		mean := 0.0
		for _, turn := range all {
			mean += turn[0] / float64(len(all))
		}
		return mean, places
	}
	narrow, one := run(0.01, 0.01)
	wide, many := run(5, 2)
	require.LessOrEqual(t, len(one), 2)
	require.Greater(t, len(many), 20)
	require.Greater(t, wide, narrow)
}

// A group that comes a metre nearer each time has its balls, and the player's place, a metre nearer each time.
func TestEachTimeAStepNearer(t *testing.T) {
	d := volleys(t, feed.Task{Stroke: sports.ForehandVolley, Landing: court.At(0.8, -8)})
	d.Starts[0].Y = -7
	d.Pattern.Repeats = []feed.Repeat{{From: 0, To: 0, Times: 4, Nearer: 1}}
	l := line(t, d, clubPlayer)
	require.Len(t, l.Interceptions, 4)
	for i, m := range l.Interceptions[1:] {
		before := l.Interceptions[i]
		require.Greater(t, m.Body.Y, before.Body.Y, "met further in")
		require.InDelta(t, -7+float64(i), m.From.Y, 0.1, "from a place that moves in")
	}
	require.Greater(t, l.Interceptions[3].Body.Y, l.Interceptions[0].Body.Y+1)
	d.Pattern.Repeats[0].Nearer = -0.5
	out := line(t, d, clubPlayer)
	require.Less(t, out.Interceptions[3].Body.Y, out.Interceptions[0].Body.Y, "less than nothing is further back")
}

// exchanged is one ball between a volleyer and a partner at the other baseline.
func exchanged(t require.TestingT) footwork.Drill {
	d := volleys(t,
		feed.Task{Stroke: sports.ForehandVolley, Landing: court.At(0.5, -7), Method: feed.ByRacket},
		feed.Task{Stroke: sports.Forehand, Landing: court.At(0.5, 8), Method: feed.Answer, Player: 1, Pace: sports.HalfPace},
		feed.Task{Stroke: sports.ForehandVolley, Landing: court.At(0.5, -7), Method: feed.Answer, Pace: sports.HalfPace})
	d.Starts = []court.Point{{Y: -4}, {Y: 11.5}}
	d.Pattern.Repeats = []feed.Repeat{{From: 1, To: 2, Times: 5}}
	return d
}

func TestOneBallIsPlayedOn(t *testing.T) {
	l := line(t, exchanged(t), clubPlayer)
	require.Len(t, l.Interceptions, 11)
	require.Len(t, l.Runners, 2)
	require.Equal(t, []int{6, 5}, []int{l.Runners[0].Balls, l.Runners[1].Balls})
	for i, m := range l.Interceptions {
		require.Empty(t, m.Problem)
		require.Equal(t, i%2, m.Player)
		if i == 0 {
			continue
		}
		before := l.Interceptions[i-1]
		require.InDelta(t, before.Contact, m.Release, 1e-9, "the ball goes on where and when it was struck")
		require.InDelta(t, before.Where.X, m.Trail[0].X, 0.03)
		require.InDelta(t, before.Where.Z, m.Trail[0].Z, 0.03)
		require.Equal(t, m.Player == 0, m.Where.Y < 0, "each meets it on their own half")
	}
	require.GreaterOrEqual(t, l.Seconds, l.Interceptions[10].Contact)
	work, err := exchanged(t).Timing(t.Context(), clubPlayer)
	require.NoError(t, err)
	tempos, err := work.Tempos(t.Context())
	require.NoError(t, err)
	require.Empty(t, tempos, "the strokes make its tempo")
}

func TestNobodyAnswersABallThatWasNotReached(t *testing.T) {
	d := exchanged(t)
	d.Pattern.Tasks[1].Landing, d.Pattern.Tasks[1].Pace = court.At(-4, 10), sports.GamePace
	d.Starts[1] = court.Point{X: 4, Y: 3}
	l := line(t, d, clubPlayer)
	require.Equal(t, footwork.OutOfReach, l.Interceptions[1].Verdict)
	require.Contains(t, l.Interceptions[2].Problem, "the ball before it is not reached")
	require.Equal(t, 1, l.Runners[0].Balls)
}

// A slower player has less to spare at every stroke of an exchange until the first that is not reached.
func TestASlowerPartnerIsNeverEarlier(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := exchanged(t)
		d.Pattern.Tasks[1].Landing = court.At(rapid.Float64Range(-3, 3).Draw(t, "x"), rapid.Float64Range(6, 10).Draw(t, "y"))
		d.Pattern.Repeats = nil
		slower := clubPlayer
		slower.Top *= rapid.Float64Range(0.5, 1).Draw(t, "slower")
		slower.Reaction *= rapid.Float64Range(1, 1.5).Draw(t, "later")
		a, b := line(t, d, clubPlayer), line(t, d, slower)
		require.False(t, a.Interceptions[0].Verdict.Worse(b.Interceptions[0].Verdict))
	})
}
