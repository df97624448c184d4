package api

import (
	"context"
	"errors"
	"net/http"
	"slices"
	"strings"

	"github.com/google/uuid"

	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/load"
	"hodometer/core/runsheet"
	"hodometer/core/schedule"
	"hodometer/core/score"
	"hodometer/core/tally"
	"hodometer/store"
)

// Courtside is a lesson as it is run.
type Courtside struct {
	Lesson   Lesson         `json:"lesson"`
	Sheet    []runsheet.Cue `json:"sheet"`
	Clock    *lesson.Clock  `json:"clock" description:"Null before the lesson is begun"`
	Second   float64        `json:"second" description:"Second of the lesson at this instant"`
	Counters []Counter      `json:"counters" description:"One for each drill block, student and measure"`
}

// Counter is one student's count at one measure in one drill block.
type Counter struct {
	Block    string         `json:"block"`
	Counted  string         `json:"counted" description:"The block under which the balls are counted: another one where this goes on from it"`
	Student  string         `json:"student"`
	Name     string         `json:"name" description:"Of the student"`
	Short    string         `json:"short" description:"What to call them on court"`
	Drill    string         `json:"drill" description:"Its name"`
	Measure  int            `json:"measure" description:"The number of the measure"`
	On       bool           `json:"on" description:"It is this measure's turn; of measures side by side it is the first"`
	Called   string         `json:"called" description:"What it is called beside others; empty where it is the only one"`
	Goal     string         `json:"goal"`
	Unit     score.Unit     `json:"unit" description:"What is counted one after the other"`
	TooLong  int            `json:"tooLong" description:"From how many strokes on a rally is stopped; 0 where none is"`
	Standing score.Standing `json:"standing" description:"How far along the goal is"`
	Party    string         `json:"party" description:"The student under whom the count is taken: another one where several are on one count"`
	Shared   string         `json:"shared" description:"Who is on one count, in words; empty where each counts alone"`
	Against  string         `json:"against" description:"Who wins what this student loses; empty where nobody does"`
	Realism  drill.Realism  `json:"realism" description:"How near to play it is"`
	Detail   string         `json:"detail" description:"What makes a movement right, and the constraint; empty where there is nothing to say"`
	Misses   bool           `json:"misses" description:"Misses are marked net, long or wide"`
	Timed    bool           `json:"timed" description:"That its time is up is counted"`
	Turn     int            `json:"turn" description:"Attempts in one turn"`
	Again    bool           `json:"again" description:"A bad feed or a let can be marked"`
	Choices  bool           `json:"choices" description:"Right or wrong choice is marked with each ball"`
	Court    court.ID       `json:"court"`
	Aim      *court.Shape   `json:"aim" description:"The target as this student sees it, to note where balls land; null where balls do not land in it"`
	Zones    []court.Zone   `json:"zones" description:"Zones in which landings can be counted, row by row; none where there is no aim"`
	Faults   []tally.Seen   `json:"faults" description:"What to watch in this student, and how often it was seen in this lesson"`
	Face     *drill.Face    `json:"face" description:"The clock by which it is counted; null where it has none of its own"`
	Count    tally.Count    `json:"count"`
}

// ClockChange sets a lesson going, stops it, moves along its road, or finishes it.
type ClockChange struct {
	Second   float64 `json:"second" minimum:"0" maximum:"86400" description:"Second of the lesson it is now"`
	Running  bool    `json:"running"`
	Finished bool    `json:"finished"`
}

// Taps are counts that a device took of one student at one measure in one block.
type Taps struct {
	Run     string        `json:"run" format:"uuid" description:"Chosen by the device, one for each student, block and measure"`
	Block   string        `json:"block" format:"uuid"`
	Student string        `json:"student" format:"uuid"`
	Measure int           `json:"measure,omitempty" minimum:"0" maximum:"8" description:"Its number; empty: the first one"`
	Entries []tally.Entry `json:"entries" minItems:"1" maxItems:"500"`
}

