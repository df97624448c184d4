package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
)

// Twenty seconds on, twenty off, six times (common practice, no source); a challenge of a minute; and no clock where
// there is no time.
func TestTheClockOfAMeasure(t *testing.T) {
	var faces []drill.Face
	for _, stored := range library.All() {
		d := stored.Document
		for _, m := range d.Measures {
			face := d.FaceOf(m)
			if face == nil {
				continue
			}
			require.Positive(t, face.Work, d.Name)
			require.GreaterOrEqual(t, face.Rest, 0.0, d.Name)
			require.Positive(t, face.Rounds, d.Name)
			faces = append(faces, *face)
		}
	}
	require.Contains(t, faces, drill.Face{Work: 20, Rest: 20, Rounds: 6})
	require.Contains(t, faces, drill.Face{Work: 60, Rest: 15, Rounds: 1})
	d := library.All()[0].Document
	require.Nil(t, d.FaceOf(d.Main()))
	m := d.Main()
	m.Goals = score.Course{{Kind: score.AsManyAsPossible, Count: 50, Minutes: 3}}
	require.Equal(t, &drill.Face{Work: 180, Rounds: 1}, d.FaceOf(m))
}
