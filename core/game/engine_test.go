package game_test

import (
	"encoding/json"
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

func oneOf[T any](t *rapid.T, name string, values ...any) T {
	value, _ := rapid.SampledFrom(values).Draw(t, name).(T)
	return value
}

// maybe is a value of a closed type, or none.
func maybe[T ~string](t *rapid.T, name string, values []any) T {
	if rapid.Bool().Draw(t, name+"?") {
		return oneOf[T](t, name, values...)
	}
	return ""
}

// anyRules are rules of any kind, of which many make no sense.
func anyRules(t *rapid.T) game.Rules {
	number := func(name string, most int) int { return rapid.IntRange(0, most).Draw(t, name) }
	r := game.Rules{
		Spots:    spots(rapid.IntRange(1, 3).Draw(t, "near"), number("far", 3)),
		Rally:    number("rally", 2),
		Unscored: number("unscored", 1),
	}
	r.Score = maybe[game.Keeping](t, "score", game.Keeping("").Enum())
	r.BelowZero = rapid.Bool().Draw(t, "below")
	r.Feed = game.Feed{
		Kind: maybe[game.FeedKind](
			t,
			"kind",
			game.FeedKind("").Enum(),
		),
		First: maybe[game.Side](t, "first", game.Side("").Enum()),
		Changes: maybe[game.Changes](
			t,
			"changes",
			game.Changes("").Enum(),
		),
		Every:  number("every", 3),
		Second: rapid.Bool().Draw(t, "second"),
		Box:    maybe[game.Box](t, "box", game.Box("").Enum()),
		BoxFor: number("boxFor", 3),
	}
	for i := range number("awards", 3) {
		r.Awards = append(r.Awards, game.Award{
			ID: fmt.Sprint(
				i,
			),
			Name:   "something",
			By:     maybe[game.Whose](t, "by", game.Whose("").Enum()),
			Points: rapid.IntRange(-2, 3).Draw(t, "points"),
			Ends: maybe[game.Ends](
				t,
				"ends",
				game.Ends("").Enum(),
			),
			NotOnSecond: rapid.Bool().Draw(t, "notOnSecond"),
			NoBonus:     rapid.Bool().Draw(t, "noBonus"),
		})
	}
	for range number("restrictions", 2) {
		r.Restrictions = append(
			r.Restrictions,
			game.Restriction{
				Kind: oneOf[game.RestrictionKind](t, "restriction", game.RestrictionKind("").Enum()...),
				Who:  maybe[game.Whose](t, "who", game.Whose("").Enum()),
				Text: "so",
			},
		)
	}
	if number("mini", 4) == 0 {
		r.Rally, r.Mini = 0, &game.Mini{Balls: []string{"a", "b", "c"}, Won: 1, Swept: number("swept", 3)}
	}
	r.End = game.End{
		Near:    number("to", 9),
		WinBy:   number("winBy", 2),
		Rallies: number("rallies", 1) * 20,
		Rounds:  number("rounds", 4),
	}
	r.End.Far = r.End.Near
	if rapid.Bool().Draw(t, "uneven") {
		r.End.Far = number("farTo", 9)
	}
	for i := range number("measures", 2) {
		m := game.Measure{
			ID:     fmt.Sprintf("m%d", i),
			Name:   "a stroke",
			Stroke: sports.Drop,
			By:     maybe[game.Whose](t, "played by", game.Whose("").Enum()),
			Shot:   number("shot", 3),
		}
		if len(r.Awards) > 0 && rapid.Bool().Draw(t, "with an award") {
			m.Award = r.Awards[0].ID
		}
		r.Measures = append(r.Measures, m)
	}
	r.After = game.After{
		Restart: maybe[game.Restart](t, "restart", game.Restart("").Enum()),
		Every:   number("afterEvery", 3),
		Net:     maybe[game.Side](t, "net", game.Side("").Enum()),
	}
	r.Rotation = game.Rotation{Every: number("rotation", 4), How: maybe[game.Turning](t, "how", game.Turning("").Enum())}
	return r
}

// mended are rules in which most of what can never go together has been taken out, so that many pass their check.
func mended(r game.Rules) game.Rules {
	one := func(n int) int { return max(1, n) }
	if r.Rotation.Every == 0 {
		r.Rotation, r.End.Rounds = game.Rotation{}, 0
	} else {
		r.Score = game.EachTheirOwn
	}
	if r.Score != "" {
		r.Mini, r.Rally = nil, one(r.Rally)
		r.End.Far, r.End.WinBy = r.End.Near, 0
		if r.On(game.Far) == 0 {
			r.Spots = spots(1, 1)
		}
	}
	if r.End.Near != r.End.Far {
		r.End.WinBy = 0
	}
	if r.End.Near == 0 && r.End.Far == 0 && r.End.Rounds == 0 {
		r.End.Rallies = one(r.End.Rallies)
	}
	if r.Feed.Kind != "" {
		r.Feed.Second = false
	}
	if r.Feed.Box == "" {
		r.Feed.BoxFor = 0
	}
	if r.On(game.Far) == 0 {
		r.Feed.Changes, r.Feed.First = "", ""
	}
	r.Feed.Every = one(r.Feed.Every)
	if r.After.Restart == "" {
		r.After.Every = 0
	}
	for i := range r.Awards {
		a := &r.Awards[i]
		if a.Ends != game.LosesIt || r.Mini != nil {
			a.Points = max(0, a.Points)
		}
		if r.Mini != nil && a.Ends == game.WinsRally {
			a.Points = 0
		}
		a.NoBonus, a.NotOnSecond = a.NoBonus && a.Ends != "", a.NotOnSecond && r.Feed.Second
		if a.By == game.TheHolding && r.After.Net == "" {
			a.By = ""
		}
	}
	for i := range r.Measures {
		if r.After.Net == "" && r.Measures[i].By == game.TheHolding {
			r.Measures[i].By = ""
		}
	}
	for i := range r.Restrictions {
		if r.After.Net == "" && r.Restrictions[i].Who == game.TheHolding {
			r.Restrictions[i].Who = ""
		}
	}
	if r.Mini != nil {
		r.Mini.Swept = max(r.Mini.Swept, r.Mini.Won)
	}
	return r
}

// goodRules are rules that pass their check.
func goodRules(t *rapid.T) game.Rules {
	return rapid.Custom(func(t *rapid.T) game.Rules { return mended(anyRules(t)) }).
		Filter(func(r game.Rules) bool { return document(r).Check() == nil }).
		Draw(t, "rules")
}

func document(r game.Rules) game.Document {
	return game.Document{
		FormatVersion: game.FormatVersion,
		Name:          "Never seen",
		Sport:         court.Tennis,
		Court:         "tennis",
		Rules:         r,
	}
}

func playersFor(r game.Rules) []string {
	names := []string{}
	for i := range r.Players() {
		names = append(names, fmt.Sprintf("p%d", i))
	}
	return names
}

// anyEvent is something that may happen next.
func anyEvent(t *rapid.T, r game.Rules, s game.State, n int) game.Event {
	e := game.Event{
		ID: fmt.Sprintf(
			"%05d",
			n,
		),
		At:    time.Date(2026, 3, 10, 16, 0, n, 0, time.UTC),
		Rally: max(1, s.Rally+rapid.SampledFrom([]int{0, 0, 0, 0, 0, 0, -1, 1}).Draw(t, "rally")),
		Kind: oneOf[game.EventKind](
			t,
			"kind",
			game.Won,
			game.Won,
			game.Won,
			game.Won,
			game.Awarded,
			game.Awarded,
			game.Broke,
			game.Counted,
			game.Fault,
			game.Again,
			game.Chose,
			game.Undo,
			game.Redo,
		),
		Side: oneOf[game.Side](t, "side", game.Near, game.Far),
	}
	if len(r.Awards) > 0 {
		e.Award = rapid.SampledFrom(r.Awards).Draw(t, "award").ID
	}
	if len(r.Measures) > 0 {
		e.Measure, e.Right = rapid.SampledFrom(r.Measures).Draw(t, "measure").ID, rapid.Bool().Draw(t, "right")
	}
	e.Restriction = rapid.IntRange(0, 2).Draw(t, "restriction")
	if rapid.Bool().Draw(t, "alone") {
		e.Player = rapid.SampledFrom([]string{"p0", "p1", "p4", "a stranger"}).Draw(t, "player")
	}
	return e
}

// play is a log of any events of a game, with the state after each.
func play(t *rapid.T, r game.Rules, players []string) ([]game.Event, []game.State) {
	s, err := r.Start(players)
	require.NoError(t, err)
	var events []game.Event
	states := []game.State{s}
	for n := range rapid.IntRange(0, 60).Draw(t, "events") {
		events = append(events, anyEvent(t, r, s, n))
		s, _, err = r.Replay(players, events)
		require.NoError(t, err)
		states = append(states, s)
	}
	return events, states
}

// shown is what is told of a state.
func shown(t require.TestingT, s game.State) string {
	text, err := json.Marshal(s)
	require.NoError(t, err)
	return string(text)
}

func TestAnyRulePlays(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		r := goodRules(t)
		players := playersFor(r)
		events, states := play(t, r, players)
		last := states[len(states)-1]

		for i, s := range states {
			if !r.BelowZero {
				require.GreaterOrEqual(t, min(s.Points[0], s.Points[1]), 0)
				for _, own := range s.Personal {
					require.GreaterOrEqual(t, own, 0)
				}
			}
			for _, c := range s.Counts {
				require.Positive(t, c.Made+c.Missed)
				require.Contains(t, players, c.Player)
			}
			require.Len(t, s.Spots, r.Players())
			everybody := slices.Sorted(slices.Values(slices.Concat(s.Spots, s.Waiting)))
			require.Equal(t, players, everybody, "nobody is lost")
			if i > 0 && states[i-1].Over && events[i-1].Kind != game.Undo && events[i-1].Kind != game.Redo {
				require.Equal(t, shown(t, states[i-1]), shown(t, s), "a finished game stays finished")
			}
		}

		// From several devices: in any order, some of them twice.
		mixed := slices.Clone(events)
		rand.New(rand.NewPCG(7, 7)).
			Shuffle(len(mixed), func(i, j int) { mixed[i], mixed[j] = mixed[j], mixed[i] })
			//nolint:gosec // a test
		mixed = append(mixed, mixed[:len(mixed)/2]...)
		again, _, err := r.Replay(players, mixed)
		require.NoError(t, err)
		require.Equal(t, shown(t, last), shown(t, again))

		// Undo and then redo is the identity, and so are as many undos as there were events, and as many redos.
		both := slices.Clone(events)
		steps := rapid.IntRange(1, 8).Draw(t, "steps")
		for k := range 2 * steps {
			kind := game.Undo
			if k >= steps {
				kind = game.Redo
			}
			both = append(
				both,
				game.Event{ID: fmt.Sprintf("z%02d", k), At: time.Date(2026, 3, 10, 17, 0, k, 0, time.UTC), Kind: kind, Rally: 1},
			)
		}
		again, left, err := r.Replay(players, both)
		require.NoError(t, err)
		if len(left) == 0 {
			require.Equal(t, shown(t, last), shown(t, again))
		}
	})
}

