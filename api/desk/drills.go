package desk

import (
	"context"
	"errors"
	"slices"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Tried is a drill that is tried on somebody.
type Tried struct {
	ID       string         `json:"id,omitempty" maxLength:"40" description:"Which drill it is, for what was counted on it"`
	Document drill.Document `json:"document"`
	People   int            `json:"people" minimum:"1" maximum:"12"`
	Hand     student.Hand   `json:"hand" description:"Worked out for a player of this hand"`
	Student  string         `json:"student,omitempty" maxLength:"40" description:"Tried on this student"`
	Level    student.Level  `json:"level,omitempty" description:"Tried on somebody of this level; neither word means the level it is written for"`
}

// DrillPreview is a drill to be worked out without being saved.
type DrillPreview struct {
	Tried
	Edit  *drill.Edit           `json:"edit,omitempty" description:"What is to be done to it first"`
	Steps []feed.Transformation `json:"steps,omitempty" maxItems:"12" description:"Transformations to be tried on it"`

	Version string `json:"version,omitempty" maxLength:"60" description:"Instead of steps: one of its versions, with the measures that it has of its own"`
}

// AdaptAsked is a drill whose goal or target is to be adapted to somebody.
type AdaptAsked struct {
	Tried
	To playerfit.AdaptRequest `json:"to"`
}

// Adapted is a drill that was adapted. Nothing is saved.
type Adapted struct {
	Document drill.Document `json:"document" description:"As written for a right-hander"`
	Sentence say.Sentence   `json:"sentence" description:"What changed, in a sentence"`
}

// SuitsAsked is a drill of which it is asked whom it suits.
type SuitsAsked struct {
	Document drill.Document `json:"document"`
}

// Suiting is whom a drill suits.
type Suiting struct {
	Levels string `json:"levels" description:"The levels at which its goal is met two to nine times in ten, in words; empty: at none"`
}

// Dragged is a place of a drill while it is being dragged.
type Dragged struct {
	Document drill.Document `json:"document"`
	Hand     student.Hand   `json:"hand" description:"Seen by a player of this hand"`
	Move     drill.Move     `json:"move"`
}

// TransferAsked is a drill to be carried over to another court.
type TransferAsked struct {
	Document drill.Document `json:"document"`
	Court    court.ID       `json:"court" maxLength:"40"`
	Scales   []string       `json:"scales" maxItems:"60" description:"Handles of the marks whose offsets grow or shrink with the court"`
	Plain    []string       `json:"plain" maxItems:"60" description:"Handles of the marks to be carried over as plain places"`
}

// Transferred is a drill on another court. Nothing is saved.
type Transferred struct {
	Document drill.Document          `json:"document" description:"Each mark carried over in its own way"`
	Marks    []drill.TransferredMark `json:"marks" description:"What keeping and what scaling the offsets would do"`
	Problems invalid.Fields          `json:"problems" description:"What makes no sense on the new court"`
}

// Regions is a scheme of depth regions, numbered as the coach wants it.
type Regions struct {
	Name  string       `json:"name"`
	Own   bool         `json:"own" description:"The coach's own scheme"`
	Bands []court.Band `json:"bands" description:"From the net out"`
}

// ofCourt is the parameter of something about one court.
type ofCourt struct {
	ID string `param:"id" path:"id"`
}

// WorkedDrill is a drill worked out.
type WorkedDrill struct {
	Document   drill.Document        `json:"document" description:"With the place moved, as written for a right-hander"`
	Report     report.Report         `json:"report" description:"For the hand that was asked for"`
	Simulation simulation.Simulation `json:"simulation" description:"One turn, ball by ball"`
	PlayerFit  playerfit.Fit         `json:"playerFit" description:"How goal and target suit whoever it is tried on"`
	Sentences  []string              `json:"sentences" description:"What each transformation changed"`

	Replies []drill.Reply `json:"replies" description:"The tasks whose replies go to a place in words, and to which"`
}

// Use is a lesson that has a drill in it.
type Use struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	Date  string `json:"date"`
	Start string `json:"start"`
}

// Duplicate says under which identifier a copy is kept.
type Duplicate struct {
	ID string `json:"id" format:"uuid"`
}

// Begin is where on a court the first ball of a new drill lands.
type Begin struct {
	Court court.ID    `json:"court" maxLength:"40"`
	At    court.Point `json:"at"`
}

