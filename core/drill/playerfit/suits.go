package playerfit

import (
	"context"
	"math"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// A goal is worth playing for where it is met so often. Our own choice.
const (
	seldom = 0.2
	often  = 0.9
)

// Suits returns the levels that a drill suits, in order: those at which a right-handed player of the usual age, alone
// and just as good as the level, meets the goal of its main measure two to nine times in ten in the turns of the
// drill. That does not go by a coach's settings. There are none where the goal cannot be asked so, or suits nobody, as
// one for several lessons. It returns ctx.Err() when cancelled.
func Suits(ctx context.Context, d drill.Document) ([]student.Level, error) {
	list := []student.Level{}
	for _, level := range student.LevelsFor(d.Sport) {
		chance, err := meets(ctx, d, level)
		if err != nil {
			return nil, err
		}
		if shown := math.Round(100*chance) / 100; shown >= seldom && shown <= often {
			list = append(list, level)
		}
	}
	return list, nil
}

// meets is how often a level meets the goal of a drill's main measure in its turns; 0 where that is not asked.
func meets(ctx context.Context, d drill.Document, level student.Level) (float64, error) {
	m := d.Main()
	if m.What == score.Time || len(m.Goals) == 0 {
		return 0, nil
	}
	s := coach.Default()
	known, err := Know(ctx, d, d.PlayerFor(level, student.RightHand), level, s)
	if err != nil {
		return 0, err
	}
	q := Ask(d, m, m.Goals[0], known.Tried[0].Typical(), known.Stroke, 1, s)
	answer, err := Planned(q, d, m, float64(d.Turns), d.Pattern.FeedingSeconds(1, d.Turns)).Answer(ctx)
	switch {
	case ctx.Err() != nil:
		return 0, ctx.Err()
	case err != nil || answer.Chance == nil:
		return 0, nil //nolint:nilerr // a goal that cannot be asked suits nobody
	}
	return *answer.Chance, nil
}
