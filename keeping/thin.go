package keeping

import (
	"fmt"
	"slices"
	"time"
)

// How many copies are kept: the newest of so many days, weeks and months in which there is one.
const (
	days, weeks, months = 7, 4, 12
)

// Kept says which copies, the newest first, are kept: the newest of each of the last days, weeks and months.
func Kept(newestFirst []time.Time) []bool {
	keep := make([]bool, len(newestFirst))
	for _, span := range []struct {
		most int
		of   func(t time.Time) string
	}{
		{days, func(t time.Time) string { return t.Format(time.DateOnly) }},
		{weeks, func(t time.Time) string { year, week := t.ISOWeek(); return fmt.Sprint(year, week) }},
		{months, func(t time.Time) string { return t.Format("2006-01") }},
	} {
		var seen []string
		for i, t := range newestFirst {
			if name := span.of(t); !slices.Contains(seen, name) && len(seen) < span.most {
				seen = append(seen, name)
				keep[i] = true
			}
		}
	}
	return keep
}
