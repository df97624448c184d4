// Package scoreboard works out what is shown of a game that is played, from all that it is played from: the same in the
// program and on a device without the network.
package scoreboard

import (
	"hodometer/core/count/ranking"
	"hodometer/core/drill/report"
	"hodometer/core/game"
	"hodometer/core/people/coach"
)

// Kit is all that a game is played from.
type Kit struct {
	ID       string            `json:"id" format:"uuid"`
	Revision int64             `json:"revision"`
	Archived bool              `json:"archived"`
	Document game.Match        `json:"document"`
	Names    map[string]string `json:"names" description:"Of the players, by their identifiers"`
	Settings coach.Settings    `json:"settings"`
}

// Played is a game that students play or have played.
type Played struct {
	ID       string            `json:"id" format:"uuid"`
	Revision int64             `json:"revision"`
	Archived bool              `json:"archived"`
	Document game.Match        `json:"document"`
	Names    map[string]string `json:"names" description:"Of the players, by their identifiers"`
	Rounds   []game.Round      `json:"rounds" description:"The results so far"`

	State *game.State `json:"state" description:"Where it stands; null where only results were entered"`
	Next  string      `json:"next" description:"What happens next, in words"`
	Last  string      `json:"last" description:"What was tapped last and stands, in words"`
	Rules []string    `json:"rules" description:"In words"`
	Near  *game.Can   `json:"near" description:"What can be tapped for the near side; null where nothing can"`
	Far   *game.Can   `json:"far"`

	OnCourt *report.OnCourt `json:"onCourt" description:"Null where the court is not known"`

	Fixtures []ranking.Fixture `json:"fixtures" description:"Of a round robin"`
	Table    []ranking.Line    `json:"table" description:"Of a round robin: its results so far"`
}

// Tag is the revision.
func (p Played) Tag() int64 { return p.Revision }

// Scored is a game after some events.
type Scored struct {
	Played
	LeftOut []game.LeftOut `json:"leftOut" description:"Events that make no sense where they stand; all others count"`
}

// Do plays more events, and returns those that are left out. It returns invalid.Fields where none can be played; the
// kit is as it was then.
func (k *Kit) Do(events []game.Event) ([]game.LeftOut, error) {
	more, left, err := k.Document.With(events)
	if err == nil {
		k.Document = more
	}
	return left, err
}

// View works a game out as far as it was played.
func (k Kit) View() Played {
	m := k.Document
	p := Played{
		ID:       k.ID,
		Revision: k.Revision,
		Archived: k.Archived,
		Document: m,
		Names:    map[string]string{},
		Rounds:   []game.Round{},
		Rules:    []string{},
		Fixtures: []ranking.Fixture{},
		Table:    []ranking.Line{},
	}
	for _, id := range m.Players {
		p.Names[id] = k.Names[id]
	}
	p.Names[game.Coach] = game.CoachName
	if m.Rules == nil {
		p.Rounds = append(p.Rounds, m.Entered...)
		if fixtures, err := m.Fixtures(); err == nil {
			p.Fixtures = fixtures
		}
		p.Table = m.Table()
		return p
	}
	p.Rules = m.Rules.Sentences()
	if state, last, err := m.Course(p.Names); err == nil {
		near, far := m.Rules.Can(state, game.Near), m.Rules.Can(state, game.Far)
		p.State, p.Rounds, p.Next, p.Last, p.Near, p.Far = &state, state.Played, m.Rules.Next(
			state,
			p.Names,
		), last, &near, &far
	}
	on, err := report.OfGame(game.Document{Court: m.Court, Rules: *m.Rules}, k.Settings)
	if err == nil {
		p.OnCourt = &on
	}
	return p
}
