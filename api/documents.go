package api

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"
	"path"
	"slices"
	"strings"

	"github.com/google/uuid"
	"github.com/labstack/echo/v5"
	"github.com/santhosh-tekuri/jsonschema/v6"

	"hodometer/access"
	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/exchange"
	"hodometer/core/game"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/library"
	"hodometer/core/report"
	"hodometer/core/shorthand"
	"hodometer/handover"
	"hodometer/picture"
	"hodometer/store"
)

// Passed is a document that is passed on: one of the three.
type Passed struct {
	Drill  *drill.Document  `json:"drill,omitempty"`
	Game   *game.Document   `json:"game,omitempty"`
	Lesson *lesson.Document `json:"lesson,omitempty"`
}

// There is what is known of the identifier of a document.
type There string

// What can be known of it.
const (
	NotThere  There = "new"
	SameThere There = "the same"
	OtherHere There = "another"
)

// Looked is a document that was found in a file.
type Looked struct {
	Passed
	File     string        `json:"file" description:"In a collection"`
	Kind     exchange.Kind `json:"kind"`
	ID       string        `json:"id"`
	Name     string        `json:"name"`
	Wrong    []string      `json:"wrong" description:"Why it cannot come in"`
	Older    int           `json:"older" description:"The format that it was written in, where that is an earlier one; 0 else"`
	There    There         `json:"there" description:"Whether there is a document of its identifier here"`
	Mine     *Passed       `json:"mine" description:"The other one that is here; null where there is none"`
	Revision int64         `json:"revision" description:"Of the one that is here; 0 where there is none"`
	People   int           `json:"people" description:"Of a lesson: how many it was planned for"`
	Needs    []string      `json:"needs" description:"Of a lesson: drills and games that are neither here nor in the file"`
}

// DocumentsLooked are the documents in a file.
type DocumentsLooked struct {
	Documents []Looked `json:"documents"`
}

// As is how a document comes in.
type As string

// The ways.
const (
	AsNew     As = "new"
	AsInstead As = "instead of the one here"
	AsBoth    As = "beside the one here"
)

// Coming is a document that is to come in.
type Coming struct {
	Passed
	ID       string `json:"id" maxLength:"40" description:"Empty: it gets one"`
	As       As     `json:"as"`
	Revision int64  `json:"revision,omitempty" minimum:"0" description:"Of the one that it comes instead of"`
}

// DocumentsComing are documents that come in together, and who the lessons among them are for.
type DocumentsComing struct {
	Documents []Coming `json:"documents" minItems:"1" maxItems:"2000"`
	Students  []string `json:"students,omitempty" maxItems:"12" description:"Of lessons: who stands in the place of the first, the second…"`
	Date      string   `json:"date,omitempty" format:"date" description:"Of lessons: on which day; empty: as written"`
}

// DocumentsCame are the identifiers of what came in, in its order.
type DocumentsCame struct {
	IDs []string `json:"ids"`
}

// DrillCode is a drill to be passed on without a file.
type DrillCode struct {
	Text string   `json:"text" description:"What is in the code"`
	QR   []string `json:"qr" description:"Row by row, 1 for dark; with its light edge"`
	Line string   `json:"line" description:"Its court, its name, and its pattern in words; see docs/shorthand.md. Empty where it does not fit in a line"`
}

func (s *server) documentRoutes() []Route {
	return []Route{
		route("POST", "/api/documents/look", "lookAtDocuments", "Find drills, games and lessons in a file, and bring nothing in", func(ctx context.Context, _ None, body File) (DocumentsLooked, error) {
			return s.lookAt(ctx, body)
		}),
		route("GET", "/api/drills/:id/code", "getDrillCode", "A drill as a code that a camera reads, and as a line in words", s.drillCode),
		route("POST", "/api/documents", "bringInDocuments", "Bring documents in: all of them, or none", s.bringIn).large(),
	}
}

// lineParts are the parts of a drill that is passed on as a line: its court, its name, its pattern.
const lineParts = 3

// lineOf writes a drill as a line that can be sent in a message: its court, its name, and its pattern in words.
func lineOf(d drill.Document) string {
	name := strings.Join(strings.Fields(strings.ReplaceAll(d.Name, "|", " ")), " ")
	return fmt.Sprintf("%s | %s | %s", d.Court, name, shorthand.Of(d))
}

