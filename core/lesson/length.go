package lesson

import "math"

// ShortestBlock is the least a block can have, in minutes.
const ShortestBlock = 0.5

// MinutesWanted is how many minutes the block should have.
func (b Block) MinutesWanted() float64 {
	if b.Wanted > 0 {
		return b.Wanted
	}
	return b.Minutes
}

// Bounds are the fewest and the most minutes of the block.
func (b Block) Bounds() (least, most float64) {
	low, high, _ := b.Kind.usual()
	least, most = low*b.MinutesWanted(), high*b.MinutesWanted()
	if b.Min > 0 {
		least = b.Min
		most = math.Max(most, least)
	}
	if b.Max > 0 {
		most = b.Max
		if b.Min == 0 {
			least = math.Min(least, most)
		}
	}
	return math.Max(least, ShortestBlock), math.Max(most, ShortestBlock)
}

// MinutesWeight is how much the block's minutes matter.
func (b Block) MinutesWeight() int {
	if b.Weight > 0 {
		return b.Weight
	}
	_, _, weight := b.Kind.usual()
	return weight
}

// StepMinutes is what whole and even minutes are multiples of; 0 for any other length.
func (b Block) StepMinutes() float64 {
	switch b.Step {
	case WholeMinutes:
		return 1
	case EvenMinutes:
		return 2
	}
	return 0
}
