package library_test

import (
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// at is a drill at another gap, the gaps of single tasks changed by the same share.
func atGap(d drill.Document, gap float64) drill.Document {
	d = d.Clone()
	share := gap / d.Pattern.Gap
	d.Pattern.Gap = gap
	for i := range d.Pattern.Tasks {
		d.Pattern.Tasks[i].Gap *= share
	}
	return d
}

// R10: at the fastest gap the player is back where the pattern wants them when the next ball is struck, turn after
// turn. R1: from there on no longer gap makes any ball harder.
func TestTheFastestGapCanBeKeptUp(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	kept := 0
	for _, stored := range library.All() {
		for _, level := range []student.Level{student.Improver, student.Club, student.Tournament} {
			d := stored.Document
			if d.Pattern.Rally != nil || d.Pattern.OneBall() || d.Pattern.Ends == feed.ByTheClock ||
				len(d.Pattern.Repeats) > 0 ||
				d.Pattern.Back != "" {
				continue
			}
			player := d.PlayerFor(level, student.RightHand)
			run := func(gap float64) footwork.Timeline {
				s, err := simulation.Run(t.Context(), atGap(d, gap), player, coach.Default())
				require.NoError(t, err)
				return s.Timeline
			}
			first, err := simulation.Run(t.Context(), d, player, coach.Default())
			require.NoError(t, err)
			gap := first.Fastest[2].Gap // within a stretch
			if gap == nil || *gap <= 0.5 {
				continue
			}
			kept++
			c, err := sports.Court(d.Court)
			require.NoError(t, err)
			home := map[int]court.Point{}
			for _, kind := range []drill.PlaceKind{drill.Start, drill.Recovery} {
				if place, ok := d.Place(kind); ok {
					home[0], err = c.Resolve(place.Mark)
					require.NoError(t, err)
				}
			}
			line := run(*gap)
			for i, m := range line.Interceptions {
				if i == 0 || d.Pattern.Tasks[line.Interceptions[i-1].Task].Recover != nil ||
					m.Sequence != line.Interceptions[i-1].Sequence ||
					m.Player != 0 ||
					d.Pattern.MethodOf(d.Pattern.Tasks[m.Task]) == feed.SelfDrop {
					continue
				}
				require.Less(t, m.From.Distance(home[0]), 0.06, "%s, %s, task %d at %.1f s", d.Name, level, i+1, *gap)
			}
			if d.Pattern.Varies() {
				continue
			}
			for _, share := range []float64{1.1, 1.5, 2.5} {
				longer := run(*gap * share)
				for i, m := range line.Interceptions {
					require.False(
						t,
						longer.Interceptions[i].Verdict.Worse(m.Verdict),
						"%s, %s, task %d at %.1f s × %g",
						d.Name,
						level,
						i+1,
						*gap,
						share,
					)
				}
			}
		}
	}
	require.Greater(t, kept, 60)
}

// Who does not have to get back all the way can be fed faster, and runs less.
func TestHalfTheWayBackIsFaster(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Both Verges")
	run := func(back feed.Back) (gap, metres float64) {
		d := d.Clone()
		d.Pattern.Back = back
		s, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
		require.NoError(t, err)
		require.NotNil(t, s.Fastest[2].Gap)
		return *s.Fastest[2].Gap, s.Ran(0)
	}
	all, far := run(feed.AllTheWay)
	half, near := run(feed.HalfWay)
	require.Less(t, half, all)
	require.Less(t, near, far)
}

// Every drill of the library is fed no faster than it can be kept up by the level it is written for.
func TestTheLibraryCanBeKeptUp(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		s, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		if len(s.Fastest) > 0 && s.Fastest[2].Gap != nil {
			require.LessOrEqual(t, *s.Fastest[2].Gap, d.Pattern.Gap+1e-9, "%s: %s", d.Name, s.Fastest[2].First)
		}
	}
}

