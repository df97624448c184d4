// Package api answers requests: it reads them strictly, has core work them out, and keeps the result.
package api

import (
	"bytes"
	"cmp"

	"github.com/andybalholm/brotli"

	"context"
	_ "embed" // the OpenAPI document
	"io/fs"
	"log/slog"
	"mime"
	"net/http"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"

	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/api/door"
	"hodometer/api/exchange"
	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/api/safekeeping"
	"hodometer/equipment"
	"hodometer/keeping"
	"hodometer/store"
)

// server is all rooms, and what it says of itself.
type server struct {
	about    About
	started  time.Time
	entrance *door.Entrance
	gear     *equipment.Hub

	desk        *desk.Desk
	courtside   *courtside.Courtside
	exchange    *exchange.Exchange
	safekeeping *safekeeping.Safekeeping
	stored      *repository.Repository
}

// Options are what a server is made from.
type Options struct {
	Store   *store.Store
	Now     func() time.Time // the clock on the wall, in the coach's zone
	Log     *slog.Logger
	Pages   fs.FS // the built interface
	About   About
	Modules string        // licences of the modules that ship in the program
	Hosts   []string      // names to answer under, besides localhost and the address that a request came in at
	Cookie  string        // what sets its cookies apart from those of another Hodometer on this machine
	Network *door.Network // how other devices reach it; nil where they do not
	Keeper  *keeping.Keeper
	Search  time.Duration // how long it is looked for what would be fair, or suits the time; 0: as long as is usual
}

const (
	longestAnswer = 10 * time.Second
	longestFile   = 28 * time.Second // to hand out; a connection is written to for 30
)

// newServer makes all rooms. Without a store it is good for its route table.
func newServer(o Options) *server {
	stored := repository.New(o.Store, o.Now)
	gear := equipment.NewHub()
	entrance := door.New(door.Options{Store: o.Store, Now: o.Now, Log: o.Log, Cookie: o.Cookie, Network: o.Network})
	return &server{
		about: o.About, started: time.Now(), entrance: entrance, gear: gear, stored: stored,
		desk:        &desk.Desk{Repository: stored, Search: cmp.Or(o.Search, desk.UsualSearch)},
		courtside:   &courtside.Courtside{Repository: stored, Gear: gear, Entrance: entrance},
		exchange:    &exchange.Exchange{Repository: stored, Entrance: entrance},
		safekeeping: &safekeeping.Safekeeping{Repository: stored, Keeper: o.Keeper},
	}
}

// routes is the route table. Routing, the OpenAPI document and the client's types are made from it.
func (s *server) routes() []request.Route {
	return slices.Concat(
		s.aboutRoutes(),
		s.entrance.Routes(),
		s.desk.Routes(),
		s.courtside.Routes(),
		s.exchange.Routes(),
		s.safekeeping.Routes(),
	)
}

// committed is the OpenAPI document as it was last made from the route table; a test keeps it fresh.
// Making it takes a tenth of a second, which a start need not spend.
//
//go:embed openapi.json
var committed []byte

// OpenAPI makes the OpenAPI document of the route table.
func OpenAPI() ([]byte, error) {
	return request.Describe(newServer(Options{}).routes())
}

// New makes the handlers for everything. The caller closes the store.
func New(o Options) (door.Doors, error) {
	s := newServer(o)
	table := s.routes()
	schemas, err := request.CompileBodies(table, committed)
	if err != nil {
		return door.Doors{}, err
	}
	s.exchange.Schemas = schemas
	e := echo.New()
	e.Logger = o.Log
	e.HTTPErrorHandler = request.AnswerProblems(o.Log)
	// What is read comes compressed already; see memory and pages.
	packed := middleware.GzipWithConfig(middleware.GzipConfig{Skipper: func(c *echo.Context) bool {
		return c.Request().Method == http.MethodGet || c.Request().Method == http.MethodHead
	}})
	e.Use(middleware.Recover(), headers, packed)
	e.Use(request.LimitBodies(table)...)
	e.Use(limitTime, s.entrance.Admit(table, map[string]request.Right{
		"GET /api/authority.crt": request.Anybody, "GET " + safekeeping.EverythingPath: request.CoachOnly,
	}))
	known := request.NewMemory(o.Store.Writes, o.Now)
	for _, r := range table {
		e.Add(r.Method, r.Path, r.Handle(schemas, known))
	}
	e.GET("/api/openapi.json", func(c *echo.Context) error { return c.Blob(http.StatusOK, "application/json", committed) })
	e.GET("/api/notices", notices(o))
	e.GET("/api/authority.crt", s.entrance.Authority)
	e.GET("/api/schemas/:name", documentSchema())
	e.GET("/api/lessons/:id/sheet.pdf", s.desk.Paper)
	for _, files := range []map[string]echo.HandlerFunc{s.exchange.Out(), s.safekeeping.Out()} {
		for path, out := range files {
			e.GET(path, out)
		}
	}
	e.GET("/api/*", func(*echo.Context) error { return echo.ErrNotFound })
	e.GET("/*", pages(o.Pages))
	running, stop := context.WithCancel(context.Background())
	s.exchange.Begin(running)
	ended := s.stored.Begin()
	return s.entrance.Doors(e, o.Hosts, func() { s.gear.Close(); s.safekeeping.Close(); stop(); ended() }), nil
}

// limitTime stops work that nobody waits for any more.
func limitTime(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		longest := longestAnswer
		if path := c.Request().URL.Path; strings.HasPrefix(path, request.OutPath) ||
			strings.HasPrefix(path, safekeeping.KeepingPath) {
			longest = longestFile
		}
		ctx, cancel := context.WithTimeout(c.Request().Context(), longest)
		defer cancel()
		c.SetRequest(c.Request().WithContext(ctx))
		return next(c)
	}
}

// headers lets pages load nothing from anywhere else.
func headers(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		h := c.Response().Header()
		h.Set(
			"Content-Security-Policy",
			"default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' "+
				"data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
		)
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		h.Set("Cross-Origin-Resource-Policy", "same-origin")
		return next(c)
	}
}

// pages serves the built interface. Files with a hash in their name may be kept for good. What is there compressed with
// Brotli (RFC 7932) is sent so to browsers that read it, and unpacked for all others.
func pages(files fs.FS) echo.HandlerFunc {
	served := http.FileServerFS(files)
	return func(c *echo.Context) error {
		path, h := c.Request().URL.Path, c.Response().Header()
		if info, err := fs.Stat(files, strings.Trim(path, "/")); err == nil && info.IsDir() && path != "/" {
			return echo.ErrNotFound // folders are not listed
		}
		cache := "no-cache"
		if strings.HasPrefix(path, "/assets/") {
			cache = "public, max-age=31536000, immutable"
		}
		h.Set("Cache-Control", cache)
		h.Add("Vary", "Accept-Encoding")
		if packed, err := fs.ReadFile(files, strings.TrimPrefix(path, "/")+".br"); err == nil {
			kind := mime.TypeByExtension(filepath.Ext(path))
			if request.Accepts(c.Request().Header, "br") {
				h.Set("Content-Encoding", "br")
				h.Set("Content-Length", strconv.Itoa(len(packed))) // how far a phone has come with it
				return c.Blob(http.StatusOK, kind, packed)
			}
			return c.Stream(http.StatusOK, kind, brotli.NewReader(bytes.NewReader(packed)))
		}
		served.ServeHTTP(c.Response(), c.Request())
		return nil
	}
}
