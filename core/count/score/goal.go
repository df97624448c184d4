// Package score is what is to be reached and how far along it is. A goal is a machine: counting steps it with what
// happened, and forecasting runs the same machine on chances.
package score

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/count/tally"
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
	SetsInRallies    Kind = "sets in rallies"      // so many sets of so many strokes each within a rally
	FewMisses        Kind = "few misses"           // at most so many misses in so many balls
	WithinATime      Kind = "within a time"        // a run on the clock, the best of so many tries
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
	switch h {
	case MuchEasier:
		return 1
	case Easier:
		return 0.5
	case Harder:
		return -0.5
	case MuchHarder:
		return -1
	}
	return 0
}

// Rate is the rate on a stage for somebody with a rate on the drill as a whole.
func (h Hardness) Rate(p float64) float64 {
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
	Minutes float64   `json:"minutes,omitempty" minimum:"0" maximum:"180" description:"Of as many as possible: the time; of few misses: instead of so many balls"`
	Against int       `json:"against,omitempty" minimum:"0" maximum:"1000" description:"Of first to: points the other needs; 0: as many"`
	From    int       `json:"from,omitempty" minimum:"0" maximum:"100" description:"Of rallies: strokes at least"`
	To      int       `json:"to,omitempty" minimum:"0" maximum:"200" description:"Of rallies: strokes at most; one that gets longer is stopped"`
	Lead    int       `json:"lead,omitempty" minimum:"0" maximum:"10" description:"Of first to: points ahead that are needed as well; 0: one"`
	Of      int       `json:"of,omitempty" minimum:"0" maximum:"100" description:"Of sets in rallies and of as many as possible: strokes in one set; 0: no sets"`
	Seconds float64   `json:"seconds,omitempty" minimum:"0" maximum:"3600" description:"Of within a time: how many there are"`
	Misses  int       `json:"misses,omitempty" minimum:"0" maximum:"1000" description:"Of few misses: how many at most"`

	Only tally.Miss `json:"only,omitempty" description:"Of few misses: of which kind; empty: any"`
}

const (
	// MaxCount is the most that a goal can ask for.
	MaxCount  = 1000
	maxPlaces = 2000   // steps in all that a goal can have
	maxRace   = 200    // points that a side can need
	maxCells  = 50_000 // balls times misses that a goal can stand at
)

