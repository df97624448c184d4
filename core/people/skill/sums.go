package skill

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/symmetric"
)

// sums are Newton's equations after all days are eliminated but the last one of each stroke.
type sums struct {
	information symmetric.Matrix // as the layout says
	rise        []float64
	eliminated  []eliminated // of each chain
}

// eliminated is what finds the days of a chain again from what is left: for each day its pivot, how it hangs together
// with the next day and with the border of the chain, its right side, and the same of how good a day it was.
type eliminated struct {
	pivot, next, rise []float64
	border            [][]float64
	days              []goodDay
}

// goodDay is the equation of how good a day was: itself, the skill of the day, what of the border was counted on it,
// and its right side.
type goodDay struct {
	own, skill, rise float64
	border           []tie
}

// tie is how something hangs together with one of a border.
type tie struct {
	side        int
	information float64
}

// sums sets Newton's equations up and eliminates: first how good each day was, which hangs together with nothing but
// its own counts, then the days of each stroke one after the other, with the drills at their side.
func (f *fit) sums() sums {
	s := sums{information: symmetric.New(f.layout.all), rise: make([]float64, f.layout.all)}
	prior := func(i int, mean, sd float64) {
		s.information.Add(i, i, 1/(sd*sd))
		s.rise[i] -= (f.mean[i] - mean) / (sd * sd)
	}
	prior(f.layout.shared, 0, ofPlayers)
	prior(f.layout.points, inPoints, ofPoints)
	for _, i := range f.layout.drills {
		prior(i, 0, f.layout.off[i])
	}
	for _, c := range f.chains {
		s.eliminated = append(s.eliminated, f.eliminate(c, &s))
	}
	return s
}

// side is the border of a chain while its days are eliminated: what hangs together in it.
type side struct {
	information []float64 // row by row, up to the diagonal
	rise        []float64
}

func (f *fit) eliminate(c *chain, s *sums) eliminated {
	n, wide := len(c.days), len(c.border)
	e := eliminated{
		pivot: make([]float64, n), next: make([]float64, n), rise: make([]float64, n),
		border: make([][]float64, n), days: make([]goodDay, n),
	}
	b := side{make([]float64, wide*wide), make([]float64, wide)}
	if c.room == nil {
		c.room = make([]float64, n*wide)
	} else {
		clear(c.room)
	}
	c.ties = c.ties[:0]
	for day := range n {
		e.border[day] = c.room[day*wide : (day+1)*wide]
	}
	// What the strokes share is thought of the first day.
	const tight = 1 / (ofStrokes * ofStrokes)
	apart := c.skill[0] - f.mean[f.layout.shared]
	e.pivot[0] += tight
	e.border[0][0] -= tight
	b.information[0] += tight
	e.rise[0] -= tight * apart
	b.rise[0] += tight * apart
	for day := range n {
		f.told(c, day, &e, &b)
		if day+1 == n {
			break
		}
		moved, left := f.moved(c, day+1)
		pull := 1 / walked(left)
		e.pivot[day] += left * left * pull
		e.pivot[day+1] += pull
		e.next[day] = -left * pull
		e.border[day][0] += left * (1 - left) * pull
		e.border[day+1][0] -= (1 - left) * pull
		b.information[0] += (1 - left) * (1 - left) * pull
		e.rise[day] += left * pull * moved
		e.rise[day+1] -= pull * moved
		b.rise[0] += (1 - left) * pull * moved
		// The day goes.
		share := e.next[day] / e.pivot[day]
		e.pivot[day+1] -= share * e.next[day]
		e.rise[day+1] -= share * e.rise[day]
		row, after := e.border[day], e.border[day+1]
		for k, v := range row {
			if v == 0 {
				continue
			}
			after[k] -= share * v
			b.rise[k] -= v / e.pivot[day] * e.rise[day]
			part := v / e.pivot[day]
			into := b.information[k*wide : k*wide+k+1]
			for l, w := range row[:k+1] {
				into[l] -= part * w
			}
		}
	}
	last := n - 1
	add := s.information.Add
	add(c.at, c.at, e.pivot[last])
	s.rise[c.at] += e.rise[last]
	for k, i := range c.border {
		add(c.at, i, e.border[last][k])
		s.rise[i] += b.rise[k]
		for l := range c.border[:k+1] {
			add(i, c.border[l], b.information[k*wide+l])
		}
	}
	return e
}

