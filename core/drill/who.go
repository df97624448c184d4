package drill

import "slices"

// Who is who counts at a measure.
type Who string

// The zero value is each player. On one count, what any of them makes or misses counts for all of them; of two sides
// what one wins the other loses.
const (
	EachPlayer Who = "each player"
	EachPair   Who = "each pair on one count"
	EachLine   Who = "each line on one count"
	Everybody  Who = "everybody on one count"
	TwoSides   Who = "two sides, one against the other"
)

// Party is whose counts a tap of somebody is in, in the order of those who are there, on one count the one who keeps it
// first: pairs, and two sides, are neighbours in that order, and whoever is left over counts alone; so many lines are
// as equal as can be, the first ones of that order in the first.
func (w Who) Party(of string, there []string, lines int) []string {
	i := slices.Index(there, of)
	switch {
	case i < 0 || w == "" || w == EachPlayer:
		return []string{of}
	case w == Everybody:
		return there
	case w == EachLine:
		first := 0
		lines = max(1, lines)
		for line := range lines {
			next := first + (len(there)+lines-1-line)/lines
			if i < next {
				return there[first:next]
			}
			first = next
		}
	}
	first := i - i%2
	return there[first:min(first+2, len(there))]
}

// shared says whether one tap counts for several.
func (w Who) shared() bool { return w != "" && w != EachPlayer }
