package finding

import (
	"context"
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
)

// goals says whose goals will rather not be met in the block, and which would be.
func goals(
	ctx context.Context,
	l schedule.Prepared,
	s schedule.ScheduledBlock,
	list []prospect.Prospect,
	in schedule.Inputs,
) ([]Finding, error) {
	f := found(Warning, l.Block, "")
	phrases := map[string][]string{} // names and chances by goal
	verbs := map[string]string{}
	var order []string
	each := ""
	for _, p := range list {
		if p.Chance == nil || *p.Chance >= prospect.Likely || !p.Keeps {
			continue
		}
		goal := p.Goal
		if p.Called != "" {
			goal = p.Called + ", " + goal + ","
		}
		if phrases[goal] == nil {
			order = append(order, goal)
		}
		if each == "" {
			each = p.Tries + " each"
			if p.Joint {
				each = p.Tries + " together"
			}
			if l.Document.Pattern.Rally != nil {
				each = units.Clock(l.Document.Pattern.FeedingSeconds(1, s.Load.Turns)) + " min of rallies each"
			}
		}
		verbs[goal] = "met by"
		if p.Race {
			verbs[goal] = "over in time for"
		}
		enough, err := enough(ctx, l, s, p, in)
		if err != nil {
			return nil, err
		}
		phrases[goal] = append(phrases[goal], p.Name+" "+p.Times+enough)
		if p.Joint {
			continue // another goal for one of them would not be that of the others
		}
		fitted, ok, err := p.Attainable(ctx)
		if err != nil {
			return nil, err
		}
		if !ok {
			continue
		}
		v := l.Block.Variant(p.Student)
		v.Reach(p.Measure, fitted)
		v.Why = say.Of("variant.met")
		label := fmt.Sprintf("%s: %s", p.Name, fitted)
		if p.Called != "" {
			label = fmt.Sprintf("%s, %s: %s", p.Name, p.Called, fitted)
		}
		f.Remedies = append(
			f.Remedies,
			Remedy{Label: label, Edit: editing.Edit{Kind: editing.SetVariant, Block: l.Block.ID, Variant: &v}},
		)
	}
	if len(order) == 0 {
		return nil, nil
	}
	f.Reason = fmt.Sprintf("%s, %s:", l.Block.Title, each)
	for _, goal := range order {
		f.Reason += fmt.Sprintf(" %s is %s %s.", goal, verbs[goal], strings.Join(phrases[goal], ", "))
	}
	return []Finding{f}, nil
}

// enough says in how many minutes a goal would be met 4 times in 5; empty for one that ends by itself.
func enough(
	ctx context.Context,
	l schedule.Prepared,
	s schedule.ScheduledBlock,
	p prospect.Prospect,
	in schedule.Inputs,
) (string, error) {
	const longest = 3 * 60 // minutes; nobody plays one drill for longer
	turns, ok, err := p.Turns(ctx, s.Load.Turns)
	if !ok || err != nil {
		return "", err
	}
	minutes := float64(longest + 1)
	if turns < 1000 {
		minutes = math.Ceil((s.SetUp - l.Document.SetUp + load.For(l.Document, l.Group, int(turns), in.Settings).Need) / 60)
	}
	if minutes > longest {
		return " (no lesson is long enough)", nil
	}
	return fmt.Sprintf(" (4 times in 5 in %s min)", units.Decimal(minutes, 0)), nil
}