// Players who change their names change nothing else.
func TestNamesDoNotMatter(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		r := goodRules(t)
		players := playersFor(r)
		events, states := play(t, r, players)
		other := slices.Clone(players)
		slices.Reverse(other)
		for i := range events {
			if k := slices.Index(players, events[i].Player); k >= 0 {
				events[i].Player = other[k]
			}
		}
		again, _, err := r.Replay(other, events)
		require.NoError(t, err)
		last := states[len(states)-1]
		require.Equal(t, last.Points, again.Points)
		require.Equal(t, last.Personal, again.Personal)
		for i, player := range last.Spots {
			require.Equal(t, other[slices.Index(players, player)], again.Spots[i])
		}
	})
}

// mirrored are the rules with the sides swapped.
func mirrored(r game.Rules) game.Rules {
	whose := func(w *game.Whose) {
		switch *w {
		case game.TheNear:
			*w = game.TheFar
		case game.TheFar:
			*w = game.TheNear
		}
	}
	swap := func(s *game.Side) {
		if *s != "" {
			*s = s.Other()
		}
	}
	r = document(r).Clone().Rules
	for i := range r.Spots {
		swap(&r.Spots[i].Side)
	}
	for i := range r.Awards {
		whose(&r.Awards[i].By)
	}
	for i := range r.Measures {
		whose(&r.Measures[i].By)
	}
	for i := range r.Restrictions {
		whose(&r.Restrictions[i].Who)
	}
	r.End.Near, r.End.Far = r.End.Far, r.End.Near
	if r.Feed.First == "" {
		r.Feed.First = game.Near
	}
	swap(&r.Feed.First)
	swap(&r.After.Net)
	return r
}

