package score_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// entries numbers what was counted.
func entries(list ...tally.Entry) []tally.Entry {
	for i := range list {
		list[i].Seq, list[i].At = i, time.Date(2026, 3, 10, 16, 0, i, 0, time.UTC)
	}
	return list
}

func standingOf(g score.Goal, list ...tally.Entry) score.Standing {
	return score.Course{g}.Stand(entries(list...))
}

func TestMissesOfOneKind(t *testing.T) {
	g := score.Goal{Kind: score.FewMisses, Count: 6, Misses: 1, Only: tally.IntoNet}
	require.NoError(t, g.Check())
	require.Equal(t, "at most 1 ball into the net in 6 balls", g.String())
	made := tally.Entry{Kind: tally.Made}
	net, long, unmarked := tally.Entry{
		Kind: tally.Missed,
		Miss: tally.IntoNet,
	}, tally.Entry{
		Kind: tally.Missed,
		Miss: tally.Long,
	}, tally.Entry{
		Kind: tally.Missed,
	}
	require.Equal(t, "4 of 6 balls, 1 ball into the net of at most 1",
		standingOf(g, made, long, net, long).Sentence.String())
	require.True(t, standingOf(g, made, long, net, long, long, made).Met, "long ones do not count")
	require.True(t, standingOf(g, net, made, net).Lost)
	// A miss that was not marked may have been one, and so may those of a turn.
	perhaps := standingOf(g, net, unmarked, made, made, made, made)
	require.True(t, perhaps.Perhaps && !perhaps.Met && !perhaps.Lost)
	turn := standingOf(g, tally.Entry{Kind: tally.Turn, Made: 4, Of: 6})
	require.True(t, turn.Perhaps && !turn.Met)
	require.True(t, standingOf(g, tally.Entry{Kind: tally.Turn, Made: 5, Of: 6}).Met, "whatever kind the one was")
}

func TestFewMissesUntilTheTimeIsUp(t *testing.T) {
	g := score.Goal{Kind: score.FewMisses, Count: 1, Misses: 2, Minutes: 5, Only: tally.Wide}
	require.NoError(t, g.Check())
	require.Equal(t, "at most 2 balls wide in 5 min", g.String())
	made, wide, up := tally.Entry{
		Kind: tally.Made,
	}, tally.Entry{
		Kind: tally.Missed,
		Miss: tally.Wide,
	}, tally.Entry{
		Kind: tally.TimeUp,
	}
	s := standingOf(g, made, wide, made, made)
	require.Equal(t, "1 ball wide of at most 2 until the time is up", s.Sentence.String())
	require.False(t, s.Met || s.Lost || s.Perhaps)
	require.True(t, standingOf(g, made, wide, wide, up).Met)
	require.True(t, standingOf(g, wide, wide, wide, up).Lost, "the time comes too late")
	require.False(t, standingOf(g, made, up, tally.Entry{Kind: tally.Undo}).Met, "the end can be taken back")
	plain := score.Goal{Kind: score.Total, Count: 2}
	require.False(t, standingOf(plain, made, up).Met, "no other goal has an end of time")
}

// Whatever comes, the machine of a time and that of as many balls as were played agree at the end of the time.
func TestATimeIsAsManyBallsAsThereWere(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kinds := []tally.Entry{
			{Kind: tally.Made},
			{Kind: tally.Missed, Miss: tally.IntoNet},
			{Kind: tally.Missed, Miss: tally.Long},
		}
		list := rapid.SliceOfN(rapid.SampledFrom(kinds), 4, 30).Draw(t, "balls")
		g := score.Goal{
			Kind:   score.FewMisses,
			Misses: rapid.IntRange(0, 3).Draw(t, "misses"),
			Only:   rapid.SampledFrom([]tally.Miss{"", tally.IntoNet}).Draw(t, "kind"),
		}
		timed, balls := g, g
		timed.Count, timed.Minutes, balls.Count = 1, 1, len(list)
		require.Equal(
			t,
			standingOf(balls, list...).Met,
			standingOf(timed, append(list, tally.Entry{Kind: tally.TimeUp})...).Met,
		)
	})
}

func TestARallyThatGetsTooLongIsTooSlow(t *testing.T) {
	g := score.Goal{Kind: score.Rallies, Count: 3, From: 4, To: 8}
	rally := func(strokes int) tally.Entry {
		return tally.Entry{Kind: tally.Rally, Strokes: strokes, Stopped: strokes > 8}
	}
	require.Equal(t, "1 of 3 rallies", standingOf(g, rally(5), rally(2)).Sentence.String())
	require.Equal(t, "1 of 3 rallies; the last one got to 9 strokes: too slow",
		standingOf(g, rally(5), rally(9)).Sentence.String())
	require.Equal(t, "2 of 3 rallies", standingOf(g, rally(5), rally(9), rally(8)).Sentence.String())
}
