package plan_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/internal/long"
	"hodometer/internal/pencil"
	"hodometer/internal/sample"
)

// R17 over the whole library, for one to eight players, any number of turns, both units and both hands: what the parts
// of a derivation print gives, joined as it says, the figure to the last digit; and the figure is that of the load.
func TestEveryFigureOfADrillAddsUp(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	evidence := make([]playerfit.Evidence, 8)
	for i, stored := range long.Some(t, library.All(), 60) {
		d := stored.Document
		s.Units = []units.System{units.Metres, units.Feet}[i%2]
		player := d.PlayerFor(d.Written(), student.Hand("").Enum()[i%2].(student.Hand))
		turn, err := simulation.Run(t.Context(), d, player, s)
		require.NoError(t, err)
		for n := range evidence {
			evidence[n] = playerfit.Evidence{Level: d.Written(), Skill: sample.Counted(12+n, 9)}
		}
		for people := 1; people <= 8; people++ {
			d.Turns = 1 + (people+i)%6
			of := fmt.Sprintf("%s, %d players, %d turns", d.Name, people, d.Turns)
			r, err := report.Of(d, people, s)
			require.NoError(t, err)
			figures := slices.Concat(r.Metrics, turn.Figures(d, r.Load.Waiting, s))
			if people%4 == 1 {
				fit, err := playerfit.For(t.Context(), d, turn, evidence, people, s)
				require.NoError(t, err)
				figures = append(figures, fit.Metrics...)
			}
			for _, m := range figures {
				pencil.Check(t, of, m.Derivation)
				require.NotEmpty(t, m.Derivation.Source, m.Name)
			}
			require.Equal(t, units.Clock(r.Load.Need), figure(t, r.Metrics, "Time"), of)
			require.Equal(t, fmt.Sprint(r.Load.Balls), figure(t, r.Metrics, units.Title(r.Load.Word)+" in all"), of)
			if carried := s.Container(d.Sport); r.Load.Baskets > 0 {
				require.Equal(t, fmt.Sprint(r.Load.Baskets), figure(t, r.Metrics, units.Title(carried.Many)+" fed"), of)
			}
		}
	}
}

// The same in lessons: of one to eight players at every drill of the library, and of many mixed ones.
func TestEveryFigureOfALessonAddsUp(t *testing.T) {
	t.Parallel()
	check := func(of string, d lesson.Document, in schedule.Inputs) {
		p := sample.Planned(t, d, in)
		for _, m := range p.Metrics {
			pencil.Check(t, of, m.Derivation)
		}
		require.Equal(t, units.Clock(p.Planned), figure(t, p.Metrics, "Planned"), of)
		require.Equal(t, fmt.Sprint(p.Balls), figure(t, p.Metrics, "Balls fed"), of)
		longest := 0.0
		for _, s := range p.Blocks {
			if s.Load != nil {
				longest = max(longest, s.Load.Waiting)
			}
			if s.Time.Figure == "" {
				continue
			}
			pencil.Check(t, of, s.Time)
			if s.Load != nil {
				require.Equal(t, units.Clock(s.SetUp+s.Work+s.PickUp)+" min", s.Time.Value, of)
			}
		}
		require.Equal(t, units.Decimal(longest, 0), figure(t, p.Metrics, "Longest wait"), of)
		table, list, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		sum := metric.Part{}
		for _, b := range p.Budgets {
			if b.Metres > sum.Number {
				way := table.Way(b, list, in)
				sum = way[len(way)-1].Gives
				require.InDelta(t, b.Metres, sum.Number, 1e-6, of)
				require.Equal(t, b.Ran, sum.Worded(), of)
			}
		}
	}
	for i, stored := range long.Some(t, library.All(), 40) {
		d, in := sample.Crowd(1 + i%8)
		in.Settings.Units = []units.System{units.Metres, units.Feet}[i%2]
		block := schedule.ForDrill("one", stored.Document, len(d.Students), d.Space, in.Settings)
		block.ID, block.Turns, block.Minutes = "only", 1+i%5, 7+float64(i%100)/100
		d.Blocks, in.Drills["one"] = []lesson.Block{block, block, block}, stored.Document
		d.Blocks[1].ID, d.Blocks[2].ID = "next", "last"
		require.NoError(t, in.Measure(t.Context(), d))
		check(stored.Document.Name, d, in)
	}
	for i := range 16 {
		d, in := sample.Mixed(i)
		require.NoError(t, in.Measure(t.Context(), d))
		check(fmt.Sprint("mixed ", i), d, in)
	}
}

// figure is one of the figures, as it is shown.
func figure(t *testing.T, list []metric.Metric, name string) string {
	t.Helper()
	for _, m := range list {
		if m.Name == name {
			return m.Text
		}
	}
	require.Fail(t, "there is no figure called so", name)
	return ""
}
