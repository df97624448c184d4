package schedule_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

// What each player does in a block adds up to its length, and over all players to players times length: every drill of
// the library with 1, 2, 3, 6 and 8 players (relations R12 and R13).
func TestWhatEverybodyDoesAddsUpToTheBlock(t *testing.T) {
	for _, people := range []int{1, 2, 3, 6, 8} {
		for _, stored := range library.All() {
			d, in := sample.Crowd(people)
			block := schedule.ForDrill(stored.ID, stored.Document, people, d.Space, in.Settings)
			block.ID = "only"
			d.Blocks, in.Drills[stored.ID] = d.Blocks[:0:0], stored.Document
			d.Blocks = append(d.Blocks, block)
			require.NoError(t, in.Measure(t.Context(), d))
			table, _, err := schedule.Make(t.Context(), d, in)
			require.NoError(t, err)
			s := table.Blocks[0]
			sum, metres, balls := 0.0, 0.0, 0
			for _, b := range table.Budgets {
				whole := b.Playing + b.Waiting + s.SetUp + s.PickUp + s.Spare - s.Over
				require.InDelta(t, s.End-s.Start, whole, 1e-6, "%s, %d players", stored.Document.Name, people)
				require.GreaterOrEqual(t, b.Waiting, -1e-9)
				sum += whole
				metres, balls = metres+b.Metres, balls+b.Balls
			}
			require.InDelta(t, float64(people)*(s.End-s.Start), sum, 1e-6)
			own := 0.0
			for _, each := range in.Metres[block.ID] {
				own += float64(s.Load.Turns) * each
			}
			require.InDelta(t, own, metres, 1e-6)
			require.Equal(t, people*s.Load.Each, balls)
		}
	}
}

// A lesson's metres are this student's: what the drill says that is tried on them, by level, age and hand.
func TestMetresAreTheStudents(t *testing.T) {
	t.Parallel()
	differ := 0
	for _, stored := range long.Some(t, library.All(), 20) {
		d, in := sample.Crowd(4)
		for i, level := range []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament} {
			p := &in.People[i].Profile
			p.Level, p.Sport = level, stored.Document.Sport
			p.Hand = []student.Hand{student.RightHand, student.LeftHand}[i%2]
		}
		block := schedule.ForDrill(stored.ID, stored.Document, 4, d.Space, in.Settings)
		block.ID = "only"
		d.Blocks, in.Drills[stored.ID] = []lesson.Block{block}, stored.Document
		require.NoError(t, in.Measure(t.Context(), d))
		table, _, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		for i, person := range in.People {
			mine := block.DrillFor(stored.Document, person)
			player := footwork.For(mine.Sport, person.Profile.Age, person.Profile.Level, person.Profile.Hand,
				person.Profile.Backhand)
			metres, err := simulation.MetresOf(t.Context(), mine, player, in.Settings)
			require.NoError(t, err)
			require.InDelta(t, float64(table.Blocks[0].Load.Turns)*metres, table.Budgets[i].Metres, 1e-6, mine.Name)
			if math.Abs(table.Budgets[i].Metres-table.Budgets[0].Metres) > 0.5 {
				differ++
			}
		}
	}
	require.Greater(t, differ, 5)
}

// Two who are alike run alike, but for the one for whom the block has another tempo: fed twice as fast they do not get
// back in between.
func TestWhoHasTheirOwnTempoRunsTheirOwnMetres(t *testing.T) {
	t.Parallel()
	d, in := sample.Crowd(3)
	for i := range in.People {
		in.People[i].Profile = in.People[0].Profile
	}
	stored := sample.Drill(t, "Both Verges")
	block := schedule.ForDrill("verges", stored, 3, d.Space, in.Settings)
	block.ID = "only"
	d.Blocks, in.Drills["verges"] = []lesson.Block{block}, stored
	require.NoError(t, in.Measure(t.Context(), d))
	own := in.Metres["only"]
	require.InDelta(t, own[in.People[0].ID], own[in.People[1].ID], 1e-9)
	d.Blocks[0].Variants = []lesson.Variant{{Student: in.People[1].ID, Gap: stored.Pattern.Gap / 2}}
	require.NoError(t, in.Measure(t.Context(), d))
	require.InDelta(t, own[in.People[0].ID], in.Metres["only"][in.People[0].ID], 1e-9)
	require.Greater(t, own[in.People[1].ID]-in.Metres["only"][in.People[1].ID], 0.2)
	require.InDelta(t, own[in.People[2].ID], in.Metres["only"][in.People[2].ID], 1e-9)
}
