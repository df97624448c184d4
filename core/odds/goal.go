// Package odds is the mathematics of practice: how many balls a goal takes somebody who makes so many of
// ten, where balls land, which target suits a player, and what is known of their rate.
package odds

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/invalid"
	"hodometer/core/tally"
	"hodometer/core/units"
)

// Kind is how a goal is counted.
type Kind string

// The goals.
const (
	Total            Kind = "total"                // so many makes in all
	Streak           Kind = "in a row"             // so many in a row, once or for several sets
	Stages           Kind = "in stages"            // a streak whose stages are not equally hard
	Routine          Kind = "total, then in a row" // so many in all for each part, then so many in a row for each
	Together         Kind = "together"             // so many in all, two players counting jointly
	AsManyAsPossible Kind = "as many as possible"  // makes within a time
	FirstTo          Kind = "first to"             // points against somebody
	Rallies          Kind = "rallies of a length"  // so many rallies neither too short nor too long
)

// Hardness is how hard a stage is beside the drill as a whole.
type Hardness string

// The degrees. The zero value is as usual.
const (
	MuchEasier Hardness = "much easier"
	Easier     Hardness = "easier"
	AsUsual    Hardness = "as usual"
	Harder     Hardness = "harder"
	MuchHarder Hardness = "much harder"
)

// logit is what a degree does to the logarithm of the odds of a make. Half a unit turns 6 of 10 into 7.1
// or 4.8. Common practice, no source.
func (h Hardness) logit() float64 {
	return map[Hardness]float64{MuchEasier: 1, Easier: 0.5, Harder: -0.5, MuchHarder: -1}[h]
}

// rate is the rate on a stage for somebody with a rate on the drill as a whole.
func (h Hardness) rate(p float64) float64 {
	odds := p / (1 - p) * math.Exp(h.logit())
	if math.IsInf(odds, 1) {
		return 1
	}
	return odds / (1 + odds)
}

// Stage is one part of a streak.
type Stage struct {
	Count int      `json:"count" minimum:"1" maximum:"100"`
	Hard  Hardness `json:"hard,omitempty" description:"Beside the drill as a whole; empty: as usual"`
}

// Goal is what a player is to reach.
type Goal struct {
	Kind    Kind      `json:"kind"`
	Count   int       `json:"count" minimum:"1" maximum:"1000" description:"Makes, points or rallies; of a goal in stages it is not used"`
	Sets    int       `json:"sets,omitempty" minimum:"0" maximum:"20" description:"Of a streak: how often; of a routine: its parts; 0: once"`
	Then    int       `json:"then,omitempty" minimum:"0" maximum:"100" description:"Of a routine: makes in a row for each part"`
	Stages  []Stage   `json:"stages,omitempty" maxItems:"12"`
	Miss    AfterMiss `json:"miss,omitempty" description:"What a miss does to a streak; empty: back to zero"`
	Minutes float64   `json:"minutes,omitempty" minimum:"0" maximum:"180" description:"Of as many as possible: the time"`
	Against int       `json:"against,omitempty" minimum:"0" maximum:"1000" description:"Of first to: points the other needs; 0: as many"`
	From    int       `json:"from,omitempty" minimum:"0" maximum:"100" description:"Of rallies: strokes at least"`
	To      int       `json:"to,omitempty" minimum:"0" maximum:"200" description:"Of rallies: strokes at most; one that gets longer is stopped"`
}

const (
	maxCount  = 1000
	maxPlaces = 2000 // steps in all that a goal can have
)

