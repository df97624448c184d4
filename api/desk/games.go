package desk

import (
	"context"
	"net/http"
	"slices"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/game"
	"hodometer/core/live/device"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/store"
)

// Game is a game with its identifier and revision.
type Game struct {
	ID        string        `json:"id" format:"uuid"`
	Revision  int64         `json:"revision"`
	Archived  bool          `json:"archived"`
	BuiltIn   bool          `json:"builtIn" description:"A ready game, which is duplicated to be changed"`
	Document  game.Document `json:"document"`
	Sentences []string      `json:"sentences" description:"The rules in words"`
	Length    *GameLength   `json:"length" description:"Of those for whom it is made; null where the document no longer makes sense"`

	Between string `json:"between" description:"Who they are, in words"`

	OnCourt *report.OnCourt `json:"onCourt" description:"Null where the document no longer makes sense"`
}

// Tag is the revision.
func (g Game) Tag() int64 { return g.Revision }

// GameLength is how long a game is.
type GameLength struct {
	Rallies float64       `json:"rallies" description:"Mean number, with those that do not count"`
	Nearly  int           `json:"nearly" description:"999 of 1000 games have at most so many"`
	Minutes game.Duration `json:"minutes"`
}

func lengthOf(f game.Forecast, t sports.Tempo) GameLength {
	nearly, _ := f.Within(0.999)
	return GameLength{Rallies: f.Rallies, Nearly: nearly, Minutes: f.Duration(t)}
}

// asGame works a stored game of the coach's own out, where there was no error.
func (s *Desk) asGame(ctx context.Context, k store.Record[game.Document], err error) (Game, error) {
	if err != nil {
		return Game{}, err
	}
	settings, _, err := s.Store.Settings(ctx)
	return gameOf(ctx, k, false, settings), err
}

// gameOf adds the rules in words, how long the game is, and its court.
func gameOf(ctx context.Context, k store.Record[game.Document], builtIn bool, settings coach.Settings) Game {
	g := Game{
		ID:        k.ID,
		Revision:  k.Revision,
		Archived:  k.Archived,
		BuiltIn:   builtIn,
		Document:  k.Document,
		Sentences: k.Document.Rules.Sentences(),
	}
	if tempo := sports.Of(k.Document.Sport).Tempo; builtIn || k.Document.Check() == nil {
		of, f, err := k.Document.Rules.Usual(ctx, tempo)
		if err == nil {
			length := lengthOf(f, tempo)
			g.Length, g.Between = &length, of.Between()
		}
	}
	if on, err := report.OfGame(k.Document, settings); err == nil {
		g.OnCourt = &on
	}
	return g
}

// gamesOf are the games of a sport.
type gamesOf struct {
	Sport court.Sport `query:"sport" description:"Empty: all"`
}

// NewGame is where a new game is to be played.
type NewGame struct {
	Court court.ID `json:"court" maxLength:"40"`
}

// GameAsked is a game to be worked out without being saved.
type GameAsked struct {
	Document game.Document `json:"document"`
	Chances  game.Chances  `json:"chances"`
	Tempo    *sports.Tempo `json:"tempo,omitempty" description:"Empty: as players at a club play the sport"`
	Rallies  int           `json:"rallies" minimum:"1" maximum:"150" description:"About how long a fair game is wanted"`
	Minutes  float64       `json:"minutes" minimum:"0" maximum:"90" description:"How much time there is; 0: it does not matter"`
	Seed     uint64        `json:"seed" maximum:"4294967295" description:"Which game is played through"`
	Version  string        `json:"version,omitempty" maxLength:"60" description:"Which version is worked out; empty: the game as it is written"`

	Move  *game.Move   `json:"move,omitempty" description:"A start place or a target that was moved first"`
	Typed *coach.Typed `json:"typed,omitempty" description:"A size of a target that was typed first"`
	Size  *GameSize    `json:"size,omitempty" description:"How many players each side is to have first"`
	On    court.ID     `json:"on,omitempty" maxLength:"40" description:"On which court it is to be played first"`
}

// GameSize is how many players both sides have.
type GameSize struct {
	Near int `json:"near" minimum:"0" maximum:"6"`
	Far  int `json:"far" minimum:"0" maximum:"6"`
}

