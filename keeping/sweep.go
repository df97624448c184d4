package keeping

import (
	"os"
	"path/filepath"
	"strings"
	"time"
)

// halves are what names begin with of what is made on the way to a copy, an export or an import: a program that is killed leaves them behind.
var halves = []string{".copy-", ".export-", ".import-", ".half-", ".try-"}

// sweep takes away what a program that was killed left half made in some folders. What is not a day old may be of one that runs.
func sweep(now time.Time, folders ...string) {
	for _, folder := range folders {
		files, _ := os.ReadDir(folder) // what cannot be read is not swept
		for _, file := range files {
			info, err := file.Info()
			if err != nil || now.Sub(info.ModTime()) < 24*time.Hour {
				continue
			}
			for _, begins := range halves {
				if strings.HasPrefix(file.Name(), begins) {
					_ = os.RemoveAll(filepath.Join(folder, file.Name()))
				}
			}
		}
	}
}
