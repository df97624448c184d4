package odds

import (
	"context"
	"slices"

	"hodometer/core/count/score"
	"hodometer/core/people/skill"
)

// maxSteps bounds what a forecast from a standing takes: attempts times states.
const maxSteps = 4_000_000

// FromHere is the chance to meet goals within so many more attempts, each of which is made with one of some rates, from
// where they stand: a machine and the states that are possible. It is the least and the most of them. It is false where
// the attempts are not one letter each, or it would take too long, and returns ctx.Err() when cancelled.
//
// At each rate, with n attempts left the chance from a state is that with n-1 from the next ones, weighted with the
// rate; with none left it is 0.
func FromHere(
	ctx context.Context,
	goals score.Course,
	m *score.Machine,
	states []score.State,
	likely []skill.Likely,
	attempts int,
) (low, high float64, ok bool, err error) {
	for _, g := range goals {
		switch g.Kind {
		case score.Total, score.Streak, score.Stages, score.Routine:
		default:
			return 0, 0, false, nil
		}
	}
	if len(states) == 0 || attempts < 0 || attempts*m.Len()*len(likely) > maxSteps {
		return 0, 0, false, nil
	}
	sum := make([]float64, len(states))
	for _, l := range likely {
		if !(l.Rate >= 0) || l.Rate > 1 {
			return 0, 0, false, nil
		}
		from, err := fromHere(ctx, m, l.Rate, attempts)
		if err != nil {
			return 0, 0, false, err
		}
		for i, s := range states {
			sum[i] += l.Share * from(s)
		}
	}
	return slices.Min(sum), slices.Max(sum), true, nil
}

// fromHere works out the chance from every state at one rate.
func fromHere(
	ctx context.Context,
	m *score.Machine,
	rate float64,
	attempts int,
) (func(score.State) float64, error) {
	table := m.Table()
	chance, next := make([]float64, m.Len()), make([]float64, m.Len())
	of := func(s score.State) float64 {
		switch s {
		case score.Met:
			return 1
		case score.Lost:
			return 0
		}
		return chance[s]
	}
	for range attempts {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		for s, to := range table {
			p := m.Hard(score.State(s)).Rate(rate)
			next[s] = p*of(to[score.Make]) + (1-p)*of(to[score.Miss])
		}
		chance, next = next, chance
	}
	return of, nil
}
