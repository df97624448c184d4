package drill

import (
	"context"
	"reflect"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Difficulty is which way a variation goes.
type Difficulty string

// The ways.
const (
	Easier Difficulty = "easier"
	Harder Difficulty = "harder"
)

// Variation is a version of a drill that stands ready: a list of transformations with a name.
type Variation struct {
	Name       string                `json:"name" minLength:"1" maxLength:"60"`
	Difficulty Difficulty            `json:"difficulty"`
	Steps      []feed.Transformation `json:"steps" minItems:"1" maxItems:"6"`
	Measures   []Measure             `json:"measures,omitempty" maxItems:"8" description:"What is tried and counted in it; empty: what the steps make of the drill's own"`
}

// after are the measures once a step was taken in a pattern of n tasks: each with the tasks that were its own, and with
// what the step asks for. One whose tasks are gone goes with them.
func (d Document) after(step feed.Transformation, n int) []Measure {
	var list []Measure
	for _, m := range cloneMeasures(d.Measures) {
		if len(m.Tasks) > 0 {
			var tasks []int
			for _, task := range m.Tasks {
				tasks = append(tasks, step.Where(task, n)...)
			}
			if len(tasks) == 0 {
				continue
			}
			m.Tasks = tasks
		}
		switch step.Kind {
		case feed.OtherReply:
			if m.Target != nil {
				*m.Target = m.Target.Mirrored()
			}
		case feed.Constrained:
			m.Constraint = step.Constraint()
		case feed.Free:
			m.Constraint = ""
		}
		list = append(list, m)
	}
	return list
}

// Transformed returns the drill after transformations, and a sentence for each on what changed. A change after
// which a ball could no longer be fed is refused, and so is one that changes nothing.
func (d Document) Transformed(
	ctx context.Context,
	steps []feed.Transformation,
	s coach.Settings,
) (Document, []string, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	before, err := d.feedProblems(ctx, s)
	if err != nil {
		return d, nil, err
	}
	d, phrases, err := d.stepped(steps, c)
	if err != nil {
		return d, nil, err
	}
	if err := d.Check(); err != nil {
		return d, nil, err
	}
	after, err := d.feedProblems(ctx, s)
	if err == nil && len(after) > len(before) {
		messages := []string{}
		for _, f := range after {
			if !slices.Contains(before, f) {
				messages = append(messages, f.Message)
			}
		}
		err = invalid.Fields{{Path: "steps", Message: strings.Join(messages, " ")}}
	}
	return d, phrases, err
}

// stepped takes the steps one after the other. One that changes nothing is refused.
func (d Document) stepped(steps []feed.Transformation, c court.Court) (Document, []string, error) {
	phrases := []string{}
	for i, step := range steps {
		var sentence string
		var err error
		varied := d
		switch step.Kind {
		case feed.ToOtherWing, feed.ForLeftHander:
			varied = d.Mirrored()
		}
		varied.Pattern, sentence, err = step.Apply(d.Pattern, c)
		var wrong invalid.Fields
		if err != nil {
			wrong.Under(invalid.Join("steps", i), err)
			return d, nil, wrong.Err()
		}
		varied.Measures = varied.after(step, len(d.Pattern.Tasks))
		if step.Kind == feed.ToOtherWing {
			varied.Stroke = d.Stroke.OtherWing()
			for i := range varied.Measures {
				varied.Measures[i].Stroke = varied.Measures[i].Stroke.OtherWing()
			}
		}
		if reflect.DeepEqual(d, varied) {
			wrong.Add(invalid.Join("steps", i, "kind"), "“%s” changes nothing in this drill; choose another change", step.Kind)
			return d, nil, wrong.Err()
		}
		d = varied
		phrases = append(phrases, sentence)
	}
	return d, phrases, nil
}
