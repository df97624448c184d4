// Package striking is how true somebody of a level strikes: how unlike each other their launches are, how often they
// mishit, and how far over the net they aim.
//
// Its constants are few, each with what it means, and fitted to what is known of players (internal/calibrate); nothing
// in them is of a single player.
package striking

import (
	_ "embed"
	"encoding/json"
	"fmt"
	"math"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Constants are what is fitted. Scatter is a share of that of a club player of tennis.
type Constants struct {
	Level   map[student.Level]float64 `json:"level"`   // how wide the launches of a level scatter
	Sport   map[court.Sport]float64   `json:"sport"`   // and those of a sport
	Serve   float64                   `json:"serve"`   // and those of one's own toss, which nobody hurries
	OverNet float64                   `json:"overNet"` // standard deviations by which a ball is aimed over the net at least
}

// club is the scatter of a club player of tennis at ease. Common practice, no source.
var club = flight.Scatter{Speed: 0.06, Elevation: 1.5 * math.Pi / 180, Azimuth: 2.5 * math.Pi / 180}

//go:embed constants.json
var text []byte

var fitted = func() (c Constants) {
	if err := json.Unmarshal(text, &c); err != nil {
		panic(fmt.Sprintf("core/people/striking/constants.json: %v", err))
	}
	return c
}()

// Fitted are the constants that are on.
func Fitted() Constants { return fitted }

// Try puts other constants on, for whoever fits them; it is not for several goroutines.
func Try(c Constants) { fitted = c }

// Scatter is how unlike each other the launches of a level are in a sport, at ease; of a serve they are less so. A
// level or sport that is not known is a club player's, of tennis.
func Scatter(level student.Level, sport court.Sport, serve bool) flight.Scatter {
	times := of(fitted.Level, level) * of(fitted.Sport, sport)
	if serve {
		times *= fitted.Serve
	}
	return club.Times(times)
}

func of[K comparable](shares map[K]float64, key K) float64 {
	if share, ok := shares[key]; ok {
		return share
	}
	return 1
}

// OverNet is by how many standard deviations of its height there a ball is aimed over the net at least: players aim
// lower than would be safe, and hit the net.
func OverNet() float64 { return fitted.OverNet }

// Mishit is how often somebody of a level mishits a ball at ease; with twice the scatter four times as often. Common
// practice, no source.
func Mishit(level student.Level) float64 {
	switch level {
	case student.Tournament:
		return 0.005
	case student.Club:
		return 0.015
	case student.Improver, student.Green:
		return 0.03
	}
	return 0.06
}
