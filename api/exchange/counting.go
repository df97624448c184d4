package exchange

import (
	"bytes"
	"cmp"
	"fmt"
	"slices"
	"strings"

	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/underway"
	"hodometer/handover"
	"hodometer/paper"
)

// countingOut hands out the sheets of a lesson that are filled by hand: one for each player, and one for each game.
func (s *Exchange) countingOut(c *echo.Context) error {
	ctx := c.Request().Context()
	id := strings.TrimSuffix(c.Param("file"), ".pdf")
	if err := request.CheckID(id); err != nil {
		return err
	}
	kit, _, err := s.Kit(ctx, id, nil)
	if err != nil {
		return err
	}
	view, err := kit.View(ctx, s.Now())
	if err != nil {
		return err
	}
	sheets := countingSheets(view)
	var pdf bytes.Buffer
	if err := paper.WriteCounting(&pdf, sheets); err != nil {
		return err
	}
	return request.HandOut(
		c,
		fmt.Sprintf("%s %s, counting.pdf", sheets.Date, handover.FileName(sheets.Lesson)),
		request.PDF,
		pdf.Bytes(),
	)
}

// countingSheets are the sheets of a lesson, with the turns that are planned.
func countingSheets(view underway.Courtside) paper.CountingSheets {
	d := view.Lesson.Document
	sheets := paper.CountingSheets{Lesson: d.Title, Date: d.Date}
	turns := func(block string) int {
		i := slices.IndexFunc(view.Lesson.Plan.Blocks, func(b schedule.ScheduledBlock) bool { return b.Block == block })
		if i < 0 || view.Lesson.Plan.Blocks[i].Load == nil {
			return 1
		}
		return view.Lesson.Plan.Blocks[i].Load.Turns
	}
	names := map[string]string{}
	for _, counter := range view.Counters {
		names[counter.Student] = counter.Name
		i := slices.IndexFunc(sheets.Players, func(p paper.Counting) bool { return p.Player == counter.Name })
		if i < 0 {
			i, sheets.Players = len(sheets.Players), append(sheets.Players, paper.Counting{Player: counter.Name})
		}
		title := counter.Drill
		if counter.Called != "" {
			title += ": " + counter.Called
		}
		sheets.Players[i].Parts = append(sheets.Players[i].Parts, paper.Counted{
			Title: title,
			Goal:  counter.Goal,
			Unit:  cmp.Or(string(counter.Unit), "ball") + "s",
			Turns: turns(counter.Block),
			Turn:  counter.Turn,
		})
	}
	for _, p := range view.Lesson.People {
		names[p.ID] = p.Name
	}
	for _, block := range d.Blocks {
		if block.Kind != lesson.Game {
			continue
		}
		game := paper.Scoring{Title: block.Title}
		for _, id := range d.Students {
			if len(block.People) == 0 || slices.Contains(block.People, id) {
				game.Players = append(game.Players, names[id])
			}
		}
		sheets.Games = append(sheets.Games, game)
	}
	return sheets
}
