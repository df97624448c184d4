package template

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
)

// rests is what anybody of some people is spared.
func rests(people []lesson.Person) []student.Strain {
	var all []student.Strain
	for _, p := range people {
		all = append(all, p.Profile.Rests()...)
	}
	return all
}

// resting are those who are spared some of what is asked, by what they are called.
func resting(people []lesson.Person, asked []student.Strain) (names, notFor []string, others []lesson.Person) {
	for _, p := range people {
		if len(p.Profile.Spared(asked)) > 0 {
			names, notFor = append(names, p.Short), append(notFor, schedule.NotFor(p))
		} else {
			others = append(others, p)
		}
	}
	return names, notFor, others
}

// easy is what is called instead of something that everybody is spared.
const easy = "Easy steps and swings, nothing that hurts"

// sparing is a block of a shape for people of whom some are spared something: serving is for the others, and technique
// where there are none; a call that asks for it names who leaves it out, or is an easy one. It says what was changed;
// empty for nothing.
func sparing(b lesson.Block, people []lesson.Person) (lesson.Block, string) {
	phrase := ""
	if b.Kind == lesson.Serving {
		names, _, others := resting(people, []student.Strain{student.ServesAndOverheads})
		switch {
		case len(names) == 0:
		case len(others) == 0:
			b.Kind, b.Title, b.Effort = lesson.Technique, "Technique", 3
			b.Calls = []lesson.Call{{Text: "Slow swings below the shoulder, then with a dropped ball"}}
			return b, fmt.Sprintf("No serving: %s %s it.", strings.Join(names, ", "), rest(names))
		default:
			b.People = lesson.IDs(others)
			phrase = fmt.Sprintf("%s: without %s, who %s it.", b.Title, strings.Join(names, ", "), rest(names))
		}
	}
	b.Calls = slices.Clone(b.Calls)
	if b.Kind == lesson.Body && len(people) > 0 &&
		!slices.ContainsFunc(people, func(p lesson.Person) bool { return p.Profile.Age != student.Sixty }) {
		for i, call := range b.Calls {
			if slices.Contains(student.Mentioned(call.Text), student.WideRunning) {
				b.Calls[i].Text = "Three brisk walks, each a little quicker" // common practice for players of 60 and over
			}
		}
	}
	for i, call := range b.Calls {
		names, notFor, others := resting(people, student.Mentioned(call.Text))
		switch {
		case len(names) == 0 || b.Kind == lesson.Serving:
		case len(others) == 0:
			b.Calls[i].Text = easy
			phrase = fmt.Sprintf("%s: “%s” is left out, %s %s that.", b.Title, call.Text, strings.Join(names, ", "), rest(names))
		default:
			b.Calls[i].Text = call.Text + "; " + strings.Join(notFor, ", ")
		}
	}
	return b, phrase
}

func rest(names []string) string {
	if len(names) == 1 {
		return "rests"
	}
	return "rest"
}
