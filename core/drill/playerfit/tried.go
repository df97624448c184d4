package playerfit

import (
	"math"
	"slices"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

// Model is the number of what the model makes of a drill for a level: another one wherever some attempt becomes harder
// or easier. What is kept of an attempt under an older number is worked out anew.
const Model = 2

// Tried is one attempt at a measure for somebody's skill: at which stroke, what their level makes of its balls, and
// whether points are played.
type Tried struct {
	Stroke  sports.Stroke
	Attempt skill.Attempt
	Points  bool
}

// Movement is the stroke of what is counted by movement, and of what is run for time: nobody strikes it.
const Movement sports.Stroke = "movement"

// Typical is what is known of somebody who is just as good as their level at the attempt.
func (t Tried) Typical() odds.Estimates {
	return odds.Estimates{Rate: odds.Believed(skill.Belief{Attempt: t.Attempt}, "")}
}

// OfLevel is how often somebody makes it who is as good as their level.
func (t Tried) OfLevel() float64 {
	p, _ := t.Attempt.Chance(0)
	return p
}

// tried is one attempt at the measure: one of its balls, or all balls of a sequence. Where nothing is known of single
// balls it is as hard as what is usual for the level. The stroke is that of most of its balls, whatever ladder it
// counts on.
func (j *judge) tried(line footwork.Timeline, balls []Ball) Tried {
	t := Tried{Stroke: j.mostStruck(line)}
	if j.m.What == score.Time || j.m.Counts.By == drill.ByMovement {
		t.Stroke = Movement
	}
	switch {
	case j.m.What == score.Point: // between equals it is even
		t.Attempt, t.Points = skill.Even(), true
	case j.m.What == score.Time || j.fails != nil:
		t.Attempt = j.usual()
	case len(balls) == 0 && j.d.Pattern.Rally != nil: // the level does not get it going
		const least = 0.001
		t.Attempt.Balls = []float64{logOdds(least)}
	case len(balls) == 0:
		t.Attempt = j.usual()
	case j.m.What == score.Sequence:
		t.Attempt = all(balls, made(j.m, balls))
	default:
		t.Attempt.Balls = few(balls)
	}
	return t
}

// Usual is an attempt as hard as what is usual for a level, where nothing else is known of it.
func Usual(level student.Level) skill.Attempt { return skill.Of(odds.UsualRate(level)) }

// usual is an attempt as hard as what is usual for the level: of a sequence all its balls.
func (j *judge) usual() skill.Attempt {
	return skill.Attempt{Balls: []float64{logOdds(math.Pow(odds.UsualRate(j.level), float64(j.d.In(j.m))))}}
}

// logOdds are those of a ball, to a ten-thousandth, as they are kept.
func logOdds(chance float64) float64 { return toKeep(skill.LogOdds(chance)) }

func toKeep(logOdds float64) float64 { return math.Round(10_000*logOdds) / 10_000 }

// all are the balls of the sequence that is made most nearly as often as all sequences in the mean, each a little
// harder or easier so that it is made just so often.
func all(balls []Ball, mean float64) skill.Attempt {
	a := skill.Attempt{All: true}
	nearest := math.Inf(1)
	for from := 0; from < len(balls); {
		to := from
		together := 1.0
		for to < len(balls) && balls[to].Sequence == balls[from].Sequence {
			together *= balls[to].Chance
			to++
		}
		if off := math.Abs(together - mean); off < nearest {
			nearest, a.Balls = off, make([]float64, to-from)
			for i, b := range balls[from:to] {
				a.Balls[i] = logOdds(b.Chance)
			}
		}
		from = to
	}
	by := a.Reaches(mean)
	for i := range a.Balls {
		a.Balls[i] = toKeep(a.Balls[i] + by)
	}
	return a
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
		list[i] = logOdds(sum / each)
	}
	return list
}

// mostStruck is the stroke of most balls of the measure, of as many the first; empty without balls.
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
