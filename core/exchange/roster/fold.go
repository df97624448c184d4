package roster

import (
	"strings"
	"unicode"
)

// letters are Latin letters with marks, each beside what it is without them: names are found however they are typed.
var letters = strings.NewReplacer(pairs(
	"a",
	"àáâãäåāăą",
	"ae",
	"æ",
	"c",
	"çćĉċč",
	"d",
	"ďđð",
	"e",
	"èéêëēĕėęě",
	"g",
	"ĝğġģ",
	"h",
	"ĥħ",
	"i",
	"ìíîïĩīĭįı",
	"j",
	"ĵ",
	"k",
	"ķ",
	"l",
	"ĺļľŀł",
	"n",
	"ñńņňŉ",
	"o",
	"òóôõöøōŏő",
	"oe",
	"œ",
	"r",
	"ŕŗř",
	"s",
	"śŝşšș",
	"ss",
	"ß",
	"t",
	"ţťŧț",
	"th",
	"þ",
	"u",
	"ùúûüũūŭůűų",
	"w",
	"ŵ",
	"y",
	"ýÿŷ",
	"z",
	"źżž",
)...)

func pairs(table ...string) []string {
	var list []string
	for i := 0; i < len(table); i += 2 {
		for _, marked := range table[i+1] {
			list = append(list, string(marked), table[i])
		}
	}
	return list
}

// Fold is a text without what people type in different ways: capitals, marks on letters, punctuation, doubled spaces. A
// mark that stands by itself after its letter (Unicode's decomposed form) goes too.
func Fold(text string) string {
	words := strings.FieldsFunc(letters.Replace(strings.ToLower(text)), func(r rune) bool {
		return !unicode.IsLetter(r) && !unicode.IsDigit(r) && !unicode.Is(unicode.Mn, r)
	})
	return strings.Map(func(r rune) rune {
		if unicode.Is(unicode.Mn, r) {
			return -1
		}
		return r
	}, strings.Join(words, " "))
}

// natural turns a name that begins with the last one around: "Fenn, Ada" is Ada Fenn.
func natural(name string) string {
	last, rest, comma := strings.Cut(name, ",")
	if comma && strings.TrimSpace(rest) != "" && !strings.Contains(rest, ",") {
		name = rest + " " + last
	}
	return strings.Join(strings.Fields(name), " ")
}
