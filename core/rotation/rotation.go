// Package rotation says who is where, when, and how long they wait.
package rotation

// Swap is one stretch of time with the role everybody has in it.
type Swap struct {
	Start float64 `json:"start" description:"Seconds from the beginning of the block"`
	Seats []Seat  `json:"seats"`
}

// Seat is one person in one role. Person indexes the students of the lesson; −1 is the coach.
type Seat struct {
	Person int    `json:"person"`
	Role   string `json:"role"`
}

// Coach stands in where a pair lacks a partner.
const Coach = -1

// Ready is what a person without a partner does: wait on their toes and step in at the next swap.
const Ready = "on deck, feet moving"

// Swaps rotates people through roles, one role further every `every` seconds, for `total` seconds.
//
// A single student pairs with the coach. With more people than roles, further courts play the same
// roles side by side, and those left over are on deck for one stretch. Over one full cycle everybody
// has every seat equally often. It returns nothing when there are no people, no roles or no swaps.
func Swaps(people int, roles []string, every, total float64) []Swap {
	if people < 1 || len(roles) == 0 || every <= 0 || total <= 0 {
		return nil
	}
	ring := make([]int, people)
	for i := range ring {
		ring[i] = i
	}
	if people == 1 && len(roles) > 1 {
		ring = append(ring, Coach)
	}
	seats := seatRoles(len(ring), roles)
	var swaps []Swap
	for start := 0.0; start < total-1e-9; start += every {
		turn := len(swaps)
		swap := Swap{Start: start, Seats: make([]Seat, len(ring))}
		for i, person := range ring {
			swap.Seats[i] = Seat{Person: person, Role: seats[(i+turn)%len(seats)]}
		}
		swaps = append(swaps, swap)
	}
	return swaps
}

// seatRoles gives each of n seats a role: whole sets of roles, then on deck.
func seatRoles(n int, roles []string) []string {
	seats := make([]string, n)
	whole := n / len(roles) * len(roles)
	for i := range seats {
		seats[i] = Ready
		if i < whole {
			seats[i] = roles[i%len(roles)]
		}
	}
	return seats
}

// Waiting is how long a player stands in the line between two turns, in seconds, when people take
// turns of the given length with a change-over between them.
func Waiting(people int, turn, changeOver float64) float64 {
	if people < 2 {
		return changeOver
	}
	return float64(people-1)*turn + float64(people)*changeOver
}
