package exchange

import (
	"context"
	"fmt"
	"net/http"
	"path"
	"slices"
	"strings"
	"time"

	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/core/drill/report"
	"hodometer/core/exchange/sharing"
	"hodometer/core/people/coach"
	"hodometer/core/people/progress"
	"hodometer/core/sport/sports"
	"hodometer/handover"
	"hodometer/picture"
)

// documentOut hands a drill, a game or a lesson out. A lesson goes with the drills and games of the coach's own that it
// plays, and without its people.
func (s *Exchange) documentOut(c *echo.Context) error {
	ctx, id := c.Request().Context(), strings.TrimSuffix(c.Param("file"), ".json")
	kind := sharing.Kind(c.Param("kind"))
	id, zipped := strings.CutSuffix(id, ".zip")
	switch ending := path.Ext(id); ending {
	case ".svg", ".png":
		return s.courtOut(c, kind, strings.TrimSuffix(id, ending), ending)
	case ".pdf":
		return s.cardOut(c, kind, strings.TrimSuffix(id, ending))
	}
	if kind.Current() == 0 || request.CheckID(id) != nil {
		return echo.ErrNotFound
	}
	if kind == sharing.Ladder {
		return s.laddersOut(c, id)
	}
	passed, _, err := s.mine(ctx, kind, id)
	if err != nil {
		return err
	}
	text, err := sharing.Write(kind, id, passed.document())
	if err != nil {
		return err
	}
	piece, err := sharing.Read(text)
	if err != nil {
		return err
	}
	name := handover.FileName(piece.Name())
	if !zipped {
		return request.HandOut(c, fmt.Sprintf("%s (%s).json", name, kind), "application/json", text)
	}
	files := []handover.Packed{{Name: fmt.Sprintf("%s (%s).json", name, kind), Data: text}}
	if passed.Lesson != nil {
		drills, games := sharing.Needs(*passed.Lesson)
		more, err := s.ownOnes(ctx, drills, games)
		if err != nil {
			return err
		}
		files = append(files, more...)
	}
	data, err := handover.Pack(files)
	if err != nil {
		return err
	}
	return request.HandOut(c, name+".zip", "application/zip", data)
}

// laddersOut hands the ladders of a student out, for another coach: the rungs they came to, and where they stand on a
// stroke that they were never put on one of.
func (s *Exchange) laddersOut(c *echo.Context, student string) error {
	ctx := c.Request().Context()
	record, err := s.Store.Students.Get(ctx, student)
	if err != nil {
		return err
	}
	at, err := s.Standing(ctx, student)
	if err != nil {
		return err
	}
	sport := record.Document.Sport
	l := progress.Ladders{FormatVersion: progress.FormatVersion, Title: "Ladders, " + string(sport), Sport: sport}
	for _, p := range at.Positions {
		l.Reached = append(l.Reached, progress.Reached{Stroke: p.Stroke, Rung: p.Rung, At: p.At})
	}
	for _, stroke := range at.Strokes() {
		if !slices.ContainsFunc(l.Reached, func(r progress.Reached) bool { return r.Stroke == stroke.Stroke }) {
			l.Reached = append(
				l.Reached,
				progress.Reached{Stroke: stroke.Stroke, Rung: stroke.Advice.Rung, At: s.Now().UTC().Truncate(time.Millisecond)},
			)
		}
	}
	// Those of another sport, from before somebody changed, stay.
	l.Reached = slices.DeleteFunc(
		l.Reached,
		func(r progress.Reached) bool { return !slices.Contains(sports.Of(sport).Ladders(), r.Stroke) },
	)
	if len(l.Reached) == 0 {
		return request.Refusal(http.StatusNotFound, "Nothing is known of the ladders of this student yet.")
	}
	text, err := sharing.Write(sharing.Ladder, "", l)
	if err != nil {
		return err
	}
	return request.HandOut(c, handover.FileName(record.Document.Name)+", ladders.json", "application/json", text)
}

// pixels is how wide a picture of a court is.
const pixels = 1000

