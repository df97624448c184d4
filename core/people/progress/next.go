package progress

import (
	"fmt"
	"time"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/people/ladder"
)

// Evidence is what one student did in one run of one drill.
type Evidence struct {
	At     time.Time
	Drill  string
	Rung   ladder.Quality
	Made   int
	Missed int
}

// Decision is the advice for the next lesson.
type Decision string

// The decisions.
const (
	StepUp   Decision = "step up"
	Stay     Decision = "stay"
	StepBack Decision = "step back"
)

// Advice is a decision with its reason.
type Advice struct {
	Decision   Decision          `json:"decision"`
	Rung       ladder.Quality    `json:"rung" description:"Where the student stands"`
	Next       ladder.Quality    `json:"next" description:"Where the decision leads; the same rung for stay"`
	Reason     string            `json:"reason"`
	Made       int               `json:"made"`
	Balls      int               `json:"balls"`
	Held       bool              `json:"held" description:"The balls say step up, engagement holds it back"`
	Derivation metric.Derivation `json:"derivation"`
}

// The rates of a rung: met at 8 of 10, not met at 6 of 10, too hard at 4 of 10. Common practice, no
// source.
const (
	MetRate  = 0.8
	openRate = 0.6
	hardRate = 0.4
	risk     = 0.1
	// lowEngagement is the engagement out of ten under which a step up waits: players should rate a
	// drill at least 7 (common practice, no source).
	lowEngagement = 7
)

func upTest() Sequential { return Sequential{Low: openRate, High: MetRate, Alpha: risk, Beta: risk} }

func backTest() Sequential {
	return Sequential{Low: hardRate, High: openRate, Alpha: risk, Beta: risk}
}

// Advise decides the next step on a rung from the balls played on it since the student came to it.
//
// Two sequential tests run over the same counts: met (8 of 10) against not yet (6 of 10) for a step
// up, and not yet against too hard (4 of 10) for a step back. Engagement is the latest figure out of
// ten, or 0 where none was given; a low one holds a step up back but is never mixed into the rates.
func Advise(rung ladder.Quality, evidence []Evidence, engagement int) Advice {
	var made, missed int
	for _, e := range evidence {
		made += e.Made
		missed += e.Missed
	}
	a := Advice{Decision: Stay, Rung: rung, Next: rung, Made: made, Balls: made + missed}
	higher, canRise := rung.Step(1)
	lower, canFall := rung.Step(-1)
	met := upTest().Decide(made, missed) == ForHigh
	hard := backTest().Decide(made, missed) == ForLow
	score := fmt.Sprintf("%d of %s", made, units.Balls(a.Balls))
	switch {
	case a.Balls == 0:
		a.Reason = fmt.Sprintf("No balls counted on %s yet, so nothing is known. Count some first.", rung)
	case met && !canRise:
		a.Reason = fmt.Sprintf("%s made: %s is the top rung and it is met. Keep it fresh in points.", score, rung)
	case met && engagement > 0 && engagement < lowEngagement:
		a.Held = true
		a.Reason = fmt.Sprintf(
			"%s made, enough for %s, but the last engagement was %d out of 10. Bring the interest back first.",
			score,
			higher,
			engagement,
		)
	case met:
		a.Decision, a.Next = StepUp, higher
		a.Reason = fmt.Sprintf("%s made: that is 8 in 10 rather than luck. Go on to %s.", score, higher)
	case hard && !canFall:
		a.Reason = fmt.Sprintf(
			"%s made: too hard, and %s is the first rung. Make the feed easier or the target bigger.",
			score,
			rung,
		)
	case hard:
		a.Decision, a.Next = StepBack, lower
		a.Reason = fmt.Sprintf("%s made: nearer 4 in 10 than 6. Take one element away and go back to %s.", score, lower)
	default:
		a.Reason = fmt.Sprintf(
			"%s made, %.0f in 100: not clear yet. %s would settle it.",
			score,
			100*float64(made)/float64(a.Balls),
			units.Count(upTest().MakesToGo(made, missed), "make in a row", "makes in a row"),
		)
	}
	a.Derivation = explain(a, missed)
	return a
}

// Resting is the advice for a stroke that is spared while something hurts: it stays where it is, and nothing is
// proposed.
func (a Advice) Resting(what string) Advice {
	a.Decision, a.Next, a.Held = Stay, a.Rung, false
	a.Reason = fmt.Sprintf(
		"Rested while it hurts (%s): nothing is proposed. Pain means stop; a licensed practitioner says when it goes on.",
		what,
	)
	return a
}

func explain(a Advice, missed int) metric.Derivation {
	up, back := upTest(), backTest()
	_, high := up.Bounds()
	low, _ := back.Bounds()
	ratio := func(s Sequential) string { return units.Decimal(s.Ratio(a.Made, missed), 2) }
	return metric.Derivation{
		Figure: "Next step on " + string(a.Rung), Value: string(a.Decision),
		Formula: "Each make and each miss adds its weight; a sum beyond a bound decides",
		Inputs: []metric.Input{
			{Name: "Made", Value: units.Balls(a.Made)},
			{Name: "Missed", Value: units.Balls(missed)},
			{Name: "8 in 10 against 6 in 10, up at " + units.Decimal(high, 2), Value: ratio(up)},
			{Name: "6 in 10 against 4 in 10, back at " + units.Decimal(low, 2), Value: ratio(back)},
			{Name: "Risk of a wrong step", Value: units.Decimal(risk*100, 0) + " %"},
		},
		Source: "Wald, Annals of Mathematical Statistics 16 (1945) 117; the rates are common practice, no source",
	}
}
