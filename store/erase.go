package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"hodometer/core/live/underway"
	"hodometer/core/people/student"
)

// Erased stands where somebody was named who was erased.
const Erased = "somebody who was erased"

// EraseStudent removes a student, and all that hangs on them, for good: also where they are named in what was said of
// lessons and in bookings, and in what the file has no use for any more. The error wraps ErrNotFound.
func (s *Store) EraseStudent(ctx context.Context, id string) error {
	text, err := s.Students.Text(ctx, id)
	if err != nil {
		return err
	}
	var profile student.Profile
	_ = json.Unmarshal([]byte(text), &profile) // who cannot be read has no name to look for
	err = s.in(ctx, func(tx *sql.Tx) error {
		if profile.Name != "" {
			if err := errors.Join(
				unsay(ctx, tx, id, profile.Name),
				unbook(ctx, tx, profile.Name),
				unname(ctx, tx, id, profile.Name),
			); err != nil {
				return err
			}
		}
		_, err := tx.ExecContext(ctx, "DELETE FROM student WHERE id = ?", id)
		return err
	})
	if err != nil {
		return err
	}
	return s.Rebuild(ctx)
}

// Rebuild writes the file anew, without what is left in it of rows that were changed or erased, and has nothing of them
// beside it.
func (s *Store) Rebuild(ctx context.Context) error {
	if _, err := s.write.ExecContext(ctx, "VACUUM"); err != nil {
		return err
	}
	return s.Settle(ctx)
}

// named are the documents in which students are named in what a coach wrote, each with what is its key and what says
// that it is about a student.
var named = []struct{ table, column, key, about string }{
	{"lesson", "document", "id", "EXISTS (SELECT 1 FROM json_each(document, '$.students') AS one WHERE one.value = ?)"},
	{"played", "document", "id", "EXISTS (SELECT 1 FROM json_each(document, '$.players') AS one WHERE one.value = ?)"},
	{
		"closing",
		"document",
		"lesson",
		"EXISTS (SELECT 1 FROM lesson, json_each(lesson.document, '$.students') AS one WHERE lesson.id = closing.lesson " +
			"AND one.value = ?)",
	},
	{
		"clock",
		"planned",
		"lesson",
		"EXISTS (SELECT 1 FROM lesson, json_each(lesson.document, '$.students') AS one WHERE lesson.id = clock.lesson " +
			"AND one.value = ?)",
	},
	{
		"remark",
		"remark",
		"(lesson || '/' || student)",
		"EXISTS (SELECT 1 FROM lesson, json_each(lesson.document, '$.students') AS one WHERE lesson.id = remark.lesson " +
			"AND one.value = ?)",
	},
}

// unname takes the name of a student out of titles, notes and texts; in what is about them what they are called on
// court, their first name, too.
func unname(ctx context.Context, tx *sql.Tx, id, name string) error {
	first, _, _ := strings.Cut(name, " ")
	for _, one := range named {
		change := func(text string) string { return without(text, name) }
		also := func(text string) string { return without(change(text), first) }
		query := fmt.Sprintf("SELECT %s, %s FROM %s WHERE instr(%s, ?) > 0", one.key, one.column, one.table, one.column)
		for _, part := range []struct {
			change func(string) string
			where  string
		}{{also, one.about}, {change, "NOT " + one.about}} {
			whole := part.change
			in := func(text string) (string, error) {
				if one.column == "remark" {
					return whole(text), nil
				}
				return inTexts(text, whole)
			}
			if err := rewrittenBy(ctx, tx, one.table, one.column, one.key, in, query+" AND "+part.where, first, id); err != nil {
				return err
			}
		}
	}
	return nil
}

// freeTexts are the fields of documents that a coach writes freely, and how long they may be at most.
var freeTexts = map[string]int{
	"title":    80,
	"note":     2000,
	"text":     120,
	"why":      200,
	"onDeck":   120,
	"happened": 1000,
	"worked":   400,
	"next":     400,
	"about":    300,
}

// inTexts changes what a coach wrote in a document, and nothing else of it.
func inTexts(document string, change func(string) string) (string, error) {
	decoder := json.NewDecoder(strings.NewReader(document))
	decoder.UseNumber()
	var whole any
	if err := decoder.Decode(&whole); err != nil {
		return "", err
	}
	changed := false
	var walk func(v any)
	walk = func(v any) {
		switch v := v.(type) {
		case map[string]any:
			for name, each := range v {
				text, is := each.(string)
				most, free := freeTexts[name]
				if !is || !free {
					walk(each)
					continue
				}
				if other := change(text); other != text {
					runes := []rune(other)
					v[name], changed = string(runes[:min(len(runes), most)]), true
				}
			}
		case []any:
			for _, each := range v {
				walk(each)
			}
		}
	}
	walk(whole)
	if !changed {
		return document, nil
	}
	var out strings.Builder
	encoder := json.NewEncoder(&out)
	encoder.SetEscapeHTML(false)
	err := encoder.Encode(whole)
	return strings.TrimSpace(out.String()), err
}

