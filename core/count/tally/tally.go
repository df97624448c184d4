// Package tally counts balls as a coach calls them: one by one, or "4 of 5" after the turn.
package tally

import (
	"math"
	"slices"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
)

// Kind is what a coach tapped.
type Kind string

// Made and Missed are one ball, or a point; Turn is a whole turn at once; Rally is one rally with its strokes; Timed is
// one try on the clock; Again is a ball that is played again after a bad feed or a let, and counts for nobody; TimeUp
// is the end of the time that a goal has; Fault is a fault that was seen, which is no ball; Undo takes back the last
// tap that still stands.
const (
	Made   Kind = "made"
	Missed Kind = "missed"
	Turn   Kind = "turn"
	Rally  Kind = "rally"
	Timed  Kind = "time"
	Again  Kind = "played again"
	TimeUp Kind = "time is up"
	Fault  Kind = "fault"
	Undo   Kind = "undo"
)

// Choice is whether it was the right idea, marked apart from how it was carried out.
type Choice string

// The marks for a choice.
const (
	RightChoice Choice = "right"
	WrongChoice Choice = "wrong"
)

// Miss is the kind of a miss.
type Miss string

// The kinds of a miss.
const (
	IntoNet Miss = "net"
	Long    Miss = "long"
	Wide    Miss = "wide"
)

// Entry is one tap, numbered by the device that took it, so that it is counted once however often it
// is sent.
type Entry struct {
	Seq  int       `json:"seq" minimum:"0" maximum:"100000" description:"Number of the tap on its device, from 0"`
	Kind Kind      `json:"kind"`
	Made int       `json:"made,omitempty" minimum:"0" maximum:"500" description:"Of a turn: balls made"`
	Of   int       `json:"of,omitempty" minimum:"0" maximum:"500" description:"Of a turn: balls played"`
	At   time.Time `json:"at"`

	Strokes int  `json:"strokes,omitempty" minimum:"0" maximum:"500" description:"Of a rally: strokes that were made"`
	Stopped bool `json:"stopped,omitempty" description:"Of a rally: stopped because it got too long, so that nobody missed"`

	Seconds float64 `json:"seconds,omitempty" minimum:"0" maximum:"3600" description:"Of a time: how long the try took"`

	Fault string `json:"fault,omitempty" maxLength:"60" description:"Which fault was seen"`

	Choice  Choice       `json:"choice,omitempty" description:"Of one ball: right or wrong choice; empty: that it was not marked"`
	Miss    Miss         `json:"miss,omitempty" description:"Of a missed ball: its kind; empty: that it was not marked"`
	Landing *court.Point `json:"landing,omitempty" description:"Of one ball: where it landed, metres on the court"`
	Zone    *court.Zone  `json:"zone,omitempty" description:"Of one ball: in which zone it landed, where the place was not noted"`
}

// longestTry is how many seconds a try on the clock takes at most.
const longestTry = 3600

// The years in which anything can be counted.
const (
	firstYear = 2000
	lastYear  = 2099
)

// Check says whether an entry makes sense.
func (e Entry) Check() error {
	var wrong invalid.Fields
	if e.Seq < 0 {
		wrong.Add("seq", "the number of a tap starts at 0")
	}
	if year := e.At.UTC().Year(); year < firstYear || year > lastYear {
		wrong.Add("at", "between the years %d and %d", firstYear, lastYear)
	}
	if e.Kind == Turn {
		if e.Of < 1 {
			wrong.Add("of", "a turn has at least one ball")
		}
		if e.Made < 0 || e.Made > e.Of {
			wrong.Add("made", "of %d balls between 0 and %d can be made", e.Of, e.Of)
		}
	}
	if e.Kind != Rally && (e.Strokes != 0 || e.Stopped) {
		wrong.Add("strokes", "only a rally has strokes")
	}
	if (e.Kind == Timed) != (e.Seconds > 0) || !(e.Seconds >= 0) || e.Seconds > longestTry {
		wrong.Add("seconds", "a try on the clock takes more than nothing and at most an hour")
	}
	if (e.Kind == Fault) != (e.Fault != "") {
		wrong.Add("fault", "say which fault was seen")
	}
	if e.Strokes < 0 {
		wrong.Add("strokes", "a rally cannot have fewer strokes than none")
	}
	single := e.Kind == Made || e.Kind == Missed
	if e.Choice != "" && !single {
		wrong.Add("choice", "only a single ball is a right or a wrong choice")
	}
	if e.Miss != "" && e.Kind != Missed {
		wrong.Add("miss", "only a missed ball is net, long or wide")
	}
	if p := e.Landing; p != nil {
		const far = 60.0 // metres, well off any court
		if !single {
			wrong.Add("landing", "only a single ball lands somewhere")
		} else if !(math.Abs(p.X) <= far && math.Abs(p.Y) <= far) {
			wrong.Add("landing", "that is not on or near the court")
		}
	}
	if e.Zone != nil {
		switch {
		case !single:
			wrong.Add("zone", "only a single ball lands somewhere")
		case e.Landing != nil:
			wrong.Add("zone", "a ball is noted by its place or by its zone, not by both")
		case !e.Zone.Proper():
			wrong.Add("zone", "a zone has a left before its right and a bottom below its top, on or near the court")
		}
	}
	return wrong.Err()
}

