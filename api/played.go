package api

import (
	"context"
	"errors"
	"slices"
	"time"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/game"
	"hodometer/core/ranking"
	"hodometer/core/report"
	"hodometer/store"
)

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

// PlayedPage are some of the games that were played.
type PlayedPage struct {
	Total  int      `json:"total"`
	Played []Played `json:"played"`
}

// playedOf says whose games are looked for, and which of them.
type playedOf struct {
	Student string `query:"student" description:"Empty: everybody's"`
	Skip    int    `query:"skip"`
}

// GameEvents are what happened in a game.
type GameEvents struct {
	Events []game.Event `json:"events" minItems:"1" maxItems:"200"`
}

// rankingOf says which games a ranking rests on, and who is to play.
type rankingOf struct {
	Sport court.Sport `query:"sport"`
	By    ranking.By  `query:"by" description:"Empty: the points"`
	Who   []string    `query:"who" description:"Who is there to play; nobody: everybody who is ranked"`
}

// Ranked is a ranking with what it proposes.
type Ranked struct {
	ranking.Ranking
	Names   map[string]string `json:"names"`
	Games   int               `json:"games" description:"That it rests on"`
	Singles []ranking.Match   `json:"singles" description:"Even matches of who is there"`
	Doubles []ranking.Match   `json:"doubles"`
	Waiting []string          `json:"waiting" description:"Who waits while the singles are played"`
	Teams   [][]string        `json:"teams" description:"Two teams that are as equal as can be"`
}

// What is shown and looked at.
const (
	playedAtOnce = 30
	rankedDays   = 365 // of which results count
)

func (s *server) playedRoutes() []Route {
	return []Route{
		route("GET", "/api/played", "listPlayed", "Games that were played, the newest first, some at a time", s.playedPage),
		route("GET", "/api/played/ranking", "rankPlayers", "Players in order from their games, with even matches and teams", s.ranked),
		route("GET", "/api/played/:id", "getPlayed", "One game that was or is played", func(ctx context.Context, p byID, _ None) (Played, error) {
			record, err := s.store.Played.Get(ctx, p.ID)
			return s.asPlayed(ctx, record, err)
		}),
		route("PUT", "/api/played/:id", "savePlayed", "Begin a game, or enter and change results", func(ctx context.Context, p keep, body game.Match) (Played, error) {
			record, err := save(ctx, s.store.Played, p, body)
			return s.asPlayed(ctx, record, err)
		}),
		route("PUT", "/api/played/:id/archived", "archivePlayed", "Take a game that was played out of the record, or bring it back", func(ctx context.Context, p byID, body Archiving) (Played, error) {
			record, err := s.store.Played.Archive(ctx, p.ID, body.Archived)
			return s.asPlayed(ctx, record, err)
		}),
		route("POST", "/api/played/:id/events", "addEvents", "What happened in a game; what is there already changes nothing", s.addEvents),
	}
}

func (s *server) playedPage(ctx context.Context, p playedOf, _ None) (PlayedPage, error) {
	records, total, err := s.store.PlayedOf(ctx, p.Student, max(0, p.Skip), playedAtOnce)
	page := PlayedPage{Total: total, Played: []Played{}}
	if err != nil {
		return page, err
	}
	var players []string
	for _, record := range records {
		players = append(players, record.Document.Players...)
	}
	names, err := s.names(ctx, players)
	if err != nil {
		return page, err
	}
	settings, _, err := s.store.Settings(ctx)
	for _, record := range records {
		page.Played = append(page.Played, played(record, names, settings))
	}
	return page, err
}

// names are those of some students, archived or not, and of the coach, by their identifiers.
func (s *server) names(ctx context.Context, ids []string) (map[string]string, error) {
	students, err := s.store.Students.Some(ctx, ids)
	names := map[string]string{game.Coach: "the coach"}
	for _, id := range ids {
		names[id] = "somebody who is gone"
		if k, ok := students[id]; ok {
			names[id] = k.Document.Name
		}
	}
	return names, err
}

// asPlayed works a stored game out, where there was no error.
func (s *server) asPlayed(ctx context.Context, k store.Record[game.Match], err error) (Played, error) {
	if err != nil {
		return Played{}, err
	}
	names, err := s.names(ctx, k.Document.Players)
	if err != nil {
		return Played{}, err
	}
	settings, _, err := s.store.Settings(ctx)
	return played(k, names, settings), err
}

// played works a game out as far as it was played.
func played(k store.Record[game.Match], names map[string]string, settings coach.Settings) Played {
	m := k.Document
	p := Played{ID: k.ID, Revision: k.Revision, Archived: k.Archived, Document: m, Names: map[string]string{}, Rounds: []game.Round{}, Rules: []string{}, Fixtures: []ranking.Fixture{}, Table: []ranking.Line{}}
	for _, id := range append(slices.Clone(m.Players), game.Coach) {
		p.Names[id] = names[id]
	}
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
		p.State, p.Rounds, p.Next, p.Last, p.Near, p.Far = &state, state.Played, m.Rules.Next(state, p.Names), last, &near, &far
	}
	on, err := report.OfGame(game.Document{Court: m.Court, Rules: *m.Rules}, settings)
	if err == nil {
		p.OnCourt = &on
	}
	return p
}

func (s *server) addEvents(ctx context.Context, p byID, body GameEvents) (Played, error) {
	// Two devices may count at once: whoever comes second counts on what the first one stored.
	const tries = 5
	for try := 1; ; try++ {
		record, err := s.store.Played.Get(ctx, p.ID)
		if err != nil {
			return Played{}, err
		}
		more, err := record.Document.With(body.Events)
		if err != nil {
			return Played{}, err
		}
		if len(more.Events) > len(record.Document.Events) {
			record, err = s.store.Played.Replace(ctx, p.ID, record.Revision, more)
		}
		if errors.Is(err, store.ErrStale) && try < tries {
			continue
		}
		return s.asPlayed(ctx, record, err)
	}
}

// results are those of a sport that count in a ranking.
func (s *server) results(ctx context.Context, sport court.Sport) ([]ranking.Result, error) {
	from := s.now().AddDate(0, 0, -rankedDays).Format(time.DateOnly)
	records, err := s.store.PlayedSince(ctx, string(sport), from)
	var results []ranking.Result
	for _, k := range records {
		results = append(results, k.Document.Results()...)
	}
	return results, err
}

func (s *server) ranked(ctx context.Context, p rankingOf, _ None) (Ranked, error) {
	results, err := s.results(ctx, p.Sport)
	if err != nil {
		return Ranked{}, err
	}
	r := Ranked{Games: len(results)}
	if r.Ranking, err = ranking.Rank(ctx, p.Who, results, p.By); err != nil {
		return r, err
	}
	ranked := make([]string, len(r.Standings))
	for i, each := range r.Standings {
		ranked[i] = each.Player
	}
	if r.Names, err = s.names(ctx, ranked); err != nil {
		return r, err
	}
	who := p.Who
	if len(who) == 0 {
		who = ranked
	}
	r.Singles, r.Waiting = r.EvenMatches(who, false)
	r.Doubles, _ = r.EvenMatches(who, true)
	r.Teams = r.Ranking.Teams(who, 2)
	return r, nil
}
