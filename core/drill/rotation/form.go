// Package rotation says who is where in every round, with whom, for how long, and how long they wait.
package rotation

import (
	"strings"

	"hodometer/core/basics/invalid"
)

// Kind is a way in which a group changes places.
type Kind string

// The kinds.
const (
	// Roles are swapped: pairs or small teams side by side, everybody one role further.
	Roles Kind = "roles"
	// Spots are taken in turn: everybody one spot to the right, those left over are on deck.
	Spots Kind = "spots"
	// Stations are visited by groups.
	Stations Kind = "stations"
	// Pairs play everybody against everybody.
	Pairs Kind = "everybody plays everybody"
	// TwoToOne has two against one, and everybody is the one equally often.
	TwoToOne Kind = "two against one"
)

// Counted is what a round is counted in where it is not timed.
type Counted string

// What can be counted.
const (
	Balls  Counted = "balls"
	Points Counted = "points"
)

// PointSeconds is how long a point takes with what comes between it and the next. Common practice, no source.
const PointSeconds = 20

// Begins is which side begins each round with the better place, as at the net.
type Begins string

// The ways to begin.
const (
	SameSide  Begins = "always the same side"
	TakeTurns Begins = "the sides take turns"
	Winners   Begins = "whoever won the last"
)

// Spot is a place, a role or a station.
type Spot struct {
	Name  string `json:"name" minLength:"1" maxLength:"60"`
	Side  string `json:"side,omitempty" maxLength:"40" description:"Spots of one side play together, against the other sides; without sides all of a court are partners"`
	Feeds bool   `json:"feeds,omitempty" description:"Whoever is here feeds and hits no balls that count"`
}

// Form is how a group rotates in a block.
type Form struct {
	Kind   Kind    `json:"kind"`
	Spots  []Spot  `json:"spots" maxItems:"8" description:"Roles, spots or stations in the order in which they are taken; none for pairs and two against one"`
	Every  float64 `json:"every,omitempty" minimum:"0" maximum:"60" description:"Minutes of a round"`
	Count  int     `json:"count,omitempty" minimum:"0" maximum:"200" description:"Or: balls or points of a round"`
	Of     Counted `json:"of,omitempty"`
	Courts int     `json:"courts,omitempty" minimum:"0" maximum:"6" description:"How many can play it side by side; 0: as many as fit"`
	Mix    bool    `json:"mix,omitempty" description:"Take the spots in an order in which partners change most; else in the order listed, and neighbours stay neighbours"`
	Begins Begins  `json:"begins,omitempty"`
	Queues bool    `json:"queues,omitempty" description:"Those who wait queue behind each spot; else behind the last one of their court"`
}

const shortestRound = 5.0 // seconds

// Check says what is wrong with a form beyond its shape.
func (f Form) Check() error {
	var wrong invalid.Fields
	needed := map[Kind]int{Roles: 1, Spots: 1, Stations: 1}[f.Kind]
	if len(f.Spots) < needed {
		wrong.Add("spots", "name at least one, separated by commas")
	}
	for i, s := range f.Spots {
		if strings.TrimSpace(s.Name) == "" {
			wrong.Add(invalid.Join("spots", i), "give it a name")
		}
	}
	switch {
	case f.Every <= 0 && f.Count <= 0:
		wrong.Add("every", "say after how many minutes, balls or points they change")
	case f.Count > 0 && f.Of == "":
		wrong.Add("of", "say what is counted: balls or points")
	case f.Count == 0 && f.Every*60 < shortestRound:
		wrong.Add("every", "a round has at least %g seconds", shortestRound)
	}
	return wrong.Err()
}

// spots are the spots of one court.
func (f Form) spots() []Spot {
	switch f.Kind {
	case Pairs:
		return []Spot{{Name: "near end", Side: "near"}, {Name: "far end", Side: "far"}}
	case TwoToOne:
		return []Spot{
			{Name: "the one", Side: "one"},
			{Name: "the two, left", Side: "two"},
			{Name: "the two, right", Side: "two"},
		}
	}
	return f.Spots
}

// RoundSeconds is the length of a round, where one ball takes so many seconds.
func (f Form) RoundSeconds(perBall float64) float64 {
	if f.Count <= 0 {
		return f.Every * 60
	}
	each := perBall
	if f.Of == Points {
		each = PointSeconds
	}
	return max(shortestRound, float64(f.Count)*each)
}

// courts is how many play side by side.
func (f Form) courts(people int) int {
	fit := max(1, people/max(1, len(f.spots())))
	if f.Courts > 0 {
		return min(fit, f.Courts)
	}
	return fit
}
