package game

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Measure is a stroke that is counted beside the score, made or missed, so that it can be set against the same stroke
// in drills. It gives no points.
type Measure struct {
	ID     string        `json:"id" minLength:"1" maxLength:"24" description:"Stays, however it is called"`
	Name   string        `json:"name" minLength:"1" maxLength:"60" description:"As its buttons say it"`
	Stroke sports.Stroke `json:"stroke" description:"Which stroke it is"`
	By     Whose         `json:"by,omitempty" description:"Who plays it; empty: both sides"`
	Shot   int           `json:"shot,omitempty" minimum:"0" maximum:"9" description:"With which stroke of the rally, from 1 for the serve or the feed, so that it is counted once in a rally; 0: with any"`
	Award  string        `json:"award,omitempty" maxLength:"24" description:"What is worth points and says that it was made, so that one tap does both"`
}

// Count is how often a player has made and missed a measure in a game.
type Count struct {
	Measure string        `json:"measure" description:"Which one, by its identifier"`
	Stroke  sports.Stroke `json:"stroke"`
	Player  string        `json:"player"`
	Made    int           `json:"made"`
	Missed  int           `json:"missed"`
}

// counted is one stroke that was counted, the last one first: states share them.
type counted struct {
	before  *counted
	measure int
	player  string
	made    bool
	rally   int
}

// list adds up what was counted, by measure, then by player in their order.
func (c *counted) list(r *Rules, players []string) []Count {
	counts := []Count{}
	if c == nil {
		return counts
	}
	sums := make([]Count, len(r.Measures)*len(players))
	for ; c != nil; c = c.before {
		one := &sums[c.measure*len(players)+slices.Index(players, c.player)]
		if c.made {
			one.Made++
		} else {
			one.Missed++
		}
	}
	for i, one := range sums {
		if one.Made+one.Missed > 0 {
			m := r.Measures[i/len(players)]
			one.Measure, one.Stroke, one.Player = m.ID, m.Stroke, players[i%len(players)]
			counts = append(counts, one)
		}
	}
	return counts
}

// measured is which measure has an identifier; -1 for none.
func (r *Rules) measured(id string) int {
	return slices.IndexFunc(r.Measures, func(m Measure) bool { return m.ID == id })
}

// whose is the player of a side who did something: the one who is named, else who is there alone; false where it can be
// several or nobody.
func (r *Rules) whose(s State, e Event) (string, bool) {
	if e.Player != "" {
		return e.Player, true
	}
	players := r.students(s, e.Side)
	if len(players) != 1 {
		return "", false
	}
	return players[0], true
}

// students are the players of a side now, without the coach.
func (r *Rules) students(s State, side Side) []string {
	return slices.DeleteFunc(r.sideOn(s, side), func(player string) bool { return player == Coach })
}

// refuseCount says why a stroke cannot be counted in a state.
func (r *Rules) refuseCount(s State, e Event) error {
	i := r.measured(e.Measure)
	if i < 0 {
		return fmt.Errorf("the game counts nothing of that name")
	}
	m := r.Measures[i]
	if !m.By.is(e.Side.index(), s.at) {
		return fmt.Errorf("“%s” is only for %s", m.Name, m.By)
	}
	for c := s.counts; m.Shot > 0 && c != nil && c.rally == s.Rally; c = c.before {
		if c.measure == i {
			return fmt.Errorf("“%s” is counted in this rally already", m.Name)
		}
	}
	if len(r.students(s, e.Side)) == 0 {
		return fmt.Errorf("no student stands on the %s side", e.Side)
	}
	if _, ok := r.whose(s, e); !ok {
		return fmt.Errorf("say who played it")
	}
	return nil
}

// count notes a stroke that was made or missed.
func (r *Rules) count(s State, e Event, measure int, made bool) State {
	if player, ok := r.whose(s, e); ok {
		s.counts = &counted{s.counts, measure, player, made, s.Rally}
	}
	return s
}

// countAward notes the measures of which something that was awarded says that they were made.
func (r *Rules) countAward(s State, e Event) State {
	for i, m := range r.Measures {
		if e.Measure = m.ID; m.Award == e.Award && r.refuseCount(s, e) == nil {
			s = r.count(s, e, i, true)
		}
	}
	return s
}

// uncounted takes back what was counted in the rally that is played again.
func (s State) uncounted() *counted {
	c := s.counts
	for c != nil && c.rally == s.Rally {
		c = c.before
	}
	return c
}

func (r Rules) checkMeasures(wrong *invalid.Fields, sport court.Sport) {
	for i, m := range r.Measures {
		path := invalid.Join("measures", i)
		if strings.TrimSpace(m.Name) == "" {
			wrong.Add(path+".name", "give it the name that its buttons say")
		}
		if r.measured(m.ID) < i {
			wrong.Add(path+".id", "two have the same identifier")
		}
		if !slices.Contains(sports.Of(sport).Strokes, m.Stroke) {
			wrong.Add(path+".stroke", "choose a stroke of %s", sport)
		}
		if m.By == TheHolding && r.After.Net == "" {
			wrong.Add(path+".by", "nobody holds the net in this game")
		}
		if m.Award != "" && r.awarded(m.Award) < 0 {
			wrong.Add(path+".award", "the game has nothing of that name")
		}
	}
}

func (m Measure) inWords() string {
	who := string(m.By)
	if who == "" {
		who = "both sides"
	}
	text := fmt.Sprintf("“%s” by %s is counted beside the score: %s, made or missed", m.Name, who, m.Stroke)
	if m.Shot > 0 {
		text += fmt.Sprintf(", stroke %d of the rally", m.Shot)
	}
	return text + "."
}

// Counts are the strokes of a match that were counted beside its score, by measure and player; none where only results
// were entered.
func (m Match) Counts() []Count {
	if m.Rules == nil || len(m.Rules.Measures) == 0 {
		return []Count{}
	}
	s, _, err := m.Rules.Replay(m.Players, m.Events)
	if err != nil {
		return []Count{}
	}
	return s.Counts
}
