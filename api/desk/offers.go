package desk

import (
	"context"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/offer"
)

// offersAsked is what is looked for to be put into a lesson.
type offersAsked struct {
	Text     string `query:"text" maxLength:"100"`
	Students string `query:"students" maxLength:"600" description:"Identifiers of who comes, with commas between them"`
	Swap     string `query:"swap" maxLength:"40" description:"The drill that is swapped: its own versions come first, and only drills are offered"`
}

// offers finds what can be put into a lesson.
func (s *Desk) offers(ctx context.Context, p offersAsked, _ request.None) ([]offer.Offer, error) {
	if err := checkText(p.Text); err != nil {
		return nil, err
	}
	asked := offer.Asked{Text: p.Text, Swap: p.Swap}
	var err error
	if asked.Settings, _, err = s.Store.Settings(ctx); err != nil {
		return nil, err
	}
	if asked.Drills, err = s.Index(ctx); err != nil {
		return nil, err
	}
	if asked.People, err = s.learners(ctx, p.Students); err != nil {
		return nil, err
	}
	own, err := s.Store.Games.List(ctx, false)
	if err != nil {
		return nil, err
	}
	for _, k := range own {
		asked.Games = append(asked.Games, library.StoredGame{ID: k.ID, Document: k.Document})
	}
	asked.Games = append(asked.Games, library.Games()...)
	list, err := offer.Find(ctx, asked)
	if err != nil {
		return nil, err
	}
	ids, err := repository.Fresh(len(list))
	if err != nil {
		return nil, err
	}
	for i := range list {
		if list[i].Block != nil {
			list[i].Block.ID = ids[i]
		}
	}
	return list, nil
}
