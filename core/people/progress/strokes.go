package progress

import (
	"maps"
	"slices"
	"time"

	"hodometer/core/people/ladder"
	"hodometer/core/sport/sports"
)

// Done is how one attempt of a student went. Where something else than balls was counted, Made and Missed are 0.
type Done struct {
	Lesson string
	At     time.Time
	Name   string // of the drill
	Stroke sports.Stroke
	Rung   ladder.Quality
	Balls  int
	Made   int
	Missed int
	Faults map[string]int // how often each was seen
}

// Placed is a rung that a student was put on.
type Placed struct {
	Stroke sports.Stroke
	Stand
}

// OnStroke is where a student stands with one stroke.
type OnStroke struct {
	Stroke sports.Stroke    `json:"stroke"`
	Ladder []ladder.Quality `json:"ladder" description:"All rungs, lowest first"`
	Advice Advice           `json:"advice"`
	Rests  bool             `json:"rests" description:"The student is spared it while something hurts: nothing is proposed"`

	Milestones []Milestone `json:"milestones" description:"That are behind the student, the lowest rung first"`
}

// Strokes is where a student stands with every stroke that they were put on a rung of, or did a drill for, by its name.
// Attempts and rungs come oldest first. Who was put on no rung stands on the lowest one. Known is what a step on a
// stroke is decided from, beside the rung and what was done on it.
func Strokes(done []Done, placed []Placed, known func(sports.Stroke) Known) []OnStroke {
	var order []sports.Stroke
	stands := map[sports.Stroke][]Stand{}
	for _, p := range placed {
		order = append(order, p.Stroke)
		stands[p.Stroke] = append(stands[p.Stroke], p.Stand)
	}
	evidence := map[sports.Stroke][]Evidence{}
	for _, d := range done {
		order = append(order, d.Stroke)
		evidence[d.Stroke] = append(
			evidence[d.Stroke],
			Evidence{At: d.At, Drill: d.Name, Rung: d.Rung, Made: d.Made, Missed: d.Missed},
		)
	}
	slices.Sort(order)
	order = slices.Compact(order)
	list := make([]OnStroke, len(order))
	for i, stroke := range order {
		k := known(stroke)
		began := k.Ladder[0]
		here := Stand{Rung: began}
		if n := len(stands[stroke]); n > 0 {
			if first, did := stands[stroke][0], evidence[stroke]; len(did) == 0 || !did[0].At.Before(first.At) {
				began = first.Rung // where somebody was put who had done nothing yet
			}
			here = stands[stroke][n-1]
			here.Rung = here.Rung.On(k.Ladder)
		}
		onIt := slices.DeleteFunc(
			slices.Clone(evidence[stroke]),
			func(e Evidence) bool { return e.Rung != here.Rung || !e.At.After(here.At) },
		)
		k.Rung, k.Evidence, k.Placed = here.Rung, onIt, len(stands[stroke]) > 0
		for _, e := range evidence[stroke] {
			k.Counted += e.Made + e.Missed
		}
		list[i] = OnStroke{
			Stroke: stroke, Ladder: k.Ladder, Advice: Advise(k),
			Milestones: Milestones(k.Ladder, began, stands[stroke], evidence[stroke]),
		}
	}
	return list
}

// Trends are the faults that were seen, in the order in which they were seen first, each over the lessons since then.
func Trends(done []Done) []FaultTrend {
	list := []FaultTrend{}
	var names []string
	for _, d := range done {
		for _, fault := range slices.Sorted(maps.Keys(d.Faults)) {
			if !slices.Contains(names, fault) {
				names = append(names, fault)
			}
		}
	}
	for _, name := range names {
		var lessons []Watched
		last := ""
		for _, d := range done {
			times := d.Faults[name]
			if len(lessons) == 0 && times == 0 {
				continue
			}
			if d.Lesson != last {
				lessons, last = append(lessons, Watched{At: d.At}), d.Lesson
			}
			now := &lessons[len(lessons)-1]
			now.Times, now.Balls = now.Times+times, now.Balls+d.Balls
		}
		list = append(list, TrendOf(name, lessons))
	}
	return list
}
