package calendar

import (
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"
)

// Event is a lesson as a calendar program shows it.
type Event struct {
	ID          string // a UUID
	Sequence    int    // grows with every change
	Title       string
	Description string
	Date, Start string // where the lesson is given
	Minutes     int
	Cancelled   bool
}

// local is how a time by the clock on the wall is written.
const local = "20060102T150405"

// begin is when an event begins; false where its day or its start is none.
func (e Event) begin(zone *time.Location) (time.Time, bool) {
	at, err := time.ParseInLocation(time.DateOnly+" 15:04", e.Date+" "+e.Start, zone)
	return at, err == nil
}

// Write writes events as a calendar with a name, in a time zone, at a moment. Events without a day are left out. The
// same events at the same moment are the same bytes.
func Write(name string, events []Event, zone *time.Location, now time.Time) []byte {
	calendar := ics.NewCalendarFor("Hodometer")
	calendar.SetMethod(ics.MethodPublish)
	calendar.SetName(name)
	calendar.SetXWRCalName(name)
	var first, last time.Time
	for _, e := range events {
		at, ok := e.begin(zone)
		if !ok {
			continue
		}
		if first.IsZero() || at.Before(first) {
			first = at
		}
		if end := at.Add(time.Duration(e.Minutes) * time.Minute); end.After(last) {
			last = end
		}
	}
	id := tzid(zone)
	if !first.IsZero() && id != "UTC" {
		if zone != time.Local {
			calendar.SetXWRTimezone(id)
		}
		calendar.Components = append(
			calendar.Components,
			describeZone(zone, first.Add(-24*time.Hour), last.Add(24*time.Hour)),
		)
	}
	for _, e := range events {
		at, ok := e.begin(zone)
		if !ok {
			continue
		}
		event := calendar.AddEvent(e.ID + "@hodometer")
		event.SetDtStampTime(now)
		event.SetSequence(e.Sequence)
		setTime(event, ics.ComponentPropertyDtStart, at, id)
		setTime(event, ics.ComponentPropertyDtEnd, at.Add(time.Duration(e.Minutes)*time.Minute), id)
		event.SetSummary(oneLine(e.Title))
		if e.Description != "" {
			event.SetDescription(e.Description)
		}
		event.SetStatus(ics.ObjectStatusConfirmed)
		if e.Cancelled {
			event.SetStatus(ics.ObjectStatusCancelled)
		}
	}
	return []byte(calendar.Serialize(ics.WithNewLineWindows))
}

func setTime(event *ics.VEvent, property ics.ComponentProperty, at time.Time, zone string) {
	if zone == "UTC" {
		event.SetProperty(property, at.UTC().Format(local)+"Z")
		return
	}
	event.SetProperty(property, at.Format(local), ics.WithTZID(zone))
}

// oneLine is a text without what no line of a calendar may have in it.
func oneLine(text string) string {
	return strings.Map(func(r rune) rune {
		if r < ' ' || r == 0x7f {
			return ' '
		}
		return r
	}, text)
}
