package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// tall is how tall an adult is taken to be, metres (from memory); the reach above the head goes with it.
const tall = 1.76

// serving is a drill of nothing but serves into the box, tossed at a place.
func serving(t *testing.T, on court.ID, from court.Point, pace sports.Pace) drill.Document {
	d, err := library.Bare(on, student.Club, 1, 1, 1)
	require.NoError(t, err)
	d.Stroke, d.Pattern.Method = sports.Serve, feed.SelfDrop
	d.Pattern.Tasks = []feed.Task{{Stroke: sports.Serve, Landing: court.At(from.X, from.Y), ReplyPace: pace}}
	d.Measures[0].Target = nil
	require.NoError(t, d.Check())
	return d
}

// rateOf is what a level makes of the first measure of a drill.
func rateOf(t *testing.T, d drill.Document, level student.Level) float64 {
	known, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
	require.NoError(t, err)
	return known.Tried[0].OfLevel()
}

// The five serves: as high as they are met, from where the server stands, into the box across. A tennis serve is met at
// 1.35 to 1.55 of the body (common practice, no source), a badminton serve below 1.15 m (BWF Laws, Law 9, from memory).
func TestAServeIsAStrokeOfItsOwn(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		on        court.ID
		from      court.Point
		low, high float64 // of the contact above the floor
		into      court.BoxID
	}{
		{"tennis", court.Point{X: 0.6, Y: -11.5}, 1.35 * tall, 1.55 * tall, "far-deuce-service-box"},
		{"pickleball", court.Point{X: -0.6, Y: -6.4}, 0.6, 1.0, "far-left-service-court"},
		{"badminton", court.Point{X: 0.6, Y: -2.4}, 0.9, 1.15, "far-right-service-court"},
		{"squash", court.Point{X: 2.2, Y: -1}, 1.1, 1.7, "back-left"},
		{"table-tennis", court.Point{X: 0.3, Y: -1.5}, 0.76 + 0.1, 0.76 + 0.4, "far-half"},
	} {
		t.Run(string(c.on), func(t *testing.T) {
			d := serving(t, c.on, c.from, "")
			balls, line := ballsOf(t, d, d.PlayerFor(student.Club, student.RightHand), student.Club, coach.Default())
			m := line.Interceptions[0]
			found, err := sports.Court(c.on)
			require.NoError(t, err)
			above := m.Where.Z + found.Above
			require.True(t, above >= c.low && above <= c.high, "met at %g m", above)
			require.Zero(t, m.Metres, "nobody runs for their own toss")
			require.Equal(t, footwork.Easy, m.Verdict)
			require.Nil(t, m.Bounce, "a toss is struck before it comes down")
			require.Equal(t, c.into, d.TargetOf(d.Measures[0]).Box)
			require.Greater(t, balls[0][0].In, 0.3)
			last := 0.0
			for _, level := range []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament} {
				rate := rateOf(t, d, level)
				require.GreaterOrEqual(t, rate, last-0.03, level)
				last = rate
			}
			mirrored := d.Mirrored()
			require.InDelta(
				t,
				rateOf(t, d, student.Club),
				rateOf(t, mirrored, student.Club),
				1e-4,
				"a left-hander's serve is the same",
			)
		})
	}
}

// A second serve goes in more often than a first one, and from nearer to the net it is no harder.
func TestASecondServeIsTheSafeOne(t *testing.T) {
	t.Parallel()
	for _, level := range []student.Level{student.Improver, student.Club, student.Tournament} {
		first := rateOf(t, serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.GamePace), level)
		second := rateOf(t, serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.RallyPace), level)
		require.Less(t, first, second+1e-9, level)
	}
	far := rateOf(t, serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.HalfPace), student.Beginner)
	near := rateOf(t, serving(t, "tennis", court.Point{X: 0.6, Y: -8}, sports.HalfPace), student.Beginner)
	require.GreaterOrEqual(t, near, far-0.02)
}

// The servers of the library stand behind their line.
func TestTheLibraryServesFromBehindTheLine(t *testing.T) {
	t.Parallel()
	served := 0
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Count(func(s sports.Stroke) bool { return s == sports.Serve }) == 0 {
			continue
		}
		c, err := sports.Court(d.Court)
		require.NoError(t, err)
		_, line := ballsOf(t, d, d.PlayerFor(d.Written(), student.RightHand), d.Written(), coach.Default())
		for _, m := range line.Interceptions {
			served++
			behind := -c.Length / 2
			if c.PlaysWalls() { // between walls it is served from behind the service line
				line, there := c.Line(court.NearService)
				require.True(t, there)
				behind = line.From.Y
			}
			require.Less(t, m.Body.Y, behind, d.Name)
		}
	}
	require.Greater(t, served, 10)
	require.Zero(
		t,
		sample.Drill(t, "Two Hops Beyond").Pattern.Count(sports.Of(court.TableTennis).Overhead),
		"a serve at a table does not load the shoulder",
	)
}

// First serves in tennis land a little more than every other time and second ones eight to nine times in ten, as
// coaches of club and tournament players know it (common practice, no source), and as fast as the level strikes.
func TestServesAreAsGoodAsTheyAre(t *testing.T) {
	t.Parallel()
	for _, level := range []student.Level{student.Club, student.Tournament} {
		d := serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.GamePace)
		first, _ := ballsOf(t, d, d.PlayerFor(level, student.RightHand), level, coach.Default())
		d = serving(t, "tennis", court.Point{X: 0.6, Y: -11.5}, sports.RallyPace)
		second, _ := ballsOf(t, d, d.PlayerFor(level, student.RightHand), level, coach.Default())
		require.True(t, first[0][0].Chance >= 0.48 && first[0][0].Chance <= 0.68, "%s: %g", level, first[0][0].Chance)
		require.True(t, second[0][0].Chance >= 0.78 && second[0][0].Chance <= 0.95, "%s: %g", level, second[0][0].Chance)
		require.InDelta(t, 46*sports.AboveHead(d.PlayerFor(level, student.RightHand).Power), first[0][0].Speed, 0.2)
		require.Less(t, second[0][0].Speed, 0.85*first[0][0].Speed)
	}
}
