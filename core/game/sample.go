package game

import (
	"context"
	"fmt"
	"time"

	"hodometer/core/basics/seeded"
	"hodometer/core/basics/units"
)

// samples is how many games are played where they cannot be worked out.
const samples = 600

// sampled is a forecast from games that are played with seeded numbers: the same every time.
func (r Rules) sampled(ctx context.Context, c Chances, limit int) (Forecast, error) {
	var f Forecast
	for n := range samples {
		if err := ctx.Err(); err != nil {
			return f, err
		}
		steps, err := r.PlayedThrough(c, uint64(n+1), min(limit, longest))
		if err != nil {
			return f, err
		}
		last := steps[len(steps)-1].State
		rallies := last.Rally - 1
		if !last.Over && rallies < limit {
			f.open += 1.0 / samples
			continue
		}
		for len(f.over) < rallies {
			f.over = append(f.over, 0)
		}
		f.over[rallies-1] += 1.0 / samples
		f.Rallies += float64(rallies) / samples
		for i, own := range last.Points {
			f.Points[i] += float64(own) / samples
		}
		f.Nobody += 1.0 / samples // it is won by players, not by a side
	}
	return f, nil
}

// Step is one event of a game that is played through, in words, and the state after it.
type Step struct {
	Words string `json:"words" description:"Empty for the beginning"`
	State State  `json:"state"`
	Next  string `json:"next" description:"What happens next, in words"`
}

// firstServesOut is how many first serves are out in a game that is played through. Common practice, no source.
const firstServesOut = 0.35

// PlayedThrough plays a game by its chances, event by event, to its end or to so many rallies, with players who are
// called A, B, C … The same seed gives the same game. It returns the errors of Start.
func (r Rules) PlayedThrough(c Chances, seed uint64, limit int) ([]Step, error) {
	n := r.Players()
	if r.Rotation.How == WinnersStay {
		n++ // somebody waits
	}
	players := make([]string, n)
	for i := range players {
		players[i] = string(rune('A' + i))
	}
	s, err := r.Start(players)
	if err != nil {
		return nil, err
	}
	steps := []Step{{State: s, Next: r.Next(s, nil)}}
	draw := seeded.From(seed)
	for !s.Over && s.Rally <= limit {
		for _, e := range r.rally(s, c, draw) {
			e.ID, e.At, e.Rally = fmt.Sprintf("%05d", len(steps)), time.Time{}, s.Rally
			next, err := r.Play(s, e)
			if err != nil {
				continue // a bonus that does not count this time
			}
			words := r.InWords(s, e, nil)
			s = next
			steps = append(steps, Step{words, s, r.Next(s, nil)})
		}
	}
	return steps, nil
}

// rally is one rally by chances, as events.
func (r *Rules) rally(s State, c Chances, draw *seeded.Numbers) []Event {
	var events []Event
	if r.Feed.Second && draw.Share() < firstServesOut {
		events = append(events, Event{Kind: Fault})
	}
	winner := 1
	if draw.Share() < c.near(s.at.feed) {
		winner = 0
	}
	last, bare := Event{Kind: Won, Side: sideOf(winner)}, false
	at := draw.Share()
	for _, a := range r.Awards {
		by := winner
		if a.Ends == LosesIt {
			by = 1 - winner
		}
		if a.Ends == "" || !a.By.is(by, s.at) {
			continue
		}
		if at -= c.of(a, by); at < 0 {
			last, bare = Event{Kind: Awarded, Award: a.ID, Side: sideOf(by)}, a.NoBonus
			break
		}
	}
	for _, a := range r.Awards {
		for side := range 2 {
			if a.Ends == "" && a.By.is(side, s.at) && draw.Share() < c.of(a, side) && !bare {
				events = append(events, Event{Kind: Awarded, Award: a.ID, Side: sideOf(side)})
			}
		}
	}
	return append(events, last)
}

// InWords is an event in words, in the state in which it happens; names are those of the players.
func (r Rules) InWords(s State, e Event, names map[string]string) string {
	who := namesOf(r.sideOn(s, e.Side), names)
	if e.Player != "" {
		who = called(e.Player, names)
	}
	if who == "" {
		who = "the drill"
	}
	text := ""
	switch e.Kind {
	case Won:
		text = who + map[bool]string{true: " wins the rally", false: " win the rally"}[len(r.sideOn(s, e.Side)) < 2 ||
			e.Player != ""]
	case Awarded:
		text = who + ": " + r.Awards[r.awarded(e.Award)].Name
	case Broke:
		text = who + ": " + string(r.Restrictions[e.Restriction].Kind) + ", not kept"
	case Counted:
		text = fmt.Sprintf(
			"%s: %s %s",
			who,
			r.Measures[r.measured(e.Measure)].Name,
			map[bool]string{true: "made", false: "missed"}[e.Right],
		)
	case Fault:
		text = "serve out"
	case Again:
		text = "played again"
	case Chose:
		text = map[bool]string{true: "right choice", false: "wrong choice"}[e.Right]
	case TimeUp:
		text = "time is up"
	}
	return units.Title(text) + "."
}
