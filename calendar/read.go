package calendar

import (
	"bytes"
	"context"
	"fmt"
	"slices"
	"strconv"
	"strings"
	"time"

	ics "github.com/arran4/golang-ical"
	"github.com/teambition/rrule-go"

	"hodometer/core/basics/invalid"
	"hodometer/core/exchange/booking"
)

// The largest calendar that is read.
const (
	MaxBytes   = 4 << 20
	maxEntries = 5000
	// MaxBookings is how many bookings of one calendar are taken.
	MaxBookings = 2000
	maxSteps    = 40_000 // of one series, from its beginning: over a hundred years of days
	maxBarren   = 40     // series that never take place: each is looked for through eight thousand years
	longestName = 200    // characters of what a calendar is called
)

// ErrUnreadable says that a file is no calendar that can be read here. What is one says why, in a coach's words.
var ErrUnreadable = invalid.ErrUnreadable

// Calendar is a calendar that was read.
type Calendar struct {
	Name     string
	Bookings []booking.Booking
	Left     []string // entries that are no bookings, and why, in a coach's words
}

// Read reads the bookings of a calendar that begin from one moment to another, by the clock of the coach's zone. A
// series is taken apart, with its exceptions. named finds students in a text. Its error is an ErrUnreadable, or
// ctx.Err() when cancelled.
func Read(
	ctx context.Context,
	data []byte,
	from, to time.Time,
	home *time.Location,
	named func(text string) []string,
) (read Calendar, err error) {
	defer func() {
		// The reader of calendars was not made for files that are damaged on purpose.
		if recover() != nil {
			read, err = Calendar{}, invalid.Unreadable("this calendar is damaged")
		}
	}()
	if len(data) > MaxBytes {
		return Calendar{}, invalid.Unreadable("this calendar is larger than %d MB", MaxBytes>>20)
	}
	data = bytes.TrimSpace(bytes.TrimPrefix(data, []byte("\xef\xbb\xbf")))
	whole := hasEdge(data, bytes.HasPrefix, "BEGIN:VCALENDAR") && hasEdge(data, bytes.HasSuffix, "END:VCALENDAR")
	parsed, parseErr := ics.ParseCalendar(bytes.NewReader(data))
	if parseErr != nil || !whole {
		return Calendar{}, invalid.Unreadable("this is no calendar: an .ics file begins with BEGIN:VCALENDAR and is complete")
	}
	if len(parsed.Events()) > maxEntries {
		return Calendar{}, invalid.Unreadable("this calendar has more than %d entries", maxEntries)
	}
	r := reader{ctx: ctx, from: from, to: to, home: home, named: named, zones: zonesOf(parsed)}
	for _, property := range parsed.CalendarProperties {
		if slices.Contains([]string{"NAME", "X-WR-CALNAME"}, property.IANAToken) {
			r.out.Name = cut(property.Value, longestName)
		}
		if property.IANAToken == "METHOD" && strings.EqualFold(property.Value, "CANCEL") {
			r.cancels = true
		}
	}
	r.series(parsed.Events())
	switch {
	case ctx.Err() != nil:
		return Calendar{}, ctx.Err()
	case r.barren > maxBarren:
		return Calendar{}, invalid.Unreadable("this calendar has more than %d series that never take place", maxBarren)
	}
	slices.SortStableFunc(r.out.Bookings, func(a, b booking.Booking) int {
		return strings.Compare(a.Date+a.Start+a.UID+a.Instance, b.Date+b.Start+b.UID+b.Instance)
	})
	if len(r.out.Bookings) > MaxBookings {
		return Calendar{}, invalid.Unreadable(
			"this calendar has more than %d bookings from %s to %s",
			MaxBookings,
			from.Format(time.DateOnly),
			to.Format(time.DateOnly),
		)
	}
	return r.out, nil
}

// NameOf is what a calendar calls itself; empty where it does not, or is none.
func NameOf(data []byte) string {
	for _, line := range strings.Split(string(data), "\n") {
		if name, is := strings.CutPrefix(line, "X-WR-CALNAME:"); is {
			return cut(strings.TrimSpace(strings.ToValidUTF8(name, "")), 80)
		}
		if strings.HasPrefix(line, "BEGIN:VEVENT") {
			break
		}
	}
	return ""
}

