package underway_test

import (
	"encoding/json"
	"fmt"
	"slices"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/editing"
	"hodometer/core/live/underway"
	"hodometer/core/sport/feed"
)

// drawKit draws a lesson with people and drills.
func drawKit(t *rapid.T) underway.Kit {
	all := library.All()
	list := rapid.SliceOfN(rapid.IntRange(0, len(all)-1), 1, 3).Draw(t, "drills")
	var drills []library.Stored
	for _, i := range list {
		drills = append(drills, all[i])
	}
	return kitOf(rapid.IntRange(1, 6).Draw(t, "people"), drills...)
}

// drawActs draws what somebody does with a lesson, a few seconds apart.
func drawActs(t *rapid.T, k underway.Kit, device, most int) []underway.Act {
	var acts []underway.Act
	seq := map[string]int{}
	second := 0.0
	for n := range rapid.IntRange(1, most).Draw(t, "acts") {
		second += float64(rapid.IntRange(1, 90).Draw(t, "later"))
		act := underway.Act{ID: idOf(4+device, n), At: after(second)}
		block := k.Document.Blocks[rapid.IntRange(0, len(k.Document.Blocks)-1).Draw(t, "block")]
		gone := float64(rapid.IntRange(0, 400).Draw(t, "gone"))
		switch rapid.IntRange(0, 13).Draw(t, "what") {
		case 0:
			act.Clock = &underway.ClockChange{Second: second, Running: rapid.Bool().Draw(t, "running")}
		case 1:
			act.Travel = &editing.Travel{Kind: editing.Held}
		case 2:
			act.Travel = &editing.Travel{
				Kind:    rapid.SampledFrom([]editing.Going{editing.Longer, editing.GoOn, editing.GoBack}).Draw(t, "going"),
				Block:   block.ID,
				Gone:    gone,
				Minutes: 1,
			}
		case 3:
			act.Change = &editing.Edit{Kind: editing.SetTurns, Block: block.ID, Turns: 1 + n%9}
		case 4:
			here := rapid.IntRange(1, len(k.People)).Draw(t, "here")
			act.Change = &editing.Edit{
				Kind:       editing.SetAttendance,
				Attendance: &editing.Attendance{Present: k.Document.Students[:here], Second: second},
			}
		case 5:
			act.Change = &editing.Edit{
				Kind:  editing.Adjust,
				Block: block.ID,
				Gone:  gone,
				Step: &feed.Transformation{
					Kind: rapid.SampledFrom([]feed.TransformationKind{feed.ToOtherWing, feed.DropTask}).Draw(t, "step"),
				},
			}
		case 6:
			act.Change = &editing.Edit{
				Kind:  editing.Adjust,
				Block: block.ID,
				Gone:  gone,
				Size:  rapid.SampledFrom([]float64{0.8, 1.25}).Draw(t, "size"),
			}
		default:
			student, measure := k.Document.Students[rapid.IntRange(0, len(k.People)-1).Draw(t, "student")], rapid.IntRange(0, 2).
				Draw(t, "measure")
			key := fmt.Sprint(block.ID, student, measure)
			entry := tally.Entry{
				Seq: seq[key],
				At:  act.At,
				Kind: rapid.SampledFrom([]tally.Kind{tally.Made, tally.Missed, tally.Turn, tally.Undo, tally.Rally, tally.Fault,
					tally.Again}).
					Draw(t, "kind"),
			}
			switch entry.Kind {
			case tally.Turn:
				entry.Made, entry.Of = n%6, 6
			case tally.Rally:
				entry.Strokes = n % 9
			case tally.Fault:
				entry.Fault = "late split step"
			}
			seq[key]++
			act.Tap = &underway.Tap{
				Run:     uuid.NewSHA1(uuid.NameSpaceOID, []byte(fmt.Sprint(device, key))).String(),
				Block:   block.ID,
				Student: student,
				Measure: measure,
				Entry:   entry,
			}
		}
		acts = append(acts, act)
	}
	return acts
}

// Whatever is sent twice, and in whatever batches, is done once; and what is packed and unpacked is the same.
func TestActsAreDoneOnceHoweverTheyAreSent(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		k := drawKit(t)
		acts := drawActs(t, k, 0, 24)
		once, twice := k.Copy(), k.Copy()
		do(t, &once, acts...)
		cut := rapid.IntRange(0, len(acts)).Draw(t, "cut")
		do(t, &twice, acts[:cut]...)
		text, err := json.Marshal(twice)
		require.NoError(t, err)
		var unpacked underway.Kit
		require.NoError(t, json.Unmarshal(text, &unpacked))
		again := rapid.IntRange(0, cut).Draw(t, "again")
		do(t, &unpacked, acts[again:]...)
		now := after(4000)
		require.Equal(t, toJSON(t, view(t, once, now)), toJSON(t, view(t, unpacked, now)))
		require.Empty(t, k.Counted, "the kit that was copied is untouched")
	})
}

// Counts of two devices come to the same in whatever order they arrive.
func TestTwoDevicesCountOnOneLesson(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		k := drawKit(t)
		only := func(acts []underway.Act) []underway.Act {
			return slices.DeleteFunc(acts, func(a underway.Act) bool { return a.Tap == nil })
		}
		one, other := only(drawActs(t, k, 0, 16)), only(drawActs(t, k, 1, 16))
		first, last := k.Copy(), k.Copy()
		do(t, &first, append(slices.Clone(one), other...)...)
		do(t, &last, append(slices.Clone(other), one...)...)
		a, b := view(t, first, four), view(t, last, four)
		for i := range a.Counters {
			require.Equal(t, a.Counters[i].Count, b.Counters[i].Count)
			require.Equal(t, a.Counters[i].Standing, b.Counters[i].Standing)
		}
	})
}

func toJSON(t require.TestingT, v any) string {
	text, err := json.Marshal(v)
	require.NoError(t, err)
	return string(text)
}