// WorkedGame is what is worked out of a game.
type WorkedGame struct {
	Document  game.Document   `json:"document" description:"With what was done to it first"`
	Usual     []game.Version  `json:"usual" description:"Versions that it can have, without those that it has"`
	OnCourt   report.OnCourt  `json:"onCourt"`
	Chances   game.Chances    `json:"chances" description:"Those that it was worked out with, all of them"`
	Metrics   []metric.Metric `json:"metrics"`
	Sentences []string        `json:"sentences"`
	Near      float64         `json:"near" description:"Chance that the near side wins"`
	Far       float64         `json:"far"`
	Nobody    float64         `json:"nobody" description:"That neither does, or that it is won by players"`
	Length    GameLength      `json:"length"`
	Tempo     sports.Tempo    `json:"tempo"`
	Fair      []game.Pair     `json:"fair" description:"Points with which both sides win about equally often, the fairest first; none where there are none"`
	FairWhy   string          `json:"fairWhy" description:"Why there are none"`
	ToNear    int             `json:"toNear" description:"What it can be played to in the time; 0 where no time was given or nothing fits"`
	ToFar     int             `json:"toFar"`
	Steps     []game.Step     `json:"steps" description:"A game by these chances, event by event"`
}

// shownRallies is how many rallies of a game that is played through are shown.
const shownRallies = 60

func (s *Desk) gameRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/games", "listGames", "Games, the coach's own and the ready ones", s.games),
		request.Make(
			"GET",
			"/api/games/:id",
			"getGame",
			"One game",
			func(ctx context.Context, p request.ByID, _ request.None) (Game, error) { return s.game(ctx, p.ID) },
		),
		request.Make(
			"PUT",
			"/api/games/:id",
			"saveGame",
			"Add or change a game",
			func(ctx context.Context, p request.Keep, body game.Document) (Game, error) {
				if err := refuseReady(p.ID); err != nil {
					return Game{}, err
				}
				record, err := repository.SaveNamed(
					ctx,
					s.Repository,
					s.Store.Games,
					p,
					body,
					func(d game.Document) string { return d.Name },
				)
				return s.asGame(ctx, record, err)
			},
		),
		request.Make(
			"PUT",
			"/api/games/:id/archived",
			"archiveGame",
			"Archive a game, or bring it back",
			func(ctx context.Context, p request.ByID, body repository.Archiving) (Game, error) {
				if err := refuseReady(p.ID); err != nil {
					return Game{}, err
				}
				record, err := s.Store.Games.Archive(ctx, p.ID, body.Archived)
				return s.asGame(ctx, record, err)
			},
		),
		request.Make(
			"POST",
			"/api/games/:id/duplicate",
			"duplicateGame",
			"Make an own version of a game",
			func(ctx context.Context, p request.ByID, body Duplicate) (Game, error) {
				original, err := s.game(ctx, p.ID)
				if err != nil {
					return Game{}, err
				}
				record, err := s.Store.Games.Create(ctx, body.ID, original.Document.Copy())
				return s.asGame(ctx, record, err)
			},
		),
		request.Make(
			"POST",
			"/api/games/begin",
			"beginGame",
			"A new game, which is not saved yet",
			func(_ context.Context, _ request.None, body NewGame) (game.Document, error) {
				return library.NewGame(body.Court)
			},
		),
		request.Make(
			"POST",
			"/api/games/version",
			"versionGame",
			"A version of a game, as it is played in a lesson",
			func(_ context.Context, _ request.None, body device.VersionAsked) (game.Document, error) {
				return body.Document.InLesson(body.Version, body.Court)
			},
		),
		request.Make(
			"POST",
			"/api/games/handicap",
			"handicapGame",
			"A fair score of a game for two, from what they have won against each other",
			s.handicap,
		),
		request.Make("POST", "/api/games/preview", "previewGame", "Work a game out without saving it", s.previewGame),
	}
}

// HandicapAsked is a game and two who are to play it.
type HandicapAsked struct {
	Document game.Document `json:"document"`
	Near     string        `json:"near" maxLength:"40" description:"A student"`
	Far      string        `json:"far" maxLength:"40" description:"And another"`
	Rallies  int           `json:"rallies" minimum:"1" maximum:"150"`
}

// handicap rests on the points that two have won against each other, alone or with partners, and at first on what the
// ranking thinks: by their levels, and by what they did against others.
func (s *Desk) handicap(ctx context.Context, _ request.None, body HandicapAsked) (game.Handicap, error) {
	if body.Near == body.Far {
		return game.Handicap{}, invalid.Fields{{Path: "far", Message: "choose two different students"}}
	}
	results, err := s.Results(ctx, body.Document.Sport)
	if err != nil {
		return game.Handicap{}, err
	}
	ranked, err := s.Ranked(ctx, []string{body.Near, body.Far}, results, "")
	if err != nil {
		return game.Handicap{}, err
	}
	var t game.Tally
	for _, r := range results {
		switch {
		case slices.Contains(r.Near, body.Near) && slices.Contains(r.Far, body.Far):
			t.Near, t.Far = t.Near+r.NearPoints, t.Far+r.FarPoints
		case slices.Contains(r.Near, body.Far) && slices.Contains(r.Far, body.Near):
			t.Near, t.Far = t.Near+r.FarPoints, t.Far+r.NearPoints
		}
	}
	strength := game.StrengthFrom(t, ranked.Chance([]string{body.Near}, []string{body.Far}))
	return body.Document.Rules.HandicapFrom(ctx, strength, body.Rallies)
}

