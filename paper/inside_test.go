package paper

import (
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/require"

	"hodometer/core/runsheet"
)

func TestWhatTheFontsDoNotHaveIsReplacedVisibly(t *testing.T) {
	for text, want := range map[string]string{
		"Grüße, Łódź – six": "Grüße, Łódź – six",
		"Six 🎾":             "Six ?",
		"👩🏽‍🏫 Ada":          "?? Ada",
		"a\tb\nc":           "a b\nc",
		"中\ufe0f":           "?",
		"\x00":              "?",
	} {
		require.Equal(t, want, printable(text), "%q", text)
	}
	for r := range rune(utf8.MaxRune + 1) {
		for _, out := range printable(string(r)) {
			require.Truef(t, out == '\n' || known(out), "%U becomes %U", r, out)
		}
	}
}

func TestACardSaysHowMuchMoreIsOnTheSheet(t *testing.T) {
	section := runsheet.Section{}
	for _, after := range []string{"+0:00", "+2:00", "+4:00"} {
		section.Lines = append(section.Lines, runsheet.Line{After: after, Text: "Change", Entries: []runsheet.Entry{{Name: "net", Text: "Ada"}, {Name: "back", Text: "Bo"}}})
	}
	all := strings.Join((&sheet{size: A4}).lines(section), "\n")
	require.Equal(t, "+0:00  Change: net: Ada; back: Bo\n+2:00  Change: net: Ada; back: Bo\n+4:00  Change: net: Ada; back: Bo", all)
	require.Contains(t, (&sheet{size: A5}).lines(section)[1], "(+1 on A4)")
}