// What happens to the one side happens to the other one where the sides are swapped, on the board and in the chances.
func TestSwappedSidesSwapTheResult(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		r := goodRules(t)
		if r.Rotation.How == game.WinnersStay {
			t.Skip("of equals the near side stays")
		}
		players := playersFor(r)
		events, states := play(t, r, players)
		other := mirrored(r)
		for i := range events {
			events[i].Side = events[i].Side.Other()
		}
		again, _, err := other.Replay(players, events)
		require.NoError(t, err)
		last := states[len(states)-1]
		require.Equal(t, [2]int{last.Points[1], last.Points[0]}, again.Points)
		require.Equal(t, last.Over, again.Over)
		require.Equal(t, last.Winner == game.Near, again.Winner == game.Far)
		require.Equal(t, last.Personal, again.Personal)

		chances := game.Chances{NearFeeds: 0.6, FarFeeds: 0.45}
		here, err := r.Forecast(t.Context(), chances, 0)
		require.NoError(t, err)
		there, err := other.Forecast(
			t.Context(),
			game.Chances{NearFeeds: 1 - chances.FarFeeds, FarFeeds: 1 - chances.NearFeeds},
			0,
		)
		require.NoError(t, err)
		if r.Score == "" {
			require.InDelta(t, here.Near, there.Far, 1e-9)
			require.InDelta(t, here.Rallies, there.Rallies, 1e-6)
		}
	})
}