// told takes in what was counted on a day, without how good a day it was.
func (f *fit) told(c *chain, day int, e *eliminated, b *side) {
	wide := len(c.border)
	g := &e.days[day]
	g.own, g.rise = 1/(ofDays*ofDays), -c.day[day]/(ofDays*ofDays)
	from := len(c.ties)
	for i := range c.counts[day] {
		count := &c.counts[day][i]
		rise, information := count.Attempt.told(f.better(c, day, count), count.Made, count.Tried)
		g.own += information
		g.skill += information
		g.rise += rise
		e.rise[day] += rise
		of := [2]int{count.side, 1}
		sides := of[:1]
		if count.Points {
			sides = of[:]
		}
		for _, k := range sides {
			at := slices.IndexFunc(c.ties[from:], func(t tie) bool { return t.side == k })
			if at < 0 {
				at = len(c.ties) - from
				c.ties = append(c.ties, tie{side: k})
			}
			c.ties[from+at].information += information
			b.rise[k] += rise
			for _, l := range sides {
				b.information[k*wide+l] += information
			}
		}
	}
	g.border = c.ties[from:len(c.ties):len(c.ties)]
	left := 1 - g.skill/g.own
	e.pivot[day] += g.skill * left
	e.rise[day] -= g.skill / g.own * g.rise
	for _, p := range g.border {
		e.border[day][p.side] += p.information * left
		b.rise[p.side] -= p.information / g.own * g.rise
		for _, q := range g.border {
			b.information[p.side*wide+q.side] -= p.information * q.information / g.own
		}
	}
}

// solved are the equations with what solves them.
type solved struct {
	sums
	factor symmetric.Factor
}

func (f *fit) equations() (solved, error) {
	e := solved{sums: f.sums()}
	var ok bool
	if e.factor, ok = e.information.Factor(); !ok {
		return e, fmt.Errorf("skill: what was counted of %d strokes cannot be fitted", len(f.chains))
	}
	return e, nil
}

// step is where the equations lead.
func (e solved) step(f *fit) step {
	found := step{mean: slices.Clone(e.rise)}
	e.factor.Solve(found.mean)
	for i, c := range f.chains {
		skills, days := e.eliminated[i].back(c, found.mean)
		found.skills, found.days = append(found.skills, skills), append(found.days, days)
	}
	return found
}

// back finds the days of a chain again.
func (e eliminated) back(c *chain, mean []float64) (skills, days []float64) {
	n := len(c.days)
	skills, days = make([]float64, n), make([]float64, n)
	for day := n - 1; day >= 0; day-- {
		skills[day] = mean[c.at]
		if day+1 < n {
			right := e.rise[day] - e.next[day]*skills[day+1]
			for k, v := range e.border[day] {
				right -= v * mean[c.border[k]]
			}
			skills[day] = right / e.pivot[day]
		}
		g := e.days[day]
		right := g.rise - g.skill*skills[day]
		for _, p := range g.border {
			right -= p.information * mean[c.border[p.side]]
		}
		days[day] = right / g.own
	}
	return skills, days
}

// Past is how good somebody was on a day that was counted.
type Past struct {
	Day int
	Estimate
}

// Past is how good somebody was at a stroke on each day that was counted, as is thought of it now.
func (s *Skill) Past(stroke string) []Past {
	c := s.strokes[stroke]
	if c == nil {
		return nil
	}
	n, wide, of := len(c.days), len(c.border), s.spread.At
	list := make([]Past, n)
	with := make([]float64, wide) // how the day after hangs together with the border
	for k, i := range c.border {
		with[k] = of(c.at, i)
	}
	variance := of(c.at, c.at)
	list[n-1] = Past{c.days[n-1], Estimate{c.skill[n-1], math.Sqrt(variance)}}
	joint := make([]float64, wide)
	for day := n - 2; day >= 0; day-- {
		pivot, next, row := c.gone.pivot[day], c.gone.next[day], c.gone.border[day]
		square, cross := 0.0, 0.0
		for k, i := range c.border {
			sum := 0.0
			for l, v := range row {
				if v != 0 {
					sum += v * of(c.border[l], i)
				}
			}
			joint[k] = sum
			square += row[k] * sum
			cross += row[k] * with[k]
		}
		variance = 1/pivot + (next*next*variance+2*next*cross+square)/(pivot*pivot)
		for k := range with {
			with[k] = -(next*with[k] + joint[k]) / pivot
		}
		list[day] = Past{c.days[day], Estimate{c.skill[day], math.Sqrt(variance)}}
	}
	return list
}
