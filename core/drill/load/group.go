package load

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/drill/rotation"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Space is the courts there are for a lesson. The zero value is one whole court.
type Space struct {
	Courts int  `json:"courts,omitempty" minimum:"0" maximum:"6" description:"0: one"`
	Half   bool `json:"half,omitempty" description:"Only half of one court, lengthwise"`

	Court court.ID `json:"court,omitempty" maxLength:"40" description:"The court that drills of its sport are played on; empty: each on its own"`

	Name string `json:"name,omitempty" maxLength:"40" description:"Which court or courts; two lessons at one time on the same are told"`
}

// Group is who plays a drill: so many people in so many lines (or pairs) side by side.
type Group struct {
	People int
	Lines  int // 0 means one
}

// longest is how many stand in the longest line.
func (g Group) longest() int { return rotation.Line{People: g.People, Lines: g.Lines}.Longest() }

// lengths are the lengths of the lines, as equal as can be.
func (g Group) lengths() []int {
	lines := min(max(1, g.Lines), max(1, g.People))
	list := make([]int, lines)
	for i := range list {
		list[i] = (g.People + lines - 1 - i) / lines
	}
	return list
}

// AtOnce is how many play a turn together.
func AtOnce(d drill.Document) int {
	switch {
	case d.Pattern.Rally == nil:
		return d.Pattern.Roles()
	case d.Pattern.Rally.Pair:
		return 3
	}
	return 2
}

// busy is how many are busy with a turn: who play it, and a partner who feeds.
func busy(d drill.Document) int {
	if byPartner(d) {
		return max(2, AtOnce(d))
	}
	return AtOnce(d)
}

// byPartner says whether players feed one another.
func byPartner(d drill.Document) bool {
	return d.Pattern.Rally != nil || d.Pattern.Method == feed.Partner || d.Pattern.Method == feed.Live
}

// inParts says whether a turn has parts that players take in turn.
func inParts(d drill.Document) bool { return byPartner(d) || AtOnce(d) > 1 }

// Narrow says whether a drill can be played on half a court, lengthwise: its balls, its players and the
// middle of its target stay within a band half as wide as the court for singles.
func Narrow(d drill.Document) bool {
	c, err := sports.Court(d.Court)
	if err != nil {
		return false
	}
	left, right := math.Inf(1), math.Inf(-1)
	take := func(x float64) { left, right = math.Min(left, x), math.Max(right, x) }
	copied := d.Clone()
	for _, m := range copied.Marks() {
		if m.Place != nil && m.Place.Kind != drill.Start && m.Place.Kind != drill.Recovery {
			continue
		}
		if at, err := c.Resolve(*m.Mark); err == nil {
			take(at.X)
		}
	}
	for _, m := range d.Measures {
		if shape, ok := d.Aimed(m); ok && shape.Radius > 0 {
			take(shape.Centre.X)
		}
	}
	if r := d.Pattern.Rally; r != nil && (r.Near.Wide() || r.Far.Wide()) {
		return false
	}
	return right-left <= c.Singles/2+1e-9
}

// side is how many can play a drill side by side.
func side(d drill.Document, space Space) int {
	courts := max(1, space.Courts)
	if space.Half {
		return 1
	}
	if Narrow(d) {
		return 2 * courts
	}
	return courts
}

