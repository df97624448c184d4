package game

// position is where a game stands between two rallies, without who plays: from the same position every game goes on
// alike. Counters that a rule does not ask about stay 0, so that there are only as many positions as matter.
type position struct {
	points   [2]int16
	feed     int16 // the side that feeds
	fed      int16 // rallies since the feed passed on
	turn     int16 // the start place whose turn it is to feed
	left     bool  // of the middle; right where a box is said
	boxed    int16 // rallies since the box changed
	net      int16 // the side that holds it; -1 for none
	wins     [2]int16
	ball     int16    // of a little match that comes next
	inRound  int16    // rallies of the round
	round    [2]int16 // points of the round, where its winners stay
	restart  int16    // rallies since one began from where they stand
	rallies  int16    // scored
	rounds   int16    // scored
	unscored int16    // rallies that are still to be played without a score
	over     bool
	winner   int16 // 0 or 1; -1 for nobody
}

// result is what a rally came to: who won it and what both sides get for it.
type result struct {
	winner int
	points [2]int
	game   bool // it wins the game
}

// start is the position in which a game begins.
func (r *Rules) start() position {
	p := position{
		winner:   -1,
		left:     r.Feed.Box == LeftBox,
		net:      r.net(),
		unscored: int16(r.Unscored * r.round()), //nolint:gosec // a few rallies
		feed:     int16(r.Feed.First.index()),   //nolint:gosec // a few sides
	}
	for i, spot := range r.Spots {
		if spot.Side.index() == int(p.feed) {
			p.turn = int16(i) //nolint:gosec // of a dozen places
			break
		}
	}
	return p
}

// net is the side that holds the net at the start of a round; -1 for none.
func (r *Rules) net() int16 {
	switch r.After.Net {
	case Near:
		return 0
	case Far:
		return 1
	}
	return -1
}

// moved is a round that has ended: places are changed. Its winner is the side with more points in it, the near one of
// equals.
type moved struct {
	ended  bool
	winner int
}

// after is the position after a rally, and whether a round ended with it.
func (r *Rules) after(p position, one result) (position, moved) {
	if p.over {
		return p, moved{}
	}
	var m moved
	points, winner, whole := one.points, one.winner, true
	if r.Mini != nil {
		p.wins[winner]++
		p.ball++
		if whole = int(p.ball) == len(r.Mini.Balls); whole {
			winner = 0
			if p.wins[1] > p.wins[0] {
				winner = 1
			}
			if int(p.wins[winner]) == len(r.Mini.Balls) {
				points[winner] += r.Mini.Swept
			} else {
				points[winner] += r.Mini.Won
			}
			p.wins, p.ball = [2]int16{}, 0
		}
	}
	scored := p.unscored == 0
	r.score(&p, points, scored)
	if r.After.Net != "" {
		p.net = int16(one.winner) //nolint:gosec // 0 or 1
	}
	if whole {
		r.pass(&p, winner)
		m = r.turn(&p, scored)
	}
	r.finish(&p, one, scored)
	return p, m
}

// score adds points to both sides.
func (r *Rules) score(p *position, points [2]int, scored bool) {
	for i := range points {
		more := int16(points[i]) //nolint:gosec // the points of one rally
		if scored {
			p.points[i] += more
			if !r.BelowZero {
				p.points[i] = max(0, p.points[i])
			}
		}
		if r.Rotation.How == WinnersStay {
			p.round[i] += more
		}
	}
}

// pass hands the feed on after a rally, or after a little match.
func (r *Rules) pass(p *position, winner int) {
	switch r.Feed.Changes {
	case AfterRallies:
		if p.fed++; int(p.fed) >= r.Feed.Every {
			p.fed, p.feed = 0, 1-p.feed
		}
	case ToTheWinner:
		p.feed = int16(winner) //nolint:gosec // 0 or 1
	case ToTheLoser:
		p.feed = int16(1 - winner) //nolint:gosec // 0 or 1
	case ByRota:
		if p.fed++; int(p.fed) >= max(1, r.Feed.Every) {
			p.fed, p.turn = 0, (p.turn+1)%int16(len(r.Spots)) //nolint:gosec // a dozen places
			p.feed = int16(r.Spots[p.turn].Side.index())      //nolint:gosec // 0 or 1
		}
	}
	if r.Feed.BoxFor > 0 {
		if p.boxed++; int(p.boxed) >= r.Feed.BoxFor {
			p.boxed, p.left = 0, !p.left
		}
	}
	if r.After.Restart != "" && r.After.Every > 1 {
		p.restart = (p.restart + 1) % int16(r.After.Every) //nolint:gosec // at most 50
	}
}

// turn counts rallies and rounds.
func (r *Rules) turn(p *position, scored bool) (m moved) {
	if scored && r.End.Rallies > 0 {
		p.rallies++
	}
	p.unscored = max(0, p.unscored-1)
	if r.Rotation.Every == 0 {
		return m
	}
	if p.inRound++; int(p.inRound) < r.Rotation.Every {
		return m
	}
	m.ended = true
	if p.round[1] > p.round[0] {
		m.winner = 1
	}
	p.inRound, p.round, p.net = 0, [2]int16{}, r.net()
	if scored && r.End.Rounds > 0 {
		p.rounds++
	}
	return m
}

// finish ends a game whose end has come.
func (r *Rules) finish(p *position, one result, scored bool) {
	if !scored {
		return
	}
	if one.game {
		p.over, p.winner = true, int16(one.winner) //nolint:gosec // 0 or 1
		return
	}
	var reached [2]bool
	for i := range reached {
		target, own, other := r.End.target(sideOf(i)), int(p.points[i]), int(p.points[1-i])
		far := own-other >= r.End.ahead() || r.End.Cap > 0 && own >= r.End.Cap
		reached[i] = r.Score == "" && target > 0 && own >= target && (far || r.End.ahead() == 1)
	}
	switch {
	case reached[0] && reached[1]:
		p.over, p.winner = true, r.leader(*p)
		if p.winner < 0 {
			p.winner = int16(one.winner) //nolint:gosec // 0 or 1
		}
	case reached[0] || reached[1]:
		p.over, p.winner = true, 0
		if reached[1] {
			p.winner = 1
		}
	case r.End.Rallies > 0 && int(p.rallies) >= r.End.Rallies, r.End.Rounds > 0 && int(p.rounds) >= r.End.Rounds:
		p.over, p.winner = true, r.leader(*p)
	}
}

// leader is the side that is nearer to its target, else ahead; -1 for none.
func (r *Rules) leader(p position) int16 {
	near, far := int(p.points[0]), int(p.points[1])
	if r.End.Near > 0 && r.End.Far > 0 { // cross-multiplied, so that uneven targets compare
		near, far = near*r.End.Far, far*r.End.Near
	}
	switch {
	case near > far:
		return 0
	case far > near:
		return 1
	}
	return -1
}

// is says whether a side is the one that is meant.
func (w Whose) is(side int, p position) bool {
	switch w {
	case TheFeeding:
		return side == int(p.feed)
	case TheReceiving:
		return side != int(p.feed)
	case TheHolding:
		return int(p.net) == side
	case TheNear:
		return side == 0
	case TheFar:
		return side == 1
	}
	return true
}

// fromWhereTheyStand says whether the next rally begins from where the players stand.
func (r *Rules) fromWhereTheyStand(p position) bool {
	return r.After.Restart != "" && (r.After.Every <= 1 || int(p.restart) == r.After.Every-1)
}
