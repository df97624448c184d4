package api_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/api/repository"
	"hodometer/core/count/score"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/underway"
)

// counted counts events towards a goal, and returns the counters; see ran.
func counted(t *testing.T, goal map[string]any, students int, events []map[string]any) []underway.Counter {
	after, _ := ran(t, goal, students, events)
	return after.Counters
}

// ran runs a lesson of so many students with a goal, and returns what became of it and of the first student. Each event
// is of the student with its number.
func ran(
	t *testing.T,
	goal map[string]any,
	students int,
	events []map[string]any,
) (courtside.Afterwards, repository.Progress) {
	c := newClub(t)
	block, id := newID(), newID()
	var people []string
	var variants []map[string]any
	for range students {
		person := c.student(ada())
		people = append(people, person)
		variants = append(
			variants,
			map[string]any{"student": person, "goals": []any{map[string]any{"measure": 1, "goals": []any{goal}}}},
		)
	}
	d := lessonFor(block, people...)
	blocks, ok := d["blocks"].([]map[string]any)
	require.True(t, ok)
	blocks[1]["variants"] = variants
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, fresh, "*"))
	devices := make([]string, students)
	for i := range devices {
		devices[i] = newID()
	}
	for i, event := range events {
		who, _ := event["who"].(int)
		entry := map[string]any{"seq": i, "at": c.now.Add(time.Duration(i) * time.Second)}
		for field, value := range event {
			if field != "who" {
				entry[field] = value
			}
		}
		c.tap(id, map[string]any{"run": devices[who], "block": block, "student": people[who], "entries": []any{entry}})
	}
	after := read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
	progress := read[repository.Progress](t, c.ask("GET", "/api/students/"+people[0]+"/progress", nil))
	require.Equal(
		t,
		after.Counters[0].Standing,
		progress.Drills[0].Times[0].Standing,
		"afterwards and on the student's page",
	)
	return after, progress
}

func times(n int, event map[string]any) []map[string]any {
	list := make([]map[string]any, n)
	for i := range list {
		list[i] = event
	}
	return list
}

func made(who int) map[string]any   { return map[string]any{"kind": "made", "who": who} }
func missed(who int) map[string]any { return map[string]any{"kind": "missed", "who": who} }
func rally(strokes int) map[string]any {
	return map[string]any{"kind": "rally", "strokes": strokes}
}

// Each case by hand.
func TestWhatIsCountedIsWhatTheGoalSays(t *testing.T) {
	t.Parallel()
	t.Run("five strokes are one rally", func(t *testing.T) {
		goal := map[string]any{"kind": "rallies of a length", "count": 3, "from": 4, "to": 8}
		counters := counted(
			t,
			goal,
			1,
			[]map[string]any{rally(5), rally(3), {"kind": "rally", "strokes": 9, "stopped": true}},
		)
		require.Equal(t, "1 of 3 rallies; the last one got to 9 strokes: too slow", counters[0].Standing.Sentence.String())
		require.Equal(
			t,
			[]int{3, 9, 17, 19},
			[]int{counters[0].Count.Rallies, counters[0].Count.Longest, counters[0].Count.Made, counters[0].Count.Balls},
			"the stopped one has no miss",
		)
		require.Equal(t, score.Rally, counters[0].Unit)
		require.Equal(t, 9, counters[0].TooLong)
		require.True(t, counted(t, goal, 1, []map[string]any{rally(4), rally(8), rally(6)})[0].Standing.Met)
	})
	t.Run("together is added up", func(t *testing.T) {
		goal := map[string]any{"kind": "together", "count": 5}
		counters := counted(t, goal, 2, append(times(3, made(0)), made(1), missed(1)))
		require.Equal(t, "4 of 5", counters[0].Standing.Sentence.String())
		require.Equal(t, counters[0].Standing, counters[1].Standing)
		require.True(t, counted(t, goal, 2, append(times(3, made(0)), times(2, made(1))...))[1].Standing.Met)
		require.Equal(t, "2 of 5",
			counted(t, goal, 2, times(2, made(0)))[1].Standing.Sentence.String(), "who has counted nothing yet")
	})
	t.Run("three streaks are not one run", func(t *testing.T) {
		goal := map[string]any{"kind": "in a row", "count": 5, "sets": 3}
		require.Equal(t, "1 of 3 times, 4 in a row", counted(t, goal, 1, times(9, made(0)))[0].Standing.Sentence.String())
		require.True(t, counted(t, goal, 1, times(15, made(0)))[0].Standing.Met)
	})
	t.Run("a lost game stays lost", func(t *testing.T) {
		goal := map[string]any{"kind": "first to", "count": 5, "against": 3}
		counters := counted(t, goal, 1, append(times(3, missed(0)), times(5, made(0))...))
		require.True(t, counters[0].Standing.Lost)
		require.Equal(t, score.Point, counters[0].Unit)
		after, progress := ran(t, goal, 1, append(times(3, missed(0)), times(5, made(0))...))
		require.Zero(t, after.Students[0].Balls, "points are no balls")
		require.Zero(t, progress.Strokes[0].Advice.Balls, "and move nobody on the ladder")
		require.Equal(t, "4 : 2",
			counted(t, goal, 1, append(times(2, missed(0)), times(4, made(0))...))[0].Standing.Sentence.String())
	})
	t.Run("a run on the clock has three tries", func(t *testing.T) {
		goal := map[string]any{"kind": "within a time", "count": 3, "seconds": 40}
		try := func(seconds float64) map[string]any { return map[string]any{"kind": "time", "seconds": seconds} }
		counters := counted(t, goal, 1, []map[string]any{try(44), try(41.27)})
		require.Equal(t, "2 of 3 tries, best 41.3 s", counters[0].Standing.Sentence.String())
		require.Equal(t, score.Time, counters[0].Unit)
		require.Zero(t, counters[0].Count.Balls, "a time is no ball")
		require.InDelta(t, 41.27, counters[0].Count.Fastest, 1e-9)
		require.True(t, counted(t, goal, 1, []map[string]any{try(44), try(39.9)})[0].Standing.Met)
		require.True(t, counted(t, goal, 1, []map[string]any{try(44), try(43), try(42), try(30)})[0].Standing.Lost)
	})
	t.Run("a turn without its order", func(t *testing.T) {
		goal := map[string]any{"kind": "in a row", "count": 3}
		counters := counted(t, goal, 1, []map[string]any{{"kind": "turn", "made": 4, "of": 5}})
		require.True(t, counters[0].Standing.Perhaps)
		require.False(t, counters[0].Standing.Met, "2 and 2 would be no 3 in a row")
		require.True(
			t,
			counted(t, goal, 1, []map[string]any{{"kind": "turn", "made": 4, "of": 5}, {"kind": "made"}, {"kind": "made"},
				{"kind": "made"}})[0].Standing.Met,
		)
	})
}
