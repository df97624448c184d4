package shorthand

import (
	"fmt"
	"strconv"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// setting reads a part that is no task; false where it is none.
func (r *reader) setting() bool {
	t, ok := r.peek()
	if !ok {
		return false
	}
	word := strings.ToLower(t.text)
	next, more := token{}, r.at+1 < len(r.tokens)
	if more {
		next = r.tokens[r.at+1]
	}
	if n, err := strconv.Atoi(strings.TrimPrefix(word, "x")); err == nil && strings.HasPrefix(word, "x") {
		r.at++
		r.p.Sequences = n
		r.understood(t, t, units.Count(n, "sequence a turn", "sequences a turn"))
		return true
	}
	if v, err := strconv.ParseFloat(
		strings.TrimSuffix(word, "s"),
		64,
	); err == nil &&
		(strings.HasSuffix(word, "s") && next.text != "{" || more && next.text == "s") {
		r.at++
		if next.text == "s" {
			r.at++
		} else {
			next = t
		}
		r.p.Gap = v
		r.understood(t, next, units.Decimal(v, 2)+" s between balls")
		return true
	}
	set, ok := settings[word]
	if !ok || !more {
		return false
	}
	if word == "aim" {
		r.at++
		r.aimed()
		return true
	}
	if word == "rally" {
		r.at++
		r.understood(t, t, "each reply is the next feed")
		r.rally()
		return true
	}
	value, last := next.text, next
	if r.at+2 < len(r.tokens) { // shuffled, or two words for one: half way
		if both := value + "-" + r.tokens[r.at+2].text; set(&r.p, both) {
			r.at += 3
			r.understood(t, r.tokens[r.at-1], word+" "+both)
			return true
		}
	}
	r.at += 2
	if !set(&r.p, value) {
		r.failed(last, "is not known after "+word)
		return true
	}
	if unit, ok := r.peek(); ok && unit.text == "s" { // pause 8 s
		r.at++
		last = unit
	}
	r.understood(t, last, word+" "+value)
	return true
}

// settings are what can stand in a part of its own: a word, and what it sets; false for a value that it does not know.
var settings = map[string]func(p *feed.Pattern, value string) bool{
	"by":       chosen(func(p *feed.Pattern, v feed.Method) { p.Method = v }, feed.Method("").Enum()),
	"ends":     chosen(func(p *feed.Pattern, v feed.Ending) { p.Ends = v }, feed.Ending("").Enum()),
	"next":     chosen(func(p *feed.Pattern, v feed.Next) { p.Next = v }, feed.Next("").Enum()),
	"order":    chosen(func(p *feed.Pattern, v feed.Order) { p.Order = v }, feed.Order("").Enum()),
	"get-back": chosen(func(p *feed.Pattern, v feed.Back) { p.Back = v }, feed.Back("").Enum()),
	"pause":    figured(func(p *feed.Pattern, v float64) { p.Pause = v }),
	"work":     figured(func(p *feed.Pattern, v float64) { p.On = v }),
	"overlap":  figured(func(p *feed.Pattern, v float64) { p.Overlap = v }),
	"most":     figured(func(p *feed.Pattern, v float64) { p.MaxSequences = int(v) }),
	"seed":     figured(func(p *feed.Pattern, v float64) { p.Seed = uint64(max(0, v)) }),
	"rally":    nil,
	"aim":      nil,
}

func chosen[T ~string](set func(*feed.Pattern, T), values []any) func(*feed.Pattern, string) bool {
	return func(p *feed.Pattern, word string) bool {
		value, ok := valueNamed[T](values, word)
		if ok {
			set(p, value)
		}
		return ok
	}
}

func figured(set func(*feed.Pattern, float64)) func(*feed.Pattern, string) bool {
	return func(p *feed.Pattern, text string) bool {
		v, err := strconv.ParseFloat(strings.TrimSuffix(text, "s"), 64)
		if err != nil || !(v >= 0 && v < 1e10) {
			return false
		}
		set(p, v)
		return true
	}
}

// rally reads the rules of a rally.
func (r *reader) rally() {
	rally := feed.UsualRally(r.court)
	for t, ok := r.peek(); ok && t.text != ";"; t, ok = r.peek() {
		r.at++
		near, far, both := strings.Cut(t.text, "/")
		first, known := valueNamed[feed.Direction](feed.Direction("").Enum(), near)
		second, also := valueNamed[feed.Direction](feed.Direction("").Enum(), far)
		pace, paced := valueNamed[sports.Pace](sports.Pace("").Enum(), t.text)
		unit, more := r.peek()
		v, err := strconv.ParseFloat(t.text, 64)
		switch {
		case both && known && also:
			rally.Near, rally.Far = first, second
			r.understood(t, t, fmt.Sprintf("you %s, they %s", first, second))
			continue
		case t.text == "pair":
			rally.Pair = true
		case paced:
			rally.Pace = pace
		case err == nil && more && unit.text == "strokes":
			rally.Shots = int(v)
		case err == nil && more && unit.text == "deep":
			rally.Deep = v
		case err == nil && more && unit.text == "wide":
			rally.Wide = v
		default:
			r.failed(t, "is not known of a rally")
			continue
		}
		if err == nil {
			r.at++
			r.understood(t, unit, t.text+" "+unit.text)
			continue
		}
		r.understood(t, t, t.text)
	}
	r.p.Rally = &rally
}
