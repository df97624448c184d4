package family_test

import (
	"context"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/exchange/family"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func told(t *testing.T, change func(*family.Known)) family.Page {
	t.Helper()
	k := family.Known{
		Player: student.Profile{
			Name:      "Ada",
			Age:       student.Eleven,
			Sport:     court.Tennis,
			Level:     student.Club,
			Hand:      student.RightHand,
			Hurts:     "knee-secret",
			Note:      "note-secret",
			Objective: "objective-secret",
		},
		From:    "2026-01-01",
		To:      "2026-03-31",
		Came:    9,
		Of:      10,
		Minutes: 461,
		Strokes: []family.Worked{
			{
				Stroke: sports.Backhand,
				Made:   80,
				Balls:  100,
				Advice: progress.Advise(sample.Standing(ladder.Direction, 14, 6)),
			},
		},
		Met: []family.Met{
			{"Monday", "Corner", "6 in all"},
			{"Sunday", "Corner", "6 in all"},
			{"Sunday", "Line", "3 in a row"},
		},
	}
	if change != nil {
		change(&k)
	}
	p, err := family.Of(t.Context(), k)
	require.NoError(t, err)
	return p
}

// Worked by hand: 80 of 100 are 8 of 10; 461 minutes are 7 h 41 min. With 8 in 10, ten are made within 14 tosses with a
// chance of 0.870, within 13 of 0.747 (binomial: at least 10 of 13 and of 14), so that 14 are enough 4 times in 5.
func TestAPageSaysInPlainWordsWhatWasWorkedOn(t *testing.T) {
	p := told(t, nil)
	require.Equal(t, "At 9 of 10 lessons, 7 h 41 min on court.", p.There)
	require.Equal(t, []family.Stroke{
		{
			Name:   "backhand",
			Here:   ladder.Direction,
			Counts: "80 of 100 balls made, 8 of 10.",
			Next: "Next milestone: direction, sending it to a chosen side. It is reached when about 6.8 of 10 go " +
				"to a chosen side; now about 7.7 do.",
		},
	}, p.Strokes)
	require.Equal(t, []string{"Corner: 6 in all, 2 times, the last on Monday", "Line: 3 in a row, on Sunday"}, p.Met)
	require.Equal(
		t,
		"Backhand: until 10 are made. As it went on court, 14 tosses are enough 4 times in 5.",
		p.Practice[0].Lines[0],
	)
	require.Len(t, p.Care, 3, "somebody grown up is near")
	require.NotContains(t, fmt.Sprintf("%+v", p), "secret", "nothing private")
	require.Len(t, told(t, func(k *family.Known) { k.Player.Age = student.Adult }).Care, 2)
	require.Equal(t, "There was no lesson in this time.", told(t, func(k *family.Known) { k.Of, k.Came = 0, 0 }).There)
}

func TestTheNextMilestoneIsThatOfTheAdvice(t *testing.T) {
	next := func(made, missed int) string {
		return told(t, func(k *family.Known) {
			k.Strokes[0].Advice = progress.Advise(sample.Standing(ladder.Direction, made, missed))
		}).Strokes[0].Next
	}
	require.Contains(t, next(40, 2), "Direction is reached")
	require.Contains(t, next(40, 2), "Next milestone: depth")
	require.Contains(t, next(4, 30), "Next milestone: consistency")
	require.Equal(t, "Next milestone: direction, sending it to a chosen side.", next(0, 0))
}

// A better player needs fewer tosses; one who made none is not told a number.
func TestABetterPlayerNeedsFewerTosses(t *testing.T) {
	last := 1000
	for made := 5; made <= 100; made += 5 {
		p := told(t, func(k *family.Known) { k.Strokes[0].Made = made })
		var stroke string
		var ten, tosses int
		_, err := fmt.Sscanf(
			p.Practice[0].Lines[0],
			"%s until %d are made. As it went on court, %d tosses",
			&stroke,
			&ten,
			&tosses,
		)
		require.NoError(t, err, p.Practice[0].Lines[0])
		require.LessOrEqual(t, tosses, last)
		require.GreaterOrEqual(t, tosses, 10)
		last = tosses
	}
	p := told(t, func(k *family.Known) { k.Strokes[0].Made = 0 })
	require.NotContains(t, fmt.Sprint(p.Practice), "tosses")
}

// Over the sports: what is practised alone is of the sport and needs nobody, and whose serves are limited gets none
// above the head.
func TestPracticeAloneNeedsNobody(t *testing.T) {
	byName := map[string]library.Stored{}
	for _, s := range library.All() {
		byName[s.Document.Name] = s
	}
	found := 0
	for _, sport := range []court.Sport{court.Tennis, court.Pickleball, court.Badminton, court.Squash, court.TableTennis} {
		for _, limit := range []*student.Limit{nil, {Of: student.Serves, Max: 20}} {
			p := told(t, func(k *family.Known) {
				k.Player.Sport, k.Player.Limit = sport, limit
				k.Strokes = []family.Worked{
					{Stroke: sports.Serve, Made: 3, Balls: 9, Advice: progress.Advise(sample.Standing(ladder.Direction, 0, 0))},
				}
			})
			for _, practice := range p.Practice {
				name, alone := strings.CutPrefix(practice.Name, "Alone: ")
				require.True(t, alone, "nobody tosses a serve")
				found++
				d := byName[name].Document
				require.Equal(t, sport, d.Sport)
				require.True(t, d.Alone())
				require.False(t, limit != nil && d.AboveHead())
			}
		}
	}
	require.Positive(t, found)
}

func TestAPageIsGivenUpWhenNobodyWaits(t *testing.T) {
	ctx, stop := context.WithCancel(t.Context())
	stop()
	_, err := family.Of(ctx, family.Known{Strokes: []family.Worked{{Stroke: sports.Backhand, Made: 1, Balls: 9}}})
	require.ErrorIs(t, err, context.Canceled)
}

// Nothing that is spared is set for home, whatever is spared in whatever sport, and nothing of it is told.
func TestWhatIsSparedIsNotSetForHome(t *testing.T) {
	drills := map[string]library.Stored{}
	for _, s := range library.All() {
		drills[s.Document.Name] = s
	}
	for _, each := range court.Sport("").Enum() {
		sport := each.(court.Sport)
		for _, each := range student.Strain("").Enum() {
			strain := each.(student.Strain)
			p := told(t, func(k *family.Known) {
				k.Player.Sport, k.Player.Sore = sport, []student.Sore{
					{Part: student.Wrist, Words: "wrist-secret", Rests: []student.Strain{strain}},
				}
				k.Strokes = nil
				for _, stroke := range sports.Of(sport).Strokes {
					k.Strokes = append(
						k.Strokes,
						family.Worked{
							Stroke: stroke, Made: 8, Balls: 10, Advice: progress.Advise(sample.Standing(ladder.Direction, 0, 0)),
						},
					)
				}
			})
			for _, practice := range p.Practice {
				name, alone := strings.CutPrefix(practice.Name, "Alone: ")
				if alone {
					require.NotContains(t, drills[name].Document.Strains(), strain, "%s, %s", sport, name)
				}
				if strain == student.Backhands {
					require.NotContains(t, strings.ToLower(fmt.Sprint(practice.Lines)), "backhand:", sport)
				}
				if strain == student.ServesAndOverheads {
					require.NotContains(t, strings.ToLower(practice.Name+fmt.Sprint(practice.Lines)), "serve", sport)
				}
			}
			require.NotContains(t, fmt.Sprintf("%+v", p), "secret")
		}
	}
}
