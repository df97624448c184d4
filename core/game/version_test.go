package game_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

// Every ready game can be played in each of its usual versions, and each is another game.
func TestEveryReadyGameHasVersions(t *testing.T) {
	t.Parallel()
	for _, stored := range library.Games() {
		d := stored.Document
		usual := d.UsualVersions()
		require.NotEmpty(t, usual, d.Name)
		d.Versions = usual[:min(8, len(usual))]
		require.NoError(t, d.Check(), d.Name)
		for _, v := range d.Versions {
			played, err := d.Version(v.Name)
			require.NoError(t, err)
			require.NoError(t, played.Check(), "%s: %s", d.Name, v.Name)
			if v.Court != "" {
				require.Equal(t, v.Court, played.Court)
			}
		}
		require.Len(t, d.VersionNames(), len(d.Versions)+1)
	}
}

func TestAVersionOfAGame(t *testing.T) {
	t.Parallel()
	d := document(duel(11, 11))
	d.Rules.End.WinBy, d.Rules.Feed.BoxFor = 2, 0
	d.Versions = []game.Version{
		{Name: "orange, ad side", Court: "tennis-orange", Box: game.LeftBox, Near: 7},
		{Name: "half", Half: true},
	}
	require.NoError(t, d.Check())
	require.Equal(t, []string{coach.AsWritten, "orange, ad side", "half"}, d.VersionNames())

	small, err := d.Version("orange, ad side")
	require.NoError(t, err)
	require.Equal(t, game.LeftBox, small.Rules.Feed.Box)
	require.Equal(t, game.End{Near: 7, Far: 11}, small.Rules.End, "two ahead goes with the same points")
	c, err := sports.Court(small.Court)
	require.NoError(t, err)
	at, err := c.Resolve(small.Rules.Spots[0].Mark)
	require.NoError(t, err)
	full, err := sports.Court(d.Court)
	require.NoError(t, err)
	was, err := full.Resolve(d.Rules.Spots[0].Mark)
	require.NoError(t, err)
	require.InDelta(t, was.Y*c.Length/full.Length, at.Y, 0.03, "start places come to the same share of the court")

	half, err := d.Version("half")
	require.NoError(t, err)
	require.Equal(t, []game.Restriction{{Kind: game.HalfCourt}}, half.Rules.Restrictions)
	require.Empty(t, d.Rules.Restrictions, "the game that it is of is as it was")
	same, err := d.Version(coach.AsWritten)
	require.NoError(t, err)
	require.Equal(t, d, same)
	gone, err := d.Version("green")
	require.ErrorContains(t, err, "no version “green” any more")
	require.Equal(t, d, gone)

	for name, example := range map[string]struct {
		version game.Version
		want    string
	}{
		"without a name":           {game.Version{Half: true}, "versions.0.name"},
		"called as written":        {game.Version{Name: coach.AsWritten, Half: true}, "versions.0.name"},
		"on another sport’s court": {game.Version{Name: "a", Court: "squash"}, "versions.0.court"},
		"on no court":              {game.Version{Name: "a", Court: "moon"}, "versions.0.court"},
		"that changes nothing":     {game.Version{Name: "a", Near: 11}, "changes nothing"},
	} {
		t.Run(name, func(t *testing.T) {
			wrong := d
			wrong.Versions = []game.Version{example.version}
			require.ErrorContains(t, wrong.Check(), example.want)
		})
	}
	twice := d
	twice.Versions = []game.Version{{Name: "half", Half: true}, {Name: "half", Half: true}}
	require.ErrorContains(t, twice.Check(), "versions.1.name")
}
