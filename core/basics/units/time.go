package units

import (
	"fmt"
	"math"
	"strings"
	"time"
)

// Round is a number rounded to whole ones, halves away from zero: also a half that arithmetic left a hair below.
func Round(value float64) float64 { return math.Round(value + math.Copysign(1e-9, value)) }

// Clock writes seconds as minutes and seconds: 2:05.
func Clock(seconds float64) string {
	whole := int(Round(math.Abs(seconds)))
	sign := ""
	if seconds < 0 && whole > 0 {
		sign = "−"
	}
	return fmt.Sprintf("%s%d:%02d", sign, whole/60, whole%60)
}

// Elapsed writes a time since something began as minutes and seconds after it: +4:00. A time of day is
// written 16:20, and how long something lasts 4:00 min.
func Elapsed(seconds float64) string {
	text := Clock(seconds)
	if strings.HasPrefix(text, "−") {
		return text
	}
	return "+" + text
}

// TimeOfDay writes the time of day so many seconds after another, which is written alike: 16:45. What cannot be
// read is returned as it is.
func TimeOfDay(start string, seconds float64) string {
	at, err := time.Parse("15:04", start)
	if err != nil {
		return start
	}
	return at.Add(time.Duration(seconds) * time.Second).Format("15:04")
}

// Day writes a day, year-month-day, as people say it: Tuesday, 10 March 2026. What is no day is returned as it is.
func Day(date string) string {
	at, err := time.Parse(time.DateOnly, date)
	if err != nil {
		return date
	}
	return at.Format("Monday, 2 January 2006")
}