// Every rule that passes its check ends with chance 1, and says how long 999 of 1000 games are at most.
func TestEveryGoodRuleEnds(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		r := goodRules(t)
		f, err := r.Forecast(t.Context(), game.Even(), 0)
		require.NoError(t, err)
		require.InDelta(t, 1, f.Near+f.Far+f.Nobody, 1e-6)
		n, ok := f.Within(0.999)
		require.True(t, ok)
		require.Positive(t, n)
		require.LessOrEqual(t, f.Rallies, float64(n)+1)
	})
}

// What is worked out is what is played: games of the very engine, by the same chances, come out as forecast.
func TestForecastsAreWhatIsPlayed(t *testing.T) {
	const games = 250
	long.Check(t, func(t *rapid.T) {
		r := goodRules(t)
		r.Awards = nil // rallies alone
		if r.Score != "" || document(r).Check() != nil {
			t.Skip("another kind of game")
		}
		won := rapid.Float64Range(0.3, 0.7).Draw(t, "won")
		f, err := r.Forecast(t.Context(), game.At(won), 0)
		require.NoError(t, err)
		draw := rand.New(rand.NewPCG(1, 2)) //nolint:gosec // a test
		near, rallies := 0.0, 0.0
		for range games {
			s, err := r.Start(playersFor(r))
			require.NoError(t, err)
			for !s.Over {
				e := game.Event{Kind: game.Won, Side: game.Far, Rally: s.Rally}
				if draw.Float64() < won {
					e.Side = game.Near
				}
				s, err = r.Play(s, e)
				require.NoError(t, err)
				rallies++
			}
			if s.Winner == game.Near {
				near++
			}
		}
		n := float64(games)
		require.InDelta(t, f.Near, near/n, 5*0.5/math.Sqrt(n))
		require.InDelta(t, f.Rallies, rallies/n, 0.05*f.Rallies+1)
	})
}

