package report

import (
	"fmt"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
)

// metrics are the figures of a drill as its group plays it, each with the sums that it came from.
func metrics(d drill.Document, r Report, s coach.Settings) []metric.Metric {
	p, l := d.Pattern, r.Load
	one, many := d.Ball()
	title, carried := units.Title(l.Word), s.Container(d.Sport)
	ball, turn := metric.Counted(one, many), metric.Counted("turn", "turns")
	sequences := metric.Decimal(0, "").Of("Sequences a turn", p.UsualSequences())
	fed := []metric.Part{sequences}
	if p.Rally == nil {
		fed = []metric.Part{metric.Decimal(0, many).Of("In a sequence", fedInSequence(p)), sequences}
	}
	aTurn := metric.Times.Work(title+" a turn", ball, fed...)
	inAll := metric.Times.Work(title+" in all", ball, turn.Of("Turns in all", float64(l.All)), aTurn.Gives)
	rate := "Feed rate"
	if p.OneBall() {
		rate = "Stroke rate"
	}
	list := []metric.Metric{}
	figures := [][]metric.Sum{
		{aTurn},
		{metric.Shared.Work(rate, metric.Decimal(1, "/min").Fixed(),
			metric.Counted("s", "s").Of("A minute", 60), metric.Decimal(2, "s").Of("Gap", p.Gap))},
		turnSums(p, sequences),
		{aTurn, inAll},
	}
	if l.Baskets > 0 {
		figures = append(figures, []metric.Sum{metric.Filled.Work(units.Title(carried.Many)+" fed", holds(carried),
			inAll.Gives, metric.Counted("ball", "balls").Of("In a "+carried.One, float64(carried.Holds)))})
	}
	for _, sums := range figures {
		list = append(list, metric.Worked(metric.Derivation{Sums: sums, Source: metric.OwnArithmetic}))
	}
	return append(list, metric.Worked(metric.Derivation{
		Sums: l.Sums(d, s), Source: metric.OwnArithmetic + "; seconds a ball: " + metric.Practice,
	}))
}

// holds prints how many baskets, tubes or boxes of that size.
func holds(c coach.Container) metric.Print {
	of := fmt.Sprintf("of %d", c.Holds)
	return metric.Counted(of, of)
}

// fedInSequence is how many balls of a sequence are fed, on average where it branches.
func fedInSequence(p feed.Pattern) float64 {
	return p.CountTasks(func(_ int, t feed.Task) bool { return p.Fed(t) })
}

// turnSums are how the seconds of one turn come about: what is done in a sequence by its gaps, the pause after it, and
// as many of them as a turn has.
func turnSums(p feed.Pattern, sequences metric.Part) []metric.Sum {
	seconds, strokes := metric.Decimal(2, "s"), metric.Decimal(0, "")
	pause := metric.Decimal(1, "s").Of("Pause after it", p.Pause)
	var sums []metric.Sum
	parts := []metric.Part{}
	add := func(name, of string, n, gap float64) {
		sum := metric.Times.Work(name, seconds, strokes.Of(of, n), seconds.Of("Gap", gap))
		sums, parts = append(sums, sum), append(parts, sum.Gives)
	}
	switch {
	case p.Rally != nil:
		add("One rally", "Strokes", float64(p.Rally.Shots), p.Gap)
	case p.Ends == feed.ByTheClock:
		parts = append(parts, seconds.Of("On the clock", p.On))
	default:
		var gaps []float64
		many, rests := map[float64]float64{}, 0.0
		for _, w := range p.Listed() {
			if many[w.Gap] == 0 {
				gaps = append(gaps, w.Gap)
			}
			many[w.Gap] += w.Share
			rests += w.Share * w.Rest
		}
		for i, gap := range gaps {
			name, of := "Its gaps", "In a sequence"
			if len(gaps) > 1 {
				name, of = fmt.Sprintf("Gaps %d", i+1), "With a gap alike"
			}
			add(name, of, many[gap], gap)
		}
		if rests > 0 {
			parts = append(parts, seconds.Of("Pauses within it", rests))
		}
	}
	sequence := metric.Added.Work("One sequence", seconds, append(parts, pause)...)
	return append(sums, sequence, metric.Times.Work("One turn", metric.Clock, sequence.Gives, sequences))
}
