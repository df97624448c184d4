package score_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
)

func TestEveryKindOfGoalHasAForm(t *testing.T) {
	kinds := score.Kind("").Enum()
	forms := score.Forms()
	require.Len(t, forms, len(kinds))
	for i, form := range forms {
		require.Equal(t, kinds[i], any(form.Kind), "in the order in which kinds are offered")
		require.Equal(t, form.Kind, form.First.Kind)
		for _, count := range []int{form.Least, form.First.Count, form.Most} {
			goal := form.First
			goal.Count = count
			require.NoError(t, goal.Check(), "%s of %d", form.Kind, count)
		}
		for _, miss := range form.Misses {
			goal := form.First
			goal.Miss = miss
			require.NoError(t, goal.Check())
		}
		require.Equal(t, form.Counted == "", form.First.Slider() == 0, "a slider is over a number: %s", form.Kind)
	}
}

func TestASliderGoesBeyondWhereItIs(t *testing.T) {
	require.Equal(t, 60, score.Goal{Kind: score.Total, Count: 25}.Slider())
	require.Equal(t, 60, score.Goal{Kind: score.Streak, Count: 40}.Slider())
	require.Equal(t, 30, score.Goal{Kind: score.Streak, Count: 5}.Slider())
}
