package paper_test

import (
	"bytes"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/exchange/family"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/paper"
)

// Long names, letters that the fonts have not, and more than a page holds: the same bytes every time, and all of it
// there.
func TestWhatIsForHomeIsWritten(t *testing.T) {
	t.Parallel()
	names := []string{"Ada", strings.Repeat("Żółć ", 20), "孙 🏸"}
	for _, name := range names {
		for _, rung := range ladder.Qualities() {
			write := func() []byte {
				var out bytes.Buffer
				c := paper.Certificate{
					Player:    name,
					Stroke:    "backhand",
					Day:       "Monday, 9 March 2026",
					Stamp:     "2026-03-09",
					Milestone: progress.Milestone{Rung: ladder.Consistency, Next: rung, Made: 24, Balls: 30},
				}
				require.NoError(t, paper.WriteCertificate(&out, c))
				return out.Bytes()
			}
			pdf := write()
			require.Equal(t, pdf, write())
			require.Equal(t, 1, bytes.Count(pdf, []byte("/Type /Page\n")))
			require.Contains(t, string(pdf), "/Lang (en)")
		}
		for _, strokes := range []int{0, 2, 12} {
			page := paper.FamilyPage{Span: "from one day to another"}
			page.Player, page.Sport = name, "tennis"
			for range strokes {
				page.Strokes = append(
					page.Strokes,
					family.Stroke{
						Name:   "backhand",
						Here:   ladder.Depth,
						Behind: []ladder.Quality{ladder.Direction},
						Counts: strings.Repeat("many ", 40),
						Next:   "Next",
					},
				)
			}
			var out bytes.Buffer
			require.NoError(t, paper.WriteFamilyPage(&out, page))
			pages := bytes.Count(out.Bytes(), []byte("/Type /Page\n"))
			require.Equal(t, strokes > 10, pages > 1)
		}
	}
}
