package desk

import (
	"bytes"
	"cmp"
	"context"
	"errors"
	"fmt"
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/labstack/echo/v5"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/report"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/paper"
)

// LessonEditAsked is one thing to do to a lesson.
type LessonEditAsked struct {
	Document lesson.Document `json:"document"`
	Edit     editing.Edit    `json:"edit"`
}

// EditedLesson is a lesson after a change, scheduled.
type EditedLesson struct {
	editing.Edited
	Plan plan.Plan `json:"plan"`
}

// LessonBegun asks for a lesson to begin with.
type LessonBegun struct {
	Title    string   `json:"title" maxLength:"80" description:"Empty: the students' names"`
	Date     string   `json:"date" maxLength:"10" description:"Empty: today"`
	Start    string   `json:"start" maxLength:"5" description:"Hours:minutes where the lesson is given"`
	Minutes  int      `json:"minutes" minimum:"0" maximum:"600"`
	Students []string `json:"students" maxItems:"12"`
}

// begin makes a lesson to begin with: a block of every kind but drills.
func (s *Desk) begin(ctx context.Context, _ request.None, body LessonBegun) (lesson.Document, error) {
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion, Title: body.Title, Date: cmp.Or(body.Date, s.Today()), Start: body.Start,
		Minutes: body.Minutes, Students: body.Students, Blocks: []lesson.Block{},
	}
	in, err := s.Inputs(ctx, d)
	if err != nil {
		return d, err
	}
	d.Blocks = lesson.Starters(in.Sport())
	ids, err := repository.Fresh(len(d.Blocks))
	if err != nil {
		return d, err
	}
	for i := range d.Blocks {
		d.Blocks[i].ID = ids[i]
	}
	if d = schedule.Titled(d, in); d.Title == "" {
		d.Title = "A lesson" // the missing students are what is to be put right
	}
	return d, d.Check()
}

// LessonFillAsked is a lesson to be filled from a template.
type LessonFillAsked struct {
	Document lesson.Document `json:"document"`
	Template string          `json:"template" maxLength:"60"`
}

// VariantAsked asks what would suit a student.
type VariantAsked struct {
	Document lesson.Document `json:"document"`
	Block    string          `json:"block" format:"uuid"`
	Student  string          `json:"student" format:"uuid"`
}

// Copies asks for copies of a lesson, a week apart.
type Copies struct {
	IDs  []string `json:"ids" minItems:"1" maxItems:"26" description:"Identifiers of the copies, chosen by the client"`
	Date string   `json:"date" format:"date" description:"Day of the first copy; the others are given on the same day of the weeks after it"`
}

// Sheet is a lesson to be taken to court.
type Sheet struct {
	Lesson  plan.Lesson      `json:"lesson"`
	Content runsheet.Content `json:"content"`
	Drills  []DrillOnSheet   `json:"drills"`
	Games   []GameOnSheet    `json:"games"`
}

// GameOnSheet is a game of a lesson as it is drawn on its run sheet.
type GameOnSheet struct {
	ID      string         `json:"id"`
	Name    string         `json:"name"`
	OnCourt report.OnCourt `json:"onCourt"`
}

// DrillOnSheet is a drill of a lesson as it is drawn on its run sheet.
type DrillOnSheet struct {
	ID       string         `json:"id"`
	Document drill.Document `json:"document"`
	Report   report.Report  `json:"report"`
}

// planned schedules a changed lesson.
func (s *Desk) planned(ctx context.Context, changed editing.Edited, err error) (EditedLesson, error) {
	if err != nil {
		return EditedLesson{}, err
	}
	in, err := s.Rated(ctx, "", changed.Document)
	if err != nil {
		return EditedLesson{}, err
	}
	scheduled, err := repository.Planned(ctx, changed.Document, in)
	return EditedLesson{Edited: changed, Plan: scheduled}, err
}

func (s *Desk) editLesson(ctx context.Context, _ request.None, body LessonEditAsked) (EditedLesson, error) {
	in, err := s.Inputs(ctx, body.Edit.With(body.Document))
	if err != nil {
		return EditedLesson{}, err
	}
	ids, err := repository.Fresh(2)
	if err != nil {
		return EditedLesson{}, err
	}
	changed, err := editing.Apply(ctx, body.Document, body.Edit, ids, in)
	return s.planned(ctx, changed, err)
}

