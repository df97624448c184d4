package schedule

import (
	"context"
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/drill/simulation"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Inputs is what a lesson is scheduled from, besides its own document.
type Inputs struct {
	Drills   map[string]drill.Document // by identifier; a missing one becomes a finding
	Games    map[string]game.Document  // the same
	People   []lesson.Person           // in the order of the document; those that are gone are missing
	Settings coach.Settings
	// Rates are what the students make of the drill of a block as they play it: by block, then by student. Without them
	// nothing is said of misses.
	Rates map[string]map[string]Rated
	// Metres is how far a student runs in one turn of the drill of a block, as they play it: by block, then by student;
	// see Measure. Without it nothing is said of running.
	Metres map[string]map[string]float64
}

// Rated is what somebody makes of a drill.
type Rated struct {
	Measures []odds.Estimates // in the order of the drill's
	Stroke   float64          // seconds from stroke to stroke of a rally; 0 where there is none
}

// Gather takes from drills and games, as they are written and by identifier, what a lesson is scheduled from: each in
// the version and on the court in which it is played there. A version that is not there any more is the drill as it is
// written; the plan says so.
func Gather(
	d lesson.Document,
	drills map[string]drill.Document,
	games map[string]game.Document,
	people []lesson.Person,
	s coach.Settings,
) Inputs {
	in := Inputs{Drills: map[string]drill.Document{}, Games: map[string]game.Document{}, People: people, Settings: s}
	for _, block := range d.Blocks {
		if document, ok := drills[block.Drill]; ok {
			in.Drills[block.Drill] = document
			in.Drills[block.Plays()], _ = block.OnTheSpot(block.VersionOf(document, d.Space.Court))
		}
		if document, ok := games[block.Game]; ok {
			in.Games[block.Game] = document
			in.Games[block.Plays()], _ = document.InLesson(block.Version, d.Space.Court)
		}
	}
	return in.Named()
}

// Named gives everybody a short name that nobody else in the lesson has.
func (in Inputs) Named() Inputs {
	names := make([]string, len(in.People))
	for i, p := range in.People {
		names[i] = p.Profile.Name
	}
	in.People = slices.Clone(in.People)
	for i, short := range student.ShortNames(names) {
		in.People[i].Short = short
	}
	return in
}

// Measure adds how far each student runs in a turn of each drill, as quick as they are on the day of the lesson. In one
// that cannot be fed nobody runs. It returns ctx.Err() when cancelled.
func (in *Inputs) Measure(ctx context.Context, d lesson.Document) error {
	// Without a date every run that was timed is of today.
	today, _ := time.Parse(time.DateOnly, d.Date)
	// Who is alike plays the same with the same feet.
	type alike struct {
		drill, version string
		drawn          lesson.Drawn
		gap            float64
		player         footwork.Player
	}
	known := map[alike]float64{}
	in.Metres = make(map[string]map[string]float64, len(d.Blocks))
	for _, block := range d.Blocks {
		document, ok := in.Drills[block.Plays()]
		if !ok {
			continue
		}
		of := make(map[string]float64, len(in.People))
		for _, person := range in.In(block) {
			mine := block.DrillFor(document, person)
			player, own := footwork.Of(mine.Sport, person.Profile, person.Profile.Hand, today), block.Variant(person.ID)
			a := alike{block.Plays(), own.Version, own.Drawn, own.Gap, player}
			metres, there := known[a]
			if !there {
				var err error
				metres, err = simulation.MetresOf(ctx, mine, a.player, in.Settings)
				var wrong invalid.Fields
				if err != nil && !errors.As(err, &wrong) {
					return err
				}
				known[a] = metres
			}
			of[person.ID] = metres
		}
		in.Metres[block.ID] = of
	}
	return nil
}

// In are the people of a block.
func (in Inputs) In(b lesson.Block) []lesson.Person {
	if len(b.People) == 0 {
		return in.People
	}
	var list []lesson.Person
	for _, p := range in.People {
		if slices.Contains(b.People, p.ID) {
			list = append(list, p)
		}
	}
	return list
}

// Known keeps the people in the order of the lesson.
func (in Inputs) Known(ids []string) []lesson.Person {
	var list []lesson.Person
	for _, id := range ids {
		if i := slices.IndexFunc(in.People, func(p lesson.Person) bool { return p.ID == id }); i >= 0 {
			list = append(list, in.People[i])
		}
	}
	return list
}

// Titled gives a lesson without a title one of its students' names, short enough for a list.
func Titled(d lesson.Document, in Inputs) lesson.Document {
	if strings.TrimSpace(d.Title) != "" {
		return d
	}
	var names []string
	for _, p := range in.Named().People {
		names = append(names, p.Short)
	}
	const most = 3
	if n := len(names); n > most {
		d.Title = fmt.Sprintf("%s and %d more", strings.Join(names[:most-1], ", "), n-most+1)
	} else {
		d.Title = strings.Join(names, " and ")
	}
	return d
}

// ForDrill returns a block that holds a drill with all its turns for so many people, in whole minutes.
func ForDrill(id string, d drill.Document, people int, space load.Space, s coach.Settings) lesson.Block {
	group, _ := load.Arrange(d, people, 1, space)
	need := s.ChangeOver + load.For(d, group, d.Turns, s).Need
	return lesson.Block{
		Kind:    lesson.Drill,
		Title:   d.Name,
		Minutes: math.Ceil(need / 60),
		Effort:  d.Effort,
		Drill:   id,
		Calls:   []lesson.Call{},
	}
}

// Court is the one that a lesson is drawn on: that of the place, of its first drill, or the first of its sport.
func (in Inputs) Court(d lesson.Document) court.Court {
	ids := []court.ID{d.Space.Court}
	for _, b := range d.Blocks {
		ids = append(ids, in.Drills[b.Plays()].Court)
	}
	for _, id := range ids {
		if c, err := sports.Court(id); err == nil {
			return c
		}
	}
	all := sports.Courts()
	return all[max(0, slices.IndexFunc(all, func(c court.Court) bool { return c.Sport == in.Sport() }))]
}

// Sport is what most of the people play; without people the first there is.
func (in Inputs) Sport() court.Sport {
	counts := map[court.Sport]int{}
	best := sports.All()[0].Name
	for _, p := range in.People {
		counts[p.Profile.Sport]++
		if counts[p.Profile.Sport] > counts[best] {
			best = p.Profile.Sport
		}
	}
	return best
}
