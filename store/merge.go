package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"strings"
)

// Merged is what came in from another file.
type Merged struct {
	Added   map[string]int // rows that are new, by table
	Clashed []Clash        // documents that are here in another version
}

// Clash is a document that is in both files, and not the same.
type Clash struct {
	Table string `json:"kind"`
	ID    string `json:"id"`
	Name  string `json:"name"`
}

// documents are the tables of documents.
var documents = []string{"student", "drill", "game", "lesson", "played"}

// differs is where a document of theirs is another version of mine: also where nothing but its archive differs.
const differs = "(other.document <> mine.document OR other.archived <> mine.archived)"

// MergeFrom brings in what is in another file of the same format, all of it or nothing: what is not here is added, with
// its counts; what is here stays. Of a document that is here in another version, that of here stays, or the other one
// is taken where theirs is true. Sent again it changes nothing.
func (s *Store) MergeFrom(ctx context.Context, path string, theirs bool) (m Merged, err error) {
	defer s.writes.Add(1)
	conn, err := s.write.Conn(ctx)
	if err != nil {
		return m, err
	}
	defer func() { err = errors.Join(err, conn.Close()) }()
	if _, err := conn.ExecContext(ctx, "ATTACH ? AS theirs", path); err != nil {
		return m, err
	}
	defer func() {
		_, detached := conn.ExecContext(context.WithoutCancel(ctx), "DETACH theirs")
		err = errors.Join(err, detached)
	}()
	tx, err := conn.BeginTx(ctx, nil)
	if err != nil {
		return m, err
	}
	merging := merging{ctx: ctx, tx: tx, Merged: Merged{Added: map[string]int{}}}
	if err := merging.all(theirs); err != nil {
		return m, errors.Join(err, tx.Rollback())
	}
	return merging.Merged, tx.Commit()
}

type merging struct {
	ctx context.Context
	tx  *sql.Tx
	Merged
}

func (m *merging) all(theirs bool) error {
	clashes, err := m.clashes()
	if err != nil {
		return err
	}
	m.Clashed = clashes
	if _, err := m.tx.ExecContext(m.ctx, "PRAGMA defer_foreign_keys = 1"); err != nil {
		return err
	}
	for _, table := range documents {
		if err := m.add(
			table,
			"INSERT INTO main."+table+" (id, revision, archived, document) SELECT id, revision, archived, document FROM "+
				"theirs."+table+" WHERE true ON CONFLICT DO NOTHING",
		); err != nil {
			return err
		}
		if theirs {
			//nolint:gosec // constants
			newest := "UPDATE main." + table + " AS mine SET revision = max(mine.revision, other.revision) + 1, document = " +
				"other.document, archived = other.archived FROM theirs." + table +
				" AS other WHERE other.id = mine.id AND " + differs
			if _, err := m.tx.ExecContext(m.ctx, newest); err != nil {
				return err
			}
		}
	}
	if theirs {
		if _, err := m.tx.ExecContext(
			m.ctx,
			"UPDATE main.coach AS mine SET revision = max(mine.revision, other.revision) + 1, document = other.document "+
				"FROM theirs.coach AS other WHERE other.document <> mine.document",
		); err != nil {
			return err
		}
	}
	if err := m.counts(); err != nil {
		return err
	}
	for _, table := range []string{"coach", "clock", "closing", "remark", "ladder_position", "act", "arrival", "arrived",
		"presence", "calendar", "booking"} {
		if err := m.add(
			table,
			"INSERT INTO main."+table+" SELECT * FROM theirs."+table+" WHERE true ON CONFLICT DO NOTHING",
		); err != nil {
			return err
		}
	}
	return nil
}

func (m *merging) add(table, statement string) error {
	result, err := m.tx.ExecContext(m.ctx, statement)
	if err != nil {
		return fmt.Errorf("%s: %w", table, err)
	}
	n, err := result.RowsAffected()
	m.Added[table] += int(n)
	return err
}

func (m *merging) clashes() ([]Clash, error) {
	parts := make([]string, len(documents))
	for i, table := range documents {
		parts[i] = fmt.Sprintf(
			"SELECT '%[1]s', mine.id, coalesce(CASE WHEN json_valid(mine.document) THEN coalesce(mine.document ->> "+
				"'$.name', mine.document ->> '$.title') END, '') FROM main.%[1]s AS mine JOIN theirs.%[1]s AS other ON "+
				"other.id = mine.id AND %[2]s",
			table,
			differs,
		)
	}
	return collect(
		m.ctx,
		m.tx,
		func(rows *sql.Rows) (c Clash, err error) { return c, rows.Scan(&c.Table, &c.ID, &c.Name) },
		strings.Join(parts, " UNION ALL ")+" ORDER BY 1, 3, 2",
	)
}

