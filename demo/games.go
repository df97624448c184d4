package demo

import (
	"context"
	"time"

	"hodometer/core/court"
	"hodometer/core/game"
	"hodometer/core/student"
)

// games enters what the young tennis players of the club played against each other on three evenings: the older they are the better.
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
			FormatVersion: game.MatchVersion, Title: "Games to 11", Sport: court.Tennis, Date: f.now.AddDate(0, 0, day).Format(time.DateOnly), Players: who,
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
	return nil
}
