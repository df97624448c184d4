package picture

import (
	"strings"
	"sync"
	"unicode"

	"golang.org/x/image/font/sfnt"
)

// unknown stands for a character that the shipped fonts do not have, so that it is seen that one was there.
const unknown = '?'

// glyphs are the fonts that are shipped, opened once.
var glyphs = sync.OnceValue(func() []*sfnt.Font {
	var fonts []*sfnt.Font
	for _, file := range [][]byte{Regular(), SemiBold(), Condensed()} {
		// The fonts are embedded; a test prints with each of them.
		if font, err := sfnt.Parse(file); err == nil {
			fonts = append(fonts, font)
		}
	}
	return fonts
})

// known says whether every shipped font can draw a character. The library that writes the PDF fails on
// characters beyond the first plane, whatever is in a font.
func known(r rune) bool {
	if r > 0xFFFF {
		return false
	}
	var buffer sfnt.Buffer
	for _, font := range glyphs() {
		if index, err := font.GlyphIndex(&buffer, r); err != nil || index == 0 {
			return false
		}
	}
	return true
}

// Printable is a text that can be printed: what the fonts do not have becomes a question mark, and what only
// varies or joins other characters is left out. Line ends stay.
func Printable(text string) string {
	var out strings.Builder
	for _, r := range text {
		switch {
		case r == '\n', unicode.IsPrint(r) && known(r):
			out.WriteRune(r)
		case unicode.IsSpace(r):
			out.WriteRune(' ')
		case !joins(r):
			out.WriteRune(unknown)
		}
	}
	return out.String()
}

// joins says whether a character only joins or varies others.
func joins(r rune) bool {
	return r == '\u200d' || unicode.Is(unicode.Variation_Selector, r) || r >= 0x1F3FB && r <= 0x1F3FF ||
		unicode.Is(unicode.Mn, r)
}
