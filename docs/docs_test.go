// Package docs_test holds the documents for those who change the program to what is there: every path, command, route,
// type and function that they name is looked for.
package docs_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"unicode"

	"github.com/stretchr/testify/require"
)

// held are the documents that are looked at.
var held = []string{
	"docs/changing.md", "docs/where.md", "docs/house.md", "docs/glossary.md", "CONTRIBUTING.md", "README.md",
}

// source is all that the documents can name.
type source struct {
	paths    map[string]bool            // files and folders, from the root of the project
	names    map[string]bool            // names of files
	packages map[string]map[string]bool // what is declared in the packages of a name: Name, Type.Method, Type.Field
	text     strings.Builder            // of the page and of everything in Go
	make     string
	openapi  string
}

func (s *source) add(t *testing.T, path string, entry fs.DirEntry) {
	t.Helper()
	s.paths[path] = true
	if entry.IsDir() {
		return
	}
	s.names[entry.Name()] = true
	switch filepath.Ext(path) {
	case ".go":
		s.parse(t, path)
		fallthrough
	case ".ts", ".svelte", ".css", ".sql":
		text, err := os.ReadFile(path)
		require.NoError(t, err)
		s.text.Write(text)
	}
}

func (s *source) parse(t *testing.T, path string) {
	t.Helper()
	file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
	require.NoError(t, err)
	declared := s.packages[file.Name.Name]
	if declared == nil {
		declared = map[string]bool{}
		s.packages[file.Name.Name] = declared
	}
	for _, d := range file.Decls {
		switch d := d.(type) {
		case *ast.FuncDecl:
			declared[d.Name.Name] = true
			if d.Recv != nil {
				of := d.Recv.List[0].Type
				if star, is := of.(*ast.StarExpr); is {
					of = star.X
				}
				if name, is := of.(*ast.Ident); is {
					declared[name.Name+"."+d.Name.Name] = true
				}
			}
		case *ast.GenDecl:
			for _, spec := range d.Specs {
				declare(declared, spec)
			}
		}
	}
}

func declare(declared map[string]bool, spec ast.Spec) {
	switch spec := spec.(type) {
	case *ast.ValueSpec:
		for _, name := range spec.Names {
			declared[name.Name] = true
		}
	case *ast.TypeSpec:
		declared[spec.Name.Name] = true
		of, is := spec.Type.(*ast.StructType)
		if !is {
			return
		}
		for _, field := range of.Fields.List {
			for _, name := range field.Names {
				declared[spec.Name.Name+"."+name.Name] = true
			}
		}
	}
}

func read(t *testing.T) *source {
	t.Helper()
	t.Chdir("..")
	s := &source{paths: map[string]bool{}, names: map[string]bool{}, packages: map[string]map[string]bool{}}
	require.NoError(t, filepath.WalkDir(".", func(path string, entry fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if entry.IsDir() &&
			(path == "node_modules" || path == ".git" || path == "ui/dist" || path == "test-results" ||
				path == ".svelte-check") {
			return filepath.SkipDir
		}
		s.add(t, path, entry)
		return nil
	}))
	for path, into := range map[string]*string{"Makefile": &s.make, "api/openapi.json": &s.openapi} {
		text, err := os.ReadFile(path)
		require.NoError(t, err)
		*into = string(text)
	}
	return s
}

var (
	word    = regexp.MustCompile(`^[A-Za-z_][A-Za-z0-9_]*$`)
	dotted  = regexp.MustCompile(`^[A-Za-z_]\w*(\.[A-Za-z_]\w*)+$`)
	pathy   = regexp.MustCompile(`^[\w.@*-]+(/[\w.@*-]*)+$|^[\w.-]+\.(go|ts|svelte|md|css|sql|json)$`)
	request = regexp.MustCompile(`^(GET|PUT|POST|DELETE) (/\S+)$`)
	made    = regexp.MustCompile(`^make ([a-z-]+)`)
)

// has says whether something that stands in a document in code is there; known is false where it is nothing that can be
// looked for.
func (s *source) has(named string) (has, known bool) {
	switch {
	case made.MatchString(named):
		return strings.Contains(s.make, "\n"+made.FindStringSubmatch(named)[1]+":"), true
	case request.MatchString(named):
		path := regexp.MustCompile(`:(\w+)`).ReplaceAllString(request.FindStringSubmatch(named)[2], "{$1}")
		return strings.Contains(s.openapi, `"`+path+`":`), true
	case strings.Contains(named, "*"):
		found, err := filepath.Glob(named)
		return err == nil && len(found) > 0, pathy.MatchString(named)
	case pathy.MatchString(named):
		return s.paths[strings.TrimSuffix(named, "/")] || s.names[named] || s.paths["ui/src/"+named], true
	case dotted.MatchString(named):
		first, rest, _ := strings.Cut(named, ".")
		if declared := s.packages[first]; declared != nil {
			return declared[rest], true
		}
		for _, declared := range s.packages {
			if declared[named] {
				return true, true
			}
		}
		return s.says(named), true
	case word.MatchString(named):
		return s.says(named) || s.packages[named] != nil || s.paths["ui/src/"+named] || s.paths["core/"+named], true
	}
	return false, false
}

// says whether a name stands in the code as it is, and not as a part of another one.
func (s *source) says(name string) bool {
	inWord := func(at int, text string) bool {
		return at >= 0 && at < len(text) &&
			(text[at] == '_' || unicode.IsLetter(rune(text[at])) || unicode.IsDigit(rune(text[at])))
	}
	text := s.text.String()
	for from := 0; ; {
		at := strings.Index(text[from:], name)
		if at < 0 {
			return false
		}
		from += at + len(name)
		if !inWord(from-len(name)-1, text) && !inWord(from, text) {
			return true
		}
	}
}

func TestWhatTheDocumentsNameIsThere(t *testing.T) {
	s := read(t)
	looked := 0
	for _, document := range held {
		text, err := os.ReadFile(document)
		require.NoError(t, err)
		// What is shown as a listing is tried by e2e/fresh.sh.
		prose := regexp.MustCompile("(?s)```.*?```").ReplaceAllString(string(text), "")
		for _, found := range regexp.MustCompile("`([^`\n]+)`").FindAllStringSubmatch(prose, -1) {
			named := strings.TrimSuffix(found[1], "()")
			has, known := s.has(named)
			if !known {
				continue
			}
			looked++
			if !has {
				t.Errorf("%s names %s, and it is not there", document, named)
			}
		}
		for _, link := range regexp.MustCompile(`\]\(([^)#:]+)(#[^)]*)?\)`).FindAllStringSubmatch(prose, -1) {
			looked++
			if _, err := os.Stat(filepath.Join(filepath.Dir(document), link[1])); err != nil {
				t.Errorf("%s leads to %s, and it is not there", document, link[1])
			}
		}
	}
	require.Greater(t, looked, 200, "so much was looked for")
}
