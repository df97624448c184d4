package underway

import (
	"crypto/sha1"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// TestADigestIsAsThePackageHasIt: of any text, also of such as fill a block to its last bytes.
func TestADigestIsAsThePackageHasIt(t *testing.T) {
	t.Parallel()
	for n := range 200 {
		text := make([]byte, n)
		for i := range text {
			text[i] = byte(7*i + n)
		}
		require.Equal(t, sha1.Sum(text), digest(text), "%d bytes", n)
	}
	rapid.Check(t, func(t *rapid.T) {
		text := rapid.SliceOf(rapid.Byte()).Draw(t, "text")
		require.Equal(t, sha1.Sum(text), digest(text))
	})
}
