package api_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/count/odds"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
	"hodometer/core/sport/court"
)

var goalAsked = map[string]any{
	"goal": map[string]any{"kind": "in a row", "count": 5}, "rate": 0.6, "minutes": 6,
	"clock": map[string]any{"gap": 5, "sequence": 1, "pause": 0, "people": 1, "basket": 60, "pickUp": 2.5},
}

func TestAGoalIsReckoned(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	r := read[desk.GoalReckoned](t, c.ask("POST", "/api/reckoner/goal", goalAsked))
	require.Equal(t, "about 30 balls, 2.5 min; 9 times in 10 within 64, 5 min and 1 pick-up", r.Answer.Sentence)
	require.Equal(t, 5, r.Fitted.Count)
	require.Contains(t, r.Sentence, "4 times in 5: 5 in a row")
	for path, wrong := range map[string]struct {
		at    string
		value any
	}{
		"rate":       {"rate", 0},
		"goal.count": {"goal.count", 10_000},
		"goal.kind":  {"goal.kind", "golf"},
		"clock":      {"clock.people", 0},
	} {
		p := readProblem(
			t,
			c.ask("POST", "/api/reckoner/goal", with(t, goalAsked, wrong.at, wrong.value)),
			http.StatusUnprocessableEntity,
		)
		require.Contains(t, p.Fields[0].Path, path)
		require.NotEmpty(t, p.Fields[0].Message)
	}
	for _, rate := range []float64{1.2, -1} {
		p := readProblem(
			t,
			c.ask("POST", "/api/reckoner/goal", with(t, goalAsked, "rate", rate)),
			http.StatusUnprocessableEntity,
		)
		require.Contains(t, p.Fields[0].Message, "between 0 and 10 of 10")
	}
	hopeless := read[desk.GoalReckoned](
		t,
		c.ask("POST", "/api/reckoner/goal", with(t, with(t, goalAsked, "rate", 0.01), "goal.sets", 3)),
	)
	require.Nil(t, hopeless.Fitted)
	require.Contains(t, hopeless.Sentence, "Even the smallest goal")

	race := with(
		t,
		with(t, with(t, goalAsked, "goal", map[string]any{"kind": "first to", "count": 11}), "rate", 0.62),
		"length",
		15,
	)
	fair := read[desk.GoalReckoned](t, c.ask("POST", "/api/reckoner/goal", race))
	require.Greater(t, fair.Fair.Count, fair.Fair.Against, "the better side needs more points")
	require.Contains(t, fair.FairSentence, "Fair at 6.2 of 10: ")
	even := read[desk.GoalReckoned](
		t,
		c.ask(
			"POST",
			"/api/reckoner/goal",
			with(t, race, "goal", map[string]any{"kind": "first to", "count": fair.Fair.Count, "against": fair.Fair.Against}),
		),
	)
	require.InDelta(t, 0.5, *even.Answer.Chance, 0.06)
	p := readProblem(t, c.ask("POST", "/api/reckoner/goal", with(t, race, "rate", 1)), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "no fair score")
}

func TestATargetIsReckoned(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	asked := map[string]any{
		"court":  "tennis",
		"level":  "club player",
		"back":   1.98,
		"side":   1.37,
		"radius": 1.37,
		"errors": 0.15,
		"hit":    0.7,
	}
	r := read[desk.TargetReckoned](t, c.ask("POST", "/api/reckoner/target", asked))
	require.Contains(t, r.PlayerFit.Measures[0].Target.Sentence, "of 100 balls")
	require.Contains(t, r.Aim.String(), "Best aim: ")
	require.Contains(t, r.Size.String(), "is hit 7 of 10")
	require.InDelta(t, 1.37, r.Report.Measures[0].Target.Radius, 1e-9)
	outside := readProblem(
		t,
		c.ask("POST", "/api/reckoner/target", with(t, with(t, asked, "court", "table-tennis"), "side", 9)),
		http.StatusUnprocessableEntity,
	)
	require.Contains(t, outside.Fields[0].Path, "target")
	nothing := readProblem(
		t,
		c.ask("POST", "/api/reckoner/target", with(t, asked, "errors", 0)),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "errors", nothing.Fields[0].Path)
}

func TestARallyIsReckoned(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	asked := map[string]any{
		"court":   "tennis",
		"near":    7.5,
		"far":     7.5,
		"height":  0.6,
		"pace":    "game pace",
		"rate":    0.95,
		"seconds": 60,
		"wanted":  50,
		"sets":    2,
		"restart": 4,
	}
	r := read[odds.Rallied](t, c.ask("POST", "/api/reckoner/rally", asked))
	require.Greater(t, r.PerMinute, 50.0)
	require.Contains(t, r.Sentence, "sets of 2")
	p := readProblem(
		t,
		c.ask("POST", "/api/reckoner/rally", with(t, asked, "court", "squash")),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "court", p.Fields[0].Path)
}

