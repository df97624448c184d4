package main

import (
	"cmp"
	"errors"
	"fmt"
	"os"
	"slices"
	"strings"
)

// fault is a small change, and what became of it.
type fault struct {
	Type   string `json:"type"`
	Status string `json:"status"`
	Line   int    `json:"line"`
	Column int    `json:"column"`
	file   string
	// text is the line as it is without the fault.
	text string
	// equal says that only numbers that are exactly equal would tell: a bound of numbers that are not whole.
	equal bool
}

func (f fault) compare(o fault) int {
	return cmp.Or(cmp.Compare(f.file, o.file), cmp.Compare(f.Line, o.Line), cmp.Compare(f.Column, o.Column),
		cmp.Compare(f.Type, o.Type))
}

func (f fault) String() string {
	return fmt.Sprintf("%s %s:%d:%d %s | %s", strings.ToLower(f.Status), f.file, f.Line, f.Column, f.Type, f.text)
}

// tally is what became of the faults of a room. Those that change nothing are not among the faults.
type tally struct {
	faults, noticed, lived, uncovered, same int
	left                                    []fault
}

// share is how many of 100 faults were noticed. One on a line that no test comes by was not.
func (t tally) share() float64 { return 100 * float64(t.noticed) / float64(max(t.faults, 1)) }

// add adds up what became of faults. A test that did not end in its time has noticed.
func add(faults []fault, same map[string]bool) tally {
	var t tally
	for _, each := range faults {
		switch each.Status {
		case "KILLED", "TIMED OUT":
			t.noticed++
		case "LIVED", "NOT COVERED":
			if same[each.key()] || each.equal && each.Status == "LIVED" {
				t.same++
				continue
			}
			t.left = append(t.left, each)
			if each.Status == "LIVED" {
				t.lived++
			} else {
				t.uncovered++
			}
		default: // not drawn, or no program
			continue
		}
		t.faults++
	}
	return t
}

// bar is how many of 100 faults are to be noticed in a room: more in those that count, forecast, rotate and add up.
func bar(room string) float64 {
	exact := []string{
		"core/basics/apportion", "core/count/odds", "core/count/ranking", "core/count/score", "core/count/tally",
		"core/drill/load", "core/drill/rotation", "core/drill/simulation", "core/game", "core/lesson/prospect",
		"core/lesson/schedule", "core/people/progress",
	}
	if slices.Contains(exact, room) {
		return 92
	}
	return 85
}

// key is how a fault is found again when lines move: the file, what is changed, and the line's text.
func (f fault) key() string { return fmt.Sprintf("%s | %s | %s", f.file, f.Type, f.text) }

// readSame reads the faults that change nothing: a line each, "file | type | line | reason".
func readSame(path string) (map[string]bool, error) {
	text, err := os.ReadFile(path) //nolint:gosec // ours
	if errors.Is(err, os.ErrNotExist) {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	same := map[string]bool{}
	for i, line := range strings.Split(string(text), "\n") {
		line = strings.TrimSpace(line)
		if line == "" || strings.HasPrefix(line, "#") {
			continue
		}
		last := strings.LastIndex(line, " | ")
		if strings.Count(line, " | ") < 3 || strings.TrimSpace(line[last+3:]) == "" {
			return nil, fmt.Errorf("%s:%d: it takes a file, a type, a line and a reason", path, i+1)
		}
		same[line[:last]] = true
	}
	return same, nil
}