// Arrange says how so many people play the drill in a space: players who feed one another in pairs (or
// threes) side by side, everybody else in lines, as few as are given.
func Arrange(d drill.Document, people, lines int, space Space) (Group, string) {
	g := Group{People: people, Lines: max(1, lines)}
	if !byPartner(d) {
		g.Lines = min(g.Lines, max(1, people))
		switch parts := AtOnce(d); {
		case parts > 1:
			g.Lines = 1
			return g, queues(people, parts)
		case people == 1:
			return g, "Alone with the coach."
		case d.Pattern.Next == feed.AllAtOnce:
			return g, "All at once."
		case g.Lines == 1:
			return g, fmt.Sprintf("One line of %d.", people)
		}
		return g, fmt.Sprintf("%d lines of %s, each with a feeder of its own.", g.Lines, spread(g.lengths()))
	}
	each := busy(d)
	if people < each {
		return Group{People: people, Lines: 1}, "The coach stands in as the partner."
	}
	g.Lines = max(1, min(people/each, side(d, space)))
	phrase := map[int]string{2: "pair", 3: "three", 4: "four"}[each]
	phrase = units.Count(g.Lines, phrase, phrase+"s") + " side by side"
	if left := people - g.Lines*each; left > 0 {
		phrase += fmt.Sprintf(", %d on deck and in at the next change", left)
	}
	return g, phrase + "."
}

// queues says how people queue for the parts of a turn.
func queues(people, parts int) string {
	switch {
	case people < parts:
		return "The coach takes the part that is left."
	case people == parts:
		return "Each has one part; they change after each turn."
	}
	return fmt.Sprintf("%d queues, one for each part; parts change after each turn.", parts)
}

// spread says the lengths of lines: 4, or 3 and 4.
func spread(lengths []int) string {
	if least := lengths[len(lengths)-1]; least != lengths[0] {
		return fmt.Sprintf("%d and %d", lengths[0], least)
	}
	return fmt.Sprint(lengths[0])
}

// Form is how players who feed one another change roles: after each turn. Nil for a drill in lines.
func Form(d drill.Document) *rotation.Form {
	if !inParts(d) {
		return nil
	}
	f := rotation.Form{Kind: rotation.Roles, Every: math.Max(0.1, d.Pattern.TurnSeconds()/60), Queues: true}
	switch {
	case d.Pattern.Rally != nil && d.Pattern.Rally.Pair:
		f.Kind = rotation.TwoToOne
	case d.Pattern.Rally != nil:
		f.Spots = []rotation.Spot{{Name: "near end"}, {Name: "far end"}}
	case AtOnce(d) > 1:
		if !byPartner(d) {
			f.Courts = 1 // one feeder
		}
		for part := range AtOnce(d) {
			f.Spots = append(f.Spots, rotation.Spot{Name: d.Part(part)})
		}
	default:
		f.Spots = []rotation.Spot{{Name: "plays"}, {Name: "feeds", Feeds: true}}
	}
	return &f
}

// lineOf is the drill as a line drill. Who has a part in a turn, and be it to feed, does not wait.
func lineOf(d drill.Document, g Group) rotation.Line {
	turn := d.Pattern.TurnSeconds() - d.Pattern.Pause
	l := rotation.Line{People: g.People, Lines: g.Lines, Turn: turn, Between: d.Pattern.Every() - turn}
	switch {
	case d.Pattern.Next == feed.AllAtOnce:
		l.People, l.Lines = 1, 1
	case inParts(d):
		working := busy(d)
		l.People, l.Lines = (g.longest()+working-1)/working, 1
	}
	return l
}

// row is how many turns are played one after the other until everybody has had so many, and all how many turns that
// are: of those who take turns in lines each has exactly so many; where players have parts of one turn everybody side
// by side begins the next turn together, until all have had so many at least.
func row(d drill.Document, g Group, turns int) (row, all int) {
	if !inParts(d) {
		return g.inLine(d) * turns, g.People * turns
	}
	playing := g.playing(d)
	row = (g.People*turns + playing - 1) / playing
	return row, row * len(g.lengths())
}

// inLine is how many players take their turns one after the other.
func (g Group) inLine(d drill.Document) int { return d.Pattern.InARow(g.longest(), 1) }

// playing is how many players have a part in a turn at the same time.
func (g Group) playing(d drill.Document) int {
	return max(1, min(g.People, len(g.lengths())*AtOnce(d)))
}

// Split is the fewest lines in which nobody waits longer than the coach finds tolerable.
func Split(d drill.Document, people int, s coach.Settings) int {
	return lineOf(d, Group{People: people}).Split(s.Wait)
}
