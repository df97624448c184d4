package skill

import (
	"context"
	"math"
)

// layout is where what the strokes share stands among the unknowns: first the last day of each stroke, then what all
// strokes have alike, what is lost in points, and the drills.
type layout struct {
	shared, points int
	drills         map[string]int
	off            map[int]float64 // how far the model may be off at each drill, by where that stands
	all            int
}

// offAt is how far the model may be off, as a standard deviation, where it takes an attempt to be made so often: what
// it thinks is next to never or next to always tells little of how good somebody is who makes it, or misses it.
func offAt(level float64) float64 {
	const trusted = 3 // log-odds: once in twenty
	return ofDrills + math.Max(0, math.Abs(LogOdds(level))-trusted)
}

// chain is one stroke: its days one after the other, and what was counted on each.
type chain struct {
	stroke string
	tried  int
	at     int // of its last day, in the layout
	days   []int
	counts [][]counted // by day
	skill  []float64   // by day
	day    []float64   // how good a day each was
	border []int       // what of the layout it hangs together with: what strokes share, points, and its drills
	gone   eliminated  // how its days are found again
	room   []float64   // for the borders of its days while it is fitted
	ties   []tie       // for those of how good the days were
}

// counted is a count as it is fitted.
type counted struct {
	Count
	drill int // in the layout
	side  int // among what its chain hangs together with
}

// fit is a history while it is being fitted.
type fit struct {
	layout layout
	chains []*chain
	mean   []float64
	tried  map[string]int // balls at each drill
}

// newFit lays out counts that are in the order of their strokes and days.
func newFit(counts []Count) *fit {
	f := &fit{layout: layout{drills: map[string]int{}, off: map[int]float64{}}, tried: map[string]int{}}
	all := make([]counted, len(counts)) // those of a day lie side by side
	var c *chain
	for i, count := range counts {
		if c == nil || c.stroke != count.Stroke {
			c = &chain{stroke: count.Stroke, at: len(f.chains)}
			f.chains = append(f.chains, c)
		}
		all[i].Count = count
		if n := len(c.days); n == 0 || c.days[n-1] != count.Day {
			c.days, c.counts = append(c.days, count.Day), append(c.counts, all[i:i:len(all)])
		}
		last := len(c.days) - 1
		c.counts[last] = c.counts[last][:len(c.counts[last])+1]
		c.tried += count.balls()
	}
	f.layout.shared, f.layout.points = len(f.chains), len(f.chains)+1
	f.layout.all = len(f.chains) + 2
	drills := map[string]*ofDrill{}
	for _, c := range f.chains {
		f.border(c, drills)
	}
	for name, of := range drills {
		f.tried[name] = of.tried
	}
	f.mean = make([]float64, f.layout.all)
	f.mean[f.layout.points] = inPoints
	return f
}

// ofDrill is what is noted of a drill while the counts are laid out.
type ofDrill struct {
	tried int     // balls
	level float64 // how often somebody of the level made the last attempt at it
	side  int     // among what the chain that is laid out hangs together with; 0 where it does not yet
}

// border lays out what a stroke hangs together with.
func (f *fit) border(c *chain, drills map[string]*ofDrill) {
	c.skill, c.day = make([]float64, len(c.days)), make([]float64, len(c.days))
	c.border = []int{f.layout.shared, f.layout.points}
	for _, of := range drills {
		of.side = 0
	}
	for _, day := range c.counts {
		for i := range day {
			count := &day[i]
			of, known := drills[count.Drill]
			if !known {
				of = &ofDrill{level: math.NaN()}
				drills[count.Drill] = of
				f.layout.drills[count.Drill] = f.layout.all
				f.layout.all++
			}
			of.tried += count.balls()
			if of.side == 0 {
				of.side = len(c.border)
				c.border = append(c.border, f.layout.drills[count.Drill])
			}
			count.side, count.drill = of.side, c.border[of.side]
			if level, _ := count.Attempt.Chance(0); level != of.level {
				of.level = level
				if off, there := f.layout.off[count.drill]; !there || offAt(level) < off {
					f.layout.off[count.drill] = offAt(level)
				}
			}
		}
	}
}

