package library_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func TestLibrary(t *testing.T) {
	t.Parallel()
	names, ids, bySport := map[string]bool{}, map[string]bool{}, map[court.Sport]bool{}
	for _, stored := range library.All() {
		d := stored.Document
		t.Run(d.Name, func(t *testing.T) {
			require.NoError(t, d.Check())
			require.False(t, names[d.Name] || ids[stored.ID], "a name or an identifier is there twice")
			names[d.Name], ids[stored.ID], bySport[d.Sport] = true, true, true
			require.NotEmpty(t, d.Cues)
			require.Contains(t, sports.Of(d.Sport).Strokes, d.Stroke)
			for _, task := range d.Pattern.Tasks {
				require.Contains(t, sports.Of(d.Sport).Strokes, task.Stroke, "a stroke of the sport")
				require.Contains(t, append(sports.Of(d.Sport).Spins, ""), task.Spin, "a spin of the sport")
			}
			require.NotEmpty(t, d.Cautions)
			r, err := report.Of(d, 2, coach.Default())
			require.NoError(t, err)
			for _, m := range r.Measures {
				require.True(t, m.Target == nil || m.Target.Margin > 0)
			}
			for _, f := range r.Feeds {
				if d.Pattern.Tasks[f.Number-1].Served() {
					continue // it is tossed where the server stands
				}
				if player := d.Pattern.Tasks[f.Number-1].Player; player > 0 {
					require.Positive(t, f.Landing.Y*startOf(t, d, player).Y, "a player is played to on their own side")
					continue
				}
				require.Negative(t, f.Landing.Y, "fed balls land on the student's half")
				require.True(t, r.Court.Inside(f.Landing, d.Format), "a fed ball lands in")
				task := d.Pattern.Tasks[f.Number-1]
				require.True(
					t,
					f.From.Y > 0 || d.Pattern.Method == feed.SelfDrop || task.From != nil,
					"the feeder stands beyond the net, or where the ball says",
				)
			}
			for _, each := range r.Metrics {
				require.NotEmpty(t, each.Derivation.Sums, each.Name)
				require.NotEmpty(t, each.Derivation.Source, each.Name)
			}
		})
	}
	require.GreaterOrEqual(t, len(names), 20)
	require.Len(t, bySport, len(sports.All()))
}

// startOf is where a player of a drill starts, from 0.
func startOf(t *testing.T, d drill.Document, player int) court.Point {
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	starts := slices.DeleteFunc(slices.Clone(d.Places), func(p drill.Place) bool { return p.Kind != drill.Start })
	at, err := c.Resolve(starts[player].Mark)
	require.NoError(t, err)
	return at
}

