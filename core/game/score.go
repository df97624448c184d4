package game

import (
	"slices"
)

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
