package drill

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// MaxMeasures is how many measures a drill can have: as many as a coach tells apart on one court.
const MaxMeasures = 8

// Measure is something that is tried in a drill, and counted by itself: what, with which balls, where to, and how much
// of it is to be reached.
type Measure struct {
	Number int            `json:"number" minimum:"1" maximum:"8" description:"On the court and in what was counted; it stays when others come or go"`
	Name   string         `json:"name,omitempty" maxLength:"40" description:"What the coach calls it; empty: as it is drawn"`
	What   score.Unit     `json:"what" description:"What is tried, one after the other"`
	Tasks  []int          `json:"tasks,omitempty" maxItems:"60" description:"Which tasks of the pattern belong to it, from 0; none: all"`
	Target *court.Target  `json:"target,omitempty" description:"Where balls go; none: in is enough"`
	Stroke sports.Stroke  `json:"stroke,omitempty" description:"Whose ladder it counts on; empty: the drill's"`
	Rung   ladder.Quality `json:"rung,omitempty" description:"empty: the drill's"`
	Who    Who            `json:"who,omitempty" description:"Who counts; empty: each player"`
	Counts Counts         `json:"counts,omitempty" description:"What counts as made"`

	Realism    Realism `json:"realism,omitempty" description:"How near to play; empty: as its balls come"`
	Constraint string  `json:"constraint,omitempty" maxLength:"60" description:"What makes it harder or easier on purpose: a grip, an object, a band; empty: none"`

	Goals score.Course `json:"goals" minItems:"1" maxItems:"6" description:"One after the other"`
}

// Order is how the measures of a drill follow one another.
type Order string

// The orders. The zero value is side by side.
const (
	SideBySide Order = "side by side"        // every ball counts for all that it belongs to
	OneByOne   Order = "one after the other" // a measure with all its goals, then the next one
	GoalByGoal Order = "goal by goal"        // the first goal of every measure, then the second of every one
)

// String puts the order into words.
func (o Order) String() string {
	if o == "" {
		return string(SideBySide)
	}
	return string(o)
}

// Follow says whether the measures share the balls, one being on at a time.
func (o Order) Follow() bool { return o == OneByOne || o == GoalByGoal }

// FirstMeasure is the number that the first measure of a drill had, and the measure of a count that names none: there
// was no other.
const FirstMeasure = 1

// Main is the first measure: what stands for the drill where there is room for one only.
func (d Document) Main() Measure { return d.Measures[0] }

// Measure finds a measure by its number; false where there is none.
func (d Document) Measure(number int) (Measure, bool) {
	i := slices.IndexFunc(d.Measures, func(m Measure) bool { return m.Number == number })
	if i < 0 {
		return Measure{}, false
	}
	return d.Measures[i], true
}

// With is the drill with another measure in a place, the first drill left alone.
func (d Document) With(i int, m Measure) Document {
	d.Measures = slices.Clone(d.Measures)
	d.Measures[i] = m
	return d
}

// StrokeOf is whose ladder a measure counts on.
func (d Document) StrokeOf(m Measure) sports.Stroke {
	if m.Stroke != "" {
		return m.Stroke
	}
	return d.Stroke
}

// RungOf is the rung that a measure counts on.
func (d Document) RungOf(m Measure) ladder.Quality {
	if m.Rung != "" {
		return m.Rung
	}
	return d.Rung
}

// Called is what a measure is called beside others; empty where the drill has no other.
func (d Document) Called(m Measure) string {
	switch {
	case m.Name != "":
		return m.Name
	case len(d.Measures) < 2:
		return ""
	case len(m.Tasks) == 1 && m.Tasks[0] < len(d.Pattern.Tasks):
		return d.Pattern.Tasks[m.Tasks[0]].Label(m.Tasks[0])
	}
	return fmt.Sprintf("measure %d", m.Number)
}

// Goal puts the goals of a measure into words, and who counts where it is not each player.
func (m Measure) Goal() string {
	phrase := m.Goals.String()
	if m.Who.shared() {
		phrase += ", " + string(m.Who)
	}
	return phrase
}

// Has says whether a task of the pattern belongs to a measure.
func (m Measure) Has(task int) bool { return len(m.Tasks) == 0 || slices.Contains(m.Tasks, task) }

// feeds says whether a task is something that the measure counts.
func (m Measure) feeds(t feed.Task) bool {
	switch m.What {
	case score.Ball:
		return t.Kind.Flies()
	case score.Repetition:
		return t.Kind != "" && t.Kind != feed.BallTask
	}
	return true
}

// Tried is how many attempts at a measure one player has in one turn of the pattern, as a mean where a turn ends at
// random, where there are branches, and where players change their parts from turn to turn. Of a rally the strokes are
// counted one by one. Where measures follow one another, a turn has as many balls as
// ever, all of them for the measure that is on.
func (d Document) Tried(m Measure) float64 {
	p := d.Pattern
	turn := p.UsualSequences()
	switch m.What {
	case score.Time:
		return 1
	case score.Rally, score.Point, score.Sequence:
		return turn
	}
	if p.Rally != nil {
		return turn * float64(p.Rally.Shots)
	}
	return turn * p.CountTasks(
		func(i int, t feed.Task) bool { return (m.Has(i) || d.Order.Follow()) && m.feeds(t) },
	) / float64(
		p.Roles(),
	)
}

