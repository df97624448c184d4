package library_test

import (
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// Every situation becomes a drill that can be fed, with its replies drawn by their chances, and the same ones each
// time.
func TestEverySituationMakesADrill(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	for _, of := range sports.All() {
		c := of.Courts[0].Court
		for _, s := range long.Some(t, anticipate.Situations(c.Sport), 5) {
			d, err := library.Reading(t.Context(), c.ID, s, student.Club)
			require.NoError(t, err, s.Name)
			require.NoError(t, d.Check(), s.Name)
			turn, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
			require.NoError(t, err, s.Name)
			require.Empty(t, turn.Problems, s.Name)
			require.Equal(t, feed.Drawn, d.Pattern.Order)
			require.True(t, d.Measures[0].Counts.Choices, "the right choice is marked apart")
			again, err := library.Reading(t.Context(), c.ID, s, student.Club)
			require.NoError(t, err)
			require.Equal(t, d, again)
		}
	}
	_, err := library.Reading(t.Context(), "nowhere", anticipate.Situations(court.Tennis)[0], student.Club)
	require.ErrorContains(t, err, "court")
}

// What is given up is meant to be too much, and so is no finding.
func TestWhatIsConcededIsMeant(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		name string
		task int
	}{{"Four Ways Back", 1}, {"Three of Four", 3}} {
		d := sample.Drill(t, c.name)
		for i, task := range d.Pattern.Tasks {
			require.Equal(t, i == c.task, task.Meant, "%s, task %d", c.name, i+1)
		}
	}
}

// A drill is begun on any court by one press, and it can be played.
func TestADrillIsBegunByAPress(t *testing.T) {
	t.Parallel()
	for _, c := range sports.Courts() {
		y := -0.3 * c.Length
		d, err := library.Begun(c.ID, court.Point{X: 0.2 * c.Singles, Y: y})
		require.NoError(t, err, c.ID)
		require.Len(t, d.Pattern.Tasks, 1)
		turn, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
		require.NoError(t, err)
		require.Empty(t, turn.Problems, c.ID)
		require.NotEqual(t, footwork.OutOfReach, turn.Timeline.Worst, c.ID)
	}
	_, err := library.Begun("nowhere", court.Point{})
	require.ErrorContains(t, err, "court")
	_, err = library.Begun("tennis", court.Point{X: 1, Y: 3})
	require.ErrorContains(t, err, "near half")
}
