package api

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"

	"hodometer/core/invalid"
)

// unsound lists by their paths what one reader of a JSON text takes for something else than the next:
// names that stand twice in one object, of which some take the first, some the last, and some merge
// them, and numbers that are too large to be computed with. Where the text is no JSON, the list ends early.
func unsound(text []byte) invalid.Fields {
	d := json.NewDecoder(bytes.NewReader(text))
	d.UseNumber()
	var wrong invalid.Fields
	var value func(path string) error
	object := func(path string) error {
		seen := map[string]bool{}
		for d.More() {
			token, err := d.Token()
			if err != nil {
				return err
			}
			name, ok := token.(string)
			if !ok {
				return errors.New("a name was expected")
			}
			at := invalid.Join(path, name)
			if seen[name] {
				wrong.Add(at, "this stands twice; leave one of them out")
			}
			seen[name] = true
			if err := value(at); err != nil {
				return err
			}
		}
		_, err := d.Token()
		return err
	}
	list := func(path string) error {
		for i := 0; d.More(); i++ {
			if err := value(invalid.Join(path, i)); err != nil {
				return err
			}
		}
		_, err := d.Token()
		return err
	}
	value = func(path string) error {
		token, err := d.Token()
		switch {
		case errors.Is(err, io.EOF):
			return io.ErrUnexpectedEOF
		case err != nil:
			return err
		case token == json.Delim('{'):
			return object(path)
		case token == json.Delim('['):
			return list(path)
		}
		if number, ok := token.(json.Number); ok {
			if _, err := number.Float64(); err != nil {
				wrong.Add(path, "this number is too large")
			}
		}
		return nil
	}
	_ = value("") // what cannot be read is told by whoever decodes it
	return wrong
}
