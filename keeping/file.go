package keeping

import (
	"bytes"
	"cmp"
	"context"
	"crypto/sha256"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"hodometer/internal/partial"
	"hodometer/store"
)

// Damaged says that a file is damaged, that it was left as it is, and what can be done.
type Damaged struct {
	File   string
	Aside  string // where it was copied to
	Newest Copy   // the newest good copy; without a name where there is none
	Err    error
}

// Error says it in words.
func (d *Damaged) Error() string {
	text := fmt.Sprintf("%s is damaged. It was left as it is, and copied to %s.", d.File, d.Aside)
	if d.Newest.Name == "" {
		return text + " There is no good copy of it."
	}
	return fmt.Sprintf("%s The newest good copy is %q.", text, d.Newest.Name)
}

// Unwrap is why it is damaged.
func (d *Damaged) Unwrap() error { return d.Err }

// Open opens a data file, after looking at it, unless it is as it was left: one that is damaged is not written to, but
// copied aside, and the error is a *Damaged. A copy is made before the file is brought up to date.
func Open(ctx context.Context, data string, now time.Time) (*store.Store, error) {
	copies := For(data)
	partial.Sweep(time.Now(), filepath.Dir(data), copies.Folder)
	sound := func() error {
		_, err := store.Examine(ctx, data, store.Quickly)
		if errors.Is(err, store.ErrDamaged) {
			return setAside(ctx, data, copies, now, err)
		}
		return err
	}
	if info, err := os.Stat(data); err == nil && info.Size() > 0 && !asLeft(data) {
		if err := sound(); err != nil {
			return nil, err
		}
	}
	open, err := store.Open(
		ctx,
		data,
		func(ctx context.Context, _ int64, copyTo func(context.Context, string) error) error {
			_, err := copies.Make(ctx, copyTo, now, BeforeUpdate)
			return err
		},
	)
	if err != nil {
		return nil, cmp.Or(sound(), err) // it may be damaged, though it is as it was left
	}
	return open, nil
}

// setAside copies a damaged file, with what SQLite keeps beside it, and says what can be done.
func setAside(ctx context.Context, data string, copies Copies, now time.Time, why error) error {
	newest, _ := copies.Newest(ctx)
	if already := asideAlready(data); already != "" {
		return &Damaged{File: data, Aside: already, Newest: newest, Err: why}
	}
	at := func() string { return fmt.Sprintf("%s.damaged %s", data, now.Format(stamp)) }
	for exists(at()) {
		now = now.Add(time.Second)
	}
	aside := at()
	if err := copyWith(data, aside); err != nil {
		return errors.Join(why, fmt.Errorf("%s is damaged and was left as it is, but cannot be copied aside: %w", data, err))
	}
	return &Damaged{File: data, Aside: aside, Newest: newest, Err: why}
}

// asideAlready is where a damaged file was copied to as it is now; empty where it was not.
func asideAlready(data string) string {
	sums := func(path string) (all [][]byte) {
		for _, ending := range []string{"", "-wal"} {
			hash := sha256.New()
			if file, err := os.Open(path + ending); err == nil { //nolint:gosec // the coach's own choice
				_, _ = io.Copy(hash, file) // what cannot be read is not the same
				_ = file.Close()
			}
			all = append(all, hash.Sum(nil))
		}
		return all
	}
	list, _ := filepath.Glob(escapeGlob.Replace(data) + ".damaged *") // the pattern is a good one
	for _, path := range list {
		if !strings.HasSuffix(path, "-wal") && !strings.HasSuffix(path, "-shm") &&
			slices.EqualFunc(sums(path), sums(data), bytes.Equal) {
			return path
		}
	}
	return ""
}

// escapeGlob has a path stand for itself in a pattern.
var escapeGlob = strings.NewReplacer(`\`, `\\`, "*", `\*`, "?", `\?`, "[", `\[`)

func exists(path string) bool {
	_, err := os.Lstat(path)
	return err == nil
}

// beside are the endings of what SQLite keeps beside a file.
var beside = []string{"-wal", "-shm"}

// copyWith copies a file and what SQLite keeps beside it.
func copyWith(from, to string) error {
	for _, ending := range append([]string{""}, beside...) {
		if err := copyFile(from+ending, to+ending); err != nil && (ending == "" || !errors.Is(err, fs.ErrNotExist)) {
			return err
		}
	}
	return nil
}

func copyFile(from, to string) error {
	in, err := os.Open(from) //nolint:gosec // the coach's own choice
	if err != nil {
		return err
	}
	defer func() { _ = in.Close() }()
	out, err := os.OpenFile(to, os.O_WRONLY|os.O_CREATE|os.O_EXCL, 0o600) //nolint:gosec // the coach's own choice
	if err != nil {
		return err
	}
	_, err = io.Copy(out, in)
	if err = errors.Join(err, out.Sync(), out.Close()); err != nil {
		_ = os.Remove(to) // a part is no copy
	}
	return err
}

// Restored says what was done.
type Restored struct {
	From   string
	Kept   string // where what was there before is
	Health store.Health
}

// Restore puts a copy in the place of an open file's content. What was there is kept as a safe copy. The copy is looked
// at first: its error wraps store.ErrDamaged, store.ErrNewer or store.ErrForeign where it is none.
func (c Copies) Restore(ctx context.Context, open *store.Store, from string, now time.Time) (Restored, error) {
	h, err := store.Examine(ctx, from, store.Wholly)
	if err != nil {
		return Restored{}, fmt.Errorf("%s cannot be restored: %w", from, err)
	}
	var kept Copy
	err = open.RestoreFrom(ctx, from, func() (err error) {
		kept, err = c.make(ctx, open.CopyTo, now, BeforeRestore)
		return err
	})
	if err != nil {
		return Restored{}, err
	}
	// Not before: it might take the one away that was to be restored. What is left is taken away the next time.
	_ = c.thin()
	return Restored{From: from, Kept: filepath.Join(c.Folder, kept.Name), Health: h}, nil
}

// RestoreFile puts a copy in the place of a data file that is not used: also of one that is damaged, which is set
// aside, and of one that is not there.
func RestoreFile(ctx context.Context, data, from string, now time.Time) (done Restored, err error) {
	h, err := store.Examine(ctx, from, store.Wholly)
	if err != nil {
		return done, fmt.Errorf("%s cannot be restored: %w", from, err)
	}
	var damaged *Damaged
	open, err := Open(ctx, data, now)
	switch {
	case errors.As(err, &damaged):
		return Restored{From: from, Kept: damaged.Aside, Health: h}, replace(ctx, data, from)
	case err != nil:
		return done, err
	}
	defer func() { err = errors.Join(err, open.Close()) }()
	return For(data).Restore(ctx, open, from, now)
}

// replace puts a copy in the place of a damaged file, which was copied aside.
func replace(ctx context.Context, data, from string) error {
	fresh := data + ".restoring"
	if err := os.Remove(fresh); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return err
	}
	if err := copyFile(from, fresh); err != nil {
		return err
	}
	// Who was let in by the damaged file is not known for sure: a new passphrase is asked for.
	if err := store.WithAccessOf(ctx, fresh, ""); err != nil {
		return err
	}
	for _, ending := range beside {
		if err := os.Remove(data + ending); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	if err := partial.Put(fresh, data); err != nil {
		return err
	}
	open, err := store.Open(ctx, data, nil)
	if err != nil {
		return err
	}
	return open.Close()
}
