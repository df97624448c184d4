// Package demo fills a file of its own with an invented club: Millbrook Lane, two outdoor courts and a
// sports hall, one coach and twelve students.
package demo

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"time"

	"hodometer/internal/partial"
	"hodometer/store"
)

// ErrRealData says that a file holds a coach's own data, which the demo does not touch.
var ErrRealData = errors.New("this file holds real data, and the demo does not touch it; name another one with --data")

// Open opens the demo in a file. A file that is not there is made, with its lessons around the day of
// now, and with so many years of a busy coach before them; one that a demo made earlier is opened as it was left.
func Open(ctx context.Context, path string, now time.Time, years int) (*store.Store, error) {
	_, err := os.Stat(path)
	switch {
	case err == nil:
		isDemo, err := store.IsDemo(ctx, path)
		if err != nil {
			return nil, err
		}
		if !isDemo {
			return nil, fmt.Errorf("%s: %w", path, ErrRealData)
		}
		return store.Open(ctx, path, nil)
	case !errors.Is(err, fs.ErrNotExist):
		return nil, err
	}
	if err := build(ctx, path, now, years); err != nil {
		return nil, fmt.Errorf("make the demo: %w", err)
	}
	return store.Open(ctx, path, nil)
}

// build makes the file beside its place and moves it there whole, so that no half demo is ever found.
func build(ctx context.Context, path string, now time.Time, years int) error {
	folder, err := partial.Folder(filepath.Dir(path), partial.Demo)
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	half := filepath.Join(folder, "half.db")
	stored, err := store.Open(ctx, half, nil)
	if err != nil {
		return err
	}
	// A file that is cut off half-way is thrown away.
	err = errors.Join(stored.Hasten(ctx), fill(ctx, stored, now, years), stored.MarkDemo(ctx), stored.Close())
	if err != nil {
		return err
	}
	return partial.Put(half, path)
}
