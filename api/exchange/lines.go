package exchange

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"strings"

	"hodometer/access"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/sharing"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// DrillCode is a drill to be passed on without a file.
type DrillCode struct {
	Text string   `json:"text" description:"What is in the code"`
	QR   []string `json:"qr" description:"Row by row, 1 for dark; with its light edge"`
	Line string   `json:"line" description:"Its court, its name, and its pattern in words; see docs/shorthand.md. Empty where it does not fit in a line"`
}

// lineParts are the parts of a drill that is passed on as a line: its court, its name, its pattern.
const lineParts = 3

// lineOf writes a drill as a line that can be sent in a message: its court, its name, and its pattern in words.
func lineOf(d drill.Document) string {
	name := strings.Join(strings.Fields(strings.ReplaceAll(d.Name, "|", " ")), " ")
	return fmt.Sprintf("%s | %s | %s", d.Court, name, shorthand.Of(d))
}

// fromLine is the drill of such a line; false where a text is none. What the line does not say is as in a new drill.
func fromLine(text string) (sharing.Piece, bool, error) {
	parts := strings.SplitN(strings.TrimSpace(text), "|", lineParts)
	if len(parts) < lineParts || strings.ContainsAny(parts[0], "{\n\x00") {
		return sharing.Piece{}, false, nil
	}
	on, err := sports.Court(court.ID(strings.TrimSpace(parts[0])))
	if err != nil {
		return sharing.Piece{}, true, fmt.Errorf(
			"this line begins with a court that is not known here: %s",
			strings.TrimSpace(parts[0]),
		)
	}
	d, err := library.Begun(on.ID, court.Point{Y: -on.Length / 4})
	if err != nil {
		return sharing.Piece{}, true, err
	}
	d, words, err := shorthand.Applied(d, strings.TrimSpace(parts[2]))
	if err != nil {
		return sharing.Piece{}, true, fmt.Errorf("this line was not understood: %s", lineWrong(words, err))
	}
	d.Name = strings.TrimSpace(parts[1])
	document, err := json.Marshal(d)
	return sharing.Piece{Hodometer: sharing.Drill, Document: document}, true, err
}

// reads says whether a line says all that its drill needs: one with start places of its own for several players does
// not fit in a line.
func reads(line string) bool {
	piece, _, err := fromLine(line)
	if err != nil {
		return false
	}
	passed, err := passedOf(sharing.Drill, piece.Document)
	return err == nil && passed.check() == nil
}

// lineWrong says what of a line was not understood.
func lineWrong(words []shorthand.Word, err error) string {
	for _, w := range words {
		if w.Wrong != "" {
			return w.Wrong
		}
	}
	return invalid.Sentence(err)
}

func (s *Exchange) drillCode(ctx context.Context, p request.ByID, _ request.None) (DrillCode, error) {
	d, err := s.Drill(ctx, p.ID)
	if err != nil {
		return DrillCode{}, err
	}
	text, err := codeOf(d.ID, d.Document)
	if err != nil {
		return DrillCode{}, err
	}
	rows, err := access.QR(text)
	if err != nil {
		return DrillCode{}, request.Refusal(
			http.StatusUnprocessableEntity,
			"This drill is too large for a code. Hand it out as a file.",
		)
	}
	line := lineOf(d.Document)
	if !reads(line) {
		line = ""
	}
	return DrillCode{Text: text, QR: rows, Line: line}, nil
}

// codeOf is a drill as the text of a code.
func codeOf(id string, d drill.Document) (string, error) {
	document, err := json.Marshal(d)
	if err != nil {
		return "", err
	}
	return sharing.Code(sharing.Piece{Hodometer: sharing.Drill, ID: id, Document: document})
}
