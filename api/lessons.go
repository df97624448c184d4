package api

import (
	"context"
	"errors"
	"time"

	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/student"
	"hodometer/store"
)

// State is how far a lesson has come.
type State string

// The states.
const (
	Planned  State = "planned"
	Begun    State = "begun"
	Finished State = "finished"
)

// Person is a student as a lesson shows them.
type Person struct {
	ID       string       `json:"id"`
	Name     string       `json:"name"`
	Hand     student.Hand `json:"hand"`
	Archived bool         `json:"archived" description:"Out of the lists"`
	Watch    []string     `json:"watch" description:"Faults to watch"`
}

// Lesson is a lesson scheduled.
type Lesson struct {
	ID       string          `json:"id"`
	Revision int64           `json:"revision"`
	Archived bool            `json:"archived" description:"Out of the lists; can be brought back"`
	State    State           `json:"state"`
	Document lesson.Document `json:"document"`
	People   []Person        `json:"people"`
	Plan     lesson.Plan     `json:"plan"`
	Clashes  []string        `json:"clashes" description:"Other lessons at the same time, in words"`
}

func (l Lesson) tag() int64 { return l.Revision }

// Diary is the lessons of some days.
type Diary struct {
	Today   string   `json:"today" description:"The day it is where Hodometer runs"`
	Lessons []Lesson `json:"lessons"`

	Unreadable []Unreadable `json:"unreadable" description:"Lessons of these days, or of no day, that cannot be shown"`
}

// Past is lessons before today, a page of them.
type Past struct {
	Diary
	More bool `json:"more" description:"There are earlier ones"`
}

// paged is the parameter of a list that comes in pages.
type paged struct {
	Skip int `query:"skip" description:"How many to leave out at the beginning" minimum:"0"`
}

// between is the parameter of a span of days.
type between struct {
	Ahead int `query:"ahead" description:"Days from today on; 0 for today only" minimum:"0" maximum:"366"`
	Back  int `query:"back" description:"Days back from today" minimum:"0" maximum:"366"`
}

func (s *server) lessonRoutes() []Route {
	return []Route{
		route("GET", "/api/lessons", "listLessons", "The lessons around today", s.diary),
		route("GET", "/api/lessons/past", "listPastLessons", "Lessons before today, the latest first", s.past),
		route("GET", "/api/lessons/:id", "getLesson", "One lesson on the clock", func(ctx context.Context, p byID, _ None) (Lesson, error) {
			record, err := s.store.Lessons.Get(ctx, p.ID)
			if err != nil {
				return Lesson{}, err
			}
			return s.lesson(ctx, record)
		}),
		route("PUT", "/api/lessons/:id", "saveLesson", "Add or change a lesson", func(ctx context.Context, p keep, body lesson.Document) (Lesson, error) {
			record, err := save(ctx, s.store.Lessons, p, body)
			if err != nil {
				return Lesson{}, err
			}
			return s.lesson(ctx, record)
		}),
		route("PUT", "/api/lessons/:id/archived", "archiveLesson", "Archive a lesson, or bring it back", func(ctx context.Context, p byID, body Archiving) (Lesson, error) {
			record, err := s.store.Lessons.Archive(ctx, p.ID, body.Archived)
			if err != nil {
				return Lesson{}, err
			}
			return s.lesson(ctx, record)
		}),
		route("GET", "/api/lessons/blocks", "listBlocks", "Blocks of every kind and for every drill, ready to be put into a lesson", s.blocks),
		route("GET", "/api/lessons/templates", "listTemplates", "The shapes of lessons", func(context.Context, None, None) ([]lesson.Template, error) {
			return lesson.Templates(), nil
		}),
		route("POST", "/api/lessons/fill", "fillLesson", "Fill a lesson from a template with drills for its students' next steps, without saving it", s.fill),
		route("POST", "/api/lessons/edit", "editLesson", "Do one thing to a lesson and fit the rest, without saving it", s.editLesson),
		route("POST", "/api/lessons/propose", "proposeVariant", "What would suit one student in one drill of a lesson", s.propose),
		route("POST", "/api/lessons/courts", "planCourts", "Where everything stands in a lesson, and in which order it is walked off", s.courts),
		route("POST", "/api/lessons/preview", "previewLesson", "Lay a lesson on the clock without saving it", func(ctx context.Context, _ None, body lesson.Document) (lesson.Plan, error) {
			in, err := s.rated(ctx, body)
			if err != nil {
				return lesson.Plan{}, err
			}
			return plan(ctx, body, in)
		}),
		route("POST", "/api/lessons/:id/clashes", "findClashes", "Which other lessons a lesson would overlap with, without saving it", func(ctx context.Context, p byID, body lesson.Document) ([]string, error) {
			in, err := s.inputs(ctx, body)
			if err != nil {
				return nil, err
			}
			return s.clashes(ctx, p.ID, body, in)
		}),
		route("POST", "/api/lessons/:id/copies", "copyLesson", "Copy a lesson to another day, or to the same day of some weeks; the same copies may be asked for again", s.copies),
		route("GET", "/api/lessons/:id/sheet", "getSheet", "The run sheet of a lesson with the courts of its drills", s.sheet),
	}
}

