package shorthand

import (
	"errors"
	"fmt"
	"math"
	"strconv"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

func number(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }

// metres reads a length: a plain number is metres, everything else as a coach writes it.
func metres(text string) (float64, error) {
	const most = 1e6
	if v, err := strconv.ParseFloat(text, 64); err == nil && math.Abs(v) <= most {
		return v, nil
	}
	const step = 0.8
	return units.Read(text, step)
}

// writeMark writes a mark in brackets.
func writeMark(m court.Mark) string {
	var said string
	switch {
	case m.Place != nil:
		said = number(m.Place.X) + " " + number(m.Place.Y)
	case m.Along != nil:
		said = fmt.Sprintf("%s along %s %s", m.Along.Line, number(m.Along.Distance), m.Along.From)
	default:
		parts := make([]string, len(m.Measures))
		for i, each := range m.Measures {
			if each.Fraction != nil {
				parts[i] = fmt.Sprintf("%s ~%s %s", each.Line, number(*each.Fraction), each.To)
				continue
			}
			// With its unit: “in” after a bare number reads as inches.
			parts[i] = fmt.Sprintf("%s %s m %s", each.Line, number(each.Distance), each.Toward)
		}
		said = strings.Join(parts, ", ")
	}
	switch m.View {
	case court.NearEndPlayer:
		said += " ours"
	case court.FarEndPlayer:
		said += " theirs"
	}
	if m.Scales {
		said += " scaled"
	}
	return "[" + said + "]"
}

// readMark reads what stands in brackets.
func readMark(text string) (court.Mark, error) {
	var m court.Mark
	inside, ok := strings.CutPrefix(text, "[")
	inside, closed := strings.CutSuffix(inside, "]")
	if !ok || !closed {
		return m, errors.New("a place stands in brackets: [2.4 -9], " +
			"[near-baseline 1.8 m in, right-singles-sideline 1.2 m in]")
	}
	inside = strings.TrimSpace(inside)
	for again := true; again; {
		again = false
		for word, set := range map[string]func(){
			"scaled": func() { m.Scales = true },
			"ours":   func() { m.View = court.NearEndPlayer },
			"theirs": func() { m.View = court.FarEndPlayer },
		} {
			if rest, found := strings.CutSuffix(inside, " "+word); found {
				inside, again = strings.TrimSpace(rest), true
				set()
			}
		}
	}
	words := strings.Fields(inside)
	if len(words) == 2 {
		x, err := metres(words[0])
		y, also := metres(words[1])
		if err == nil && also == nil {
			m.Place = &court.Point{X: x, Y: y}
			return m, nil
		}
	}
	if len(words) >= 4 && words[1] == "along" {
		far, err := metres(strings.Join(words[2:len(words)-1], " "))
		m.Along = &court.Along{Line: court.LineID(words[0]), Distance: far, From: court.Toward(words[len(words)-1])}
		return m, err
	}
	for _, part := range strings.Split(inside, ",") {
		measure, err := readMeasure(strings.Fields(part))
		if err != nil {
			return m, err
		}
		m.Measures = append(m.Measures, measure)
	}
	return m, nil
}

// readMeasure reads a line, how far, and which way; or a line, a share, and another line.
func readMeasure(words []string) (court.Measure, error) {
	if len(words) < 3 {
		return court.Measure{}, errors.New("say a line, how far, and which way: near-baseline 1.8 m in")
	}
	last := words[len(words)-1]
	m := court.Measure{Line: court.LineID(words[0])}
	if share, ok := strings.CutPrefix(words[1], "~"); ok && len(words) == 3 {
		f, err := strconv.ParseFloat(share, 64)
		if err != nil || !(f >= 0 && f <= 1) {
			return m, fmt.Errorf("%q is no share of the way; it is between ~0 and ~1", words[1])
		}
		m.Fraction, m.To = &f, court.LineID(last)
		return m, nil
	}
	far, err := metres(strings.Join(words[1:len(words)-1], " "))
	m.Distance, m.Toward = far, court.Toward(last)
	return m, err
}
