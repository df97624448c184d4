package schedule_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/internal/sample"
)

// TestGroupsKeepToTheCourtsThatAreBooked schedules every offered block for every size of group.
func TestGroupsKeepToTheCourtsThatAreBooked(t *testing.T) {
	for people := 2; people <= 12; people++ {
		for _, space := range []load.Space{{}, {Courts: 1}, {Courts: 2}, {Courts: 3}, {Half: true}} {
			d, in := sample.Crowd(people)
			d.Space, d.Blocks = space, append(lesson.Starters(""), lesson.More()...)
			for i := range d.Blocks {
				d.Blocks[i].ID = string(rune('a' + i))
			}
			booked := max(1, space.Courts)
			for _, s := range sample.Planned(t, d, in).Blocks {
				if s.Table == nil {
					continue
				}
				for _, round := range s.Table.Rounds {
					for _, seat := range round.Seats {
						most := booked
						switch {
						case space.Half:
							most = 1
						case s.Kind == lesson.Ball:
							most = 2 * booked // side by side, lengthwise
						}
						require.LessOrEqual(t, seat.Court, most, "%s for %d on %+v", s.Title, people, space)
						require.NotContains(t, seat.Where, fmt.Sprint("court ", booked+1))
					}
				}
			}
		}
	}
	// By hand: six on one court, everybody against everybody: two play, four wait.
	d, in := sample.Crowd(6)
	game := lesson.More()[1]
	game.ID = "game"
	d.Blocks = []lesson.Block{game}
	for _, round := range sample.Planned(t, d, in).Blocks[0].Table.Rounds {
		waits := 0
		for _, seat := range round.Seats {
			if seat.Waits {
				waits++
			}
		}
		require.Equal(t, 4, waits)
	}
	// The coach may still put three side by side; then it is parts of a court, and no courts that are not there.
	d.Blocks[0].Rotation.Courts = 3
	require.Equal(t, "part 3", lastWhere(sample.Planned(t, d, in).Blocks[0].Table.Rounds[0]))
	d.Space.Courts = 3
	require.Equal(t, "court 3", lastWhere(sample.Planned(t, d, in).Blocks[0].Table.Rounds[0]))
}

func lastWhere(round rotation.Round) string {
	last := rotation.Seat{}
	for _, seat := range round.Seats {
		if seat.Court > last.Court {
			last = seat
		}
	}
	return last.Where
}
