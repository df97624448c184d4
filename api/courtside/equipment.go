package courtside

import (
	"context"
	"errors"
	"net/http"

	"hodometer/api/door"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/lesson"
	"hodometer/core/live/throwing"
	"hodometer/core/live/underway"
	"hodometer/equipment"
)

// Joining is where a device is found, and for which lesson.
type Joining struct {
	Address string `json:"address" maxLength:"60" description:"On this machine, as 127.0.0.1:7501"`
	Lesson  string `json:"lesson,omitempty" maxLength:"40" description:"At its end the device is let go; empty: it stays"`
}

// Simulating is for which lesson a device is simulated.
type Simulating struct {
	Lesson string `json:"lesson,omitempty" maxLength:"40"`
}

// Telling has a machine do something that throws nothing: pause, gap, fill, clear or state.
type Telling struct {
	Command throwing.Command `json:"command"`
}

// Starting has a machine throw what feeds the drill of a block, as long as it is on and the page that asks for it is
// heard.
type Starting struct {
	Watcher string            `json:"watcher" minLength:"1" maxLength:"40" description:"Of the page, chosen by it when it is opened"`
	On      throwing.On       `json:"on" description:"What is on, as the page sees it"`
	Block   lesson.Block      `json:"block" description:"The block, as the page sees it"`
	Drill   string            `json:"drill" maxLength:"120" description:"What is played, in words"`
	Players []throwing.Player `json:"players" maxItems:"40" description:"In the order of their turns, whoever has the next ball first"`
	Planned int               `json:"planned" minimum:"0" maximum:"100000" description:"Balls planned in the block; 0: it throws until it is told to stop"`
	One     bool              `json:"one" description:"One ball only"`
}

// Watching is what the page that watches a machine says of the lesson, every second and whenever it changes.
type Watching struct {
	Watcher string      `json:"watcher" minLength:"1" maxLength:"40"`
	On      throwing.On `json:"on"`
	Next    string      `json:"next,omitempty" maxLength:"40" description:"The student whose turn the coach has made it; empty: as it was"`
}

// byKind is the parameter of something about one device.
type byKind struct {
	Kind equipment.Kind `param:"kind" path:"kind" enum:"machine,eye"`
}

func (p byKind) check() error {
	if p.Kind != equipment.Machine && p.Kind != equipment.Eye {
		return request.Refusal(http.StatusNotFound, "A device is a machine or an eye.")
	}
	return nil
}

// afterEvent is the parameter of what was said after an event.
type afterEvent struct {
	After int `query:"after" minimum:"-1" description:"The last event that is known; -1: what comes from now on"`
}

func (s *Courtside) equipmentRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/equipment", "getEquipment", "Which ball machine and which eye are joined",
			func(context.Context, request.None, request.None) (equipment.Equipment, error) {
				return s.Gear.Status(), nil
			}).
			Anew(),
		request.Make(
			"PUT",
			"/api/equipment/:kind",
			"joinDevice",
			"Join a ball machine or an eye that listens on this machine",
			s.join,
		),
		request.Make(
			"DELETE",
			"/api/equipment/:kind",
			"leaveDevice",
			"Let a device go",
			func(_ context.Context, p byKind, _ request.None) (equipment.Equipment, error) {
				return s.Gear.Leave(p.Kind), nil
			},
		),
		request.Make(
			"POST",
			"/api/equipment/:kind/simulated",
			"simulateDevice",
			"Start a simulated device, and join it",
			s.simulate,
		),
		request.Make(
			"POST",
			"/api/equipment/machine/started",
			"startMachine",
			"Have the machine throw what feeds the drill of the block that is on",
			s.startMachine,
		),
		request.Make(
			"POST",
			"/api/equipment/machine/watched",
			"watchMachine",
			"Say that a page watches the machine, and what is on; it stands where that is not what it was started for, and "+
				"3 s after the last word",
			s.watchMachine,
		),
		request.Make(
			"POST",
			"/api/equipment/machine/told",
			"tellMachine",
			"Have the machine do something that throws nothing",
			s.tellMachine,
		),
		request.Make("GET", "/api/equipment/events", "listEvents", "What devices said after an event; where there is "+
			"nothing it is waited for a while", func(ctx context.Context, p afterEvent, _ request.None) (equipment.SaidEvents,
			error) {
			said, err := s.Gear.Events(ctx, p.After)
			if err != nil {
				return said, err
			}
			return said, s.Entrance.MustBeIn(ctx) // who was taken out while they waited is told nothing
		}).
			Anew(),
	}
}

// toldWhy has what a device cannot do be told at a field of what was asked; empty: as a conflict.
func toldWhy(e equipment.Equipment, err error, field string) (equipment.Equipment, error) {
	var refused equipment.RefusedError
	switch {
	case errors.Is(err, equipment.ErrNotJoined):
		err = request.Refusal(http.StatusConflict, "It is not joined any more.")
	case errors.As(err, &refused) && field != "":
		err = invalid.Fields{{Path: field, Message: refused.Why}}
	case errors.As(err, &refused):
		err = request.Refusal(http.StatusConflict, "The machine stands: "+refused.Why+".")
	}
	return e, err
}

