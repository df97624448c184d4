// Package keeping keeps what a coach enters from being lost: safe copies, and what is done when a file is damaged.
package keeping

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"
	"unicode"

	"hodometer/internal/partial"
	"hodometer/store"
)

// Why is why a copy was made.
type Why string

// The reasons.
const (
	Daily         Why = "daily"
	OnDemand      Why = "on demand"
	BeforeUpdate  Why = "before an update" // of the file's format
	BeforeRestore Why = "before a restore" // of another copy
	BeforeImport  Why = "before an import" // of another file's content
)

// Copy is a safe copy.
type Copy struct {
	Name  string
	At    time.Time
	Why   Why
	Host  string // the machine that made it
	Bytes int64
}

// Copies is a folder with the safe copies of one file.
type Copies struct {
	Folder string
	// it is not the usual one: where it is not there, a stick may be missing, and nothing is made in its place
	Chosen bool
	Of     string // the name of the file, without its ending
	Host   string // this machine: others may have their copies in the same folder, and keep them themselves
}

// host is the name of this machine as it stands in the name of a copy.
func host() string {
	name, _ := os.Hostname() // without one it is nameless
	name, _, _ = strings.Cut(name, ".")
	name = strings.Map(func(r rune) rune {
		if unicode.IsLetter(r) || unicode.IsDigit(r) || r == '-' {
			return r
		}
		return -1
	}, name)
	return cmp.Or(name, "nameless")
}

// note is the file beside a data file that says where its copies are, where that is not the usual folder.
func note(data string) string { return data + "-copies.txt" }

// For is where the copies of a data file are: in the folder of choice, else in the folder copies beside it.
func For(data string) Copies {
	c := Copies{
		Folder: filepath.Join(filepath.Dir(data), "copies"),
		Of:     strings.TrimSuffix(filepath.Base(data), filepath.Ext(data)),
		Host:   host(),
	}
	if folder := chosen(data); folder != "" {
		c.Folder, c.Chosen = folder, true
	}
	return c
}

func chosen(data string) string {
	text, _ := os.ReadFile(note(data)) // without one, none is chosen
	return strings.TrimRight(string(text), "\r\n")
}

// Choose has the copies of a data file made in a folder from now on; empty for the usual one. The folder is made where
// it is not there. It fails where nothing can be written in it, and leaves the copies that there are where they are.
func Choose(data, folder string) error {
	folder = strings.TrimSpace(folder) // a blank behind it was typed by accident
	if folder == "" {
		if err := os.Remove(note(data)); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
		return nil
	}
	if !filepath.IsAbs(folder) {
		return errors.New("write the whole path of the folder, from the root of the disk")
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return fmt.Errorf("the folder cannot be made: %w", err)
	}
	try, err := partial.File(folder, partial.Note, "")
	if err != nil {
		return fmt.Errorf("nothing can be written in this folder: %w", err)
	}
	if err := errors.Join(try.Close(), os.Remove(try.Name())); err != nil {
		return err
	}
	return writeWhole(note(data), []byte(folder+"\n"))
}

// writeWhole writes a small file so that it is there whole, or as it was.
func writeWhole(path string, data []byte) error {
	file, err := partial.File(filepath.Dir(path), partial.Note, "")
	if err != nil {
		return err
	}
	_, err = file.Write(data)
	if err = errors.Join(err, file.Close()); err == nil {
		err = partial.Put(file.Name(), path)
	}
	if err != nil {
		return errors.Join(err, os.Remove(file.Name()))
	}
	return nil
}

// stamp is how the time stands in the name of a copy: of the clock of this machine, and sorted by it.
const stamp = "2006-01-02 15.04.05"

// Make makes a safe copy by what makes one, and takes away those that are not kept any longer. What it makes was looked
// at before it has its name.
func (c Copies) Make(
	ctx context.Context,
	copyTo func(ctx context.Context, path string) error,
	at time.Time,
	why Why,
) (Copy, error) {
	made, err := c.make(ctx, copyTo, at, why)
	if err != nil {
		return Copy{}, err
	}
	_ = c.thin() // the copy is good all the same; what is left is taken away the next time
	return made, nil
}