// Check says what is wrong with a goal, by field.
func (g Goal) Check() error {
	var wrong invalid.Fields
	if g.Kind != Stages && (g.Count < 1 || g.Count > MaxCount) {
		wrong.Add("count", "a goal is between 1 and %d; this one is %d", MaxCount, g.Count)
	}
	switch g.Kind {
	case Total, Streak, Together:
	case FirstTo:
		if max(g.Count, g.Against) > maxRace {
			wrong.Add("count", "a race is to %d points at most", maxRace)
		}
	case Stages:
		if len(g.Stages) == 0 {
			wrong.Add("stages", "say how many each stage has")
		}
		for i, stage := range g.Stages {
			if stage.Count < 1 || stage.Count > MaxCount {
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
		if g.Of == 1 {
			wrong.Add("of", "a set has at least two strokes")
		}
	case Rallies:
		if g.From < 1 {
			wrong.Add("from", "a rally has at least one stroke")
		}
		if g.To < g.From {
			wrong.Add("to", "the longest rally is shorter than the shortest")
		}
	case SetsInRallies:
		if g.Of < 2 {
			wrong.Add("of", "a set has at least two strokes")
		}
	case WithinATime:
		if g.Seconds <= 0 {
			wrong.Add("seconds", "say within how many seconds")
		}
	case FewMisses:
		if g.Timed() {
			break
		}
		if g.Misses >= g.Count {
			wrong.Add("misses", "with %d misses in %d balls nothing has to be made", g.Misses, g.Count)
		}
		if (g.Count+1)*(g.Misses+1) > maxCells {
			wrong.Add("misses", "%d balls with up to %d misses are too many to follow; take fewer", g.Count, g.Misses)
		}
	default:
		wrong.Add("kind", "there is no goal called %q", g.Kind)
	}
	if wrong == nil && g.Steps() > maxPlaces {
		wrong.Add("sets", "that is %d balls to be made in all; at most %d", g.Steps(), maxPlaces)
	}
	return wrong.Err()
}

// InCells is so many balls of few misses, or as many as can be followed.
func (g Goal) InCells(balls int) int { return min(balls, maxCells/(g.Misses+1)-1) }

// Timed says whether few misses are wanted until a time is up, instead of in so many balls.
func (g Goal) Timed() bool { return g.Kind == FewMisses && g.Minutes > 0 }

// HasTime says whether its time being up is counted.
func (g Goal) HasTime() bool { return g.Timed() || g.Kind == AsManyAsPossible }

// timeUp is where a goal that is neither met nor lost stands when its time is up; false where it has none.
func (g Goal) timeUp() (State, bool) {
	if g.Timed() {
		return Met, true // few enough misses
	}
	return Lost, g.Kind == AsManyAsPossible
}

// sets is how often a streak is wanted, or how many parts a routine has.
func (g Goal) sets() int { return max(g.Sets, 1) }

// Steps is the least number of makes that reach the goal.
func (g Goal) Steps() int {
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
	case SetsInRallies, AsManyAsPossible:
		return g.Count * max(g.Of, 1)
	case WithinATime:
		return 1
	case FewMisses:
		if g.Timed() {
			return 1
		}
	}
	return g.Count
}

// against is how many points the other side of a race needs.
func (g Goal) against() int {
	if g.Against > 0 {
		return g.Against
	}
	return g.Count
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
		return fmt.Sprintf(
			"%d made, then %d in a row, for each of %s",
			g.Count,
			g.Then,
			units.Count(g.sets(), "part", "parts"),
		)
	case Together:
		return fmt.Sprintf("%d made together", g.Count)
	case AsManyAsPossible:
		what := ""
		if g.Of > 0 {
			what = fmt.Sprintf("sets of %d ", g.Of)
		}
		return fmt.Sprintf("as many %sas possible in %s min, hoping for %d", what, units.Decimal(g.Minutes, 2), g.Count)
	case FirstTo:
		if g.Against > 0 && g.Against != g.Count {
			return fmt.Sprintf("first to %d, the other to %d", g.Count, g.Against) + g.ahead()
		}
		return fmt.Sprintf("first to %d", g.Count) + g.ahead()
	case SetsInRallies:
		return fmt.Sprintf("%s of %d strokes in a rally", units.Count(g.Count, "set", "sets"), g.Of)
	case WithinATime:
		return fmt.Sprintf("within %s s, the best of %s", units.Decimal(g.Seconds, 1), units.Count(g.Count, "try", "tries"))
	case FewMisses:
		if g.Timed() {
			return fmt.Sprintf("at most %s in %s min", g.missed(g.Misses), units.Decimal(g.Minutes, 2))
		}
		return fmt.Sprintf("at most %s in %s", g.missed(g.Misses), units.Balls(g.Count))
	case Rallies:
		return fmt.Sprintf("%s of %d to %d strokes", Rally.Of(g.Count), g.From, g.To)
	}
	return fmt.Sprintf("%d made in all", g.Count)
}

// missed is so many misses of the kind that counts.
func (g Goal) missed(n int) say.Sentence {
	switch g.Only {
	case "":
		return say.Of("misses", n)
	case tally.IntoNet:
		return say.Of("misses.into the net", n)
	case tally.Long:
		return say.Of("misses.long", n)
	}
	return say.Of("misses.wide", n)
}

// ahead says how far ahead a race is won; empty where one point is enough.
func (g Goal) ahead() string {
	if g.Lead < 2 {
		return ""
	}
	return fmt.Sprintf(", %d ahead", g.Lead)
}
