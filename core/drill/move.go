package drill

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"hodometer/core/court"
	"hodometer/core/invalid"
)

// Move is a place that was dragged to somewhere else.
type Move struct {
	Handle string      `json:"handle" maxLength:"40" description:"The handle of a spot in the report"`
	To     court.Point `json:"to"`
	Grain  bool        `json:"grain,omitempty" description:"Round the offsets to 5 cm or 3 in"`
}

// Moved returns the drill with one place moved, measured from the same lines as before. With a grain
// above zero every offset is rounded to a multiple of it.
func (d Document) Moved(handle string, to court.Point, grain float64) (Document, error) {
	c, err := court.Find(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	moved := d.clone()
	for _, m := range moved.marks() {
		if m.handle != handle {
			continue
		}
		n := c.Measure(to, *m.mark)
		round(&n, grain)
		if _, err := c.Resolve(n); err != nil {
			var wrong invalid.Fields
			wrong.Under(handle, err)
			return d, wrong.Err()
		}
		*m.mark = n
		return moved, nil
	}
	return d, invalid.Fields{{Path: "move.handle", Message: fmt.Sprintf("there is no place called %q in this drill", handle)}}
}

func index(handle, prefix string, n int) (int, bool) {
	rest, ok := strings.CutPrefix(handle, prefix)
	i, err := strconv.Atoi(rest)
	return i, ok && err == nil && i >= 0 && i < n
}

// round brings the offsets of a mark to multiples of the grain.
func round(m *court.Mark, grain float64) {
	if grain <= 0 {
		return
	}
	// Tenths of a millimetre keep the document readable.
	to := func(v float64) float64 { return math.Round(math.Round(v/grain)*grain*1e4) / 1e4 }
	if m.Place != nil {
		m.Place = &court.Point{X: to(m.Place.X), Y: to(m.Place.Y)}
	}
	for i := range m.Measures {
		m.Measures[i].Distance = to(m.Measures[i].Distance)
	}
}
