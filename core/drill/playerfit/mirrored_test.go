package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/internal/long"
)

// Relation R5 over the library: a left-hander of a level makes of every measure what a right-hander of it makes.
func TestALeftHanderMakesAsMany(t *testing.T) {
	t.Parallel()
	for _, stored := range long.Some(t, library.All(), 60) {
		for _, level := range []student.Level{student.Beginner, student.Club} {
			known := func(hand student.Hand) playerfit.Known {
				d := stored.Document.For(hand)
				k, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, hand), level, coach.Default())
				require.NoError(t, err)
				return k
			}
			right, left := known(student.RightHand), known(student.LeftHand)
			assert.InDelta(t, right.Stroke, left.Stroke, 1e-6, stored.Document.Name)
			for i := range right.Tried {
				assert.InDelta(
					t,
					right.Tried[i].OfLevel(),
					left.Tried[i].OfLevel(),
					5e-4,
					"%s, %s, measure %d",
					stored.Document.Name,
					level,
					i+1,
				)
			}
		}
	}
}
