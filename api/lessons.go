package api

import (
	"context"
	"time"

	"hodometer/core/diary"
	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/library"
	"hodometer/core/plan"
	"hodometer/core/schedule"
	"hodometer/core/student"
	"hodometer/core/template"
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
	Short    string       `json:"short" description:"What to call them on court"`
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
	Plan     plan.Plan       `json:"plan"`
	Clashes  []string        `json:"clashes" description:"Other lessons at the same time, in words"`
}

func (l Lesson) tag() int64 { return l.Revision }

func (s *server) lessonRoutes() []Route {
	return []Route{
		route("GET", "/api/lessons", "listLessons", "The lessons around today", s.diary),
		route("GET", "/api/lessons/week", "listWeek", "The lessons of a week, and which weeks have lessons before and after it", s.week),
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
		route("GET", "/api/lessons/offers", "listOffers", "What can be put into a lesson, looked for in one place", s.offers).anew(),
		route("GET", "/api/lessons/templates", "listTemplates", "The shapes of lessons", func(context.Context, None, None) ([]template.Template, error) {
			return template.Templates(), nil
		}),
		route("POST", "/api/lessons/begin", "beginLesson", "A lesson to begin with, without saving it", s.begin),
		route("POST", "/api/lessons/fill", "fillLesson", "Fill a lesson from a template with drills for its students' next steps, without saving it", s.fill),
		route("POST", "/api/lessons/edit", "editLesson", "Do one thing to a lesson and fit the rest, without saving it", s.editLesson),
		route("POST", "/api/lessons/propose", "proposeVariant", "What would suit one student in one drill of a lesson", s.propose),
		route("POST", "/api/lessons/courts", "planCourts", "Where everything stands in a lesson, and in which order it is walked off", s.courts),
		route("POST", "/api/lessons/preview", "previewLesson", "Schedule a lesson without saving it", func(ctx context.Context, _ None, body lesson.Document) (plan.Plan, error) {
			in, err := s.rated(ctx, body)
			if err != nil {
				return plan.Plan{}, err
			}
			return planned(ctx, body, in)
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

// inputs gathers what a lesson is scheduled from; see gather.
func (s *server) inputs(ctx context.Context, d lesson.Document) (schedule.Inputs, error) {
	all, err := s.gather(ctx, d)
	if err != nil {
		return schedule.Inputs{}, err
	}
	return all[0], nil
}

// gather reads what lessons are scheduled from, with one query for the settings, one for the students and one for the
// drills of them all. Students and drills that are gone, or cannot be read, are left out.
func (s *server) gather(ctx context.Context, lessons ...lesson.Document) ([]schedule.Inputs, error) {
	settings, _, err := s.store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	var people, own []string
	drills, games := map[string]drill.Document{}, map[string]game.Document{}
	var ownGames []string
	for _, d := range lessons {
		people = append(people, d.Students...)
		for _, block := range d.Blocks {
			if ready, ok := library.FindGame(block.Game); ok {
				games[block.Game] = ready
			} else if block.Game != "" {
				ownGames = append(ownGames, block.Game)
			}
			if _, known := drills[block.Drill]; known || block.Drill == "" {
				continue
			}
			if document, builtIn := library.Find(block.Drill); builtIn {
				drills[block.Drill] = document
			} else {
				own = append(own, block.Drill)
			}
		}
	}
	students, err := s.store.Students.Some(ctx, people)
	if err != nil {
		return nil, err
	}
	stored, err := s.store.Drills.Some(ctx, own)
	if err != nil {
		return nil, err
	}
	for id, record := range stored {
		drills[id] = record.Document
	}
	storedGames, err := s.store.Games.Some(ctx, ownGames)
	if err != nil {
		return nil, err
	}
	for id, record := range storedGames {
		games[id] = record.Document
	}
	all := make([]schedule.Inputs, len(lessons))
	for i, d := range lessons {
		in := schedule.Inputs{Drills: map[string]drill.Document{}, Games: map[string]game.Document{}, Settings: settings}
		for _, id := range d.Students {
			if record, ok := students[id]; ok {
				in.People = append(in.People, lesson.Person{ID: id, Profile: record.Document, Archived: record.Archived})
			}
		}
		for _, block := range d.Blocks {
			if document, ok := drills[block.Drill]; ok {
				in.Drills[block.Drill] = document
				// A version that is not there any more is the drill as it is written; the plan says so.
				version, _ := document.Version(block.Version)
				in.Drills[block.Plays()], _ = version.OnCourt(d.Space.Court)
			}
			if document, ok := games[block.Game]; ok {
				in.Games[block.Game] = document
				in.Games[block.Plays()], _ = document.InLesson(block.Version, d.Space.Court)
			}
		}
		all[i] = in.Named()
	}
	return all, nil
}

// rated gathers the same with what the students make of the drills, and how far these make them run.
func (s *server) rated(ctx context.Context, d lesson.Document) (schedule.Inputs, error) {
	in, err := s.inputs(ctx, d)
	if err != nil {
		return in, err
	}
	if in.Rates, err = s.rates(ctx, d, in); err != nil {
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
func (s *server) clashes(ctx context.Context, id string, d lesson.Document, in schedule.Inputs) ([]string, error) {
	day, err := time.Parse(time.DateOnly, d.Date)
	if err != nil {
		return nil, invalid.Fields{{Path: "date", Message: formats["date"]}}
	}
	near, _, err := s.store.LessonsBetween(ctx, day.AddDate(0, 0, -1).Format(time.DateOnly), day.AddDate(0, 0, 1).Format(time.DateOnly))
	return diary.SlotOf(id, d).Clashes(slots(near), names(in)), err
}

// names are the students' names by identifier.
func names(in schedule.Inputs) map[string]string {
	list := map[string]string{}
	for _, p := range in.People {
		list[p.ID] = p.Profile.Name
	}
	return list
}

// plan schedules a lesson. Blocks that a remedy would put in get fresh identifiers.
func planned(ctx context.Context, d lesson.Document, in schedule.Inputs) (plan.Plan, error) {
	scheduled, err := plan.Make(ctx, d, in)
	if err != nil {
		return plan.Plan{}, err
	}
	for _, finding := range scheduled.Findings {
		for _, remedy := range finding.Remedies {
			if remedy.Edit.New == nil {
				continue
			}
			ids, err := fresh(1)
			if err != nil {
				return plan.Plan{}, err
			}
			remedy.Edit.New.ID = ids[0]
		}
	}
	return scheduled, nil
}

// schedule schedules a stored lesson.
func (s *server) schedule(ctx context.Context, record store.Record[lesson.Document], in schedule.Inputs) (Lesson, error) {
	scheduled, err := planned(ctx, record.Document, in)
	if err != nil {
		return Lesson{}, err
	}
	_, finished, begun, err := s.store.Clock(ctx, record.ID)
	if err != nil {
		return Lesson{}, err
	}
	return Lesson{
		ID: record.ID, Revision: record.Revision, Archived: record.Archived, State: stateOf(begun, finished),
		Document: record.Document, People: people(in), Plan: scheduled, Clashes: []string{},
	}, nil
}

func people(in schedule.Inputs) []Person {
	list := make([]Person, len(in.People))
	for i, p := range in.People {
		list[i] = Person{ID: p.ID, Name: p.Profile.Name, Short: p.Short, Hand: p.Profile.Hand, Archived: p.Archived, Watch: p.Profile.Watch}
		if list[i].Watch == nil {
			list[i].Watch = []string{}
		}
	}
	return list
}
