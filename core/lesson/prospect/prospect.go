// Package prospect is what to expect of each student in the drill of a block, measure by measure: how many attempts
// there are, how many the goals take, and how likely they are met.
package prospect

import (
	"cmp"
	"context"
	"errors"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// Prospect is what to expect of one student in one measure of a block.
type Prospect struct {
	Student  string     `json:"student"`
	Name     string     `json:"name" description:"Of the student; of several who are on one count those of all"`
	Measure  int        `json:"measure" description:"Its number"`
	Called   string     `json:"called" description:"What the measure is called beside others; empty where it is the only one"`
	Unit     score.Unit `json:"unit"`
	Attempts int        `json:"attempts" description:"How many there are in the block, of all who are on one count; of a rally as many as there is time for"`
	Tries    string     `json:"tries" description:"The same in words: 24 balls"`
	Made     float64    `json:"made" description:"How many of them are made in the mean"`
	Goal     string     `json:"goal"`
	Chance   *float64   `json:"chance" description:"That all its goals are met in the block, of a race that it is over; null where that is not known"`
	Times    string     `json:"times" description:"The same in words"`
	Race     bool       `json:"race" description:"Its chance is that it is over in the block, won or lost"`
	Needs    float64    `json:"needs" description:"Attempts that the goals take in the mean; 0 where that is not counted"`
	Rate     float64    `json:"rate" description:"Chance of one attempt"`
	Joint    bool       `json:"joint" description:"Several players are on one count"`
	Keeps    bool       `json:"keeps" description:"Of those on one count the one under whom it stands; each who counts alone"`

	High  float64 `json:"-"` // the most of the chances, where it is not known for sure where the goal stands; else the chance
	Short bool    `json:"-"` // the clock holds fewer attempts than were planned and are not counted yet

	goals     score.Course
	questions []odds.Question // of each goal, after all that comes before it
}

// of works out what to expect of everybody in a block that has a drill; nothing without rates.
func of(ctx context.Context, l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) ([]Prospect, error) {
	list := []Prospect{}
	rates := in.Rates[l.Block.ID]
	if rates == nil || s.Load == nil {
		return list, nil
	}
	for _, person := range l.People {
		mine := l.Block.DrillFor(l.Document, person)
		if len(rates[person.ID].Measures) != len(mine.Measures) {
			continue
		}
		for i := range mine.Measures {
			asked := Asked{
				Drill: mine, Measure: i, Student: person.ID, Turns: s.Load.Turns,
				There: lesson.IDs(l.People), Lines: l.Group.Lines, Rates: rates, Settings: in.Settings,
			}
			p, err := asked.Answer(ctx)
			if err != nil {
				return nil, err
			}
			if p.Name = person.Profile.Name; p.Joint {
				p.Name = together(l.People, asked.party())
			}
			list = append(list, p)
		}
	}
	return list, nil
}

// together are the names of those who are on one count.
func together(people []lesson.Person, party []string) string {
	var names []string
	for _, p := range people {
		if slices.Contains(party, p.ID) {
			names = append(names, cmp.Or(p.Short, p.Profile.Name))
		}
	}
	return strings.Join(names, " + ")
}

// Likely is the chance from which on a goal is expected to be met in its block.
const Likely = 0.5

// Attainable is what the student meets 4 times in 5 in the block: the goals as they are up to the first that is not
// expected to be met, which is made smaller. It is false where even the smallest is met less often.
func (p Prospect) Attainable(ctx context.Context) (score.Course, bool, error) {
	for g, q := range p.questions {
		chance, err := q.Within(ctx)
		if err != nil {
			return nil, false, err
		}
		if chance >= Likely && g < len(p.questions)-1 {
			continue
		}
		fitted, err := q.Attainable(ctx)
		var wrong invalid.Fields
		if errors.As(err, &wrong) {
			return nil, false, nil
		}
		return append(p.goals[:g:g], fitted), err == nil, err
	}
	return nil, false, nil
}

// Turns is how many turns each has to have so that the goals are met 4 times in 5, if the block has so many now; false
// for a goal that ends by itself. Turns beyond any lesson are told as they are.
func (p Prospect) Turns(ctx context.Context, now int) (float64, bool, error) {
	if len(p.questions) == 0 || now < 1 {
		return 0, false, nil
	}
	q := p.questions[len(p.questions)-1]
	attempts, seconds, ok, err := q.Enough(ctx)
	if !ok || err != nil {
		return 0, false, err
	}
	share := seconds / q.Seconds
	if q.Balls > 0 {
		share = attempts / float64(q.Balls)
	}
	return math.Ceil(share*float64(now) - 1e-9), true, nil
}

// Block is what to expect of everybody in one block.
type Block struct {
	Block    string     `json:"block"`
	Title    string     `json:"title"`
	Students []Prospect `json:"students" description:"By student, then by measure"`
}

// All works out what to expect in every block of a lesson, in order. It returns ctx.Err() when cancelled.
func All(ctx context.Context, t schedule.Timetable, list []schedule.Prepared, in schedule.Inputs) ([]Block, error) {
	blocks := make([]Block, len(list))
	for i, l := range list {
		students, err := of(ctx, l, t.Blocks[i], in)
		if err != nil {
			return nil, err
		}
		blocks[i] = Block{Block: l.Block.ID, Title: l.Block.Title, Students: students}
	}
	return blocks, nil
}
