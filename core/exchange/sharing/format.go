package sharing

import (
	"bytes"
	"encoding/json"
	"fmt"
	"regexp"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// A document of a sport that came later is handed on in a format of its own, so that a program that does not know the
// sport refuses it in words: so many formats after the current one as the sport came steps later. Here it is the
// current one. A format that grows leaves those numbers out.

// later is how many steps after the first sports that of a document came; 0 where it has none.
func later(document []byte) int {
	var said struct {
		Sport court.Sport `json:"sport"`
		Space struct {
			Court court.ID `json:"court"`
		} `json:"space"`
	}
	if json.Unmarshal(document, &said) != nil {
		return 0
	}
	if c, err := sports.Court(said.Space.Court); err == nil {
		said.Sport = c.Sport
	}
	return sports.Of(said.Sport).Later
}

var versionForm = regexp.MustCompile(`"version":\s*\d+`)

// renumbered is a document with another number of its format, the first that it names.
func renumbered(document []byte, version int) []byte {
	at := versionForm.FindIndex(document)
	if at == nil {
		return document
	}
	return bytes.Join([][]byte{document[:at[0]], document[at[1]:]}, fmt.Appendf(nil, `"version":%d`, version))
}

// MarshalJSON writes a document in the format in which it is handed on.
func (p Piece) MarshalJSON() ([]byte, error) {
	type piece Piece
	if steps := later(p.Document); steps > 0 && p.Version() == p.Hodometer.Current() {
		p.Document = renumbered(p.Document, p.Version()+steps)
	}
	var out bytes.Buffer
	encoder := json.NewEncoder(&out)
	encoder.SetEscapeHTML(false)
	err := encoder.Encode(piece(p))
	return out.Bytes(), err
}

// UnmarshalJSON reads one.
func (p *Piece) UnmarshalJSON(text []byte) error {
	type piece Piece
	err := json.Unmarshal(text, (*piece)(p))
	p.here()
	return err
}

// here puts a document that was handed on into the current format.
func (p *Piece) here() {
	if steps := later(p.Document); steps > 0 && p.Version() == p.Hodometer.Current()+steps {
		p.Document = renumbered(p.Document, p.Hodometer.Current())
	}
}
