package closing

import (
	"slices"

	"hodometer/core/lesson/prospect"
	"hodometer/core/live/underway"
)

// Told is the forecast of the goals of one student at one measure, as it stood when the lesson began.
type Told struct {
	Block   string
	Student string
	Measure int
	Chance  float64
	Tries   int // that were planned
}

// Tell is what is told of every goal that a student has to meet by their own count: no races, and nothing that several
// bring together.
func Tell(blocks []prospect.Block) []Told {
	var list []Told
	for _, b := range blocks {
		for _, p := range b.Students {
			if p.Chance != nil && p.Keeps && !p.Joint && !p.Race && p.Attempts > 0 {
				list = append(list, Told{b.Block, p.Student, p.Measure, *p.Chance, p.Attempts})
			}
		}
	}
	return list
}

// whole is how much of what was planned has to be played, so that what became of it says something of what was told.
const whole = 0.9

// Became says whether what was told was met; nil where that cannot be known: the block was cut short or left out, or
// its attempts were not counted to their end.
func Became(t Told, counters []underway.Counter, against []Ran) *bool {
	ran := slices.IndexFunc(against, func(r Ran) bool { return r.Block == t.Block })
	if ran < 0 || against[ran].Ran < whole*against[ran].Planned {
		return nil
	}
	at := slices.IndexFunc(counters, func(c underway.Counter) bool {
		return c.Block == t.Block && c.Student == t.Student && c.Measure == t.Measure
	})
	if at < 0 {
		return nil
	}
	c := counters[at]
	met := c.Standing.Met
	if !met && !c.Standing.Lost && float64(c.Count.Balls) < whole*float64(t.Tries) {
		return nil
	}
	return &met
}
