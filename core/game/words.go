package game

import (
	"fmt"
	"strings"

	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
)

// Sentences are the rules in words, in the order in which a coach would tell them.
func (r Rules) Sentences() []string {
	list := []string{r.sidesInWords()}
	list = append(list, r.feedInWords()...)
	for _, each := range r.Restrictions {
		list = append(list, each.inWords())
	}
	list = append(list, r.pointsInWords()...)
	for _, m := range r.Measures {
		list = append(list, m.inWords())
	}
	list = append(list, r.afterInWords()...)
	list = append(list, r.endInWords())
	if r.bothCanGetThere() {
		list = append(list, say.Of("game.both there").String())
	}
	return list
}

func (r Rules) sidesInWords() string {
	near, far := r.On(Near), r.On(Far)
	sides := fmt.Sprintf("%s against %s", number(near), number(far))
	if far == 0 {
		sides = units.Count(near, "player", "players") + " against the drill"
	}
	if near == 0 {
		sides = units.Count(far, "player", "players") + " against the drill"
	}
	if r.Coach {
		sides += "; the coach fills a place where a player is missing"
	}
	if r.Score == EachTheirOwn {
		sides += "; everybody keeps their own score"
	}
	return units.Title(sides) + "."
}

func (r Rules) feedInWords() []string {
	f := r.Feed
	verb, begins := "serves", "Every rally begins with a serve"
	switch f.Kind {
	case PlayerFeeds:
		verb, begins = "feeds", "Every rally begins with a feed by a player"
	case CoachFeeds:
		verb, begins = "is fed to", "The coach feeds every rally"
	}
	unit := "rally"
	if r.Mini != nil {
		unit = "little match"
	}
	if f.Second {
		begins += "; there is a second serve"
	}
	list := []string{begins + "."}
	switch f.Changes {
	case AfterRallies:
		list = append(list, fmt.Sprintf("After %s the other side %s.", every(f.Every, unit), verb))
	case ToTheWinner:
		list = append(list, fmt.Sprintf("Who won %s next.", verb))
	case ToTheLoser:
		list = append(list, fmt.Sprintf("Who lost %s next.", verb))
	case ByRota:
		list = append(list, fmt.Sprintf("Everybody %s in turn, %s each.", verb, every(max(1, f.Every), unit)))
	}
	if f.Box != "" {
		box := fmt.Sprintf("From the %s of the middle", f.Box)
		if f.BoxFor > 0 {
			box += fmt.Sprintf("; after %s from the other side", every(f.BoxFor, unit))
		}
		list = append(list, box+".")
	}
	if f.Valid != "" {
		list = append(
			list,
			fmt.Sprintf("A feed is good when %s; any other one is fed again.", strings.TrimSuffix(f.Valid, ".")),
		)
	}
	return list
}

func (r Restriction) inWords() string {
	who := string(r.Who)
	if r.Who == "" {
		who = "everybody"
	}
	what := string(r.Kind)
	switch r.Kind {
	case CrossCourtOnly, HalfCourt:
		what = "plays " + what
	case PlayedSo:
		what = "plays " + r.Text
	}
	if r.Text != "" && r.Kind != PlayedSo {
		what += ": " + r.Text
	}
	if r.Shot > 0 {
		what = fmt.Sprintf("%s, with stroke %d of the rally", what, r.Shot)
	}
	return units.Title(who) + " " + what + "; who does not loses the rally."
}

func (r Rules) pointsInWords() []string {
	var list []string
	switch {
	case r.Mini != nil:
		list = append(list, fmt.Sprintf("A little match is %s: %s. Most of them won is %s, all of them %d.",
			score.Rally.Of(len(r.Mini.Balls)), strings.Join(r.Mini.Balls, ", "), worth(r.Mini.Won), r.Mini.Swept))
	default:
		list = append(list, fmt.Sprintf("A rally that is won is %s.", worth(r.Rally)))
	}
	for _, a := range r.Awards {
		name := units.Title(a.Name)
		if a.By != "" {
			name += ", by " + string(a.By) + ","
		}
		var what string
		switch a.Ends {
		case WinsRally:
			what = "wins the rally and is " + worth(a.Points)
		case WinsGame:
			what = "wins the game"
		case LosesIt:
			what = "loses the rally"
			if a.Points != 0 {
				what += " and costs " + worth(-a.Points)
			}
		default:
			what = "is " + worth(a.Points) + " beside the rally"
		}
		if a.NotOnSecond {
			what += ", not after a second serve"
		}
		if a.NoBonus {
			what += "; nothing else counts then"
		}
		list = append(list, name+" "+what+".")
	}
	return list
}

