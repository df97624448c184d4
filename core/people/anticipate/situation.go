// Package anticipate is what an opponent is likely to play, where to wait for it, and how wide the angles are.
//
// The opponent is at the far end, in squash anywhere in front of a player; places and axes are those of package court.
// Left and right are the near player's.
package anticipate

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Situations are those of a sport, as common practice has them: no source. They are the caller's to change.
func Situations(sport court.Sport) []sports.Situation {
	list := slices.Clone(sports.Of(sport).Situations)
	for i := range list {
		list[i].Likely = slices.Clone(list[i].Likely)
	}
	return list
}

// Find is a situation of a sport; false where there is none of that identifier.
func Find(sport court.Sport, id string) (sports.Situation, bool) {
	list := Situations(sport)
	i := slices.IndexFunc(list, func(s sports.Situation) bool { return s.ID == id })
	if i < 0 {
		return sports.Situation{}, false
	}
	return list[i], true
}

// Replies are the names of what can be played in a sport.
func Replies(sport court.Sport) []string {
	var names []string
	for _, r := range sports.Of(sport).Replies {
		names = append(names, r.Name)
	}
	return names
}

func replyCalled(sport court.Sport, name string) (sports.Reply, bool) {
	list := sports.Of(sport).Replies
	i := slices.IndexFunc(list, func(r sports.Reply) bool { return r.Name == name })
	if i < 0 {
		return sports.Reply{}, false
	}
	return list[i], true
}

// Check says what is wrong with a situation, by field.
func Check(s sports.Situation, on court.Court) error {
	var wrong invalid.Fields
	if on.Sport != s.Sport {
		wrong.Add("court", "%s is a court for %s, and this is a situation of %s", on.Name, on.Sport, s.Sport)
		return wrong.Err()
	}
	netted, walled := on.HasNet(), on.PlaysWalls()
	switch {
	case math.Abs(s.Across) > 1.4 || math.IsNaN(s.Across):
		wrong.Add("across", "the opponent stands too far beside the court")
	case walled && math.Abs(s.Across) > 1:
		wrong.Add("across", "there is a wall: the opponent stands inside the court")
	}
	switch {
	case math.IsNaN(s.Deep) || s.Deep > 1.6 && !on.AtTable() || s.Deep > 3 || walled && s.Deep > 1:
		wrong.Add("deep", "the opponent stands too far back")
	case netted && s.Deep < 0:
		wrong.Add("deep", "the opponent stands on your own half: they hit from beyond the net")
	case s.Deep < 0.03:
		wrong.Add("deep", "nobody stands in the net: let the opponent hit from farther back")
	}
	if !(s.High >= 0.05 && s.High <= 3.5) {
		wrong.Add("high", "a ball is met between 0.05 and 3.5 m above the court")
	}
	if !(s.Waiting >= 0) || s.Waiting > 1.6 && !on.AtTable() || s.Waiting > 3 || walled && s.Waiting > 1 {
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
		if slices.IndexFunc(s.Likely, func(o sports.Likely) bool { return o.Reply == l.Reply }) != i {
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

// place is where the opponent of a situation stands on a court: across to their forehand, and so deep.
func place(s sports.Situation, c court.Court, hand student.Hand) court.Point {
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

// From is a situation with the opponent at a place of a court.
func From(s sports.Situation, c court.Court, at court.Point, hand student.Hand) sports.Situation {
	unit := s
	unit.Across, unit.Deep = 1, 0
	s.Across = at.X / place(unit, c, hand).X
	s.Deep = at.Y / (c.Length / 2)
	if !c.HasNet() {
		s.Deep = (c.Length/2 - at.Y) / c.Length
	}
	return s
}

// Middle is where players wait by rote.
func Middle(s sports.Situation, c court.Court) court.Point {
	return court.Point{Y: c.AtDepth(s.Waiting)}
}

// lands is where a reply comes down that is played from a place, to a player of a hand.
func lands(r sports.Reply, c court.Court, from court.Point, hand student.Hand) court.Point {
	side := math.Copysign(1, from.X)
	forehand := 1.0
	if hand == student.LeftHand {
		forehand = -1
	}
	wide := c.Singles/2 - r.In
	p := court.Point{Y: c.AtDepth(r.Deep)}
	switch r.Side {
	case sports.Straight:
		p.X = side * wide
	case sports.Cross:
		p.X = -side * wide
	case sports.ToForehand:
		p.X = forehand * wide
	case sports.ToBackhand:
		p.X = -forehand * wide
	}
	return p
}

// Sharpened are chances drawn together with how often each reply was seen: what is thought before counts as twenty
// balls. Common practice, no source.
func Sharpened(likely []sports.Likely, seen []int) []sports.Likely {
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
