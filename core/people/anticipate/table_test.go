package anticipate_test

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/people/anticipate"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
	"hodometer/internal/pencil"
)

// TestWhereToWaitInEverySport: the answer to every seventh situation, for another level and hand each, in words and
// with where every figure comes from.
func TestWhereToWaitInEverySport(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	n := 0
	for _, of := range sports.All() {
		levels := student.LevelsFor(of.Name)
		for _, s := range anticipate.Situations(of.Name) {
			c := of.Courts[0].Court
			hand := []student.Hand{student.RightHand, student.LeftHand}[n%2]
			fmt.Fprintf(&b, "%s %s: middle %s\n", of.Name, s.Name, golden.Line(t, anticipate.Middle(s, c), 2))
			from := anticipate.From(s, c, court.Point{X: 0.2, Y: c.Length / 3}, hand)
			fmt.Fprintln(&b, "  ", golden.Line(t, from, 2))
			if n++; n%7 != 1 {
				continue
			}
			a := answered(t, asked(s, levels[n%len(levels)], hand))
			tape := court.Tape{System: []units.System{units.Metres, units.Feet}[n%2]}
			for _, stand := range a.Stands {
				pencil.Check(t, string(of.Name), a.Derivation(stand))
				fmt.Fprintln(&b, "  ", stand.School, a.Say(stand, tape), golden.Line(t, stand, 2))
			}
			fmt.Fprintln(&b, "  ", a.Cost(), golden.Line(t, a.Derivation(a.Stands[len(a.Stands)-1]), 2))
			fmt.Fprintln(&b, "  ", golden.Line(t, a.Coming, 2))
			fmt.Fprintln(&b, "  ", golden.Line(t, a.Map[len(a.Map)/3], 2), golden.Line(t, a.Reach[len(a.Reach)/2], 2),
				len(a.Map), len(a.Reach), golden.Line(t, []float64{a.Step, a.Within, a.High}, 2))
		}
		fmt.Fprintln(&b, anticipate.Replies(of.Name))
	}
	golden.Same(t, "stands.txt", b.String())
}

// TestWhatMakesNoSense: what is said of a situation that cannot be, and what was seen sharpening what is likely.
func TestWhatMakesNoSense(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	wrong := map[string]string{}
	c := sports.Of(court.Tennis).Courts[0].Court
	s := anticipate.Situations(court.Tennis)[0]
	for i, change := range []func(s *sports.Situation){
		func(s *sports.Situation) { s.Likely = nil },
		func(s *sports.Situation) { s.Likely = s.Likely[:1] },
		func(s *sports.Situation) { s.Likely[0].Chance = -1 },
		func(s *sports.Situation) { s.Likely[0].Chance = 101 },
		func(s *sports.Situation) { s.Likely[1] = s.Likely[0] },
		func(s *sports.Situation) { s.Likely[0].Reply = "sneeze" },
		func(s *sports.Situation) { s.High = 0 },
		func(s *sports.Situation) { s.High = 9 },
		func(s *sports.Situation) { s.Sport = court.Squash },
		func(s *sports.Situation) {
			for i := range s.Likely {
				s.Likely[i].Chance = 0
			}
		},
	} {
		changed := s
		changed.Likely = append([]sports.Likely{}, s.Likely...)
		change(&changed)
		said := "nothing"
		if err := anticipate.Check(changed, c); err != nil {
			said = invalid.Sentence(err)
		}
		fmt.Fprintf(&b, "%d: %s\n", i, said)
	}
	for _, of := range sports.All() {
		on := of.Courts[0].Court
		for _, at := range []float64{-0.1, 0.02, 0.03, 1, 1.01, 1.41, 1.6, 1.61, 3, 3.01, math.NaN()} {
			for what, change := range map[int]func(s *sports.Situation){
				0: func(s *sports.Situation) { s.Deep = at }, 1: func(s *sports.Situation) { s.Across = -at },
				2: func(s *sports.Situation) { s.Waiting = at }, 3: func(s *sports.Situation) { s.High = at },
			} {
				changed := anticipate.Situations(of.Name)[0]
				change(&changed)
				if err := anticipate.Check(changed, on); err != nil {
					wrong[fmt.Sprintf("%s, %d: %v", of.Name, what, at)] = invalid.Sentence(err)
				}
			}
		}
	}
	for _, key := range slices.Sorted(maps.Keys(wrong)) {
		fmt.Fprintln(&b, key, wrong[key])
	}
	for seen := range 4 {
		counts := make([]int, len(s.Likely))
		counts[seen%len(counts)] = 4 * seen
		fmt.Fprintln(&b, golden.Line(t, anticipate.Sharpened(s.Likely, counts), 3))
	}
	golden.Same(t, "situations.txt", b.String())
}
