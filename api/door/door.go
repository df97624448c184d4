// Package door lets people in: the two ways into the program, sessions, the coach's passphrase, and devices that are
// paired.
package door

import (
	"context"
	"errors"
	"log/slog"
	"maps"
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
	Closing          func() // ends what waits, and lets ball machines go, before the program ends
}

// Kind is where a request came in.
type Kind string

// The ways.
const (
	FromMachine Kind = "machine"
	FromNetwork Kind = "network"
)

// How long sessions go: in all, and without a sign of life.
const (
	coachLasts, coachIdle   = 30 * 24 * time.Hour, 12 * time.Hour
	deviceLasts, deviceIdle = 180 * 24 * time.Hour, 30 * 24 * time.Hour
	seenEvery               = 5 * time.Minute // how exactly the last sign of life is known
)

// Entrance lets people in.
type Entrance struct {
	Network *Network // nil where other devices are not served

	store    *store.Store
	now      func() time.Time
	sessions map[Kind]*scs.SessionManager
	pairing  access.Pairing
	// of passphrases and of codes: who tries codes from outside shuts nobody out at the machine
	tries map[Kind]*access.Tries
}

// Options are what an entrance is made from.
type Options struct {
	Store   *store.Store
	Now     func() time.Time
	Log     *slog.Logger
	Cookie  string   // what sets its cookies apart from those of another Hodometer on this machine
	Network *Network // how other devices reach it; nil where they do not
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

// New is an entrance where nobody is yet.
func New(o Options) *Entrance {
	manager := func(door Kind, lasts time.Duration, name string, secure bool) *scs.SessionManager {
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
	return &Entrance{
		Network: o.Network,
		store:   o.Store,
		now:     o.Now,
		sessions: map[Kind]*scs.SessionManager{
			FromMachine: manager(FromMachine, coachLasts, name, false),
			FromNetwork: manager(FromNetwork, deviceLasts, "__Host-"+name, true),
		},
		tries: map[Kind]*access.Tries{FromMachine: {}, FromNetwork: {}},
	}
}

// Doors are both ways into a handler, under the names of hosts; closing is what is done before the program ends.
func (e *Entrance) Doors(next http.Handler, hosts []string, closing func()) Doors {
	at := func(door Kind) http.Handler {
		entered := http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			ctx := context.WithValue(r.Context(), doorOf{}, door)
			next.ServeHTTP(w, r.WithContext(context.WithValue(ctx, addressOf{}, Address(r))))
		})
		return request.Guard(e.sessions[door].LoadAndSave(entered), hosts)
	}
	return Doors{Machine: at(FromMachine), Network: at(FromNetwork), Closing: closing}
}

type (
	doorOf    struct{}
	addressOf struct{}
)

// Address is where a request came from.
func Address(r *http.Request) string {
	host, _, err := net.SplitHostPort(r.RemoteAddr)
	if err != nil {
		return r.RemoteAddr
	}
	return host
}

// From is where the request of a context came from.
func From(ctx context.Context) string {
	at, _ := ctx.Value(addressOf{}).(string)
	return at
}

// At is where a request came in.
func At(ctx context.Context) Kind {
	at, _ := ctx.Value(doorOf{}).(Kind)
	return at
}

// session is how the session of a request is managed.
func (e *Entrance) session(ctx context.Context) *scs.SessionManager {
	return e.sessions[At(ctx)]
}

// Admit lets in who may use a route: by the table, by what others say of lines that stand in none, as "GET /page"; the
// rest is for who is in.
func (e *Entrance) Admit(table []request.Route, others map[string]request.Right) echo.MiddlewareFunc {
	rights := maps.Clone(others)
	for _, r := range table {
		rights[r.Method+" "+r.Path] = r.Right()
	}
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
			if right == request.CoachOnly && At(ctx) != FromMachine {
				return request.Refusal(http.StatusForbidden, "This is done at the coach’s own machine only.")
			}
			if err := e.MustBeIn(ctx); err != nil {
				return err
			}
			return next(c)
		}
	}
}

// MustBeIn refuses who is not let in, or not any more.
func (e *Entrance) MustBeIn(ctx context.Context) error {
	in, err := e.isIn(ctx)
	switch {
	case err != nil || in:
		return err
	case At(ctx) == FromMachine:
		return request.Refusal(http.StatusUnauthorized, "Type the passphrase first.")
	default:
		return request.Refusal(http.StatusUnauthorized, "This device is not paired, or not any more.")
	}
}

// isIn says whether whoever asks is let in: at this machine without a passphrase everybody is.
func (e *Entrance) isIn(ctx context.Context) (bool, error) {
	passphrase, err := e.store.Passphrase(ctx)
	if err != nil {
		return false, err
	}
	if passphrase.Hash == "" {
		return At(ctx) == FromMachine, nil
	}
	session, now := e.session(ctx), e.now()
	since, seen := time.UnixMilli(session.GetInt64(ctx, sinceKey)), time.UnixMilli(session.GetInt64(ctx, seenKey))
	lasts, idle := coachLasts, coachIdle
	if At(ctx) == FromNetwork {
		lasts, idle = deviceLasts, deviceIdle
	}
	if !session.Exists(ctx, sinceKey) {
		return false, nil
	}
	if now.Sub(since) >= lasts || now.Sub(seen) >= idle ||
		At(ctx) == FromMachine && session.GetInt64(ctx, numberKey) != passphrase.Number {
		return false, session.Destroy(ctx)
	}
	id := session.GetString(ctx, deviceKey)
	if At(ctx) == FromNetwork {
		if _, err := e.store.Device(ctx, id); errors.Is(err, store.ErrNotFound) {
			return false, session.Destroy(ctx)
		} else if err != nil {
			return false, err
		}
	}
	if now.Sub(seen) >= seenEvery {
		session.Put(ctx, seenKey, now.UnixMilli())
		if id != "" {
			return true, e.store.SeeDevice(ctx, id, now)
		}
	}
	return true, nil
}

// letIn begins a session, under a new token.
func (e *Entrance) letIn(ctx context.Context, device string) error {
	session, now := e.session(ctx), e.now()
	passphrase, err := e.store.Passphrase(ctx)
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
func (e *Entrance) try(ctx context.Context) error {
	if !e.tries[At(ctx)].Allow(From(ctx), e.now()) {
		return request.Refusal(http.StatusTooManyRequests, "Too many tries. Wait a minute, then try again.")
	}
	return nil
}
