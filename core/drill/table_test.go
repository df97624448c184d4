package drill_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
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
