package store

import (
	"context"
	"database/sql"
	"errors"
)

// FileOf makes a file as it was after a migration, and fills it.
func FileOf(ctx context.Context, path string, migration int64, fill string) (err error) {
	db, err := sql.Open("sqlite", dsn(path))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	provider, err := migrator(db)
	if err != nil {
		return err
	}
	if _, err := provider.UpTo(ctx, migration); err != nil {
		return err
	}
	_, err = db.ExecContext(ctx, fill)
	return err
}
