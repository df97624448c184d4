package game

import (
	"fmt"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/sport/sports"
)

// Metrics are the figures of a game, with how they came about: who wins, how many rallies it has and how long it takes.
func (r Rules) Metrics(f Forecast, c Chances, t sports.Tempo) []metric.Metric {
	chances := []metric.Input{
		{Name: "The near side wins, where it feeds", Value: tenths(c.NearFeeds) + " of 10 rallies"},
		{Name: "Where the far side feeds", Value: tenths(c.FarFeeds) + " of 10 rallies"},
	}
	for _, a := range r.Awards {
		chances = append(
			chances,
			metric.Input{
				Name:  units.Title(a.Name),
				Value: fmt.Sprintf("%s of 10 by the near side, %s by the far side", tenths(c.of(a, 0)), tenths(c.of(a, 1))),
			},
		)
	}
	const worked, source = "Every course that the score can take, rally by rally, by the rules as they are played",
		"Own arithmetic; how often bonus events happen is common practice, no source, where you do not say it"
	mean, sd := t.Rally()
	d := f.Duration(t)
	nearly, _ := f.Within(almost)
	tempo := []metric.Input{
		{
			Name:  "A rally",
			Value: units.Decimal(t.Strokes, 1) + " strokes on average",
		},
		{Name: "A stroke", Value: units.Decimal(t.Stroke, 2) + " s"},
		{
			Name:  "Until the next feed",
			Value: units.Decimal(t.Between, 0) + " s",
		},
		{
			Name:  "Rally and pause",
			Value: fmt.Sprintf("%s s, give or take %s s", units.Decimal(mean, 1), units.Decimal(sd, 1)),
		},
	}
	const timed, practice = "Rallies × (strokes × seconds a stroke + pause); rallies vary as they are worked out, " +
		"strokes as if each ended the rally with the same chance", "Strokes and pauses: common practice, no source"
	var list []metric.Metric
	if r.Score == "" {
		list = append(
			list,
			metric.New(
				"Near side wins",
				f.Near,
				tenths(f.Near),
				"of 10 games",
				metric.Derivation{Formula: worked, Inputs: chances, Source: source},
			),
			metric.New(
				"Far side wins",
				f.Far,
				tenths(f.Far),
				"of 10 games",
				metric.Derivation{Formula: worked, Inputs: chances, Source: source},
			),
		)
	}
	return append(
		list,
		metric.New(
			"Rallies",
			f.Rallies,
			units.Decimal(f.Rallies, 1),
			"on average",
			metric.Derivation{Formula: worked, Inputs: chances, Source: source},
		),
		metric.New(
			"Hardly ever over",
			float64(nearly),
			fmt.Sprint(nearly),
			"rallies",
			metric.Derivation{Formula: "999 of 1000 games have at most so many", Inputs: chances, Source: source},
		),
		metric.Worked(metric.Derivation{Sums: minutes(f, t), Source: practice}),
		metric.New(
			"Half of them",
			d.High50-d.Low50,
			units.Decimal(d.Low50, 1),
			"to "+units.Decimal(d.High50, 1)+" min",
			metric.Derivation{Formula: timed, Inputs: tempo, Source: practice},
		),
		metric.New(
			"Four of five",
			d.High80-d.Low80,
			units.Decimal(d.Low80, 1),
			"to "+units.Decimal(d.High80, 1)+" min",
			metric.Derivation{Formula: timed, Inputs: tempo, Source: practice},
		),
	)
}

// minutes are how the mean minutes of a game came about.
func minutes(f Forecast, t sports.Tempo) []metric.Sum {
	seconds := metric.Decimal(1, "s")
	strokes := metric.Times.Work("A rally", seconds,
		metric.Decimal(1, "strokes").Of("Strokes on average", t.Strokes), metric.Decimal(2, "s").Of("A stroke", t.Stroke))
	rally := metric.Added.Work("Rally and pause", seconds, strokes.Gives, seconds.Of("Until the next feed", t.Between))
	all := metric.Times.Work("All rallies", seconds,
		metric.Decimal(1, "rallies").Of("Rallies on average", f.Rallies), rally.Gives)
	return []metric.Sum{strokes, rally, all, metric.Shared.Work("Minutes", metric.Decimal(1, "min").Fixed(),
		all.Gives, seconds.Of("A minute", 60))}
}
