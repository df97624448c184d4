// Package calendar reads and writes iCalendar (RFC 5545): the lessons of a coach for a calendar program, and the
// bookings of a club.
package calendar

import (
	"fmt"
	"path/filepath"
	"strings"
	"time"
	_ "time/tzdata" // zones, also where the machine has none

	ics "github.com/arran4/golang-ical"
)

// Home is the time zone of this machine: by its name in the tz database, which calendar programs know, where the
// machine tells it; else the clocks of the machine under no name, which a calendar then describes.
func Home() *time.Location {
	return homeAs(time.Local.String(), "/etc/localtime")
}

// homeAs is the zone of a machine whose local time is called so; where it is not named, it may be by what its file of
// local time stands for.
func homeAs(name, localtime string) *time.Location {
	if name == "Local" {
		link, _ := filepath.EvalSymlinks(localtime)
		_, name, _ = strings.Cut(link, "zoneinfo/")
	}
	if zone, err := time.LoadLocation(name); err == nil && name != "" {
		return zone
	}
	return time.Local
}

// tzid is what a zone is called in a calendar.
func tzid(zone *time.Location) string {
	if zone == time.Local {
		return "Local time"
	}
	return zone.String()
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
	described := ics.NewTimezone(tzid(zone))
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
