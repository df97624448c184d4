package anticipate_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/anticipate"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// A straight smash from the rear court comes down before a drop from there, and a drop before a clear, at ease and
// hurried; at the net, below the tape, nobody smashes. By hand, without gravity: a shuttle that leaves at 54 m/s flies
// the 11.0 m to the floor in L ÷ v₀ × (e^(d ÷ L) − 1) = 4.58 ÷ 54 × 10.0 = 0.85 s (drag with the square of the speed,
// Cohen et al., New J. Phys. 17 (2015) 063001).
func TestASmashComesDownBeforeADrop(t *testing.T) {
	t.Parallel()
	deep, low := 0, 0
	for _, s := range anticipate.Situations(court.Badminton) {
		s.Likely = []sports.Likely{
			{Reply: "straight smash", Chance: 0.4},
			{Reply: "straight drop", Chance: 0.3},
			{Reply: "straight clear", Chance: 0.3},
		}
		for _, s.Pressure = range []sports.Pressure{sports.AtEase, sports.Hurried} {
			a := answered(t, asked(s, student.Club, student.RightHand))
			smash, drop, high := a.Coming[0], a.Coming[1], a.Coming[2]
			switch {
			case s.High < 1:
				low++
				require.False(t, smash.Possible, s.Name)
			case s.High > 2 && s.Deep > 0.5:
				deep++
				require.True(t, smash.Possible, s.Name)
				require.Less(t, smash.Seconds, drop.Seconds-0.05, s.Name)
				require.Less(t, drop.Seconds, high.Seconds, s.Name)
			}
		}
	}
	require.Positive(t, deep)
	require.Positive(t, low)
	a := answered(t, asked(called(t, court.Badminton, "badminton-4"), student.Club, student.RightHand))
	require.Equal(t, "straight smash", a.Coming[0].Reply)
	require.InDelta(t, 0.85, a.Coming[0].Seconds, 0.05)
}