// rewritten changes a column of text where that changes anything, row by row, by the identifiers of a query: id and
// text.
func rewritten(
	ctx context.Context,
	tx *sql.Tx,
	table, column string,
	change func(string) (string, error),
	query string,
	args ...any,
) error {
	return rewrittenBy(ctx, tx, table, column, "id", change, query, args...)
}

// rewrittenBy is the same by another key.
func rewrittenBy(
	ctx context.Context,
	tx *sql.Tx,
	table, column, key string,
	change func(string) (string, error),
	query string,
	args ...any,
) error {
	type row struct{ id, text string }
	rows, err := collect(
		ctx,
		tx,
		func(rows *sql.Rows) (r row, err error) { return r, rows.Scan(&r.id, &r.text) },
		query,
		args...)
	if err != nil {
		return err
	}
	for _, r := range rows {
		text, err := change(r.text)
		if err != nil || text == r.text {
			continue // what cannot be read names nobody that could be told from others
		}
		if _, err := tx.ExecContext(
			ctx,
			fmt.Sprintf("UPDATE %s SET %s = ? WHERE %s = ?", table, column, key),
			text,
			r.id,
		); err != nil { //nolint:gosec // constants of this file
			return err
		}
	}
	return nil
}

// unsay takes a name out of what was said of the lessons of a student.
func unsay(ctx context.Context, tx *sql.Tx, id, name string) error {
	return rewritten(ctx, tx, "act", "act", func(text string) (string, error) {
		var act underway.Did
		if err := json.Unmarshal([]byte(text), &act); err != nil {
			return "", err
		}
		for i := range act.Said {
			act.Said[i] = act.Said[i].Change(func(words string) string { return without(words, name) })
		}
		act.Before, act.After = nil, nil // an earlier program kept them, and they name people
		changed, err := json.Marshal(act)
		return string(changed), err
	}, `SELECT act.id, act.act FROM act JOIN lesson ON lesson.id = act.lesson
		WHERE (instr(act.act, '"said"') > 0 OR instr(act.act, '"before"') > 0) AND EXISTS (SELECT 1 FROM
		json_each(lesson.document, '$.students') AS one WHERE one.value = ?)`, id)
}

// unbook takes a name out of bookings.
func unbook(ctx context.Context, tx *sql.Tx, name string) error {
	err := rewritten(ctx, tx, "booking", "students", func(text string) (string, error) {
		var students []string
		if err := json.Unmarshal([]byte(text), &students); err != nil {
			return "", err
		}
		students = slices.DeleteFunc(students, func(one string) bool { return strings.EqualFold(one, name) })
		changed, err := json.Marshal(students)
		return string(changed), err
	}, "SELECT id, students FROM booking")
	if err != nil {
		return err
	}
	return rewritten(
		ctx,
		tx,
		"booking",
		"title",
		func(text string) (string, error) { return without(text, name), nil },
		"SELECT id, title FROM booking",
	)
}

// without is a text in which a name, where it stands as a word of its own, is not named any more.
func without(text, name string) string {
	var out strings.Builder
	for from := 0; ; {
		at := strings.Index(text[from:], name)
		if at < 0 {
			return out.String() + text[from:]
		}
		begin, end := from+at, from+at+len(name)
		before, _ := utf8.DecodeLastRuneInString(text[:begin])
		after, _ := utf8.DecodeRuneInString(text[end:])
		out.WriteString(text[from:begin])
		if unicode.IsLetter(before) || unicode.IsLetter(after) {
			out.WriteString(name)
		} else {
			out.WriteString(Erased)
		}
		from = end
	}
}

// Holds says whether a file, of whatever format, has somebody under an identifier. Nothing is written to it.
func Holds(ctx context.Context, path, id string) (holds bool, err error) {
	db, err := onlyRead(path)
	if err != nil {
		return false, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	return holds, db.QueryRowContext(ctx, "SELECT EXISTS (SELECT 1 FROM student WHERE id = ?)", id).Scan(&holds)
}
