package shorthand_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

func courtOf(t require.TestingT, id court.ID) court.Court {
	c, err := sports.Court(id)
	require.NoError(t, err)
	return c
}

func asText(t require.TestingT, p feed.Pattern) string {
	text, err := json.Marshal(p)
	require.NoError(t, err)
	return string(text)
}

// backAgain writes a pattern, reads the line, and wants the same pattern.
func backAgain(t require.TestingT, p feed.Pattern, on court.Court) {
	line := shorthand.Write(p)
	read, aim, words, err := shorthand.Read(line, on)
	require.NoError(t, err, line)
	require.NotEmpty(t, words)
	require.Nil(t, aim)
	require.Equal(t, asText(t, p), asText(t, read), line)
	require.Equal(t, line, shorthand.Write(read))
}

func TestTheLibraryIsReadBack(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		backAgain(t, stored.Document.Pattern, courtOf(t, stored.Document.Court))
	}
}

// Every pattern can be written and is read back the same: a hundred times as many as rapid tries at a time.
func TestAnyPatternIsReadBack(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(t, "court")
		for range 100 {
			backAgain(t, patternOn(t, c), c)
		}
	})
}

// A line as a coach writes it, by hand: three balls to tennis players, deep at 0.8 of the half, 9.51 m from the net, on
// the side of the stroke at 0.35 of half the width, 1.44 m; short at 0.38, 4.52 m.
func TestALineAsACoachWritesIt(t *testing.T) {
	t.Parallel()
	d := library.All()[0].Document
	after, words, err := shorthand.Applied(
		d,
		"deep FH, short FH, deep BH half pace topspin; 3.5 s; x2; pause 8 s; by hand; aim 1.4 m in left 2 m deep",
	)
	require.NoError(t, err)
	p := after.Pattern
	require.Len(t, p.Tasks, 3)
	require.Equal(t, court.At(1.44, -9.51), p.Tasks[0].Landing)
	require.Equal(t, court.At(1.44, -4.52), p.Tasks[1].Landing)
	require.Equal(t, court.At(-1.44, -9.51), p.Tasks[2].Landing, "a backhand comes on the other side")
	require.Equal(
		t,
		[]sports.Pace{"", "", sports.HalfPace},
		[]sports.Pace{p.Tasks[0].Pace, p.Tasks[1].Pace, p.Tasks[2].Pace},
	)
	require.Equal(t, sports.Topspin, p.Tasks[2].Spin)
	require.Equal(t, []float64{3.5, 8}, []float64{p.Gap, p.Pause})
	require.Equal(t, 2, p.Sequences)
	require.Equal(t, feed.ByHand, p.Method)
	require.Equal(t, court.Off(court.FarBaseline, 2, court.In), after.Measures[0].Target.Mark.Measures[0])
	require.Equal(t, court.Off(court.LeftSingles, 1.4, court.In), after.Measures[0].Target.Mark.Measures[1])
	require.Equal(t, d.Measures[0].Target.Radius, after.Measures[0].Target.Radius)
	for _, w := range words {
		require.Empty(t, w.Wrong, w.Text)
	}
	require.NoError(t, after.Check())

	groups, _, err := shorthand.Applied(
		d,
		`5x { FHV mid }, if-short:0.4 { FH short }, touch [0 -1], FH [near-baseline 4 ft 6 in in, right-singles-sideline 1.2 m in] met=rising to=[far-baseline 2 m in, left-singles-sideline 1 m in] feet="open"; 20 s; x1`,
	)
	require.NoError(t, err)
	require.Equal(t, []feed.Repeat{{From: 0, To: 0, Times: 5}}, groups.Pattern.Repeats)
	require.Equal(t, feed.IfShort, groups.Pattern.Branches[0].Case)
	require.Equal(t, feed.TouchTask, groups.Pattern.Tasks[2].Kind)
	require.InDelta(t, 4.5*0.3048, groups.Pattern.Tasks[3].Landing.Measures[0].Distance, 1e-9)
	require.Equal(t, "open", groups.Pattern.Tasks[3].Stance)
	require.Equal(t, shorthand.Of(after), shorthand.Of(again(t, after)), "a line that is sent is the same drill's")
}

