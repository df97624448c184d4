package throwing_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/live/throwing"
	"hodometer/core/sport/court"
)

// does is something that a coach does, or that befalls the page, the program or the wire.
type does struct {
	what  string
	do    func(b *bench)
	grace float64 // seconds for which a ball may still be thrown
	why   string
}

func becomes(change func(on *throwing.On)) func(*bench) {
	return func(b *bench) {
		change(&b.on)
		b.heard()
	}
}

func everyAct() []does {
	known := func(change func(on *throwing.On)) func(*bench) {
		return func(b *bench) {
			on := drill
			on.Played = "as the program knows it"
			b.tell(b.station.Known(on, b.now))
			change(&on)
			b.tell(b.station.Known(on, b.now))
		}
	}
	return []does{
		{"hold", becomes(func(on *throwing.On) { on.Running = false }), 0, "held"},
		{"next block: Water", becomes(func(on *throwing.On) { on.Block = "water" }), 0, "another block"},
		{"next block: Set up, collect 4 markers", becomes(func(on *throwing.On) { on.Block = "set up" }), 0, "another block"},
		{"the block before", becomes(func(on *throwing.On) { on.Block = "warm-up" }), 0, "another block"},
		{"players swap", becomes(func(on *throwing.On) { on.Played = "others at the net" }), 0, "others came on court"},
		{"another version", becomes(func(on *throwing.On) { on.Played = "harder" }), 0, "something else was played"},
		{"the time of the lesson is up", becomes(func(on *throwing.On) { on.Block = "" }), 0, "the lesson ended"},
		{"another lesson is opened", becomes(func(on *throwing.On) { on.Lesson = "tuesday" }), 0, "another lesson"},
		{"pause", func(b *bench) { b.tell(b.station.Stop("it was paused", b.now)) }, 0, "it was paused"},
		{"held on another device", known(func(on *throwing.On) { on.Running = false }), 0, "held"},
		{"next on another device", known(func(on *throwing.On) { on.Block = "water" }), 0, "another block"},
		{
			"a version on another device",
			known(func(on *throwing.On) { on.Played = "easier" }),
			0,
			"something else was played",
		},
		{"finished on another device", known(func(on *throwing.On) { on.Block = "" }), 0, "the lesson ended"},
		{"the page is closed", func(b *bench) { b.pageIs = false }, throwing.WatchedFor + 1.2, "not heard for 3 s"},
		{"the network is gone", func(b *bench) { b.pageIs = false }, throwing.WatchedFor + 1.2, "not heard for 3 s"},
		{"the program stops", func(b *bench) { b.wire = false }, throwing.AloneFor + 1.2, ""},
	}
}

// Whatever is done while a machine is in whatever state: it stands then, and throws nothing more before it is started
// again by a press.
func TestAMachineStandsAfterEveryActInEveryState(t *testing.T) {
	states := map[string]func(b *bench){
		"switched on": func(*bench) {},
		"throwing":    func(b *bench) { require.Empty(t, b.start(0)) },
		"throwing slowly": func(b *bench) {
			require.Empty(t, b.start(0))
			b.tell([]throwing.Command{{Do: throwing.Gap, Times: 2}})
		},
		"after some balls": func(b *bench) {
			require.Empty(t, b.start(0))
			b.pass(7)
		},
		"after a pause": func(b *bench) {
			require.Empty(t, b.start(0))
			b.tell(b.station.Stop("it was paused", b.now))
		},
		"started again": func(b *bench) {
			require.Empty(t, b.start(0))
			b.tell(b.station.Stop("it was paused", b.now))
			require.Empty(t, b.start(0))
		},
		"filled while it throws": func(b *bench) {
			require.Empty(t, b.start(0))
			b.tell([]throwing.Command{{Do: throwing.Fill, Balls: 90}})
		},
		"after one ball": func(b *bench) {
			order := b.order(0)
			order.One = true
			told, why := b.station.Start(order, b.now)
			require.Empty(t, why)
			b.tell(told)
		},
		"jammed and cleared": func(b *bench) {
			require.Empty(t, b.start(0))
			b.take([]throwing.Event{{Event: throwing.Jam}})
			b.tell([]throwing.Command{{Do: throwing.Clear}})
		},
		"with few balls left": func(b *bench) {
			b.tell([]throwing.Command{{Do: throwing.Fill, Balls: 3}})
			require.Empty(t, b.start(0))
		},
		"with few balls planned": func(b *bench) { require.Empty(t, b.start(3)) },
	}
	for state, reach := range states {
		for _, act := range everyAct() {
			t.Run(fmt.Sprintf("%s, then %s", state, act.what), func(t *testing.T) {
				b := newBench(t, throwing.Make{Hopper: 500})
				reach(b)
				throws, _ := b.station.Guard.Open()
				act.do(b)
				b.pass(act.grace)
				before := len(b.thrown)
				b.pass(120)
				require.Len(t, b.thrown, before, "it throws unwatched")
				if _, goes := b.machine.Due(); goes {
					require.Fail(t, "it goes on")
				}
				if open, why := b.station.Guard.Open(); throws && b.wire && act.why != "" && len(b.thrown) < 3 {
					require.False(t, open)
					require.Contains(t, why, act.why)
				}
			})
		}
	}
}

