// Command sensitivity prints what the model says of the whole library and of where to stand, as JSON. sensitivity.py
// runs it on copies of the code in which one constant is a fifth off.
package main

import (
	"context"
	"encoding/json"
	"log"
	"os"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// answers are what the model says, in the order of the library and of the situations.
type answers struct {
	Made     []float64          `json:"made"`
	Gaps     []float64          `json:"gaps"`
	Verdicts []footwork.Verdict `json:"verdicts"`
	Bases    []court.Point      `json:"bases"`
}

func main() {
	ctx, s, a := context.Background(), coach.Default(), answers{}
	for _, stored := range library.All() {
		d := stored.Document
		player := d.PlayerFor(d.Written(), student.RightHand)
		known, err := playerfit.Know(ctx, d, player, d.Written(), s)
		if err != nil {
			log.Fatal(err)
		}
		for _, tried := range known.Tried {
			a.Made = append(a.Made, tried.OfLevel())
		}
		turn, err := simulation.Run(ctx, d, player, s)
		if err != nil {
			log.Fatal(err)
		}
		for _, task := range turn.Tasks {
			a.Verdicts = append(a.Verdicts, task.Met.Verdict)
		}
		gap := 0.0
		if len(turn.Fastest) > 1 && turn.Fastest[1].Gap != nil {
			gap = *turn.Fastest[1].Gap
		}
		a.Gaps = append(a.Gaps, gap)
	}
	for _, of := range sports.All() {
		c := of.Courts[0].Court
		p := footwork.For(c.Sport, student.Adult, student.Club, student.RightHand, student.TwoHanded)
		for _, situation := range anticipate.Situations(c.Sport)[:4] {
			answer, err := anticipate.Question{
				World:     sports.World(c, ""),
				Situation: situation,
				Opponent:  student.RightHand,
				Power:     p.Power,
				Player:    p,
			}.Answer(
				ctx,
			)
			if err != nil {
				log.Fatal(err)
			}
			a.Bases = append(a.Bases, answer.Stands[1].At)
		}
	}
	if err := json.NewEncoder(os.Stdout).Encode(a); err != nil {
		log.Fatal(err)
	}
}
