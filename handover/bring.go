package handover

import (
	"archive/zip"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"io"
	"os"
	"path/filepath"
	"slices"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/internal/partial"
	"hodometer/store"
)

// The largest export that is brought in.
const (
	// LargestExport is how large its .zip can be.
	LargestExport = 1 << 30
	// maxWhole is how much can be unpacked of it, each table twice; maxPacked how many times smaller it can have been
	// made.
	maxWhole, maxPacked = 16 << 30, 800
	maxFiles            = 1_000_000
	maxDescriptor       = 1 << 20
	// made is how much of the work it is to make a file of an export; the rest is to take from it what is not here.
	made = 0.7
)

// Brought says what came in.
type Brought struct {
	store.Merged
	Created time.Time // when the export was made
}

// Bring brings an export in, all of it or nothing: what is not here is added, what is here stays as it is, or, of
// documents that differ, the export's are taken where theirs is true. Folder has room for what is made of it on the
// way. Its error is an ErrUnreadable that says why, where it is none.
func Bring(
	ctx context.Context,
	archive io.ReaderAt,
	size int64,
	into *store.Store,
	folder string,
	theirs bool,
	progress Progress,
) (Brought, error) {
	files, err := openExport(archive, size)
	if err != nil {
		return Brought{}, err
	}
	var d dataPackage
	text, err := files.text(descriptor, maxDescriptor)
	if err != nil {
		return Brought{}, err
	}
	if err := json.Unmarshal(text, &d); err != nil || d.Hodometer.Export == 0 {
		return Brought{}, invalid.Unreadable("this .zip is no export of everything: its %s does not say so", descriptor)
	}
	if d.Hodometer.Export > exportFormat {
		return Brought{}, invalid.Unreadable(
			"it was made by a newer Hodometer (export of format %d; this one knows %d)",
			d.Hodometer.Export,
			exportFormat,
		)
	}
	temporary, err := partial.Folder(folder, partial.Import)
	if err != nil {
		return Brought{}, err
	}
	defer func() { _ = os.RemoveAll(temporary) }()
	path := filepath.Join(temporary, "made.db")
	b := &bringing{ctx: ctx, files: files, progress: progress}
	if err := b.verify(d.Resources); err != nil {
		return Brought{}, err
	}
	err = store.Rebuild(ctx, path, d.Hodometer.File, func(l *store.Loading) error { return b.fill(l, d.Resources) })
	if err != nil {
		return Brought{}, err
	}
	if _, err := store.Examine(ctx, path, store.Wholly); err != nil {
		if errors.Is(err, store.ErrDamaged) {
			return Brought{}, invalid.Unreadable("it does not hold together: %s", err)
		}
		return Brought{}, err
	}
	merged, err := into.MergeFrom(ctx, path, theirs)
	return Brought{Merged: merged, Created: d.Created}, err
}

// export is the files of an export.
type export struct {
	by   map[string]*zip.File
	left int64 // of what can be unpacked
}

// openExport opens the .zip of an export. The names in it lead nowhere: nothing is written by them.
func openExport(archive io.ReaderAt, size int64) (*export, error) {
	if size > LargestExport {
		return nil, invalid.Unreadable("it is larger than %d MB", LargestExport>>20)
	}
	reader, err := zip.NewReader(archive, size)
	if err != nil {
		return nil, invalid.Unreadable("this is no .zip, or a damaged one")
	}
	if len(reader.File) > maxFiles {
		return nil, invalid.Unreadable("there are more than %d files in it", maxFiles)
	}
	e := &export{by: make(map[string]*zip.File, len(reader.File)), left: min(maxWhole, max(size*maxPacked, maxDescriptor))}
	for _, file := range reader.File {
		e.by[file.Name] = file
	}
	return e, nil
}

// open opens a file of it; what is read counts towards what can be unpacked.
func (e *export) open(name string) (io.ReadCloser, error) {
	file := e.by[name]
	if file == nil {
		return nil, invalid.Unreadable("there is no %s in it", name)
	}
	content, err := file.Open()
	if err != nil {
		return nil, invalid.Unreadable("%s in it is damaged", name)
	}
	return &rationed{ReadCloser: content, of: e, name: name}, nil
}

func (e *export) text(name string, most int64) ([]byte, error) {
	content, err := e.open(name)
	if err != nil {
		return nil, err
	}
	defer func() { _ = content.Close() }()
	text, err := io.ReadAll(io.LimitReader(content, most+1))
	if err == nil && int64(len(text)) > most {
		return nil, invalid.Unreadable("%s in it is too large", name)
	}
	return text, err
}

// rationed is a file that is unpacked within what can be.
type rationed struct {
	io.ReadCloser
	of   *export
	name string
}

func (r *rationed) Read(into []byte) (int, error) {
	n, err := r.ReadCloser.Read(into)
	if r.of.left -= int64(n); r.of.left < 0 {
		return n, invalid.Unreadable("what is in this .zip is too large")
	}
	if err != nil && err != io.EOF {
		return n, invalid.Unreadable("%s in it is damaged", r.name)
	}
	return n, err
}

// bringing makes a file of an export.
type bringing struct {
	ctx       context.Context
	files     *export
	progress  Progress
	all, done int64 // bytes
}

// verify fails where a table is not as it was exported, before anything is made of any.
func (b *bringing) verify(resources []resource) error {
	for _, r := range resources {
		content, err := b.files.open(r.Path)
		if err != nil {
			return err
		}
		hash := sha256.New()
		n, err := io.Copy(hash, content)
		_ = content.Close()
		switch {
		case err != nil:
			return err
		case r.Hash != "sha256:"+hex.EncodeToString(hash.Sum(nil)):
			return invalid.Unreadable("%s was changed since it was exported, or is damaged", r.Path)
		case b.ctx.Err() != nil:
			return b.ctx.Err()
		}
		b.all += n
	}
	return nil
}

func (b *bringing) fill(l *store.Loading, resources []resource) error {
	for _, t := range l.Tables {
		i := slices.IndexFunc(resources, func(r resource) bool { return r.Name == t.Name })
		if i < 0 {
			return invalid.Unreadable("there is no table %q in it", t.Name)
		}
		if err := b.table(l, t.Name, resources[i]); err != nil {
			return err
		}
		b.done += resources[i].Bytes
		b.progress(made * min(float64(b.done)/float64(max(b.all, 1)), 1))
	}
	return nil
}

func (b *bringing) table(l *store.Loading, name string, r resource) error {
	content, err := b.files.open(r.Path)
	if err != nil {
		return err
	}
	defer func() { _ = content.Close() }()
	return readRows(name, content, func(columns []string) (func([]any) error, []string, error) {
		return b.rows(l, name, columns)
	})
}

// rows has the rows of a table put, with their documents from the files where they are.
func (b *bringing) rows(l *store.Loading, name string, columns []string) (func([]any) error, []string, error) {
	file, document := slices.Index(columns, fileColumn), slices.Index(columns, "document")
	stored := columns
	if file >= 0 {
		if document < 0 || file != len(columns)-1 {
			return nil, nil, invalid.Unreadable("the table %s has no documents", name)
		}
		stored = columns[:file]
	}
	put, types, err := l.Table(b.ctx, name, stored)
	if err != nil || file < 0 {
		return put, types, err
	}
	return func(values []any) error {
		if place, _ := values[file].(string); place != "" {
			text, err := b.files.text(place, maxPiece)
			if err != nil {
				return err
			}
			if values[document], err = gather(text); err != nil {
				return invalid.Unreadable("%s cannot be read: %s", place, err)
			}
		}
		return put(values[:file])
	}, append(types, "TEXT"), nil
}
