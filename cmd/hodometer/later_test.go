package main

import (
	"database/sql"
	"errors"
	"testing"
)

// newerThanThis makes a file one of a Hodometer that is still to be written.
func newerThanThis(t *testing.T, path string) error {
	t.Helper()
	db, err := sql.Open("sqlite", path)
	if err != nil {
		return err
	}
	_, err = db.ExecContext(t.Context(), "INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1)")
	return errors.Join(err, db.Close())
}
