package symmetric

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/mat"
)

// By hand: of (4 2, 2 5) the factor is (2 0, 1 2), the inverse (5 -2, -2 4) ÷ 16, and 4x + 2y = 8, 2x + 5y = 12 is x =
// 1, y = 2.
func TestASymmetricMatrixByHand(t *testing.T) {
	t.Parallel()
	s := New(2)
	s.Add(0, 0, 4)
	s.Add(0, 1, 2)
	s.Add(1, 1, 5)
	l, ok := s.Factor()
	require.True(t, ok)
	require.Equal(t, []float64{2, 0, 1, 2}, l.at)
	right := []float64{8, 12}
	l.Solve(right)
	require.InDeltaSlice(t, []float64{1, 2}, right, 1e-12)
	inverse := l.Inverse()
	require.InDelta(t, 5.0/16, inverse.At(0, 0), 1e-12)
	require.InDelta(t, -2.0/16, inverse.At(0, 1), 1e-12)
	require.InDelta(t, 4.0/16, inverse.At(1, 1), 1e-12)
	s.Add(1, 1, -4)
	_, ok = s.Factor()
	require.False(t, ok, "(4 2, 2 1) has no inverse")
}

// Of large ones it is what a library finds.
func TestALargeSymmetricMatrix(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(1, 2)) //nolint:gosec // to choose by
	for n := 1; n < 40; n += 6 {
		root := mat.NewDense(n, n+2, nil)
		for i := range n {
			for k := range n + 2 {
				root.Set(i, k, random.NormFloat64())
			}
		}
		var square, want mat.Dense
		square.Mul(root, root.T())
		require.NoError(t, want.Inverse(&square))
		s := New(n)
		for i := range n {
			for k := range i + 1 {
				s.Add(k, i, square.At(i, k))
			}
		}
		l, ok := s.Factor()
		require.True(t, ok)
		found := l.Inverse()
		for i := range n {
			for k := range n {
				require.InEpsilon(t, want.At(i, k), found.At(i, k), 1e-6)
			}
		}
	}
}
