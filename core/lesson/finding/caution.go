package finding

import (
	"slices"
	"strings"

	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// NoAdvice ends every caution.
const NoAdvice = "No medical advice; local rules and licensed practice come first."

// Cautions lists the usual cautions that apply to a lesson, each once: those of its drills, and those that
// follow from who plays, what is carried and how they wait. Common practice, no source.
func Cautions(p schedule.Timetable, list []schedule.Prepared, in schedule.Inputs) []string {
	all := []string{}
	add := func(text string) {
		if text = strings.TrimSpace(text) + " " + NoAdvice; !slices.Contains(all, text) {
			all = append(all, text)
		}
	}
	growing := false
	for _, person := range in.People {
		growing = growing || person.Profile.Age.Growing()
		if person.Profile.PrivatelyHurts() {
			add("Pain means stop.")
		}
	}
	for i, l := range list {
		if !l.Drilled {
			if l.Block.Kind == lesson.Serving && growing {
				add("Count serves and overheads for growing shoulders.")
			}
			continue
		}
		for _, caution := range l.Document.Care() {
			add(caution)
		}
		if growing && p.Blocks[i].Load.Overheads > 0 {
			add("Count serves and overheads for growing shoulders.")
		}
		if l.Document.Pattern.Next != "" && len(l.People) > 1 || p.Blocks[i].Load.Lines > 1 {
			add("Nobody walks through a line of play; swing only when the space is clear.")
		}
	}
	return all
}
