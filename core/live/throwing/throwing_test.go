package throwing_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/library"
	"hodometer/core/live/throwing"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func program(waits ...float64) *throwing.Program {
	p := throwing.Program{Name: "test"}
	for i, w := range waits {
		p.Balls = append(p.Balls, throwing.Ball{To: court.Point{X: float64(i), Y: -8}, Speed: 15, Wait: w})
	}
	return &p
}

func of(events []throwing.Event, kind throwing.EventKind) (list []throwing.Event) {
	for _, e := range events {
		if e.Event == kind {
			list = append(list, e)
		}
	}
	return list
}

// By hand: two balls, three and five seconds apart, from a hopper of five: at 0, 3, 8, 11 and 16 seconds, then it is
// empty.
func TestAProgramByHand(t *testing.T) {
	m := throwing.NewSimulatedMachine(throwing.Make{Hopper: 5})
	require.Equal(t, throwing.Refused, m.Do(throwing.Command{Do: throwing.Start}, 0)[0].Event)
	m.Do(throwing.Command{Do: throwing.Load, Program: program(3, 5)}, 0)
	require.True(t, m.Do(throwing.Command{Do: throwing.Start}, 0)[0].Running)
	var at []float64
	var said []throwing.Event
	for {
		due, ok := m.Due()
		if !ok {
			break
		}
		m.Do(throwing.Command{Do: throwing.Alive}, due)
		if thrown := m.Pass(due); len(thrown) > 0 {
			at, said = append(at, due), append(said, thrown...)
		}
	}
	require.Equal(t, []float64{0, 3, 8, 11, 16}, at)
	balls := of(said, throwing.Thrown)
	require.Len(t, balls, 5)
	require.Equal(
		t,
		[]int{1, 2, 1, 2, 1},
		[]int{balls[0].Ball, balls[1].Ball, balls[2].Ball, balls[3].Ball, balls[4].Ball},
	)
	require.Equal(t, 0, balls[4].Left)
	require.Len(t, of(said, throwing.Empty), 1)

	require.Equal(t, "the hopper is empty", m.Do(throwing.Command{Do: throwing.One}, 30)[0].Why)
	m.Do(throwing.Command{Do: throwing.Fill, Balls: 40}, 30)
	one := m.Do(throwing.Command{Do: throwing.One}, 30)
	require.Equal(t, 2, one[0].Ball, "it goes on where it was")
	require.Equal(t, "the last ball is still on its way", m.Do(throwing.Command{Do: throwing.One}, 30.1)[0].Why)
	m.Do(throwing.Command{Do: throwing.Gap, Times: 2}, 31)
	m.Do(throwing.Command{Do: throwing.Start}, 31)
	require.Len(t, of(m.Pass(31), throwing.Thrown), 1)
	due, _ := m.Due()
	require.InDelta(t, 37, due, 1e-9, "half as fast: six seconds instead of three")
	m.Do(throwing.Command{Do: throwing.Pause}, 32)
	require.Empty(t, m.Pass(1000))
}

// Whatever a machine is told, it throws no more balls than it has, none while it is paused, empty or jammed, none
// sooner than the shortest wait after the last one, and with jitter each within its share of the wait.
func TestAMachineKeepsWithinItself(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		made := throwing.Make{
			Hopper: rapid.IntRange(0, 60).Draw(t, "hopper"), Jitter: rapid.Float64Range(0, 0.5).Draw(t, "jitter"),
			Jams: rapid.SampledFrom([]float64{0, 0, 0.05, 1}).Draw(t, "jams"), Seed: rapid.Uint64().Draw(t, "seed"),
		}
		m := throwing.NewSimulatedMachine(made)
		filled, thrown, now, last := made.Hopper, 0, 0.0, math.Inf(-1)
		take := func(events []throwing.Event) {
			for range of(events, throwing.Thrown) {
				thrown++
			}
		}
		for range rapid.IntRange(1, 40).Draw(t, "steps") {
			c := throwing.Command{
				Do: rapid.SampledFrom([]throwing.CommandKind{throwing.Load, throwing.Start, throwing.Pause, throwing.One,
					throwing.Gap, throwing.Fill, throwing.Clear, throwing.State, throwing.Alive, "nonsense"}).
					Draw(t, "do"),
			}
			switch c.Do {
			case throwing.Load:
				c.Program = program(rapid.SliceOfN(rapid.Float64Range(0.3, 9), 1, 5).Draw(t, "waits")...)
			case throwing.Gap:
				c.Times = rapid.Float64Range(0.2, 10).Draw(t, "times")
			case throwing.Start:
				c.Balls = rapid.IntRange(0, 3).Draw(t, "wanted")
			case throwing.Fill:
				c.Balls = rapid.IntRange(0, 30).Draw(t, "balls")
				filled = thrown + c.Balls
			}
			said := m.Do(c, now)
			require.Equal(t, c.Do == throwing.Alive, len(said) == 0, "it says something to everything but that somebody watches")
			told := now
			take(said)
			if len(of(said, throwing.Thrown)) > 0 {
				last = now
			}
			until := now + rapid.Float64Range(0, 30).Draw(t, "later")
			for {
				due, ok := m.Due()
				if !ok || due > until {
					break
				}
				require.GreaterOrEqual(t, due, last+throwing.ShortestWait-1e-9)
				events := m.Pass(due)
				take(events)
				if len(of(events, throwing.Thrown)) > 0 {
					last = due
					require.LessOrEqual(t, due, told+throwing.AloneFor, "it stops by itself where it is told nothing")
				}
			}
			require.Empty(t, of(m.Pass(until), throwing.Thrown))
			now = until
			require.LessOrEqual(t, thrown, filled)
		}
	})
}

