package drill_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestWhatTheLibrarySays: what every drill says of itself, of its people and things, and of each of its measures.
func TestWhatTheLibrarySays(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	there := []string{"Ada", "Ben", "Cleo", "Dov", "Eli"}
	for i, stored := range library.All() {
		d := stored.Document
		one, many := d.Ball()
		fmt.Fprintf(&b, "%s: %s, %s; alone %v, machine %v, above head %v, starts %d, %s; %s, %s, %s, %s; %q\n", d.Name, one,
			many, d.Alone(), d.WithMachine(), d.AboveHead(), d.Starts(), d.Written(), d.Part(0), d.Part(1), d.Fed(1), d.Fed(2),
			d.Turn())
		fmt.Fprintln(&b, "  ", d.Strains(), d.Care(), d.FacesVolleys(), d.Carry(), d.VersionNames(), len(d.Stops()), "stops")
		for k := range d.Places {
			fmt.Fprintf(&b, "   %s %s %v;", d.Letter(k), d.PlaceName(k), d.Removable(k))
		}
		for n, m := range d.Measures {
			fmt.Fprintf(&b, "\n   %d %s: %q, %.2f tries, %d goals in, %s, %s, %s, kinds %v", m.Number, d.Called(m), m.Goal(),
				d.Tried(m), d.In(m), d.RealismOf(m), d.RungOf(m), d.StrokeOf(m), m.Kinds())
			if face := d.FaceOf(m); face != nil {
				fmt.Fprintf(&b, ", %s", golden.Line(t, face, 2))
			}
			if shape, ok := d.Aimed(m); ok && i%3 == 0 {
				fmt.Fprintf(&b, ", at %s", golden.Line(t, shape, 2))
			}
			if m.Who != "" {
				fmt.Fprintf(&b, ", with Cleo %v, with Eli %v", m.Who.Party("Cleo", there, 2), m.Who.Party("Eli", there, 3))
			}
			for _, at := range d.Before(drill.GoalAt{Measure: n, Goal: len(m.Goals) - 1}) {
				fmt.Fprintf(&b, ", after %v", at)
			}
		}
		fmt.Fprintln(&b)
	}
	golden.Same(t, "said.txt", b.String())
}

