package exchange

import (
	"bytes"
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/core/basics/units"
	"hodometer/core/drill/catalogue"
	"hodometer/core/exchange/family"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/sport/sports"
	"hodometer/handover"
	"hodometer/paper"
	"hodometer/store"
)

// studentOut hands out what is for one student: page.pdf for them and those at home, certificate.pdf of a milestone,
// everything.zip with all that is held about them.
func (s *Exchange) studentOut(c *echo.Context) error {
	if err := request.CheckID(c.Param("id")); err != nil {
		return err
	}
	switch c.Param("file") {
	case "page.pdf":
		return s.familyPageOut(c, c.Param("id"))
	case "certificate.pdf":
		return s.certificateOut(c, c.Param("id"))
	case "everything.zip":
		return s.studentsEverythingOut(c, c.Param("id"))
	}
	return echo.ErrNotFound
}

func (s *Exchange) studentsEverythingOut(c *echo.Context, id string) error {
	record, err := s.Store.Students.Get(c.Request().Context(), id)
	if err != nil {
		return err
	}
	data, err := handover.OneStudent(c.Request().Context(), s.Store, id)
	if err != nil {
		return err
	}
	return request.HandOut(c, handover.FileName(record.Document.Name)+", everything.zip", "application/zip", data)
}

func (s *Exchange) certificateOut(c *echo.Context, id string) error {
	ctx := c.Request().Context()
	record, err := s.Store.Students.Get(ctx, id)
	if err != nil {
		return err
	}
	at, err := s.Standing(ctx, id)
	if err != nil {
		return err
	}
	stroke, rung := sports.Stroke(c.QueryParam("stroke")), ladder.Quality(c.QueryParam("rung"))
	for _, one := range at.Strokes() {
		i := slices.IndexFunc(
			one.Milestones,
			func(m progress.Milestone) bool { return one.Stroke == stroke && m.Rung == rung },
		)
		if i < 0 {
			continue
		}
		day := one.Milestones[i].At.Local().Format(time.DateOnly)
		var pdf bytes.Buffer
		certificate := paper.Certificate{
			Player:    record.Document.Name,
			Stroke:    string(stroke),
			Day:       units.Day(day),
			Stamp:     day,
			Milestone: one.Milestones[i],
		}
		if err := paper.WriteCertificate(&pdf, certificate); err != nil {
			return err
		}
		return request.HandOut(
			c,
			handover.FileName(fmt.Sprintf("%s, %s, %s", record.Document.Name, stroke, rung))+".pdf",
			request.PDF,
			pdf.Bytes(),
		)
	}
	return echo.ErrNotFound
}

// monthsTold is how much of a student's work a page is about, unless days are said.
const monthsTold = 3

func (s *Exchange) familyPageOut(c *echo.Context, id string) error {
	ctx := c.Request().Context()
	from, to, err := s.spanOf(c, monthsTold)
	if err != nil {
		return err
	}
	known, err := s.toldAtHome(ctx, id, from, to)
	if err != nil {
		return err
	}
	page, err := family.Of(ctx, known)
	if err != nil {
		return err
	}
	var pdf bytes.Buffer
	span := fmt.Sprintf("from %s to %s", units.Day(from), units.Day(to))
	if err := paper.WriteFamilyPage(&pdf, paper.FamilyPage{Page: page, Span: span}); err != nil {
		return err
	}
	return request.HandOut(
		c,
		handover.FileName(fmt.Sprintf("%s, %s to %s", page.Player, from, to))+".pdf",
		request.PDF,
		pdf.Bytes(),
	)
}

// toldAtHome is what a page for a student and those at home is made from.
func (s *Exchange) toldAtHome(ctx context.Context, id, from, to string) (family.Known, error) {
	record, err := s.Store.Students.Get(ctx, id)
	if err != nil {
		return family.Known{}, err
	}
	roll, err := s.Attendance(ctx, id, from, to)
	if err != nil {
		return family.Known{}, err
	}
	k := family.Known{Player: record.Document, From: from, To: to, Came: roll.Came, Of: roll.Of}
	for _, a := range roll.Each {
		if a.Minutes != nil {
			k.Minutes += *a.Minutes
		}
	}
	made, balls := map[sports.Stroke]int{}, map[sports.Stroke]int{}
	err = s.Store.AttemptsBetween(ctx, id, from, to, func(a store.Attempt, o store.Occasion) error {
		if a.Measure.What.OfBalls() {
			made[a.Stroke], balls[a.Stroke] = made[a.Stroke]+a.Made, balls[a.Stroke]+a.Balls
		}
		if a.Standing.Met {
			k.Met = append(k.Met, family.Met{Day: units.Day(o.Date), Drill: a.Name, Goal: a.Measure.Goal()})
		}
		return nil
	})
	if err != nil {
		return k, err
	}
	slices.Reverse(k.Met)
	at, err := s.Standing(ctx, id)
	if err != nil {
		return k, err
	}
	for _, one := range at.Strokes() {
		_, worked := balls[one.Stroke]
		for _, m := range one.Milestones {
			if day := m.At.Local().Format(time.DateOnly); from <= day && day <= to {
				worked = true
				k.Passed = append(k.Passed, family.Passed{Stroke: one.Stroke, Rung: m.Rung})
			}
		}
		if worked {
			k.Strokes = append(
				k.Strokes,
				family.Worked{Stroke: one.Stroke, Made: made[one.Stroke], Balls: balls[one.Stroke], Advice: one.Advice},
			)
		}
	}
	slices.SortStableFunc(k.Strokes, func(a, b family.Worked) int { return b.Balls - a.Balls })
	k.Own, err = s.Choice(ctx, func(e catalogue.Entry) bool { return !e.BuiltIn })
	return k, err
}
