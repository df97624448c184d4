package game

import (
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
)

// Coach is the identifier of the coach where one fills a place, CoachName what they are called.
const (
	Coach     = "coach"
	CoachName = "the coach"
)

// State is a game after its events so far.
type State struct {
	Points   [2]int   `json:"points" description:"Of the near and the far side"`
	Personal []int    `json:"personal" description:"By player, in the order of the players; empty where score is kept by side"`
	Rally    int      `json:"rally" description:"The rally that is played next or now, from 1"`
	Scored   bool     `json:"scored" description:"It counts"`
	Round    int      `json:"round" description:"Of the rotation, from 1"`
	Feeds    Side     `json:"feeds" description:"The side that serves or feeds"`
	Feeder   string   `json:"feeder" description:"Who does; empty where the coach feeds"`
	Second   bool     `json:"second" description:"It is a second serve"`
	Box      Box      `json:"box,omitempty" description:"From which side of the middle; empty: anywhere"`
	Net      Side     `json:"net,omitempty" description:"Which side holds the net; empty: nobody"`
	Stand    bool     `json:"stand" description:"The rally begins from where they stand"`
	Ball     string   `json:"ball" description:"Of a little match: how the rally begins"`
	Wins     [2]int   `json:"wins" description:"Rallies won in the little match"`
	Spots    []string `json:"spots" description:"Who is on which start place"`
	Waiting  []string `json:"waiting" description:"Who waits, in turn"`
	Bonus    [2]int   `json:"bonus" description:"Points for what was done in this rally, once it is over"`
	Choices  [2]int   `json:"choices" description:"Right and wrong choices so far"`
	Over     bool     `json:"over"`
	Winner   Side     `json:"winner,omitempty" description:"Of a game that is over; empty: nobody"`
	Best     []string `json:"best" description:"Of a game in which everybody has their own score and that is over: who has most"`
	Counts   []Count  `json:"counts" description:"After a replay: the strokes that are counted beside the score"`
	Played   []Round  `json:"played" description:"After a replay: the rounds so far that count, with what both sides won in them; one where places are never changed"`

	at      position
	players []string
	next    []int  // the place of each side’s next feeder, counted through its start places
	pending []mark // of this rally
	counts  *counted
	done    *rounds // that are over
	round   Round   // that is played
	began   bool    // it has points
	fresh   bool    // the next points are of a new round
}

// Round is what two sides won against each other before places were changed.
type Round struct {
	Near       []string `json:"near"`
	Far        []string `json:"far"`
	NearPoints int      `json:"nearPoints" minimum:"0" maximum:"9999"`
	FarPoints  int      `json:"farPoints" minimum:"0" maximum:"9999"`
	Slot       int      `json:"slot,omitempty" minimum:"0" maximum:"800" description:"Of which slot of a timetable; 0: of none"`
}

// rounds are those that are over, the last one first: states share them.
type rounds struct {
	before *rounds
	last   Round
}

// list has the rounds in the order in which they were played, and one more behind them.
func (r *rounds) list(more Round) []Round {
	list := []Round{more}
	for ; r != nil; r = r.before {
		list = append(list, r.last)
	}
	slices.Reverse(list)
	return list
}

// mark is what was done in a rally that is not over, for one player alone or for the side.
type mark struct {
	side, points int
	player       string
	award        int
}

// LeftOut is an event that changed nothing, and why.
type LeftOut struct {
	ID     string `json:"id"`
	Reason string `json:"reason"`
}

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

// over ends a rally. What the winning side gets by an award goes to one player alone, where one is named.
func (r *Rules) over(s State, one result, alone string) State {
	before := s.at
	shares := slices.Clone(s.pending)
	for side, n := range one.points {
		player := ""
		if side == one.winner {
			player = alone
		}
		shares = append(shares, mark{side: side, points: n, player: player})
	}
	for _, m := range s.pending {
		one.points[m.side] += m.points
	}
	var round moved
	s.at, round = r.after(before, one)
	s.Rally++
	s.Second, s.pending, s.Bonus = false, nil, [2]int{}
	if r.Score == EachTheirOwn && before.unscored == 0 {
		s.share(r, shares)
	}
	if before.unscored == 0 {
		s.note(r, int(s.at.points[0]-before.points[0]), int(s.at.points[1]-before.points[1]))
	}
	if r.Feed.Changes != ByRota && s.at.feed != before.feed {
		s.next = slices.Clone(s.next)
		s.next[before.feed]++
	}
	if round.ended && !s.at.over {
		s.Round++
		s.change(r, round.winner)
		s.fresh = true
	}
	s.best(r)
	s.show(r)
	return s
}

