package lesson

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/people/student"
)

// Degrees Celsius below which a body wants longer to get warm, and from which it wants less. Common practice, no
// source.
const (
	cold     = 10.0
	Hot      = 28.0
	moreCold = 2.0 // minutes
	lessHeat = 2.0
	moreAge  = 2.0 // for players of sixty and over
)

// WarmUp is how many minutes more of warm-up the air and the age of those who come ask for, less than 0 for fewer, and
// why; empty where nothing is different. Common practice, no source.
func WarmUp(celsius float64, people []Person) (minutes float64, why string) {
	var reasons []string
	degrees := units.Decimal(celsius, 0) + " °C"
	switch {
	case celsius < cold:
		minutes, reasons = moreCold, append(reasons, "in the cold ("+degrees+")")
	case celsius >= Hot:
		minutes, reasons = -lessHeat, append(reasons, "in the heat ("+degrees+")")
	}
	if slices.ContainsFunc(people, func(p Person) bool { return p.Profile.Age == student.Sixty }) {
		minutes, reasons = minutes+moreAge, append(reasons, "for players of 60 and over")
	}
	if minutes == 0 {
		return 0, ""
	}
	word := "more"
	if minutes < 0 {
		word = "less"
	}
	return minutes, fmt.Sprintf(
		"%s min %s %s: common practice",
		units.Decimal(max(minutes, -minutes), 0),
		word,
		strings.Join(reasons, " and "),
	)
}
