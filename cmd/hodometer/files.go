package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"time"

	"github.com/spf13/cobra"

	"hodometer/handover"
	"hodometer/keeping"
	"hodometer/store"
)

// dataFlag names the file that a command is about.
func dataFlag(c *cobra.Command) *string {
	data := c.Flags().String("data", "", "file that everything is kept in, else the usual one")
	_ = c.MarkFlagFilename("data", "db") // for completion only
	return data
}

// done is what a file command says at its end: in words, or as JSON.
type done interface{ said() string }

// fileCommand is a command about the data file, which says what it did in words or as JSON.
func fileCommand(
	use, short, example string,
	work func(ctx context.Context, data string, args []string) (done, error),
) *cobra.Command {
	c := &cobra.Command{Use: use, Short: short, GroupID: "file", Example: example, Args: cobra.NoArgs}
	data := dataFlag(c)
	asJSON := c.Flags().Bool("json", false, "say what was done, or what is wrong, as JSON")
	c.RunE = func(c *cobra.Command, args []string) error {
		path, err := service{data: *data, now: time.Now}.file()
		if err != nil {
			return err
		}
		result, err := work(c.Context(), path, args)
		if !*asJSON {
			if err == nil {
				_, err = fmt.Fprintln(c.OutOrStdout(), result.said())
			}
			return err
		}
		return asText(c.OutOrStdout(), result, err)
	}
	return c
}

// asText writes a result, or an error, as JSON.
func asText(out io.Writer, result done, wrong error) error {
	said := struct {
		OK     bool   `json:"ok"`
		Error  string `json:"error,omitempty"`
		Code   int    `json:"code"`
		Result done   `json:"result,omitempty"`
	}{OK: wrong == nil, Result: result}
	if wrong != nil {
		said.Error, said.Code = wrong.Error(), codeOf(wrong)
	}
	text, err := json.MarshalIndent(said, "", "  ")
	if err != nil {
		return err
	}
	if _, err := fmt.Fprintln(out, string(text)); err != nil {
		return err
	}
	if wrong != nil {
		return &told{wrong}
	}
	return nil
}

// fileCommands are those about the data file.
func fileCommands() []*cobra.Command {
	backup := fileCommand(
		"backup COPY.db",
		"Make a copy while Hodometer may be running, and look at it",
		`  hodometer backup /media/stick/club.db
  hodometer backup --data club.db --json copy.db`,
		backupTo,
	)
	restore := fileCommand(
		"restore COPY.db",
		"Put a copy in the place of the file; what was there is kept",
		`  hodometer restore /media/stick/club.db`,
		restoreFrom,
	)
	for _, c := range []*cobra.Command{backup, restore} {
		c.Args = cobra.ExactArgs(1)
		c.ValidArgsFunction = func(*cobra.Command, []string, string) ([]string, cobra.ShellCompDirective) {
			return []string{"db"}, cobra.ShellCompDirectiveFilterFileExt
		}
	}
	check := fileCommand("check", "Look at the file without writing to it", `  hodometer check
  hodometer check --data copy.db --json`, checkFile)
	return []*cobra.Command{backup, restore, check, exportCommand(), importCommand()}
}

// exportCommand writes everything that is in the file.
func exportCommand() *cobra.Command {
	c := fileCommand(
		"export OUT.zip",
		"Write everything as a .zip that a person can read, while Hodometer may be running",
		`  hodometer export everything.zip
  hodometer export --data club.db everything.zip`,
		exportTo,
	)
	c.Args = cobra.ExactArgs(1)
	return c
}

// importCommand brings such a .zip in.
func importCommand() *cobra.Command {
	theirs := false
	c := fileCommand(
		"import IN.zip",
		"Bring everything of an export in: into a new file, or what is not in this one yet",
		`  hodometer import everything.zip
  hodometer import --data new.db everything.zip
  hodometer import --theirs everything.zip`,
		func(ctx context.Context, data string, args []string) (done, error) {
			return importFrom(ctx, data, args[0], theirs)
		},
	)
	c.Flags().
		BoolVar(&theirs, "theirs", false, "of documents that are in both and differ, take those of the export; else "+
			"those of the file stay")
	c.Args = cobra.ExactArgs(1)
	c.ValidArgsFunction = func(*cobra.Command, []string, string) ([]string, cobra.ShellCompDirective) {
		return []string{"zip"}, cobra.ShellCompDirectiveFilterFileExt
	}
	return c
}

// Health is a file that was looked at.
type Health struct {
	File string `json:"file"`
	store.Health
}

func (h Health) said() string {
	return fmt.Sprintf(
		"%s is sound: %d students, %d lessons, %d drills and %d games played, %d counts (format %d).",
		h.File,
		h.Students,
		h.Lessons,
		h.Drills,
		h.Games,
		h.Counts,
		h.Format,
	)
}

func checkFile(ctx context.Context, data string, _ []string) (done, error) {
	h, err := store.Examine(ctx, data, store.Wholly)
	if errors.Is(err, fs.ErrNotExist) {
		return nil, fmt.Errorf("there is no file %s: %w", data, err)
	}
	if err != nil {
		return nil, fmt.Errorf("%s: %w", data, err)
	}
	lacks, err := store.LacksLog(ctx, data)
	if err != nil {
		return nil, fmt.Errorf("%s: %w", data, err)
	}
	if lacks {
		return nil, fmt.Errorf("%s: %w", data, errNoLog)
	}
	return Health{data, h}, nil
}

