package api

import (
	"context"
	"net/http"

	"github.com/labstack/echo/v5"

	"hodometer/access"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
)

// Needs is what somebody has to do to be let in.
type Needs string

// What has to be done.
const (
	NeedsNothing    Needs = ""
	NeedsPassphrase Needs = "passphrase"
	NeedsPairing    Needs = "pairing"
)

// DoorState is what somebody finds who comes to a door.
type DoorState struct {
	Needs      Needs `json:"needs" description:"Empty where they are let in"`
	Coach      bool  `json:"coach" description:"This is the coach’s own machine: devices and the passphrase are seen to here"`
	Passphrase bool  `json:"passphrase" description:"One is set"`
	Network    bool  `json:"network" description:"Other devices can be let in"`
}

// Entering is what the coach types to be let in.
type Entering struct {
	Passphrase string `json:"passphrase" maxLength:"600"`
}

// NewPassphrase replaces the coach's passphrase.
type NewPassphrase struct {
	Old     string `json:"old" maxLength:"600" description:"Empty where none is set"`
	New     string `json:"new" maxLength:"600" description:"Empty: none any more"`
	Devices bool   `json:"devices" description:"All paired devices are to be paired again"`
}

func (s *server) entryRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/door", "getDoor", "Whether one is let in, and what is missing", func(ctx context.Context, _ request.None, _ request.None) (DoorState, error) {
			return s.doorState(ctx)
		}).Anew().ForAll(),
		request.Make("POST", "/api/entry", "enter", "Let the coach in at their own machine", s.enter).ForAll(),
		request.Make("DELETE", "/api/entry", "leave", "End this session; a device is paired no longer", s.leave),
		request.Make("PUT", "/api/passphrase", "setPassphrase", "Set, change or take away the coach’s passphrase; all other sessions at this machine end", s.setPassphrase).ForTheCoach(),
	}
}

func (s *server) doorState(ctx context.Context) (DoorState, error) {
	state := DoorState{Coach: door(ctx) == machineDoor, Network: s.entrance.network != nil}
	passphrase, err := s.store.Passphrase(ctx)
	if err != nil {
		return state, err
	}
	state.Passphrase = passphrase.Hash != ""
	in, err := s.isIn(ctx)
	if !in {
		state.Needs = map[bool]Needs{true: NeedsPassphrase, false: NeedsPairing}[state.Coach]
	}
	return state, err
}

func (s *server) enter(ctx context.Context, _ request.None, body Entering) (DoorState, error) {
	if door(ctx) != machineDoor {
		return DoorState{}, request.Refusal(http.StatusForbidden, "This is done at the coach’s own machine only.")
	}
	if err := s.isPassphrase(ctx, "passphrase", body.Passphrase); err != nil {
		return DoorState{}, err
	}
	if err := s.letIn(ctx, ""); err != nil {
		return DoorState{}, err
	}
	return s.doorState(ctx)
}

func (s *server) leave(ctx context.Context, _ request.None, _ request.None) (DoorState, error) {
	session := s.session(ctx)
	if id := session.GetString(ctx, deviceKey); id != "" {
		if err := s.store.RemoveDevice(ctx, id); err != nil {
			return DoorState{}, err
		}
	}
	if err := session.Destroy(ctx); err != nil {
		return DoorState{}, err
	}
	return s.doorState(ctx)
}

// isPassphrase fails where a passphrase is not the coach's. Without one every one is right.
func (s *server) isPassphrase(ctx context.Context, path, passphrase string) error {
	stored, err := s.store.Passphrase(ctx)
	if err != nil || stored.Hash == "" {
		return err
	}
	if err := s.try(ctx); err != nil {
		return err
	}
	ok, err := access.Matches(ctx, stored.Hash, passphrase)
	if err == nil && !ok {
		err = invalid.Fields{{Path: path, Message: "this is not the passphrase"}}
	}
	return err
}

func (s *server) setPassphrase(ctx context.Context, _ request.None, body NewPassphrase) (DoorState, error) {
	if err := s.isPassphrase(ctx, "old", body.Old); err != nil {
		return DoorState{}, err
	}
	var next string
	var err error
	switch {
	case body.New != "":
		if err = access.CheckPassphrase("new", body.New); err == nil {
			next, err = access.Hash(ctx, body.New)
		}
	case s.entrance.network != nil:
		err = invalid.Fields{{Path: "new", Message: "while other devices can be let in, a passphrase is needed"}}
	}
	if err != nil {
		return DoorState{}, err
	}
	if err := s.store.SetPassphrase(ctx, next); err != nil {
		return DoorState{}, err
	}
	if body.Devices {
		if err := s.store.RemoveDevices(ctx); err != nil {
			return DoorState{}, err
		}
	}
	if err := s.letIn(ctx, ""); err != nil {
		return DoorState{}, err
	}
	return s.doorState(ctx)
}

// authority gives devices the certificate that they are told to trust.
func (s *server) authority(c *echo.Context) error {
	if s.entrance.network == nil || s.entrance.network.Authority == nil {
		return echo.ErrNotFound
	}
	c.Response().Header().Set("Content-Disposition", `attachment; filename="hodometer.crt"`)
	return c.Blob(http.StatusOK, "application/x-x509-ca-cert", s.entrance.network.Authority.PEM())
}
