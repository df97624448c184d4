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
	"hodometer/internal/long"
)

func TestAnyRulePlays(t *testing.T) {
	t.Parallel()
	long.Skip(t)
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
	t.Parallel()
	long.Skip(t)
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
	t.Parallel()
	long.Skip(t)
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
	t.Parallel()
	long.Skip(t)
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
	t.Parallel()
	long.Skip(t)
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
