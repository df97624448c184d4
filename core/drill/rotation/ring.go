package rotation

import "slices"

// place is where a position of the ring is: a spot of a court, or on deck.
type place struct {
	court int // from 0
	spot  int // −1 on deck
}

// ring has everybody move one position on in every round. The coach stands in where just one is missing;
// where more are missing, spots stay empty in turn.
func (f Form) ring(people int) (seats func(round int) []Seat, cycle int) {
	spots := f.spots()
	courts := f.courts(people)
	ring := make([]int, people, max(people, len(spots)))
	for i := range ring {
		ring[i] = i
	}
	for missing := len(spots) - people; len(ring) < len(spots)*courts; {
		stand := nobody
		if missing == 1 {
			stand = Coach
		}
		ring = append(ring, stand)
	}
	n := len(ring)
	places := f.around(n, courts, len(spots))
	if f.Mix {
		places = reorder(places, order(groups(places, spots), n))
	}
	return func(round int) []Seat {
		at := make([]int, n) // who is at each position
		for i, person := range ring {
			at[(i+round)%n] = person
		}
		var list []Seat
		for i, person := range ring {
			if person == nobody {
				continue
			}
			here := (i + round) % n
			list = append(list, seat(here, person, places, spots, at))
		}
		return list
	}, period(places, spots)
}

// around puts the places of the courts along the ring, and behind each court, or behind each of its spots, its share of
// those who wait.
func (f Form) around(n, courts, spots int) []place {
	places := make([]place, 0, n)
	waiting, queues := n-courts*spots, courts
	if f.Queues {
		queues *= spots
	}
	for court := range courts {
		for spot := range spots {
			places = append(places, place{court: court, spot: spot})
			if !f.Queues && spot < spots-1 {
				continue
			}
			queue := court
			if f.Queues {
				queue = court*spots + spot
			}
			// As even along the ring as can be.
			for range (queue+1)*waiting/queues - queue*waiting/queues {
				places = append(places, place{court: court, spot: -1})
			}
		}
	}
	return places
}

// period is the shortest full cycle: after so many positions the ring comes to the same spots again, on
// whichever court.
func period(places []place, spots []Spot) int {
	same := func(a, b place) bool {
		return a.spot == b.spot || a.spot >= 0 && b.spot >= 0 && spots[a.spot] == spots[b.spot]
	}
	n := len(places)
	for c := 1; c < n; c++ {
		if n%c != 0 {
			continue
		}
		again := true
		for i := 0; i < n && again; i++ {
			again = same(places[i], places[(i+c)%n])
		}
		if again {
			return c
		}
	}
	return n
}

// seat is what the person at a position of the ring does.
func seat(here, person int, places []place, spots []Spot, at []int) Seat {
	s := Seat{Person: person, With: []int{}, Against: []int{}}
	p := places[here]
	if p.spot < 0 {
		s.Spot, s.Waits = Ready, true
		return s
	}
	spot := spots[p.spot]
	s.Spot, s.Side, s.Court, s.Feeds = spot.Name, spot.Side, p.court+1, spot.Feeds
	for other, q := range places {
		if other == here || q.spot < 0 || q.court != p.court || at[other] == nobody {
			continue
		}
		if spots[q.spot].Side == spot.Side {
			s.With = append(s.With, at[other])
		} else {
			s.Against = append(s.Against, at[other])
		}
	}
	slices.Sort(s.With)
	slices.Sort(s.Against)
	return s
}

// groups lists the positions whose people are partners, by court and side.
func groups(places []place, spots []Spot) [][]int {
	type team struct {
		court int
		side  string
	}
	var order []team
	members := map[team][]int{}
	for i, p := range places {
		if p.spot < 0 {
			continue
		}
		t := team{court: p.court, side: spots[p.spot].Side}
		if _, known := members[t]; !known {
			order = append(order, t)
		}
		members[t] = append(members[t], i)
	}
	var list [][]int
	for _, t := range order {
		list = append(list, members[t])
	}
	return list
}

// reorder puts the place of each position where the order wants it.
func reorder(places []place, order []int) []place {
	moved := make([]place, len(places))
	for from, to := range order {
		moved[to] = places[from]
	}
	return moved
}

// mixing looks for an order of the ring in which partners change most.
//
// Two positions at a distance d around a ring of n bring together, over one cycle, every two people at that
// distance once (twice where d is half the ring). So the positions of partners want distances that differ;
// where they can, everybody partners everybody equally often: a starter in the cyclic group (Anderson,
// Combinatorial Designs and Tournaments, 1997; from memory).
type mixing struct {
	n      int
	groups [][]int
	used   []bool
	to     []int // position of the ring for each old position
	counts []int // partnerships at each distance
	best   []int
	spread int // of the best
	fewest int // no order has less
	left   int // steps of the search
}

// maxMixing bounds the search; it is over long before for all groups of up to twelve in pairs.
const maxMixing = 200_000

// order returns the position of the ring for each position, so that partners change most.
func order(groups [][]int, n int) []int {
	m := mixing{
		n:      n,
		groups: groups,
		used:   make([]bool, n),
		to:     make([]int, n),
		counts: make([]int, n/2+1),
		spread: 1 << 30,
		left:   maxMixing,
	}
	encounters, pairs := 0, n*(n-1)/2
	for _, g := range groups {
		encounters += n * len(g) * (len(g) - 1) / 2
	}
	if pairs > 0 && encounters%pairs != 0 {
		m.fewest = 1
	}
	m.group(0, 0, 0)
	// Positions without partners take what is left, in order.
	taken, placed := make([]bool, n), make([]bool, n)
	for _, g := range groups {
		for _, from := range g {
			taken[m.best[from]], placed[from] = true, true
		}
	}
	free := 0
	for from := range n {
		if placed[from] {
			continue
		}
		for taken[free] {
			free++
		}
		m.best[from], taken[free] = free, true
	}
	return m.best
}

// group places the members of a group from the k-th on, at positions from a position on.
func (m *mixing) group(g, k, from int) {
	if m.left--; m.best != nil && (m.left < 0 || m.spread <= m.fewest) {
		return
	}
	if g == len(m.groups) {
		if s := m.unlike(); s < m.spread {
			m.spread, m.best = s, slices.Clone(m.to)
		}
		return
	}
	members := m.groups[g]
	if k == len(members) {
		next := 0
		if g+1 < len(m.groups) && len(m.groups[g+1]) == len(members) {
			next = m.to[members[0]] + 1 // groups of one size in rising order: the others are the same
		}
		m.group(g+1, 0, next)
		return
	}
	for at := from; at < m.n; at++ {
		if m.used[at] {
			continue
		}
		m.used[at], m.to[members[k]] = true, at
		m.count(members[:k], at, 1)
		m.group(g, k+1, at+1)
		m.count(members[:k], at, -1)
		m.used[at] = false
	}
}

// count adds the partnerships of one more member.
func (m *mixing) count(before []int, at, by int) {
	for _, b := range before {
		d := at - m.to[b]
		d = min(d, m.n-d)
		if 2*d == m.n {
			m.counts[d] += by
		}
		m.counts[d] += by
	}
}

// unlike is how much more often some are partners than others.
func (m *mixing) unlike() int {
	if m.n < 2 {
		return 0
	}
	return slices.Max(m.counts[1:]) - slices.Min(m.counts[1:])
}
