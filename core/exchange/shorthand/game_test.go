package shorthand_test

import (
	"encoding/json"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/library"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// gameAgain writes rules, reads the line, and wants the same rules.
func gameAgain(t require.TestingT, r game.Rules, on court.Court) {
	line := shorthand.WriteGame(r, on)
	read, words, err := shorthand.ReadGame(line, on)
	require.NoError(t, err, line)
	require.NotEmpty(t, words)
	want, err := json.Marshal(r)
	require.NoError(t, err)
	got, err := json.Marshal(read)
	require.NoError(t, err)
	require.Equal(t, string(want), string(got), line)
	require.Equal(t, line, shorthand.WriteGame(read, on))
}

func TestReadyGamesAreReadBack(t *testing.T) {
	t.Parallel()
	for _, stored := range library.Games() {
		d := stored.Document
		gameAgain(t, d.Rules, courtOf(t, d.Court))
		again, _, err := shorthand.AppliedGame(d, shorthand.OfGame(d))
		require.NoError(t, err)
		require.Equal(t, d.Rules.Sentences(), again.Rules.Sentences())
		require.NoError(t, again.Check())
	}
}

// targetOn is any target, also one that makes no sense.
func targetOn(t *rapid.T, c court.Court) *court.Target {
	target := court.Target{
		Kind:   oneOf[court.TargetKind](t, court.TargetKind("").Enum(), "target"),
		Radius: figure(t, 0.1, 5, "radius"),
		Depth:  figure(t, 0.1, 5, "depth"),
		Width:  figure(t, 0.1, 5, "width"),
		Low:    figure(t, 0.1, 3, "low"),
		High:   figure(t, 0.1, 3, "high"),
	}
	if rapid.Bool().Draw(t, "mark?") {
		m := markOn(t, c)
		target.Mark = &m
	}
	if rapid.Bool().Draw(t, "other?") {
		m := markOn(t, c)
		target.Other = &m
	}
	for range rapid.IntRange(0, 4).Draw(t, "points") {
		target.Points = append(target.Points, markOn(t, c))
	}
	if rapid.Bool().Draw(t, "line?") {
		target.Line = rapid.SampledFrom(c.Lines).Draw(t, "of lines").ID
	}
	if rapid.Bool().Draw(t, "box?") {
		target.Box = rapid.SampledFrom(c.Boxes).Draw(t, "of boxes").ID
	}
	return &target
}

// rulesOn are rules of any kind, also such as make no sense.
func rulesOn(t *rapid.T, c court.Court) game.Rules {
	number := func(name string, most int) int { return rapid.IntRange(0, most).Draw(t, name) }
	yes := func(name string) bool { return rapid.Bool().Draw(t, name) }
	text := func(name string) string {
		return rapid.SampledFrom([]string{"cone hit", `both "feet" in; low {x} [y] \ ö`, "a",
			"serve and next shot made, twice", "Ünder 3", "  "}).
			Draw(t, name)
	}
	r := game.Rules{
		Coach:     yes("coach"),
		BelowZero: yes("below"),
		Rally:     number("rally", 20),
		Unscored:  number("unscored", 12),
		Score:     maybe[game.Keeping](t, game.Keeping("").Enum(), "score"),
	}
	for range rapid.IntRange(1, 12).Draw(t, "places") {
		r.Spots = append(r.Spots, game.Spot{Side: oneOf[game.Side](t, game.Side("").Enum(), "side"), Mark: markOn(t, c)})
	}
	r.Feed = game.Feed{
		Kind: maybe[game.FeedKind](
			t,
			game.FeedKind("").Enum(),
			"feed",
		),
		First:   maybe[game.Side](t, game.Side("").Enum(), "first"),
		Changes: maybe[game.Changes](t, game.Changes("").Enum(), "changes"),
		Every: number(
			"every",
			50,
		),
		Second: yes("second"),
		Box:    maybe[game.Box](t, game.Box("").Enum(), "box"),
		BoxFor: number("boxFor", 50),
	}
	if yes("valid?") {
		r.Feed.Valid = text("valid")
	}
	for range number("restrictions", 3) {
		one := game.Restriction{
			Kind: oneOf[game.RestrictionKind](t, game.RestrictionKind("").Enum(), "kept"),
			Who:  maybe[game.Whose](t, game.Whose("").Enum(), "who"),
			Shot: number("shot", 9),
		}
		if yes("how?") {
			one.Text = text("how")
		}
		r.Restrictions = append(r.Restrictions, one)
	}
	for range number("awards", 3) {
		a := game.Award{
			ID: rapid.SampledFrom([]string{"cone-hit", "a", "x y", "cone-hit2", "it"}).
				Draw(t, "id"),
			Name:   text("name"),
			Points: rapid.IntRange(-20, 20).Draw(t, "points"),
			By: maybe[game.Whose](
				t,
				game.Whose("").Enum(),
				"by",
			),
			Ends:        maybe[game.Ends](t, game.Ends("").Enum(), "ends"),
			Shot:        number("of stroke", 9),
			NotOnSecond: yes("notOnSecond"),
			NoBonus:     yes("alone"),
		}
		if yes("target?") {
			a.Target = targetOn(t, c)
		}
		r.Awards = append(r.Awards, a)
	}
	for range number("measures", 3) {
		r.Measures = append(r.Measures, game.Measure{
			ID: rapid.SampledFrom([]string{"return", "a", "x y"}).
				Draw(t, "id"),
			Name:   text("name"),
			Stroke: rapid.SampledFrom(sports.Of(c.Sport).Strokes).Draw(t, "stroke"),
			By: maybe[game.Whose](
				t,
				game.Whose("").Enum(),
				"played by",
			),
			Shot:  number("with", 9),
			Award: rapid.SampledFrom([]string{"", "cone-hit", "x y"}).Draw(t, "award"),
		})
	}
	if yes("mini?") {
		r.Mini = &game.Mini{
			Balls: []string{text("ball"), "volley", text("ball")},
			Won:   number("won", 20),
			Swept: number("swept", 20),
		}
	}
	r.End = game.End{
		Near:    number("near", 100),
		Far:     number("far", 100),
		WinBy:   number("winBy", 2),
		Cap:     number("cap", 120),
		Rallies: number("rallies", 200),
		Rounds:  number("rounds", 24),
		Minutes: figure(t, 0, 90, "minutes"),
	}
	r.After = game.After{
		Net:     maybe[game.Side](t, game.Side("").Enum(), "net"),
		Restart: maybe[game.Restart](t, game.Restart("").Enum(), "restart"),
	}
	if r.After.Restart != "" {
		r.After.Every = number("after every", 50)
	}
	r.Rotation = game.Rotation{Every: number("rotation", 50), How: maybe[game.Turning](t, game.Turning("").Enum(), "how")}
	return r
}

func TestAnyGameIsReadBack(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(t, "court")
		for range 4 {
			gameAgain(t, rulesOn(t, c), c)
		}
	})
}

