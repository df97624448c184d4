package finding

import (
	"unicode"

	"hodometer/core/lesson"
)

// about is a sentence without its figures.
func about(reason string) string {
	runes := []rune(reason)
	text := make([]rune, 0, len(runes))
	for _, r := range runes {
		switch {
		case !unicode.IsDigit(r):
			text = append(text, r)
		case len(text) == 0 || text[len(text)-1] != '#':
			text = append(text, '#')
		}
	}
	return string(text[:min(len(text), longestAbout)])
}

const longestAbout = 300 // characters

// hush marks the findings that the coach leaves as they are. What cannot be run as planned is always told.
func hush(all []Finding, d lesson.Document) {
	for i := range all {
		all[i].About = about(all[i].Reason)
		for _, h := range d.Hushed {
			if all[i].Severity != Problem && h.Block == all[i].Block && h.About == all[i].About {
				all[i].Hushed = h.Why
			}
		}
	}
}
