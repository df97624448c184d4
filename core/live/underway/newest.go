package underway

import (
	"slices"
	"time"

	"hodometer/core/count/tally"
)

// Newest is the newest count of a student: the device of that run counts them.
type Newest struct {
	Run string    `json:"run"`
	At  time.Time `json:"at"`
}

// newest is the newest count of a counter, faults aside; nil where nothing is counted. Where several are on one count,
// it is that of the run that was tapped.
func (k Kit) newest(c Counter) *Newest {
	same := func(a Counted) bool { return a.Block == c.Counted && a.Measure.Number == c.Measure }
	i := slices.IndexFunc(k.Counted, func(a Counted) bool { return same(a) && a.Student == c.Party })
	if i < 0 {
		return nil
	}
	var found *Newest
	for _, run := range k.Counted[i].Runs {
		for _, entry := range slices.Backward(run.Entries) {
			if entry.Kind == tally.Fault {
				continue
			}
			if found == nil || entry.At.After(found.At) {
				found = &Newest{run.ID, entry.At}
			}
			break
		}
	}
	if found == nil {
		return nil
	}
	for _, other := range k.Counted {
		if !same(other) || other.Student == c.Party {
			continue
		}
		for _, run := range other.Runs {
			if id, err := derivedID(run.ID, c.Party); err == nil && id == found.Run {
				found.Run = run.ID
			}
		}
	}
	return found
}
