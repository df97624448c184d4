package schedule

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
)

// Piece is so many of a piece of equipment.
type Piece struct {
	Count int    `json:"count"`
	Name  string `json:"name"`
}

// String writes a piece as a coach lists it.
func (p Piece) String() string { return fmt.Sprintf("%d %s", p.Count, p.Name) }

// Pieces reads a list of equipment: "4 flat markers" are four, "ball machine" is one.
func Pieces(lines []string) []Piece {
	list := []Piece{}
	for _, line := range lines {
		count, name := 1, strings.TrimSpace(line)
		if first, rest, ok := strings.Cut(name, " "); ok {
			if n, err := strconv.Atoi(first); err == nil && n > 0 {
				count, name = n, strings.TrimSpace(rest)
			}
		}
		if name != "" {
			list = append(list, Piece{Count: count, Name: name})
		}
	}
	return list
}

// same says whether two pieces are the same thing: 1 basket, 2 baskets.
func (p Piece) same(other Piece) bool {
	one := func(name string) string { return strings.TrimSuffix(strings.ToLower(name), "s") }
	return one(p.Name) == one(other.Name)
}

// count is how many pieces a list has.
func count(list []Piece) (n int) {
	for _, p := range list {
		n += p.Count
	}
	return n
}

// without is what of a list is not needed for another.
func without(list, needed []Piece) []Piece {
	rest := []Piece{}
	for _, p := range list {
		if i := slices.IndexFunc(needed, p.same); i >= 0 {
			p.Count -= needed[i].Count
		}
		if p.Count > 0 {
			rest = append(rest, p)
		}
	}
	return rest
}

// InWords are pieces in one line.
func InWords(list []Piece) string {
	phrases := make([]string, len(list))
	for i, p := range list {
		phrases[i] = p.String()
	}
	return strings.Join(phrases, ", ")
}

// contains says whether a piece is what balls are carried in, and counted by them: 1 basket, tubes of shuttles.
func (p Piece) contains() bool {
	first, _, _ := strings.Cut(strings.ToLower(p.Name), " ")
	return slices.Contains([]string{"basket", "tube", "box"}, singular(first))
}

// singular is one of several baskets, tubes or boxes.
func singular(many string) string {
	if many == "boxes" {
		return "box"
	}
	return strings.TrimSuffix(many, "s")
}
