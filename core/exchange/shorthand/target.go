package shorthand

import (
	"fmt"
	"strings"

	"hodometer/core/sport/court"
)

// targetParts are the parts of a target, each as key=value, and a place for its mark.
var targetParts = map[string]func(t *court.Target, value string) (string, error){
	aPlace: func(t *court.Target, value string) (string, error) {
		m, err := readMark(value)
		t.Mark = &m
		return "there", err
	},
	"other=": func(t *court.Target, value string) (string, error) {
		m, err := readMark(value)
		t.Other = &m
		return "and there", err
	},
	"point=": func(t *court.Target, value string) (string, error) {
		m, err := readMark(value)
		if len(t.Points) == 12 {
			return "", fmt.Errorf("at most 12 corners")
		}
		t.Points = append(t.Points, m)
		return fmt.Sprintf("corner %d", len(t.Points)), err
	},
	"radius=": sized(func(t *court.Target) *float64 { return &t.Radius }, "within %s m"),
	"depth=":  sized(func(t *court.Target) *float64 { return &t.Depth }, "%s m deep"),
	"width=":  sized(func(t *court.Target) *float64 { return &t.Width }, "%s m wide"),
	"low=":    sized(func(t *court.Target) *float64 { return &t.Low }, "from %s m up"),
	"high=":   sized(func(t *court.Target) *float64 { return &t.High }, "up to %s m"),
	"line=": func(t *court.Target, value string) (string, error) {
		t.Line = court.LineID(value)
		return value, nil
	},
	"box=": func(t *court.Target, value string) (string, error) {
		t.Box = court.BoxID(value)
		return value, nil
	},
}

func sized(of func(t *court.Target) *float64, means string) func(*court.Target, string) (string, error) {
	return func(t *court.Target, value string) (string, error) {
		v, err := metres(value)
		*of(t) = v
		return fmt.Sprintf(means, number(v)), err
	}
}

// writeTarget writes a target: at circle [1 2] radius=0.9.
func writeTarget(t court.Target) string {
	words := []string{"at " + joined(t.Kind)}
	add := func(key, value string) {
		if value != "" {
			words = append(words, key+value)
		}
	}
	if t.Mark != nil {
		add("", writeMark(*t.Mark))
	}
	if t.Other != nil {
		add("other=", writeMark(*t.Other))
	}
	for _, m := range t.Points {
		add("point=", writeMark(m))
	}
	for _, size := range []struct {
		key string
		v   float64
	}{{"radius=", t.Radius}, {"depth=", t.Depth}, {"width=", t.Width}, {"low=", t.Low}, {"high=", t.High}} {
		if size.v != 0 {
			add(size.key, number(size.v))
		}
	}
	add("line=", string(t.Line))
	add("box=", string(t.Box))
	return strings.Join(words, " ")
}
