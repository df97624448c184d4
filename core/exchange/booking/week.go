package booking

import (
	"fmt"
	"time"
)

// week is the week of a day, by ISO 8601; the day itself where it is none.
func week(day string) string {
	at, err := time.Parse(time.DateOnly, day)
	if err != nil {
		return day
	}
	year, number := at.ISOWeek()
	return fmt.Sprintf("%d-W%02d", year, number)
}