func TestAMachineJamsAndGoesOn(t *testing.T) {
	m := throwing.NewSimulatedMachine(throwing.Make{Hopper: 9, Jams: 1})
	m.Do(throwing.Command{Do: throwing.Load, Program: program(1)}, 0)
	m.Do(throwing.Command{Do: throwing.Start}, 0)
	said := m.Pass(5)
	require.Len(t, of(said, throwing.Jam), 1)
	require.Empty(t, of(said, throwing.Thrown))
	require.True(t, said[len(said)-1].Jammed)
	require.Contains(t, m.Do(throwing.Command{Do: throwing.Start}, 6)[0].Why, "jammed")
	require.False(t, m.Do(throwing.Command{Do: throwing.Clear}, 6)[0].Jammed)
}

// Every drill of the library in which a ball is fed is a program whose turn is as long as the drill's, with as many
// balls as are fed.
func TestEveryDrillIsAProgram(t *testing.T) {
	programs := 0
	for _, stored := range library.All() {
		d := stored.Document
		p, err := throwing.Of(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		if err != nil {
			require.ErrorContains(t, err, "nothing to throw", d.Name)
			continue
		}
		programs++
		require.NoError(t, p.Check(), d.Name)
		sum := 0.0
		for _, b := range p.Balls {
			sum += b.Wait
			require.Positive(t, b.Speed, d.Name)
		}
		require.Positive(t, sum)
	}
	require.Greater(t, programs, len(library.All())/2)
}

func TestAProgramThatMakesNoSenseIsRefused(t *testing.T) {
	nan := math.NaN()
	for name, p := range map[string]*throwing.Program{
		"no balls": {}, "too fast": program(0.1), "never": program(nan), "for ever": program(1e9),
		"too many":      program(make([]float64, 401)...),
		"off the earth": {Balls: []throwing.Ball{{To: court.Point{X: 1e6}, Speed: 1, Wait: 1}}},
		"no speed":      {Balls: []throwing.Ball{{Speed: nan, Wait: 1}}},
	} {
		require.Error(t, p.Check(), name)
		require.Equal(
			t,
			throwing.Refused,
			throwing.NewSimulatedMachine(throwing.Make{}).Do(throwing.Command{Do: throwing.Load, Program: p}, 0)[0].Event,
			name,
		)
	}
}

// A simulated player lands round where they aim: the mean is there, and the spread is theirs; a wider one lands further
// off.
func TestAnEyeSeesThePlayersScatter(t *testing.T) {
	aim := court.Point{X: 2, Y: 9}
	off := func(spread float64) (mean court.Point, far float64) {
		e := throwing.NewSimulatedEye(spread, 7)
		const n = 4000
		for i := range n {
			said := e.Do(throwing.Command{Do: throwing.Watch, Aim: &aim})
			require.Equal(t, throwing.Landed, said[0].Event)
			require.Equal(t, i+1, said[0].N)
			mean.X += said[0].At.X / n
			mean.Y += said[0].At.Y / n
			far += (said[0].At.X - aim.X) * (said[0].At.X - aim.X) / n
		}
		return mean, math.Sqrt(far)
	}
	mean, one := off(1)
	require.InDelta(t, 0, mean.Distance(aim), 0.06)
	require.InDelta(t, 1, one, 0.04)
	_, two := off(2)
	require.InDelta(t, 2*one, two, 1e-9)
	_, none := off(0)
	require.Zero(t, none)
	for _, c := range []throwing.Command{{}, {Do: throwing.Watch}, {Do: throwing.Watch, Aim: &court.Point{X: math.NaN()}},
		{Do: throwing.Start}} {
		require.Equal(t, throwing.Refused, throwing.NewSimulatedEye(1, 1).Do(c)[0].Event)
	}
}
