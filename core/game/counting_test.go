package game_test

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/game"
	"hodometer/core/sport/sports"
)

// thirds are rules in which the third stroke is counted, made with its award, and every return.
func thirds(each int) game.Rules {
	r := game.Rules{
		Spots: spots(each, each),
		Rally: 1,
		End:   game.End{Near: 11, Far: 11},
		Feed:  game.Feed{Changes: game.AfterRallies, Every: 2},
	}
	r.Awards = []game.Award{{ID: "soft", Name: "third stroke soft and in", By: game.TheFeeding, Points: 1}}
	r.Measures = []game.Measure{
		{ID: "third", Name: "third stroke", Stroke: sports.Drop, By: game.TheFeeding, Shot: 3, Award: "soft"},
		{ID: "lob", Name: "lob", Stroke: sports.Lob},
	}
	return r
}

// played gives events their identifiers, times and rallies: a rally is over with what is won.
func played(events ...game.Event) []game.Event {
	rally := 1
	for i := range events {
		e := &events[i]
		e.ID, e.At = fmt.Sprintf("%03d", i), time.Unix(int64(i), 0)
		if e.Rally == 0 {
			e.Rally = rally
		}
		if e.Kind == game.Won {
			rally++
		}
	}
	return events
}

// Worked out by hand: ann serves two rallies, then bea.
func TestStrokesAreCountedBesideTheScore(t *testing.T) {
	t.Parallel()
	made := func(measure string, side game.Side, right bool) game.Event {
		return game.Event{Kind: game.Counted, Measure: measure, Side: side, Right: right}
	}
	won := func(side game.Side) game.Event { return game.Event{Kind: game.Won, Side: side} }
	events := played(
		game.Event{Kind: game.Awarded, Award: "soft", Side: game.Near},
		won(game.Near), // ann makes it, and with one tap; 2:0
		made("third", game.Near, false),
		made("lob", game.Far, true),
		won(game.Far), // ann misses it, bea lobs; 2:1
		made("third", game.Far, true),
		game.Event{Kind: game.Again}, // played again: it was not
		made("third", game.Far, false),
		made("lob", game.Near, false),
		made("lob", game.Near, true),
		won(game.Near), // 3:1
		// 3:2
		game.Event{
			Kind:  game.Awarded,
			Award: "soft",
			Side:  game.Far,
		},
		game.Event{Kind: game.Undo},
		made("third", game.Far, true),
		won(game.Far),
	)
	r := thirds(1)
	s, left, err := r.Replay([]string{"ann", "bea"}, events)
	require.NoError(t, err)
	require.Empty(t, left)
	require.Equal(t, [2]int{3, 2}, s.Points, "the count gives no points")
	require.Equal(t, []game.Count{
		{Measure: "third", Stroke: sports.Drop, Player: "ann", Made: 1, Missed: 1},
		{Measure: "third", Stroke: sports.Drop, Player: "bea", Made: 1, Missed: 1},
		{Measure: "lob", Stroke: sports.Lob, Player: "ann", Made: 1, Missed: 1},
		{Measure: "lob", Stroke: sports.Lob, Player: "bea", Made: 1},
	}, s.Counts)
	match := game.Match{Players: []string{"ann", "bea"}, Rules: &r, Events: events}
	require.Equal(t, s.Counts, match.Counts())
	require.Contains(
		t,
		r.Sentences(),
		"“third stroke” by the side that feeds is counted beside the score: drop, made or missed, stroke 3 of the rally.",
	)
}

func TestWhatCannotBeCounted(t *testing.T) {
	t.Parallel()
	start := func(r game.Rules, players ...string) game.State {
		s, err := r.Start(players)
		require.NoError(t, err)
		return s
	}
	one, two := thirds(1), thirds(2)
	third := game.Event{Kind: game.Counted, Measure: "third", Side: game.Near, Rally: 1}
	once, err := one.Play(start(one, "ann", "bea"), third)
	require.NoError(t, err)
	alone := thirds(1)
	alone.Spots, alone.Feed = alone.Spots[:1], game.Feed{}
	for name, example := range map[string]struct {
		rules game.Rules
		state game.State
		event game.Event
		want  string
	}{
		"twice in a rally": {one, once, third, "counted in this rally already"},
		"by who does not feed": {one, start(one, "ann", "bea"), game.Event{Kind: game.Counted, Measure: "third",
			Side: game.Far, Rally: 1}, "only for the side that feeds"},
		"what is not there": {one, start(one, "ann", "bea"), game.Event{Kind: game.Counted, Measure: "fourth",
			Side: game.Near, Rally: 1}, "counts nothing"},
		"of two nobody is named": {two, start(two, "ann", "bea", "cleo", "dan"), third, "say who played it"},
		"by the drill": {alone, start(alone, "ann"), game.Event{Kind: game.Counted, Measure: "lob", Side: game.Far,
			Rally: 1}, "no student stands"},
	} {
		t.Run(name, func(t *testing.T) {
			next, err := example.rules.Play(example.state, example.event)
			require.ErrorContains(t, err, example.want)
			require.Equal(t, shown(t, example.state), shown(t, next))
		})
	}
	// What is worth points counts all the same, where it is not said who did it.
	s, err := two.Play(
		start(two, "ann", "bea", "cleo", "dan"),
		game.Event{Kind: game.Awarded, Award: "soft", Side: game.Near, Rally: 1},
	)
	require.NoError(t, err)
	require.Equal(t, []string{"third", "lob"}, two.Can(s, game.Near).Measures, "it can be said who it was")
	require.Equal(t, []string{"lob"}, two.Can(s, game.Far).Measures)
	require.Equal(t, []string{"lob"}, one.Can(once, game.Near).Measures, "once in a rally")

	c, err := sports.Court("pickleball")
	require.NoError(t, err)
	wrong := one
	wrong.Measures = []game.Measure{
		{ID: "a", Name: " ", Stroke: sports.Boast, Award: "none"},
		{ID: "a", Name: "b", Stroke: sports.Drop, By: game.TheHolding},
	}
	for _, path := range []string{"measures.0.name", "measures.0.stroke", "measures.0.award", "measures.1.id",
		"measures.1.by"} {
		require.ErrorContains(t, wrong.Check(c), path)
	}
}
