package score_test

import (
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/internal/long"
)

// on counts makes and misses with a pencil: how the goals are read, written without machines.
func on(g score.Goal, makes []bool) (met, lost bool) {
	total, run, sets, stage, misses := 0, 0, 0, 0, 0
	own, other := 0, 0
	for i, made := range makes {
		if made {
			total, run, own = total+1, run+1, own+1
		} else {
			misses, other = misses+1, other+1
		}
		switch g.Kind {
		case score.Streak:
			if !made && g.Miss != score.CarriesOn {
				run = 0
			}
			if run == g.Count {
				sets, run = sets+1, 0
			}
			met = sets == max(1, g.Sets)
		case score.SetsInRallies:
			if !made {
				run = 0
			}
			if run == g.Of {
				sets, run = sets+1, 0
			}
			met = sets == g.Count
		case score.Stages:
			if !made && g.Miss != score.CarriesOn {
				run = 0
				if g.Miss != score.BackToStage {
					stage = 0
				}
			}
			if run == g.Stages[stage].Count {
				stage, run = stage+1, 0
			}
			met = stage == len(g.Stages)
		case score.Routine:
			if stage == 0 { // the total of a part
				if total == g.Count {
					stage, run = 1, 0
				}
				break
			}
			if !made {
				run = 0
			}
			if run == g.Then {
				sets, stage, total, run = sets+1, 0, 0, 0
			}
			met = sets == max(1, g.Sets)
		case score.FirstTo:
			against := g.Against
			if against == 0 {
				against = g.Count
			}
			ahead := max(1, g.Lead)
			met = own >= g.Count && (ahead == 1 || own-other >= ahead)
			lost = other >= against && (ahead == 1 || other-own >= ahead)
		case score.WithinATime: // a make is a try that is quick enough
			met, lost = made, misses == g.Count
		case score.FewMisses:
			lost = misses > g.Misses
			met = !lost && i+1 == g.Count
		default:
			met = total == g.Count
		}
		if met || lost {
			return met, lost
		}
	}
	return false, false
}

func anyGoal(t *rapid.T) score.Goal {
	small := func(name string) int { return rapid.IntRange(1, 6).Draw(t, name) }
	g := score.Goal{
		Kind: rapid.SampledFrom([]score.Kind{score.Total, score.Streak, score.Stages, score.Routine, score.FirstTo,
			score.SetsInRallies, score.FewMisses, score.WithinATime}).
			Draw(t, "kind"),
		Count: small("count"),
	}
	schools := []score.AfterMiss{"", score.BackToZero, score.CarriesOn}
	switch g.Kind {
	case score.Streak:
		g.Sets, g.Miss = small("sets"), rapid.SampledFrom(schools).Draw(t, "miss")
	case score.Stages:
		for range small("stages") {
			g.Stages = append(g.Stages, score.Stage{Count: small("stage")})
		}
		g.Miss = rapid.SampledFrom(append(schools, score.BackToStage)).Draw(t, "miss")
	case score.Routine:
		g.Sets, g.Then = small("parts"), small("then")
	case score.FirstTo:
		g.Against, g.Lead = rapid.IntRange(0, 6).Draw(t, "against"), rapid.IntRange(0, 3).Draw(t, "lead")
	case score.SetsInRallies:
		g.Of = rapid.IntRange(2, 4).Draw(t, "of")
	case score.WithinATime:
		g.Seconds = 40
	case score.FewMisses:
		g.Count += 2
		g.Misses = rapid.IntRange(0, g.Count-1).Draw(t, "misses")
	}
	return g
}

func entriesOf(makes []bool) []tally.Entry {
	entries := make([]tally.Entry, len(makes))
	for i, made := range makes {
		entries[i] = tally.Entry{Seq: i, Kind: tally.Missed, At: time.Date(2026, 3, 10, 16, 0, i, 0, time.UTC)}
		if made {
			entries[i].Kind = tally.Made
		}
	}
	return entries
}

// A hundred goals with seventy lists of makes and misses each: nearly a thousand for each of the eight kinds.
func TestAMachineCountsAsAPencilDoes(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		g := anyGoal(t)
		require.NoError(t, g.Check())
		coins := rand.New(rand.NewPCG(rapid.Uint64().Draw(t, "seed"), 0))
		for range 70 {
			makes := make([]bool, coins.IntN(60))
			for i := range makes {
				makes[i] = coins.IntN(3) > 0
			}
			met, lost := on(g, makes)
			s := score.Course{g}.Stand(entriesOf(makes))
			require.Equal(t, []bool{met, lost, false}, []bool{s.Met, s.Lost, s.Perhaps}, "%s after %v: %s", g, makes, s.Sentence)
			require.NotEmpty(t, s.Sentence.String())
			require.LessOrEqual(t, s.Have, s.Wanted)
		}
	})
}

