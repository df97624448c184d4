// Package drill is a drill as one document, and what can be done to it.
package drill

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// FormatVersion is the version of the document's format that this code reads and writes.
const FormatVersion = 4

// PlaceKind is what stands at a place.
type PlaceKind string

// What can stand on court.
const (
	Start    PlaceKind = "start"
	Feeder   PlaceKind = "feeder"
	Recovery PlaceKind = "recovery"
	Opponent PlaceKind = "opponent"
	Partner  PlaceKind = "partner"
	Queue    PlaceKind = "queue"
	OnDeck   PlaceKind = "on deck"
	Basket   PlaceKind = "basket"
	Cone     PlaceKind = "cone"
	Obstacle PlaceKind = "obstacle"
	Strip    PlaceKind = "strip"
	Rope     PlaceKind = "rope"
)

// PassSide is the side on which an obstacle is passed, as the player runs at it.
type PassSide string

// The ways round.
const (
	PassEither PassSide = "either"
	PassLeft   PassSide = "left"
	PassRight  PassSide = "right"
)

func (w PassSide) mirrored() PassSide {
	switch w {
	case PassLeft:
		return PassRight
	case PassRight:
		return PassLeft
	}
	return w
}

// Place is the place of somebody or something in a drill.
type Place struct {
	Kind   PlaceKind  `json:"kind"`
	Name   string     `json:"name,omitempty" maxLength:"24" description:"What the coach calls it; empty: what it is, cones by letter"`
	Mark   court.Mark `json:"mark"`
	Size   float64    `json:"size,omitempty" minimum:"0" maximum:"20" description:"Of an obstacle, a strip or a rope: how long it is, metres"`
	Up     bool       `json:"up,omitempty" description:"Of a strip or a rope: it points up the court instead of across"`
	Around PassSide   `json:"around,omitempty" description:"Of an obstacle: the side on which it is passed"`
	Leg    Leg        `json:"leg,omitempty" description:"Of an obstacle: on which runs it is in the way; empty: all"`
}

// Leg is on which runs an obstacle is in the way.
type Leg string

// The legs. The zero value is all runs.
const (
	OnTheWayOut  Leg = "on the way out"
	OnTheWayBack Leg = "on the way back"
)

// Document is a drill. It is written for a right-hander: left and right are the near player's.
type Document struct {
	FormatVersion int            `json:"version" minimum:"4" maximum:"4" description:"Of the format of this document"`
	Name          string         `json:"name" minLength:"1" maxLength:"80"`
	Summary       string         `json:"summary" maxLength:"500"`
	Sport         court.Sport    `json:"sport"`
	Court         court.ID       `json:"court" maxLength:"40"`
	Stroke        sports.Stroke  `json:"stroke" description:"The stroke whose ladder the drill stands on"`
	Rung          ladder.Quality `json:"rung"`
	Places        []Place        `json:"places" minItems:"1" maxItems:"24"`
	Pattern       feed.Pattern   `json:"pattern"`
	Level         student.Level  `json:"level,omitempty" description:"Whom it is written for; empty: a club player"`
	Surface       string         `json:"surface,omitempty" maxLength:"40" description:"The material of the court; empty: what is usual"`
	Turns         int            `json:"turns" minimum:"1" maximum:"100" description:"Turns for each player"`
	Format        court.Format   `json:"format,omitempty" description:"Who shares the court; empty: singles"`
	NoGo          []NoGo         `json:"noGo,omitempty" maxItems:"6" description:"Where no ball may go"`
	Measures      []Measure      `json:"measures" minItems:"1" maxItems:"8" description:"What is tried and counted; the first one stands for the drill"`
	Order         Order          `json:"order,omitempty" description:"How the measures follow one another; empty: side by side"`
	SetUp         float64        `json:"setUp" minimum:"0" maximum:"1800" description:"Seconds to set the court and explain"`
	Effort        int            `json:"effort" minimum:"0" maximum:"10" description:"How hard it is, out of ten"`
	Cues          []string       `json:"cues" maxItems:"4" description:"One or two things to watch"`
	Cautions      []string       `json:"cautions" maxItems:"6"`
	Equipment     []string       `json:"equipment" maxItems:"12"`

	Variations []Variation `json:"variations,omitempty" maxItems:"12" description:"Easier and harder versions that stand ready"`

	written *Document // what this is a version of; nil for the drill as it is written
	version string    // its name
}

const longestLine = 200 // characters of one cue, caution or piece of equipment

