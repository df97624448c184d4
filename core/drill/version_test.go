package drill_test

import (
	"reflect"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
	"hodometer/internal/sample"
)

// Every version of every drill of the library can be played, differs from the drill, and is a version of the drill as
// it is written, whichever version it is asked of.
func TestEveryVersionOfTheLibraryCanBePlayed(t *testing.T) {
	n := 0
	for _, stored := range library.All() {
		d := stored.Document
		for _, v := range d.Variations {
			n++
			made, err := d.Version(v.Name)
			require.NoError(t, err, "%s, %s", d.Name, v.Name)
			require.Equal(t, v.Name, made.VersionName())
			require.False(
				t,
				reflect.DeepEqual(made.Pattern, d.Pattern) && reflect.DeepEqual(made.Measures, d.Measures),
				"%s, %s",
				d.Name,
				v.Name,
			)
			for _, other := range d.Variations {
				direct, err := d.Version(other.Name)
				require.NoError(t, err)
				through, err := made.Version(other.Name)
				require.NoError(t, err)
				require.Equal(t, direct.Pattern, through.Pattern, "%s: %s through %s", d.Name, other.Name, v.Name)
			}
			back, err := made.Version(coach.AsWritten)
			require.NoError(t, err)
			require.Equal(t, d, back)
		}
	}
	require.Greater(t, n, 60)
}

func TestVersionsGoFromEasierToHarder(t *testing.T) {
	d := sample.Coin().Document
	step := []feed.Transformation{{Kind: feed.Slow}}
	d.Variations = []drill.Variation{
		{
			Name:       "much harder",
			Difficulty: drill.Harder,
			Steps:      step,
		},
		{Name: "easiest", Difficulty: drill.Easier, Steps: step},
		{Name: "hardest", Difficulty: drill.Harder, Steps: step},
		{Name: "easier", Difficulty: drill.Easier, Steps: step},
	}
	names := []string{}
	for _, v := range d.Versions() {
		names = append(names, v.Name)
	}
	require.Equal(t, []string{"easiest", "easier", "as written", "much harder", "hardest"}, names)
}

func TestAVersionHasItsOwnMeasures(t *testing.T) {
	d := sample.Coin().Document
	own := []drill.Measure{{Number: 1, What: score.Ball, Goals: score.Course{{Kind: score.Streak, Count: 3}}}}
	d.Variations = []drill.Variation{
		{
			Name:       "three in a row",
			Difficulty: drill.Easier,
			Steps:      []feed.Transformation{{Kind: feed.Slow, By: 1}},
			Measures:   own,
		},
	}
	made, err := d.Version("three in a row")
	require.NoError(t, err)
	require.Equal(t, own[0].Goals, made.Main().Goals)
	require.NotEqual(t, own[0].Goals, d.Main().Goals)
	require.True(t, made.CountsAs(d))
	own[0].Number = 2
	made, err = d.Version("three in a row")
	require.NoError(t, err)
	require.False(t, made.CountsAs(d), "its measures cannot be counted beside those of the others")
}

func TestAVersionThatIsGoneIsToldAndTheDrillIsPlayedAsWritten(t *testing.T) {
	d := sample.Coin().Document
	back, err := d.Version("the old one")
	require.ErrorContains(t, err, "no version “the old one” any more")
	require.Equal(t, d, back)
	d.Variations = []drill.Variation{
		{Name: "one less", Difficulty: drill.Easier, Steps: []feed.Transformation{{Kind: feed.DropTask, Task: 2}}},
	}
	d.Pattern.Tasks = d.Pattern.Tasks[:1]
	_, err = d.Version("one less")
	require.ErrorContains(t, err, "no task 2")

	d.Variations = append(
		d.Variations,
		d.Variations[0],
		drill.Variation{Name: coach.AsWritten, Difficulty: drill.Harder, Steps: d.Variations[0].Steps},
	)
	require.ErrorContains(t, d.Check(), "variations.1.name")
	require.ErrorContains(t, d.Check(), "variations.2.name")
}
