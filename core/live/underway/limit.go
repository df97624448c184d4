package underway

import (
	"fmt"
	"slices"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

// Near says how much of a limit is used up, and whether it is reached.
type Near struct {
	Text    string `json:"text" description:"24 of at most 30 overheads"`
	Reached bool   `json:"reached"`
}

// sorts are of which sorts all balls of a measure are, of what can be limited.
func sorts(d drill.Document, m drill.Measure) []student.LimitOf {
	if m.What != score.Ball {
		return []student.LimitOf{}
	}
	list := []student.LimitOf{student.Balls}
	all := func(is func(sports.Stroke) bool) bool {
		struck := false
		for i, t := range d.Pattern.Tasks {
			if m.Has(i) && t.Kind.Struck() {
				if struck = true; !is(t.Stroke) {
					return false
				}
			}
		}
		return struck
	}
	if all(sports.Of(d.Sport).Overhead) {
		list = append(list, student.Overheads)
	}
	if all(func(s sports.Stroke) bool { return s == sports.Serve }) {
		list = append(list, student.Serves)
	}
	return list
}

// CountedOf is how many balls of a sort were counted of a student in a lesson: of measures that follow one another all
// of them, of those beside each other that of which most was, since they may be of the same balls. Balls of a rally are
// not known.
func CountedOf(counters []Counter, studentID string, of student.LimitOf) int {
	type key struct {
		block   string
		measure int
	}
	known, byBlock := map[key]bool{}, map[string]int{}
	for _, c := range counters {
		k := key{c.Counted, c.Measure}
		if c.Student != studentID || known[k] || !slices.Contains(c.Sorts, of) {
			continue
		}
		known[k] = true
		if c.Follows {
			byBlock[c.Counted] += c.Count.Balls
		} else {
			byBlock[c.Counted] = max(byBlock[c.Counted], c.Count.Balls)
		}
	}
	sum := 0
	for _, n := range byBlock {
		sum += n
	}
	return sum
}

// nearing says of a student with a limit how much of it was counted; nil while that is far from it.
func nearing(counters []Counter, p lesson.Person) *Near {
	limit := p.Profile.Limit
	if limit == nil {
		return nil
	}
	n := CountedOf(counters, p.ID, limit.Of)
	if !limit.Near(n) {
		return nil
	}
	return &Near{Text: fmt.Sprintf("%d of at most %d %s", n, limit.Max, limit.Of), Reached: n >= limit.Max}
}
