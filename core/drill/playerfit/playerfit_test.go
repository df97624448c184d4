package playerfit_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// fitted is how the first measure of a drill suits a player, with the first of its goals.
type fitted struct {
	playerfit.Measure
	Goal   *odds.Answer
	Stroke float64 // seconds from stroke to stroke
	playerfit.Fit
}

// all is the same evidence for every measure.
func all(d drill.Document, e playerfit.Evidence) []playerfit.Evidence {
	return slices.Repeat([]playerfit.Evidence{e}, len(d.Measures))
}

// counted is somebody of a level who made and missed so many at every measure of a drill on each of the days before.
func counted(
	t testing.TB,
	d drill.Document,
	player footwork.Player,
	level student.Level,
	days, made, missed int,
) playerfit.Evidence {
	t.Helper()
	known, err := playerfit.Know(t.Context(), d, player, level, coach.Default())
	require.NoError(t, err)
	e := playerfit.Evidence{Level: level, Drill: "it", Day: days}
	e.Own = []odds.Practised{{Days: 1, Made: made, Missed: missed}}
	var counts []skill.Count
	for i, tried := range known.Tried {
		for day := range days {
			counts = append(counts, skill.Count{
				Day: day, Stroke: string(tried.Stroke), Drill: playerfit.At(e.Drill, d.Measures[i].Number), Points: tried.Points,
				Attempt: tried.Attempt, Made: made, Tried: made + missed,
			})
		}
	}
	e.Skill, err = skill.Fit(t.Context(), counts, nil)
	require.NoError(t, err)
	return e
}

func fitOf(t testing.TB, d drill.Document, evidence playerfit.Evidence) fitted {
	t.Helper()
	return playedBy(t, d, d.PlayerFor(d.Written(), student.RightHand), evidence)
}

func playedBy(t testing.TB, d drill.Document, player footwork.Player, evidence playerfit.Evidence) fitted {
	t.Helper()
	turn, err := simulation.Run(t.Context(), d, player, coach.Default())
	require.NoError(t, err)
	fit, err := playerfit.For(t.Context(), d, turn, all(d, evidence), 1, coach.Default())
	require.NoError(t, err)
	return fitted{fit.Measures[0], fit.Measures[0].Goals[0].Answer, simulation.StrokeGap(d, turn.Timeline), fit}
}

func TestEveryGoalOfTheLibrarySpeaks(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		t.Run(d.Name, func(t *testing.T) {
			fit := fitOf(t, d, playerfit.Evidence{Level: d.Written()})
			player := d.PlayerFor(d.Written(), student.RightHand)
			known, err := playerfit.Know(t.Context(), d, player, d.Written(), coach.Default())
			require.NoError(t, err)
			seconds := 0.0
			for i, m := range fit.Measures {
				require.Contains(t, m.Rates.Rate.Sentence, "nothing was counted")
				require.True(t, (m.Target == nil) == (m.Why != ""))
				require.True(t, m.Target == nil || m.Target.Sentence != "")
				require.Positive(t, m.Attempts)
				for k, g := range m.Goals {
					if d.Measures[i].What == score.Time {
						require.Contains(t, g.Why, "on the clock")
						continue
					}
					require.NotNil(t, g.Answer, g.Why)
					require.False(t, g.Answer.Never)
					require.NotEmpty(t, g.Answer.Sentence)
					of := d.Measures[i]
					typical, err := playerfit.Ask(d, of, of.Goals[k], known.Tried[i].Typical(), known.Stroke, 1, coach.Default()).
						Answer(t.Context())
					require.NoError(t, err)
					seconds += typical.Quantiles[2].Seconds
				}
			}
			// No goal of the library takes somebody of the level it is written for more than half an hour, but for the two that
			// say that they are work for several lessons.
			if strings.Contains(d.Summary, "several lessons") || strings.Contains(d.Summary, "one lesson") {
				require.Greater(t, seconds, 1800.0)
				return
			}
			require.Less(t, seconds, 1800.0)
		})
	}
}

func TestAFitFollowsTheEvidence(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	nothing := fitOf(t, d, playerfit.Evidence{Level: student.Club})
	good := fitOf(t, d, counted(t, d, d.PlayerFor(d.Written(), student.RightHand), student.Club, 1, 45, 5))
	require.Less(t, good.Goal.Mean, nothing.Goal.Mean)
	// What becomes of a hundred balls is what is made of the first, but for those mishit: one figure.
	for _, fit := range []fitted{nothing, good} {
		require.InDelta(t, fit.Balls[0].Chance, fit.Target.Shares.In, 0.02)
		last := fmt.Sprintf("in the target %s of 10", units.Decimal(10*fit.Rates.Rate.Mean, 1))
		require.True(t, strings.HasPrefix(fit.Made, "reached ") && strings.HasSuffix(fit.Made, last), fit.Made)
	}
	require.Less(t, good.Target.Scatter.SX, nothing.Target.Scatter.SX)
	require.Contains(t, nothing.Rates.Rate.Sentence, "what players of the level make, as unlike as they are")
	require.Contains(t, good.Rates.Rate.Sentence, "from 50 balls at this")
	better := fitOf(t, d, playerfit.Evidence{Level: student.Tournament})
	require.Greater(t, better.Target.Shares.In, nothing.Target.Shares.In)

	// Landings that are all close to the mark make the target easier, and are shown where they were.
	var near []court.Point
	for i := range 40 {
		near = append(near, court.Point{X: 0.1 * float64(i%5-2), Y: 0.1 * float64(i%7-3)})
	}
	logged := counted(t, d, d.PlayerFor(d.Written(), student.RightHand), student.Club, 1, 36, 4)
	logged.Landings = near
	steady := fitOf(t, d, logged)
	require.Greater(t, steady.Target.Shares.In, 0.5)
	require.Equal(t, 40, steady.Target.Scatter.Logged)
	require.InDelta(t, -0.2, steady.Target.Landings[0].X-steady.Target.At.X, 1e-9)
	require.Contains(t, steady.Target.Derivation.Source, "Logged landings")

	// Counted by zone: all in the one that holds the mark narrow the scatter, all long move it.
	logged.Landings, logged.Zones = nil, []odds.Zone{{Left: -1, Right: 1, Bottom: -1, Top: 1, Count: 40}}
	about := fitOf(t, d, logged)
	require.Less(t, about.Target.Scatter.SY, nothing.Target.Scatter.SY)
	require.Contains(t, about.Target.Derivation.Source, "by zone")
	long := fitOf(
		t,
		d,
		playerfit.Evidence{Level: student.Club, Zones: []odds.Zone{{Left: -1, Right: 1, Bottom: 2, Top: 5, Count: 40}}},
	)
	require.Greater(t, long.Target.Shares.Long, nothing.Target.Shares.Long)
}