// In is how many balls, or tasks without a ball, one attempt at a measure takes.
func (d Document) In(m Measure) int {
	if m.What != score.Sequence || d.Pattern.Rally != nil {
		return 1
	}
	return max(
		1,
		int(math.Round(d.Pattern.CountTasks(func(i int, t feed.Task) bool { return m.Has(i) && t.Kind.Flies() }))),
	)
}

// GoalAt is a goal of a drill: of which measure, and which of its goals, both from 0.
type GoalAt struct{ Measure, Goal int }

// inTurn are all goals in the order in which they follow one another.
func (d Document) inTurn() []GoalAt {
	var list []GoalAt
	for i, m := range d.Measures {
		for g := range m.Goals {
			list = append(list, GoalAt{i, g})
		}
	}
	if d.Order == GoalByGoal {
		slices.SortStableFunc(list, func(a, b GoalAt) int { return a.Goal - b.Goal })
	}
	return list
}

// Before lists the goals that have to be met before another one: side by side those of its own measure.
func (d Document) Before(at GoalAt) []GoalAt {
	list := d.inTurn()
	list = list[:slices.Index(list, at)]
	if !d.Order.Follow() {
		list = slices.DeleteFunc(list, func(before GoalAt) bool { return before.Measure != at.Measure })
	}
	return list
}

// On is which measure is to be counted, from 0, where so many goals of each are met: of measures that follow one
// another the one whose turn it is, and the last one at the end; side by side all are, and it is the first.
func (d Document) On(met []int) int {
	if !d.Order.Follow() {
		return 0
	}
	for _, at := range d.inTurn() {
		if at.Goal >= met[at.Measure] {
			return at.Measure
		}
	}
	return len(d.Measures) - 1
}

// checkMeasures says what is wrong with the measures, by field.
func (d Document) checkMeasures(c court.Court) error {
	var wrong invalid.Fields
	if len(d.Measures) == 0 {
		wrong.Add("measures", "say what is counted: a drill has at least one measure")
	}
	if len(d.Measures) > MaxMeasures {
		wrong.Add("measures", "a drill has at most %d measures; this one has %d", MaxMeasures, len(d.Measures))
	}
	timed := -1
	for i, m := range d.Measures {
		path := invalid.Join("measures", i)
		if slices.ContainsFunc(d.Measures[:i], func(other Measure) bool { return other.Number == m.Number }) {
			wrong.Add(invalid.Join(path, "number"), "there is a measure %d already", m.Number)
		}
		wrong.Under(path, d.checkMeasure(c, m))
		if len(m.Goals) > 0 && m.Goals[0].Kind == score.AsManyAsPossible {
			if timed >= 0 && !d.Order.Follow() {
				wrong.Add(
					invalid.Join(path, "goals", 0, "minutes"),
					"its time would overlap that of measure %d; let the measures follow one another",
					d.Measures[timed].Number,
				)
			}
			timed = i
		}
		if d.Order.Follow() && len(m.Goals) > 0 && m.What != d.Measures[0].What {
			wrong.Add(
				invalid.Join(path, "what"),
				"measures that follow one another count the same thing; this one counts %s and the first one %s",
				m.What.Many(),
				d.Measures[0].What.Many(),
			)
		}
	}
	return wrong.Err()
}

func (d Document) checkMeasure(c court.Court, m Measure) error {
	var wrong invalid.Fields
	if m.Name != strings.TrimSpace(m.Name) {
		wrong.Add("name", "no spaces before or after a name")
	}
	for i, task := range m.Tasks {
		if task < 0 || task >= len(d.Pattern.Tasks) {
			wrong.Add(invalid.Join("tasks", i), "the sequence has no task %d", task+1)
		}
	}
	if wrong == nil && d.Tried(m) == 0 {
		wrong.Add("tasks", "nothing in the sequence feeds this measure: it counts %s", m.What.Many())
	}
	if m.What == score.Rally && d.Pattern.Rally == nil {
		wrong.Add("what", "rallies are counted in a drill in which each reply is the next feed")
	}
	if m.Target != nil {
		_, err := c.Shape(*m.Target, d.Format)
		wrong.Under("target", err)
	}
	for i, k := range m.Counts.Criteria {
		wrong.Under(invalid.Join("counts.criteria", i), k.check(d, c))
	}
	if len(m.Counts.Criteria) > 0 && (m.Counts.By == "" || m.Counts.By == ByLanding) {
		wrong.Add("counts.by", "criteria are about how the player moves; let that count, or take them out")
	}
	if m.Who == TwoSides && m.What != score.Point {
		wrong.Add("who", "two sides play points against one another; this measure counts %s", m.What.Many())
	}
	if m.Who.shared() && m.Goals.Joint() {
		wrong.Add("who", "what is made together is counted by each player and added up; take %q instead", score.Total)
	}
	wrong.Under("goals", m.Goals.Check())
	for i, g := range m.Goals {
		if !m.What.Takes(g) {
			wrong.Add(invalid.Join("goals", i, "kind"), "%s is not counted in %s", g, m.What.Many())
		}
	}
	return wrong.Err()
}

func cloneMeasures(list []Measure) []Measure {
	list = slices.Clone(list)
	for i := range list {
		m := &list[i]
		m.Tasks, m.Goals, m.Counts.Criteria = slices.Clone(m.Tasks), m.Goals.Clone(), slices.Clone(m.Counts.Criteria)
		if m.Target != nil {
			target := m.Target.Clone()
			m.Target = &target
		}
	}
	return list
}
