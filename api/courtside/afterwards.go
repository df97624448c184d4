package courtside

import (
	"context"
	"errors"
	"net/http"
	"slices"
	"time"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/say"
	"hodometer/core/count/tally"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/closing"
	"hodometer/core/live/underway"
	"hodometer/core/people/progress"
	"hodometer/core/sport/sports"
	"hodometer/store"
)

// Afterwards is what became of a lesson.
type Afterwards struct {
	Lesson   plan.Lesson        `json:"lesson"`
	Counters []underway.Counter `json:"counters"`
	Changes  []Changed          `json:"changes" description:"What was changed while it was run, and why"`
	Against  []closing.Ran      `json:"against" description:"How long each block was to go, and went; none where the plan was not kept, or it was not begun"`
	Closing  closing.Document   `json:"closing" description:"What the coach says of it"`
	Students []Result           `json:"students"`
}

// Changed is what was changed while a lesson was run.
type Changed struct {
	At   time.Time      `json:"at"`
	Said []say.Sentence `json:"said"`
	Why  underway.Why   `json:"why,omitempty"`
}

// changes are what was done with a lesson that changed a drill, with the reasons that were given for it.
func (s *Courtside) changes(ctx context.Context, lesson string) ([]Changed, error) {
	acts, err := s.Store.ActsOfLesson(ctx, lesson)
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
	Played     string       `json:"played" description:"What they really played of what was planned, in words; empty where it was not begun"`
	Counted    int          `json:"counted" description:"In how many blocks that is known from what was counted; in the others from the time"`

	Next []progress.OnStroke `json:"next" description:"The next step of each stroke that was counted in this lesson"`
}

// ofLesson is the parameter of something about one student in one lesson.
type ofLesson struct {
	ID      string `param:"id" path:"id" format:"uuid"`
	Student string `param:"student" path:"student" format:"uuid"`
}

func (s *Courtside) afterwardsRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/lessons/:id/afterwards", "getAfterwards", "What became of a lesson", s.afterwards),
		request.Make(
			"PUT",
			"/api/lessons/:id/remarks/:student",
			"keepRemark",
			"Engagement and a remark",
			func(ctx context.Context, p ofLesson, body repository.Remark) (Afterwards, error) {
				record, err := s.Store.Lessons.Get(ctx, p.ID)
				if err != nil {
					return Afterwards{}, err
				}
				if !slices.Contains(record.Document.Students, p.Student) {
					return Afterwards{}, request.Refusal(http.StatusNotFound, "This student is not in the lesson.")
				}
				err = s.Store.SetRemark(
					ctx,
					store.Remark{
						Lesson:     p.ID,
						Student:    p.Student,
						Engagement: body.Engagement,
						Effort:     body.Effort,
						Remark:     body.Remark,
					},
				)
				if errors.Is(err, store.ErrNotFound) {
					return Afterwards{}, request.Refusal(
						http.StatusNotFound,
						"This student was erased, and remarks on them went with them.",
					)
				}
				if err != nil {
					return Afterwards{}, err
				}
				return s.afterwards(ctx, request.ByID{ID: p.ID}, request.None{})
			},
		),
		request.Make(
			"PUT",
			"/api/lessons/:id/closing",
			"keepClosing",
			"What the coach says of a lesson at its end",
			func(ctx context.Context, p request.ByID, body closing.Document) (Afterwards, error) {
				if err := s.Store.SetClosing(ctx, p.ID, body); err != nil {
					return Afterwards{}, err
				}
				return s.afterwards(ctx, p, request.None{})
			},
		),
		request.Make("GET", "/api/lessons/unclosed", "listUnclosed", "Lessons of the last fortnight that were run and "+
			"are not closed yet", s.unclosed).
			Anew(),
	}
}

func (s *Courtside) afterwards(ctx context.Context, p request.ByID, _ request.None) (Afterwards, error) {
	kit, _, err := s.Kit(ctx, p.ID, nil)
	if err != nil {
		return Afterwards{}, err
	}
	run, err := kit.View(ctx, s.Now())
	if err != nil {
		return Afterwards{}, err
	}
	remarks, err := s.Store.RemarksOfLesson(ctx, p.ID)
	if err != nil {
		return Afterwards{}, err
	}
	answer := Afterwards{Lesson: run.Lesson, Counters: whole(run.Counters), Students: []Result{}, Against: []closing.Ran{}}
	if answer.Changes, err = s.changes(ctx, p.ID); err != nil {
		return Afterwards{}, err
	}
	if answer.Closing, err = s.Store.Closing(ctx, p.ID); err != nil {
		return Afterwards{}, err
	}
	played, err := s.ran(ctx, &answer, kit, run)
	if err != nil {
		return Afterwards{}, err
	}
	attempts, err := s.Store.AttemptsOfLesson(ctx, p.ID)
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
			if c.Student == person.ID && c.Unit.OfBalls() { // what is no ball is counted for itself
				r.add(c.Count)
			}
		}
		for _, p := range played {
			if p.Played.Student == person.ID {
				r.Played, r.Counted = p.Said, p.Counted
			}
		}
		if r.Next, err = s.nextSteps(ctx, person.ID, attempts); err != nil {
			return Afterwards{}, err
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

// ran sets a lesson that was begun against its plan, and returns what everybody really played of it.
func (s *Courtside) ran(
	ctx context.Context,
	a *Afterwards,
	kit underway.Kit,
	run underway.Courtside,
) ([]closing.Played, error) {
	if run.Clock == nil {
		return nil, nil
	}
	planned, err := s.Store.Planned(ctx, kit.ID)
	if err != nil {
		return nil, err
	}
	before := kit.Document
	if planned != nil {
		before = *planned
		a.Against = closing.Against(before, kit.Document, run.Second)
	}
	return closing.Everybody(ctx, kit, run.Counters, before, run.Second)
}

// nextSteps are those of a student with the strokes that were counted of them in a lesson.
func (s *Courtside) nextSteps(ctx context.Context, id string, attempts []store.Attempt) ([]progress.OnStroke, error) {
	list := []progress.OnStroke{}
	strokes := map[sports.Stroke]bool{}
	for _, a := range attempts {
		if a.Student == id {
			strokes[a.Stroke] = true
		}
	}
	if len(strokes) == 0 {
		return list, nil
	}
	standing, err := s.Standing(ctx, id)
	for _, each := range standing.Strokes() {
		if strokes[each.Stroke] {
			list = append(list, each)
		}
	}
	return list, err
}

// Unclosed are lessons that were run and of which there is more to say.
type Unclosed struct {
	Lessons []UnclosedLesson `json:"lessons" description:"The newest first"`
}

// UnclosedLesson is one of them.
type UnclosedLesson struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	Date  string `json:"date" format:"date"`
}

// How far back lessons are still to be closed, and how many of them are told.
const (
	closingDays = 14
	mostOpen    = 5
)

func (s *Courtside) unclosed(ctx context.Context, _ request.None, _ request.None) (Unclosed, error) {
	records, err := s.Store.Unclosed(ctx, s.Now().AddDate(0, 0, -closingDays).Format(time.DateOnly), mostOpen)
	list := Unclosed{Lessons: []UnclosedLesson{}}
	for _, r := range records {
		list.Lessons = append(list.Lessons, UnclosedLesson{r.ID, r.Document.Title, r.Document.Date})
	}
	return list, err
}
