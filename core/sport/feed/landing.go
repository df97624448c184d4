package feed

// Area is how far around its landing a ball may land, the landing in the middle.
type Area struct {
	Wide float64 `json:"wide" minimum:"0" maximum:"12" description:"Metres across the court"`
	Deep float64 `json:"deep" minimum:"0" maximum:"15" description:"Metres along the court"`
}

// Body is what of a player a ball comes at.
type Body string

// The parts. The zero value is none: the ball comes to its place.
const (
	TheFeet      Body = "the feet"
	TheBody      Body = "the body"
	TheCrossover Body = "the crossover point" // between forehand and backhand
)

// Back is how far players get back to their places between balls. The zero value is all the way.
type Back string

// The schools.
const (
	AllTheWay Back = "all the way"
	HalfWay   Back = "half-way"
	StayThere Back = "not at all"
)

// Share is that of the way back.
func (b Back) Share() float64 {
	switch b {
	case HalfWay:
		return 0.5
	case StayThere:
		return 0
	}
	return 1
}
