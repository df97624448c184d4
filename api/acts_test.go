package api_test

import (
	"fmt"

	"hodometer/internal/long"

	"encoding/json"
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/store"
)

// taps are counts of one run, as a test writes them down.
type taps struct {
	Run     string           `json:"run"`
	Block   string           `json:"block"`
	Student string           `json:"student"`
	Measure int              `json:"measure,omitempty"`
	Entries []map[string]any `json:"entries"`
}

// acts are taps as a device sends them: one act each.
func (c *club) acts(list any) map[string]any {
	text, err := json.Marshal(list)
	require.NoError(c.t, err)
	var t taps
	require.NoError(c.t, json.Unmarshal(text, &t))
	acts := make([]any, len(t.Entries))
	for i, entry := range t.Entries {
		tap := map[string]any{"run": t.Run, "block": t.Block, "student": t.Student, "entry": entry}
		if t.Measure > 0 {
			tap["measure"] = t.Measure
		}
		acts[i] = map[string]any{"id": newID(), "at": c.now, "tap": tap}
	}
	return map[string]any{"sent": c.now, "acts": acts}
}

// tap counts, and returns the counters.
func (c *club) tap(lesson string, list any) []underway.Counter {
	c.t.Helper()
	acted := read[underway.Answered](c.t, c.ask("POST", "/api/lessons/"+lesson+"/acts", c.acts(list)))
	require.Empty(c.t, acted.Refused)
	return acted.Counters
}

// refused counts what cannot be counted, and returns which field is wrong.
func (c *club) refused(lesson string, list any) string {
	c.t.Helper()
	acted := read[underway.Answered](c.t, c.ask("POST", "/api/lessons/"+lesson+"/acts", c.acts(list)))
	require.Len(c.t, acted.Refused, 1)
	return acted.Refused[0].Fields[0].Path
}

// act does one thing beside counting, at this instant.
func (c *club) act(lesson, kind string, what any) underway.Answered {
	c.t.Helper()
	return read[underway.Answered](c.t, c.ask("POST", "/api/lessons/"+lesson+"/acts", map[string]any{
		"sent": c.now, "acts": []any{map[string]any{"id": newID(), "at": c.now, kind: what}},
	}))
}

func (c *club) clock(lesson string, second float64, running, finished bool) underway.Answered {
	c.t.Helper()
	return c.act(lesson, "clock", map[string]any{"second": second, "running": running, "finished": finished})
}

// What a device did without an answer is done once, in its order, however often it is sent and whatever its clock says.
func TestActsAreDoneOnce(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, block, id := c.student(ada()), newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	first := read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil)).Lesson.Document.Blocks[0]
	slow := c.now.Add(-40 * time.Minute) // the clock of the device
	at := func(seconds int) time.Time { return slow.Add(time.Duration(seconds) * time.Second) }
	sent := func() map[string]any { return map[string]any{"sent": at(200), "acts": []any{}} }
	body := sent()
	body["acts"] = []any{
		map[string]any{"id": newID(), "at": at(0), "clock": map[string]any{"second": 0, "running": true, "finished": false}},
		map[string]any{
			"id":     newID(),
			"at":     at(60),
			"travel": map[string]any{"kind": "longer", "block": first.ID, "gone": 60, "minutes": 1},
		},
		map[string]any{
			"id": newID(),
			"at": at(70),
			"tap": map[string]any{
				"run":     newID(),
				"block":   block,
				"student": student,
				"entry":   map[string]any{"seq": 0, "kind": "made", "at": at(70)},
			},
		},
		map[string]any{
			"id":     newID(),
			"at":     at(80),
			"travel": map[string]any{"kind": "go back", "block": first.ID, "gone": 80},
		},
		map[string]any{"id": newID(), "at": at(90), "change": map[string]any{"kind": "turns", "block": block, "turns": 9}},
	}
	acted := read[underway.Answered](t, c.ask("POST", "/api/lessons/"+id+"/acts", body))
	require.Len(t, acted.Refused, 1)
	require.Equal(t, "this is the first block", acted.Refused[0].Fields[0].Message)
	require.InDelta(t, 200, acted.Second, 1e-6, "begun 200 seconds before it was sent")
	require.InDelta(t, first.Minutes+1, acted.Lesson.Document.Blocks[0].Minutes, 1e-9)
	require.Equal(t, 1, acted.Counters[0].Count.Made)
	require.Equal(t, 9, acted.Lesson.Document.Blocks[1].Turns)

	again := read[underway.Answered](t, c.ask("POST", "/api/lessons/"+id+"/acts", body))
	require.Equal(t, acted.Lesson, again.Lesson, "sent again, done once")
	require.Equal(t, acted.Counters, again.Counters)
	require.Equal(t, acted.Clock, again.Clock)
	require.Equal(t, read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil)), again.Courtside)

	wrong := sent()
	wrong["acts"] = []any{map[string]any{"id": newID(), "at": c.now}}
	require.Equal(
		t,
		"id",
		read[underway.Answered](t, c.ask("POST", "/api/lessons/"+id+"/acts", wrong)).Refused[0].Fields[0].Path,
		"nothing to do",
	)
	readProblem(t, c.ask("POST", "/api/lessons/"+newID()+"/acts", body), http.StatusNotFound)
}

