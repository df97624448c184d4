// Package sharing is how single documents are passed on: a drill, a game, a lesson or a player's ladders as a file of
// its own, without anything that names people.
package sharing

import (
	"bytes"
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"strings"

	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/progress"
)

// Kind is what a document is.
type Kind string

// The kinds.
const (
	Drill  Kind = "drill"
	Game   Kind = "game"
	Lesson Kind = "lesson"
	Ladder Kind = "ladder" // the rungs that a player came to
)

// Current is the version of the format that a kind is written in.
func (k Kind) Current() int {
	return map[Kind]int{Drill: drill.FormatVersion, Game: game.FormatVersion, Lesson: lesson.FormatVersion,
		Ladder: progress.FormatVersion}[k]
}

// Piece is a document as it is passed on.
type Piece struct {
	Hodometer Kind            `json:"hodometer" description:"What the document is"`
	ID        string          `json:"id" format:"uuid" description:"The same one wherever it goes; empty: none yet"`
	Document  json.RawMessage `json:"document"`
}

// Version is the version of the format that the document is written in; 0 where it does not say.
func (p Piece) Version() int {
	var said struct {
		Version int `json:"version"`
	}
	_ = json.Unmarshal(p.Document, &said) // what cannot be read says nothing
	return said.Version
}

// Name is what the document is called.
func (p Piece) Name() string {
	var said struct{ Name, Title string }
	_ = json.Unmarshal(p.Document, &said)
	return cmp.Or(said.Name, said.Title)
}

// Write writes a document as a file that a person can read.
func Write(kind Kind, id string, document any) ([]byte, error) {
	text, err := json.Marshal(document)
	if err != nil {
		return nil, err
	}
	return Piece{Hodometer: kind, ID: id, Document: text}.Spread()
}

// Spread is the text of a piece, spread out so that a person can read it.
func (p Piece) Spread() ([]byte, error) {
	var out bytes.Buffer
	encoder := json.NewEncoder(&out)
	encoder.SetEscapeHTML(false)
	encoder.SetIndent("", "  ")
	err := encoder.Encode(p)
	return out.Bytes(), err
}

// Read reads the text of a file: a piece, or a document by itself, of which it is told what it is by what is in it.
func Read(text []byte) (Piece, error) {
	var fields map[string]json.RawMessage
	if err := json.Unmarshal(text, &fields); err != nil {
		return Piece{}, errors.New("this is no document: its text cannot be read as JSON")
	}
	if _, is := fields["hodometer"]; is {
		var p Piece
		if err := json.Unmarshal(text, &p); err != nil || p.Hodometer.Current() == 0 {
			return Piece{}, errors.New("this is no drill, no game, no lesson and no ladder")
		}
		return p, p.check()
	}
	for _, sign := range []struct {
		field string
		kind  Kind
	}{{"pattern", Drill}, {"rules", Game}, {"blocks", Lesson}, {"reached", Ladder}} {
		if _, is := fields[sign.field]; is {
			p := Piece{Hodometer: sign.kind, Document: text}
			p.here()
			return p, p.check()
		}
	}
	return Piece{}, errors.New("this is no drill, no game, no lesson and no ladder")
}

// check says whether the document can be read here at all.
func (p Piece) check() error {
	if version := p.Version(); version > p.Hodometer.Current() {
		return fmt.Errorf(
			"this %s was written by a newer Hodometer (format %d; this one reads up to %d)",
			p.Hodometer,
			version,
			p.Hodometer.Current(),
		)
	}
	return nil
}

// Strict reads a document of the current format, and refuses words that it does not know: with them something would be
// lost.
func Strict(text []byte, into any) error {
	decoder := json.NewDecoder(bytes.NewReader(text))
	decoder.DisallowUnknownFields()
	err := decoder.Decode(into)
	if err == nil {
		return nil
	}
	if field, unknown := strings.CutPrefix(err.Error(), "json: unknown field "); unknown {
		return fmt.Errorf("there is no such field here as %s", field)
	}
	return fmt.Errorf("its text cannot be read: %w", err)
}
