// Command hodometer plans, runs and follows up lessons in racket sports.
package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"os/signal"
	"strings"
	"syscall"

	"hodometer/keeping"
	"hodometer/store"
)

// What the program ends with.
const (
	failed  = 1
	misused = 2
	damaged = 3
	newer   = 4
)

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	if err := run(ctx, os.Args[1:], os.Stdin, os.Stdout); err != nil {
		if !errors.As(err, new(*told)) {
			fmt.Fprintln(os.Stderr, "hodometer:", strings.TrimSpace(store.DiskSays(err)+" "+err.Error()))
		}
		stop()
		os.Exit(codeOf(err)) //nolint:gocritic // stop has run
	}
}

// run does what the arguments say, asking and saying what has to be, and returns when that is done or ctx ends.
func run(ctx context.Context, args []string, in io.Reader, out io.Writer) error {
	root := newRoot()
	root.SetArgs(args)
	root.SetIn(in)
	root.SetOut(out)
	root.SetErr(os.Stderr)
	return root.ExecuteContext(ctx)
}

// misuse is a command that was not written as it has to be.
type misuse struct{ error }

// Unwrap is what is wrong with it.
func (m misuse) Unwrap() error { return m.error }

// told is an error that was said already, as JSON.
type told struct{ error }

// Unwrap is the error.
func (t *told) Unwrap() error { return t.error }

// codeOf is what the program ends with.
func codeOf(err error) int {
	switch {
	case errors.As(err, new(misuse)):
		return misused
	case errors.Is(err, store.ErrDamaged), errors.As(err, new(*keeping.Damaged)):
		return damaged
	case errors.Is(err, store.ErrNewer):
		return newer
	}
	return failed
}
