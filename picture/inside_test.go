package picture

import (
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/require"
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
		require.Equal(t, want, Printable(text), "%q", text)
	}
	for r := range rune(utf8.MaxRune + 1) {
		for _, out := range Printable(string(r)) {
			require.Truef(t, out == '\n' || known(out), "%U becomes %U", r, out)
		}
	}
}
