// Package reliability holds what was told against what happened: of goals that were told to be met 8 times in 10, so
// many were met.
package reliability

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
)

// Outcome is a goal with the chance that was told for it, and whether it was met.
type Outcome struct {
	Chance float64
	Met    bool
}

// Tenth are the goals of which a chance between two tenths was told.
type Tenth struct {
	From float64 `json:"from"`
	To   float64 `json:"to"`
	Told int     `json:"told" description:"Goals"`
	Met  int     `json:"met"`
	Mean float64 `json:"mean" description:"The chance that was told, in the mean; 0 of none"`
	Low  float64 `json:"low" description:"Between which shares what happened lies 95 times in 100"`
	High float64 `json:"high"`
	Said string  `json:"said" description:"In words; empty where nothing was told"`
}

// Verdict is whether what was told was right.
type Verdict string

// The verdicts.
const (
	TooFew     Verdict = "too few to say"
	AsTold     Verdict = "as told"
	TooHopeful Verdict = "too hopeful"
	TooCareful Verdict = "too careful"
)

// Account is what was told against what happened.
type Account struct {
	Tenths   []Tenth `json:"tenths" description:"Ten of them"`
	Told     int     `json:"told"`
	Met      int     `json:"met"`
	Expected float64 `json:"expected" description:"How many would be met if every chance was right"`
	Verdict  Verdict `json:"verdict"`
	Sentence string  `json:"sentence"`
}

const (
	enough = 20   // goals, before anything is said. Own choice, no source
	sure   = 1.96 // standard deviations: 95 times in 100
)

// Of holds goals against the chances that were told for them, each in [0, 1]. If every chance was right, the number met
// would have the sum of the chances as its mean and the sum of chance × (1 − chance) as its variance; where it lies
// beyond 1.96 standard deviations of that, what was told was too hopeful or too careful (the test of Spiegelhalter,
// Statistics in Medicine 5 (1986) 421, for the mean alone; from memory).
func Of(list []Outcome) Account {
	a := Account{Tenths: make([]Tenth, 10), Told: len(list)}
	variance := 0.0
	for i := range a.Tenths {
		a.Tenths[i].From, a.Tenths[i].To = float64(i)/10, float64(i+1)/10
	}
	for _, o := range list {
		t := &a.Tenths[max(0, min(9, int(o.Chance*10+1e-9)))]
		t.Told++
		t.Mean += o.Chance
		a.Expected += o.Chance
		variance += o.Chance * (1 - o.Chance)
		if o.Met {
			t.Met++
			a.Met++
		}
	}
	for i, t := range a.Tenths {
		if t.Told == 0 {
			continue
		}
		t.Mean /= float64(t.Told)
		t.Low, t.High = odds.Wilson(t.Met, t.Told)
		t.Said = fmt.Sprintf("told %s in the mean: %d of %d met", odds.Times(t.Mean), t.Met, t.Told)
		a.Tenths[i] = t
	}
	a.Verdict = a.verdict(math.Sqrt(variance))
	a.Sentence = a.sentence()
	return a
}

func (a Account) verdict(sd float64) Verdict {
	off := float64(a.Met) - a.Expected
	switch {
	case a.Told < enough:
		return TooFew
	case off < -sure*sd:
		return TooHopeful
	case off > sure*sd:
		return TooCareful
	}
	return AsTold
}

func (a Account) sentence() string {
	if a.Told == 0 {
		return "No goal was told and counted to its end yet: forecasts are kept from when a lesson begins."
	}
	goals := units.Count(a.Told, "goal", "goals")
	phrase := fmt.Sprintf("Of %s %d were met; about %s would have been, by what was told", goals, a.Met,
		units.Decimal(a.Expected, 1))
	switch a.Verdict {
	case TooFew:
		return phrase + fmt.Sprintf(". These are too few to say more: %d are wanted.", enough)
	case TooHopeful:
		return phrase + ": the program was too hopeful."
	case TooCareful:
		return phrase + ": the program was too careful."
	}
	return phrase + ": as told, as far as so many can show."
}
