// Package offer is what can be put into a lesson: found by words as they are typed, or, without any, what its students
// need next.
package offer

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/core/people/coach"
)

// Kind is what can be put into a lesson.
type Kind string

// The kinds.
const (
	Block   Kind = "block"
	Drill   Kind = "drill"
	Version Kind = "version"
	Shape   Kind = "shape"
	Game    Kind = "game"
)

// Offer is something that can be put into a lesson: a block, a drill or a version of one, or a whole shape.
type Offer struct {
	Kind   Kind          `json:"kind"`
	Title  string        `json:"title"`
	Detail string        `json:"detail" description:"What it is, in words"`
	Block  *lesson.Block `json:"block" description:"With a fresh identifier; null for a shape"`
}

// Asked is what is looked for, and among what.
type Asked struct {
	Text     string
	Swap     string // the drill that is swapped: its own versions come first, and only drills are offered
	Drills   []catalogue.Entry
	Games    []library.StoredGame
	People   []catalogue.Learner
	Settings coach.Settings
}

const (
	most         = 40
	mostVersions = 3 // drills that were found, and fewer, are offered with all their versions
	mostNext     = 5
	fewGames     = 4 // without words
)

// finder gathers offers.
type finder struct {
	Asked
	known catalogue.Known
	words []string
	list  []Offer
}

// Find returns what can be put into a lesson: the next steps of its students, blocks, games and drills of their sport,
// and shapes; without words a few of each. Blocks have no identifiers yet. Its only error is that ctx is over.
func Find(ctx context.Context, asked Asked) ([]Offer, error) {
	f := finder{
		Asked: asked,
		known: catalogue.KnownOf(asked.People),
		words: strings.Fields(strings.ToLower(asked.Text)),
		list:  []Offer{},
	}
	if f.Swap != "" {
		if i := slices.IndexFunc(f.Drills, func(e catalogue.Entry) bool { return e.ID == f.Swap }); i >= 0 {
			f.versions(f.Drills[i], f.words, "")
		}
		f.drills(nil)
		return f.list, nil
	}
	next := f.next()
	for _, e := range next {
		f.drill(e)
	}
	f.blocks()
	if err := f.games(ctx); err != nil {
		return nil, err
	}
	f.drills(next)
	f.shapes()
	return f.list, nil
}

func (f *finder) add(kind Kind, title, detail string, b lesson.Block) {
	f.list = append(f.list, Offer{Kind: kind, Title: title, Detail: detail, Block: &b})
}

// players is for how many a block is offered.
func (f *finder) players() int { return max(1, len(f.People)) }

func (f *finder) played(id string, d drill.Document, version string) lesson.Block {
	b := schedule.ForDrill(id, d, f.players(), load.Space{}, f.Settings)
	b.Version = version
	return b
}

func minutes(b lesson.Block) string { return units.Decimal(b.Minutes, 1) + " min" }

// next are a few drills that are somebody's next step, where nothing was typed yet.
func (f *finder) next() []catalogue.Entry {
	if len(f.words) > 0 {
		return nil
	}
	var next []catalogue.Entry
	for _, e := range catalogue.Search(f.Drills, catalogue.Query{Sport: f.known.Sport}, catalogue.ByNeed, f.known) {
		if len(next) < mostNext && f.known.Proposable(e) && catalogue.ServedBy(e.Document, f.People) != "" {
			next = append(next, e)
		}
	}
	return next
}

func (f *finder) drill(e catalogue.Entry) {
	b := f.played(e.ID, e.Document, "")
	detail := fmt.Sprintf("%s, %s; %s; %s", e.Document.Stroke, e.Document.Rung, e.Document.Sport, minutes(b))
	if who := catalogue.ServedBy(e.Document, f.People); who != "" {
		detail = "the next step of " + who + "; " + detail
	}
	f.add(Drill, b.Title, detail, b)
}

