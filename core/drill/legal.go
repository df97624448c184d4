package drill

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Legal is where the reply to a task is good that is struck at a place: a serve in its box, where both sides play from
// one floor a ball on the front wall between the board and the line, and any other ball on the half beyond the net.
// Targets count in it only. The error lists fields.
func (d Document) Legal(c court.Court, t feed.Task, struck court.Point) (court.Shape, error) {
	beyond := -math.Copysign(1, struck.Y)
	if t.Served() && (beyond > 0 || !c.HasNet()) {
		from, err := c.Resolve(t.Landing)
		if err != nil {
			return court.Shape{}, err
		}
		if box, ok := sports.ServedTo(c, from); ok {
			return c.Shape(court.Target{Kind: court.BoxTarget, Box: box}, d.Format)
		}
	}
	if c.HasFrontWall() {
		board, line := c.Walls[0].From, c.Walls[2].From
		return c.Shape(court.Target{Kind: court.WallBand, Low: board, High: line}, d.Format)
	}
	half, end := c.InPlay(d.Format)/2, c.Length/2
	return court.Shape{
		Kind:    court.BoxTarget,
		Centre:  court.Point{Y: beyond * end / 2},
		Corners: []court.Point{{X: -half}, {X: half}, {X: half, Y: beyond * end}, {X: -half, Y: beyond * end}},
		Area:    2 * half * end,
		Margin:  math.Min(half, end/2),
	}, nil
}