// fromLine is the drill of such a line; false where a text is none. What the line does not say is as in a new drill.
func fromLine(text string) (exchange.Piece, bool, error) {
	parts := strings.SplitN(strings.TrimSpace(text), "|", lineParts)
	if len(parts) < lineParts || strings.ContainsAny(parts[0], "{\n\x00") {
		return exchange.Piece{}, false, nil
	}
	on, err := court.Find(court.ID(strings.TrimSpace(parts[0])))
	if err != nil {
		return exchange.Piece{}, true, fmt.Errorf("this line begins with a court that is not known here: %s", strings.TrimSpace(parts[0]))
	}
	d, err := library.Begun(on.ID, court.Point{Y: -on.Length / 4})
	if err != nil {
		return exchange.Piece{}, true, err
	}
	d, words, err := shorthand.Applied(d, strings.TrimSpace(parts[2]))
	if err != nil {
		return exchange.Piece{}, true, fmt.Errorf("this line was not understood: %s", lineWrong(words, err))
	}
	d.Name = strings.TrimSpace(parts[1])
	document, err := json.Marshal(d)
	return exchange.Piece{Hodometer: exchange.Drill, Document: document}, true, err
}

// reads says whether a line says all that its drill needs: one with start places of its own for several players does not fit in a line.
func reads(line string) bool {
	piece, _, err := fromLine(line)
	if err != nil {
		return false
	}
	passed, err := passedOf(exchange.Drill, piece.Document)
	return err == nil && passed.check() == nil
}

// lineWrong says what of a line was not understood.
func lineWrong(words []shorthand.Word, err error) string {
	for _, w := range words {
		if w.Wrong != "" {
			return w.Wrong
		}
	}
	return invalid.Sentence(err)
}

func (s *server) lookAt(ctx context.Context, file []byte) (DocumentsLooked, error) {
	opened, err := handover.Open(file)
	if piece, is, wrong := fromLine(string(file)); is {
		opened, err = []handover.Opened{{Piece: piece}}, nil
		if wrong != nil {
			return DocumentsLooked{}, invalid.Fields{{Path: "file", Message: wrong.Error()}}
		}
	}
	if errors.Is(err, handover.ErrUnreadable) {
		return DocumentsLooked{}, invalid.Fields{{Path: "file", Message: err.Error()}}
	}
	if err != nil {
		return DocumentsLooked{}, err
	}
	answer := DocumentsLooked{Documents: []Looked{}}
	for _, one := range opened {
		looked, err := s.look(ctx, one)
		if err != nil {
			return DocumentsLooked{}, err
		}
		answer.Documents = append(answer.Documents, looked)
	}
	for i := range answer.Documents {
		if err := s.missing(ctx, &answer.Documents[i], answer.Documents); err != nil {
			return DocumentsLooked{}, err
		}
	}
	return answer, nil
}

// look reads one document, brings it up where it is of an earlier format, and finds what is here of it.
func (s *server) look(ctx context.Context, one handover.Opened) (Looked, error) {
	l := Looked{File: one.File, Kind: one.Piece.Hodometer, ID: one.Piece.ID, Name: one.Piece.Name(), Wrong: []string{}, Needs: []string{}, There: NotThere}
	if one.Err != nil {
		l.Kind, l.Wrong = exchange.Drill, []string{one.Err.Error()}
		return l, nil
	}
	text := []byte(one.Piece.Document)
	if version := one.Piece.Version(); version != l.Kind.Current() {
		brought, err := store.BringUp(ctx, one.Piece)
		if err != nil {
			l.Wrong = []string{err.Error()}
			return l, nil //nolint:nilerr // it is told where the coach looks
		}
		l.Older, text = version, brought
	}
	if err := s.schemas.document(l.Kind, text); err != nil {
		l.Wrong = said(err)
		return l, nil
	}
	passed, err := passedOf(l.Kind, text)
	if err != nil {
		l.Wrong = said(err)
		return l, nil
	}
	l.Passed, l.Wrong = passed, said(passed.check())
	if l.Lesson != nil {
		l.People = len(l.Lesson.Students)
	}
	if l.ID != "" {
		if err := checkID(l.ID); err != nil {
			l.ID = ""
			return l, nil //nolint:nilerr // it gets another one
		}
	}
	return l, s.find(ctx, &l)
}

