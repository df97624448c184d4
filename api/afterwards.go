package api

import (
	"context"
	"errors"
	"net/http"
	"slices"
	"time"

	"hodometer/core/plan"
	"hodometer/core/score"
	"hodometer/core/tally"
	"hodometer/core/underway"
	"hodometer/store"
)

// Afterwards is what became of a lesson.
type Afterwards struct {
	Lesson   plan.Lesson        `json:"lesson"`
	Counters []underway.Counter `json:"counters"`
	Changes  []Changed          `json:"changes" description:"What was changed while it was run, and why"`
	Students []Result           `json:"students"`
}

// Changed is what was changed while a lesson was run.
type Changed struct {
	At   time.Time    `json:"at"`
	Said []string     `json:"said"`
	Why  underway.Why `json:"why,omitempty"`
}

// changes are what was done with a lesson that changed a drill, with the reasons that were given for it.
func (s *server) changes(ctx context.Context, lesson string) ([]Changed, error) {
	acts, err := s.store.ActsOfLesson(ctx, lesson)
	if err != nil {
		return nil, err
	}
	why := map[string]underway.Why{}
	for _, act := range acts {
		if act.Reason != nil {
			why[act.Reason.Of] = act.Reason.Why
		}
	}
	list := []Changed{}
	for _, act := range acts {
		if act.Change != nil && len(act.Said) > 0 {
			list = append(list, Changed{At: act.At, Said: act.Said, Why: why[act.ID]})
		}
	}
	return list, nil
}

// Result is one student's lesson.
type Result struct {
	Student    string       `json:"student"`
	Name       string       `json:"name"`
	Made       int          `json:"made"`
	Balls      int          `json:"balls"`
	Best       int          `json:"best" description:"Best streak of the lesson"`
	AtLeast    bool         `json:"atLeast" description:"The best streak may be longer"`
	Faults     []tally.Seen `json:"faults" description:"That were seen, and how often"`
	Engagement int          `json:"engagement" description:"Out of ten; 0 where none was given"`
	Effort     *int         `json:"effort" description:"How hard it felt, 0 to 10; null where it was not asked"`
	Remark     string       `json:"remark"`
}

// Remark is how a student's lesson was.
type Remark struct {
	Engagement int    `json:"engagement" minimum:"0" maximum:"10" description:"Out of ten; 0 for none"`
	Effort     *int   `json:"effort,omitempty" minimum:"0" maximum:"10" description:"How hard it felt, from 0; empty where it was not asked"`
	Remark     string `json:"remark" maxLength:"1000"`
}

// ofLesson is the parameter of something about one student in one lesson.
type ofLesson struct {
	ID      string `param:"id" path:"id" format:"uuid"`
	Student string `param:"student" path:"student" format:"uuid"`
}

func (s *server) afterwardsRoutes() []Route {
	return []Route{
		route("GET", "/api/lessons/:id/afterwards", "getAfterwards", "What became of a lesson", s.afterwards),
		route("PUT", "/api/lessons/:id/remarks/:student", "keepRemark", "Engagement and a remark", func(ctx context.Context, p ofLesson, body Remark) (Afterwards, error) {
			record, err := s.store.Lessons.Get(ctx, p.ID)
			if err != nil {
				return Afterwards{}, err
			}
			if !slices.Contains(record.Document.Students, p.Student) {
				return Afterwards{}, problem(http.StatusNotFound, "This student is not in the lesson.")
			}
			err = s.store.SetRemark(ctx, store.Remark{Lesson: p.ID, Student: p.Student, Engagement: body.Engagement, Effort: body.Effort, Remark: body.Remark})
			if errors.Is(err, store.ErrNotFound) {
				return Afterwards{}, problem(http.StatusNotFound, "This student was erased, and remarks on them went with them.")
			}
			if err != nil {
				return Afterwards{}, err
			}
			return s.afterwards(ctx, byID{ID: p.ID}, None{})
		}),
	}
}

func (s *server) afterwards(ctx context.Context, p byID, _ None) (Afterwards, error) {
	run, err := s.courtside(ctx, p.ID)
	if err != nil {
		return Afterwards{}, err
	}
	remarks, err := s.store.RemarksOfLesson(ctx, p.ID)
	if err != nil {
		return Afterwards{}, err
	}
	answer := Afterwards{Lesson: run.Lesson, Counters: whole(run.Counters), Students: []Result{}}
	if answer.Changes, err = s.changes(ctx, p.ID); err != nil {
		return Afterwards{}, err
	}
	attempts, err := s.store.AttemptsOfLesson(ctx, p.ID)
	if err != nil {
		return Afterwards{}, err
	}
	for _, person := range run.Lesson.People {
		r := Result{Student: person.ID, Name: person.Name, Faults: []tally.Seen{}}
		for _, a := range attempts {
			if a.Student == person.ID {
				r.Faults = tally.AddSeen(r.Faults, a.Faults...)
			}
		}
		for _, c := range answer.Counters {
			if c.Student == person.ID && (c.Unit == score.Ball || c.Unit == score.Rally) { // what is no ball is counted for itself
				r.add(c.Count)
			}
		}
		for _, remark := range remarks {
			if remark.Student == person.ID {
				r.Engagement, r.Effort, r.Remark = remark.Engagement, remark.Effort, remark.Remark
			}
		}
		answer.Students = append(answer.Students, r)
	}
	return answer, nil
}

// whole keeps one counter of each student for blocks that were cut and are counted as one.
func whole(counters []underway.Counter) []underway.Counter {
	list := []underway.Counter{}
	for _, c := range counters {
		same := func(other underway.Counter) bool {
			return other.Counted == c.Counted && other.Student == c.Student && other.Measure == c.Measure
		}
		if !slices.ContainsFunc(list, same) {
			list = append(list, c)
		}
	}
	return list
}

// add takes in the count of one drill. The best streak of a lesson is that of its best drill.
func (r *Result) add(c tally.Count) {
	r.Made += c.Made
	r.Balls += c.Balls
	if c.Best > r.Best {
		r.Best, r.AtLeast = c.Best, c.AtLeast
	}
}
