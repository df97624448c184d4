package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

// Arrival is what comes in from another place together.
type Arrival struct {
	ID        string
	At        time.Time
	Added     []Record[student.Profile]
	Changed   []Record[student.Profile] // each with the revision that the change builds on
	Presences []roster.Presence
}

// Arrived is what came in together.
type Arrived struct {
	ID        string
	At        time.Time
	Added     int
	Changed   int
	Presences int
}

// Arrive stores everything that comes in, or nothing. What came in before under the same identifier is left as it is.
// It fails with ErrStale where somebody was changed meanwhile.
func (s *Store) Arrive(ctx context.Context, a Arrival) error {
	return s.in(ctx, func(tx *sql.Tx) error {
		result, err := tx.ExecContext(
			ctx,
			"INSERT INTO arrival (id, at) VALUES (?, ?) ON CONFLICT DO NOTHING",
			a.ID,
			writeTime(a.At),
		)
		if err != nil {
			return err
		}
		if n, err := result.RowsAffected(); err != nil || n == 0 {
			return err
		}
		for _, added := range a.Added {
			if err := addStudent(ctx, tx, a.ID, added); err != nil {
				return fmt.Errorf("%s: %w", added.Document.Name, err)
			}
		}
		for _, changed := range a.Changed {
			if err := changeStudent(ctx, tx, a.ID, changed); err != nil {
				return fmt.Errorf("%s: %w", changed.Document.Name, err)
			}
		}
		for _, p := range a.Presences {
			_, err := tx.ExecContext(
				ctx,
				"INSERT INTO presence (student, day, lesson, came, arrival) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING",
				p.Student,
				p.Day,
				p.Lesson,
				p.Came,
				a.ID,
			)
			if err != nil {
				return err
			}
		}
		return nil
	})
}

func addStudent(ctx context.Context, tx *sql.Tx, arrival string, added Record[student.Profile]) error {
	text, err := json.Marshal(added.Document)
	if err != nil {
		return err
	}
	if _, err := tx.ExecContext(
		ctx,
		"INSERT INTO student (id, revision, document) VALUES (?, 1, ?)",
		added.ID,
		string(text),
	); err != nil {
		return err
	}
	_, err = tx.ExecContext(
		ctx,
		"INSERT INTO arrived (arrival, student, archived, revision) VALUES (?, ?, 0, 1)",
		arrival,
		added.ID,
	)
	return err
}

func changeStudent(ctx context.Context, tx *sql.Tx, arrival string, changed Record[student.Profile]) error {
	text, err := json.Marshal(changed.Document)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(
		ctx,
		"INSERT INTO arrived (arrival, student, before, archived, revision) SELECT ?, id, document, archived, revision + "+
			"1 FROM student WHERE id = ?",
		arrival,
		changed.ID,
	)
	if err != nil {
		return err
	}
	result, err := tx.ExecContext(
		ctx,
		"UPDATE student SET document = ?, revision = revision + 1, archived = 0 WHERE id = ? AND revision = ?",
		string(text),
		changed.ID,
		changed.Revision,
	)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n == 0 {
		return errors.Join(err, ErrStale)
	}
	return nil
}

// Arrivals returns what came in since a moment and was not taken back, the newest first.
func (s *Store) Arrivals(ctx context.Context, since time.Time) ([]Arrived, error) {
	return arrivals(ctx, s.read, "at >= ?", writeTime(since))
}

// Arrived returns what came in under an identifier and was not taken back. The error wraps ErrNotFound.
func (s *Store) Arrived(ctx context.Context, id string) (Arrived, error) {
	list, err := arrivals(ctx, s.read, "id = ?", id)
	if err != nil {
		return Arrived{}, err
	}
	if len(list) == 0 {
		return Arrived{}, fmt.Errorf("what came in under %s: %w", id, ErrNotFound)
	}
	return list[0], nil
}

