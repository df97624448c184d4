package repository

import (
	"context"
	"maps"
	"slices"
	"time"

	"hodometer/core/count/odds"
	"hodometer/core/count/ranking"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/people/footwork"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/store"
)

// LadderPosition is a rung to put a student on.
type LadderPosition struct {
	Stroke sports.Stroke  `json:"stroke"`
	Rung   ladder.Quality `json:"rung"`
}

// Progress is a student's history and what it says.
type Progress struct {
	Strokes []progress.OnStroke   `json:"strokes"`
	Drills  []DrillHistory        `json:"drills"`
	InGames []StrokeInGames       `json:"inGames" description:"Strokes that were counted in games, beside what was made in drills"`
	Faults  []progress.FaultTrend `json:"faults" description:"What was seen courtside, and whether it is going down"`
	Remarks []DatedRemark         `json:"remarks" description:"Newest first"`
	Roll    Attendance            `json:"roll" description:"How often they came"`
	Grown   *student.AgeBand      `json:"grown" description:"The age band by their birthday, where the profile has another one; null else"`
	Running footwork.Quickness    `json:"running" description:"How quick they are taken to be"`
	Today   string                `json:"today" description:"The day it is where Hodometer runs"`
}

// StrokeInGames is how often a student makes a stroke in games, and the same stroke in drills, of late.
type StrokeInGames struct {
	Stroke   sports.Stroke  `json:"stroke"`
	Games    odds.Done      `json:"games"`
	Transfer *odds.Transfer `json:"transfer" description:"Beside drills; null where the stroke was not counted in any"`
}

// DrillHistory is every time a student did one drill, oldest first.
type DrillHistory struct {
	Drill  string         `json:"drill"`
	Name   string         `json:"name"`
	Stroke sports.Stroke  `json:"stroke"`
	Rung   ladder.Quality `json:"rung"`
	Times  []DrillTime    `json:"times"`
}

// DrillTime is one time a student did a drill.
type DrillTime struct {
	Lesson   string         `json:"lesson"`
	At       time.Time      `json:"at"`
	Count    tally.Count    `json:"count"`
	Version  string         `json:"version" description:"Which of the drill was played, in words; empty: as it is written, or not known"`
	Measure  string         `json:"measure" description:"What was counted, where the drill had several measures; else empty"`
	Unit     score.Unit     `json:"unit" description:"Of the count"`
	Goal     string         `json:"goal"`
	Realism  drill.Realism  `json:"realism,omitempty" description:"How near to play it was; empty where that is not known"`
	Detail   string         `json:"detail" description:"The constraint; empty for none"`
	Standing score.Standing `json:"standing" description:"How far along the goal it came"`
}

// DatedRemark is a remark with the day of its lesson.
type DatedRemark struct {
	Lesson     string `json:"lesson"`
	Date       string `json:"date"`
	Engagement int    `json:"engagement" description:"Out of ten; 0 where none was given"`
	Effort     *int   `json:"effort" description:"How hard it felt, 0 to 10; null where it was not asked"`
	Remark     string `json:"remark"`
}

// Progress is what a student did, and the next step.
func (s *Repository) Progress(ctx context.Context, id string) (Progress, error) {
	at, err := s.Standing(ctx, id)
	if err != nil {
		return Progress{}, err
	}
	inGames, err := s.inGames(ctx, id, at.done)
	if err != nil {
		return Progress{}, err
	}
	roll, err := s.Attendance(ctx, id, s.Now().AddDate(-1, 0, 0).Format(time.DateOnly), s.Today())
	if err != nil {
		return Progress{}, err
	}
	var grown *student.AgeBand
	if band, other := at.of.Grown(s.Now()); other {
		grown = &band
	}
	return Progress{
		Roll:    roll,
		Grown:   grown,
		Strokes: at.Strokes(),
		Drills:  histories(at.done),
		InGames: inGames,
		Faults:  progress.Trends(at.ladder),
		Remarks: at.remarks,
		Running: footwork.QuicknessOf(at.of, s.Now()),
		Today:   s.Today(),
	}, nil
}

// Standing is what is known of a student's work so far.
type Standing struct {
	done      []store.Attempt
	ladder    []progress.Done // the same, as the ladder looks at it
	Positions []store.LadderPosition
	remarks   []DatedRemark // the newest first
	of        student.Profile
	steps     steps
	now       time.Time
}

// Standing is all that a student's next step is told from.
func (s *Repository) Standing(ctx context.Context, id string) (at Standing, err error) {
	if at.done, err = s.Store.AttemptsOfStudent(ctx, id); err != nil {
		return at, err
	}
	at.ladder = onLadder(at.done)
	if at.Positions, err = s.Store.LadderPositions(ctx, id); err != nil {
		return at, err
	}
	if at.remarks, err = s.datedRemarks(ctx, id); err != nil {
		return at, err
	}
	record, err := s.Store.Students.Get(ctx, id)
	if err != nil {
		return at, err
	}
	at.of = record.Document
	return at, s.stepsOf(ctx, id, &at)
}

// Strokes asks for advice on every stroke; of one that they are spared there is none.
func (at Standing) Strokes() []progress.OnStroke {
	list := progress.Strokes(at.ladder, at.placed(), at.known)
	for i, each := range list {
		if spared := at.of.Spared(drill.Document{Sport: at.of.Sport, Stroke: each.Stroke}.Strains()); len(spared) > 0 {
			list[i].Rests, list[i].Advice = true, each.Advice.Resting(student.Joined(spared))
		}
	}
	return list
}

