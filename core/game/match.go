package game

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/ranking"
	"hodometer/core/sport/court"
)

// MatchVersion is the version of the format of a match that this code reads and writes.
const MatchVersion = 1

// Match is a game that students play or have played: a result between sides, never so many balls made.
type Match struct {
	FormatVersion int         `json:"version" minimum:"1" maximum:"1" description:"Of the format of this document"`
	Game          string      `json:"game,omitempty" maxLength:"40" description:"Which game it is; empty: a result of any"`
	Lesson        string      `json:"lesson,omitempty" maxLength:"40" description:"In which lesson; empty: in none"`
	Title         string      `json:"title" minLength:"1" maxLength:"80" description:"What the game is called"`
	Sport         court.Sport `json:"sport"`
	Court         court.ID    `json:"court,omitempty" maxLength:"40" description:"On which it is played; empty: not known"`
	Date          string      `json:"date" format:"date"`
	Players       []string    `json:"players" minItems:"1" maxItems:"40" description:"Students, by start place, then who waits"`
	Rules         *Rules      `json:"rules,omitempty" description:"By which it is played, as they were when it began; empty where only the result was entered"`
	Events        []Event     `json:"events,omitempty" maxItems:"5000"`
	Entered       []Round     `json:"entered,omitempty" maxItems:"800" description:"Results that were entered afterwards"`
	Robin         *Robin      `json:"robin,omitempty" description:"Everybody plays everybody; its results are entered"`
}

// Robin is how a round robin is played.
type Robin struct {
	Courts  int     `json:"courts" minimum:"1" maximum:"20"`
	Minutes float64 `json:"minutes" minimum:"1" maximum:"240" description:"For each game"`
	UpDown  bool    `json:"upDown,omitempty" description:"Not everybody against everybody: winners go one court up, losers one down, on as many courts as the players fill"`
	Pairs   bool    `json:"pairs,omitempty" description:"Two against two: the players are partners two by two; going up and down, partners change"`
}

// How many rounds go up and down, and how many events a game has.
const (
	mostRounds = 40
	mostEvents = 5000
)

// Fixtures are the games of a round robin; none where it is none. It returns invalid.Fields.
func (m Match) Fixtures() ([]ranking.Fixture, error) {
	if m.Robin == nil {
		return []ranking.Fixture{}, nil
	}
	if m.Robin.UpDown {
		return m.upAndDown()
	}
	sides, err := m.sides()
	if err != nil {
		return nil, err
	}
	return ranking.RoundRobin(sides, m.Robin.Courts, m.Robin.Minutes)
}

// each is how many play together.
func (r Robin) each() int {
	if r.Pairs {
		return 2
	}
	return 1
}

// sides are the players one by one, or as partners in their order.
func (m Match) sides() ([][]string, error) {
	each := m.Robin.each()
	if len(m.Players)%each != 0 {
		return nil, invalid.Fields{{Path: "players", Message: "pairs need an even number of players"}}
	}
	return slices.Collect(slices.Chunk(m.Players, each)), nil
}

// Table is the table of results of a round robin: by pair where partners stay together, else by player.
func (m Match) Table() []ranking.Line {
	if m.Robin == nil {
		return []ranking.Line{}
	}
	sides := slices.Collect(slices.Chunk(m.Players, 1))
	if pairs, err := m.sides(); err == nil && !m.Robin.UpDown {
		sides = pairs
	}
	return ranking.Table(sides, m.Results())
}

// upAndDown are the rounds that are played and the one that comes next: the first in the order of the players, the
// others from the results of the one before.
func (m Match) upAndDown() ([]ranking.Fixture, error) {
	each := m.Robin.each()
	n := len(m.Players) / (2 * each)
	if n == 0 || len(m.Players)%(2*each) != 0 {
		return nil, invalid.Fields{
			{
				Path: "players",
				Message: map[int]string{1: "up and down the courts goes for an even number of players", 2: "up and down the " +
					"courts in pairs goes for 4, 8, 12 … players"}[each],
			},
		}
	}
	courts := make([]ranking.Match, n)
	for i := range courts {
		own := m.Players[2*each*i:]
		courts[i] = ranking.Match{Near: own[:each:each], Far: own[each : 2*each : 2*each]}
	}
	var fixtures []ranking.Fixture
	for slot := 1; slot <= mostRounds; slot++ {
		results := make([]ranking.CourtResult, 0, n)
		for i, c := range courts {
			fixtures = append(
				fixtures,
				ranking.Fixture{Near: c.Near, Far: c.Far, Slot: slot, Court: i + 1, Minute: float64(slot-1) * m.Robin.Minutes},
			)
			k := slices.IndexFunc(m.Entered, func(r Round) bool {
				return r.Slot == slot && slices.Equal(r.Near, c.Near) && slices.Equal(r.Far, c.Far) && r.NearPoints != r.FarPoints
			})
			switch {
			case k < 0:
			case m.Entered[k].NearPoints > m.Entered[k].FarPoints:
				results = append(results, ranking.CourtResult{Winners: c.Near, Losers: c.Far})
			default:
				results = append(results, ranking.CourtResult{Winners: c.Far, Losers: c.Near})
			}
		}
		if len(results) < n {
			break
		}
		courts = ranking.UpAndDown(results)
	}
	return fixtures, nil
}

