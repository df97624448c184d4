package footwork_test

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

// rallies are the drills of the library in which each reply is the next feed, played out for a club player of a hand.
func rallies(t *testing.T, hand student.Hand, check func(name string, c court.Court, line footwork.Timeline)) {
	t.Helper()
	found := 0
	for _, stored := range library.All() {
		if stored.Document.Pattern.Rally == nil {
			continue
		}
		found++
		d := stored.Document.For(hand)
		resolved, err := d.Resolved(coach.Default())
		require.NoError(t, err)
		timing, err := resolved.Timing(t.Context(), d.PlayerFor(student.Club, hand))
		require.NoError(t, err)
		line, err := timing.Turn(t.Context(), 0)
		require.NoError(t, err)
		c, err := sports.Court(d.Court)
		require.NoError(t, err)
		check(stored.Document.Name, c, line)
	}
	require.Positive(t, found)
}

// The wing is that of the side on which the ball comes by the place where the player waits for it: a right-hander who
// waits to the left of where it is met plays a forehand. Balls within half a metre of it may be played on either.
func TestTheWingIsThatOfWhereOneWaits(t *testing.T) {
	t.Parallel()
	rallies(t, student.RightHand, func(name string, c court.Court, line footwork.Timeline) {
		for _, m := range line.Interceptions {
			if m.Where == nil || !c.HasNet() {
				continue
			}
			toTheRight := m.Where.X - m.From.X
			if m.Player > 0 {
				toTheRight = -toTheRight
			}
			if toTheRight > 0.5 {
				require.Equal(t, string(sports.Forehand), m.Label, "%s, stroke %d", name, m.Task)
			}
			if toTheRight < -0.5 {
				require.Equal(t, string(sports.Backhand), m.Label, "%s, stroke %d", name, m.Task)
			}
		}
	})
}

// A left-hander's rally is the mirrored one of a right-hander, ball by ball.
func TestALeftHandersRallyIsMirrored(t *testing.T) {
	t.Parallel()
	lines := map[string]footwork.Timeline{}
	rallies(t, student.RightHand, func(name string, _ court.Court, line footwork.Timeline) { lines[name] = line })
	rallies(t, student.LeftHand, func(name string, _ court.Court, left footwork.Timeline) {
		right := lines[name]
		require.Len(t, left.Interceptions, len(right.Interceptions), name)
		for i, m := range left.Interceptions {
			other := right.Interceptions[i]
			require.Equal(t, other.Label, m.Label, "%s, stroke %d", name, i)
			require.Equal(t, other.Verdict, m.Verdict, "%s, stroke %d", name, i)
			if m.Where != nil && other.Where != nil {
				require.InDelta(t, -other.Where.X, m.Where.X, 1e-6, "%s, stroke %d", name, i)
				require.InDelta(t, other.Where.Y, m.Where.Y, 1e-6, "%s, stroke %d", name, i)
				require.InDelta(t, other.Contact, m.Contact, 1e-6, "%s, stroke %d", name, i)
			}
		}
	})
}