// hasEdge says whether data begins, or ends, with a line, in capitals or not.
func hasEdge(data []byte, has func(data, edge []byte) bool, line string) bool {
	return has(bytes.ToUpper(data), []byte(line))
}

// reader reads one calendar.
type reader struct {
	ctx      context.Context //nolint:containedctx // of one reading
	barren   int
	from, to time.Time
	home     *time.Location
	named    func(string) []string
	zones    map[string]*time.Location // by their names in the calendar
	cancels  bool
	out      Calendar
}

// entry is an entry of a calendar.
type entry struct {
	*ics.VEvent
	uid     string
	begins  time.Time
	lasts   time.Duration
	replace time.Time // which one of its series it stands for; zero where it is none
	where   *time.Location
}

// series takes all entries: those of the same identifier belong together.
func (r *reader) series(events []*ics.VEvent) {
	var order []string
	byUID := map[string][]entry{}
	for _, event := range events {
		e, why := r.entry(event)
		if why != "" {
			r.out.Left = append(r.out.Left, why)
			continue
		}
		if _, there := byUID[e.uid]; !there {
			order = append(order, e.uid)
		}
		byUID[e.uid] = append(byUID[e.uid], e)
	}
	for _, uid := range order {
		r.one(byUID[uid])
	}
}

// one takes the entries of one identifier. Of several that stand for the same thing, the one with the highest sequence
// goes, else the last.
func (r *reader) one(entries []entry) {
	exceptions := map[int64]entry{}
	var main *entry
	for i, e := range entries {
		switch {
		case e.replace.IsZero() && (main == nil || sequence(e) >= sequence(*main)):
			main = &entries[i]
		case !e.replace.IsZero():
			if there, is := exceptions[e.replace.Unix()]; !is || sequence(e) >= sequence(there) {
				exceptions[e.replace.Unix()] = e
			}
		}
	}
	if main != nil {
		moments, repeats := r.moments(*main)
		for _, at := range moments {
			instance := ""
			if repeats {
				instance = at.UTC().Format(local) + "Z"
			}
			if e, is := exceptions[at.Unix()]; is {
				delete(exceptions, at.Unix())
				r.add(e, e.begins, instance)
				continue
			}
			r.add(*main, at, instance)
		}
	}
	for _, e := range entries {
		if _, is := exceptions[e.replace.Unix()]; is && !e.replace.IsZero() {
			delete(exceptions, e.replace.Unix())
			r.add(e, e.begins, e.replace.UTC().Format(local)+"Z")
		}
	}
}

// moments are when an entry begins between the two moments, and whether it repeats.
func (r *reader) moments(e entry) ([]time.Time, bool) {
	var set rrule.Set
	repeats := false
	set.DTStart(e.begins)
	set.RDate(e.begins)
	for _, property := range e.Properties {
		switch property.IANAToken {
		case "RRULE":
			option, err := rrule.StrToROptionInLocation(property.Value, e.where)
			if err != nil || option.Freq > rrule.DAILY {
				r.out.Left = append(
					r.out.Left,
					fmt.Sprintf("“%s”: how it repeats cannot be read; only its first time is taken", title(e)),
				)
				continue
			}
			option.Dtstart = e.begins
			if option.Until.IsZero() || option.Until.After(r.to) {
				option.Until = r.to
			}
			rule, err := rrule.NewRRule(*option)
			if err != nil {
				r.out.Left = append(
					r.out.Left,
					fmt.Sprintf("“%s”: how it repeats cannot be read; only its first time is taken", title(e)),
				)
				continue
			}
			set.RRule(rule)
			repeats = true
		case "RDATE":
			for _, at := range r.times(property.BaseProperty) {
				set.RDate(at)
				repeats = true
			}
		}
	}
	out := map[int64]bool{}
	for _, property := range e.Properties {
		if property.IANAToken == "EXDATE" {
			for _, at := range r.times(property.BaseProperty) {
				out[at.Unix()] = true
			}
		}
	}
	var list []time.Time
	if r.barren > maxBarren || r.ctx.Err() != nil {
		return nil, repeats // no more of it is read
	}
	next := set.Iterator()
	for step := range maxSteps {
		at, more := next()
		if !more && step <= 1 && repeats {
			r.barren++
		}
		if !more || at.After(r.to) {
			break
		}
		twice := len(list) > 0 && list[len(list)-1].Equal(at)
		if !twice && !out[at.Unix()] && !at.Before(r.from) {
			list = append(list, at)
		}
		if len(list) > MaxBookings {
			break
		}
	}
	return list, repeats
}

