package flight

import "math"

// How near is near enough: metres.
const solved = 1e-3

// solve finds the velocity at which the residual vanishes, by Broyden's method: from slopes that are known about a
// velocity that was just tried, and where that goes astray from differences. The number of flights is bounded.
func solve(start Vec, residual func(Vec) (Vec, bool), slopes func(Vec) (x, y, z Vec)) (Vec, bool) {
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
		var inverse matrix
		if newton == 0 && slopes != nil {
			inverse, ok = inverted(slopes(v))
		} else {
			inverse, ok = inverseJacobian(v, r, residual)
		}
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

// inverseJacobian is by differences of three flights from one whose residual is known.
func inverseJacobian(v, r Vec, residual func(Vec) (Vec, bool)) (matrix, bool) {
	h := 1e-4 * (1 + v.Norm())
	var column [3]Vec
	for i, unit := range []Vec{{X: h}, {Y: h}, {Z: h}} {
		other, ok := residual(v.Add(unit))
		if !ok {
			return matrix{}, false
		}
		column[i] = other.Sub(r).Times(1 / h)
	}
	return inverted(
		Vec{column[0].X, column[1].X, column[2].X},
		Vec{column[0].Y, column[1].Y, column[2].Y},
		Vec{column[0].Z, column[1].Z, column[2].Z},
	)
}

// inverted is the inverse of a matrix by rows; false where it has none.
func inverted(x, y, z Vec) (matrix, bool) {
	yz, zx, xy := y.Cross(z), z.Cross(x), x.Cross(y)
	det := x.Dot(yz)
	if !(math.Abs(det) > 1e-12) {
		return matrix{}, false
	}
	return matrix{
		Vec{yz.X, zx.X, xy.X}.Times(1 / det),
		Vec{yz.Y, zx.Y, xy.Y}.Times(1 / det),
		Vec{yz.Z, zx.Z, xy.Z}.Times(1 / det),
	}, true
}