// ForTheOther is the same tap as the other side has it: what one made the other missed.
func (e Entry) ForTheOther() Entry {
	switch e.Kind {
	case Made:
		e.Kind = Missed
	case Missed:
		e.Kind = Made
	case Turn:
		e.Made = e.Of - e.Made
	}
	e.Choice, e.Miss, e.Landing, e.Zone, e.Fault = "", "", nil, nil, ""
	return e
}

// Count is what stands after all taps.
type Count struct {
	Made    int     `json:"made"`
	Balls   int     `json:"balls"`
	Streak  int     `json:"streak" description:"Made in a row up to now"`
	Best    int     `json:"best" description:"Most made in a row"`
	AtLeast bool    `json:"atLeast" description:"A turn was counted without its order, so the best streak may be longer"`
	Right   int     `json:"right" description:"Right choices, of those that were marked"`
	Wrong   int     `json:"wrong"`
	Rallies int     `json:"rallies" description:"Rallies whose strokes were counted"`
	Longest int     `json:"longest" description:"Strokes of the longest of them"`
	Tries   int     `json:"tries" description:"Tries on the clock"`
	Fastest float64 `json:"fastest" description:"Seconds of the best of them; 0 where there is none"`
	Net     int     `json:"net" description:"Misses that were marked so"`
	Long    int     `json:"long"`
	Wide    int     `json:"wide"`
	Taps    int     `json:"taps" description:"Counts that stand, for undo"`
}

// Of is how many misses were marked as of a kind; of no kind in particular all of them.
func (c Count) Of(kind Miss) int {
	switch kind {
	case IntoNet:
		return c.Net
	case Long:
		return c.Long
	case Wide:
		return c.Wide
	}
	return c.Missed()
}

// Missed is the number of balls missed.
func (c Count) Missed() int { return c.Balls - c.Made }

// Effective returns the entries in order without those taken back.
func Effective(entries []Entry) []Entry {
	sorted := slices.Clone(entries)
	slices.SortFunc(sorted, func(a, b Entry) int { return a.Seq - b.Seq })
	standing := sorted[:0]
	for _, entry := range sorted {
		switch {
		case entry.Kind != Undo:
			standing = append(standing, entry)
		case len(standing) > 0:
			standing = standing[:len(standing)-1]
		}
	}
	return standing
}

// Landings are the places where balls landed that were not taken back, in order.
func Landings(entries []Entry) []court.Point {
	var places []court.Point
	for _, entry := range Effective(entries) {
		if entry.Landing != nil {
			places = append(places, *entry.Landing)
		}
	}
	return places
}

// Fold counts the entries of one player on one drill.
//
// A turn counted as a whole hides its order. All made, it lengthens the streak. With m made and k
// missed, some run of at least ceil(m/(k+1)) is certain, and the streak starts again at nothing: no
// player is given a streak that nobody saw.
//
// Each list is what one device took, with its own numbers and its own undo; they are put together by
// their times.
func Fold(devices ...[]Entry) Count { return CountOf(InOrder(devices...)) }

// CountOf counts standing entries in their order; see Fold.
func CountOf(entries []Entry) Count {
	var c Count
	for _, entry := range entries {
		if entry.Kind == Fault {
			continue // it is no count
		}
		made, missed := entry.balls()
		c.Taps++
		if entry.Kind == Rally {
			c.Rallies++
			c.Longest = max(c.Longest, entry.Strokes)
		}
		if entry.Kind == Timed {
			if c.Tries++; c.Fastest == 0 || entry.Seconds < c.Fastest {
				c.Fastest = entry.Seconds
			}
			continue // a time is no ball
		}
		c.Made += made
		c.Balls += made + missed
		switch entry.Miss {
		case IntoNet:
			c.Net++
		case Long:
			c.Long++
		case Wide:
			c.Wide++
		}
		switch entry.Choice {
		case RightChoice:
			c.Right++
		case WrongChoice:
			c.Wrong++
		}
		if missed == 0 || entry.Kind == Rally {
			c.Streak += made
			c.Best = max(c.Best, c.Streak)
		}
		if missed == 0 {
			continue
		}
		if entry.Kind == Turn && made > 0 {
			c.AtLeast = true
			c.Best = max(c.Best, (made+missed)/(missed+1))
		}
		c.Streak = 0
	}
	return c
}

// InOrder puts the standing entries of several devices in the order in which they were taken; what was taken at one
// instant in the order of the devices and their numbers.
func InOrder(devices ...[]Entry) []Entry {
	if len(devices) == 1 {
		return Effective(devices[0])
	}
	var all []Entry
	for _, entries := range devices {
		all = append(all, Effective(entries)...)
	}
	slices.SortStableFunc(all, func(a, b Entry) int { return a.At.Compare(b.At) })
	return all
}

func (e Entry) balls() (made, missed int) {
	switch e.Kind {
	case Made:
		return 1, 0
	case Missed:
		return 0, 1
	case Turn:
		return e.Made, e.Of - e.Made
	case Rally:
		if e.Stopped {
			return e.Strokes, 0
		}
		return e.Strokes, 1
	}
	return 0, 0
}
