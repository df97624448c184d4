package court

import (
	"errors"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
)

// ErrMeasure says that a text does not measure a place from a line.
var ErrMeasure = errors.New(
	"a length was expected, such as 4 ft 6 in, 1.4 m or 3 steps, or: 2 ft inside the far baseline, half-way from the " +
		"net to the far service line, 3/4 back",
)

var (
	betweenForm = units.Form{Expression: `^(.+?) from (?:the )?(.+?) to (?:the )?(.+)$`}
	offsetForm  = units.Form{
		Expression: `^(.+?) (inside|in from|behind|outside|this side of|beyond|left of|right of) (?:the )?(.+)$`,
	}
	sideForm = units.Form{Expression: `^(.+?) (inside|behind|outside|this side|beyond|near|far|left|right)$`}
	onForm   = units.Form{Expression: `^on (?:the )?(.+)$`}
	towards  = map[string]Toward{
		"inside":       In,
		"in from":      In,
		"behind":       Out,
		"outside":      Out,
		"this side of": Near,
		"beyond":       Far,
		"left of":      Left,
		"right of":     Right,
		"this side":    Near,
		"near":         Near,
		"far":          Far,
		"left":         Left,
		"right":        Right,
	}
	opposite = map[Toward]Toward{In: Out, Out: In, Near: Far, Far: Near, Left: Right, Right: Left}
)

// ReadMeasure reads one measure as a coach says it. What the text leaves out – the line, the direction,
// the end – is taken from the measure that it replaces; a length below nothing goes the other way. Step is the
// length of the coach's own step.
func (c Court) ReadMeasure(text string, was Measure, step float64) (Measure, error) {
	plain := strings.Join(strings.Fields(strings.ToLower(text)), " ")
	if found := betweenForm.Match(plain); found != nil {
		share, err := units.ReadFraction(found[1])
		if err != nil {
			return was, err
		}
		from, err := c.lineNamed(found[2], was.Line)
		if err != nil {
			return was, err
		}
		to, err := c.lineNamed(found[3], was.Line)
		return Between(from, to, share), err
	}
	if found := offsetForm.Match(plain); found != nil {
		length, err := units.Read(found[1], step)
		if err != nil {
			return was, err
		}
		line, err := c.lineNamed(found[3], was.Line)
		return Off(line, length, towards[found[2]]), err
	}
	if found := onForm.Match(plain); found != nil {
		line, err := c.lineNamed(found[1], was.Line)
		if err != nil {
			return was, err
		}
		return c.onLine(line), nil
	}
	if share, err := units.ReadFraction(plain); err == nil {
		return c.fraction(was, share)
	}
	bare, side := plain, Toward("")
	if found := sideForm.Match(plain); found != nil {
		bare, side = found[1], towards[found[2]]
	}
	length, back, err := readSigned(bare, step)
	if err != nil {
		return was, fmt.Errorf("%q: %w", text, ErrMeasure)
	}
	if was.Fraction != nil {
		was = c.onLine(was.Line)
		was.Toward = c.outward(was.Line)
	}
	was.Distance = length
	if side != "" {
		was.Toward = side
	}
	if back {
		was.Toward = opposite[was.Toward]
	}
	return was, nil
}

// readSigned reads a length that may have a sign; back says that it is below nothing.
func readSigned(text string, step float64) (length float64, back bool, err error) {
	bare, back := text, false
	for _, minus := range []string{"-", "−", "–", "minus "} {
		if rest, found := strings.CutPrefix(text, minus); found {
			bare, back = strings.TrimSpace(rest), true
		}
	}
	length, err = units.Read(bare, step)
	return length, back && length > 0, err
}

// plainForm is a length with the side it goes to.
var plainForm = units.Form{Expression: `^(.+?)(?: (left|right|this side|beyond|near|far)(?: .*)?)?$`}

