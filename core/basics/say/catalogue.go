package say

import (
	_ "embed"
	"encoding/json"
	"fmt"

	"golang.org/x/text/feature/plural"
	"golang.org/x/text/language"
	"golang.org/x/text/message/catalog"
)

//go:embed english.json
var source []byte

// english is the catalogue. A fault in it is a fault of the program, which its tests find.
var english, keys = must(read(source))

// entry is a sentence of the catalogue: its text, or the text with what stands in it by number. In the text %[1]v is
// the first thing that goes in, and ${balls} what is said of a number: "balls": {"of": 1, "one": "%[1]v ball", "other":
// "%[1]v balls"}.
type entry struct {
	text  string
	forms map[string]form
}

type form struct {
	Of    int    `json:"of"`
	One   string `json:"one"`
	Other string `json:"other"`
}

func (e *entry) UnmarshalJSON(text []byte) error {
	if text[0] == '"' {
		return json.Unmarshal(text, &e.text)
	}
	var parts map[string]json.RawMessage
	if err := json.Unmarshal(text, &parts); err != nil {
		return err
	}
	if err := json.Unmarshal(parts["text"], &e.text); err != nil {
		return err
	}
	delete(parts, "text")
	e.forms = map[string]form{}
	for name, part := range parts {
		var f form
		if err := json.Unmarshal(part, &f); err != nil {
			return err
		}
		e.forms[name] = f
	}
	return nil
}

// read makes a catalogue of its text, and says which keys there are.
func read(text []byte) (*catalog.Builder, map[string]bool, error) {
	var all map[string]entry
	if err := json.Unmarshal(text, &all); err != nil {
		return nil, nil, err
	}
	keys := map[string]bool{}
	builder := catalog.NewBuilder(catalog.Fallback(language.English))
	for key, each := range all {
		keys[key] = true
		var parts []catalog.Message
		for name, form := range each.forms {
			choice := plural.Selectf(form.Of, "", plural.One, form.One, plural.Other, form.Other)
			parts = append(parts, catalog.Var(name, choice))
		}
		if err := builder.Set(language.English, key, append(parts, catalog.String(each.text))...); err != nil {
			return nil, nil, fmt.Errorf("%s: %w", key, err)
		}
	}
	return builder, keys, nil
}

func must(builder *catalog.Builder, keys map[string]bool, err error) (*catalog.Builder, map[string]bool) {
	if err != nil {
		panic(err)
	}
	return builder, keys
}
