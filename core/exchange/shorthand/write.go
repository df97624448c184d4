package shorthand

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/sport/feed"
)

// Write writes a pattern as a line. Read gives the same pattern back.
func Write(p feed.Pattern) string {
	parts := []string{writeTasks(p)}
	add := func(format string, args ...any) { parts = append(parts, fmt.Sprintf(format, args...)) }
	add("by %s", joined(p.Method))
	add("%s s", number(p.Gap))
	add("x%d", p.Sequences)
	figure := func(word string, v float64) {
		if v != 0 {
			add("%s %s", word, number(v))
		}
	}
	figure("pause", p.Pause)
	figure("work", p.On)
	figure("most", float64(p.MaxSequences))
	figure("overlap", p.Overlap)
	figure("seed", float64(p.Seed))
	for word, value := range map[string]string{"ends": joined(p.Ends), "next": joined(p.Next), "order": joined(p.Order),
		"get-back": joined(p.Back)} {
		if value != "" {
			add("%s %s", word, value)
		}
	}
	slices.Sort(parts[4:])
	if r := p.Rally; r != nil {
		pair, pace := "", ""
		if r.Pair {
			pair = " pair"
		}
		if r.Pace != "" {
			pace = " " + joined(r.Pace)
		}
		add(
			"rally %s/%s %d strokes %s deep %s wide%s%s",
			joined(r.Near),
			joined(r.Far),
			r.Shots,
			number(r.Deep),
			number(r.Wide),
			pace,
			pair,
		)
	}
	return strings.Join(parts, "; ")
}

// writeTasks writes the tasks with their groups and branches.
func writeTasks(p feed.Pattern) string {
	var line strings.Builder
	for i, t := range p.Tasks {
		if i > 0 {
			line.WriteString(", ")
		}
		for _, r := range p.Repeats {
			if r.From == i {
				line.WriteString(writeGroup(r) + " { ")
			}
		}
		for _, b := range p.Branches {
			if b.From == i {
				fmt.Fprintf(&line, "%s:%s { ", wordFor(cases, b.Case), number(b.Chance))
			}
		}
		line.WriteString(writeTask(t))
		for _, r := range p.Repeats {
			if r.To == i {
				line.WriteString(" }")
			}
		}
		for _, b := range p.Branches {
			if b.To == i {
				line.WriteString(" }")
			}
		}
	}
	return line.String()
}

// writeGroup is how often a group is played: 3x, or 20s, with how much nearer each time, and whose tasks.
func writeGroup(r feed.Repeat) string {
	said := ""
	if r.Times != 0 {
		said = strconv.Itoa(r.Times) + "x"
	}
	if r.Seconds != 0 {
		said += number(r.Seconds) + "s"
	}
	if r.Nearer != 0 {
		said += "+" + number(r.Nearer)
	}
	if r.Whose != 0 {
		said += "/" + strconv.Itoa(r.Whose)
	}
	return said
}

// writeTask writes one task.
func writeTask(t feed.Task) string {
	var words []string
	add := func(word string) {
		if word != "" {
			words = append(words, word)
		}
	}
	pair := func(key, value string) {
		if value != "" {
			add(key + "=" + value)
		}
	}
	figure := func(key string, v float64) {
		if v != 0 {
			pair(key, number(v))
		}
	}
	add(string(t.Kind))
	if t.Stroke != "" {
		add(strokeWord(t.Stroke))
	}
	add(writeMark(t.Landing))
	if t.Area != nil {
		pair("area", number(t.Area.Wide)+"x"+number(t.Area.Deep))
	}
	pair("at", wordFor(bodies, t.Toward))
	if t.From != nil {
		pair("from", writeMark(*t.From))
	}
	pair("fed", joined(t.Method))
	figure("leaves", t.Height)
	add(joined(t.Pace))
	if t.By != "" || t.Value != 0 {
		pair(string(t.By), number(t.Value))
		if t.By == "" {
			pair("value", number(t.Value))
		}
	}
	add(joined(t.Spin))
	figure("rpm", t.RPM)
	switch t.Contact {
	case "":
		figure("high", t.At)
	case feed.AtHeight:
		pair("met", number(t.At))
	default:
		pair("met", wordFor(moments, t.Contact))
		figure("high", t.At)
	}
	if t.Stance != "" {
		pair("feet", strconv.Quote(t.Stance))
	}
	if t.Reply != nil {
		pair("to", writeMark(*t.Reply))
	}
	pair("reply", joined(t.ReplyPace))
	pair("cut", joined(t.ReplySpin))
	if t.Recover != nil {
		pair("back", writeMark(*t.Recover))
	}
	figure("gap", t.Gap)
	if t.Player != 0 {
		pair("player", strconv.Itoa(t.Player+1))
	}
	figure("weight", t.Weight)
	if t.Meant {
		add("meant")
	}
	return strings.Join(words, " ")
}
