package repository

import (
	"cmp"
	"context"
	"encoding/json"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/store"
)

// Stored is a kind of document that is stored.
type Stored string

// The kinds.
const (
	StoredStudent Stored = "student"
	StoredDrill   Stored = "drill"
	StoredLesson  Stored = "lesson"
)

// Unreadable is a stored document that cannot be shown. Its text is kept and can be saved.
type Unreadable struct {
	Kind Stored `json:"kind"`
	ID   string `json:"id"`
	Name string `json:"name" description:"As far as it can be made out; empty where it cannot"`
	Why  string `json:"why"`
}

// Documents are those of one kind, whatever is in them.
type Documents interface {
	Unreadable(ctx context.Context) ([]store.Unreadable, error)
	Text(ctx context.Context, id string) (string, error)
}

// Stored are the documents of a kind, whatever is in them.
func (s *Repository) Stored(kind Stored) (Documents, error) {
	switch kind {
	case StoredStudent:
		return s.Store.Students, nil
	case StoredDrill:
		return s.Store.Drills, nil
	case StoredLesson:
		return s.Store.Lessons, nil
	}
	return nil, invalid.Fields{{Path: "kind", Message: "choose one of: student, drill, lesson"}}
}

// AsUnreadable lists documents that cannot be read.
func AsUnreadable(kind Stored, broken []store.Unreadable) []Unreadable {
	list := make([]Unreadable, len(broken))
	for i, each := range broken {
		list[i] = Unreadable{Kind: kind, ID: each.ID, Name: nameIn(each.Text), Why: request.Why(each.Err)}
	}
	return list
}

// nameIn is the name or the title in the text of a document; empty where there is none to be made out.
func nameIn(text string) string {
	var name struct{ Name, Title any }
	if json.Unmarshal([]byte(text), &name) != nil {
		return ""
	}
	title, _ := name.Title.(string)
	own, _ := name.Name.(string)
	return cmp.Or(title, own)
}
