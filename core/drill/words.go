package drill

import (
	"hodometer/core/court"
	"hodometer/core/units"
)

// Ball is what a turn of a drill is counted in: balls, shuttles in badminton, and rallies where each reply is the next feed.
func (d Document) Ball() (one, many string) {
	switch {
	case d.Pattern.Rally != nil:
		return "rally", "rallies"
	case d.Sport == court.Badminton:
		return "shuttle", "shuttles"
	}
	return "ball", "balls"
}

// Fed is so many of them in words.
func (d Document) Fed(n int) string {
	one, many := d.Ball()
	return units.Count(n, one, many)
}
