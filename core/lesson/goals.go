package lesson

import (
	"context"
	"errors"
	"fmt"

	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/odds"
	"hodometer/core/units"
)

// unlikely is the chance under which a goal is not expected to be met in its block.
const unlikely = 0.5

// goals says whose goal will rather not be met with the balls of the block, and which would be. Goals in
// points and rallies are left alone: what they take is not planned ball by ball.
func (l laid) goals(ctx context.Context, s Stretch, in Inputs) ([]Finding, error) {
	if in.Rates == nil {
		return nil, nil
	}
	f := found(Warning, l.block, "")
	said := map[string]string{} // names by sentence
	var order []string
	for _, person := range l.people {
		rate := in.Rates[l.block.Drill][person.ID]
		mine := l.block.DrillFor(l.document, person)
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
		sentence := fmt.Sprintf("%s is met about %s times in 10 with the %s of this block", q.Goal, units.Decimal(10*chance, 0), units.Count(s.Load.Each, "ball", "balls"))
		if said[sentence] == "" {
			order = append(order, sentence)
			said[sentence] = person.Profile.Name
		} else {
			said[sentence] += ", " + person.Profile.Name
		}
		goal, err := q.Fit(ctx)
		var wrong invalid.Fields
		switch {
		case errors.As(err, &wrong):
			continue
		case err != nil:
			return nil, err
		}
		v := l.block.variant(person.ID)
		v.Goal, v.Why = &goal, "Met 4 times in 5 with the balls of this block."
		f.Remedies = append(f.Remedies, Remedy{Label: fmt.Sprintf("%s: %s", person.Profile.Name, goal), Change: Change{Kind: Varied, Block: l.block.ID, Variant: &v}})
	}
	if len(order) == 0 {
		return nil, nil
	}
	f.Reason = l.block.Title + ":"
	for _, sentence := range order {
		f.Reason += " " + said[sentence] + " – " + sentence + "."
	}
	return []Finding{f}, nil
}

// question is what a student's goal takes in the balls of a block; false where it is not counted in them.
func question(d drill.Document, rate odds.Rate, load *drill.Load, in Inputs) (odds.Question, bool) {
	if d.Goal.Kind == odds.FirstTo || d.Goal.Kind == odds.Rallies || load.Each < 1 || !(rate.Mean > 0) || rate.Mean > 1 {
		return odds.Question{}, false
	}
	clock := odds.Clock{Gap: d.Pattern.Gap, Sequence: max(1, load.Each), People: 1, Basket: in.Settings.Basket}
	return odds.Question{Goal: d.Goal, Rate: rate.Mean, Partner: rate.Mean, Clock: clock, Balls: load.Each, Seconds: clock.Seconds(float64(load.Each)) + clock.Gap/2}, true
}
