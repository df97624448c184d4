package finding_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/seeded"
	"hodometer/core/lesson"
	"hodometer/core/sport/court"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestTheOrdersOfLessons: what is told of the same few blocks in many orders and efforts, shorter and longer, with
// versions for single players that are there or not, on a court on which the drill makes sense or not; with the labels
// and the edits of what is proposed.
func TestTheOrdersOfLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i := range 40 {
		chance := seeded.From(uint64(i))
		d, in := sample.Crowd(2 + i%3)
		in.Settings.Air.Celsius = []float64{20, 4, 33, 36}[i%4]
		drill := d.Blocks[2]
		drill.Variants = []lesson.Variant{
			{
				Student: d.Students[0],
				Version: in.Drills[drill.Drill].VersionNames()[i%3],
			},
			{Student: d.Students[1], Version: "no such version"},
		}
		if i%5 == 0 {
			drill.Version = "nor this one"
		}
		if i%7 == 0 {
			d.Space.Court = []court.ID{"tennis-red", "tennis-orange"}[i%2]
		}
		kinds := []lesson.Block{
			{
				Kind:  lesson.Body,
				Title: "Body",
			},
			{Kind: lesson.Ball, Title: "Ball"},
			{Kind: lesson.Serving, Title: "Serving"},
			drill,
			{
				Kind:  lesson.Game,
				Title: "Game",
			},
			{Kind: lesson.Break, Title: "Water"},
			{Kind: lesson.Technique, Title: "Technique"},
		}
		d.Blocks = nil
		for n, at := range chance.Order(len(kinds)) {
			if chance.Share() < 0.2 {
				continue
			}
			block := kinds[at]
			block.ID, block.Minutes, block.Calls = fmt.Sprint(n), float64(2+chance.Below(14)), []lesson.Call{}
			block.Effort = chance.Below(11)
			d.Blocks = append(d.Blocks, block)
		}
		all, _, _ := foundIn(t, d, in)
		for _, block := range d.Blocks {
			fmt.Fprintf(&b, "%s %g min %d; ", block.Title, block.Minutes, block.Effort)
		}
		fmt.Fprintln(&b)
		for _, f := range all {
			fmt.Fprintf(&b, "   %s %s\n", f.Severity, f.Reason)
			for _, r := range f.Remedies {
				fmt.Fprintf(&b, "      %s: %s %s to %d, %g min\n", r.Label, r.Edit.Kind, r.Edit.Block, r.Edit.To, r.Edit.Minutes)
			}
		}
	}
	golden.Same(t, "orders.txt", b.String())
}
