package template_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/template"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestWhatShapesBecome: every shape, filled for somebody of its sport with next steps of their own, something that
// hurts, and air that is cold, usual or hot; and the shape that suits so many in so many minutes.
func TestWhatShapesBecome(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	fresh := make([]string, 20)
	for i := range fresh {
		fresh[i] = fmt.Sprint("f", i)
	}
	strains := student.Strain("").Enum()
	sore := student.Part("").Enum()
	for i, shape := range template.Templates() {
		sport := shape.Sport
		if sport == "" {
			sport = sports.All()[i%len(sports.All())].Name
		}
		n := shape.MinPlayers + i%(shape.MaxPlayers-shape.MinPlayers+1)
		d, in := sample.Crowd(n)
		in.Settings.Air.Celsius = []float64{20, 5, 31}[i%3]
		d.Blocks, d.Minutes, d.Space.Courts = nil, max(10, shape.Minutes-10*(i%3)), i%3
		needs := map[string][]catalogue.Need{}
		strokes := sports.Of(sport).Strokes
		rungs := ladder.Quality("").Enum()
		for k := range in.People {
			p := &in.People[k].Profile
			p.Sport, p.Level, p.Age = sport, student.LevelsFor(sport)[(i+k)%3], student.Adult
			if (i+k)%4 == 1 {
				p.Sore = []student.Sore{
					{
						Part:  sore[(i+k)%len(sore)].(student.Part),
						Rests: []student.Strain{strains[(i+k)%len(strains)].(student.Strain)},
					},
				}
			}
			if (i+k)%3 > 0 {
				needs[in.People[k].ID] = []catalogue.Need{
					{Stroke: strokes[(i+k)%len(strokes)], Rung: rungs[(i+2*k)%len(rungs)].(ladder.Quality)},
				}
			}
		}
		fmt.Fprintf(&b, "%s, %d of %s, %d min, %v\n", shape.Name, n, sport, d.Minutes, needs)
		filled, err := shape.Fill(t.Context(), d, needs, library.All(), fresh, in)
		if err != nil {
			fmt.Fprintln(&b, "  ", invalid.Sentence(err))
			continue
		}
		for _, block := range filled.Document.Blocks {
			fmt.Fprintf(&b, "   %s %s %.2f of %.2f min, effort %d, %d lines, calls %v\n", block.Kind, block.Title, block.Minutes,
				block.Wanted, block.Effort, block.Lines, block.Calls)
		}
		fmt.Fprintln(&b, "  ", filled.Sentences)
		for _, spared := range []int{1, 2, n} {
			for k := range min(spared, n) {
				in.People[k].Short = in.People[k].Profile.Name
				in.People[k].Profile.Sore = []student.Sore{
					{
						Part:  student.Shoulder,
						Rests: []student.Strain{student.ServesAndOverheads, student.WideRunning, student.Backhands},
					},
				}
			}
			filled, err := shape.Fill(t.Context(), d, needs, library.All(), fresh, in)
			fmt.Fprintln(&b, "  ", spared, "spared:", filled.Sentences, err)
			for _, block := range filled.Document.Blocks {
				if block.Kind == lesson.Serving || block.Kind == lesson.Ball || block.Kind == lesson.Body {
					fmt.Fprintln(&b, "     ", block.Title, block.People, block.Calls)
				}
			}
		}
		if i%5 == 0 {
			for _, wrong := range []int{shape.MinPlayers - 1, shape.MaxPlayers + 1} {
				d.Students = make([]string, max(0, wrong))
				_, err = shape.Fill(t.Context(), d, nil, library.All(), fresh, in)
				fmt.Fprintln(&b, "  ", invalid.Sentence(err))
			}
		}
	}
	for _, sport := range []court.Sport{court.Tennis, court.Squash, court.Pickleball} {
		for players := range 9 {
			for _, minutes := range []int{20, 45, 60, 75, 90, 130} {
				found, ok := template.Suiting(players, minutes, sport)
				fmt.Fprintln(&b, sport, players, minutes, found.Name, ok)
			}
		}
	}
	golden.Same(t, "filled.txt", b.String())
}
