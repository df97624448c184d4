package simulation

import (
	"fmt"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
)

// Figures are what one player runs and rests in a turn, and how fast the pattern can go. Waiting is how many seconds
// they stand until their next turn begins.
func (p Simulation) Figures(d drill.Document, waiting float64, s coach.Settings) []metric.Metric {
	if len(p.Timeline.Runners) == 0 {
		return []metric.Metric{}
	}
	list := []metric.Metric{p.run(d, s.Units), p.resting(d, waiting)}
	if pattern := d.Pattern; pattern.Rally == nil && !pattern.OneBall() {
		list = append(list, blockRate(d))
	}
	if _, seconds := Answers(d, p.Timeline); len(seconds) > 0 {
		list = append(list, p.answering(d))
	}
	for _, f := range p.Fastest {
		if f.Strain == footwork.Working && f.Gap != nil {
			list = append(list, metric.New("Fastest gap", *f.Gap, units.Decimal(*f.Gap, 1), "s", metric.Derivation{
				Formula: "the shortest gap, in tenths of a second, at which no ball is worse than working and the player is " +
					"back when the next one is struck, turn after turn",
				Source: metric.OwnArithmetic,
				Inputs: []metric.Input{
					{Name: "What gives first", Value: f.First},
					{Name: "Gap now", Value: units.Decimal(d.Pattern.Gap, 2) + " s"},
				},
			}))
		}
	}
	return list
}

// run is how far a player runs in a turn: by its balls where there is one player and every turn is alike, else the
// mean of the players and of many turns.
func (p Simulation) run(d drill.Document, system units.System) metric.Metric {
	length := metric.Length(system, 1)
	w := metric.Derivation{Source: metric.OwnArithmetic}
	if len(p.metres) == 1 && len(p.metres[0]) == 1 {
		w.Formula = "every run for a ball and every way back"
		w.Sums = []metric.Sum{metric.Added.Work("Run a turn", length, p.ways(d, length)...)}
		return metric.Worked(w)
	}
	var parts []metric.Part
	for i := range p.metres[0] {
		parts = append(parts, length.Of(runner(d, i), p.Ran(i)))
	}
	w.Formula = "every run for a ball and every way back; players change roles from turn to turn"
	if d.Pattern.Varies() {
		w.Formula += fmt.Sprintf("; each the mean of %d turns, since no turn is like another", len(p.metres))
	}
	if len(parts) == 1 {
		w.Sums = []metric.Sum{metric.Added.Work("Run a turn", length, parts...)}
		return metric.Worked(w)
	}
	all := metric.Added.Work("All together", length, parts...)
	w.Sums = []metric.Sum{all, metric.Shared.Work("Run a turn", length, all.Gives,
		metric.Counted("player", "players").Of("Live", float64(len(parts))))}
	return metric.Worked(w)
}

// Ran is how far one of the live players, from 0, runs in a turn, in the mean of turns where none is like another.
func (p Simulation) Ran(player int) (mean float64) {
	for _, turn := range p.metres {
		mean += turn[player] / float64(len(p.metres))
	}
	return mean
}

// ways are what the player runs for each ball of the pattern, as often as it comes, and the last way back.
func (p Simulation) ways(d drill.Document, length metric.Print) []metric.Part {
	sums, times := map[int]float64{}, map[int]int{}
	back, most := p.metres[0][0], 0
	for _, m := range p.Timeline.Interceptions {
		sums[m.Task] += m.Metres
		times[m.Task]++
		back -= m.Metres
		most = max(most, m.Task)
	}
	var parts []metric.Part
	for task := range most + 1 {
		n := times[task]
		if n == 0 {
			continue
		}
		name := fmt.Sprintf("For ball %d", task+1)
		if d.Pattern.Rally == nil {
			name = "For " + d.Pattern.Tasks[task].Label(task)
		}
		if n > 1 {
			name += fmt.Sprintf(", %d times", n)
		}
		parts = append(parts, length.Of(name, sums[task]))
	}
	return append(parts, length.Of("The last way back", back))
}

// resting is how many seconds of rest come to a second of work, from one own turn to the next.
func (p Simulation) resting(d drill.Document, waiting float64) metric.Metric {
	r, seconds := p.Timeline.Runners[0], metric.Decimal(1, "s")
	times, one := 1.0, "One turn"
	if d.Pattern.Rally != nil {
		times, one = d.Pattern.UsualSequences(), "Its rallies"
	}
	pause := d.Pattern.Pause
	work := seconds.Of("Running and striking", times*r.Work)
	rest := metric.Less.Work("Rest in it", seconds, seconds.Of(one, times*p.Timeline.Seconds-pause), work)
	between := metric.Added.Work("Rest until the next own turn", seconds, rest.Gives,
		seconds.Of("Standing after it", waiting))
	sums := []metric.Sum{rest, between}
	if r.Work <= 0 {
		w := metric.Derivation{Sums: sums, Inputs: []metric.Input{}, Source: metric.OwnArithmetic}
		return metric.New("Work : rest", between.Gives.Number, "0", "", w)
	}
	sums = append(sums, metric.Shared.Work("Work : rest", metric.Ratio, between.Gives, work))
	return metric.Worked(metric.Derivation{Sums: sums, Source: metric.OwnArithmetic})
}

// blockRate is balls a minute with the pauses counted.
func blockRate(d drill.Document) metric.Metric {
	one, many := d.Ball()
	seconds := metric.Decimal(1, "s")
	minute := metric.Times.Work("In sixty such turns", metric.Counted(one, many),
		metric.Counted(one, many).Of(units.Title(many)+" a turn", float64(d.Pattern.BallsPerTurn())),
		metric.Counted("s", "s").Of("Seconds a minute", 60))
	rate := metric.Shared.Work("Block rate", metric.Decimal(1, "/min").Fixed(),
		minute.Gives, seconds.Of("One turn with its pauses", d.Pattern.TurnSeconds()))
	return metric.Worked(metric.Derivation{Sums: []metric.Sum{minute, rate}, Source: metric.OwnArithmetic})
}

// answering is how long it takes in the mean from a stroke until it is answered.
func (p Simulation) answering(d drill.Document) metric.Metric {
	seconds := metric.Decimal(2, "s")
	balls, times := Answers(d, p.Timeline)
	parts := make([]metric.Part, len(times))
	for i, t := range times {
		parts[i] = seconds.Of(fmt.Sprintf("Until ball %d is met", balls[i]), t)
	}
	all := metric.Added.Work("All together", seconds, parts...)
	return metric.Worked(metric.Derivation{
		Formula: "as the ball flies; let the gap of the answers be about that",
		Sums: []metric.Sum{all, metric.Shared.Work("Stroke to answer", seconds,
			all.Gives, metric.Counted("answer", "answers").Of("Answers", float64(len(times))))},
		Inputs: []metric.Input{{Name: "Gap now", Value: units.Decimal(d.Pattern.Gap, 2) + " s"}},
		Source: metric.OwnArithmetic,
	})
}