// What is changed on the spot is told afterwards, with its reason; what was counted before it stays what it was.
func TestADrillIsChangedWhileItIsPlayed(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id, block, planned := lessonWith(t, c, "Coin in the Corner", c.student(ada()))
	student := planned.People[0].ID
	c.clock(id, 0, true, false)
	c.count(id, block, student, 1, 4, 2)
	change := newID()
	acted := read[underway.Answered](
		t,
		c.ask("POST", "/api/lessons/"+id+"/acts", map[string]any{"sent": c.now, "acts": []any{
			map[string]any{
				"id": change,
				"at": c.now,
				"change": map[string]any{
					"kind":  "adjust",
					"block": block,
					"gone":  300,
					"step":  map[string]any{"kind": "other wing"},
				},
			},
			map[string]any{"id": newID(), "at": c.now, "reason": map[string]any{"of": change, "why": "stiff"}},
		}}),
	)
	require.Equal(t, "[Coin in the Corner, other wing, from now on.]", fmt.Sprint(acted.Sentences))
	rest := acted.Lesson.Document.Blocks[1]
	require.Equal(t, 4, acted.Counters[0].Count.Made)
	require.Zero(t, acted.Counters[1].Count.Balls)
	c.count(id, rest.ID, student, 1, 1, 0)
	after := read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
	require.Equal(t, []courtside.Changed{{At: c.now, Said: acted.Sentences, Why: underway.Stiff}}, after.Changes)
	kept, err := c.store.AttemptsOfLesson(t.Context(), id)
	require.NoError(t, err)
	require.Equal(
		t,
		[]string{"forehand", "backhand"},
		[]string{string(kept[0].Stroke), string(kept[1].Stroke)},
		"each counts for its own stroke",
	)
}

// As a block begins, the chance that courtside shows is the one that the plan gives.
func TestTheChanceCourtsideIsThePlansAtFirst(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	compared := 0
	for _, stored := range library.All()[:40] {
		c := newClub(t)
		id, block, planned := lessonWith(t, c, stored.Document.Name, c.student(ada()), c.student(named("Ben", student.Adult)))
		seen := c.clock(id, 0, true, false)
		for _, p := range planned.Plan.Prospects[0].Students {
			for _, counter := range seen.Counters {
				if counter.Block != block || counter.Student != p.Student || counter.Measure != p.Measure || counter.Chance == nil {
					continue
				}
				compared++
				require.NotNil(t, p.Chance, stored.Document.Name)
				require.InDelta(t, *p.Chance, *counter.Chance, 1e-6, stored.Document.Name)
			}
		}
	}
	require.Greater(t, compared, 30)
}

// A device whose clock is a little ahead did nothing in the future: the lesson goes on from where it was sent to.
func TestADeviceThatIsALittleAhead(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(newID(), c.student(ada())), fresh, "*"))
	for _, ahead := range []time.Duration{0, time.Second, 4 * time.Second, time.Hour, -2 * time.Second} {
		at := c.now.Add(ahead)
		acted := read[underway.Answered](t, c.ask("POST", "/api/lessons/"+id+"/acts", map[string]any{
			"sent": at,
			"acts": []any{
				map[string]any{"id": newID(), "at": at, "clock": map[string]any{"second": 100, "running": true, "finished": false}},
			},
		}))
		require.InDelta(
			t,
			100+max(0, -ahead).Seconds(),
			acted.Second,
			1e-6,
			"%s: less than five seconds may be the way that it took",
			ahead,
		)
	}
}

// The counters that courtside shows are worked out from every count; a list reads the summaries beside them.
func TestCountsAndTheirSummariesAreTheSame(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Note, p.Hurts, p.Objective = "quarrels with Ben", "left knee", "the club team"
	student, block, id := c.student(p), newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	for device := range 3 {
		entries := []map[string]any{}
		for i, kind := range []string{"made", "missed", "undo", "made", "made", "played again", "made"} {
			entries = append(
				entries,
				map[string]any{"seq": i, "kind": kind, "at": c.now.Add(time.Duration(device+3*i) * time.Second)},
			)
		}
		counters := c.tap(id, taps{Run: newID(), Block: block, Student: student, Entries: entries})
		var kept []store.Attempt
		kept, err := c.store.AttemptsOfLesson(t.Context(), id)
		require.NoError(t, err)
		require.Equal(t, kept[0].Count, counters[0].Count)
		require.Equal(t, kept[0].Standing, counters[0].Standing)
	}
	packed := c.ask("GET", "/api/lessons/"+id+"/kit", nil)
	for _, private := range []string{p.Note, p.Hurts, p.Objective} {
		require.NotContains(t, packed.Body.String(), private, "what is private stays at home")
	}
	kit := read[underway.Kit](t, packed)
	require.Len(t, kit.Counted[0].Runs, 3)
	require.Equal(t, tally.Undo, kit.Counted[0].Runs[0].Entries[2].Kind)
	view, err := kit.View(t.Context(), c.now)
	require.NoError(t, err)
	seen, err := json.Marshal(view)
	require.NoError(t, err)
	require.JSONEq(t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil).Body.String(), string(seen),
		"what is packed is all that is needed")
}
