package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"os"
)

// What stands in the head of a file: whether a program has it open. While it does, what was done last is in the log
// beside it, and not in the file.
const (
	closed = 0
	inUse  = 1
)

// mark notes in the file itself whether it is in use.
func (s *Store) mark(ctx context.Context, use int) error {
	if _, err := s.write.ExecContext(ctx, fmt.Sprintf("PRAGMA user_version = %d", use)); err != nil {
		return err
	}
	return s.Settle(ctx)
}

// markClosed notes that a copy is whole by itself.
func markClosed(ctx context.Context, path string) (err error) {
	db, err := sql.Open("sqlite", located(path, "mode=rw"))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	_, err = db.ExecContext(ctx, fmt.Sprintf("PRAGMA user_version = %d", closed))
	return err
}

// LacksLog says whether a file was copied while a program had it open, without the log beside it: what was done last is
// missing in it.
func LacksLog(ctx context.Context, path string) (lacks bool, err error) {
	if _, err := os.Stat(path + "-wal"); err == nil {
		return false, nil
	}
	db, err := onlyRead(path)
	if err != nil {
		return false, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	var use int
	err = db.QueryRowContext(ctx, "PRAGMA user_version").Scan(&use)
	return use == inUse, err
}
