package student

import "strings"

// ShortNames returns what to call people on court, where room is short: their first name; where two share it, with the
// first letter of the last one; and the whole name where two share that too. Nobody is called as somebody else is,
// unless they have the same whole name. Names are in the order of the list.
func ShortNames(names []string) []string {
	short := make([]string, len(names))
	for i, name := range names {
		short[i] = name
		for _, call := range []string{first(name), initialled(name)} {
			if alone(names, i, call) {
				short[i] = call
				break
			}
		}
	}
	return short
}

// alone says whether a way to call the i-th person fits nobody else.
func alone(names []string, i int, call string) bool {
	if call == "" {
		return false
	}
	for j, other := range names {
		if j != i && (call == other || call == first(other) || call == initialled(other)) {
			return false
		}
	}
	return true
}

func first(name string) string {
	if words := strings.Fields(name); len(words) > 0 {
		return words[0]
	}
	return ""
}

// initialled is a first name with the first letter of the last one: Ada F.
func initialled(name string) string {
	words := strings.Fields(name)
	if len(words) < 2 {
		return first(name)
	}
	return words[0] + " " + string([]rune(words[len(words)-1])[:1]) + "."
}
