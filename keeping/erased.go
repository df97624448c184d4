package keeping

import (
	"context"
	"errors"
	"os"
	"path/filepath"

	"hodometer/internal/partial"
	"hodometer/store"
)

// Holding are the copies that have somebody under an identifier, the newest first. What cannot be read can neither be
// restored, and is left out.
func (c Copies) Holding(ctx context.Context, id string) ([]Copy, error) {
	list, err := c.List()
	if err != nil {
		return nil, err
	}
	holding := []Copy{}
	for _, one := range list {
		if holds, err := store.Holds(ctx, filepath.Join(c.Folder, one.Name), id); err == nil && holds {
			holding = append(holding, one)
		}
		if ctx.Err() != nil {
			return nil, ctx.Err()
		}
	}
	return holding, nil
}

// EraseFrom erases somebody from a copy: it is written anew, in the format of today, looked at, and only then put in
// the place of the old one, which is there whole until then.
func (c Copies) EraseFrom(ctx context.Context, name, id string) (err error) {
	path, err := c.Path(name)
	if err != nil {
		return err
	}
	folder, err := partial.Folder(c.Folder, partial.Copy)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.RemoveAll(folder)) }()
	fresh := filepath.Join(folder, "half.db")
	if err := copyFile(path, fresh); err != nil {
		return err
	}
	open, err := store.Open(ctx, fresh, nil)
	if err != nil {
		return err
	}
	if err := errors.Join(open.EraseStudent(ctx, id), open.Close()); err != nil {
		return err
	}
	if _, err := store.Examine(ctx, fresh, store.Wholly); err != nil {
		return err
	}
	return partial.Put(fresh, path)
}

// Delete deletes a copy.
func (c Copies) Delete(name string) error {
	path, err := c.Path(name)
	if err != nil {
		return err
	}
	return os.Remove(path)
}
