package closing_test

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/live/closing"
	"hodometer/core/live/underway"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

func id(n int) string { return fmt.Sprintf("00000000-0000-4000-8000-%012d", n) }

// kitOf is a lesson of a warm-up of ten minutes, a drill of eight and water of two, with three students.
func kitOf(stored library.Stored) underway.Kit {
	k := underway.Kit{
		ID:       id(1),
		Drills:   map[string]drill.Document{stored.ID: stored.Document},
		Settings: coach.Default(),
		Document: lesson.Document{
			FormatVersion: lesson.FormatVersion,
			Title:         "Ten",
			Date:          "2026-03-10",
			Start:         "16:00",
			Minutes:       20,
			Blocks: []lesson.Block{
				{ID: id(2), Kind: lesson.Body, Title: "Body warm-up", Minutes: 10, Calls: []lesson.Call{}},
				{ID: id(3), Kind: lesson.Drill, Title: stored.Document.Name, Minutes: 8, Drill: stored.ID, Calls: []lesson.Call{}},
				{ID: id(4), Kind: lesson.Break, Title: "Water", Minutes: 2, Calls: []lesson.Call{}},
			},
		},
	}
	for i, name := range []string{"Ada Fenn", "Ben Okoro", "Cleo Marsh"} {
		k.Document.Students = append(k.Document.Students, id(10+i))
		k.People = append(
			k.People,
			lesson.Person{
				ID:      id(10 + i),
				Short:   name[:3],
				Profile: student.Profile{Name: name, Sport: stored.Document.Sport, Hand: student.RightHand, Age: student.Adult},
			},
		)
	}
	return k
}

// Over the whole library: a lesson that is run as planned is what was planned; one that ends sooner is not more; one
// that is not run is nothing.
func TestWhatIsRunAsPlannedIsWhatWasPlanned(t *testing.T) {
	for _, stored := range library.All() {
		t.Run(stored.Document.Name, func(t *testing.T) {
			k := kitOf(stored)
			upTo := func(end float64) []closing.Played {
				all, err := closing.Everybody(t.Context(), k, nil, k.Document, end)
				require.NoError(t, err)
				require.Len(t, all, 3)
				return all
			}
			before := upTo(0)
			for _, p := range before {
				require.Zero(t, p.Played.Balls+p.Played.Overheads)
				require.Zero(t, p.Played.Metres+p.Played.Playing)
			}
			for _, end := range []float64{300, 660, 840, 1080, 1200} {
				now := upTo(end)
				for i, p := range now {
					require.GreaterOrEqual(t, p.Played.Balls, before[i].Played.Balls)
					require.GreaterOrEqual(t, p.Played.Metres, before[i].Played.Metres)
					require.LessOrEqual(t, p.Played.Balls, p.Planned.Balls)
				}
				before = now
			}
			for _, p := range before {
				require.Equal(t, p.Planned.Balls, p.Played.Balls)
				require.Equal(t, p.Planned.Overheads, p.Played.Overheads)
				require.Equal(t, p.Planned.Ran, p.Played.Ran)
				require.Zero(t, p.Counted)
			}
		})
	}
}

// Worked by hand: two balls a turn are played, and as much of the plan as was counted of it is what was played; what
// was counted of one is nothing to the others.
func TestWhatWasCountedIsWhatWasPlayed(t *testing.T) {
	found := 0
	for _, stored := range library.All() {
		if stored.Document.Name != "Two and Away" {
			continue
		}
		found++
		k := kitOf(stored)
		view, err := k.View(t.Context(), time.Time{})
		require.NoError(t, err)
		scheduled := view.Lesson.Plan.Blocks[1]
		planned := scheduled.Load.Each
		require.Equal(t, 2*scheduled.Load.Turns, planned)
		at := time.Date(2026, 3, 10, 16, 12, 0, 0, time.UTC)
		half := planned / 2
		outcome, err := k.Do(t.Context(), underway.Act{ID: id(20), At: at, Tap: &underway.Tap{
			Run: id(30), Block: id(3), Student: id(10), Entry: tally.Entry{Kind: tally.Turn, Made: half, Of: half, At: at},
		}})
		require.NoError(t, err)
		require.Len(t, outcome.Taken, 1)
		view, err = k.View(t.Context(), at)
		require.NoError(t, err)
		all, err := closing.Everybody(t.Context(), k, view.Counters, k.Document, 1200)
		require.NoError(t, err)
		require.Equal(t, half, all[0].Played.Balls)
		require.InDelta(t, all[0].Planned.Metres*float64(half)/float64(planned), all[0].Played.Metres, 0.01)
		require.Equal(t, 1, all[0].Counted)
		require.Contains(t, all[0].Said, fmt.Sprintf("%d of %d strokes", half, planned))
		require.Equal(t, planned, all[1].Played.Balls, "nothing was counted of them: by the time")
	}
	require.Equal(t, 1, found)
}

