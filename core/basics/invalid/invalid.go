// Package invalid says what is wrong with something a coach typed, field by field.
package invalid

import (
	"errors"
	"fmt"
	"strconv"
	"strings"
)

// Field is one thing that is wrong: where it stands in the document and what to do about it.
type Field struct {
	Path    string `json:"path" description:"Where it is, as a dotted path: sequence.1.landing"`
	Message string `json:"message" description:"What is wrong and what was expected, in a coach's words"`
}

// Fields collects everything wrong with one document. The zero value is ready to use.
type Fields []Field

// Add notes one wrong field.
func (f *Fields) Add(path, format string, args ...any) {
	*f = append(*f, Field{Path: path, Message: fmt.Sprintf(format, args...)})
}

// Under notes err at a path, keeping the finer paths of an error that is itself a list of fields.
// It does nothing when err is nil.
func (f *Fields) Under(path string, err error) {
	if err == nil {
		return
	}
	var inner Fields
	if !errors.As(err, &inner) {
		f.Add(path, "%s", err)
		return
	}
	for _, field := range inner {
		f.Add(Join(path, field.Path), "%s", field.Message)
	}
}

// Err is nil when nothing was noted, and the list itself otherwise.
func (f Fields) Err() error {
	if len(f) == 0 {
		return nil
	}
	return f
}

// Error lists every field on one line.
func (f Fields) Error() string {
	said := make([]string, len(f))
	for i, field := range f {
		said[i] = strings.TrimPrefix(field.Path+": "+field.Message, ": ")
	}
	return strings.Join(said, "; ")
}

// Join puts a path together from its parts, which are names or indices.
func Join(parts ...any) string {
	var said []string
	for _, part := range parts {
		switch p := part.(type) {
		case string:
			if p != "" {
				said = append(said, p)
			}
		case int:
			said = append(said, strconv.Itoa(p))
		}
	}
	return strings.Join(said, ".")
}

// Sentence is what is wrong without where: the messages of a list of fields, else the error itself.
func Sentence(err error) string {
	var fields Fields
	if !errors.As(err, &fields) {
		return err.Error()
	}
	messages := make([]string, len(fields))
	for i, field := range fields {
		messages[i] = field.Message
	}
	return strings.Join(messages, "; ")
}
