package desk

import (
	"context"

	"hodometer/api/request"
	"hodometer/core/people/coach"
)

// Settings are the coach's settings with their revision.
type Settings struct {
	Revision  int64          `json:"revision"`
	Settings  coach.Settings `json:"settings"`
	Nudge     float64        `json:"nudge" description:"How far an arrow key moves a place, metres"`
	NudgeFine float64        `json:"nudgeFine" description:"The same with Shift"`
}

// Tag is the revision.
func (s Settings) Tag() int64 { return s.Revision }

func asSettings(settings coach.Settings, revision int64) Settings {
	return Settings{
		Revision:  revision,
		Settings:  settings,
		Nudge:     settings.Units.Nudge(false),
		NudgeFine: settings.Units.Nudge(true),
	}
}

// keepOne is the parameter of saving something of which there is only one.
type keepOne struct {
	IfMatch string `header:"If-Match" description:"The revision that the change builds on, in quotes"`
}

func (s *Desk) settingsRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/settings",
			"getSettings",
			"The coach's settings",
			func(ctx context.Context, _ request.None, _ request.None) (Settings, error) {
				settings, revision, err := s.Store.Settings(ctx)
				return asSettings(settings, revision), err
			},
		),
		request.Make(
			"PUT",
			"/api/settings",
			"keepSettings",
			"Change the coach's settings",
			func(ctx context.Context, p keepOne, body coach.Settings) (Settings, error) {
				revision, _, err := request.Keep{IfMatch: p.IfMatch}.Revision()
				if err != nil {
					return Settings{}, err
				}
				if err := body.Check(); err != nil {
					return Settings{}, err
				}
				revision, err = s.Store.UpdateSettings(ctx, revision, body)
				return asSettings(body, revision), err
			},
		),
	}
}
