// Package feed is the sequence of tasks that a feeder sets, what changes it, and when each of them begins.
//
// Gap is the seconds between two releases in a sequence, feed rate is 60/gap, pause is the seconds
// after a sequence, and block rate is balls a minute with everything counted.
package feed

import (
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Method is how a ball is brought into play.
type Method string

// The ways of feeding.
const (
	ByHand   Method = "hand"
	ByRacket Method = "racket"
	Machine  Method = "machine"
	Partner  Method = "partner"
	SelfDrop Method = "self-drop"
	OffWall  Method = "wall"
	Live     Method = "live"
	Answer   Method = "answer" // the ball that the task before sends
)

// Pattern is a sequence of tasks, played several times in a turn.
type Pattern struct {
	Method    Method  `json:"method"`
	Tasks     []Task  `json:"tasks" minItems:"1" maxItems:"60"`
	Gap       float64 `json:"gap" minimum:"0.5" maximum:"60" description:"Seconds between two releases"`
	Sequences int     `json:"sequences" minimum:"1" maximum:"200" description:"Times the sequence is played in one turn"`
	Pause     float64 `json:"pause" minimum:"0" maximum:"600" description:"Seconds after each sequence"`

	Repeats  []Repeat `json:"repeats,omitempty" maxItems:"20" description:"Groups of tasks that are played several times"`
	Branches []Branch `json:"branches,omitempty" maxItems:"20" description:"Tasks that are played only in some case, in the order of the tasks"`

	Ends         Ending  `json:"ends,omitempty" description:"What ends a turn"`
	On           float64 `json:"on,omitempty" minimum:"0" maximum:"600" description:"By the clock: seconds of work in each sequence; the pause is the rest"`
	MaxSequences int     `json:"maxSequences,omitempty" minimum:"0" maximum:"200" description:"The most sequences of a turn that ends at random"`
	Next         Next    `json:"next,omitempty" description:"When the next player starts"`
	Overlap      float64 `json:"overlap,omitempty" minimum:"0" maximum:"30" description:"Seconds before the end of a turn at which the next player starts, while the last one is finishing"`
	Order        Order   `json:"order,omitempty"`
	Seed         uint64  `json:"seed,omitempty" maximum:"4294967295" description:"The same number gives the same random order again"`
	Back         Back    `json:"back,omitempty" description:"How far players get back between balls"`
	Rally        *Rally  `json:"rally,omitempty" description:"Each reply is the next feed"`
}

// Clone is a pattern that shares nothing with the first one.
func (p Pattern) Clone() Pattern {
	p.Tasks, p.Repeats, p.Branches = slices.Clone(p.Tasks), slices.Clone(p.Repeats), slices.Clone(p.Branches)
	for i := range p.Tasks {
		task := &p.Tasks[i]
		task.Landing = task.Landing.Clone()
		court.CloneMarks(&task.From, &task.Reply, &task.Recover)
		if task.Area != nil {
			area := *task.Area
			task.Area = &area
		}
	}
	if p.Rally != nil {
		rally := *p.Rally
		p.Rally = &rally
	}
	return p
}

// UsualSequences is how many sequences a turn is reckoned with.
func (p Pattern) UsualSequences() float64 {
	if p.Ends == AtRandom && p.MaxSequences > p.Sequences {
		return float64(p.Sequences+p.MaxSequences) / 2
	}
	return float64(p.Sequences)
}

// CountTasks is how many tasks of a sequence are of some sort, groups written out, as a mean where there are branches.
// The sort is asked for each with its place in the pattern.
func (p Pattern) CountTasks(sort func(i int, t Task) bool) (n float64) {
	for _, w := range p.Listed() {
		if sort(w.Task, p.Tasks[w.Task]) {
			n += w.Share
		}
	}
	return n
}

// BallsPerTurn is how many balls one player gets in one turn: on average where it ends at random, and at
// most where it ends at the first miss.
func (p Pattern) BallsPerTurn() int {
	if p.Rally != nil {
		return p.Sequences // one ball for each rally
	}
	return p.inTurn(p.Fed)
}

// StrokesPerTurn is how many balls are struck or caught in one turn by all who play it.
func (p Pattern) StrokesPerTurn() int {
	if p.Rally != nil {
		return p.Sequences
	}
	return p.inTurn(func(t Task) bool { return t.Kind.Flies() })
}

// SequenceSeconds is how long one sequence takes with the pause after it.
func (p Pattern) SequenceSeconds() float64 {
	switch {
	case p.Rally != nil:
		return p.Pause + p.Gap*float64(p.Rally.Shots)
	case p.Ends == ByTheClock:
		return p.On + p.Pause
	}
	return p.Pause + Seconds(p.Listed())
}

// TurnSeconds is how long one turn takes, pauses included.
func (p Pattern) TurnSeconds() float64 { return p.UsualSequences() * p.SequenceSeconds() }

// Rate is the feed rate in balls a minute.
func (p Pattern) Rate() float64 { return 60 / p.Gap }

// BlockRate is balls a minute with the pauses counted.
func (p Pattern) BlockRate() float64 { return 60 * float64(p.BallsPerTurn()) / p.TurnSeconds() }

// Every is how many seconds after a player the next one starts.
func (p Pattern) Every() float64 {
	if p.Next == WhileTheLast {
		return math.Max(1, p.TurnSeconds()-p.Overlap)
	}
	return p.TurnSeconds()
}

// InARow is how many turns are one after the other until so many people in a line have had so many turns each.
func (p Pattern) InARow(people, turns int) int {
	if p.Next == AllAtOnce {
		return turns
	}
	return people * turns
}

// FeedingSeconds is how long it takes until so many people have had so many turns each.
func (p Pattern) FeedingSeconds(people, turns int) float64 {
	one, row := p.TurnSeconds(), float64(p.InARow(people, turns))
	if p.Next == WhileTheLast {
		return one + math.Max(0, row-1)*p.Every()
	}
	return row * one
}

// Count is how many balls of a turn ask for a stroke of some sort.
func (p Pattern) Count(sort func(sports.Stroke) bool) int {
	return p.inTurn(func(t Task) bool { return t.Kind.Struck() && sort(t.Stroke) })
}

// inTurn is how many tasks of a turn are of some sort, rounded where a turn ends at random.
func (p Pattern) inTurn(sort func(Task) bool) int {
	n := p.CountTasks(func(_ int, t Task) bool { return sort(t) })
	return int(math.Round(n * p.UsualSequences()))
}

// Check says what is wrong with a pattern beyond its shape.
func (p Pattern) Check() error {
	var wrong invalid.Fields
	for i, t := range p.Tasks {
		path := invalid.Join("tasks", i)
		if t.By != "" && t.Value <= 0 {
			wrong.Add(invalid.Join(path, "value"), "say how much: the flight is chosen by its %s", t.By)
		}
		if t.Contact == AtHeight && t.At <= 0 {
			wrong.Add(invalid.Join(path, "at"), "say at which height the ball is to be met")
		}
	}
	wrong.Under("", p.checkRepeats())
	wrong.Under("", p.checkBranches())
	wrong.Under("", p.checkAnswers())
	if wrong == nil && p.BallsPerTurn() > MaxBalls {
		wrong.Add("sequences", "a turn has at most %d balls, and these are %d", MaxBalls, p.BallsPerTurn())
	}
	if p.Ends == ByTheClock && p.On <= 0 {
		wrong.Add("on", "say how many seconds of work each sequence has")
	}
	if p.Ends == ByTheClock && p.Rally != nil {
		wrong.Add("ends", "a rally is not ended by the clock; let a goal count within a time")
	}
	if p.Ends == AtRandom && p.MaxSequences < p.Sequences {
		wrong.Add("maxSequences", "the most sequences cannot be fewer than the fewest, %d", p.Sequences)
	}
	return wrong.Err()
}

// clone copies a pattern so that changing the copy leaves the first one alone.
func (p Pattern) clone() Pattern {
	p.Tasks, p.Repeats, p.Branches = slices.Clone(p.Tasks), slices.Clone(p.Repeats), slices.Clone(p.Branches)
	return p
}

// Mirrored is the pattern with left and right swapped: the same strokes for the other hand.
func (p Pattern) Mirrored() Pattern {
	p = p.clone()
	for i := range p.Tasks {
		t := &p.Tasks[i]
		t.Landing, t.Spin, t.ReplySpin = t.Landing.Mirrored(), t.Spin.Mirrored(), t.ReplySpin.Mirrored()
		for _, mark := range []**court.Mark{&t.From, &t.Reply, &t.Recover} {
			if *mark != nil {
				mirrored := (*mark).Mirrored()
				*mark = &mirrored
			}
		}
	}
	return p
}
