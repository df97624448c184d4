package demo

import (
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// The students of Millbrook Lane, all invented, by their place in the list.
const (
	noor = iota
	teo
	ines
	bram
	priya
	oskar
	lotte
	kwame
	suki
	marek
	delphine
	jonah
	wren
	callum
	ottilie
)

// placed is a rung on which a student began.
type placed struct {
	who    int
	stroke sports.Stroke
	rung   ladder.Quality
}

func rungs() []placed {
	return []placed{
		{noor, sports.Forehand, ladder.Direction}, {noor, sports.Backhand, ladder.Depth},
		{teo, sports.Forehand, ladder.Direction}, {teo, sports.Backhand, ladder.Depth},
		{ines, sports.Forehand, ladder.Consistency}, {bram, sports.Forehand, ladder.Consistency},
		{priya, sports.Forehand, ladder.Direction}, {priya, sports.Backhand, ladder.Direction},
		{oskar, sports.Dink, ladder.Direction}, {lotte, sports.Dink, ladder.Consistency},
		{kwame, sports.Clear, ladder.Depth}, {suki, sports.Clear, ladder.Direction},
	}
}

func people() []student.Profile {
	const left, right, one, two = student.LeftHand, student.RightHand, student.OneHanded, student.TwoHanded
	return []student.Profile{
		noor: {
			Name: "Noor Haldane", Age: student.Eleven, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Green,
			Objective: "First green-ball team match in spring", Note: "Likes to know the score of everything.",
			Limit: &student.Limit{Of: student.Overheads, Max: 30}, Watch: []string{"late split step", "drops the racket head"},
		},
		teo: {
			Name:      "Teo Brackwell",
			Age:       student.Fourteen,
			Hand:      left,
			Backhand:  one,
			Sport:     court.Tennis,
			Level:     student.Club,
			Objective: "A backhand that holds up cross-court",
			Hurts:     "tight left shoulder after long serving",
			Note:      "One-handed by choice; contact well in front.",
			Watch:     []string{"contact beside the body"},
		},
		ines: {
			Name: "Ines Corrigane", Age: student.Eight, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Orange,
			Objective: "Rallying to ten with a friend", Limit: &student.Limit{Of: student.Overheads, Max: 15},
		},
		bram: {
			Name: "Bram Ostley", Age: student.Eight, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Orange,
			Objective: "Moving before the ball bounces",
		},
		priya: {
			Name: "Priya Dunmore", Age: student.Adult, Hand: right, Backhand: one, Sport: court.Tennis, Level: student.Improver,
			Objective: "Coming to the net in club doubles", Hurts: "right elbow, on and off",
		},
		oskar: {
			Name:      "Oskar Vance",
			Age:       student.Sixty,
			Hand:      right,
			Backhand:  one,
			Sport:     court.Pickleball,
			Level:     student.Club,
			Objective: "Patience at the no-volley line",
			Sore: []student.Sore{
				{
					Part:  student.Knee,
					Side:  student.LeftSide,
					Words: "no deep lunges",
					Since: "2026-01-12",
					Rests: []student.Strain{student.Lunges, student.Jumps},
				},
			},
		},
		lotte: {
			Name:      "Lotte Winsome",
			Age:       student.Sixty,
			Hand:      left,
			Backhand:  one,
			Sport:     court.Pickleball,
			Level:     student.Improver,
			Objective: "Ten dinks without a miss",
		},
		kwame: {
			Name:      "Kwame Ardley",
			Age:       student.Fourteen,
			Hand:      right,
			Backhand:  one,
			Sport:     court.Badminton,
			Level:     student.Tournament,
			Objective: "Regional doubles in eight weeks",
		},
		suki: {
			Name:      "Suki Penhallow",
			Age:       student.Eleven,
			Hand:      left,
			Backhand:  one,
			Sport:     court.Badminton,
			Level:     student.Improver,
			Objective: "Clearing from baseline to baseline",
			Limit:     &student.Limit{Of: student.Overheads, Max: 40},
		},
		marek: {
			Name: "Marek Toll", Age: student.Adult, Hand: right, Backhand: one, Sport: court.Squash, Level: student.Club,
			Objective: "Back to the middle after every shot",
		},
		delphine: {
			Name:      "Delphine Roe",
			Age:       student.Adult,
			Hand:      right,
			Backhand:  one,
			Sport:     court.TableTennis,
			Level:     student.Improver,
			Objective: "A short serve that stays short",
		},
		jonah: {
			Name: "Jonah Quill", Age: student.Under8, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Red,
			Objective: "Catching and throwing, then hitting",
		},
		wren: {
			Name: "Wren Abbery", Age: student.Eleven, Hand: left, Backhand: two, Sport: court.Tennis, Level: student.Green,
			Objective: "Serving over the net five times in a row",
		},
		callum: {
			Name: "Callum Fenwright", Age: student.Eleven, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Green,
			Objective: "Playing doubles with his sister",
		},
		ottilie: {
			Name: "Ottilie Marsh", Age: student.Eight, Hand: right, Backhand: two, Sport: court.Tennis, Level: student.Orange,
			Objective: "A rally of six", Watch: []string{"looks up before the hit"},
		},
	}
}
