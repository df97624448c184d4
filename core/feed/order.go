package feed

import (
	"context"
	"fmt"

	"hodometer/core/invalid"
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

// Release is one task of a turn and when it begins.
type Release struct {
	Sequence int
	Task     int     // in the pattern
	At       float64 // seconds after the turn begins
}

// sequencesIn is how many sequences a turn has: as many as it says, or a random number up to the most.
func (p Pattern) sequencesIn(r *numbers) int {
	if p.Ends == AtRandom && p.MaxSequences > p.Sequences {
		return p.Sequences + r.below(p.MaxSequences-p.Sequences+1)
	}
	return p.Sequences
}

// MaxReleases is how many tasks a turn can have.
const MaxReleases = 240

// PlanTurn lists the tasks of one turn in order. The same pattern with the same turn gives the same list.
// It returns ctx.Err() when cancelled, and a list of fields for a turn of more than MaxReleases tasks.
func (p Pattern) PlanTurn(ctx context.Context, turn int) ([]Release, error) {
	if err := ctx.Err(); err != nil {
		return nil, err
	}
	r := &numbers{p.Seed + uint64(max(0, turn))*0x2545f4914f6cdd1d}
	sequences := p.sequencesIn(r)
	listed := p.Listed()
	if sequences*len(listed) > MaxReleases {
		return nil, invalid.Fields{{Path: "pattern.sequences", Message: fmt.Sprintf("a turn has at most %d tasks, and these are %d × %d", MaxReleases, sequences, len(listed))}}
	}
	var plan []Release
	at := 0.0
	for sequence := range sequences {
		begins := at
		for _, task := range p.order(r, listed) {
			plan = append(plan, Release{sequence, task, at})
			at += p.GapOf(p.Tasks[task])
		}
		if p.Ends == ByTheClock {
			at = begins + p.On
		}
		at += p.Pause
	}
	return plan, nil
}

// order is the tasks of one sequence, from those that are listed.
func (p Pattern) order(r *numbers, listed []int) []int {
	n := len(listed)
	switch p.Order {
	case Shuffled:
		shuffled := r.order(n)
		for i, at := range shuffled {
			shuffled[i] = listed[at]
		}
		return shuffled
	case Drawn:
		all := 0.0
		for _, t := range p.Tasks {
			all += t.share()
		}
		drawn := make([]int, n)
		for i := range drawn {
			left := r.share() * all
			for left -= p.Tasks[0].share(); left >= 0 && drawn[i] < len(p.Tasks)-1; left -= p.Tasks[drawn[i]].share() {
				drawn[i]++
			}
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
