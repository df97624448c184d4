package exchange

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/sharing"
	"hodometer/core/lesson"
	"hodometer/handover"
	"hodometer/store"
)

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
	File     string       `json:"file" description:"In a collection"`
	Kind     sharing.Kind `json:"kind"`
	ID       string       `json:"id"`
	Name     string       `json:"name"`
	Wrong    []string     `json:"wrong" description:"Why it cannot come in"`
	Older    int          `json:"older" description:"The format that it was written in, where that is an earlier one; 0 else"`
	There    There        `json:"there" description:"Whether there is a document of its identifier here"`
	Mine     *Passed      `json:"mine" description:"The other one that is here; null where there is none"`
	Revision int64        `json:"revision" description:"Of the one that is here; 0 where there is none"`
	People   int          `json:"people" description:"Of a lesson: how many it was planned for"`
	Needs    []string     `json:"needs" description:"Of a lesson: drills and games that are neither here nor in the file"`
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
	Revision int64  `json:"revision,omitempty" minimum:"0" maximum:"9007199254740991" description:"Of the one that it comes instead of"`
}

// DocumentsComing are documents that come in together, and who the lessons among them are for.
type DocumentsComing struct {
	Documents []Coming `json:"documents" minItems:"1" maxItems:"2000"`
	Students  []string `json:"students,omitempty" maxItems:"12" description:"Of lessons: who stands in the place of the first, the second…; of ladders: the first is whose they are"`
	Date      string   `json:"date,omitempty" format:"date" description:"Of lessons: on which day; empty: as written"`
}

// DocumentsCame are the identifiers of what came in, in its order.
type DocumentsCame struct {
	IDs []string `json:"ids"`
}

func (s *Exchange) documentRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"POST",
			"/api/documents/look",
			"lookAtDocuments",
			"Find drills, games, lessons and ladders in a file, and bring nothing in",
			func(ctx context.Context, _ request.None, body request.File) (DocumentsLooked, error) {
				return s.lookAt(ctx, body)
			},
		),
		request.Make(
			"GET",
			"/api/drills/:id/code",
			"getDrillCode",
			"A drill as a code that a camera reads, and as a line in words",
			s.drillCode,
		),
		request.Make("POST", "/api/documents", "bringInDocuments", "Bring documents in: all of them, or none", s.bringIn).
			ForFiles(),
	}
}

func (s *Exchange) lookAt(ctx context.Context, file []byte) (DocumentsLooked, error) {
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
func (s *Exchange) look(ctx context.Context, one handover.Opened) (Looked, error) {
	l := Looked{
		File:  one.File,
		Kind:  one.Piece.Hodometer,
		ID:    one.Piece.ID,
		Name:  one.Piece.Name(),
		Wrong: []string{},
		Needs: []string{},
		There: NotThere,
	}
	if one.Err != nil {
		l.Kind, l.Wrong = sharing.Drill, []string{one.Err.Error()}
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
	if err := s.Schemas.Check(bodyOf[l.Kind], text); err != nil {
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
		if err := request.CheckID(l.ID); err != nil {
			l.ID = ""
			return l, nil //nolint:nilerr // it gets another one
		}
	}
	return l, s.find(ctx, &l)
}

// find finds the document of the same identifier that is here, if there is one.
func (s *Exchange) find(ctx context.Context, l *Looked) error {
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
func (s *Exchange) mine(ctx context.Context, kind sharing.Kind, id string) (Passed, int64, error) {
	switch kind {
	case sharing.Drill:
		d, err := s.Drill(ctx, id)
		return Passed{Drill: &d.Document}, d.Revision, err
	case sharing.Game:
		if document, ready := library.FindGame(id); ready {
			return Passed{Game: &document}, 1, nil
		}
		record, err := s.Store.Games.Get(ctx, id)
		return Passed{Game: &record.Document}, record.Revision, err
	case sharing.Ladder:
		return Passed{}, 0, store.ErrNotFound // they belong to a student, and have no identifier of their own
	default:
		record, err := s.Store.Lessons.Get(ctx, id)
		if err != nil {
			return Passed{}, 0, err
		}
		nameless := sharing.Nameless(record.Document, placeholder)
		return Passed{Lesson: &nameless}, record.Revision, nil
	}
}

// placeholder is the identifier of the i-th student of a lesson that is passed on.
func placeholder(i int) string { return fmt.Sprintf("00000000-0000-4000-8000-%012d", i+1) }

// missing lists what a lesson plays and is neither here nor among the others.
func (s *Exchange) missing(ctx context.Context, l *Looked, all []Looked) error {
	if l.Lesson == nil {
		return nil
	}
	drills, games := sharing.Needs(*l.Lesson)
	for _, need := range []struct {
		kind sharing.Kind
		ids  []string
	}{{sharing.Drill, drills}, {sharing.Game, games}} {
		for _, id := range need.ids {
			if slices.ContainsFunc(
				all,
				func(other Looked) bool { return other.Kind == need.kind && other.ID == id && len(other.Wrong) == 0 },
			) {
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

func (s *Exchange) bringIn(ctx context.Context, _ request.None, body DocumentsComing) (DocumentsCame, error) {
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
			recast := sharing.Renamed(*c.Lesson, renamed)
			if len(body.Students) > 0 {
				recast = sharing.Cast(recast, body.Students)
			}
			if body.Date != "" {
				recast.Date = body.Date
			}
			c.Lesson = &recast
			wrong.Under(at, s.allHere(ctx, recast.Students))
		}
		if c.Ladder != nil {
			wrong.Under(at, s.oneIsHere(ctx, body.Students))
		}
		if c.As == AsInstead {
			wrong.Under(at, s.mayReplace(c.kind(), c.ID))
		}
		wrong.Under(at, c.check())
		text, err := json.Marshal(c.document())
		if err != nil {
			return DocumentsCame{}, err
		}
		all[i] = store.Brought{Kind: c.kind(), ID: ids[i], Text: text, Ladder: c.Ladder}
		if c.Ladder != nil && len(body.Students) > 0 {
			all[i].ID, ids[i] = body.Students[0], body.Students[0]
		}
		if c.As == AsInstead {
			all[i].Revision = c.Revision
		}
	}
	if wrong.Err() != nil {
		return DocumentsCame{}, wrong
	}
	return DocumentsCame{IDs: ids}, s.Store.BringIn(ctx, all)
}

// mayReplace says whether what is here may be replaced.
func (s *Exchange) mayReplace(kind sharing.Kind, id string) error {
	_, drill := library.Find(id)
	_, ready := library.FindGame(id)
	if kind == sharing.Drill && drill || kind == sharing.Game && ready {
		return errors.New("what is built in stays as it is; take it beside the one here")
	}
	return nil
}

// oneIsHere says whether the student whose ladders come in is here.
func (s *Exchange) oneIsHere(ctx context.Context, ids []string) error {
	if len(ids) == 0 || s.allHere(ctx, ids[:1]) != nil {
		return errors.New("say whose ladders these are")
	}
	return nil
}

// allHere says whether all students of a lesson are here.
func (s *Exchange) allHere(ctx context.Context, ids []string) error {
	there, err := s.Store.Students.Some(ctx, ids)
	if err != nil {
		return err
	}
	if len(there) < len(ids) {
		return errors.New("say which of your students this lesson is for")
	}
	return nil
}
