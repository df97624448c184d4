package game

import (
	"slices"

	"hodometer/core/basics/invalid"
)

// Coach is the identifier of the coach where one fills a place, CoachName what they are called.
const (
	Coach     = "coach"
	CoachName = "the coach"
)

// Start is the state in which a game begins. There have to be as many players as start places; more wait, and the coach
// can fill one. It returns invalid.Fields, told at "players".
func (r Rules) Start(players []string) (State, error) {
	var wrong invalid.Fields
	missing := r.Players() - len(players)
	switch {
	case missing > 1 || missing == 1 && !r.Coach:
		wrong.Add("players", "the game has %d start places, and %d are there", r.Players(), len(players))
	case missing < 0 && r.Rotation.Every == 0:
		wrong.Add(
			"players",
			"the game has %d start places and nobody changes, and %d are there: let places be changed after some rallies",
			r.Players(),
			len(players),
		)
	}
	for i, p := range players {
		if p == "" || p == Coach || slices.Index(players, p) < i {
			wrong.Add("players", "every player is there once")
		}
	}
	if wrong.Err() != nil {
		return State{}, wrong.Err()
	}
	s := State{
		at:       r.start(),
		players:  players,
		Rally:    1,
		Round:    1,
		Spots:    slices.Clone(players),
		Waiting:  []string{},
		Personal: []int{},
		Best:     []string{},
		Played:   []Round{},
		Counts:   []Count{},
		fresh:    true,
		next:     make([]int, 2),
	}
	if missing == 1 {
		s.Spots = append(s.Spots, Coach)
	} else {
		s.Spots, s.Waiting = s.Spots[:r.Players():r.Players()], slices.Clone(players[r.Players():])
	}
	if r.Score == EachTheirOwn {
		s.Personal = make([]int, len(players))
	}
	s.show(&r)
	return s, nil
}

// show brings what is told of a state up to its position.
func (s *State) show(r *Rules) {
	p := s.at
	both := func(n [2]int16) [2]int { return [2]int{int(n[0]), int(n[1])} }
	s.Points, s.Feeds, s.Wins, s.Net, s.Box = both(p.points), sideOf(int(p.feed)), both(p.wins), "", r.Feed.Box
	if p.net >= 0 {
		s.Net = sideOf(int(p.net))
	}
	if r.Feed.Box != "" && p.left != (r.Feed.Box == LeftBox) {
		s.Box = r.Feed.Box.Other()
	}
	s.Scored, s.Stand, s.Over, s.Ball = p.unscored == 0, r.fromWhereTheyStand(p), p.over, ""
	s.Winner = ""
	if p.over && p.winner >= 0 && r.Score == "" {
		s.Winner = sideOf(int(p.winner))
	}
	if r.Mini != nil {
		s.Ball = r.Mini.Balls[p.ball]
	}
	s.Feeder = ""
	if r.Feed.Kind != CoachFeeds {
		s.Feeder = s.Spots[s.feeding(r)]
	}
}

// feeding is the start place from which is fed.
func (s *State) feeding(r *Rules) int {
	if r.Feed.Changes == ByRota {
		return int(s.at.turn)
	}
	own := []int{}
	for i, spot := range r.Spots {
		if spot.Side.index() == int(s.at.feed) {
			own = append(own, i)
		}
	}
	if len(own) == 0 {
		return 0
	}
	return own[s.next[s.at.feed]%len(own)]
}

// Replay plays the events of a game in order. The same events give the same state however they came. Events that make
// no sense where they stand change nothing and are listed with the reason.
func (r Rules) Replay(players []string, events []Event) (State, []LeftOut, error) {
	steps, left, err := r.run(players, events)
	if err != nil {
		return State{}, nil, err
	}
	return steps[len(steps)-1].state.replayed(&r), left, nil
}

// replayed is a state with the rounds so far, and what was counted.
func (s State) replayed(r *Rules) State {
	s.Counts = s.counts.list(r, s.players)
	if s.began {
		s.Played = s.done.list(s.round)
	}
	return s
}

// step is an event that stands, and the state after it; the first one has no event.
type step struct {
	event Event
	state State
}

