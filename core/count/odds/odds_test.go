package odds_test

import (
	"context"
	"encoding/json"
	"math"
	"math/rand/v2"
	"os"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
)

// reference reads a file of values computed with SciPy 1.10; its note says how.
func reference[T any](t testing.TB, name string) []T {
	t.Helper()
	text, err := os.ReadFile("testdata/" + name)
	require.NoError(t, err)
	var file struct {
		Note  string
		Cases []T
	}
	require.NoError(t, json.Unmarshal(text, &file))
	require.NotEmpty(t, file.Cases)
	return file.Cases
}

var background = context.Background()

func cancelled(t *testing.T) context.Context {
	ctx, cancel := context.WithCancel(t.Context())
	cancel()
	return ctx
}

// coins are seeded draws for the simulations that cross-check the exact figures.
type coins struct{ *rand.Rand }

func newCoins(seed uint64) coins { return coins{rand.New(rand.NewPCG(seed, seed))} }

func (c coins) made(rate float64) bool { return c.Float64() < rate }

// played simulates a goal once and returns what it took.
func played(goal score.Goal, q odds.Question, c coins) float64 {
	balls := 0
	row := func(k int, rate float64) {
		for run := 0; run < k; {
			balls++
			if c.made(rate) {
				run++
			} else if goal.Miss != score.CarriesOn {
				run = 0
			}
		}
	}
	all := func(n int) {
		for made := 0; made < n; {
			balls++
			rate := q.Rate
			if goal.Kind == score.Together && balls%2 == 0 {
				rate = q.Partner
			}
			if c.made(rate) {
				made++
			}
		}
	}
	switch goal.Kind {
	case score.Streak:
		for range max(goal.Sets, 1) {
			row(goal.Count, q.Rate)
		}
	case score.Routine:
		for range goal.Sets {
			all(goal.Count)
			row(goal.Then, q.Rate)
		}
	case score.SetsInRallies:
		for range goal.Count {
			row(goal.Of, q.Rate)
		}
	case score.FirstTo:
		for own, other := 0, 0; max(own, other) < goal.Count || max(own, other)-min(own, other) < goal.Lead; balls++ {
			if c.made(q.Rate) {
				own++
			} else {
				other++
			}
		}
	case score.FewMisses:
		for misses := 0; misses <= goal.Misses && balls < goal.Count; balls++ {
			if !c.made(q.Rate) {
				misses++
			}
		}
	case score.Together:
		all(goal.Count)
	case score.Stages:
		// Half a unit of log odds harder and a whole one much harder.
		shift := map[score.Hardness]float64{score.Harder: -0.5, score.MuchHarder: -1}
		for stage, run := 0, 0; stage < len(goal.Stages); {
			balls++
			o := q.Rate / (1 - q.Rate) * math.Exp(shift[goal.Stages[stage].Hard])
			switch {
			case c.made(o / (1 + o)):
				if run++; run == goal.Stages[stage].Count {
					stage, run = stage+1, 0
				}
			case goal.Miss == score.BackToStage:
				run = 0
			case goal.Miss != score.CarriesOn:
				stage, run = 0, 0
			}
		}
	case score.Rallies:
		rallies := 0
		for good := 0; good < goal.Count; {
			rallies++
			strokes := 0
			for strokes <= goal.To && c.made(q.Rate) {
				strokes++
			}
			if strokes >= goal.From && strokes <= goal.To {
				good++
			}
		}
		return float64(rallies)
	}
	return float64(balls)
}
