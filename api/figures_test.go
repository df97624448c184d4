package api_test

import (
	"hodometer/internal/long"

	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/underway"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// players are so many students of several levels, ages and hands.
func players(c *club, n int) (ids []string, profiles []student.Profile) {
	levels := []student.Level{student.Club, student.Improver, student.Tournament, student.Beginner}
	for i := range n {
		p := ada()
		p.Name = fmt.Sprintf("Player %d", i+1)
		p.Level, p.Hand = levels[i%len(levels)], []student.Hand{student.RightHand, student.LeftHand}[i%2]
		ids, profiles = append(ids, c.student(p)), append(profiles, p)
	}
	return ids, profiles
}

// Every figure that stands in more than one place is the same in all of them: all drills of the library in lessons of
// 1, 2, 3, 6 and 8 players, in the plan, on the drill page tried on the first and the last of them, courtside,
// afterwards and on the run sheet.
func TestEveryFigureIsTheSameWhereverItStands(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	const inOne = 11 // drills in one lesson
	for _, people := range []int{1, 2, 3, 6, 8} {
		c := newClub(t)
		ids, profiles := players(c, people)
		ready := []lesson.Block{}
		for _, stored := range long.Some(t, library.All(), 6*inOne) {
			ready = append(ready, schedule.ForDrill(stored.ID, stored.Document, people, load.Space{}, coach.Default()))
		}
		for blocks := range slices.Chunk(ready, inOne) {
			for i := range blocks {
				blocks[i].ID = newID()
			}
			id := newID()
			body := map[string]any{
				"version":  4,
				"space":    map[string]any{},
				"title":    "All",
				"date":     "2026-03-10",
				"start":    "16:00",
				"minutes":  600,
				"students": ids,
				"note":     "",
				"blocks":   blocks,
			}
			planned := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, body, fresh, "*"))
			run := read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil))
			after := read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
			sheet := read[desk.Sheet](t, c.ask("GET", "/api/lessons/"+id+"/sheet", nil))
			require.Equal(t, run.Counters, after.Counters)
			require.Equal(t, planned.Plan.Blocks, run.Lesson.Plan.Blocks)
			balls := map[string]int{}
			for i, block := range planned.Document.Blocks {
				written, ok := library.Find(block.Drill)
				require.True(t, ok)
				load := planned.Plan.Blocks[i].Load
				written.Turns = load.Turns
				for _, who := range []int{0, people - 1} {
					name := fmt.Sprintf("%s, %d players, %s", written.Name, people, profiles[who].Name)
					worked := read[desk.WorkedDrill](t, c.ask("POST", "/api/drills/preview", map[string]any{
						"id": block.Drill, "document": written, "people": people, "hand": profiles[who].Hand, "student": ids[who],
					}))
					on := worked.Report.Load
					require.Equal(t, []int{load.Each, load.Overheads, load.Serves}, []int{on.Each, on.Overheads, on.Serves}, name)
					if on.Lines == load.Lines {
						require.Equal(
							t,
							[]float64{float64(load.Balls), float64(load.Baskets), load.Feeding, load.PickUp},
							[]float64{float64(on.Balls), float64(on.Baskets), on.Feeding, on.PickUp},
							name,
						)
					}
					for k, m := range written.Measures {
						p := expected(t, planned.Plan.Prospects[i], ids[who], m.Number)
						fit, said := worked.PlayerFit.Measures[k], worked.Report.Measures[k]
						require.InDelta(t, fit.Goals[0].Rate, p.Rate, 1e-12, name)
						require.Equal(t, fit.Attempts, p.Attempts, name)
						require.True(t, strings.HasPrefix(p.Tries, fmt.Sprint(p.Attempts)), p.Tries)
						require.Equal(t, said.Goal, p.Goal, name)
						require.InDelta(t, needs(m, fit.Goals[0].Rate), p.Needs, 1e-6, name)
						for _, g := range fit.Goals {
							if m.What != score.Time && len(m.Goals) == 1 && p.Needs > 0 {
								require.InEpsilon(t, min(g.Answer.Mean, 99_999), p.Needs, 1e-6, name)
							}
						}
						at := slices.IndexFunc(run.Counters, func(c underway.Counter) bool {
							return c.Block == block.ID && c.Student == ids[who] && c.Measure == m.Number
						})
						require.GreaterOrEqual(t, at, 0, name)
						counter := run.Counters[at]
						require.Equal(
							t,
							[]string{p.Goal, p.Called, string(p.Unit)},
							[]string{counter.Goal, counter.Called, string(counter.Unit)},
							name,
						)
						if written.Pattern.Rally == nil && !written.Order.Follow() {
							require.InDelta(t, counter.Turn*load.Turns, p.Attempts, float64(load.Turns)/2, name)
						}
						requireOnSheet(t, sheet, written, p)
					}
				}
				for who, student := range ids {
					own := load.Each
					if table := planned.Plan.Blocks[i].Table; table != nil { // of those who take parts in turn
						own = table.People[who].Balls
					}
					require.GreaterOrEqual(t, own, load.Each)
					balls[student] += own
				}
			}
			for _, b := range planned.Plan.Budgets {
				require.Equal(t, balls[b.Student], b.Balls, "the balls of a student are those of the drills")
			}
		}
	}
}

// expected is what is expected of a student at a measure.
func expected(t *testing.T, b prospect.Block, student string, measure int) prospect.Prospect {
	i := slices.IndexFunc(
		b.Students,
		func(p prospect.Prospect) bool { return p.Student == student && p.Measure == measure },
	)
	require.GreaterOrEqual(t, i, 0)
	return b.Students[i]
}

// needs adds up what the goals of a measure take.
func needs(m drill.Measure, rate float64) (sum float64) {
	for _, g := range m.Goals {
		if mean, ok := odds.MeanBalls(g, rate); ok {
			sum += mean
		}
	}
	return sum
}

// requireOnSheet looks for a goal on the run sheet.
func requireOnSheet(t *testing.T, sheet desk.Sheet, d drill.Document, p prospect.Prospect) {
	i := slices.IndexFunc(sheet.Drills, func(s desk.DrillOnSheet) bool { return s.Document.Name == d.Name })
	require.GreaterOrEqual(t, i, 0)
	k := slices.IndexFunc(d.Measures, func(m drill.Measure) bool { return m.Number == p.Measure })
	require.Equal(t, p.Goal, sheet.Drills[i].Report.Measures[k].Goal)
	require.Equal(t, p.Called, sheet.Drills[i].Report.Measures[k].Name)
}
