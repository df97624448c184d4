package playerfit_test

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// played is a drill of the library on a court of its sport, for one level and hand.
type played struct {
	drill drill.Document
	court court.ID
	level student.Level
	hand  student.Hand
}

// everywhere is the library × the courts of its sports × levels × hands.
func everywhere() (list []played) {
	for _, stored := range library.All() {
		for _, c := range sports.Courts() {
			if c.Sport != stored.Document.Sport {
				continue
			}
			for _, level := range student.LevelsFor(c.Sport) {
				for _, hand := range []student.Hand{student.RightHand, student.LeftHand} {
					list = append(list, played{stored.Document, c.ID, level, hand})
				}
			}
		}
	}
	return list
}

// set is the drill on its court, for its hand, and a player of an age that the case is given.
func (p played) set(t *testing.T, ages *rand.Rand) (drill.Document, footwork.Player) {
	t.Helper()
	d := p.drill
	if p.court != d.Court {
		moved, _, err := d.TransferTo(p.court, nil, nil, coach.Default().Tape())
		require.NoError(t, err)
		d = moved
	}
	age := footwork.Usual(p.level)
	if all := student.AgeBand("").Enum(); ages.IntN(2) == 0 {
		age, _ = all[ages.IntN(len(all))].(student.AgeBand)
	}
	return d.For(p.hand), footwork.For(d.Sport, age, p.level, p.hand, student.TwoHanded)
}

// ordered says whether a drill brings the same balls at every gap.
func ordered(d drill.Document) bool {
	return d.Pattern.Rally == nil && !d.Pattern.OneBall() && d.Pattern.Ends != feed.ByTheClock &&
		len(d.Pattern.Repeats) == 0 && !d.Pattern.Varies()
}

// R1: from the fastest gap that can be kept up turn after turn, a longer one never worsens a verdict, so that there are
// no holes, and never lowers the chance to make any ball.
func TestALongerGapIsNeverHarder(t *testing.T) {
	t.Parallel()
	ages, balls := rand.New(rand.NewPCG(long.Seed(), 1)), 0 //nolint:gosec // to choose by
	for _, p := range long.Some(t, everywhere(), 60) {
		d, player := p.set(t, ages)
		if !ordered(d) || d.Check() != nil { // a place may lie beyond a smaller court's run-off
			continue
		}
		first, err := simulation.Run(t.Context(), d, player, coach.Default())
		require.NoError(t, err)
		if len(first.Fastest) < 3 || first.Fastest[2].Gap == nil || *first.Fastest[2].Gap <= 0.5 {
			continue
		}
		var last []playerfit.Ball
		var before footwork.Timeline
		for _, longer := range []float64{1, 1.03, 1.07, 1.12, 1.2, 1.35, 1.6, 2, 2.6} {
			slower := timed(d, *first.Fastest[2].Gap*longer/d.Pattern.Gap)
			if slower.Check() != nil {
				break
			}
			measures, line := ballsOf(t, slower, player, p.level, coach.Default())
			var now []playerfit.Ball
			for _, m := range measures {
				now = append(now, m...)
			}
			for i, ball := range last {
				balls++
				require.GreaterOrEqual(t, now[i].Chance, ball.Chance-1e-6, "%s, %s, %s: ball %d of %d at × %g",
					d.Name, p.court, p.level, ball.Task+1, ball.Sequence+1, longer)
			}
			for i, m := range before.Interceptions {
				require.False(t, line.Interceptions[i].Verdict.Worse(m.Verdict), "%s, %s, %s: ball %d at × %g",
					d.Name, p.court, p.level, i+1, longer)
			}
			last, before = now, line
		}
	}
	require.Greater(t, balls, 30)
}

// R29 and R2: made ≤ hit ≤ reached; a ball is reached as often as its run says, and one that is out of reach never.
func TestWhatIsShownOfABallIsWhatItIsJudgedBy(t *testing.T) {
	t.Parallel()
	ages, out, balls := rand.New(rand.NewPCG(long.Seed(), 2)), 0, 0 //nolint:gosec // to choose by
	for _, p := range long.Some(t, everywhere(), 60) {
		d, player := p.set(t, ages)
		for _, share := range []float64{0.4, 0.7, 1, 1.5} {
			at := timed(d, share)
			if at.Check() != nil { // also where a place lies beyond a smaller court's run-off
				continue
			}
			measures, line := ballsOf(t, at, player, p.level, coach.Default())
			reached := map[[2]int][]float64{}
			for _, m := range line.Interceptions {
				reached[[2]int{m.Sequence, m.Task}] = append(reached[[2]int{m.Sequence, m.Task}], m.Chance)
				if m.Verdict == footwork.OutOfReach {
					out++
					require.Zero(t, m.Chance, "%s, %s", d.Name, p.level)
				}
			}
			for _, list := range measures {
				for _, b := range list {
					balls++
					require.LessOrEqual(t, b.Chance, b.Reach*b.In+1e-9, "%s, %s", d.Name, p.level)
					require.LessOrEqual(t, b.Reach, 1.0)
					require.Contains(t, reached[[2]int{b.Sequence, b.Task}], b.Reach, "%s, %s", d.Name, p.level)
				}
			}
		}
	}
	require.Greater(t, out, 5)
	require.Greater(t, balls, 100)
}