// A turn that was counted as a whole leaves possible what some order of it leads to, and certain what all do.
func TestATurnIsEveryOrderOfIt(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		g := anyGoal(t)
		before := rapid.SliceOfN(rapid.Bool(), 0, 12).Draw(t, "before")
		n := rapid.IntRange(1, 7).Draw(t, "of")
		x := rapid.IntRange(0, n).Draw(t, "made")
		certain, possible := true, false
		for order := range 1 << n {
			turn := make([]bool, n)
			count := 0
			for i := range turn {
				if turn[i] = order>>i&1 == 1; turn[i] {
					count++
				}
			}
			if count == x {
				met, _ := on(g, slices.Concat(before, turn))
				certain, possible = certain && met, possible || met
			}
		}
		entries := append(
			entriesOf(before),
			tally.Entry{Seq: len(before), Kind: tally.Turn, Made: x, Of: n, At: time.Date(2026, 3, 10, 17, 0, 0, 0, time.UTC)},
		)
		s := score.Course{g}.Stand(entries)
		require.Equal(t, []bool{certain, possible}, []bool{s.Met, s.Met || s.Perhaps}, "%s", g)
	})
}

// However the devices' lists come in, the same events give the same state; an undo takes back the last of its device.
func TestTheOrderOfDeliveryDoesNotMatter(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		g := anyGoal(t)
		makes := rapid.SliceOfN(rapid.Bool(), 0, 40).Draw(t, "makes")
		devices := make([][]tally.Entry, 3)
		for i, e := range entriesOf(makes) {
			on := rapid.IntRange(0, 2).Draw(t, "device")
			e.Seq = i
			devices[on] = append(devices[on], e)
		}
		for _, list := range devices { // as a list comes in pieces
			for i := len(list) - 1; i > 0; i-- {
				k := rapid.IntRange(0, i).Draw(t, "swap")
				list[i], list[k] = list[k], list[i]
			}
		}
		require.Equal(t, score.Course{g}.Stand(entriesOf(makes)), score.Course{g}.Stand(devices...))
	})
}

func TestAGoalThatMakesNoSenseCountsNothing(t *testing.T) {
	require.Equal(t, "as counted then", score.Course{score.Goal{}}.Stand(entriesOf([]bool{true})).Sentence.String())
	require.Equal(t, "as counted then", score.Course{score.Goal{Kind: score.Together}}.StandJointly(3).Sentence.String())
}

func TestHowFarAlongIsSaid(t *testing.T) {
	makes := func(n int) []bool { return slices.Repeat([]bool{true}, n) }
	for _, c := range []struct {
		goal  score.Goal
		makes []bool
		want  string
	}{
		{score.Goal{Kind: score.Total, Count: 10}, makes(3), "3 of 10"},
		{score.Goal{Kind: score.Streak, Count: 5}, makes(4), "4 in a row"},
		{score.Goal{Kind: score.Streak, Count: 5, Sets: 3}, makes(7), "1 of 3 times, 2 in a row"},
		{score.Goal{Kind: score.Stages, Stages: []score.Stage{{Count: 3}, {Count: 2}}, Miss: score.BackToStage}, makes(4),
			"stage 2 of 2, 1 of 2"},
		{score.Goal{Kind: score.Routine, Count: 3, Sets: 2, Then: 2}, makes(4), "part 1 of 2: 1 in a row"},
		{score.Goal{Kind: score.Routine, Count: 3, Sets: 2, Then: 2}, makes(6), "part 2 of 2: 1 of 3 made"},
		{score.Goal{Kind: score.SetsInRallies, Count: 4, Of: 2}, makes(5), "2 of 4 sets"},
		{score.Goal{Kind: score.FirstTo, Count: 4, Lead: 2}, []bool{true, false, true}, "2 : 1"},
		{score.Goal{Kind: score.FirstTo, Count: 2, Lead: 2}, []bool{true, false, true, false, true, false, true}, "4 : 3"},
		{score.Goal{Kind: score.FewMisses, Count: 8, Misses: 2}, []bool{true, false, true}, "3 of 8 balls, 1 miss of at " +
			"most 2"},
		{score.Goal{Kind: score.FewMisses, Count: 8, Misses: 0}, []bool{true, false}, "one miss too many"},
	} {
		require.Equal(t, c.want, score.Course{c.goal}.Stand(entriesOf(c.makes)).Sentence.String(), "%s", c.goal)
	}
	timed := func(seconds ...float64) (entries []tally.Entry) {
		for i, s := range seconds {
			entries = append(entries, tally.Entry{Seq: i, Kind: tally.Timed, Seconds: s})
		}
		return entries
	}
	run := score.Goal{Kind: score.WithinATime, Count: 3, Seconds: 40}
	require.Equal(t, "0 of 3 tries", score.Course{run}.Stand().Sentence.String())
	require.Equal(t, "2 of 3 tries, best 41.2 s", score.Course{run}.Stand(timed(44, 41.2)).Sentence.String())
	require.Equal(t, "met, 39.9 s", score.Course{run}.Stand(timed(44, 41.2, 39.9)).Sentence.String())
	require.Equal(t, "not within it; best 40.1 s", score.Course{run}.Stand(timed(44, 41.2, 40.1)).Sentence.String())
	turn := []tally.Entry{{Kind: tally.Turn, Made: 4, Of: 5, At: time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)}}
	require.Equal(
		t,
		"perhaps met: the order of a turn is not known",
		score.Course{score.Goal{Kind: score.Streak, Count: 3}}.Stand(turn).Sentence.String(),
	)
}