// find finds the document of the same identifier that is here, if there is one.
func (s *server) find(ctx context.Context, l *Looked) error {
	if l.ID == "" {
		return nil
	}
	mine, revision, err := s.mine(ctx, l.Kind, l.ID)
	if errors.Is(err, store.ErrNotFound) {
		return nil
	}
	if err != nil {
		return err
	}
	theirs, err := json.Marshal(l.Passed)
	if err != nil {
		return err
	}
	ours, err := json.Marshal(mine)
	if err != nil {
		return err
	}
	l.Revision, l.There = revision, OtherHere
	if bytes.Equal(theirs, ours) {
		l.There = SameThere
	} else {
		l.Mine = &mine
	}
	return nil
}

// mine is the document of an identifier that is here. A lesson is compared without its people.
func (s *server) mine(ctx context.Context, kind exchange.Kind, id string) (Passed, int64, error) {
	switch kind {
	case exchange.Drill:
		d, err := s.drill(ctx, id)
		return Passed{Drill: &d.Document}, d.Revision, err
	case exchange.Game:
		if document, ready := library.FindGame(id); ready {
			return Passed{Game: &document}, 1, nil
		}
		record, err := s.store.Games.Get(ctx, id)
		return Passed{Game: &record.Document}, record.Revision, err
	default:
		record, err := s.store.Lessons.Get(ctx, id)
		if err != nil {
			return Passed{}, 0, err
		}
		nameless := exchange.Nameless(record.Document, placeholder)
		return Passed{Lesson: &nameless}, record.Revision, nil
	}
}

// placeholder is the identifier of the i-th student of a lesson that is passed on.
func placeholder(i int) string { return fmt.Sprintf("00000000-0000-4000-8000-%012d", i+1) }

// missing lists what a lesson plays and is neither here nor among the others.
func (s *server) missing(ctx context.Context, l *Looked, all []Looked) error {
	if l.Lesson == nil {
		return nil
	}
	drills, games := exchange.Needs(*l.Lesson)
	for _, need := range []struct {
		kind exchange.Kind
		ids  []string
	}{{exchange.Drill, drills}, {exchange.Game, games}} {
		for _, id := range need.ids {
			if slices.ContainsFunc(all, func(other Looked) bool { return other.Kind == need.kind && other.ID == id && len(other.Wrong) == 0 }) {
				continue
			}
			_, _, err := s.mine(ctx, need.kind, id)
			if errors.Is(err, store.ErrNotFound) {
				i := slices.IndexFunc(l.Lesson.Blocks, func(b lesson.Block) bool { return b.Drill == id || b.Game == id })
				l.Needs = append(l.Needs, l.Lesson.Blocks[i].Title)
				continue
			}
			if err != nil {
				return err
			}
		}
	}
	return nil
}

func passedOf(kind exchange.Kind, text []byte) (Passed, error) {
	switch kind {
	case exchange.Drill:
		var d drill.Document
		return Passed{Drill: &d}, exchange.Strict(text, &d)
	case exchange.Game:
		var d game.Document
		return Passed{Game: &d}, exchange.Strict(text, &d)
	default:
		var d lesson.Document
		return Passed{Lesson: &d}, exchange.Strict(text, &d)
	}
}

// kind is what a document is; empty where it is none, or more than one.
func (p Passed) kind() exchange.Kind {
	switch {
	case p.Drill != nil && p.Game == nil && p.Lesson == nil:
		return exchange.Drill
	case p.Game != nil && p.Drill == nil && p.Lesson == nil:
		return exchange.Game
	case p.Lesson != nil && p.Drill == nil && p.Game == nil:
		return exchange.Lesson
	}
	return ""
}

func (p Passed) check() error {
	switch p.kind() {
	case exchange.Drill:
		return p.Drill.Check()
	case exchange.Game:
		return p.Game.Check()
	case exchange.Lesson:
		return p.Lesson.Check()
	}
	return invalid.Fields{{Path: "", Message: "say what it is: a drill, a game or a lesson"}}
}

func (p Passed) document() any {
	switch p.kind() {
	case exchange.Drill:
		return p.Drill
	case exchange.Game:
		return p.Game
	default:
		return p.Lesson
	}
}

// said is what is wrong in sentences, each with where it is.
func said(err error) []string {
	var fields invalid.Fields
	switch {
	case err == nil:
		return []string{}
	case !errors.As(err, &fields):
		return []string{err.Error()}
	}
	list := make([]string, len(fields))
	for i, f := range fields {
		list[i] = strings.TrimPrefix(f.Path+": "+f.Message, ": ")
	}
	return list
}

