// Package calendar reads and writes iCalendar (RFC 5545): the lessons of a coach for a calendar program, and the bookings of a club.
package calendar

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"time"
	_ "time/tzdata" // zones, also where the machine has none

	ics "github.com/arran4/golang-ical"
)

// Home is the time zone of this machine by its name in the tz database; UTC where it has none.
func Home() *time.Location {
	name := time.Local.String()
	if name == "Local" {
		link, _ := filepath.EvalSymlinks("/etc/localtime")
		_, name, _ = strings.Cut(link, "zoneinfo/")
	}
	if name == "" && os.Getenv("TZ") == "" {
		return time.UTC
	}
	zone, err := time.LoadLocation(name)
	if err != nil || name == "" {
		return time.UTC
	}
	return zone
}

// change is a moment at which the clocks of a zone change.
type change struct {
	at       time.Time
	from, to int // seconds east of UTC
	name     string
	summer   bool
}

// changes lists when the clocks change between two moments, after how they stand at the first one.
func changes(zone *time.Location, first, last time.Time) []change {
	at := first.In(zone)
	name, offset := at.Zone()
	list := []change{{at: at, from: offset, to: offset, name: name, summer: at.IsDST()}}
	for day := at; day.Before(last); day = day.Add(24 * time.Hour) {
		next := day.Add(24 * time.Hour)
		_, before := day.Zone()
		if _, after := next.In(zone).Zone(); before == after {
			continue
		}
		// The second, found by halving.
		low, high := day.Unix(), next.Unix()
		for low+1 < high {
			middle := (low + high) / 2
			if _, now := time.Unix(middle, 0).In(zone).Zone(); now == before {
				low = middle
			} else {
				high = middle
			}
		}
		at := time.Unix(high, 0).In(zone)
		name, after := at.Zone()
		list = append(list, change{at: at, from: before, to: after, name: name, summer: at.IsDST()})
	}
	return list
}

// describeZone writes how the clocks of a zone stand between two moments, change by change.
func describeZone(zone *time.Location, first, last time.Time) *ics.VTimezone {
	described := ics.NewTimezone(zone.String())
	for _, c := range changes(zone, first, last) {
		// RFC 5545, 3.6.5: when it begins is told by the clock as it stood before.
		begins := c.at.UTC().Add(time.Duration(c.from) * time.Second).Format("20060102T150405")
		part := ics.ComponentBase{}
		for _, property := range []struct{ name, value string }{
			{"DTSTART", begins}, {"TZOFFSETFROM", offset(c.from)}, {"TZOFFSETTO", offset(c.to)}, {"TZNAME", c.name},
		} {
			part.SetProperty(ics.ComponentProperty(property.name), property.value)
		}
		if c.summer {
			described.Components = append(described.Components, &ics.Daylight{ComponentBase: part})
		} else {
			described.Components = append(described.Components, &ics.Standard{ComponentBase: part})
		}
	}
	return described
}

func offset(seconds int) string {
	sign := '+'
	if seconds < 0 {
		sign, seconds = '-', -seconds
	}
	text := fmt.Sprintf("%c%02d%02d", sign, seconds/3600, seconds/60%60)
	if seconds%60 != 0 {
		text += fmt.Sprintf("%02d", seconds%60)
	}
	return text
}
