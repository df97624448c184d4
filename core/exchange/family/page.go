// Package family is what a player and those at home are told: what was worked on, in plain words, and what to practise.
// Nothing private and nothing of other players is in it.
package family

import (
	"cmp"
	"context"
	"fmt"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Known is what a page is made from: of one player, from one day to another.
type Known struct {
	Player   student.Profile
	From, To string // days, year-month-day
	Came, Of int    // lessons
	Minutes  float64
	Strokes  []Worked // what was worked on, most first
	Met      []Met    // goals that were met, the newest first
	Own      []library.Stored
	Passed   []Passed // milestones of the time
}

// Worked is a stroke that was worked on: what was counted in the time, and what is advised next.
type Worked struct {
	Stroke      sports.Stroke
	Made, Balls int
	Advice      progress.Advice
}

// Met is a goal that was met.
type Met struct{ Day, Drill, Goal string }

// Passed is a milestone that was passed.
type Passed struct {
	Stroke sports.Stroke
	Rung   ladder.Quality
}

// Page is what is told.
type Page struct {
	Player   string
	Sport    string
	From, To string
	There    string   // how often they came
	Strokes  []Stroke // what was worked on
	Met      []string
	Practice []Practice
	Care     []string
}

// Stroke is what is told of a stroke, with where it stands on its ladder.
type Stroke struct {
	Name   string
	Here   ladder.Quality
	Behind []ladder.Quality // milestones that were passed in the time
	Counts string
	Next   string
}

// Practice is something to practise at home.
type Practice struct {
	Name  string
	Lines []string
}

const (
	// How much is told, so that it is read.
	mostMet, mostTossed, mostAlone = 6, 2, 2
	// practised is how many are to be made in a go at home; common practice, no source.
	practised = 10
)

// Of works out what is told. It returns ctx.Err() when cancelled.
func Of(ctx context.Context, k Known) (Page, error) {
	p := Page{Player: k.Player.Name, Sport: string(k.Player.Sport), From: k.From, To: k.To, There: there(k)}
	for _, w := range k.Strokes {
		s := Stroke{Name: string(w.Stroke), Here: w.Advice.Rung, Next: next(w.Advice)}
		if k.rests(w.Stroke) {
			s.Next = "Later." // why is private
		}
		if w.Balls > 0 {
			s.Counts = fmt.Sprintf(
				"%d of %s made, %s of 10.",
				w.Made,
				units.Balls(w.Balls),
				units.Decimal(10*share(w.Made, w.Balls), 1),
			)
		}
		for _, m := range k.Passed {
			if m.Stroke == w.Stroke {
				s.Behind = append(s.Behind, m.Rung)
			}
		}
		p.Strokes = append(p.Strokes, s)
	}
	p.Met = met(k.Met)
	tossed, err := k.tossed(ctx)
	if err != nil {
		return Page{}, err
	}
	p.Practice = slices.Concat(tossed, k.alone())
	p.Care = k.care()
	return p, ctx.Err()
}

// met says each goal that was met once, with how often it was and when it was last.
func met(all []Met) []string {
	type goal struct{ drill, goal string }
	times, order, last := map[goal]int{}, []goal{}, map[goal]string{}
	for _, m := range all {
		g := goal{m.Drill, m.Goal}
		if times[g]++; times[g] == 1 {
			order, last[g] = append(order, g), m.Day
		}
	}
	var lines []string
	for _, g := range order[:min(len(order), mostMet)] {
		line := fmt.Sprintf("%s: %s, on %s", g.drill, g.goal, last[g])
		if n := times[g]; n > 1 {
			line = fmt.Sprintf("%s: %s, %d times, the last on %s", g.drill, g.goal, n, last[g])
		}
		lines = append(lines, line)
	}
	return lines
}

func share(made, balls int) float64 { return float64(made) / float64(max(balls, 1)) }

func there(k Known) string {
	if k.Of == 0 {
		return "There was no lesson in this time."
	}
	said := fmt.Sprintf("At %d of %s", k.Came, units.Count(k.Of, "lesson", "lessons"))
	if whole := int(k.Minutes + 0.5); whole > 0 {
		said += fmt.Sprintf(", %d h %02d min on court", whole/60, whole%60)
	}
	return said + "."
}

// next says what the next milestone is, and how far it is.
func next(a progress.Advice) string {
	switch {
	case a.Decision == progress.StepUp:
		return fmt.Sprintf(
			"%s is reached: %s. Next milestone: %s, %s.",
			units.Title(string(a.Rung)),
			a.Rung.Plain(),
			a.Next,
			a.Next.Plain(),
		)
	case a.Decision == progress.StepBack:
		return fmt.Sprintf("Next milestone: %s, %s, with easier balls first.", a.Next, a.Next.Plain())
	case a.Chance == nil:
		return fmt.Sprintf("Next milestone: %s, %s.", a.Rung, a.Rung.Plain())
	}
	return fmt.Sprintf(
		"Next milestone: %s, %s. It is reached when about %s of 10 go %s; now about %s do.",
		a.Rung,
		a.Rung.Plain(),
		units.Decimal(10*a.Asked, 1),
		a.Makes,
		units.Decimal(10**a.Chance, 1),
	)
}

func ball(sport court.Sport) string { return "a " + sports.Of(sport).One }

// notTossed are strokes that nobody at home tosses a ball for: who serves has the ball already, and what is no stroke
// needs none; one above the head is not practised without somebody who watches.
func notTossed(s sports.Stroke) bool {
	return slices.Contains(
		[]sports.Stroke{
			sports.Serve,
			sports.Return,
			sports.Footwork,
			sports.Technique,
			sports.Overhead,
			sports.Smash,
			sports.Clear,
		},
		s,
	)
}

// rests says whether a player is spared a stroke.
func (k Known) rests(s sports.Stroke) bool {
	return !catalogue.Spares(drill.Document{Sport: k.Player.Sport, Stroke: s}, k.Player.Rests())
}

// tossed is practice with somebody who tosses: so many to be made, with how many tosses that takes by what was counted.
func (k Known) tossed(ctx context.Context) ([]Practice, error) {
	var lines []string
	for _, w := range k.Strokes {
		if notTossed(w.Stroke) || k.rests(w.Stroke) || w.Made == 0 || len(lines) == mostTossed {
			continue
		}
		rate := min(share(w.Made, w.Balls), 0.99) // who never missed yet may
		q := odds.Question{Goal: score.Goal{Kind: score.Total, Count: practised}, Rate: rate}
		tosses, _, _, err := q.Enough(ctx)
		if err != nil {
			return nil, err
		}
		lines = append(
			lines,
			fmt.Sprintf(
				"%s: until %d are made. As it went on court, %s tosses are enough 4 times in 5.",
				units.Title(string(w.Stroke)),
				practised,
				units.Decimal(tosses, 0),
			),
		)
	}
	if len(lines) == 0 {
		return nil, nil
	}
	return []Practice{
		{
			Name:  "With somebody who tosses " + ball(k.Player.Sport),
			Lines: append(lines, "Toss underarm, slowly, from a few steps in front and out of reach of the racket."),
		},
	}, nil
}

// alone is practice that needs nobody: drills of the sport, the coach's own and the built-in ones, that suit;
// nothing that the player is spared, and nothing above the head for somebody whose serves or overheads are limited.
func (k Known) alone() []Practice {
	var needs []catalogue.Need
	for _, w := range k.Strokes {
		needs = append(needs, catalogue.Need{Stroke: w.Stroke, Rung: w.Advice.Next})
	}
	all := slices.DeleteFunc(append(slices.Clone(k.Own), library.All()...), func(s library.Stored) bool {
		return s.Document.Sport != k.Player.Sport || !s.Document.Alone() || !catalogue.Spares(s.Document, k.Player.Rests()) ||
			s.Document.AboveHead() && k.Player.Limit != nil && k.Player.Limit.Of != student.Balls
	})
	suits := func(s library.Stored) float64 {
		return catalogue.Suits(s.Document, s.Offered(), k.Player.Level, needs)
	}
	slices.SortStableFunc(all, func(a, b library.Stored) int { return cmp.Compare(suits(b), suits(a)) })
	var list []Practice
	for _, s := range all[:min(len(all), mostAlone)] {
		d := s.Document.For(k.Player.Hand)
		lines := []string{}
		if d.Summary != "" {
			lines = append(lines, d.Summary)
		}
		list = append(list, Practice{Name: "Alone: " + d.Name, Lines: append(lines, "Goal: "+d.Main().Goal())})
	}
	return list
}

// care is what to mind. It defers to those who know better.
func (k Known) care() []string {
	lines := []string{
		"Warm up first, with room to swing and nobody within reach of the racket.",
		"Stop where something hurts; with pain that stays, ask a doctor before the next lesson.",
	}
	if k.Player.Age.Growing() {
		lines = append(lines, "A grown-up is near. Little and often is better than much at once.")
	}
	return lines
}