func (c Copies) make(
	ctx context.Context,
	copyTo func(ctx context.Context, path string) error,
	at time.Time,
	why Why,
) (Copy, error) {
	if info, err := os.Stat(c.Folder); c.Chosen && (err != nil || !info.IsDir()) {
		return Copy{}, fmt.Errorf("no safe copy: there is no folder %s; is what it is on plugged in?", c.Folder)
	}
	if err := os.MkdirAll(c.Folder, 0o700); err != nil {
		return Copy{}, fmt.Errorf("no safe copy: the folder cannot be made: %w", err)
	}
	for ; ; at = at.Add(time.Second) { // two copies of one second
		name := fmt.Sprintf("%s %s, %s, %s.db", c.Of, at.Format(stamp), why, c.Host)
		path := filepath.Join(c.Folder, name)
		err := copyTo(ctx, path)
		if errors.Is(err, fs.ErrExist) {
			continue
		}
		if err != nil {
			if says := store.DiskSays(err); says != "" {
				err = fmt.Errorf("%s (%w)", says, err)
			}
			return Copy{}, fmt.Errorf("no safe copy: %w", err)
		}
		made, _ := c.read(name)
		return made, nil
	}
}

// read reads the name of a copy; false where it is the name of something else.
func (c Copies) read(name string) (Copy, bool) {
	rest, mine := strings.CutPrefix(name, c.Of+" ")
	rest, db := strings.CutSuffix(rest, ".db")
	if !mine || !db || len(rest) < len(stamp)+2 {
		return Copy{}, false
	}
	at, err := time.ParseInLocation(stamp, rest[:len(stamp)], time.Local)
	rest, said := strings.CutPrefix(rest[len(stamp):], ", ")
	why, host, hosted := strings.Cut(rest, ", ")
	if err != nil || !said || !hosted || !slices.Contains(Why("").Enum(), any(Why(why))) {
		return Copy{}, false
	}
	one := Copy{Name: name, At: at, Why: Why(why), Host: host}
	if info, err := os.Stat(filepath.Join(c.Folder, name)); err == nil {
		one.Bytes = info.Size()
	}
	return one, true
}

// List is the copies that there are, those of other machines, too, the newest first. Nothing else that is in the folder
// is looked at.
func (c Copies) List() ([]Copy, error) {
	files, err := os.ReadDir(c.Folder)
	if errors.Is(err, fs.ErrNotExist) {
		return []Copy{}, nil
	}
	if err != nil {
		return nil, fmt.Errorf("the folder of the safe copies cannot be read: %w", err)
	}
	list := []Copy{}
	for _, file := range files {
		if one, is := c.read(file.Name()); is && file.Type().IsRegular() {
			list = append(list, one)
		}
	}
	slices.SortStableFunc(list, func(a, b Copy) int { return b.At.Compare(a.At) })
	return list, nil
}

// Path is where the copy of a name is; an error where there is none of that name.
func (c Copies) Path(name string) (string, error) {
	list, err := c.List()
	if err != nil {
		return "", err
	}
	if !slices.ContainsFunc(list, func(one Copy) bool { return one.Name == name }) {
		return "", fmt.Errorf("the copy %q: %w", name, fs.ErrNotExist)
	}
	return filepath.Join(c.Folder, name), nil
}

// others is how many copies of each reason but the daily one and on demand are kept besides: they are from just before
// something that cannot be undone.
const others = 3

// own are the copies that this machine made, the newest first.
func (c Copies) own() ([]Copy, error) {
	list, err := c.List()
	return slices.DeleteFunc(list, func(one Copy) bool { return one.Host != c.Host }), err
}

// thin takes away the copies of this machine that are not kept any longer.
func (c Copies) thin() error {
	list, err := c.own()
	if err != nil {
		return err
	}
	times := make([]time.Time, len(list))
	for i, one := range list {
		times[i] = one.At
	}
	seen := map[Why]int{}
	for i, keep := range Kept(times) {
		seen[list[i].Why]++
		if keep || list[i].Why != Daily && seen[list[i].Why] <= others {
			continue
		}
		err = errors.Join(err, os.Remove(filepath.Join(c.Folder, list[i].Name)))
	}
	return err
}

// Newest is the newest copy that is good, looked at once more; false where there is none.
func (c Copies) Newest(ctx context.Context) (Copy, bool) {
	list, err := c.List()
	if err != nil {
		return Copy{}, false
	}
	for _, one := range list {
		if _, err := store.Examine(ctx, filepath.Join(c.Folder, one.Name), store.Wholly); err == nil {
			return one, true
		}
	}
	return Copy{}, false
}