func refuseReady(id string) error {
	if _, ready := library.FindGame(id); ready {
		return request.Refusal(http.StatusForbidden, "A ready game stays as it is. Duplicate it and change your own version.")
	}
	return nil
}

func (s *Desk) game(ctx context.Context, id string) (Game, error) {
	if document, ok := library.FindGame(id); ok {
		settings, _, err := s.Store.Settings(ctx)
		return gameOf(ctx, store.Record[game.Document]{ID: id, Revision: 1, Document: document}, true, settings), err
	}
	record, err := s.Store.Games.Get(ctx, id)
	return s.asGame(ctx, record, err)
}

func (s *Desk) games(ctx context.Context, p gamesOf, _ request.None) ([]Game, error) {
	own, err := s.Store.Games.List(ctx, false)
	if err != nil {
		return nil, err
	}
	settings, _, err := s.Store.Settings(ctx)
	list := []Game{}
	add := func(k store.Record[game.Document], builtIn bool) {
		if p.Sport == "" || p.Sport == k.Document.Sport {
			list = append(list, gameOf(ctx, k, builtIn, settings))
		}
	}
	for _, k := range own {
		add(k, false)
	}
	for _, ready := range library.Games() {
		add(store.Record[game.Document]{ID: ready.ID, Revision: 1, Document: ready.Document}, true)
	}
	return list, err
}

func (s *Desk) previewGame(ctx context.Context, _ request.None, body GameAsked) (WorkedGame, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return WorkedGame{}, err
	}
	d := body.Document
	if body.Move != nil {
		if d, err = d.Moved(*body.Move, settings.Units.Grain()); err != nil {
			return WorkedGame{}, err
		}
	}
	if body.Typed != nil {
		if d, err = d.Typed(*body.Typed, settings); err != nil {
			return WorkedGame{}, err
		}
	}
	if body.Size != nil {
		if d, err = d.Sized(body.Size.Near, body.Size.Far); err != nil {
			return WorkedGame{}, err
		}
	}
	if body.On != "" {
		if d, err = d.OnCourt(body.On); err != nil {
			return WorkedGame{}, err
		}
	}
	if err := d.Check(); err != nil {
		return WorkedGame{}, err
	}
	w := WorkedGame{Document: d, Usual: []game.Version{}, Fair: []game.Pair{}}
	for _, v := range d.UsualVersions() {
		if !slices.ContainsFunc(d.Versions, func(own game.Version) bool { return own.Name == v.Name }) {
			w.Usual = append(w.Usual, v)
		}
	}
	if d, err = d.Version(body.Version); err != nil {
		return WorkedGame{}, err
	}
	tempo := sports.Of(d.Sport).Tempo
	if body.Tempo != nil {
		tempo = *body.Tempo
	}
	var wrong invalid.Fields
	wrong.Under("chances", body.Chances.Check())
	wrong.Under("tempo", tempo.Check())
	if wrong.Err() != nil {
		return WorkedGame{}, wrong.Err()
	}
	f, err := d.Rules.WithMinutes(ctx, body.Chances, tempo)
	if err != nil {
		return WorkedGame{}, err
	}
	w.Metrics, w.Sentences, w.Tempo = d.Rules.Metrics(f, body.Chances, tempo), d.Rules.Sentences(), tempo
	w.Chances = body.Chances.All(&d.Rules)
	w.Near, w.Far, w.Nobody, w.Length = f.Near, f.Far, f.Nobody, lengthOf(f, tempo)
	if w.OnCourt, err = report.OfGame(d, settings); err != nil {
		return w, err
	}
	// Of the most complicated games what would be fair takes long: the rest is told all the same.
	searching, end := context.WithTimeout(ctx, s.Search)
	defer end()
	fair, err := d.Rules.FairPairs(searching, body.Chances, body.Rallies)
	switch {
	case ctx.Err() != nil:
		return w, ctx.Err()
	case searching.Err() != nil:
		w.FairWhy = "It takes too long to work out of this game."
	case err != nil:
		w.FairWhy = invalid.Sentence(err)
	default:
		w.Fair = fair
	}
	if body.Minutes > 0 {
		w.ToNear, w.ToFar, err = d.Rules.PointsFor(searching, body.Minutes, body.Chances, tempo)
		if err != nil && (searching.Err() == nil || ctx.Err() != nil) {
			return w, err
		}
	}
	w.Steps, err = d.Rules.PlayedThrough(body.Chances, body.Seed, shownRallies)
	return w, err
}
