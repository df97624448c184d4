package shorthand

import (
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// gameReader reads the rules of a game.
type gameReader struct {
	scanner
	rules  game.Rules
	sides  [2]int // players on each side, where places are not said
	sized  bool
	rally  bool // what a rally is worth was said
	placed bool
}

var sideBySide = regexp.MustCompile(`^(\d{1,2})v(\d{1,2})$`)

// OfGame is a game as a line.
func OfGame(d game.Document) string {
	c, err := sports.Court(d.Court)
	if err != nil {
		return ""
	}
	return WriteGame(d.Rules, c)
}

// AppliedGame is a game with the rules of a line. What was understood of each word is always given. Returns
// invalid.Fields.
func AppliedGame(d game.Document, line string) (game.Document, []Word, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, []Word{}, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	rules, words, err := ReadGame(line, c)
	if err != nil {
		return d, words, err
	}
	d = d.Clone()
	d.Rules = rules
	return d, words, nil
}

// ReadGame reads a line for a court. What was understood of each word is always given; the rules only where all of it
// was, else invalid.Fields under "line".
func ReadGame(line string, on court.Court) (game.Rules, []Word, error) {
	s, err := scan(line, on)
	if err != nil {
		return game.Rules{}, []Word{}, err
	}
	g := gameReader{scanner: s, sides: [2]int{1, 1}}
	if len(g.tokens) == 0 {
		return game.Rules{}, g.words, invalid.Fields{{Path: "line", Message: "say who plays, and to how many: 1v1; to 11"}}
	}
	for g.at < len(g.tokens) {
		g.phrase()
	}
	if err := g.misread(); err != nil {
		return game.Rules{}, g.words, err
	}
	if !g.rally && g.rules.Mini == nil {
		g.rules.Rally = 1
	}
	switch usual, err := usualSpots(on, g.sides); {
	case !g.placed && err != nil:
		return game.Rules{}, g.words, invalid.Fields{{Path: "line", Message: invalid.Sentence(err)}}
	case !g.placed:
		g.rules.Spots = usual
	case g.sized && (g.rules.On(game.Near) != g.sides[0] || g.rules.On(game.Far) != g.sides[1]):
		return game.Rules{}, g.words, invalid.Fields{
			{
				Path: "line",
				Message: fmt.Sprintf(
					"%dv%d is said, and places for %d and %d",
					g.sides[0],
					g.sides[1],
					g.rules.On(game.Near),
					g.rules.On(game.Far),
				),
			},
		}
	}
	return g.rules, g.words, nil
}

// usualSpots are the start places of so many players of whom nothing is said.
func usualSpots(on court.Court, sides [2]int) ([]game.Spot, error) {
	d, err := game.Document{Court: on.ID, Sport: on.Sport}.Sized(sides[0], sides[1])
	return d.Rules.Spots, err
}

// phrase reads what stands between two semicolons: a word that says what it is about, and what belongs to it.
func (g *gameReader) phrase() {
	t := g.tokens[g.at]
	g.at++
	if t.text == ";" {
		return
	}
	if n := sideBySide.FindStringSubmatch(t.text); n != nil {
		g.sides[0], _ = strconv.Atoi(n[1])
		g.sides[1], _ = strconv.Atoi(n[2])
		g.sized = true
		g.understood(t, t, n[1]+" against "+n[2])
		g.attributes(nil)
		g.end()
		return
	}
	word, last := strings.ToLower(t.text), t
	begin, ok := gameParts[word]
	if next, more := g.peek(); more && !ok {
		if begin, ok = gameParts[word+"-"+strings.ToLower(next.text)]; ok {
			word, last = word+"-"+strings.ToLower(next.text), next
			g.at++
		}
	}
	if !ok {
		g.failed(t, "no part of a game begins so; one of "+strings.Join(sortedKeys(gameParts), ", ")+", 1v1")
		for next, more := g.peek(); more && next.text != ";"; next, more = g.peek() {
			g.at++
		}
		g.end()
		return
	}
	g.understood(t, last, begin.means)
	if begin.read != nil {
		begin.read(g, word)
	}
	g.end()
}

// attributes reads the words of a part.
func (g *gameReader) attributes(known map[string]attr) {
	for t, ok := g.peek(); ok && t.text != ";"; t, ok = g.peek() {
		g.at++
		if t.text == "," {
			continue
		}
		key, value := keyOf(t.text)
		last := t
		if next, more := g.peek(); more && !divides(next) {
			if both := key + "-" + strings.ToLower(next.text); known[both].set != nil {
				key, last = both, next
				g.at++
			}
		}
		a, ok := known[key]
		if !ok {
			g.failed(t, "is not known here")
			continue
		}
		if a.takes {
			next, more := g.peek()
			if !more || divides(next) {
				g.failed(t, "something is missing after it")
				continue
			}
			value, last = next.text, next
			g.at++
		}
		means, err := a.set(value)
		if err != nil {
			g.failed(last, err.Error())
			continue
		}
		g.understood(t, last, means)
	}
}

// keyOf is how a word is looked up, and what it says where it stands for itself.
func keyOf(text string) (key, value string) {
	if strings.HasPrefix(text, aText) || strings.HasPrefix(text, aPlace) {
		return text[:1], text
	}
	if _, err := strconv.ParseFloat(text, 64); err == nil {
		return aNumber, text
	}
	if before, after, ok := strings.Cut(text, "="); ok {
		return strings.ToLower(before) + "=", after
	}
	return strings.ToLower(text), text
}

// gamePart is a word that begins a part of a game.
type gamePart struct {
	means string
	read  func(g *gameReader, word string)
}

// is sets what a word alone says.
func is(means string, set func(r *game.Rules)) gamePart {
	return gamePart{means, func(g *gameReader, _ string) {
		set(&g.rules)
		g.attributes(nil)
	}}
}

// gameParts are all parts by their first word.
var gameParts map[string]gamePart

func init() {
	gameParts = map[string]gamePart{
		"own-scores":   is("everybody keeps their own score", func(r *game.Rules) { r.Score = game.EachTheirOwn }),
		"coach-fills":  is("the coach fills a missing place", func(r *game.Rules) { r.Coach = true }),
		"below-zero":   is("points can fall below zero", func(r *game.Rules) { r.BelowZero = true }),
		"places":       {"start places", (*gameReader).places},
		"serve":        {"a rally begins with a serve", (*gameReader).feed},
		"player-feeds": {"a rally begins with a feed by a player", (*gameReader).feed},
		"coach-feeds":  {"the coach feeds", (*gameReader).feed},
		"keep":         {"to be kept to", (*gameReader).restriction},
		"rally":        {"a rally", (*gameReader).worth},
		"mini":         {"a little match", (*gameReader).mini},
		"bonus":        {"a bonus", (*gameReader).award},
		"count":        {"counted beside the score", (*gameReader).measure},
		"stand":        {"the next rally begins from where they stand", (*gameReader).stand},
		"net":          {"holds the net at first", (*gameReader).net},
		"rotate":       {"places are changed", (*gameReader).rotate},
		"unscored":     {"without a score", (*gameReader).unscored},
		"to":           {"points to win", (*gameReader).to},
		"over":         {"over after", (*gameReader).over},
	}
}

func (g *gameReader) places(string) {
	g.placed = true
	spot := func(side game.Side) attr {
		return attr{true, func(value string) (string, error) {
			m, err := readMark(value)
			if err == nil {
				_, err = g.court.Resolve(m)
			}
			if err != nil {
				return "", err
			}
			if len(g.rules.Spots) == 12 {
				return "", fmt.Errorf("at most 12 places")
			}
			g.rules.Spots = append(g.rules.Spots, game.Spot{Side: side, Mark: m})
			return fmt.Sprintf("place %d, %s side, %s", len(g.rules.Spots), side, g.court.Describe(m, court.Tape{})), nil
		}}
	}
	g.attributes(map[string]attr{"near": spot(game.Near), "far": spot(game.Far)})
}

func (g *gameReader) feed(word string) {
	f := &g.rules.Feed
	f.Kind = feedWords[word]
	g.attributes(map[string]attr{
		"first":        picked(map[string]game.Side{"near": game.Near, "far": game.Far}, &f.First, "the %s side begins"),
		"then":         picked(thenWords, &f.Changes, "passes on %s"),
		"every":        whole(true, &f.Every, 50, "after %d"),
		"second-serve": flag(&f.Second, "with a second serve"),
		"from": picked(
			map[string]game.Box{"right": game.RightBox, "left": game.LeftBox},
			&f.Box,
			"from the %s of the middle",
		),
		"changing": whole(true, &f.BoxFor, 50, "from the other side after %d"),
		"good":     quoted(true, &f.Valid, 120, "good when %s"),
	})
}

func (g *gameReader) restriction(string) {
	var one game.Restriction
	known := map[string]attr{
		"by": picked(
			whoWords,
			&one.Who,
			"by %s",
		),
		"stroke": whole(true, &one.Shot, 9, "stroke %d of the rally"),
		aText:    quoted(false, &one.Text, 120, "%s"),
	}
	for word, kind := range keepWords {
		known[word] = attr{set: func(string) (string, error) {
			one.Kind = kind
			return string(kind), nil
		}}
	}
	first := g.tokens[g.at-1]
	g.attributes(known)
	if one.Kind == "" {
		g.failed(first, "say what: "+strings.Join(sortedKeys(keepWords), ", "))
	}
	if g.rules.Restrictions = append(g.rules.Restrictions, one); len(g.rules.Restrictions) > 8 {
		g.failed(first, "at most 8 of them")
	}
}

func (g *gameReader) worth(string) {
	g.rally = true
	g.attributes(map[string]attr{aNumber: whole(false, &g.rules.Rally, 20, "is worth %d")})
}

func (g *gameReader) mini(string) {
	m := game.Mini{Won: 1, Swept: 2}
	g.attributes(map[string]attr{
		aText: {set: func(value string) (string, error) {
			ball := ""
			means, err := quoted(false, &ball, 60, "%s").set(value)
			m.Balls = append(m.Balls, ball)
			return means, err
		}},
		"won": whole(true, &m.Won, 20, "most of them won: %d"), "swept": whole(true, &m.Swept, 20, "all of them: %d"),
	})
	g.rules.Mini = &m
}

func (g *gameReader) award(string) {
	a := game.Award{Points: 1}
	id := ""
	known := map[string]attr{
		aText: quoted(
			false,
			&a.Name,
			60,
			"%s",
		),
		aNumber: between(false, &a.Points, -20, 20, "worth %d"),
		"by":    picked(whoWords, &a.By, "by %s"),
		"stroke": whole(
			true,
			&a.Shot,
			9,
			"with stroke %d of the rally",
		),
		"first-serve": flag(&a.NotOnSecond, "not after a second serve"),
		"alone":       flag(&a.NoBonus, "nothing else counts then"),
		"id=":         {set: keeps(&id)},
		"at": {true, func(word string) (string, error) {
			kind, ok := valueNamed[court.TargetKind](court.TargetKind("").Enum(), word)
			if !ok {
				return "", fmt.Errorf("%s is no target", word)
			}
			a.Target = &court.Target{Kind: kind}
			return "target: " + string(kind), nil
		}},
	}
	for word, ends := range endsWords {
		known[word] = attr{set: func(string) (string, error) {
			a.Ends = ends
			return string(ends), nil
		}}
	}
	for key, set := range targetParts {
		known[key] = attr{set: func(value string) (string, error) {
			if a.Target == nil {
				return "", fmt.Errorf("say first what it is: at circle")
			}
			return set(a.Target, value)
		}}
	}
	first := g.tokens[g.at-1]
	g.attributes(known)
	if a.Name == "" {
		g.failed(first, "say in quotes what it is called: bonus \"cone hit\" 3")
	}
	if a.ID = id; id == "" {
		a.ID = derived(a.Name, g.awarded)
	}
	if g.rules.Awards = append(g.rules.Awards, a); len(g.rules.Awards) > 12 {
		g.failed(first, "at most 12 of them")
	}
}

func (g *gameReader) awarded(id string) bool {
	return slices.ContainsFunc(g.rules.Awards, func(a game.Award) bool { return a.ID == id })
}

func (g *gameReader) measured(id string) bool {
	return slices.ContainsFunc(g.rules.Measures, func(m game.Measure) bool { return m.ID == id })
}

func (g *gameReader) measure(string) {
	var m game.Measure
	id := ""
	known := map[string]attr{
		aText: quoted(
			false,
			&m.Name,
			60,
			"%s",
		),
		"by":     picked(whoWords, &m.By, "by %s"),
		"stroke": whole(true, &m.Shot, 9, "stroke %d of the rally"),
		"id=":    {set: keeps(&id)},
		"with=":  {set: keeps(&m.Award)},
	}
	for _, stroke := range sports.Of(g.court.Sport).Strokes {
		known[strings.ToLower(strokeWord(stroke))] = attr{set: func(string) (string, error) {
			m.Stroke = stroke
			return string(stroke), nil
		}}
	}
	first := g.tokens[g.at-1]
	g.attributes(known)
	if m.Stroke == "" {
		g.failed(first, "say which stroke: count return")
	}
	if m.Name == "" {
		m.Name = string(m.Stroke)
	}
	if m.ID = id; id == "" {
		m.ID = derived(m.Name, g.measured)
	}
	if g.rules.Measures = append(g.rules.Measures, m); len(g.rules.Measures) > 4 {
		g.failed(first, "at most 4 of them")
	}
}

// keeps takes a word as it stands, or in quotes.
func keeps(to *string) func(string) (string, error) {
	return func(value string) (string, error) {
		*to = value
		if strings.HasPrefix(value, aText) {
			return quoted(false, to, 24, "%s").set(value)
		}
		return value, nil
	}
}

func (g *gameReader) stand(string) {
	g.rules.After.Restart = game.WhereTheyStand
	g.attributes(map[string]attr{"every": whole(true, &g.rules.After.Every, 50, "every %d rallies")})
}

func (g *gameReader) net(string) {
	first := g.tokens[g.at-1]
	side := func(side game.Side) attr {
		return attr{set: func(string) (string, error) {
			g.rules.After.Net = side
			return "the " + string(side) + " side", nil
		}}
	}
	g.attributes(map[string]attr{"near": side(game.Near), "far": side(game.Far)})
	if g.rules.After.Net == "" {
		g.failed(first, "say which side: net near")
	}
}

func (g *gameReader) rotate(string) {
	r := &g.rules.Rotation
	known := map[string]attr{aNumber: whole(false, &r.Every, 50, "after %d rallies")}
	for word, how := range turnWords {
		known[word] = attr{set: func(string) (string, error) {
			r.How = how
			return string(how), nil
		}}
	}
	g.attributes(known)
}

func (g *gameReader) unscored(string) {
	g.attributes(map[string]attr{aNumber: whole(false, &g.rules.Unscored, 12, "%d at first")})
}

// to reads 11, or 10:5, and how far ahead.
func (g *gameReader) to(string) {
	e := &g.rules.End
	if t, ok := g.peek(); ok {
		near, far, both := strings.Cut(t.text, ":")
		if both {
			g.at++
			n, err := strconv.Atoi(near)
			m, also := strconv.Atoi(far)
			if err != nil || also != nil || min(n, m) < 0 || max(n, m) > 100 {
				g.failed(t, "two whole numbers from 0 to 100 were expected: 10:5")
			} else {
				e.Near, e.Far = n, m
				g.understood(t, t, fmt.Sprintf("the near side needs %d, the far side %d", n, m))
			}
		}
	}
	g.attributes(map[string]attr{
		aNumber: {set: func(value string) (string, error) {
			means, err := whole(false, &e.Near, 100, "%d").set(value)
			e.Far = e.Near
			return means, err
		}},
		"one-ahead": {set: func(string) (string, error) { e.WinBy = 1; return "one ahead", nil }},
		"two-ahead": {set: func(string) (string, error) { e.WinBy = 2; return "two ahead", nil }},
		"cap":       whole(true, &e.Cap, 120, "at %d one is enough"),
	})
}

// over reads 20 rallies, 6 rounds, 8 min: as many of them as are said.
func (g *gameReader) over(string) {
	e := &g.rules.End
	n := 0.0
	counted := func(to *int, most float64, unit string) attr {
		return attr{set: func(string) (string, error) {
			if n != float64(int(n)) || n > most {
				return "", fmt.Errorf("a whole number of %s, at most %g, was expected", unit, most)
			}
			*to = int(n)
			return unit, nil
		}}
	}
	minutes := attr{set: func(string) (string, error) {
		if n > 90 {
			return "", fmt.Errorf("at most 90 minutes")
		}
		e.Minutes = n
		return "minutes", nil
	}}
	g.attributes(map[string]attr{
		aNumber: {set: func(value string) (string, error) {
			v, err := strconv.ParseFloat(value, 64)
			if err != nil || !(v >= 0 && v <= 1000) {
				return "", fmt.Errorf("a number was expected")
			}
			n = v
			return units.Decimal(v, 2), nil
		}},
		"rallies": counted(&e.Rallies, 200, "rallies"), "rally": counted(&e.Rallies, 200, "rallies"),
		"rounds": counted(&e.Rounds, 24, "rounds"), "round": counted(&e.Rounds, 24, "rounds"),
		"min": minutes, "minutes": minutes,
	})
}
