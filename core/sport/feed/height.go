package feed

import "hodometer/core/sport/sports"

// Height is how high above the court a ball of a sport leaves that is fed by a method.
func (m Method) Height(s *sports.Sport) float64 {
	switch m {
	case ByHand:
		return s.ByHand
	case SelfDrop:
		return s.Dropped
	case OffWall:
		return s.OffWall
	}
	return s.Struck
}
