// Package report is everything that a view shows about a drill, with all places resolved.
package report

import (
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Report is everything a view shows about a drill. All places are resolved.
type Report struct {
	Court     court.Court     `json:"court"`
	Spots     []Spot          `json:"spots" description:"Every place that can be moved"`
	Feeds     []Feed          `json:"feeds" description:"The balls of one sequence in order"`
	NoGo      []court.Shape   `json:"noGo" description:"Areas where no ball may land"`
	NoGoLines []court.LineID  `json:"noGoLines" description:"Lines that no ball may cross"`
	Walk      []court.Step    `json:"walk" description:"What to put down, in walking order from the near left corner"`
	Sizes     []coach.Size    `json:"sizes" description:"Lengths of the targets and of obstacles that can be typed"`
	Measures  []Measure       `json:"measures" description:"In the order of the drill's"`
	Load      load.Load       `json:"load"`
	Metrics   []metric.Metric `json:"metrics"`
	Rally     feed.Rally      `json:"rally" description:"As it is usual on the court, for a drill that has none yet"`
	Care      []string        `json:"care" description:"The usual cautions that apply to it; no medical advice"`
}

// Measure is what is counted in a drill, with its target on the court.
type Measure struct {
	Number   int            `json:"number"`
	Name     string         `json:"name" description:"What it is called beside others; empty where it is the only one"`
	Unit     score.Unit     `json:"unit" description:"What is tried"`
	Goal     string         `json:"goal" description:"Its goals in words"`
	Where    string         `json:"where" description:"What follows its goals in words: where to, and what is counted"`
	Target   *court.Shape   `json:"target" description:"null: in is enough"`
	Aim      string         `json:"aim" description:"The target in words; empty where there is none"`
	Measured []metric.Input `json:"measured" description:"The target's area, share of its box, margin and share out, in words"`
	Criteria []Criterion    `json:"criteria" description:"What makes a movement right"`
}

// Criterion is what makes a movement right, in words and on the court.
type Criterion struct {
	Text string       `json:"text"`
	Line court.LineID `json:"line,omitempty" description:"The line that it is about"`
	Area *court.Shape `json:"area" description:"The area that it is about; null where there is none"`
}

// measures puts the measures of a drill into words, and their targets on the court.
func measures(d drill.Document, c court.Court, s coach.Settings) ([]Measure, error) {
	list := make([]Measure, len(d.Measures))
	for i, m := range d.Measures {
		r := Measure{
			Number:   m.Number,
			Name:     d.Called(m),
			Unit:     m.What,
			Goal:     m.Goal(),
			Measured: []metric.Input{},
			Criteria: []Criterion{},
		}
		for _, k := range m.Counts.Criteria {
			said := Criterion{Text: k.Say(c, d.Format)}
			if k.Kind == drill.BeforeTheLine {
				said.Line = k.Line
			}
			if shape, ok := k.Drawn(c, d.Format); ok {
				said.Area = &shape
			}
			r.Criteria = append(r.Criteria, said)
		}
		if target := d.TargetOf(m); target != nil {
			shape, err := c.Shape(*target, d.Format)
			if err != nil {
				return nil, err
			}
			r.Target, r.Aim, r.Measured = &shape, c.DescribeTarget(*target, s.Tape()), measured(c, shape, s)
		}
		r.Where = where(r, m)
		list[i] = r
	}
	return list, nil
}

// where is what follows the goals of a measure in words.
func where(r Measure, m drill.Measure) (phrase string) {
	switch {
	case r.Aim != "":
		phrase = ", into the " + r.Aim
	case m.What.OfBalls() && m.Counts.By != drill.ByMovement:
		phrase = ", in is enough"
	}
	if m.What != score.Ball {
		phrase += "; " + m.What.Many() + " are counted"
	}
	return phrase
}

// Spot is one place that can be moved on the court.
type Spot struct {
	Handle      string          `json:"handle" description:"Where the mark stands in the document: places.0.mark, pattern.tasks.1.landing, measures.0.target.mark"`
	Label       string          `json:"label" description:"What it is called: cone B, or as the coach calls it"`
	Kind        drill.PlaceKind `json:"kind,omitempty" description:"Of people and things"`
	Letter      string          `json:"letter,omitempty" description:"Of a cone"`
	At          court.Point     `json:"at"`
	Description string          `json:"description" description:"The place as a coach says it"`
	Size        float64         `json:"size" description:"Of an obstacle, a strip or a rope: how long it is, metres; else 0"`
	Up          bool            `json:"up,omitempty" description:"It points up the court instead of across"`
	Around      drill.PassSide  `json:"around,omitempty" description:"Of an obstacle: the side on which it is passed"`

	Mark      court.Mark   `json:"mark" description:"How it is said"`
	Parts     []court.Part `json:"parts" description:"Its lengths, to be changed one by one"`
	Removable bool         `json:"removable" description:"It can be taken off the court"`
}

// Feed is one ball as it is fed.
type Feed struct {
	Number  int         `json:"number" description:"From 1"`
	Label   string      `json:"label"`
	From    court.Point `json:"from"`
	Landing court.Point `json:"landing" description:"For players who wait at their places"`
	Area    *feed.Area  `json:"area" description:"It lands anywhere around there; null where it does not"`
	Release float64     `json:"release" description:"Seconds after the first ball of the sequence"`
}

// Of works out a drill for so many people. It returns invalid.Fields.
func Of(d drill.Document, people int, s coach.Settings) (Report, error) {
	if err := d.Check(); err != nil {
		return Report{}, err
	}
	if people < 1 {
		return Report{}, invalid.Fields{{Path: "people", Message: "a drill needs at least one player"}}
	}
	c, err := sports.Court(d.Court)
	if err != nil {
		return Report{}, err
	}
	tape := s.Tape()
	group, _ := load.Arrange(d, people, 1, load.Space{})
	r := Report{
		Court: c, Feeds: []Feed{}, Load: load.For(d, group, d.Turns, s),
		NoGo: []court.Shape{}, NoGoLines: []court.LineID{}, Sizes: d.Sizes(s), Care: d.Care(),
		Rally: feed.UsualRally(c),
	}
	if r.Measures, err = measures(d, c, s); err != nil {
		return Report{}, err
	}
	for _, noGo := range d.NoGo {
		if noGo.Area == nil {
			r.NoGoLines = append(r.NoGoLines, noGo.Line)
			continue
		}
		shape, err := c.Shape(*noGo.Area, d.Format)
		if err != nil {
			return Report{}, err
		}
		r.NoGo = append(r.NoGo, shape)
	}
	if r.Walk, err = d.WalkOff(s.WalkTape()); err != nil {
		return Report{}, err
	}
	copied := d.Clone()
	for _, m := range copied.Marks() {
		at, err := c.Resolve(*m.Mark)
		if err != nil {
			return Report{}, err
		}
		spot := Spot{
			Handle:      m.Handle,
			Label:       m.Label,
			At:          at,
			Description: c.Describe(*m.Mark, tape),
			Mark:        *m.Mark,
			Parts:       c.Parts(*m.Mark, s.Units),
		}
		if third := c.Third(at); third != "" && m.Place == nil {
			spot.Description += ", in the " + third
		}
		if m.Place != nil {
			spot.Size, spot.Around, spot.Up, spot.Removable = m.Place.Size, m.Place.Around, m.Place.Up, d.Removable(m.Index)
			spot.Kind, spot.Letter = m.Place.Kind, d.Letter(m.Index)
		}
		r.Spots = append(r.Spots, spot)
	}
	if err := reportFeeds(d, &r, s); err != nil {
		return Report{}, err
	}
	r.Metrics = metrics(d, r, s)
	return r, nil
}

// reportFeeds lists the balls of a sequence as they are written.
func reportFeeds(d drill.Document, r *Report, s coach.Settings) error {
	resolved, err := d.Resolved(s)
	if err != nil {
		return err
	}
	ways, err := resolved.Ways()
	if err != nil {
		return err
	}
	at := 0.0
	for i, task := range d.Pattern.Tasks {
		if task.Kind.Flies() && d.Pattern.Rally == nil {
			r.Feeds = append(
				r.Feeds,
				Feed{Number: i + 1, Label: task.Label(i), From: ways[i].From, Landing: ways[i].To, Area: task.Area, Release: at},
			)
		}
		at += d.Pattern.GapOf(task)
	}
	return nil
}

// measured puts what a target covers into words.
func measured(c court.Court, t court.Shape, s coach.Settings) []metric.Input {
	percent := func(share float64) string { return units.Decimal(share*100, 1) + " %" }
	if t.Kind == court.Gate {
		return []metric.Input{{Name: "Width", Value: s.Units.Length(t.Area)}}
	}
	list := []metric.Input{{Name: "Area", Value: s.Units.Area(t.Area)}}
	if t.Box != "" {
		list = append(list, metric.Input{Name: "Share of the " + t.Box, Value: percent(t.Share)})
	}
	list = append(list, metric.Input{Name: c.MarginName(t), Value: s.Units.Length(t.Margin)})
	return append(list, metric.Input{Name: "Lies out, never counts", Value: percent(t.Out)})
}
