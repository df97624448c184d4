package finding

import (
	"slices"
	"strings"

	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/schedule"
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
		if person.Profile.Hurts != "" {
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
		for _, caution := range l.Document.Cautions {
			add(caution)
		}
		if slices.ContainsFunc(l.Document.Measures, func(m drill.Measure) bool { return m.Counts.Forfeit != "" }) {
			add("Forfeits are optional and not for everybody: nobody has to, and nobody who hurts does.")
		}
		if l.Document.Sport == court.Squash {
			add("Eye protection on, always.")
		}
		if growing && p.Blocks[i].Load.Overheads > 0 {
			add("Count serves and overheads for growing shoulders.")
		}
		for _, piece := range schedule.Pieces(l.Document.Equipment) {
			name := strings.ToLower(piece.Name)
			if strings.Contains(name, "medicine ball") || strings.Contains(name, "elastic") || strings.Contains(name, "resistance band") {
				add("Elastic resistance and medicine balls only under supervision, and light for juniors.")
			}
		}
		if l.Document.Pattern.Next != "" && len(l.People) > 1 || p.Blocks[i].Load.Lines > 1 {
			add("Nobody walks through a line of play; swing only when the space is clear.")
		}
	}
	return all
}