// Check says what is wrong with a match beyond its shape.
func (m Match) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(m.Title) == "" {
		wrong.Add("title", "say what was played")
	}
	if _, err := time.Parse(time.DateOnly, m.Date); err != nil {
		wrong.Add("date", "a day, as 2026-03-10")
	}
	switch {
	case m.Robin != nil && m.Rules != nil:
		wrong.Add("robin", "a round robin has its results entered")
	case m.Robin != nil:
		_, err := m.Fixtures()
		wrong.Under("", err)
	case m.Rules != nil && len(m.Entered) > 0:
		wrong.Add("entered", "a game that is counted point by point has its result already")
	case m.Rules != nil:
		if len(m.Rules.Spots) == 0 {
			wrong.Add("rules.spots", "a game has at least one start place")
			break
		}
		_, err := m.Rules.Start(m.Players)
		wrong.Under("", err)
	}
	for i, one := range m.Entered {
		wrong.Under(invalid.Join("entered", i), one.result(false).Check())
		for _, p := range slices.Concat(one.Near, one.Far) {
			if !slices.Contains(m.Players, p) {
				wrong.Add(invalid.Join("entered", i, "near"), "everybody in a result is among the players")
				break
			}
		}
	}
	return wrong.Err()
}

// Course is where a match that is counted stands, and its last event that stands, in words; empty where there is none.
// Names are those of its players. It returns invalid.Fields.
func (m Match) Course(names map[string]string) (s State, last string, err error) {
	steps, _, err := m.Rules.run(m.Players, m.Events)
	if err != nil {
		return s, "", err
	}
	n := len(steps)
	if n > 1 {
		last = m.Rules.InWords(steps[n-2].state, steps[n-1].event, names)
	}
	return steps[n-1].state.replayed(m.Rules), last, nil
}

// With is the match with more events; those that are there already change nothing. Events that make no sense where they
// stand are left out, with the reason. It returns invalid.Fields where none of them can be played.
func (m Match) With(events []Event) (Match, []LeftOut, error) {
	if m.Rules == nil {
		return m, nil, invalid.Fields{{Path: "events", Message: "only the result of this game was entered"}}
	}
	known := map[string]bool{}
	for _, e := range m.Events {
		known[e.ID] = true
	}
	before := len(m.Events)
	more := m
	more.Events = slices.Clone(m.Events)
	for _, e := range events {
		if known[e.ID] {
			continue
		}
		known[e.ID] = true
		// The clocks of two devices differ: what comes later happened later.
		if n := len(more.Events); n > 0 && !e.At.After(more.Events[n-1].At) {
			e.At = more.Events[n-1].At.Add(time.Millisecond)
		}
		more.Events = append(more.Events, e)
	}
	if len(more.Events) > mostEvents {
		return m, nil, invalid.Fields{{Path: "events", Message: fmt.Sprintf("a game has at most %d events", mostEvents)}}
	}
	_, out, err := m.Rules.Replay(m.Players, more.Events)
	if err != nil {
		return m, nil, err
	}
	left := []LeftOut{}
	for i := before; i < len(more.Events); {
		at := slices.IndexFunc(out, func(l LeftOut) bool { return l.ID == more.Events[i].ID })
		if at < 0 {
			i++
			continue
		}
		left = append(left, out[at])
		more.Events = slices.Delete(more.Events, i, i+1)
	}
	return more, left, nil
}

// Rounds are the results of a match so far, round by round.
func (m Match) Rounds() []Round {
	if m.Rules == nil {
		return m.Entered
	}
	s, _, err := m.Rules.Replay(m.Players, m.Events)
	if err != nil {
		return nil
	}
	return s.Played
}

// Results are what a match says about who is stronger: its rounds between two sides of students in which points were
// won.
func (m Match) Results() []ranking.Result {
	uneven := m.Rules != nil && m.Rules.End.Near != m.Rules.End.Far
	var list []ranking.Result
	for _, one := range m.Rounds() {
		if result := one.result(uneven); result.Check() == nil {
			list = append(list, result)
		}
	}
	return list
}

func (r Round) result(uneven bool) ranking.Result {
	return ranking.Result{Near: r.Near, Far: r.Far, NearPoints: r.NearPoints, FarPoints: r.FarPoints, Uneven: uneven}
}

// Can is what can be tapped for a side now.
type Can struct {
	Awards       []string `json:"awards" description:"Which awards, by their identifiers"`
	Restrictions []int    `json:"restrictions" description:"Which restrictions it has to keep to, from 0"`
	Measures     []string `json:"measures" description:"Which strokes can be counted, by their identifiers"`
}

// Can says what can be tapped for a side in a state.
func (r Rules) Can(s State, side Side) Can {
	c := Can{Awards: []string{}, Restrictions: []int{}, Measures: []string{}}
	if s.Over {
		return c
	}
	for _, a := range r.Awards {
		if r.refuseAward(s, Event{Award: a.ID, Side: side}) == nil {
			c.Awards = append(c.Awards, a.ID)
		}
	}
	for i, each := range r.Restrictions {
		if each.Who.is(side.index(), s.at) {
			c.Restrictions = append(c.Restrictions, i)
		}
	}
	players := r.students(s, side)
	for _, m := range r.Measures {
		if len(players) > 0 && r.refuseCount(s, Event{Measure: m.ID, Side: side, Player: players[0]}) == nil {
			c.Measures = append(c.Measures, m.ID)
		}
	}
	return c
}