// Afterwards is what became of a lesson.
type Afterwards struct {
	Lesson   Lesson    `json:"lesson"`
	Counters []Counter `json:"counters"`
	Students []Result  `json:"students"`
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

func (s *server) courtsideRoutes() []Route {
	return []Route{
		route("GET", "/api/lessons/:id/courtside", "getCourtside", "A lesson as it is run", func(ctx context.Context, p byID, _ None) (Courtside, error) {
			return s.courtside(ctx, p.ID)
		}).anew(),
		route("PUT", "/api/lessons/:id/clock", "setClock", "Begin, pause, move on or finish", func(ctx context.Context, p byID, body ClockChange) (Courtside, error) {
			if _, err := s.store.Lessons.Get(ctx, p.ID); err != nil {
				return Courtside{}, err
			}
			clock := lesson.Clock{Anchor: s.now(), Second: body.Second, Running: body.Running}
			if err := s.store.SetClock(ctx, p.ID, clock, body.Finished); err != nil {
				return Courtside{}, err
			}
			return s.courtside(ctx, p.ID)
		}),
		route("POST", "/api/lessons/:id/taps", "addTaps", "Count balls; the same taps may be sent again", s.addTaps),
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

func (s *server) courtside(ctx context.Context, id string) (Courtside, error) {
	record, err := s.store.Lessons.Get(ctx, id)
	if err != nil {
		return Courtside{}, err
	}
	in, err := s.inputs(ctx, record.Document)
	if err != nil {
		return Courtside{}, err
	}
	scheduled, err := s.schedule(ctx, record, in)
	if err != nil {
		return Courtside{}, err
	}
	counters, err := s.counters(ctx, id, record.Document, in)
	if err != nil {
		return Courtside{}, err
	}
	answer := Courtside{Lesson: scheduled, Sheet: runsheet.Cues(record.Document, scheduled.Plan.Timetable, in), Counters: counters}
	clock, _, begun, err := s.store.Clock(ctx, id)
	if begun {
		answer.Clock, answer.Second = &clock, clock.At(s.now())
	}
	return answer, err
}

// counters returns a counter for every drill block and student, with what was counted so far.
func (s *server) counters(ctx context.Context, id string, d lesson.Document, in schedule.Inputs) ([]Counter, error) {
	done, err := s.store.AttemptsOfLesson(ctx, id)
	if err != nil {
		return nil, err
	}
	counters := []Counter{}
	for _, block := range d.Blocks {
		document, known := in.Drills[block.Plays()]
		if !known {
			continue
		}
		there := in.In(block)
		group, _ := load.Arrange(document, max(1, len(there)), block.Lines, d.Space)
		for _, person := range there {
			mine := block.DrillFor(document, person)
			met, faults := make([]int, len(mine.Measures)), seen(person, done)
			for i, m := range mine.Measures {
				c := Counter{
					Block: block.ID, Counted: block.CountedAs(), Student: person.ID, Name: person.Profile.Name, Short: person.Short, Drill: document.Name, Measure: m.Number, Called: mine.Called(m), Turn: load.Pool(mine, m, 1),
					Realism: mine.RealismOf(m), Detail: detail(mine, m), Misses: m.Kinds(), Timed: m.Goals[0].Timed(),
					Again: m.Counts.NoCount, Choices: m.Counts.Choices, Court: document.Court, Faults: faults, Zones: []court.Zone{}, Face: mine.FaceOf(m),
				}
				c.share(m.Who, person, there, group.Lines)
				if aim, ok := mine.Aimed(m); ok && m.Counts.By != drill.ByMovement && (aim.Radius > 0 || len(aim.Corners) > 2) {
					c.Aim = &aim
					c.Zones = zones(document, aim)
				}
				met[i] = c.counted(m, done)
				counters = append(counters, c)
			}
			counters[len(counters)-len(met)+mine.On(met)].On = true
		}
	}
	return counters, nil
}

func idsOf(people []lesson.Person) []string {
	ids := make([]string, len(people))
	for i, p := range people {
		ids[i] = p.ID
	}
	return ids
}

// seen is what to watch in somebody, and how often it was seen in a lesson.
func seen(person lesson.Person, done []store.Attempt) []tally.Seen {
	list := make([]tally.Seen, len(person.Profile.Watch))
	for i, fault := range person.Profile.Watch {
		list[i].Fault = fault
	}
	for _, a := range done {
		if a.Student == person.ID {
			list = tally.AddSeen(list, a.Faults...)
		}
	}
	return list
}

// share says who keeps the count of somebody, and who is on it, where several are, or who is on the other side.
func (c *Counter) share(w drill.Who, of lesson.Person, there []lesson.Person, lines int) {
	c.Party = of.ID
	party := w.Party(of.ID, idsOf(there), lines)
	if len(party) < 2 {
		return
	}
	var shorts []string
	for _, p := range there {
		switch {
		case !slices.Contains(party, p.ID):
		case w != drill.TwoSides:
			shorts = append(shorts, p.Short)
		case p.ID != of.ID:
			c.Against = p.Short
		}
	}
	if w != drill.TwoSides {
		c.Party, c.Shared = party[0], strings.Join(shorts, " + ")
	}
}

// detail is what makes a movement right at a measure, and its constraint, in words.
func detail(d drill.Document, m drill.Measure) string {
	var list []string
	if c, err := court.Find(d.Court); err == nil {
		for _, k := range m.Counts.Criteria {
			list = append(list, k.Say(c, d.Format))
		}
	}
	if m.Constraint != "" {
		list = append(list, m.Constraint)
	}
	if forfeit := m.Counts.Costs(); forfeit != "" {
		list = append(list, forfeit)
	}
	return strings.Join(list, "; ")
}

// counted takes in what was counted, towards the goals as they were then, and returns how many of them are met.
func (c *Counter) counted(m drill.Measure, done []store.Attempt) int {
	same := func(a store.Attempt) bool { return a.Block == c.Counted && a.Measure.Number == m.Number }
	if i := slices.IndexFunc(done, func(a store.Attempt) bool { return same(a) && a.Student == c.Student }); i >= 0 {
		m, c.Count, c.Standing = done[i].Measure, done[i].Count, done[i].Standing
	} else if i := slices.IndexFunc(done, func(a store.Attempt) bool { return same(a) && a.Measure.Goals.Joint() }); m.Goals.Joint() && i >= 0 {
		c.Standing = done[i].Standing // what the others made counts too
	} else {
		c.Standing = m.Goals.Stand()
	}
	c.Goal, c.Unit, c.TooLong = m.Goal(), m.What, m.Goals.LongestRally()
	return m.Goals.GoalsMet(c.Standing)
}

// zones are those of the half with the target; none on a squash court, which is not played over a net.
func zones(d drill.Document, aim court.Shape) []court.Zone {
	c, err := court.Find(d.Court)
	if err != nil || c.Net.HalfUp == 0 {
		return []court.Zone{}
	}
	return c.Zones(d.Format, aim.Centre.Y > 0)
}

func (s *server) addTaps(ctx context.Context, p byID, body Taps) ([]Counter, error) {
	var wrong invalid.Fields
	for i, entry := range body.Entries {
		wrong.Under(invalid.Join("entries", i), entry.Check())
	}
	record, err := s.store.Lessons.Get(ctx, p.ID)
	if err != nil {
		return nil, err
	}
	d := record.Document
	i := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.ID == body.Block })
	if i < 0 || d.Blocks[i].Drill == "" {
		wrong.Add("block", "this lesson has no such drill any more")
	}
	if !slices.Contains(d.Students, body.Student) {
		wrong.Add("student", "this student is not in the lesson")
	}
	if wrong.Err() != nil {
		return nil, wrong.Err()
	}
	played, err := s.drill(ctx, d.Blocks[i].Drill)
	if errors.Is(err, store.ErrNotFound) {
		return nil, invalid.Fields{{Path: "block", Message: "the drill of this block is no longer there"}}
	}
	if err != nil {
		return nil, err
	}
	in, err := s.inputs(ctx, d)
	if err != nil {
		return nil, err
	}
	played.Document = in.Drills[d.Blocks[i].Plays()]
	there := in.In(d.Blocks[i])
	if !slices.Contains(idsOf(there), body.Student) {
		there = in.Known([]string{body.Student}) // who left the block since is counted alone
	}
	if len(there) == 0 {
		return nil, invalid.Fields{{Path: "student", Message: "this student was erased"}}
	}
	group, _ := load.Arrange(played.Document, len(there), d.Blocks[i].Lines, d.Space)
	runs, err := runsOf(p.ID, body, d.Blocks[i], played, there, group.Lines)
	if err != nil {
		return nil, err
	}
	if err := s.store.AddTaps(ctx, runs...); err != nil {
		return nil, err
	}
	return s.counters(ctx, p.ID, d, in)
}

// runsOf are the runs that taps belong to: that of the student, and where several are on one count, one of each of them; the
// other one of two sides has them the other way round.
func runsOf(lessonID string, body Taps, b lesson.Block, played Drill, there []lesson.Person, lines int) ([]store.Run, error) {
	ids := idsOf(there)
	var runs []store.Run
	asked := body.Measure
	if asked == 0 {
		asked = played.Document.Main().Number
	}
	who, _ := played.Document.Measure(asked)
	for _, id := range who.Who.Party(body.Student, ids, lines) {
		mine := b.DrillFor(played.Document, there[slices.Index(ids, id)])
		m, ok := mine.Measure(asked)
		if !ok {
			return nil, invalid.Fields{{Path: "measure", Message: "the drill no longer has this measure"}}
		}
		var aim *court.Point
		if shape, ok := mine.Aimed(m); ok {
			aim = &shape.Centre
		}
		m.Name, m.Realism = mine.Called(m), mine.RealismOf(m)
		run, taps := body.Run, body.Entries
		if id != body.Student {
			run = uuid.NewSHA1(uuid.MustParse(body.Run), []byte(id)).String()
			taps = slices.Clone(taps)
			for i := range taps {
				taps[i].Fault = "" // it is nobody else's
				if who.Who == drill.TwoSides {
					taps[i] = taps[i].ForTheOther()
				}
			}
		}
		runs = append(runs, store.Run{ID: run, Taps: taps, Attempt: store.Attempt{
			Lesson: lessonID, Block: b.CountedAs(), Student: id, Drill: played.ID, Name: played.Document.Name,
			Stroke: mine.StrokeOf(m), Rung: mine.RungOf(m), Measure: m, Aim: aim, At: body.Entries[0].At,
		}})
	}
	return runs, nil
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
	for _, person := range run.Lesson.People {
		r := Result{Student: person.ID, Name: person.Name, Faults: []tally.Seen{}}
		for _, c := range answer.Counters {
			if c.Student == person.ID && len(r.Faults) == 0 {
				r.Faults = slices.DeleteFunc(slices.Clone(c.Faults), func(s tally.Seen) bool { return s.Times == 0 })
			}
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
func whole(counters []Counter) []Counter {
	list := []Counter{}
	for _, c := range counters {
		same := func(other Counter) bool {
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