// from begins where an earlier fit ended.
func (f *fit) from(before *Skill) {
	if before == nil || len(before.mean) == 0 {
		return
	}
	f.mean[f.layout.shared], f.mean[f.layout.points] = before.mean[before.layout.shared], before.mean[before.layout.points]
	for drill, i := range f.layout.drills {
		if k, known := before.layout.drills[drill]; known {
			f.mean[i] = before.mean[k]
		}
	}
	for _, c := range f.chains {
		old := before.strokes[c.stroke]
		if old == nil {
			continue
		}
		k := 0
		for i, day := range c.days {
			for k+1 < len(old.days) && old.days[k+1] <= day {
				k++
			}
			c.skill[i] = old.skill[k]
			if old.days[k] == day {
				c.day[i] = old.day[k]
			}
		}
		f.mean[c.at] = c.skill[len(c.skill)-1]
	}
}

const (
	mostSteps = 40
	closeBy   = 5e-3 // log-odds; a step that is no longer is the last one, and leads nearer still
	near      = 0.1  // a step so short leads up for sure
	farthest  = 3.0  // that one step moves anything at most
)

// climb goes to the top of the likelihood, by Newton's steps with Fisher's information, and returns the equations of
// the last one.
func (f *fit) climb(ctx context.Context) (solved, error) {
	now := math.NaN()
	for n := 1; ; n++ {
		if err := ctx.Err(); err != nil {
			return solved{}, err
		}
		equations, err := f.equations()
		if err != nil {
			return solved{}, err
		}
		step := equations.step(f)
		size := step.largest()
		switch {
		case size < near:
			f.move(step, 1)
			now = math.NaN()
		default:
			if math.IsNaN(now) {
				now = f.likelihood()
			}
			now = f.climbBy(step, math.Min(1, farthest/size), now)
		}
		if size < closeBy || n == mostSteps {
			return equations, nil
		}
	}
}

// climbBy goes so much of a step, or as much of that as leads up, and returns the likelihood there.
func (f *fit) climbBy(s step, share, now float64) float64 {
	for {
		f.move(s, share)
		if then := f.likelihood(); then >= now || share < closeBy {
			return then
		}
		f.move(s, -share)
		share /= 2
	}
}

// step is by how much everything is moved.
type step struct {
	mean   []float64
	skills [][]float64
	days   [][]float64
}

func (s step) largest() (most float64) {
	for _, v := range s.mean {
		most = math.Max(most, math.Abs(v))
	}
	for i := range s.skills {
		for k, v := range s.skills[i] {
			most = math.Max(most, math.Max(math.Abs(v), math.Abs(s.days[i][k])))
		}
	}
	return most
}

func (f *fit) move(s step, share float64) {
	for i, v := range s.mean {
		f.mean[i] += share * v
	}
	for i, c := range f.chains {
		for k := range c.skill {
			c.skill[k] += share * s.skills[i][k]
			c.day[k] += share * s.days[i][k]
		}
	}
}

// better is how much better than the level somebody was at a count.
func (f *fit) better(c *chain, day int, count *counted) float64 {
	x := c.skill[day] + c.day[day] + f.mean[count.drill]
	if count.Points {
		x += f.mean[f.layout.points]
	}
	return x
}

// moved is by how much a stroke strayed until a day from what would be left of it since the one before, and how much
// that is.
func (f *fit) moved(c *chain, day int) (moved, left float64) {
	left = kept(c.days[day] - c.days[day-1])
	return c.skill[day] - left*c.skill[day-1] - (1-left)*f.mean[f.layout.shared], left
}

// likelihood is the log of it, with what is thought beforehand.
func (f *fit) likelihood() float64 {
	square := func(x, sd float64) float64 { return -x * x / (2 * sd * sd) }
	sum := square(f.mean[f.layout.shared], ofPlayers) + square(f.mean[f.layout.points]-inPoints, ofPoints)
	for _, i := range f.layout.drills {
		sum += square(f.mean[i], f.layout.off[i])
	}
	for _, c := range f.chains {
		sum += square(c.skill[0]-f.mean[f.layout.shared], ofStrokes)
		for day := range c.days {
			sum += square(c.day[day], ofDays)
			if day > 0 {
				moved, kept := f.moved(c, day)
				sum += square(moved, math.Sqrt(walked(kept)))
			}
			for i := range c.counts[day] {
				count := &c.counts[day][i]
				sum += count.Attempt.likelihood(f.better(c, day, count), count.Made, count.Tried)
			}
		}
	}
	return sum
}

// skill is what was found, with how sure it is.
func (f *fit) skill(equations solved) *Skill {
	s := &Skill{strokes: map[string]*chain{}, layout: f.layout, mean: f.mean, tried: f.tried}
	s.spread = equations.factor.Inverse()
	for i, c := range f.chains {
		s.strokes[c.stroke] = c
		c.gone = equations.eliminated[i]
	}
	return s
}
