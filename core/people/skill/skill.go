// Package skill is how good somebody is at each stroke, on the scale on which the difficulty of drills is worked out:
// how much better or worse than their level, in log-odds of one ball. What was counted flows in, each count with what
// the level's model makes of its balls; the chance of any ball of any drill flows out, with how sure it is.
//
// The log-odds of a ball are those of the level + the player's own at the stroke, which walks from day to day, + how
// far the model is off at the drill + whether it is a good or a bad day + what is lost in points. All of a history is
// fitted at once (Coulom, Whole-History Rating, Computers and Games, 2008).
package skill

import (
	"cmp"
	"context"
	"math"
	"slices"

	"hodometer/core/basics/symmetric"
)

// Count is what was made on one day at one measure of a drill.
type Count struct {
	Day     int    // counted from any day on
	Stroke  string // whose balls they are
	Drill   string // the drill and the measure
	Points  bool   // counted while points were played
	Attempt Attempt
	Made    int
	Tried   int
}

// Equal says whether two counts are the same.
func (c Count) Equal(other Count) bool {
	return c.Day == other.Day && c.Stroke == other.Stroke && c.Drill == other.Drill && c.Points == other.Points &&
		c.Made == other.Made && c.Tried == other.Tried && c.Attempt.All == other.Attempt.All &&
		slices.Equal(c.Attempt.Balls, other.Attempt.Balls)
}

// balls is how many balls there are in it.
func (c Count) balls() int {
	if c.Attempt.All {
		return c.Tried * len(c.Attempt.Balls)
	}
	return c.Tried
}

// Spreads of what is not known, as standard deviations in log-odds. They are those of calibrated simulations; how much
// players of a level differ, and days, is common practice, no source.
const (
	ofPlayers = 0.6  // how unlike their level players are in all strokes alike
	ofStrokes = 0.53 // and how unlike that in one of them: together 0.8
	ofADay    = 0.03 // by how much somebody changes from one day to the next
	ofDrills  = 0.35 // how far the model is off at a drill
	ofDays    = 0.3  // good and bad days
	ofPoints  = 0.3  // how unlike players are in what they lose in points
)

// inPoints is what somebody of whom nothing is known loses in points, in log-odds. Common practice, no source.
const inPoints = -0.2

// Skill is what is known of a player. The zero value is of somebody of whom nothing was counted.
type Skill struct {
	strokes map[string]*chain
	layout  layout
	mean    []float64        // of what the strokes share, by layout
	spread  symmetric.Matrix // their covariance
	tried   map[string]int   // balls at each drill
}

// Fit works out a player's skill from all that was counted of them, in any order. It begins where an earlier fit of
// almost the same counts ended, if there is one. It returns ctx.Err() when cancelled.
func Fit(ctx context.Context, counts []Count, before *Skill) (*Skill, error) {
	empty := func(c Count) bool { return c.Tried <= 0 || len(c.Attempt.Balls) == 0 }
	counts = slices.DeleteFunc(slices.Clone(counts), empty)
	if len(counts) == 0 {
		return &Skill{}, nil
	}
	f := newFit(inOrder(counts))
	f.from(before)
	equations, err := f.climb(ctx)
	if err != nil {
		return nil, err
	}
	return f.skill(equations), nil
}

// inOrder puts counts by stroke and day.
func inOrder(counts []Count) []Count {
	by := func(a, b Count) int { return cmp.Or(cmp.Compare(a.Stroke, b.Stroke), a.Day-b.Day) }
	if !slices.IsSortedFunc(counts, by) {
		slices.SortStableFunc(counts, by)
	}
	return counts
}

// Estimate is how much better than their level somebody is at something, in log-odds: about normal.
type Estimate struct {
	Mean float64 `json:"mean" minimum:"-30" maximum:"30"`
	SD   float64 `json:"sd" minimum:"0" maximum:"30"`
}

// At is how good somebody is at the attempts of a drill on a day on or after the last one that was counted, good or bad
// days included, in points or not. Of a stroke or a drill of which nothing was counted the whole spread is open.
func (s *Skill) At(stroke, drill string, day int, points bool) Estimate {
	parts, open := s.stroke(stroke, day)
	open += ofDays * ofDays
	if i, known := s.layout.drills[drill]; known {
		parts = append(parts, part{i, 1})
	} else {
		open += ofDrills * ofDrills
	}
	e := s.sum(parts, open)
	if points {
		if len(s.mean) == 0 {
			return Estimate{e.Mean + inPoints, math.Hypot(e.SD, ofPoints)}
		}
		e = s.sum(append(parts, part{s.layout.points, 1}), open)
	}
	return e
}

// Stroke is how good somebody is at a stroke itself on a day on or after the last one that was counted: of any drill,
// on a day that is neither good nor bad.
func (s *Skill) Stroke(stroke string, day int) Estimate { return s.sum(s.stroke(stroke, day)) }

// part is an unknown of a sum, and how often it is in it.
type part struct {
	at    int
	times float64
}

// stroke is what a stroke rests on, and the variance that is open beside it. With the days it comes back to what the
// strokes of the player have alike.
func (s *Skill) stroke(stroke string, day int) (parts []part, open float64) {
	c := s.strokes[stroke]
	switch {
	case len(s.mean) == 0:
		return nil, ofPlayers*ofPlayers + ofStrokes*ofStrokes
	case c == nil:
		return []part{{s.layout.shared, 1}}, ofStrokes * ofStrokes
	}
	kept := kept(day - c.days[len(c.days)-1])
	return []part{{c.at, kept}, {s.layout.shared, 1 - kept}}, walked(kept)
}

// sum is what the parts come to, with a variance that is open beside them.
func (s *Skill) sum(parts []part, open float64) Estimate {
	e, variance := Estimate{}, open
	for _, a := range parts {
		e.Mean += a.times * s.mean[a.at]
		for _, b := range parts {
			variance += a.times * b.times * s.spread.At(a.at, b.at)
		}
	}
	e.SD = math.Sqrt(math.Max(0, variance))
	return e
}

// kept is how much is left after so many days of what is special about a stroke (Ornstein and Uhlenbeck, Phys. Rev. 36
// (1930) 823): from one day to the next it walks by ofADay, and strays no farther in years than strokes are unlike.
func kept(days int) float64 {
	const lasts = 2 * ofStrokes * ofStrokes / (ofADay * ofADay) // days, for the part e⁻¹
	return math.Exp(-float64(max(0, days)) / lasts)
}

// walked is the variance of what changes while so much is kept.
func walked(kept float64) float64 { return ofStrokes * ofStrokes * (1 - kept*kept) }
