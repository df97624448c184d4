package plan_test

import (
	"context"
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/internal/sample"
)

func TestVariantsAreProposed(t *testing.T) {
	d, in := sample.Hour()
	in.People[0].Profile.Age, in.People[0].Profile.Level = student.Sixty, student.Improver
	weak := []playerfit.Evidence{{Level: student.Improver, Skill: sample.Counted(12, 18)}}
	v, err := plan.Propose(t.Context(), d, "3", "ada", weak, in)
	require.NoError(t, err)
	require.Greater(t, v.Size, 1.1, "a larger target")
	require.NotEmpty(t, v.Goals)
	require.NotEmpty(t, v.Why)
	for _, bad := range [][2]string{{"1", "ada"}, {"3", "nobody"}} {
		_, err = plan.Propose(t.Context(), d, bad[0], bad[1], weak, in)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields)
	}
}

func TestWorkStopsWhenNobodyWaitsForIt(t *testing.T) {
	d, in := sample.Crowd(6)
	gone, cancel := context.WithCancel(t.Context())
	cancel()
	_, err := plan.Make(gone, d, in)
	require.ErrorIs(t, err, context.Canceled)
	_, err = editing.ShareOut(gone, d, "", in)
	require.ErrorIs(t, err, context.Canceled)
	for _, stored := range library.All() {
		player := stored.Document.PlayerFor(student.Club, student.RightHand)
		_, err := simulation.Run(gone, stored.Document, player, in.Settings)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
		_, err = simulation.MetresOf(
			gone,
			stored.Document,
			stored.Document.PlayerFor(student.Club, student.RightHand),
			in.Settings,
		)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
		_, _, err = playerfit.Adapt(
			gone,
			stored.Document,
			playerfit.AdaptRequest{Minutes: 5},
			make([]playerfit.Evidence, len(stored.Document.Measures)),
			player,
			2,
			in.Settings,
		)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
	}
}

// A lesson of twelve drills and twelve players, all computed: who runs how far, who is where,
// what it takes, what is to be said, and the run sheet.
func BenchmarkLesson12x12(b *testing.B) {
	d, in := sample.Crowd(12)
	d.Minutes = 150
	in.Rates = map[string]map[string]schedule.Rated{}
	d.Blocks = nil
	for i, stored := range library.All()[:12] {
		block := schedule.ForDrill(stored.ID, stored.Document, 12, d.Space, in.Settings)
		block.ID = fmt.Sprint("b", i)
		d.Blocks = append(d.Blocks, block)
		in.Drills[stored.ID], in.Rates[block.ID] = stored.Document, map[string]schedule.Rated{}
		for _, p := range in.People {
			in.Rates[block.ID][p.ID] = sample.Believed(stored.Document, 0.55)
		}
	}
	for b.Loop() {
		require.NoError(b, in.Measure(b.Context(), d))
		runsheet.Cues(d, sample.Planned(b, d, in).Timetable, in)
	}
}

func BenchmarkPlanOfAnHour(b *testing.B) {
	d, in := sample.Hour()
	d.Minutes = 120
	for i := len(d.Blocks); i < 12; i++ {
		block := d.Blocks[i%6]
		block.ID = string(rune('a' + i))
		d.Blocks = append(d.Blocks, block)
	}
	for b.Loop() {
		p, err := plan.Make(context.Background(), d, in)
		require.NoError(b, err)
		runsheet.Cues(d, p.Timetable, in)
	}
}
