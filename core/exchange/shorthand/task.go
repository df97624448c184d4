package shorthand

import (
	"errors"
	"fmt"
	"strconv"
	"strings"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// writing is a task while its words are read.
type writing struct {
	feed.Task
	deep, across *float64 // of a place in words
	marked       bool
	reply        feed.ReplyPlace // in words
	first        token
}

// task reads the words of one task.
func (r *reader) task() {
	w, wrong := writing{first: r.tokens[r.at]}, r.wrong
	r.wrong = false
	for t, ok := r.peek(); ok && !divides(t); t, ok = r.peek() {
		if r.at+1 < len(r.tokens) && r.tokens[r.at+1].text == "{" {
			break // how often the next group is played
		}
		if r.at+1 < len(r.tokens) { // two words for one: half pace, net shot
			if next := r.tokens[r.at+1]; !strings.ContainsAny(next.text, ",;{}[=") {
				if means, ok := w.word(t.text + "-" + next.text); ok {
					r.at += 2
					r.understood(t, next, means)
					continue
				}
			}
		}
		r.at++
		if strings.HasPrefix(t.text, "[") {
			m, err := readMark(t.text)
			r.place(t, m, err, &w)
			continue
		}
		if key, value, ok := strings.Cut(t.text, "="); ok {
			if means, err := w.pair(strings.ToLower(key), value); err != nil {
				r.failed(t, err.Error())
			} else {
				r.understood(t, t, means)
			}
			continue
		}
		if means, ok := w.word(t.text); ok {
			r.understood(t, t, means)
			continue
		}
		r.failed(t, "is not a word of this shorthand")
	}
	if !r.wrong { // else it is said already what is missing
		r.settle(&w)
	}
	r.wrong = r.wrong || wrong
	r.p.Tasks = append(r.p.Tasks, w.Task)
}

// place takes the mark of a landing.
func (r *reader) place(t token, m court.Mark, err error, w *writing) {
	if err == nil {
		_, err = r.court.Resolve(m)
	}
	if err != nil {
		r.failed(t, err.Error())
		return
	}
	w.Landing, w.marked = m, true
	r.understood(t, t, "lands "+r.court.Describe(m, court.Tape{}))
}

// settle gives a task the places that were said in words.
func (r *reader) settle(w *writing) {
	r.land(w)
	if landing, err := r.court.Resolve(w.Landing); w.reply != "" && err == nil {
		at := r.court.Nearby(w.reply.At(r.court, landing, w.Stroke))
		w.Reply = &at
	}
}

// land gives a task a landing that was said in words.
func (r *reader) land(w *writing) {
	if w.marked {
		return
	}
	if w.deep == nil && w.across == nil {
		r.failed(w.first, "where does it land? deep, mid, short, or a place in brackets: [2.4 -9]")
		return
	}
	deep, across := depths["mid"], plainly
	if w.deep != nil {
		deep = *w.deep
	}
	if w.across != nil {
		across = *w.across
	}
	w.Landing = placed(r.court, deep, across, w.Stroke)
}

// word takes a word that stands alone; false for one that is not known.
func (w *writing) word(text string) (means string, ok bool) {
	lower := strings.ToLower(text)
	if share, ok := depths[lower]; ok {
		w.deep = &share
		return lower, true
	}
	if share, ok := sides[lower]; ok {
		w.across = &share
		return lower, true
	}
	if lower == "meant" {
		w.Meant = true
		return "too much on purpose", true
	}
	if kind, ok := valueNamed[feed.Kind](feed.Kind("").Enum(), text); ok {
		w.Kind = kind
		return string(kind), true
	}
	if stroke, ok := strokeOf(text); ok {
		w.Stroke = stroke
		return string(stroke), true
	}
	if pace, ok := valueNamed[sports.Pace](sports.Pace("").Enum(), text); ok {
		w.Pace = pace
		return "comes at " + string(pace), true
	}
	if spin, ok := valueNamed[sports.SpinKind](sports.SpinKind("").Enum(), text); ok {
		w.Spin = spin
		return "comes with " + string(spin), true
	}
	return "", false
}

// pair takes a word with a value.
func (w *writing) pair(key, value string) (string, error) {
	figure := func(into *float64) (string, error) {
		v, err := metres(value)
		if err != nil {
			return "", fmt.Errorf("a number was expected after %s=", key)
		}
		*into = v
		return key + " " + value, nil
	}
	mark := func(into **court.Mark) (string, error) {
		m, err := readMark(value)
		*into = &m
		return key + " " + value, err
	}
	switch key {
	case "area":
		wide, deep, _ := strings.Cut(value, "x")
		a, err := strconv.ParseFloat(wide, 64)
		b, also := strconv.ParseFloat(deep, 64)
		if err != nil || also != nil {
			return "", fmt.Errorf("an area is so wide and so deep: area=4x1.5")
		}
		w.Area = &feed.Area{Wide: a, Deep: b}
		return "anywhere in " + value, nil
	case "at":
		w.Toward = bodies[value]
		return "comes at the " + value, known(w.Toward != "", "at the feet, the body or the crossover")
	case "from":
		return mark(&w.From)
	case "to":
		if place, ok := valueNamed[feed.ReplyPlace](feed.ReplyPlace("").Enum(), value); ok {
			w.reply = place
			return "the reply goes " + string(place), nil
		}
		return mark(&w.Reply)
	case "back":
		return mark(&w.Recover)
	case "fed":
		method, ok := valueNamed[feed.Method](feed.Method("").Enum(), value)
		w.Method = method
		return "fed by " + value, known(ok, "fed by hand, racket, machine, partner, self-drop, wall, live or answer")
	case "leaves":
		return figure(&w.Height)
	case "rpm":
		return figure(&w.RPM)
	case "high":
		return figure(&w.At)
	case "gap":
		return figure(&w.Gap)
	case "weight":
		return figure(&w.Weight)
	case "value":
		return figure(&w.Value)
	case "met":
		if moment, ok := moments[value]; ok {
			w.Contact = moment
			return "met " + string(moment), nil
		}
		w.Contact = feed.AtHeight
		return figure(&w.At)
	case "feet":
		text, err := strconv.Unquote(value)
		w.Stance = text
		return "feet: " + text, err
	case "reply":
		pace, ok := valueNamed[sports.Pace](sports.Pace("").Enum(), value)
		w.ReplyPace = pace
		return "answered at " + value, known(ok, "a pace was expected: half-pace")
	case "cut":
		spin, ok := valueNamed[sports.SpinKind](sports.SpinKind("").Enum(), value)
		w.ReplySpin = spin
		return "answered with " + value, known(ok, "a spin was expected: slice")
	case "player":
		n, err := strconv.Atoi(value)
		w.Player = n - 1
		return "player " + value, known(
			err == nil && n >= 1 && n <= feed.MaxPlayers,
			fmt.Sprintf("players are 1 to %d", feed.MaxPlayers),
		)
	}
	if by, ok := valueNamed[flight.By](flight.By("").Enum(), key); ok {
		w.By = by
		return figure(&w.Value)
	}
	return "", fmt.Errorf("%s= is not known", key)
}

// divides says whether a token ends a task.
func divides(t token) bool { return t.text == "," || t.text == ";" || t.text == "{" || t.text == "}" }

func known(ok bool, why string) error {
	if ok {
		return nil
	}
	return errors.New(why)
}
