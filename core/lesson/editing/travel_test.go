package editing_test

import (
	"context"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

// minutesOf are the lengths of the blocks of a lesson.
func minutesOf(d lesson.Document) (list []float64) {
	for _, b := range d.Blocks {
		list = append(list, b.Minutes)
	}
	return list
}

func under(t require.TestingT, d lesson.Document, travel editing.Travel, in schedule.Inputs) editing.Travelled {
	now, err := editing.Under(context.Background(), d, travel, 0, in)
	require.NoError(t, err)
	return now
}

// By hand, 8 + 10 + 10 + 5 + 10 + 5 = 48 minutes in a booking of 48: what one block gets, those after it give.
func TestTheRestIsFittedUnderWay(t *testing.T) {
	d, in := sample.Hour()
	d.Minutes = 48
	longer := under(t, d, editing.Travel{Kind: editing.Longer, Block: "3", Gone: 2 * 60, Minutes: 1}, in)
	require.Equal(t, []float64{8, 10, 11}, minutesOf(longer.Document)[:3], "what is over stays as it was")
	require.InDelta(t, 48, sample.Minutes(longer.Document), 0.05)
	require.InDelta(t, 20*60, longer.Second, 1e-9)
	require.Contains(t, fmt.Sprint(longer.Sentences), "instead of")
	require.Equal(t, []float64{8, 10, 10, 5, 10, 5}, minutesOf(d), "the lesson itself is untouched")

	on := under(t, d, editing.Travel{Kind: editing.GoOn, Block: "3", Gone: 4 * 60}, in)
	require.Equal(t, []float64{8, 10, 4}, minutesOf(on.Document)[:3])
	require.InDelta(t, 22*60, on.Second, 1)
	require.Greater(t, sample.Minutes(on.Document), 45.0, "the others have what it had left")
	require.LessOrEqual(t, sample.Minutes(on.Document), 48.05)

	// Half a minute into the third block: the second one goes on until 19:30, a minute from now.
	back := under(t, d, editing.Travel{Kind: editing.GoBack, Block: "3", Gone: 30}, in)
	require.Equal(t, []float64{8, 11.5}, minutesOf(back.Document)[:2])
	require.InDelta(t, 48, sample.Minutes(back.Document), 0.05)

	// Held for two minutes: it goes on where it stood, with all that it had. Caught up, what is left gives the two
	// minutes.
	held := under(t, d, editing.Travel{Kind: editing.Held, Block: "3", Gone: 2 * 60}, in)
	require.Equal(t, d, held.Document)
	require.InDelta(t, 20*60, held.Second, 1e-9)
	caught, err := editing.Under(t.Context(), d, editing.Travel{Kind: editing.CatchUp, Block: "3", Gone: 2 * 60}, 120, in)
	require.NoError(t, err)
	require.Equal(t, []float64{8, 10, 10}, minutesOf(caught.Document)[:3], "what is on stays as it is")
	require.InDelta(t, 46, sample.Minutes(caught.Document), 0.05)
	require.InDelta(t, 20*60, caught.Second, 1e-9)

	// Seven minutes late, before the first block.
	end := under(t, d, editing.Travel{Kind: editing.EndThen, Block: "1", Minutes: 41, Start: "16:52"}, in)
	require.Equal(t, 41, end.Document.Minutes)
	require.Equal(t, "16:52", end.Document.Start)
	require.InDelta(t, 41, sample.Minutes(end.Document), 0.05)

	// Where time is to spare nobody has to give, and nobody is given.
	d.Minutes = 60
	longer = under(t, d, editing.Travel{Kind: editing.Longer, Block: "3", Gone: 2 * 60, Minutes: 2}, in)
	require.Equal(t, []float64{8, 10, 12, 5, 10, 5}, minutesOf(longer.Document))
	require.Empty(t, longer.Sentences)

	// Where even the least does not fit, it is said how late the lesson ends.
	d.Minutes = 48
	much := under(t, d, editing.Travel{Kind: editing.Longer, Block: "3", Gone: 2 * 60, Minutes: 20}, in)
	require.Greater(t, sample.Minutes(much.Document), 48.0)
	require.Contains(t, much.Sentences[len(much.Sentences)-1].String(), "min late")

	_, err = editing.Under(t.Context(), d, editing.Travel{Kind: editing.GoBack, Block: "1", Gone: 10}, 0, in)
	require.ErrorContains(t, err, "the first block")
	d.Blocks = nil
	_, err = editing.Under(t.Context(), d, editing.Travel{Kind: editing.Longer, Block: "1"}, 0, in)
	require.Error(t, err)
}

// Calls that would come after a block was cut are gone; those of a block that lasts longer stay.
func TestCallsOfABlockUnderWay(t *testing.T) {
	d, in := sample.Hour()
	on := under(t, d, editing.Travel{Kind: editing.GoOn, Block: "2", Gone: 60}, in)
	require.Len(t, on.Document.Blocks[1].Calls, 1)
	longer := under(t, d, editing.Travel{Kind: editing.Longer, Block: "2", Gone: 60, Minutes: 1}, in)
	require.Equal(t, d.Blocks[1].Calls, longer.Document.Blocks[1].Calls)
}

// onAt is which block is on at a second, or a moment later.
func onAt(d lesson.Document, second float64) int {
	at, _ := d.At(second + 1e-6)
	return at
}

func TestAnythingUnderWay(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d, in := sample.Crowd(rapid.IntRange(1, 6).Draw(t, "people"))
		d.Minutes = rapid.IntRange(45, 75).Draw(t, "booking")
		second := 0.0
		for range rapid.IntRange(1, 6).Draw(t, "times") {
			second = max(second, rapid.Float64Range(0, sample.Minutes(d)*60).Draw(t, "second"))
			at, gone := d.At(second)
			travel := editing.Travel{
				Block:   d.Blocks[at].ID,
				Gone:    gone,
				Minutes: rapid.Float64Range(0, 5).Draw(t, "minutes"),
				Kind: rapid.SampledFrom([]editing.Going{editing.Longer, editing.Held, editing.CatchUp, editing.GoOn,
					editing.GoBack}).
					Draw(t, "kind"),
			}
			if travel.Kind == editing.GoBack && at == 0 {
				continue
			}
			now := under(t, d, travel, in)
			require.NoError(t, now.Document.Check())
			require.Len(t, now.Document.Blocks, len(d.Blocks), "no block is lost")
			switch travel.Kind {
			case editing.Held:
				require.Equal(t, d, now.Document)
				require.InDelta(t, second, now.Second, 1e-6)
			case editing.CatchUp:
				require.InDelta(t, second, now.Second, 1e-6)
			case editing.Longer:
				require.Equal(t, at, onAt(now.Document, now.Second))
			case editing.GoOn:
				require.Equal(t, min(at+1, len(d.Blocks)-1), onAt(now.Document, now.Second))
			case editing.GoBack:
				at--
				require.Equal(t, at, onAt(now.Document, now.Second))
			}
			require.Equal(t, minutesOf(d)[:at], minutesOf(now.Document)[:at], "what is over stays as it was")
			if total := sample.Minutes(now.Document); total > float64(d.Minutes)+0.3 && total > sample.Minutes(d)+0.3 {
				require.True(
					t,
					strings.Contains(fmt.Sprint(now.Sentences), "min late"),
					"%v of %d: %v",
					total,
					d.Minutes,
					now.Sentences,
				)
			}
			d, second = now.Document, now.Second
		}
	})
}
