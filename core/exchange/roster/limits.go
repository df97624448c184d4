package roster

import (
	"fmt"
	"reflect"
	"strconv"
	"unicode/utf8"

	"hodometer/core/people/student"
)

// tooLong is a text of a profile that is longer than its place.
type tooLong struct {
	of      Field
	message string
}

// limits lists the texts of a profile that are too long, by what its own fields say.
func limits(p student.Profile) []tooLong {
	var list []tooLong
	of := reflect.TypeFor[student.Profile]()
	for _, text := range []struct {
		of    Field
		field string
		text  string
	}{{Name, "Name", p.Name}, {Objective, "Objective", p.Objective}, {Hurts, "Hurts", p.Hurts}, {Note, "Note", p.Note}} {
		field, _ := of.FieldByName(text.field)
		longest, _ := strconv.Atoi(field.Tag.Get("maxLength"))
		if n := utf8.RuneCountInString(text.text); n > longest {
			list = append(list, tooLong{text.of, fmt.Sprintf("at most %d characters; these are %d", longest, n)})
		}
	}
	return list
}
