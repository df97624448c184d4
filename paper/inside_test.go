package paper

import (
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson"
	"hodometer/core/rotation"
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

func TestEveryRoundIsOnTheSheet(t *testing.T) {
	block := lesson.ScheduledBlock{Block: "b", Table: &rotation.Table{}}
	c := Content{Plan: lesson.Plan{Timetable: lesson.Timetable{Blocks: []lesson.ScheduledBlock{block}}}}
	for _, after := range []string{"+0:00", "+2:00", "+4:00"} {
		c.Cues = append(c.Cues, lesson.Cue{Block: "b", Kind: lesson.Swap, After: after, Text: "Change", Roles: []lesson.Role{{Name: "Ada Marsh", Short: "Ada", Role: "net " + after}, {Name: "Bo Vance", Short: "Bo", Role: "back"}}})
	}
	all := strings.Join((&sheet{content: c, size: A4}).cues(block), "\n")
	require.Equal(t, "+0:00  Change: net +0:00: Ada; back: Bo\n+2:00  Change: net +2:00: Ada; back: Bo\n+4:00  Change: net +4:00: Ada; back: Bo", all)
	require.Contains(t, (&sheet{content: c, size: A5}).cues(block)[1], "(+1 on A4)")
}
