package load_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

func TestLoadByHand(t *testing.T) {
	// Two players, four turns each of three sequences of two balls, 3.5 s apart with a pause of 6 s:
	// 8 × 39 s = 312 s and 48 balls, one basket of 60; three people pick them up in 48 × 2.5 / 3 = 40 s;
	// with 60 s of set-up 412 s. One player waits for the other's turn of 33 s and two pauses: 45 s.
	l := load.For(sample.Coin().Document, load.Group{People: 2}, 4, coach.Default())
	require.Equal(t, 48, l.Balls)
	require.Equal(t, 24, l.Each)
	require.Equal(t, 1, l.Baskets)
	require.InDelta(t, 312, l.Feeding, 1e-9)
	require.InDelta(t, 40, l.PickUp, 1e-9)
	require.InDelta(t, 412, l.Need, 1e-9)
	require.InDelta(t, 45, l.Waiting, 1e-9)
	// One turn for both takes 2 × 39 + 12 × 2.5 / 3 = 88 s: 400 s less 60 s of set-up hold three of them.
	require.Equal(t, 3, load.TurnsIn(sample.Coin().Document, 400, load.Group{People: 2}, coach.Default()))
	require.Equal(
		t,
		4,
		load.TurnsIn(sample.Coin().Document, 412, load.Group{People: 2}, coach.Default()),
		"exactly enough is enough",
	)
	require.Equal(t, 0, load.TurnsIn(sample.Coin().Document, 30, load.Group{People: 2}, coach.Default()))

	basket := coach.Default()
	basket.Basket = 20
	require.Equal(
		t,
		3,
		load.For(sample.Coin().Document, load.Group{People: 2}, 4, basket).Baskets,
		"48 balls are three baskets of 20",
	)
}

func TestMoreOfAnythingNeverTakesLess(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		d := sample.Coin().Document
		d.Pattern.Gap = rapid.Float64Range(0.5, 60).Draw(t, "gap")
		d.Pattern.Sequences = rapid.IntRange(1, 20).Draw(t, "sequences")
		group, turns := load.Group{
			People: rapid.IntRange(1, 12).Draw(t, "people"),
			Lines:  rapid.IntRange(0, 4).Draw(t, "lines"),
		}, rapid.IntRange(1, 50).
			Draw(t, "turns")
		s := coach.Default()
		less, more := load.For(d, group, turns, s), load.For(d, group, turns+1, s)
		require.Greater(t, more.Need, less.Need)
		require.Equal(t, turns, load.TurnsIn(d, less.Need, group, s), "what a drill needs is enough for it and no more")
		require.False(t, math.IsNaN(less.Need))
	})
	require.Equal(t, feed.ByRacket, sample.Coin().Document.Pattern.Method)
	require.Contains(t, sample.Coin().Document.Copy().Name, "my version")
	long := sample.Coin().Document
	long.Name = string(make([]rune, 80))
	require.Len(t, []rune(long.Copy().Name), 80)
}