func arrivals(ctx context.Context, db querier, where string, args ...any) ([]Arrived, error) {
	return collect(ctx, db, func(rows *sql.Rows) (Arrived, error) {
		var a Arrived
		var at string
		if err := rows.Scan(&a.ID, &at, &a.Added, &a.Changed, &a.Presences); err != nil {
			return a, err
		}
		var err error
		a.At, err = readTime(at)
		return a, err
	}, `SELECT id, at,
			(SELECT count(*) FROM arrived WHERE arrival = id AND before IS NULL),
			(SELECT count(*) FROM arrived WHERE arrival = id AND before IS NOT NULL),
			(SELECT count(*) FROM presence WHERE arrival = id)
		FROM arrival WHERE undone = 0 AND `+where+` ORDER BY at DESC, id`, args...)
}

// used says of a student, the row of the outer query, whether anything stands on them.
const used = `(EXISTS (SELECT 1 FROM lesson, json_each(lesson.document, '$.students') AS one WHERE one.value =
student.id)
	OR EXISTS (SELECT 1 FROM played WHERE instr(played.document, student.id) > 0)
	OR EXISTS (SELECT 1 FROM presence WHERE presence.student = student.id)
	OR EXISTS (SELECT 1 FROM attempt WHERE attempt.student = student.id)
	OR EXISTS (SELECT 1 FROM ladder_position WHERE ladder_position.student = student.id)
	OR EXISTS (SELECT 1 FROM remark WHERE remark.student = student.id))`

// TakeBack takes back what came in together: who was added goes, who was changed is as before, and so is who was there.
// Who was changed since, or is in a lesson or a game by now, or was there at one by what came in elsewhere, stays;
// their names are returned. It fails with ErrNotFound where nothing came in under the identifier.
func (s *Store) TakeBack(ctx context.Context, id string) (stayed []string, err error) {
	err = s.in(ctx, func(tx *sql.Tx) error {
		result, err := tx.ExecContext(ctx, "UPDATE arrival SET undone = 1 WHERE id = ?", id)
		if err != nil {
			return err
		}
		if n, err := result.RowsAffected(); err != nil || n == 0 {
			return errors.Join(err, fmt.Errorf("%s: %w", id, ErrNotFound))
		}
		if _, err := tx.ExecContext(ctx, "DELETE FROM presence WHERE arrival = ?", id); err != nil {
			return err
		}
		stays := "student.revision <> arrived.revision OR arrived.before IS NULL AND " + used
		stayed, err = collect(ctx, tx, func(rows *sql.Rows) (name string, err error) {
			return name, rows.Scan(&name)
		}, "SELECT student.document ->> '$.name' FROM arrived JOIN student ON student.id = arrived.student WHERE "+
			"arrived.arrival = ? AND ("+stays+") ORDER BY 1", id)
		if err != nil {
			return err
		}
		going := func(which string) string {
			return "(SELECT student FROM arrived JOIN student ON student.id = arrived.student WHERE arrived.arrival = ?1 " +
				"AND NOT (" + stays + ") AND arrived.before IS " + which + ")"
		}
		for _, statement := range []string{
			// Who is as before again is as they came in with an earlier arrival.
			`UPDATE arrived AS earlier SET revision = revision + 2 WHERE arrival <> ?1 AND EXISTS (
				SELECT 1 FROM arrived AS mine JOIN student ON student.id = mine.student
				WHERE mine.arrival = ?1 AND mine.before IS NOT NULL AND mine.student = earlier.student AND student.revision =
				mine.revision AND mine.revision = earlier.revision + 1)`,
			"UPDATE student SET revision = revision + 1, (document, archived) = (SELECT before, archived FROM arrived WHERE " +
				"arrival = ?1 AND student = student.id) WHERE id IN " + going("NOT NULL"),
			"DELETE FROM student WHERE id IN " + going("NULL"),
			"DELETE FROM arrived WHERE arrival = ?1",
		} {
			if _, err := tx.ExecContext(ctx, statement, id); err != nil {
				return err
			}
		}
		return nil
	})
	return stayed, err
}

// Presences returns who was there, or was not, at lessons that nothing else is known of, the oldest first; of one
// student, or of all where it is empty.
func (s *Store) Presences(ctx context.Context, studentID string) ([]roster.Presence, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (p roster.Presence, err error) {
		return p, rows.Scan(&p.Student, &p.Day, &p.Lesson, &p.Came)
	}, "SELECT student, day, lesson, came FROM presence WHERE ?1 = '' OR student = ?1 ORDER BY day, lesson, student",
		studentID)
}
