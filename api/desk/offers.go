package desk

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"hodometer/api/request"
	"hodometer/api/shelf"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/store"
)

// OfferKind is what can be put into a lesson.
type OfferKind string

// The kinds.
const (
	OfferBlock   OfferKind = "block"
	OfferDrill   OfferKind = "drill"
	OfferVersion OfferKind = "version"
	OfferShape   OfferKind = "shape"
	OfferGame    OfferKind = "game"
)

// Offer is something that can be put into a lesson: a block, a drill or a version of one, or a whole shape.
type Offer struct {
	Kind   OfferKind     `json:"kind"`
	Title  string        `json:"title"`
	Detail string        `json:"detail" description:"What it is, in words"`
	Block  *lesson.Block `json:"block" description:"With a fresh identifier; null for a shape"`
}

// offersAsked is what is looked for to be put into a lesson.
type offersAsked struct {
	Text     string `query:"text" maxLength:"100"`
	Students string `query:"students" maxLength:"600" description:"Identifiers of who comes, with commas between them"`
	Swap     string `query:"swap" maxLength:"40" description:"The drill that is swapped: its own versions come first, and only drills are offered"`
}

const (
	mostOffers   = 40
	mostVersions = 3 // drills that were found, and fewer, are offered with all their versions
)

// offers finds what can be put into a lesson: drills of its sport first, and the next steps of its students on top.
func (s *Desk) offers(ctx context.Context, p offersAsked, _ request.None) ([]Offer, error) {
	if err := checkText(p.Text); err != nil {
		return nil, err
	}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	all, err := s.Index(ctx)
	if err != nil {
		return nil, err
	}
	people, err := s.learners(ctx, p.Students)
	if err != nil {
		return nil, err
	}
	known, n := knownOf(people), max(1, len(people))
	list := []Offer{}
	add := func(kind OfferKind, detail string, b lesson.Block) {
		title := b.Title
		if b.Version != "" {
			title += ": " + b.Version
		}
		list = append(list, Offer{Kind: kind, Title: title, Detail: detail, Block: &b})
	}
	played := func(id string, d drill.Document, version string) lesson.Block {
		b := schedule.ForDrill(id, d, n, load.Space{}, settings)
		b.Version = version
		return b
	}
	minutes := func(b lesson.Block) string { return units.Decimal(b.Minutes, 1) + " min" }
	addDrill := func(e catalogue.Entry) {
		b := played(e.ID, e.Document, "")
		detail := ofDrill(e.Document) + "; " + minutes(b)
		if who := servedBy(e.Document, people); who != "" {
			detail = "the next step of " + who + "; " + detail
		}
		add(OfferDrill, detail, b)
	}
	versions := func(e catalogue.Entry, words []string, but string) {
		for _, v := range e.Document.Versions() {
			if v.Name == but || !named(v.Name+" "+e.Document.Name, words) {
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
			b := played(e.ID, d, name)
			add(OfferVersion, fmt.Sprintf("%s, %s; %s", e.Document.Name, v.Name, cmp.Or(string(v.Difficulty), "the drill itself")+", "+minutes(b)), b)
			list[len(list)-1].Title = e.Document.Name + ": " + v.Name
		}
	}
	words := strings.Fields(strings.ToLower(p.Text))
	var next []catalogue.Entry
	if p.Swap != "" {
		if i := slices.IndexFunc(all, func(e catalogue.Entry) bool { return e.ID == p.Swap }); i >= 0 {
			versions(all[i], words, "")
		}
	} else {
		next = nextDrills(all, people, known, words)
		for _, e := range next {
			addDrill(e)
		}
		for _, b := range append(lesson.Starters(known.Sport), lesson.More()...) {
			if named(b.Title+" "+string(b.Kind), words) {
				detail := minutes(b)
				if !strings.EqualFold(string(b.Kind), b.Title) {
					detail = string(b.Kind) + ", " + detail
				}
				add(OfferBlock, detail, b)
			}
		}
	}
	if p.Swap == "" {
		if err := s.offerGames(ctx, words, known.Sport, settings, add); err != nil {
			return nil, err
		}
	}
	order := catalogue.ByWords
	if len(people) > 0 {
		order = catalogue.ByNeed
	}
	found := catalogue.Search(all, catalogue.Query{Text: p.Text}, order, known)
	for i, e := range found {
		if len(list) >= mostOffers {
			break
		}
		if e.ID == p.Swap || slices.ContainsFunc(next, func(n catalogue.Entry) bool { return n.ID == e.ID }) {
			continue
		}
		addDrill(e)
		if len(words) > 0 && len(found) <= mostVersions && i < mostVersions {
			versions(e, nil, coach.AsWritten)
		}
	}
	if p.Swap == "" {
		for _, t := range template.Templates() {
			if n >= t.MinPlayers && n <= t.MaxPlayers && (t.Sport == "" || t.Sport == known.Sport) && named(t.Name+" "+t.For+" shape lesson", words) {
				list = append(list, Offer{Kind: OfferShape, Title: t.Name, Detail: "a shape of lesson: " + t.For})
			}
		}
	}
	ids, err := shelf.Fresh(len(list))
	if err != nil {
		return nil, err
	}
	for i := range list {
		if list[i].Block != nil {
			list[i].Block.ID = ids[i]
		}
	}
	return list, nil
}

// offerGames offers games that are looked for, those of the sport of who comes first; without words only these, a few.
func (s *Desk) offerGames(ctx context.Context, words []string, sport court.Sport, settings coach.Settings, add func(OfferKind, string, lesson.Block)) error {
	const few = 4
	list, err := s.Store.Games.List(ctx, false)
	if err != nil {
		return err
	}
	for _, ready := range library.Games() {
		list = append(list, store.Record[game.Document]{ID: ready.ID, Document: ready.Document})
	}
	slices.SortStableFunc(list, func(a, b store.Record[game.Document]) int {
		first := func(k store.Record[game.Document]) int {
			if k.Document.Sport == sport {
				return 0
			}
			return 1
		}
		return cmp.Compare(first(a), first(b))
	})
	offered := 0
	for _, k := range list {
		d := k.Document
		if len(words) == 0 && (d.Sport != sport || offered >= few) || !named(d.Name+" game "+string(d.Sport), words) || d.Check() != nil {
			continue
		}
		b, err := schedule.ForGame(ctx, k.ID, d, settings)
		if err != nil {
			return err
		}
		offered++
		add(OfferGame, fmt.Sprintf("game, %s; %s; %s min", d.Sport, strings.TrimSuffix(d.Rules.Sentences()[0], "."), units.Decimal(b.Minutes, 0)), b)
		for _, v := range d.Versions {
			if len(words) == 0 {
				break // with their versions only where they are looked for
			}
			played, err := d.Version(v.Name)
			if err != nil {
				continue
			}
			if b, err = schedule.ForGame(ctx, k.ID, played, settings); err != nil {
				return err
			}
			b.Version = v.Name
			add(OfferGame, fmt.Sprintf("game, %s, version; %s min", d.Sport, units.Decimal(b.Minutes, 0)), b)
		}
	}
	return nil
}

// nextDrills are a few drills that are somebody's next step, where nothing was typed yet.
func nextDrills(all []catalogue.Entry, people []learner, known catalogue.Known, words []string) []catalogue.Entry {
	const most = 5
	var next []catalogue.Entry
	if len(words) > 0 {
		return nil
	}
	for _, e := range catalogue.Search(all, catalogue.Query{Sport: known.Sport}, catalogue.ByNeed, known) {
		if len(next) < most && known.Proposable(e) && servedBy(e.Document, people) != "" {
			next = append(next, e)
		}
	}
	return next
}

// ofDrill says what a drill is for.
func ofDrill(d drill.Document) string {
	return fmt.Sprintf("%s, %s; %s", d.Stroke, d.Rung, d.Sport)
}

// named says whether every word is the beginning of a word of a text.
func named(text string, words []string) bool {
	own := strings.FieldsFunc(strings.ToLower(text), func(r rune) bool { return strings.ContainsRune(" ,;:-()", r) })
	return !slices.ContainsFunc(words, func(word string) bool {
		return !slices.ContainsFunc(own, func(o string) bool { return strings.HasPrefix(o, word) })
	})
}

// knownOf is what the order of drills goes by for a group: their sport, their next steps, and the level of most.
func knownOf(people []learner) catalogue.Known {
	known := catalogue.Known{}
	sports := map[court.Sport]int{}
	for _, person := range people {
		known.Needs, known.Level = append(known.Needs, person.needs...), person.level
		known.Rests = append(known.Rests, person.rests...)
		if sports[person.sport]++; known.Sport == "" || sports[person.sport] > sports[known.Sport] {
			known.Sport = person.sport
		}
	}
	return known
}

// servedBy names those whose next step a drill is.
func servedBy(d drill.Document, people []learner) string {
	var names []string
	for _, person := range people {
		if catalogue.Serves(d, person.needs) == catalogue.IsNext {
			names = append(names, person.name)
		}
	}
	return strings.Join(names, ", ")
}
