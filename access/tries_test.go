package access_test

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/access"
)

// By hand: one address has ten tries at once and then one every six seconds; however many others try, it has one in
// twenty seconds all the same.
func TestTriesAreCountedByAddress(t *testing.T) {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	var tries access.Tries
	allowed := 0
	for range 40 {
		if tries.Allow("192.0.2.66", now) {
			allowed++
		}
	}
	require.Equal(t, 10, allowed)
	require.True(t, tries.Allow("192.0.2.7", now), "nobody uses up the tries of others")
	require.False(t, tries.Allow("192.0.2.66", now.Add(5*time.Second)))
	require.True(t, tries.Allow("192.0.2.66", now.Add(7*time.Second)))
	for n := range 3000 { // from everywhere
		tries.Allow(fmt.Sprint("198.51.100.", n), now)
	}
	require.True(t, tries.Allow("192.0.2.8", now), "a small share for everybody")
	require.False(t, tries.Allow("192.0.2.8", now))
	require.True(t, tries.Allow("192.0.2.8", now.Add(10*time.Minute)))
}

// Whatever is tried from wherever, with whatever clock: in an hour one address has no more than ten tries and one every
// six seconds.
func TestNoAddressTriesForLong(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var tries access.Tries
		now, allowed := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC), 0
		end := now.Add(time.Hour)
		for now.Before(end) {
			if tries.Allow("192.0.2.66", now) {
				allowed++
			}
			now = now.Add(time.Duration(rapid.IntRange(1, 200).Draw(t, "seconds")) * time.Second)
		}
		require.LessOrEqual(t, allowed, 10+600)
	})
}

// Ten wrong codes from one address make it be heard no more; the coach's phone gets in all the same.
func TestAStrangerMakesNoCodeVoid(t *testing.T) {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	var p access.Pairing
	code, _ := p.Issue(now)
	for range 50 {
		require.False(t, p.Pair("22222-22222", "192.0.2.66", now))
	}
	require.False(t, p.Pair(code, "192.0.2.66", now))
	require.True(t, p.Pair(code, "192.0.2.7", now))
}
