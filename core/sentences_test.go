package core_test

import (
	"encoding/json"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// TestEverySentenceStandsInTheCatalogueOnce: what code says has a key of the catalogue, written out, and as much goes
// into it as its text has places; and the catalogue has nothing that is never said.
func TestEverySentenceStandsInTheCatalogueOnce(t *testing.T) {
	text, err := os.ReadFile("basics/say/english.json")
	require.NoError(t, err)
	var catalogue map[string]json.RawMessage
	require.NoError(t, json.Unmarshal(text, &catalogue))
	texts := map[string]string{}
	for key, entry := range catalogue {
		require.Empty(t, texts[string(entry)], "%s says the same as another", key)
		texts[string(entry)] = key
	}
	place := regexp.MustCompile(`%\[(\d+)\]v|"of": (\d+)`)
	said := map[string]bool{}
	for _, root := range []string{".", "../api", "../paper", "../handover", "../cmd"} {
		require.NoError(t, filepath.WalkDir(root, func(path string, _ fs.DirEntry, err error) error {
			if err != nil || filepath.Ext(path) != ".go" || strings.HasSuffix(path, "_test.go") {
				return err
			}
			files := token.NewFileSet()
			file, err := parser.ParseFile(files, path, nil, 0)
			ast.Inspect(file, func(node ast.Node) bool {
				call, ok := node.(*ast.CallExpr)
				if !ok || !saysOf(call.Fun) {
					return true
				}
				at := files.Position(call.Pos())
				literal, ok := call.Args[0].(*ast.BasicLit)
				require.True(t, ok, "%s: a key is written out, so that it can be found", at)
				key, err := strconv.Unquote(literal.Value)
				require.NoError(t, err)
				said[key] = true
				require.Contains(t, catalogue, key, at.String())
				places := 0
				for _, found := range place.FindAllStringSubmatch(string(catalogue[key]), -1) {
					n, _ := strconv.Atoi(found[1] + found[2])
					places = max(places, n)
				}
				require.Len(t, call.Args, 1+places, "%s: %s", at, catalogue[key])
				return true
			})
			return err
		}))
	}
	for key := range catalogue {
		require.True(t, said[key], "nobody says %q", key)
	}
}

// saysOf says whether a call makes a sentence.
func saysOf(called ast.Expr) bool {
	selected, ok := called.(*ast.SelectorExpr)
	if !ok || selected.Sel.Name != "Of" {
		return false
	}
	from, ok := selected.X.(*ast.Ident)
	return ok && from.Name == "say"
}
