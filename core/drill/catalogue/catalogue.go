// Package catalogue finds drills: by words as they are typed, by what a coach has, and in the order that serves a
// student.
package catalogue

import (
	"cmp"
	"math"
	"slices"
	"strings"
	"unicode"

	"hodometer/core/drill"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Entry is a drill that can be found.
type Entry struct {
	ID       string
	Revision int64 // of the stored record
	BuiltIn  bool
	Archived bool
	Document drill.Document
	Minutes  float64         // that it takes one player, with setting up
	Levels   []student.Level // that it is offered to

	words   []weighed
	strains []student.Strain
}

// weighed is a word that a drill is found by, and how much finding it there says.
type weighed struct {
	text   string
	weight int
}

// How much it says that a word stands in the name, among the tags, or anywhere else. Our own choice.
const (
	inWhole = 100 // all of the name is what was typed
	inName  = 9
	inTags  = 3
	inText  = 1
)

// New prepares a drill that suits some levels to be found.
func New(id string, builtIn, archived bool, d drill.Document, minutes float64, levels []student.Level) Entry {
	e := Entry{
		ID: id, BuiltIn: builtIn, Archived: archived, Document: d, Minutes: minutes, Levels: d.Offered(levels),
		strains: d.Strains(),
	}
	known := map[string]bool{}
	add := func(weight int, texts ...string) {
		for _, text := range texts {
			for _, word := range split(text) {
				if !known[word] {
					known[word] = true
					e.words = append(e.words, weighed{word, weight})
				}
			}
		}
	}
	add(inName, d.Name)
	add(inTags, Tags(d)...)
	add(inText, d.Summary)
	add(inText, d.Cues...)
	for _, v := range d.Variations {
		add(inText, v.Name)
	}
	return e
}

// split are the words of a text in small letters.
func split(text string) []string {
	return strings.FieldsFunc(
		strings.ToLower(text),
		func(r rune) bool { return !unicode.IsLetter(r) && !unicode.IsDigit(r) },
	)
}

// Tags are the words that say what a drill is like.
func Tags(d drill.Document) []string {
	tags := []string{string(d.Sport), string(d.Stroke), string(d.Rung), string(d.Written())}
	add := func(tag string, is bool) {
		if is && tag != "" && !slices.Contains(tags, tag) {
			tags = append(tags, tag)
		}
	}
	if c, err := sports.Court(d.Court); err == nil {
		add(c.Name, true)
	}
	p := d.Pattern
	add("rally", p.Rally != nil)
	add("one ball", p.Rally == nil && p.OneBall())
	add("by "+string(p.Method), p.Rally == nil)
	add("random", p.Order == feed.Shuffled || p.Order == feed.Drawn)
	add("on the clock", p.Ends == feed.ByTheClock)
	add("two players", d.Starts() > 1)
	for _, task := range p.Tasks {
		add(string(task.Stroke), p.Rally == nil)
		add(string(task.Spin), true)
		add(string(task.Kind), task.Kind != "")
	}
	for _, place := range d.Places {
		add(string(place.Kind), place.Kind != drill.Start && place.Kind != drill.Feeder && place.Kind != drill.Recovery)
	}
	for _, line := range d.Carry() {
		add(line, true)
	}
	return tags
}

// Query is what is looked for; the zero value finds every drill that is not archived.
type Query struct {
	Text      string // words, or beginnings of words, that all have to be there
	Sport     court.Sport
	Stroke    sports.Stroke // its ladder, or any of its balls
	Trains    ladder.Quality
	Level     student.Level
	Players   int     // that there are; 0: any number
	Minutes   float64 // that there are; 0: any
	Equipment string  // a word of what is carried; OnlyBalls for nothing else
	Among     []string
	Archived  bool
}

// OnlyBalls is the equipment of drills that need nothing else.
const OnlyBalls = "only balls"

// matches says whether a drill is what is looked for, and how well its words fit.
func (q Query) matches(e Entry, words []string) (score int, ok bool) {
	d := e.Document
	switch {
	case e.Archived && !q.Archived,
		q.Sport != "" && d.Sport != q.Sport,
		q.Trains != "" && d.Rung != q.Trains,
		q.Level != "" && !slices.Contains(e.Levels, q.Level),
		q.Players > 0 && d.Starts() > q.Players,
		q.Minutes > 0 && e.Minutes > q.Minutes,
		q.Among != nil && !slices.Contains(q.Among, e.ID),
		q.Stroke != "" && d.Stroke != q.Stroke && !slices.ContainsFunc(d.Pattern.Tasks,
			func(t feed.Task) bool { return t.Stroke == q.Stroke }):
		return 0, false
	}
	if q.Equipment == OnlyBalls && slices.ContainsFunc(d.Carry(), func(line string) bool { return !ballsOnly(line) }) {
		return 0, false
	}
	if q.Equipment != "" && q.Equipment != OnlyBalls {
		wanted := split(q.Equipment)
		if !slices.ContainsFunc(d.Carry(), func(line string) bool {
			return !slices.ContainsFunc(wanted, func(word string) bool { return !strings.Contains(strings.ToLower(line), word) })
		}) {
			return 0, false
		}
	}
	if strings.EqualFold(strings.TrimSpace(q.Text), d.Name) {
		score += inWhole
	}
	for _, word := range words {
		best := 0
		for _, own := range e.words {
			if !strings.HasPrefix(own.text, word) {
				continue
			}
			weight := 2 * own.weight
			if len(own.text) == len(word) {
				weight++ // the whole word says more than its beginning
			}
			best = max(best, weight)
		}
		if best == 0 {
			return 0, false
		}
		score += best
	}
	return score, true
}

// ballsOnly says whether a piece of equipment is what balls come in.
func ballsOnly(line string) bool {
	for _, word := range split(line) {
		if strings.HasPrefix(word, "ball") && word != "ballmachine" || strings.HasPrefix(word, "shuttle") ||
			strings.HasPrefix(word, "basket") ||
			strings.HasPrefix(word, "tube") ||
			strings.HasPrefix(word, "box") {
			return !strings.Contains(strings.ToLower(line), "machine") && !strings.Contains(strings.ToLower(line), "medicine")
		}
	}
	return false
}

// Need is a rung of a stroke that somebody should work on next.
type Need struct {
	Stroke sports.Stroke
	Rung   ladder.Quality
}

// IsNext is what Serves says of a drill that stands on a next step.
const IsNext = 4

// Serves says how well a drill serves somebody's next steps: IsNext where it stands on one of them, 1 where only the
// stroke is that of one, else 0. Our own choice.
func Serves(d drill.Document, needs []Need) float64 {
	fit := 0.0
	for _, need := range needs {
		if need.Stroke == d.Stroke {
			fit = math.Max(fit, 1)
			if need.Rung == d.Rung {
				return IsNext
			}
		}
	}
	return fit
}

// Suits is Serves less what somebody's level is apart from those that the drill is offered to, and a little less what
// it is apart from the one that the drill is written for. Our own choice.
func Suits(d drill.Document, offered []student.Level, level student.Level, needs []Need) float64 {
	return Serves(d, needs) - 0.7*level.Apart(offered) - 0.1*level.Apart([]student.Level{d.Written()})
}

// Order is in which order drills are listed.
type Order string

// The orders. The zero value is by how well the words fit, else the coach's own before the built-in ones.
const (
	ByWords  Order = ""
	ByName   Order = "by name"
	ByNeed   Order = "fits this student"
	ByUse    Order = "not used lately"
	ByLength Order = "shortest first"
)

// Known is what the orders go by.
type Known struct {
	Level student.Level
	Sport court.Sport       // drills of it come first; empty: of any
	Needs []Need            // of the student, or of all of a lesson
	Rests []student.Strain  // what the student, or anybody of the lesson, is spared
	Used  map[string]string // the day on which a drill was last in a lesson
}

// Spares says whether a drill asks for nothing that somebody is spared.
func Spares(d drill.Document, rests []student.Strain) bool {
	return len(rests) == 0 ||
		!slices.ContainsFunc(d.Strains(), func(s student.Strain) bool { return slices.Contains(rests, s) })
}

// strained is how much a drill asks for that is to be spared.
func (k Known) strained(e Entry) (n int) {
	for _, s := range k.Rests {
		if slices.Contains(e.strains, s) {
			n++
		}
	}
	return n
}

// Proposable says whether a drill may be proposed: it asks for nothing that is to be spared.
func (k Known) Proposable(e Entry) bool { return k.strained(e) == 0 }

func (k Known) suits(e Entry) float64 { return Suits(e.Document, e.Levels, k.Level, k.Needs) }

// Search returns the drills that are looked for, in order. Those that are alike stay in the order in which they came.
func Search(all []Entry, q Query, order Order, known Known) []Entry {
	words := split(q.Text)
	type found struct {
		Entry
		score int
	}
	var list []found
	for _, e := range all {
		if score, ok := q.matches(e, words); ok {
			list = append(list, found{e, score})
		}
	}
	first := func(e Entry) int {
		if known.Sport != "" && e.Document.Sport == known.Sport {
			return 0
		}
		return 1
	}
	slices.SortStableFunc(list, func(a, b found) int {
		by := cmp.Compare(first(a.Entry), first(b.Entry))
		switch order {
		case ByName:
			by = cmp.Or(by, strings.Compare(a.Document.Name, b.Document.Name))
		case ByNeed:
			by = cmp.Or(
				by,
				cmp.Compare(known.strained(a.Entry), known.strained(b.Entry)),
				cmp.Compare(known.suits(b.Entry), known.suits(a.Entry)),
			)
		case ByUse:
			by = cmp.Or(by, strings.Compare(known.Used[a.ID], known.Used[b.ID]))
		case ByLength:
			by = cmp.Or(by, cmp.Compare(a.Minutes, b.Minutes))
		}
		return cmp.Or(by, cmp.Compare(b.score, a.score))
	})
	entries := make([]Entry, len(list))
	for i := range list {
		entries[i] = list[i].Entry
	}
	return entries
}
