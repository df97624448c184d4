package odds

import (
	"context"
	"errors"
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
)

// WantedChance is how often a goal that suits a player is met: 4 times in 5.
const WantedChance = 0.8

// Within is the chance to meet the goal within the time of the question, after everything that comes before it. Of
// several states that it may stand at it is the least.
func (q Question) Within(ctx context.Context) (float64, error) {
	low, _, err := q.FromHere(ctx)
	return low, err
}

// FromHere is the least and the most of the chances to meet the goal within the time of the question, of all states
// that it may stand at.
func (q Question) FromHere(ctx context.Context) (low, high float64, err error) {
	states := q.From
	if len(states) == 0 {
		states = []score.State{0}
	}
	low, high = 1, 0
	for _, s := range states {
		chance, err := q.mean(func(at Question) (float64, error) { return at.within(ctx, s) })
		if err != nil {
			return 0, 0, err
		}
		low, high = math.Min(low, chance), math.Max(high, chance)
	}
	return low, high, nil
}

// within is the chance from one state, at a rate that is known.
func (q Question) within(ctx context.Context, from score.State) (float64, error) {
	switch {
	case from == score.Met:
		return 1, nil
	case from == score.Lost:
		return 0, nil
	case q.Goal.Kind == score.AsManyAsPossible:
		return hoped(q.inTime(), max(0, q.Goal.Steps()-q.Have)), nil
	}
	limit, _ := q.limit()
	horizon := q.Goal.Kind == score.FewMisses || q.Goal.Kind == score.WithinATime
	if from == 0 && q.steps() > limit && !horizon {
		return 0, nil
	}
	p := q.process()
	if horizon {
		_, _, met := p.moments(from)
		return met, nil
	}
	if limit*p.Len() <= maxUpdates {
		return p.soon(ctx, from, limit)
	}
	w, err := p.wait(ctx, from, 0, limit)
	return w.within(limit), err
}

// Enough is how many attempts are enough 4 times in 5, with everything that comes before the goal, and how many seconds
// they take one player; false for a goal that ends by itself.
func (q Question) Enough(ctx context.Context) (attempts, seconds float64, ok bool, err error) {
	switch q.Goal.Kind {
	case score.FirstTo, score.FewMisses, score.WithinATime, score.AsManyAsPossible:
		return 0, 0, false, nil
	}
	all, err := q.waits(ctx, WantedChance)
	if err != nil {
		return 0, 0, false, err
	}
	attempts, _ = all.quantile(WantedChance)
	attempts = math.Min(attempts, forever)
	return attempts, q.clock().Seconds(attempts), true, nil
}

// with is the question with so many more or fewer to make: the count, or that of each stage.
func (q Question) with(count int) Question {
	q.Goal.Count = count
	if q.Goal.Kind == score.Stages {
		stages := make([]score.Stage, len(q.Goal.Stages))
		for i, stage := range q.Goal.Stages {
			stage.Count = count
			stages[i] = stage
		}
		q.Goal.Stages = stages
	}
	return q
}

// Attainable is the largest goal of its kind that is met 4 times in 5 within the time of the question. A race is
// fitted by its length, as many as possible by what is hoped for. It returns invalid.Fields: also
// where even the smallest goal takes longer.
func (q Question) Attainable(ctx context.Context) (score.Goal, error) {
	if q.Goal.Kind == score.WithinATime {
		return score.Goal{}, invalid.Fields{{Path: "goal", Message: "what is run on the clock is not fitted by its tries"}}
	}
	if q.Goal.Timed() {
		return q.fewest(ctx)
	}
	least := 1
	if q.Goal.Kind == score.FewMisses {
		least += q.Goal.Misses // else nothing would have to be made
	}
	small := q.with(least)
	if err := small.Check(); err != nil {
		return score.Goal{}, err
	}
	if q.Seconds <= 0 && q.Goal.Kind != score.AsManyAsPossible {
		return score.Goal{}, invalid.Fields{{Path: "seconds", Message: "say how many minutes there are"}}
	}
	low, high := least-1, score.MaxCount+1
	for low+1 < high {
		mid := (low + high) / 2
		if tried := q.with(mid); tried.Goal.Check() != nil {
			high = mid
		} else if chance, err := tried.Within(ctx); err != nil {
			return score.Goal{}, err
		} else if chance >= WantedChance {
			low = mid
		} else {
			high = mid
		}
	}
	if low < least {
		return score.Goal{}, invalid.Fields{
			{
				Path: "goal",
				Message: "at " + ofTen(
					q.Rate,
				) + " even the smallest goal of this kind is met less than 4 times in 5 in " + minutes(
					q.Seconds,
				) + " min; give it more time or an easier target",
			},
		}
	}
	return q.with(low).Goal, nil
}

// fewest is the goal of so many minutes with the fewest misses that is kept 4 times in 5.
func (q Question) fewest(ctx context.Context) (score.Goal, error) {
	low, high := -1, score.MaxCount
	for low+1 < high {
		mid := (low + high) / 2
		q.Goal.Misses = mid
		chance, err := q.Within(ctx)
		if err != nil {
			return score.Goal{}, err
		}
		if chance >= WantedChance {
			high = mid
		} else {
			low = mid
		}
	}
	q.Goal.Misses = high
	return q.Goal, nil
}

// Suggest says how likely the goal is met in the time of the question, and which goal of its kind would
// be met 4 times in 5; there is none where even the smallest takes longer.
func (q Question) Suggest(ctx context.Context, a Answer) (*score.Goal, string, error) {
	limit := q.Seconds
	if q.Goal.Kind == score.AsManyAsPossible {
		limit = 60 * q.Goal.Minutes
	}
	phrase := ""
	switch q.Goal.Kind {
	case score.WithinATime:
		return nil, "", nil // its tries are all there are
	case score.FewMisses: // it is over when all balls are played
	case score.FirstTo: // its chance is that of winning
		chance, err := q.Within(ctx)
		if err != nil {
			return nil, "", err
		}
		phrase = fmt.Sprintf("In %s min it is over %s.", minutes(limit), Times(chance))
	default:
		phrase = fmt.Sprintf("In %s min it is reached %s.", minutes(limit), Times(*a.Chance))
	}
	goal, err := q.Attainable(ctx)
	var wrong invalid.Fields
	switch {
	case errors.As(err, &wrong):
		return nil, strings.TrimSpace(
			phrase + " Even the smallest goal of this kind would be met less than 4 times in 5.",
		), nil
	case err != nil:
		return nil, "", err
	}
	return &goal, strings.TrimSpace(phrase + fmt.Sprintf(" 4 times in 5: %s.", goal)), nil
}
