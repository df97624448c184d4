package api_test

import (
	"fmt"
	"net/http"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/drill"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

var standAsked = map[string]any{
	"court": "badminton", "level": "club player", "opponent": "club player", "hand": "right", "theirHand": "right",
}

func (c *club) situations(sport string) desk.Situations {
	return read[desk.Situations](c.t, c.ask("GET", "/api/situations?sport="+sport, nil))
}

func TestWhereToStand(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	list := c.situations("badminton")
	require.GreaterOrEqual(t, len(list.Situations), 12)
	require.Contains(t, list.Replies, "straight drop")
	asked := with(t, standAsked, "situation", list.Situations[0].Situation)
	r := read[desk.StandReckoned](t, c.ask("POST", "/api/reckoner/stand", asked))
	require.Len(t, r.Said, len(r.Answer.Stands))
	require.Contains(t, r.Said[1], "to the side of the ball")
	require.Contains(t, r.Cost, "Back to the middle costs")
	require.Equal(t, anticipate.TheMiddle, r.Answer.Stands[0].School)
	require.NotEmpty(t, r.Worked[1].Inputs)

	// What was seen draws the player to it; a place on the court stands instead of the situation's own.
	seen := read[desk.StandReckoned](t, c.ask("POST", "/api/reckoner/stand", with(t, asked, "seen", []int{0, 60, 0, 0})))
	require.Greater(t, seen.Situation.Likely[1].Chance, 0.7)
	require.Greater(t, seen.Answer.Stands[1].At.X, r.Answer.Stands[1].At.X, "the cross drop lands on the right")
	moved := read[desk.StandReckoned](
		t,
		c.ask("POST", "/api/reckoner/stand", with(t, asked, "at", map[string]any{"x": 2, "y": 6})),
	)
	require.InDelta(t, 2, moved.Answer.From.X, 1e-9)
	require.InDelta(t, 6, moved.Answer.From.Y, 1e-9)

	for _, wrong := range []struct {
		at    string
		value any
		field string
		says  string
	}{
		{"at", map[string]any{"x": 0, "y": -3}, "deep", "on your own half"},
		{"at", map[string]any{"x": 0, "y": 0.05}, "deep", "in the net"},
		{"court", "tennis", "court", "situation of badminton"},
		{"court", "moon", "court", "moon"},
		{"situation", with(t, list.Situations[0].Situation, "likely",
			[]any{map[string]any{"reply": "straight drop", "chance": 0.4}}), "likely", "add up to 40 of 100"},
	} {
		p := readProblem(
			t,
			c.ask("POST", "/api/reckoner/stand", with(t, asked, wrong.at, wrong.value)),
			http.StatusUnprocessableEntity,
		)
		require.Equal(t, wrong.field, p.Fields[0].Path, wrong.says)
		require.Contains(t, p.Fields[0].Message, wrong.says)
	}
	p := readProblem(t, c.ask("GET", "/api/situations?sport=golf", nil), http.StatusUnprocessableEntity)
	require.Equal(t, "sport", p.Fields[0].Path)
}

// The coach's own chances are kept with the settings and come with the situation.
func TestOwnChances(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	settings := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	own := settings.Settings
	own.Likely = []coach.Likely{
		{
			Situation: "badminton-1",
			Replies:   []coach.Reply{{Reply: "straight drop", Chance: 0.9, Seen: 3}, {Reply: "cross drop", Chance: 0.1}},
		},
	}
	read[desk.Settings](t, c.ask("PUT", "/api/settings", own, "If-Match", fmt.Sprintf(`"%d"`, settings.Revision)))
	first := c.situations("badminton").Situations[0]
	require.True(t, first.Own)
	require.Equal(t, []int{3, 0}, first.Seen)
	require.Equal(
		t,
		[]sports.Likely{{Reply: "straight drop", Chance: 0.9}, {Reply: "cross drop", Chance: 0.1}},
		first.Situation.Likely,
	)
	require.Len(t, first.Usual, 4)
	own.Likely[0].Replies[0].Chance = 0.5
	require.ErrorContains(t, own.Check(), "likely.0: the chances add up to 60 of 100")
}

func TestAngles(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	asked := map[string]any{"court": "tennis", "pace": "rally pace", "over": 0.0, "inside": 0.0, "places": []any{
		map[string]any{"name": "the middle", "at": map[string]any{"x": 0, "y": 11.9}, "high": 0.9},
		map[string]any{"name": "the corner", "at": map[string]any{"x": 3.8, "y": 11.9}, "high": 0.9},
	}}
	r := read[desk.AnglesReckoned](t, c.ask("POST", "/api/reckoner/angles", asked))
	require.Len(t, r.Sectors, 2)
	require.Contains(t, r.Said[1], "the way across is")
	require.Contains(t, r.Change, "From the corner the steepest ball leaves at 28")
	p := readProblem(
		t,
		c.ask("POST", "/api/reckoner/angles", with(t, asked, "places.1.high", 9)),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "places.1.high", p.Fields[0].Path)
	p = readProblem(
		t,
		c.ask("POST", "/api/reckoner/angles", with(t, asked, "court", "squash")),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "court", p.Fields[0].Path)
}

func TestASituationBecomesADrill(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	situation := c.situations("tennis").Situations[0].Situation
	d := read[drill.Document](
		t,
		c.ask(
			"POST",
			"/api/situations/drill",
			map[string]any{"court": "tennis", "level": "club player", "situation": situation},
		),
	)
	require.NoError(t, d.Check())
	require.Len(t, d.Pattern.Tasks, len(situation.Likely))
}