// Blocks are blocks that stand ready, each with a fresh identifier.
type Blocks struct {
	Start  []lesson.Block `json:"start" description:"What a new lesson begins with"`
	More   []lesson.Block `json:"more" description:"The other kinds without a drill"`
	Drills []lesson.Block `json:"drills"`
}

// forPeople is the parameter of something worked out for a number of players.
type forPeople struct {
	People int `query:"people" description:"Players in the lesson" minimum:"1" maximum:"12"`
}

func (s *server) blocks(ctx context.Context, p forPeople, _ None) (Blocks, error) {
	settings, _, err := s.store.Settings(ctx)
	if err != nil {
		return Blocks{}, err
	}
	drills, err := s.listDrills(ctx, listed{}, None{})
	if err != nil {
		return Blocks{}, err
	}
	ready := Blocks{Start: lesson.Starters(), More: lesson.More(), Drills: []lesson.Block{}}
	for _, d := range drills {
		ready.Drills = append(ready.Drills, lesson.ForDrill(d.ID, d.Document, max(1, p.People), drill.Space{}, settings))
	}
	for _, list := range [][]lesson.Block{ready.Start, ready.More, ready.Drills} {
		ids, err := fresh(len(list))
		if err != nil {
			return Blocks{}, err
		}
		for i := range list {
			list[i].ID = ids[i]
		}
	}
	return ready, nil
}

// inputs gathers what a lesson is scheduled from. Students and drills that are gone, or cannot be
// read, are left out.
func (s *server) inputs(ctx context.Context, d lesson.Document) (lesson.Inputs, error) {
	settings, _, err := s.store.Settings(ctx)
	if err != nil {
		return lesson.Inputs{}, err
	}
	in := lesson.Inputs{Drills: map[string]drill.Document{}, Settings: settings}
	for _, id := range d.Students {
		record, err := s.store.Students.Get(ctx, id)
		switch {
		case errors.Is(err, store.ErrNotFound), errors.Is(err, store.ErrUnreadable):
			continue
		case err != nil:
			return in, err
		}
		in.People = append(in.People, lesson.Person{ID: id, Profile: record.Document, Archived: record.Archived})
	}
	for _, block := range d.Blocks {
		if _, known := in.Drills[block.Drill]; known || block.Drill == "" {
			continue
		}
		found, err := s.drill(ctx, block.Drill)
		switch {
		case errors.Is(err, store.ErrNotFound), errors.Is(err, store.ErrUnreadable):
			continue
		case err != nil:
			return in, err
		}
		in.Drills[block.Drill] = found.Document
	}
	return in, nil
}

// rated gathers the same with what the students make of the drills, and how far these make them run.
func (s *server) rated(ctx context.Context, d lesson.Document) (lesson.Inputs, error) {
	in, err := s.inputs(ctx, d)
	if err != nil {
		return in, err
	}
	if in.Rates, err = s.rates(ctx, in); err != nil {
		return in, err
	}
	return in, in.Measure(ctx)
}

func (s *server) lesson(ctx context.Context, record store.Record[lesson.Document]) (Lesson, error) {
	in, err := s.rated(ctx, record.Document)
	if err != nil {
		return Lesson{}, err
	}
	scheduled, err := s.schedule(ctx, record, in)
	if err != nil {
		return Lesson{}, err
	}
	scheduled.Clashes, err = s.clashes(ctx, record.ID, record.Document, in)
	return scheduled, err
}

// clashes says which other lessons a lesson overlaps with.
func (s *server) clashes(ctx context.Context, id string, d lesson.Document, in lesson.Inputs) ([]string, error) {
	day, err := time.Parse(time.DateOnly, d.Date)
	if err != nil {
		return nil, invalid.Fields{{Path: "date", Message: formats["date"]}}
	}
	near, _, err := s.store.LessonsBetween(ctx, day.AddDate(0, 0, -1).Format(time.DateOnly), day.AddDate(0, 0, 1).Format(time.DateOnly))
	return lesson.SlotOf(id, d).Clashes(slots(near), names(in)), err
}

// names are the students' names by identifier.
func names(in lesson.Inputs) map[string]string {
	list := map[string]string{}
	for _, p := range in.People {
		list[p.ID] = p.Profile.Name
	}
	return list
}

