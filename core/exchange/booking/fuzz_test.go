package booking_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/exchange/booking"
	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

// Whatever a booking is called and whoever is known, each is found once at most, and a whole name that stands by itself
// is found.
func FuzzNamed(f *testing.F) {
	f.Add("Noor Haldane + Teo", "Noor Haldane")
	f.Add("squad, court 3", "Noor")
	f.Add("", "\x00")
	f.Fuzz(func(t *testing.T, title, name string) {
		known := []roster.Known{
			{ID: "a", Profile: student.Profile{Name: name}},
			{ID: "b", Profile: student.Profile{Name: "Teo Brackwell"}},
		}
		found := booking.Named(title, known)
		require.LessOrEqual(t, len(found), 2)
		if len(found) == 2 {
			require.NotEqual(t, found[0], found[1])
		}
		if folded := strings.Join(
			strings.Fields(roster.Fold(name)),
			" ",
		); folded != "" && folded == roster.Fold(name) &&
			folded != "teo brackwell" {
			require.Contains(t, booking.Named(title+" "+name, known), "a")
		}
	})
}
