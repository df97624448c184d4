package shorthand

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"unicode"

	"hodometer/core/game"
)

// Words for what is written of a game otherwise than by its name.
var (
	feedWords = map[string]game.FeedKind{"serve": "", "player-feeds": game.PlayerFeeds, "coach-feeds": game.CoachFeeds}
	thenWords = map[string]game.Changes{
		"other":  game.AfterRallies,
		"winner": game.ToTheWinner,
		"loser":  game.ToTheLoser,
		"next":   game.ByRota,
	}
	whoWords = map[string]game.Whose{
		"feeding":   game.TheFeeding,
		"receiving": game.TheReceiving,
		"net-side":  game.TheHolding,
		"near":      game.TheNear,
		"far":       game.TheFar,
	}
	endsWords = map[string]game.Ends{"wins": game.WinsRally, "loses": game.LosesIt, "wins-game": game.WinsGame}
	turnWords = map[string]game.Turning{"left": game.OnToTheLeft, "winners-stay": game.WinnersStay}
	keepWords = map[string]game.RestrictionKind{
		"cross-court":    game.CrossCourtOnly,
		"half":           game.HalfCourt,
		"come-in":        game.MustComeIn,
		"no-step-back":   game.NoStepBack,
		"bounce":         game.LetItBounce,
		"wait-for-short": game.NotBeforeShort,
		"not-on-feed":    game.NotOnTheFeed,
		"played":         game.PlayedSo,
	}
)

// attr is a word within a part of a game, and what it sets.
type attr struct {
	takes bool                               // the word after it
	set   func(value string) (string, error) // what it means then
}

// Keys of words that stand for themselves.
const (
	aNumber = "#"
	aText   = `"`
	aPlace  = "["
)

func flag(is *bool, means string) attr {
	return attr{set: func(string) (string, error) {
		*is = true
		return means, nil
	}}
}

// whole takes a whole number after a word, or is one where the word is a number.
func whole(takes bool, n *int, most int, means string) attr { return between(takes, n, 0, most, means) }

func between(takes bool, n *int, least, most int, means string) attr {
	return attr{takes, func(value string) (string, error) {
		v, err := strconv.Atoi(value)
		if err != nil || v < least || v > most {
			return "", fmt.Errorf("a whole number from %d to %d was expected, not %s", least, most, value)
		}
		*n = v
		return fmt.Sprintf(means, v), nil
	}}
}

// picked takes a word that stands for a value.
func picked[T ~string](table map[string]T, to *T, means string) attr {
	return attr{true, func(word string) (string, error) {
		value, ok := table[strings.ToLower(word)]
		if !ok {
			return "", fmt.Errorf("%s is not known here: %s", word, strings.Join(sortedKeys(table), ", "))
		}
		*to = value
		return fmt.Sprintf(means, value), nil
	}}
}

// quoted takes so many letters in quotes at most.
func quoted(takes bool, to *string, most int, means string) attr {
	return attr{takes, func(value string) (string, error) {
		text, err := strconv.Unquote(value)
		if err != nil {
			return "", fmt.Errorf("words of your own stand in quotes: \"cone hit\"")
		}
		if len([]rune(text)) > most {
			return "", fmt.Errorf("at most %d letters", most)
		}
		*to = text
		return fmt.Sprintf(means, text), nil
	}}
}

func sortedKeys[T any](table map[string]T) []string {
	keys := make([]string, 0, len(table))
	for key := range table {
		keys = append(keys, key)
	}
	slices.Sort(keys)
	return keys
}

// derived is the identifier that a name has in a line that says none: its letters, with a number where that is taken.
func derived(name string, taken func(id string) bool) string {
	const longestID = 20
	var id []rune
	for _, r := range strings.ToLower(name) {
		switch {
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			id = append(id, r)
		case len(id) > 0 && id[len(id)-1] != '-':
			id = append(id, '-')
		}
	}
	id = id[:min(len(id), longestID)]
	base := strings.Trim(string(id), "-")
	if base == "" {
		base = "it"
	}
	own := base
	for n := 2; taken(own); n++ {
		own = fmt.Sprintf("%s%d", base, n)
	}
	return own
}
