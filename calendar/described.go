package calendar

import (
	"bytes"
	"encoding/binary"
	"regexp"
	"slices"
	"strconv"
	"time"

	ics "github.com/arran4/golang-ical"
	"github.com/teambition/rrule-go"
)

// turn is a moment at which the clocks of a zone change.
type turn struct {
	at     int64 // seconds since 1970
	offset int   // from then on, seconds east of UTC
}

// The most that is read of descriptions of zones; a good one has two parts, or a few dozen.
const (
	maxZones = 40
	maxParts = 120
)

// lastTurn is up to when a described zone is worked out.
var lastTurn = time.Date(2101, 1, 1, 0, 0, 0, 0, time.UTC)

// zonesOf reads the time zones that a calendar describes itself: programs have names of their own for them.
func zonesOf(parsed *ics.Calendar) map[string]*time.Location {
	zones := map[string]*time.Location{}
	for _, component := range parsed.Components {
		described, is := component.(*ics.VTimezone)
		if !is {
			continue
		}
		name := described.GetProperty(ics.ComponentPropertyTzid)
		if name == nil || len(zones) >= maxZones || len(described.Components) > maxParts {
			continue
		}
		var turns []turn
		for _, part := range described.Components {
			switch p := part.(type) {
			case *ics.Standard:
				turns = append(turns, turnsOf(&p.ComponentBase)...)
			case *ics.Daylight:
				turns = append(turns, turnsOf(&p.ComponentBase)...)
			}
		}
		slices.SortStableFunc(turns, func(a, b turn) int { return int(a.at - b.at) })
		if zone, err := time.LoadLocationFromTZData(name.Value, compiled(turns)); err == nil && len(turns) > 0 {
			zones[name.Value] = zone
		}
	}
	return zones
}

// turnsOf are the turns that one part of a zone describes.
func turnsOf(part *ics.ComponentBase) []turn {
	value := func(name string) string {
		if property := part.GetProperty(ics.ComponentProperty(name)); property != nil {
			return property.Value
		}
		return ""
	}
	begins, err := time.Parse(local, value("DTSTART"))
	before, okBefore := readOffset(value("TZOFFSETFROM"))
	offset, ok := readOffset(value("TZOFFSETTO"))
	if err != nil || !ok || !okBefore {
		return nil
	}
	moments := []time.Time{begins}
	if text := value("RRULE"); text != "" {
		option, err := rrule.StrToROption(text)
		if err != nil || option.Freq != rrule.YEARLY {
			return nil
		}
		option.Dtstart = begins
		if option.Until.IsZero() || option.Until.After(lastTurn) {
			option.Until = lastTurn
		}
		if rule, err := rrule.NewRRule(*option); err == nil {
			moments = rule.All()
		}
	}
	turns := make([]turn, len(moments))
	for i, at := range moments {
		turns[i] = turn{at: at.Unix() - int64(before), offset: offset} // told by the clock as it stood before
	}
	return turns
}

// compiled is a zone in the format of the tz database (RFC 8536), so that Go reckons with it as with any other.
func compiled(turns []turn) []byte {
	var kinds []int
	kind := func(offset int) byte {
		i := slices.Index(kinds, offset)
		if i < 0 {
			i, kinds = len(kinds), append(kinds, offset)
		}
		return byte(i) //nolint:gosec // there are no more than parts
	}
	var times, of bytes.Buffer
	for _, t := range turns {
		_ = binary.Write(&times, binary.BigEndian, t.at)
		of.WriteByte(kind(t.offset))
	}
	var out bytes.Buffer
	head := func(turns, kinds int) {
		out.WriteString("TZif2")
		out.Write(make([]byte, 15))
		for _, n := range []int{0, 0, 0, turns, kinds, 1} {
			_ = binary.Write(&out, binary.BigEndian, uint32(n)) //nolint:gosec // a few thousand at most
		}
	}
	head(0, 1) // the block for old readers says nothing
	out.Write(make([]byte, 6+1))
	head(len(turns), max(len(kinds), 1))
	out.Write(times.Bytes())
	out.Write(of.Bytes())
	for _, offset := range kinds {
		_ = binary.Write(&out, binary.BigEndian, int32(offset)) //nolint:gosec // within a day
		out.Write([]byte{0, 0})
	}
	out.WriteString("\x00\n\n")
	return out.Bytes()
}

var offsets = regexp.MustCompile(`^([+-])(\d{2})(\d{2})(\d{2})?$`)

// readOffset reads how far a clock is ahead of UTC, in seconds.
func readOffset(text string) (int, bool) {
	found := offsets.FindStringSubmatch(text)
	if found == nil {
		return 0, false
	}
	number := func(i int) int { n, _ := strconv.Atoi(found[i]); return n }
	seconds := 3600*number(2) + 60*number(3) + number(4)
	if found[1] == "-" {
		seconds = -seconds
	}
	return seconds, seconds > -86400 && seconds < 86400
}
