package schedule

import (
	"slices"

	"hodometer/core/lesson"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// CourtPlan is what stands on one kind of court in a lesson, and the one walk that puts it down.
type CourtPlan struct {
	Court court.Court  `json:"court"`
	Walk  []court.Step `json:"walk" description:"Everything that stands in any block, in one short walking order"`
	Moves []Move       `json:"moves" description:"What changes from block to block"`
}

// Move is what changes on court before a block.
type Move struct {
	Block string  `json:"block"`
	Title string  `json:"title"`
	Clock string  `json:"clock"`
	Comes []Piece `json:"comes"`
	Goes  []Piece `json:"goes"`
	Stays []Piece `json:"stays"`
	Marks int     `json:"marks" description:"Places that are marked for it for the first time"`
}

// CourtPlans say where everything stands, court by court, with what moves between the blocks.
func CourtPlans(d lesson.Document, p Timetable, in Inputs) ([]CourtPlan, error) {
	plans := []CourtPlan{}
	type key struct {
		court court.ID
		drill string
	}
	seen := map[key]bool{}
	stops := map[court.ID][]court.Stop{}
	for i, l := range Prepare(d, in) {
		if !l.Drilled {
			continue
		}
		id := l.Document.Court
		c, err := sports.Court(id)
		if err != nil {
			return nil, err
		}
		at := slices.IndexFunc(plans, func(plan CourtPlan) bool { return plan.Court.ID == id })
		if at < 0 {
			at, plans = len(plans), append(plans, CourtPlan{Court: c, Walk: []court.Step{}, Moves: []Move{}})
		}
		s := p.Blocks[i]
		plans[at].Moves = append(
			plans[at].Moves,
			Move{Block: s.Block, Title: s.Title, Clock: s.Clock, Comes: s.Comes, Goes: s.Goes, Stays: s.Stays},
		)
		if k := (key{id, l.Block.Drill}); !seen[k] {
			seen[k] = true
			marks := l.Document.Stops()
			plans[at].Moves[len(plans[at].Moves)-1].Marks = len(marks)
			for _, stop := range marks {
				stop.Label = l.Document.Name + ": " + stop.Label
				stops[id] = append(stops[id], stop)
			}
		}
	}
	for i, plan := range plans {
		var err error
		if plans[i].Walk, err = plan.Court.WalkOff(
			stops[plan.Court.ID],
			plan.Court.Corner(),
			in.Settings.WalkTape(),
		); err != nil {
			return nil, err
		}
	}
	return plans, nil
}
