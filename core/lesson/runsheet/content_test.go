package runsheet_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson"
	"hodometer/core/lesson/runsheet"
	"hodometer/internal/sample"
)

// The lines of a block by hand: what is moved first, what is said at its time, who is where by place, who plays it
// otherwise, and the pick-ups in one line.
func TestTheLinesOfABlock(t *testing.T) {
	d, in := sample.Hour()
	in.Settings.Basket = 20
	in.People[0].Profile.Watch = []string{"late split step"}
	p := sample.Planned(t, d, in)
	c := runsheet.ContentOf(d, p, runsheet.Cues(d, p.Timetable, in))
	require.Equal(t, "Tuesday, 10 March 2026 · 60 min · Ada, Ben", c.About)
	require.Equal(t, "Watch: Ada: late split step", c.Facts[1].String())
	require.Len(t, c.Sections, len(d.Blocks))

	warmUp := c.Sections[1]
	require.Equal(t, "16:53", warmUp.Clock)
	require.Equal(t, "10 min", warmUp.Length)
	require.Equal(t, "+0:00  Take your places: feeds: Ben; volleys: Ada", warmUp.Lines[1].String())

	coin := c.Sections[2]
	require.Contains(t, coin.Lines[0].String(), "Put down ")
	require.Empty(t, coin.Lines[0].After, "it is done before the clock of the block")
	require.Equal(
		t,
		[]runsheet.Entry{{Name: "Ben", Text: "left-handed: mirror it"}},
		coin.Lines[1].Entries,
		"nobody is told who plays as drawn",
	)
	require.Contains(t, coin.Lines[len(coin.Lines)-1].Text, "Pick up at +")

	for _, section := range c.Sections {
		for _, line := range section.Lines {
			require.NotEqual(t, section.Title, line.Text, "the title is not said again")
		}
	}
}

func TestAnEmptyLessonHasAnEmptySheet(t *testing.T) {
	d, in := sample.Hour()
	d.Blocks = []lesson.Block{}
	p := sample.Planned(t, d, in)
	c := runsheet.ContentOf(d, p, runsheet.Cues(d, p.Timetable, in))
	require.Empty(t, c.Sections)
	require.Empty(t, c.Facts)
}
