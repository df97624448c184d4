package feed

// numbers gives the same sequence for the same seed, which the coach's document holds: core has no chance
// of its own. It is SplitMix64 (Steele, Lea & Flood, OOPSLA 2014, 453).
type numbers struct{ state uint64 }

func (n *numbers) next() uint64 {
	n.state += 0x9e3779b97f4a7c15
	z := n.state
	z = (z ^ z>>30) * 0xbf58476d1ce4e5b9
	z = (z ^ z>>27) * 0x94d049bb133111eb
	return z ^ z>>31
}

// share is at least 0 and less than 1.
func (n *numbers) share() float64 { return float64(n.next()>>11) / (1 << 53) }

// below is one of the first so many whole numbers, from 0.
func (n *numbers) below(most int) int { return int(n.share() * float64(most)) }

// order is the first so many whole numbers in a random order (Fisher and Yates).
func (n *numbers) order(most int) []int {
	list := make([]int, most)
	for i := range list {
		j := n.below(i + 1)
		list[i], list[j] = list[j], i
	}
	return list
}
