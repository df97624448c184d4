package feed

import (
	"context"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/seeded"
)

// Ending is what ends a turn.
type Ending string

// The endings. The zero value is a fixed count of sequences.
const (
	AfterACount Ending = "after a count"
	AtRandom    Ending = "after a random count"
	AtAMiss     Ending = "at the first miss"
	ByTheClock  Ending = "by the clock"
)

// Next is when the next player starts.
type Next string

// The ways of following on. The zero value is when the last one has finished.
const (
	AfterTheLast Next = "when the last one has finished"
	WhileTheLast Next = "while the last one is finishing"
	AllAtOnce    Next = "all at once"
)

// Order is in which order the tasks of a sequence come.
type Order string

// The orders. The zero value is as they are listed.
const (
	AsListed Order = "as listed"
	Shuffled Order = "shuffled"
	Drawn    Order = "drawn by weight"
)

// Random says whether chance decides which task comes.
func (o Order) Random() bool { return o == Shuffled || o == Drawn }

// Release is one task of a turn and when it begins.
type Release struct {
	Sequence int
	Task     int        // in the pattern
	At       float64    // seconds after the turn begins
	Nearer   float64    // metres that it is nearer to the net than it says
	Within   [2]float64 // where in its area, across and along, each at least 0 and less than 1
}

// sequencesIn is how many sequences a turn has: as many as it says, or a random number up to the most.
func (p Pattern) sequencesIn(r *seeded.Numbers) int {
	if p.Ends == AtRandom && p.MaxSequences > p.Sequences {
		return p.Sequences + r.Below(p.MaxSequences-p.Sequences+1)
	}
	return p.Sequences
}

// What a turn can have.
const (
	MaxReleases = 240 // tasks
	MaxBalls    = 200
)

// PlanTurn lists the tasks of one turn in order. The same pattern with the same turn gives the same list.
// It returns ctx.Err() when cancelled, and a list of fields for a turn of more than MaxReleases tasks.
func (p Pattern) PlanTurn(ctx context.Context, turn int) ([]Release, error) {
	if err := ctx.Err(); err != nil {
		return nil, err
	}
	seed := p.Seed + uint64(max(0, turn))*0x2545f4914f6cdd1d
	r := seeded.From(seed)
	sequences := p.sequencesIn(r)
	listed := p.Listed()
	if sequences*len(listed) > MaxReleases {
		return nil, invalid.Fields{
			{
				Path:    "pattern.sequences",
				Message: fmt.Sprintf("a turn has at most %d tasks, and these are %d × %d", MaxReleases, sequences, len(listed)),
			},
		}
	}
	choices, across, along := spread(seed+1, golden), spread(seed+2, plastic), spread(seed+3, plastic*plastic)
	var plan []Release
	at := 0.0
	for sequence := range sequences {
		begins := at
		for _, w := range chosen(p.order(r, listed), choices) {
			plan = append(
				plan,
				Release{Sequence: sequence, Task: w.Task, At: at, Nearer: w.Nearer, Within: [2]float64{across(), along()}},
			)
			at += w.Gap + w.Rest
		}
		if p.Ends == ByTheClock {
			at = begins + p.On
		}
		at += p.Pause
	}
	return plan, nil
}

// What spreads numbers evenly in one and in two dimensions: the ratio of the golden section, and the reciprocal of the
// number whose cube is itself and one (from memory).
const (
	golden  = 0.6180339887498949
	plastic = 0.7548776662466927
)

// spread gives numbers from 0 to 1 that lie evenly from the first few on, beginning at random: a branch that is played
// one time in three is played so in a single turn too, as near as can be.
func spread(seed uint64, step float64) func() float64 {
	next := seeded.From(seed).Share()
	return func() float64 {
		now := next
		_, next = math.Modf(next + step)
		return now
	}
}

// Known says whether a player knows before which ball comes next, and where.
func (p Pattern) Known() bool {
	return !p.Order.Random() && len(p.Branches) == 0 &&
		!slices.ContainsFunc(p.Tasks, func(t Task) bool { return t.Area != nil })
}

// Varies says whether one turn differs from the next.
func (p Pattern) Varies() bool { return !p.Known() || p.Ends == AtRandom }

// order is the tasks of one sequence, from those that are listed.
func (p Pattern) order(r *seeded.Numbers, listed []Written) []Written {
	n := len(listed)
	switch p.Order {
	case Shuffled:
		shuffled := make([]Written, n)
		for i, at := range r.Order(n) {
			shuffled[i] = listed[at]
		}
		return shuffled
	case Drawn:
		all := 0.0
		for _, t := range p.Tasks {
			all += t.share()
		}
		drawn := make([]Written, n)
		for i := range drawn {
			task, left := 0, r.Share()*all
			for left -= p.Tasks[0].share(); left >= 0 && task < len(p.Tasks)-1; left -= p.Tasks[task].share() {
				task++
			}
			drawn[i] = Written{Task: task, Gap: p.GapOf(p.Tasks[task]), Share: 1}
		}
		return drawn
	}
	return listed
}

// share is how often a task is drawn, against the others.
func (t Task) share() float64 {
	if t.Weight > 0 {
		return t.Weight
	}
	return 1
}