// TestEveryVerdictOfTheLibrary works every built-in drill out for the level it is written for. The list is what the
// model finds with the profiles as they are, all balls of a drill that is not in it being easy; a ball out of reach is
// there only where it is meant.
func TestEveryVerdictOfTheLibrary(t *testing.T) {
	t.Parallel()
	const easy, working, stretched = footwork.Easy, footwork.Working, footwork.Stretched
	want := map[string][]footwork.Verdict{
		"Coin in the Corner": {
			working,
			easy,
		},
		"In, Up and Over":    {easy, working, easy},
		"Three-Corner Round": {working, working, working},
		"First Answer":       {stretched},
		"Four Rungs In":      {easy, easy, easy, working, easy},
		"Corner Catch": {
			working,
			working,
			working,
			easy,
		},
		"Four and Out":      {working, working, working, working},
		"Safe Lane":         append([]footwork.Verdict{working}, slices.Repeat([]footwork.Verdict{easy}, 9)...),
		"Soft Landing":      {working, easy},
		"Cones on the Line": {working, easy},
		"The Tour": append(
			[]footwork.Verdict{easy, easy, easy, easy, working, easy, working, easy, stretched},
			easy,
			working,
			easy,
			easy,
			easy,
		),
		"Fast Feet, Then Go": {easy, easy, working, easy, easy, working},
		"Shuttle Rain": {
			working,
			working,
			working,
			easy,
		},
		"The Soft One In":    {easy, working},
		"Half a Step Closer": {working, working, working, easy},
		"Four Ways Back": {
			working,
			stretched,
			working,
			working,
		},
		"Three of Four":        {easy, working, working, stretched},
		"Smash and Close":      {easy, stretched, working},
		"Lob and Go":           {easy, working},
		"Three and One Over":   {working, working, easy},
		"Return, Then In":      {easy, working},
		"Shoulder to Shoulder": {working, working, working, working},
		"Two and One": {
			easy,
			working,
			easy,
		},
		"Short or High":     {easy, working, easy, stretched},
		"Keeper of the Net": {easy, stretched},
	}
	for _, stored := range library.All() {
		d := stored.Document
		p, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err, d.Name)
		require.Empty(t, p.Problems, d.Name)
		got := []footwork.Verdict{}
		for _, task := range p.Tasks {
			m := task.Met
			got = append(got, m.Verdict)
			require.True(t, m.Verdict != footwork.OutOfReach || m.Meant, "%s: %s", d.Name, task.Sentence)
			require.NotEmpty(t, task.Sentence)
			require.NotEmpty(t, task.Flight.Formula)
			require.NotEmpty(t, task.Running.Source)
		}
		if want[d.Name] == nil {
			want[d.Name] = slices.Repeat([]footwork.Verdict{easy}, len(got))
		}
		require.Equal(t, want[d.Name], got, d.Name)
		require.NotEmpty(t, p.Verdict)
		require.NotEmpty(t, p.Figures(d, 0, coach.Default()))
	}
}

