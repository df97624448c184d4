package report

import (
	"slices"

	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// Moved is what is read off while a place is being dragged.
type Moved struct {
	Spot     *Spot     `json:"spot" description:"The place; null where it is not one of the report's"`
	Measures []Measure `json:"measures" description:"With their targets where they would be"`
}

// AfterMove says what a place would be, and what the target would be with it, without the rest of the report.
func AfterMove(d drill.Document, move drill.Move, hand student.Hand, s coach.Settings) (Moved, error) {
	changed, err := d.Edited(drill.Edit{Move: &move}, hand, s)
	if err != nil {
		return Moved{}, err
	}
	r, err := Of(changed.For(hand), 1, s)
	if err != nil {
		return Moved{}, err
	}
	m := Moved{Measures: r.Measures}
	if i := slices.IndexFunc(r.Spots, func(spot Spot) bool { return spot.Handle == move.Handle }); i >= 0 {
		m.Spot = &r.Spots[i]
	}
	return m, nil
}
