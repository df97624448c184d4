// Package anticipate is what an opponent is likely to play, where to wait for it, and how wide the angles are.
//
// The opponent is at the far end, in squash anywhere in front of a player; places and axes are those of package court. Left and
// right are the near player's.
package anticipate

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// Pressure is how much time an opponent has for the ball.
type Pressure string

// The pressures.
const (
	AtEase  Pressure = "at ease"
	Hurried Pressure = "hurried"
)

// Situation is who hits from where, how high, under what pressure, and after which stroke.
type Situation struct {
	ID       string      `json:"id" maxLength:"60"`
	Sport    court.Sport `json:"sport"`
	Name     string      `json:"name" description:"In a coach's words"`
	After    string      `json:"after" description:"The stroke that they answer"`
	Pressure Pressure    `json:"pressure"`
	Across   float64     `json:"across" minimum:"-2" maximum:"2" description:"Where they hit from: shares of half the width for singles, to their forehand side; less than nothing is the backhand side"`
	Deep     float64     `json:"deep" minimum:"0" maximum:"5" description:"How far from the net, as a share of half the length; in squash from the front wall, of all of it"`
	High     float64     `json:"high" minimum:"-0.76" maximum:"4" description:"Metres above the court at which they meet it"`
	Waiting  float64     `json:"waiting" minimum:"0" maximum:"3" description:"Where players wait by rote, as deep is measured"`
	Likely   []Likely    `json:"likely" description:"What they may play, the chances adding up to 1"`
}

// Likely is one reply with its chance.
type Likely struct {
	Reply  string  `json:"reply" maxLength:"40" description:"Of the replies of the sport"`
	Chance float64 `json:"chance" minimum:"0" maximum:"1"`
}

// Side is where a reply goes.
type Side string

// The sides. Straight stays on the side of the court on which the opponent is.
const (
	Straight   Side = "straight"
	Cross      Side = "cross"
	Middle     Side = "middle"
	ToForehand Side = "to your forehand"
	ToBackhand Side = "to your backhand"
)

// reply is one thing that an opponent may play.
type reply struct {
	name   string
	side   Side
	deep   float64 // where it lands, as Situation.Deep on the near half
	in     float64 // metres inside the sideline
	stroke feed.Stroke
	pace   feed.Pace
	boast  bool // off the side wall first
}

// Situations are those of a sport, as common practice has them: no source. They are the caller's to change.
func Situations(sport court.Sport) []Situation {
	list := slices.Clone(tables[sport].situations)
	for i := range list {
		list[i].Likely = slices.Clone(list[i].Likely)
		list[i].Sport = sport
	}
	return list
}

// Find is a situation of a sport; false where there is none of that identifier.
func Find(sport court.Sport, id string) (Situation, bool) {
	list := Situations(sport)
	i := slices.IndexFunc(list, func(s Situation) bool { return s.ID == id })
	if i < 0 {
		return Situation{}, false
	}
	return list[i], true
}

// Replies are the names of what can be played in a sport.
func Replies(sport court.Sport) []string {
	var names []string
	for _, r := range tables[sport].replies {
		names = append(names, r.name)
	}
	return names
}

func replyCalled(sport court.Sport, name string) (reply, bool) {
	list := tables[sport].replies
	i := slices.IndexFunc(list, func(r reply) bool { return r.name == name })
	if i < 0 {
		return reply{}, false
	}
	return list[i], true
}

