package shorthand_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestLinesOfTheLibrary: every drill and every game as a line, with what each word of it means; and what is said of
// lines with something wrong in them.
func TestLinesOfTheLibrary(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i, stored := range library.All() {
		line := shorthand.Of(stored.Document)
		fmt.Fprintf(&b, "%s: %s\n", stored.Document.Name, line)
		if _, words, err := shorthand.Applied(stored.Document, line); i%4 == 0 {
			fmt.Fprintln(&b, "  ", golden.Line(t, words, 3), err)
		}
	}
	for i, stored := range library.Games() {
		line := shorthand.OfGame(stored.Document)
		fmt.Fprintf(&b, "%s: %s\n", stored.Document.Name, line)
		if _, words, err := shorthand.AppliedGame(stored.Document, line); i%2 == 0 {
			fmt.Fprintln(&b, "  ", golden.Line(t, words, 3), err)
		}
	}
	tennis := sports.Of(court.Tennis).Courts[0].Court
	for _, line := range []string{
		"", "   ", "deep FH", "deep FH, short BH x3; every 3 s", "{deep FH, short BH", "deep FH}", "{deep FH} x0",
		"{deep FH} x61",
		"every 3", "every 0.1 s; deep FH", "every 99 s; deep FH", "deep deep FH", "FH 2 m in from nowhere", "banana",
		"deep FH banana",
		"deep FH gentle, short BH game pace; pause 5 s; 3 sequences", "pause 999 s; deep FH", "99 sequences; deep FH",
		"random; deep FH, BH",
		"deep FH topspin, BH slice -> deep", "tossed; deep FH; rally of 6", "machine; deep FH; basket back",
		"deep FH; aim circle 1 m deep",
		"deep FH; aim nowhere", "deep FH?right: BH; else: FH", strings.Repeat("deep FH, ", 61), strings.Repeat("x", 20_001),
	} {
		pattern, aim, words, err := shorthand.Read(line, tennis)
		said := "read: " + shorthand.Write(pattern)
		if err != nil {
			said = invalid.Sentence(err)
		}
		fmt.Fprintf(&b, "%.60q %s %s %s\n", line, said, golden.Line(t, aim, 2), golden.Line(t, words[:min(9, len(words))], 2))
	}
	for _, line := range []string{
		"", "1v1", "2v2 to 11", "1v1 to 7 by 2", "1v1 to 0", "3v3 rotate; everybody scores", "9v9", "1v1 feed banana",
		"1v1; net 2; ace 3",
		"1v1 half court; no volleys; worth 2 at the net", "1v1 to 11 cap 15 by 2", "1v1 over 5 min", "1v1 over 999 min",
		"1v1; 4 unscored",
	} {
		rules, words, err := shorthand.ReadGame(line, tennis)
		said := "read: " + shorthand.WriteGame(rules, tennis)
		if err != nil {
			said = invalid.Sentence(err)
		}
		fmt.Fprintf(&b, "%q %s %s\n", line, said, golden.Line(t, words, 2))
	}
	golden.Same(t, "lines.txt", b.String())
}
