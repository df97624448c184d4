package game_test

import (
	"encoding/json"
	"fmt"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
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