// Check says what is wrong with a goal, by field.
func (g Goal) Check() error {
	var wrong invalid.Fields
	if g.Kind != Stages && (g.Count < 1 || g.Count > maxCount) {
		wrong.Add("count", "a goal is between 1 and %d; this one is %d", maxCount, g.Count)
	}
	switch g.Kind {
	case Total, Streak, Together, FirstTo:
	case Stages:
		if len(g.Stages) == 0 {
			wrong.Add("stages", "say how many each stage has")
		}
		for i, stage := range g.Stages {
			if stage.Count < 1 || stage.Count > maxCount {
				wrong.Add(invalid.Join("stages", i, "count"), "a stage has at least one ball")
			}
		}
	case Routine:
		if g.Then < 1 {
			wrong.Add("then", "say how many in a row come after the total")
		}
	case AsManyAsPossible:
		if g.Minutes <= 0 {
			wrong.Add("minutes", "say how many minutes there are")
		}
	case Rallies:
		if g.From < 1 {
			wrong.Add("from", "a rally has at least one stroke")
		}
		if g.To < g.From {
			wrong.Add("to", "the longest rally is shorter than the shortest")
		}
	default:
		wrong.Add("kind", "there is no goal called %q", g.Kind)
	}
	if wrong == nil && g.steps() > maxPlaces {
		wrong.Add("sets", "that is %d balls to be made in all; at most %d", g.steps(), maxPlaces)
	}
	return wrong.Err()
}

// sets is how often a streak is wanted, or how many parts a routine has.
func (g Goal) sets() int { return max(g.Sets, 1) }

// steps is the least number of makes that reach the goal.
func (g Goal) steps() int {
	switch g.Kind {
	case Streak:
		return g.Count * g.sets()
	case Routine:
		return (g.Count + g.Then) * g.sets()
	case Stages:
		sum := 0
		for _, stage := range g.Stages {
			sum += stage.Count
		}
		return sum
	}
	return g.Count
}

// Wanted is the number that a counter shows as the goal.
func (g Goal) Wanted() int {
	if g.Kind == Streak {
		return g.Count
	}
	return g.steps()
}

// Reached returns how much of the goal a count holds, and whether that is all of it. Where the order of
// balls matters beyond the best streak – several sets, stages – only what is certain counts.
func (g Goal) Reached(c tally.Count) (have int, met bool) {
	switch g.Kind {
	case Streak:
		return c.Best, c.Best >= g.Count && (g.sets() == 1 || c.Made >= g.steps())
	case Routine:
		have = min(c.Made, g.steps())
		return have, have == g.steps() && c.Best >= g.Then
	case Stages:
		if !g.Miss.breaks() {
			return c.Made, c.Made >= g.steps()
		}
		return c.Best, c.Best >= g.steps()
	}
	return c.Made, c.Made >= g.Count
}

// String puts a goal into words.
func (g Goal) String() string {
	switch g.Kind {
	case Streak:
		phrase := fmt.Sprintf("%d in a row", g.Count)
		if g.sets() > 1 {
			phrase += fmt.Sprintf(", %d times", g.Sets)
		}
		if !g.Miss.breaks() {
			phrase += ", a miss " + g.Miss.String()
		}
		return phrase
	case Stages:
		parts := make([]string, len(g.Stages))
		for i, stage := range g.Stages {
			parts[i] = units.Decimal(float64(stage.Count), 0)
		}
		return fmt.Sprintf("%s in stages, after a miss %s", strings.Join(parts, " + "), g.Miss)
	case Routine:
		return fmt.Sprintf("%d made, then %d in a row, for each of %s", g.Count, g.Then, units.Count(g.sets(), "part", "parts"))
	case Together:
		return fmt.Sprintf("%d made together", g.Count)
	case AsManyAsPossible:
		return fmt.Sprintf("as many as possible in %s min, hoping for %d", units.Decimal(g.Minutes, 1), g.Count)
	case FirstTo:
		if g.Against > 0 && g.Against != g.Count {
			return fmt.Sprintf("first to %d, the other to %d", g.Count, g.Against)
		}
		return fmt.Sprintf("first to %d", g.Count)
	case Rallies:
		return fmt.Sprintf("%s of %d to %d strokes", units.Count(g.Count, "rally", "rallies"), g.From, g.To)
	}
	return fmt.Sprintf("%d made in all", g.Count)
}
