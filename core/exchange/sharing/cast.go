package sharing

import (
	"slices"

	"hodometer/core/basics/say"
	"hodometer/core/lesson"
)

// Cast puts other students into a lesson, in their order: the first one stands where the first one stood. Those for
// whom there is nobody are left out, wherever they are named; a block that is left without anybody is for all again.
func Cast(d lesson.Document, students []string) lesson.Document {
	to := map[string]string{}
	for i, id := range d.Students[:min(len(d.Students), len(students))] {
		to[id] = students[i]
	}
	recast := func(ids []string) []string {
		var list []string
		for _, id := range ids {
			if other, is := to[id]; is {
				list = append(list, other)
			}
		}
		return list
	}
	d.Students = slices.Clone(students)
	d.Blocks = slices.Clone(d.Blocks)
	for i := range d.Blocks {
		b := &d.Blocks[i]
		b.People = recast(b.People)
		var variants []lesson.Variant
		for _, v := range b.Variants {
			if other, is := to[v.Student]; is {
				v.Student = other
				variants = append(variants, v)
			}
		}
		b.Variants = variants
	}
	return d
}

// Nameless is a lesson without anything about people, to be passed on: its students are numbered, and what was noted is
// gone.
func Nameless(d lesson.Document, number func(i int) string) lesson.Document {
	students := make([]string, len(d.Students))
	for i := range students {
		students[i] = number(i)
	}
	d = Cast(d, students)
	d.Note, d.Hushed = "", nil
	for i := range d.Blocks {
		for j := range d.Blocks[i].Variants {
			d.Blocks[i].Variants[j].Why = say.Sentence{}
		}
	}
	return d
}

// Needs are the drills and games that the blocks of a lesson play.
func Needs(d lesson.Document) (drills, games []string) {
	for _, b := range d.Blocks {
		if b.Drill != "" && !slices.Contains(drills, b.Drill) {
			drills = append(drills, b.Drill)
		}
		if b.Game != "" && !slices.Contains(games, b.Game) {
			games = append(games, b.Game)
		}
	}
	return drills, games
}

// Renamed has the blocks of a lesson play other drills and games: those that came in under another identifier.
func Renamed(d lesson.Document, to map[string]string) lesson.Document {
	d.Blocks = slices.Clone(d.Blocks)
	for i := range d.Blocks {
		b := &d.Blocks[i]
		if other, is := to[b.Drill]; is {
			b.Drill = other
		}
		if other, is := to[b.Game]; is {
			b.Game = other
		}
	}
	return d
}