// counts brings in what was counted: attempts by what they are of, runs of devices by their identifiers, balls by their
// numbers.
func (m *merging) counts() error {
	var statements []string
	// What is named by its text, whatever its key is here and there.
	for _, named := range []struct{ table, text string }{{"measure", "document"}, {"fault", "text"}, {"zone", "bounds"}} {
		statements = append(
			statements,
			fmt.Sprintf(
				"CREATE TEMP TABLE same_%[1]s AS SELECT other.key AS theirs, coalesce(mine.key, other.key + (SELECT "+
					"coalesce(max(key), 0) FROM main.%[1]s)) AS ours FROM theirs.%[1]s AS other LEFT JOIN main.%[1]s AS mine ON "+
					"mine.%[2]s = other.%[2]s",
				named.table,
				named.text,
			),
			fmt.Sprintf(
				"INSERT INTO main.%[1]s (key, %[2]s) SELECT same.ours, other.%[2]s FROM theirs.%[1]s AS other JOIN same_%[1]s "+
					"AS same ON same.theirs = other.key WHERE true ON CONFLICT DO NOTHING",
				named.table,
				named.text,
			),
		)
	}
	statements = append(
		statements,
		// What is named by others.
		"CREATE TEMP TABLE same_attempt AS SELECT other.key AS theirs, coalesce(mine.key, other.key + (SELECT "+
			"coalesce(max(key), 0) FROM main.attempt)) AS ours, mine.key IS NULL AS new FROM theirs.attempt AS other LEFT "+
			"JOIN main.attempt AS mine USING (lesson, block, student, number)",
		"CREATE TEMP TABLE same_run AS SELECT other.key AS theirs, coalesce(mine.key, other.key + (SELECT "+
			"coalesce(max(key), 0) FROM main.run)) AS ours, mine.key IS NULL AS new FROM theirs.run AS other LEFT JOIN "+
			"main.run AS mine USING (id)",
		"CREATE UNIQUE INDEX temp.same_run_theirs ON same_run (theirs)",
		"CREATE UNIQUE INDEX temp.same_attempt_theirs ON same_attempt (theirs)",
		// What is here already, and counted further there.
		fmt.Sprintf(
			`CREATE TEMP TABLE grown AS SELECT DISTINCT same_attempt.ours FROM theirs.run AS other JOIN same_run ON
			same_run.theirs = other.key JOIN same_attempt ON same_attempt.theirs = other.attempt
			WHERE NOT same_attempt.new AND (same_run.new OR EXISTS (SELECT 1 FROM theirs.ball WHERE key BETWEEN other.key *
			%[1]d AND other.key * %[1]d + %[1]d - 1
				AND NOT EXISTS (SELECT 1 FROM main.ball AS mine WHERE mine.key = same_run.ours * %[1]d + theirs.ball.key %%
				%[1]d)))`,
			ballsOfRun,
		),
	)
	for _, statement := range statements {
		if _, err := m.tx.ExecContext(m.ctx, statement); err != nil {
			return fmt.Errorf("%s: %w", statement, err)
		}
	}
	attempt, err := tableOf(m.ctx, m.tx, "attempt")
	if err != nil {
		return err
	}
	var taken []string
	for _, c := range attempt.columns() {
		if c != "key" && c != "measure" {
			taken = append(taken, c)
		}
	}
	columns := quoted(taken...)
	if err := m.add(
		"attempt",
		"INSERT INTO main.attempt (key, measure, "+columns+") SELECT same.ours, same_measure.ours, "+columns+
			" FROM theirs.attempt AS other JOIN same_attempt AS same ON same.theirs = other.key AND same.new"+
			" LEFT JOIN same_measure ON same_measure.theirs = other.measure ORDER BY same.ours",
	); err != nil {
		return err
	}
	for _, step := range []struct{ table, statement string }{
		{"faulted", "INSERT INTO main.faulted (attempt, fault, times) SELECT same.ours, same_fault.ours, other.times " +
			"FROM theirs.faulted AS other JOIN same_attempt AS same ON same.theirs = other.attempt AND same.new JOIN " +
			"same_fault ON same_fault.theirs = other.fault"},
		{"run", "INSERT INTO main.run (key, id, attempt, at) SELECT same.ours, other.id, same_attempt.ours, other.at " +
			"FROM theirs.run AS other JOIN same_run AS same ON same.theirs = other.key AND same.new JOIN same_attempt ON " +
			"same_attempt.theirs = other.attempt ORDER BY same.ours"},
		// A fault that was seen is a ball that names it.
		{"ball", fmt.Sprintf(`INSERT INTO main.ball (key, at, kind, choice, made, "of", x, y, zone)
			SELECT same.ours * %[1]d + other.key %% %[1]d, other.at, other.kind, other.choice, CASE other.kind WHEN %[2]d THEN
			same_fault.ours ELSE other.made END, other."of", other.x, other.y, same_zone.ours
			FROM theirs.ball AS other JOIN same_run AS same ON same.theirs = other.key / %[1]d
			LEFT JOIN same_fault ON other.kind = %[2]d AND same_fault.theirs = other.made LEFT JOIN same_zone ON
			same_zone.theirs = other.zone
			WHERE true ORDER BY other.key ON CONFLICT DO NOTHING`, ballsOfRun, faultKind())},
	} {
		if err := m.add(step.table, step.statement); err != nil {
			return err
		}
	}
	return m.resummarise()
}

// resummarise works out again what was counted of attempts that are in both files, where another device counted of them
// there.
func (m *merging) resummarise() error {
	keys, err := collect(
		m.ctx,
		m.tx,
		func(rows *sql.Rows) (key int64, err error) { return key, rows.Scan(&key) },
		"SELECT ours FROM grown ORDER BY ours",
	)
	if err != nil {
		return err
	}
	for _, key := range keys {
		if err := summarise(m.ctx, m.tx, key); err != nil {
			return err
		}
	}
	for _, table := range []string{"same_measure", "same_fault", "same_zone", "same_attempt", "same_run", "grown"} {
		if _, err := m.tx.ExecContext(m.ctx, "DROP TABLE temp."+table); err != nil {
			return err
		}
	}
	return nil
}
