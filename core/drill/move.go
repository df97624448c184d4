package drill

import (
	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Move is a place that was dragged to somewhere else.
type Move struct {
	Handle string      `json:"handle" maxLength:"60" description:"The handle of a spot in the report"`
	To     court.Point `json:"to"`
	RoundX bool        `json:"roundX,omitempty" description:"Round the offset across the court to 5 cm or 3 in"`
	RoundY bool        `json:"roundY,omitempty" description:"Round the offset along the court to 5 cm or 3 in"`
}

// moved returns the drill with one place moved, measured from the same lines as before, or from the nearest ones where
// it comes to the other half. Offsets that are to be rounded become multiples of the grain, in metres.
func (d Document) moved(move Move, grain float64) (Document, error) {
	handle, to := move.Handle, move.To
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	moved := d.Clone()
	for _, m := range moved.Marks() {
		if m.Handle != handle {
			continue
		}
		n := c.Remeasure(to, *m.Mark)
		move.round(&n, c, grain)
		if _, err := c.Resolve(n); err != nil {
			var wrong invalid.Fields
			wrong.Under(handle, err)
			return d, wrong.Err()
		}
		*m.Mark = n
		return moved, nil
	}
	return d, noSpot("move.handle", handle)
}

// round brings the offsets of a mark to multiples of the grain, where the move asks for it.
func (m Move) round(mark *court.Mark, c court.Court, grain float64) {
	*mark = c.Rounded(*mark, grain, m.RoundX, m.RoundY)
}
