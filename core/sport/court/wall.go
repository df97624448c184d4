package court

import (
	"math"
	"slices"
)

// WallLine is a line on a wall; between its ends it is straight.
type WallLine struct {
	Name string  `json:"name"`
	Wall LineID  `json:"wall"`
	From float64 `json:"from" description:"Height where the wall begins: left or front"`
	To   float64 `json:"to" description:"Height where it ends: right or back"`
}

// Panel is a piece of a wall round a court with a net: of one material, upright from the floor or from another panel.
type Panel struct {
	Wall LineID  `json:"wall" description:"The line at its foot"`
	From float64 `json:"from" description:"Where it begins, from the middle of the court along the wall: to the right or to the far end"`
	To   float64 `json:"to" description:"Where it ends"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Of   string  `json:"of" description:"What it is made of"`
}

// HasFrontWall says whether balls are played against a wall in front, by both sides from one floor.
func (c *Court) HasFrontWall() bool {
	return slices.ContainsFunc(c.Lines, func(l Line) bool { return l.ID == FrontWall })
}

// PlaysWalls says whether a ball may come off its walls.
func (c *Court) PlaysWalls() bool { return len(c.Walls) > 0 || len(c.Panels) > 0 }

// WallAt says whether a ball that comes to the line at the foot of a wall, so far along it and so high, meets the wall
// there, and what of; empty: the material of the court itself.
func (c *Court) WallAt(foot LineID, along, height float64) (material string, there bool) {
	if len(c.Panels) == 0 {
		return "", c.PlaysWalls()
	}
	for _, p := range c.Panels {
		if p.Wall == foot && along >= p.From && along <= p.To && height <= p.High && height >= p.Low {
			return p.Of, true
		}
	}
	return "", false
}

// RoundedBy are the panels of a wall and of the one across from it, alike on both: pieces between two distances from
// the middle.
func RoundedBy(one, other LineID, from, to, low, high float64, of string) []Panel {
	var list []Panel
	for _, foot := range []LineID{one, other} {
		list = append(list, Panel{foot, from, to, low, high, of})
		if from > 0 { // the same at the other end
			list = append(list, Panel{foot, -to, -from, low, high, of})
		}
	}
	return list
}

// Kept is a place moved so far inside the walls of a court, where it has any.
func (c *Court) Kept(p Point, within float64) Point {
	if !c.PlaysWalls() {
		return p
	}
	x, y := c.Width/2-within, c.Length/2-within
	return Point{math.Max(-x, math.Min(x, p.X)), math.Max(-y, math.Min(y, p.Y))}
}