func (r Rules) afterInWords() []string {
	var list []string
	if r.After.Restart != "" {
		which := "Every rally"
		if r.After.Every > 1 {
			which = fmt.Sprintf("Every %s rally", ordinal(r.After.Every))
		}
		list = append(list, which+" begins from where they stand.")
	}
	if r.After.Net != "" {
		list = append(
			list,
			fmt.Sprintf("The %s side begins at the net; who wins a rally takes the net or keeps it.", r.After.Net),
		)
	}
	if r.Rotation.Every > 0 {
		how := "everybody moves one place to the right"
		switch r.Rotation.How {
		case OnToTheLeft:
			how = "everybody moves one place to the left"
		case WinnersStay:
			how = "the winners stay and the losers make room for who waits"
		}
		list = append(list, fmt.Sprintf("After %s %s.", every(r.Rotation.Every, "rally"), how))
	}
	if r.Unscored > 0 {
		unit := "round"
		if r.Rotation.Every == 0 {
			unit = "rally"
		}
		list = append(
			list,
			fmt.Sprintf(
				"The first %s without a score.",
				map[bool]string{true: unit + " is", false: fmt.Sprintf("%d %s are", r.Unscored, many(unit))}[r.Unscored == 1],
			),
		)
	}
	return list
}

// every is so many of a unit, without the number for one.
func every(n int, unit string) string {
	if n <= 1 {
		return "every " + unit
	}
	return fmt.Sprintf("%d %s", n, many(unit))
}

func many(unit string) string {
	switch unit {
	case "rally":
		return "rallies"
	case "little match":
		return "little matches"
	}
	return unit + "s"
}

func worth(points int) string { return score.Point.Of(points) }

// number is a small number in words.
func number(n int) string {
	words := []string{
		"nobody",
		"one",
		"two",
		"three",
		"four",
		"five",
		"six",
		"seven",
		"eight",
		"nine",
		"ten",
		"eleven",
		"twelve",
	}
	if n < len(words) {
		return words[n]
	}
	return fmt.Sprint(n)
}

func ordinal(n int) string {
	words := []string{"", "", "second", "third", "fourth", "fifth", "sixth"}
	if n < len(words) {
		return words[n]
	}
	return fmt.Sprintf("%dth", n)
}

// Next is what happens next in a game, in words; names are those of its players.
func (r Rules) Next(s State, names map[string]string) string {
	if s.Over {
		switch {
		case len(s.Best) > 0:
			return "Over: " + namesOf(s.Best, names) + " with most points."
		case s.Winner == "":
			return "Over: nobody is ahead."
		}
		winners := r.sideOn(s, s.Winner)
		if len(winners) == 0 {
			return "Over: the drill has won."
		}
		return "Over: " + namesOf(winners, names) + " won."
	}
	var text string
	switch {
	case s.Feeder == "":
		text = "The coach feeds"
	case r.Feed.Kind == PlayerFeeds:
		text = called(s.Feeder, names) + " feeds"
	default:
		text = called(s.Feeder, names) + " serves"
	}
	if s.Second {
		text += " a second time"
	}
	if s.Ball != "" {
		text += ": " + s.Ball
	}
	if s.Box != "" {
		text += ", from the " + string(s.Box)
	}
	if s.Net != "" {
		text += fmt.Sprintf("; %s at the net", namesOf(r.sideOn(s, s.Net), names))
	}
	if s.Stand {
		text += "; from where they stand"
	}
	if !s.Scored {
		text += "; it does not count yet"
	}
	return text + "."
}

// sideOn are the players of a side now.
func (r *Rules) sideOn(s State, side Side) []string {
	var list []string
	for i, spot := range r.Spots {
		if spot.Side == side {
			list = append(list, s.Spots[i])
		}
	}
	return list
}

func called(player string, names map[string]string) string {
	if player == Coach {
		return "the coach"
	}
	if name, ok := names[player]; ok {
		return name
	}
	return player
}

// namesOf lists players in a sentence.
func namesOf(players []string, names map[string]string) string {
	list := make([]string, len(players))
	for i, p := range players {
		list[i] = called(p, names)
	}
	return units.And(list)
}
