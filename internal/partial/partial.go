// Package partial names files and folders that are made on the way to something whole, so that those of a killed
// program are known for what they are and swept away, and nothing else ever is.
package partial

import (
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"syscall"
	"time"
)

// Kind is what something is on the way to.
type Kind string

// The kinds.
const (
	Copy   Kind = "copy"
	Export Kind = "export"
	Import Kind = "import"
	Demo   Kind = "demo"
	Note   Kind = "note"
)

// mark begins every name, with the program that it is of.
const mark = ".hodometer-partial-"

// ours is a whole name: the kind, the process, and some digits of chance.
var ours = regexp.MustCompile(`^\.hodometer-partial-(copy|export|import|demo|note)-([0-9]+)-[0-9]+(\.zip)?$`)

// inside is all that is ever made in such a folder.
var inside = regexp.MustCompile(`^([a-z][a-z0-9_-]{0,40}\.(db|csv|xlsx|json|zip|ics|md)(-wal|-shm|-journal)?)$`)

func pattern(kind Kind, ending string) string {
	return fmt.Sprintf("%s%s-%d-*%s", mark, kind, os.Getpid(), ending)
}

// Folder makes a folder in another one.
func Folder(in string, kind Kind) (string, error) { return os.MkdirTemp(in, pattern(kind, "")) }

// File makes a file in a folder.
func File(in string, kind Kind, ending string) (*os.File, error) {
	return os.CreateTemp(in, pattern(kind, ending))
}

// Sweep takes away what programs that run no more left in some folders: what has a name of ours, and of folders only
// what is ever made in them. What is not ours is left, however it is called; what may be of a program that runs is left
// for a day.
func Sweep(now time.Time, folders ...string) {
	for _, folder := range folders {
		entries, _ := os.ReadDir(folder) // what cannot be read is not swept
		for _, entry := range entries {
			parts := ours.FindStringSubmatch(entry.Name())
			info, err := entry.Info()
			if parts == nil || err != nil || runs(parts[2]) && now.Sub(info.ModTime()) < 24*time.Hour {
				continue
			}
			path := filepath.Join(folder, entry.Name())
			switch {
			case info.Mode().IsRegular():
				_ = os.Remove(path)
			case info.IsDir():
				empty(path)
			}
		}
	}
}

// empty takes away a folder with what is ever made in it; with anything else in it, it stays.
func empty(path string) {
	entries, _ := os.ReadDir(path)
	for _, entry := range entries {
		if entry.Type().IsRegular() && inside.MatchString(strings.ToLower(entry.Name())) {
			_ = os.Remove(filepath.Join(path, entry.Name()))
		}
	}
	_ = os.Remove(path) // only where it is empty
}

// runs says whether a process may run. One whose number is this one's is of before a restart of the machine: this one
// has just begun.
func runs(number string) bool {
	pid, err := strconv.Atoi(number)
	if err != nil || pid <= 0 || pid == os.Getpid() {
		return false
	}
	process, err := os.FindProcess(pid)
	if err != nil {
		return false
	}
	err = process.Signal(syscall.Signal(0))
	return !errors.Is(err, os.ErrProcessDone) && !errors.Is(err, syscall.ESRCH)
}
