package lesson

import (
	"math"

	"hodometer/core/coach"
	"hodometer/core/drill"
)

// Starters returns a block of every kind but a drill, in the order of a lesson, to begin a plan with.
// Lengths and wording are common practice, no source. The blocks have no identifiers yet.
func Starters() []Block {
	return []Block{
		{Kind: Body, Title: "Body warm-up", Minutes: 8, Effort: 3, Roles: []string{}, Calls: []Call{
			{Minute: 0, Say: "Easy jog and side steps, both ways"},
			{Minute: 3, Say: "Leg swings, arm circles, trunk turns"},
			{Minute: 6, Say: "Three short runs, each a little quicker"},
		}},
		{Kind: Ball, Title: "Ball warm-up", Minutes: 8, Effort: 4, Roles: []string{"at the net", "feeds from the back"}, Swap: 1, Calls: []Call{
			{Minute: 0, Say: "Forehand side, soft and clean"},
			{Minute: 2, Say: "Backhand side"},
			{Minute: 4, Say: "Alternate sides, always moving"},
			{Minute: 6, Say: "Your choice, no errors"},
		}},
		{Kind: Break, Title: "Water", Minutes: 4, Effort: 0, Roles: []string{}, Calls: []Call{}},
		{Kind: Talk, Title: "Closing talk", Minutes: 4, Effort: 1, Roles: []string{}, Calls: []Call{
			{Minute: 0, Say: "One thing that worked, one thing for next time"},
		}},
	}
}

// ForDrill returns a block that holds a drill with all its turns for so many people, in whole minutes.
func ForDrill(id string, d drill.Document, people int, s coach.Settings) Block {
	need := s.ChangeOver + d.LoadFor(people, d.Turns, s).Need
	return Block{Kind: Drill, Title: d.Name, Minutes: math.Ceil(need / 60), Effort: d.Effort, Drill: id, Calls: []Call{}, Roles: []string{}}
}
