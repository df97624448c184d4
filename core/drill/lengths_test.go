package drill_test

import (
	"encoding/json"
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// tooFine are the numbers of a document that nobody would write: finer than a tenth of a millimetre.
func tooFine(t *testing.T, d drill.Document) (list []float64) {
	text, err := json.Marshal(d)
	require.NoError(t, err)
	var tree any
	require.NoError(t, json.Unmarshal(text, &tree))
	var walk func(any)
	walk = func(node any) {
		switch node := node.(type) {
		case float64:
			if tenths := node * 1e4; math.Abs(tenths-math.Round(tenths)) > 1e-6 {
				list = append(list, node)
			}
		case []any:
			for _, each := range node {
				walk(each)
			}
		case map[string]any:
			for _, each := range node {
				walk(each)
			}
		}
	}
	walk(tree)
	return list
}

// Whatever is done to a drill, its lengths stay such as somebody would write: what was typed, or centimetres.
func TestLengthsStayReadable(t *testing.T) {
	metric := coach.Default()
	metric.Units = "metres"
	for _, c := range sports.Courts() {
		d, err := library.Begun(c.ID, court.Point{X: 0.1234567, Y: -0.2345678 * c.Length})
		require.NoError(t, err)
		require.Empty(t, tooFine(t, d), c.ID)
		for _, s := range []coach.Settings{coach.Default(), metric} {
			for _, spot := range d.Marks() {
				at, err := c.Resolve(*spot.Mark)
				require.NoError(t, err)
				to := court.Point{X: 0.9 * at.X, Y: 0.87654321 * at.Y}
				moved, err := d.Edited(drill.Edit{Move: &drill.Move{Handle: spot.Handle, To: to}}, student.RightHand, s)
				require.NoError(t, err)
				require.Empty(t, tooFine(t, moved), "%s, %s moved", c.ID, spot.Handle)
			}
		}
	}
	for _, stored := range library.All() {
		d := stored.Document
		require.Empty(t, tooFine(t, d), d.Name)
		for _, to := range sports.Courts() {
			var handles []string
			for _, spot := range d.Marks() {
				handles = append(handles, spot.Handle)
			}
			for _, plain := range [][]string{nil, handles} {
				moved, _, err := d.TransferTo(to.ID, handles, plain, court.Tape{})
				require.NoError(t, err)
				require.Empty(t, tooFine(t, moved), "%s on %s", d.Name, to.ID)
			}
		}
		for _, step := range []feed.Transformation{
			{Kind: feed.Spread, By: 1.5}, {Kind: feed.Spread, By: 0.7}, {Kind: feed.Quicken, By: 0.8},
			{Kind: feed.Slow, By: 0.7}, {Kind: feed.ForLeftHander}, {Kind: feed.Reverse},
		} {
			if changed, _, err := d.Transformed(t.Context(), []feed.Transformation{step}, coach.Default()); err == nil {
				require.Empty(t, tooFine(t, changed), "%s, %s", d.Name, step.Kind)
			}
		}
		if near, err := d.OnTheSpot(nil, 1.25); err == nil {
			require.Empty(t, tooFine(t, near), d.Name)
		}
	}
}
