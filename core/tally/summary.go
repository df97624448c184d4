package tally

import (
	"slices"
	"time"

	"hodometer/core/court"
)

// Summary is what all balls of one player on one drill amount to. It is worked out from them whenever some are added,
// so that nobody has to read them again.
type Summary struct {
	Count
	Zones  []Zoned   // landings that were noted by zone only
	Landed int       // balls whose place was noted
	Last   time.Time // when the last ball that stands was counted; zero where none does
}

// Zoned is how many balls landed in a zone.
type Zoned struct {
	Zone  court.Zone `json:"zone"`
	Balls int        `json:"balls"`
}

// Summarise works out the summary of what the devices took; see Fold.
func Summarise(devices ...[]Entry) Summary {
	entries := InOrder(devices...)
	s := Summary{Count: CountOf(entries)}
	for _, entry := range entries {
		if entry.At.After(s.Last) {
			s.Last = entry.At
		}
		if entry.Landing != nil {
			s.Landed++
		}
		if entry.Zone == nil {
			continue
		}
		i := slices.IndexFunc(s.Zones, func(z Zoned) bool { return z.Zone == *entry.Zone })
		if i < 0 {
			i, s.Zones = len(s.Zones), append(s.Zones, Zoned{Zone: *entry.Zone})
		}
		s.Zones[i].Balls++
	}
	return s
}