// TestWhatIsDoneToADrill: what becomes of drills of every sport that are mirrored, carried to other courts, changed on
// their court in every way, and brought on the spot.
func TestWhatIsDoneToADrill(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	imperial := coach.Default()
	imperial.Units = units.Feet
	done := map[court.Sport]int{}
	for i, stored := range library.All() {
		d := stored.Document
		if done[d.Sport]++; done[d.Sport]%7 != 1 {
			continue
		}
		s := []coach.Settings{coach.Default(), imperial}[done[d.Sport]/7%2]
		hand := []student.Hand{student.RightHand, student.LeftHand}[i%2]
		fmt.Fprintf(&b, "%s, %s, %s\n", d.Name, s.Units, hand)
		tell := func(what string, after drill.Document, err error) {
			fmt.Fprintf(&b, "   %s: ", what)
			if err != nil {
				fmt.Fprintln(&b, invalid.Sentence(err))
				return
			}
			fmt.Fprintln(&b, differs(t, d, after))
		}
		tell("mirrored", d.Mirrored(), nil)
		var scales, plain []string
		for k, mark := range d.Marks() {
			if k%3 > 0 {
				scales = append(scales, mark.Handle)
			} else if k%2 > 0 {
				plain = append(plain, mark.Handle)
			}
		}
		for _, other := range sports.All() {
			to := other.Courts[0].Court.ID
			after, marks, err := d.TransferTo(to, scales, plain, s.Tape())
			tell(fmt.Sprint("to ", to, " with ", len(marks), " places"), after, err)
			if err == nil {
				fmt.Fprintln(&b, "    ", golden.Line(t, marks[i%len(marks)], 2))
			}
		}
		at := court.Point{X: 1.3, Y: -2.71}
		last := len(d.Pattern.Tasks) - 1
		for _, change := range []drill.Edit{
			{Move: &drill.Move{Handle: "places.0.mark", To: at, RoundX: true}},
			{Move: &drill.Move{Handle: fmt.Sprintf("pattern.tasks.%d.landing", last), To: at, RoundY: true}},
			{Move: &drill.Move{Handle: fmt.Sprintf("pattern.tasks.%d.contact", last), To: at}},
			{Press: &at},
			{Put: &drill.Put{Kind: drill.Obstacle, At: at}},
			{Put: &drill.Put{Kind: drill.Cone, At: at}, Remove: "places.0.mark"},
			{Tour: &drill.Tour{Balls: 3, Back: true}},
			{Tour: &drill.Tour{Seconds: 20, OneBall: true}},
			{Corners: &drill.Corners{Seconds: 30}},
			{Corners: &drill.Corners{Listed: true}},
			{Reply: &drill.Reply{Task: last, Place: feed.ReplyPlace("").Enum()[i%4].(feed.ReplyPlace)}},
			{Remove: fmt.Sprintf("places.%d.mark", len(d.Places)-1)},
			{Typed: &coach.Typed{Path: "measures.0.target.radius", Text: "1.2 m"}},
			{Typed: &coach.Typed{Path: "places.0.mark.measures.0", Text: "3 feet"}},
		} {
			after, err := d.Edited(change, hand, s)
			tell(golden.Line(t, change, 2), after, err)
		}
		for _, name := range d.VersionNames() {
			after, said, err := d.ToldVersion(t.Context(), name, s)
			tell(fmt.Sprint(name, " ", said), after, err)
			fmt.Fprintln(&b, "     counts as it", after.CountsAs(d), "called", after.VersionName())
		}
		after, err := d.OnTheSpot([]feed.Transformation{{Kind: feed.ToOtherWing}}, 1.25)
		tell("other wing, larger", after, err)
		steps, err := d.WalkOff(s.Tape())
		if err != nil {
			t.Fatal(d.Name, err)
		}
		for _, step := range steps {
			fmt.Fprintln(&b, "    ", golden.Line(t, step, 2))
		}
		fmt.Fprintln(&b, "    ", golden.Line(t, d.Sizes(s), 2), golden.Line(t, d.Replies(s), 2))
	}
	golden.Same(t, "done.txt", b.String())
}

// differs are the lines of one document, each with its path, that another one does not have.
func differs(t *testing.T, before, after drill.Document) string {
	t.Helper()
	was := map[string]bool{}
	for _, part := range parts(t, before) {
		was[part] = true
	}
	var list []string
	for _, part := range parts(t, after) {
		if !was[part] {
			list = append(list, part)
		}
	}
	return strings.Join(list, "; ")
}

// parts are the places, tasks and measures of a document.
func parts(t *testing.T, d drill.Document) (list []string) {
	t.Helper()
	for _, place := range d.Places {
		list = append(list, golden.Line(t, place, 2))
	}
	for _, task := range d.Pattern.Tasks {
		list = append(list, golden.Line(t, task, 2))
	}
	for _, m := range d.Measures {
		m.Goals = nil
		list = append(list, golden.Line(t, m, 2))
	}
	d.Pattern.Tasks = nil
	list = append(list, golden.Line(t, d.Pattern, 2))
	return list
}

