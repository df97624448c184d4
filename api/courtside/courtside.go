package courtside

import (
	"context"
	"errors"
	"slices"
	"time"

	"hodometer/api/request"
	"hodometer/core/live/underway"
	"hodometer/store"
)

// Acts are what a device did with a lesson, in order.
type Acts struct {
	Sent time.Time      `json:"sent" description:"This instant by the clock of the device: acts are put right by how much it is wrong"`
	Acts []underway.Act `json:"acts" minItems:"1" maxItems:"500"`
}

func (s *Courtside) courtsideRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/lessons/:id/courtside", "getCourtside", "A lesson as it is run",
			func(ctx context.Context, p request.ByID, _ request.None) (underway.Courtside, error) {
				return s.courtside(ctx, p.ID)
			}).
			Anew(),
		request.Make("GET", "/api/lessons/:id/kit", "getKit", "All that a lesson is run from, to take along to where "+
			"there is no network", func(ctx context.Context, p request.ByID, _ request.None) (underway.Kit, error) {
			kit, _, err := s.Kit(ctx, p.ID, nil)
			return kit, err
		}).
			Anew(),
		request.Make(
			"POST",
			"/api/lessons/:id/acts",
			"act",
			"Do things with a lesson under way: count, hold, go on, change; the same acts may be sent again",
			s.act,
		),
	}
}

func (s *Courtside) courtside(ctx context.Context, id string) (underway.Courtside, error) {
	kit, _, err := s.Kit(ctx, id, nil)
	if err != nil {
		return underway.Courtside{}, err
	}
	return kit.View(ctx, s.Now())
}

// act does what a device did, in order, and keeps all of it at once. What cannot be done is told and left out.
func (s *Courtside) act(ctx context.Context, p request.ByID, body Acts) (underway.Answered, error) {
	acts := inTime(body, s.Now())
	// Another device may do something meanwhile: then it is done with what that made of the lesson.
	const tries = 5
	for try := 1; ; try++ {
		kit, stored, err := s.Kit(ctx, p.ID, acts)
		if err != nil {
			return underway.Answered{}, err
		}
		done, err := kit.DoAll(ctx, acts)
		if err != nil {
			return underway.Answered{}, err
		}
		c := changes(&kit, done, stored)
		if stored.Clock == nil && kit.Clock != nil {
			if c.Told, err = s.told(ctx, stored); err != nil {
				return underway.Answered{}, err
			}
		}
		err = s.Store.Keep(ctx, p.ID, c)
		if errors.Is(err, store.ErrStale) && try < tries {
			continue
		}
		if err != nil {
			return underway.Answered{}, err
		}
		s.machineHears(kit)
		view, err := kit.View(ctx, s.Now())
		if err == nil && kit.Finished {
			err = s.became(ctx, kit, view)
		}
		return underway.Answered{
			Courtside: view,
			Sentences: done.Sentences,
			Changed:   done.Changed,
			Refused:   done.Refused,
		}, err
	}
}

// changes are what acts made of a lesson as it was stored. A kit with another document has its next revision then.
func changes(kit *underway.Kit, done underway.Done, stored store.Underway) store.Changes {
	c := store.Changes{
		Revision: stored.Record.Revision,
		Planned:  &stored.Record.Document,
		Counted:  done.Taken,
		Acts:     done.Acts,
	}
	for _, act := range done.Acts {
		if act.Clock != nil || act.Travel != nil || act.Change != nil && kit.Clock != nil {
			c.Clock, c.Finished = kit.Clock, kit.Finished
		}
		if act.Clock == nil && act.Reason == nil && c.Document == nil {
			c.Document = &kit.Document
			kit.Revision++
		}
	}
	return c
}

// wayOfActs is how long acts may take to arrive, so that a clock of a device that is behind by less is taken to be
// right. One that is ahead is wrong: nothing arrives before it is sent.
const wayOfActs = 5 * time.Second

// inTime puts acts right by how much the clock of their device is wrong.
func inTime(body Acts, now time.Time) []underway.Act {
	off := now.Sub(body.Sent)
	if off > 0 && off < wayOfActs {
		off = 0
	}
	acts := slices.Clone(body.Acts)
	for i, act := range acts {
		acts[i].At = sane(act.At.Add(off), now)
		if act.Tap != nil {
			tap := *act.Tap
			tap.Entry.At = tap.Entry.At.Add(off)
			acts[i].Tap = &tap
		}
	}
	return acts
}

// sane is an instant at which something can have been done: one of a device that has lost its time is now, and nothing
// is done later than tomorrow.
func sane(at, now time.Time) time.Time {
	if at.After(now.AddDate(0, 0, 1)) || at.UTC().Year() < 2000 {
		return now
	}
	return at
}
