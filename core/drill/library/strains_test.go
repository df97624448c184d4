package library_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// By eye, drill by drill: what they ask of a body. Common practice, no source.
func TestWhatDrillsAskOfABody(t *testing.T) {
	t.Parallel()
	const (
		serves, back, wide, lunge, full = student.ServesAndOverheads, student.Backhands, student.WideRunning, student.Lunges,
			student.FullPace
	)
	want := map[string][]student.Strain{
		"Coin in the Corner": {},
		"Both Verges":        {back, wide},
		"Corner Catch":       {wide, lunge},
		"Net Alphabet":       {serves, back},
		"Shuttle Rain":       {serves, wide, lunge},
		"Forehand Diagonal":  {},
		"Backhand Diagonal":  {back},
		"Two Hops Beyond":    {serves},
		"Round the Bollards": {back, wide},
		"Soft Landing":       {},
	}
	found := 0
	for _, s := range library.All() {
		if asks, known := want[s.Document.Name]; known {
			require.Equal(t, asks, s.Document.Strains(), s.Document.Name)
			found++
		}
		for _, v := range s.Document.Versions() {
			own, err := s.Document.Version(v.Name)
			require.NoError(t, err)
			for _, step := range v.Steps {
				if step.Kind == feed.Attack && own.Pattern.StrokesPerTurn() > 0 {
					require.Contains(t, own.Strains(), full, "%s, %s", s.Document.Name, v.Name)
				}
			}
		}
	}
	require.Equal(t, len(want), found)
}

// Mirrored for the other hand a drill asks the same; on the other wing a forehand drill asks for backhands, and without
// its balls for nothing.
func TestWhatIsAskedFollowsTheDrill(t *testing.T) {
	t.Parallel()
	for _, s := range library.All() {
		d := s.Document
		require.Equal(t, d.Strains(), d.Mirrored().Strains(), d.Name)
	}
	require.Equal(
		t,
		[]student.Strain{student.ServesAndOverheads},
		drill.Document{Sport: "tennis", Stroke: sports.Serve}.Strains(),
	)
	require.Empty(t, drill.Document{Sport: "tennis", Stroke: sports.Forehand}.Strains())
}
