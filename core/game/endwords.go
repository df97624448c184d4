package game

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/count/score"
)

// endInWords is when the game is over.
func (r Rules) endInWords() string {
	var ends []string
	e := r.End
	switch {
	case e.Near > 0 && e.Near == e.Far:
		to := fmt.Sprintf("To %d", e.Near)
		if e.WinBy > 1 {
			to += ", two ahead"
		}
		if e.Cap > 0 {
			to += fmt.Sprintf(", at %d one is enough", e.Cap)
		}
		ends = append(ends, to)
	case e.Near > 0 && e.Far > 0:
		ends = append(ends, fmt.Sprintf("The near side needs %d, the far side %d", e.Near, e.Far))
	case e.Near > 0:
		ends = append(ends, fmt.Sprintf("The near side needs %d", e.Near))
	case e.Far > 0:
		ends = append(ends, fmt.Sprintf("The far side needs %d", e.Far))
	}
	if e.Rounds > 0 {
		ends = append(ends, "over after "+units.Count(e.Rounds, "round", "rounds"))
	}
	if e.Rallies > 0 {
		ends = append(ends, "over after "+score.Rally.Of(e.Rallies))
	}
	if e.Minutes > 0 {
		ends = append(ends, "over after "+units.Decimal(e.Minutes, 1)+" min")
	}
	if len(ends) == 0 {
		return "Over when something wins the game."
	}
	return units.Title(strings.Join(ends, "; ")) + "."
}

// bothCanGetThere says whether both sides can come to the points that they need in the same rally: one is ahead by it,
// and something is paid for beside it.
func (r Rules) bothCanGetThere() bool {
	return r.Score == "" && r.Rally > 0 && r.End.Near > 0 && r.End.Far > 0 && r.End.ahead() == 1 &&
		slices.ContainsFunc(r.Awards, func(a Award) bool { return a.Ends == "" && a.Points > 0 })
}
