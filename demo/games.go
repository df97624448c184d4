package demo

import (
	"context"
	"errors"
	"time"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// games enters what the young tennis players of the club played against each other on three evenings: the older they
// are the better.
func (f *filler) games(ctx context.Context, students []string) error {
	var who []string
	skill := map[string]float64{}
	for i, profile := range people() {
		if profile.Sport == court.Tennis && (profile.Age == student.Eleven || profile.Age == student.Fourteen) {
			who = append(who, students[i])
			skill[students[i]] = 0.5
			if profile.Age == student.Fourteen {
				skill[students[i]] = 0.65
			}
		}
	}
	for evening, day := range []int{-30, -16, -4} {
		m := game.Match{
			FormatVersion: game.MatchVersion,
			Title:         "Games to 11",
			Sport:         court.Tennis,
			Date:          f.now.AddDate(0, 0, day).Format(time.DateOnly),
			Players:       who,
		}
		for i, near := range who {
			far := who[(i+1+evening)%len(who)]
			if near == far {
				continue
			}
			round := game.Round{Near: []string{near}, Far: []string{far}}
			for round.NearPoints < 11 && round.FarPoints < 11 {
				if f.dice.Float64() < skill[near]/(skill[near]+skill[far]) {
					round.NearPoints++
				} else {
					round.FarPoints++
				}
			}
			m.Entered = append(m.Entered, round)
		}
		if err := m.Check(); err != nil {
			return err
		}
		if _, err := f.store.Played.Create(ctx, f.id(), m); err != nil {
			return err
		}
	}
	return f.duel(ctx, students[noor], students[teo])
}

// duel is a game of two that was counted rally by rally, with their backhands beside the score: fewer go in than in
// drills.
func (f *filler) duel(ctx context.Context, near, far string) error {
	ready, ok := library.FindGame("266ce16a-0630-5f1d-bb58-2162fac3a350")
	if !ok {
		return errors.New("the ready game of the demo is gone")
	}
	rules := ready.Rules
	rules.Measures = append(rules.Measures, game.Measure{ID: "backhand", Name: "backhand", Stroke: sports.Backhand})
	at := f.now.AddDate(0, 0, -2)
	m := game.Match{
		FormatVersion: game.MatchVersion,
		Game:          "266ce16a-0630-5f1d-bb58-2162fac3a350",
		Title:         ready.Name,
		Sport:         ready.Sport,
		Court:         ready.Court,
		Date:          at.Format(time.DateOnly),
		Players:       []string{near, far},
		Rules:         &rules,
	}
	var s game.State
	for !s.Over {
		rally := max(1, s.Rally)
		var events []game.Event
		tap := func(e game.Event) {
			at = at.Add(time.Second)
			e.ID, e.At, e.Rally = f.id(), at, rally
			events = append(events, e)
		}
		backhand := game.Event{Kind: game.Counted, Measure: "backhand", Side: game.Near, Right: f.dice.Float64() < 0.45}
		if rally%2 == 0 {
			backhand.Side = game.Far
		}
		tap(backhand)
		winner := game.Near
		if f.dice.Float64() < 0.4 {
			winner = game.Far
		}
		tap(game.Event{Kind: game.Won, Side: winner})
		var err error
		if m, _, err = m.With(events); err != nil {
			return err
		}
		if s, _, err = m.Course(nil); err != nil {
			return err
		}
	}
	_, err := f.store.Played.Create(ctx, f.id(), m)
	return err
}
