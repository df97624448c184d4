package main

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"time"

	"github.com/spf13/cobra"

	"hodometer/access"
	"hodometer/keeping"
)

// passphraseCommand sets the coach's passphrase, or takes it away.
func passphraseCommand() *cobra.Command {
	c := &cobra.Command{
		Use:     "passphrase",
		GroupID: "file",
		Args:    cobra.NoArgs,
		Short:   "Set the coach's passphrase, or take it away: it is asked for",
		Example: "  hodometer passphrase\n  hodometer passphrase --clear",
	}
	data := dataFlag(c)
	none := c.Flags().Bool("clear", false, "take it away")
	c.RunE = func(c *cobra.Command, _ []string) error {
		return passphrase(c.Context(), *data, *none, c.InOrStdin(), c.OutOrStdout())
	}
	return c
}

// passphrase sets it: whoever can read and write the file may do so anyway.
func passphrase(ctx context.Context, data string, none bool, in io.Reader, out io.Writer) (err error) {
	path, err := service{data: data, now: time.Now}.file()
	if err != nil {
		return err
	}
	next := ""
	if !none {
		_, _ = fmt.Fprintf(out, "The new passphrase, at least %d characters: ", access.Shortest)
		line, err := bufio.NewReader(io.LimitReader(in, 4*access.Longest)).ReadString('\n')
		if err != nil && !errors.Is(err, io.EOF) {
			return err
		}
		typed := strings.TrimRight(line, "\r\n")
		if err := access.CheckPassphrase("passphrase", typed); err != nil {
			return err
		}
		if next, err = access.Hash(ctx, typed); err != nil {
			return err
		}
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return err
	}
	stored, err := keeping.Open(ctx, path, time.Now())
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, stored.Close()) }()
	if err := stored.SetPassphrase(ctx, next); err != nil {
		return err
	}
	_, err = fmt.Fprintf(
		out,
		"\n%s for %s\n",
		map[bool]string{true: "There is no passphrase any more", false: "The passphrase is set"}[none],
		path,
	)
	return err
}
