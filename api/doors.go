package api

import (
	"context"
	"errors"
	"net"
	"net/http"
	"strings"
	"time"

	"github.com/alexedwards/scs/v2"
	"github.com/labstack/echo/v5"

	"hodometer/access"
	"hodometer/api/request"
	"hodometer/store"
)

// Doors are the two ways in: from this machine itself, and from other devices in the network.
type Doors struct {
	Machine, Network http.Handler
	Closing          func() // ends what waits, and lets devices go, before the program ends
}

// doorKind is where a request came in.
type doorKind string

const (
	machineDoor doorKind = "machine"
	networkDoor doorKind = "network"
)

// How long sessions go: in all, and without a sign of life.
const (
	coachLasts, coachIdle   = 30 * 24 * time.Hour, 12 * time.Hour
	deviceLasts, deviceIdle = 180 * 24 * time.Hour, 30 * 24 * time.Hour
	seenEvery               = 5 * time.Minute // how exactly the last sign of life is known
)

// entrance lets people in.
type entrance struct {
	sessions map[doorKind]*scs.SessionManager
	pairing  access.Pairing
	tries    map[doorKind]*access.Tries // of passphrases and of codes: who tries codes from outside shuts nobody out at the machine
	network  *Network                   // nil where other devices are not served
}

// Network is how other devices reach this machine.
type Network struct {
	Addresses func() []string   // of the page, as a device opens it, the best one first
	Authority *access.Authority // nil where the certificate is somebody else's
}

// What a session holds; instants in milliseconds.
const (
	sinceKey  = "since"  // when it began
	numberKey = "number" // of the passphrase that it began with
	seenKey   = "seen"   // the last sign of life
	deviceKey = "device" // whose it is
)

func newEntrance(o Options) *entrance {
	manager := func(door doorKind, lasts time.Duration, name string, secure bool) *scs.SessionManager {
		m := scs.New()
		m.Store, m.Lifetime, m.HashTokenInStore = store.Sessions{Store: o.Store, Kind: string(door)}, lasts, true
		m.Cookie.Name, m.Cookie.Secure, m.Cookie.SameSite = name, secure, http.SameSiteStrictMode
		m.ErrorFunc = func(w http.ResponseWriter, _ *http.Request, err error) {
			o.Log.Error("a session", "error", err)
			w.Header().Del(echo.HeaderContentEncoding)
			request.Refuse(w, http.StatusInternalServerError, "Something went wrong in Hodometer itself.")
		}
		return m
	}
	// Browsers keep the cookies of all ports of a machine together.
	name := "hodometer" + o.Cookie
	return &entrance{
		sessions: map[doorKind]*scs.SessionManager{machineDoor: manager(machineDoor, coachLasts, name, false), networkDoor: manager(networkDoor, deviceLasts, "__Host-"+name, true)},
		tries:    map[doorKind]*access.Tries{machineDoor: {}, networkDoor: {}}, network: o.Network,
	}
}

// doors are both ways into a handler.
func (s *server) doors(next http.Handler, hosts []string, stop func()) Doors {
	at := func(door doorKind) http.Handler {
		entered := http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			ctx := context.WithValue(r.Context(), doorOf{}, door)
			next.ServeHTTP(w, r.WithContext(context.WithValue(ctx, addressOf{}, address(r))))
		})
		return request.Guard(s.entrance.sessions[door].LoadAndSave(entered), hosts)
	}
	return Doors{Machine: at(machineDoor), Network: at(networkDoor), Closing: func() { s.gear.Close(); s.works.close(); stop() }}
}

type (
	doorOf    struct{}
	addressOf struct{}
)

// address is where a request came from.
func address(r *http.Request) string {
	host, _, err := net.SplitHostPort(r.RemoteAddr)
	if err != nil {
		return r.RemoteAddr
	}
	return host
}

// from is where the request of a context came from.
func from(ctx context.Context) string {
	at, _ := ctx.Value(addressOf{}).(string)
	return at
}

// door is where a request came in.
func door(ctx context.Context) doorKind {
	at, _ := ctx.Value(doorOf{}).(doorKind)
	return at
}

