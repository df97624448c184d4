package playerfit_test

import (
	"context"
	"math"
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
	"hodometer/internal/sample"
)

// ballsOf are the balls of each measure of a drill as a coach feeds it, as a level makes them, with the turn they are
// from.
func ballsOf(
	t require.TestingT,
	d drill.Document,
	player footwork.Player,
	level student.Level,
	s coach.Settings,
) ([][]playerfit.Ball, footwork.Timeline) {
	turn, err := simulation.Run(context.Background(), d, player, s)
	require.NoError(t, err)
	known, err := playerfit.Know(context.Background(), d, player, level, s)
	require.NoError(t, err)
	return known.Balls, turn.Timeline
}

// timed is a drill of the library with every gap so many times as long.
func timed(d drill.Document, share float64) drill.Document {
	d = d.Clone()
	d.Pattern.Gap *= share
	for i := range d.Pattern.Tasks {
		d.Pattern.Tasks[i].Gap *= share
	}
	return d
}

// By hand: a club player's ball that is reached 9 times in 10, loosened to 1.4, and in the target 6 times in 10 is made
// 0.9 × 0.6 × (1 − 0.015 × 1.4²) = 0.524 times. What is shown holds for every ball of the library.
func TestTheChanceOfABallIsWhatItsPartsSay(t *testing.T) {
	t.Parallel()
	require.InDelta(t, 0.524, 0.9*0.6*(1-0.015*1.4*1.4), 5e-4)
	seen := 0
	for _, stored := range library.All() {
		d := stored.Document
		player := d.PlayerFor(student.Club, student.RightHand)
		known, err := playerfit.Know(t.Context(), d, player, student.Club, coach.Default())
		require.NoError(t, err)
		measures, line := ballsOf(t, d, player, student.Club, coach.Default())
		for i, balls := range measures {
			sum, parts := 0.0, 0.0
			for _, b := range balls {
				seen++
				require.GreaterOrEqual(t, b.Loose, 0.0)
				require.InDelta(t, 0.5, b.Reach, 0.5)
				require.InDelta(t, 0.5, b.In, 0.5)
				sum += b.Chance
				parts += b.Reach * b.In * math.Max(0, 1-0.015*b.Loose*b.Loose)
			}
			if rate := known.Tried[i].OfLevel(); len(balls) > 0 && d.In(d.Measures[i]) == 1 {
				require.InDelta(t, rate, sum/float64(len(balls)), 1e-4, "%s: the mean of its balls", d.Name)
				require.InDelta(t, parts, sum, 1e-4, d.Name)
			}
		}
		require.NotEmpty(t, line.Interceptions)
	}
	require.Greater(t, seen, 300)
}

// R2: out of reach is never made, and of the same ball what is hurried is made less often than what is reached at ease.
func TestOutOfReachIsNeverMade(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	out, hurried := 0, 0
	for _, stored := range library.All() {
		for _, share := range []float64{0.3, 0.5, 0.8, 1.5} {
			d := timed(stored.Document, share)
			if d.Pattern.Rally != nil || d.Check() != nil {
				continue
			}
			measures, line := ballsOf(t, d, d.PlayerFor(d.Written(), student.RightHand), d.Written(), coach.Default())
			verdicts := map[[2]int]footwork.Verdict{}
			for _, m := range line.Interceptions {
				at := [2]int{m.Sequence, m.Task}
				if _, ok := verdicts[at]; !ok || m.Verdict == footwork.OutOfReach {
					verdicts[at] = m.Verdict
				}
			}
			once := len(d.Pattern.Listed()) == len(d.Pattern.Tasks) && d.Pattern.Order == ""
			for _, balls := range measures {
				for _, b := range balls {
					switch verdict := verdicts[[2]int{b.Sequence, b.Task}]; {
					case !once:
					case verdict == footwork.OutOfReach:
						out++
						require.Zero(t, b.Chance, "%s, ball %d", d.Name, b.Task+1)
					case verdict == footwork.Stretched:
						hurried++
						require.Greater(t, b.Loose, 1.0, "%s, ball %d", d.Name, b.Task+1)
					}
				}
			}
		}
	}
	require.Greater(t, out, 10)
	require.Greater(t, hurried, 20)
}

