package throwing_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill/library"
	"hodometer/core/live/throwing"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/golden"
)

// TestProgramsAndWhatIsSaid: the program of every seventh drill; what a simulated machine and an eye say to everything
// that they are told, with balls that jam and a hopper that gets empty.
func TestProgramsAndWhatIsSaid(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	var program throwing.Program
	for i, stored := range library.All() {
		if i%7 > 0 {
			continue
		}
		hand := []student.Hand{student.RightHand, student.LeftHand}[i%2]
		p, err := throwing.Of(t.Context(), stored.Document, stored.Document.PlayerFor(student.Club, hand), coach.Default())
		if err != nil {
			fmt.Fprintln(&b, stored.Document.Name, invalid.Sentence(err))
			continue
		}
		fmt.Fprintf(&b, "%s, %.3f and %.3f a minute\n", golden.Line(t, p, 2), p.Rate(1), p.Rate(2))
		if program.Name == "" {
			program = p
		}
	}
	bad := []throwing.Program{{}, {Name: "x", Balls: make([]throwing.Ball, 401)}, {Name: "x", Balls: []throwing.Ball{
		{
			Speed: 0,
			Wait:  0.1,
		},
		{Speed: 100.1, Wait: 601, To: court.Point{X: 101}},
		{Speed: 100, Wait: 600, To: court.Point{X: 100, Y: -100}},
	}}}
	for i := range bad {
		said := "sound"
		if err := bad[i].Check(); err != nil {
			said = err.Error()
		}
		fmt.Fprintln(&b, said)
	}
	m := throwing.NewSimulatedMachine(throwing.Make{Hopper: 7, Jitter: 0.2, Jams: 0.2, Seed: 5})
	now := 0.0
	tell := func(c throwing.Command) {
		name := string(c.Do)
		for _, said := range m.Do(c, now) {
			fmt.Fprintf(&b, "%.2f %s: %s\n", now, name, golden.Line(t, said, 2))
		}
		due, on := m.Due()
		wakes, runs := m.Wakes()
		fmt.Fprintf(&b, "   due %.2f %v, wakes %.2f %v\n", due, on, wakes, runs)
	}
	wait := func(seconds float64) {
		for end := now + seconds; now < end; now += 0.5 {
			for _, said := range m.Pass(now) {
				fmt.Fprintf(&b, "%.2f passes: %s\n", now, golden.Line(t, said, 2))
			}
			m.Do(throwing.Command{Do: throwing.Alive}, now)
		}
	}
	tell(throwing.Command{Do: throwing.Start})
	tell(throwing.Command{Do: throwing.Load})
	tell(throwing.Command{Do: throwing.Load, Program: &bad[0]})
	tell(throwing.Command{Do: throwing.Load, Program: &program})
	tell(throwing.Command{Do: throwing.One})
	tell(throwing.Command{Do: throwing.One})
	for _, c := range []throwing.Command{
		{Do: throwing.Start, Balls: -1}, {Do: throwing.Start, Balls: 2001}, {Do: throwing.Start, Balls: 3},
		{Do: throwing.Gap, Times: 0.1},
		{Do: throwing.Gap, Times: 10.1}, {Do: throwing.Gap, Times: 2}, {Do: throwing.Clear}, {Do: throwing.Start},
		{Do: throwing.Pause},
		{Do: throwing.State}, {Do: throwing.Clear}, {Do: throwing.Fill, Balls: -1}, {Do: throwing.Fill, Balls: 2001},
		{Do: throwing.Start},
		{Do: throwing.Fill, Balls: 20}, {Do: throwing.Start}, {Do: throwing.Watch}, {Do: "dance"}, {Do: throwing.State},
	} {
		tell(c)
		wait(7)
	}
	e := throwing.NewSimulatedEye(0.5, 3)
	for _, c := range []throwing.Command{
		{Do: throwing.Watch}, {Do: throwing.Watch, Aim: &court.Point{X: 101}},
		{Do: throwing.Watch, Aim: &court.Point{X: 1, Y: 2}, Ball: 4},
		{Do: throwing.Watch, Aim: &court.Point{X: -100, Y: 100}}, {Do: throwing.Start}, {Do: throwing.Alive},
		{Do: throwing.State},
	} {
		for _, said := range e.Do(c) {
			fmt.Fprintln(&b, golden.Line(t, said, 3))
		}
	}
	golden.Same(t, "said.txt", b.String())
}
