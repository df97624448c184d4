package ranges_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/internal/ranges"
)

// What is known of players (from memory and common practice, wide on purpose) holds the model of them.
func TestPlayersAreAsTheyAreKnown(t *testing.T) {
	t.Parallel()
	for _, r := range ranges.All() {
		value, err := r.Value(t.Context())
		require.NoError(t, err, r)
		require.True(t, value >= r.Low && value <= r.High, "%s: %.3f is not between %g and %g", r, value, r.Low, r.High)
	}
}
