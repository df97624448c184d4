package schedule_test

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

func clocks(p plan.Plan) []string {
	phrases := make([]string, len(p.Blocks))
	for i, s := range p.Blocks {
		phrases[i] = s.Clock
	}
	return phrases
}

func TestTimetableByHand(t *testing.T) {
	d, in := sample.Hour()
	p := sample.Planned(t, d, in)
	// 48 minutes planned of 60 booked.
	require.InDelta(t, 2880, p.Planned, 1e-9)
	require.InDelta(t, 720, p.Spare, 1e-9)
	require.InDelta(t, 0, p.Over, 1e-9)
	require.Equal(t, []string{"16:45", "16:53", "17:03", "17:13", "17:18", "17:28"}, clocks(p))
	require.Len(t, p.Milestones, 13)
	require.Equal(t, "17:45", p.Milestones[12].Clock)

	// Coin, two players, four turns: 60 s set-up, 312 s feeding, 40 s picking up 48 balls, and 20 s to
	// walk over: 432 s of 600 s, 168 s to spare.
	first := p.Blocks[2]
	require.InDelta(t, 80, first.SetUp, 1e-9)
	require.InDelta(t, 312, first.Work, 1e-9)
	require.InDelta(t, 40, first.PickUp, 1e-9)
	require.InDelta(t, 168, first.Spare, 1e-9)
	require.Equal(t, "4 turns each, 48 balls: fits with 2:48 to spare", first.Fits)

	// Eight turns of the same drill: its five pieces stand already, which saves 5 × 5 s of the 60 s of set-up.
	// 20 + 35 + 624 + 80 = 759 s, 159 s over. A turn for both takes 88 s, so that the 545 s left hold 6 of them.
	second := p.Blocks[4]
	require.InDelta(t, 159, second.Over, 1e-9)
	require.Equal(t, "8 turns each, 96 balls: 2:39 over; 6 turns would fit", second.Fits)
	require.Equal(t, []schedule.Piece{{Count: 1, Name: "basket"}, {Count: 4, Name: "flat markers"}}, second.Stays)

	require.Equal(t, 48+96, p.Balls)
	require.Equal(t, 1+2, p.Baskets, "48 balls are one basket of 60, 96 balls are two")
	require.InDelta(t, 0, p.Late, 1e-9, "the 12 spare minutes take up the 2:39")
}

func TestEquipmentThatMovesTakesTime(t *testing.T) {
	d, in := sample.Hour()
	d.Blocks[4].Drill = sample.BuiltIn(t, "Metronome", in).ID
	p := sample.Planned(t, d, in)
	// Coin leaves 1 basket and 4 flat markers; Metronome wants a machine, 2 baskets and 2 cones: the markers are
	// collected in 4 × 5 s.
	second := p.Blocks[4]
	require.Equal(t, []schedule.Piece{{Count: 4, Name: "flat markers"}}, second.Goes)
	require.Contains(t, fmt.Sprint(second.Comes), "1 ball machine")
	require.InDelta(t, 20+20+120, second.SetUp, 1e-9, "walking over, collecting, setting up")
	require.Equal(t, "Collecting 4 flat markers", second.Time.Sums[len(second.Time.Sums)-1].Parts[1].Name)
	// 144 balls of the last drill fill both of the coach's baskets.
	require.Equal(
		t,
		[]schedule.Piece{
			{Count: 2, Name: "baskets"},
			{Count: 4, Name: "flat markers"},
			{Count: 1, Name: "ball machine"},
			{Count: 2, Name: "cones"},
		},
		p.Carry,
	)

	plans, err := schedule.CourtPlans(d, p.Timetable, in)
	require.NoError(t, err)
	require.Len(t, plans, 1)
	require.Len(t, plans[0].Moves, 2)
	walk := ""
	for _, step := range plans[0].Walk {
		walk += step.Label + "\n"
	}
	require.Contains(t, walk, "Coin in the Corner: target")
	require.Contains(t, walk, "Metronome: target")
}

func TestBudgetsByHand(t *testing.T) {
	d, in := sample.Hour()
	require.NoError(t, in.Measure(t.Context(), d))
	p := sample.Planned(t, d, in)
	ada := p.Budgets[0]
	// 24 + 48 balls fed, and five minutes of volleys, a ball every three seconds.
	require.Equal(t, 24+48+100, ada.Balls)
	first, second := in.Metres[d.Blocks[2].ID][ada.Student], in.Metres[d.Blocks[4].ID][ada.Student]
	require.Positive(t, first)
	require.Equal(t, math.Round(4*first)+math.Round(8*second), ada.Metres, "12 turns, whole metres each drill")
	// Playing: body 8 min less nothing to walk, ball 10 min, and 12 turns of 39 s less the 6 s of pause at their ends;
	// those and the others' 12 turns are waiting.
	require.InDelta(t, 480+600+12*33, ada.Playing, 1e-6)
	require.InDelta(t, 12*45, ada.Waiting, 1e-6)
	require.InDelta(t, 600, ada.Rest, 1e-9)
	require.Equal(t, "Run", p.Metrics[5].Name)
}

func TestStartersAndDrillBlocksFit(t *testing.T) {
	d, in := sample.Hour()
	for drills := range slices.Chunk(library.All(), lesson.MaxBlocks-len(lesson.Starters(""))) {
		d.Blocks = lesson.Starters("")
		for _, stored := range drills {
			in.Drills[stored.ID] = stored.Document
			d.Blocks = append(d.Blocks, schedule.ForDrill(stored.ID, stored.Document, 2, load.Space{}, in.Settings))
		}
		for i := range d.Blocks {
			d.Blocks[i].ID = string(rune('a' + i))
		}
		for _, s := range sample.Planned(t, d, in).Blocks {
			collecting := 0
			for _, piece := range s.Goes {
				collecting += piece.Count
			}
			require.LessOrEqual(
				t,
				s.Over,
				in.Settings.Piece*float64(collecting),
				s.Title+": only what stands from the drill before is not known beforehand",
			)
			if s.Load != nil {
				require.Less(t, s.Spare, 120.0, s.Title)
			}
		}
	}
}

// By hand: three turns of 20 shadow strokes in a minute and 15 s of pause, for everybody at once, after 20 s of walking
// over and 20 s of explaining, and five pieces of the last drill collected in 25 s: 4:50 of 8:00. A technique block
// counts by its drill, and no ball is fed.
func TestATechniqueBlockIsCountedByADrill(t *testing.T) {
	d, in := sample.Hour()
	stored := sample.BuiltIn(t, "Four, Three, Two", in)
	d.Blocks = append(
		d.Blocks,
		lesson.Block{ID: "9", Kind: lesson.Technique, Title: "Grip", Minutes: 8, Drill: stored.ID, Calls: []lesson.Call{}},
	)
	require.NoError(t, d.Check())
	p := sample.Planned(t, d, in)
	last := p.Blocks[len(p.Blocks)-1]
	require.NotNil(t, last.Load)
	require.Zero(t, last.Load.Balls)
	require.Equal(t, "3 turns each: fits with 3:10 to spare", last.Fits)
	d.Blocks[len(d.Blocks)-1].Kind = lesson.Talk
	require.ErrorContains(t, d.Check(), "drills, points, technique or serving")
}
