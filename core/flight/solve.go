package flight

import "math"

// How near is near enough: metres.
const solved = 1e-3

// solve finds the velocity at which the residual vanishes. It begins with Broyden's method from the slopes
// of a like residual that is cheaper, and where that goes astray takes the slopes anew. The number of
// flights is bounded.
func solve(start Vec, residual, like func(Vec) (Vec, bool)) (Vec, bool) {
	v := start
	r, ok := residual(v)
	for try := 0; !ok && try < 6; try++ {
		v = v.Times(1.15) // too slow to come up to where it should land
		r, ok = residual(v)
	}
	if !ok {
		return v, false
	}
	const newtons, broydens = 12, 10
	for newton := range newtons {
		slopes := residual
		if newton == 0 {
			slopes = like
		}
		inverse, ok := inverseJacobian(v, slopes)
		if !ok {
			if newton == 0 {
				continue
			}
			return v, false
		}
		for range broydens {
			if r.Norm() < solved {
				return v, true
			}
			move := inverse.times(r).Times(-1)
			if most := 0.6 * (v.Norm() + 1); move.Norm() > most {
				move = move.Times(most / move.Norm())
			}
			next, good := residual(v.Add(move))
			for half := 0; (!good || next.Norm() > 2*r.Norm()) && half < 6; half++ {
				move = move.Times(0.5)
				next, good = residual(v.Add(move))
			}
			if !good {
				return v, false
			}
			slow := next.Norm() > 0.7*r.Norm()
			inverse.update(move, next.Sub(r))
			v, r = v.Add(move), next
			if slow {
				break
			}
		}
	}
	return v, r.Norm() < solved
}

// matrix is 3 × 3, by rows.
type matrix [3]Vec

func (m matrix) times(v Vec) Vec { return Vec{m[0].Dot(v), m[1].Dot(v), m[2].Dot(v)} }

// timesLeft is vᵀ·m.
func (m matrix) timesLeft(v Vec) Vec {
	return m[0].Times(v.X).Add(m[1].Times(v.Y)).Add(m[2].Times(v.Z))
}

// update is Broyden's first update of an inverse, by Sherman and Morrison.
func (m *matrix) update(move, change Vec) {
	along := m.times(change)
	scale := move.Dot(along)
	if math.Abs(scale) < 1e-15 {
		return
	}
	missed := move.Sub(along).Times(1 / scale)
	row := m.timesLeft(move)
	m[0], m[1], m[2] = m[0].Add(row.Times(missed.X)), m[1].Add(row.Times(missed.Y)), m[2].Add(row.Times(missed.Z))
}

// inverseJacobian is by differences of three flights.
func inverseJacobian(v Vec, residual func(Vec) (Vec, bool)) (matrix, bool) {
	r, ok := residual(v)
	if !ok {
		return matrix{}, false
	}
	h := 1e-4 * (1 + v.Norm())
	var column [3]Vec
	for i, unit := range []Vec{{X: h}, {Y: h}, {Z: h}} {
		other, ok := residual(v.Add(unit))
		if !ok {
			return matrix{}, false
		}
		column[i] = other.Sub(r).Times(1 / h)
	}
	det := column[0].Dot(column[1].Cross(column[2]))
	if math.Abs(det) < 1e-12 {
		return matrix{}, false
	}
	return matrix{column[1].Cross(column[2]).Times(1 / det), column[2].Cross(column[0]).Times(1 / det), column[0].Cross(column[1]).Times(1 / det)}, true
}