// R6: an obstacle never shortens the run to a ball. Who has to run round one may not get all the way back, or meet the
// next ball elsewhere: that is another run.
func TestAnObstacleNeverShortensARun(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(long.Seed(), 3)) //nolint:gosec // to choose by
	longer := 0
	for _, p := range long.Some(t, everywhere(), 60) {
		d, player := p.set(t, random)
		if d.Pattern.Rally != nil || d.Check() != nil {
			continue
		}
		free, err := simulation.Run(t.Context(), d, player, coach.Default())
		require.NoError(t, err)
		for range 6 {
			with := d.Clone()
			// It stands about where a run leads.
			run := free.Timeline.Interceptions[random.IntN(len(free.Timeline.Interceptions))]
			along := random.Float64()
			with.Places = append(with.Places, drill.Place{
				Kind: drill.Obstacle, Size: 0.3 + 0.7*random.Float64(),
				Mark: court.At(run.From.X+along*(run.Body.X-run.From.X)+random.NormFloat64(),
					run.From.Y+along*(run.Body.Y-run.From.Y)+random.NormFloat64()),
				Around: []drill.PassSide{"", drill.PassLeft, drill.PassRight}[random.IntN(3)],
			})
			if with.Check() != nil {
				continue
			}
			round, err := simulation.Run(t.Context(), with, player, coach.Default())
			require.NoError(t, err)
			for i, m := range round.Timeline.Interceptions {
				require.GreaterOrEqual(t, m.Metres, m.From.Distance(m.Body)-0.01)
				open := free.Timeline.Interceptions[i]
				// The way back is in the metres of the next ball: from where the last one was met to here.
				last, moved := m.Player, m.From.Distance(open.From) > 0.005 || m.Body.Distance(open.Body) > 0.005
				for k := i - 1; k >= 0 && last >= 0; k-- {
					if m := round.Timeline.Interceptions[k]; m.Player == last {
						moved = moved || m.Body.Distance(free.Timeline.Interceptions[k].Body) > 0.005
						last = -1
					}
				}
				if moved {
					continue
				}
				require.GreaterOrEqual(t, m.Metres, open.Metres-0.01, "%s, %s, ball %d", d.Name, p.level, i+1)
				if m.Metres > open.Metres+0.05 {
					longer++
				}
			}
		}
	}
	require.Positive(t, longer)
}

// R21: what a drill is called, and the ladder and the rung that a measure counts for, change no chance.
func TestNamesAndLaddersChangeNoChance(t *testing.T) {
	t.Parallel()
	for _, stored := range long.Some(t, library.All(), 20) {
		d := stored.Document
		player := d.PlayerFor(student.Club, student.RightHand)
		told, err := playerfit.Know(t.Context(), d, player, student.Club, coach.Default())
		require.NoError(t, err)
		for _, stroke := range []sports.Stroke{sports.Serve, sports.Lob, sports.ForehandVolley} {
			other := d.Clone()
			other.Name, other.Summary, other.Stroke, other.Rung = "Another", "", stroke, ladder.Pace
			for i := range other.Measures {
				other.Measures[i].Stroke, other.Measures[i].Rung = stroke, ladder.Pace
			}
			known, err := playerfit.Know(t.Context(), other, player, student.Club, coach.Default())
			require.NoError(t, err)
			require.Equal(t, told.Tried, known.Tried, "%s as %s", d.Name, stroke)
			require.InDelta(t, told.Stroke, known.Stroke, 0)
			for i, tried := range known.Tried {
				require.Equal(t, told.Tried[i].Attempt, tried.Attempt)
				if d.Measures[i].Counts.By != drill.ByMovement { // which has nothing but its ladder to go by
					require.Equal(t, told.Tried[i].Stroke, tried.Stroke)
				}
			}
		}
	}
}
