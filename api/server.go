// Package api answers requests: it reads them strictly, has core work them out, and keeps the result.
package api

import (
	"context"
	_ "embed" // the OpenAPI document
	"io/fs"
	"log/slog"
	"mime"
	"net/http"
	"path/filepath"
	"strings"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"

	"hodometer/api/door"
	"hodometer/api/request"
	"hodometer/equipment"
	"hodometer/keeping"
	"hodometer/store"
)

// server is what the routes share.
type server struct {
	store *store.Store
	now   func() time.Time

	about    About
	started  time.Time
	practice practice
	known    known
	index    drillIndex
	entrance *door.Entrance
	gear     *equipment.Hub
	clubs    clubs
	schemas  request.Bodies
	keeper   *keeping.Keeper
	works    works
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
}

const (
	longestAnswer = 10 * time.Second
	longestFile   = 28 * time.Second // to hand out; a connection is written to for 30
)

// routes is the route table. Routing, the OpenAPI document and the client's types are made from it.
func (s *server) routes() []request.Route {
	var table []request.Route
	table = append(table, s.studentRoutes()...)
	table = append(table, s.drillRoutes()...)
	table = append(table, s.lessonRoutes()...)
	table = append(table, s.gameRoutes()...)
	table = append(table, s.playedRoutes()...)
	table = append(table, s.settingsRoutes()...)
	table = append(table, s.aboutRoutes()...)
	table = append(table, s.lengthRoutes()...)
	table = append(table, s.vocabularyRoutes()...)
	table = append(table, s.reckonerRoutes()...)
	table = append(table, s.anticipateRoutes()...)
	table = append(table, s.shorthandRoutes()...)
	table = append(table, s.unreadableRoutes()...)
	table = append(table, s.courtsideRoutes()...)
	table = append(table, s.entrance.Routes()...)
	table = append(table, s.equipmentRoutes()...)
	table = append(table, s.arrivalRoutes()...)
	table = append(table, s.calendarRoutes()...)
	table = append(table, s.documentRoutes()...)
	table = append(table, s.keepingRoutes()...)
	table = append(table, s.everythingRoutes()...)
	return append(table, s.afterwardsRoutes()...)
}

// committed is the OpenAPI document as it was last made from the route table; a test keeps it fresh.
// Making it takes a tenth of a second, which a start need not spend.
//
//go:embed openapi.json
var committed []byte

// OpenAPI makes the OpenAPI document of the route table.
func OpenAPI() ([]byte, error) {
	return request.Describe((&server{entrance: &door.Entrance{}}).routes())
}

// New makes the handlers for everything. The caller closes the store.
func New(o Options) (door.Doors, error) {
	s := &server{store: o.Store, now: o.Now, about: o.About, started: time.Now(), entrance: door.New(door.Options{Store: o.Store, Now: o.Now, Log: o.Log, Cookie: o.Cookie, Network: o.Network}), gear: equipment.NewHub(), keeper: o.Keeper}
	table := s.routes()
	schemas, err := request.CompileBodies(table, committed)
	if err != nil {
		return door.Doors{}, err
	}
	s.schemas = schemas
	e := echo.New()
	e.Logger = o.Log
	e.HTTPErrorHandler = request.AnswerProblems(o.Log)
	// What is read comes compressed already, and so does core; see memory and pages.
	packed := middleware.GzipWithConfig(middleware.GzipConfig{Skipper: func(c *echo.Context) bool {
		path := c.Request().URL.Path
		return c.Request().Method == http.MethodGet && (strings.HasPrefix(path, "/api/") || strings.HasSuffix(path, ".wasm"))
	}})
	e.Use(middleware.Recover(), headers, packed)
	e.Use(request.LimitBodies(table)...)
	e.Use(limitTime, s.entrance.Admit(table, map[string]request.Right{
		"GET /api/authority.crt": request.Anybody, "GET " + outPath + everythingFile: request.CoachOnly,
	}))
	known := request.NewMemory(o.Store.Writes, o.Now)
	for _, r := range table {
		e.Add(r.Method, r.Path, r.Handle(schemas, known))
	}
	e.GET("/api/openapi.json", func(c *echo.Context) error { return c.Blob(http.StatusOK, "application/json", committed) })
	e.GET("/api/notices", notices(o))
	e.GET("/api/authority.crt", s.entrance.Authority)
	e.GET("/api/schemas/:name", documentSchema())
	e.GET("/api/lessons/:id/sheet.pdf", s.paper)
	e.GET("/api/stored/:kind/:id", s.storedText)
	e.GET(outPath+"tables/:file", s.tablesOut)
	e.GET(outPath+"lessons.ics", s.lessonsOut)
	e.GET(outPath+"collection.zip", s.collectionOut)
	e.GET(outPath+"book.pdf", s.bookOut)
	e.GET(outPath+"counting/:file", s.countingOut)
	e.GET(outPath+everythingFile, s.everythingOut)
	e.GET(outPath+"students/:id/:file", s.studentOut)
	e.GET(outPath+":kind/:file", s.documentOut)
	e.GET(feedPath+":file", s.feed)
	e.GET("/api/*", func(*echo.Context) error { return echo.ErrNotFound })
	e.GET("/*", pages(o.Pages))
	running, stop := context.WithCancel(context.Background())
	s.clubs.ctx = running
	go s.readCalendars(running)
	return s.entrance.Doors(e, o.Hosts, func() { s.gear.Close(); s.works.close(); stop() }), nil
}

// today is the day it is, year-month-day.
func (s *server) today() string { return s.now().Format(time.DateOnly) }

// limitTime stops work that nobody waits for any more.
func limitTime(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		longest := longestAnswer
		if path := c.Request().URL.Path; strings.HasPrefix(path, outPath) || strings.HasPrefix(path, keepingPath) {
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
		h.Set("Content-Security-Policy", "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'")
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		h.Set("Cross-Origin-Resource-Policy", "same-origin")
		return next(c)
	}
}

// pages serves the built interface. Files with a hash in their name may be kept for good. Where a file is there compressed with Brotli too
// (RFC 7932), that is sent to browsers that read it.
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
		if strings.Contains(c.Request().Header.Get("Accept-Encoding"), "br") {
			if packed, err := fs.ReadFile(files, strings.TrimPrefix(path, "/")+".br"); err == nil {
				h.Set("Content-Encoding", "br")
				return c.Blob(http.StatusOK, mime.TypeByExtension(filepath.Ext(path)), packed)
			}
		}
		served.ServeHTTP(c.Response(), c.Request())
		return nil
	}
}
