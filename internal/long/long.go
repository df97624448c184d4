// Package long says how much of the long tests runs: with HODOMETER_LONG set (make test-long) all of it, otherwise a
// sample that a fixed seed chooses, so that a run says the same twice; with -short (make check) a fifth of that, and
// none of what takes seconds. HODOMETER_SEED chooses another sample.
package long

import (
	"flag"
	"math/rand/v2"
	"os"
	"strconv"
	"testing"

	"pgregory.net/rapid"
)

// share is that of a sample that a short run takes.
const share = 5

func short() bool { return testing.Short() && !all() }

// Skip leaves a test of several seconds out of a short run.
func Skip(t testing.TB) {
	t.Helper()
	if short() {
		t.Skip("it takes seconds: make test runs it")
	}
}

func all() bool { return os.Getenv("HODOMETER_LONG") != "" }

// Seed is what samples are drawn by: HODOMETER_SEED, or 1.
func Seed() uint64 { return seed() }

func seed() uint64 {
	if n, err := strconv.ParseUint(os.Getenv("HODOMETER_SEED"), 10, 64); err == nil {
		return n
	}
	return 1
}

// Check tries a property on values drawn by rapid: 100 from the seed, 20 in a short run, or 1000 that differ from run
// to run. Rapid's own flags on the command line win.
func Check(t *testing.T, property func(*rapid.T)) {
	t.Helper()
	name, value := "rapid.seed", strconv.FormatUint(seed(), 10)
	if all() {
		name, value = "rapid.checks", "1000"
	}
	if set := flag.Lookup(name); set.Value.String() == set.DefValue {
		if err := flag.Set(name, value); err != nil {
			t.Fatal(err)
		}
	}
	rapid.Check(t, property)
}

// Some returns n of the items in their order, chosen by the seed, or all of them.
func Some[T any](t testing.TB, items []T, n int) []T {
	t.Helper()
	if short() {
		n = min(n, max(1, n/share))
	}
	if all() || n >= len(items) {
		return items
	}
	t.Logf("a sample of %d of %d by seed %d", n, len(items), seed())
	chosen := make([]T, 0, n)
	draw := rand.New(rand.NewPCG(seed(), 0)) //nolint:gosec // a sample, not a secret
	for i, item := range items {
		if draw.IntN(len(items)-i) < n-len(chosen) {
			chosen = append(chosen, item)
		}
	}
	return chosen
}

// Rounds is how many tries a simulation has: some, or with HODOMETER_LONG set all of them.
func Rounds(some, most int) int {
	switch {
	case all():
		return most
	case short():
		return max(1, some/share)
	}
	return some
}
