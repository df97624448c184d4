// Package ui holds the built interface.
package ui

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Pages returns the files of the built interface; before the first build there are none.
func Pages() (fs.FS, error) { return fs.Sub(dist, "dist") }
