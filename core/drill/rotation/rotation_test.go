package rotation_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill/rotation"
	"hodometer/internal/long"
)

func named(names ...string) []rotation.Spot {
	spots := make([]rotation.Spot, len(names))
	for i, name := range names {
		spots[i] = rotation.Spot{Name: name}
	}
	return spots
}

// doubles are four spots on two sides.
func doubles() []rotation.Spot {
	return []rotation.Spot{
		{Name: "near left", Side: "near"},
		{Name: "near right", Side: "near"},
		{Name: "far left", Side: "far"},
		{Name: "far right", Side: "far"},
	}
}

func spotOf(t rotation.Table, round, person int) string {
	for _, s := range t.Rounds[round].Seats {
		if s.Person == person {
			return s.Spot
		}
	}
	return ""
}

func TestRolesSwapByTheMinute(t *testing.T) {
	form := rotation.Form{
		Kind:  rotation.Roles,
		Spots: []rotation.Spot{{Name: "volleys"}, {Name: "feeds", Feeds: true}},
		Every: 1,
	}

	// Common practice, no source (T10): two players, ten minutes, roles swapped every minute.
	two := form.Table(2, 600, 3)
	require.Len(t, two.Rounds, 10)
	require.Equal(t, 2, two.Cycle)
	require.Equal(t, "volleys", spotOf(two, 0, 0))
	require.Equal(t, "feeds", spotOf(two, 1, 0))
	require.Equal(t, []int{1}, two.Rounds[0].Seats[0].With)
	require.Equal(t, 100, two.People[0].Balls, "five minutes of volleys, a ball every three seconds")
	require.True(t, two.Even)
	require.Equal(
		t,
		"Everybody plays all of 10:00 min. 5 full cycles: everybody has every place equally often.",
		two.Sentence,
	)

	four := form.Table(4, 600, 3)
	require.Equal(t, 2, four.Cycle, "two pairs side by side are even as soon as one pair is")
	six := rotation.Form{Kind: rotation.Roles, Spots: form.Spots, Every: 1, Courts: 2}.Table(6, 180, 3)
	require.Equal(t, 3, six.Cycle, "two pairs, one on deck behind each: everybody plays, feeds and waits once")
	require.InDelta(t, 60, six.People[5].Waited, 1e-9)

	alone := form.Table(1, 120, 0)
	require.Equal(t, rotation.Coach, alone.Rounds[0].Seats[1].Person)
	require.Equal(t, []int{rotation.Coach}, alone.Rounds[0].Seats[0].With)

	three := form.Table(3, 180, 0)
	require.Equal(t, rotation.Ready, spotOf(three, 0, 2))
	require.InDelta(t, 60, three.People[1].Waited, 1e-9)
	require.Equal(
		t,
		"Everybody plays 2:00 min and waits 1:00 min. 1 full cycle: everybody has every place equally often.",
		three.Sentence,
	)
	require.Contains(t, form.Table(3, 120, 0).Sentence, "It comes out even after 3 rounds (3:00 min).")

	require.Empty(t, form.Table(0, 600, 0).Rounds)
	require.Empty(t, form.Table(2, 0, 0).Rounds)
}

func TestRolesSwapByACount(t *testing.T) {
	// Common practice, no source (T17): the feeder changes every four points; (T12): five volleys at each depth.
	points := rotation.Form{Kind: rotation.Roles, Spots: named("plays", "feeds"), Count: 4, Of: rotation.Points}
	require.InDelta(t, 80, points.Table(2, 400, 3).Rounds[1].Start, 1e-9)
	volleys := rotation.Form{
		Kind:  rotation.Spots,
		Spots: named("far back", "back", "middle", "close"),
		Count: 5,
		Of:    rotation.Balls,
	}
	require.InDelta(t, 12.5, volleys.Table(4, 100, 2.5).Rounds[1].Start, 1e-9)
}

func TestOneSpotToTheRight(t *testing.T) {
	// Common practice, no source (T13): everybody one spot to the right, the same side begins at the net.
	form := rotation.Form{Kind: rotation.Spots, Spots: doubles(), Every: 2, Courts: 1, Begins: rotation.SameSide}
	six := form.Table(6, 12*60, 0)
	require.Equal(t, 6, six.Cycle)
	require.Equal(
		t,
		[]string{"near left", "near right", "far left", "far right", rotation.Ready, rotation.Ready},
		[]string{
			spotOf(six, 0, 0),
			spotOf(six, 1, 0),
			spotOf(six, 2, 0),
			spotOf(six, 3, 0),
			spotOf(six, 4, 0),
			spotOf(six, 5, 0),
		},
	)
	require.Equal(t, []int{1}, six.Rounds[0].Seats[0].With)
	require.Equal(t, []int{2, 3}, six.Rounds[0].Seats[0].Against)
	require.Equal(t, "near", six.Rounds[3].Begins)
	form.Begins = rotation.TakeTurns
	require.Equal(t, "far", form.Table(6, 600, 0).Rounds[3].Begins)
	form.Begins = rotation.Winners
	require.Empty(t, form.Table(6, 600, 0).Rounds[3].Begins)
}