// document holds a document against the schema that the body of saving it has.
func (b bodies) document(kind exchange.Kind, text []byte) error {
	name := map[exchange.Kind]string{exchange.Drill: "saveDrill", exchange.Game: "saveGame", exchange.Lesson: "saveLesson"}[kind]
	if wrong := unsound(text); wrong.Err() != nil {
		return wrong
	}
	loose, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		return err
	}
	var wrong *jsonschema.ValidationError
	if err := b[name].Validate(loose); errors.As(err, &wrong) {
		return describeAll(wrong)
	} else if err != nil {
		return err
	}
	return nil
}

func (s *server) bringIn(ctx context.Context, _ None, body DocumentsComing) (DocumentsCame, error) {
	ids, renamed := make([]string, len(body.Documents)), map[string]string{}
	for i, c := range body.Documents {
		ids[i] = c.ID
		if c.ID == "" || c.As == AsBoth {
			id, err := uuid.NewV7()
			if err != nil {
				return DocumentsCame{}, err
			}
			ids[i] = id.String()
			if c.ID != "" {
				renamed[c.ID] = ids[i]
			}
		}
	}
	var wrong invalid.Fields
	all := make([]store.Brought, len(body.Documents))
	for i, c := range body.Documents {
		at := invalid.Join("documents", i)
		if c.Lesson != nil {
			recast := exchange.Renamed(*c.Lesson, renamed)
			if len(body.Students) > 0 {
				recast = exchange.Cast(recast, body.Students)
			}
			if body.Date != "" {
				recast.Date = body.Date
			}
			c.Lesson = &recast
			wrong.Under(at, s.allHere(ctx, recast.Students))
		}
		if c.As == AsInstead {
			wrong.Under(at, s.mayReplace(c.kind(), c.ID))
		}
		wrong.Under(at, c.check())
		text, err := json.Marshal(c.document())
		if err != nil {
			return DocumentsCame{}, err
		}
		all[i] = store.Brought{Kind: c.kind(), ID: ids[i], Text: text}
		if c.As == AsInstead {
			all[i].Revision = c.Revision
		}
	}
	if wrong.Err() != nil {
		return DocumentsCame{}, wrong
	}
	return DocumentsCame{IDs: ids}, s.store.BringIn(ctx, all)
}

// mayReplace says whether what is here may be replaced.
func (s *server) mayReplace(kind exchange.Kind, id string) error {
	_, drill := library.Find(id)
	_, ready := library.FindGame(id)
	if kind == exchange.Drill && drill || kind == exchange.Game && ready {
		return errors.New("what is built in stays as it is; take it beside the one here")
	}
	return nil
}

// allHere says whether all students of a lesson are here.
func (s *server) allHere(ctx context.Context, ids []string) error {
	there, err := s.store.Students.Some(ctx, ids)
	if err != nil {
		return err
	}
	if len(there) < len(ids) {
		return errors.New("say which of your students this lesson is for")
	}
	return nil
}

func (s *server) drillCode(ctx context.Context, p byID, _ None) (DrillCode, error) {
	d, err := s.drill(ctx, p.ID)
	if err != nil {
		return DrillCode{}, err
	}
	text, err := codeOf(d.ID, d.Document)
	if err != nil {
		return DrillCode{}, err
	}
	rows, err := access.QR(text)
	if err != nil {
		return DrillCode{}, problem(http.StatusUnprocessableEntity, "This drill is too large for a code. Hand it out as a file.")
	}
	line := lineOf(d.Document)
	if !reads(line) {
		line = ""
	}
	return DrillCode{Text: text, QR: rows, Line: line}, nil
}

// codeOf is a drill as the text of a code.
func codeOf(id string, d drill.Document) (string, error) {
	document, err := json.Marshal(d)
	if err != nil {
		return "", err
	}
	return exchange.Code(exchange.Piece{Hodometer: exchange.Drill, ID: id, Document: document})
}

