package request

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"
	"net/http"

	"hodometer/core/basics/invalid"
)

// How much JSON is read: more than any document of Hodometer has, and so little that refusing it costs next to nothing.
const (
	deepest     = 40      // groups and lists within one another
	longestName = 200     // bytes of the name of a field
	mostValues  = 100_000 // in all: a table of five thousand rows and twenty columns
	mostTold    = 20      // things that are wrong
	longestPath = 300     // bytes of what leads to one of them
	Strangers   = 4 << 10 // bytes of a body from who is not let in
)

// tooMuch is why a text is not read any further.
func tooMuch(why string) error {
	return Refusal(
		http.StatusBadRequest,
		"This is more than any document of Hodometer has in it: "+why+".",
		invalid.Field{Path: "body", Message: why},
	)
}

// Unsound lists by their paths what one reader of a JSON text takes for something else than the next: names that stand
// twice in one object, of which some take the first, some the last, and some merge them, and numbers that are too large
// to be computed with. Where the text is no JSON, the list ends early.
//
// It goes through the text once, with memory for the names of one object at each depth, and returns an error as soon as
// there is more in it than is read; steps is how many values it has looked at until then.
func Unsound(text []byte) (wrong invalid.Fields, steps int, err error) {
	d := json.NewDecoder(bytes.NewReader(text))
	d.UseNumber()
	var path []any // names and numbers that lead to the value that is looked at
	tell := func(message string) {
		if len(wrong) < mostTold {
			wrong.Add(clipped(invalid.Join(path...)), "%s", message)
		}
	}
	var value func() error
	within := func(step any) error {
		path = append(path, step)
		defer func() { path = path[:len(path)-1] }()
		return value()
	}
	object := func() error {
		seen := map[string]bool{}
		for d.More() {
			token, err := d.Token()
			if err != nil {
				return err
			}
			name, ok := token.(string)
			switch {
			case !ok:
				return errors.New("a name was expected")
			case len(name) > longestName:
				return tooMuch("a name of a field that is longer than 200 characters")
			case seen[name]:
				path = append(path, name)
				tell("this stands twice; leave one of them out")
				path = path[:len(path)-1]
			}
			seen[name] = true
			if err := within(name); err != nil {
				return err
			}
		}
		_, err := d.Token()
		return err
	}
	list := func() error {
		for i := 0; d.More(); i++ {
			if err := within(i); err != nil {
				return err
			}
		}
		_, err := d.Token()
		return err
	}
	value = func() error {
		if steps++; steps > mostValues {
			return tooMuch("more than 100 000 values")
		}
		if len(path) > deepest {
			return tooMuch("groups within groups, more than 40 deep")
		}
		token, err := d.Token()
		switch {
		case errors.Is(err, io.EOF):
			return io.ErrUnexpectedEOF
		case err != nil:
			return err
		case token == json.Delim('{'):
			return object()
		case token == json.Delim('['):
			return list()
		}
		if number, ok := token.(json.Number); ok {
			if _, err := number.Float64(); err != nil {
				tell("this number is too large")
			}
		}
		return nil
	}
	err = value()
	if _, refused := errors.AsType[Problem](err); !refused {
		err = nil // what cannot be read is told by whoever decodes it
	}
	return wrong, steps, err
}

// clipped is as much of a path as is told.
func clipped(path string) string {
	if len(path) <= longestPath {
		return path
	}
	return path[:longestPath] + "…"
}