// A game as a coach writes it, by hand.
func TestAGameAsACoachWritesIt(t *testing.T) {
	t.Parallel()
	d := library.Games()[7].Document // soft and sharp, pickleball
	after, words, err := shorthand.AppliedGame(
		d,
		`1v1; player feeds, then loser; keep bounce "what is out of reach in front"; bonus "cone hit" 3 wins at object [1 2] radius=15cm; count dink by receiving; to 11, two ahead, cap 15; over 8 min`,
	)
	require.NoError(t, err)
	require.NoError(t, after.Check())
	r := after.Rules
	require.Equal(t, 1, r.Rally, "what is not said is as for a new game")
	require.Equal(t, game.Feed{Kind: game.PlayerFeeds, Changes: game.ToTheLoser}, r.Feed)
	require.Equal(t, []game.Restriction{{Kind: game.LetItBounce, Text: "what is out of reach in front"}}, r.Restrictions)
	require.Equal(t, "cone-hit", r.Awards[0].ID)
	require.Equal(t, court.Object, r.Awards[0].Target.Kind)
	require.InDelta(t, 0.15, r.Awards[0].Target.Radius, 1e-9)
	require.Equal(t, court.At(1, 2), *r.Awards[0].Target.Mark)
	require.Equal(t, []game.Measure{{ID: "dink", Name: "dink", Stroke: sports.Dink, By: game.TheReceiving}}, r.Measures)
	require.Equal(t, game.End{Near: 11, Far: 11, WinBy: 2, Cap: 15, Minutes: 8}, r.End)
	require.Len(t, r.Spots, 2)
	for _, w := range words {
		require.Empty(t, w.Wrong, w.Text)
	}
	six, _, err := shorthand.AppliedGame(
		library.Games()[0].Document,
		"3v3; own scores; coach feeds; net near; rotate 5; unscored 1; over 6 rounds",
	)
	require.NoError(t, err)
	require.NoError(t, six.Check())
	require.Equal(t, 6, six.Rules.Players())
	require.Equal(t, game.Rotation{Every: 5}, six.Rules.Rotation)
	short, _, err := shorthand.AppliedGame(
		library.Games()[0].Document,
		`1v1; mini "second serve" "volley" "overhead"; serve, then other every 1; to 10:5`,
	)
	require.NoError(t, err)
	require.NoError(t, short.Check())
	require.Zero(t, short.Rules.Rally, "a rally of a little match is worth nothing")
}

