package simulation_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

// metresOf is what the one runs in a turn for whom a drill is written.
func metresOf(t *testing.T, d drill.Document) (float64, error) {
	return simulation.MetresOf(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
}

func TestMetresOfATurn(t *testing.T) {
	wide, err := metresOf(t, sample.Drill(t, "Both Verges"))
	require.NoError(t, err)
	near, err := metresOf(t, sample.Drill(t, "Two Hops Beyond"))
	require.NoError(t, err)
	require.Greater(t, wide, 15.0)
	require.Less(t, near, 3.0)
}

// Whoever plays so many turns runs what the live players of a turn run in the mean: they change roles. A stroke of a
// rally takes neither less than a ball can nor more than one does (relation R13).
func TestWhatIsRunIsTheMeanOfAllRoles(t *testing.T) {
	several := 0
	for _, stored := range library.All() {
		d := stored.Document
		metres, err := metresOf(t, d)
		require.NoError(t, err)
		seen, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		sum := 0.0
		for i, runner := range seen.Timeline.Runners {
			sum += seen.Ran(i)
			rallies := 1.0
			if d.Pattern.Rally != nil {
				rallies = float64(d.Pattern.Sequences)
			}
			if !d.Pattern.Varies() {
				require.InDelta(t, rallies*runner.Metres, seen.Ran(i), 1e-9, d.Name)
			}
		}
		require.InDelta(t, sum, metres*float64(len(seen.Timeline.Runners)), 1e-9, d.Name)
		gap := simulation.StrokeGap(d, seen.Timeline)
		require.Equal(t, d.Pattern.Rally != nil, gap > 0.3, d.Name)
		require.Less(t, gap, 4.0, d.Name)
		if d.Pattern.StrokesPerTurn() > 5*d.Pattern.BallsPerTurn() && d.Pattern.Rally == nil {
			require.InEpsilon(
				t,
				d.Pattern.TurnSeconds(),
				seen.Timeline.Seconds+d.Pattern.Pause,
				0.2,
				"%s: the gap is about what the strokes take",
				d.Name,
			)
			require.InEpsilon(t, d.Pattern.Gap, answering(d, seen.Timeline), 0.15, d.Name)
		}
		if len(seen.Timeline.Runners) > 1 {
			several++
		}
	}
	require.Greater(t, several, 3)
}

func BenchmarkMetres(b *testing.B) {
	d := sample.Drill(b, "Both Verges")
	for b.Loop() {
		if _, err := simulation.MetresOf(
			b.Context(),
			d,
			d.PlayerFor(d.Written(), student.RightHand),
			coach.Default(),
		); err != nil {
			b.Fatal(err)
		}
	}
}

// Who gets back to the middle by rote runs farther than who waits where the next ball comes; in a figure of eight it
// comes on the other side each time, so that the way across is the same. The metres are told by role.
func TestTheBasePositionSavesMetres(t *testing.T) {
	for _, name := range []string{"Safe Lane", "Crossroads", "Pair Against One"} {
		d := sample.Drill(t, name)
		run := func(school coach.Recovery) simulation.Simulation {
			s := coach.Default()
			s.Recovery = school
			turn, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), s)
			require.NoError(t, err)
			return turn
		}
		base, middle := run(coach.ToTheBase), run(coach.ToTheMiddle)
		all := func(s simulation.Simulation) (sum float64) {
			for i := range s.Timeline.Runners {
				sum += s.Ran(i)
			}
			return sum
		}
		if name == "Crossroads" {
			require.InEpsilon(t, all(middle), all(base), 0.05)
		} else {
			require.Less(t, all(base), all(middle), name)
		}
		require.Contains(t, base.Runs[0], "The student, "+string(d.Pattern.Rally.Near)+": ")
		require.Contains(t, base.Runs[1], string(d.Pattern.Rally.Far))
	}
}

// answering is how long an answer takes in the mean; 0 where there is none.
func answering(d drill.Document, line footwork.Timeline) float64 {
	_, seconds := simulation.Answers(d, line)
	sum := 0.0
	for _, s := range seconds {
		sum += s
	}
	return sum / float64(max(1, len(seconds)))
}

// A tempo that cannot be kept up is not told to be reached with ease alone: the library, as quick as nobody feeds it.
func TestATempoThatCannotBeKeptUpIsSaid(t *testing.T) {
	t.Parallel()
	said := 0
	for _, stored := range long.Some(t, library.All(), 24) {
		d := stored.Document
		player := d.PlayerFor(d.Written(), student.RightHand)
		turn, err := simulation.Run(t.Context(), d, player, coach.Default())
		require.NoError(t, err)
		require.NotContains(t, turn.Verdict, "cannot be kept up", d.Name)
		if len(turn.Fastest) == 0 || turn.Fastest[2].Gap == nil || *turn.Fastest[2].Gap <= 0.6 {
			continue
		}
		d.Pattern.Gap = *turn.Fastest[2].Gap - 0.1
		quick, err := simulation.Run(t.Context(), d, player, coach.Default())
		require.NoError(t, err)
		require.Contains(t, quick.Verdict, "cannot be kept up", d.Name)
		require.Contains(t, quick.Verdict, turn.Fastest[2].First, d.Name)
		said++
	}
	require.Positive(t, said)
}

// Who cannot play a rally as it is drawn plays another one, and runs as far as those for whom it is written: never
// nothing. Slower rallies are run differently, but not ten times as far.
func TestNobodyStandsStillInARally(t *testing.T) {
	asked := 0
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally == nil {
			continue
		}
		written, err := simulation.MetresOf(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		for _, level := range student.LevelsFor(d.Sport) {
			metres, err := simulation.MetresOf(t.Context(), d, d.PlayerFor(level, student.RightHand), coach.Default())
			require.NoError(t, err)
			require.Greater(t, metres, 0.2*written, "%s, %s", d.Name, level)
			require.Less(t, metres, 5*written, "%s, %s", d.Name, level)
			asked++
		}
	}
	require.Greater(t, asked, 40)
}