func TestWhatMakesNoSenseIsToldAndChangesNothing(t *testing.T) {
	rules := duel(3, 3)
	rules.Feed.Second = true
	rules.Restrictions = []game.Restriction{{Kind: game.MustComeIn, Who: game.TheFeeding}}
	rules.Awards = []game.Award{
		{ID: "two", Name: "serve and next shot made", By: game.TheFeeding, Points: 1, NotOnSecond: true, Shot: 3},
		{ID: "ace", Name: "serve not returned", By: game.TheFeeding, Points: 1, Ends: game.WinsRally, NoBonus: true},
	}
	start, err := rules.Start([]string{"ann", "bea"})
	require.NoError(t, err)
	after := func(events ...game.Event) game.State {
		s := start
		for _, e := range events {
			e.Rally = s.Rally
			s, err = rules.Play(s, e)
			require.NoError(t, err)
		}
		return s
	}
	near, far := game.Event{Kind: game.Won, Side: game.Near}, game.Event{Kind: game.Won, Side: game.Far}
	two := game.Event{Kind: game.Awarded, Award: "two", Side: game.Near}
	for name, example := range map[string]struct {
		state game.State
		event game.Event
		want  string
	}{
		"two winners of one rally": {after(near), game.Event{Kind: game.Won, Side: game.Far, Rally: 1},
			"rally 1 has a winner already"},
		"a rally that has not begun": {start, game.Event{Kind: game.Won, Side: game.Far, Rally: 3},
			"rally 1 is not over yet"},
		"a player who is not in the game": {start, game.Event{Kind: game.Won, Side: game.Near, Player: "carl",
			Rally: 1}, "not in the game"},
		"a player of the other side": {start, game.Event{Kind: game.Won, Side: game.Near, Player: "bea",
			Rally: 1}, "not on that side"},
		"nobody’s rally": {start, game.Event{Kind: game.Won, Rally: 1}, "say which side"},
		"after the end": {after(near, near, near),
			game.Event{Kind: game.Won, Side: game.Near, Rally: 4}, "the game is over"},
		"an award that is not there": {start, game.Event{Kind: game.Awarded, Award: "three", Side: game.Near,
			Rally: 1}, "nothing of that name"},
		"an award of the other side": {start, game.Event{Kind: game.Awarded, Award: "two", Side: game.Far,
			Rally: 1}, "only for the side that feeds"},
		"a bonus after a second serve": {after(game.Event{Kind: game.Fault}),
			game.Event{Kind: game.Awarded, Award: "two", Side: game.Near, Rally: 1}, "after a second serve"},
		"a bonus of one stroke twice": {after(two), game.Event{Kind: game.Awarded, Award: "two", Side: game.Near,
			Rally: 1}, "counts once in a rally"},
		"a bonus on a serve that is not returned": {after(two), game.Event{Kind: game.Awarded, Award: "ace", Side: game.Near,
			Rally: 1}, "nothing else counts"},
		"a restriction that is not there": {start, game.Event{Kind: game.Broke, Side: game.Near, Restriction: 1,
			Rally: 1}, "no such restriction"},
		"a restriction of the other side": {start, game.Event{Kind: game.Broke, Side: game.Far, Rally: 1},
			"does not hold"},
		"taking back by itself": {after(far), game.Event{Kind: game.Undo, Rally: 2},
			"needs all the events"},
	} {
		t.Run(name, func(t *testing.T) {
			next, err := rules.Play(example.state, example.event)
			require.ErrorContains(t, err, example.want)
			require.Equal(t, shown(t, example.state), shown(t, next))
		})
	}
	for name, players := range map[string][]string{"too few": {"ann"}, "too many": {"ann", "bea", "cleo"},
		"twice": {"ann", "ann"}, "without a name": {"ann", ""}} {
		_, err := rules.Start(players)
		require.Error(t, err, name)
	}
	rules.Coach = true
	s, err := rules.Start([]string{"ann"})
	require.NoError(t, err)
	require.Equal(t, []string{"ann", game.Coach}, s.Spots, "the coach fills the place")
}

