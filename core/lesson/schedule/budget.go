package schedule

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
)

// Budget is what comes to one student in a lesson. Times are seconds.
type Budget struct {
	Student   string  `json:"student"`
	Name      string  `json:"name"`
	Short     string  `json:"short" description:"What to call them on court"`
	Balls     int     `json:"balls" description:"Strokes: at balls fed to them, in rallies and in warm-ups with a rotation"`
	Overheads int     `json:"overheads" description:"Strokes above the head, serves included"`
	Serves    int     `json:"serves"`
	Metres    float64 `json:"metres" description:"Run in drills"`
	Ran       string  `json:"ran" description:"The same in the coach's units"`
	Playing   float64 `json:"playing" description:"In drills and rotations"`
	Waiting   float64 `json:"waiting" description:"In drills and rotations"`
	Rest      float64 `json:"rest" description:"Breaks and talks"`
	Fault     string  `json:"fault" description:"What to watch in them"`
	Rests     string  `json:"rests" description:"What they are spared while something hurts, in words; empty: nothing"`
}

// budgets add up what comes to each student.
func (p Timetable) budgets(list []Prepared, in Inputs) []Budget {
	budgets := make([]Budget, len(in.People))
	for i, person := range in.People {
		b := Budget{
			Student: person.ID,
			Name:    person.Profile.Name,
			Short:   person.Short,
			Fault:   person.Profile.Watching(),
			Rests:   student.Joined(person.Profile.Rests()),
		}
		for k, l := range list {
			b.Add(l.ComesTo(person.ID, p.Blocks[k], in), 1)
		}
		b.Ran = in.Ran(b.Metres)
		budgets[i] = b
	}
	return budgets
}

// Add takes in so many times what comes to the student elsewhere. Balls are counted whole.
func (b *Budget) Add(more Budget, times float64) {
	whole := func(n int) int { return int(math.Round(float64(n) * times)) }
	b.Balls += whole(more.Balls)
	b.Overheads += whole(more.Overheads)
	b.Serves += whole(more.Serves)
	b.Metres += more.Metres * times
	b.Playing += more.Playing * times
	b.Waiting += more.Waiting * times
	b.Rest += more.Rest * times
}

// Times is so many times what comes to a student.
func (b Budget) Times(times float64) Budget {
	all := Budget{Student: b.Student, Name: b.Name, Short: b.Short}
	all.Add(b, times)
	return all
}

// ComesTo is what comes to a student in the block as it stands on the clock; nothing where they are not in it.
func (l Prepared) ComesTo(student string, s ScheduledBlock, in Inputs) (b Budget) {
	at := l.at(student)
	if at < 0 {
		return b
	}
	switch {
	case l.Block.Kind.Rests():
		b.Rest += s.End - s.Start
	case s.Load != nil:
		turns := l.turns(at, s)
		strikes := load.Of(l.Document, turns)
		b.Balls += strikes.Strokes
		b.Overheads += strikes.Overheads
		b.Serves += strikes.Serves
		if run, ok := l.run(student, s, in); ok {
			b.Metres += run.Gives.Number
		}
		had := float64(s.Load.Turns) * l.Document.Pattern.TurnSeconds()
		if s.Table != nil {
			had = s.Load.Feeding - s.Table.People[at].Waited
		}
		// The pause at the end of a turn is the beginning of the wait for the next one.
		own := math.Min(s.Load.Feeding, had*(1-l.Document.Pattern.Pause/l.Document.Pattern.TurnSeconds()))
		b.Playing += own
		b.Waiting += s.Load.Feeding - own
	case s.Table != nil:
		share := s.Table.People[at]
		b.Playing += share.Played
		b.Waiting += share.Waited
		b.Balls += share.Balls
	default:
		b.Playing += s.Work
	}
	return b
}

// way prints how far somebody runs in a drill: in whole metres or feet, so that those of a lesson add up as they are
// read.
func way(in Inputs) metric.Print { return metric.Length(in.Settings.Units, 0).Fixed() }

// Ran says how far somebody runs.
func (in Inputs) Ran(metres float64) string { return way(in).Of("", metres).Worded() }