// R3: a better level never makes fewer of the same drill, whoever plays it and however fast. Where one ball is played
// on and on it comes from a partner of that level too, and faster: that is not the same ball.
func TestABetterLevelNeverMakesFewer(t *testing.T) {
	t.Parallel()
	levels := []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament}
	for _, stored := range library.All() {
		for _, share := range []float64{0.6, 1, 1.4} {
			d := timed(stored.Document, share)
			if d.Check() != nil || d.Pattern.OneBall() {
				continue
			}
			last := make([]float64, len(d.Measures))
			for _, level := range levels {
				known, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
				require.NoError(t, err)
				for i, tried := range known.Tried {
					require.GreaterOrEqual(t, tried.OfLevel(), last[i]-0.003, "%s × %g, %s, measure %d", d.Name, share, level, i+1)
					last[i] = tried.OfLevel()
				}
			}
		}
	}
}

// R4 and R15: a larger target is never harder, and a less steady feeder never raises the chance of a ball.
func TestTargetsAndFeeders(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		m := d.Main()
		if m.Target == nil || m.Target.Radius == 0 {
			continue
		}
		player := d.PlayerFor(d.Written(), student.RightHand)
		rate := func(radius float64, feeding coach.Steadiness) float64 {
			s := coach.Default()
			s.Feeding = feeding
			wide, target := d.Main(), *m.Target
			target.Radius = radius
			wide.Target = &target
			known, err := playerfit.Know(t.Context(), d.With(0, wide), player, d.Written(), s)
			require.NoError(t, err)
			return known.Tried[0].OfLevel()
		}
		own := m.Target.Radius
		require.LessOrEqual(t, rate(0.7*own, coach.Usual), rate(own, coach.Usual)+1e-9, d.Name)
		require.LessOrEqual(t, rate(own, coach.Wild), rate(own, coach.VerySteady)+1e-9, d.Name)
	}
}

// Whatever was counted, the harder ball stays the harder one, and all together come to the rate.
func TestWhatWasCountedMovesAllBallsTogether(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	measures, _ := ballsOf(t, d, d.PlayerFor(student.Club, student.RightHand), student.Club, coach.Default())
	rapid.Check(t, func(t *rapid.T) {
		better := skill.Estimate{
			Mean: rapid.Float64Range(-2, 2).Draw(t, "better"), SD: rapid.Float64Range(0, 1).Draw(t, "sd"),
		}
		before, after := measures[0], playerfit.Believed(measures[0], better)
		for i, b := range after {
			for k := range after { // to the ten-thousandth that is kept
				if before[i].Chance < before[k].Chance-1e-3 {
					require.Less(t, b.Chance, after[k].Chance, "in the same order")
				}
			}
		}
	})
	gone := playerfit.Believed([]playerfit.Ball{{Chance: 0}, {Chance: 0.5}}, skill.Estimate{Mean: skill.LogOdds(0.8)})
	require.Zero(t, gone[0].Chance, "what cannot be reached is not made by a better record")
	require.InDelta(t, 0.8, gone[1].Chance, 1e-6)
}

// A slower feed never makes the drill harder: every gap of the library that can be kept up, twice as long.
func TestMoreTimeIsNeverHarder(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally != nil || d.Pattern.Ends == feed.ByTheClock || d.Pattern.OneBall() || len(d.Pattern.Repeats) > 0 {
			continue
		}
		rate := func(share float64) []float64 {
			known, err := playerfit.Know(
				t.Context(),
				timed(d, share),
				d.PlayerFor(d.Written(), student.RightHand),
				d.Written(),
				coach.Default(),
			)
			require.NoError(t, err)
			var list []float64
			for _, tried := range known.Tried {
				list = append(list, tried.OfLevel())
			}
			return list
		}
		now, slow := rate(1), rate(2)
		for i := range now {
			require.GreaterOrEqual(t, slow[i], now[i]-0.02, d.Name)
		}
	}
}
