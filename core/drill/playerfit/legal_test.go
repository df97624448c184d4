package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// aiming is what somebody of a level makes of a drill whose first measure has another target.
func aiming(t *testing.T, d drill.Document, target *court.Target, level student.Level) float64 {
	m := d.Main()
	m.Target = target
	return rateOf(t, d.With(0, m), level)
}

// onTheGround are the drills of the library whose first measure has a target that balls land in.
func onTheGround(t *testing.T) (list []drill.Document) {
	for _, stored := range long.Some(t, library.All(), 12) {
		d := stored.Document
		if target := d.Main().Target; target != nil && target.Kind != court.Window && target.Kind != court.WallBand &&
			target.Kind != court.Gate && d.Main().Counts.By != drill.ByMovement {
			list = append(list, d)
		}
	}
	require.NotEmpty(t, list)
	return list
}

// R28: in is enough is never harder than any target inside what is legal.
func TestInIsEnoughIsNeverHarder(t *testing.T) {
	t.Parallel()
	for _, d := range onTheGround(t) {
		for _, level := range student.LevelsFor(d.Sport) {
			require.LessOrEqual(t, aiming(t, d, d.Main().Target, level), aiming(t, d, nil, level)+1e-3, "%s, %s", d.Name, level)
		}
	}
}

// R4: a larger target is never harder: the library's own ones, twice and four times as large.
func TestALargerTargetIsNeverHarder(t *testing.T) {
	t.Parallel()
	larger := 0
	for _, d := range onTheGround(t) {
		for _, level := range student.LevelsFor(d.Sport) {
			last := aiming(t, d, d.Main().Target, level)
			for _, times := range []float64{1.4, 2, 4} {
				target, ok := d.Main().Target.Scaled(times)
				m := d.Main()
				m.Target = &target
				if !ok || target.Kind == court.DoubleBounce || d.With(0, m).Check() != nil {
					continue
				}
				now := aiming(t, d, &target, level)
				require.GreaterOrEqual(t, now, last-1e-3, "%s, %s, %g times as large", d.Name, level, times)
				last = now
				larger++
			}
		}
	}
	require.Greater(t, larger, 20)
}

// A serve is good in its box only: a circle that is enlarged over its lines makes no more than the whole box does.
func TestAServeIsGoodInItsBoxOnly(t *testing.T) {
	t.Parallel()
	for _, on := range []court.ID{"tennis", "pickleball", "badminton", "padel"} {
		from := court.Point{X: 0.6, Y: -11.5}
		if on != "tennis" {
			from.Y = map[court.ID]float64{"pickleball": -6.9, "badminton": -2.3, "padel": -7.2}[on]
		}
		for _, pace := range []sports.Pace{sports.GamePace, sports.RallyPace} {
			d := serving(t, on, from, pace)
			box, err := d.Legal(courtOf(t, on), d.Pattern.Tasks[0], from)
			require.NoError(t, err)
			mark := court.At(box.Centre.X, box.Centre.Y)
			for _, level := range []student.Level{student.Beginner, student.Club, student.Tournament} {
				whole, last := aiming(t, d, nil, level), 0.0
				for _, radius := range []float64{0.5, 1, 2, 4, 8} {
					ring := court.Ring(radius, mark)
					now := aiming(t, d, &ring, level)
					require.GreaterOrEqual(t, now, last-1e-3, "%s, %s, %g m", on, level, radius)
					require.LessOrEqual(t, now, whole+1e-3, "%s, %s, %g m", on, level, radius)
					last = now
				}
			}
		}
	}
}

func courtOf(t *testing.T, id court.ID) court.Court {
	c, err := sports.Court(id)
	require.NoError(t, err)
	return c
}

// R27: on the court of their own stage, with its ball, children make at least as many as on a larger one; on any court
// a later stage makes at least as many, and so does a better level, of the same ball: in a rally it is not, since who
// plays it with them is of their level too. The drills of tennis that can be moved.
func TestChildrenOnTheirOwnCourt(t *testing.T) {
	t.Parallel()
	courts := []court.ID{"tennis-red", "tennis-orange", "tennis"}
	children := []student.Level{student.Red, student.Orange, student.Green}
	grown := []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament}
	moved := 0
	for _, stored := range long.Some(t, library.All(), 12) {
		d := stored.Document
		if d.Sport != court.Tennis || d.Pattern.OneBall() || d.Main().Counts.By == drill.ByMovement {
			continue
		}
		rates := map[court.ID]map[student.Level]float64{}
		for _, on := range courts {
			small, err := d.OnCourt(on)
			if err != nil || small.Check() != nil {
				continue
			}
			rates[on] = map[student.Level]float64{}
			for _, row := range [][]student.Level{children, grown} {
				last := 0.0
				for _, level := range row {
					rate := aiming(t, small, small.Main().Target, level)
					if d.Pattern.Rally == nil {
						require.GreaterOrEqual(t, rate, last-0.003, "%s on %s, %s", d.Name, on, level)
					}
					rates[on][level], last = rate, rate
				}
			}
		}
		for i, level := range children {
			for _, larger := range courts[i+1:] {
				if own, there := rates[courts[i]], rates[larger]; own != nil && there != nil {
					require.GreaterOrEqual(t, own[level], there[level]-0.003, "%s, %s on %s", d.Name, level, larger)
					moved++
				}
			}
		}
	}
	require.Positive(t, moved)
}

// A red-ball child plays the rallies of the library on a red court, across as well, with what power there is: higher
// where it would have to be too fast. From corner to deep corner is too far. On a full court none of them gets going.
func TestARedBallChildRalliesOnARedCourt(t *testing.T) {
	t.Parallel()
	rallies := 0
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally == nil || d.Sport != court.Tennis {
			continue
		}
		small, err := d.OnCourt("tennis-red")
		require.NoError(t, err)
		rallies++
		own := aiming(t, small, small.Main().Target, student.Red)
		corners := d.Name == "Safe Lane" || d.Name == "Four and Out"
		require.Equal(t, !corners, own > 0.1, "%s: %.3f", d.Name, own)
		require.Less(t, aiming(t, d, d.Main().Target, student.Red), 0.02, d.Name)
		child := d.PlayerFor(student.Red, student.RightHand)
		known, err := playerfit.Know(t.Context(), d, child, student.Red, coach.Default())
		require.NoError(t, err)
		require.InDelta(t, d.Pattern.Gap, known.Stroke, 1e-9, "one stroke and the pause, as it is written")
	}
	require.Greater(t, rallies, 5)
}

// Where in is enough it is said how many are in, out and in the net, and nothing of a target.
func TestInIsEnoughInWords(t *testing.T) {
	t.Parallel()
	fit := fitOf(t, serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.GamePace),
		playerfit.Evidence{Level: student.Club})
	require.NotNil(t, fit.Target)
	require.Regexp(t, `^of 100 balls \d+ in, \d+ out \(\d+ long, \d+ wide\), \d+ in the net$`, fit.Target.Sentence)
	require.Equal(t, "In", fit.Target.Derivation.Figure)
	shares := fit.Target.Shares
	require.InDelta(t, 1, shares.In+shares.Errors(), 1e-6, "in or an error, there is nothing else")
}
