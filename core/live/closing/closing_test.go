package closing_test

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
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

// drillOf is how the drill of a kit stands on the clock.
func drillOf(t testing.TB, k underway.Kit) schedule.ScheduledBlock {
	view, err := k.View(t.Context(), time.Time{})
	require.NoError(t, err)
	return view.Lesson.Plan.Blocks[1]
}

// Over the whole library: a lesson that is run as planned is what was planned, if there is time for it; one that ends
// sooner is not more; one that is not run is nothing. R22: nobody runs farther than the time allows.
func TestWhatIsRunAsPlannedIsWhatWasPlanned(t *testing.T) {
	for _, stored := range library.All() {
		t.Run(stored.Document.Name, func(t *testing.T) {
			k := kitOf(stored)
			short := drillOf(t, k)
			if over := short.Load.Need - short.Load.SetUp + short.SetUp - (short.End - short.Start); over > 0 {
				all, err := closing.Everybody(t.Context(), k, nil, k.Document, 1200)
				require.NoError(t, err)
				require.LessOrEqual(t, all[0].Played.Playing, all[0].Planned.Playing)
				k.Document.Blocks[1].Minutes += over/60 + 0.01
				k.Document.Blocks[1].Turns = short.Load.Turns
				k.Becomes(k.Document)
			}
			long := 60 * k.Document.Blocks[1].Minutes
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
			for _, end := range []float64{300, 660, 600 + 0.5*long, 600 + 0.9*long, 720 + long} {
				now := upTo(end)
				for i, p := range now {
					require.LessOrEqual(t, p.Played.Metres, 7*math.Max(0, end-600))
					require.LessOrEqual(t, p.Played.Playing, end)
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
				require.Zero(t, p.Sure.Balls)
				if p.Planned.Balls > 0 {
					require.True(t, strings.HasPrefix(p.Said, "about "), p.Said)
				}
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

// By hand: a block that ended after 30 s, of which 90 were to set up, held nothing; one that ended half a minute after
// half of its feeding held half of it, said as about so much. A hundred balls counted of a few that were planned are a
// hundred balls, and nobody ran farther for them than the time allows.
func TestNothingIsPlayedThatDidNotRun(t *testing.T) {
	t.Parallel()
	i := slices.IndexFunc(library.All(), func(s library.Stored) bool { return s.Document.Name == "Two and Away" })
	k := kitOf(library.All()[i])
	s := drillOf(t, k)
	upTo := func(counters []underway.Counter, end float64) closing.Played {
		all, err := closing.Everybody(t.Context(), k, counters, k.Document, end)
		require.NoError(t, err)
		return all[0]
	}
	early := upTo(nil, 630)
	require.Greater(t, s.SetUp, 30.0)
	require.Zero(t, early.Played.Balls)
	require.Zero(t, early.Played.Metres)
	half := upTo(nil, s.Start+s.SetUp+(s.Load.Need-s.Load.SetUp)/2)
	require.InDelta(t, float64(half.Planned.Balls)/2, half.Played.Balls, 1)
	require.InDelta(t, half.Planned.Metres/2, half.Played.Metres, 0.5)
	require.Contains(t, half.Said, fmt.Sprintf("about %d of %d strokes", half.Played.Balls, half.Planned.Balls))
	require.Contains(t, half.Said, "ran about ")

	at := time.Date(2026, 3, 10, 16, 12, 0, 0, time.UTC)
	_, err := k.Do(t.Context(), underway.Act{ID: id(20), At: at, Tap: &underway.Tap{
		Run: id(30), Block: id(3), Student: id(10), Entry: tally.Entry{Kind: tally.Turn, Made: 60, Of: 100, At: at},
	}})
	require.NoError(t, err)
	view, err := k.View(t.Context(), at)
	require.NoError(t, err)
	many := upTo(view.Counters, 1200)
	require.Equal(t, []int{100, 100}, []int{many.Played.Balls, many.Sure.Balls})
	require.LessOrEqual(t, many.Played.Metres, many.Planned.Metres+1e-9)
	require.Contains(t, many.Said, fmt.Sprintf("100 of %d strokes", many.Planned.Balls))
	soon := upTo(view.Counters, 630)
	require.Equal(t, 100, soon.Played.Balls, "what was counted was played")
	require.InDelta(t, soon.Planned.Metres*30/(s.Load.Need-s.Load.SetUp), soon.Played.Metres, 0.01,
		"they ran for it, and no longer than half a minute")
}

// By hand: of a pattern of three balls one counts. Seven of it counted are seven strokes for sure, of about 21.
func TestWhatNobodyCountedIsAbout(t *testing.T) {
	t.Parallel()
	i := slices.IndexFunc(library.All(), func(s library.Stored) bool { return s.Document.Name == "Three-Corner Round" })
	stored := library.All()[i]
	d := stored.Document.Clone()
	d.Measures = d.Measures[:1]
	d.Measures[0].Tasks = []int{0}
	stored.Document = d
	k := kitOf(stored)
	k.Document.Blocks[1].Minutes = 30
	k.Becomes(k.Document)
	at := time.Date(2026, 3, 10, 16, 12, 0, 0, time.UTC)
	_, err := k.Do(t.Context(), underway.Act{ID: id(20), At: at, Tap: &underway.Tap{
		Run: id(30), Block: id(3), Student: id(10), Entry: tally.Entry{Kind: tally.Turn, Made: 5, Of: 7, At: at},
	}})
	require.NoError(t, err)
	view, err := k.View(t.Context(), at)
	require.NoError(t, err)
	all, err := closing.Everybody(t.Context(), k, view.Counters, k.Document, 42*60)
	require.NoError(t, err)
	require.Equal(t, 7, all[0].Sure.Balls)
	require.InDelta(t, 21, all[0].Played.Balls, 1)
	require.Contains(t, all[0].Said, "strokes, 7 of them counted")
	require.True(t, strings.HasPrefix(all[0].Said, "about "))
}
