package finding

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"hodometer/core/drill"
	"hodometer/core/editing"
	"hodometer/core/invalid"
	"hodometer/core/load"
	"hodometer/core/odds"
	"hodometer/core/playerfit"
	"hodometer/core/schedule"
	"hodometer/core/score"
	"hodometer/core/units"
)

// unlikely is the chance under which a goal is not expected to be met in its block.
const unlikely = 0.5

// goals says whose goal will rather not be met with the balls of the block, and which would be. Goals in
// points are left alone: what a point takes is not planned.
func goals(ctx context.Context, l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) ([]Finding, error) {
	if in.Rates == nil {
		return nil, nil
	}
	f := found(Warning, l.Block, "")
	phrases := map[string][]string{} // names and chances by goal
	var order []string
	for _, person := range l.People {
		rate := in.Rates[l.Block.Drill][person.ID]
		mine := l.Block.DrillFor(l.Document, person)
		q, counted := question(mine, rate, s, in.Work[l.Block.Drill].Stroke, in)
		if !counted {
			continue
		}
		chance, err := q.Within(ctx)
		if err != nil {
			return nil, err
		}
		if chance >= unlikely {
			continue
		}
		goal := q.Goal.String()
		if phrases[goal] == nil {
			order = append(order, goal)
		}
		phrases[goal] = append(phrases[goal], person.Profile.Name+" "+odds.Times(chance))
		fitted, err := q.Fit(ctx)
		var wrong invalid.Fields
		switch {
		case errors.As(err, &wrong):
			continue
		case err != nil:
			return nil, err
		}
		v := l.Block.Variant(person.ID)
		v.Goal, v.Why = &fitted, "Met 4 times in 5 in this block."
		f.Remedies = append(f.Remedies, Remedy{Label: fmt.Sprintf("%s: %s", person.Profile.Name, fitted), Edit: editing.Edit{Kind: editing.SetVariant, Block: l.Block.ID, Variant: &v}})
	}
	if len(order) == 0 {
		return nil, nil
	}
	each := units.Count(s.Load.Each, "ball", "balls")
	if l.Document.Goal.Unit() == score.Rally {
		each = units.Clock(played(l.Document, s.Load)) + " min of rallies"
	}
	f.Reason = fmt.Sprintf("%s, %s each:", l.Block.Title, each)
	for _, goal := range order {
		f.Reason += fmt.Sprintf(" %s is met by %s.", goal, strings.Join(phrases[goal], ", "))
	}
	return []Finding{f}, nil
}

// question is what a student's goal takes in the balls of a block, or in its time where rallies are counted; false
// where it is not planned ball by ball.
func question(d drill.Document, rate odds.Rate, s schedule.ScheduledBlock, stroke float64, in schedule.Inputs) (odds.Question, bool) {
	if !(rate.Mean > 0) || rate.Mean > 1 {
		return odds.Question{}, false
	}
	q := odds.Question{Goal: d.Goal, Rate: rate.Mean, Partner: rate.Mean}
	switch {
	case d.Goal.Unit() == score.Rally && stroke > 0:
		q.Clock = playerfit.Clock(d, stroke, 1, in.Settings)
		q.Seconds = played(d, s.Load)
	case d.Goal.Unit() == score.Ball && s.Load.Each > 0:
		q.Clock = odds.Clock{Gap: d.Pattern.Gap, Sequence: s.Load.Each, People: 1, Basket: in.Settings.Basket}
		q.Balls = s.Load.Each
		q.Seconds = q.Clock.Seconds(float64(s.Load.Each)) + q.Clock.Gap/2
	default:
		return odds.Question{}, false
	}
	return q, true
}

// played is how many seconds of a block one player is in rallies: all of its play, or a fair share where more people
// are there than can play at once.
func played(d drill.Document, l *load.Load) float64 {
	return l.Feeding * min(1, float64(l.Lines*load.AtOnce(d))/float64(l.People))
}
