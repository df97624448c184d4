package handover

import (
	"archive/zip"
	"bytes"
	"io"
	"path"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/exchange/sharing"
)

// The largest collection that is opened.
const (
	maxPieces   = 2000
	maxPiece    = 1 << 20
	maxUnpacked = 32 << 20
)

// ErrUnreadable says that a file has no documents in it that can be read. What is one says why, in a coach's words.
var ErrUnreadable = invalid.ErrUnreadable

// Packed is a file in a collection.
type Packed struct {
	Name string
	Data []byte
}

// epoch is the time that all files in a collection have, so that the same documents are the same bytes: the first one
// that a zip can have.
var epoch = time.Date(1980, 1, 1, 0, 0, 0, 0, time.UTC)

// Pack packs files into a zip. The same files are the same bytes.
func Pack(files []Packed) ([]byte, error) {
	var out bytes.Buffer
	archive := zip.NewWriter(&out)
	for _, f := range files {
		part, err := archive.CreateHeader(&zip.FileHeader{Name: f.Name, Method: zip.Deflate, Modified: epoch})
		if err != nil {
			return nil, err
		}
		if _, err := part.Write(f.Data); err != nil {
			return nil, err
		}
	}
	err := archive.Close() // writes what is left
	return out.Bytes(), err
}

// Opened is a document that was found in a file, or why what was found is none.
type Opened struct {
	File  string // in a collection; empty: the file itself
	Piece sharing.Piece
	Err   error
}

// Open finds the documents in a file: one as JSON, the text of a code, or a collection of them as a zip. In a zip only
// files that end in .json are looked at, and their names lead nowhere: nothing is written. Its error is an
// ErrUnreadable.
func Open(data []byte) ([]Opened, error) {
	if !bytes.HasPrefix(data, []byte("PK")) {
		text := bytes.TrimSpace(bytes.TrimPrefix(data, []byte("\xef\xbb\xbf")))
		read := sharing.Read
		if sharing.IsCode(string(text)) {
			read = func(text []byte) (sharing.Piece, error) { return sharing.Decode(string(text)) }
		}
		piece, err := read(text)
		if err != nil {
			return nil, invalid.Unreadable("%s", err)
		}
		return []Opened{{Piece: piece}}, nil
	}
	archive, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return nil, invalid.Unreadable("this .zip is damaged")
	}
	var found []Opened
	left := int64(maxUnpacked)
	for _, file := range archive.File {
		if path.Ext(file.Name) != ".json" || strings.HasSuffix(file.Name, "datapackage.json") {
			continue
		}
		if len(found) == maxPieces {
			return nil, invalid.Unreadable("there are more than %d documents in it", maxPieces)
		}
		text, err := unpack(file, min(left, maxPiece))
		if err != nil {
			return nil, err
		}
		left -= int64(len(text))
		one := Opened{File: path.Base(file.Name)}
		one.Piece, one.Err = sharing.Read(text)
		found = append(found, one)
	}
	if len(found) == 0 {
		return nil, invalid.Unreadable("there is no document in this .zip")
	}
	return found, nil
}

func unpack(file *zip.File, most int64) ([]byte, error) {
	content, err := file.Open()
	if err != nil {
		return nil, invalid.Unreadable("this .zip is damaged")
	}
	defer func() { _ = content.Close() }()
	text, err := io.ReadAll(io.LimitReader(content, most+1))
	switch {
	case int64(len(text)) > most:
		return nil, invalid.Unreadable("what is in this .zip is too large")
	case err != nil:
		return nil, invalid.Unreadable("this .zip is damaged")
	}
	return text, nil
}

// FileName is a name that goes for a file everywhere.
func FileName(name string) string {
	plain := strings.Map(func(r rune) rune {
		if strings.ContainsRune(`/\:*?"<>|`, r) || r < ' ' {
			return -1
		}
		return r
	}, name)
	plain = strings.Trim(strings.Join(strings.Fields(plain), " "), ". ")
	if plain == "" {
		return "document"
	}
	runes := []rune(plain)
	return string(runes[:min(len(runes), 80)])
}
