package closing_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"hodometer/core/basics/seeded"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/live/closing"
	"hodometer/core/live/underway"
	"hodometer/internal/golden"
)

// TestWhatWasPlayedInManyLessons: what each of three students played of every fifth drill, where some of it was
// counted, its block was cut in two, and the lesson ended sooner or later; and for how long they were there.
func TestWhatWasPlayedInManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i, stored := range library.All() {
		if i%5 > 0 && stored.Document.Main().What == score.Ball {
			continue
		}
		k := kitOf(stored)
		other := library.All()[(i+7)%len(library.All())]
		if other.Document.Sport == stored.Document.Sport {
			k.Drills[other.ID] = other.Document
			k.Document.Blocks = append(k.Document.Blocks, lesson.Block{ID: id(6), Kind: lesson.Drill, Title: "Another",
				Minutes: 4, Drill: other.ID, Calls: []lesson.Call{}})
			k.Becomes(k.Document)
		}
		planned := k.Document
		chance := seeded.From(uint64(i))
		if i%2 > 0 {
			played, rest := k.Document.Blocks[1].Cut(3)
			rest.ID, rest.People = id(5), []string{id(10), id(12)}
			blocks := k.Document.Blocks
			k.Document.Blocks = append([]lesson.Block{blocks[0], played, rest}, blocks[2:]...)
			k.Becomes(k.Document)
		}
		at := time.Date(2026, 3, 10, 16, 11, 0, 0, time.UTC)
		for n, m := range stored.Document.Measures {
			for who := range 2 {
				of := 1 + chance.Below(20)
				entry := tally.Entry{Kind: tally.Turn, Of: of, Made: chance.Below(of + 1), At: at}
				if m.What == score.Rally {
					entry = tally.Entry{Kind: tally.Rally, Strokes: of, At: at}
				}
				if m.What == score.Time {
					entry = tally.Entry{Kind: tally.Timed, Seconds: 9, At: at}
				}
				_, err := k.Do(t.Context(), underway.Act{ID: id(100 + 10*n + who), At: at, Tap: &underway.Tap{
					Run: id(50 + 10*n + who), Block: id(3), Student: id(10 + who), Measure: m.Number, Entry: entry,
				}})
				if err != nil {
					t.Fatal(stored.Document.Name, err)
				}
			}
		}
		view, err := k.View(t.Context(), at)
		if err != nil {
			t.Fatal(err)
		}
		fmt.Fprintln(&b, stored.Document.Name)
		for _, end := range []float64{0, 630, 900, 1200} {
			all, err := closing.Everybody(t.Context(), k, view.Counters, planned, end)
			if err != nil {
				t.Fatal(err)
			}
			for who, p := range all {
				fmt.Fprintf(&b, "   %.0f: %s", end, p.Said)
				if who < 2 {
					fmt.Fprintf(&b, "; %d counted, %s", p.Counted, golden.Line(t, p.Played, 1))
				}
				fmt.Fprintln(&b)
			}
			there := closing.There(k.Document, end)
			fmt.Fprintln(&b, "   there", there[id(10)], there[id(11)], there[id(12)])
		}
	}
	golden.Same(t, "played.txt", b.String())
}