func (s *Desk) drillRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/courts",
			"listCourts",
			"The courts and their lines",
			func(context.Context, request.None, request.None) ([]court.Court, error) {
				return sports.Courts(), nil
			},
		),
		request.Make(
			"GET",
			"/api/drills",
			"searchDrills",
			"Drills that are looked for, built in and the coach's own, some at a time",
			s.search,
		),
		request.Make(
			"GET",
			"/api/drills/:id",
			"getDrill",
			"One drill",
			func(ctx context.Context, p request.ByID, _ request.None) (repository.Drill, error) {
				found, err := s.Drill(ctx, p.ID)
				if err != nil {
					return repository.Drill{}, err
				}
				settings, _, err := s.Store.Settings(ctx)
				return found.Worked(settings), err
			},
		),
		request.Make(
			"PUT",
			"/api/drills/:id",
			"saveDrill",
			"Add or change a drill",
			func(ctx context.Context, p request.Keep, body drill.Document) (repository.Drill, error) {
				if err := repository.RefuseBuiltIn(p.ID); err != nil {
					return repository.Drill{}, err
				}
				record, err := repository.SaveNamed(
					ctx,
					s.Repository,
					s.Store.Drills,
					p,
					body,
					func(d drill.Document) string { return d.Name },
				)
				return repository.AsDrill(record), err
			},
		),
		request.Make(
			"PUT",
			"/api/drills/:id/archived",
			"archiveDrill",
			"Archive a drill, or bring it back",
			func(ctx context.Context, p request.ByID, body repository.Archiving) (repository.Drill, error) {
				if err := repository.RefuseBuiltIn(p.ID); err != nil {
					return repository.Drill{}, err
				}
				record, err := s.Store.Drills.Archive(ctx, p.ID, body.Archived)
				return repository.AsDrill(record), err
			},
		),
		request.Make(
			"POST",
			"/api/drills/:id/duplicate",
			"duplicateDrill",
			"Make an own version of a drill",
			func(ctx context.Context, p request.ByID, body Duplicate) (repository.Drill, error) {
				original, err := s.Drill(ctx, p.ID)
				if err != nil {
					return repository.Drill{}, err
				}
				record, err := s.Store.Drills.Create(ctx, body.ID, original.Document.Copy())
				return repository.AsDrill(record), err
			},
		),
		request.Make(
			"POST",
			"/api/drills/begin",
			"beginDrill",
			"A new drill, begun by pressing the court",
			func(_ context.Context, _ request.None, body Begin) (drill.Document, error) {
				return library.Begun(body.Court, body.At)
			},
		),
		request.Make(
			"GET",
			"/api/drills/:id/uses",
			"listUses",
			"Lessons from today on that have a drill in them",
			func(ctx context.Context, p request.ByID, _ request.None) ([]Use, error) {
				record, err := s.Store.LessonsWith(ctx, p.ID, s.Today())
				uses := make([]Use, len(record))
				for i, k := range record {
					uses[i] = Use{ID: k.ID, Title: k.Document.Title, Date: k.Document.Date, Start: k.Document.Start}
				}
				return uses, err
			},
		),
		request.Make("GET", "/api/courts/:id/regions", "listRegions", "The schemes of depth regions of a court", s.regions),
		request.Make(
			"POST",
			"/api/drills/transfer",
			"transferDrill",
			"Carry a drill over to another court without saving it",
			s.transferDrill,
		),
		request.Make(
			"POST",
			"/api/drills/moved",
			"movePlace",
			"Read off a place that is being dragged",
			func(ctx context.Context, _ request.None, body Dragged) (report.Moved, error) {
				settings, _, err := s.Store.Settings(ctx)
				if err != nil {
					return report.Moved{}, err
				}
				return report.AfterMove(body.Document, body.Move, body.Hand, settings)
			},
		),
		request.Make("POST", "/api/drills/preview", "previewDrill", "Work a drill out without saving it", s.previewDrill),
		request.Make(
			"POST",
			"/api/drills/versions",
			"listVersions",
			"Every version of a drill, from the easiest to the hardest, worked out without saving it",
			s.versions,
		),
		request.Make(
			"POST",
			"/api/drills/adapt",
			"adaptDrill",
			"Adapt a drill's goal or target to somebody without saving it",
			s.adaptDrill,
		),
		request.Make(
			"POST",
			"/api/drills/suits",
			"whomDrillSuits",
			"The levels that a drill suits as it stands, without saving it",
			func(ctx context.Context, _ request.None, body SuitsAsked) (Suiting, error) {
				if err := body.Document.Check(); err != nil {
					return Suiting{}, err
				}
				levels, err := playerfit.Suits(ctx, body.Document)
				return Suiting{Levels: student.Spoken(levels)}, err
			},
		),
	}
}

