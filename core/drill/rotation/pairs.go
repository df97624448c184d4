package rotation

// everybody has everybody play everybody once: the circle method (Kirkman, Cambridge and Dublin
// Mathematical Journal 2 (1847) 191). One stays where they are and the others go around; with an odd number,
// the one without an opponent sits out. With fewer courts than matches a round is played in waves.
func (f Form) everybody(people int) (seats func(round int) []Seat, cycle int) {
	if people == 1 {
		return func(int) []Seat {
			return []Seat{
				{Person: 0, Spot: f.spots()[0].Name, Side: f.spots()[0].Side, Court: 1, With: []int{}, Against: []int{Coach}},
				{Person: Coach, Spot: f.spots()[1].Name, Side: f.spots()[1].Side, Court: 1, With: []int{}, Against: []int{0}},
			}
		}, 1
	}
	n := people + people%2
	courts := f.courts(people)
	waves := (people/2 + courts - 1) / courts
	return func(round int) []Seat {
		turn, wave := round/waves%(n-1), round%waves
		// Position 0 stays; the others turn by one.
		at := make([]int, n)
		for i := 1; i < n; i++ {
			at[i] = 1 + (i-1+turn)%(n-1)
		}
		list := make([]Seat, people)
		for i := range list {
			list[i] = Seat{Person: i, Spot: Ready, With: []int{}, Against: []int{}, Waits: true}
		}
		match := 0
		for i := range n / 2 {
			a, b := at[i], at[n-1-i]
			if a >= people || b >= people {
				continue
			}
			if match/courts == wave {
				if turn%2 == 1 {
					a, b = b, a // ends change
				}
				for end, person := range []int{a, b} {
					spot := f.spots()[end]
					list[person] = Seat{
						Person: person, Spot: spot.Name, Side: spot.Side, Court: match%courts + 1,
						With: []int{}, Against: []int{a + b - person},
					}
				}
			}
			match++
		}
		return list
	}, (n - 1) * waves
}

// stations has groups, as equal as can be, go from station to station.
func (f Form) stations(people int) (seats func(round int) []Seat, cycle int) {
	n := len(f.Spots)
	group := make([]int, people)
	for i := range group {
		group[i] = i * n / people
		if people < n {
			group[i] = i
		}
	}
	return func(round int) []Seat {
		list := make([]Seat, people)
		for i := range list {
			at := (group[i] + round) % n
			s := Seat{
				Person:  i,
				Spot:    f.Spots[at].Name,
				Side:    f.Spots[at].Side,
				Court:   at + 1,
				With:    []int{},
				Against: []int{},
				Feeds:   f.Spots[at].Feeds,
			}
			for j := range list {
				if j != i && group[j] == group[i] {
					s.With = append(s.With, j)
				}
			}
			list[i] = s
		}
		return list
	}, n
}
