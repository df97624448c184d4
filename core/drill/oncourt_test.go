package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/sport/sports"
)

// Every drill of tennis can be played on the court of every ball stage: it stays on the court, keeps its balls and its
// measures, and comes back to its own.
func TestADrillIsPlayedOnTheCourtThatThereIs(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		for _, c := range sports.Courts() {
			moved, err := d.OnCourt(c.ID)
			switch {
			case c.Sport != d.Sport || c.ID == d.Court:
				require.NoError(t, err)
				require.Equal(t, d, moved, "%s stays where it is", d.Name)
				continue
			case err != nil:
				require.Equal(t, d, moved, "%s cannot be played on %s and is as it was", d.Name, c.Name)
				t.Logf("%s on %s: %v", d.Name, c.Name, err)
				continue
			}
			require.Equal(t, c.ID, moved.Court)
			require.Len(t, moved.Pattern.Tasks, len(d.Pattern.Tasks))
			require.True(t, moved.CountsAs(d))
			copied := moved.Clone()
			for _, m := range copied.Marks() {
				at, err := c.Resolve(*m.Mark)
				require.NoError(t, err)
				require.True(t, c.OnMap(at), "%s, %s on %s", d.Name, m.Label, c.Name)
			}
			for _, v := range d.Variations {
				version, err := moved.Version(v.Name)
				require.NoError(t, err, "%s, %s on %s", d.Name, v.Name, c.Name)
				require.Equal(t, c.ID, version.Court)
			}
		}
	}
}
