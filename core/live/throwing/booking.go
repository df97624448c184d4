package throwing

import (
	"slices"

	"hodometer/core/sport/court"
)

// landsWithin is how long after it was thrown the reply to a ball lands at the latest, in seconds: a lob to a feed from
// the far baseline takes about 2 s in and 3 s back. Our own choice.
const landsWithin = 6.0

// mostFlying is how many balls are waited for at once.
const mostFlying = 64

// Player is somebody whom a machine feeds, and where what they do with a ball is counted.
type Player struct {
	Student string       `json:"student" maxLength:"40"`
	Party   string       `json:"party" maxLength:"40" description:"Under whom it is counted"`
	Measure int          `json:"measure" minimum:"0" maximum:"8"`
	Aim     *court.Shape `json:"aim" description:"Their target; null where balls do not land in one"`
}

// To is to whom a ball was thrown, and where that is counted.
type To struct {
	Lesson  string `json:"lesson"`
	Block   string `json:"block"`
	Drill   string `json:"drill" description:"What is played, in words"`
	Watcher string `json:"watcher" description:"The page that watches"`
	Student string `json:"student"`
	Party   string `json:"party"`
	Measure int    `json:"measure"`
	Turn    int    `json:"turn" description:"Which turn of the machine in this block, from 1"`
	Ball    int    `json:"ball" description:"Which ball of that turn, from 1"`
}

// Feed is what balls are thrown for from now on.
type Feed struct {
	To      To       // lesson, block, drill and watcher
	Players []Player // in the order of their turns; empty: nobody's balls are counted
	InTurn  int      // balls of one turn
}

// Tally is how many balls were thrown in the block, and what became of them.
type Tally struct {
	Block  string `json:"block"`
	Thrown int    `json:"thrown"`
	Seen   int    `json:"seen" description:"Of which a landing was seen"`
	Stray  int    `json:"stray" description:"Landings that belong to no ball"`
}

// Booking books each ball that a machine throws to whoever's turn it is, and each landing that an eye sees to the ball
// it is of. It is for one user at a time.
type Booking struct {
	feed   Feed
	player int // whose turn it is
	ball   int // balls of this turn thrown
	turn   int
	flying []flying
	Tally  Tally
}

type flying struct {
	n   int
	at  float64
	to  To
	aim *court.Shape
}

// Start has balls thrown for a feed from now on; of the same block they are counted on. It says whether the turn that
// was begun goes on: where its player is the first one still.
func (b *Booking) Start(f Feed) (goesOn bool) {
	if b.feed.To.Block != f.To.Block {
		b.turn, b.ball, b.Tally = 0, 0, Tally{Block: f.To.Block}
	} else if goesOn = len(f.Players) == 0 || b.current().Student == f.Players[0].Student; !goesOn {
		b.ball = 0
	}
	b.feed, b.player = f, 0
	return goesOn
}

// Next makes it the turn of a player, whose balls are the next ones. It says whether that breaks off another turn.
func (b *Booking) Next(student string) (brokenOff bool) {
	at := slices.IndexFunc(b.feed.Players, func(p Player) bool { return p.Student == student })
	if at < 0 || b.current().Student == student {
		return false
	}
	brokenOff = b.ball > 0 && b.ball < b.feed.InTurn
	b.player, b.ball = at, 0
	return brokenOff
}

func (b *Booking) current() Player {
	if len(b.feed.Players) == 0 {
		return Player{}
	}
	return b.feed.Players[b.player]
}

// Thrown books the n-th ball of a machine to whoever's turn it is, and returns to whom, and where they aim; nil where
// they have no target.
func (b *Booking) Thrown(n int, now float64) (To, *court.Shape) {
	if inTurn := max(1, b.feed.InTurn); b.ball >= inTurn && len(b.feed.Players) > 0 {
		b.player, b.ball = (b.player+1)%len(b.feed.Players), 0
	}
	if b.ball == 0 || len(b.feed.Players) == 0 && b.ball%max(1, b.feed.InTurn) == 0 {
		b.turn++
	}
	b.ball++
	p := b.current()
	to := b.feed.To
	to.Student, to.Party, to.Measure, to.Turn, to.Ball = p.Student, p.Party, p.Measure, b.turn, (b.ball-1)%max(
		1,
		b.feed.InTurn,
	)+1
	b.Tally.Thrown++
	b.flying = append(b.flying, flying{n: n, at: now, to: to, aim: p.Aim})
	if len(b.flying) > mostFlying {
		b.flying = slices.Delete(b.flying, 0, len(b.flying)-mostFlying)
	}
	return to, p.Aim
}

// Landed books a landing to the ball it is of: the one that the eye names, where it names none the first one that is on
// its way. It says whether the ball is in the target of its player, and returns false as ok where it belongs to no
// ball, or to one that was seen already.
func (b *Booking) Landed(of int, at court.Point, now float64) (to To, in, ok bool) {
	b.flying = slices.DeleteFunc(b.flying, func(f flying) bool { return now-f.at > landsWithin })
	i := slices.IndexFunc(b.flying, func(f flying) bool { return of == 0 || f.n == of })
	if i < 0 {
		b.Tally.Stray++
		return To{}, false, false
	}
	f := b.flying[i]
	b.flying = slices.Delete(b.flying, i, i+1)
	if f.to.Block == b.Tally.Block {
		b.Tally.Seen++
	}
	return f.to, f.aim != nil && f.aim.Holds(at), true
}
