package main

import (
	"bufio"
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"time"

	"hodometer/access"
	"hodometer/store"
)

// passphrase sets the coach's passphrase, or takes it away: whoever can read and write the file may do so anyway.
func passphrase(ctx context.Context, args []string, in io.Reader, out io.Writer) (err error) {
	flags := flag.NewFlagSet("hodometer passphrase", flag.ContinueOnError)
	flags.Usage = func() { _, _ = io.WriteString(flags.Output(), usage) }
	data := flags.String("data", "", "file that everything is kept in")
	none := flags.Bool("clear", false, "take it away")
	if err := flags.Parse(args); err != nil {
		return err
	}
	path, err := service{data: *data, now: time.Now}.file()
	if err != nil {
		return err
	}
	next := store.Passphrase{Since: time.Now().Truncate(time.Millisecond)}
	if !*none {
		_, _ = fmt.Fprintf(out, "The new passphrase, at least %d characters: ", access.Shortest)
		line, err := bufio.NewReader(io.LimitReader(in, 4*access.Longest)).ReadString('\n')
		if err != nil && !errors.Is(err, io.EOF) {
			return err
		}
		typed := strings.TrimRight(line, "\r\n")
		if err := access.CheckPassphrase("passphrase", typed); err != nil {
			return err
		}
		if next.Hash, err = access.Hash(ctx, typed); err != nil {
			return err
		}
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return err
	}
	stored, err := store.Open(ctx, path)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, stored.Close()) }()
	if err := stored.SetPassphrase(ctx, next); err != nil {
		return err
	}
	_, err = fmt.Fprintf(out, "\n%s for %s\n", map[bool]string{true: "There is no passphrase any more", false: "The passphrase is set"}[*none], path)
	return err
}