// session is how the session of a request is managed.
func (s *server) session(ctx context.Context) *scs.SessionManager {
	return s.entrance.sessions[door(ctx)]
}

// admit lets in who may use a route; what is not in the table is for who is in.
func (s *server) admit(table []request.Route) echo.MiddlewareFunc {
	rights := map[string]request.Right{}
	for _, r := range table {
		rights[r.Method+" "+r.Path] = r.Right()
	}
	rights["GET /api/authority.crt"], rights["GET "+outPath+everythingFile] = request.Anybody, request.CoachOnly
	return func(next echo.HandlerFunc) echo.HandlerFunc {
		return func(c *echo.Context) error {
			if !strings.HasPrefix(c.Request().URL.Path, "/api/") {
				return next(c)
			}
			ctx, right := c.Request().Context(), rights[c.Request().Method+" "+c.Path()]
			if right == request.Anybody {
				// Who is not in has little to say.
				r := c.Request()
				r.Body = http.MaxBytesReader(c.Response(), r.Body, request.Strangers)
				return next(c)
			}
			if right == request.CoachOnly && door(ctx) != machineDoor {
				return request.Refusal(http.StatusForbidden, "This is done at the coach’s own machine only.")
			}
			if err := s.mustBeIn(ctx); err != nil {
				return err
			}
			return next(c)
		}
	}
}

// mustBeIn refuses who is not let in, or not any more.
func (s *server) mustBeIn(ctx context.Context) error {
	in, err := s.isIn(ctx)
	switch {
	case err != nil || in:
		return err
	case door(ctx) == machineDoor:
		return request.Refusal(http.StatusUnauthorized, "Type the passphrase first.")
	default:
		return request.Refusal(http.StatusUnauthorized, "This device is not paired, or not any more.")
	}
}

// isIn says whether whoever asks is let in: at this machine without a passphrase everybody is.
func (s *server) isIn(ctx context.Context) (bool, error) {
	passphrase, err := s.store.Passphrase(ctx)
	if err != nil {
		return false, err
	}
	if passphrase.Hash == "" {
		return door(ctx) == machineDoor, nil
	}
	session, now := s.session(ctx), s.now()
	since, seen := time.UnixMilli(session.GetInt64(ctx, sinceKey)), time.UnixMilli(session.GetInt64(ctx, seenKey))
	lasts, idle := coachLasts, coachIdle
	if door(ctx) == networkDoor {
		lasts, idle = deviceLasts, deviceIdle
	}
	if !session.Exists(ctx, sinceKey) {
		return false, nil
	}
	if now.Sub(since) >= lasts || now.Sub(seen) >= idle || door(ctx) == machineDoor && session.GetInt64(ctx, numberKey) != passphrase.Number {
		return false, session.Destroy(ctx)
	}
	id := session.GetString(ctx, deviceKey)
	if door(ctx) == networkDoor {
		if _, err := s.store.Device(ctx, id); errors.Is(err, store.ErrNotFound) {
			return false, session.Destroy(ctx)
		} else if err != nil {
			return false, err
		}
	}
	if now.Sub(seen) >= seenEvery {
		session.Put(ctx, seenKey, now.UnixMilli())
		if id != "" {
			return true, s.store.SeeDevice(ctx, id, now)
		}
	}
	return true, nil
}

// letIn begins a session, under a new token.
func (s *server) letIn(ctx context.Context, device string) error {
	session, now := s.session(ctx), s.now()
	passphrase, err := s.store.Passphrase(ctx)
	if err != nil {
		return err
	}
	if err := session.RenewToken(ctx); err != nil {
		return err
	}
	session.Put(ctx, numberKey, passphrase.Number)
	session.Put(ctx, sinceKey, now.UnixMilli())
	session.Put(ctx, seenKey, now.UnixMilli())
	session.Put(ctx, deviceKey, device)
	return nil
}

// try counts one try of a passphrase or a code at a door, by where it comes from; too many are refused.
func (s *server) try(ctx context.Context) error {
	if !s.entrance.tries[door(ctx)].Allow(from(ctx), s.now()) {
		return request.Refusal(http.StatusTooManyRequests, "Too many tries. Wait a minute, then try again.")
	}
	return nil
}