// documentOut hands a drill, a game or a lesson out. A lesson goes with the drills and games of the coach's own that it plays, and without its people.
func (s *server) documentOut(c *echo.Context) error {
	ctx, id := c.Request().Context(), strings.TrimSuffix(c.Param("file"), ".json")
	kind := exchange.Kind(c.Param("kind"))
	id, zipped := strings.CutSuffix(id, ".zip")
	switch ending := path.Ext(id); ending {
	case ".svg", ".png":
		return s.courtOut(c, kind, strings.TrimSuffix(id, ending), ending)
	case ".pdf":
		return s.cardOut(c, kind, strings.TrimSuffix(id, ending))
	}
	if kind.Current() == 0 || checkID(id) != nil {
		return echo.ErrNotFound
	}
	passed, _, err := s.mine(ctx, kind, id)
	if err != nil {
		return err
	}
	text, err := exchange.Write(kind, id, passed.document())
	if err != nil {
		return err
	}
	piece, err := exchange.Read(text)
	if err != nil {
		return err
	}
	name := handover.FileName(piece.Name())
	if !zipped {
		return s.handOut(c, fmt.Sprintf("%s (%s).json", name, kind), "application/json", text)
	}
	files := []handover.Packed{{Name: fmt.Sprintf("%s (%s).json", name, kind), Data: text}}
	if passed.Lesson != nil {
		drills, games := exchange.Needs(*passed.Lesson)
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
	return s.handOut(c, name+".zip", "application/zip", data)
}

// pixels is how wide a picture of a court is.
const pixels = 1000

// courtOut hands out the court of a drill, or of a game, as a picture.
func (s *server) courtOut(c *echo.Context, kind exchange.Kind, id, ending string) error {
	ctx := c.Request().Context()
	if checkID(id) != nil || kind == exchange.Lesson {
		return echo.ErrNotFound
	}
	passed, _, err := s.mine(ctx, kind, id)
	if err != nil {
		return err
	}
	settings, _, err := s.store.Settings(ctx)
	if err != nil {
		return err
	}
	name, drawn, err := passed.drawn(settings)
	if err != nil {
		return err
	}
	if ending == ".svg" {
		return s.handOut(c, handover.FileName(name)+ending, "image/svg+xml", picture.SVG(name, drawn))
	}
	data, err := picture.PNG(drawn, pixels)
	if err != nil {
		return err
	}
	return s.handOut(c, handover.FileName(name)+ending, "image/png", data)
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
const aboutCollections = `Drills, games and lessons from Hodometer, each a JSON document, and its court as a picture (SVG).

Hodometer brings them in under Drills > Bring in: choose this .zip, or one of its files. What is built into Hodometer is not in here: it is there
already. docs/formats.md, which comes with Hodometer, says what is in each.
`

// ownOnes are a word about what they are, and the files of those drills and games that are the coach's own; others have the ones that are built in.
func (s *server) ownOnes(ctx context.Context, drills, games []string) ([]handover.Packed, error) {
	own, err := s.store.Drills.Some(ctx, drills)
	if err != nil {
		return nil, err
	}
	played, err := s.store.Games.Some(ctx, games)
	if err != nil {
		return nil, err
	}
	files := []handover.Packed{{Name: "README.txt", Data: []byte(aboutCollections)}}
	settings, _, err := s.store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	add := func(kind exchange.Kind, id, name string, document Passed) error {
		text, err := exchange.Write(kind, id, document.document())
		file := fmt.Sprintf("%s (%s) %s", handover.FileName(name), kind, id[len(id)-6:])
		files = append(files, handover.Packed{Name: file + ".json", Data: text})
		if _, drawn, err := document.drawn(settings); err == nil { // one that makes no sense any more has no picture
			files = append(files, handover.Packed{Name: file + ".svg", Data: picture.SVG(name, drawn)})
		}
		return err
	}
	for _, id := range drills {
		if r, is := own[id]; is {
			if err := add(exchange.Drill, id, r.Document.Name, Passed{Drill: &r.Document}); err != nil {
				return nil, err
			}
		}
	}
	for _, id := range games {
		if r, is := played[id]; is {
			if err := add(exchange.Game, id, r.Document.Name, Passed{Game: &r.Document}); err != nil {
				return nil, err
			}
		}
	}
	return files, nil
}

// collectionOut hands out the coach's own drills and games together, or those of one collection.
func (s *server) collectionOut(c *echo.Context) error {
	ctx := c.Request().Context()
	settings, _, err := s.store.Settings(ctx)
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
		played, err := s.store.Games.List(ctx, false)
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
	return s.handOut(c, handover.FileName(name)+".zip", "application/zip", data)
}
