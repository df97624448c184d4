package game

import (
	"slices"
)

// State is a game after its events so far.
type State struct {
	Points   [2]int   `json:"points" description:"Of the near and the far side"`
	Personal []int    `json:"personal" description:"By player, in the order of the players; empty where score is kept by side"`
	Rally    int      `json:"rally" description:"The rally that is played next or now, from 1"`
	Scored   bool     `json:"scored" description:"It counts"`
	Round    int      `json:"round" description:"Of the rotation, from 1"`
	Feeds    Side     `json:"feeds" description:"The side that serves or feeds"`
	Feeder   string   `json:"feeder" description:"Who does; empty where the coach feeds"`
	Second   bool     `json:"second" description:"It is a second serve"`
	Box      Box      `json:"box,omitempty" description:"From which side of the middle; empty: anywhere"`
	Net      Side     `json:"net,omitempty" description:"Which side holds the net; empty: nobody"`
	Stand    bool     `json:"stand" description:"The rally begins from where they stand"`
	Ball     string   `json:"ball" description:"Of a little match: how the rally begins"`
	Wins     [2]int   `json:"wins" description:"Rallies won in the little match"`
	Spots    []string `json:"spots" description:"Who is on which start place"`
	Waiting  []string `json:"waiting" description:"Who waits, in turn"`
	Bonus    [2]int   `json:"bonus" description:"Points for what was done in this rally, once it is over"`
	Choices  [2]int   `json:"choices" description:"Right and wrong choices so far"`
	Over     bool     `json:"over"`
	Winner   Side     `json:"winner,omitempty" description:"Of a game that is over; empty: nobody"`
	Best     []string `json:"best" description:"Of a game in which everybody has their own score and that is over: who has most"`
	Counts   []Count  `json:"counts" description:"After a replay: the strokes that are counted beside the score"`
	Played   []Round  `json:"played" description:"After a replay: the rounds so far that count, with what both sides won in them; one where places are never changed"`

	at      position
	players []string
	next    []int  // the place of each side’s next feeder, counted through its start places
	pending []mark // of this rally
	counts  *counted
	done    *rounds // that are over
	round   Round   // that is played
	began   bool    // it has points
	fresh   bool    // the next points are of a new round
}

// Round is what two sides won against each other before places were changed.
type Round struct {
	Near       []string `json:"near"`
	Far        []string `json:"far"`
	NearPoints int      `json:"nearPoints" minimum:"0" maximum:"9999"`
	FarPoints  int      `json:"farPoints" minimum:"0" maximum:"9999"`
	Slot       int      `json:"slot,omitempty" minimum:"0" maximum:"800" description:"Of which slot of a timetable; 0: of none"`
}

// rounds are those that are over, the last one first: states share them.
type rounds struct {
	before *rounds
	last   Round
}

// list has the rounds in the order in which they were played, and one more behind them.
func (r *rounds) list(more Round) []Round {
	list := []Round{more}
	for ; r != nil; r = r.before {
		list = append(list, r.last)
	}
	slices.Reverse(list)
	return list
}

// mark is what was done in a rally that is not over, for one player alone or for the side.
type mark struct {
	side, points int
	player       string
	award        int
}

// LeftOut is an event that changed nothing, and why.
type LeftOut struct {
	ID     string `json:"id"`
	Reason string `json:"reason"`
}
