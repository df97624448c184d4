package feed

import (
	"cmp"
	"slices"
)

// Written is one task of a sequence once its groups are written out.
type Written struct {
	Task   int     // in the pattern
	Nearer float64 // metres that it is nearer to the net than it says, by the groups it lies in
	Gap    float64 // seconds until the next one, without what a group by the clock still has
	Rest   float64 // those seconds
	Share  float64 // how often it is played, 1 for always
	fork   int     // which choice it belongs to, from 1; 0 for none
	branch int     // which of the branches
}

// Listed is the tasks of one sequence in order, groups written out; by the clock as many as there is time for,
// beginning anew where the list ends, and one at least. Of a choice all branches are listed, each with its share.
func (p Pattern) Listed() []Written {
	groups := slices.Clone(p.Repeats)
	slices.SortStableFunc(groups, func(a, b Repeat) int { return cmp.Compare(b.To-b.From, a.To-a.From) })
	w := writer{Pattern: p}
	once := w.tasks(nil, groups, 0, len(p.Tasks)-1, steps{})
	if p.Ends != ByTheClock {
		return once
	}
	return until(nil, once, p.On)
}

// writer writes the groups of a pattern out.
type writer struct {
	Pattern
	forks int
}

// steps are how much nearer each player's tasks come, in metres.
type steps [MaxPlayers]float64

// and is one more step for those whose it is.
func (s steps) and(r Repeat) steps {
	for player := range s {
		if r.Whose == 0 || r.Whose == player+1 {
			s[player] += r.Nearer
		}
	}
	return s
}

// tasks appends the tasks from one to another, groups written out, the largest first.
func (w *writer) tasks(list []Written, groups []Repeat, from, to int, nearer steps) []Written {
	for task := from; task <= to; task++ {
		g := slices.IndexFunc(groups, func(r Repeat) bool { return r.From == task && r.To <= to && r.To >= task })
		if g < 0 {
			list = append(list, w.one(task, nearer))
			continue
		}
		r, begins, near := groups[g], len(list), nearer
		for pass := 0; len(list) <= maxListed; pass++ {
			if r.Seconds > 0 && Seconds(list[begins:]) >= r.Seconds-1e-9 || r.Seconds <= 0 && pass >= r.Times {
				break
			}
			list = w.tasks(list, groups[g+1:], task, r.To, near)
			near = near.and(r)
		}
		if r.Seconds > 0 {
			list = until(list[:begins], slices.Clone(list[begins:]), r.Seconds)
		}
		task = r.To
	}
	return list
}

func (w *writer) one(task int, nearer steps) Written {
	one := Written{
		Task:   task,
		Nearer: nearer[min(max(0, w.Tasks[task].Player), MaxPlayers-1)],
		Gap:    w.GapOf(w.Tasks[task]),
		Share:  1,
	}
	if i := w.branchOf(task); i >= 0 {
		if b := w.Branches[i]; b.From == task && w.opens(i) {
			w.forks++
		}
		one.Share, one.fork, one.branch = w.Branches[i].Chance, w.forks, i
	}
	return one
}

// until appends as many of some tasks as begin and end within so many seconds, beginning anew where they end, and one
// at least. What is left of the time goes by after the last one.
func until(list, once []Written, seconds float64) []Written {
	if len(once) == 0 {
		return list
	}
	left := seconds
	for i := 0; len(list) < maxListed; i++ {
		one := once[i%len(once)]
		one.Rest = 0
		if left-one.Gap < -1e-9 && i > 0 {
			break
		}
		left -= one.Gap
		list = append(list, one)
	}
	list[len(list)-1].Rest = left
	return list
}

// Seconds is how long tasks take, choices by their shares.
func Seconds(list []Written) (sum float64) {
	for _, w := range list {
		sum += w.Share * (w.Gap + w.Rest)
	}
	return sum
}