func TestWhatIsWrongWithRules(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	for name, example := range map[string]struct {
		change func(r *game.Rules)
		path   string
	}{
		"it never ends":                  {func(r *game.Rules) { r.End = game.End{} }, "end"},
		"nothing gives points":           {func(r *game.Rules) { r.Rally = 0 }, "end.near"},
		"rounds without changing places": {func(r *game.Rules) { r.End.Rounds = 3 }, "end.rounds"},
		"two ahead of different points":  {func(r *game.Rules) { r.End.Far, r.End.WinBy = 5, 2 }, "end.winBy"},
		"a last point before the end":    {func(r *game.Rules) { r.End.Cap = 5 }, "end.cap"},
		"an even number of rallies": {func(r *game.Rules) {
			r.Rally, r.Mini = 0,
				&game.Mini{Balls: []string{"a", "b"}, Won: 1, Swept: 1}
		}, "mini.balls"},
		"a sweep that is worth less": {func(r *game.Rules) {
			r.Rally, r.Mini = 0,
				&game.Mini{Balls: []string{"a", "b", "c"}, Won: 2, Swept: 1}
		}, "mini.swept"},
		"sides that change": {func(r *game.Rules) { r.Rotation.Every = 5 }, "score"},
		"a second feed": {func(r *game.Rules) { r.Feed.Kind, r.Feed.Second = game.PlayerFeeds, true },
			"feed.second"},
		"nobody who holds the net": {func(r *game.Rules) {
			r.Awards = []game.Award{{ID: "a", Name: "a",
				By: game.TheHolding}}
		}, "awards.0.by"},
		"a way of playing without words": {func(r *game.Rules) { r.Restrictions = []game.Restriction{{Kind: game.PlayedSo}} },
			"restrictions.0.text"},
		"the same identifier twice": {func(r *game.Rules) {
			r.Awards = []game.Award{{ID: "a", Name: "a"},
				{ID: "a", Name: "b"}}
		}, "awards.1.id"},
		"no places": {func(r *game.Rules) { r.Spots = nil }, "spots"},
	} {
		t.Run(name, func(t *testing.T) {
			r := duel(11, 11)
			example.change(&r)
			require.ErrorContains(t, r.Check(c), example.path+":")
		})
	}
	require.NoError(t, duel(11, 11).Check(c))
}

// FuzzReplay plays any rules and any events that can be read.
func FuzzReplay(f *testing.F) {
	rules, err := json.Marshal(document(duel(3, 3)))
	require.NoError(f, err)
	events, err := json.Marshal(
		[]game.Event{{ID: "a", Kind: game.Won, Side: game.Near, Rally: 1}, {ID: "b", Kind: game.Undo, Rally: 1}},
	)
	require.NoError(f, err)
	f.Add(rules, events)
	f.Fuzz(func(t *testing.T, rules, events []byte) {
		var d game.Document
		var log []game.Event
		if json.Unmarshal(rules, &d) != nil || json.Unmarshal(events, &log) != nil || len(d.Rules.Spots) > 12 ||
			d.Check() != nil {
			return
		}
		s, left, err := d.Rules.Replay(playersFor(d.Rules), log)
		require.NoError(t, err)
		require.LessOrEqual(t, len(left), len(log))
		again, _, err := d.Rules.Replay(playersFor(d.Rules), log)
		require.NoError(t, err)
		require.Equal(t, shown(t, s), shown(t, again))
	})
}

// A thousand events of a game of six with changing places.
func BenchmarkReplay(b *testing.B) {
	rules := game.Rules{
		Spots:    spots(3, 3),
		Rally:    1,
		Score:    game.EachTheirOwn,
		Rotation: game.Rotation{Every: 5},
		End:      game.End{Rallies: 200, Minutes: 90},
	}
	rules.End.Rallies = 0
	events := make([]game.Event, 1000)
	for i := range events {
		events[i] = game.Event{
			ID:    fmt.Sprintf("%04d", i),
			At:    time.Unix(int64(i), 0),
			Kind:  game.Won,
			Side:  game.Near,
			Rally: i + 1,
		}
	}
	for b.Loop() {
		if s, _, err := rules.Replay(playersFor(rules), events); err != nil || s.Rally != 1001 {
			b.Fatal(err, s.Rally)
		}
	}
}
