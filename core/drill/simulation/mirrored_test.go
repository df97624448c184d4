package simulation_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// A left-hander's turn of every drill is the mirrored one of a right-hander, ball by ball.
func TestALeftHandersTurnIsMirrored(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		turn := func(hand student.Hand) simulation.Simulation {
			d := stored.Document.For(hand)
			s, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, hand), coach.Default())
			require.NoError(t, err)
			return s
		}
		right, left := turn(student.RightHand), turn(student.LeftHand)
		require.Len(t, left.Timeline.Interceptions, len(right.Timeline.Interceptions), stored.Document.Name)
		for i, m := range left.Timeline.Interceptions {
			other := right.Timeline.Interceptions[i]
			ok := m.Verdict == other.Verdict && m.Label == other.Label && (m.Where == nil) == (other.Where == nil)
			if ok && m.Where != nil {
				ok = assert.InDelta(t, -other.Where.X, m.Where.X, 1e-4) && assert.InDelta(t, other.Contact, m.Contact, 1e-4)
			}
			if !assert.True(
				t,
				ok,
				"%s, ball %d: %s %s, %s %s",
				stored.Document.Name,
				i,
				other.Label,
				other.Verdict,
				m.Label,
				m.Verdict,
			) {
				break
			}
		}
	}
}
