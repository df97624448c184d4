package tally

import (
	"cmp"
	"slices"
	"time"

	"hodometer/core/sport/court"
)

// Summary is what all balls of one player on one drill amount to. It is worked out from them whenever some are added,
// so that nobody has to read them again.
type Summary struct {
	Count
	Zones  []Zoned   // landings that were noted by zone only
	Faults []Seen    // faults that were seen, by their names
	Landed int       // balls whose place was noted
	Last   time.Time // when the last ball that stands was counted; zero where none does
}

// Zoned is how many balls landed in a zone.
type Zoned struct {
	Zone  court.Zone `json:"zone"`
	Balls int        `json:"balls"`
}

// Seen is how often a fault was seen.
type Seen struct {
	Fault string `json:"fault"`
	Times int    `json:"times"`
}

// AddSeen adds to a list how often a fault was seen.
func AddSeen(list []Seen, more ...Seen) []Seen {
	for _, one := range more {
		i := slices.IndexFunc(list, func(s Seen) bool { return s.Fault == one.Fault })
		if i < 0 {
			i, list = len(list), append(list, Seen{Fault: one.Fault})
		}
		list[i].Times += one.Times
	}
	return list
}

// Summarise works out the summary of what the devices took; see Fold.
func Summarise(devices ...[]Entry) Summary {
	entries := InOrder(devices...)
	s := Summary{Count: CountOf(entries)}
	for _, entry := range entries {
		if entry.At.After(s.Last) {
			s.Last = entry.At
		}
		if entry.Fault != "" {
			s.Faults = AddSeen(s.Faults, Seen{entry.Fault, 1})
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
	slices.SortFunc(s.Faults, func(a, b Seen) int { return cmp.Compare(a.Fault, b.Fault) })
	return s
}
