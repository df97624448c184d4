package feed

import "hodometer/core/sport/court"

// Sport is what differs from sport to sport in how balls are fed, met and reached. Lengths are metres.
// Common practice, no source.
type Sport struct {
	Speeds  map[Pace]float64 // mean speed over the ground from release to landing, m/s
	Over    map[Pace]float64 // metres over the net at most, of a ball that is struck in play; none where only its speed matters
	Topspin float64          // turns a minute of plain topspin; 0 where a ball does not spin so
	ByHand  float64          // height at which a ball leaves that is fed by hand
	Dropped float64          // that is dropped for oneself
	OffWall float64          // that comes off a wall
	Struck  float64          // that is fed in any other way
	Lob     float64          // highest point of a ball fed for a stroke above the head; 0 where none is
	Rally   float64          // height at which a ball of a rally is met
	Reach   float64          // of an adult, in comfort
	Lunge   float64          // of an adult, in a lunge
	High    float64          // at which an adult meets a ball above the head
}

var sports = map[court.Sport]Sport{
	court.Tennis: {
		Speeds:  map[Pace]float64{Gentle: 9, HalfPace: 13, RallyPace: 17, GamePace: 22},
		Over:    map[Pace]float64{Gentle: 2.2, HalfPace: 1.6, RallyPace: 1.1, GamePace: 0.8},
		Topspin: 1200, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Lob: 4.5, Rally: 0.9, Reach: 0.75, Lunge: 1.75, High: 2.6,
	},
	court.Pickleball: {
		Speeds:  map[Pace]float64{Gentle: 4.5, HalfPace: 6, RallyPace: 8.5, GamePace: 12},
		Over:    map[Pace]float64{Gentle: 1.2, HalfPace: 0.9, RallyPace: 0.7, GamePace: 0.5},
		Topspin: 500, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Lob: 3.5, Rally: 0.6, Reach: 0.65, Lunge: 1.5, High: 2.3,
	},
	court.Badminton: {
		Speeds: map[Pace]float64{Gentle: 5, HalfPace: 6.5, RallyPace: 8, GamePace: 12},
		ByHand: 1.9, Dropped: 1.1, OffWall: 1.1, Struck: 1.1, Lob: 4.5, Rally: 1.4, Reach: 0.70, Lunge: 1.85, High: 2.6,
	},
	court.Squash: {
		Speeds:  map[Pace]float64{Gentle: 7, HalfPace: 10, RallyPace: 13, GamePace: 19},
		Topspin: 300, ByHand: 0.95, Dropped: 1.1, OffWall: 1.2, Struck: 0.95, Rally: 0.9, Reach: 0.75, Lunge: 1.8, High: 2.3,
	},
	court.TableTennis: {
		Speeds:  map[Pace]float64{Gentle: 3, HalfPace: 4.5, RallyPace: 6.5, GamePace: 9},
		Over:    map[Pace]float64{Gentle: 0.45, HalfPace: 0.35, RallyPace: 0.25, GamePace: 0.2},
		Topspin: 3000, ByHand: 0.25, Dropped: 0.25, OffWall: 0.25, Struck: 0.25, Rally: 0.2, Reach: 0.50, Lunge: 1.15, High: 1.6,
	},
}

// In returns what is particular to a sport; the zero value for one that is not known.
func In(sport court.Sport) Sport { return sports[sport] }

// Height is how high above the court a ball leaves that is fed by a method.
func (s Sport) Height(method Method) float64 {
	switch method {
	case ByHand:
		return s.ByHand
	case SelfDrop:
		return s.Dropped
	case OffWall:
		return s.OffWall
	}
	return s.Struck
}
