package playerfit_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/internal/sample"
)

// R19: whoever was counted 500 times lately at a measure is told to make what was counted, within three standard
// errors, whatever the model makes of it: over the library, for somebody better and somebody worse.
func TestWhatWasCountedOftenIsWhatIsTold(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		level := d.Written()
		player := d.PlayerFor(level, student.RightHand)
		known, err := playerfit.Know(t.Context(), d, player, level, coach.Default())
		require.NoError(t, err)
		for _, made := range []int{5, 10, 20} {
			const days, tried = 20, 25
			evidence := counted(t, d, player, level, days, made, tried-made)
			share := float64(made) / tried
			off := 3 * math.Sqrt(share*(1-share)/(days*tried))
			for i, m := range d.Measures {
				rate := evidence.Rates(m, known.Tried[i]).Rate
				require.InDelta(t, share, rate.Mean, off, "%s, measure %d, %d of %d", d.Name, m.Number, made, tried)
			}
		}
	}
}

// R18: of two balls of one stroke the harder one is never made more often by the same player, over all measures of the
// library at which nothing was counted, for somebody better and somebody worse than their level.
func TestTheHarderBallIsNeverTheEasierOne(t *testing.T) {
	t.Parallel()
	type ball struct {
		name   string
		level  float64
		chance float64
	}
	for _, who := range []*skill.Skill{nil, sample.Counted(20, 10), sample.Counted(5, 25)} {
		of := map[string][]ball{}
		for _, stored := range library.All() {
			d := stored.Document
			known, err := playerfit.Know(
				t.Context(), d, d.PlayerFor(student.Club, student.RightHand), student.Club, coach.Default(),
			)
			require.NoError(t, err)
			for i, m := range d.Measures {
				for _, b := range known.Balls[i] {
					tried := playerfit.Tried{Stroke: known.Tried[i].Stroke, Attempt: skill.Of(b.Chance)}
					rate := playerfit.Evidence{Skill: who, Drill: stored.ID}.Rates(m, tried).Rate
					of[string(tried.Stroke)] = append(of[string(tried.Stroke)], ball{d.Name, b.Chance, rate.Mean})
				}
			}
		}
		for _, balls := range of {
			for _, a := range balls {
				for _, b := range balls {
					require.False(t, a.level < b.level && a.chance > b.chance+1e-12, "%s and %s", a.name, b.name)
				}
			}
		}
	}
}

// What is told to hold 9 times in 10 does so for players of a level, as unlike as they are: of 4 000 whose skill is
// drawn from that spread, 88 to 92 of 100 meet the goal within so many balls, and its chance in the turns of the drill
// is met as often as it says, to three of 100.
func TestNineTimesInTenIncludesHowUnlikePlayersAre(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	m := d.Main()
	known, err := playerfit.Know(
		t.Context(), d, d.PlayerFor(student.Club, student.RightHand), student.Club, coach.Default(),
	)
	require.NoError(t, err)
	rates := playerfit.Evidence{Level: student.Club}.Rates(m, known.Tried[0])
	random := rand.New(rand.NewPCG(3, 4)) //nolint:gosec // to choose by
	for _, goal := range []score.Goal{
		{Kind: score.Total, Count: 5}, {Kind: score.Streak, Count: 2}, {Kind: score.Total, Count: 12},
	} {
		q := playerfit.Ask(d, m, goal, rates, known.Stroke, 1, coach.Default())
		q = playerfit.Planned(q, d, m, float64(d.Turns), d.Pattern.FeedingSeconds(1, d.Turns))
		answer, err := q.Answer(t.Context())
		require.NoError(t, err)
		within, met := 0, 0
		const players = 4000
		limit := int(answer.Quantiles[2].Balls)
		for range players {
			p, _ := known.Tried[0].Attempt.Chance(rates.Rate.Belief.Better.SD * random.NormFloat64())
			balls := playedOut(random, goal, p, max(limit, q.Balls))
			if balls <= limit {
				within++
			}
			if balls <= q.Balls {
				met++
			}
		}
		require.InDelta(t, 0.9, float64(within)/players, 0.02, "%s within %d", goal, limit)
		require.InDelta(t, *answer.Chance, float64(met)/players, 0.03, "%s in %d", goal, q.Balls)
	}
}

// playedOut is how many balls a goal takes somebody, one ball after the other; more than so many where they do not do.
func playedOut(random *rand.Rand, goal score.Goal, p float64, most int) int {
	made := 0
	for n := 1; n <= most; n++ {
		switch {
		case random.Float64() < p:
			made++
		case goal.Kind == score.Streak:
			made = 0
		}
		if made == goal.Count {
			return n
		}
	}
	return most + 1
}

// A beginner of whom nothing was counted is not promised 19 in a row, and what is told to be likely is wide.
func TestABeginnerIsNotPromisedALongRow(t *testing.T) {
	t.Parallel()
	q := odds.Question{
		Goal: score.Goal{Kind: score.Streak, Count: 19}, Balls: 40,
		Clock: odds.Clock{Gap: 2, Sequence: 1, People: 1, Basket: 60},
	}
	typical := skill.Belief{Attempt: skill.Of(0.97)}
	open := skill.Belief{Better: (&skill.Skill{}).At("forehand", "any", 0, false), Attempt: typical.Attempt}
	chance := func(b skill.Belief) float64 {
		q.Rate, q.Likely = b.Chance().Mean, b.Likely()
		within, err := q.Within(t.Context())
		require.NoError(t, err)
		return within
	}
	require.Greater(t, chance(typical), 0.85)
	require.Less(t, chance(open), chance(typical)-0.05)
	require.Greater(t, open.Chance().High-open.Chance().Low, 0.05)
}