func TestMetricsCountExpectedMisses(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	fit := fitOf(t, d, counted(t, d, d.PlayerFor(d.Written(), student.RightHand), student.Club, 20, 30, 20))
	byName := map[string]float64{}
	for _, metric := range fit.Metrics {
		byName[metric.Name] = metric.Value
	}
	require.InDelta(t, 0.6*float64(d.Turns*d.Pattern.BallsPerTurn()), byName["Made"], 0.6)
	require.InDelta(t, float64(d.Main().Goals[0].Count)/fit.Rates.Rate.Mean, byName["For the goal"], 0.1)
	require.Equal(t, fit.Goal.Quantiles[2].Balls, fit.Goal.Carry)
}

func TestWhatHasNoLandingsSaysSo(t *testing.T) {
	t.Parallel()
	require.Contains(t, fitOf(t, sample.Drill(t, "Corner Catch"), playerfit.Evidence{}).Why, "movement is counted")
	d := sample.Drill(t, "Coin in the Corner")
	d.Measures[0].Goals[0].Count = 5000
	_, err := report.Of(d, 1, coach.Default())
	require.ErrorContains(t, err, "measures.0.goals.0.count")
}

func TestADrillIsFittedToAPlayer(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	evidence := playerfit.Evidence{Level: student.Club}
	player := d.PlayerFor(student.Club, student.RightHand)
	fit := func(d drill.Document, f playerfit.AdaptRequest) (drill.Document, string, error) {
		fitted, sentence, err := playerfit.Adapt(t.Context(), d, f, all(d, evidence), player, 1, coach.Default())
		return fitted, sentence.String(), err
	}
	short, phrase, err := fit(d, playerfit.AdaptRequest{Minutes: 3})
	require.NoError(t, err)
	require.Less(t, short.Measures[0].Goals[0].Count, d.Measures[0].Goals[0].Count)
	require.Contains(t, phrase, "4 times in 5 within 3 min")

	large, phrase, err := fit(d, playerfit.AdaptRequest{Hit: 0.5})
	require.NoError(t, err)
	require.Greater(t, large.Measures[0].Target.Radius, d.Measures[0].Target.Radius)
	require.InDelta(t, 0.5, fitOf(t, large, evidence).Rates.Rate.Mean, 0.005, "the mean of all its balls")
	require.Contains(t, phrase, "5 of 10")

	safe, phrase, err := fit(d, playerfit.AdaptRequest{Errors: 0.15})
	require.NoError(t, err)
	require.Contains(t, phrase, "Best aim: ")
	require.Less(t, fitOf(t, safe, evidence).Target.Shares.Errors(), fitOf(t, d, evidence).Target.Shares.Errors())
	// It is still said from the same lines.
	require.Equal(t, d.Measures[0].Target.Mark.Measures[0].Line, safe.Measures[0].Target.Mark.Measures[0].Line)

	_, _, err = fit(d, playerfit.AdaptRequest{})
	require.ErrorContains(t, err, "what is to be fitted")
	_, _, err = fit(sample.Drill(t, "Last Stretch"), playerfit.AdaptRequest{Errors: 0.1})
	require.ErrorContains(t, err, "mark of its own")
	_, _, err = fit(sample.Drill(t, "Net Alphabet"), playerfit.AdaptRequest{Hit: 0.5})
	require.ErrorContains(t, err, "choose a circle")
}

func BenchmarkPlayerFit(b *testing.B) {
	d := sample.Drill(b, "Coin in the Corner")
	simulation, err := simulation.Run(b.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
	require.NoError(b, err)
	for b.Loop() {
		if _, err := playerfit.For(
			b.Context(),
			d,
			simulation,
			all(d, playerfit.Evidence{Level: student.Club}),
			1,
			coach.Default(),
		); err != nil {
			b.Fatal(err)
		}
	}
}

func TestABareTargetOnEveryCourt(t *testing.T) {
	t.Parallel()
	for _, c := range sports.Courts() {
		t.Run(c.Name, func(t *testing.T) {
			d, err := library.Bare(c.ID, student.Club, c.Length/12, c.Singles/8, c.Singles/8)
			require.NoError(t, err)
			fit := fitOf(t, d, playerfit.Evidence{Level: student.Club})
			require.NotNil(t, fit.Target, fit.Why)
			require.Greater(t, fit.Target.Shares.In, 0.02)
			t.Log(fit.Target.Sentence)
		})
	}
	_, err := library.Bare("moon", student.Club, 1, 1, 1)
	require.ErrorContains(t, err, "court")
	_, err = library.Bare("tennis", student.Club, 100, 1, 1)
	require.ErrorContains(t, err, "target")
}
