package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/internal/sample"
)

func TestWhoseCountsATapIsIn(t *testing.T) {
	five := []string{"a", "b", "c", "d", "e"}
	for who, want := range map[drill.Who]map[string][]string{
		"":              {"b": {"b"}},
		drill.EachPair:  {"a": {"a", "b"}, "b": {"a", "b"}, "d": {"c", "d"}, "e": {"e"}, "x": {"x"}},
		drill.TwoSides:  {"b": {"a", "b"}, "e": {"e"}},
		drill.Everybody: {"c": five},
		drill.EachLine:  {"a": {"a", "b", "c"}, "c": {"a", "b", "c"}, "e": {"d", "e"}},
	} {
		for of, party := range want {
			require.Equal(t, party, who.Party(of, five, 2), "%s, %s", who, of)
		}
	}
}

func TestTwoSidesPlayPoints(t *testing.T) {
	d := sample.Coin().Document
	d.Measures[0].Who = drill.TwoSides
	require.ErrorContains(t, d.Check(), "two sides play points against one another; this measure counts balls")
	d.Measures[0].What, d.Measures[0].Goals = score.Point, score.Course{{Kind: score.FirstTo, Count: 5}}
	require.NoError(t, d.Check())
	require.Equal(t, "first to 5, two sides, one against the other", d.Measures[0].Goal())
}
