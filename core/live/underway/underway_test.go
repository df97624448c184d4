package underway_test

import (
	"context"
	"fmt"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/live/underway"
	"hodometer/core/people/coach"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
)

var four = time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)

func idOf(kind, n int) string { return fmt.Sprintf("0190a000-0000-7000-8%03x-%012x", kind, n) }

func after(seconds float64) time.Time { return four.Add(time.Duration(seconds * float64(time.Second))) }

// kitOf is a lesson of two blocks of ten minutes and of some drills, eight minutes each, with so many people.
func kitOf(people int, drills ...library.Stored) underway.Kit {
	k := underway.Kit{
		ID: idOf(
			1,
			0,
		),
		Revision: 1,
		Drills:   map[string]drill.Document{},
		Games:    map[string]game.Document{},
		Settings: coach.Default(),
		Document: lesson.Document{
			FormatVersion: lesson.FormatVersion,
			Title:         "Ten",
			Date:          "2026-03-10",
			Start:         "16:00",
			Minutes:       20 + 8*len(drills),
			Blocks: []lesson.Block{
				{ID: idOf(2, 1), Kind: lesson.Body, Title: "Body warm-up", Minutes: 10, Effort: 3, Calls: []lesson.Call{}},
				{ID: idOf(2, 2), Kind: lesson.Break, Title: "Water", Minutes: 10, Calls: []lesson.Call{}},
			},
		},
	}
	for i, d := range drills {
		k.Drills[d.ID] = d.Document
		k.Document.Blocks = append(
			k.Document.Blocks,
			lesson.Block{
				ID:      idOf(2, 3+i),
				Kind:    lesson.Drill,
				Title:   d.Document.Name,
				Minutes: 8,
				Effort:  5,
				Drill:   d.ID,
				Calls:   []lesson.Call{},
			},
		)
	}
	for i := range people {
		hand := []student.Hand{student.RightHand, student.LeftHand}[i%2]
		id := idOf(3, i)
		k.People = append(
			k.People,
			lesson.Person{
				ID: id,
				Profile: student.Profile{
					Name:  fmt.Sprintf("Player %c", 'A'+i),
					Hand:  hand,
					Age:   student.Adult,
					Watch: []string{"late split step"},
				},
			},
		)
		k.Document.Students = append(k.Document.Students, id)
	}
	for _, b := range k.Document.Blocks[2:] {
		r := underway.Rates{Block: b.ID}
		for i, id := range k.Document.Students {
			known := underway.Known{Student: id, Stroke: 2}
			for j := range k.Drills[b.Drill].Measures { // known for sure
				rate := skill.Of(0.4 + 0.05*float64(i) + 0.03*float64(j))
				known.At = append(known.At, underway.At{Belief: skill.Belief{Attempt: rate}})
			}
			r.Known = append(r.Known, known)
		}
		k.Rates = append(k.Rates, r)
	}
	return k
}

func view(t require.TestingT, k underway.Kit, at time.Time) underway.Courtside {
	seen, err := k.View(context.Background(), at)
	require.NoError(t, err)
	return seen
}

func do(t require.TestingT, k *underway.Kit, acts ...underway.Act) underway.Done {
	done, err := k.DoAll(context.Background(), acts)
	require.NoError(t, err)
	return done
}