// Check says what is wrong with a drill beyond its shape.
func (d Document) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(d.Name) == "" {
		wrong.Add("name", "give the drill a name")
	}
	checkLines(&wrong, "cues", d.Cues)
	checkLines(&wrong, "cautions", d.Cautions)
	checkLines(&wrong, "equipment", d.Equipment)
	c, err := sports.Court(d.Court)
	if err != nil {
		wrong.Under("court", err)
		return wrong.Err()
	}
	if c.Sport != d.Sport {
		wrong.Add("court", "%s is a court for %s, and this is a drill for %s", c.Name, c.Sport, d.Sport)
	}
	for _, needed := range []PlaceKind{Start, Feeder} {
		if !slices.ContainsFunc(d.Places, func(p Place) bool { return p.Kind == needed }) {
			wrong.Add("places", "the drill has no %s place", needed)
		}
	}
	for i, place := range d.Places {
		_, err := c.Resolve(place.Mark)
		wrong.Under(invalid.Join("places", i, "mark"), err)
		if place.Kind.long() && place.Size <= 0 {
			wrong.Add(invalid.Join("places", i, "size"), "say how long the %s is", place.Kind)
		}
	}
	wrong.Under("pattern", d.Pattern.Check())
	starts := d.Starts()
	for i, task := range d.Pattern.Tasks {
		path := invalid.Join("pattern.tasks", i)
		for part, mark := range map[string]*court.Mark{"landing": &task.Landing, "from": task.From, "reply": task.Reply,
			"recover": task.Recover} {
			if mark != nil {
				_, err := c.Resolve(*mark)
				wrong.Under(invalid.Join(path, part), err)
			}
		}
		switch {
		case task.Contact == feed.OutOfTheAir && c.AtTable() && task.Kind.Struck():
			wrong.Add(invalid.Join(path, "contact"), "at a table the ball is met after it has bounced")
		case task.Contact == feed.OffTheWall && !c.PlaysWalls():
			wrong.Add(invalid.Join(path, "contact"), "there is no wall here for it to come off")
		case task.Contact != "" && task.Contact != feed.OutOfTheAir && !sports.Of(c.Sport).Bounces() && task.Kind.Flies():
			wrong.Add(invalid.Join(path, "contact"), "a shuttle does not bounce: it is met out of the air")
		}
		if task.Player >= max(starts, 1) {
			wrong.Add(invalid.Join(path, "player"), "there is no start place for player %d", task.Player+1)
		}
	}
	for i, v := range d.Variations {
		if strings.TrimSpace(v.Name) == "" {
			wrong.Add(invalid.Join("variations", i, "name"), "give the version a name")
		}
		if v.Name == coach.AsWritten ||
			slices.ContainsFunc(d.Variations[:i], func(other Variation) bool { return other.Name == v.Name }) {
			wrong.Add(invalid.Join("variations", i, "name"), "this name is taken; give each version one of its own")
		}
	}
	wrong.Under("", d.checkMeasures(c))
	for i, noGo := range d.NoGo {
		wrong.Under(invalid.Join("noGo", i), noGo.check(c, d.Format))
	}
	return wrong.Err()
}

func checkLines(wrong *invalid.Fields, path string, lines []string) {
	for i, line := range lines {
		if len([]rune(line)) > longestLine {
			wrong.Add(invalid.Join(path, i), "at most %d characters, so that it can be read on court", longestLine)
		}
	}
}

// Aimed is the target of a measure on the drill's court; false where there is none or it makes no sense there.
func (d Document) Aimed(m Measure) (court.Shape, bool) {
	c, err := sports.Court(d.Court)
	target := d.TargetOf(m)
	if err != nil || target == nil {
		return court.Shape{}, false
	}
	shape, err := c.Shape(*target, d.Format)
	return shape, err == nil
}

// TargetOf is the target of a measure: its own, and of serves without one the box into which they have to go. None
// where in is enough.
func (d Document) TargetOf(m Measure) *court.Target {
	if m.Target != nil {
		return m.Target
	}
	c, err := sports.Court(d.Court)
	if err != nil || m.Counts.By == ByMovement {
		return nil
	}
	into := court.BoxID("")
	for i, task := range d.Pattern.Tasks {
		if !m.Has(i) {
			continue
		}
		from, err := c.Resolve(task.Landing)
		box, ok := sports.ServedTo(c, from)
		if err != nil || !ok || !task.Served() || into != "" && into != box {
			return nil
		}
		into = box
	}
	if into == "" || d.Pattern.Rally != nil {
		return nil
	}
	return &court.Target{Kind: court.BoxTarget, Box: into}
}

// Place returns the first place of a kind.
func (d Document) Place(kind PlaceKind) (Place, bool) {
	i := slices.IndexFunc(d.Places, func(p Place) bool { return p.Kind == kind })
	if i < 0 {
		return Place{}, false
	}
	return d.Places[i], true
}

// Starts is how many players have a start place.
func (d Document) Starts() (n int) {
	for _, place := range d.Places {
		if place.Kind == Start {
			n++
		}
	}
	return n
}

// For returns the drill for a player's hand: as written for a right-hander, mirrored for a left-hander.
func (d Document) For(hand student.Hand) Document {
	if hand == student.LeftHand {
		return d.Mirrored()
	}
	return d
}

// Mirrored swaps left and right everywhere. Mirrored twice, a drill is the same again.
func (d Document) Mirrored() Document {
	places := make([]Place, len(d.Places))
	for i, place := range d.Places {
		place.Mark, place.Around = place.Mark.Mirrored(), place.Around.mirrored()
		places[i] = place
	}
	d.Places, d.Pattern, d.Measures = places, d.Pattern.Mirrored(), cloneMeasures(d.Measures)
	for i := range d.Measures {
		if target := d.Measures[i].Target; target != nil {
			*target = target.Mirrored()
		}
		criteria := d.Measures[i].Counts.Criteria
		for k := range criteria {
			criteria[k] = criteria[k].mirrored()
		}
	}
	if d.NoGo != nil {
		noGo := make([]NoGo, len(d.NoGo))
		for i, n := range d.NoGo {
			noGo[i] = n.mirrored()
		}
		d.NoGo = noGo
	}
	return d
}

// Copy is a coach's own version of a drill, to be changed.
func (d Document) Copy() Document {
	d.Name = coach.OwnVersion(d.Name)
	return d
}

// String names the drill in errors and logs.
func (d Document) String() string { return fmt.Sprintf("drill %q", d.Name) }
