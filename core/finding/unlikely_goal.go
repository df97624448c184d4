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
	"hodometer/core/schedule"
	"hodometer/core/score"
	"hodometer/core/units"
)

// unlikely is the chance under which a goal is not expected to be met in its block.
const unlikely = 0.5

// goals says whose goal will rather not be met with the balls of the block, and which would be. Goals in
// points and rallies are left alone: what they take is not planned ball by ball.
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
		q, counted := question(mine, rate, s.Load, in)
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
		v.Goal, v.Why = &fitted, "Met 4 times in 5 with the balls of this block."
		f.Remedies = append(f.Remedies, Remedy{Label: fmt.Sprintf("%s: %s", person.Profile.Name, fitted), Edit: editing.Edit{Kind: editing.SetVariant, Block: l.Block.ID, Variant: &v}})
	}
	if len(order) == 0 {
		return nil, nil
	}
	f.Reason = fmt.Sprintf("%s, %s each:", l.Block.Title, units.Count(s.Load.Each, "ball", "balls"))
	for _, goal := range order {
		f.Reason += fmt.Sprintf(" %s is met by %s.", goal, strings.Join(phrases[goal], ", "))
	}
	return []Finding{f}, nil
}

// question is what a student's goal takes in the balls of a block; false where it is not counted in them.
func question(d drill.Document, rate odds.Rate, load *load.Load, in schedule.Inputs) (odds.Question, bool) {
	if d.Goal.Kind == score.FirstTo || d.Goal.Kind == score.Rallies || load.Each < 1 || !(rate.Mean > 0) || rate.Mean > 1 {
		return odds.Question{}, false
	}
	clock := odds.Clock{Gap: d.Pattern.Gap, Sequence: max(1, load.Each), People: 1, Basket: in.Settings.Basket}
	return odds.Question{Goal: d.Goal, Rate: rate.Mean, Partner: rate.Mean, Clock: clock, Balls: load.Each, Seconds: clock.Seconds(float64(load.Each)) + clock.Gap/2}, true
}