// note adds what a rally gave both sides to the round that is played.
func (s *State) note(r *Rules, near, far int) {
	if s.fresh {
		if s.began {
			s.done = &rounds{s.done, s.round}
		}
		s.round, s.fresh, s.began = Round{Near: []string{}, Far: []string{}}, false, true
		for i, spot := range r.Spots {
			side := &s.round.Near
			if spot.Side == Far {
				side = &s.round.Far
			}
			if s.Spots[i] != Coach {
				*side = append(*side, s.Spots[i])
			}
		}
	}
	s.round.NearPoints += near
	s.round.FarPoints += far
}

// share adds points to the players' own.
func (s *State) share(r *Rules, shares []mark) {
	s.Personal = slices.Clone(s.Personal)
	for _, m := range shares {
		for i, spot := range r.Spots {
			player := s.Spots[i]
			k := slices.Index(s.players, player)
			if k < 0 || spot.Side.index() != m.side || m.player != "" && m.player != player {
				continue
			}
			if s.Personal[k] += m.points; !r.BelowZero {
				s.Personal[k] = max(0, s.Personal[k])
			}
		}
	}
	for _, own := range s.Personal {
		if target := r.End.Near; target > 0 && own >= target {
			s.at.over = true
		}
	}
}

// best lists who has most points of their own once the game is over.
func (s *State) best(r *Rules) {
	if !s.at.over || r.Score != EachTheirOwn {
		return
	}
	most := slices.Max(s.Personal)
	s.Best = nil
	for i, own := range s.Personal {
		if own == most {
			s.Best = append(s.Best, s.players[i])
		}
	}
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

// refuse says why an event makes no sense in a state, by field.
func (r *Rules) refuse(s State, e Event) error {
	var wrong invalid.Fields
	sided := e.Kind == Won || e.Kind == Awarded || e.Kind == Broke || e.Kind == Counted
	switch {
	case s.Over:
		wrong.Add("kind", "the game is over; take its end back first")
	case e.Kind == Undo || e.Kind == Redo:
		wrong.Add("kind", "taking back needs all the events of the game")
	case e.Rally < s.Rally:
		wrong.Add("rally", "rally %d has a winner already", e.Rally)
	case e.Rally > s.Rally:
		wrong.Add("rally", "rally %d is not over yet", s.Rally)
	case sided && e.Side != Near && e.Side != Far:
		wrong.Add("side", "say which side it was")
	case e.Player != "" && !slices.Contains(s.players, e.Player):
		wrong.Add("player", "this player is not in the game")
	case e.Player != "" && sided && !s.on(r, e.Player, e.Side):
		wrong.Add("player", "this player is not on that side now")
	case e.Kind == Broke && (e.Restriction < 0 || e.Restriction >= len(r.Restrictions)):
		wrong.Add("restriction", "the game has no such restriction")
	case e.Kind == Broke && !r.Restrictions[e.Restriction].Who.is(e.Side.index(), s.at):
		wrong.Add("side", "it does not hold for that side now")
	case e.Kind == Fault && r.Feed.Kind != "":
		wrong.Add("kind", "this game begins without a serve; feed again")
	}
	if wrong.Err() == nil {
		switch e.Kind {
		case Awarded:
			wrong.Under("award", r.refuseAward(s, e))
		case Counted:
			wrong.Under("measure", r.refuseCount(s, e))
		}
	}
	return wrong.Err()
}

// refuseAward says why something cannot be awarded in a state.
func (r *Rules) refuseAward(s State, e Event) error {
	i := r.awarded(e.Award)
	if i < 0 {
		return fmt.Errorf("the game has nothing of that name")
	}
	a := r.Awards[i]
	switch {
	case !a.By.is(e.Side.index(), s.at):
		return fmt.Errorf("“%s” is only for %s", a.Name, a.By)
	case a.NotOnSecond && s.Second:
		return fmt.Errorf("“%s” does not count after a second serve", a.Name)
	case a.Shot > 0 && a.Ends == "" && slices.ContainsFunc(s.pending,
		func(m mark) bool { return m.award == i && m.side == e.Side.index() }):
		return fmt.Errorf("“%s” counts once in a rally", a.Name)
	case a.NoBonus && len(s.pending) > 0:
		return fmt.Errorf("nothing else counts in a rally that ends so; take it back first")
	}
	return nil
}

// on says whether a player is on a side now.
func (s State) on(r *Rules, player string, side Side) bool {
	i := slices.Index(s.Spots, player)
	return i >= 0 && r.Spots[i].Side == side
}
