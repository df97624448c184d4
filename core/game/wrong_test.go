package game_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/game"
	"hodometer/core/sport/sports"
)

func TestWhatMakesNoSenseIsToldAndChangesNothing(t *testing.T) {
	t.Parallel()
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
	t.Parallel()
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
