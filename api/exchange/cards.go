package exchange

import (
	"bytes"
	"cmp"
	"context"
	"fmt"

	"github.com/labstack/echo/v5"

	"hodometer/access"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/report"
	"hodometer/core/exchange/sharing"
	"hodometer/core/people/coach"
	"hodometer/handover"
	"hodometer/paper"
)

// mostCards is how many drills a book has.
const mostCards = 200

// cardOut hands out a drill as a card.
func (s *Exchange) cardOut(c *echo.Context, kind sharing.Kind, id string) error {
	if kind != sharing.Drill || request.CheckID(id) != nil {
		return echo.ErrNotFound
	}
	size := paper.Size(cmp.Or(c.QueryParam("paper"), string(paper.A5)))
	if size != paper.A5 && size != paper.A6 {
		return invalid.Fields{{Path: "paper", Message: "choose A5 or A6"}}
	}
	ctx := c.Request().Context()
	d, err := s.Drill(ctx, id)
	if err != nil {
		return err
	}
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return err
	}
	card, err := cardOf(id, d.Document, settings)
	if err != nil {
		return err
	}
	var pdf bytes.Buffer
	if err := paper.WriteCard(&pdf, card, size); err != nil {
		return err
	}
	return request.HandOut(c, fmt.Sprintf("%s %s.pdf", handover.FileName(d.Document.Name), size), request.PDF, pdf.Bytes())
}

// cardOf is a drill as a card shows it, with its code where it fits in one.
func cardOf(id string, d drill.Document, settings coach.Settings) (paper.Card, error) {
	r, err := report.Of(d, 1, settings)
	if err != nil {
		return paper.Card{}, err
	}
	card := paper.Card{Drill: d, Report: r}
	if text, err := codeOf(id, d); err == nil {
		card.Code, _ = access.QR(text) // without one, the card has none
	}
	return card, nil
}

// bookOut hands out a book: of a collection, else of the coach's own drills.
func (s *Exchange) bookOut(c *echo.Context) error {
	ctx := c.Request().Context()
	settings, _, err := s.Store.Settings(ctx)
	if err != nil {
		return err
	}
	title, drills, err := s.collected(ctx, settings, c.QueryParam("collection"))
	if err != nil {
		return err
	}
	var cards []paper.Card
	for _, id := range drills[:min(len(drills), mostCards)] {
		if err := ctx.Err(); err != nil {
			return err
		}
		d, err := s.Drill(ctx, id)
		if err != nil {
			continue // it was erased since it was collected
		}
		if card, err := cardOf(id, d.Document, settings); err == nil { // one that makes no sense any more has no card
			cards = append(cards, card)
		}
	}
	var pdf bytes.Buffer
	if err := paper.WriteBook(&pdf, title, cards); err != nil {
		return err
	}
	return request.HandOut(c, handover.FileName(title)+".pdf", request.PDF, pdf.Bytes())
}

// collected are the drills of a collection, with its name; without one the coach's own.
func (s *Exchange) collected(
	ctx context.Context,
	settings coach.Settings,
	collection string,
) (string, []string, error) {
	for _, each := range settings.Collections {
		if each.Name == collection {
			return each.Name, each.Drills, nil
		}
	}
	own, err := s.Store.Drills.List(ctx, false)
	drills := make([]string, len(own))
	for i, r := range own {
		drills[i] = r.ID
	}
	return "My drills", drills, err
}
