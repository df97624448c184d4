package playerfit

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/striking"
)

// Ball is one ball of a turn that belongs to a measure, and how often somebody makes it: reached × in the target,
// scattered as widely as it is loosened × not mishit.
type Ball struct {
	Task     int     `json:"task" description:"In the pattern, from 0; of a rally the stroke"`
	Sequence int     `json:"sequence"`
	Reach    float64 `json:"reach" description:"How often it is reached"`
	Loose    float64 `json:"loose" description:"How much more the reply scatters than at ease"`
	In       float64 `json:"in" description:"How often the reply goes into the target"`
	Chance   float64 `json:"chance" description:"To make it"`
	Speed    float64 `json:"speed" description:"As the reply leaves, m/s; 0 where there is none"`
}

// balls are those of a turn that belong to the measure. One that cannot be answered to the target is never made.
func (j *judge) balls(line footwork.Timeline) []Ball {
	var list []Ball
	if j.fails != nil {
		return list
	}
	for _, i := range line.Interceptions {
		if j.mine(i) && !i.Skipped {
			list = append(list, j.ball(i))
		}
	}
	return list
}

func (j *judge) ball(i footwork.Interception) Ball {
	b := Ball{Task: i.Task, Sequence: i.Sequence, Reach: i.Chance, Loose: i.Loose}
	if i.Where == nil || i.Verdict == footwork.OutOfReach {
		return Ball{Task: i.Task, Sequence: i.Sequence, Loose: i.Loose}
	}
	// The same ball again is not worked out again: to two centimetres and two hundredths.
	const grain = 0.02
	key := [5]float64{
		float64(i.Task),
		math.Round(i.Where.X / grain),
		math.Round(i.Where.Y / grain),
		math.Round(i.Where.Z / grain),
		math.Round(i.Loose / grain),
	}
	if j.d.Pattern.Rally != nil {
		key[0] = 0
	}
	seen, ok := j.known[key]
	if !ok {
		if r, err := j.reply(i); err == nil {
			seen.In = r.in
			seen.Speed = r.launch.Velocity.Norm()
		}
		j.known[key] = seen
	}
	b.In, b.Speed = seen.In, seen.Speed
	b.Chance = b.Reach * b.In * j.cleanly(b.Loose)
	return b
}

// made is the chance of one attempt at a measure, from its balls: the mean, and of sequences the mean of what is made
// of all balls of each.
func made(m drill.Measure, balls []Ball) float64 {
	if m.What != score.Sequence {
		return mean(balls)
	}
	whole := map[int]float64{}
	for _, b := range balls {
		if _, ok := whole[b.Sequence]; !ok {
			whole[b.Sequence] = 1
		}
		whole[b.Sequence] *= b.Chance
	}
	sum := 0.0
	for _, chance := range whole {
		sum += chance
	}
	return sum / float64(len(whole))
}

// Believed are balls as somebody makes them who is about so much better than their level: what was counted never makes
// the harder ball the easier one, and one that is never made stays so.
func Believed(balls []Ball, better skill.Estimate) []Ball {
	list := slices.Clone(balls)
	for i, b := range list {
		if b.Chance > 0 {
			of := skill.Attempt{Balls: []float64{logOdds(b.Chance)}}
			list[i].Chance = skill.Belief{Better: better, Attempt: of}.Chance().Mean
		}
	}
	return list
}

// mean is the mean chance of some balls.
func mean(balls []Ball) (sum float64) {
	for _, b := range balls {
		sum += b.Chance / float64(len(balls))
	}
	return sum
}

// stepwise says what becomes of one ball in the mean: how often it is reached, hit cleanly, and made, each as this
// player does it. The last one is their rate.
func (j *judge) stepwise(balls []Ball, rates odds.Estimates) string {
	if len(balls) == 0 {
		return ""
	}
	better := rates.Rate.Belief.Better
	step := func(of func(Ball) float64) string {
		list := slices.Clone(balls)
		for i, b := range list {
			list[i].Chance = of(b)
		}
		return units.Decimal(10*mean(Believed(list, better)), 1)
	}
	reached := step(func(b Ball) float64 { return b.Reach })
	cleanly := step(func(b Ball) float64 { return b.Reach * j.cleanly(b.Loose) })
	where := "in"
	if j.shape != nil {
		where = "in the target"
	}
	made := units.Decimal(10*rates.Rate.Mean, 1)
	return fmt.Sprintf("reached %s, hit cleanly %s, %s %s of 10", reached, cleanly, where, made)
}

// cleanly is how often a ball that is loosened so is not mishit.
func (j *judge) cleanly(loose float64) float64 {
	return math.Max(0, 1-striking.Mishit(j.level)*loose*loose)
}
