package odds

import (
	"hodometer/core/count/score"
	"hodometer/core/people/skill"
)

// Leg is a goal that comes before another one, and what is made of ten while it is on.
type Leg struct {
	Goal  score.Goal
	Rate  float64
	Share float64 // of the misses, those of the kind that the goal is about

	Likely []skill.Likely // what its rate may be, as many as of the goal; none: it is known
}

// chance is that of one attempt: of rallies that one is as long as it is wanted, of misses of one kind that it is none
// of them.
func (l Leg) chance() float64 {
	switch {
	case l.Goal.Kind == score.Rallies:
		return bandOf(l.Goal, l.Rate).wanted
	case l.Goal.Only != "":
		return 1 - (1-l.Rate)*l.Share
	}
	return l.Rate
}
