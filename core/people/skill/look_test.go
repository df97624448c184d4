package skill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/skill"
)

// What is told of a look before it is taken is what is known after it: by fits of the same history with the lessons in
// it, for a drill that was counted before and for another one.
func TestALookIsWorthWhatItWasTold(t *testing.T) {
	t.Parallel()
	of := func(drill string, day int) skill.Count {
		return skill.Count{Day: day, Stroke: "forehand", Drill: drill, Attempt: skill.Of(0.6), Made: 14, Tried: 24}
	}
	var counts []skill.Count
	for i := range 6 {
		counts = append(counts, of([]string{"a", "b"}[i%2], i))
	}
	before, err := skill.Fit(t.Context(), counts, nil)
	require.NoError(t, err)
	for _, drill := range []string{"a", "c"} {
		last, then := before.Stroke("forehand", 5).SD, counts
		for lessons := 1; lessons <= 4; lessons++ {
			then = append(then, of(drill, 5+lessons))
			after, err := skill.Fit(t.Context(), then, nil)
			require.NoError(t, err)
			told := before.After("forehand", 5, skill.Look{Drill: drill, Attempt: skill.Of(0.6), Attempts: 24}, lessons)
			require.InDelta(t, after.Stroke("forehand", 5+lessons).SD, told, 0.02, "%s, %d lessons", drill, lessons)
			require.Less(t, told, last)
			last = told
		}
	}
	nobody := (&skill.Skill{}).After("forehand", 0, skill.Look{Drill: "a", Attempt: skill.Of(0.6), Attempts: 24}, 1)
	require.Less(t, nobody, (&skill.Skill{}).Stroke("forehand", 0).SD)
}
