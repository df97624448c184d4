package score_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// race plays points in order, W won and L lost, and says where a race stands.
func race(g score.Goal, points string) score.State {
	m, s := g.Machine(), score.State(0)
	for _, p := range points {
		letter := score.Miss
		if p == 'W' {
			letter = score.Make
		}
		s = m.Next(s, letter)
	}
	return s
}

// TestWhereARaceEnds by hand: by points, by being ahead, and with another number for the other side.
func TestWhereARaceEnds(t *testing.T) {
	two := score.Goal{Kind: score.FirstTo, Count: 3, Lead: 2}
	handicap := score.Goal{Kind: score.FirstTo, Count: 4, Against: 2}
	for _, c := range []struct {
		goal   score.Goal
		points string
		end    score.State
	}{
		{two, "WWLLW", 0},          // 3:2 is not enough
		{two, "WWLLWW", score.Met}, // 4:2
		{two, "LLWWL", 0},
		{two, "LLWWLL", score.Lost},
		{two, "WLWLWLWLWL", 0}, // 5:5, and so on for ever
		{two, "WLWLWLWLWLWW", score.Met},
		{two, "WLWLWLWLWLWLL", 0},
		{two, "WLWLWLWLWLWLLL", score.Lost},
		{two, "WWW", score.Met},
		{two, "LLL", score.Lost},
		{score.Goal{Kind: score.FirstTo, Count: 3, Lead: 1}, "WWLLW", score.Met},
		{score.Goal{Kind: score.FirstTo, Count: 3}, "WWLLL", score.Lost},
		{handicap, "WWWL", 0},
		{handicap, "WWWLW", score.Met},
		{handicap, "WWWLL", score.Lost},
		{handicap, "LL", score.Lost},
		{score.Goal{Kind: score.FirstTo, Count: 2, Against: 4, Lead: 3}, "WWLW", 0}, // 3:1 is two ahead
		{score.Goal{Kind: score.FirstTo, Count: 2, Against: 4, Lead: 3}, "WWLWW", score.Met},
		{score.Goal{Kind: score.FirstTo, Count: 2, Against: 4, Lead: 3}, "WWLWLLLLL", score.Lost}, // 3:6
	} {
		require.Equal(t, c.end, min(race(c.goal, c.points), 0), "%s: %s", c.goal, c.points)
	}
	// 0:0, 0:1, 1:0, 1:1, 1:2 and 2:1; from 2:2 on it is 1:1 again.
	require.Equal(t, 6, score.Goal{Kind: score.FirstTo, Count: 1, Lead: 2}.Machine().Len())
	require.Equal(t, race(two, "WLWLWLWL"), race(two, "WLWLWLWLWL"), "only the difference matters")
}

// TestTriesAndFewMissesEnd: the last that counts, and the one before it.
func TestTriesAndFewMissesEnd(t *testing.T) {
	run := score.Goal{Kind: score.WithinATime, Count: 3, Seconds: 40}
	require.Equal(t, []score.State{0, 1, 2, score.Lost, score.Met, score.Met}, []score.State{
		race(run, ""), race(run, "L"), race(run, "LL"), race(run, "LLL"), race(run, "LLW"), race(run, "W"),
	})
	few := score.Goal{Kind: score.FewMisses, Count: 4, Misses: 1}
	require.Equal(t, []score.State{score.Lost, score.Met, score.Met}, []score.State{
		race(few, "LL"), race(few, "LWWW"), race(few, "WWWL"),
	})
	require.GreaterOrEqual(t, race(few, "LWW"), score.State(0), "a ball is left")
	require.Equal(t, 7, few.Machine().Len(), "0:0 1:0 2:0 3:0 0:1 1:1 2:1")
	timed := score.Goal{Kind: score.FewMisses, Count: 1, Misses: 2, Minutes: 1}
	require.Equal(t, []score.State{2, score.Lost}, []score.State{race(timed, "WLWLWWW"), race(timed, "LLL")})
}

// TestGoalsThatFollowOneAnotherAreOneMachine: where each begins, how hard it is there, and what a miss leads back to.
func TestGoalsThatFollowOneAnotherAreOneMachine(t *testing.T) {
	m := score.Course{
		{Kind: score.Total, Count: 2},
		{Kind: score.Stages, Miss: score.BackToStage, Stages: []score.Stage{{Count: 1}, {Count: 2, Hard: score.Harder}}},
		{Kind: score.Streak, Count: 2},
	}.Machine()
	require.Equal(t, [][2]score.State{
		{0, 1}, {1, 2}, // two in all
		{2, 3}, {3, 4}, {3, 5}, // one, then two in a row that begin again with their stage
		{5, 6}, {5, score.Met},
	}, m.Table())
	var legs []int
	var hard []score.Hardness
	for s := range score.State(m.Len()) {
		legs, hard = append(legs, m.Leg(s)), append(hard, m.Hard(s))
	}
	require.Equal(t, []int{0, 0, 1, 1, 1, 2, 2}, legs)
	require.Equal(t, []score.Hardness{"", "", "", score.Harder, score.Harder, "", ""}, hard)
	require.Equal(t, score.Met, m.Next(score.Met, score.Miss), "what happens afterwards changes nothing")

	back := score.Goal{Kind: score.Stages, Stages: []score.Stage{{Count: 1}, {Count: 1}}}
	require.Equal(t, [][2]score.State{{0, 1}, {0, score.Met}}, back.Machine().Table(), "back to zero")
	back.Miss = score.CarriesOn
	require.Equal(t, [][2]score.State{{0, 1}, {1, score.Met}}, back.Machine().Table())
	routine := score.Goal{Kind: score.Routine, Count: 1, Then: 2, Sets: 2}
	require.Equal(t, [][2]score.State{{0, 1}, {1, 2}, {1, 3}, {3, 4}, {4, 5}, {4, score.Met}}, routine.Machine().Table())
	sets := score.Goal{Kind: score.SetsInRallies, Count: 2, Of: 2}
	require.Equal(t, [][2]score.State{{0, 1}, {0, 2}, {2, 3}, {2, score.Met}}, sets.Machine().Table())
}

