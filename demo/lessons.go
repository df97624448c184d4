package demo

import (
	"sync"

	"hodometer/core/drill/library"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
)

// series is a lesson that comes every week, with how often its students make a ball of each drill.
type series struct {
	title, start string
	minutes      int
	students     []int
	past, next   []int // days from today
	blocks       []lesson.Block
	rates        map[int][]float64 // student → rate on each drill of the lesson, in order
	remarks      []string          // one for each past lesson
}

func timetable() []series {
	return []series{
		{
			title:    "Noor and Teo",
			start:    "16:00",
			minutes:  60,
			students: []int{noor, teo},
			past:     []int{-21, -18, -14, -11, -7, -4},
			next:     []int{0, 3},
			blocks: []lesson.Block{
				body(
					8,
				),
				volleys(10),
				drillBlock("Coin in the Corner", 0, 9),
				water(4),
				drillBlock("Last Stretch", 1, 12),
				twice(drillBlock("Both Verges", 3, 11)),
				talk(4),
			},
			rates: map[int][]float64{noor: {0.86, 0.64, 0.6}, teo: {0.71, 0.58, 0.74}},
			remarks: []string{
				"Good first session back",
				"Windy; aimed lower",
				"Feet slower in the last ten minutes",
				"Asked for more points",
				"Much better spacing",
				"Ready for more",
			},
		},
		{
			title:    "Ines and Bram",
			start:    "16:30",
			minutes:  45,
			students: []int{ines, bram},
			past:     []int{-20, -13, -6},
			next:     []int{1},
			blocks: []lesson.Block{
				body(7),
				volleys(6),
				drillBlock("Both Verges", 3, 11),
				water(4),
				drillBlock("Coin in the Corner", 0, 9),
				talk(4),
			},
			rates: map[int][]float64{ines: {0.52, 0.34}, bram: {0.47, 0.4}},
			remarks: []string{
				"Two bounces today, one next week",
				"Laughing all the way through",
				"Watches the ball onto the strings now",
			},
		},
		{
			title:    "Priya",
			start:    "18:30",
			minutes:  60,
			students: []int{priya},
			past:     []int{-19, -12, -5},
			next:     []int{1},
			blocks: []lesson.Block{
				body(8),
				volleys(8),
				drillBlock("In, Up and Over", 2, 7),
				water(4),
				drillBlock("Last Stretch", 1, 12),
				drillBlock("Coin in the Corner", 0, 10),
				talk(5),
			},
			rates:   map[int][]float64{priya: {0.36, 0.61, 0.58}},
			remarks: []string{"Elbow fine today", "Overheads still a worry", "Shorter swing on the volley helped"},
		},
		{
			title:    "Oskar and Lotte",
			start:    "10:00",
			minutes:  60,
			students: []int{oskar, lotte},
			past:     []int{-17, -10, -3},
			next:     []int{0},
			blocks: []lesson.Block{
				body(10),
				volleys(10),
				drillBlock("Soft Landing", 5, 9),
				water(6),
				drillBlock("Soft Landing, longer", 5, 15),
				talk(5),
			},
			rates:   map[int][]float64{oskar: {0.88, 0.84}, lotte: {0.7, 0.72}},
			remarks: []string{"Knee strapped, no trouble", "Long dinking rallies", "Wants to play for points"},
		},
		{
			title:    "Kwame and Suki",
			start:    "18:00",
			minutes:  60,
			students: []int{kwame, suki},
			past:     []int{-16, -9, -2},
			next:     []int{0, 7},
			blocks: []lesson.Block{
				body(10),
				volleys(8),
				drillBlock("Three-Corner Round", 4, 12),
				water(5),
				drillBlock("Three-Corner Round, again", 4, 12),
				talk(5),
			},
			rates:   map[int][]float64{kwame: {0.82, 0.8}, suki: {0.56, 0.6}},
			remarks: []string{"Recovery a step late", "Suki clears deeper from the left", "Good length all evening"},
		},
		{
			title: "The afternoon six", start: "14:15", minutes: 75, students: []int{noor, ines, bram, wren, callum, ottilie},
			next: []int{0, 7},
			blocks: []lesson.Block{
				body(
					8,
				),
				volleys(8),
				line(drillBlock("Two and Away", 10, 12)),
				water(4),
				drillBlock("Coin in the Corner", 0, 14),
				netGame(18),
				talk(4),
			},
		},
	}
}

func body(minutes float64) lesson.Block {
	return lesson.Block{
		Kind:    lesson.Body,
		Title:   "Body warm-up",
		Minutes: minutes,
		Effort:  3,
		Calls: []lesson.Call{
			{Minute: 0, Text: "Easy jog and side steps, both ways"},
			{Minute: 3, Text: "Leg swings, arm circles, trunk turns"},
			{Minute: 5, Text: "Three short runs, each a little quicker"},
		},
	}
}

func volleys(minutes float64) lesson.Block {
	form := lesson.NetAndBack()
	return lesson.Block{
		Kind:     lesson.Ball,
		Title:    "Ball warm-up",
		Minutes:  minutes,
		Effort:   4,
		Step:     lesson.WholeRotations,
		Rotation: &form,
		Calls: []lesson.Call{
			{Minute: 0, Text: "Forehand side, soft and clean"},
			{Minute: 2, Text: "Backhand side"},
			{Minute: 4, Text: "Alternate sides, always moving"},
		},
	}
}

// builtIn is read only, and once.
var builtIn = sync.OnceValue(library.All)

func drillBlock(title string, built int, minutes float64) lesson.Block {
	d := builtIn()[built]
	return lesson.Block{
		Kind:    lesson.Drill,
		Title:   title,
		Minutes: minutes,
		Effort:  d.Document.Effort,
		Drill:   d.ID,
		Calls:   []lesson.Call{},
	}
}

// line has those who wait do something.
func line(block lesson.Block) lesson.Block {
	block.OnDeck = "Shadow the stroke behind the line"
	return block
}

// netGame is two against two on half of the group's time, everybody one place on, partners changing.
func netGame(minutes float64) lesson.Block {
	return lesson.Block{
		Kind:    lesson.Game,
		Title:   "Two against two, one place on",
		Minutes: minutes,
		Effort:  7,
		OnDeck:  "Keep the feet moving and the score",
		Calls: []lesson.Call{
			{Minute: 0, Text: "Unscored first"},
			{Minute: 4, Text: "Now everybody counts their own points"},
		},
		Rotation: &rotation.Form{
			Kind:   rotation.Spots,
			Every:  3,
			Courts: 1,
			Mix:    true,
			Begins: rotation.SameSide,
			Spots: []rotation.Spot{
				{
					Name: "net, left",
					Side: "net",
				},
				{Name: "net, right", Side: "net"},
				{Name: "back, left", Side: "back"},
				{Name: "back, right", Side: "back"},
			},
		},
	}
}

// twice asks for twice the turns of a drill, more than fit: the plan says so.
func twice(block lesson.Block) lesson.Block {
	block.Turns = 8
	return block
}

func water(minutes float64) lesson.Block {
	return lesson.Block{Kind: lesson.Break, Title: "Water", Minutes: minutes, Effort: 0, Calls: []lesson.Call{}}
}

func talk(minutes float64) lesson.Block {
	return lesson.Block{
		Kind: lesson.Talk, Title: "Closing talk", Minutes: minutes, Effort: 1,
		Calls: []lesson.Call{{Minute: 0, Text: "One thing that worked, one thing for next time"}},
	}
}
