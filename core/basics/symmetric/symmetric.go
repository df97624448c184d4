// Package symmetric solves systems of linear equations whose matrix is symmetric and positive definite, as those of
// Newton's method on a likelihood are.
package symmetric

import "math"

// Matrix is a symmetric matrix. It is kept row by row; what is above the diagonal is not read.
type Matrix struct {
	n  int
	at []float64
}

// New is a matrix of so many rows, all zero.
func New(n int) Matrix { return Matrix{n, make([]float64, n*n)} }

func (s Matrix) row(i int) []float64 { return s.at[i*s.n : i*s.n+i+1] }

// At is an entry, whichever of its row and column comes first.
func (s Matrix) At(i, k int) float64 { return s.at[max(i, k)*s.n+min(i, k)] }

// Add adds to an entry, whichever of its row and column comes first.
func (s Matrix) Add(i, k int, v float64) { s.at[max(i, k)*s.n+min(i, k)] += v }

// Factor is the matrix L below the diagonal of which L·Lᵀ is a symmetric one.
type Factor struct{ Matrix }

// Factor finds it (Cholesky's decomposition); false where the matrix is not positive definite.
func (s Matrix) Factor() (l Factor, ok bool) {
	l.Matrix = New(s.n)
	for i := range s.n {
		row, own := l.row(i), s.row(i)
		for k := range i + 1 {
			sum := own[k]
			other := l.row(k)
			for j, v := range row[:k] {
				sum -= v * other[j]
			}
			if k < i {
				row[k] = sum / other[k]
				continue
			}
			if !(sum > 0) {
				return l, false
			}
			row[i] = math.Sqrt(sum)
		}
	}
	return l, true
}

// Solve puts into a right side the unknowns of which the matrix that was factored makes it.
func (l Factor) Solve(right []float64) {
	for i, sum := range right[:l.n] {
		row := l.row(i)
		for k, v := range row[:i] {
			sum -= v * right[k]
		}
		right[i] = sum / row[i]
	}
	for i := l.n - 1; i >= 0; i-- {
		row := l.row(i)
		right[i] /= row[i]
		for k, v := range row[:i] {
			right[k] -= v * right[i]
		}
	}
}

// Inverse is that of the matrix that was factored.
func (l Factor) Inverse() Matrix {
	s := New(l.n)
	column := make([]float64, l.n)
	for k := range l.n {
		clear(column)
		column[k] = 1
		l.Solve(column)
		for i := k; i < l.n; i++ {
			s.at[i*l.n+k] = column[i]
		}
	}
	return s
}
