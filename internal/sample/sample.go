// Package sample has lessons and people for tests.
package sample

import (
	"context"
	"fmt"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// Coin is the first drill of the library.
func Coin() library.Stored { return library.All()[0] }

// Hour is an hour for two: 8 + 10 + 10 + 5 + 10 + 5 = 48 minutes, so that 12 are to spare.
func Hour() (lesson.Document, schedule.Inputs) {
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         "Tuesday pair",
		Date:          "2026-03-10",
		Start:         "16:45",
		Minutes:       60,
		Students:      []string{"ada", "ben"},
		Blocks: []lesson.Block{
			{ID: "1", Kind: lesson.Body, Title: "Body warm-up", Minutes: 8, Effort: 3},
			{
				ID:      "2",
				Kind:    lesson.Ball,
				Title:   "Ball warm-up",
				Minutes: 10,
				Effort:  4,
				Rotation: &rotation.Form{
					Kind:  rotation.Roles,
					Every: 1,
					Spots: []rotation.Spot{{Name: "volleys"}, {Name: "feeds", Feeds: true}},
				},
				Calls: []lesson.Call{{Minute: 0, Text: "Forehand volleys"}, {Minute: 2, Text: "Backhand volleys"}},
			},
			{ID: "3", Kind: lesson.Drill, Title: "Coin", Minutes: 10, Effort: 6, Drill: Coin().ID},
			{ID: "4", Kind: lesson.Break, Title: "Water", Minutes: 5},
			{ID: "5", Kind: lesson.Drill, Title: "Coin again", Minutes: 10, Effort: 7, Drill: Coin().ID, Turns: 8},
			{ID: "6", Kind: lesson.Talk, Title: "Closing talk", Minutes: 5},
		},
	}
	in := schedule.Inputs{
		Drills: map[string]drill.Document{Coin().ID: Coin().Document},
		People: []lesson.Person{
			{ID: "ada", Profile: student.Profile{Name: "Ada", Hand: student.RightHand}},
			{ID: "ben", Profile: student.Profile{Name: "Ben", Hand: student.LeftHand}},
		},
		Settings: coach.Default(),
	}
	return d, in
}

// Planned is the plan of a lesson.
func Planned(t require.TestingT, d lesson.Document, in schedule.Inputs) plan.Plan {
	p, err := plan.Make(context.Background(), d, in)
	require.NoError(t, err)
	return p
}

// Apply does one thing to a lesson.
func Apply(t require.TestingT, d lesson.Document, c editing.Edit, in schedule.Inputs) editing.Edited {
	return ApplyWith(t, "f", d, c, in)
}

// ApplyWith gives new blocks identifiers that begin with a letter.
func ApplyWith(t require.TestingT, fresh string, d lesson.Document, c editing.Edit, in schedule.Inputs) editing.Edited {
	if c.New != nil {
		block := *c.New
		block.ID = fresh + "1"
		c.New = &block
	}
	changed, err := editing.Apply(context.Background(), d, c, []string{fresh + "1", fresh + "2", fresh + "3"}, in)
	require.NoError(t, err)
	return changed
}

// Crowd is so many people in the hour.
func Crowd(n int) (lesson.Document, schedule.Inputs) {
	d, in := Hour()
	for i := 2; i < n; i++ {
		id := fmt.Sprint("p", i)
		d.Students = append(d.Students, id)
		in.People = append(
			in.People,
			lesson.Person{ID: id, Profile: student.Profile{Name: fmt.Sprint("Player ", i), Hand: student.RightHand}},
		)
	}
	d.Students, in.People = d.Students[:n], in.People[:n]
	return d, in
}

// Mixed is one of many lessons, by its number: an hour for one to eight people on one or two courts, with two drills of
// the library in it.
func Mixed(n int) (lesson.Document, schedule.Inputs) {
	d, in := Crowd(1 + n%8)
	d.Space.Courts, d.Minutes = n%3, 40+5*(n%9)
	drills := library.All()
	for k, at := range []int{2, 4} {
		s := drills[(7*n+3*k)%len(drills)]
		in.Drills[s.ID] = s.Document
		block := schedule.ForDrill(s.ID, s.Document, len(d.Students), load.Space{Courts: n % 3}, in.Settings)
		block.ID, block.Turns, block.Pinned = d.Blocks[at].ID, (n+k)%6, n%5 == 0
		if block.Minutes == 0 {
			block.Minutes = 9
		}
		d.Blocks[at] = block
	}
	return d, in
}

// BuiltIn returns a drill of the library by its name, and adds it to the inputs.
func BuiltIn(t require.TestingT, name string, in schedule.Inputs) library.Stored {
	s := stored(t, name)
	in.Drills[s.ID] = s.Document
	return s
}

// Minutes is the length of all blocks of a lesson.
func Minutes(d lesson.Document) (sum float64) {
	for _, b := range d.Blocks {
		sum += b.Minutes
	}
	return sum
}

// Drill is a drill of the library by its name.
func Drill(t require.TestingT, name string) drill.Document { return stored(t, name).Document }

func stored(t require.TestingT, name string) library.Stored {
	for _, s := range library.All() {
		if s.Document.Name == name {
			return s
		}
	}
	require.Fail(t, "no drill called "+name)
	return library.Stored{}
}
