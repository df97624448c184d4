package shorthand

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// Word is a part of a line, and what it was understood to mean.
type Word struct {
	From  int    `json:"from" description:"In characters of the line, from 0"`
	To    int    `json:"to"`
	Text  string `json:"text"`
	Means string `json:"means" description:"In words; empty for what only divides"`
	Wrong string `json:"wrong" description:"Why it was not understood; empty where it was"`
}

// longest is how many characters a line may have.
const longest = 20_000

// scanner goes through the words of a line.
type scanner struct {
	court  court.Court
	tokens []token
	at     int
	words  []Word
	wrong  bool
}

// reader reads a pattern.
type reader struct {
	scanner
	p      feed.Pattern
	aim    *Aim
	groups []group // all of them
	open   []group // those that are not closed yet
}

// group is a group or a branch that has begun.
type group struct {
	repeat *feed.Repeat
	branch *feed.Branch
}

// Read reads a line for a court. What was understood of each word is always given; the pattern only where all of it
// was, else invalid.Fields under "line".
func Read(line string, on court.Court) (feed.Pattern, *Aim, []Word, error) {
	s, err := scan(line, on)
	if err != nil {
		return feed.Pattern{}, nil, []Word{}, err
	}
	r := reader{scanner: s, p: feed.Pattern{Method: feed.ByRacket, Gap: 3.5, Sequences: 1}}
	if on.HasFrontWall() {
		r.p.Method = feed.Partner
	}
	if len(r.tokens) == 0 {
		return feed.Pattern{}, nil, r.words, invalid.Fields{{Path: "line", Message: "say at least one ball: deep FH"}}
	}
	for r.at < len(r.tokens) {
		r.phrase()
	}
	for range r.open {
		r.wrong = true
		r.words[len(r.words)-1].Wrong = "a group that was opened with { is not closed"
	}
	for _, g := range r.groups { // in the order in which they were opened
		if g.repeat != nil {
			r.p.Repeats = append(r.p.Repeats, *g.repeat)
		} else {
			r.p.Branches = append(r.p.Branches, *g.branch)
		}
	}
	if !r.wrong && len(r.p.Tasks) == 0 {
		return feed.Pattern{}, nil, r.words, invalid.Fields{{Path: "line", Message: "say at least one ball: deep FH"}}
	}
	if err := r.misread(); err != nil {
		return feed.Pattern{}, nil, r.words, err
	}
	return r.p, r.aim, r.words, nil
}

// scan cuts a line up. It returns invalid.Fields under "line".
func scan(line string, on court.Court) (scanner, error) {
	if len([]rune(line)) > longest {
		return scanner{}, invalid.Fields{{Path: "line", Message: fmt.Sprintf("a line has at most %d characters", longest)}}
	}
	return scanner{court: on, tokens: lex(line), words: []Word{}}, nil
}

// misread says the first thing that was not understood; nil where all was.
func (r *scanner) misread() error {
	i := slices.IndexFunc(r.words, func(w Word) bool { return w.Wrong != "" })
	if i < 0 {
		return nil
	}
	return invalid.Fields{{Path: "line", Message: fmt.Sprintf("%s: %s", r.words[i].Text, r.words[i].Wrong)}}
}

func (r *scanner) peek() (token, bool) {
	if r.at >= len(r.tokens) {
		return token{}, false
	}
	return r.tokens[r.at], true
}

// understood notes what some tokens mean.
func (r *scanner) understood(first, last token, means string) {
	text := first.text
	if last.from > first.from {
		text += " " + last.text
	}
	r.words = append(r.words, Word{From: first.from, To: last.to, Text: text, Means: means})
}

func (r *scanner) failed(t token, why string) {
	r.wrong = true
	r.words = append(r.words, Word{From: t.from, To: t.to, Text: t.text, Wrong: why})
}

// phrase reads what stands between two semicolons: tasks, or a setting.
func (r *reader) phrase() {
	if r.setting() {
		r.end()
		return
	}
	for r.at < len(r.tokens) && r.tokens[r.at].text != ";" {
		r.item()
	}
	r.end()
}

// end takes a semicolon; whatever stands before it was not understood.
func (r *scanner) end() {
	for t, ok := r.peek(); ok; t, ok = r.peek() {
		r.at++
		if t.text == ";" {
			return
		}
		r.failed(t, "was not expected here")
	}
}

// item reads a task, or what opens and closes groups.
func (r *reader) item() {
	t := r.tokens[r.at]
	switch t.text {
	case ",":
		r.at++
		return
	case "}":
		r.at++
		r.close(t)
		return
	case "{":
		r.at++
		r.failed(t, "say how often before it: 3x { … }, or 20s { … }")
		return
	}
	if r.at+1 < len(r.tokens) && r.tokens[r.at+1].text == "{" {
		r.at += 2
		r.begin(t)
		return
	}
	r.task()
}

// begin opens a group or a branch.
func (r *reader) begin(t token) {
	from := len(r.p.Tasks)
	if word, chance, ok := strings.Cut(t.text, ":"); ok && cases[strings.ToLower(word)] != "" {
		share, err := strconv.ParseFloat(chance, 64)
		if err != nil || !(share >= 0.01 && share <= 1) {
			r.failed(t, "how often it is played is a share between 0.01 and 1")
		}
		b := feed.Branch{From: from, Case: cases[strings.ToLower(word)], Chance: share}
		r.opened(group{branch: &b})
		r.understood(t, t, fmt.Sprintf("%s, %s of 1", b.Case, chance))
		return
	}
	rest, whose, _ := strings.Cut(t.text, "/")
	often, nearer, _ := strings.Cut(rest, "+")
	repeat := feed.Repeat{From: from}
	var err, also, third error
	if whose != "" {
		repeat.Whose, err = strconv.Atoi(whose)
	}
	if nearer != "" {
		repeat.Nearer, also = strconv.ParseFloat(nearer, 64)
	}
	times, seconds, both := strings.Cut(often, "x")
	if !both {
		times, seconds = "", often
	}
	if times != "" {
		repeat.Times, third = strconv.Atoi(times)
	}
	if text, ok := strings.CutSuffix(seconds, "s"); ok && third == nil {
		repeat.Seconds, third = strconv.ParseFloat(text, 64)
	} else if seconds != "" {
		third = strconv.ErrSyntax
	}
	if err != nil || also != nil || third != nil || times == "" && seconds == "" {
		r.failed(t, "before a group stands how often it is played: 3x, or 20s, 3x+0.5 for half a metre nearer each time")
	} else {
		r.understood(t, t, "a group, "+often)
	}
	r.opened(group{repeat: &repeat})
}

func (r *reader) opened(g group) {
	r.groups, r.open = append(r.groups, g), append(r.open, g)
}

// close ends the group that was opened last.
func (r *reader) close(t token) {
	if len(r.open) == 0 {
		r.failed(t, "there is no group to be closed")
		return
	}
	last := r.open[len(r.open)-1]
	r.open = r.open[:len(r.open)-1]
	to := len(r.p.Tasks) - 1
	r.understood(t, t, "")
	if last.repeat != nil {
		last.repeat.To = to
	} else {
		last.branch.To = to
	}
}
