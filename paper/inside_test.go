package paper

import (
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/require"

	"hodometer/core/plan"
	"hodometer/core/rotation"
	"hodometer/core/runsheet"
	"hodometer/core/schedule"
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
	block := schedule.ScheduledBlock{Block: "b", Table: &rotation.Table{}}
	c := Content{Plan: plan.Plan{Timetable: schedule.Timetable{Blocks: []schedule.ScheduledBlock{block}}}}
	for _, after := range []string{"+0:00", "+2:00", "+4:00"} {
		c.Cues = append(c.Cues, runsheet.Cue{Block: "b", Kind: runsheet.Swap, After: after, Text: "Change", Roles: []runsheet.Role{{Name: "Ada Marsh", Short: "Ada", Role: "net " + after}, {Name: "Bo Vance", Short: "Bo", Role: "back"}}})
	}
	all := strings.Join((&sheet{content: c, size: A4}).cues(block), "\n")
	require.Equal(t, "+0:00  Change: net +0:00: Ada; back: Bo\n+2:00  Change: net +2:00: Ada; back: Bo\n+4:00  Change: net +4:00: Ada; back: Bo", all)
	require.Contains(t, (&sheet{content: c, size: A5}).cues(block)[1], "(+1 on A4)")
}
