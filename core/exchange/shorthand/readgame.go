package shorthand

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
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
