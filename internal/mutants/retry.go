package main

import (
	"context"
	"os"
	"path/filepath"
	"strings"
)

// swapped is what stands in the place of an operator, by the kind of fault; of a sign in front of a number it is left
// out.
var swapped = map[string]map[string]string{
	"ARITHMETIC_BASE":       {"+": "-", "-": "+", "*": "/", "/": "*", "%": "*"},
	"CONDITIONALS_BOUNDARY": {"<": "<=", "<=": "<", ">": ">=", ">=": ">"},
	"CONDITIONALS_NEGATION": {"==": "!=", "!=": "==", "<": ">=", "<=": ">", ">": "<=", ">=": "<"},
	"INCREMENT_DECREMENT":   {"++": "--", "--": "++"},
	"INVERT_LOGICAL":        {"&&": "||", "||": "&&"},
	"INVERT_NEGATIVES":      {"-": "+"},
}

// with is a text with the fault in it, of a line and a column from 1; false where there is nothing to change.
func (f fault) with(text string) (string, bool) {
	lines := strings.Split(text, "\n")
	if f.Line > len(lines) || f.Column > len(lines[f.Line-1]) {
		return text, false
	}
	line, at := lines[f.Line-1], f.Column-1
	for _, length := range []int{2, 1} {
		end := min(at+length, len(line))
		if other, ok := swapped[f.Type][line[at:end]]; ok {
			lines[f.Line-1] = line[:at] + other + line[end:]
			return strings.Join(lines, "\n"), true
		}
	}
	return text, false
}

// retry tries the faults of which coverage knows nothing: it does not see what stands behind a case, nor the values of
// a package.
func retry(ctx context.Context, tree, room string, faults []fault) error {
	for i, each := range faults {
		if each.Status != "NOT COVERED" {
			continue
		}
		path := filepath.Join(tree, each.file)
		whole, err := os.ReadFile(path) //nolint:gosec // copied here
		if err != nil {
			return err
		}
		text, ok := each.with(string(whole))
		if !ok {
			continue
		}
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil { //nolint:gosec // copied here
			return err
		}
		if command(ctx, tree, "go", "test", "-failfast", "-timeout", "120s", "./"+room) != nil {
			faults[i].Status = "KILLED"
		} else {
			faults[i].Status = "LIVED"
		}
		if err := os.WriteFile(path, whole, 0o600); err != nil { //nolint:gosec // copied here
			return err
		}
	}
	return ctx.Err()
}
