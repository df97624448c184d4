package throwing_test

import (
	"github.com/stretchr/testify/require"

	"hodometer/core/live/throwing"
	"hodometer/core/sport/court"
)

// bench is a station with a machine at its wire, and a page that watches both.
type bench struct {
	t       require.TestingT
	machine *throwing.SimulatedMachine
	station throwing.Station
	now     float64
	on      throwing.On // as the page sees it
	pageIs  bool        // the page is open, in sight, and reaches the program
	wire    bool        // the program runs, and reaches the machine
	thrown  []throwing.To
	eye     []throwing.Command
}

var drill = throwing.On{Lesson: "monday", Block: "drill", Played: "two and away", Running: true}

func players(names ...string) (list []throwing.Player) {
	for i, name := range names {
		list = append(
			list,
			throwing.Player{
				Student: name,
				Party:   name,
				Measure: 1,
				Aim:     &court.Shape{Centre: court.Point{X: float64(i), Y: 9}, Radius: 1},
			},
		)
	}
	return list
}

func newBench(t require.TestingT, made throwing.Make) *bench {
	return &bench{t: t, machine: throwing.NewSimulatedMachine(made), on: drill, pageIs: true, wire: true}
}

func (b *bench) order(planned int) throwing.Order {
	return throwing.Order{
		On: b.on, Watcher: "page", Program: *program(1, 2), Planned: planned,
		Feed: throwing.Feed{To: throwing.To{Drill: "Two and Away"}, Players: players("Ines", "Bram", "Noor"), InTurn: 2},
	}
}

func (b *bench) start(planned int) string {
	told, why := b.station.Start(b.order(planned), b.now)
	b.tell(told)
	return why
}

// tell tells the machine, and has the station take in what it says.
func (b *bench) tell(commands []throwing.Command) {
	if !b.wire {
		return
	}
	for _, c := range commands {
		b.take(b.machine.Do(c, b.now))
	}
}

func (b *bench) take(said []throwing.Event) {
	for _, e := range said {
		if !b.wire {
			if e.Event == throwing.Thrown {
				b.thrown = append(b.thrown, throwing.To{})
			}
			continue
		}
		to, machine, eye := b.station.Said(e, b.now)
		if to != nil {
			b.thrown = append(b.thrown, *to)
		}
		b.eye = append(b.eye, eye...)
		b.tell(machine)
	}
}

// pass has seconds go by, in tenths: the page is heard every second.
func (b *bench) pass(seconds float64) {
	for i := range int(10 * seconds) {
		b.now += 0.1
		b.take(b.machine.Pass(b.now))
		if b.pageIs && i%10 == 0 {
			b.heard()
		}
		b.tell(b.station.Pass(b.now))
	}
}

func (b *bench) heard() { b.tell(b.station.Heard("page", b.on, "", b.now)) }
