package underway

import (
	"context"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/skill"
)

// chances says of the counters of the block that is on how likely their goals are met in the time that is left of it,
// at the pace of the plan, with what is known of each student's rate. Nothing is said of goals that several bring
// together, of those by the clock, and of rallies.
func (k *Kit) chances(
	ctx context.Context,
	counters []Counter,
	t schedule.Timetable,
	in schedule.Inputs,
	second float64,
) error {
	on := slices.IndexFunc(t.Blocks, func(s schedule.ScheduledBlock) bool { return second < s.End })
	if on < 0 || t.Blocks[on].Load == nil {
		return nil
	}
	s, block := t.Blocks[on], k.Document.Blocks[on]
	rates := k.rates(block.ID, block.Continues)
	play := min(s.Load.Need-s.Load.SetUp, s.End-s.Start-s.SetUp)
	if rates == nil || play <= 0 {
		return nil
	}
	left := max(0, s.End-max(second, s.Start+s.SetUp))
	for i := range counters {
		c := &counters[i]
		at := slices.Index(rates.Students, c.Student)
		if c.Block != block.ID || at < 0 || c.Standing.Met || c.Over {
			continue
		}
		person := in.Known([]string{c.Student})[0]
		mine := block.DrillFor(in.Drills[block.Plays()], person)
		j := slices.IndexFunc(mine.Measures, func(m drill.Measure) bool { return m.Number == c.Measure })
		if j < 0 || j >= len(rates.Of[at]) {
			continue
		}
		m, likely := mine.Measures[j], rates.Of[at][j].Likely()
		goals, devices := m.Goals, [][]tally.Entry(nil)
		if done := slices.IndexFunc(k.Counted, func(other Counted) bool {
			return other.Block == c.Counted && other.Student == c.Student && other.Measure.Number == c.Measure
		}); done >= 0 {
			goals, devices = k.Counted[done].Measure.Goals, k.Counted[done].devices()
			sum := tally.Summarise(devices...)
			likely = skill.Given(likely, sum.Made, sum.Missed())
		}
		if goals.Check() != nil || m.What == score.Time || mine.Pattern.Rally != nil {
			continue
		}
		clock := playerfit.Clock(mine, m, 0, 1, in.Settings)
		q := odds.Question{Goal: goals[0], Rate: skill.Mean(likely), Unit: m.What, Clock: clock}
		planned, one, many := playerfit.Tries(playerfit.Planned(q, mine, m, s.Load.Turns, 0), mine, m)
		attempts := int(math.Round(float64(planned) * min(1, left/play)))
		machine, states := goals.States(devices...)
		low, high, ok, err := odds.FromHere(ctx, goals, machine, states, likely, attempts)
		if err != nil {
			return err
		}
		if !ok {
			continue
		}
		c.Chance = &low
		c.Hope = fmt.Sprintf("%s left: met %s", units.Count(attempts, one, many), odds.Times(low))
		if most := odds.Times(high); most != odds.Times(low) {
			c.Hope = fmt.Sprintf("%s left: met %s to %s", units.Count(attempts, one, many), odds.Times(low), most)
		}
	}
	return nil
}

// Rates are what students make of the measures of the drill of a block.
type Rates struct {
	Block    string           `json:"block"`
	Students []string         `json:"students"`
	Of       [][]skill.Belief `json:"of" description:"By student, then by measure: what is believed of one attempt"`
}

// rates finds those of a block, or of the one that it goes on from.
func (k *Kit) rates(blocks ...string) *Rates {
	for _, id := range blocks {
		if i := slices.IndexFunc(k.Rates, func(r Rates) bool { return r.Block == id }); i >= 0 {
			return &k.Rates[i]
		}
	}
	return nil
}

// RatesOf takes from what is known of everybody what is needed under way.
func RatesOf(in schedule.Inputs, k Kit) []Rates {
	list := []Rates{}
	for _, block := range k.Document.Blocks {
		document, known := in.Drills[block.Plays()]
		rated := in.Rates[block.ID]
		if !known || len(rated) == 0 {
			continue
		}
		r := Rates{Block: block.ID, Students: []string{}, Of: [][]skill.Belief{}}
		for _, person := range in.In(block) {
			mine := block.DrillFor(document, person)
			all := rated[person.ID].Measures
			if len(all) != len(mine.Measures) {
				continue
			}
			of := make([]skill.Belief, len(all))
			for j := range mine.Measures {
				of[j] = all[j].Rate.Belief
			}
			r.Students, r.Of = append(r.Students, person.ID), append(r.Of, of)
		}
		list = append(list, r)
	}
	return list
}
