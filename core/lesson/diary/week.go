package diary

import "time"

// Week returns the days of the week that lies so many weeks after that of a day, from Monday, as year-month-day.
func Week(day time.Time, after int) []string {
	monday := day.AddDate(0, 0, 7*after-(int(day.Weekday())+6)%7)
	days := make([]string, 7)
	for i := range days {
		days[i] = monday.AddDate(0, 0, i).Format(time.DateOnly)
	}
	return days
}

// WeeksAfter returns how many weeks the week of a second day comes after that of a first one; less than nothing where
// it comes before. Only the days count, not the hours.
func WeeksAfter(first, second time.Time) int {
	noon := func(t time.Time) time.Time { return time.Date(t.Year(), t.Month(), t.Day(), 12, 0, 0, 0, time.UTC) }
	monday := func(t time.Time) time.Time { return noon(t).AddDate(0, 0, -(int(t.Weekday())+6)%7) }
	return int(monday(second).Sub(monday(first)).Hours()) / (24 * 7)
}
