package sports_test

import (
	"fmt"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func ExampleOf() {
	s := sports.Of(court.Padel)
	c := s.Courts[0].Court
	fmt.Printf(
		"%s: %g × %g m, net %v, walls %v, %d strokes, %d situations\n",
		s.Name,
		c.Width,
		c.Length,
		c.HasNet(),
		c.PlaysWalls(),
		len(s.Strokes),
		len(s.Situations),
	)
	// Output:
	// padel: 10 × 20 m, net true, walls true, 10 strokes, 14 situations
}