// Retype reads one part of a mark from words; path is that of one of its Parts. A length alone keeps its
// side, "1 m left" changes it, and so does a length below nothing; "on the near service line" puts it on that
// line.
func (c Court) Retype(m Mark, path, text string, step float64) (Mark, error) {
	plain := strings.Join(strings.Fields(strings.ToLower(text)), " ")
	for i, measure := range m.Measures {
		if path == invalid.Join("measures", i) {
			read, err := c.ReadMeasure(text, measure, step)
			m.Measures = slices.Clone(m.Measures)
			m.Measures[i] = read
			return m, err
		}
	}
	if found := onForm.Match(plain); found != nil {
		return c.putOn(m, path, found[1])
	}
	found := plainForm.Match(plain)
	if found == nil {
		return m, fmt.Errorf("%q: %w", text, ErrMeasure)
	}
	length, back, err := readSigned(strings.TrimSuffix(found[1], " from the"), step)
	if err != nil {
		return m, fmt.Errorf("%q: %w", text, ErrMeasure)
	}
	side := map[string]Toward{"left": Left, "right": Right, "this side": Near, "near": Near, "beyond": Far,
		"far": Far}[found[2]]
	if back && side != "" {
		return m, fmt.Errorf("%q: say either minus or %s", text, found[2])
	}
	switch {
	case m.Place != nil && path == "place.x":
		p := *m.Place
		p.X, err = signed(length, p.X, side, back, Left, Right)
		m.Place = &p
	case m.Place != nil && path == "place.y":
		p := *m.Place
		p.Y, err = signed(length, p.Y, side, back, Near, Far)
		m.Place = &p
	case m.Along != nil && path == "along":
		if back {
			return m, fmt.Errorf("%q: a line begins at its end; choose the other end instead", text)
		}
		along := *m.Along
		along.Distance = length
		if side != "" {
			along.From = side
		}
		m.Along = &along
	default:
		err = fmt.Errorf("there is no length called %q in this mark", path)
	}
	return m, err
}

// putOn puts one part of a mark on a line: a plain place across or along the court, or a place along
// another line.
func (c Court) putOn(m Mark, path, name string) (Mark, error) {
	switch {
	case m.Along != nil && path == "along":
		id, err := c.lineNamed(name, m.Along.Line)
		if err != nil {
			return m, err
		}
		along := *m.Along
		along.Line = id
		m.Along = &along
		return m, nil
	case m.Place == nil:
		return m, fmt.Errorf("there is no length called %q in this mark", path)
	}
	end := NetLine
	if m.Place.Y < 0 {
		end = NearBaseline
	} else if m.Place.Y > 0 {
		end = FarBaseline
	}
	id, err := c.lineNamed(name, end)
	if err != nil {
		return m, err
	}
	line, _ := c.Line(id)
	at, isY := line.position()
	p := *m.Place
	switch {
	case path == "place.y" && isY:
		p.Y = at
	case path == "place.x" && !isY:
		p.X = at
	default:
		return m, fmt.Errorf(
			"the %s runs the other way: it says how far %s, not this",
			line.Name,
			map[bool]string{true: "from the net", false: "left or right"}[isY],
		)
	}
	m.Place = &p
	return m, nil
}

// signed puts the sign of a side on a length; no word keeps the side it is on, and back is the lower side.
func signed(length, was float64, side Toward, back bool, below, above Toward) (float64, error) {
	switch {
	case back, side == below, side == "" && was < 0:
		return 0 - length, nil
	case side == above, side == "":
		return length, nil
	}
	return was, fmt.Errorf("from the middle this goes %s or %s", below, above)
}

// onLine is the measure of a place on a line.
func (c Court) onLine(id LineID) Measure {
	line, _ := c.Line(id)
	at, isY := line.position()
	return Off(id, 0, word(0, at, isY))
}

// outward is the direction away from the net on the near half of a line through the middle, and into the
// court from any other.
func (c Court) outward(id LineID) Toward {
	line, _ := c.Line(id)
	switch at, isY := line.position(); {
	case at != 0:
		return In
	case isY:
		return Near
	}
	return Right
}

// fraction puts a share into a measure: of its own two lines, or "so much back" from the net to the end
// line of its half.
func (c Court) fraction(was Measure, share float64) (Measure, error) {
	if was.Fraction != nil {
		return Between(was.Line, was.To, share), nil
	}
	end := NearBaseline
	if strings.HasPrefix(string(was.Line), "far-") {
		end = FarBaseline
	}
	if _, ok := c.Line(end); !ok {
		return was, fmt.Errorf("say between which two lines: half-way from the … to the …")
	}
	return Between(NetLine, end, share), nil
}

// lineNamed finds a line by its name. A name without its end or side means the end or side of another line.
func (c Court) lineNamed(name string, like LineID) (LineID, error) {
	prefix, _, _ := strings.Cut(string(like), "-")
	for _, full := range []string{name, prefix + " " + name} {
		if i := slices.IndexFunc(c.Lines, func(l Line) bool { return l.Name == full }); i >= 0 {
			return c.Lines[i].ID, nil
		}
	}
	names := make([]string, len(c.Lines))
	for i, l := range c.Lines {
		names[i] = l.Name
	}
	return like, fmt.Errorf("there is no line called %q; the lines are: %s", name, strings.Join(names, ", "))
}