func (s *Desk) previewDrill(ctx context.Context, _ request.None, body DrillPreview) (WorkedDrill, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return WorkedDrill{}, err
	}
	document := body.Document
	if body.Edit != nil {
		if document, err = document.Edited(*body.Edit, body.Hand, settings); err != nil {
			return WorkedDrill{}, err
		}
	}
	worked := WorkedDrill{Sentences: []string{}}
	if len(body.Steps) > 0 {
		if document, worked.Sentences, err = document.Transformed(ctx, body.Steps, settings); err != nil {
			return WorkedDrill{}, err
		}
	}
	if body.Version != "" {
		if document, worked.Sentences, err = document.ToldVersion(ctx, body.Version, settings); err != nil {
			return WorkedDrill{}, err
		}
	}
	worked.Document, worked.Replies = document, document.Replies(settings)
	seen := document.For(body.Hand)
	if worked.Report, err = report.Of(seen, body.People, settings); err != nil {
		return WorkedDrill{}, err
	}
	player, evidence, err := s.evidenceFor(ctx, body.Tried, seen)
	if err != nil {
		return WorkedDrill{}, err
	}
	if worked.Simulation, err = simulation.Run(ctx, seen, player, settings); err != nil {
		return WorkedDrill{}, err
	}
	worked.Simulation.Metrics = worked.Simulation.Figures(seen, worked.Report.Load.Waiting, settings)
	worked.PlayerFit, err = playerfit.For(ctx, seen, worked.Simulation, evidence, body.People, settings)
	return worked, err
}

// evidenceFor is the player that a drill is tried on, and what is known of them, in the order of the measures of the
// drill as it is tried.
func (s *Desk) evidenceFor(
	ctx context.Context,
	body Tried,
	d drill.Document,
) (footwork.Player, []playerfit.Evidence, error) {
	if body.Student != "" {
		record, err := s.Store.Students.Get(ctx, body.Student)
		if err != nil {
			return footwork.Player{}, nil, err
		}
		p := record.Document
		evidence, err := s.Evidence(ctx, body.Student, p.Level, body.ID, d)
		return footwork.Of(body.Document.Sport, p, body.Hand, s.Now()), evidence, err
	}
	level := body.Level
	if level == "" {
		level = body.Document.Written()
	}
	return body.Document.PlayerFor(level, body.Hand), repository.OfLevel(level, d), nil
}

func (s *Desk) adaptDrill(ctx context.Context, _ request.None, body AdaptAsked) (Adapted, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return Adapted{}, err
	}
	seen := body.Document.For(body.Hand)
	player, evidence, err := s.evidenceFor(ctx, body.Tried, seen)
	if err != nil {
		return Adapted{}, err
	}
	fitted, phrase, err := playerfit.Adapt(ctx, seen, body.To, evidence, player, body.People, settings)
	return Adapted{Document: fitted.For(body.Hand), Sentence: phrase}, err
}

func (s *Desk) transferDrill(ctx context.Context, _ request.None, body TransferAsked) (Transferred, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return Transferred{}, err
	}
	document, marks, err := body.Document.TransferTo(body.Court, body.Scales, body.Plain, settings.Tape())
	if err != nil {
		return Transferred{}, err
	}
	answer := Transferred{Document: document, Marks: marks, Problems: invalid.Fields{}}
	if err := document.Check(); err != nil && !errors.As(err, &answer.Problems) {
		return Transferred{}, err
	}
	return answer, nil
}

func (s *Desk) regions(ctx context.Context, p ofCourt, _ request.None) ([]Regions, error) {
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return nil, err
	}
	list := []Regions{}
	c, err := sports.Court(court.ID(p.ID))
	if err != nil {
		return list, nil //nolint:nilerr // a court that is not there has none
	}
	for i, scheme := range slices.Concat(sports.Regions(), settings.Schemes) {
		if scheme.Court != c.ID {
			continue
		}
		bands, err := scheme.Bands(c, settings.Numbering)
		if err != nil {
			return nil, err
		}
		list = append(list, Regions{Name: scheme.Name, Own: i >= len(sports.Regions()), Bands: bands})
	}
	return list, nil
}