func slots(record []store.Record[lesson.Document]) []lesson.Slot {
	list := make([]lesson.Slot, len(record))
	for i, k := range record {
		list[i] = lesson.SlotOf(k.ID, k.Document)
	}
	return list
}

// plan schedules a lesson. Blocks that a remedy would put in get fresh identifiers.
func plan(ctx context.Context, d lesson.Document, in lesson.Inputs) (lesson.Plan, error) {
	scheduled, err := lesson.Schedule(ctx, d, in)
	if err != nil {
		return lesson.Plan{}, err
	}
	for _, finding := range scheduled.Findings {
		for _, remedy := range finding.Remedies {
			if remedy.Edit.New == nil {
				continue
			}
			ids, err := fresh(1)
			if err != nil {
				return lesson.Plan{}, err
			}
			remedy.Edit.New.ID = ids[0]
		}
	}
	return scheduled, nil
}

// schedule schedules a stored lesson.
func (s *server) schedule(ctx context.Context, record store.Record[lesson.Document], in lesson.Inputs) (Lesson, error) {
	scheduled, err := plan(ctx, record.Document, in)
	if err != nil {
		return Lesson{}, err
	}
	_, finished, begun, err := s.store.Clock(ctx, record.ID)
	if err != nil {
		return Lesson{}, err
	}
	state := Planned
	switch {
	case finished:
		state = Finished
	case begun:
		state = Begun
	}
	return Lesson{
		ID: record.ID, Revision: record.Revision, Archived: record.Archived, State: state,
		Document: record.Document, People: people(in), Plan: scheduled, Clashes: []string{},
	}, nil
}

func people(in lesson.Inputs) []Person {
	list := make([]Person, len(in.People))
	for i, p := range in.People {
		list[i] = Person{ID: p.ID, Name: p.Profile.Name, Hand: p.Profile.Hand, Archived: p.Archived, Watch: p.Profile.Watch}
		if list[i].Watch == nil {
			list[i].Watch = []string{}
		}
	}
	return list
}

func (s *server) diary(ctx context.Context, p between, _ None) (Diary, error) {
	var wrong invalid.Fields
	const year = 366
	if p.Ahead < 0 || p.Ahead > year {
		wrong.Add("ahead", "between 0 and %d days", year)
	}
	if p.Back < 0 || p.Back > year {
		wrong.Add("back", "between 0 and %d days", year)
	}
	if wrong.Err() != nil {
		return Diary{}, wrong.Err()
	}
	day := func(offset int) string { return s.now().AddDate(0, 0, offset).Format(time.DateOnly) }
	record, broken, err := s.store.LessonsBetween(ctx, day(-p.Back), day(p.Ahead))
	if err != nil {
		return Diary{}, err
	}
	return s.listed(ctx, record, broken)
}

// pastPage is how many past lessons are listed at once.
const pastPage = 20

// past lists lessons before today, the latest first.
func (s *server) past(ctx context.Context, p paged, _ None) (Past, error) {
	if p.Skip < 0 {
		return Past{}, invalid.Fields{{Path: "skip", Message: "at least 0"}}
	}
	record, broken, err := s.store.LessonsBefore(ctx, s.now().Format(time.DateOnly), p.Skip, pastPage+1)
	if err != nil {
		return Past{}, err
	}
	more := len(record)+len(broken) > pastPage
	diary, err := s.listed(ctx, record[:min(len(record), pastPage)], broken)
	return Past{Diary: diary, More: more}, err
}

// listed schedules lessons for a list. Those that cannot be scheduled are told beside them.
func (s *server) listed(ctx context.Context, record []store.Record[lesson.Document], broken []store.Unreadable) (Diary, error) {
	diary := Diary{Today: s.now().Format(time.DateOnly), Lessons: []Lesson{}, Unreadable: asUnreadable(StoredLesson, broken)}
	all := slots(record)
	for i, k := range record {
		in, err := s.inputs(ctx, k.Document)
		if err != nil {
			return Diary{}, err
		}
		scheduled, err := s.schedule(ctx, k, in)
		var wrong invalid.Fields
		if errors.As(err, &wrong) {
			diary.Unreadable = append(diary.Unreadable, Unreadable{Kind: StoredLesson, ID: k.ID, Name: k.Document.Title, Why: why(err)})
			continue
		}
		if err != nil {
			return Diary{}, err
		}
		scheduled.Clashes = all[i].Clashes(all, names(in))
		for j := range scheduled.Plan.Blocks {
			scheduled.Plan.Blocks[j].Table = nil // a long list needs no rounds
		}
		diary.Lessons = append(diary.Lessons, scheduled)
	}
	return diary, nil
}
