package ranking

import (
	"cmp"
	"slices"

	"hodometer/core/invalid"
)

// Fixture is one game of a round robin.
type Fixture struct {
	Near   string  `json:"near"`
	Far    string  `json:"far"`
	Slot   int     `json:"slot" description:"When it is played, from 1: games of one slot are played at once"`
	Court  int     `json:"court" description:"From 1"`
	Minute float64 `json:"minute" description:"Minutes after the beginning"`
}

// RoundRobin lets everybody, a player or a pair by their name, play everybody else once on so many courts, with minutes for each game.
// Rounds are made by turning a circle; where there are too few courts for a round its games follow one another, and who has rested
// longest goes first. It returns invalid.Fields.
func RoundRobin(names []string, courts int, minutes float64) ([]Fixture, error) {
	var wrong invalid.Fields
	if len(names) < 2 || len(names) > 40 {
		wrong.Add("players", "a round robin is for 2 to 40, and %d are there", len(names))
	}
	for i, name := range names {
		if name == "" || slices.Index(names, name) < i {
			wrong.Add("players", "everybody is there once")
			break
		}
	}
	if courts < 1 || courts > 20 {
		wrong.Add("courts", "between 1 and 20 courts")
	}
	if !(minutes > 0 && minutes <= 240) {
		wrong.Add("minutes", "a game takes between 0 and 240 minutes")
	}
	if wrong.Err() != nil {
		return nil, wrong.Err()
	}
	return timetable(circle(names), courts, minutes), nil
}

// circle lists the pairs of a round robin, round by round: one stays, the others move on by one place.
func circle(names []string) [][2]string {
	ring := slices.Clone(names)
	if len(ring)%2 == 1 {
		ring = append(ring, "") // who meets it has a rest
	}
	n := len(ring)
	var games [][2]string
	for range n - 1 {
		for i := range n / 2 {
			if a, b := ring[i], ring[n-1-i]; a != "" && b != "" {
				games = append(games, [2]string{a, b})
			}
		}
		last := ring[n-1]
		copy(ring[2:], ring[1:n-1])
		ring[1] = last
	}
	return games
}

// timetable puts games into slots, so that nobody plays twice in one, as few slots as it finds: in each slot those go first whose
// players have rested longest.
func timetable(games [][2]string, courts int, minutes float64) []Fixture {
	last, left := map[string]int{}, map[string]int{}
	for _, g := range games {
		left[g[0]]++
		left[g[1]]++
	}
	fixtures := make([]Fixture, 0, len(games))
	for slot := 1; len(games) > 0; slot++ {
		order := make([]int, len(games))
		for i := range order {
			order[i] = i
		}
		rest := func(i int) int { return slot - max(last[games[i][0]], last[games[i][1]]) }
		open := func(i int) int { return left[games[i][0]] + left[games[i][1]] }
		slices.SortStableFunc(order, func(a, b int) int { return cmp.Or(cmp.Compare(open(b), open(a)), cmp.Compare(rest(b), rest(a))) })
		busy, taken := map[string]bool{}, map[int]bool{}
		for _, i := range order {
			g := games[i]
			if len(taken) == courts || busy[g[0]] || busy[g[1]] {
				continue
			}
			busy[g[0]], busy[g[1]], taken[i] = true, true, true
			fixtures = append(fixtures, Fixture{Near: g[0], Far: g[1], Slot: slot, Court: len(taken), Minute: float64(slot-1) * minutes})
		}
		var later [][2]string
		for i, g := range games {
			if !taken[i] {
				later = append(later, g)
				continue
			}
			last[g[0]], last[g[1]] = slot, slot
			left[g[0]]--
			left[g[1]]--
		}
		games = later
	}
	return fixtures
}

// Line is one line of a table of results.
type Line struct {
	Name    string `json:"name"`
	Played  int    `json:"played"`
	Won     int    `json:"won"`
	Drawn   int    `json:"drawn"`
	Lost    int    `json:"lost"`
	For     int    `json:"for" description:"Points won"`
	Against int    `json:"against" description:"Points lost"`
	Place   int    `json:"place" description:"From 1; equals share one"`
}

// Table sorts everybody by games won, drawn ones as a half, then by what they won against those who have as many, then by the
// difference of points, then by points won. Who is equal in all of it shares a place.
func Table(names []string, results []Result) []Line {
	lines := make([]Line, len(names))
	at := map[string]int{}
	for i, name := range names {
		lines[i].Name, at[name] = name, i
	}
	note := func(name string, won float64, points, against int) {
		i, ok := at[name]
		if !ok {
			return
		}
		l := &lines[i]
		l.Played++
		l.For += points
		l.Against += against
		switch won {
		case 1:
			l.Won++
		case 0:
			l.Lost++
		default:
			l.Drawn++
		}
	}
	for _, r := range results {
		for _, name := range r.Near {
			note(name, r.won(), r.NearPoints, r.FarPoints)
		}
		for _, name := range r.Far {
			note(name, 1-r.won(), r.FarPoints, r.NearPoints)
		}
	}
	halves := func(l Line) int { return 2*l.Won + l.Drawn }
	level := map[string]int{} // half games won against those who have as many
	for _, r := range results {
		if len(r.Near) != 1 || len(r.Far) != 1 {
			continue
		}
		a, okA := at[r.Near[0]]
		b, okB := at[r.Far[0]]
		if okA && okB && halves(lines[a]) == halves(lines[b]) {
			level[r.Near[0]] += int(2 * r.won())
			level[r.Far[0]] += int(2 * (1 - r.won()))
		}
	}
	compare := func(a, b Line) int {
		return cmp.Or(
			cmp.Compare(halves(b), halves(a)), cmp.Compare(level[b.Name], level[a.Name]),
			cmp.Compare(b.For-b.Against, a.For-a.Against), cmp.Compare(b.For, a.For),
		)
	}
	slices.SortStableFunc(lines, compare)
	for i := range lines {
		lines[i].Place = i + 1
		if i > 0 && compare(lines[i-1], lines[i]) == 0 {
			lines[i].Place = lines[i-1].Place
		}
	}
	return lines
}
