package progress

import (
	"fmt"
	"time"

	"hodometer/core/basics/units"
)

// Beside is what is known of a player beside what they make at a stroke. It is named, and may hold a step up back.
type Beside struct {
	Engagement int          // of the last lesson in which it was asked, out of ten; 0: never
	Effort     *int         // as hard as that lesson felt, 0 to 10
	Faults     []FaultTrend // that are watched
	Points     *InPoints    // nil: the stroke was never counted in points
	Last       time.Time    // when the stroke was counted last; zero: never
	Now        time.Time
}

// InPoints is how often a stroke is made at the standard task in drills, and while points are played.
type InPoints struct{ Drills, Points float64 }

// What holds a step up back. Common practice, no source: players rate a drill that suits them at 7 or more.
const (
	lowEngagement = 7
	highEffort    = 9
	muchLost      = 0.2 // of the chance, in points
	longAgo       = 4 * 7 * 24 * time.Hour
)

// holds is why a step up waits, as the end of a sentence; empty: nothing is in its way.
func (b Beside) holds(bounds Bounds) string {
	if b.Engagement > 0 && b.Engagement < lowEngagement {
		return fmt.Sprintf("the last engagement was %d out of 10. Bring the interest back first.", b.Engagement)
	}
	if b.Effort != nil && *b.Effort >= highEffort {
		return fmt.Sprintf("the last lesson felt like %d of 10 in effort. An easier one first.", *b.Effort)
	}
	for _, f := range b.Faults {
		if f.Going == "up" {
			return fmt.Sprintf("“%s” is seen more and more. Mend that first.", f.Fault)
		}
	}
	if p := b.Points; p != nil && p.Drills-p.Points >= muchLost && p.Points < bounds.Bar {
		return fmt.Sprintf("in points it is %s of 10 only. Let it hold there first.", ofTen(p.Points))
	}
	return ""
}

// said are the sentences that stand beside a decision.
func (b Beside) said() []string {
	list := []string{}
	if p := b.Points; p != nil {
		list = append(list, fmt.Sprintf("About %s of 10 in drills, %s in points.", ofTen(p.Drills), ofTen(p.Points)))
	}
	for _, f := range b.Faults {
		if f.Going != "" {
			list = append(list, fmt.Sprintf("“%s”: %s.", f.Fault, f.Sentence))
		}
	}
	if since := b.Now.Sub(b.Last); !b.Last.IsZero() && since >= longAgo {
		weeks := int(since.Hours() / 24 / 7)
		list = append(list, fmt.Sprintf("Last counted %s ago.", units.Count(weeks, "week", "weeks")))
	}
	return list
}
