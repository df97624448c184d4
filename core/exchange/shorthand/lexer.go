package shorthand

import "strings"

// token is a piece of a line: a word, or one of , ; { }. Places are in characters from 0.
type token struct {
	text     string
	from, to int
}

// lex cuts a line up: what stands in [brackets] or "quotes" is part of one word.
func lex(line string) []token {
	var list []token
	runes := []rune(line)
	var word strings.Builder
	begin, depth, quoted, escaped := 0, 0, false, false
	end := func(at int) {
		if word.Len() > 0 {
			list = append(list, token{word.String(), begin, at})
			word.Reset()
		}
	}
	for i, r := range runes {
		inside := depth > 0 || quoted
		switch {
		case escaped:
			escaped = false
		case quoted && r == '\\':
			escaped = true
		case r == '"' && depth == 0:
			quoted = !quoted
		case quoted:
		case r == '[':
			depth++
		case r == ']' && depth > 0:
			depth--
		case !inside && (r == ' ' || r == '\t' || r == '\n'):
			end(i)
			continue
		case !inside && strings.ContainsRune(",;{}", r):
			end(i)
			list = append(list, token{string(r), i, i + 1})
			continue
		}
		if word.Len() == 0 {
			begin = i
		}
		word.WriteRune(r)
	}
	end(len(runes))
	return list
}
