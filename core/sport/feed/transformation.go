package feed

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// TransformationKind is what a transformation does.
type TransformationKind string

// The transformations.
const (
	ToOtherWing   TransformationKind = "other wing"
	ForLeftHander TransformationKind = "for a left-hander"
	Reverse       TransformationKind = "reverse"
	Shuffle       TransformationKind = "shuffle"
	DropTask      TransformationKind = "drop a task"
	Quicken       TransformationKind = "quicken"
	Slow          TransformationKind = "slow"
	Spread        TransformationKind = "spread"
	Gather        TransformationKind = "gather"
	Deeper        TransformationKind = "deeper"
	Shorter       TransformationKind = "shorter"
	LockPlace     TransformationKind = "lock to one place"
	Constrain     TransformationKind = "alternate constrained and free"
	LinkOn        TransformationKind = "link one more on"

	// These change what is asked for, not only the figures.
	OtherReply  TransformationKind = "reply to the other side"
	Attack      TransformationKind = "attack"
	Neutral     TransformationKind = "keep it neutral"
	SliceIn     TransformationKind = "a slice comes in"
	Constrained TransformationKind = "constrained"
	Free        TransformationKind = "free"
)

// Transformation is one transformation of a pattern.
type Transformation struct {
	Kind TransformationKind `json:"kind"`
	Task int                `json:"task,omitempty" minimum:"0" maximum:"60" description:"Which task is dropped, or holds the place, from 1; none for the last"`
	By   float64            `json:"by,omitempty" minimum:"0" maximum:"10" description:"Seconds, metres, or the share of a spread (1.25 is a quarter wider); no figure takes what is usual"`
	Seed uint64             `json:"seed,omitempty" maximum:"4294967295" description:"Of a shuffle"`
	Text string             `json:"text,omitempty" maxLength:"60" description:"Of a constraint: what it is"`
}

// Where says where a task of a pattern with n tasks is after a step: nowhere, in one place or in two.
func (s Transformation) Where(task, n int) []int {
	switch s.Kind {
	case Reverse:
		return []int{n - 1 - task}
	case DropTask:
		dropped := s.Task - 1
		if s.Task == 0 {
			dropped = n - 1
		}
		switch {
		case task == dropped:
			return nil
		case task > dropped:
			return []int{task - 1}
		}
	case Constrain:
		return []int{task, task + n}
	case LinkOn:
		if task == n-1 {
			return []int{task, n}
		}
	}
	return []int{task}
}

// Apply returns the pattern after a step, and a sentence on what changed.
func (s Transformation) Apply(p Pattern, c court.Court) (Pattern, string, error) {
	p = p.clone()
	n := len(p.Tasks)
	task := s.Task - 1
	if s.Task == 0 {
		task = n - 1
	}
	fail := func(format string, args ...any) (Pattern, string, error) {
		return p, "", invalid.Fields{{Path: "kind", Message: fmt.Sprintf(format, args...)}}
	}
	if task >= n {
		return fail("there is no task %d: the sequence has %d", s.Task, n)
	}
	switch s.Kind {
	case ToOtherWing:
		p = p.Mirrored()
		for i := range p.Tasks {
			p.Tasks[i].Stroke = p.Tasks[i].Stroke.OtherWing()
		}
		return p, "Left and right are changed over: forehands become backhands.", nil
	case ForLeftHander:
		return p.Mirrored(), "Left and right are changed over: the same strokes for a left-hander.", nil
	case Reverse:
		slices.Reverse(p.Tasks)
		p.move(func(task int) []int { return s.Where(task, n) })
		return p, "The sequence runs the other way round.", nil
	case Shuffle:
		p.Order, p.Seed = Shuffled, s.Seed
		return p, "The order is shuffled anew for every sequence.", nil
	case DropTask:
		if n == 1 {
			return fail("the only task cannot be dropped")
		}
		name := p.Tasks[task].Label(task)
		p.Tasks = slices.Delete(p.Tasks, task, task+1)
		p.move(func(task int) []int { return s.Where(task, n) })
		return p, fmt.Sprintf("Without %s.", name), nil
	case Quicken, Slow:
		return s.retime(p)
	case Spread, Gather, Deeper, Shorter:
		return s.replace(p, c)
	case LockPlace:
		for i := range p.Tasks {
			if p.Tasks[i].Player == p.Tasks[task].Player {
				p.Tasks[i].Landing = p.Tasks[task].Landing
			}
		}
		return p, fmt.Sprintf("Every task comes to the place of %s.", p.Tasks[task].Label(task)), nil
	case Constrain:
		if 2*n > MaxTasks {
			return fail("the sequence would have %d tasks; %d is the most", 2*n, MaxTasks)
		}
		var both []Task
		for _, cue := range []string{"constrained", "free"} {
			for _, t := range p.Tasks {
				t.Stance = cue
				both = append(both, t)
			}
		}
		p.Tasks = both
		p.move(func(task int) []int { return s.Where(task, n) })
		return p, "Each sequence is played once constrained, then once free.", nil
	case LinkOn:
		if n == MaxTasks {
			return fail("the sequence has %d tasks already, and that is the most", MaxTasks)
		}
		p.Tasks = append(p.Tasks, p.Mirrored().Tasks[n-1])
		p.Tasks[n].Stroke = p.Tasks[n].Stroke.OtherWing()
		return p, fmt.Sprintf("One more at the end: %s.", p.Tasks[n].Label(n)), nil
	}
	if phrase, ok := s.asks(&p, c.Sport); ok {
		return p, phrase, nil
	}
	return fail("%q is no change that can be made", s.Kind)
}

