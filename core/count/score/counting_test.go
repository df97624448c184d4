package score_test

import (
	"encoding/json"
	"os"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// countedGoal is a goal as testdata/counting.json writes it.
type countedGoal struct {
	Kind, School                          string
	Count, Sets, Parts, Then, From, To, K int
	A, B, Lead, Most, Of                  int
	Stages                                []int
}

func (g countedGoal) goal(t *testing.T) score.Goal {
	miss := map[string]score.AfterMiss{"zero": score.BackToZero, "stage": score.BackToStage,
		"carries on": score.CarriesOn}[g.School]
	switch g.Kind {
	case "total":
		return score.Goal{Kind: score.Total, Count: g.Count}
	case "streak":
		return score.Goal{Kind: score.Streak, Count: g.Count, Sets: g.Sets, Miss: miss}
	case "stages":
		goal := score.Goal{Kind: score.Stages, Count: 1, Miss: miss}
		for _, n := range g.Stages {
			goal.Stages = append(goal.Stages, score.Stage{Count: n})
		}
		return goal
	case "routine":
		return score.Goal{Kind: score.Routine, Count: g.Count, Sets: g.Parts, Then: g.Then}
	case "rallies":
		return score.Goal{Kind: score.Rallies, Count: g.Count, From: g.From, To: g.To}
	case "sets":
		return score.Goal{Kind: score.SetsInRallies, Count: g.Count, Of: g.K}
	case "race":
		return score.Goal{Kind: score.FirstTo, Count: g.A, Against: g.B, Lead: g.Lead}
	case "faults":
		return score.Goal{Kind: score.FewMisses, Count: g.Of, Misses: g.Most}
	}
	require.Fail(t, "no such goal", g.Kind)
	return score.Goal{}
}

// countedEvent reads an event: a word, or an object.
func countedEvent(t *testing.T, raw json.RawMessage, seq int) tally.Entry {
	e := tally.Entry{Seq: seq, At: time.Date(2026, 3, 10, 16, 0, seq, 0, time.UTC)}
	var word string
	if json.Unmarshal(raw, &word) == nil {
		e.Kind = map[string]tally.Kind{"make": tally.Made, "miss": tally.Missed, "again": tally.Again,
			"undo": tally.Undo}[word]
		require.NotEmpty(t, e.Kind, word)
		return e
	}
	var object struct {
		Made, Of, Strokes *int
		Point             string
	}
	require.NoError(t, json.Unmarshal(raw, &object))
	switch {
	case object.Of != nil:
		e.Kind, e.Made, e.Of = tally.Turn, *object.Made, *object.Of
	case object.Strokes != nil:
		e.Kind, e.Strokes = tally.Rally, *object.Strokes
	case object.Point == "a":
		e.Kind = tally.Made
	case object.Point == "b":
		e.Kind = tally.Missed
	}
	require.NotEmpty(t, e.Kind, string(raw))
	return e
}

// TestCountingAgainstBruteForce: 400 lists of events, counted in plain Python by every order of the turns that were
// counted without one (testdata/counting.json says how).
func TestCountingAgainstBruteForce(t *testing.T) {
	text, err := os.ReadFile("testdata/counting.json")
	require.NoError(t, err)
	var file struct {
		Cases []struct {
			Goal   countedGoal
			Events []json.RawMessage
			Want   struct {
				Certain, Possible, Lost bool
				At                      *int
			}
		}
	}
	require.NoError(t, json.Unmarshal(text, &file))
	require.Len(t, file.Cases, 400)
	for i, c := range file.Cases {
		goal := c.Goal.goal(t)
		require.NoError(t, goal.Check())
		entries := make([]tally.Entry, len(c.Events))
		for n, raw := range c.Events {
			entries[n] = countedEvent(t, raw, n)
		}
		s := score.Course{goal}.Stand(entries)
		require.Equal(t, c.Want.Certain, s.Met, "case %d: %s", i, goal)
		require.Equal(t, c.Want.Possible, s.Met || s.Perhaps, "case %d: %s", i, goal)
		require.Equal(t, c.Want.Lost, s.Lost, "case %d: %s", i, goal)
		at := -1
		for n := len(entries); n >= 0 && (score.Course{goal}).Stand(entries[:n]).Met; n-- {
			at = n
		}
		if c.Want.At == nil {
			require.Equal(t, -1, at, "case %d: %s", i, goal)
			continue
		}
		require.Equal(t, *c.Want.At, at, "case %d: %s", i, goal)
	}
}