// versions offers the versions of a drill that are called by words, but one.
func (f *finder) versions(e catalogue.Entry, words []string, but string) {
	for _, v := range e.Document.Versions() {
		if v.Name == but || !mentionsAll(v.Name+" "+e.Document.Name, words) {
			continue
		}
		d, err := e.Document.Version(v.Name)
		if err != nil {
			continue
		}
		name := v.Name
		if name == coach.AsWritten {
			name = ""
		}
		b := f.played(e.ID, d, name)
		f.add(
			Version,
			e.Document.Name+": "+v.Name,
			fmt.Sprintf("%s, %s; %s, %s", e.Document.Name, v.Name, cmp.Or(string(v.Difficulty), "the drill itself"), minutes(b)),
			b,
		)
	}
}

func (f *finder) blocks() {
	for _, b := range append(lesson.Starters(f.known.Sport), lesson.More()...) {
		if !mentionsAll(b.Title+" "+string(b.Kind), f.words) {
			continue
		}
		detail := minutes(b)
		if !strings.EqualFold(string(b.Kind), b.Title) {
			detail = string(b.Kind) + ", " + detail
		}
		f.add(Block, b.Title, detail, b)
	}
}

// games offers games that are looked for, those of the sport of who comes first; without words only these, a few, and
// without their versions.
func (f *finder) games(ctx context.Context) error {
	list := slices.Clone(f.Games)
	slices.SortStableFunc(list, func(a, b library.StoredGame) int {
		first := func(g library.StoredGame) int {
			if g.Document.Sport == f.known.Sport {
				return 0
			}
			return 1
		}
		return cmp.Compare(first(a), first(b))
	})
	offered := 0
	for _, g := range list {
		d := g.Document
		if len(f.words) == 0 && (d.Sport != f.known.Sport || offered >= fewGames) ||
			!mentionsAll(d.Name+" game "+string(d.Sport), f.words) ||
			d.Check() != nil {
			continue
		}
		b, err := schedule.ForGame(ctx, g.ID, d, f.Settings)
		if err != nil {
			return err
		}
		offered++
		f.add(
			Game,
			b.Title,
			fmt.Sprintf(
				"game, %s; %s; %s min",
				d.Sport,
				strings.TrimSuffix(d.Rules.Sentences()[0], "."),
				units.Decimal(b.Minutes, 0),
			),
			b,
		)
		if len(f.words) == 0 {
			continue
		}
		for _, v := range d.Versions {
			played, err := d.Version(v.Name)
			if err != nil {
				continue
			}
			if b, err = schedule.ForGame(ctx, g.ID, played, f.Settings); err != nil {
				return err
			}
			b.Version = v.Name
			f.add(Game, b.Title+": "+v.Name, fmt.Sprintf("game, %s, version; %s min", d.Sport, units.Decimal(b.Minutes, 0)), b)
		}
	}
	return nil
}

// drills offers what was found, but what stands in the list already.
func (f *finder) drills(there []catalogue.Entry) {
	order := catalogue.ByWords
	if len(f.People) > 0 {
		order = catalogue.ByNeed
	}
	found := catalogue.Search(f.Drills, catalogue.Query{Text: f.Text}, order, f.known)
	for i, e := range found {
		if len(f.list) >= most {
			break
		}
		if e.ID == f.Swap || slices.ContainsFunc(there, func(n catalogue.Entry) bool { return n.ID == e.ID }) {
			continue
		}
		f.drill(e)
		if len(f.words) > 0 && len(found) <= mostVersions && i < mostVersions {
			f.versions(e, nil, coach.AsWritten)
		}
	}
}

func (f *finder) shapes() {
	n := f.players()
	for _, t := range template.Templates() {
		if n >= t.MinPlayers && n <= t.MaxPlayers && (t.Sport == "" || t.Sport == f.known.Sport) &&
			mentionsAll(t.Name+" "+t.For+" shape lesson", f.words) {
			f.list = append(f.list, Offer{Kind: Shape, Title: t.Name, Detail: "a shape of lesson: " + t.For})
		}
	}
}

// mentionsAll says whether every word is the beginning of a word of a text.
func mentionsAll(text string, words []string) bool {
	own := strings.FieldsFunc(strings.ToLower(text), func(r rune) bool { return strings.ContainsRune(" ,;:-()", r) })
	return !slices.ContainsFunc(words, func(word string) bool {
		return !slices.ContainsFunc(own, func(o string) bool { return strings.HasPrefix(o, word) })
	})
}
