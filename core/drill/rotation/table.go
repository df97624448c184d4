package rotation

import (
	"math"
	"slices"
)

// People beside the students of the lesson: they are not counted.
const (
	Coach  = -1 // stands in where one is missing
	nobody = -2 // a spot that stays empty
)

// Ready is what somebody without a spot does: wait on their toes and step in at the next change.
const Ready = "on deck, feet moving"

// Seat is one person in one round. Person indexes the students of the block; −1 is the coach.
type Seat struct {
	Person  int    `json:"person"`
	Spot    string `json:"spot"`
	Court   int    `json:"court" description:"Which of those who play side by side, from 1; 0 on deck"`
	Where   string `json:"where" description:"On which court, in words; empty where all play on one"`
	Side    string `json:"side"`
	With    []int  `json:"with" description:"Partners"`
	Against []int  `json:"against"`
	Feeds   bool   `json:"feeds"`
	Waits   bool   `json:"waits"`
}

// Round is a length of time with the spot everybody has in it.
type Round struct {
	Start   float64 `json:"start" description:"Seconds from the beginning of the block"`
	Seconds float64 `json:"seconds"`
	Begins  string  `json:"begins" description:"The side that begins it with the better place; empty where that is open"`
	Seats   []Seat  `json:"seats"`
}

// Had is how often somebody had a spot.
type Had struct {
	Spot  string `json:"spot"`
	Times int    `json:"times"`
}

// Share is what one person has of all rounds.
type Share struct {
	Person   int     `json:"person"`
	Played   float64 `json:"played" description:"Seconds"`
	Waited   float64 `json:"waited" description:"Seconds"`
	Struck   float64 `json:"-"` // of those played the seconds in which they do not feed
	Balls    int     `json:"balls" description:"Balls hit; 0 where that is not known"`
	Had      []Had   `json:"had"`
	Partners []int   `json:"partners" description:"How often each of the group was a partner"`
}

// Table is a rotation as it is played.
type Table struct {
	Rounds   []Round `json:"rounds"`
	People   []Share `json:"people"`
	Cycle    int     `json:"cycle" description:"Rounds after which everybody had everything equally often"`
	Seconds  float64 `json:"seconds" description:"Length of that cycle"`
	Even     bool    `json:"even" description:"Everybody plays equally long in these rounds, to half a minute"`
	Sentence string  `json:"sentence" description:"Whether it is fair, in a sentence"`
}

// maxRounds bounds a table: beyond any lesson.
const maxRounds = 240

// Table makes the rounds of a form for so many people in so many seconds, the last one cut short where
// it does not fit. A ball takes perBall seconds; 0 where balls are not counted. It has no rounds where
// there is nobody or no time.
//
// Over one cycle everybody has every spot equally often (or, of pairs, meets everybody once). Everybody
// moves one spot along the ring in each round; where partners are to change, the ring leads through the
// spots in an order found for that (see order).
func (f Form) Table(people int, seconds, perBall float64) Table {
	t := Table{Rounds: []Round{}, People: []Share{}}
	length := f.RoundSeconds(perBall)
	if people < 1 || seconds <= 0 || length <= 0 || len(f.spots()) == 0 {
		return t
	}
	var seats func(round int) []Seat
	switch f.Kind {
	case Pairs:
		seats, t.Cycle = f.everybody(people)
	case Stations:
		seats, t.Cycle = f.stations(people)
	default:
		seats, t.Cycle = f.ring(people)
	}
	t.Seconds = float64(t.Cycle) * length
	for start := 0.0; start < seconds-1e-9 && len(t.Rounds) < maxRounds; start += length {
		n := len(t.Rounds)
		t.Rounds = append(
			t.Rounds,
			Round{Start: start, Seconds: math.Min(length, seconds-start), Begins: f.begins(n), Seats: seats(n)},
		)
	}
	t.share(people, perBall)
	return t
}

// begins is the side that begins a round with the better place.
func (f Form) begins(round int) string {
	var sides []string
	for _, s := range f.Spots {
		if s.Side != "" && !slices.Contains(sides, s.Side) {
			sides = append(sides, s.Side)
		}
	}
	if len(sides) < 2 {
		return ""
	}
	switch f.Begins {
	case SameSide:
		return sides[0]
	case TakeTurns:
		return sides[round%len(sides)]
	}
	return ""
}

// share sums up what everybody has.
func (t *Table) share(people int, perBall float64) {
	t.People = make([]Share, people)
	for i := range t.People {
		t.People[i] = Share{Person: i, Had: []Had{}, Partners: make([]int, people)}
	}
	for _, round := range t.Rounds {
		for _, seat := range round.Seats {
			if seat.Person < 0 {
				continue
			}
			p := &t.People[seat.Person]
			if seat.Waits {
				p.Waited += round.Seconds
				continue
			}
			p.Played += round.Seconds
			if !seat.Feeds {
				p.Struck += round.Seconds
			}
			if perBall > 0 && !seat.Feeds {
				p.Balls += int(round.Seconds/perBall + 1e-9)
			}
			i := slices.IndexFunc(p.Had, func(h Had) bool { return h.Spot == seat.Spot })
			if i < 0 {
				i, p.Had = len(p.Had), append(p.Had, Had{Spot: seat.Spot})
			}
			p.Had[i].Times++
			for _, with := range seat.With {
				if with >= 0 {
					p.Partners[with]++
				}
			}
		}
	}
	t.describe()
}
