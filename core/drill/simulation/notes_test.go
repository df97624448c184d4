package simulation_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// A serve that is struck inside the court and a volley that bounces first say so; none of the library has one.
func TestWhatMayNotBeMeantIsSaid(t *testing.T) {
	notes := func(d drill.Document) []string {
		p, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
		require.NoError(t, err)
		var list []string
		for _, task := range p.Tasks {
			list = append(list, task.Notes...)
		}
		return list
	}
	for _, stored := range library.All() {
		require.Empty(t, notes(stored.Document), stored.Document.Name)
	}
	d, err := library.Begun("tennis", court.Point{X: 1, Y: -8.5})
	require.NoError(t, err)
	require.Empty(t, notes(d))
	d.Pattern.Tasks[0].Stroke = sports.Serve
	inside := "It is struck 3.39 m inside the baseline: a step on the way to a serve, and none in a game."
	corner := "It goes into the far deuce service box, and its target lies elsewhere."
	require.Equal(t, []string{inside, corner}, notes(d))
	d.Measures[0].Target = nil
	require.Equal(t, []string{inside}, notes(d), "the box itself is the target")
	d.Pattern.Tasks[0].Stroke, d.Pattern.Tasks[0].Contact = sports.ForehandVolley, feed.Falling
	require.Equal(t, []string{"It bounces before it is met: that is no volley any more."}, notes(d))
}
