package court_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestEveryKindOfTargetHasItsRule(t *testing.T) {
	seen := map[string]court.TargetKind{}
	for _, value := range court.TargetKind("").Enum() {
		kind, _ := value.(court.TargetKind)
		for _, c := range sports.Courts() {
			mark, other := court.At(0, c.Length/4), court.At(1, c.Length/4)
			target := court.Target{
				Kind:   kind,
				Mark:   &mark,
				Other:  &other,
				Points: []court.Mark{mark, other, court.At(1, c.Length/5)},
				Radius: 0.5,
				Line:   c.Lines[0].ID,
				Depth:  0.3,
				Width:  0.6,
				Low:    1,
				High:   2,
			}
			phrase := c.DescribeTarget(target, court.Tape{})
			require.NotEqual(t, string(kind), phrase, "it is put into words")
			if c.ID == "tennis" {
				require.Empty(t, seen[phrase], "and in other words than %s", seen[phrase])
				seen[phrase] = kind
			}
			for name, size := range target.Sizes() {
				require.NotNil(t, size, name)
			}
			if larger, ok := target.Scaled(1.5); ok {
				require.NotEqual(t, target, larger)
			}
		}
	}
	require.Len(t, seen, len(court.TargetKind("").Enum()))
	_, err := sports.Courts()[0].Shape(court.Target{Kind: "star"}, court.Singles)
	require.ErrorContains(t, err, "no target of this shape")
}
