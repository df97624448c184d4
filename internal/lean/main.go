// Command lean builds core for devices without the descriptions of its fields: they are for the document of the
// interface, and a device that loads core needs none of them.
//
//	go run ./internal/lean ui/src/device/core.wasm
package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io/fs"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strings"
)

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "say where core is to be written")
		os.Exit(2)
	}
	if err := build(context.Background(), os.Args[1]); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// build compiles core for a browser, from copies of its files without descriptions.
func build(ctx context.Context, out string) error {
	folder, err := os.MkdirTemp("", "lean-")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	replaced := map[string]string{}
	err = filepath.WalkDir("core", func(path string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
			return err
		}
		text, err := os.ReadFile(path) //nolint:gosec // ours
		if err != nil {
			return err
		}
		own := filepath.Join(folder, strings.ReplaceAll(path, string(filepath.Separator), "+"))
		replaced[path] = own
		return os.WriteFile(own, []byte(bare(string(text))), 0o600) //nolint:gosec // made here
	})
	if err != nil {
		return err
	}
	overlay := filepath.Join(folder, "overlay.json")
	told, err := json.Marshal(map[string]any{"Replace": replaced})
	if err != nil {
		return err
	}
	if err := os.WriteFile(overlay, told, 0o600); err != nil {
		return err
	}
	args := []string{"build", "-overlay", overlay, "-trimpath", "-ldflags=-s -w", "-o", out, "./cmd/courtside"}
	compile := exec.CommandContext(ctx, "go", args...) //nolint:gosec // ours
	compile.Env = append(os.Environ(), "GOOS=js", "GOARCH=wasm")
	compile.Stdout, compile.Stderr = os.Stdout, os.Stderr
	return compile.Run()
}

// description is one in a tag, with the space before it or after it.
var description = regexp.MustCompile(`description:"(?:[^"\\]|\\.)*" | ?description:"(?:[^"\\]|\\.)*"`)

// bare is a file of Go whose tags have no descriptions.
func bare(text string) string { return description.ReplaceAllString(text, "") }
