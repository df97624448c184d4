package flight

import (
	"math"

	"hodometer/core/sport/court"
)

// World is where a ball flies: a court with its net, walls and surface, and the air.
type World struct {
	Ball    Ball
	Air     Air
	Court   court.Court
	Surface Surface
}

// ground is how high a ball's centre is when it touches what is below a place: the court, the table, or
// the floor beside the table.
func (w *World) ground(p Vec) float64 {
	r := w.Ball.Radius()
	if w.Court.AtTable() && (math.Abs(p.X) > w.Court.Width/2 || math.Abs(p.Y) > w.Court.Length/2) {
		return r - w.Court.Above
	}
	return r
}

// grounds are the heights there are: the court's or the table's, and the floor's beside a table.
func (w *World) grounds() [2]float64 {
	r := w.Ball.Radius()
	return [2]float64{r, r - w.Court.Above}
}

// Clearance is how far the lowest point of a ball that crosses the net passes over it.
func (w World) Clearance(crossing State) float64 { return w.clearance(&crossing) }

func (w *World) clearance(crossing *State) float64 {
	return crossing.P.Z - w.Ball.Radius() - w.Court.Net.Height(crossing.P.X)
}

// Launch is how a ball leaves.
type Launch struct {
	From     Vec
	Velocity Vec
	Spin     Vec  // rad/s
	OwnFirst bool // it bounces on its own side first, as a serve at a table does
}

// Landing is the number of the bounce, from 0, with which it lands where it is to.
func (l Launch) Landing() int {
	if l.OwnFirst {
		return 1
	}
	return 0
}
