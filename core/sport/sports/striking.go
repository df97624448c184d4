package sports

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Serving is how a ball is served: it leaves the hand, comes to its highest point, and is struck on the way down, or at
// the top of its bounce where it has to be let bounce. Metres above the court, for an adult; and how many seconds it
// takes to have the next ball ready and be set for it. Common practice, no source.
type Serving struct {
	Held, Up, Met, Ready float64
	Bounced              bool // it is struck after a bounce

	Line   court.LineID // behind which it is struck
	Inside float64      // and how far inside it is still tossed
}

// Striking is how balls are struck that are told by something else than their pace. Common practice, no source.
type Striking struct {
	Hardest float64            // m/s at which the hardest ball leaves an adult tournament player: no stroke asks for more
	First   map[Stroke]float64 // m/s as the ball leaves an adult tournament player at game pace
	Apex    map[Stroke]float64 // metres above the court
	Over    map[Stroke]float64 // metres over the net
	Wall    map[Stroke]float64 // metres up the front wall

	// A serve that is not struck at a speed: up the front wall, or low over the net into the front of the box and high to
	// its back.
	ServeWall          map[Pace]float64
	ServeOver, ServeUp float64
}

// paceShare is that of the speed at game pace at which a serve, a smash or a drive leaves: a second serve goes at rally
// pace.
var paceShare = map[Pace]float64{Gentle: 0.5, HalfPace: 0.65, RallyPace: 0.82, GamePace: 1}

// AboveHead is how hard somebody strikes above the head who strikes so hard beside the body, both as a share of an
// adult tournament player: reach and technique count for more there. Common practice, no source.
func AboveHead(power float64) float64 { return math.Pow(power, 1.15) }

// By is what the flight of a stroke is chosen by when somebody plays it as hard as a share of an adult tournament
// player on a court, to a place so far beyond the net; false where it goes by its pace.
func By(c court.Court, stroke Stroke, pace Pace, power, beyond float64) (flight.By, float64, bool) {
	in := Of(c.Sport).Striking
	if stroke == Serve {
		switch {
		case in.ServeWall != nil:
			return flight.ByWall, in.ServeWall[pace], true
		case in.ServeUp > 0 && beyond < c.Length/4:
			return flight.ByClearance, in.ServeOver, true
		case in.ServeUp > 0:
			return flight.ByApex, in.ServeUp, true
		}
	}
	if v, ok := in.First[stroke]; ok {
		return flight.BySpeed, v * AboveHead(power) * paceShare[pace], true
	}
	if v, ok := in.Apex[stroke]; ok {
		return flight.ByApex, v, true
	}
	if v, ok := in.Over[stroke]; ok {
		return flight.ByClearance, v, true
	}
	if v, ok := in.Wall[stroke]; ok {
		return flight.ByWall, v, true
	}
	return "", 0, false
}
