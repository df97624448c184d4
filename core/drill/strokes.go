package drill

import (
	"fmt"

	"hodometer/core/sport/sports"
)

// AboveHead says whether the drill has serves or other strokes above the head.
func (d Document) AboveHead() bool { return d.Pattern.Count(sports.Of(d.Sport).Overhead) > 0 }

// FacesVolleys says, in a sentence, that people wait where volleys go: a queue or an on-deck place beyond the
// net; empty where they do not.
func (d Document) FacesVolleys() string {
	c, err := sports.Court(d.Court)
	if err != nil || d.Pattern.Count(sports.Stroke.Volleyed) == 0 {
		return ""
	}
	for _, place := range d.Places {
		if place.Kind != Queue && place.Kind != OnDeck {
			continue
		}
		if at, err := c.Resolve(place.Mark); err == nil && at.Y > 0 {
			return fmt.Sprintf("the %s stands beyond the net, where the volleys go.", place.Kind)
		}
	}
	return ""
}