// retime changes all gaps by so many seconds.
func (s Transformation) retime(p Pattern) (Pattern, string, error) {
	const usual, shortest, longest = 0.3, 0.5, 60
	by := s.By
	if by == 0 {
		by = usual
	}
	word := "longer"
	if s.Kind == Quicken {
		by, word = -by, "shorter"
	}
	timed := func(gap float64) float64 {
		return math.Round(1000*math.Max(shortest, math.Min(longest, gap+by))) / 1000
	}
	was := p.Gap
	p.Gap = timed(p.Gap)
	for i := range p.Tasks {
		if p.Tasks[i].Gap > 0 {
			p.Tasks[i].Gap = timed(p.Tasks[i].Gap)
		}
	}
	return p, fmt.Sprintf(
		"The gap is %s s %s: %s s instead of %s s.",
		units.Decimal(math.Abs(p.Gap-was), 2),
		word,
		units.Decimal(p.Gap, 2),
		units.Decimal(was, 2),
	), nil
}

// replace moves the landing places of the student's balls, and keeps them on the court.
func (s Transformation) replace(p Pattern, c court.Court) (Pattern, string, error) {
	places := map[int]court.Point{}
	var middle court.Point
	for i, t := range p.Tasks {
		if t.Player > 0 {
			continue
		}
		at, err := c.Resolve(t.Landing)
		if err != nil {
			var wrong invalid.Fields
			wrong.Under(invalid.Join("tasks", i, "landing"), err)
			return p, "", wrong.Err()
		}
		places[i] = at
	}
	for i := range p.Tasks {
		if at, ok := places[i]; ok {
			middle.X, middle.Y = middle.X+at.X/float64(len(places)), middle.Y+at.Y/float64(len(places))
		}
	}
	share, deeper, phrase := 1.0, 0.0, ""
	amount := func(usual float64) float64 {
		if s.By > 0 {
			return s.By
		}
		return usual
	}
	metres := amount(0.04 * c.Length)
	switch s.Kind {
	case Spread:
		share = math.Max(1, amount(1.25))
		phrase = fmt.Sprintf("The places lie %s %% further apart", units.Decimal(100*(share-1), 0))
	case Gather:
		share = 1 / math.Max(1, amount(1.25))
		phrase = fmt.Sprintf("The places lie %s %% nearer to one another", units.Decimal(100*(1-share), 0))
	case Deeper:
		deeper, phrase = metres, fmt.Sprintf("The places lie %s deeper", units.Metres.Length(metres))
	case Shorter:
		deeper, phrase = -metres, fmt.Sprintf("The places lie %s shorter", units.Metres.Length(metres))
	}
	held := false
	for i, at := range places {
		to := court.Point{X: middle.X + share*(at.X-middle.X), Y: middle.Y + share*(at.Y-middle.Y)}
		to.Y -= deeper // away from the net, or from the front wall, on the student's half
		moved := onCourt(to, at, c)
		held = held || moved.Distance(to) > 1e-9
		p.Tasks[i].Landing = c.Rounded(c.Measure(moved, p.Tasks[i].Landing), 0.01, moved.X != at.X, moved.Y != at.Y)
	}
	if held {
		phrase += ", as far as the court allows"
	}
	return p, phrase + ".", nil
}

// onCourt keeps a place on the court, on its own half, off the lines and off the net. A place that was
// further out stays as far out.
func onCourt(to, was court.Point, c court.Court) court.Point {
	edge := 0.02 * c.Length
	within := func(v, low, high, was float64) float64 {
		return math.Max(math.Min(low, was), math.Min(math.Max(high, was), v))
	}
	wide := c.Singles/2 - edge
	low, high := -c.Length/2+edge, c.Length/2-edge
	if c.HasNet() {
		high = -4 * edge
		if was.Y > 0 {
			low, high = 4*edge, c.Length/2-edge
		}
	}
	return court.Point{X: within(to.X, -wide, wide, was.X), Y: within(to.Y, low, high, was.Y)}
}