// A press on hold stops it at once, going on does not start it, and a press does; a page that is behind does not stop
// what another page started.
func TestAMachineIsStartedAgainByAPressOnly(t *testing.T) {
	b := newBench(t, throwing.Make{Hopper: 500})
	require.Contains(t, (&throwing.Station{}).Guard.Start(throwing.On{}, "page", 0), "no block")
	require.Empty(t, b.start(0))
	b.pass(10)
	require.NotEmpty(t, b.thrown)
	b.on.Running = false
	b.heard()
	held := len(b.thrown)
	require.Contains(t, b.start(0), "go on first")
	b.pass(67)
	b.on.Running = true
	b.pass(67)
	require.Len(t, b.thrown, held)
	require.Empty(t, b.start(0))
	b.pass(10)
	require.Greater(t, len(b.thrown), held+5)

	behind := b.on
	behind.Block = "warm-up"
	b.tell(b.station.Heard("another page", behind, "Noor", b.now))
	open, _ := b.station.Guard.Open()
	require.True(t, open)
	unlike := b.on
	unlike.Block = "warm-up" // the program learns a moment later what was done on the page
	b.tell(b.station.Known(unlike, b.now))
	open, _ = b.station.Guard.Open()
	require.True(t, open, "the program has not agreed yet")
}

// By hand: six balls are planned, two a turn, for three in turn: each has one turn, and it stands after the sixth.
// Started again it is as many.
func TestItStopsAtThePlannedNumber(t *testing.T) {
	b := newBench(t, throwing.Make{Hopper: 500})
	require.Empty(t, b.start(6))
	b.pass(3.5) // balls at 0, 1 and 3 s
	require.Len(t, b.thrown, 3)
	b.tell(b.station.Stop("it was paused", b.now))
	require.Empty(t, b.start(6))
	b.pass(60)
	require.Len(t, b.thrown, 6)
	var whose []string
	for _, to := range b.thrown {
		whose = append(whose, fmt.Sprint(to.Student, to.Turn, to.Ball))
		require.Equal(
			t,
			[]string{"monday", "drill", "Two and Away", "page"},
			[]string{to.Lesson, to.Block, to.Drill, to.Watcher},
		)
	}
	require.Equal(
		t,
		[]string{"Ines1 1", "Ines1 2", "Bram2 1", "Ines3 1", "Ines3 2", "Bram4 1"},
		whose,
		"the page said again that it is the turn of Ines",
	)
	_, why := b.station.Guard.Open()
	require.Contains(t, why, "thrown")
	require.Empty(t, b.start(6))
	b.pass(60)
	require.Len(t, b.thrown, 12)
}

// A landing belongs to the ball that it is of, in the block for which that was thrown, or to nobody.
func TestALandingBelongsToItsBall(t *testing.T) {
	var b throwing.Booking
	in := func(block string, names ...string) throwing.Feed {
		return throwing.Feed{To: throwing.To{Block: block}, Players: players(names...), InTurn: 1}
	}
	b.Start(in("first", "Ines", "Bram"))
	b.Thrown(1, 0)
	b.Thrown(2, 3)
	b.Start(in("second", "Noor"))
	b.Thrown(3, 5)
	to, made, ok := b.Landed(2, court.Point{X: 1, Y: 9.5}, 5.5)
	require.True(t, ok && made)
	require.Equal(t, []string{"first", "Bram"}, []string{to.Block, to.Student}, "not the drill that is on by now")
	to, made, ok = b.Landed(3, court.Point{X: 5, Y: 9}, 6)
	require.True(t, ok && !made)
	require.Equal(t, "second", to.Block)
	_, _, ok = b.Landed(3, court.Point{}, 6)
	require.False(t, ok, "once only")
	_, _, ok = b.Landed(1, court.Point{}, 7)
	require.False(t, ok, "longer ago than a ball can be on its way")
	_, _, ok = b.Landed(0, court.Point{}, 7)
	require.False(t, ok)
	require.Equal(t, throwing.Tally{Block: "second", Thrown: 1, Seen: 1, Stray: 3}, b.Tally)
	b.Thrown(4, 8)
	to, _, ok = b.Landed(0, court.Point{}, 9)
	require.True(t, ok, "an eye that was not told of which")
	require.Equal(t, "Noor", to.Student)
}

// Whoever a coach makes it the turn of has the next ball, from the first of their turn on.
func TestACoachSaysWhoseTurnItIs(t *testing.T) {
	b := newBench(t, throwing.Make{Hopper: 500})
	require.Empty(t, b.start(0))
	b.pass(0.5)
	b.tell(b.station.Heard("page", b.on, "Noor", b.now))
	b.pass(5)
	require.Equal(
		t,
		[]string{"Ines", "Noor", "Noor", "Ines"},
		[]string{b.thrown[0].Student, b.thrown[1].Student, b.thrown[2].Student, b.thrown[3].Student},
	)
	require.Equal(t, []int{1, 2, 2, 3}, []int{b.thrown[0].Turn, b.thrown[1].Turn, b.thrown[2].Turn, b.thrown[3].Turn})
}

// Whatever is thrown and seen in whatever order: seen and stray landings are all landings, and no more is seen than was
// thrown.
func TestBallsAddUp(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var b throwing.Booking
		now, n, landings := 0.0, 0, 0
		b.Start(
			throwing.Feed{
				To:      throwing.To{Block: "a"},
				Players: players("Ines", "Bram")[:rapid.IntRange(0, 2).Draw(t, "players")],
				InTurn:  rapid.IntRange(0, 4).Draw(t, "in turn"),
			},
		)
		for range rapid.IntRange(1, 60).Draw(t, "events") {
			now += rapid.Float64Range(0, 3).Draw(t, "later")
			if rapid.Bool().Draw(t, "thrown") {
				n++
				to, _ := b.Thrown(n, now)
				require.Positive(t, to.Ball)
				require.Positive(t, to.Turn)
			} else {
				landings++
				b.Landed(rapid.IntRange(0, n+1).Draw(t, "of"), court.Point{}, now)
			}
		}
		require.Equal(t, n, b.Tally.Thrown)
		require.Equal(t, landings, b.Tally.Seen+b.Tally.Stray)
		require.LessOrEqual(t, b.Tally.Seen, n)
	})
}
