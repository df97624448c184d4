package progress

import (
	"math"
	"slices"

	"hodometer/core/people/skill"
)

// Option is a drill with which it can be found out where somebody stands: what is counted of it in one lesson.
type Option struct {
	Name string
	Unit string // what is counted, more than one of them
	Look skill.Look
}

// Settling is what would make a step clear.
type Settling struct {
	Option
	Lessons int
}

// mostLessons is how far ahead it is told what would make a step clear: what takes more is not clear for a season.
const mostLessons = 8

// lookBalls is how many balls a lesson has for a look.
const lookBalls = 24

// OptionOf is a drill at which somebody was counted, for a look of a lesson: so many balls in all, one or several to an
// attempt.
func OptionOf(name, unit, drill string, a skill.Attempt) Option {
	attempts := lookBalls
	if a.All {
		attempts = max(1, lookBalls/len(a.Balls))
	}
	return Option{name, unit, skill.Look{Drill: drill, Attempt: a, Attempts: attempts}}
}

// settled is how many more lessons of a look make it more likely than not that a step is clear, where it is need
// log-odds above the level that the bar is, and after says how sure it will be. False where that are too many.
func settled(better skill.Estimate, need float64, after func(lessons int) float64, b Bounds) (int, bool) {
	up, back := normal(b.Up), -normal(b.Back)
	above := better.Mean - need
	for lessons := 1; lessons <= mostLessons; lessons++ {
		sd := after(lessons)
		// What is thought then is known now but for what the lessons tell: it moves by so much.
		moves := math.Sqrt(math.Max(0, better.SD*better.SD-sd*sd))
		if moves == 0 {
			continue
		}
		goes := tail((up*sd-above)/moves) + tail((back*sd+above)/moves)
		if goes >= 0.5 {
			return lessons, true
		}
	}
	return 0, false
}

// tail is how often a normal variable is more than so many standard deviations above its mean.
func tail(z float64) float64 { return 0.5 * math.Erfc(z/math.Sqrt2) }

// normal is how many standard deviations above the mean so much of a normal variable lies below.
func normal(p float64) float64 { return math.Sqrt2 * math.Erfinv(2*p-1) }

// Settle is what would make the step on a rung clear in the fewest lessons, of as many the first; false where nothing
// does.
func (k Known) Settle() (best Settling, found bool) {
	own := k.Standards[k.Rung]
	need := own.Attempt.Reaches(k.Bounds.Bar)
	itself := OptionOf("the standard task ("+own.Task+")", "balls", "", own.Attempt)
	for _, option := range append(slices.Clip(k.Options), itself) {
		after := func(lessons int) float64 { return k.Skill.After(k.Of, k.Day, option.Look, lessons) }
		if n, ok := settled(k.Better(), need, after, k.Bounds); ok && (!found || n < best.Lessons) {
			best, found = Settling{option, n}, true
		}
	}
	return best, found
}
