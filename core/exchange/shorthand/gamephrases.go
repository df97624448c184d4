package shorthand

import (
	"fmt"
	"strconv"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/game"
	"hodometer/core/sport/court"
)

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
