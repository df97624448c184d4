package shorthand

import (
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/sport/sports"
)

// Of is the pattern of a drill as a line, with the aim of its first measure where that can be said so.
func Of(d drill.Document) string {
	line := Write(d.Pattern)
	if c, err := sports.Court(d.Court); err == nil {
		if a, ok := aimOf(c, d.Main().Target); ok {
			line += "; " + a.write()
		}
	}
	return line
}

// Applied is a drill with the pattern and the aim of a line. What was understood of each word is always given. Measures
// of tasks that are no longer there are of all tasks. Returns invalid.Fields.
func Applied(d drill.Document, line string) (drill.Document, []Word, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, []Word{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	pattern, aim, words, err := Read(line, c)
	if err != nil {
		return d, words, err
	}
	d = d.Clone()
	d.Pattern = pattern
	for i := range d.Measures {
		d.Measures[i].Tasks = slices.DeleteFunc(
			d.Measures[i].Tasks,
			func(task int) bool { return task >= len(pattern.Tasks) },
		)
	}
	if aim != nil {
		main := d.Main()
		if target, ok := aim.target(c, main.Target); ok {
			main.Target = &target
			d = d.With(0, main)
		}
	}
	return d, words, nil
}
