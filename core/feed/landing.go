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