// The lines that docs/shorthand.md shows are games.
func TestGamesInTheDocs(t *testing.T) {
	t.Parallel()
	docs, err := os.ReadFile("../../../docs/shorthand.md")
	require.NoError(t, err)
	_, after, found := strings.Cut(string(docs), "# A game in one line")
	require.True(t, found)
	lines := strings.Split(strings.TrimSpace(strings.Split(after, "```")[1]), "\n")
	require.Len(t, lines, 4)
	d, err := library.NewGame("pickleball")
	require.NoError(t, err)
	for _, line := range lines {
		read, _, err := shorthand.AppliedGame(d, line)
		require.NoError(t, err, line)
		require.NoError(t, read.Check(), line)
	}
}

// What is not understood is told where it stands, and nothing is changed.
func TestWhatIsNotUnderstoodOfAGameIsSaid(t *testing.T) {
	t.Parallel()
	d := library.Games()[1].Document
	for line, want := range map[string]struct{ word, says string }{
		"1v1; to eleven":                      {"eleven", "not known here"},
		"1v1; to 1000":                        {"1000", "from 0 to 100"},
		"1v1; first to 11":                    {"first", "no part of a game begins so"},
		"1v1; to 10:five":                     {"10:five", "two whole numbers"},
		"1v1; serve, then nobody":             {"nobody", "loser, next, other, winner"},
		"1v1; serve, then":                    {"then", "something is missing"},
		"1v1; keep; to 5":                     {"keep", "say what"},
		"1v1; bonus 3; to 5":                  {"bonus", "what it is called"},
		`1v1; bonus "hit" 3 radius=1; to 5`:   {"radius=1", "say first what it is"},
		`1v1; bonus "hit" 3 at moon; to 5`:    {"moon", "is no target"},
		"1v1; count boast; to 5":              {"boast", "not known here"},
		"1v1; count; to 5":                    {"count", "say which stroke"},
		"1v1; net; to 5":                      {"net", "say which side"},
		"1v1; over 1.5 rallies":               {"rallies", "a whole number of rallies"},
		"1v1; places near [900 0]":            {"[900 0]", "off the map"},
		"1v1; own scores twice":               {"twice", "not known here"},
		`1v1; keep played "with backspin`:     {`"with backspin`, "stand in quotes"},
		"1v1; bonus \"hit\" 3 by who; to 5":   {"who", "is not known here"},
		`1v1; bonus "hit" 3 at circle [1; to`: {"[1; to", "brackets"},
	} {
		after, words, err := shorthand.AppliedGame(d, line)
		require.ErrorContains(t, err, want.says, line)
		require.Equal(t, d, after)
		toldAt(t, line, want.word, words)
	}
	for line, says := range map[string]string{
		"":                            "say who plays",
		"2v2; places near [0 -5]":     "2v2 is said",
		"9v9; to 5":                   "up to 6 players",
		"0v0":                         "at least one",
		`1v1; mini "a" "b"; to 5; ; `: "",
	} {
		_, _, err := shorthand.AppliedGame(d, line)
		if says != "" {
			require.ErrorContains(t, err, says, line)
		} else {
			require.NoError(t, err)
		}
	}
}

// Whatever is typed, reading ends, and every word lies in the line.
func FuzzReadGame(f *testing.F) {
	for _, stored := range library.Games() {
		f.Add(shorthand.OfGame(stored.Document))
	}
	f.Add(`1v1; bonus "x`)
	f.Add(`2v2; places near [`)
	f.Fuzz(func(t *testing.T, line string) {
		c, err := sports.Court("tennis")
		require.NoError(t, err)
		r, words, err := shorthand.ReadGame(line, c)
		for _, w := range words {
			require.True(t, w.From >= 0 && w.From <= w.To && w.To <= len([]rune(line)), "%+v", w)
		}
		if err == nil {
			gameAgain(t, r, c)
		}
	})
}
