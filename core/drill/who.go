package drill

import "slices"

// Who is who counts at a measure.
type Who string

// The zero value is each player. On one count, what any of them makes or misses counts for all of them; of two sides what
// one wins the other loses.
const (
	EachPlayer Who = "each player"
	EachPair   Who = "each pair on one count"
	Everybody  Who = "everybody on one count"
	TwoSides   Who = "two sides, one against the other"
)

// Party is whose counts a tap of somebody is in, in the order of those who are there, on one count the one who keeps it
// first: pairs, and two sides, are neighbours in that order, and whoever is left over counts alone.
func (w Who) Party(of string, there []string) []string {
	i := slices.Index(there, of)
	switch {
	case i < 0 || w == "" || w == EachPlayer:
		return []string{of}
	case w == Everybody:
		return there
	}
	first := i - i%2
	return there[first:min(first+2, len(there))]
}

// shared says whether one tap counts for several.
func (w Who) shared() bool { return w != "" && w != EachPlayer }
