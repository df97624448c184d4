package shorthand

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

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
