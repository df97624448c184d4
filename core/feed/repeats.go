package feed

import (
	"cmp"
	"slices"

	"hodometer/core/invalid"
)

// Repeat is a group of tasks that follow one another and are played several times before the sequence goes on. One group can
// lie in another.
type Repeat struct {
	From  int `json:"from" minimum:"0" maximum:"59" description:"The first of its tasks, from 0"`
	To    int `json:"to" minimum:"0" maximum:"59" description:"The last of them"`
	Times int `json:"times" minimum:"2" maximum:"50"`
}

const (
	// MaxTasks is how many tasks can be written in a pattern.
	MaxTasks = 60
	// maxListed is how many tasks a sequence can have once its groups are written out.
	maxListed = 200
	maxNested = 2
)

// Listed is the tasks of one sequence in order, groups written out; by the clock as many as there is time for, beginning
// anew where the list ends, and one at least.
func (p Pattern) Listed() []int {
	groups := slices.Clone(p.Repeats)
	slices.SortStableFunc(groups, func(a, b Repeat) int { return cmp.Compare(b.To-b.From, a.To-a.From) })
	once := writtenOut(nil, groups, 0, len(p.Tasks)-1)
	if p.Ends != ByTheClock || len(once) == 0 {
		return once
	}
	var list []int
	for left := p.On; len(list) < maxListed; {
		task := once[len(list)%len(once)]
		if left -= p.GapOf(p.Tasks[task]); left < -1e-9 && len(list) > 0 {
			break
		}
		list = append(list, task)
	}
	return list
}

// writtenOut appends the tasks from one to another, groups written out, the largest first.
func writtenOut(list []int, groups []Repeat, from, to int) []int {
	for task := from; task <= to; task++ {
		g := slices.IndexFunc(groups, func(r Repeat) bool { return r.From == task && r.To <= to && r.To >= task })
		if g < 0 {
			list = append(list, task)
			continue
		}
		for range groups[g].Times {
			if list = writtenOut(list, groups[g+1:], task, groups[g].To); len(list) > maxListed {
				return list
			}
		}
		task = groups[g].To
	}
	return list
}

// checkRepeats says what is wrong with the groups of a pattern.
func (p Pattern) checkRepeats() error {
	var wrong invalid.Fields
	for i, r := range p.Repeats {
		path := invalid.Join("repeats", i)
		switch {
		case r.To < r.From:
			wrong.Add(path+".to", "a group ends before it begins")
		case r.To >= len(p.Tasks):
			wrong.Add(path+".to", "the sequence has no task %d", r.To+1)
		case r.Times < 2:
			wrong.Add(path+".times", "a group is played at least twice")
		}
		depth := 1
		for k, other := range p.Repeats {
			inside := other.From <= r.From && r.To <= other.To
			apart := other.To < r.From || r.To < other.From
			around := r.From <= other.From && other.To <= r.To
			switch {
			case k == i:
			case !inside && !apart && !around:
				wrong.Add(path, "this group overlaps tasks %d to %d; let one lie in the other, or apart from it", other.From+1, other.To+1)
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

// moved are the groups once each task has gone where it says: in as many runs as their tasks come to lie in.
func moved(list []Repeat, where func(task int) []int) []Repeat {
	var after []Repeat
	for _, r := range list {
		var places []int
		for task := r.From; task <= r.To; task++ {
			places = append(places, where(task)...)
		}
		slices.Sort(places)
		for len(places) > 0 {
			n := 1
			for n < len(places) && places[n] == places[n-1]+1 {
				n++
			}
			after = append(after, Repeat{From: places[0], To: places[n-1], Times: r.Times})
			places = places[n:]
		}
	}
	return after
}