// run plays the events of a game in order and returns those that stand.
func (r *Rules) run(players []string, events []Event) ([]step, []LeftOut, error) {
	first, err := r.Start(players)
	if err != nil {
		return nil, nil, err
	}
	steps, undone, left := make([]step, 1, len(events)+1), []step{}, []LeftOut{}
	steps[0].state = first
	for _, e := range inOrder(events) {
		last := len(steps) - 1
		switch e.Kind {
		case Undo:
			if last == 0 {
				left = append(left, LeftOut{e.ID, "there is nothing to take back"})
				continue
			}
			steps, undone = steps[:last], append(undone, steps[last])
			continue
		case Redo:
			if len(undone) == 0 {
				left = append(left, LeftOut{e.ID, "nothing was taken back"})
				continue
			}
			steps, undone = append(steps, undone[len(undone)-1]), undone[:len(undone)-1]
			continue
		}
		next, err := r.Play(steps[last].state, e)
		if err != nil {
			left = append(left, LeftOut{e.ID, invalid.Sentence(err)})
			continue
		}
		steps, undone = append(steps, step{e, next}), undone[:0]
	}
	return steps, left, nil
}

// Play is the state after one more event that is neither Undo nor Redo. It returns invalid.Fields where the event makes
// no sense, and the state as it was.
func (r Rules) Play(s State, e Event) (State, error) {
	if err := r.refuse(s, e); err != nil {
		return s, err
	}
	side := e.Side.index()
	s.pending = slices.Clip(s.pending)
	switch e.Kind {
	case Won:
		return r.over(s, result{winner: side, points: points(side, r.Rally)}, ""), nil
	case Broke:
		return r.over(s, result{winner: 1 - side, points: points(1-side, r.Rally)}, ""), nil
	case Awarded:
		return r.award(r.countAward(s, e), e), nil
	case Fault:
		if r.Feed.Second && !s.Second {
			s.Second = true
			return s, nil
		}
		other := 1 - int(s.at.feed)
		return r.over(s, result{winner: other, points: points(other, r.Rally)}, ""), nil
	case Again:
		s.Second, s.pending, s.Bonus, s.counts = false, nil, [2]int{}, s.uncounted()
	case Counted:
		return r.count(s, e, r.measured(e.Measure), e.Right), nil
	case Chose:
		if e.Right {
			s.Choices[0]++
		} else {
			s.Choices[1]++
		}
	case TimeUp:
		s.at.over, s.at.winner = true, r.leader(s.at)
		s.pending, s.Bonus, s.Second = nil, [2]int{}, false
		s.show(&r)
		s.best(&r)
	}
	return s, nil
}

func points(side, n int) (both [2]int) {
	both[side] = n
	return both
}

// award plays something that is worth points of its own.
func (r *Rules) award(s State, e Event) State {
	a, side := r.Awards[r.awarded(e.Award)], e.Side.index()
	one := result{winner: side}
	switch a.Ends {
	case "":
		s.pending = append(s.pending, mark{side, a.Points, e.Player, r.awarded(e.Award)})
		s.Bonus[side] += a.Points
		return s
	case WinsGame:
		one.game = true
	case LosesIt:
		one.winner = 1 - side
		one.points[1-side] = r.Rally
	}
	one.points[side] += a.Points
	return r.over(s, one, e.Player)
}

// awarded is which award has an identifier; -1 for none.
func (r *Rules) awarded(id string) int {
	return slices.IndexFunc(r.Awards, func(a Award) bool { return a.ID == id })
}

// change moves everybody to their next places after a round.
func (s *State) change(r *Rules, winner int) {
	if r.Rotation.How == WinnersStay {
		s.Spots, s.Waiting = slices.Clone(s.Spots), slices.Clone(s.Waiting)
		for i, spot := range r.Spots {
			if spot.Side.index() != winner && len(s.Waiting) > 0 {
				s.Waiting = append(s.Waiting, s.Spots[i])
				s.Spots[i], s.Waiting = s.Waiting[0], s.Waiting[1:]
			}
		}
		return
	}
	all := slices.Concat(s.Spots, s.Waiting)
	n := len(all)
	moved := make([]string, n)
	for i, player := range all {
		to := (i + 1) % n
		if r.Rotation.How == OnToTheLeft {
			to = (i + n - 1) % n
		}
		moved[to] = player
	}
	s.Spots, s.Waiting = moved[:len(s.Spots):len(s.Spots)], moved[len(s.Spots):]
}
