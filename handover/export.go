package handover

import (
	"archive/zip"
	"compress/flate"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"time"

	"hodometer/internal/partial"
	"hodometer/store"
)

// exportFormat is the format of an export of everything.
const exportFormat = 1

// Progress is told how much of a work is done, from 0 to 1.
type Progress func(share float64)

// Whole writes everything that is in a file as a .zip that a person can read, and that Bring brings in elsewhere. The
// file is only read, while others may use it: what is written is as it was at one moment, for which folder has room.
// The same content gives the same bytes but for the time.
func Whole(ctx context.Context, data, folder string, out io.Writer, at time.Time, progress Progress) (err error) {
	temporary, err := partial.Folder(folder, partial.Export)
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(temporary) }()
	moment := filepath.Join(temporary, "moment.db")
	if err := store.CopyFile(ctx, data, moment); err != nil {
		return err
	}
	from, err := store.Open(ctx, moment, nil)
	if err != nil {
		return err
	}
	defer func() { _ = from.Close() }()
	w := &whole{ctx: ctx, from: from, zip: zip.NewWriter(out), progress: progress, names: map[string]bool{}}
	packer, err := flate.NewWriter(io.Discard, flate.BestSpeed)
	if err != nil {
		return err
	}
	// One for all files: to make one takes longer than most of them.
	w.zip.RegisterCompressor(zip.Deflate, func(out io.Writer) (io.WriteCloser, error) {
		packer.Reset(out)
		return packer, nil
	})
	if err := w.write(at, temporary); err != nil {
		return err
	}
	return w.zip.Close()
}

// whole writes an export.
type whole struct {
	ctx       context.Context
	from      *store.Store
	zip       *zip.Writer
	names     map[string]bool
	resources []resource
	progress  Progress
	all, done int // rows
}

func (w *whole) write(at time.Time, temporary string) error {
	if err := w.file("README.txt", []byte(aboutExports)); err != nil {
		return err
	}
	tables, err := w.from.Tables(w.ctx)
	if err != nil {
		return err
	}
	if w.all, err = w.from.HowMany(w.ctx, tables); err != nil {
		return err
	}
	ctx, stop := context.WithCancel(w.ctx)
	forPeople, made := make(chan error, 1), false
	// Those take as long as all the others, and are made beside them.
	go func() { forPeople <- w.makeReadable(ctx, temporary) }()
	defer func() {
		if stop(); !made {
			<-forPeople //nolint:errcheck // before the file is closed; what went wrong first is told
		}
	}()
	for _, t := range tables {
		if err := w.table(t); err != nil {
			return fmt.Errorf("%s: %w", t.Name, err)
		}
	}
	err, made = <-forPeople, true
	if err != nil {
		return err
	}
	if err := w.readable(temporary); err != nil {
		return err
	}
	if err := w.pictures(); err != nil {
		return err
	}
	text, err := json.MarshalIndent(dataPackage{
		Profile:   "tabular-data-package",
		Name:      "hodometer-export",
		Title:     "Everything in Hodometer",
		Created:   at.UTC().Truncate(time.Second),
		Hodometer: manifest{Export: exportFormat, File: store.Format()},
		Resources: w.resources,
	}, "", "  ")
	if err != nil {
		return err
	}
	return w.file(descriptor, text)
}

// entry begins a file in the .zip.
func (w *whole) entry(name string) (io.Writer, error) {
	return w.zip.CreateHeader(&zip.FileHeader{Name: name, Method: zip.Deflate, Modified: epoch})
}

func (w *whole) file(name string, data []byte) error {
	out, err := w.entry(name)
	if err != nil {
		return err
	}
	_, err = out.Write(data)
	return err
}

// step counts a row that was written.
func (w *whole) step() error {
	const often = 2000
	if w.done++; w.done%often != 0 {
		return nil
	}
	w.progress(min(float64(w.done)/float64(max(w.all, 1)), 1))
	return w.ctx.Err()
}

// measured writes through to a file and knows how long and what it is.
type measured struct {
	out   io.Writer
	bytes int64
	hash  interface {
		io.Writer
		Sum([]byte) []byte
	}
}

func (m *measured) Write(p []byte) (int, error) {
	m.bytes += int64(len(p))
	_, _ = m.hash.Write(p) // never fails
	return m.out.Write(p)
}

// resource writes a table with what describes it.
func (w *whole) resource(r resource, write func(io.Writer) error) error {
	out, err := w.entry(r.Path)
	if err != nil {
		return err
	}
	m := &measured{out: out, hash: sha256.New()}
	if err := write(m); err != nil {
		return err
	}
	r.Profile, r.Format, r.MediaType, r.Encoding = "tabular-data-resource", "csv", "text/csv", "utf-8"
	r.Bytes, r.Hash = m.bytes, "sha256:"+hex.EncodeToString(m.hash.Sum(nil))
	w.resources = append(w.resources, r)
	return nil
}

// ExportFile writes an export into a new file, which is there only once it is whole. Nothing is written over.
func ExportFile(ctx context.Context, data, path string, at time.Time, progress Progress) error {
	if _, err := os.Lstat(path); err == nil {
		return fmt.Errorf("%s: %w", path, os.ErrExist)
	}
	half, err := partial.File(filepath.Dir(path), partial.Export, ".zip")
	if err != nil {
		return err
	}
	err = errors.Join(Whole(ctx, data, filepath.Dir(data), half, at, progress), half.Close())
	if err == nil {
		err = partial.PutNew(half.Name(), path)
	}
	_ = os.Remove(half.Name()) // it may have its other name by now
	return err
}