func (s *Desk) fill(ctx context.Context, _ request.None, body LessonFillAsked) (EditedLesson, error) {
	shape, known := template.FindTemplate(body.Template)
	if !known {
		return EditedLesson{}, invalid.Fields{{Path: "template", Message: "there is no such shape of a lesson"}}
	}
	in, err := s.Inputs(ctx, body.Document)
	if err != nil {
		return EditedLesson{}, err
	}
	needs := map[string][]catalogue.Need{}
	for _, person := range in.People {
		if needs[person.ID], err = s.needs(ctx, person.ID); err != nil {
			return EditedLesson{}, err
		}
	}
	choice, err := s.Choice(ctx, func(catalogue.Entry) bool { return true })
	if err != nil {
		return EditedLesson{}, err
	}
	ids, err := repository.Fresh(lesson.MaxBlocks)
	if err != nil {
		return EditedLesson{}, err
	}
	changed, err := shape.Fill(ctx, body.Document, needs, choice, ids, in)
	return s.planned(ctx, changed, err)
}

func (s *Desk) propose(ctx context.Context, _ request.None, body VariantAsked) (lesson.Variant, error) {
	if err := body.Document.Check(); err != nil {
		return lesson.Variant{}, err
	}
	in, err := s.Inputs(ctx, body.Document)
	if err != nil {
		return lesson.Variant{}, err
	}
	record, err := s.Store.Students.Get(ctx, body.Student)
	if err != nil {
		return lesson.Variant{}, err
	}
	var evidence []playerfit.Evidence
	i := slices.IndexFunc(body.Document.Blocks, func(b lesson.Block) bool { return b.ID == body.Block })
	if i >= 0 {
		block := body.Document.Blocks[i]
		if evidence, err = s.Evidence(
			ctx,
			body.Student,
			record.Document.Level,
			block.Drill,
			in.Drills[block.Plays()],
		); err != nil {
			return lesson.Variant{}, err
		}
	}
	return plan.Propose(ctx, body.Document, body.Block, body.Student, evidence, in)
}

func (s *Desk) courts(ctx context.Context, _ request.None, body lesson.Document) ([]schedule.CourtPlan, error) {
	in, err := s.Inputs(ctx, body)
	if err != nil {
		return nil, err
	}
	scheduled, err := repository.Planned(ctx, body, in)
	if err != nil {
		return nil, err
	}
	return schedule.CourtPlans(body, scheduled.Timetable, in)
}

// copies keeps copies of a lesson and returns them, scheduled with their clashes.
func (s *Desk) copies(ctx context.Context, p request.ByID, body Copies) ([]plan.Lesson, error) {
	record, err := s.Store.Lessons.Get(ctx, p.ID)
	if err != nil {
		return nil, err
	}
	day, err := time.Parse(time.DateOnly, body.Date)
	if err != nil {
		return nil, invalid.Fields{{Path: "date", Message: request.Formats["date"]}}
	}
	again := make([]lesson.Document, len(body.IDs))
	for i, id := range body.IDs {
		again[i] = record.Document.Again(day.AddDate(0, 0, 7*i).Format(time.DateOnly))
		if err := errors.Join(request.CheckID(id), again[i].Check()); err != nil {
			return nil, err
		}
	}
	made := make([]plan.Lesson, len(body.IDs))
	for i, id := range body.IDs {
		copied, err := s.Store.Lessons.Create(ctx, id, again[i])
		if err != nil {
			return nil, err
		}
		if made[i], err = s.Lesson(ctx, copied); err != nil {
			return nil, err
		}
	}
	return made, nil
}