// Way is how the metres came about that somebody runs in a lesson: drill by drill its turns, one as long as the other.
func (p Timetable) Way(b Budget, list []Prepared, in Inputs) []metric.Sum {
	var runs []metric.Sum
	var parts []metric.Part
	for k, l := range list {
		if run, ok := l.run(b.Student, p.Blocks[k], in); ok {
			runs, parts = append(runs, run), append(parts, run.Gives)
		}
	}
	return append(runs, metric.Added.Work(b.Name, way(in), parts...))
}

// run is how far a student runs in the block; false where they do not.
func (l Prepared) run(student string, s ScheduledBlock, in Inputs) (metric.Sum, bool) {
	turns, metres := l.TurnsOf(student, s), in.Metres[l.Block.ID][student]
	if turns == 0 || metres == 0 {
		return metric.Sum{}, false
	}
	return metric.Times.Work(s.Title, way(in), metric.Decimal(0, "turns").Of("Turns", turns),
		metric.Length(in.Settings.Units, 1).Of("One turn", metres)), true
}

// turns is how many turns of the drill one of its people has: as many as all, where they come in lines or the coach
// says how they change; else those that the table gives them.
func (l Prepared) turns(person int, s ScheduledBlock) float64 {
	if s.Table == nil || l.Block.Rotation != nil {
		return float64(s.Load.Turns)
	}
	return l.turnsAt(person, *s.Table)
}

// TurnsOf is how many turns of the block's drill a student has as it stands on the clock; 0 where they are not in it.
func (l Prepared) TurnsOf(student string, s ScheduledBlock) float64 {
	at := l.at(student)
	if at < 0 || s.Load == nil {
		return 0
	}
	return l.turns(at, s)
}

// at is where a student is among the people of the block; −1 where they are not.
func (l Prepared) at(student string) int {
	return slices.IndexFunc(l.People, func(other lesson.Person) bool { return other.ID == student })
}

// span is from the least to the most of something that one of the people of a block has.
type span struct{ least, most int }

// of says it in words: 3 turns, or 3 to 4 turns.
func (s span) of(one, many string) string {
	if s.least == s.most {
		return units.Count(s.least, one, many)
	}
	return fmt.Sprintf("%d to %d %s", s.least, s.most, many)
}

// between is the least and the most of something that the turns of the people of a block come to.
func (l Prepared) between(s ScheduledBlock, of func(turns float64) int) span {
	if len(l.People) == 0 {
		all := of(float64(s.Load.Turns))
		return span{all, all}
	}
	found := span{least: math.MaxInt}
	for i := range l.People {
		n := of(l.turns(i, s))
		found.least, found.most = min(found.least, n), max(found.most, n)
	}
	return found
}

// strikes says what each of the people of a drill strikes in it.
func (l Prepared) strikes(s ScheduledBlock) string {
	one, many := l.Document.Ball()
	return l.between(s, func(turns float64) int { return load.Of(l.Document, turns).Balls }).of(one, many)
}

// carry lists what to bring: of each piece as many as one block needs at most, and no more full baskets, tubes or boxes
// than the fullest drill feeds and the coach has.
func (p Timetable) carry(list []Prepared, in Inputs) []Piece {
	carry, full := []Piece{}, []Piece{}
	for i, l := range list {
		if !l.Drilled {
			continue
		}
		carried := in.Settings.Container(l.Document.Sport)
		if n := min(p.Blocks[i].Load.Baskets, carried.Has); n > 0 {
			full = more(full, Piece{Count: n, Name: carried.Many})
		}
		for _, piece := range Pieces(l.Document.Carry()) {
			if piece.contains() {
				continue
			}
			carry = more(carry, piece)
		}
	}
	for i, p := range full {
		if p.Count == 1 {
			full[i].Name = singular(p.Name)
		}
	}
	return append(full, carry...)
}

// more is a list that has so many of a piece at least.
func more(list []Piece, p Piece) []Piece {
	if k := slices.IndexFunc(list, p.same); k < 0 {
		list = append(list, p)
	} else if list[k].Count < p.Count {
		list[k] = p
	}
	return list
}
