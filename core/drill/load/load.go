// Package load is what a drill takes: how a group plays it, balls, baskets and minutes.
package load

import (
	"fmt"
	"math"
	"sort"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

// Load is what a drill takes: balls, baskets and seconds.
type Load struct {
	People    int     `json:"people"`
	Lines     int     `json:"lines" description:"Lines, or pairs, side by side"`
	Turns     int     `json:"turns" description:"Turns for each player, at least"`
	Row       int     `json:"row" description:"Turns played one after the other"`
	All       int     `json:"all" description:"Turns in all: those of lines, pairs and threes side by side added up"`
	Balls     int     `json:"balls" description:"Balls fed to everybody together"`
	Each      int     `json:"each" description:"Balls that one player plays"`
	Word      string  `json:"word" description:"What they are called: balls, shuttles, or rallies, of which each takes one"`
	Baskets   int     `json:"baskets" description:"Baskets, tubes or boxes fed, each followed by a pick-up"`
	SetUp     float64 `json:"setUp" description:"Seconds"`
	Feeding   float64 `json:"feeding" description:"Seconds of play, pauses included"`
	PickUp    float64 `json:"pickUp" description:"Seconds spent picking up balls"`
	Need      float64 `json:"need" description:"Seconds for all of it"`
	Waiting   float64 `json:"waiting" description:"Seconds one player stands between two turns"`
	Rest      float64 `json:"rest" description:"Seconds of waiting to a second of play"`
	Largest   int     `json:"largest" description:"The largest group in one line for which the wait is tolerable"`
	Overheads int     `json:"overheads" description:"Strokes above the head for one player, serves included"`
	Serves    int     `json:"serves" description:"Serves for one player"`
}

// For works out what a drill takes when everybody of a group has so many turns.
//
// Feeding is the turns that are played one after the other with their pauses: those of the players in the longest line;
// less where the next player starts before the last one has finished, and a rally, or a turn with several parts, is a
// turn of all who play it. Every basketful is picked up by the players and the coach together: balls × seconds a ball ÷
// (people + 1).
func For(d drill.Document, g Group, turns int, s coach.Settings) Load {
	inRow, all := row(d, g, turns)
	balls := all * d.Pattern.BallsPerTurn()
	line := lineOf(d, g)
	_, word := d.Ball()
	carried := s.Container(d.Sport)
	own := Of(d, float64(turns))
	load := Load{
		Word:   word,
		People: g.People, Lines: len(g.lengths()), Turns: turns, Row: inRow, All: all, Balls: balls,
		Each: own.Balls, Overheads: own.Overheads, Serves: own.Serves,
		Baskets: (balls + carried.Holds - 1) / carried.Holds, SetUp: d.SetUp,
		Feeding: d.Pattern.FeedingSeconds(1, inRow),
		PickUp:  float64(balls) * s.PickUp / float64(g.People+1),
		Waiting: line.Waiting(), Rest: line.Rest(), Largest: line.Largest(s.Wait),
	}
	load.Need = load.SetUp + load.Feeding + load.PickUp
	return load
}

// Own is what one player strikes in their turns.
type Own struct{ Balls, Overheads, Serves int }

// Of is what one player strikes in so many turns. Who has a part in a turn that others play too has each of the parts
// equally often.
func Of(d drill.Document, turns float64) Own {
	mine := func(inTurn int) int {
		return int(math.Round(turns * float64(inTurn) / float64(d.Pattern.Roles())))
	}
	return Own{
		Balls:     mine(d.Pattern.StrokesPerTurn()),
		Overheads: mine(d.Pattern.Count(sports.Of(d.Sport).Overhead)),
		Serves:    mine(d.Pattern.Count(func(s sports.Stroke) bool { return s == sports.Serve })),
	}
}

// Pool is how many attempts there are for one player in so many turns if all of them are at this measure.
func Pool(d drill.Document, m drill.Measure, turns float64) int {
	return int(math.Round(turns * d.Tried(m)))
}

// TurnsIn returns the most turns for each player that fit into so many seconds; 0 where not even one
// does.
func TurnsIn(d drill.Document, seconds float64, g Group, s coach.Settings) int {
	fits := func(turns int) bool { return For(d, g, turns, s).Need <= seconds+1e-9 }
	// A turn takes a second at least.
	return sort.Search(max(0, int(seconds)), func(turns int) bool { return !fits(turns + 1) })
}

// Derivation explains the seconds a drill takes.
func (l Load) Derivation(d drill.Document, s coach.Settings) metric.Derivation {
	return metric.Derivation{
		Figure: "Time", Value: units.Clock(l.Need) + " min",
		Formula: "set-up + turns one after the other × turn + balls × seconds a ball ÷ (players + coach)",
		Inputs: []metric.Input{
			{Name: "Set-up and explaining", Value: units.Clock(l.SetUp) + " min"},
			{Name: "Turns one after the other", Value: l.Turned()},
			{Name: "One turn with its pauses", Value: units.Decimal(d.Pattern.TurnSeconds(), 1) + " s"},
			{Name: "Feeding", Value: units.Clock(l.Feeding) + " min"},
			{Name: units.Title(l.Word), Value: d.Fed(l.Balls)},
			{Name: "Picking up one ball", Value: units.Decimal(s.PickUp, 1) + " s"},
			{Name: "Picking up", Value: units.Clock(l.PickUp) + " min"},
		},
		Source: metric.OwnArithmetic + "; seconds a ball: " + metric.Practice,
	}
}

// Turned says how the turns that are played one after the other come about: 10: 4 each of 5, 2 side by side.
func (l Load) Turned() string {
	told := fmt.Sprintf("%d: %d each of %d", l.Row, l.Turns, l.People)
	if l.Lines > 1 {
		told += fmt.Sprintf(", %d side by side", l.Lines)
	}
	return told
}
