package courtside

import (
	"context"
	"errors"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/count/reliability"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/closing"
	"hodometer/core/live/underway"
	"hodometer/store"
)

func (s *Courtside) toldRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/reliability", "getReliability", "What was told of goals when lessons began, against what "+
			"happened", func(ctx context.Context, _ request.None, _ request.None) (reliability.Account, error) {
			list, err := s.Store.Outcomes(ctx)
			return reliability.Of(list), err
		}),
	}
}

// told is what is told of every goal of a lesson that begins; nothing where its plan is wrong.
func (s *Courtside) told(ctx context.Context, stored store.Underway) ([]closing.Told, error) {
	blocks, err := s.expected(ctx, stored)
	if wrong := (invalid.Fields{}); errors.As(err, &wrong) {
		return nil, nil
	}
	return closing.Tell(blocks), err
}

// expected is what to expect of everybody in a lesson as it was planned.
func (s *Courtside) expected(ctx context.Context, stored store.Underway) ([]prospect.Block, error) {
	d := stored.Record.Document
	in, err := s.Rated(ctx, stored.Record.ID, d)
	if err != nil {
		return nil, err
	}
	timetable, list, err := schedule.Make(ctx, d, in)
	if err != nil {
		return nil, err
	}
	return prospect.All(ctx, timetable, list, in)
}

// became keeps what became of what was told, once a lesson is finished.
func (s *Courtside) became(ctx context.Context, kit underway.Kit, view underway.Courtside) error {
	told, err := s.Store.Forecasts(ctx, kit.ID)
	if err != nil || len(told) == 0 {
		return err
	}
	before, err := s.Store.Planned(ctx, kit.ID)
	if err != nil || before == nil {
		return err
	}
	against := closing.Against(*before, kit.Document, view.Second)
	met := make([]*bool, len(told))
	for i, t := range told {
		met[i] = closing.Became(t, view.Counters, against)
	}
	return s.Store.KeepOutcomes(ctx, kit.ID, told, met)
}
