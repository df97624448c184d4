package desk

import (
	"context"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
)

// Version is one rung of a drill's ladder, worked out beside the drill as it is written.
type Version struct {
	Name       string           `json:"name"`
	Difficulty drill.Difficulty `json:"difficulty,omitempty" description:"None for the drill as it is written"`
	Sentences  []string         `json:"sentences" description:"What each of its steps changes"`
	Problem    string           `json:"problem" description:"Why it cannot be played; empty where it can"`
	Alone      bool             `json:"alone" description:"It has other measures than the drill, and is played by all or by nobody"`
	Report     *report.Report   `json:"report" description:"Null where it cannot be played"`
	Verdict    string           `json:"verdict" description:"How hard it is for whoever it is tried on"`
	Measures   []drill.Measure  `json:"measures" description:"What counts in it: its own, else what its steps make of the drill's"`
}

// versions works out every version of a drill, from the easiest to the hardest.
func (s *Desk) versions(ctx context.Context, _ request.None, body Tried) ([]Version, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	list := []Version{}
	for _, v := range body.Document.Versions() {
		told := Version{Name: v.Name, Difficulty: v.Difficulty, Measures: []drill.Measure{}}
		document, sentences, err := body.Document.ToldVersion(ctx, v.Name, settings)
		told.Sentences = sentences
		if err != nil {
			if ctx.Err() != nil {
				return nil, err
			}
			told.Problem, told.Sentences = invalid.Sentence(err), []string{}
			list = append(list, told)
			continue
		}
		told.Alone, told.Measures = !document.CountsAs(body.Document), document.Measures
		seen := document.For(body.Hand)
		of, err := report.Of(seen, body.People, settings)
		if err != nil {
			return nil, err
		}
		told.Report = &of
		player, _, err := s.evidenceFor(ctx, body, seen)
		if err != nil {
			return nil, err
		}
		turn, err := simulation.Run(ctx, seen, player, settings)
		if err != nil {
			return nil, err
		}
		told.Verdict = turn.Verdict
		list = append(list, told)
	}
	return list, nil
}
