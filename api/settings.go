package api

import (
	"context"

	"hodometer/core/coach"
)

// Settings are the coach's settings with their version.
type Settings struct {
	Version   int64          `json:"version"`
	Settings  coach.Settings `json:"settings"`
	Nudge     float64        `json:"nudge" description:"How far an arrow key moves a place, metres"`
	NudgeFine float64        `json:"nudgeFine" description:"The same with Shift"`
}

func (s Settings) tag() int64 { return s.Version }

func asSettings(settings coach.Settings, version int64) Settings {
	return Settings{Version: version, Settings: settings, Nudge: settings.Units.Nudge(false), NudgeFine: settings.Units.Nudge(true)}
}

// keepOne is the parameter of saving something of which there is only one.
type keepOne struct {
	IfMatch string `header:"If-Match" description:"The version that the change builds on, in quotes"`
}

func (s *server) settingsRoutes() []Route {
	return []Route{
		route("GET", "/api/settings", "getSettings", "The coach's settings", func(ctx context.Context, _ None, _ None) (Settings, error) {
			settings, version, err := s.store.Settings(ctx)
			return asSettings(settings, version), err
		}),
		route("PUT", "/api/settings", "keepSettings", "Change the coach's settings", func(ctx context.Context, p keepOne, body coach.Settings) (Settings, error) {
			version, _, err := keep{IfMatch: p.IfMatch}.version()
			if err != nil {
				return Settings{}, err
			}
			if err := body.Check(); err != nil {
				return Settings{}, err
			}
			version, err = s.store.ChangeSettings(ctx, version, body)
			return asSettings(body, version), err
		}),
	}
}
