package catalogue_test

import (
	"fmt"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// many is the library over and over, each time under another name.
func many(n int) []catalogue.Entry {
	all := library.All()
	entries := make([]catalogue.Entry, n)
	for i := range entries {
		stored := all[i%len(all)]
		d := stored.Document
		if i >= len(all) {
			d.Name = fmt.Sprintf("%s number %d", d.Name, i)
		}
		entries[i] = catalogue.New(fmt.Sprint(i), i < len(all), false, d, float64(3+i%9), stored.Levels)
	}
	return entries
}

func names(list []catalogue.Entry) []string {
	names := []string{}
	for _, e := range list {
		names = append(names, e.Document.Name)
	}
	return names
}

func TestWordsAreFoundAsTheyAreTyped(t *testing.T) {
	all := many(len(library.All()))
	find := func(text string) []string {
		return names(catalogue.Search(all, catalogue.Query{Text: text}, catalogue.ByWords, catalogue.Known{}))
	}
	for _, typed := range []string{"c", "coin", "coin cor", "CORNER coin", "corner, tennis coin"} {
		require.Contains(t, find(typed), "Coin in the Corner", typed)
	}
	require.Equal(t, "Coin in the Corner", find("coin")[0])
	require.Contains(t, find("squash"), "Round the Bollards")
	require.Empty(t, find("coin squash"), "all words have to be there")
	require.Empty(t, find("xylophone"))
	require.Len(t, find("  "), len(all))
	// A name says more than a word somewhere in the text.
	require.Contains(t, find("short")[0], "Short")
}

func TestEachFilterIsTrueOfWhatItLeaves(t *testing.T) {
	all := many(len(library.All()))
	for _, c := range []struct {
		name  string
		query catalogue.Query
		holds func(e catalogue.Entry) bool
	}{
		{"sport", catalogue.Query{Sport: court.Badminton},
			func(e catalogue.Entry) bool { return e.Document.Sport == court.Badminton }},
		{"what it trains", catalogue.Query{Trains: ladder.Depth},
			func(e catalogue.Entry) bool { return e.Document.Rung == ladder.Depth }},
		{"level", catalogue.Query{Level: student.Club},
			func(e catalogue.Entry) bool { return slices.Contains(e.Levels, student.Club) }},
		{"minutes", catalogue.Query{Minutes: 6}, func(e catalogue.Entry) bool { return e.Minutes <= 6 }},
		{"players", catalogue.Query{Players: 1}, func(e catalogue.Entry) bool { return e.Document.Starts() == 1 }},
		{"stroke", catalogue.Query{Stroke: sports.ForehandVolley}, func(e catalogue.Entry) bool {
			return e.Document.Stroke == sports.ForehandVolley || slices.ContainsFunc(e.Document.Pattern.Tasks,
				func(t feed.Task) bool { return t.Stroke == sports.ForehandVolley })
		}},
		{"only balls", catalogue.Query{Equipment: catalogue.OnlyBalls}, func(e catalogue.Entry) bool {
			return !slices.ContainsFunc(e.Document.Carry(), func(line string) bool {
				return !regexp.MustCompile(`^(\d+ )?(balls?|shuttles?|baskets?|tubes? of shuttles|box(es)? of balls)$`).MatchString(line)
			})
		}},
		{"a piece of equipment", catalogue.Query{Equipment: "flat marker"}, func(e catalogue.Entry) bool {
			return strings.Contains(strings.Join(e.Document.Carry(), " "), "flat marker")
		}},
		{"a collection", catalogue.Query{Among: []string{"2", "5"}},
			func(e catalogue.Entry) bool { return e.ID == "2" || e.ID == "5" }},
	} {
		t.Run(c.name, func(t *testing.T) {
			found := catalogue.Search(all, c.query, catalogue.ByWords, catalogue.Known{})
			require.NotEmpty(t, found)
			require.Less(t, len(found), len(all))
			kept := slices.DeleteFunc(slices.Clone(all), func(e catalogue.Entry) bool { return !c.holds(e) })
			require.Len(t, found, len(kept))
			for _, e := range found {
				require.True(t, c.holds(e), e.Document.Name)
			}
		})
	}
}

func TestOrders(t *testing.T) {
	all := many(len(library.All()))
	need := []catalogue.Need{{Stroke: sports.Backhand, Rung: ladder.Depth}}
	known := catalogue.Known{
		Level: student.Club,
		Sport: court.Tennis,
		Needs: need,
		Used:  map[string]string{"0": "2026-03-01", "1": "2026-02-01"},
	}
	byNeed := catalogue.Search(all, catalogue.Query{}, catalogue.ByNeed, known)
	require.Equal(
		t,
		[]any{court.Tennis, sports.Backhand, ladder.Depth},
		[]any{byNeed[0].Document.Sport, byNeed[0].Document.Stroke, byNeed[0].Document.Rung},
	)
	require.NotEqual(t, court.Tennis, byNeed[len(byNeed)-1].Document.Sport, "other sports come last, and are there")
	require.Len(t, byNeed, len(all))
	known.Sport = ""
	byUse := catalogue.Search(all, catalogue.Query{}, catalogue.ByUse, known)
	require.Equal(
		t,
		[]string{"1", "0"},
		[]string{byUse[len(byUse)-2].ID, byUse[len(byUse)-1].ID},
		"what was used last comes last",
	)
	require.True(t, slices.IsSorted(names(catalogue.Search(all, catalogue.Query{}, catalogue.ByName, catalogue.Known{}))))
}

// One word more never finds more, one filter more neither; and what a word finds, its beginning finds.
func TestLookingForMoreFindsLess(t *testing.T) {
	all := many(len(library.All()))
	words := []string{}
	for _, e := range all {
		words = append(words, strings.Fields(e.Document.Name+" "+strings.Join(catalogue.Tags(e.Document), " "))...)
	}
	long.Check(t, func(r *rapid.T) {
		word := rapid.SampledFrom(words).Draw(r, "word")
		other := rapid.SampledFrom(words).Draw(r, "other")
		q := catalogue.Query{Text: word}
		one := catalogue.Search(all, q, catalogue.ByWords, catalogue.Known{})
		q.Text += " " + other
		both := catalogue.Search(all, q, catalogue.ByWords, catalogue.Known{})
		require.Subset(r, names(one), names(both))
		runes := []rune(word)
		q.Text = string(runes[:rapid.IntRange(1, len(runes)).Draw(r, "typed")])
		require.Subset(r, names(catalogue.Search(all, q, catalogue.ByWords, catalogue.Known{})), names(one))
	})
}

func TestAnArchivedDrillIsFoundOnlyWhenAskedFor(t *testing.T) {
	e := catalogue.New("a", false, true, library.All()[0].Document, 5, nil)
	require.Empty(t, catalogue.Search([]catalogue.Entry{e}, catalogue.Query{}, "", catalogue.Known{}))
	require.Len(t, catalogue.Search([]catalogue.Entry{e}, catalogue.Query{Archived: true}, "", catalogue.Known{}), 1)
}

func FuzzSearch(f *testing.F) {
	all := many(len(library.All()))
	for _, text := range []string{"coin", "", "ß ñ 4'6\"", "\x00\xff", "short, deep"} {
		f.Add(text, 3, 12.0)
	}
	f.Fuzz(func(t *testing.T, text string, players int, minutes float64) {
		found := catalogue.Search(
			all,
			catalogue.Query{Text: text, Players: players, Minutes: minutes, Equipment: text},
			catalogue.ByNeed,
			catalogue.Known{},
		)
		require.LessOrEqual(t, len(found), len(all))
	})
}

// BenchmarkSearch looks for a word among two thousand drills; see docs/performance.md.
func BenchmarkSearch(b *testing.B) {
	all := many(2000)
	known := catalogue.Known{Level: student.Club, Needs: []catalogue.Need{{Stroke: sports.Backhand, Rung: ladder.Depth}}}
	b.ResetTimer()
	for b.Loop() {
		catalogue.Search(all, catalogue.Query{Text: "vol deep number"}, catalogue.ByNeed, known)
	}
}