// Check says what is wrong with a situation, by field.
func (s Situation) Check(on court.Court) error {
	var wrong invalid.Fields
	if on.Sport != s.Sport {
		wrong.Add("court", "%s is a court for %s, and this is a situation of %s", on.Name, on.Sport, s.Sport)
		return wrong.Err()
	}
	netted := on.HasNet()
	switch {
	case math.Abs(s.Across) > 1.4 || math.IsNaN(s.Across):
		wrong.Add("across", "the opponent stands too far beside the court")
	case !netted && math.Abs(s.Across) > 1:
		wrong.Add("across", "there is a wall: the opponent stands inside the court")
	}
	switch {
	case math.IsNaN(s.Deep) || s.Deep > 1.6 && on.Above == 0 || s.Deep > 3 || !netted && s.Deep > 1:
		wrong.Add("deep", "the opponent stands too far back")
	case netted && s.Deep < 0:
		wrong.Add("deep", "the opponent stands on your own half: they hit from beyond the net")
	case s.Deep < 0.03:
		wrong.Add("deep", "nobody stands in the net: let the opponent hit from farther back")
	}
	if !(s.High >= 0.05 && s.High <= 3.5) {
		wrong.Add("high", "a ball is met between 0.05 and 3.5 m above the court")
	}
	if !(s.Waiting >= 0) || s.Waiting > 1.6 && on.Above == 0 || s.Waiting > 3 || !netted && s.Waiting > 1 {
		wrong.Add("waiting", "players wait on their own court, or a little behind it")
	}
	chances := make([]float64, len(s.Likely))
	for i, l := range s.Likely {
		path := invalid.Join("likely", i)
		if _, ok := replyCalled(s.Sport, l.Reply); !ok {
			wrong.Add(path+".reply", "there is no reply %q in %s", l.Reply, s.Sport)
		}
		if !(l.Chance >= 0 && l.Chance <= 1) {
			wrong.Add(path+".chance", "a chance is from 0 to 100 of 100")
		}
		if slices.IndexFunc(s.Likely, func(o Likely) bool { return o.Reply == l.Reply }) != i {
			wrong.Add(path+".reply", "%s is in the list twice", l.Reply)
		}
		chances[i] = l.Chance
	}
	switch hundredths, whole := units.Whole(chances...); {
	case len(s.Likely) == 0:
		wrong.Add("likely", "say what the opponent may play")
	case !whole && wrong == nil:
		wrong.Add("likely", "the chances add up to %d of 100; let them add up to 100", hundredths)
	}
	return wrong.Err()
}

// place is where somebody at the far end stands on a court: across to their forehand, and so deep.
func (s Situation) place(c court.Court, hand student.Hand) court.Point {
	side := -1.0 // a right-hander beyond the net has the forehand to the near player's left
	if !c.HasNet() {
		side = 1
	}
	if hand == student.LeftHand {
		side = -side
	}
	p := court.Point{X: side * s.Across * c.Singles / 2, Y: s.Deep * c.Length / 2}
	if !c.HasNet() {
		p.Y = c.Length/2 - s.Deep*c.Length
	}
	return p
}

// From is the situation with the opponent at a place of a court.
func (s Situation) From(c court.Court, at court.Point, hand student.Hand) Situation {
	unit := s
	unit.Across, unit.Deep = 1, 0
	s.Across = at.X / unit.place(c, hand).X
	s.Deep = at.Y / (c.Length / 2)
	if !c.HasNet() {
		s.Deep = (c.Length/2 - at.Y) / c.Length
	}
	return s
}

// Middle is where players wait by rote.
func (s Situation) Middle(c court.Court) court.Point { return court.Point{Y: c.AtDepth(s.Waiting)} }

// lands is where a reply comes down that is played from a place, to a player of a hand.
func (r reply) lands(c court.Court, from court.Point, hand student.Hand) court.Point {
	side := math.Copysign(1, from.X)
	forehand := 1.0
	if hand == student.LeftHand {
		forehand = -1
	}
	wide := c.Singles/2 - r.in
	p := court.Point{Y: c.AtDepth(r.deep)}
	switch r.side {
	case Straight:
		p.X = side * wide
	case Cross:
		p.X = -side * wide
	case ToForehand:
		p.X = forehand * wide
	case ToBackhand:
		p.X = -forehand * wide
	}
	return p
}

// Sharpened are chances drawn together with how often each reply was seen: what is thought before counts as twenty balls.
// Common practice, no source.
func Sharpened(likely []Likely, seen []int) []Likely {
	const before = 20
	total := before
	for _, n := range seen {
		total += n
	}
	list := slices.Clone(likely)
	for i := range list {
		n := 0
		if i < len(seen) {
			n = seen[i]
		}
		list[i].Chance = (before*likely[i].Chance + float64(n)) / float64(total)
	}
	return list
}

// inTen writes a chance as coaches do: 1 in 10.
func inTen(chance float64) string {
	if n := math.Round(10 * chance); n >= 1 {
		return fmt.Sprintf("%g in 10", n)
	}
	return "less than 1 in 20"
}
