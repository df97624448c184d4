package score_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// following draws a goal that others can follow.
func following(t *rapid.T, label string) score.Goal {
	n := rapid.IntRange(1, 4).Draw(t, label)
	return rapid.SampledFrom([]score.Goal{
		{
			Kind:  score.Total,
			Count: n,
		},
		{Kind: score.Streak, Count: n, Sets: 2},
		{Kind: score.Streak, Count: n, Miss: score.CarriesOn},
		{
			Kind:   score.Stages,
			Stages: []score.Stage{{Count: n}, {Count: 2}},
		},
		{Kind: score.Routine, Count: n, Then: 2, Sets: 2},
	}).Draw(t, label+" kind")
}

// Each goal of a course is counted with a pencil from the attempt on after the one that met the goal before.
func TestACourseIsItsGoalsOneAfterAnother(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		course := score.Course{following(t, "first"), following(t, "second"), following(t, "third")}
		makes := rapid.SliceOfN(rapid.Bool(), 0, 60).Draw(t, "makes")
		met, rest := 0, makes
		for met < len(course) {
			n := 1
			for n <= len(rest) {
				if done, _ := on(course[met], rest[:n]); done {
					break
				}
				n++
			}
			if n > len(rest) {
				break
			}
			rest = rest[n:]
			met++
		}
		s := course.Stand(entriesOf(makes))
		require.Equal(t, met == len(course), s.Met, "%v", makes)
		require.False(t, s.Lost || s.Perhaps)
		if met < len(course) {
			said := s.Sentence.String()
			require.True(t, strings.HasPrefix(said, "goal "+string(rune('1'+met))+" of 3: "), said)
		}
	})
}

// By hand: ten in all, then five in a row. 12 balls with 10 made meet the first with the twelfth; the row begins after
// it.
func TestTenThenFiveInARow(t *testing.T) {
	course := score.Course{{Kind: score.Total, Count: 10}, {Kind: score.Streak, Count: 5}}
	require.NoError(t, course.Check())
	require.Equal(t, "10 made in all, then 5 in a row", course.String())
	require.Equal(t, 15, course.Steps())
	turn := func(seq, made, of int) tally.Entry {
		return tally.Entry{Seq: seq, Kind: tally.Turn, Made: made, Of: of}
	}
	require.Equal(t, "goal 1 of 2: 4 of 10", course.Stand([]tally.Entry{turn(0, 4, 6)}).Sentence.String())
	require.Equal(t, "goal 2 of 2: 0 in a row",
		course.Stand([]tally.Entry{turn(0, 4, 6), turn(1, 6, 6)}).Sentence.String())
	// 7 of 8 after nine: the miss may be the first of the eight or the last, so the row is 0 to 6 long – or the five are
	// there.
	require.Equal(
		t,
		"perhaps met: the order of a turn is not known",
		course.Stand([]tally.Entry{turn(0, 9, 12), turn(1, 7, 8)}).Sentence.String(),
	)
	// 1 of 2 after nine leads on to the row in both orders, but a miss may have come behind the make: the row is at
	// nothing.
	require.Equal(t, "goal 2 of 2: 0 in a row",
		course.Stand([]tally.Entry{turn(0, 9, 12), turn(1, 1, 2)}).Sentence.String())
	require.True(t, course.Stand([]tally.Entry{turn(0, 10, 12), turn(1, 5, 5)}).Met)
}

func TestWhatIsWrongWithACourse(t *testing.T) {
	total := score.Goal{Kind: score.Total, Count: 10}
	for path, c := range map[string]score.Course{
		"":        {},
		"1.count": {total, {Kind: score.Streak}},
		"1.kind":  {total, {Kind: score.FirstTo, Count: 11}},
		"0.kind":  {{Kind: score.AsManyAsPossible, Count: 5, Minutes: 1}, total},
	} {
		require.ErrorContains(t, c.Check(), path)
		require.Error(t, c.Check(), path)
	}
	require.Error(t, score.Course{total, total, total, total, total, total, total}.Check())
	require.ErrorContains(
		t,
		score.Course{{Kind: score.Total, Count: 1000}, {Kind: score.Total, Count: 1000}, total}.Check(),
		"2010 to be made in all",
	)
}

func TestWhatAUnitTakes(t *testing.T) {
	row, race, band, run := score.Goal{
		Kind:  score.Streak,
		Count: 5,
	}, score.Goal{
		Kind:  score.FirstTo,
		Count: 11,
	}, score.Goal{
		Kind:  score.Rallies,
		Count: 3,
		From:  4,
		To:    19,
	}, score.Goal{
		Kind:    score.WithinATime,
		Count:   3,
		Seconds: 40,
	}
	for _, u := range []score.Unit{score.Ball, score.Sequence, score.Repetition, score.Point, score.Rally, score.Time} {
		require.Equal(t, u != score.Rally && u != score.Time, u.Takes(row), "%s", u)
		require.Equal(t, u == score.Point, u.Takes(race), "%s", u)
		require.Equal(t, u == score.Rally, u.Takes(band), "%s", u)
		require.Equal(t, u == score.Time, u.Takes(run), "%s", u)
	}
	require.Equal(t, "1 sequence", score.Sequence.Of(1))
	require.Equal(t, "3 rallies", score.Rally.Of(3))
}