// Worked by hand: 28 serves, counted as 8, 7, 7 and 6 at the four measures that follow one another, are 28 serves and
// 28 overheads of the 48 that were planned. With a limit of 30 that is told from 24 on (8 of 10), and reached at 30.
func TestCountedServesAreOverheads(t *testing.T) {
	found := 0
	for _, stored := range library.All() {
		if stored.Document.Name != "Four Corners" {
			continue
		}
		found++
		k := kitOf(stored)
		for i := range k.People {
			k.People[i].Profile.Limit = &student.Limit{Of: student.Overheads, Max: 30}
		}
		k.Becomes(k.Document)
		at := time.Date(2026, 3, 10, 16, 12, 0, 0, time.UTC)
		count := func(measure, n int) underway.Courtside {
			_, err := k.Do(t.Context(), underway.Act{ID: id(20 + measure), At: at, Tap: &underway.Tap{
				Run: id(
					30 + measure,
				),
				Block:   id(3),
				Student: id(10),
				Measure: measure,
				Entry:   tally.Entry{Kind: tally.Turn, Made: n - 2, Of: n, At: at},
			}})
			require.NoError(t, err)
			view, err := k.View(t.Context(), at)
			require.NoError(t, err)
			return view
		}
		var view underway.Courtside
		for i, n := range []int{8, 7, 7, 6} {
			view = count(i+1, n)
			require.Equal(t, i == 3, view.Counters[0].Near != nil, "from 24 on")
		}
		require.Equal(t, &underway.Near{Text: "28 of at most 30 overheads"}, view.Counters[0].Near)
		all, err := closing.Everybody(t.Context(), k, view.Counters, k.Document, 1200)
		require.NoError(t, err)
		require.Equal(t, []int{28, 28, 28}, []int{all[0].Played.Balls, all[0].Played.Overheads, all[0].Played.Serves})
		require.Equal(t, []int{48, 48}, []int{all[0].Planned.Overheads, all[0].Planned.Serves})
		require.Contains(t, all[0].Said, "28 of 48 overheads")
		for _, c := range view.Counters {
			require.Equal(t, c.Student == id(10), c.Near != nil, "of the others nothing was counted")
		}
	}
	require.Equal(t, 1, found)
}

func TestEachBlockIsSetAgainstThePlan(t *testing.T) {
	block := func(n int, title string, minutes float64) lesson.Block {
		return lesson.Block{ID: id(n), Title: title, Minutes: minutes}
	}
	planned := lesson.Document{
		Blocks: []lesson.Block{
			block(1, "Warm-up", 10),
			block(2, "Rallies", 20),
			block(3, "Serving", 10),
			block(4, "Talk", 5),
		},
	}
	rest := block(5, "Rallies, harder", 9)
	rest.Continues, rest.Anew = id(2), true
	run := lesson.Document{
		Blocks: []lesson.Block{
			block(1, "Warm-up", 10.25),
			block(2, "Rallies", 14),
			rest,
			block(6, "Game", 6),
			block(4, "Talk", 5),
		},
	}
	said := func(end float64) map[string]string {
		list := map[string]string{}
		for _, r := range closing.Against(planned, run, end) {
			list[r.Title] = r.Said
		}
		return list
	}
	require.Equal(t, map[string]string{
		"Warm-up": "as planned",
		"Rallies": "3 min longer",
		"Serving": "left out",
		"Game":    "put in, 6 min",
		"Talk":    "2.5 min shorter",
	}, said(60*(10.25+14+9+6+2.5)))
	require.Equal(t, "put in, and not run", said(60 * 30)["Game"])
	require.Equal(t, "left out", said(60 * 30)["Talk"])

	// Run by its plan to its end, everything is as planned.
	for _, r := range closing.Against(planned, planned, 45*60) {
		require.Equal(t, "as planned", r.Said)
	}
}