// TestTheLibraryCoversTheTrade names the drill that stands for each fact of the trade that is not a scored game
// (common practice, no source, all of them), with what makes it that.
func TestTheLibraryCoversTheTrade(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		fact, drill string
		is          func(drill.Document) bool
	}{
		{"T1 the short-ball aim", "Coin in the Corner",
			func(d drill.Document) bool { return d.Main().Target.Radius == 4.5*units.Foot }},
		{"T2 the short-ball workload", "Forty and Four", func(d drill.Document) bool {
			return len(d.Measures) == 4 && d.Order == drill.GoalByGoal && d.Main().Goals.String() == "10 made in all, then "+
				"5 in a row"
		}},
		{"T3 the depth strip", "Last Stretch", func(d drill.Document) bool {
			return d.Main().Goals[0].Count == 25 && d.Main().Target.Depth == 4.5*units.Foot
		}},
		{"T4 the safe cross-court mark", "Safe Lane",
			func(d drill.Document) bool { return d.Pattern.Rally.Near == feed.CrossCourt }},
		{"T5 ten past the service line", "Ten Past", func(d drill.Document) bool {
			return d.Main().Goals[0].Count == 10 && d.Main().Target.Depth == 18*units.Foot
		}},
		{"T5 a hundred in", "A Hundred In", func(d drill.Document) bool { return d.Main().Goals[0].Count == 100 }},
		{"T6 on the rise", "Toe the Chalk", func(d drill.Document) bool { return d.Pattern.Tasks[2].Contact == feed.Rising }},
		{"T7 fourteen sets of two in a minute", "One, Two, Again", func(d drill.Document) bool {
			first := d.Main().Goals[0]
			return first.Count == 14 && first.Of == 2 && first.Minutes == 1 && len(d.Measures) == 3
		}},
		{"T8 rallies of about four", "Four and Out", func(d drill.Document) bool {
			return d.Main().Goals[0].From <= 4 &&
				d.Main().Goals[0].To < 20
		}},
		{"T9 at the table", "Forehand Diagonal", func(d drill.Document) bool { return d.Sport == court.TableTennis }},
		{"T10 the warm-up of two", "Net Alphabet", func(d drill.Document) bool { return load.Form(d) != nil }},
		{"T11 the tour of the regions", "The Tour", func(d drill.Document) bool {
			return len(d.Pattern.Repeats) == 7 && d.Pattern.Repeats[0].Seconds == 20
		}},
		{"T12 the volley ladder", "Four Rungs In", func(d drill.Document) bool {
			return d.Pattern.OneBall() && d.Pattern.BallsPerTurn() == 1 && d.Tried(d.Main()) == 35.0/2 &&
				len(d.Main().Goals[0].Stages) == 7
		}},
		{"T14 the line", "Two and Away", func(d drill.Document) bool { return len(d.Pattern.Tasks) == 2 }},
		{"T16 cones inside the zone", "Cones on the Line",
			func(d drill.Document) bool { return d.Main().Target.Mark.Measures[0].Distance == 6*units.Inch }},
		{"T18 the figure of eight", "Crossroads", func(d drill.Document) bool { return d.Main().Goals[0].From == 10 }},
		{"T22 the way in", "Three Doors In", func(d drill.Document) bool { return d.Pattern.Tasks[2].Stance == "closed" }},
		{"T23 the machine", "Metronome", func(d drill.Document) bool {
			return d.Pattern.Method == feed.Machine &&
				len(d.Pattern.Tasks) == 3
		}},
		{"T24 length round obstacles", "Round the Bollards", func(d drill.Document) bool { return d.Sport == court.Squash }},
		{"T24 with a volley", "Bollards and a Volley",
			func(d drill.Document) bool { return d.Pattern.Tasks[1].Stroke == sports.ForehandVolley }},
		{"T24 the player chooses", "Bollards, Your Choice", func(d drill.Document) bool {
			return d.Main().Counts.Choices &&
				d.Pattern.Order == feed.Drawn
		}},
		{"T25 shadows", "Shadow Six", func(d drill.Document) bool { return d.Pattern.Tasks[0].Kind == feed.ShadowTask }},
		{"T25 mirror a partner", "Two Shadows", func(d drill.Document) bool { return d.Pattern.Method == feed.Partner }},
		{"T25 quick feet", "Fast Feet, Then Go",
			func(d drill.Document) bool { return d.Pattern.Tasks[0].Kind == feed.TouchTask }},
		{"T25 every corner on the clock", "Round the Posts",
			func(d drill.Document) bool { return d.Main().Goals[0].Kind == score.WithinATime }},
		{"T25 thrown and caught", "Corner Catch",
			func(d drill.Document) bool { return d.Pattern.Tasks[0].Kind == feed.CatchTask }},
		{"T25 many shuttles", "Shuttle Rain", func(d drill.Document) bool { return len(d.Pattern.Tasks) == 4 }},
		{"four fingers, three, two", "Four, Three, Two", func(d drill.Document) bool {
			return len(d.Measures) == 3 && d.Order == drill.OneByOne && d.Main().Goals[0].Minutes == 1
		}},
		{"T26 the one-handed backhand", "Long Arm", func(d drill.Document) bool {
			return d.Pattern.Sequences >= 10 &&
				d.Pattern.TurnSeconds() <= 90
		}},
		{"T29 the day before", "Last Light", func(d drill.Document) bool { return d.Effort <= 4 }},
		{"T31 low balls", "Under the Bar", func(d drill.Document) bool { return d.Pattern.Tasks[0].Spin == sports.Slice }},
		{"T32 closing volleys", "Closing the Door", func(d drill.Document) bool {
			return d.Pattern.OneBall() &&
				d.Pattern.Repeats[0].Nearer > 0
		}},
		{"T33 two bounces", "Two Hops Beyond",
			func(d drill.Document) bool { return d.Main().Target.Kind == court.DoubleBounce }},
	} {
		t.Run(c.fact, func(t *testing.T) { require.True(t, c.is(sample.Drill(t, c.drill))) })
	}
}
