package feed

import (
	"math"

	"hodometer/core/basics/invalid"
)

// Case is what the ball before was like, or what the player does with it, so that a branch is played.
type Case string

// The cases.
const (
	IfShort     Case = "if it comes short"
	IfHigh      Case = "if it comes high"
	IfReachable Case = "if it can be reached"
	IfChosen    Case = "if the player chooses it"
	Otherwise   Case = "otherwise"
)

// Branch is tasks that are played only in some case. Branches next to one another are one choice: at most one of them
// is played, and none where their chances leave something over.
type Branch struct {
	From   int     `json:"from" minimum:"0" maximum:"59" description:"The first of its tasks, from 0"`
	To     int     `json:"to" minimum:"0" maximum:"59" description:"The last of them"`
	Case   Case    `json:"case"`
	Chance float64 `json:"chance" minimum:"0.01" maximum:"1" description:"How often it is played, of 1"`
}

// branchOf is the branch in which a task lies; -1 for none.
func (p Pattern) branchOf(task int) int {
	for i, b := range p.Branches {
		if b.From <= task && task <= b.To {
			return i
		}
	}
	return -1
}

// opens says whether a branch is the first of its choice.
func (p Pattern) opens(i int) bool { return p.branchOf(p.Branches[i].From-1) < 0 }

// chosen leaves of each choice what is played, by the next of the draws.
func chosen(list []Written, draw func() float64) []Written {
	var left []Written
	fork, branch := 0, -1
	for i, w := range list {
		if w.fork == 0 {
			left, fork = append(left, w), 0
			continue
		}
		if w.fork != fork { // the first task of a choice
			fork, branch = w.fork, -1
			share, sum := draw(), 0.0
			for k := i; k < len(list) && list[k].fork == fork; k++ {
				if k > i && list[k].branch == list[k-1].branch {
					continue
				}
				if sum += list[k].Share; share < sum {
					branch = list[k].branch
					break
				}
			}
		}
		if w.branch == branch {
			left = append(left, w)
		}
	}
	return left
}

// checkBranches says what is wrong with the branches of a pattern.
func (p Pattern) checkBranches() error {
	var wrong invalid.Fields
	sum := 0.0
	for i, b := range p.Branches {
		path := invalid.Join("branches", i)
		wrong.Under(path, p.checkRun("branch", b.From, b.To))
		switch {
		case b.From == 0:
			wrong.Add(path+".from", "a branch comes after something: the first task is always played")
		case b.Chance <= 0 || b.Chance > 1 || math.IsNaN(b.Chance):
			wrong.Add(path+".chance", "how often it is played lies between 1 and 100 in 100")
		}
		if i > 0 && b.From <= p.Branches[i-1].To {
			wrong.Add(path+".from", "this branch begins before the last one ends")
		}
		for k, r := range p.Repeats {
			apart, around := r.To < b.From || b.To < r.From, r.From < b.From && b.To <= r.To
			if !apart && !around {
				wrong.Add(path, "group %d begins or ends within this branch; let it lie around the branch and the task before", k+1)
			}
		}
		if i > 0 && b.From == p.Branches[i-1].To+1 {
			sum += b.Chance
		} else {
			sum = b.Chance
		}
		if sum > 1+1e-9 {
			wrong.Add(path+".chance", "the chances of one choice come to %.0f in 100; 100 is all there is", 100*sum)
		}
	}
	if wrong == nil && len(p.Branches) > 0 {
		switch {
		case p.Rally != nil:
			wrong.Add("branches", "a rally has no branches")
		case p.Order.Random():
			wrong.Add("branches", "branches need the order in which the tasks are listed")
		}
	}
	return wrong.Err()
}
