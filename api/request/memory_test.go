package request

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// recall is what is remembered of a request, a text, and what keeps an answer that is worked out from now on.
func recall(m *Memory, request string) (text string, keep func(text string)) {
	known, of := m.recall(request)
	if known != nil {
		text = string(known.body)
	}
	return text, func(text string) { m.keep(of, &remembered{body: []byte(text)}) }
}

// An answer that took until the next minute, or until something was stored, is not remembered, and nothing newer is
// forgotten for it; nor is it where the clock was put back.
func TestAnAnswerThatComesLateClearsNothing(t *testing.T) {
	for name, later := range map[string]func(writes *uint64, now *time.Time){
		"the next minute":    func(_ *uint64, now *time.Time) { *now = now.Add(time.Minute) },
		"something is kept":  func(writes *uint64, _ *time.Time) { *writes++ },
		"the clock put back": func(_ *uint64, now *time.Time) { *now = now.Add(-time.Hour) },
	} {
		t.Run(name, func(t *testing.T) {
			writes, now := uint64(1), time.Date(2026, 3, 10, 16, 0, 59, 0, time.UTC)
			m := NewMemory(func() uint64 { return writes }, func() time.Time { return now })
			_, late := recall(m, "/slow")
			later(&writes, &now)
			_, keep := recall(m, "/quick")
			keep("new")
			late("old")
			quick, _ := recall(m, "/quick")
			slow, _ := recall(m, "/slow")
			require.Equal(t, []string{"new", ""}, []string{quick, slow})
		})
	}
}

// What is asked for most of late stays, within bounds; nothing else is forgotten.
func TestWhatIsAskedForNoMoreGoesFirst(t *testing.T) {
	m := NewMemory(func() uint64 { return 1 }, func() time.Time { return time.Unix(0, 0) })
	large := strings.Repeat("x", rememberedBytes/4)
	for _, request := range []string{"/a", "/b", "/c"} {
		_, keep := recall(m, request)
		keep(large)
	}
	_, _ = recall(m, "/a")
	for _, request := range []string{"/d", "/e"} {
		_, keep := recall(m, request)
		keep(large)
		keep(large) // the same again counts once
	}
	there := map[string]bool{}
	for _, request := range []string{"/a", "/b", "/c", "/d", "/e"} {
		text, _ := recall(m, request)
		there[request] = text != ""
	}
	require.Equal(t, map[string]bool{"/a": true, "/b": false, "/c": false, "/d": true, "/e": true}, there)
	require.LessOrEqual(t, m.bytes, rememberedBytes)
	_, keep := recall(m, "/huge")
	keep(strings.Repeat("x", rememberedBytes+1))
	text, _ := recall(m, "/huge")
	require.Empty(t, text)
}