func TestTwoAgainstOne(t *testing.T) {
	form := rotation.Form{Kind: rotation.TwoToOne, Every: 3}
	three := form.Table(3, 540, 0)
	for person := range 3 {
		require.Contains(t, three.People[person].Had, rotation.Had{Spot: "the one", Times: 1})
	}
	require.Len(t, three.Rounds[0].Seats[0].Against, 2)
	require.Equal(t, rotation.Coach, form.Table(2, 540, 0).Rounds[0].Seats[2].Person, "the coach stands in for one")
}

func TestStations(t *testing.T) {
	form := rotation.Form{Kind: rotation.Stations, Spots: named("serve", "volley", "footwork"), Every: 5}
	eight := form.Table(8, 900, 0)
	require.Equal(t, 3, eight.Cycle)
	sizes := map[string]int{}
	for _, s := range eight.Rounds[0].Seats {
		sizes[s.Spot]++
	}
	require.Equal(t, map[string]int{"serve": 3, "volley": 3, "footwork": 2}, sizes)
}

// Everybody has every spot equally often, nobody is twice anywhere, and pairs meet once.
func TestEveryTableOfTwoToTwelveIsFair(t *testing.T) {
	for people := 2; people <= 12; people++ {
		for spots := 1; spots <= 8; spots++ {
			for _, mix := range []bool{false, true} {
				for _, kind := range []rotation.Kind{rotation.Roles, rotation.Spots, rotation.Stations, rotation.TwoToOne,
					rotation.Pairs} {
					form := rotation.Form{Kind: kind, Every: 1, Mix: mix, Courts: 1 + spots%3}
					for i := range spots {
						form.Spots = append(form.Spots, rotation.Spot{Name: fmt.Sprint("spot ", i), Side: fmt.Sprint(i / 2)})
					}
					t.Run(fmt.Sprint(kind, people, "x", spots, mix), func(t *testing.T) {
						cycle := form.Table(people, 60, 0).Cycle
						table := form.Table(people, float64(cycle*60), 0)
						require.Len(t, table.Rounds, cycle)
						fair(t, table, people, kind)
					})
				}
			}
		}
	}
}

func fair(t *testing.T, table rotation.Table, people int, kind rotation.Kind) {
	met := map[[2]int]int{}
	for _, round := range table.Rounds {
		here, taken := map[int]bool{}, map[string]bool{}
		for _, s := range round.Seats {
			if s.Person >= 0 {
				require.False(t, here[s.Person], "nobody is in two places at once")
				here[s.Person] = true
			}
			if !s.Waits && kind != rotation.Stations {
				spot := fmt.Sprint(s.Court, s.Spot)
				require.False(t, taken[spot], "no place holds two")
				taken[spot] = true
			}
			for _, other := range s.Against {
				met[[2]int{s.Person, other}]++
			}
		}
		require.Len(t, here, people, "everybody is somewhere")
	}
	for _, p := range table.People {
		require.InDelta(t, table.People[0].Played, p.Played, 1e-6)
		require.InDelta(t, table.People[0].Waited, p.Waited, 1e-6)
		if kind == rotation.Pairs {
			for other := range people {
				if other != p.Person {
					require.Equal(t, 1, met[[2]int{p.Person, other}], "each pair exactly once")
				}
			}
			continue
		}
		require.ElementsMatch(t, table.People[0].Had, p.Had)
	}
}

// unlike is how much more often the most frequent partners meet than the rarest, over one cycle.
func unlike(table rotation.Table) int {
	least, most := 1<<30, 0
	for _, p := range table.People {
		for other, n := range p.Partners {
			if other != p.Person {
				least, most = min(least, n), max(most, n)
			}
		}
	}
	return most - least
}

