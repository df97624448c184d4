package sharing

import (
	"bytes"
	"compress/flate"
	"encoding/base32"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
)

// mark is what a code of the first kind begins with. All of a code is capitals, digits and signs that a QR code has
// room for two of in eleven bits.
const mark = "HODOMETER:DRILL1:"

const (
	largestCode = 8000    // characters
	largestText = 1 << 18 // bytes of what is packed in one
)

var letters = base32.StdEncoding.WithPadding(base32.NoPadding)

// Code packs a drill into a text for a QR code. The same drill is the same text.
func Code(p Piece) (string, error) {
	if p.Hodometer != Drill {
		return "", fmt.Errorf("a %s is too large for a code; hand it out as a file", p.Hodometer)
	}
	text, err := json.Marshal(p)
	if err != nil {
		return "", err
	}
	var packed bytes.Buffer
	writer, err := flate.NewWriterDict(&packed, flate.BestCompression, []byte(words))
	if err != nil {
		return "", err
	}
	if _, err := writer.Write(text); err != nil {
		return "", err
	}
	if err := writer.Close(); err != nil {
		return "", err
	}
	return mark + letters.EncodeToString(packed.Bytes()), nil
}

// IsCode says whether a text is a code, of whatever kind.
func IsCode(text string) bool { return strings.HasPrefix(strings.TrimSpace(text), "HODOMETER:") }

// Decode unpacks a code.
func Decode(text string) (Piece, error) {
	body, is := strings.CutPrefix(strings.TrimSpace(text), mark)
	if !is {
		return Piece{}, errors.New("this code is of a newer Hodometer")
	}
	damaged := errors.New("this code is damaged: take a sharper picture, or the drill's file")
	if len(body) > largestCode {
		return Piece{}, damaged
	}
	packed, err := letters.DecodeString(body)
	if err != nil {
		return Piece{}, damaged
	}
	reader := flate.NewReaderDict(bytes.NewReader(packed), []byte(words))
	unpacked, err := io.ReadAll(io.LimitReader(reader, largestText+1))
	if err != nil || len(unpacked) > largestText {
		return Piece{}, damaged
	}
	return Read(unpacked)
}
