package door

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

// Status is what somebody finds who comes to a door.
type Status struct {
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

// Routes are those by which one is let in.
func (e *Entrance) Routes() []request.Route { return append(e.entryRoutes(), e.deviceRoutes()...) }

func (e *Entrance) entryRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/door", "getDoor", "Whether one is let in, and what is missing",
			func(ctx context.Context, _ request.None, _ request.None) (Status, error) {
				return e.doorState(ctx)
			}).
			Anew().
			ForAll(),
		request.Make("POST", "/api/entry", "enter", "Let the coach in at their own machine", e.enter).ForAll(),
		request.Make("DELETE", "/api/entry", "leave", "End this session; a device is paired no longer", e.leave),
		request.Make("PUT", "/api/passphrase", "setPassphrase", "Set, change or take away the coach’s passphrase; all "+
			"other sessions at this machine end", e.setPassphrase).
			ForTheCoach(),
	}
}

func (e *Entrance) doorState(ctx context.Context) (Status, error) {
	state := Status{Coach: At(ctx) == FromMachine, Network: e.Network != nil}
	passphrase, err := e.store.Passphrase(ctx)
	if err != nil {
		return state, err
	}
	state.Passphrase = passphrase.Hash != ""
	in, err := e.isIn(ctx)
	if !in {
		state.Needs = map[bool]Needs{true: NeedsPassphrase, false: NeedsPairing}[state.Coach]
	}
	return state, err
}

func (e *Entrance) enter(ctx context.Context, _ request.None, body Entering) (Status, error) {
	if At(ctx) != FromMachine {
		return Status{}, request.Refusal(http.StatusForbidden, "This is done at the coach’s own machine only.")
	}
	if err := e.isPassphrase(ctx, "passphrase", body.Passphrase); err != nil {
		return Status{}, err
	}
	if err := e.letIn(ctx, ""); err != nil {
		return Status{}, err
	}
	return e.doorState(ctx)
}

func (e *Entrance) leave(ctx context.Context, _ request.None, _ request.None) (Status, error) {
	session := e.session(ctx)
	if id := session.GetString(ctx, deviceKey); id != "" {
		if err := e.store.RemoveDevice(ctx, id); err != nil {
			return Status{}, err
		}
	}
	if err := session.Destroy(ctx); err != nil {
		return Status{}, err
	}
	return e.doorState(ctx)
}

// isPassphrase fails where a passphrase is not the coach'e. Without one every one is right.
func (e *Entrance) isPassphrase(ctx context.Context, path, passphrase string) error {
	stored, err := e.store.Passphrase(ctx)
	if err != nil || stored.Hash == "" {
		return err
	}
	if err := e.try(ctx); err != nil {
		return err
	}
	ok, err := access.Matches(ctx, stored.Hash, passphrase)
	if err == nil && !ok {
		err = invalid.Fields{{Path: path, Message: "this is not the passphrase"}}
	}
	return err
}

func (e *Entrance) setPassphrase(ctx context.Context, _ request.None, body NewPassphrase) (Status, error) {
	if err := e.isPassphrase(ctx, "old", body.Old); err != nil {
		return Status{}, err
	}
	var next string
	var err error
	switch {
	case body.New != "":
		if err = access.CheckPassphrase("new", body.New); err == nil {
			next, err = access.Hash(ctx, body.New)
		}
	case e.Network != nil:
		err = invalid.Fields{{Path: "new", Message: "while other devices can be let in, a passphrase is needed"}}
	}
	if err != nil {
		return Status{}, err
	}
	if err := e.store.SetPassphrase(ctx, next); err != nil {
		return Status{}, err
	}
	if body.Devices {
		if err := e.store.RemoveDevices(ctx); err != nil {
			return Status{}, err
		}
	}
	if err := e.letIn(ctx, ""); err != nil {
		return Status{}, err
	}
	return e.doorState(ctx)
}

// Authority gives devices the certificate that they are told to trust.
func (e *Entrance) Authority(c *echo.Context) error {
	if e.Network == nil || e.Network.Authority == nil {
		return echo.ErrNotFound
	}
	c.Response().Header().Set("Content-Disposition", `attachment; filename="hodometer.crt"`)
	return c.Blob(http.StatusOK, "application/x-x509-ca-cert", e.Network.Authority.PEM())
}