// What is known of match play (from memory): tennis singles 2 to 4.5 m a stroke and 35 to 50 strokes of both a minute
// of rally (Fernandez-Fernandez, Sanz-Rivas and Mendez-Villanueva, Strength Cond. J. 31 (2009) 15; O'Donoghue and
// Ingram, J. Sports Sci. 19 (2001) 107), badminton 0.8 to 1.2 strokes of both a second (Phomsoupha and Laffaye, Sports
// Med. 45 (2015) 473), table tennis 28 to 45 strokes of one player a minute (Zagatto, Morel and Gobatto, J. Strength
// Cond. Res. 24 (2010) 942): free rallies from side to side and across, by tournament players. A rally of clears is
// slower and one of drives quicker than a badminton match, which has both.
func TestRalliesAreAsFastAndAsLongAsInPlay(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		on                court.ID
		behind            float64 // the line
		deep, wide        float64
		pace              sports.Pace
		slowest, quickest float64 // strokes of both a minute
		least, most       float64 // metres a stroke
	}{
		{"tennis", 0.5, 2.5, 1.8, sports.RallyPace, 35, 50, 2, 4.5},
		{"tennis", 0.5, 2.5, 1.8, sports.GamePace, 35, 56, 2, 4.5},
		{"badminton", -3.5, 0.8, 0.6, sports.RallyPace, 48, 72, 1, 5},
		{"table-tennis", 0.6, 0.25, 0.25, sports.RallyPace, 56, 110, 0.2, 1.5},
	} {
		d, err := library.Bare(c.on, student.Tournament, 1, 1, 0.5)
		require.NoError(t, err)
		d.Measures[0].Target = nil
		found, err := sports.Court(c.on)
		require.NoError(t, err)
		home := c.behind + found.Length/2
		d.Places = []drill.Place{{Kind: drill.Start, Mark: court.At(0, -home)}, {Kind: drill.Feeder, Mark: court.At(0, home)}}
		for _, rule := range []feed.Direction{feed.Alternate, feed.CrossCourt} {
			d.Pattern.Method, d.Pattern.Rally = feed.Live, &feed.Rally{
				Near:  rule,
				Far:   feed.Alternate,
				Shots: 12,
				Deep:  c.deep,
				Wide:  c.wide,
				Pace:  c.pace,
			}
			s, err := simulation.Run(t.Context(), d, d.PlayerFor(student.Tournament, student.RightHand), coach.Default())
			require.NoError(t, err)
			line := s.Timeline
			minute := 60 * float64(len(line.Interceptions)) / (line.Seconds - d.Pattern.Pause)
			metres := (line.Runners[0].Metres + line.Runners[1].Metres) / float64(line.Runners[0].Balls+line.Runners[1].Balls)
			require.Len(t, line.Interceptions, 12)
			require.True(t, minute >= c.slowest && minute <= c.quickest, "%s %s: %.0f strokes a minute", c.on, rule, minute)
			require.True(t, metres >= c.least && metres <= c.most, "%s %s: %.1f m a stroke", c.on, rule, metres)
		}
	}
}

// Many shuttles are fed 20 to 45 a minute (common practice, no source), and a drill with pauses rests at least as long
// as it works hard: tennis players rest 2 to 5 times as long as they play in a match (O'Donoghue and Ingram, J. Sports
// Sci. 19 (2001) 107, from memory); a basket in a drill is denser, and here no denser than one to one.
func TestFeedingAndRestAreThoseOfTheTrade(t *testing.T) {
	t.Parallel()
	rain := sample.Drill(t, "Shuttle Rain")
	require.True(t, rain.Pattern.Rate() >= 20 && rain.Pattern.Rate() <= 45, "%g a minute", rain.Pattern.Rate())
	for _, stored := range library.All() {
		d := stored.Document
		if d.Sport != court.Tennis || d.Pattern.Rally != nil || d.Pattern.Pause < 5 || d.Pattern.Ends == feed.ByTheClock ||
			d.Pattern.OneBall() {
			continue
		}
		s, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		r := s.Timeline.Runners[0]
		require.GreaterOrEqual(t, r.Rest, r.Work, "%s: work %.1f s, rest %.1f s", d.Name, r.Work, r.Rest)
	}
}
