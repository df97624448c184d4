package schedule_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/metric"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
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
			whole := 0.5*float64(people) + 1e-6 // each runs whole metres
			least, most := 0.0, 0.0
			for _, each := range in.Metres[block.ID] {
				least, most = least+float64(s.Load.Turns)*each, most+float64(s.Load.Turns+1)*each
			}
			require.GreaterOrEqual(t, metres, least-whole)
			require.LessOrEqual(t, metres, most+whole)
			require.GreaterOrEqual(t, balls, people*s.Load.Each)
			if s.Table == nil {
				require.InDelta(t, least, metres, whole)
				require.Equal(t, people*s.Load.Each, balls)
				continue
			}
			// All turns that are played, each by all who have a part in it, the coach as well where one is missing.
			parts := float64(s.Load.All * load.AtOnce(stored.Document))
			played := 0.0
			for i, share := range s.Table.People {
				require.Equal(t, table.Budgets[i].Balls, share.Balls)
				metres -= table.Budgets[i].Metres
				played += turnsAtTheTable(s, i)
			}
			require.InDelta(t, 0, metres, 1e-6)
			require.LessOrEqual(t, played, parts+1e-6)
			if people >= load.AtOnce(stored.Document) {
				require.InDelta(t, parts, played, 1e-6, "%s, %d players", stored.Document.Name, people)
			}
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
			require.Equal(t, math.Round(float64(table.Blocks[0].Load.Turns)*metres), table.Budgets[i].Metres, mine.Name)
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

// What one waits between two turns, as a drill says for a group in one line, is what comes to each in a lesson: by
// hand, two at the coin have turns of 39 s of which the last 6 are a pause; each plays 33 s and waits 39 + 6 = 45 s,
// four times 180 s. Over the library it is that often, but for the last turn after which nobody waits so long.
func TestWaitingIsThatOfTheDrill(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		for _, people := range []int{1, 2, 5} {
			d, in := sample.Crowd(people)
			block := schedule.ForDrill(stored.ID, stored.Document, people, d.Space, in.Settings)
			block.ID = "only"
			d.Blocks, in.Drills[stored.ID] = []lesson.Block{block}, stored.Document
			table, _, err := schedule.Make(t.Context(), d, in)
			require.NoError(t, err)
			told, err := report.Of(stored.Document, people, in.Settings)
			require.NoError(t, err)
			s := table.Blocks[0]
			require.InDelta(t, told.Load.Waiting, s.Load.Waiting, 1e-9, "%s, %d", stored.Document.Name, people)
			if stored.Document.Name == "Coin in the Corner" && people == 2 {
				require.InDelta(t, 45, told.Load.Waiting, 1e-9)
				require.InDelta(t, 180, table.Budgets[0].Waiting, 1e-9)
			}
			if s.Table != nil || stored.Document.Pattern.Next == feed.WhileTheLast {
				continue
			}
			for _, b := range table.Budgets {
				require.InDelta(t, float64(s.Load.Turns)*told.Load.Waiting, b.Waiting, 0.5+1e-6, // whole seconds of feeding
					"%s, %d", stored.Document.Name, people)
			}
		}
	}
}

// turnsAtTheTable are the rounds of a table in which somebody plays, and does not feed.
func turnsAtTheTable(s schedule.ScheduledBlock, person int) float64 {
	turns := 0.0
	for _, round := range s.Table.Rounds {
		for _, seat := range round.Seats {
			if seat.Person == person && !seat.Waits && !seat.Feeds {
				turns++
			}
		}
	}
	return turns
}

// Everybody has as many turns as are told, or one more where that does not come out even, whatever the drill, the group
// and the turns.
func TestEverybodyHasTheirTurns(t *testing.T) {
	t.Parallel()
	shared := slices.DeleteFunc(library.All(), func(s library.Stored) bool { return load.Form(s.Document) == nil })
	drills := long.Some(t, shared, 10)
	for people := 2; people <= 12; people++ {
		for _, stored := range drills {
			for turns := 1; turns <= 6; turns++ {
				d, in := sample.Crowd(people)
				block := schedule.ForDrill(stored.ID, stored.Document, people, d.Space, in.Settings)
				block.ID, block.Turns = "only", turns
				d.Blocks, in.Drills[stored.ID] = []lesson.Block{block}, stored.Document
				table, _, err := schedule.Make(t.Context(), d, in)
				require.NoError(t, err)
				s := table.Blocks[0]
				least, most := math.Inf(1), 0.0
				for i := range s.Table.People {
					each := turnsAtTheTable(s, i)
					least, most = math.Min(least, each), math.Max(most, each)
				}
				require.Contains(t, []float64{float64(turns), float64(turns + 1)}, least, "%s, %d", stored.Document.Name, people)
				require.LessOrEqual(t, most-least, 1.0, "%s, %d", stored.Document.Name, people)
			}
		}
	}
}

// By hand: eight play a rally on one court, two at a time, three turns each: 8 × 3 ÷ 2 = 12 rallies one after the
// other. Five in two pairs, where one feeds the other, four turns each: 5 × 4 ÷ 2 = 10 rounds of two turns. With three
// turns each there are 15 turns, 8 rounds with 16 of them: somebody has four. A turn has twelve balls.
func TestTurnsByHand(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		drill              string
		people, turns      int
		row, all           int
		fits, strikes, sum string
	}{
		{"Crossroads", 8, 3, 12, 12, "3 turns each", "9 rallies",
			"3 turns × 8 players = 24 turns; 24 turns ÷ 2 players = 12 turns"},
		{"Net Alphabet", 5, 4, 10, 20, "4 turns each", "48 balls",
			"4 turns × 5 players = 20 turns; 20 turns ÷ 2 players = 10 turns"},
		{"Net Alphabet", 5, 3, 8, 16, "3 to 4 turns each", "36 to 48 balls",
			"3 turns × 5 players = 15 turns; 15 turns ÷ 2 players = 8 turns"},
	} {
		d, in := sample.Crowd(c.people)
		document := sample.Drill(t, c.drill)
		block := schedule.ForDrill("one", document, c.people, d.Space, in.Settings)
		block.ID, block.Turns, block.Minutes = "only", c.turns, 60
		d.Blocks, in.Drills["one"] = []lesson.Block{block}, document
		table, _, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		s := table.Blocks[0]
		require.Equal(t, []int{c.row, c.all}, []int{s.Load.Row, s.Load.All}, c.drill)
		require.Len(t, s.Table.Rounds, c.row)
		require.Equal(t, c.sum, said(s.Time.Sums))
		require.Contains(t, s.Fits, c.fits+",")
		require.Equal(t, c.strikes, s.Strikes)
	}
}

// said is how the turns came about that are played one after the other.
func said(sums []metric.Sum) string {
	sign := map[metric.Join]string{metric.Times: " × ", metric.Shared: " ÷ ", metric.Filled: " ÷ "}
	var lines []string
	for _, s := range sums {
		var parts []string
		for _, p := range s.Parts {
			parts = append(parts, p.Worded())
		}
		lines = append(lines, strings.Join(parts, sign[s.Join])+" = "+s.Gives.Worded())
		if s.Gives.Name == "One after the other" {
			break
		}
	}
	return strings.Join(lines, "; ")
}
