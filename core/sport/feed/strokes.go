package feed

import (
	"slices"

	"hodometer/core/sport/court"
)

// More strokes, each of some of the sports.
const (
	Lob   Stroke = "lob"
	Drive Stroke = "drive"
	Net   Stroke = "net shot"
	Boast Stroke = "boast"
	Push  Stroke = "push"
	Loop  Stroke = "loop"
	Flick Stroke = "flick"
	Block Stroke = "block"
)

// What is worked on without a stroke of a ball: each has a ladder of its own, so that it raises no stroke.
const (
	Footwork  Stroke = "footwork"
	Technique Stroke = "technique"
)

// strokes are those of each sport, in the order in which they are offered.
var strokes = map[court.Sport][]Stroke{
	court.Tennis:      {Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead, Serve, Return, Approach, Drop, Lob},
	court.Pickleball:  {Forehand, Backhand, ForehandVolley, BackhandVolley, Dink, Drop, Drive, Lob, Overhead, Serve, Return},
	court.Badminton:   {Clear, Drop, Smash, Lift, Net, Drive, Block, Serve, Return, Forehand, Backhand},
	court.Squash:      {Drive, Forehand, Backhand, ForehandVolley, BackhandVolley, Drop, Boast, Lob, Serve, Return},
	court.TableTennis: {Forehand, Backhand, Push, Loop, Flick, Block, Smash, Lob, Serve, Return},
}

// StrokesOf are the strokes of a sport.
func StrokesOf(sport court.Sport) []Stroke { return slices.Clone(strokes[sport]) }

// LaddersOf are what a student of a sport can stand on a rung of: its strokes, and what is worked on without one.
func LaddersOf(sport court.Sport) []Stroke { return append(StrokesOf(sport), Footwork, Technique) }

// SpinsOf are the spins that a ball of a sport comes with: a shuttle has none, and a squash ball is cut at most.
func SpinsOf(sport court.Sport) []SpinKind {
	switch sport {
	case court.Badminton:
		return []SpinKind{Flat}
	case court.Squash:
		return []SpinKind{Flat, Slice, HeavySlice}
	}
	return []SpinKind{Flat, Topspin, HeavyTopspin, Slice, HeavySlice, SideLeft, SideRight}
}