// TestWhatIsWrongWithADrill: what is said of a drill in which one thing, or none, makes no sense, and of what has to be
// right in a movement.
func TestWhatIsWrongWithADrill(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	c := sports.Of(court.Tennis).Courts[0].Court
	box, line := c.Boxes[0].ID, c.Lines[0].ID
	first := func(d *drill.Document) *drill.Measure { return &d.Measures[0] }
	count := score.Course{{Kind: score.Total, Count: 5}}
	timed := score.Course{{Kind: score.AsManyAsPossible, Count: 5, Minutes: 2}}
	for i, change := range []func(d *drill.Document){
		func(*drill.Document) {},
		func(d *drill.Document) { d.Name = " " },
		func(d *drill.Document) { d.Cues = []string{strings.Repeat("ä", 200), strings.Repeat("ä", 201)} },
		func(d *drill.Document) { d.Court = "squash" },
		func(d *drill.Document) { d.Court = "nowhere" },
		func(d *drill.Document) { d.Places = d.Places[:1] },
		func(d *drill.Document) {
			d.Places = append(d.Places, drill.Place{Kind: drill.Rope, Mark: d.Places[0].Mark})
		},
		func(d *drill.Document) { d.Places[1].Mark.Measures = nil },
		func(d *drill.Document) { d.Pattern.Tasks[1].Player = 1 },
		func(d *drill.Document) { d.Pattern.Tasks[1].Contact = feed.OffTheWall },
		func(d *drill.Document) { d.Pattern.Tasks[1].Contact = feed.OutOfTheAir },
		func(d *drill.Document) { d.Measures = nil },
		func(d *drill.Document) {
			for n := range drill.MaxMeasures + 1 {
				d.Measures = append(d.Measures[:n:n], drill.Measure{Number: n + 1, What: score.Ball, Goals: count})
			}
		},
		func(d *drill.Document) {
			for n := range drill.MaxMeasures {
				d.Measures = append(d.Measures[:n:n], drill.Measure{Number: n + 1, What: score.Ball, Goals: count})
			}
		},
		func(d *drill.Document) { d.Measures = append(d.Measures, d.Measures[0]) },
		func(d *drill.Document) { first(d).Name = " x" },
		func(d *drill.Document) { first(d).Tasks = []int{-1, 0, len(d.Pattern.Tasks) - 1, len(d.Pattern.Tasks)} },
		func(d *drill.Document) { first(d).What = score.Rally },
		func(d *drill.Document) { first(d).What, first(d).Who = score.Ball, drill.TwoSides },
		func(d *drill.Document) {
			first(d).Who, first(d).Goals = drill.EachPair, score.Course{{Kind: score.Together, Count: 5}}
		},
		func(d *drill.Document) { first(d).Counts.Criteria = []drill.Criterion{{Kind: drill.BeforeTheLine}} },
		func(d *drill.Document) {
			first(d).Counts.By = drill.ByMovement
			first(d).Counts.Criteria = []drill.Criterion{
				{Kind: drill.BeforeTheLine}, {Kind: drill.BeforeTheLine, Line: line}, {Kind: drill.FeetInABox},
				{Kind: drill.FeetInABox, Box: box}, {Kind: drill.ObjectIsUntouched}, {Kind: drill.BackAtTheMark},
			}
			d.Places = slices.DeleteFunc(d.Places, func(p drill.Place) bool { return p.Kind == drill.Recovery })
		},
		func(d *drill.Document) { first(d).Goals[0].Count = 0 },
		func(d *drill.Document) { first(d).Goals = timed },
		func(d *drill.Document) {
			first(d).Goals = timed
			d.Measures = append(d.Measures, drill.Measure{Number: 2, What: score.Ball, Goals: timed})
		},
		func(d *drill.Document) {
			first(d).Goals, d.Order = timed, drill.OneByOne
			d.Measures = append(d.Measures, drill.Measure{Number: 2, What: score.Sequence, Goals: timed})
		},
		func(d *drill.Document) { d.Variations[0].Name = "" },
		func(d *drill.Document) { d.Variations[0].Name = coach.AsWritten },
		func(d *drill.Document) { d.Variations[1].Name = d.Variations[0].Name },
		func(d *drill.Document) { d.NoGo = []drill.NoGo{{}} },
	} {
		d := library.All()[0].Document.Clone()
		change(&d)
		said := "sound"
		if err := d.Check(); err != nil {
			said = err.Error()
		}
		fmt.Fprintf(&b, "%d: %s\n", i, said)
		for _, m := range d.Measures {
			for _, k := range m.Counts.Criteria {
				shape, drawn := k.Drawn(c, d.Format)
				fmt.Fprintln(&b, "  ", k.Say(c, d.Format), drawn, golden.Line(t, shape, 2))
			}
		}
	}
	there := []string{"a", "b", "c", "d", "e", "f", "g"}
	for _, who := range drill.Who("").Enum() {
		for _, of := range []string{"a", "b", "d", "g", "z"} {
			for lines := range 4 {
				fmt.Fprintln(&b, who, of, lines, who.(drill.Who).Party(of, there, lines))
			}
		}
	}
	golden.Same(t, "wrong.txt", b.String())
}