// TestWhatIsCertainOfATurn: what was counted without its order is told as far as every order agrees.
func TestWhatIsCertainOfATurn(t *testing.T) {
	at := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	entry := func(kind tally.Kind, made, of int) tally.Entry {
		return tally.Entry{Kind: kind, Made: made, Of: of, At: at}
	}
	rally := func(strokes int) tally.Entry { return tally.Entry{Kind: tally.Rally, Strokes: strokes, At: at} }
	for _, c := range []struct {
		goal    score.Course
		entries []tally.Entry
		want    string
	}{
		{score.Course{{Kind: score.Streak, Count: 5}}, []tally.Entry{entry(tally.Turn, 3, 4)}, "at least 0 in a row"},
		{score.Course{{Kind: score.Streak, Count: 5}}, []tally.Entry{entry(tally.Turn, 3, 3)}, "3 in a row"},
		{score.Course{{Kind: score.Streak, Count: 2, Sets: 3}}, []tally.Entry{entry(tally.Turn, 3, 4)}, "1 of 3 times"},
		{
			score.Course{{Kind: score.Stages, Stages: []score.Stage{{Count: 2}, {Count: 4}}, Miss: score.BackToStage}},
			[]tally.Entry{entry(tally.Turn, 4, 5)}, "stage 2 of 2",
		},
		{
			score.Course{{Kind: score.Routine, Count: 2, Then: 3}}, []tally.Entry{entry(tally.Turn, 4, 5)}, "all 2 made",
		},
		{
			score.Course{{Kind: score.Routine, Count: 2, Then: 2, Sets: 2}},
			[]tally.Entry{entry(tally.Turn, 4, 5)}, "at least part 1 of 2: all 2 made",
		},
		{
			score.Course{{Kind: score.Total, Count: 3}, {Kind: score.Streak, Count: 2}},
			[]tally.Entry{entry(tally.Turn, 4, 5)}, "goal 2 of 2: at least 0 in a row",
		},
		{
			score.Course{{Kind: score.Streak, Count: 2}, {Kind: score.Streak, Count: 3}},
			[]tally.Entry{entry(tally.Turn, 2, 3)}, "at least goal 1 of 2: at least 1 in a row",
		},
		{
			score.Course{{Kind: score.SetsInRallies, Count: 1, Of: 4}}, []tally.Entry{rally(3)}, "0 of 1 set",
		},
		{
			score.Course{{Kind: score.Rallies, Count: 3, From: 4, To: 8}, {Kind: score.Streak, Count: 2}},
			[]tally.Entry{rally(4), rally(9)}, "goal 1 of 2: 1 of 3 rallies; the last one got to 9 strokes: too slow",
		},
		{
			score.Course{{Kind: score.Rallies, Count: 3, From: 4, To: 8}}, []tally.Entry{rally(4), rally(8), rally(3)},
			"2 of 3 rallies",
		},
		{
			score.Course{{Kind: score.FewMisses, Count: 8, Misses: 2, Only: tally.Long}},
			[]tally.Entry{entry(tally.Turn, 4, 5)}, "5 of 8 balls, 0 balls long of at most 2",
		},
	} {
		require.Equal(t, c.want, c.goal.Stand(c.entries).Sentence.String(), "%s", c.goal)
	}
	s := score.Course{{Kind: score.Together, Count: 4}}.StandJointly(3)
	require.Equal(t, []any{3, 4, false}, []any{s.Have, s.Wanted, s.Met})
	require.True(t, score.Course{{Kind: score.Together, Count: 4}}.StandJointly(4).Met)
	require.True(t, score.Course{{Kind: score.Together, Count: 4}}.StandJointly(9).Met)
}

// TestTheEndOfATimeDecides: as many as possible is lost with its time, unless what was hoped for is reached; a goal
// that has no time knows no end of it.
func TestTheEndOfATimeDecides(t *testing.T) {
	goal := score.Course{{Kind: score.AsManyAsPossible, Count: 2, Minutes: 1}}
	made, up := tally.Entry{Kind: tally.Made}, tally.Entry{Kind: tally.TimeUp}
	for _, c := range []struct {
		entries []tally.Entry
		want    []any // lost, met, over
	}{
		{nil, []any{false, false, false}},
		{[]tally.Entry{made}, []any{false, false, false}},
		{[]tally.Entry{up}, []any{true, false, true}},
		{[]tally.Entry{made, up, made}, []any{true, false, true}},
		{[]tally.Entry{made, made}, []any{false, true, false}},
		{[]tally.Entry{made, made, up}, []any{false, true, true}},
	} {
		for i := range c.entries {
			c.entries[i].Seq = i
		}
		s := goal.Stand(c.entries)
		require.Equal(t, c.want, []any{s.Lost, s.Met, goal.Over(s, c.entries)}, "%v", c.entries)
	}
	sets := score.Course{{Kind: score.AsManyAsPossible, Count: 2, Of: 1, Minutes: 1}}
	require.Equal(t, "as counted then", sets.Stand(nil).Sentence.String(), "a set of one stroke makes no sense")
	total := score.Course{{Kind: score.Total, Count: 2}}
	require.False(t, total.Over(total.Stand([]tally.Entry{made, up}), []tally.Entry{made, up}))
	require.True(t, total.Over(score.Standing{Lost: true}))
	require.True(t, total.Over(score.Standing{Met: true}))
}
