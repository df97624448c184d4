package shorthand

import (
	"fmt"
	"reflect"
	"strconv"
	"strings"

	"hodometer/core/game"
	"hodometer/core/sport/court"
)

// said collects the words of a part.
type said struct{ words []string }

func (s *said) add(format string, args ...any) {
	s.words = append(s.words, fmt.Sprintf(format, args...))
}

// when adds words where something is so.
func (s *said) when(is bool, format string, args ...any) {
	if is {
		s.add(format, args...)
	}
}

func (s *said) String() string { return strings.Join(s.words, " ") }

// WriteGame writes the rules of a game on a court as a line. ReadGame gives the same rules back.
func WriteGame(r game.Rules, on court.Court) string {
	var parts said
	near, far := r.On(game.Near), r.On(game.Far)
	parts.add("%dv%d", near, far)
	if usual, err := usualSpots(on, [2]int{near, far}); err != nil || !reflect.DeepEqual(usual, r.Spots) {
		places := said{[]string{"places"}}
		for _, spot := range r.Spots {
			places.add("%s %s", spot.Side, writeMark(spot.Mark))
		}
		parts.add("%s", &places)
	}
	parts.when(r.Score == game.EachTheirOwn, "own scores")
	parts.when(r.Coach, "coach fills")
	parts.when(r.Feed != game.Feed{}, "%s", writeFeed(r.Feed))
	for _, each := range r.Restrictions {
		one := said{[]string{"keep " + wordFor(keepWords, each.Kind)}}
		one.when(each.Who != "", "by %s", wordFor(whoWords, each.Who))
		one.when(each.Shot != 0, "stroke %d", each.Shot)
		one.when(each.Text != "", "%s", strconv.Quote(each.Text))
		parts.add("%s", &one)
	}
	usually := 1
	if m := r.Mini; m != nil {
		usually = 0
		one := said{[]string{"mini"}}
		for _, ball := range m.Balls {
			one.add("%s", strconv.Quote(ball))
		}
		one.add("won %d swept %d", m.Won, m.Swept)
		parts.add("%s", &one)
	}
	parts.when(r.Rally != usually, "rally %d", r.Rally)
	var read gameReader
	for _, a := range r.Awards {
		parts.add("%s", writeAward(a, derived(a.Name, read.awarded)))
		read.rules.Awards = append(read.rules.Awards, a)
	}
	for _, m := range r.Measures {
		parts.add("%s", writeMeasure(m, derived(m.Name, read.measured)))
		read.rules.Measures = append(read.rules.Measures, m)
	}
	if r.After.Restart != "" {
		one := said{[]string{"stand"}}
		one.when(r.After.Every != 0, "every %d", r.After.Every)
		parts.add("%s", &one)
	}
	parts.when(r.After.Net != "", "net %s", r.After.Net)
	if r.Rotation != (game.Rotation{}) {
		one := said{[]string{"rotate " + strconv.Itoa(r.Rotation.Every)}}
		one.when(r.Rotation.How != "", "%s", wordFor(turnWords, r.Rotation.How))
		parts.add("%s", &one)
	}
	parts.when(r.Unscored != 0, "unscored %d", r.Unscored)
	parts.when(r.BelowZero, "below zero")
	parts.words = append(parts.words, writeEnd(r.End)...)
	return strings.Join(parts.words, "; ")
}

func writeFeed(f game.Feed) string {
	one := said{[]string{strings.ReplaceAll(wordFor(feedWords, f.Kind), "-", " ")}}
	one.when(f.First != "", "first %s", f.First)
	one.when(f.Changes != "", "then %s", wordFor(thenWords, f.Changes))
	one.when(f.Every != 0, "every %d", f.Every)
	one.when(f.Second, "second serve")
	one.when(f.Box != "", "from %s", f.Box)
	one.when(f.BoxFor != 0, "changing %d", f.BoxFor)
	one.when(f.Valid != "", "good %s", strconv.Quote(f.Valid))
	return one.String()
}

func writeAward(a game.Award, derived string) string {
	one := said{[]string{"bonus", strconv.Quote(a.Name), strconv.Itoa(a.Points)}}
	one.when(a.Ends != "", "%s", wordFor(endsWords, a.Ends))
	one.when(a.By != "", "by %s", wordFor(whoWords, a.By))
	one.when(a.Shot != 0, "stroke %d", a.Shot)
	one.when(a.NotOnSecond, "first serve")
	one.when(a.NoBonus, "alone")
	if a.Target != nil {
		one.add("%s", writeTarget(*a.Target))
	}
	one.when(a.ID != derived, "id=%s", strconv.Quote(a.ID))
	return one.String()
}

func writeMeasure(m game.Measure, derived string) string {
	one := said{[]string{"count", strokeWord(m.Stroke)}}
	one.when(m.Name != string(m.Stroke), "%s", strconv.Quote(m.Name))
	one.when(m.By != "", "by %s", wordFor(whoWords, m.By))
	one.when(m.Shot != 0, "stroke %d", m.Shot)
	one.when(m.Award != "", "with=%s", strconv.Quote(m.Award))
	one.when(m.ID != derived, "id=%s", strconv.Quote(m.ID))
	return one.String()
}

// writeEnd writes the points, and after what else it is over.
func writeEnd(e game.End) []string {
	var parts said
	if e.Near != 0 || e.Far != 0 || e.WinBy != 0 || e.Cap != 0 {
		one := said{[]string{fmt.Sprintf("to %d:%d", e.Near, e.Far)}}
		if e.Near == e.Far {
			one.words[0] = fmt.Sprintf("to %d", e.Near)
		}
		one.when(e.WinBy == 1, "one ahead")
		one.when(e.WinBy == 2, "two ahead")
		one.when(e.Cap != 0, "cap %d", e.Cap)
		parts.add("%s", &one)
	}
	one := said{[]string{"over"}}
	one.when(e.Rallies != 0, "%d rallies", e.Rallies)
	one.when(e.Rounds != 0, "%d rounds", e.Rounds)
	one.when(e.Minutes != 0, "%s min", number(e.Minutes))
	parts.when(len(one.words) > 1, "%s", &one)
	return parts.words
}
