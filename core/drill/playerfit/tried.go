package playerfit

import (
	"math"
	"slices"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/sport/sports"
)

// Tried is one attempt at a measure for somebody's skill: at which stroke, and what their level makes of its balls.
type Tried struct {
	Stroke  sports.Stroke
	Attempt skill.Attempt
}

// tried is one attempt at the measure: one of its balls, or all balls of the sequence that is made most nearly as often
// as all of them in the mean. Where nothing is known of single balls it is as hard as what is thought of it beforehand.
// The stroke is that of most of its balls; without balls whose ladder it counts on.
func (j *judge) tried(line footwork.Timeline, balls []Ball, prior odds.Prior) Tried {
	whole := Tried{j.d.StrokeOf(j.m), skill.Of(prior.Rate)}
	if j.fails != nil || j.m.What == score.Point || len(balls) == 0 {
		return whole
	}
	t := Tried{Stroke: j.mostStruck(line)}
	if j.m.What != score.Sequence {
		t.Attempt.Balls = few(balls)
		return t
	}
	t.Attempt.All = true
	mean, nearest := made(j.m, balls), math.Inf(1)
	for from := 0; from < len(balls); {
		to := from
		for to < len(balls) && balls[to].Sequence == balls[from].Sequence {
			to++
		}
		all := 1.0
		logOdds := make([]float64, 0, to-from)
		for _, b := range balls[from:to] {
			all *= b.Chance
			logOdds = append(logOdds, skill.LogOdds(b.Chance))
		}
		if off := math.Abs(all - mean); off < nearest {
			nearest, t.Attempt.Balls = off, logOdds
		}
		from = to
	}
	return t
}

// mostFew is by how many balls a measure is told of at most.
const mostFew = 6

// few are the log-odds of the balls of a measure, from the hardest on: of many the mean chances of as many parts.
func few(balls []Ball) []float64 {
	chances := make([]float64, len(balls))
	for i, b := range balls {
		chances[i] = b.Chance
	}
	slices.Sort(chances)
	list := make([]float64, min(len(chances), mostFew))
	each := float64(len(chances)) / float64(len(list)) // balls, whole or not, that one stands for
	for i := range list {
		sum := 0.0
		for k, chance := range chances {
			from, to := math.Max(float64(k), float64(i)*each), math.Min(float64(k+1), float64(i+1)*each)
			sum += chance * math.Max(0, to-from)
		}
		list[i] = skill.LogOdds(sum / each)
	}
	return list
}

// mostStruck is the stroke of most balls of the measure, of as many the first.
func (j *judge) mostStruck(line footwork.Timeline) (most sports.Stroke) {
	times := map[sports.Stroke]int{}
	for _, i := range line.Interceptions {
		if !j.mine(i) || i.Skipped {
			continue
		}
		stroke := j.task(i).Stroke
		if times[stroke]++; most == "" || times[stroke] > times[most] {
			most = stroke
		}
	}
	return most
}
