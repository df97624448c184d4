package roster

import (
	"regexp"
	"strconv"
	"strings"
	"time"
)

// DayOrder is how days are written that have the month as a number and do not begin with the year.
type DayOrder string

// The orders.
const (
	DayFirst   DayOrder = "day first"
	MonthFirst DayOrder = "month first"
)

var (
	numbers = regexp.MustCompile(`^(\d{1,4})[./\- ]\s?(\d{1,2})[./\- ]\s?(\d{1,4})\.?$`)
	spelled = regexp.MustCompile(
		`^(?:\w{3,9},? )?(?:(\d{1,2})(?:st|nd|rd|th)?\.? (?:of )?([a-z]{3,9})|([a-z]{3,9})\.? (\d{1,2})(?:st|nd|rd|th)?),?\.? (\d{4}|\d{2})$`,
	)
	ofDay = regexp.MustCompile(`[ T]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?Z?$`)
)

// readDay reads a day as people write it: 2016-05-14, 14/05/2016, 14.5.16, 14 May 2016, May 14, 2016. Of a year of two
// digits it takes the last one up to latest.
func readDay(cell string, order DayOrder, latest time.Time) (time.Time, bool) {
	text := ofDay.ReplaceAllString(strings.ToLower(strings.Join(strings.Fields(cell), " ")), "")
	if found := numbers.FindStringSubmatch(text); found != nil {
		first, second, third := found[1], found[2], found[3]
		switch {
		case len(first) == 4 && len(third) <= 2:
			return dayOf(first, second, third, latest)
		case len(first) > 2 || len(third) == 1 || len(third) == 3:
			return time.Time{}, false
		case order == MonthFirst:
			return dayOf(third, first, second, latest)
		default:
			return dayOf(third, second, first, latest)
		}
	}
	if found := spelled.FindStringSubmatch(text); found != nil {
		for month := time.January; month <= time.December; month++ {
			name := strings.ToLower(month.String())
			if said := found[2] + found[3]; name == said || name[:3] == said || month == time.September && said == "sept" {
				return dayOf(found[5], strconv.Itoa(int(month)), found[1]+found[4], latest)
			}
		}
	}
	return time.Time{}, false
}

// dayOf is the day of a year, month and day in digits; false where there is no such day.
func dayOf(year, month, day string, latest time.Time) (time.Time, bool) {
	y, _ := strconv.Atoi(year)
	m, _ := strconv.Atoi(month)
	d, _ := strconv.Atoi(day)
	if len(year) == 2 {
		y += latest.Year() / 100 * 100
		if y > latest.Year() {
			y -= 100
		}
	}
	at := time.Date(y, time.Month(m), d, 0, 0, 0, 0, time.UTC)
	return at, y >= 1900 && int(at.Month()) == m && at.Day() == d
}

// isDay says whether a cell is a day in one order or the other.
func isDay(cell string, latest time.Time) bool {
	_, one := readDay(cell, DayFirst, latest)
	_, other := readDay(cell, MonthFirst, latest)
	return one || other
}

// orderOf is the order in which more of the cells are days, and whether they tell: most days go for both.
func orderOf(cells []string, latest time.Time) (order DayOrder, told bool) {
	byDay, byMonth := 0, 0
	for _, cell := range cells {
		_, one := readDay(cell, DayFirst, latest)
		_, other := readDay(cell, MonthFirst, latest)
		switch {
		case one && !other:
			byDay++
		case other && !one:
			byMonth++
		}
	}
	if byMonth > byDay {
		return MonthFirst, true
	}
	return DayFirst, byDay > byMonth
}
