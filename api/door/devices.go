package door

import (
	"context"
	"net/http"
	"strings"
	"time"

	"github.com/google/uuid"

	"hodometer/access"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/store"
)

// Devices are those that are paired.
type Devices struct {
	Devices     []PairedDevice `json:"devices"`
	Fingerprint string         `json:"fingerprint" description:"Of the certificate that devices are told to trust; empty where it is somebody else’s"`
	Until       *time.Time     `json:"until" description:"Until when the code for pairing goes that was made last; null where none goes any more"`
	Unheard     int            `json:"unheard" description:"How many devices typed that code wrong so often that they are not heard any more"`
}

// PairedDevice is one of them.
type PairedDevice struct {
	ID     string    `json:"id" format:"uuid"`
	Name   string    `json:"name"`
	Paired time.Time `json:"paired"`
	Seen   time.Time `json:"seen" description:"Within five minutes"`
}

// PairingCode lets one device in, once.
type PairingCode struct {
	Code      string    `json:"code"`
	Until     time.Time `json:"until"`
	Addresses []Way     `json:"addresses" description:"Where a device opens the page, the likeliest one first"`
}

// Way is an address, and a QR code that leads there with the code for pairing.
type Way struct {
	Address string   `json:"address"`
	QR      []string `json:"qr" description:"Row by row, 1 for dark; with its light edge"`
}

// PairingAsked is a device that wants to be let in.
type PairingAsked struct {
	Code string `json:"code" maxLength:"40"`
	Name string `json:"name" maxLength:"40" description:"What the device is called"`
}

func (e *Entrance) deviceRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/devices", "listDevices", "Devices that are paired", e.devices).Anew().ForTheCoach(),
		request.Make("DELETE", "/api/devices/:id", "removeDevice", "Let a device in no longer",
			func(ctx context.Context, p request.ByID, _ request.None) (request.None, error) {
				return request.None{}, e.store.RemoveDevice(ctx, p.ID)
			}).
			ForTheCoach(),
		request.Make("POST", "/api/pairing", "openPairing", "Make a code that lets one device in; the one before is "+
			"void", e.openPairing).
			ForTheCoach(),
		request.Make("DELETE", "/api/pairing", "closePairing", "Make the code void",
			func(context.Context, request.None, request.None) (request.None, error) {
				e.pairing.Withdraw()
				return request.None{}, nil
			}).
			ForTheCoach(),
		request.Make("POST", "/api/pairing/device", "pair", "Let this device in, by a code", e.pair).ForAll(),
	}
}

func (e *Entrance) devices(ctx context.Context, _ request.None, _ request.None) (Devices, error) {
	list := Devices{Devices: []PairedDevice{}}
	if n := e.Network; n != nil && n.Authority != nil {
		list.Fingerprint = n.Authority.Fingerprint()
	}
	if until, unheard, ok := e.pairing.Open(e.now()); ok {
		list.Until, list.Unheard = &until, unheard
	}
	all, err := e.store.Devices(ctx)
	for _, d := range all {
		list.Devices = append(list.Devices, PairedDevice(d))
	}
	return list, err
}

func (e *Entrance) openPairing(ctx context.Context, _ request.None, _ request.None) (PairingCode, error) {
	passphrase, err := e.store.Passphrase(ctx)
	switch {
	case err != nil:
		return PairingCode{}, err
	case e.Network == nil:
		return PairingCode{}, request.Refusal(
			http.StatusConflict,
			"Other devices cannot reach this machine: start Hodometer with --lan.",
		)
	case passphrase.Hash == "":
		return PairingCode{}, request.Refusal(
			http.StatusConflict,
			"Set a passphrase first: whoever comes to this machine could let devices in.",
		)
	}
	code := PairingCode{Addresses: []Way{}}
	code.Code, code.Until = e.pairing.Issue(e.now())
	for _, address := range e.Network.Addresses() {
		// Behind the #, so that no list of addresses that were opened has it but the device's own.
		rows, err := access.QR(address + "/#/pair/" + code.Code)
		if err != nil {
			return code, err
		}
		code.Addresses = append(code.Addresses, Way{address, rows})
	}
	return code, nil
}

func (e *Entrance) pair(ctx context.Context, _ request.None, body PairingAsked) (Status, error) {
	if At(ctx) != FromNetwork {
		return Status{}, request.Refusal(http.StatusForbidden, "This is the coach’s own machine: it needs no pairing.")
	}
	name := strings.TrimSpace(body.Name)
	if name == "" {
		return Status{}, invalid.Fields{{Path: "name", Message: "say what this device is called, as “my phone”"}}
	}
	if err := e.try(ctx); err != nil {
		return Status{}, err
	}
	now := e.now()
	if !e.pairing.Pair(body.Code, From(ctx), now) {
		return Status{}, invalid.Fields{
			{Path: "code", Message: "this code is not valid, or not any more: have a new one made on the coach’s machine"},
		}
	}
	id, err := uuid.NewV7()
	if err != nil {
		return Status{}, err
	}
	if err := e.store.AddDevice(ctx, store.Device{ID: id.String(), Name: name, Paired: now, Seen: now}); err != nil {
		return Status{}, err
	}
	if err := e.letIn(ctx, id.String()); err != nil {
		return Status{}, err
	}
	return e.doorState(ctx)
}
