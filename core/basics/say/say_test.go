package say_test

import (
	"encoding/json"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"golang.org/x/text/language"
	"pgregory.net/rapid"

	"hodometer/core/basics/say"
)

func TestOneAndSeveralHaveTheirForms(t *testing.T) {
	t.Parallel()
	for want, s := range map[string]say.Sentence{
		"0 of 1 try":                say.Of("standing.tries", 0, 1),
		"1 of 3 tries":              say.Of("standing.tries", 1, 3),
		"1200 of 3000 tries":        say.Of("standing.tries", 1200, 3000),
		"2 of 3 tries, best 41.3 s": say.Of("standing.tries and best", 2, 3, 41.26),
		"1 of 3 rallies":            say.Of("standing.rallies", 1, 3),
		"met, 40 s":                 say.Of("standing.met in", 39.96),
		"at least goal 1 of 2: 4 of 10": say.Of("standing.at least",
			say.Of("standing.goal", 1, 2, say.Of("standing.steps", 4, 10))),
		"Volleys; 1 turn each instead of 2.": say.Of("edit.turns", "Volleys", 1, 2),
		"as it was told":                     say.Words("as it was told"),
		"":                                   {},
	} {
		require.Equal(t, want, s.String())
		require.Equal(t, want, s.In(language.BritishEnglish))
		require.Equal(t, want == "", s.Empty())
	}
}

// TestASentenceIsStoredAsWhatItSays: what is read back is told anew by its key, whatever words stand beside it.
func TestASentenceIsStoredAsWhatItSays(t *testing.T) {
	t.Parallel()
	said := say.Of("standing.at least", say.Of("standing.tries and best", 2, 3, 41.5))
	text, err := json.Marshal(said)
	require.NoError(t, err)
	require.JSONEq(t, `{"say": "standing.at least", "words": "at least 2 of 3 tries, best 41.5 s", "with": [
		{"say": "standing.tries and best", "with": [2, 3, 41.5], "words": "2 of 3 tries, best 41.5 s"}]}`, string(text))
	var read say.Sentence
	require.NoError(t, json.Unmarshal([]byte(strings.ReplaceAll(string(text), "tries, best", "goes, quickest")), &read))
	require.Equal(t, "at least 2 of 3 tries, best 41.5 s", read.String())

	require.NoError(t, json.Unmarshal([]byte(`{"say": "a key of long ago", "with": [2], "words": "two, as was said then"}`), &read))
	require.Equal(t, "two, as was said then", read.String(), "a key that is there no more")
	require.NoError(t, json.Unmarshal([]byte(`"5 of 10"`), &read))
	require.Equal(t, say.Words("5 of 10"), read, "before there was a catalogue")
	require.Error(t, json.Unmarshal([]byte(`5`), &read))
}

func TestAnySentenceComesBackAsItWas(t *testing.T) {
	t.Parallel()
	part := rapid.OneOf(
		rapid.Int().Filter(func(n int) bool { return n > -1<<53 && n < 1<<53 }).AsAny(),
		rapid.Float64Range(-1e6, 1e6).Filter(func(f float64) bool { return f != float64(int(f)) }).AsAny(),
		rapid.String().AsAny(),
	)
	rapid.Check(t, func(t *rapid.T) {
		want := say.Of("standing.at least", say.Of("two sentences", part.Draw(t, "first"), part.Draw(t, "second")))
		text, err := json.Marshal(want)
		require.NoError(t, err)
		var read say.Sentence
		require.NoError(t, json.Unmarshal(text, &read))
		require.Equal(t, want.String(), read.String())
		again, err := json.Marshal(read)
		require.NoError(t, err)
		require.JSONEq(t, string(text), string(again))
	})
}

func TestANameIsForgottenWhereverItStands(t *testing.T) {
	t.Parallel()
	forget := func(words string) string { return strings.ReplaceAll(words, "Ada", "somebody") }
	said := say.Of("two sentences", say.Of("edit.take out", "Ada’s serve"), say.Of("edit.minutes", "Ada", 4, 5.5))
	require.Equal(t, "Take out somebody’s serve. somebody: 4 min instead of 5.5.", said.Change(forget).String())
	require.Equal(t, "Take out Ada’s serve. Ada: 4 min instead of 5.5.", said.String(), "the one before is as it was")
	require.Equal(t, "somebody", say.Words("Ada").Change(forget).String())
}

// TestSentencesStandInOneAnotherSoDeepAndNoDeeper: what comes from outside takes no longer than it is long.
func TestSentencesStandInOneAnotherSoDeepAndNoDeeper(t *testing.T) {
	t.Parallel()
	text := func(deep int) []byte {
		inner := `{"say": "standing.at least", "words": "w", "with": [`
		return []byte(strings.Repeat(inner, deep) + `"5"` + strings.Repeat("]}", deep))
	}
	var read say.Sentence
	require.NoError(t, json.Unmarshal(text(24), &read))
	require.Equal(t, strings.Repeat("at least ", 24)+"5", read.String())
	require.NoError(t, json.Unmarshal(text(4000), &read))
	require.Equal(t, strings.Repeat("at least ", 24)+"w", read.String())
}

// FuzzASentence: whatever comes from outside is told somehow, and comes back the same.
func FuzzASentence(f *testing.F) {
	for _, seed := range []string{
		`{"say": "standing.tries", "with": [], "words": "x"}`, `{"say": "standing.tries", "with": [null, "a", {}]}`, `"5 of 10"`,
		`{"say": "edit.minutes and turns", "with": [1e300, -0.5, true, [1], {"say": "two sentences"}]}`, `{}`, `null`,
	} {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, text string) {
		var read say.Sentence
		if json.Unmarshal([]byte(text), &read) != nil {
			return
		}
		told := read.String()
		written, err := json.Marshal(read)
		require.NoError(t, err)
		var again say.Sentence
		require.NoError(t, json.Unmarshal(written, &again))
		require.Equal(t, strings.ToValidUTF8(told, "\uFFFD"), again.String())
	})
}
