package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// standardOf is how often each level, from beginners on, makes the standard task, and at which stroke.
func standardOf(t *testing.T, on court.ID, stroke sports.Stroke, task ladder.Task) (list [4]float64) {
	t.Helper()
	for i, level := range []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament} {
		d, err := library.Standard(on, level, stroke, task)
		require.NoError(t, err, "%s, %s, %s", on, stroke, task.Say())
		known, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
		require.NoError(t, err)
		require.Equal(t, stroke, known.Tried[0].Stroke)
		list[i] = known.Tried[0].OfLevel()
	}
	return list
}

// Of every stroke of every sport: better players make a standard task more often, a smaller part of the court is harder
// than the larger one that holds it, nobody makes one never, and a club player is not sure of a corner.
func TestAStandardTaskIsHarderWhereLessOfTheCourtIsGood(t *testing.T) {
	t.Parallel()
	const nearly = 0.04 // where both are made nearly always, a best aim is found so nearly
	for _, of := range sports.All() {
		for _, stroke := range of.Strokes {
			made := map[ladder.Into][4]float64{}
			for _, into := range []ladder.Into{ladder.Inside, ladder.Side, ladder.End, ladder.Corner} {
				made[into] = standardOf(t, of.Courts[0].Court.ID, stroke, ladder.Task{Into: into})
				for i, chance := range made[into] {
					require.Greater(t, chance, 0.03, "%s, %s, %s", of.Name, stroke, into)
					if i > 0 {
						require.Greater(t, chance+nearly, made[into][i-1], "%s, %s, %s", of.Name, stroke, into)
					}
				}
			}
			for i := range 4 {
				for _, pair := range [][2]ladder.Into{
					{ladder.Inside, ladder.Side}, {ladder.Inside, ladder.End}, {ladder.Side, ladder.Corner},
					{ladder.End, ladder.Corner},
				} {
					require.Greater(t, made[pair[0]][i]+nearly, made[pair[1]][i], "%s, %s: %v", of.Name, stroke, pair)
				}
			}
			require.Less(t, made[ladder.Corner][2], 0.9, "%s, %s", of.Name, stroke)
		}
	}
}

// By hand: three forehands in turn are about the third power of one, as all of them have to be made; a ball at game
// pace is no easier than one at half pace.
func TestAStandardTaskInTurnAndAtAPace(t *testing.T) {
	t.Parallel()
	one := standardOf(t, "tennis", sports.Forehand, ladder.Task{Into: ladder.Side})
	three := standardOf(t, "tennis", sports.Forehand, ladder.Task{Into: ladder.Side, InTurn: 3})
	slow := standardOf(t, "tennis", sports.Forehand, ladder.Task{Into: ladder.Side, Pace: sports.HalfPace})
	quick := standardOf(t, "tennis", sports.Forehand, ladder.Task{Into: ladder.Side, Pace: sports.GamePace})
	for i := range one {
		require.InDelta(t, one[i]*one[i]*one[i], three[i], 0.08)
		require.LessOrEqual(t, quick[i], slow[i]+0.005)
	}
}

// On every court of every sport each stroke has its task; what nobody strikes has none, and is told.
func TestAStandardTaskIsThereOnEveryCourt(t *testing.T) {
	t.Parallel()
	for _, of := range sports.All() {
		for _, played := range of.Courts {
			for _, stroke := range of.Strokes {
				_, err := library.Standard(played.Court.ID, student.Club, stroke, ladder.Task{Into: ladder.Corner})
				require.NoError(t, err, "%s, %s", played.Court.ID, stroke)
			}
			_, err := library.Standard(played.Court.ID, student.Club, sports.Footwork, ladder.Task{})
			require.ErrorContains(t, err, "there is no footwork in")
		}
	}
}
