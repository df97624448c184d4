package feed

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// ReplyPlace is where a reply goes, in words: how deep, and which way from where the ball is met.
type ReplyPlace string

// The places of replies. In squash deep is at the back wall and short below the front wall.
const (
	DeepCross   ReplyPlace = "deep cross-court"
	DeepLine    ReplyPlace = "deep down the line"
	DeepMiddle  ReplyPlace = "deep to the middle"
	ShortCross  ReplyPlace = "short cross-court"
	ShortLine   ReplyPlace = "short down the line"
	ShortMiddle ReplyPlace = "short to the middle"
)

// ReplyWords is a place of replies as a sport calls it.
type ReplyWords struct {
	Place ReplyPlace `json:"place"`
	Words string     `json:"words"`
}

// ReplyWordsOf lists the places of replies as they are called in a sport: with a shuttle and between walls what goes
// down the line goes straight.
func ReplyWordsOf(sport court.Sport) []ReplyWords {
	var list []ReplyWords
	for _, each := range ReplyPlace("").Enum() {
		place, _ := each.(ReplyPlace)
		words := string(place)
		if sports.Of(sport).Straight {
			switch place {
			case DeepLine:
				words = "deep and straight"
			case ShortLine:
				words = "short and straight"
			}
		}
		list = append(list, ReplyWords{place, words})
	}
	return list
}

// At is where the reply goes to a ball that lands at a place of the near half and is met with a stroke, in metres on
// the court, as it is written for a right-hander. A ball in the middle is met on the side of the stroke. How deep and
// how wide is common practice, no source.
func (r ReplyPlace) At(c court.Court, landing court.Point, stroke sports.Stroke) court.Point {
	const middle = 0.1 // share of half the width within which a ball comes down the middle
	side := math.Copysign(1, landing.X)
	if math.Abs(landing.X) <= middle*c.Singles/2 {
		side = 1
		if stroke.OnBackhand() {
			side = -1
		}
	}
	share := court.DeepShare
	switch r {
	case ShortCross, ShortLine, ShortMiddle:
		share = court.ShortShare
	}
	across := court.WideShare
	switch r {
	case DeepCross, ShortCross:
		across = -across
	case DeepMiddle, ShortMiddle:
		across = 0
	}
	along := c.AtDepth(share)
	if c.HasNet() {
		along = -along // beyond the net
	}
	return court.Point{X: side * across * c.Singles / 2, Y: along}
}

// ReplyPlaceAt is the place of replies that a point is, to within metres; empty for none of them.
func ReplyPlaceAt(at court.Point, within float64, c court.Court, landing court.Point, stroke sports.Stroke) ReplyPlace {
	for _, each := range ReplyPlace("").Enum() {
		if place, ok := each.(ReplyPlace); ok && place.At(c, landing, stroke).Distance(at) <= within {
			return place
		}
	}
	return ""
}
