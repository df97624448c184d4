package striking_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/striking"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// A better level scatters less and mishits less, of children and of grown-ups, in every sport; nobody hurries their own
// toss.
func TestABetterLevelIsTruer(t *testing.T) {
	t.Parallel()
	sports := []court.Sport{
		court.Tennis, court.Pickleball, court.Badminton, court.Squash, court.TableTennis, court.Padel,
	}
	for _, levels := range [][]student.Level{
		{student.Red, student.Orange, student.Green},
		{student.Beginner, student.Improver, student.Club, student.Tournament},
	} {
		for i, level := range levels[1:] {
			for _, sport := range sports {
				better, worse := striking.Scatter(level, sport, false), striking.Scatter(levels[i], sport, false)
				require.Less(t, better.Speed, worse.Speed, "%s, %s", level, sport)
				require.Less(t, better.Elevation, worse.Elevation, "%s, %s", level, sport)
				require.Less(t, better.Azimuth, worse.Azimuth, "%s, %s", level, sport)
				require.Less(t, striking.Scatter(level, sport, true).Speed, better.Speed)
			}
			require.LessOrEqual(t, striking.Mishit(level), striking.Mishit(levels[i]))
		}
	}
	require.Equal(
		t,
		striking.Scatter("", "", false),
		striking.Scatter("nobody", court.Tennis, false),
		"who is not known is a club player",
	)
}

// Other constants are on until they are taken back.
func TestOtherConstantsAreTried(t *testing.T) {
	kept := striking.Fitted()
	defer striking.Try(kept)
	striking.Try(striking.Constants{Serve: 0.5, OverNet: 2})
	// By hand: a club player of tennis as they stand, 6 of 100 of the speed; a serve half of that.
	require.InDelta(t, 0.06, striking.Scatter(student.Club, court.Tennis, false).Speed, 1e-12)
	require.InDelta(t, 0.03, striking.Scatter(student.Club, court.Tennis, true).Speed, 1e-12)
	require.InDelta(t, 2, striking.OverNet(), 1e-12)
}
