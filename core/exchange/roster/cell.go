package roster

import (
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// meant finds a value by a cell: by its own word, or by another that coaches use for it.
func meant[T ~string](cell string, all []any, words map[string]T) (T, bool) {
	folded := Fold(cell)
	for _, each := range all {
		if value, is := each.(T); is && Fold(string(value)) == folded {
			return value, true
		}
	}
	value, known := words[folded]
	return value, known
}

func handOf(cell string) (student.Hand, bool) {
	return meant(cell, student.RightHand.Enum(), map[string]student.Hand{
		"r":            student.RightHand,
		"rh":           student.RightHand,
		"right hand":   student.RightHand,
		"right handed": student.RightHand,
		"righty":       student.RightHand,
		"l":            student.LeftHand,
		"lh":           student.LeftHand,
		"left hand":    student.LeftHand,
		"left handed":  student.LeftHand,
		"lefty":        student.LeftHand,
	})
}

func backhandOf(cell string) (student.Backhand, bool) {
	return meant(cell, student.OneHanded.Enum(), map[string]student.Backhand{
		"1":         student.OneHanded,
		"one":       student.OneHanded,
		"single":    student.OneHanded,
		"1h":        student.OneHanded,
		"1 handed":  student.OneHanded,
		"1hbh":      student.OneHanded,
		"one hand":  student.OneHanded,
		"2":         student.TwoHanded,
		"two":       student.TwoHanded,
		"double":    student.TwoHanded,
		"2h":        student.TwoHanded,
		"2 handed":  student.TwoHanded,
		"2hbh":      student.TwoHanded,
		"two hands": student.TwoHanded,
	})
}

func sportOf(cell string) (court.Sport, bool) {
	folded := Fold(cell)
	for _, s := range sports.All() {
		if Fold(string(s.Name)) == folded || slices.Contains(s.Also, folded) {
			return s.Name, true
		}
	}
	return "", false
}

func levelOf(cell string) (student.Level, bool) {
	return meant(cell, student.Red.Enum(), map[string]student.Level{
		"red": student.Red, "orange": student.Orange, "green": student.Green,
		"novice": student.Beginner, "starter": student.Beginner, "beginners": student.Beginner,
		"intermediate": student.Improver, "improvers": student.Improver,
		"club": student.Club, "club level": student.Club,
		"tournament": student.Tournament, "competition": student.Tournament, "competitor": student.Tournament,
	})
}

// band is an age group as clubs write it: 8-10, 8 to 10, U10, under 10, 60+.
var band = regexp.MustCompile(
	`^(?:(u|under) ?(\d{1,2})|(\d{1,2}) ?(?:to|-|–)? ?(\d{1,2})|(\d{1,2}) ?(?:\+|and over|plus))$`,
)

// ageOf is the band of an age in years, or of an age group. A group that spans two bands belongs to that of its middle;
// "under 12" are those of 10 and 11.
func ageOf(cell string) (student.AgeBand, bool) {
	folded := Fold(cell)
	if value, known := meant(
		cell,
		student.Adult.Enum(),
		map[string]student.AgeBand{
			"adults":   student.Adult,
			"grown up": student.Adult,
			"senior":   student.Sixty,
			"seniors":  student.Sixty,
		},
	); known {
		return value, true
	}
	if years, err := strconv.Atoi(folded); err == nil && years >= 3 && years <= student.Oldest {
		return student.BandOf(years), true
	}
	found := band.FindStringSubmatch(strings.ToLower(strings.TrimSpace(cell)))
	if found == nil {
		return "", false
	}
	number := func(i int) int { n, _ := strconv.Atoi(found[i]); return n }
	switch {
	case found[1] != "":
		return student.BandOf(number(2) - 1), number(2) >= 4
	case found[5] != "":
		return student.BandOf(number(5)), true
	case number(3) < number(4):
		return student.BandOf((number(3) + number(4)) / 2), number(3) >= 3
	}
	return "", false
}

// choices says what a cell could have been.
func choices(cell, what string, all []any) string {
	words := make([]string, len(all))
	for i, each := range all {
		words[i] = fmt.Sprint(each)
	}
	return fmt.Sprintf("“%s” is no %s that is known here: %s", cell, what, strings.Join(words, ", "))
}