// With as many people as spots (or more), doubles mixed around a ring can be as even as the numbers allow: for an
// odd group everybody partners everybody equally often (the patterned starter); for an even one that fills
// all places some pairs must come twice. Which of these can be reached follows from adding up distances
// modulo the ring, worked out by hand.
func TestPartnersAreMixedAsEvenlyAsCanBe(t *testing.T) {
	for _, c := range []struct{ people, courts, unlike int }{
		{4, 1, 2}, // 1+1 or 2+2 are the only distances of two pairs on a ring of four
		{5, 1, 0},
		{8, 2, 1},
		{9, 2, 0},
		{10, 2, 1},
		{12, 3, 2}, // six pairs with the distances 1 to 6 add up to an odd number, the places to an even one
	} {
		t.Run(fmt.Sprint(c.people), func(t *testing.T) {
			form := rotation.Form{Kind: rotation.Spots, Spots: doubles(), Every: 1, Courts: c.courts, Mix: true}
			mixed := form.Table(c.people, float64(c.people*60), 0)
			require.Equal(t, c.unlike, unlike(mixed))
			form.Mix = false
			require.GreaterOrEqual(t, unlike(form.Table(c.people, float64(c.people*60), 0)), c.unlike)
		})
	}
}

func TestLine(t *testing.T) {
	// Four in a line, turns of 12 s and 3 s between them: three other turns and four changes.
	four := rotation.Line{People: 4, Lines: 1, Turn: 12, Between: 3}
	require.InDelta(t, 48, four.Waiting(), 1e-9)
	require.InDelta(t, 4, four.Rest(), 1e-9)
	require.InDelta(t, 3, rotation.Line{People: 1, Turn: 12, Between: 3}.Waiting(), 1e-9)
	require.Equal(t, 4, four.Largest(48))
	require.Equal(t, 3, four.Largest(47))
	require.Equal(t, 2, rotation.Line{People: 8, Turn: 12, Between: 3}.Split(48))
	long.Check(t, func(t *rapid.T) {
		l := rotation.Line{
			People:  rapid.IntRange(1, 12).Draw(t, "people"),
			Lines:   1,
			Turn:    rapid.Float64Range(1, 60).Draw(t, "turn"),
			Between: rapid.Float64Range(0, 20).Draw(t, "between"),
		}
		tolerable := rapid.Float64Range(21, 300).Draw(t, "tolerable")
		l.Lines = l.Split(tolerable)
		if l.Longest() > 1 {
			require.LessOrEqual(t, l.Waiting(), tolerable+1e-6)
		}
		if l.Lines > 1 {
			l.Lines--
			require.Greater(t, l.Waiting(), tolerable-1e-6, "fewer lines would do")
		}
	})
}

func TestCheckSaysWhatIsMissing(t *testing.T) {
	for _, c := range []struct {
		path string
		form rotation.Form
	}{
		{"spots", rotation.Form{Kind: rotation.Roles, Every: 1}},
		{"spots.1", rotation.Form{Kind: rotation.Spots, Every: 1, Spots: named("a", " ")}},
		{"every", rotation.Form{Kind: rotation.Pairs}},
		{"every", rotation.Form{Kind: rotation.Pairs, Every: 0.01}},
		{"of", rotation.Form{Kind: rotation.Pairs, Count: 4}},
	} {
		var fields invalid.Fields
		require.ErrorAs(t, c.form.Check(), &fields)
		require.Equal(t, c.path, fields[0].Path)
	}
	require.NoError(t, rotation.Form{Kind: rotation.Pairs, Every: 4}.Check())
	require.True(t, slices.Contains(rotation.Kind("").Enum(), any(rotation.Pairs)))
}

func BenchmarkTable12x8(b *testing.B) {
	form := rotation.Form{Kind: rotation.Spots, Every: 1, Mix: true, Courts: 1}
	for i := range 8 {
		form.Spots = append(form.Spots, rotation.Spot{Name: fmt.Sprint(i), Side: fmt.Sprint(i / 2)})
	}
	for b.Loop() {
		form.Table(12, 720, 3)
	}
}

// TestPlayingAndWaitingAddUp: three take turns at two spots in rounds of 2 min, and the last of 11:40 is cut off: 8:00,
// 7:40 and 7:40 of play are about 7:47, and 3:53 of waiting (by hand).
func TestPlayingAndWaitingAddUp(t *testing.T) {
	form := rotation.Form{Kind: rotation.Roles, Spots: named("plays", "feeds"), Every: 2}
	table := form.Table(3, 700, 2.5)
	require.Contains(t, table.Sentence, "Everybody plays about 7:47 min and waits about 3:53 min.")
	for _, p := range table.People {
		require.InDelta(t, 700, p.Played+p.Waited, 1e-9)
	}
	require.Contains(t, form.Table(3, 720, 2.5).Sentence, "Everybody plays 8:00 min and waits 4:00 min.")
}