// courtOut hands out the court of a drill, or of a game, as a picture.
func (s *Exchange) courtOut(c *echo.Context, kind sharing.Kind, id, ending string) error {
	ctx := c.Request().Context()
	if request.CheckID(id) != nil || kind != sharing.Drill && kind != sharing.Game {
		return echo.ErrNotFound
	}
	passed, _, err := s.mine(ctx, kind, id)
	if err != nil {
		return err
	}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return err
	}
	name, drawn, err := passed.drawn(settings)
	if err != nil {
		return err
	}
	if ending == ".svg" {
		return request.HandOut(c, handover.FileName(name)+ending, "image/svg+xml", picture.SVG(name, drawn))
	}
	data, err := picture.PNG(drawn, pixels)
	if err != nil {
		return err
	}
	return request.HandOut(c, handover.FileName(name)+ending, "image/png", data)
}

// drawn is what a document is called, and what is drawn of it.
func (p Passed) drawn(settings coach.Settings) (string, report.Report, error) {
	if p.Drill != nil {
		r, err := report.Of(*p.Drill, 1, settings)
		return p.Drill.Name, r, err
	}
	on, err := report.OfGame(*p.Game, settings)
	return p.Game.Name, on.Report(), err
}

// aboutCollections explains a collection to whoever opens it without Hodometer.
const aboutCollections = `Drills, games and lessons from Hodometer, each a JSON document, and its court as a picture
(SVG).

Hodometer brings them in under Drills > Bring in: choose this .zip, or one of its files. What is built into Hodometer
is not in here: it is there
already. docs/formats.md, which comes with Hodometer, says what is in each.
`

// ownOnes are a word about what they are, and the files of those drills and games that are the coach's own; others have
// the ones that are built in.
func (s *Exchange) ownOnes(ctx context.Context, drills, games []string) ([]handover.Packed, error) {
	own, err := s.Store.Drills.Some(ctx, drills)
	if err != nil {
		return nil, err
	}
	played, err := s.Store.Games.Some(ctx, games)
	if err != nil {
		return nil, err
	}
	files := []handover.Packed{{Name: "README.txt", Data: []byte(aboutCollections)}}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	add := func(kind sharing.Kind, id, name string, document Passed) error {
		text, err := sharing.Write(kind, id, document.document())
		file := fmt.Sprintf("%s (%s) %s", handover.FileName(name), kind, id[len(id)-6:])
		files = append(files, handover.Packed{Name: file + ".json", Data: text})
		if _, drawn, err := document.drawn(settings); err == nil { // one that makes no sense any more has no picture
			files = append(files, handover.Packed{Name: file + ".svg", Data: picture.SVG(name, drawn)})
		}
		return err
	}
	for _, id := range drills {
		if r, is := own[id]; is {
			if err := add(sharing.Drill, id, r.Document.Name, Passed{Drill: &r.Document}); err != nil {
				return nil, err
			}
		}
	}
	for _, id := range games {
		if r, is := played[id]; is {
			if err := add(sharing.Game, id, r.Document.Name, Passed{Game: &r.Document}); err != nil {
				return nil, err
			}
		}
	}
	return files, nil
}

// collectionOut hands out the coach's own drills and games together, or those of one collection.
func (s *Exchange) collectionOut(c *echo.Context) error {
	ctx := c.Request().Context()
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return err
	}
	name, drills, err := s.collected(ctx, settings, c.QueryParam("collection"))
	if err != nil {
		return err
	}
	var games []string
	if c.QueryParam("collection") == "" {
		name = "Drills and games"
		played, err := s.Store.Games.List(ctx, false)
		if err != nil {
			return err
		}
		for _, r := range played {
			games = append(games, r.ID)
		}
	}
	files, err := s.ownOnes(ctx, drills, games)
	if err != nil {
		return err
	}
	data, err := handover.Pack(files)
	if err != nil {
		return err
	}
	return request.HandOut(c, handover.FileName(name)+".zip", "application/zip", data)
}
