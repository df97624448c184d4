package underway

import (
	"slices"
	"strings"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Counter is one student's count at one measure in one drill block.
type Counter struct {
	Block    string            `json:"block"`
	Counted  string            `json:"counted" description:"The block under which the balls are counted: another one where this goes on from it"`
	Student  string            `json:"student"`
	Name     string            `json:"name" description:"Of the student"`
	Short    string            `json:"short" description:"What to call them on court"`
	Drill    string            `json:"drill" description:"Its name"`
	Measure  int               `json:"measure" description:"The number of the measure"`
	On       bool              `json:"on" description:"It is this measure's turn; of measures side by side it is the first"`
	Called   string            `json:"called" description:"What it is called beside others; empty where it is the only one"`
	Goal     string            `json:"goal"`
	Unit     score.Unit        `json:"unit" description:"What is counted one after the other"`
	TooLong  int               `json:"tooLong" description:"From how many strokes on a rally is stopped; 0 where none is"`
	Standing score.Standing    `json:"standing" description:"How far along the goal is"`
	Over     bool              `json:"over" description:"Nothing counts towards the goal any more: it is met or lost, or, of as many as possible, its time is up"`
	Left     *int              `json:"left" description:"How many attempts are left: planned less counted, or what the clock still holds; null where that is not worked out"`
	Chance   *float64          `json:"chance" description:"That the goal is met in them; null where that is not worked out"`
	Hope     string            `json:"hope" description:"The same in words, with how many attempts are left; empty where that is not worked out"`
	Party    string            `json:"party" description:"The student under whom the count is taken: another one where several are on one count"`
	Shared   string            `json:"shared" description:"Who is on one count, in words; empty where each counts alone"`
	Against  string            `json:"against" description:"Who wins what this student loses; empty where nobody does"`
	Realism  drill.Realism     `json:"realism" description:"How near to play it is"`
	Detail   string            `json:"detail" description:"What makes a movement right, and the constraint; empty where there is nothing to say"`
	Misses   bool              `json:"misses" description:"Misses are marked net, long or wide"`
	Timed    bool              `json:"timed" description:"That its time is up is counted"`
	Turn     int               `json:"turn" description:"Attempts in one turn"`
	Again    bool              `json:"again" description:"A bad feed or a let can be marked"`
	Choices  bool              `json:"choices" description:"Right or wrong choice is marked with each ball"`
	Court    court.ID          `json:"court"`
	Aim      *court.Shape      `json:"aim" description:"The target as this student sees it, to note where balls land; null where balls do not land in it"`
	Zones    []court.Zone      `json:"zones" description:"Zones in which landings can be counted, row by row; none where there is no aim"`
	Rests    string            `json:"rests" description:"What this student is spared while something hurts, in words; empty: nothing"`
	Faults   []tally.Seen      `json:"faults" description:"What to watch in this student, and how often it was seen in this lesson"`
	Face     *drill.Face       `json:"face" description:"The clock by which it is counted; null where it has none of its own"`
	Can      lesson.Adjustable `json:"can" description:"What can be changed in its drill on the spot"`
	Count    tally.Count       `json:"count"`
	Sorts    []student.LimitOf `json:"sorts" description:"What can be limited, of which all its balls are"`
	Follows  bool              `json:"follows" description:"The measures of its drill follow one another, and share its balls"`
	Near     *Near             `json:"near" description:"How much of the student’s limit was counted in the lesson; null while that is far from it"`
	Newest   *Newest           `json:"newest" description:"The newest count, faults aside; null where nothing is counted"`
}

// counters returns a counter for every drill block, student and measure, with what was counted so far.
func (k Kit) counters(in schedule.Inputs) []Counter {
	summaries := k.summaries()
	counters := []Counter{}
	for _, block := range k.Document.Blocks {
		document, known := in.Drills[block.Plays()]
		if !known {
			continue
		}
		there := in.In(block)
		can := block.Adjustable(block.VersionOf(in.Drills[block.Drill], k.Document.Space.Court))
		group, _ := load.Arrange(document, max(1, len(there)), block.Lines, k.Document.Space)
		for _, person := range there {
			mine := block.DrillFor(document, person)
			met, faults := make([]int, len(mine.Measures)), seen(person, summaries)
			for i, m := range mine.Measures {
				c := Counter{
					Block:   block.ID,
					Counted: block.CountedAs(),
					Student: person.ID,
					Name:    person.Profile.Name,
					Short:   person.Short,
					Drill:   playedAs(block, document),
					Measure: m.Number,
					Called:  mine.Called(m),
					Turn:    load.Pool(mine, m, 1),
					Realism: mine.RealismOf(m),
					Detail:  detail(mine, m),
					Misses:  m.Kinds(),
					Timed:   m.Goals[0].HasTime(),
					Again:   m.Counts.NoCount,
					Choices: m.Counts.Choices,
					Court:   document.Court,
					Rests:   student.Joined(person.Profile.Rests()),
					Sorts:   sorts(mine, m),
					Follows: mine.Order.Follow(),
					Faults:  faults,
					Zones:   []court.Zone{},
					Face:    mine.FaceOf(m),
					Can:     can,
				}
				c.share(m.Who, person, there, group.Lines)
				if aim, ok := mine.Aimed(m); ok && m.Counts.By != drill.ByMovement && (aim.Radius > 0 || len(aim.Corners) > 2) {
					c.Aim = &aim
					c.Zones = zones(document, aim)
				}
				met[i], c.Newest = c.counted(m, summaries), k.newest(c)
				counters = append(counters, c)
			}
			counters[len(counters)-len(met)+mine.On(met)].On = true
		}
	}
	for _, person := range in.People {
		near := nearing(counters, person)
		for i := range counters {
			if counters[i].Student == person.ID {
				counters[i].Near = near
			}
		}
	}
	return counters
}

// playedAs is what the drill of a block is called: by the title of the block where it was changed on the spot.
func playedAs(b lesson.Block, d drill.Document) string {
	if b.Changed() != "" {
		return b.Title
	}
	return d.Name
}

// seen is what to watch in somebody, and how often it was seen in a lesson.
func seen(person lesson.Person, of []done) []tally.Seen {
	list := make([]tally.Seen, len(person.Profile.Watch))
	for i, fault := range person.Profile.Watch {
		list[i].Fault = fault
	}
	for _, a := range of {
		if a.Student == person.ID {
			list = tally.AddSeen(list, a.Faults...)
		}
	}
	return list
}

// share says who keeps the count of somebody, and who is on it, where several are, or who is on the other side.
func (c *Counter) share(w drill.Who, of lesson.Person, there []lesson.Person, lines int) {
	c.Party = of.ID
	party := w.Party(of.ID, lesson.IDs(there), lines)
	if len(party) < 2 {
		return
	}
	var shorts []string
	for _, p := range there {
		switch {
		case !slices.Contains(party, p.ID):
		case w != drill.TwoSides:
			shorts = append(shorts, p.Short)
		case p.ID != of.ID:
			c.Against = p.Short
		}
	}
	if w != drill.TwoSides {
		c.Party, c.Shared = party[0], strings.Join(shorts, " + ")
	}
}

// detail is what makes a movement right at a measure, and its constraint, in words.
func detail(d drill.Document, m drill.Measure) string {
	var list []string
	if c, err := sports.Court(d.Court); err == nil {
		for _, k := range m.Counts.Criteria {
			list = append(list, k.Say(c, d.Format))
		}
	}
	if m.Constraint != "" {
		list = append(list, m.Constraint)
	}
	if forfeit := m.Counts.Costs(); forfeit != "" {
		list = append(list, forfeit)
	}
	return strings.Join(list, "; ")
}

// counted takes in what was counted, towards the goals as they were then, and returns how many of them are met, or
// over.
func (c *Counter) counted(m drill.Measure, of []done) int {
	same := func(a done) bool { return a.Block == c.Counted && a.Measure.Number == m.Number }
	if i := slices.IndexFunc(of, func(a done) bool { return same(a) && a.Student == c.Student }); i >= 0 {
		m, c.Count, c.Standing, c.Over = of[i].Measure, of[i].Count, of[i].standing, of[i].over
	} else if i := slices.IndexFunc(of, func(a done) bool {
		return same(a) &&
			a.Measure.Goals.Joint()
	}); m.Goals.Joint() && i >= 0 {
		c.Standing, c.Over = of[i].standing, of[i].over // what the others made counts too
	} else {
		c.Standing = m.Goals.Stand()
	}
	c.Goal, c.Unit, c.TooLong = m.Goal(), m.What, m.Goals.LongestRally()
	return m.Goals.GoalsDone(c.Standing, c.Over)
}

// zones are those of the half with the target; none on a squash court, which is not played over a net.
func zones(d drill.Document, aim court.Shape) []court.Zone {
	c, err := sports.Court(d.Court)
	if err != nil || !c.HasNet() {
		return []court.Zone{}
	}
	return c.Zones(d.Format, aim.Centre.Y > 0)
}
