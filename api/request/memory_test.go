package request

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// recall is what is remembered of a request, a text, and what keeps an answer that is worked out from now on.
func recall(m *Memory, request string) (text string, keep func(text string)) {
	known, at := m.recall(request)
	if known != nil {
		text = string(known.body)
	}
	return text, func(text string) { m.keep(request, at, &remembered{body: []byte(text)}) }
}

// An answer that took until the next minute, or until something was stored, is not remembered, and nothing newer is forgotten for it; nor
// is it where the clock was put back.
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
