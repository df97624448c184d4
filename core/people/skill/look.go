package skill

import (
	"math"
	"slices"
)

// Look is what would be counted of a stroke in one lesson: so many attempts at a measure of a drill.
type Look struct {
	Drill    string
	Attempt  Attempt
	Attempts int
}

// After is how sure it will be how good somebody is at a stroke, as a standard deviation in log-odds, once a drill was
// counted in so many more lessons. It never falls to nothing: each day is a good or a bad one, and how far the model is
// off at the drill stays open.
func (s *Skill) After(stroke string, day int, l Look, lessons int) float64 {
	parts, open := s.stroke(stroke, day)
	now := s.sum(parts, open)
	seen, of := parts, open
	if i, known := s.layout.drills[l.Drill]; known {
		seen = slices.Concat(parts, []part{{i, 1}})
	} else {
		of += ofDrills * ofDrills
	}
	there := s.sum(seen, of)
	p, slope := l.Attempt.Chance(there.Mean)
	p = math.Max(sure, math.Min(p, 1-sure))
	information := float64(l.Attempts) * slope * slope / (p * (1 - p))
	if lessons <= 0 || information == 0 {
		return now.SD
	}
	// How the stroke hangs together with what will be seen.
	shared := open
	for _, a := range parts {
		for _, b := range seen {
			shared += a.times * b.times * s.spread.At(a.at, b.at)
		}
	}
	noise := (ofDays*ofDays + 1/information) / float64(lessons)
	return math.Sqrt(math.Max(0, now.SD*now.SD-shared*shared/(there.SD*there.SD+noise)))
}

// InPoints is how good somebody is at a stroke while points are played.
func (s *Skill) InPoints(stroke string, day int) Estimate {
	parts, open := s.stroke(stroke, day)
	if len(s.mean) == 0 {
		return Estimate{inPoints, math.Sqrt(open + ofPoints*ofPoints)}
	}
	return s.sum(append(parts, part{s.layout.points, 1}), open)
}

// Tried is how many balls of a stroke were counted.
func (s *Skill) Tried(stroke string) int {
	if c := s.strokes[stroke]; c != nil {
		return c.tried
	}
	return 0
}
