package game_test

import (
	"hodometer/core/game"
	"hodometer/core/sport/court"
)

// spots are so many start places on both sides.
func spots(near, far int) []game.Spot {
	var list []game.Spot
	for i := range near {
		list = append(list, game.Spot{Side: game.Near, Mark: court.At(float64(i)-1, -5)})
	}
	for i := range far {
		list = append(list, game.Spot{Side: game.Far, Mark: court.At(1-float64(i), 5)})
	}
	return list
}
