package main

import (
	"go/ast"
	"go/importer"
	"go/parser"
	"go/token"
	"go/types"
	"path/filepath"
)

// viable leaves out the faults that are no program: a text that is taken from another. They would fail every test. A
// bound between numbers that are not whole is marked: with it in or out, only what is exactly equal would tell.
func viable(room string, faults []fault) ([]fault, error) {
	files := token.NewFileSet()
	packages, err := parser.ParseDir(files, room, nil, 0) //nolint:staticcheck // one package a folder, without tags
	if err != nil {
		return nil, err
	}
	var parsed []*ast.File
	for _, each := range packages {
		for name, file := range each.Files {
			if code(name) || filepath.Base(name) == "enums.go" {
				parsed = append(parsed, file)
			}
		}
	}
	info := &types.Info{Types: map[ast.Expr]types.TypeAndValue{}}
	config := types.Config{Importer: importer.ForCompiler(files, "source", nil)}
	if _, err := config.Check(room, files, parsed, info); err != nil {
		return nil, err
	}
	of := map[token.Position]types.BasicInfo{} // of what is on the left of an operator
	for _, file := range parsed {
		ast.Inspect(file, func(node ast.Node) bool {
			if binary, ok := node.(*ast.BinaryExpr); ok {
				if basic, ok := info.Types[binary.X].Type.Underlying().(*types.Basic); ok {
					at := files.Position(binary.OpPos)
					at.Offset = 0
					of[at] = basic.Info()
				}
			}
			return true
		})
	}
	var left []fault
	for _, each := range faults {
		left = append(left, each)
		switch at := of[token.Position{Filename: each.file, Line: each.Line, Column: each.Column}]; {
		case each.Type == "ARITHMETIC_BASE" && at&types.IsString != 0:
			left = left[:len(left)-1]
		case each.Type == "CONDITIONALS_BOUNDARY" && at&types.IsFloat != 0:
			left[len(left)-1].equal = true
		}
	}
	return left, nil
}
