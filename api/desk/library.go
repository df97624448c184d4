package desk

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"
	"unicode/utf8"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill/catalogue"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/store"
)

// sought is what is looked for among the drills.
type sought struct {
	Text       string          `query:"text" maxLength:"100" description:"Words, or their beginnings, that all have to be there"`
	Sport      court.Sport     `query:"sport"`
	First      court.Sport     `query:"first" description:"Drills of this sport come first"`
	Stroke     sports.Stroke   `query:"stroke" description:"Its ladder, or any of its balls"`
	Trains     ladder.Quality  `query:"trains"`
	Level      student.Level   `query:"level"`
	Players    int             `query:"players" minimum:"0" maximum:"12" description:"That there are; 0: any number"`
	Minutes    float64         `query:"minutes" minimum:"0" maximum:"600" description:"That there are; 0: any"`
	Equipment  string          `query:"equipment" maxLength:"60" description:"A word of what is carried; only balls: nothing else"`
	Collection string          `query:"collection" maxLength:"40"`
	Students   string          `query:"students" maxLength:"600" description:"Identifiers, with commas between them: whose next steps are served"`
	Order      catalogue.Order `query:"order"`
	Archived   bool            `query:"archived"`
	Offset     int             `query:"offset" minimum:"0" maximum:"100000"`
	Limit      int             `query:"limit" minimum:"0" maximum:"60" description:"0: 24"`
}

// Found are drills that were looked for, those from the offset on.
type Found struct {
	Total  int         `json:"total"`
	Drills []DrillCard `json:"drills"`
}

// DrillCard is a drill on the list, with what is needed to choose it.
type DrillCard struct {
	repository.Drill
	Minutes  float64  `json:"minutes" description:"That it takes one player, with setting up"`
	Players  int      `json:"players" description:"That have a start place"`
	Used     string   `json:"used,omitempty" description:"The day on which it was last in a lesson; none within four months"`
	Serves   string   `json:"serves,omitempty" description:"Whose next step it is, in words"`
	Versions []string `json:"versions" description:"From the easiest to the hardest; empty where there is one only"`
	Suits    string   `json:"suits" description:"The levels at which its goal is met two to nine times in ten, in words"`
}

// lately is how far back it is looked for when a drill was used.
const lately = 120 * 24 * time.Hour

const (
	longestText = 100 // characters that are looked for
	mostAtOnce  = 60  // drills that are worked out for one answer
)

// checkText keeps what is looked for to what can be typed.
func checkText(text string) error {
	if utf8.RuneCountInString(text) > longestText {
		return invalid.Fields{{Path: "text", Message: fmt.Sprintf("at most %d characters", longestText)}}
	}
	return nil
}

// search finds drills. What is not shown is not worked out.
func (s *Desk) search(ctx context.Context, p sought, _ request.None) (Found, error) {
	if err := checkText(p.Text); err != nil {
		return Found{}, err
	}
	if p.Limit < 0 || p.Limit > mostAtOnce || p.Offset < 0 {
		return Found{}, invalid.Fields{
			{Path: "limit", Message: fmt.Sprintf("at most %d drills at once, from the first one on", mostAtOnce)},
		}
	}
	all, err := s.Index(ctx)
	if err != nil {
		return Found{}, err
	}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return Found{}, err
	}
	query := catalogue.Query{
		Text:      p.Text,
		Sport:     p.Sport,
		Stroke:    p.Stroke,
		Trains:    p.Trains,
		Level:     p.Level,
		Players:   p.Players,
		Minutes:   p.Minutes,
		Equipment: p.Equipment,
		Archived:  p.Archived,
	}
	if p.Collection != "" {
		i := slices.IndexFunc(settings.Collections, func(c coach.Collection) bool { return c.Name == p.Collection })
		if i < 0 {
			return Found{}, invalid.Fields{{Path: "collection", Message: "there is no such collection any more"}}
		}
		query.Among = append([]string{}, settings.Collections[i].Drills...)
	}
	known := catalogue.Known{Sport: p.First}
	now := s.Now()
	if known.Used, err = s.Store.DrillsUsed(
		ctx,
		now.Add(-lately).Format(time.DateOnly),
		now.Format(time.DateOnly),
	); err != nil {
		return Found{}, err
	}
	people, err := s.learners(ctx, p.Students)
	if err != nil {
		return Found{}, err
	}
	of := catalogue.KnownOf(people)
	known.Needs, known.Level = of.Needs, of.Level
	list := catalogue.Search(all, query, p.Order, known)
	found := Found{Total: len(list), Drills: []DrillCard{}}
	limit := cmp.Or(p.Limit, 24)
	for _, e := range list[min(p.Offset, len(list)):min(p.Offset+limit, len(list))] {
		card := DrillCard{
			Drill: repository.Drill{
				ID:       e.ID,
				BuiltIn:  e.BuiltIn,
				Archived: e.Archived,
				Revision: e.Revision,
				Document: e.Document,
			}.Worked(
				settings,
			),
			Minutes:  e.Minutes,
			Players:  e.Document.Starts(),
			Used:     known.Used[e.ID],
			Serves:   catalogue.ServedBy(e.Document, people),
			Versions: e.Document.VersionNames(),
			Suits:    student.Spoken(e.Levels),
		}
		found.Drills = append(found.Drills, card)
	}
	return found, nil
}

// learners are the students of a list of identifiers with commas between them.
func (s *Desk) learners(ctx context.Context, ids string) ([]catalogue.Learner, error) {
	var people []catalogue.Learner
	for _, id := range strings.FieldsFunc(ids, func(r rune) bool { return r == ',' }) {
		person, err := s.learner(ctx, id)
		if errors.Is(err, store.ErrNotFound) {
			continue // who was erased has no next step
		}
		if err != nil {
			return nil, err
		}
		people = append(people, person)
	}
	return people, nil
}

func (s *Desk) learner(ctx context.Context, id string) (catalogue.Learner, error) {
	record, err := s.Store.Students.Get(ctx, id)
	if err != nil {
		return catalogue.Learner{}, err
	}
	needs, err := s.needs(ctx, id)
	of := record.Document
	return catalogue.Learner{Name: of.Name, Sport: of.Sport, Level: of.Level, Needs: needs, Rests: of.Rests()}, err
}

// needs are the rungs that a student should work on next, without what they are spared.
func (s *Desk) needs(ctx context.Context, id string) ([]catalogue.Need, error) {
	progress, err := s.Progress(ctx, id)
	if err != nil {
		return nil, err
	}
	var needs []catalogue.Need
	for _, stroke := range progress.Strokes {
		if !stroke.Rests {
			needs = append(needs, catalogue.Need{Stroke: stroke.Stroke, Rung: stroke.Advice.Next})
		}
	}
	return needs, nil
}
