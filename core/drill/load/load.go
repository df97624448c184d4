// Package load is what a drill takes: how a group plays it, balls, baskets and minutes.
package load

import (
	"fmt"
	"math"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Load is what a drill takes: balls, baskets and seconds.
type Load struct {
	People    int     `json:"people"`
	Lines     int     `json:"lines" description:"Lines, or pairs, side by side"`
	Turns     int     `json:"turns" description:"Turns for each player"`
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
// Feeding is players in the longest line × turns × the turn with its pauses; less where the next player starts before
// the last one has finished, and a rally, or a turn with several parts, is a turn of all who play it. Every basketful
// is picked up by the players and the coach together: balls × seconds a ball ÷ (people + 1).
func For(d drill.Document, g Group, turns int, s coach.Settings) Load {
	people, once := g.People, AtOnce(d)
	together := func(line int) int { return (line + once - 1) / once }
	// Who has a part in a turn that others play too has each of the parts equally often.
	mine := func(inTurn int) int {
		return int(math.Round(float64(turns*inTurn) / float64(d.Pattern.Roles())))
	}
	all := 0
	for _, line := range g.lengths() {
		all += together(line) * turns
	}
	balls := all * d.Pattern.BallsPerTurn()
	line := lineOf(d, g)
	_, word := d.Ball()
	carried := s.Container(d.Sport)
	load := Load{
		Word:   word,
		People: people, Lines: len(g.lengths()), Turns: turns, Balls: balls, Each: mine(d.Pattern.StrokesPerTurn()),
		Baskets: (balls + carried.Holds - 1) / carried.Holds, SetUp: d.SetUp,
		Feeding:   d.Pattern.FeedingSeconds(together(g.longest()), turns),
		PickUp:    float64(balls) * s.PickUp / float64(people+1),
		Overheads: mine(d.Pattern.Count(sports.Of(d.Sport).Overhead)),
		Serves:    mine(d.Pattern.Count(func(s sports.Stroke) bool { return s == sports.Serve })),
		Waiting:   line.Waiting(), Rest: line.Rest(), Largest: line.Largest(s.Wait),
	}
	if d.Pattern.Next == feed.AllAtOnce {
		load.Waiting = 0
	}
	load.Need = load.SetUp + load.Feeding + load.PickUp
	return load
}

// Pool is how many attempts there are for one player in so many turns if all of them are at this measure.
func Pool(d drill.Document, m drill.Measure, turns int) int {
	return int(math.Round(float64(turns) * d.Tried(m)))
}

// TurnsIn returns the most turns for each player that fit into so many seconds; 0 where not even one
// does.
func TurnsIn(d drill.Document, seconds float64, g Group, s coach.Settings) int {
	turns := 0
	// The need grows by the same with each turn after the first.
	first, second := For(d, g, 1, s).Need, For(d, g, 2, s).Need
	if first <= seconds+1e-9 && second > first {
		turns = 1 + int(math.Floor((seconds-first)/(second-first)+1e-9))
	}
	if turns > 0 && For(d, g, turns, s).Need > seconds+1e-9 {
		turns--
	}
	return turns
}

// Derivation explains the seconds a drill takes.
func (l Load) Derivation(d drill.Document, s coach.Settings) metric.Derivation {
	return metric.Derivation{
		Figure: "Time", Value: units.Clock(l.Need) + " min",
		Formula: "set-up + players in a line × turns × turn + balls × seconds a ball ÷ (players + coach)",
		Inputs: []metric.Input{
			{Name: "Set-up and explaining", Value: units.Clock(l.SetUp) + " min"},
			{
				Name:  "Players × turns",
				Value: fmt.Sprintf("%d × %d", l.People, l.Turns),
			},
			{Name: "Lines", Value: fmt.Sprint(l.Lines)},
			{Name: "One turn with its pauses", Value: units.Decimal(d.Pattern.TurnSeconds(), 1) + " s"},
			{Name: "Feeding", Value: units.Clock(l.Feeding) + " min"},
			{Name: units.Title(l.Word), Value: d.Fed(l.Balls)},
			{Name: "Picking up one ball", Value: units.Decimal(s.PickUp, 1) + " s"},
			{Name: "Picking up", Value: units.Clock(l.PickUp) + " min"},
		},
		Source: metric.OwnArithmetic + "; seconds a ball: " + metric.Practice,
	}
}
