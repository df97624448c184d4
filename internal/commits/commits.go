// Command commits says whether the message of a commit is written as CONTRIBUTING.md asks; see make hooks.
package main

import (
	"fmt"
	"os"
	"regexp"
	"strings"
	"unicode/utf8"
)

// longest is how many characters a subject has at most: it is read in lists.
const longest = 72

var (
	// subject is an area and what changes in it.
	subject = regexp.MustCompile(`^[a-z][a-z0-9 ,-]*: [a-z0-9].*[^. ]$`)
	// told is a first word that tells what was done instead of asking for it.
	told = regexp.MustCompile(
		`^(added|adds|adding|changed|changes|changing|fixed|fixes|fixing|removed|removes|removing|moved|moves|moving|made|makes|making)\b`,
	)
)

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "commits: give it the file with the message")
		os.Exit(2)
	}
	text, err := os.ReadFile(os.Args[1]) //nolint:gosec // a file that git names
	if err == nil {
		err = check(string(text))
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "commits:", err)
		os.Exit(1)
	}
}

// check says what is wrong with a message; nil where nothing is.
func check(message string) error {
	first, rest, _ := strings.Cut(message, "\n")
	if strings.HasPrefix(first, "Merge ") || strings.HasPrefix(first, "Revert ") {
		return nil // written by git
	}
	_, does, _ := strings.Cut(first, ": ")
	switch second, _, _ := strings.Cut(rest, "\n"); {
	case utf8.RuneCountInString(first) > longest:
		return fmt.Errorf("the first line has %d characters, %d at most: %s", utf8.RuneCountInString(first), longest, first)
	case !subject.MatchString(first):
		return fmt.Errorf("write the first line as \"area: what changes\", without a full stop: %s", first)
	case told.MatchString(does):
		return fmt.Errorf("say what the commit does as a request, as \"add\" or \"move\": %s", first)
	case second != "" && !strings.HasPrefix(second, "#"):
		return fmt.Errorf("leave a line free before the body: %s", first)
	}
	return nil
}
