package drill

import (
	"context"
	"slices"
	"strings"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/invalid"
)

// Towards is which way a variation goes.
type Towards string

// The ways.
const (
	Easier Towards = "easier"
	Harder Towards = "harder"
)

// Enum lists them for the schema.
func (Towards) Enum() []any { return []any{Easier, Harder} }

// Variation is a version of a drill that stands ready: a list of transformations with a name.
type Variation struct {
	Name    string      `json:"name" minLength:"1" maxLength:"60"`
	Towards Towards     `json:"towards"`
	Steps   []feed.Step `json:"steps" minItems:"1" maxItems:"6"`
}

// Varied returns the drill after transformations, and a sentence for each on what changed. A change after
// which a ball could no longer be fed is refused.
func (d Document) Varied(ctx context.Context, steps []feed.Step, s coach.Settings) (Document, []string, error) {
	c, err := court.Find(d.Court)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	before, err := d.feedProblems(ctx, s)
	if err != nil {
		return d, nil, err
	}
	said := []string{}
	for i, step := range steps {
		var sentence string
		varied := d
		switch step.Change {
		case feed.ToOtherWing, feed.ForLeftHander:
			varied = d.Mirrored()
		}
		varied.Pattern, sentence, err = step.Apply(d.Pattern, c)
		if err != nil {
			var wrong invalid.Fields
			wrong.Under(invalid.Join("steps", i), err)
			return d, nil, wrong.Err()
		}
		if step.Change == feed.ToOtherWing {
			varied.Stroke = d.Stroke.OtherWing()
		}
		d = varied
		said = append(said, sentence)
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
	return d, said, err
}