func (s *Desk) sheet(ctx context.Context, p request.ByID, _ request.None) (Sheet, error) {
	record, err := s.Store.Lessons.Get(ctx, p.ID)
	if err != nil {
		return Sheet{}, err
	}
	scheduled, err := s.Lesson(ctx, record)
	if err != nil {
		return Sheet{}, err
	}
	in, err := s.Inputs(ctx, record.Document)
	if err != nil {
		return Sheet{}, err
	}
	cues := runsheet.Cues(record.Document, scheduled.Plan.Timetable, in)
	sheet := Sheet{
		Lesson:  scheduled,
		Content: runsheet.ContentOf(record.Document, scheduled.Plan, cues),
		Drills:  []DrillOnSheet{},
		Games:   []GameOnSheet{},
	}
	for _, block := range record.Document.Blocks {
		if played, known := in.Games[block.Plays()]; known && block.Game != "" &&
			!slices.ContainsFunc(sheet.Games, func(g GameOnSheet) bool { return g.ID == block.Plays() }) {
			if on, err := report.OfGame(played, in.Settings); err == nil {
				sheet.Games = append(sheet.Games, GameOnSheet{ID: block.Plays(), Name: block.Title, OnCourt: on})
			}
		}
		document, known := in.Drills[block.Plays()]
		if !known || slices.ContainsFunc(sheet.Drills, func(d DrillOnSheet) bool { return d.ID == block.Plays() }) {
			continue
		}
		report, err := report.Of(document, max(1, len(in.People)), in.Settings)
		if err != nil {
			return Sheet{}, request.Refusal(http.StatusConflict, block.Title+" can no longer be drawn: "+err.Error())
		}
		sheet.Drills = append(sheet.Drills, DrillOnSheet{ID: block.Plays(), Document: document, Report: report})
	}
	return sheet, nil
}

// Paper answers with the run sheet as a PDF: one page of A4, or an A5 card.
func (s *Desk) Paper(c *echo.Context) error {
	size := paper.Size(cmp.Or(c.QueryParam("paper"), string(paper.A4)))
	if size != paper.A4 && size != paper.A5 {
		return invalid.Fields{{Path: "paper", Message: "choose A4 or A5"}}
	}
	sheet, err := s.sheet(c.Request().Context(), request.ByID{ID: c.Param("id")}, request.None{})
	if err != nil {
		return err
	}
	content := paper.Content{Date: sheet.Lesson.Document.Date, Sheet: sheet.Content, Schedule: sheet.Lesson.Plan.Timetable}
	for _, d := range sheet.Drills {
		content.Drills = append(content.Drills, paper.Drawn{Name: d.Document.Name, Report: d.Report})
	}
	for _, g := range sheet.Games {
		content.Drills = append(content.Drills, paper.Drawn{Name: g.Name, Report: g.OnCourt.Report()})
	}
	var pdf bytes.Buffer
	if err := paper.Write(&pdf, content, size); err != nil {
		return err
	}
	name := fmt.Sprintf(
		"%s %s %s.pdf",
		sheet.Lesson.Document.Date,
		strings.ReplaceAll(sheet.Lesson.Document.Start, ":", ""),
		size,
	)
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("inline; filename=%q", name))
	c.Response().Header().Set("Cache-Control", "no-store")
	return c.Blob(http.StatusOK, request.PDF, pdf.Bytes())
}

// next proposes the next lesson of the same students.
func (s *Desk) next(ctx context.Context, p request.ByID, _ request.None) (lesson.Document, error) {
	record, err := s.Store.Lessons.Get(ctx, p.ID)
	if err != nil {
		return lesson.Document{}, err
	}
	was := record.Document
	if planned, err := s.Store.Planned(ctx, p.ID); err != nil {
		return lesson.Document{}, err
	} else if planned != nil {
		was.Minutes, was.Start = planned.Minutes, planned.Start // before it was fitted to a late begin
	}
	day, err := time.Parse(time.DateOnly, was.Date)
	if err != nil {
		return lesson.Document{}, err
	}
	in, err := s.Inputs(ctx, was)
	if err != nil {
		return lesson.Document{}, err
	}
	shape, ok := template.Suiting(len(in.People), was.Minutes, in.Court(was).Sport)
	if !ok {
		return lesson.Document{}, request.Refusal(
			http.StatusConflict,
			"There is no shape of a lesson for so many students: copy this lesson instead.",
		)
	}
	next := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         was.Title,
		Date:          day.AddDate(0, 0, 7).Format(time.DateOnly),
		Start:         was.Start,
		Minutes:       was.Minutes,
		Space:         was.Space,
		Students:      lesson.IDs(in.People),
		Blocks:        []lesson.Block{},
	}
	filled, err := s.fill(ctx, request.None{}, LessonFillAsked{Document: next, Template: shape.Name})
	return filled.Document, err
}
