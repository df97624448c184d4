package angles_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/angles"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestSectorsOfEverySport: the widest balls from places all over the near half of every court with a net, near and far,
// low and high, soft and hard, and in words; and what is said of places that make no sense.
func TestSectorsOfEverySport(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for n, of := range sports.All() {
		c := of.Courts[0].Court
		if !c.HasNet() {
			continue
		}
		var before angles.Sector
		for i, x := range []float64{-0.45, 0, 0.2, 0.5, 0.6} {
			k := angles.Strike{
				World: sports.World(c, ""),
				From: flight.Vec{X: x * c.Width, Y: -c.Length * (0.1 + 0.1*float64((i+n)%5)),
					Z: of.Serving.Met * (0.4 + 0.15*float64(i%3))},
				Pace: sports.RallyPace.Speed(
					c,
				) * (0.7 + 0.15*float64((i+n)%4)),
				Over:   0.01 * float64(1+i),
				Inside: 0.05 * c.Width * float64(i%2),
				Name:   fmt.Sprint("place ", i),
			}
			s, err := k.Sector(t.Context(), []float64{0, 0.6, 2}[i%3])
			if err != nil {
				fmt.Fprintln(&b, of.Name, i, invalid.Sentence(err))
				continue
			}
			fmt.Fprintln(&b, of.Name, golden.Line(t, s, 3))
			fmt.Fprintln(&b, "  ", s.Say(court.Tape{System: []units.System{units.Metres, units.Feet}[i%2]}))
			if before.Name != "" {
				fmt.Fprintln(&b, "  ", angles.Compare(before, s))
			}
			before = s
		}
	}
	c := sports.Of(court.Tennis).Courts[0].Court
	for _, k := range []angles.Strike{
		{}, {World: sports.World(c, ""), From: flight.Vec{Y: 3, Z: 1}, Pace: 20},
		{World: sports.World(c, ""), From: flight.Vec{Y: -3, Z: -1}, Pace: 20},
		{World: sports.World(c, ""), From: flight.Vec{Y: -3, Z: 9}, Pace: 20},
		{World: sports.World(c, ""), From: flight.Vec{Y: -3, Z: 1}},
		{World: sports.World(c, ""), From: flight.Vec{X: 90, Y: -3, Z: 1}, Pace: 20},
		{World: sports.World(c, ""), From: flight.Vec{Y: -3, Z: 1}, Pace: 200},
	} {
		_, err := k.Sector(t.Context(), 1)
		said := "sound"
		if err != nil {
			said = invalid.Sentence(err)
		}
		fmt.Fprintln(&b, said)
	}
	fmt.Fprintln(&b, angles.Degrees(0.5), angles.Degrees(-0.01))
	golden.Same(t, "sectors.txt", b.String())
}
