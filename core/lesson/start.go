package lesson

import (
	"fmt"
	"strings"
)

// Titled gives a lesson without a title one of its students' names, short enough for a list.
func (d Document) Titled(in Inputs) Document {
	if strings.TrimSpace(d.Title) != "" {
		return d
	}
	var names []string
	for _, p := range in.Named().People {
		names = append(names, p.Short)
	}
	const most = 3
	if n := len(names); n > most {
		d.Title = fmt.Sprintf("%s and %d more", strings.Join(names[:most-1], ", "), n-most+1)
	} else {
		d.Title = strings.Join(names, " and ")
	}
	return d
}
