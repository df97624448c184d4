// Package load is what a drill takes: how a group plays it, balls, baskets and minutes.
package load

import (
	"math"
	"sort"

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
	Turns     int     `json:"turns" description:"Turns for each player, at least"`
	Row       int     `json:"row" description:"Turns played one after the other"`
	All       int     `json:"all" description:"Turns in all: those of lines, pairs and threes side by side added up"`
	Balls     int     `json:"balls" description:"Balls fed to everybody together"`
	Each      int     `json:"each" description:"Balls that one player plays"`
	Word      string  `json:"word" description:"What they are called: balls, shuttles, or rallies, of which each takes one"`
	Baskets   int     `json:"baskets" description:"Baskets, tubes or boxes fed, each followed by a pick-up; 0 where its balls come out of none"`
	SetUp     float64 `json:"setUp" description:"Seconds"`
	Feeding   float64 `json:"feeding" description:"Seconds of play, pauses included"`
	PickUp    float64 `json:"pickUp" description:"Seconds spent picking up balls"`
	Need      float64 `json:"need" description:"Seconds for all of it"`
	Waiting   float64 `json:"waiting" description:"Seconds one player stands between two turns"`
	Rest      float64 `json:"rest" description:"Seconds of waiting to a second of play"`
	Largest   int     `json:"largest" description:"The largest group in one line for which the wait is tolerable"`
	Overheads int     `json:"overheads" description:"Strokes above the head for one player, serves included"`
	Serves    int     `json:"serves" description:"Serves for one player"`

	line    int // players who take turns one after the other
	playing int // players who have a part in a turn at the same time, where they have parts
}

// For works out what a drill takes when everybody of a group has so many turns.
//
// Feeding is the turns that are played one after the other with their pauses: those of the players in the longest line;
// less where the next player starts before the last one has finished, and a rally, or a turn with several parts, is a
// turn of all who play it. Every basketful is picked up by the players and the coach together: balls × seconds a ball ÷
// (people + 1). Each of these is whole seconds, so that they add up as they are read.
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
		SetUp:   units.Round(d.SetUp),
		Feeding: units.Round(d.Pattern.FeedingSeconds(1, inRow)),
		PickUp:  units.Round(float64(balls) * s.PickUp / float64(g.People+1)),
		Waiting: line.Waiting(), Rest: line.Rest(), Largest: line.Largest(s.Wait),
	}
	if d.FromContainer() {
		load.Baskets = (balls + carried.Holds - 1) / carried.Holds
	}
	if load.line = g.inLine(d); inParts(d) {
		load.playing = g.playing(d)
	}
	load.Need = load.SetUp + load.Feeding + load.PickUp
	return load
}

// Own is what one player strikes in their turns. Balls are rallies where each reply is the next feed, and strokes those
// that they have in them.
type Own struct{ Balls, Strokes, Overheads, Serves int }

// Of is what one player strikes in so many turns. Who has a part in a turn that others play too has each of the parts
// equally often.
func Of(d drill.Document, turns float64) Own {
	mine := func(inTurn int) int {
		return int(math.Round(turns * float64(inTurn) / float64(d.Pattern.Roles())))
	}
	balls := mine(d.Pattern.StrokesPerTurn())
	strokes := balls
	if r := d.Pattern.Rally; r != nil {
		strokes = int(math.Round(turns * d.Pattern.UsualSequences() * float64(r.Shots) / float64(AtOnce(d))))
	}
	return Own{
		Balls:     balls,
		Strokes:   strokes,
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

// Sums are how the seconds a drill takes come about: feeding, picking up, and what it needs with the set-up.
func (l Load) Sums(d drill.Document, s coach.Settings) []metric.Sum {
	return append(l.Played(d, s), metric.Added.Work("Time", metric.Clock,
		metric.Clock.Of("Set-up and explaining", l.SetUp),
		metric.Clock.Of("Feeding", l.Feeding),
		metric.Clock.Of("Picking up", l.PickUp),
	))
}

// Played are how the seconds of feeding and of picking up come about.
func (l Load) Played(d drill.Document, s coach.Settings) []metric.Sum {
	rows := l.row()
	return append(append(rows, l.feeding(rows[len(rows)-1].Gives, d.Pattern)...), l.pickingUp(s)...)
}

// row is how many turns are played one after the other.
func (l Load) row() []metric.Sum {
	turns, players := metric.Counted("turn", "turns"), metric.Counted("player", "players")
	each := turns.Of("For each", float64(l.Turns))
	if l.playing == 0 {
		return []metric.Sum{
			metric.Times.Work("One after the other", turns, each, players.Of(l.inTheLine(), float64(l.line))),
		}
	}
	all := metric.Times.Work("For all", turns, each, players.Of("Players", float64(l.People)))
	return []metric.Sum{all, metric.Filled.Work("One after the other", turns, all.Gives,
		players.Of("Have a part at the same time", float64(l.playing)))}
}

// inTheLine says who takes turns one after the other.
func (l Load) inTheLine() string {
	switch {
	case l.line < l.People && l.Lines > 1:
		return "In the longest line"
	case l.line < l.People:
		return "All at the same time"
	}
	return "One after the other"
}

// feeding is how long the turns take that are played one after the other.
func (l Load) feeding(row metric.Part, p feed.Pattern) []metric.Sum {
	seconds, turns := metric.Decimal(1, "s"), metric.Counted("turn", "turns")
	one := seconds.Of("One turn with its pauses", p.TurnSeconds())
	if p.Next != feed.WhileTheLast {
		return []metric.Sum{metric.Times.Work("Feeding", metric.Clock, row, one)}
	}
	others := metric.Less.Work("After the first one", turns, row, turns.Of("The first one", 1))
	later := metric.Times.Work("Until the last one starts", seconds, others.Gives,
		seconds.Of("From one start to the next", p.Every()))
	return []metric.Sum{others, later, metric.Added.Work("Feeding", metric.Clock, later.Gives, one)}
}

// pickingUp is how long it takes all of them and the coach to pick up what was fed.
func (l Load) pickingUp(s coach.Settings) []metric.Sum {
	seconds, people := metric.Decimal(1, "s"), metric.Counted("person", "people")
	alone := metric.Times.Work("Picking up alone", seconds,
		metric.Counted("ball", "balls").Of("To be picked up", float64(l.Balls)), seconds.Of("One ball", s.PickUp))
	return []metric.Sum{alone, metric.Shared.Work("Picking up", metric.Clock,
		alone.Gives, people.Of("Players and coach", float64(l.People+1)))}
}