// By hand: begun at four, held at 16:03 for two minutes, one more minute, caught up, on to the next block at 16:11:30,
// when 9:30 of the first were played.
func TestALessonByHand(t *testing.T) {
	t.Parallel()
	k := kitOf(1, library.All()[0])
	first, next := k.Document.Blocks[0].ID, k.Document.Blocks[1].ID
	done := do(t, &k,
		underway.Act{ID: idOf(4, 1), At: after(0), Clock: &underway.ClockChange{Running: true}},
		underway.Act{ID: idOf(4, 2), At: after(180), Clock: &underway.ClockChange{Second: 180}},
	)
	require.Empty(t, done.Refused)
	planned := view(t, k, after(180)).Lesson.Plan.Planned
	require.InDelta(t, 180, view(t, k, after(290)).Second, 1e-9, "it stands still")
	require.Zero(t, view(t, k, after(180)).Late)
	do(t, &k, underway.Act{ID: idOf(4, 3), At: after(300), Travel: &editing.Travel{Kind: editing.Held}})
	require.InDelta(t, 10, k.Document.Blocks[0].Minutes, 0.01, "the block that was held has what it had")
	seen := view(t, k, after(310))
	require.InDelta(t, 190, seen.Second, 1e-9, "and it goes on where it stood")
	require.InDelta(t, planned+120-seen.Lesson.Plan.Booked, seen.Late, 0.5)
	do(
		t,
		&k,
		underway.Act{
			ID:     idOf(4, 4),
			At:     after(320),
			Travel: &editing.Travel{Kind: editing.Longer, Block: first, Gone: 200, Minutes: 1},
		},
	)
	require.InDelta(t, 11, k.Document.Blocks[0].Minutes, 0.01)
	do(t, &k, underway.Act{ID: idOf(4, 10), At: after(330), Travel: &editing.Travel{Kind: editing.CatchUp}})
	seen = view(t, k, after(330))
	require.Zero(t, seen.Late)
	require.InDelta(t, 210, seen.Second, 1e-9)
	require.InDelta(t, seen.Lesson.Plan.Booked, seen.Lesson.Plan.Planned+120, 1, "it ends with its booking")
	do(
		t,
		&k,
		underway.Act{ID: idOf(4, 5), At: after(690), Travel: &editing.Travel{Kind: editing.GoOn, Block: first, Gone: 570}},
	)
	seen = view(t, k, after(691))
	require.InDelta(t, 571, seen.Second, 0.7)
	require.Equal(
		t,
		next,
		seen.Lesson.Document.Blocks[slices.IndexFunc(seen.Lesson.Plan.Blocks,
			func(b scheduled) bool { return seen.Second < b.End })].ID,
	)
	require.InDelta(t, seen.Lesson.Plan.Booked, seen.Lesson.Plan.Planned+120, 6, "the booking is what it was")

	refused := do(
		t,
		&k,
		underway.Act{ID: idOf(4, 6), At: after(600), Travel: &editing.Travel{Kind: editing.GoOn, Block: idOf(2, 9)}},
		underway.Act{ID: idOf(4, 7), At: after(600)},
		underway.Act{
			ID:     idOf(4, 8),
			At:     after(600),
			Change: &editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: []string{idOf(3, 5)}}},
		},
		underway.Act{
			ID: idOf(4, 9),
			At: after(600),
			Tap: &underway.Tap{
				Run:     idOf(5, 1),
				Block:   k.Document.Blocks[2].ID,
				Student: idOf(3, 5),
				Entry:   tally.Entry{Kind: tally.Made, At: four},
			},
		},
	)
	require.Len(t, refused.Refused, 4)
	require.Equal(t, seen.Lesson.Document, view(t, k, after(691)).Lesson.Document, "what cannot be done changes nothing")
}

// What is left of a block, and what was made, moves the chance to meet a goal in it: later and missed never more
// likely, made never less.
func TestTheChanceInTheTimeThatIsLeft(t *testing.T) {
	t.Parallel()
	said := 0
	for _, stored := range library.All() {
		k := kitOf(2, stored)
		block := k.Document.Blocks[2].ID
		do(t, &k, underway.Act{ID: idOf(4, 1), At: four, Clock: &underway.ClockChange{Second: 1200, Running: true}})
		chance := func(k underway.Kit, seconds float64) *float64 {
			for _, c := range view(t, k, after(seconds)).Counters {
				if c.Student == k.Document.Students[0] && c.On {
					return c.Chance
				}
			}
			return nil
		}
		first := chance(k, 0)
		if first == nil {
			continue
		}
		said++
		last := *first
		for seconds := 60.0; seconds < 480; seconds += 60 {
			left := chance(k, seconds)
			require.NotNil(t, left, "%s, %g s", stored.Document.Name, seconds)
			now := *left
			require.LessOrEqual(t, now, last+1e-12, "%s, later", stored.Document.Name)
			last = now
		}
		measure := view(t, k, four).Counters[0].Measure
		tap := func(n int, kind tally.Kind) underway.Kit {
			then := k.Copy()
			for i := range n {
				do(
					t,
					&then,
					underway.Act{
						ID: idOf(4, 2+i),
						At: four,
						Tap: &underway.Tap{
							Run:     idOf(5, 1),
							Block:   block,
							Student: k.Document.Students[0],
							Measure: measure,
							Entry:   tally.Entry{Seq: i, Kind: kind, At: four},
						},
					},
				)
			}
			return then
		}
		if made := chance(tap(1, tally.Made), 0); made != nil {
			require.GreaterOrEqual(t, *made, *first-1e-12, "%s, one made", stored.Document.Name)
		}
		if missed := chance(tap(1, tally.Missed), 0); missed != nil {
			require.LessOrEqual(t, *missed, *first+1e-12, "%s, one missed", stored.Document.Name)
		}
	}
	require.Greater(t, said, 30)
}
