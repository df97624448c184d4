package runsheet_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/lesson/runsheet"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestTheRunSheetsOfManyLessons: what is on them, and what is called when.
func TestTheRunSheetsOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i := range 10 {
		d, in := sample.Mixed(i)
		p := sample.Planned(t, d, in)
		cues := runsheet.Cues(d, p.Timetable, in)
		for k, cue := range cues {
			if k%2 == i%2 {
				fmt.Fprintln(&b, i, golden.Line(t, cue, 1))
			}
		}
		fmt.Fprintln(&b, "  ", golden.Line(t, runsheet.ContentOf(d, p, cues), 1))
	}
	golden.Same(t, "sheets.txt", b.String())
}
