package playerfit

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// R7: a volley that is met above the height of the net is never harder from nearer to it, at equal time to spare. How
// fast the ball comes in is not in what becomes of the reply.
func TestAVolleyIsNeverHarderFromNearerTheNet(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		on     court.ID
		stroke sports.Stroke
		high   []float64
		far    []float64 // from the net
	}{
		{"tennis", sports.ForehandVolley, []float64{1.1, 1.4, 1.8}, []float64{1, 1.5, 2, 3, 4, 5.5, 7}},
		{"pickleball", sports.ForehandVolley, []float64{0.95, 1.2, 1.5}, []float64{2.2, 2.6, 3, 3.6, 4.4}},
		{"badminton", sports.Drive, []float64{1.7, 2}, []float64{0.8, 1.2, 1.8, 2.5, 3.2}},
	} {
		d, err := library.Bare(c.on, student.Club, 1, 1, 1)
		require.NoError(t, err)
		box := court.Target{Kind: court.BoxTarget, Box: "far-half"}
		d.Measures[0].Target, d.Pattern.Tasks[0].Stroke = &box, c.stroke
		for _, level := range student.LevelsFor(d.Sport) {
			j := judgeOf(d, d.Measures[0], d.PlayerFor(level, student.RightHand), level, coach.Default())
			require.NoError(t, j.fails)
			for _, high := range c.high {
				last := 1.0
				for _, far := range c.far {
					r, err := j.reply(footwork.Interception{Where: &footwork.Sample{X: 0.5, Y: -far, Z: high}, Loose: 1})
					in := r.in
					if err != nil {
						require.ErrorContains(t, err, "they strike at most", "%s at %g m, %g m from the net", c.on, high, far)
						in = 0
					}
					require.LessOrEqual(t, in, last+0.01, "%s, %s: %g m from the net at %g m", c.on, level, far, high)
					last = in
				}
			}
		}
	}
}
