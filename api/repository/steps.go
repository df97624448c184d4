package repository

import (
	"context"
	"slices"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

// steps is what the next steps of a student are decided from: how good they are, and how they are measured.
type steps struct {
	skill     *skilled
	standards map[sports.Stroke]map[ladder.Quality]progress.Standard
	options   map[sports.Stroke][]progress.Option
	inPoints  map[sports.Stroke]bool
	bounds    progress.Bounds
}

// stepsOf reads how good a student is, and measures the strokes that they did or were put on a rung of.
func (s *Repository) stepsOf(ctx context.Context, id string, at *Standing) error {
	rows, skills, err := s.skills(ctx, []string{id}, playerfit.Until{})
	if err != nil {
		return err
	}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return err
	}
	at.now = s.Now()
	at.steps = steps{
		skill: &skills[0], inPoints: map[sports.Stroke]bool{}, bounds: progress.BoundsOf(settings.Steps),
	}
	for _, row := range rows {
		if row.Tried != nil && row.Tried.Points {
			at.steps.inPoints[row.Tried.Stroke] = true
		}
	}
	strokes := at.strokes()
	if at.steps.standards, err = s.standards(ctx, at.of, strokes, settings); err != nil {
		return err
	}
	at.steps.options, err = s.options(ctx, at, strokes, rows, settings)
	return err
}

// strokes are those of the student's sport that they did or were put on a rung of.
func (at Standing) strokes() (list []sports.Stroke) {
	of := sports.Of(at.of.Sport).Strokes
	add := func(stroke sports.Stroke) {
		if slices.Contains(of, stroke) && !slices.Contains(list, stroke) {
			list = append(list, stroke)
		}
	}
	for _, d := range at.done {
		add(d.Stroke)
	}
	for _, p := range at.Positions {
		add(p.Stroke)
	}
	return list
}

// forPlayer is a drill as a student plays it.
func (s *Repository) forPlayer(d drill.Document, of student.Profile) drillForPlayer {
	mine := d.For(of.Hand)
	return drillForPlayer{mine, footwork.Of(mine.Sport, of, of.Hand, s.Now()), of.Level}
}

// standards measures a student at the standard tasks of strokes.
func (s *Repository) standards(
	ctx context.Context,
	of student.Profile,
	strokes []sports.Stroke,
	settings coach.Settings,
) (map[sports.Stroke]map[ladder.Quality]progress.Standard, error) {
	var list []drillForPlayer
	for _, stroke := range strokes {
		for _, q := range ladder.Qualities() {
			d, err := library.Standard(library.Ground(of.Sport, of.Level), of.Level, stroke, ladder.TaskOf(q))
			if err != nil {
				return nil, err
			}
			list = append(list, s.forPlayer(d, of))
		}
	}
	known, err := s.known.all(ctx, list, settings)
	if err != nil {
		return nil, err
	}
	standards := map[sports.Stroke]map[ladder.Quality]progress.Standard{}
	for i, stroke := range strokes {
		standards[stroke] = map[ladder.Quality]progress.Standard{}
		for k, q := range ladder.Qualities() {
			tried := known[i*len(ladder.Qualities())+k].Tried[0]
			standards[stroke][q] = progress.StandardOf(q, stroke, tried.Attempt)
		}
	}
	return standards, nil
}

// options are the drills with which it can be found out where a student stands with strokes: those at which they were
// counted, the newest first, and those of the library.
func (s *Repository) options(
	ctx context.Context,
	at *Standing,
	strokes []sports.Stroke,
	rows []playerfit.Practice,
	settings coach.Settings,
) (map[sports.Stroke][]progress.Option, error) {
	options := map[sports.Stroke][]progress.Option{}
	seen := map[string]bool{}
	add := func(name, id string, number int, what score.Unit, tried playerfit.Tried) {
		key := playerfit.At(id, number)
		if seen[key] || tried.Points || what == score.Time || what == score.Rally {
			return
		}
		seen[key] = true
		options[tried.Stroke] = append(
			options[tried.Stroke], progress.OptionOf(name, what.Many(), key, tried.Attempt),
		)
	}
	names := map[string]string{}
	for _, d := range at.done {
		names[d.Drill] = d.Name
	}
	for _, row := range slices.Backward(rows) {
		if row.Tried != nil {
			add(names[row.Drill], row.Drill, row.Measure, row.Unit, *row.Tried)
		}
	}
	var list []drillForPlayer
	var of []library.Stored
	for _, stored := range library.All() {
		if d := stored.Document; d.Sport == at.of.Sport && slices.Contains(strokes, d.Stroke) &&
			slices.Contains(stored.Offered(), at.of.Level) {
			list, of = append(list, s.forPlayer(d, at.of)), append(of, stored)
		}
	}
	known, err := s.known.all(ctx, list, settings)
	if err != nil {
		return nil, err
	}
	for i, stored := range of {
		for k, m := range stored.Document.Measures {
			add(stored.Document.Name, stored.ID, m.Number, m.What, known[i].Tried[k])
		}
	}
	return options, nil
}

// known is what a step on a stroke is decided from.
func (at Standing) known(stroke sports.Stroke) progress.Known {
	k := progress.Known{
		Ladder:    ladder.Of(at.of.Sport),
		Standards: at.steps.standards[stroke], Skill: at.steps.skill.skill, Of: string(stroke),
		Day: playerfit.Day(at.now), Options: at.steps.options[stroke], InPoints: at.steps.inPoints[stroke],
		Bounds: at.steps.bounds,
	}
	if stroke == sports.Footwork || stroke == sports.Technique {
		k.Of = string(playerfit.Movement)
		k.Standards = map[ladder.Quality]progress.Standard{}
		for _, q := range ladder.Qualities() {
			k.Standards[q] = progress.StandardOfMoving(playerfit.Usual(at.of.Level))
		}
	}
	k.Beside.Now = at.now
	var mine []progress.Done
	for _, d := range at.ladder {
		if d.Stroke == stroke {
			mine, k.Beside.Last = append(mine, d), d.At
		}
	}
	k.Beside.Faults = progress.Trends(mine)
	for _, remark := range slices.Backward(at.remarks) { // the newest come last
		if remark.Engagement > 0 {
			k.Beside.Engagement = remark.Engagement
		}
		k.Beside.Effort = remark.Effort
	}
	return k
}
