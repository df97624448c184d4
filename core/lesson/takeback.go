package lesson

import (
	"encoding/json"
	"reflect"
	"slices"
)

// Without takes a change back: what stands as the change left it is as it was before, part by part, and what was
// changed since stays as it is. It says whether there is anything of the change that stays for that. The error is that
// of a document that is no JSON, which none is.
func (d Document) Without(before, after Document) (Document, bool, error) {
	var t takingBack
	var parts [3]any
	for i, each := range []Document{d, before, after} {
		text, err := json.Marshal(each)
		if err != nil {
			return Document{}, false, err
		}
		if err := json.Unmarshal(text, &parts[i]); err != nil {
			return Document{}, false, err
		}
	}
	text, err := json.Marshal(t.part(parts[0], parts[1], parts[2]))
	if err != nil {
		return Document{}, false, err
	}
	var back Document
	return back, t.kept, json.Unmarshal(text, &back)
}

// takingBack notes whether something that the change touched was changed since.
type takingBack struct{ kept bool }

// part is what a part of the document becomes; nil stands for one that is left out.
func (t *takingBack) part(now, before, after any) any {
	switch {
	case reflect.DeepEqual(before, after):
		return now
	case reflect.DeepEqual(now, after):
		return before
	case reflect.DeepEqual(now, before):
		return now
	}
	if n, b, a, ok := all[map[string]any](now, before, after); ok {
		return t.fields(n, b, a)
	}
	if n, b, a, ok := all[[]any](now, before, after); ok && allIdentified(n) && allIdentified(b) && allIdentified(a) {
		return t.list(n, b, a)
	}
	t.kept = true
	return now
}

func (t *takingBack) fields(now, before, after map[string]any) map[string]any {
	made := map[string]any{}
	for _, fields := range []map[string]any{now, before, after} {
		for name := range fields {
			if part := t.part(now[name], before[name], after[name]); part != nil {
				made[name] = part
			}
		}
	}
	return made
}

// list takes back what was done to a list of things that have identifiers: what was taken out stands again behind what
// it stood behind.
func (t *takingBack) list(now, before, after []any) []any {
	made := []any{}
	keep := func(each, was, became any) {
		if part := t.part(each, was, became); part != nil {
			made = append(made, part)
		}
	}
	if reflect.DeepEqual(identifiers(now), identifiers(after)) {
		for _, was := range before {
			if each := find(now, was); each != nil {
				keep(each, was, find(after, was))
			} else {
				made = append(made, was)
			}
		}
		for i, each := range now {
			// The change brought it; it stays where something was done with it since.
			if find(before, each) == nil && !reflect.DeepEqual(each, after[i]) {
				t.kept = true
				made = append(made, each)
			}
		}
		return made
	}
	for _, each := range now {
		keep(each, find(before, each), find(after, each))
	}
	for i, was := range before {
		if find(after, was) != nil || find(made, was) != nil {
			continue
		}
		at := 0
		if i > 0 {
			at = 1 + slices.IndexFunc(made, func(each any) bool { return identifier(each) == identifier(before[i-1]) })
		}
		made = slices.Insert(made, at, was)
	}
	return made
}

func all[T any](a, b, c any) (x, y, z T, ok bool) {
	x, isA := a.(T)
	y, isB := b.(T)
	z, isC := c.(T)
	return x, y, z, isA && isB && isC
}

// identifier is that of a thing in a list; empty where it has none.
func identifier(of any) string {
	fields, _ := of.(map[string]any)
	id, _ := fields["id"].(string)
	return id
}

func identifiers(list []any) []string {
	ids := make([]string, len(list))
	for i, each := range list {
		ids[i] = identifier(each)
	}
	return ids
}

// allIdentified says whether all things in a list have an identifier.
func allIdentified(list []any) bool { return !slices.Contains(identifiers(list), "") }

// find is the thing in a list that has the identifier of another; nil where there is none.
func find(list []any, other any) any {
	for _, each := range list {
		if identifier(each) == identifier(other) {
			return each
		}
	}
	return nil
}
