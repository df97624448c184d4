package game

import (
	"cmp"
	"slices"
	"time"
)

// EventKind is what was tapped.
type EventKind string

// What can happen.
const (
	Won     EventKind = "won"     // a rally, by a side
	Awarded EventKind = "awarded" // something that is worth points of its own
	Broke   EventKind = "broke"   // a side did not keep to a restriction
	Fault   EventKind = "fault"   // a serve that was out
	Again   EventKind = "again"   // the rally is played again; what was tapped in it counts for nobody
	Counted EventKind = "counted" // a stroke of a measure, made or missed, which scores nothing
	Chose   EventKind = "chose"   // a right or a wrong choice, which scores nothing
	TimeUp  EventKind = "time"    // the game is over
	Undo    EventKind = "undo"    // the last event that stands is taken back
	Redo    EventKind = "redo"    // the last event that was taken back stands again
)

// Event is one thing that happened in a game, from any device.
type Event struct {
	ID    string    `json:"id" minLength:"1" maxLength:"40"`
	At    time.Time `json:"at"`
	Kind  EventKind `json:"kind"`
	Rally int       `json:"rally" minimum:"1" maximum:"5000" description:"In which rally, from 1: nobody can win one twice"`

	Side        Side   `json:"side,omitempty" description:"Who won it, was awarded, broke a restriction"`
	Player      string `json:"player,omitempty" maxLength:"40" description:"Which player, where one alone did it"`
	Award       string `json:"award,omitempty" maxLength:"24" description:"Which one"`
	Restriction int    `json:"restriction,omitempty" minimum:"0" maximum:"7" description:"Which one, from 0"`
	Measure     string `json:"measure,omitempty" maxLength:"24" description:"Of a stroke that is counted: which one"`
	Right       bool   `json:"right,omitempty" description:"Of a choice: it was the right one; of a stroke that is counted: it was made"`
}

// inOrder sorts events by when they happened, and drops those that came twice. The same events are in the same order
// from however many devices they come.
func inOrder(events []Event) []Event {
	sorted := slices.Clone(events)
	slices.SortStableFunc(sorted, func(a, b Event) int {
		if c := a.At.Compare(b.At); c != 0 {
			return c
		}
		return cmp.Compare(a.ID, b.ID)
	})
	seen := make(map[string]bool, len(sorted))
	return slices.DeleteFunc(sorted, func(e Event) bool {
		twice := seen[e.ID]
		seen[e.ID] = true
		return twice
	})
}
