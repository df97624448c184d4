package units

import (
	"errors"
	"fmt"
	"math"
	"strconv"
	"strings"
)

// ErrLength says that a text is not a length.
var ErrLength = errors.New(`a length was expected, such as 4 ft 6 in, 4'6", 1.4 m, 140 cm or 3 steps`)

// ErrFraction says that a text is not a fraction of the way between two lines.
var ErrFraction = errors.New("a fraction of the way was expected, such as half-way, 3/4 or 60 %")

// Longest is the longest length that is read, in metres: more than any hall.
const Longest = 100

const number = `(\d+(?:[.,]\d+)?|\d+ \d+/\d+|\d+/\d+)`

var lengthForms = []struct {
	form  Form
	units []float64 // of each number, in metres; 0 is the coach's step
}{
	{
		Form{Expression: `^` + number + ` ?(?:ft|foot|feet|'|′) ?` + number + ` ?(?:in|inch|inches|"|″|'')?$`},
		[]float64{Foot, Inch},
	},
	{Form{Expression: `^` + number + ` ?(?:ft|foot|feet|'|′)$`}, []float64{Foot}},
	{Form{Expression: `^` + number + ` ?(?:in|inch|inches|"|″|'')$`}, []float64{Inch}},
	{Form{Expression: `^` + number + ` ?(?:cm|centimetres?)$`}, []float64{0.01}},
	{Form{Expression: `^` + number + ` ?(?:m|metres?)$`}, []float64{1}},
	{Form{Expression: `^` + number + ` ?(?:steps?|paces?)$`}, []float64{0}},
	{Form{Expression: `^0$`}, nil},
}

// Read reads a length as coaches write it, in metres. Step is the length of the coach's own step. A text
// that cannot be read, or is longer than any hall, gives an error that says what was expected.
func Read(text string, step float64) (float64, error) {
	plain := strings.Join(strings.Fields(strings.ToLower(text)), " ")
	for i := range lengthForms {
		form := &lengthForms[i]
		found := form.form.Match(plain)
		if found == nil {
			continue
		}
		sum := 0.0
		for k, unit := range form.units {
			if unit == 0 {
				unit = step
			}
			sum += readNumber(found[k+1]) * unit
		}
		if math.IsNaN(sum) || sum > Longest {
			return 0, fmt.Errorf("%q is longer than any court: %w", text, ErrLength)
		}
		return sum, nil
	}
	return 0, fmt.Errorf("%q: %w", text, ErrLength)
}

// readNumber reads a number that matched: 1.5, 1,5, 3/4 or 1 1/2. A division by nothing is not a number.
func readNumber(text string) float64 {
	whole, part, mixed := strings.Cut(text, " ")
	if !mixed {
		whole, part = "0", text
	}
	over, under, isFraction := strings.Cut(part, "/")
	value, _ := strconv.ParseFloat(strings.Replace(over, ",", ".", 1), 64)
	if isFraction {
		divisor, _ := strconv.ParseFloat(under, 64)
		if divisor == 0 {
			return math.NaN()
		}
		value /= divisor
	}
	start, _ := strconv.ParseFloat(whole, 64)
	return start + value
}

var (
	fractionForm = Form{
		Expression: `^(half|half-way|halfway|a third|one third|two thirds|a quarter|one quarter|three quarters|\d+/\d+|\d+(?:[.,]\d+)? ?%|\d+(?:[.,]\d+)? percent)(?: (?:of the way|back|in))?$`,
	}
	fractionWord = map[string]float64{
		"half": 0.5, "half-way": 0.5, "halfway": 0.5, "a third": 1. / 3, "one third": 1. / 3, "two thirds": 2. / 3,
		"a quarter": 0.25, "one quarter": 0.25, "three quarters": 0.75,
	}
)

// ReadFraction reads a share of the way between two lines: half-way, 3/4 back, 60 %.
func ReadFraction(text string) (float64, error) {
	plain := strings.Join(strings.Fields(strings.ToLower(text)), " ")
	found := fractionForm.Match(plain)
	if found == nil {
		return 0, fmt.Errorf("%q: %w", text, ErrFraction)
	}
	if value, isWord := fractionWord[found[1]]; isWord {
		return value, nil
	}
	digits := strings.TrimSpace(strings.TrimSuffix(strings.TrimSuffix(found[1], "%"), "percent"))
	value := readNumber(digits)
	if digits != found[1] {
		value /= 100
	}
	if math.IsNaN(value) || value > 1 {
		return 0, fmt.Errorf("%q is not between nothing and the whole way: %w", text, ErrFraction)
	}
	return value, nil
}

// Write writes a length so that Read gives it back within a millimetre: sixteenths of an inch, as on a
// tape, or millimetres.
func (s System) Write(metres float64) string {
	if s != Feet {
		return Decimal(metres, 3) + " m"
	}
	const fine = 16
	sixteenths := int(math.Round(metres / Inch * fine))
	feet, rest := sixteenths/(12*fine), sixteenths%(12*fine)
	inches, part, of := rest/fine, rest%fine, fine
	for part > 0 && part%2 == 0 {
		part, of = part/2, of/2
	}
	var words []string
	if feet > 0 {
		words = append(words, fmt.Sprintf("%d ft", feet))
	}
	switch {
	case part > 0 && inches > 0:
		words = append(words, fmt.Sprintf("%d %d/%d in", inches, part, of))
	case part > 0:
		words = append(words, fmt.Sprintf("%d/%d in", part, of))
	case inches > 0 || feet == 0:
		words = append(words, fmt.Sprintf("%d in", inches))
	}
	return strings.Join(words, " ")
}

// Steps writes a length in the coach's own steps, to a half: 2.5 steps.
func Steps(metres, step float64) string {
	halves := math.Round(metres / step * 2)
	if halves == 2 {
		return "1 step"
	}
	return Decimal(halves/2, 1) + " steps"
}
