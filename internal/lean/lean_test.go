package main

import (
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestDescriptionsAreLeftOut(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]string{
		"A int `json:\"a\" minimum:\"0\" description:\"Says \\\"a\\\", in metres\"`": "A int `json:\"a\" minimum:\"0\"`",
		"A int `json:\"a\" description:\"First\" minimum:\"0\"`":                     "A int `json:\"a\" minimum:\"0\"`",
		"A int `description:\"Alone\"`":                                              "A int ``",
		"A int `json:\"description\"`":                                               "A int `json:\"description\"`",
	} {
		require.Equal(t, want, bare(text))
	}
	// Every file of core is still one of Go.
	require.NoError(t, filepath.WalkDir("../../core", func(path string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() || filepath.Ext(path) != ".go" {
			return err
		}
		text, err := os.ReadFile(path)
		require.NoError(t, err)
		_, err = parser.ParseFile(token.NewFileSet(), path, bare(string(text)), 0)
		return err
	}))
}
