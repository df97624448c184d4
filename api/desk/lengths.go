package desk

import (
	"context"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
)

// LengthAsked is a length to be read from words or, without words, to be written.
type LengthAsked struct {
	Text   string  `json:"text,omitempty" maxLength:"60" description:"A length as a coach writes it"`
	Metres float64 `json:"metres,omitempty" minimum:"0" maximum:"100" description:"A length to be written; not used with a text"`
}

// Length is a length in metres and in the coach's units.
type Length struct {
	Metres float64 `json:"metres"`
	Text   string  `json:"text" description:"Exactly, to be typed again"`
}

func (s *Desk) lengthRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"POST",
			"/api/lengths",
			"readLength",
			"Read a length in words, or write one",
			func(ctx context.Context, _ request.None, body LengthAsked) (Length, error) {
				settings, _, err := s.Store.Settings(ctx)
				if err != nil {
					return Length{}, err
				}
				if body.Text != "" {
					if body.Metres, err = units.Read(body.Text, settings.Step); err != nil {
						return Length{}, invalid.Fields{{Path: "text", Message: err.Error()}}
					}
				}
				return Length{Metres: body.Metres, Text: settings.Units.Write(body.Metres)}, nil
			},
		),
	}
}
