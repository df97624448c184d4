// Package seeded gives numbers that look random and are the same for the same seed: core has no chance of its own.
package seeded

// Numbers gives the same sequence for the same seed, which a document holds. It is SplitMix64 (Steele, Lea & Flood,
// OOPSLA 2014, 453).
type Numbers struct{ state uint64 }

// From begins a sequence.
func From(seed uint64) *Numbers { return &Numbers{seed} }

func (n *Numbers) next() uint64 {
	n.state += 0x9e3779b97f4a7c15
	z := n.state
	z = (z ^ z>>30) * 0xbf58476d1ce4e5b9
	z = (z ^ z>>27) * 0x94d049bb133111eb
	return z ^ z>>31
}

// Share is at least 0 and less than 1.
func (n *Numbers) Share() float64 { return float64(n.next()>>11) / (1 << 53) }

// Below is one of the first so many whole numbers, from 0.
func (n *Numbers) Below(most int) int { return int(n.Share() * float64(most)) }

// Order is the first so many whole numbers in a random order (Fisher and Yates).
func (n *Numbers) Order(most int) []int {
	list := make([]int, most)
	for i := range list {
		j := n.Below(i + 1)
		list[i], list[j] = list[j], i
	}
	return list
}
