package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// A ball that becomes a serve is tossed behind the line from where it is struck, on its own side; what was said of how
// it came is gone, and any other stroke leaves it where it is. Left-handers see the same on the other side.
func TestABallBecomesAServe(t *testing.T) {
	for _, of := range sports.All() {
		for _, played := range of.Courts {
			c := played.Court
			for _, hand := range []student.Hand{student.RightHand, student.LeftHand} {
				d, err := library.Begun(c.ID, court.Point{X: -c.Singles / 6, Y: -0.3 * c.Length})
				require.NoError(t, err)
				d.Pattern.Tasks[0].Contact, d.Pattern.Tasks[0].Pace = feed.Falling, sports.Gentle
				d.Pattern.Tasks[0].Stance, d.Pattern.Tasks[0].Gap = "open", 4
				changed, err := d.Edited(drill.Edit{Stroke: &drill.Restroke{Stroke: sports.Backhand}}, hand, coach.Default())
				require.NoError(t, err)
				require.Equal(t, d.Pattern.Tasks[0].Landing, changed.Pattern.Tasks[0].Landing)

				served, err := d.Edited(drill.Edit{Stroke: &drill.Restroke{Stroke: sports.Serve}}, hand, coach.Default())
				require.NoError(t, err)
				require.NoError(t, served.Check())
				task := served.Pattern.Tasks[0]
				at, err := c.Resolve(task.Landing)
				require.NoError(t, err)
				require.Negative(t, at.X, c.ID)
				inside, _ := sports.ServedInside(c, at)
				require.Zero(t, inside, c.ID)
				require.Equal(t, feed.Task{Stroke: sports.Serve, Landing: task.Landing, Stance: "open", Gap: 4}, task)

				again, err := served.Edited(drill.Edit{Stroke: &drill.Restroke{Stroke: sports.Serve}}, hand, coach.Default())
				require.NoError(t, err)
				require.Equal(t, served, again)
			}
		}
	}
}

func TestStrokesThatAreNotThereAreTold(t *testing.T) {
	d := library.All()[0].Document
	for path, to := range map[string]drill.Restroke{
		"stroke.task":   {Task: 59, Stroke: sports.Forehand},
		"stroke.stroke": {Stroke: "wave"},
	} {
		_, err := d.Edited(drill.Edit{Stroke: &to}, student.RightHand, coach.Default())
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields)
		require.Equal(t, path, fields[0].Path)
	}
}

// By hand: 8.5 m from the net in tennis is 11.887 − 8.5 = 3.39 m inside the baseline.
func TestHowFarInsideAServeIs(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	inside, behind := sports.ServedInside(c, court.Point{X: 1, Y: -8.5})
	require.InDelta(t, 3.387, inside, 1e-3)
	require.Equal(t, court.NearBaseline, behind.ID)
	inside, _ = sports.ServedInside(c, court.Point{X: 1, Y: -11.5})
	require.Zero(t, inside, "a toss leads into the court")
}
