package feed

import (
	"slices"

	"hodometer/core/basics/invalid"
)

// Repeat is a group of tasks that follow one another and are played several times before the sequence goes on. One
// group can lie in another.
type Repeat struct {
	From  int `json:"from" minimum:"0" maximum:"59" description:"The first of its tasks, from 0"`
	To    int `json:"to" minimum:"0" maximum:"59" description:"The last of them"`
	Times int `json:"times,omitempty" minimum:"0" maximum:"50" description:"How often, two at least; none where it has seconds"`

	Seconds float64 `json:"seconds,omitempty" minimum:"0" maximum:"600" description:"Instead of times: over and over for so long"`
	Nearer  float64 `json:"nearer,omitempty" minimum:"-5" maximum:"5" description:"Metres that each time is played nearer to the net than the one before; less than nothing is further back"`
	Whose   int     `json:"whose,omitempty" minimum:"0" maximum:"4" description:"Whose tasks come nearer, from 1; none: everybody's"`
}

const (
	// MaxTasks is how many tasks can be written in a pattern.
	MaxTasks = 60
	// maxListed is how many tasks a sequence can have once its groups are written out.
	maxListed = 200
	maxNested = 2
)

// checkRun says what is wrong with the tasks that a group or a branch takes up.
func (p Pattern) checkRun(what string, from, to int) error {
	var wrong invalid.Fields
	switch {
	case to < from:
		wrong.Add("to", "a %s ends before it begins", what)
	case to >= len(p.Tasks):
		wrong.Add("to", "the sequence has no task %d", to+1)
	}
	return wrong.Err()
}

// checkRepeats says what is wrong with the groups of a pattern.
func (p Pattern) checkRepeats() error {
	var wrong invalid.Fields
	for i, r := range p.Repeats {
		path := invalid.Join("repeats", i)
		wrong.Under(path, p.checkRun("group", r.From, r.To))
		switch {
		case r.Times < 2 && r.Seconds <= 0:
			wrong.Add(path+".times", "a group is played at least twice")
		case r.Seconds > 0 && p.Ends == ByTheClock:
			wrong.Add(path+".seconds", "the clock ends the whole sequence already; give the group a number of times")
		}
		depth := 1
		for k, other := range p.Repeats {
			inside := other.From <= r.From && r.To <= other.To
			apart := other.To < r.From || r.To < other.From
			around := r.From <= other.From && other.To <= r.To
			switch {
			case k == i:
			case !inside && !apart && !around:
				wrong.Add(
					path,
					"this group overlaps tasks %d to %d; let one lie in the other, or apart from it",
					other.From+1,
					other.To+1,
				)
			case inside && (!around || k < i):
				depth++
			}
		}
		if depth > maxNested {
			wrong.Add(path, "a group can lie in one other, not in two")
		}
	}
	if wrong == nil && p.Rally != nil && len(p.Repeats) > 0 {
		wrong.Add("repeats", "a rally has no groups of tasks")
	}
	if wrong == nil && len(p.Listed()) > maxListed {
		wrong.Add("repeats", "a sequence has at most %d tasks with its groups written out", maxListed)
	}
	return wrong.Err()
}

// runs are the places of some tasks once each has gone where it says, in runs without a gap.
func runs(from, to int, where func(task int) []int) (list [][2]int) {
	var places []int
	for task := from; task <= to; task++ {
		places = append(places, where(task)...)
	}
	slices.Sort(places)
	for len(places) > 0 {
		n := 1
		for n < len(places) && places[n] == places[n-1]+1 {
			n++
		}
		list, places = append(list, [2]int{places[0], places[n-1]}), places[n:]
	}
	return list
}

// move has the groups and branches of a pattern go with their tasks, each of which goes where it says.
func (p *Pattern) move(where func(task int) []int) {
	var repeats []Repeat
	for _, r := range p.Repeats {
		for _, run := range runs(r.From, r.To, where) {
			r.From, r.To = run[0], run[1]
			repeats = append(repeats, r)
		}
	}
	var branches []Branch
	for _, b := range p.Branches {
		for _, run := range runs(b.From, b.To, where) {
			b.From, b.To = run[0], run[1]
			branches = append(branches, b)
		}
	}
	slices.SortFunc(branches, func(a, b Branch) int { return a.From - b.From })
	p.Repeats, p.Branches = repeats, branches
}