func TestLoadOfGroupsByHand(t *testing.T) {
	s := coach.Default()
	// Two and Away: a turn of 2 × 3.2 + 3 = 9.4 s, the next starts 1.5 s before its end. Eight in one line, six
	// turns: 9.4 + 47 × 7.9 = 380.7 s; in two lines of four: 9.4 + 23 × 7.9 = 191.1 s, with the same 96 balls.
	line := sample.Drill(t, "Two and Away")
	one, two := load.For(line, load.Group{People: 8}, 6, s), load.For(line, load.Group{People: 8, Lines: 2}, 6, s)
	require.Equal(t, 381.0, one.Feeding)
	require.Equal(t, 191.0, two.Feeding)
	require.Equal(t, []int{96, 96}, []int{one.Balls, two.Balls})
	// Waiting: the first starts again after eight starts of 7.9 s, and has played for 6.4 s: 63.2 − 6.4 = 56.8 s;
	// in the shorter line 31.6 − 6.4 = 25.2 s.
	require.InDelta(t, 56.8, one.Waiting, 1e-9)
	require.InDelta(t, 25.2, two.Waiting, 1e-9)
	require.InDelta(t, 56.8/6.4, one.Rest, 1e-9)
	require.Equal(t, 8, one.Largest, "eight wait 56.8 s, nine 64.7 s")
	require.Equal(t, 1, load.Split(line, 8, s))
	require.Equal(t, 2, load.Split(line, 9, s))

	// A rally is a turn of both: three turns of three rallies of 12 × 1.8 s and a pause of 15 s are 329.4 s for two, and
	// nobody waits; the ball is shared.
	rally := load.For(sample.Drill(t, "Crossroads"), load.Group{People: 2}, 3, s)
	require.Equal(t, 329.0, rally.Feeding)
	require.Equal(t, 9, rally.Balls)
	require.InDelta(t, 15, rally.Waiting, 1e-9, "only the pause")
	// Who feeds a partner does not wait either.
	require.InDelta(t, 6, load.For(sample.Drill(t, "Net Alphabet"), load.Group{People: 2}, 2, s).Waiting, 1e-9)
}

// TestWaitingIsWhatTheStartsSay lets a line go through its turns start by start, over the whole library, also
// where turns overlap, and measures how long the first one stands.
func TestWaitingIsWhatTheStartsSay(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		group, _ := load.Arrange(d, 8, 1, load.Space{})
		if d.Pattern.Rally != nil || d.Pattern.Method == feed.Partner || d.Pattern.Method == feed.Live {
			continue // no line
		}
		for _, overlap := range []float64{0, 0.7, d.Pattern.Pause / 2, d.Pattern.Pause} {
			d.Pattern.Next, d.Pattern.Overlap = feed.WhileTheLast, overlap
			// Who stands first in the line starts; the next one starts so many seconds before the turn is over.
			starts := []float64{0}
			together := (group.People + load.AtOnce(d) - 1) / load.AtOnce(d) // so many start one after the other
			for len(starts) <= together {
				over := starts[len(starts)-1] + d.Pattern.TurnSeconds()
				starts = append(starts, over-overlap)
			}
			played := d.Pattern.TurnSeconds() - d.Pattern.Pause
			require.InDelta(
				t,
				starts[together]-played,
				load.For(d, group, 2, coach.Default()).Waiting,
				1e-9,
				"%s, %g s",
				d.Name,
				overlap,
			)
		}
	}
}

// By hand: 24 shuttles for two players are 48, four tubes of a dozen; 25 at a table would be in one box of a hundred.
func TestShuttlesComeInTubes(t *testing.T) {
	s := coach.Default()
	d := sample.Drill(t, "Shuttle Rain")
	of := load.For(d, load.Group{People: 2}, 2, s)
	require.Equal(t, "shuttles", of.Word)
	require.Equal(t, (of.Balls+11)/12, of.Baskets)
	require.Equal(t, "4 tubes", s.Container(court.Badminton).Of(4))
	s.Tube = 6
	require.Equal(t, (of.Balls+5)/6, load.For(d, load.Group{People: 2}, 2, s).Baskets)
	require.Equal(t, coach.Container{One: "box", Many: "boxes", Holds: 100, Has: 1}, s.Container(court.TableTennis))
	require.Equal(
		t,
		coach.Container{One: "basket", Many: "baskets", Holds: s.Basket, Has: s.Baskets},
		s.Container(court.Squash),
	)
}

// Crossroads by hand: three turns of three rallies of twelve strokes are nine rallies; of the 108 strokes each of the
// two plays 54.
func TestStrokesOfARallyAreThoseOfEach(t *testing.T) {
	t.Parallel()
	own := load.Of(sample.Drill(t, "Crossroads"), 3)
	require.Equal(t, []int{9, 54}, []int{own.Balls, own.Strokes})
	fed := load.Of(sample.Coin().Document, 3)
	require.Equal(t, fed.Balls, fed.Strokes)
}