func (s *Repository) datedRemarks(ctx context.Context, id string) ([]DatedRemark, error) {
	remarks, err := s.Store.RemarksOfStudent(ctx, id)
	if err != nil {
		return nil, err
	}
	dated := make([]DatedRemark, len(remarks))
	for i, r := range remarks {
		lesson, err := s.Store.Lessons.Get(ctx, r.Lesson)
		if err != nil {
			return nil, err
		}
		dated[len(remarks)-1-i] = DatedRemark{
			Lesson:     r.Lesson,
			Date:       lesson.Document.Date,
			Engagement: r.Engagement,
			Effort:     r.Effort,
			Remark:     r.Remark,
		}
	}
	return dated, nil
}

// onLadder is what was done, as the ladder looks at it.
func onLadder(attempts []store.Attempt) (done []progress.Done) {
	for _, a := range attempts {
		d := progress.Done{
			Lesson: a.Lesson,
			At:     a.At,
			Name:   a.Name,
			Stroke: a.Stroke,
			Rung:   a.Rung,
			Balls:  a.Balls,
			Faults: map[string]int{},
		}
		if a.Measure.What.OfBalls() {
			d.Made, d.Missed = a.Made, a.Missed()
		}
		for _, seen := range a.Faults {
			d.Faults[seen.Fault] += seen.Times
		}
		done = append(done, d)
	}
	return done
}

// placed is where the student was put, as the ladder looks at it.
func (at Standing) placed() (list []progress.Placed) {
	for _, p := range at.Positions {
		list = append(list, progress.Placed{Stroke: p.Stroke, Stand: progress.Stand{Rung: p.Rung, At: p.At}})
	}
	return list
}

// transferDays are the days of which drills and games are set against each other: long enough for some games, short
// enough for one form.
const transferDays = 120

// inGames sets the strokes that were counted in a student's games against the same strokes in drills.
func (s *Repository) inGames(ctx context.Context, id string, done []store.Attempt) ([]StrokeInGames, error) {
	from := s.Now().AddDate(0, 0, -transferDays)
	matches, err := s.Store.MeasuredOf(ctx, id, from.Format(time.DateOnly))
	if err != nil {
		return nil, err
	}
	games, drills := map[sports.Stroke]odds.Done{}, map[sports.Stroke]odds.Done{}
	for _, match := range matches {
		for _, c := range match.Document.Counts() {
			if c.Player == id {
				games[c.Stroke] = games[c.Stroke].Add(odds.Done{Made: c.Made, Missed: c.Missed})
			}
		}
	}
	for _, a := range done {
		if a.At.After(from) && a.Measure.What.OfBalls() {
			drills[a.Stroke] = drills[a.Stroke].Add(odds.Done{Made: a.Made, Missed: a.Missed()})
		}
	}
	list := []StrokeInGames{}
	for _, stroke := range slices.Sorted(maps.Keys(games)) {
		one := StrokeInGames{Stroke: stroke, Games: games[stroke]}
		if transfer, ok := odds.TransferOf(drills[stroke], games[stroke]); ok {
			one.Transfer = &transfer
		}
		list = append(list, one)
	}
	return list, nil
}

func histories(done []store.Attempt) []DrillHistory {
	list := []DrillHistory{}
	for _, a := range done {
		if a.Taps == 0 && len(a.Faults) > 0 {
			continue // nothing was counted but what was seen
		}
		i := slices.IndexFunc(list, func(h DrillHistory) bool { return h.Drill == a.Drill })
		if i < 0 {
			i = len(list)
			list = append(list, DrillHistory{Drill: a.Drill, Name: a.Name, Stroke: a.Stroke, Rung: a.Rung})
		}
		list[i].Name = a.Name // as it was last called
		list[i].Times = append(list[i].Times, timeOf(a))
	}
	return list
}

func timeOf(a store.Attempt) DrillTime {
	return DrillTime{
		Lesson:   a.Lesson,
		At:       a.At,
		Count:    a.Count,
		Version:  a.Version,
		Measure:  a.Measure.Name,
		Unit:     a.Measure.What,
		Goal:     a.Measure.Goal(),
		Realism:  a.Measure.Realism,
		Detail:   a.Measure.Constraint,
		Standing: a.Standing,
	}
}

// Remark is how a student's lesson was.
type Remark struct {
	Engagement int    `json:"engagement" minimum:"0" maximum:"10" description:"Out of ten; 0 for none"`
	Effort     *int   `json:"effort,omitempty" minimum:"0" maximum:"10" description:"How hard it felt, from 0; empty where it was not asked"`
	Remark     string `json:"remark" maxLength:"1000"`
}

// rankedDays are those of which results count in a ranking.
const rankedDays = 365

// Results are those of a sport that count in a ranking.
func (s *Repository) Results(ctx context.Context, sport court.Sport) ([]ranking.Result, error) {
	from := s.Now().AddDate(0, 0, -rankedDays).Format(time.DateOnly)
	records, err := s.Store.PlayedSince(ctx, string(sport), from)
	var results []ranking.Result
	for _, k := range records {
		results = append(results, k.Document.Results()...)
	}
	return results, err
}

// Ranked are players, and whoever results name, in order: by their levels at first, and by what they played.
func (s *Repository) Ranked(
	ctx context.Context,
	players []string,
	results []ranking.Result,
	by ranking.By,
) (ranking.Ranking, error) {
	everybody := slices.Clone(players)
	for _, r := range results {
		everybody = append(append(everybody, r.Near...), r.Far...)
	}
	students, err := s.Store.Students.Some(ctx, everybody)
	if err != nil {
		return ranking.Ranking{}, err
	}
	levels := map[string]student.Level{}
	for id, k := range students {
		if k.Document.Level != "" {
			levels[id] = k.Document.Level
		}
	}
	return ranking.Rank(ctx, players, levels, results, by)
}
