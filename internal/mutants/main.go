// Command mutants puts small faults into rooms of core, one at a time, and says how many of them the room's own tests
// notice. go-gremlins makes the faults and runs the tests (short ones); here rooms are set up for it, samples are
// drawn, and its reports are added up. A room below its bar ends the program with 1.
//
//	go run ./internal/mutants [-every 10] [-at 3] [-workers 2] [core/count/score ...]
package main

import (
	"context"
	"flag"
	"fmt"
	"io/fs"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
)

func main() {
	every := flag.Int("every", 1, "only one line of so many is changed; 1 for all of them")
	at := flag.Int("at", 0, "which of so many lines: another number is another sample")
	workers := flag.Int("workers", 2, "faults that are tried at the same time")
	flag.Parse()
	if err := run(context.Background(), flag.Args(), sample{every: *every, at: *at}, *workers); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// run tries the rooms that are asked for, or all of core, and prints a line for each and for each fault that nobody
// noticed.
func run(ctx context.Context, rooms []string, of sample, workers int) error {
	if len(rooms) == 0 {
		var err error
		if rooms, err = all("core"); err != nil {
			return err
		}
	}
	same, err := readSame("internal/mutants/same.txt")
	if err != nil {
		return err
	}
	work, err := os.MkdirTemp("", "mutants-")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(work) }()
	tool := filepath.Join(work, "gremlins")
	const gremlins = "github.com/go-gremlins/gremlins/cmd/gremlins"
	if err := command(ctx, ".", "go", "build", "-modfile=tools/go.mod", "-o", tool, gremlins); err != nil {
		return err
	}
	var below []string
	fmt.Println("room                       faults noticed lived uncovered same  of 100")
	for _, room := range rooms {
		room = filepath.ToSlash(filepath.Clean(room))
		counted, err := one(ctx, tool, filepath.Join(work, "tree"), room, of, workers)
		if err != nil {
			return fmt.Errorf("%s: %w", room, err)
		}
		tally := add(counted, same)
		fmt.Printf("%-26s %6d %7d %5d %9d %4d  %6.1f\n", room, tally.faults, tally.noticed, tally.lived, tally.uncovered,
			tally.same, tally.share())
		for _, each := range tally.left {
			fmt.Println("   ", each)
		}
		if tally.faults > 0 && tally.share() < bar(room) {
			below = append(below, room)
		}
	}
	if len(below) > 0 {
		return fmt.Errorf("below their bar: %s", strings.Join(below, ", "))
	}
	return nil
}

// all are the rooms under a folder that hold code.
func all(root string) ([]string, error) {
	var rooms []string
	err := filepath.WalkDir(root, func(path string, _ fs.DirEntry, err error) error {
		if dir := filepath.ToSlash(filepath.Dir(path)); code(path) && !slices.Contains(rooms, dir) {
			rooms = append(rooms, dir)
		}
		return err
	})
	slices.Sort(rooms)
	return rooms, err
}

// code says whether a path is a file of Go that is no test and is not generated.
func code(path string) bool {
	return filepath.Ext(path) == ".go" && !strings.HasSuffix(path, "_test.go") && filepath.Base(path) != "enums.go"
}

// command runs a program in a folder; what it printed is in the error.
func command(ctx context.Context, dir, name string, args ...string) error {
	process := exec.CommandContext(ctx, name, args...) //nolint:gosec // ours
	process.Dir = dir
	// A result that is remembered would take no time, and no time would be given to a fault.
	process.Env = append(os.Environ(), "GOFLAGS=-short -count=1 -vet=off -failfast -trimpath -ldflags=-w")
	if out, err := process.CombinedOutput(); err != nil {
		return fmt.Errorf("%s %s: %w\n%s", name, strings.Join(args, " "), err, out)
	}
	return nil
}
