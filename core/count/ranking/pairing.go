package ranking

import (
	"cmp"
	"math"
	"math/bits"
	"slices"
)

// Match is two sides that could play, and how even it would be.
type Match struct {
	Near   []string `json:"near"`
	Far    []string `json:"far"`
	Chance float64  `json:"chance" description:"Of the near side, to win a point or a game"`
}

// match makes a match of two sides.
func (r Ranking) match(near, far []string) Match { return Match{near, far, r.Chance(near, far)} }

// sorted lists players from the strongest on; strangers are middling.
func (r Ranking) sorted(players []string) []string {
	list := slices.Clone(players)
	slices.SortStableFunc(list, func(a, b string) int { return cmp.Compare(r.side([]string{b}), r.side([]string{a})) })
	return list
}

// EvenMatches pairs players so that matches are as even as they can be: neighbours in strength, and of partners the
// strongest with the weakest of four neighbours. Who is left over waits: those who played most.
func (r Ranking) EvenMatches(players []string, partners bool) (matches []Match, waiting []string) {
	size := 2
	if partners {
		size = 4
	}
	matches, waiting = []Match{}, []string{}
	list := slices.Clone(players)
	for len(list)%size != 0 {
		most := 0
		for i, p := range list {
			if r.played(p) >= r.played(list[most]) {
				most = i
			}
		}
		waiting = append(waiting, list[most])
		list = slices.Delete(list, most, most+1)
	}
	list = r.sorted(list)
	for ; len(list) >= size; list = list[size:] {
		if partners {
			matches = append(matches, r.match([]string{list[0], list[3]}, []string{list[1], list[2]}))
		} else {
			matches = append(matches, r.match(list[:1:1], list[1:2:2]))
		}
	}
	return matches, waiting
}

func (r Ranking) played(player string) int {
	if i, ok := r.index[player]; ok {
		return r.Standings[i].Games
	}
	return 0
}

// Teams splits players into so many teams whose strengths are as equal as can be: two teams of up to eight by trying
// every split, else dealt out there and back from the strongest on, then improved by exchanging two at a time until
// none helps.
func (r Ranking) Teams(players []string, number int) [][]string {
	number = max(1, min(number, len(players)))
	if number == 2 && len(players) <= 16 {
		return r.halves(r.sorted(players))
	}
	teams := make([][]string, number)
	for i := range teams {
		teams[i] = []string{}
	}
	for i, p := range r.sorted(players) {
		to := i % (2 * number)
		if to >= number {
			to = 2*number - 1 - to
		}
		teams[to] = append(teams[to], p)
	}
	for best := r.unevenness(teams); ; {
		better := false
		for a := range teams {
			for b := range teams[:a] {
				for i := range teams[a] {
					for j := range teams[b] {
						teams[a][i], teams[b][j] = teams[b][j], teams[a][i]
						if now := r.unevenness(teams); now < best-1e-12 {
							best, better = now, true
							continue
						}
						teams[a][i], teams[b][j] = teams[b][j], teams[a][i]
					}
				}
			}
		}
		if !better {
			return teams
		}
	}
}

// halves is the most equal split into two teams, of an odd number with one more in the first.
func (r Ranking) halves(players []string) [][]string {
	n := len(players)
	total := r.side(players) * float64(n)
	strength := make([]float64, n)
	for i, p := range players {
		strength[i] = r.side([]string{p})
	}
	best, chosen := math.Inf(1), uint(0)
	size := (n + 1) / 2
	for mask := range uint(1) << n {
		if bits.OnesCount(mask) != size {
			continue
		}
		sum := 0.0
		for i, s := range strength {
			if mask>>i&1 == 1 {
				sum += s
			}
		}
		if off := math.Abs(sum/float64(size) - (total-sum)/float64(n-size)); off < best-1e-12 {
			best, chosen = off, mask
		}
	}
	teams := make([][]string, 2)
	for i, p := range players {
		to := 1
		if chosen>>i&1 == 1 {
			to = 0
		}
		teams[to] = append(teams[to], p)
	}
	return teams
}

// unevenness is how far apart the strongest and the weakest team are.
func (r Ranking) unevenness(teams [][]string) float64 {
	low, high := math.Inf(1), math.Inf(-1)
	for _, team := range teams {
		low, high = math.Min(low, r.side(team)), math.Max(high, r.side(team))
	}
	return high - low
}

// CourtResult is who won and who lost on one court.
type CourtResult struct {
	Winners []string `json:"winners" minItems:"1" maxItems:"2"`
	Losers  []string `json:"losers" minItems:"1" maxItems:"2"`
}

// UpAndDown says who plays on which court next, from the first court on: winners go one court up, losers one down; on
// the first court winners stay, on the last one losers do. Partners part: each plays with one of the two who come to
// the court.
func UpAndDown(courts []CourtResult) []Match {
	n := len(courts)
	next := make([]Match, n)
	for i := range courts {
		from, to := courts[max(0, i-1)].Losers, courts[min(n-1, i+1)].Winners // who comes down, and who comes up
		if i == 0 {
			from = courts[0].Winners
		}
		if i == n-1 {
			to = courts[n-1].Losers
		}
		next[i] = Match{Near: slices.Clone(from), Far: slices.Clone(to)}
		if len(from) == 2 && len(to) == 2 {
			next[i] = Match{Near: []string{from[0], to[0]}, Far: []string{from[1], to[1]}}
		}
	}
	return next
}
