package template_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func TestTemplatesFillThemselves(t *testing.T) {
	fresh := make([]string, 20)
	for i := range fresh {
		fresh[i] = fmt.Sprint("f", i)
	}
	for _, shape := range template.Templates() {
		sport, level := court.Tennis, student.Club
		if shape.Sport != "" {
			sport = shape.Sport
		}
		for n := shape.MinPlayers; n <= shape.MaxPlayers; n++ {
			t.Run(fmt.Sprint(shape.Name, " for ", n), func(t *testing.T) {
				d, in := sample.Crowd(n)
				in.Settings = coach.Default()
				d.Blocks, d.Minutes = nil, shape.Minutes
				for i := range in.People {
					in.People[i].Profile.Sport, in.People[i].Profile.Level, in.People[i].Profile.Age = sport, level, student.Adult
				}
				// A shorter booking has room for a part of it: that is planned, and what is left out is said.
				short := d
				short.Minutes = min(30, shape.Minutes)
				half, err := shape.Fill(t.Context(), short, nil, library.All(), fresh, in)
				require.NoError(t, err)
				require.True(t, half.Fits, fmt.Sprint(half.Sentences))
				require.LessOrEqual(t, sample.Minutes(half.Document), float64(short.Minutes)+0.05)
				require.NotEmpty(t, half.Document.Blocks)
				filled, err := shape.Fill(t.Context(), d, nil, library.All(), fresh, in)
				require.NoError(t, err)
				require.True(t, filled.Fits, fmt.Sprint(filled.Sentences))
				if len(half.Document.Blocks) < len(filled.Document.Blocks) {
					require.Contains(t, fmt.Sprint(half.Sentences), "have no room for it")
				}
				require.InDelta(t, shape.Minutes, sample.Minutes(filled.Document), 1.01, "only whole rotations may leave a minute")
				p := sample.Planned(t, filled.Document, in)
				for _, f := range p.Findings {
					require.NotEqual(t, finding.Problem, f.Severity, f.Reason)
				}
				for _, s := range p.Blocks {
					require.Less(t, s.Over, 1.0, s.Title)
				}
			})
		}
	}
}

func TestATemplateServesTheNextSteps(t *testing.T) {
	fresh := strings.Split("a b c d e f g h i j", " ")
	d, in := sample.Hour()
	d.Blocks = nil
	for i := range in.People {
		in.People[i].Profile.Sport, in.People[i].Profile.Level = court.Tennis, student.Club
	}
	pair, ok := template.FindTemplate("Hour for a pair")
	require.True(t, ok)
	needs := map[string][]catalogue.Need{
		"ada": {{Stroke: sports.Backhand, Rung: ladder.Depth}},
		"ben": {{Stroke: sports.ForehandVolley, Rung: ladder.Consistency}},
	}
	filled, err := pair.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.NoError(t, err)
	require.Contains(t, fmt.Sprint(filled.Sentences), "backhand, depth, the next step of Ada.")
	require.Contains(t, fmt.Sprint(filled.Sentences), "forehand volley, consistency, the next step of Ben.")

	group, _ := template.FindTemplate("Group of six")
	_, err = group.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.ErrorContains(t, err, "Group of six is for 5 to 8 players; these are 2")
	table, _ := template.FindTemplate("Table session")
	_, err = table.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.ErrorContains(t, err, "most of these play tennis")
	// A sport without a drill in the library still gets its lesson.
	filled, err = pair.Fill(t.Context(), d, needs, nil, fresh, in)
	require.NoError(t, err)
	require.Contains(t, filled.Sentences[0].String(), "There is no drill for tennis")
	_, ok = template.FindTemplate("none")
	require.False(t, ok)
}

// Whatever one of a group is spared, no shape of a lesson asks them for it: not by its drills, not by its serving, not
// by what is called; nor does what is proposed for them alone.
func TestNoShapeAsksForWhatIsSpared(t *testing.T) {
	long.Skip(t)
	fresh := make([]string, 20)
	for i := range fresh {
		fresh[i] = fmt.Sprint("f", i)
	}
	for _, each := range court.Sport("").Enum() {
		sport := each.(court.Sport)
		for _, shape := range template.Templates() {
			if shape.Sport != "" && shape.Sport != sport {
				continue
			}
			for _, part := range []student.Part{student.Shoulder, student.Wrist, student.Knee, student.Ankle, student.Back} {
				for _, sore := range []int{1, shape.MinPlayers - 1, shape.MinPlayers} {
					d, in := sample.Crowd(shape.MinPlayers)
					in.Settings = coach.Default()
					d.Blocks, d.Minutes = nil, shape.Minutes
					for i := range in.People {
						in.People[i].Profile.Sport, in.People[i].Profile.Level, in.People[i].Profile.Age = sport, student.Club,
							student.Adult
						if i < sore {
							in.People[i].Profile.Sore = []student.Sore{{Part: part, Rests: part.Proposed()}}
						}
					}
					filled, err := shape.Fill(t.Context(), d, nil, library.All(), fresh, in)
					require.NoError(t, err)
					for _, s := range library.All() {
						in.Drills[s.ID] = s.Document
					}
					for _, l := range schedule.Prepare(filled.Document, in.Named()) {
						for _, p := range l.People {
							require.Empty(
								t,
								p.Profile.Spared(l.Asks(p)),
								"%s, %s, %s: %s asks %s %v",
								sport,
								shape.Name,
								part,
								l.Block.Title,
								p.Short,
								l.Block.Calls,
							)
						}
					}
				}
			}
		}
	}
}

// By hand: eight minutes of body warm-up are ten at 6 °C, six at 30 °C, and twelve at 6 °C with somebody of 60 and
// over; it is said, and the plan asks for no more than the shape gives.
func TestAWarmUpGoesByAirAndAge(t *testing.T) {
	fresh := strings.Split("a b c d e f g h i j", " ")
	hour, ok := template.FindTemplate("Private hour")
	require.True(t, ok)
	for _, c := range []struct {
		celsius, minutes float64
		age              student.AgeBand
		says             string
	}{
		{20, 8, student.Adult, ""},
		{6, 10, student.Adult, "2 min more in the cold (6 °C): common practice."},
		{30, 6, student.Eleven, "2 min less in the heat (30 °C): common practice."},
		{6, 12, student.Sixty, "4 min more in the cold (6 °C) and for players of 60 and over: common practice."},
	} {
		d, in := sample.Crowd(1)
		in.Settings = coach.Default()
		in.Settings.Air.Celsius = c.celsius
		d.Blocks, d.Minutes = nil, 75
		in.People[0].Profile.Sport, in.People[0].Profile.Level, in.People[0].Profile.Age = court.Tennis, student.Club, c.age
		filled, err := hour.Fill(t.Context(), d, nil, library.All(), fresh, in)
		require.NoError(t, err)
		require.InDelta(t, c.minutes, filled.Document.Blocks[0].Wanted, 1e-9)
		if c.says != "" {
			require.Contains(t, fmt.Sprint(filled.Sentences), c.says)
		}
		quick := strings.Contains(fmt.Sprint(filled.Document.Blocks[0].Calls), "short runs")
		require.Equal(t, c.age != student.Sixty, quick)
	}
}
