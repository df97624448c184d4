package offer_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/offer"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestWhatIsOffered: what can be put into a lesson of nobody, one or several, without words, by words, and for a drill
// that is swapped.
func TestWhatIsOffered(t *testing.T) {
	t.Parallel()
	var entries []catalogue.Entry
	for i, stored := range library.All() {
		entries = append(entries, catalogue.New(stored.ID, true, i%50 == 49, stored.Document, 5+float64(i%11), stored.Levels))
	}
	ada := catalogue.Learner{Name: "Ada", Sport: court.Tennis, Level: student.Club,
		Needs: []catalogue.Need{{Stroke: sports.Forehand, Rung: ladder.Depth}}}
	ben := catalogue.Learner{
		Name:  "Ben",
		Sport: court.Tennis,
		Level: student.Beginner,
		Needs: []catalogue.Need{
			{Stroke: sports.Backhand, Rung: ladder.Consistency},
			{Stroke: sports.Forehand, Rung: ladder.Depth},
		},
		Rests: []student.Strain{student.Strain("").Enum()[1].(student.Strain)},
	}
	cleo := catalogue.Learner{Name: "Cleo", Sport: court.Squash, Level: student.Club}
	var b strings.Builder
	for _, people := range [][]catalogue.Learner{nil, {ada}, {ada, ben}, {cleo}, {ada, cleo, cleo}} {
		for _, text := range []string{"", "forehand", "water", "serve long", "game", "hour", "easier", "zzz", "points 11"} {
			asked := offer.Asked{Text: text, Drills: entries, Games: library.Games(), People: people, Settings: coach.Default()}
			found, err := offer.Find(t.Context(), asked)
			if err != nil {
				t.Fatal(err)
			}
			fmt.Fprintf(&b, "%d people, %q: %d\n", len(people), text, len(found))
			for i, each := range found {
				if i%4 > 0 && i > 5 {
					continue
				}
				fmt.Fprintf(&b, "   %s %s; %s", each.Kind, each.Title, each.Detail)
				if each.Block != nil {
					fmt.Fprintf(&b, "; %s %s %.2f min %s", each.Block.Kind, each.Block.Title, each.Block.Minutes, each.Block.Version)
				}
				fmt.Fprintln(&b)
			}
		}
	}
	for _, text := range []string{"", "quicker", "backhand"} {
		found, err := offer.Find(
			t.Context(),
			offer.Asked{Text: text, Swap: entries[3].ID, Drills: entries, Games: library.Games(),
				People: []catalogue.Learner{ben}, Settings: coach.Default()},
		)
		if err != nil {
			t.Fatal(err)
		}
		fmt.Fprintf(&b, "swapped, %q: %d\n", text, len(found))
		for _, each := range found[:min(8, len(found))] {
			fmt.Fprintf(&b, "   %s %s; %s; %s\n", each.Kind, each.Title, each.Detail, each.Block.Version)
		}
	}
	golden.Same(t, "offers.txt", b.String())
}
