// Package units writes lengths and times the way coaches do.
package units

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
)

const (
	// Inch is one inch in metres (exact, international yard and pound agreement of 1959).
	Inch = 0.0254
	// Foot is one foot in metres.
	Foot = 12 * Inch
)

// System is the unit in which a coach reads lengths.
type System string

// The two systems a coach can choose between.
const (
	Metres System = "metres"
	Feet   System = "feet"
)

// Grain is the length, in metres, to which a place is rounded when it is dragged: 5 cm or 3 in.
func (s System) Grain() float64 {
	if s == Feet {
		return 3 * Inch
	}
	return 0.05
}

// Nudge is the length, in metres, of one press of an arrow key: 10 cm or 6 in, fine: 1 cm or 1 in.
func (s System) Nudge(fine bool) float64 {
	switch {
	case s == Feet && fine:
		return Inch
	case s == Feet:
		return 6 * Inch
	case fine:
		return 0.01
	}
	return 0.1
}

// Centimetres are whole ones, of a length in metres that is chosen for somebody: nobody writes a finer one.
func Centimetres(metres float64) float64 { return math.Round(100*metres) / 100 }

// Kept is a length in metres as documents keep it where it was worked out: to a tenth of a millimetre, so that inches
// stay inches.
func Kept(metres float64) float64 { return math.Round(1e4*metres) / 1e4 }

// Length writes a length in metres for reading: whole inches, or centimetres.
func (s System) Length(metres float64) string {
	if s != Feet {
		return Decimal(metres, 2) + " m"
	}
	inches := math.Round(math.Abs(metres) / Inch)
	feet := math.Floor(inches / 12)
	inches -= 12 * feet
	sign := ""
	if metres < 0 && feet+inches > 0 {
		sign = "−"
	}
	switch {
	case feet == 0:
		return fmt.Sprintf("%s%.0f in", sign, inches)
	case inches == 0:
		return fmt.Sprintf("%s%.0f ft", sign, feet)
	}
	return fmt.Sprintf("%s%.0f ft %.0f in", sign, feet, inches)
}

// Area writes an area given in square metres.
func (s System) Area(squareMetres float64) string {
	if s == Feet {
		return Decimal(squareMetres/(Foot*Foot), 1) + " sq ft"
	}
	return Decimal(squareMetres, 2) + " m²"
}

// Whole says whether shares add up to one, to half a hundredth, and to how many hundredths they do.
func Whole(shares ...float64) (hundredths int, whole bool) {
	sum := 0.0
	for _, share := range shares {
		sum += share
	}
	const slack = 0.005
	return int(math.Round(100 * sum)), math.Abs(sum-1) <= slack
}

// Percents writes shares of one whole as whole percents that add up to what they are together, rounded:
// each is rounded down, and those that lose most get one more (the method of the largest remainder). A share
// must be between 0 and 1.
func Percents(shares ...float64) []int {
	list := make([]int, len(shares))
	order := make([]int, len(shares))
	sum, given := 0.0, 0
	for i, share := range shares {
		order[i] = i
		list[i] = int(100*share + 1e-9)
		sum += 100 * share
		given += list[i]
	}
	lost := func(i int) float64 { return 100*shares[i] - float64(list[i]) }
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(lost(b), lost(a)) })
	for _, i := range order[:min(len(order), max(0, int(math.Round(sum))-given))] {
		list[i]++
	}
	return list
}

// Balls are so many balls in words, of whatever sport.
func Balls(n int) string { return Count(n, "ball", "balls") }

// And lists some things in a sentence: Ada, Bo and Cy.
func And(list []string) string {
	if len(list) < 2 {
		return strings.Join(list, "")
	}
	return strings.Join(list[:len(list)-1], ", ") + " and " + list[len(list)-1]
}

// Title begins a word with a capital letter.
func Title(word string) string {
	if word == "" {
		return ""
	}
	return strings.ToUpper(word[:1]) + word[1:]
}

// Count writes a number with its noun: 1 ball, 2 balls.
func Count(n int, one, many string) string {
	if n == 1 {
		return "1 " + one
	}
	return strconv.Itoa(n) + " " + many
}

// Decimal writes a number with at most the given places and no trailing zeros.
func Decimal(value float64, places int) string {
	text := strconv.FormatFloat(value, 'f', places, 64)
	if strings.Contains(text, ".") {
		text = strings.TrimRight(strings.TrimRight(text, "0"), ".")
	}
	if text == "-0" {
		return "0"
	}
	return strings.Replace(text, "-", "−", 1)
}