func TestADrillSuitsTheStudentItIsTriedOn(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID := c.student(ada())
	id := library.All()[0].ID
	lessonID, block := newID(), newID()
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/lessons/"+lessonID, lessonFor(block, studentID), fresh, "*").Code)
	preview := func() desk.WorkedDrill {
		return read[desk.WorkedDrill](
			t,
			c.ask(
				"POST",
				"/api/drills/preview",
				map[string]any{"id": id, "document": coin(), "people": 1, "hand": "right", "student": studentID},
			),
		)
	}
	before := preview()
	require.Contains(t, before.PlayerFit.Measures[0].Rates.Rate.Sentence, "nothing was counted")
	require.Zero(t, before.PlayerFit.Measures[0].Target.Scatter.Logged)
	aim := before.Report.Measures[0].Target.Centre

	// Nine of ten are made, all of them close to the mark; the last one was taken back.
	var taps []map[string]any
	add := func(kind string, landing *court.Point) {
		tap := map[string]any{"seq": len(taps), "kind": kind, "at": time.Date(2026, 3, 10, 16, 0, len(taps), 0, time.UTC)}
		if landing != nil {
			tap["landing"] = landing
		}
		taps = append(taps, tap)
	}
	for i := range 10 {
		kind := "made"
		if i == 4 {
			kind = "missed"
		}
		add(kind, &court.Point{X: aim.X + 0.2*float64(i%3-1), Y: aim.Y + 0.3*float64(i%4-1)})
	}
	add("missed", &court.Point{X: 0, Y: 0})
	add("undo", nil)
	add("played again", nil) // counts nowhere
	taps[0]["choice"], taps[4]["choice"] = "wrong", "right"
	sent := map[string]any{"run": newID(), "block": block, "student": studentID, "entries": taps}
	c.tap(lessonID, sent)

	after := preview()
	require.Contains(t, after.PlayerFit.Measures[0].Rates.Rate.Sentence, "from 10 balls at this")
	require.Greater(t, after.PlayerFit.Measures[0].Rates.Rate.Mean, before.PlayerFit.Measures[0].Rates.Rate.Mean)
	require.Contains(t, after.PlayerFit.Measures[0].Rates.Choice.Sentence, "1 of 2 on this drill")
	require.Equal(t, 10, after.PlayerFit.Measures[0].Target.Scatter.Logged)
	require.Len(t, after.PlayerFit.Measures[0].Target.Landings, 10)
	require.Less(t, after.PlayerFit.Measures[0].Goals[0].Answer.Mean, before.PlayerFit.Measures[0].Goals[0].Answer.Mean)
	require.Less(t, after.PlayerFit.Measures[0].Target.Scatter.SY, before.PlayerFit.Measures[0].Target.Scatter.SY)

	// Another drill for the same stroke knows a little of it.
	other := read[desk.WorkedDrill](
		t,
		c.ask(
			"POST",
			"/api/drills/preview",
			map[string]any{"document": coin(), "people": 1, "hand": "right", "student": studentID},
		),
	)
	require.Contains(t, other.PlayerFit.Measures[0].Rates.Rate.Sentence, "from 10 balls at easier and harder ones")

	scheduled := read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+lessonID, nil))
	names := []string{}
	for _, each := range scheduled.Plan.Metrics {
		names = append(names, each.Name)
	}
	require.Contains(t, names, "Made")
	require.Contains(t, names, "For the goals")

	bad := with(
		t,
		map[string]any{"run": newID(), "block": block, "student": studentID, "entries": taps[:1]},
		"entries.0.landing",
		map[string]any{"x": 80, "y": 0},
	)
	require.Equal(t, "tap.entry.landing", c.refused(lessonID, bad))
}

func TestADrillIsFitted(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	fit := func(hand string, fit map[string]any) desk.Adapted {
		return read[desk.Adapted](
			t,
			c.ask("POST", "/api/drills/adapt", map[string]any{"document": coin(), "people": 1, "hand": hand, "to": fit}),
		)
	}
	short := fit("right", map[string]any{"minutes": 3})
	require.Less(t, short.Document.Main().Goals[0].Count, coin().Main().Goals[0].Count)
	require.Contains(t, short.Sentence.String(), "4 times in 5")
	right, left := fit("right", map[string]any{"hit": 0.6}), fit("left", map[string]any{"hit": 0.6})
	require.InDelta(t, right.Document.Main().Target.Radius, left.Document.Main().Target.Radius, 0.06)
	// A left-hander's drill is handed back as it is written for a right-hander.
	require.Equal(t, coin().Main().Target.Mark, left.Document.Main().Target.Mark)
	p := readProblem(
		t,
		c.ask(
			"POST",
			"/api/drills/adapt",
			map[string]any{"document": coin(), "people": 1, "hand": "right", "to": map[string]any{}},
		),
		http.StatusUnprocessableEntity,
	)
	require.Contains(t, p.Fields[0].Message, "what is to be fitted")
}
