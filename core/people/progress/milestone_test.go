package progress

import (
	"slices"
	"testing"
	"time"

	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func onDay(n int) time.Time { return time.Date(2026, 3, n, 12, 0, 0, 0, time.UTC) }

// Worked by hand: on consistency 20 of 25 and 4 of 5 were made before the 6th, what was made later or on another rung
// does not count.
func TestAMilestoneHasWhatWasMadeOnItsRung(t *testing.T) {
	evidence := []Evidence{
		{At: onDay(1), Rung: ladder.Consistency, Made: 20, Missed: 5},
		{At: onDay(2), Rung: ladder.Depth, Made: 9, Missed: 1},
		{At: onDay(5), Rung: ladder.Consistency, Made: 4, Missed: 1},
		{At: onDay(8), Rung: ladder.Consistency, Made: 3},
		{At: onDay(9), Rung: ladder.Direction, Made: 8, Missed: 2},
	}
	up := []Stand{{ladder.Direction, onDay(6)}, {ladder.Depth, onDay(12)}}
	first, second := Milestone{
		Rung:  ladder.Consistency,
		Next:  ladder.Direction,
		At:    onDay(6),
		Made:  24,
		Balls: 30,
	}, Milestone{
		Rung:  ladder.Direction,
		Next:  ladder.Depth,
		At:    onDay(12),
		Made:  8,
		Balls: 10,
	}
	require.Equal(t, []Milestone{first, second}, Milestones(ladder.Qualities(), ladder.Consistency, up, evidence))

	back := append(slices.Clone(up), Stand{ladder.Direction, onDay(14)})
	from := func(began ladder.Quality, stands ...Stand) []Milestone {
		return Milestones(ladder.Qualities(), began, stands, evidence)
	}
	require.Equal(t, []Milestone{first}, from(ladder.Consistency, back...), "a step back takes it back")
	require.Empty(t, from(ladder.Consistency, append(up, Stand{ladder.Consistency, onDay(14)})...))
	over := Milestones(ladder.Qualities(), ladder.Consistency, []Stand{{ladder.Depth, onDay(6)}}, evidence)
	require.Equal(t, []Milestone{first, {Rung: ladder.Direction, Next: ladder.Depth, At: onDay(6)}}, over,
		"a step over a rung leaves a milestone on each")
	flat := Milestones(ladder.Of(court.Badminton), ladder.Depth, []Stand{{ladder.Pace, onDay(6)}}, nil)
	require.Len(t, flat, 1, "where nothing spins there is no rung of it")
	require.Equal(t, ladder.Pace, flat[0].Next)
	require.Empty(t, from(ladder.Depth, Stand{ladder.Depth, onDay(3)}), "to be put on a rung is no milestone")
}

// Whatever ways a student goes, milestones lie below the rung they stand on, each once, and lead from one to the next.
func TestMilestonesLeadToWhereTheyStand(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rung := rapid.SampledFrom(ladder.Qualities())
		began := rung.Draw(t, "began")
		var stands []Stand
		here := began
		for i := range rapid.IntRange(0, 12).Draw(t, "steps") {
			here = rung.Draw(t, "rung")
			stands = append(stands, Stand{here, onDay(1 + i)})
		}
		list := Milestones(ladder.Qualities(), began, stands, nil)
		for i, m := range list {
			require.Less(t, m.Rung.Index(), m.Next.Index())
			require.Less(t, m.Rung.Index(), here.Index())
			if i > 0 {
				require.Less(t, list[i-1].Rung.Index(), m.Rung.Index())
				require.False(t, m.At.Before(list[i-1].At))
			}
		}
		require.LessOrEqual(t, len(list), len(ladder.Qualities())-1)
	})
}

func TestEveryRungHasPlainWords(t *testing.T) {
	for _, r := range ladder.Qualities() {
		require.NotEmpty(t, r.Plain())
	}
}
