package score_test

import (
	"runtime"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

func inTurn(entries ...tally.Entry) []tally.Entry {
	for i := range entries {
		entries[i].Seq, entries[i].At = i, time.Date(2026, 3, 10, 16, 0, i, 0, time.UTC)
	}
	return entries
}

func stand(goals score.Course, entries []tally.Entry) (score.Standing, bool) {
	s := goals.Stand(entries)
	return s, goals.Over(s, entries)
}

// Sixty were hoped for in three minutes and were there after half a minute: what counts is how many there are when the
// time is up.
func TestAsManyAsPossibleGoesOnUntilItsTimeIsUp(t *testing.T) {
	goals := score.Course{{Kind: score.AsManyAsPossible, Count: 60, Minutes: 3}}
	sixty := tally.Entry{Kind: tally.Rally, Strokes: 60}
	s, over := stand(goals, inTurn(sixty))
	require.True(t, s.Met)
	require.False(t, over)
	require.Equal(t, "60, hoping for 60", s.Sentence.String())
	require.Zero(t, goals.GoalsDone(s, over), "it is still its turn")

	s, _ = stand(goals, inTurn(sixty, tally.Entry{Kind: tally.Rally, Strokes: 25}))
	require.Equal(t, "85, hoping for 60", s.Sentence.String())

	up := tally.Entry{Kind: tally.TimeUp}
	s, over = stand(
		goals,
		inTurn(sixty, tally.Entry{Kind: tally.Rally, Strokes: 25}, up, tally.Entry{Kind: tally.Rally, Strokes: 100}),
	)
	require.True(t, s.Met)
	require.True(t, over)
	require.Equal(t, "85, hoped for 60; the time is up", s.Sentence.String(), "what comes after the time is none of it")
	require.Equal(t, 1, goals.GoalsDone(s, over))

	s, over = stand(goals, inTurn(tally.Entry{Kind: tally.Rally, Strokes: 59}, up, tally.Entry{Kind: tally.Made}))
	require.False(t, s.Met)
	require.True(t, s.Lost)
	require.True(t, over)

	// Taken back, it goes on.
	s, over = stand(
		goals,
		inTurn(tally.Entry{Kind: tally.Rally, Strokes: 59}, up, tally.Entry{Kind: tally.Undo}, tally.Entry{Kind: tally.Made}),
	)
	require.True(t, s.Met)
	require.False(t, over)
}

// Sets of four strokes, a miss resumes where the count was: 4 + 7 strokes are two sets and three strokes.
func TestAsManySetsAsPossible(t *testing.T) {
	goals := score.Course{{Kind: score.AsManyAsPossible, Count: 2, Of: 4, Minutes: 3}}
	s := goals.Stand(inTurn(tally.Entry{Kind: tally.Rally, Strokes: 4}, tally.Entry{Kind: tally.Rally, Strokes: 7}))
	require.Equal(t, "2 sets, hoping for 2", s.Sentence.String())
	require.True(t, s.Met)
}

// However it is counted: more made never stand lower, and over it is only by its time.
func TestMoreMadeNeverStandLower(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		goals := score.Course{{Kind: score.AsManyAsPossible, Count: rapid.IntRange(1, 30).Draw(t, "hoped"), Minutes: 1}}
		made, before := 0, score.Standing{}
		var entries []tally.Entry
		for range rapid.IntRange(1, 12).Draw(t, "entries") {
			e := tally.Entry{Kind: tally.Turn, Of: rapid.IntRange(1, 9).Draw(t, "of")}
			e.Made = rapid.IntRange(0, e.Of).Draw(t, "made")
			made += e.Made
			entries = append(entries, e)
			s, over := stand(goals, inTurn(entries...))
			require.False(t, over)
			require.GreaterOrEqual(t, s.Have, before.Have)
			require.Equal(t, made >= goals[0].Count, s.Met)
			before = s
		}
	})
}

// Whatever is counted, what it takes to say how it stands is bounded: a thousand rallies of 500 strokes, in sets of
// 500.
func TestAsManyAsPossibleIsBounded(t *testing.T) {
	goals := score.Course{{Kind: score.AsManyAsPossible, Count: 4, Of: 500, Minutes: 3}}
	require.NoError(t, goals.Check())
	rallies := make([]tally.Entry, 1000)
	for i := range rallies {
		rallies[i] = tally.Entry{Kind: tally.Rally, Strokes: 500}
	}
	rallies = inTurn(rallies...)
	var before, after runtime.MemStats
	runtime.ReadMemStats(&before)
	s := goals.Stand(rallies)
	runtime.ReadMemStats(&after)
	require.True(t, s.Met)
	require.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(8<<20))
}
