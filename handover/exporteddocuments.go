package handover

import (
	"bytes"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/drill/report"
	"hodometer/core/exchange/sharing"
	"hodometer/picture"
	"hodometer/store"
)

// folders are where the documents of a table are.
var folders = map[string]string{
	"student": "students",
	"drill":   "drills",
	"game":    "games",
	"lesson":  "lessons",
	"played":  "games-played",
	"coach":   "settings",
}

// documents writes the documents of a table, and returns where each row's is: empty where it is none that comes back as
// it was, so that it stays in its row.
func (w *whole) documents(t store.Table, column int) ([]string, error) {
	if column < 0 {
		return nil, nil
	}
	var places []string
	id := slices.IndexFunc(t.Columns, func(c store.Column) bool { return c.Name == "id" })
	err := w.from.Rows(w.ctx, t, func(values []any) error {
		text, _ := values[column].(string)
		key := fmt.Sprint(values[id])
		places = append(places, "")
		pretty, ok := spread(t.Name, key, text)
		if !ok {
			return w.ctx.Err()
		}
		name := fmt.Sprintf("documents/%s/%s %s.json", folders[t.Name], FileName(called(text)), FileName(key))
		if t.Name == "coach" {
			name = "documents/settings.json"
		}
		if w.names[strings.ToLower(name)] { // two identifiers that go for the same name of a file
			return nil
		}
		w.names[strings.ToLower(name)] = true
		places[len(places)-1] = name
		return w.file(name, pretty)
	})
	return places, err
}

// spread writes the text of a document so that a person can read it, in a file by which a drill, a game or a lesson can
// be brought in by itself; false where it would not come back as it was.
func spread(kind, id, text string) ([]byte, bool) {
	file, err := sharing.Piece{Hodometer: sharing.Kind(kind), ID: id, Document: json.RawMessage(text)}.Spread()
	if err != nil {
		return nil, false
	}
	back, err := gather(file)
	return file, err == nil && back == text
}

// gather reads the text of a document from its file.
func gather(file []byte) (string, error) {
	var p sharing.Piece
	if err := json.Unmarshal(file, &p); err != nil {
		return "", err
	}
	var text bytes.Buffer
	err := json.Compact(&text, p.Document)
	return text.String(), err
}

// called is the name or the title of a document.
func called(text string) string {
	var said struct{ Name, Title, Date string }
	_ = json.Unmarshal([]byte(text), &said) // what cannot be read has no name
	return strings.TrimSpace(said.Date + " " + said.Name + said.Title)
}

// pictures draws the courts of the coach's own drills.
func (w *whole) pictures() error {
	settings, _, err := w.from.Settings(w.ctx)
	if err != nil {
		return err
	}
	own, err := w.from.Drills.List(w.ctx, true)
	if err != nil {
		return err
	}
	for _, r := range own {
		drawn, err := report.Of(r.Document, 1, settings)
		if err != nil {
			continue // it makes no sense any more, and has no picture
		}
		if err := w.file(
			fmt.Sprintf("pictures/%s %s.svg", FileName(r.Document.Name), FileName(r.ID)),
			picture.SVG(r.Document.Name, drawn),
		); err != nil {
			return err
		}
	}
	return nil
}
