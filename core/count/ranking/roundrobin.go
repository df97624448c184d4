package ranking

import (
	"cmp"
	"slices"

	"hodometer/core/basics/invalid"
)

// Fixture is one game of a round robin.
type Fixture struct {
	Near   []string `json:"near" description:"A player, or two partners"`
	Far    []string `json:"far"`
	Slot   int      `json:"slot" description:"When it is played, from 1: games of one slot are played at once"`
	Court  int      `json:"court" description:"From 1"`
	Minute float64  `json:"minute" description:"Minutes after the beginning"`
}

// RoundRobin lets all sides, players or pairs, play each other once on so many courts, with minutes for each game.
// Rounds are made by turning a circle; where there are too few courts for a round its games follow one another, and who
// has rested longest goes first. It returns invalid.Fields.
func RoundRobin(sides [][]string, courts int, minutes float64) ([]Fixture, error) {
	var wrong invalid.Fields
	if len(sides) < 2 || len(sides) > 40 {
		wrong.Add("players", "a round robin is for 2 to 40, and %d are there", len(sides))
	}
	names := slices.Concat(sides...)
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
	fixtures := timetable(circle(len(sides)), courts)
	list := make([]Fixture, len(fixtures))
	for i, f := range fixtures {
		list[i] = Fixture{
			Near:   sides[f.game[0]],
			Far:    sides[f.game[1]],
			Slot:   f.slot,
			Court:  f.court,
			Minute: float64(f.slot-1) * minutes,
		}
	}
	return list, nil
}

// circle lists who meets whom in a round robin of so many sides, round by round: one stays, the others move on by one
// place.
func circle(sides int) [][2]int {
	const nobody = -1 // who meets it has a rest
	ring := make([]int, 0, sides+1)
	for i := range sides {
		ring = append(ring, i)
	}
	if sides%2 == 1 {
		ring = append(ring, nobody)
	}
	n := len(ring)
	var games [][2]int
	for range n - 1 {
		for i := range n / 2 {
			if a, b := ring[i], ring[n-1-i]; a != nobody && b != nobody {
				games = append(games, [2]int{a, b})
			}
		}
		last := ring[n-1]
		copy(ring[2:], ring[1:n-1])
		ring[1] = last
	}
	return games
}

// slotted is a game with its place in a timetable.
type slotted struct {
	game        [2]int
	slot, court int
}

// timetable puts games into slots, so that nobody plays twice in one, as few slots as it finds: in each slot those go
// first whose players have rested longest.
func timetable(games [][2]int, courts int) []slotted {
	last, left := map[int]int{}, map[int]int{}
	for _, g := range games {
		left[g[0]]++
		left[g[1]]++
	}
	list := make([]slotted, 0, len(games))
	for slot := 1; len(games) > 0; slot++ {
		order := make([]int, len(games))
		for i := range order {
			order[i] = i
		}
		rest := func(i int) int { return slot - max(last[games[i][0]], last[games[i][1]]) }
		open := func(i int) int { return left[games[i][0]] + left[games[i][1]] }
		slices.SortStableFunc(
			order,
			func(a, b int) int { return cmp.Or(cmp.Compare(open(b), open(a)), cmp.Compare(rest(b), rest(a))) },
		)
		busy, taken := map[int]bool{}, map[int]bool{}
		for _, i := range order {
			g := games[i]
			if len(taken) == courts || busy[g[0]] || busy[g[1]] {
				continue
			}
			busy[g[0]], busy[g[1]], taken[i] = true, true, true
			list = append(list, slotted{g, slot, len(taken)})
		}
		var later [][2]int
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
	return list
}

// Line is one line of a table of results.
type Line struct {
	Names   []string `json:"names" description:"A player, or two partners"`
	Played  int      `json:"played"`
	Won     int      `json:"won"`
	Drawn   int      `json:"drawn"`
	Lost    int      `json:"lost"`
	For     int      `json:"for" description:"Points won"`
	Against int      `json:"against" description:"Points lost"`
	Place   int      `json:"place" description:"From 1; equals share one"`

	level int // half games won against those who have won as many
}

// halfPoints is what games count: two for one that was won, one for one that was drawn.
func (l Line) halfPoints() int { return 2*l.Won + l.Drawn }

// note adds a result of which a side won a share of the game.
func (l *Line) note(won float64, points, against int) {
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

// Table sorts all sides by games won, drawn ones as a half, then by what they won against those who have as many, then
// by the difference of points, then by points won. Who is equal in all of it shares a place. A player has what was won
// with any partner.
func Table(sides [][]string, results []Result) []Line {
	lines := make([]Line, len(sides))
	for i, side := range sides {
		lines[i].Names = side
	}
	// of lists the lines of which everybody is on a side of a result.
	of := func(side []string) (list []int) {
		for i, line := range lines {
			if !slices.ContainsFunc(line.Names, func(name string) bool { return !slices.Contains(side, name) }) {
				list = append(list, i)
			}
		}
		return list
	}
	for _, r := range results {
		for _, i := range of(r.Near) {
			lines[i].note(r.won(), r.NearPoints, r.FarPoints)
		}
		for _, i := range of(r.Far) {
			lines[i].note(1-r.won(), r.FarPoints, r.NearPoints)
		}
	}
	for _, r := range results {
		near, far := of(r.Near), of(r.Far)
		if len(near) == 1 && len(far) == 1 && lines[near[0]].halfPoints() == lines[far[0]].halfPoints() {
			lines[near[0]].level += int(2 * r.won())
			lines[far[0]].level += int(2 * (1 - r.won()))
		}
	}
	compare := func(a, b Line) int {
		return cmp.Or(
			cmp.Compare(b.halfPoints(), a.halfPoints()), cmp.Compare(b.level, a.level),
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
