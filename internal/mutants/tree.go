package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"hash/fnv"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
)

// sample is which lines are changed: one of so many, by what stands in them, so that the same lines are drawn again.
type sample struct{ every, at int }

func (s sample) has(path string, line int, text string) bool {
	if s.every <= 1 {
		return true
	}
	sum := fnv.New32a()
	_, _ = fmt.Fprintf(sum, "%s %d %s", path, line, text)
	return int(sum.Sum32()%uint32(s.every)) == s.at%s.every //nolint:gosec // small numbers
}

// one tries the faults of a room in a tree of its own: the code, and no tests but the room's.
func one(ctx context.Context, tool, tree, room string, of sample, workers int) ([]fault, error) {
	if err := plant(ctx, tree, room, of); err != nil {
		return nil, err
	}
	report := filepath.Join(tree, "..", "report.json")
	err := command(ctx, tree, tool, "unleash", ".", "--invert-logical", "--diff", "sampled", "--output", report,
		"--workers", strconv.Itoa(workers), "--timeout-coefficient", "10", "--exclude-files", "enums.go$")
	if err != nil {
		return nil, err
	}
	text, err := os.ReadFile(report) //nolint:gosec // made here
	if err != nil {
		return nil, err
	}
	var told struct {
		Files []struct {
			Name      string  `json:"file_name"`
			Mutations []fault `json:"mutations"`
		} `json:"files"`
	}
	if err := json.Unmarshal(text, &told); err != nil {
		return nil, err
	}
	var faults []fault
	for _, file := range told.Files {
		if filepath.ToSlash(filepath.Dir(file.Name)) != room {
			continue
		}
		source, err := os.ReadFile(file.Name)
		if err != nil {
			return nil, err
		}
		lines := strings.Split(string(source), "\n")
		for _, each := range file.Mutations {
			each.file, each.text = file.Name, strings.TrimSpace(lines[each.Line-1])
			faults = append(faults, each)
		}
	}
	slices.SortFunc(faults, fault.compare)
	if faults, err = viable(room, faults); err != nil {
		return nil, err
	}
	return faults, retry(ctx, tree, room, faults)
}

// plant copies what a room needs into a tree, and has git say that the sampled lines of the room are new.
func plant(ctx context.Context, tree, room string, of sample) error {
	if err := os.RemoveAll(tree); err != nil {
		return err
	}
	for _, part := range []string{"go.mod", "go.sum", "core", "cmd/courtside", "internal", "docs/shorthand.md"} {
		if err := command(ctx, ".", "mkdir", "-p", filepath.Join(tree, filepath.Dir(part))); err != nil {
			return err
		}
		if err := command(ctx, ".", "cp", "-r", part, filepath.Join(tree, part)); err != nil {
			return err
		}
	}
	var others []string
	err := filepath.WalkDir(tree, func(path string, _ os.DirEntry, err error) error {
		within, _ := filepath.Rel(tree, filepath.Dir(path))
		if strings.HasSuffix(path, "_test.go") && filepath.ToSlash(within) != room {
			others = append(others, path)
		}
		return err
	})
	for _, path := range others {
		err = errors.Join(err, os.Remove(path))
	}
	own, globErr := filepath.Glob(filepath.Join(tree, room, "*.go"))
	if err = errors.Join(err, globErr); err != nil {
		return err
	}
	whole := map[string][]byte{}
	for _, path := range slices.DeleteFunc(own, func(path string) bool { return !code(path) }) {
		text, err := os.ReadFile(path) //nolint:gosec // copied here
		if err != nil {
			return err
		}
		whole[path] = text
		within, _ := filepath.Rel(tree, path)
		if err := os.WriteFile(path, []byte(without(within, string(text), of)), 0o600); err != nil {
			return err
		}
	}
	steps := [][]string{
		{"init", "--quiet"},
		{"config", "diff.context", "0"},
		{"add", "--all"},
		{"-c", "user.name=mutants", "-c", "user.email=mutants@localhost", "commit", "--quiet", "--message", "without"},
		{"tag", "sampled"},
	}
	for _, step := range steps {
		if err := command(ctx, tree, "git", step...); err != nil {
			return err
		}
	}
	for path, text := range whole {
		if err := os.WriteFile(path, text, 0o600); err != nil {
			return err
		}
	}
	return nil
}

// without is a text without the lines of a sample.
func without(path, text string, of sample) string {
	var kept []string
	for i, line := range strings.Split(text, "\n") {
		if !of.has(path, i, line) {
			kept = append(kept, line)
		}
	}
	return strings.Join(kept, "\n")
}
