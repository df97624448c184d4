package partial

import (
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
)

// Put gives a file that is whole a name, once it is on the disk; what was called so before is there whole until then.
func Put(whole, path string) error {
	if err := settle(whole); err != nil {
		return err
	}
	if err := os.Rename(whole, path); err != nil {
		return err
	}
	return settle(filepath.Dir(path))
}

// PutNew gives a file that is whole the name of one that is not there yet, once it is on the disk. Nothing is written
// over: the error wraps fs.ErrExist. Under the name that it had, the file may be left.
func PutNew(whole, path string) error {
	if err := settle(whole); err != nil {
		return err
	}
	if err := os.Link(whole, path); err != nil { // unlike a renaming, this never writes over
		if errors.Is(err, fs.ErrExist) {
			return fmt.Errorf("%s: %w", path, fs.ErrExist)
		}
		// A disk without links: the name is taken first, so that none that has just appeared is written over.
		taken, err := os.OpenFile(path, os.O_WRONLY|os.O_CREATE|os.O_EXCL, 0o600) //nolint:gosec // the coach's own choice
		if errors.Is(err, fs.ErrExist) {
			return fmt.Errorf("%s: %w", path, fs.ErrExist)
		}
		if err != nil {
			return err
		}
		if err := errors.Join(taken.Close(), os.Rename(whole, path)); err != nil {
			return errors.Join(err, os.Remove(path))
		}
	}
	return settle(filepath.Dir(path))
}

// settle waits until a file, or what is in a folder, is on the disk.
func settle(path string) error {
	file, err := os.Open(path) //nolint:gosec // the coach's own choice
	if err != nil {
		return err
	}
	return errors.Join(file.Sync(), file.Close())
}
