package underway

import (
	"context"
	"fmt"
	"slices"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/skill"
)

// chances says of the counters of the block that is on how likely their goals are met in what is left of it, as the
// plan says it of the whole block. Nothing is said of what goes by a clock of its own.
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
	if len(rates) == 0 || play <= 0 {
		return nil
	}
	left := min(1, max(0, s.End-max(second, s.Start+s.SetUp))/play)
	there := lesson.IDs(in.In(block))
	for i := range counters {
		c := &counters[i]
		if c.Block != block.ID || c.Standing.Met || c.Over {
			continue
		}
		mine := block.DrillFor(in.Drills[block.Plays()], in.Known([]string{c.Student})[0])
		j := slices.IndexFunc(mine.Measures, func(m drill.Measure) bool { return m.Number == c.Measure })
		if j < 0 || len(rates[c.Student].Measures) != len(mine.Measures) || byClock(mine.Measures[j]) {
			continue
		}
		soFar := make([]*prospect.Counted, len(mine.Measures))
		for i, m := range mine.Measures {
			soFar[i] = k.soFar(c.Counted, c.Student, m.Number)
		}
		p, err := prospect.Asked{
			Drill: mine, Measure: j, Student: c.Student, Turns: s.Load.Turns, There: there, Lines: s.Load.Lines,
			Rates: rates, Settings: in.Settings,
			Here: &prospect.Here{Left: left, Counted: soFar},
		}.Answer(ctx)
		if err != nil {
			return err
		}
		c.expect(p)
	}
	return nil
}

// byClock says whether a measure goes by a clock of its own.
func byClock(m drill.Measure) bool {
	return m.What == score.Time || len(m.Goals) == 0 || m.Goals[0].HasTime() ||
		m.Goals[0].Kind == score.AsManyAsPossible || m.Goals[0].Timed()
}

// expect takes in what is to be expected of a counter.
func (c *Counter) expect(p prospect.Prospect) {
	if p.Chance == nil {
		return
	}
	c.Left, c.Chance = &p.Attempts, p.Chance
	met := p.Times
	if most := odds.Times(p.High); most != met {
		met += " to " + most
	}
	left := "left"
	if p.Short {
		left = "left in the time"
	}
	c.Hope = fmt.Sprintf("%s %s: met %s", p.Tries, left, met)
	if p.Joint {
		c.Hope = fmt.Sprintf("%s %s for all together: met %s", p.Tries, left, met)
	}
}

// soFar is what was counted of a student at a measure of a block, and what all made where they count together; nil
// where nothing was.
func (k *Kit) soFar(block, student string, measure int) *prospect.Counted {
	var found *prospect.Counted
	joint := prospect.Counted{}
	for _, c := range k.Counted {
		if c.Block != block || c.Measure.Number != measure {
			continue
		}
		sum := tally.Summarise(c.devices()...).Count
		if c.Measure.Goals.Joint() {
			joint.Goals, joint.Joint = c.Measure.Goals, joint.Joint+sum.Made
			joint.Count.Made, joint.Count.Balls = joint.Count.Made+sum.Made, joint.Count.Balls+sum.Balls
			found = &joint
		} else if c.Student == student {
			found = &prospect.Counted{Goals: c.Measure.Goals, Devices: c.devices(), Count: sum}
		}
	}
	return found
}

// Rates are what is believed of students at the measures of the drill of a block.
type Rates struct {
	Block string  `json:"block"`
	Known []Known `json:"known" description:"By student"`
}

// Known is what is known of a student at each measure.
type Known struct {
	Student string  `json:"student"`
	Stroke  float64 `json:"stroke" description:"Seconds from stroke to stroke of a rally; 0 where there is none"`
	At      []At    `json:"at" description:"In the order of the measures"`
}

// At is what is known of a student at one measure.
type At struct {
	Belief skill.Belief `json:"belief"`
	Kinds  odds.Kinds   `json:"kinds" description:"Of the misses"`
}

// rates are those of a block, or of the one that it goes on from, by student.
func (k *Kit) rates(blocks ...string) map[string]schedule.Rated {
	for _, id := range blocks {
		i := slices.IndexFunc(k.Rates, func(r Rates) bool { return r.Block == id })
		if i < 0 {
			continue
		}
		list := make(map[string]schedule.Rated, len(k.Rates[i].Known))
		for _, known := range k.Rates[i].Known {
			rated := schedule.Rated{Stroke: known.Stroke}
			for _, at := range known.At {
				rate := odds.Rate{Interval: at.Belief.Chance(), Belief: at.Belief}
				rated.Measures = append(rated.Measures, odds.Estimates{Rate: rate, Kinds: at.Kinds})
			}
			list[known.Student] = rated
		}
		return list
	}
	return nil
}

// RatesOf takes from what is known of everybody what is needed under way.
func RatesOf(in schedule.Inputs, k Kit) []Rates {
	list := []Rates{}
	for _, block := range k.Document.Blocks {
		rated := in.Rates[block.ID]
		if _, known := in.Drills[block.Plays()]; !known || len(rated) == 0 {
			continue
		}
		r := Rates{Block: block.ID, Known: []Known{}}
		for _, person := range in.In(block) {
			of := rated[person.ID]
			known := Known{Student: person.ID, Stroke: of.Stroke, At: []At{}}
			for _, m := range of.Measures {
				known.At = append(known.At, At{m.Rate.Belief, m.Kinds})
			}
			r.Known = append(r.Known, known)
		}
		list = append(list, r)
	}
	return list
}
