package game_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/game"
)

func evening(players ...string) game.Match {
	return game.Match{
		FormatVersion: game.MatchVersion,
		Title:         "Evening",
		Sport:         "tennis",
		Date:          "2026-03-10",
		Players:       players,
	}
}

// By hand, four players on two courts: a beats b and d beats c, so that a and d are on the first court next, b and c on
// the second one. There d wins, and c: d stays, c comes up to him; a and b go or stay down.
func TestUpAndDownTheCourts(t *testing.T) {
	t.Parallel()
	m := evening("a", "b", "c", "d")
	m.Robin = &game.Robin{Minutes: 10, UpDown: true, Courts: 2}
	require.NoError(t, m.Check())
	pairs := func() (list []string) {
		fixtures, err := m.Fixtures()
		require.NoError(t, err)
		for _, f := range fixtures {
			list = append(list, strings.Join(f.Near, "")+strings.Join(f.Far, ""))
		}
		return list
	}
	require.Equal(t, []string{"ab", "cd"}, pairs())
	result := func(slot int, near, far string, a, b int) {
		m.Entered = append(
			m.Entered,
			game.Round{Near: []string{near}, Far: []string{far}, NearPoints: a, FarPoints: b, Slot: slot},
		)
	}
	result(1, "a", "b", 11, 7)
	require.Equal(t, []string{"ab", "cd"}, pairs(), "a round is whole before the next one")
	result(1, "c", "d", 3, 11)
	require.Equal(t, []string{"ab", "cd", "ad", "bc"}, pairs())
	result(2, "a", "d", 9, 11)
	result(2, "b", "c", 2, 11)
	require.Equal(t, []string{"ab", "cd", "ad", "bc", "dc", "ab"}, pairs())
	require.Len(t, m.Results(), 4)
	m.Players = m.Players[:3]
	_, err := m.Fixtures()
	require.ErrorContains(t, err, "even number")
}

// By hand, eight on two courts in pairs: ab beat cd and gh beat ef, so that the winners a, b, g and h are on the first
// court next, each with one of the others.
func TestPairsGoUpAndDown(t *testing.T) {
	t.Parallel()
	m := evening("a", "b", "c", "d", "e", "f", "g", "h")
	m.Robin = &game.Robin{Minutes: 10, UpDown: true, Courts: 2, Pairs: true}
	require.NoError(t, m.Check())
	m.Entered = []game.Round{
		{Near: []string{"a", "b"}, Far: []string{"c", "d"}, NearPoints: 6, FarPoints: 2, Slot: 1},
		{Near: []string{"e", "f"}, Far: []string{"g", "h"}, NearPoints: 4, FarPoints: 6, Slot: 1},
	}
	fixtures, err := m.Fixtures()
	require.NoError(t, err)
	require.Len(t, fixtures, 4)
	require.Equal(t, []string{"a", "g", "b", "h"}, slices.Concat(fixtures[2].Near, fixtures[2].Far))
	require.Equal(t, []string{"c", "e", "d", "f"}, slices.Concat(fixtures[3].Near, fixtures[3].Far))
	require.Len(t, m.Table(), 8, "partners change: everybody has a line")

	m.Robin.UpDown = false
	fixtures, err = m.Fixtures()
	require.NoError(t, err)
	require.Len(t, fixtures, 6, "four pairs")
	require.Len(t, m.Table(), 4)
	require.Equal(t, []string{"a", "b"}, m.Table()[0].Names)
	m.Players = m.Players[:7]
	require.Error(t, m.Check())
	m.Robin.UpDown, m.Players = true, m.Players[:6]
	require.Error(t, m.Check())
}

func TestWhatIsWrongWithAMatch(t *testing.T) {
	t.Parallel()
	rules := duel(3, 3)
	for name, change := range map[string]func(m *game.Match){
		"no day":          func(m *game.Match) { m.Date = "today" },
		"no title":        func(m *game.Match) { m.Title = " " },
		"too few players": func(m *game.Match) { m.Rules, m.Players = &rules, []string{"a"} },
		"counted and entered": func(m *game.Match) {
			m.Rules, m.Entered = &rules, []game.Round{{Near: []string{"a"}, Far: []string{"b"}, NearPoints: 1}}
		},
		"a result of a stranger": func(m *game.Match) {
			m.Entered = []game.Round{{Near: []string{"a"}, Far: []string{"z"}, NearPoints: 1}}
		},
		"a result without a point": func(m *game.Match) {
			m.Entered = []game.Round{{Near: []string{"a"},
				Far: []string{"b"}}}
		},
		"a round robin that is counted": func(m *game.Match) {
			m.Rules, m.Robin = &rules,
				&game.Robin{Courts: 1, Minutes: 10}
		},
		"a round robin without a court": func(m *game.Match) { m.Robin = &game.Robin{Minutes: 10} },
		"rules without a single place":  func(m *game.Match) { m.Rules = &game.Rules{} },
		"a round robin against oneself": func(m *game.Match) {
			m.Robin, m.Players = &game.Robin{Courts: 1, Minutes: 10},
				[]string{"a", "a"}
		},
		"a result with somebody twice": func(m *game.Match) {
			m.Entered = []game.Round{{Near: []string{"a"}, Far: []string{"a"}, NearPoints: 1}}
		},
		"a result of negative points": func(m *game.Match) {
			m.Entered = []game.Round{{Near: []string{"a"}, Far: []string{"b"}, NearPoints: -1}}
		},
		"a result that has only one side": func(m *game.Match) {
			m.Entered = []game.Round{{Near: []string{"a"},
				NearPoints: 1}}
		},
	} {
		t.Run(name, func(t *testing.T) {
			m := evening("a", "b")
			require.NoError(t, m.Check())
			change(&m)
			require.Error(t, m.Check())
		})
	}
	m := evening("a", "b")
	_, _, err := m.With([]game.Event{{ID: "1", Kind: game.Won, Side: game.Near, Rally: 1}})
	require.Error(t, err, "only results were entered")
	m.Rules = &rules
	_, last, err := m.Course(nil)
	require.NoError(t, err)
	require.Equal(t, "", last)
}
