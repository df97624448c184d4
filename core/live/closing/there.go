package closing

import (
	"slices"

	"hodometer/core/lesson"
)

// There is how long each student of a lesson was in it up to a second of it, in seconds: in a block that names nobody
// all of them are. Who is in no block that was run was not there.
func There(d lesson.Document, end float64) map[string]float64 {
	there := make(map[string]float64, len(d.Students))
	for _, id := range d.Students {
		there[id] = 0
	}
	begins := 0.0
	for _, block := range d.Blocks {
		for _, id := range d.Students {
			if len(block.People) == 0 || slices.Contains(block.People, id) {
				there[id] += gone(begins, block, end)
			}
		}
		begins += block.Seconds()
	}
	return there
}
