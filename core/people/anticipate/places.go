package anticipate

import (
	"math"

	"hodometer/core/sport/court"
)

// bounds are where somebody may stand: on their own half and around it, behind the table at a table.
func (b board) bounds() (low, high court.Point) {
	c := b.World.Court
	const atNet, behind, beside = 0.5, 3.0, 0.4
	low = court.Point{X: -c.Singles/2 - beside, Y: -c.Length/2 - behind}
	high = court.Point{X: c.Singles/2 + beside, Y: -atNet}
	switch {
	case c.AtTable():
		low = court.Point{X: -c.Width/2 - 0.5, Y: -c.Length/2 - 1.8}
		high = court.Point{X: c.Width/2 + 0.5, Y: -c.Length/2 - 0.3}
	case c.PlaysWalls():
		low, high.X = court.Point{X: -c.Width/2 + beside, Y: -c.Length/2 + beside}, c.Width/2-beside
		if !c.HasNet() {
			high.Y = c.Length/2 - 1
		}
	case !b.World.Ball.Bounces():
		low.Y = -c.Length / 2
	}
	return low, high
}

// places are those of the map, around the middle.
func (b board) places(middle court.Point, within float64) ([]court.Point, float64) {
	low, high := b.bounds()
	low.X, high.X = math.Max(low.X, -within), math.Min(high.X, within)
	low.Y, high.Y = math.Max(low.Y, middle.Y-within), math.Min(high.Y, middle.Y+within)
	step := math.Sqrt((high.X - low.X) * (high.Y - low.Y) / tried)
	// Whole steps to either side of the middle, so that left and right are alike.
	var list []court.Point
	for y := middle.Y - step*math.Floor((middle.Y-low.Y)/step); y <= high.Y+1e-9; y += step {
		for k := -int(high.X / step); k <= int(high.X/step); k++ {
			at := court.Point{X: float64(k) * step, Y: y}
			if at.Distance(middle) <= within {
				list = append(list, at)
			}
		}
	}
	return list, step
}

// nearer looks around the best place of the map, in ever smaller steps.
func (b board) nearer(school School, best candidate, step float64, middle court.Point, within float64) Stand {
	low, high := b.bounds()
	const fine = 0.02 // metres
	for step /= 2; step > fine; step /= 2 {
		for range 4 {
			moved := false
			for _, d := range []court.Point{{X: step}, {X: -step}, {Y: step}, {Y: -step}} {
				at := court.Point{X: best.stand.At.X + d.X, Y: best.stand.At.Y + d.Y}
				if at.X < low.X || at.X > high.X || at.Y < low.Y || at.Y > high.Y || at.Distance(middle) > within {
					continue
				}
				s := b.stand(at)
				if score := b.score(school, s); score > best.score+1e-6 {
					best, moved = candidate{s, score}, true
				}
			}
			if !moved {
				break
			}
		}
	}
	return best.stand
}
