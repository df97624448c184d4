// Package shorthand is a pattern as one line in a coach's own shorthand: read, and written so that it is read back the
// same. Its grammar stands in docs/shorthand.md.
package shorthand

import (
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// short are the short forms of strokes; the others are called by their names, joined by hyphens.
var short = map[sports.Stroke]string{
	sports.Forehand:       "FH",
	sports.Backhand:       "BH",
	sports.ForehandVolley: "FHV",
	sports.BackhandVolley: "BHV",
	sports.Overhead:       "OH",
}

// joined is a name as one word.
func joined[T ~string](name T) string { return strings.ReplaceAll(string(name), " ", "-") }

// valueNamed finds a value of a closed type by its name in one word.
func valueNamed[T ~string](values []any, word string) (T, bool) {
	for _, each := range values {
		if value, ok := each.(T); ok && strings.EqualFold(joined(value), word) {
			return value, true
		}
	}
	return "", false
}

func strokeWord(s sports.Stroke) string {
	if word, ok := short[s]; ok {
		return word
	}
	return joined(s)
}

func strokeOf(word string) (sports.Stroke, bool) {
	for stroke, each := range short {
		if strings.EqualFold(each, word) {
			return stroke, true
		}
	}
	return valueNamed[sports.Stroke](sports.Stroke("").Enum(), word)
}

// Words for the moment of contact, for what of a player a ball comes at, for the cases of a branch.
var (
	moments = map[string]feed.Moment{
		"air":     feed.OutOfTheAir,
		"rising":  feed.Rising,
		"top":     feed.AtTheTop,
		"falling": feed.Falling,
		"wall":    feed.OffTheWall,
	}
	bodies = map[string]feed.Body{"feet": feed.TheFeet, "body": feed.TheBody, "crossover": feed.TheCrossover}
	cases  = map[string]feed.Case{
		"if-short":     feed.IfShort,
		"if-high":      feed.IfHigh,
		"if-reachable": feed.IfReachable,
		"if-chosen":    feed.IfChosen,
		"otherwise":    feed.Otherwise,
	}
)

// wordFor is the word of a table that stands for a value; empty for none.
func wordFor[T comparable](table map[string]T, value T) string {
	for word, each := range table {
		if each == value {
			return word
		}
	}
	return ""
}

// depths are the places that have a word of their own: shares of the half from the net, in squash of the court from the
// front wall. Common practice, no source.
var depths = map[string]float64{"deep": court.DeepShare, "mid": court.MidShare, "short": court.ShortShare}

// sides are how far across a word puts a ball, as a share of half the width for singles, to the side of the stroke.
var sides = map[string]float64{"middle": 0, "wide": court.WideShare}

// plainly is how far across a ball lands of which nothing is said.
const plainly = 0.35

// placed is the mark of a place in words, on the side of a stroke.
func placed(c court.Court, deep, across float64, stroke sports.Stroke) court.Mark {
	if stroke.OnBackhand() {
		across = -across
	}
	return court.At(units.Centimetres(across*c.Singles/2), units.Centimetres(c.AtDepth(deep)))
}