// errNoLog says that a file is a plain copy of one that was in use.
var errNoLog = fmt.Errorf(
	"%w: it was copied while Hodometer ran, without the log beside it (-wal), so that what was done last is missing; "+
		"copy with hodometer backup, or stop Hodometer first",
	store.ErrDamaged,
)

// notWritten says why a file could not be made of the data.
func notWritten(err error, data, path string) error {
	switch {
	case errors.Is(err, fs.ErrExist):
		return fmt.Errorf("%s is there already, and nothing is written over: name another", path)
	case errors.Is(err, fs.ErrNotExist):
		return fmt.Errorf("there is no file %s, or no folder for %s: %w", data, path, err)
	}
	return fmt.Errorf("%s: %w", data, err)
}

// copied is a copy that was made.
type copied struct {
	Copy Health `json:"copy"`
}

func (c copied) said() string { return "Copied. " + c.Copy.said() }

func backupTo(ctx context.Context, data string, args []string) (done, error) {
	if err := store.CopyFile(ctx, data, args[0]); err != nil {
		return nil, notWritten(err, data, args[0])
	}
	h, err := store.Examine(ctx, args[0], store.Quickly)
	return copied{Health{args[0], h}}, err
}

// notRunning fails where a file is open in another program: what that knows by heart would no longer be so.
func notRunning(ctx context.Context, data string) error {
	used, err := store.InUse(ctx, data)
	if used {
		const running = "Hodometer is running with %s: stop it first, or do it on its page, under Settings"
		return fmt.Errorf(running, data) //nolint:staticcheck // its name
	}
	return err
}

// restored is a copy that was put in the place of a file.
type restored struct {
	From Health `json:"from"`
	Kept string `json:"kept"`
}

func (r restored) said() string {
	return fmt.Sprintf("Restored %s\nWhat was there before is kept in %s", r.From.said(), r.Kept)
}

func restoreFrom(ctx context.Context, data string, args []string) (done, error) {
	if err := os.MkdirAll(filepath.Dir(data), 0o700); err != nil {
		return nil, err
	}
	if err := notRunning(ctx, data); err != nil {
		return nil, err
	}
	r, err := keeping.RestoreFile(ctx, data, args[0], time.Now())
	if err != nil {
		return nil, err
	}
	return restored{From: Health{args[0], r.Health}, Kept: r.Kept}, nil
}

// exported is an export that was written.
type exported struct {
	Export string `json:"export"`
	Bytes  int64  `json:"bytes"`
}

func (e exported) said() string {
	return fmt.Sprintf(
		"Exported everything to %s (%.1f MB). It holds all that is private.",
		e.Export,
		float64(e.Bytes)/1e6,
	)
}

func exportTo(ctx context.Context, data string, args []string) (done, error) {
	if err := handover.ExportFile(ctx, data, args[0], time.Now(), onTerminal()); err != nil {
		return nil, notWritten(err, data, args[0])
	}
	info, err := os.Stat(args[0])
	if err != nil {
		return nil, err
	}
	return exported{Export: args[0], Bytes: info.Size()}, nil
}

func silently(float64) {}

// onTerminal tells how much is done where somebody looks at it.
func onTerminal() handover.Progress {
	if info, err := os.Stderr.Stat(); err != nil || info.Mode()&os.ModeCharDevice == 0 {
		return silently
	}
	return func(share float64) { _, _ = fmt.Fprintf(os.Stderr, "\r%3.0f %%\r", 100*share) }
}

// imported is an export that was brought in.
type imported struct {
	File    string         `json:"file"`
	Added   map[string]int `json:"added"`
	Clashed []store.Clash  `json:"clashed"`
	Theirs  bool           `json:"theirs"`
	Kept    string         `json:"kept,omitempty"`
}

func (i imported) said() string {
	text := fmt.Sprintf(
		"Brought into %s: %d students, %d lessons, %d drills, %d games played, %d counts.",
		i.File,
		i.Added["student"],
		i.Added["lesson"],
		i.Added["drill"],
		i.Added["played"],
		i.Added["ball"],
	)
	for _, c := range i.Clashed {
		text += fmt.Sprintf("\n  differs: %s %q", c.Table, c.Name)
	}
	switch {
	case len(i.Clashed) > 0 && i.Theirs:
		text += "\nOf what differs, that of the export was taken."
	case len(i.Clashed) > 0:
		text += "\nOf what differs, that of the file stays; with --theirs that of the export is taken."
	}
	if i.Kept != "" {
		text += "\nWhat was there before is kept in " + i.Kept
	}
	return text
}

func importFrom(ctx context.Context, data, path string, theirs bool) (_ done, err error) {
	if err := notRunning(ctx, data); err != nil {
		return nil, err
	}
	archive, err := os.Open(path) //nolint:gosec // the coach's own choice
	if err != nil {
		return nil, fmt.Errorf("%s cannot be read: %w", path, err)
	}
	defer func() { _ = archive.Close() }()
	info, err := archive.Stat()
	if err != nil {
		return nil, err
	}
	if err := os.MkdirAll(filepath.Dir(data), 0o700); err != nil {
		return nil, err
	}
	open, err := keeping.Open(ctx, data, time.Now())
	if err != nil {
		return nil, err
	}
	defer func() { err = errors.Join(err, open.Close()) }()
	result, kept, err := keeping.Import(ctx, open, data, archive, info.Size(), theirs, time.Now(), onTerminal())
	if err != nil {
		return nil, fmt.Errorf("%s: nothing was brought in: %w", path, err)
	}
	return imported{
		File:    data,
		Added:   result.Added,
		Clashed: append([]store.Clash{}, result.Clashed...),
		Theirs:  theirs,
		Kept:    kept,
	}, nil
}
