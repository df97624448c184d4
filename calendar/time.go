package calendar

import (
	"regexp"
	"strconv"
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"
)

// time reads the time of a property: in UTC, in a zone, or by the coach's clock.
func (r *reader) time(property ics.BaseProperty) (time.Time, bool) {
	return r.at(property.Value, property.ICalParameters["TZID"])
}

// times reads a list of times.
func (r *reader) times(property ics.BaseProperty) []time.Time {
	var list []time.Time
	for _, value := range strings.Split(property.Value, ",") {
		value, _, _ = strings.Cut(value, "/") // a period begins with its beginning
		if at, ok := r.at(value, property.ICalParameters["TZID"]); ok {
			list = append(list, at)
		}
	}
	return list
}

func (r *reader) at(value string, zones []string) (time.Time, bool) {
	if text, utc := strings.CutSuffix(value, "Z"); utc {
		at, err := time.Parse(local, text)
		return at, err == nil && sensible(at)
	}
	if len(zones) == 0 {
		at, err := time.ParseInLocation(local, value, r.home)
		return at, err == nil && sensible(at)
	}
	zone := r.home
	if known, err := time.LoadLocation(
		strings.TrimPrefix(zones[0], "/"),
	); err == nil && zones[0] != "" &&
		zones[0] != "Local" {
		zone = known
	} else if described, is := r.zones[zones[0]]; is {
		zone = described
	}
	at, err := time.ParseInLocation(local, value, zone)
	return at, err == nil && sensible(at)
}

// sensible says whether a time lies where lessons can be.
func sensible(at time.Time) bool { return at.Year() >= 1970 && at.Year() <= 2100 }

var durations = regexp.MustCompile(
	`^\+?P(?:(\d{1,3})W)?(?:(\d{1,3})D)?(?:T(?:(\d{1,3})H)?(?:(\d{1,4})M)?(?:(\d{1,5})S)?)?$`,
)

// lasting reads a duration; false where it is none.
func lasting(text string) (time.Duration, bool) {
	found := durations.FindStringSubmatch(text)
	if found == nil {
		return 0, false
	}
	var total time.Duration
	for i, unit := range []time.Duration{7 * 24 * time.Hour, 24 * time.Hour, time.Hour, time.Minute, time.Second} {
		n, _ := strconv.Atoi(found[i+1])
		total += time.Duration(n) * unit
	}
	return total, true
}
