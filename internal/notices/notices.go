// Command notices prints the licence of every module that ships in the program, of Go itself, and of the fonts of the
// paper, for those who build on their work.
package main

import (
	"bufio"
	"bytes"
	"context"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
)

func main() {
	text, err := notices(context.Background(), ".")
	if err == nil {
		_, err = os.Stdout.Write(text)
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// notices gathers the texts for the program in a folder of this module.
func notices(ctx context.Context, root string) ([]byte, error) {
	list := exec.CommandContext(
		ctx,
		"go",
		"list",
		"-deps",
		"-f",
		"{{with .Module}}{{if not .Main}}{{.Path}}\t{{.Version}}\t{{.Dir}}{{end}}{{end}}",
		"./cmd/hodometer",
	)
	list.Dir = root
	out, err := list.Output()
	if err != nil {
		return nil, fmt.Errorf("list the modules: %w", err)
	}
	var text bytes.Buffer
	text.WriteString("What Hodometer is built on, each with its licence.\n")
	folder, err := exec.CommandContext(ctx, "go", "env", "GOROOT").Output()
	if err != nil {
		return nil, fmt.Errorf("find Go: %w", err)
	}
	if err := write(&text, "Go", filepath.Join(strings.TrimSpace(string(folder)), "LICENSE")); err != nil {
		return nil, err
	}
	var lines []string
	for scanner := bufio.NewScanner(bytes.NewReader(out)); scanner.Scan(); {
		if line := scanner.Text(); line != "" && !slices.Contains(lines, line) {
			lines = append(lines, line)
		}
	}
	slices.Sort(lines)
	for _, line := range lines {
		parts := strings.Split(line, "\t")
		files, err := filepath.Glob(filepath.Join(parts[2], "LICENSE*"))
		if err != nil || len(files) == 0 {
			return nil, fmt.Errorf("%s has no licence: %w", parts[0], err)
		}
		if err := write(&text, parts[0]+" "+parts[1], files...); err != nil {
			return nil, err
		}
	}
	fonts, err := filepath.Glob(filepath.Join(root, "picture/fonts/*-LICENSE.txt"))
	if err != nil {
		return nil, err
	}
	for _, font := range fonts {
		if err := write(
			&text,
			strings.TrimSuffix(filepath.Base(font), "-LICENSE.txt")+", a font of the paper",
			font,
		); err != nil {
			return nil, err
		}
	}
	return text.Bytes(), nil
}

func write(text *bytes.Buffer, name string, files ...string) error {
	fmt.Fprintf(text, "\n%s\n\n%s\n", strings.Repeat("-", 72), name)
	for _, file := range files {
		licence, err := os.ReadFile(file) //nolint:gosec // a file of a module
		if err != nil {
			return err
		}
		fmt.Fprintf(text, "\n%s\n", strings.TrimSpace(strings.ReplaceAll(string(licence), "\r\n", "\n")))
	}
	return nil
}
