package sports

import "hodometer/core/sport/court"

// SpinKind is how a ball turns, in a coach's words.
type SpinKind string

// The spins. The zero value is flat.
const (
	Flat         SpinKind = "flat"
	Topspin      SpinKind = "topspin"
	HeavyTopspin SpinKind = "heavy topspin"
	Slice        SpinKind = "slice"
	HeavySlice   SpinKind = "heavy slice"
	SideLeft     SpinKind = "curving left"
	SideRight    SpinKind = "curving right"
)

// everySpin are the spins of a ball that takes them all.
func everySpin() []SpinKind {
	return []SpinKind{Flat, Topspin, HeavyTopspin, Slice, HeavySlice, SideLeft, SideRight}
}

// Mirrored swaps left and right.
func (s SpinKind) Mirrored() SpinKind {
	switch s {
	case SideLeft:
		return SideRight
	case SideRight:
		return SideLeft
	}
	return s
}

// RPM is the turns a minute, over the top and to the side.
func (s SpinKind) RPM(sport court.Sport) (top, side float64) {
	plain := Of(sport).Topspin
	switch s {
	case Topspin:
		return plain, 0
	case HeavyTopspin:
		return 2 * plain, 0
	case Slice:
		return -0.8 * plain, 0
	case HeavySlice:
		return -1.6 * plain, 0
	case SideLeft:
		return 0, plain
	case SideRight:
		return 0, -plain
	}
	return 0, 0
}
