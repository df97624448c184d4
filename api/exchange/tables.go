package exchange

import (
	"cmp"
	"fmt"
	"strings"
	"time"

	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/handover"
	"hodometer/sheets"
)

const (
	workbookType = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
	csvType      = "text/csv; charset=utf-8"
)

// tablesOut hands out the tables of a span: hodometer.xlsx with all of them, or one as a .csv.
func (s *Exchange) tablesOut(c *echo.Context) error {
	ctx := c.Request().Context()
	from, to, err := s.spanOf(c, 12)
	if err != nil {
		return err
	}
	span := handover.Span{From: from, To: to, Student: c.QueryParam("student")}
	if span.Student != "" {
		if err := request.CheckID(span.Student); err != nil {
			return err
		}
	}
	name := c.Param("file")
	if name == "hodometer.xlsx" {
		book, err := handover.Workbook(ctx, s.Store, span)
		if err != nil {
			return err
		}
		return request.HandOut(c, fmt.Sprintf("hodometer %s to %s.xlsx", span.From, span.To), workbookType, book)
	}
	all, err := handover.Tables(ctx, s.Store, span)
	if err != nil {
		return err
	}
	for _, sheet := range all {
		if file, is := strings.CutSuffix(name, ".csv"); is && file == handover.File(sheet) {
			// Written as it is read: twenty years of counts are hundreds of megabytes.
			request.FileHead(c, fmt.Sprintf("%s %s to %s.csv", file, span.From, span.To))
			c.Response().Header().Set("Content-Type", csvType)
			return sheets.WriteCSV(c.Response(), sheet)
		}
	}
	return echo.ErrNotFound
}

// spanOf reads the days from which and to which something is handed out, both included: without any, the months before
// today.
func (s *Exchange) spanOf(c *echo.Context, months int) (from, to string, err error) {
	from = cmp.Or(c.QueryParam("from"), s.Now().AddDate(0, -months, 0).Format(time.DateOnly))
	to = cmp.Or(c.QueryParam("to"), s.Today())
	var wrong invalid.Fields
	for path, day := range map[string]string{"from": from, "to": to} {
		if _, err := time.Parse(time.DateOnly, day); err != nil {
			wrong.Add(path, "%q is not a day; write it as year-month-day, 2026-03-09", day)
		}
	}
	return from, to, wrong.Err()
}