// add takes an entry that begins at a moment.
func (r *reader) add(e entry, at time.Time, instance string) {
	if at.Before(r.from) || at.After(r.to) || len(r.out.Bookings) > MaxBookings {
		return
	}
	at = at.In(r.home)
	said := title(e) + "\n" + text(e, "DESCRIPTION")
	for _, property := range e.Properties {
		if property.IANAToken == "ATTENDEE" {
			said += "\n" + strings.Join(property.ICalParameters["CN"], " ")
		}
	}
	r.out.Bookings = append(r.out.Bookings, booking.Booking{
		UID:      e.uid,
		Instance: instance,
		Title:    title(e),
		Date:     at.Format(time.DateOnly),
		Start:    at.Format("15:04"),
		Minutes: int(
			e.lasts.Minutes(),
		),
		Cancelled: r.cancels || strings.EqualFold(text(e, "STATUS"), "CANCELLED"),
		Students:  r.named(said),
	})
}

// entry reads one entry, and says why it is no booking.
func (r *reader) entry(event *ics.VEvent) (entry, string) {
	e := entry{VEvent: event, where: r.home}
	e.uid = cut(text(e, "UID"), 300)
	start := event.GetProperty(ics.ComponentPropertyDtStart)
	if e.uid == "" || start == nil {
		return e, fmt.Sprintf("“%s”: an entry needs an identifier and a beginning", title(e))
	}
	if len(start.Value) == len("20060102") {
		return e, fmt.Sprintf("“%s”: it takes whole days", title(e))
	}
	var ok bool
	if e.begins, ok = r.time(start.BaseProperty); !ok {
		return e, fmt.Sprintf("“%s”: its beginning cannot be read", title(e))
	}
	e.where = e.begins.Location()
	if end := event.GetProperty(ics.ComponentPropertyDtEnd); end != nil {
		ends, ok := r.time(end.BaseProperty)
		if !ok {
			return e, fmt.Sprintf("“%s”: its end cannot be read", title(e))
		}
		e.lasts = ends.Sub(e.begins)
	} else if duration, ok := lasting(text(e, "DURATION")); ok {
		e.lasts = duration
	}
	if e.lasts < 5*time.Minute || e.lasts > 10*time.Hour {
		return e, fmt.Sprintf("“%s”: a lesson takes 5 minutes to 10 hours, and this %s", title(e), e.lasts)
	}
	for _, property := range event.Properties {
		if property.IANAToken == "RECURRENCE-ID" {
			if e.replace, ok = r.time(property.BaseProperty); !ok {
				return e, fmt.Sprintf("“%s”: it is not said which one of a series it is", title(e))
			}
		}
	}
	return e, ""
}

func sequence(e entry) int { n, _ := strconv.Atoi(text(e, "SEQUENCE")); return n }

// title is what an entry is called, no longer than a lesson can be.
func title(e entry) string {
	name := strings.Join(strings.Fields(text(e, "SUMMARY")), " ")
	if name == "" {
		name = "Booking"
	}
	return cut(name, 80)
}

func cut(text string, longest int) string {
	runes := []rune(text)
	return string(runes[:min(len(runes), longest)])
}

func text(e entry, name string) string {
	for _, property := range e.Properties {
		if property.IANAToken == name {
			return strings.ToValidUTF8(property.Value, "")
		}
	}
	return ""
}
