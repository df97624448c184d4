package courtside

import (
	"context"
	"errors"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/count/ranking"
	"hodometer/core/game"
	"hodometer/core/live/scoreboard"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/store"
)

// PlayedPage are some of the games that were played.
type PlayedPage struct {
	Total  int                 `json:"total"`
	Played []scoreboard.Played `json:"played"`
}

// playedOf says whose games are looked for, and which of them.
type playedOf struct {
	Student string `query:"student" description:"Empty: everybody's"`
	Skip    int    `query:"skip"`
}

// GameEvents are what happened in a game.
type GameEvents struct {
	Begin  *game.Match  `json:"begin,omitempty" description:"The game as a device began it where there was no network: it is stored where it is not there yet"`
	Events []game.Event `json:"events" maxItems:"500"`
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
)

func (s *Courtside) playedRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/played",
			"listPlayed",
			"Games that were played, the newest first, some at a time",
			s.playedPage,
		),
		request.Make(
			"GET",
			"/api/played/ranking",
			"rankPlayers",
			"Players in order from their games, with even matches and teams",
			s.ranked,
		),
		request.Make(
			"GET",
			"/api/played/:id",
			"getPlayed",
			"One game that was or is played",
			func(ctx context.Context, p request.ByID, _ request.None) (scoreboard.Played, error) {
				record, err := s.Store.Played.Get(ctx, p.ID)
				return s.asPlayed(ctx, record, err)
			},
		),
		request.Make(
			"PUT",
			"/api/played/:id",
			"savePlayed",
			"Begin a game, or enter and change results",
			func(ctx context.Context, p request.Keep, body game.Match) (scoreboard.Played, error) {
				record, err := repository.Save(ctx, s.Store.Played, p, body)
				return s.asPlayed(ctx, record, err)
			},
		),
		request.Make(
			"PUT",
			"/api/played/:id/archived",
			"archivePlayed",
			"Take a game that was played out of the record, or bring it back",
			func(ctx context.Context, p request.ByID, body repository.Archiving) (scoreboard.Played, error) {
				record, err := s.Store.Played.Archive(ctx, p.ID, body.Archived)
				return s.asPlayed(ctx, record, err)
			},
		),
		request.Make(
			"GET",
			"/api/played/:id/kit",
			"getGameKit",
			"All that a game is played from, to take along to where there is no network",
			func(ctx context.Context, p request.ByID, _ request.None) (scoreboard.Kit, error) {
				record, err := s.Store.Played.Get(ctx, p.ID)
				return s.gameKit(ctx, record, err)
			},
		),
		request.Make(
			"POST",
			"/api/played/:id/events",
			"addEvents",
			"What happened in a game; what is there already changes nothing",
			s.addEvents,
		),
	}
}

func (s *Courtside) playedPage(ctx context.Context, p playedOf, _ request.None) (PlayedPage, error) {
	records, total, err := s.Store.PlayedOf(ctx, p.Student, max(0, p.Skip), playedAtOnce)
	page := PlayedPage{Total: total, Played: []scoreboard.Played{}}
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
	settings, _, err := s.Store.Settings(ctx)
	for _, record := range records {
		page.Played = append(page.Played, kitOf(record, names, settings).View())
	}
	return page, err
}

// names are those of some students, archived or not, and of the coach, by their identifiers.
func (s *Courtside) names(ctx context.Context, ids []string) (map[string]string, error) {
	students, err := s.Store.Students.Some(ctx, ids)
	names := map[string]string{game.Coach: game.CoachName}
	for _, id := range ids {
		names[id] = "somebody who is gone"
		if k, ok := students[id]; ok {
			names[id] = k.Document.Name
		}
	}
	return names, err
}

// asPlayed works a stored game out, where there was no error.
func (s *Courtside) asPlayed(ctx context.Context, k store.Record[game.Match], err error) (scoreboard.Played, error) {
	kit, err := s.gameKit(ctx, k, err)
	if err != nil {
		return scoreboard.Played{}, err
	}
	return kit.View(), nil
}

// gameKit is all that a stored game is played from, where there was no error.
func (s *Courtside) gameKit(ctx context.Context, k store.Record[game.Match], err error) (scoreboard.Kit, error) {
	if err != nil {
		return scoreboard.Kit{}, err
	}
	names, err := s.names(ctx, k.Document.Players)
	if err != nil {
		return scoreboard.Kit{}, err
	}
	settings, _, err := s.Store.Settings(ctx)
	return kitOf(k, names, settings), err
}

func kitOf(k store.Record[game.Match], names map[string]string, settings coach.Settings) scoreboard.Kit {
	return scoreboard.Kit{
		ID:       k.ID,
		Revision: k.Revision,
		Archived: k.Archived,
		Document: k.Document,
		Names:    names,
		Settings: settings,
	}
}

func (s *Courtside) addEvents(ctx context.Context, p request.ByID, body GameEvents) (scoreboard.Scored, error) {
	// Two devices may count at once: whoever comes second counts on what the first one stored.
	const tries = 5
	for try := 1; ; try++ {
		record, err := s.playedOrBegun(ctx, p.ID, body.Begin)
		kit, err := s.gameKit(ctx, record, err)
		if err != nil {
			return scoreboard.Scored{}, err
		}
		left, err := kit.Do(body.Events)
		if err != nil {
			return scoreboard.Scored{}, err
		}
		if len(kit.Document.Events) > len(record.Document.Events) {
			record, err = s.Store.Played.Replace(ctx, p.ID, record.Revision, kit.Document)
			kit.Revision = record.Revision
		}
		if errors.Is(err, store.ErrStale) && try < tries {
			continue
		}
		return scoreboard.Scored{Played: kit.View(), LeftOut: left}, err
	}
}

// playedOrBegun is a game that is played; one that a device began where there was no network is stored first.
func (s *Courtside) playedOrBegun(ctx context.Context, id string, begin *game.Match) (store.Record[game.Match], error) {
	record, err := s.Store.Played.Get(ctx, id)
	if begin == nil || !errors.Is(err, store.ErrNotFound) {
		return record, err
	}
	if err := begin.Check(); err != nil {
		var wrong invalid.Fields
		wrong.Under("begin", err)
		return record, wrong.Err()
	}
	return s.Store.Played.Create(ctx, id, *begin)
}

func (s *Courtside) ranked(ctx context.Context, p rankingOf, _ request.None) (Ranked, error) {
	results, err := s.Results(ctx, p.Sport)
	if err != nil {
		return Ranked{}, err
	}
	r := Ranked{Games: len(results)}
	if r.Ranking, err = s.Ranked(ctx, p.Who, results, p.By); err != nil {
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
