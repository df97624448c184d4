package schedule_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// called are people by their names, all of one sport.
func called(names ...string) (in schedule.Inputs) {
	for i, name := range names {
		in.People = append(in.People, lesson.Person{
			ID:      string(rune('a' + i)),
			Profile: student.Profile{Name: name, Sport: court.Badminton},
		})
	}
	return in
}

// A lesson without a title is called after its people: up to three by name, of more the first two.
func TestALessonIsCalledAfterItsPeople(t *testing.T) {
	t.Parallel()
	for title, names := range map[string][]string{
		"":                    {},
		"Ada":                 {"Ada Lunn"},
		"Ada and Ben":         {"Ada Lunn", "Ben Ros"},
		"Ada and Ben and C":   {"Ada Lunn", "Ben Ros", "C"},
		"Ada, Ben and 2 more": {"Ada Lunn", "Ben Ros", "C", "D"},
	} {
		require.Equal(t, title, schedule.Titled(lesson.Document{Title: " "}, called(names...)).Title)
	}
	require.Equal(t, "Ours", schedule.Titled(lesson.Document{Title: "Ours"}, called("Ada")).Title)
}

// A lesson is drawn on the court of its place, else of its first drill, else on the first one of what most people play.
func TestTheCourtOfALesson(t *testing.T) {
	t.Parallel()
	in := called("Ada")
	require.Equal(t, court.Badminton, in.Court(lesson.Document{}).Sport)
	ready := library.All()[0]
	in.Drills = map[string]drill.Document{ready.ID: ready.Document}
	d := lesson.Document{Blocks: []lesson.Block{{Kind: lesson.Drill, Drill: ready.ID}}}
	require.Equal(t, ready.Document.Court, in.Court(d).ID)
	d.Space.Court = "table-tennis"
	require.Equal(t, court.ID("table-tennis"), in.Court(d).ID)
}

// A number before a piece of equipment is how many there are; without one it is one, and so is none or less.
func TestPiecesOfEquipment(t *testing.T) {
	t.Parallel()
	for line, want := range map[string]schedule.Piece{
		"4 flat markers": {Count: 4, Name: "flat markers"},
		"1 basket":       {Count: 1, Name: "basket"},
		"ball machine":   {Count: 1, Name: "ball machine"},
		"0 ropes":        {Count: 1, Name: "0 ropes"},
		"-2 ropes":       {Count: 1, Name: "-2 ropes"},
		"7":              {Count: 1, Name: "7"},
	} {
		require.Equal(t, []schedule.Piece{want}, schedule.Pieces([]string{line}), line)
	}
	require.Empty(t, schedule.Pieces([]string{"", " "}))
}