func again(t *testing.T, d drill.Document) drill.Document {
	read, _, err := shorthand.Applied(d, shorthand.Of(d))
	require.NoError(t, err)
	return read
}

// toldAt wants a word of a line to be told as wrong, and every wrong word to stand where it is said to.
func toldAt(t *testing.T, line, word string, words []shorthand.Word) {
	found := false
	for _, w := range words {
		if w.Wrong != "" {
			found = found || w.Text == word
			require.Equal(t, w.Text, string([]rune(line)[w.From:w.To]), line)
		}
	}
	require.True(t, found, "%s: %+v", line, words)
}

// What is not understood is told where it stands, and nothing is changed.
func TestWhatIsNotUnderstoodIsSaid(t *testing.T) {
	t.Parallel()
	d := library.All()[0].Document
	for line, want := range map[string]struct{ word, says string }{
		"deep FH, shrot FH":                  {"shrot", "not a word of this shorthand"},
		"FH":                                 {"FH", "where does it land?"},
		"deep FH; by catapult":               {"catapult", "not known after by"},
		"deep FH [2.4":                       {"[2.4", "brackets"},
		"FH [90 0]":                          {"[90 0]", "off the map"},
		"FH [near-basline 1 in, net 1 near]": {"[near-basline 1 in, net 1 near]", "no line called"},
		"3x { deep FH":                       {"FH", "not closed"},
		"deep FH }":                          {"}", "no group"},
		"some { deep FH }":                   {"some", "how often"},
		"deep FH met=banana":                 {"met=banana", "a number was expected"},
		"deep FH colour=red":                 {"colour=red", "not known"},
		"deep FH; aim somewhere":             {"somewhere", "say an aim"},
		"deep FH; rally mostly":              {"mostly", "not known of a rally"},
		"{ deep FH }":                        {"{", "how often"},
	} {
		after, words, err := shorthand.Applied(d, line)
		require.ErrorContains(t, err, want.says, line)
		require.Equal(t, d, after)
		toldAt(t, line, want.word, words)
	}
	for _, line := range []string{"", "; ;", "3.5 s"} {
		_, _, err := shorthand.Applied(d, line)
		require.ErrorContains(t, err, "at least one ball", line)
	}
}

// Whatever is typed, reading ends, and every word lies in the line.
func FuzzRead(f *testing.F) {
	for _, stored := range library.All() {
		f.Add(shorthand.Of(stored.Document))
	}
	f.Add(`deep FH, 3x{ short BH [`)
	f.Add(`FH [1 1] feet="\`)
	f.Fuzz(func(t *testing.T, line string) {
		c, err := sports.Court("tennis")
		require.NoError(t, err)
		p, _, words, err := shorthand.Read(line, c)
		for _, w := range words {
			require.True(t, w.From >= 0 && w.From <= w.To && w.To <= len([]rune(line)), "%+v", w)
		}
		if err == nil {
			backAgain(t, p, c)
		}
	})
}

// The place of a reply is read in words, from where the ball of its task lands: by hand, a tennis court for singles is
// 23.774 by 8.23 m, so deep is 0.8 x 11.887 m beyond the net and wide 0.8 x 4.115 m to the left of a ball that lands on
// the right.
func TestARepliesPlaceInWords(t *testing.T) {
	t.Parallel()
	on := courtOf(t, "tennis")
	p, _, _, err := shorthand.Read("deep FH to=deep-cross-court, deep BH to=short-down-the-line; x2", on)
	require.NoError(t, err)
	for i, want := range []court.Point{{X: -3.292, Y: 9.510}, {X: -3.292, Y: 4.517}} {
		at, err := on.Resolve(*p.Tasks[i].Reply)
		require.NoError(t, err)
		require.InDelta(t, want.X, at.X, 0.001)
		require.InDelta(t, want.Y, at.Y, 0.001)
	}
	backAgain(t, p, on)
	_, _, _, err = shorthand.Read("deep FH to=somewhere", on)
	require.Error(t, err)
}
