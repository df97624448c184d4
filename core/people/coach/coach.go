// Package coach holds what one coach has chosen once for everything.
package coach

import (
	"slices"
	"strings"

	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Within is what a coach means by a circle of so much: half its width, or all of it.
type Within string

// The two readings.
const (
	Radius   Within = "radius"
	Diameter Within = "diameter"
)

// Recovery is where players of a rally get back to between strokes. The zero value is the base position.
type Recovery string

// The schools.
const (
	ToTheBase   Recovery = "to the base position"
	ToTheMiddle Recovery = "to the middle"
)

// Likely is what a coach thinks that opponents play in a situation, and what was seen.
type Likely struct {
	Situation string  `json:"situation" maxLength:"60"`
	Replies   []Reply `json:"replies" maxItems:"12"`
}

// Reply is one of it.
type Reply struct {
	Reply  string  `json:"reply" maxLength:"40"`
	Chance float64 `json:"chance" minimum:"0" maximum:"1"`
	Seen   int     `json:"seen,omitempty" minimum:"0" maximum:"100000" description:"How often it was played"`
}

// Settings are a coach's own choices. All of them have a working default.
type Settings struct {
	Units      units.System `json:"units"`
	Basket     int          `json:"basket" minimum:"5" maximum:"500" description:"Balls in one basket"`
	Baskets    int          `json:"baskets" minimum:"1" maximum:"20" description:"Full baskets the coach has"`
	Tube       int          `json:"tube,omitempty" minimum:"0" maximum:"50" description:"Shuttles in one tube; 0: 12"`
	Tubes      int          `json:"tubes,omitempty" minimum:"0" maximum:"100" description:"Full tubes the coach has; 0: 8"`
	Box        int          `json:"box,omitempty" minimum:"0" maximum:"500" description:"Balls for the table in one box; 0: 100"`
	Boxes      int          `json:"boxes,omitempty" minimum:"0" maximum:"20" description:"Full boxes the coach has; 0: 1"`
	PickUp     float64      `json:"pickUp" minimum:"0" maximum:"30" description:"Seconds to pick up one ball, for one person"`
	ChangeOver float64      `json:"changeOver" minimum:"0" maximum:"300" description:"Seconds to walk from one block to the next"`
	Piece      float64      `json:"piece" minimum:"0" maximum:"60" description:"Seconds to put down or collect one piece of equipment"`
	Wait       float64      `json:"wait" minimum:"5" maximum:"600" description:"Seconds in a line between two turns that are still tolerable"`
	Step       float64      `json:"step" minimum:"0.2" maximum:"2" description:"Length of the coach's own step, metres"`
	InSteps    bool         `json:"inSteps" description:"Walk-off lists are in steps"`
	Within     Within       `json:"within" description:"What a circle of so much means"`

	Air     Air        `json:"air"`
	Feeding Steadiness `json:"feeding" description:"How alike the coach's own feeds are"`

	Steps Steps `json:"steps,omitzero" description:"When the next step of a student is clear"`

	Recovery Recovery `json:"recovery,omitempty" description:"Where players of a rally get back to; empty: to the base position"`
	Likely   []Likely `json:"likely,omitempty" maxItems:"100" description:"The coach's own chances of replies, by situation"`

	Collections []Collection `json:"collections,omitempty" maxItems:"40" description:"Drills that the coach keeps together"`

	Numbering court.Numbering `json:"numbering" description:"How depth regions are numbered"`
	Schemes   []court.Scheme  `json:"schemes" maxItems:"20" description:"The coach's own depth regions"`
}

// Steps is when the next step of a student is clear, each of ten; 0 is what is usual.
type Steps struct {
	Wanted float64 `json:"wanted" minimum:"0" maximum:"9.5" description:"A rung is reached where so many of ten of its standard task are made; 0: 6.75"`
	Up     float64 `json:"up" minimum:"0" maximum:"9.9" description:"A student goes up where that is so likely; 0: 9 in 10"`
	Back   float64 `json:"back" minimum:"0" maximum:"4.5" description:"And back where it is only so likely; 0: 1 in 10"`
}

// check says what makes no sense.
func (s Steps) check() error {
	var wrong invalid.Fields
	if s.Wanted > 0 && s.Wanted < 3 {
		wrong.Add("wanted", "at least 3 of 10: who makes less has not reached a rung")
	}
	if s.Up > 0 && s.Up < 5.5 {
		wrong.Add("up", "at least 5.5 in 10: less is no more likely than not")
	}
	return wrong.Err()
}

// Collection is drills that a coach keeps together under a name.
type Collection struct {
	Name   string   `json:"name" minLength:"1" maxLength:"40"`
	Drills []string `json:"drills" maxItems:"500" description:"Their identifiers"`
}

// Air is the weather and the height a coach plays in.
type Air struct {
	Celsius  float64 `json:"celsius" minimum:"-20" maximum:"50"`
	Altitude float64 `json:"altitude" minimum:"-400" maximum:"4500" description:"Metres above the sea"`
	Across   float64 `json:"across" minimum:"-20" maximum:"20" description:"Wind blowing to the student's right, m/s"`
	Along    float64 `json:"along" minimum:"-20" maximum:"20" description:"Wind blowing away from the student, m/s"`
}

// Steadiness is how alike feeds are.
type Steadiness string

// The degrees.
const (
	VerySteady Steadiness = "very steady"
	Usual      Steadiness = "usual"
	Wild       Steadiness = "wild"
)

// Flown is the air as flights need it.
func (s Settings) Flown() flight.Air {
	return flight.Air{
		Density: flight.Density(s.Air.Celsius, s.Air.Altitude),
		Wind:    flight.Vec{X: s.Air.Across, Y: s.Air.Along},
	}
}

// Scatter is how much feeds differ, by the way of feeding. Common practice, no source.
func (s Settings) Scatter() map[feed.Method]flight.Scatter {
	const degree = math.Pi / 180
	share := map[Steadiness]float64{VerySteady: 0.5, Usual: 1, Wild: 1.7}[s.Feeding]
	own := func(speed, elevation, azimuth float64) flight.Scatter {
		return flight.Scatter{Speed: share * speed, Elevation: share * elevation * degree, Azimuth: share * azimuth * degree}
	}
	partner := flight.Scatter{Speed: 0.08, Elevation: 2 * degree, Azimuth: 2.2 * degree}
	return map[feed.Method]flight.Scatter{
		feed.ByHand: own(
			0.05,
			2,
			1.5,
		),
		feed.ByRacket: own(0.05, 1.2, 1.2),
		feed.SelfDrop: own(0.02, 1, 1),
		feed.OffWall:  own(0.06, 1.5, 1.5),
		feed.Machine: {
			Speed:     0.02,
			Elevation: 0.5 * degree,
			Azimuth:   0.5 * degree,
		},
		feed.Partner: partner,
		feed.Live:    partner,
	}
}

// Check says what is wrong with settings beyond their shape.
func (s Settings) Check() error {
	var wrong invalid.Fields
	for i, c := range s.Collections {
		if slices.ContainsFunc(
			s.Collections[:i],
			func(other Collection) bool { return strings.EqualFold(other.Name, c.Name) },
		) {
			wrong.Add(invalid.Join("collections", i, "name"), "there is a collection of this name already")
		}
	}
	wrong.Under("steps", s.Steps.check())
	for i, scheme := range s.Schemes {
		c, err := sports.Court(scheme.Court)
		if err == nil {
			_, err = scheme.Bands(c, s.Numbering)
			wrong.Under(invalid.Join("schemes", i), err)
			continue
		}
		wrong.Under(invalid.Join("schemes", i, "court"), err)
	}
	for i, own := range s.Likely {
		chances := make([]float64, len(own.Replies))
		for k, each := range own.Replies {
			chances[k] = each.Chance
		}
		if hundredths, whole := units.Whole(chances...); !whole {
			wrong.Add(invalid.Join("likely", i), "the chances add up to %d of 100; let them add up to 100", hundredths)
		}
	}
	return wrong.Err()
}

// Scheme is the scheme of depth regions that is told on a court: the coach's own first one, else the first that is
// built in. False where there is none.
func (s Settings) Scheme(on court.ID) (court.Scheme, bool) {
	for _, scheme := range slices.Concat(s.Schemes, sports.Regions()) {
		if scheme.Court == on {
			return scheme, true
		}
	}
	return court.Scheme{}, false
}

// Tape writes lengths in the coach's units.
func (s Settings) Tape() court.Tape { return court.Tape{System: s.Units} }

// WalkTape writes lengths for walking off: in steps where the coach wants them.
func (s Settings) WalkTape() court.Tape {
	if s.InSteps {
		return court.Tape{System: s.Units, Step: s.Step}
	}
	return s.Tape()
}

// Default is what a new coach starts with. The basket and the times are common practice, no source.
func Default() Settings {
	return Settings{
		Units:      units.Metres,
		Basket:     60,
		Baskets:    2,
		PickUp:     2.5,
		ChangeOver: 20,
		Piece:      5,
		Wait:       60,
		Step:       0.8,
		Within:     Radius,
		Air:        Air{Celsius: 20},
		Feeding:    Usual,
		Numbering:  court.FromNet,
		Schemes:    []court.Scheme{},
	}
}