func (s *Courtside) join(ctx context.Context, p byKind, body Joining) (equipment.Equipment, error) {
	if err := p.check(); err != nil {
		return equipment.Equipment{}, err
	}
	switch {
	case door.At(ctx) == door.FromMachine:
		s.Gear.Typed(body.Address)
	case !s.Gear.Known(body.Address):
		return equipment.Equipment{}, invalid.Fields{
			{Path: "address", Message: "this address is joined at the coach’s own machine the first time"},
		}
	}
	e, err := s.Gear.Join(ctx, p.Kind, body.Address, body.Lesson)
	return toldWhy(e, err, "address")
}

func (s *Courtside) simulate(ctx context.Context, p byKind, body Simulating) (equipment.Equipment, error) {
	if err := p.check(); err != nil {
		return equipment.Equipment{}, err
	}
	e, err := s.Gear.Simulate(ctx, p.Kind, body.Lesson)
	return toldWhy(e, err, "")
}

func (s *Courtside) startMachine(ctx context.Context, _ request.None, body Starting) (equipment.Equipment, error) {
	if body.Block.ID != body.On.Block {
		return equipment.Equipment{}, invalid.Fields{{Path: "block", Message: "this is not the block that is on"}}
	}
	program, err := s.program(ctx, body.On.Lesson, body.Block)
	if err != nil {
		return equipment.Equipment{}, err
	}
	e, err := s.Gear.Start(throwing.Order{
		On: body.On, Watcher: body.Watcher, Program: program, Planned: body.Planned, One: body.One,
		Feed: throwing.Feed{To: throwing.To{Drill: body.Drill}, Players: body.Players, InTurn: len(program.Balls)},
	})
	return toldWhy(e, err, "")
}

// program is what feeds the drill of a block, as a page sees it: what was done on that page may not have arrived yet.
func (s *Courtside) program(ctx context.Context, id string, block lesson.Block) (throwing.Program, error) {
	record, err := s.Store.Lessons.Get(ctx, id)
	if err != nil {
		return throwing.Program{}, err
	}
	d := record.Document
	d.Blocks = []lesson.Block{block}
	in, err := s.Inputs(ctx, d)
	if err != nil {
		return throwing.Program{}, err
	}
	played, known := in.Drills[block.Plays()]
	there := in.In(block)
	if !known || len(there) == 0 {
		return throwing.Program{}, invalid.Fields{{Path: "block", Message: "no drill is played in this block"}}
	}
	mine := block.DrillFor(played, there[0])
	return throwing.Of(ctx, mine, mine.PlayerFor(mine.Written(), there[0].Profile.Hand), in.Settings)
}

func (s *Courtside) watchMachine(ctx context.Context, _ request.None, body Watching) (equipment.Equipment, error) {
	e := s.Gear.Watched(body.Watcher, body.On, body.Next)
	if id := s.Gear.For(); id != "" {
		// A page that goes away while it asks has been heard all the same.
		if err := s.machineKnows(context.WithoutCancel(ctx), id); err != nil {
			s.Gear.Stop("it cannot be read what is on in the lesson")
			return equipment.Equipment{}, err
		}
		e = s.Gear.Status()
	}
	return e, nil
}

// machineKnows tells the machine what is on in a lesson by the program's own clock, however that was changed.
func (s *Courtside) machineKnows(ctx context.Context, id string) error {
	record, err := s.Store.Lessons.Get(ctx, id)
	if err != nil {
		return err
	}
	clock, finished, begun, err := s.Store.Clock(ctx, id)
	if err != nil {
		return err
	}
	var at *lesson.Clock
	if begun {
		at = &clock
	}
	s.Gear.Follow(underway.On(id, record.Document, at, finished, s.Now()))
	return nil
}

// machineHears tells the machine what acts made of a lesson; at its end all that was joined for it is let go.
func (s *Courtside) machineHears(kit underway.Kit) {
	if s.Gear.For() == kit.ID {
		s.Gear.Follow(underway.On(kit.ID, kit.Document, kit.Clock, kit.Finished, s.Now()))
	}
	if kit.Finished {
		s.Gear.LeaveLesson(kit.ID)
	}
}

func (s *Courtside) tellMachine(_ context.Context, _ request.None, body Telling) (equipment.Equipment, error) {
	var e equipment.Equipment
	var err error
	switch body.Command.Do {
	case throwing.Pause:
		e, err = s.Gear.Pause()
	case throwing.Gap, throwing.Fill, throwing.Clear, throwing.State:
		e, err = s.Gear.Tell(body.Command)
	default:
		err = invalid.Fields{
			{
				Path:    "command.do",
				Message: "a machine is started where it is watched, and told to pause, gap, fill, clear or state here",
			},
		}
	}
	return toldWhy(e, err, "")
}
