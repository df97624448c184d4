package equipment_test

import (
	"fmt"
	"io"
	"net"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/live/throwing"
	"hodometer/equipment"
)

func newHub(t *testing.T) *equipment.Hub {
	h := equipment.NewHub()
	t.Cleanup(h.Close)
	return h
}

var on = throwing.On{Lesson: "monday", Block: "drill", Running: true}

func order() throwing.Order {
	p := *program()
	p.Balls[0].Wait, p.Balls[1].Wait = throwing.ShortestWait, throwing.ShortestWait
	return throwing.Order{On: on, Watcher: "page", Program: p, Feed: throwing.Feed{InTurn: 2}}
}

// A machine whose page is not heard any more stands after 3 s, and says so; one that is heard goes on.
func TestAMachineStandsWhereNobodyIsHeard(t *testing.T) {
	var milliseconds atomic.Int64
	h := equipment.NewHubBy(func() float64 { return float64(milliseconds.Load()) / 1000 })
	t.Cleanup(h.Close)
	at := switchedOn(
		t,
		equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(throwing.Make{Hopper: 1000})},
	)
	_, err := h.Join(t.Context(), equipment.Machine, at, "monday")
	require.NoError(t, err)
	_, err = h.Start(order())
	require.NoError(t, err)
	require.Eventually(t, func() bool { return h.Status().Tally.Thrown > 0 }, soon, 5*time.Millisecond)
	for range 10 {
		milliseconds.Add(2900)
		require.Equal(t, "page", h.Watched("page", on, "").Machine.Watcher, "it is heard")
	}
	milliseconds.Add(3100)
	require.Eventually(t, func() bool { return h.Status().Machine.Watcher == "" }, soon, 5*time.Millisecond)
	require.Eventually(t, func() bool { return !h.Status().Machine.Stands.Running }, soon, 5*time.Millisecond)
	require.Contains(t, h.Status().Machine.Stopped, "not heard for 3 s")
	h.Watched("page", on, "")
	require.Empty(t, h.Status().Machine.Watcher, "it is started by a press only")
}

// A simulated machine that is told nothing more stops by itself, also where the program that told it hangs.
func TestAMachineStopsByItselfWhereNobodySpeaks(t *testing.T) {
	at := switchedOn(
		t,
		equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(throwing.Make{Hopper: 1000})},
	)
	l, err := equipment.Dial(t.Context(), at)
	require.NoError(t, err)
	require.NoError(t, l.Tell(throwing.Command{Do: throwing.Load, Program: program()}))
	require.NoError(t, l.Tell(throwing.Command{Do: throwing.Start}))
	for {
		if e := awaited(t, l, throwing.Reported); e.Why != "" {
			require.False(t, e.Running)
			require.Contains(t, e.Why, "stopped by itself")
			return
		}
	}
}

// However quickly devices say things: who asks for what was said hears all of it, each once, in order.
func TestEverythingThatIsSaidIsHeardOnce(t *testing.T) {
	const balls = 150
	at := told(t, func(conn net.Conn) {
		_, _ = io.WriteString(conn, hello)
		for n := range balls {
			_, _ = fmt.Fprintf(conn, `{"event":"ball","n":%d,"ball":1,"left":5}`+"\n", n+1)
			if n%7 == 0 {
				time.Sleep(time.Millisecond)
			}
		}
		_, _ = io.ReadAll(conn)
	})
	h := newHub(t)
	heard := make(chan []int)
	go func() {
		var list []int
		for after := 0; len(list) < balls; {
			said, err := h.Events(t.Context(), after)
			if err != nil {
				break
			}
			for _, e := range said.Events {
				if e.Event.Event == throwing.Thrown {
					list = append(list, e.Event.N)
				}
			}
			after = said.Equipment.Seq
		}
		heard <- list
	}()
	_, err := h.Join(t.Context(), equipment.Machine, at, "")
	require.NoError(t, err)
	want := make([]int, balls)
	for i := range want {
		want[i] = i + 1
	}
	require.Equal(t, want, <-heard)
}

// A device is joined whole or not at all, again at its own address too, and let go at the end of its lesson.
func TestADeviceIsLetGoAtTheEndOfItsLesson(t *testing.T) {
	h := newHub(t)
	at := switchedOn(
		t,
		equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(throwing.Make{Hopper: 9})},
	)
	for range 2 {
		require.Eventually(t, func() bool {
			_, err := h.Join(t.Context(), equipment.Machine, at, "monday")
			return err == nil
		}, soon, 5*time.Millisecond, "it is let go before it is joined again")
	}
	_, err := h.Join(t.Context(), equipment.Eye, at, "monday")
	require.Error(t, err)
	require.NotNil(t, h.Status().Machine, "what cannot be joined leaves what is")
	h.LeaveLesson("tuesday")
	require.NotNil(t, h.Status().Machine)
	h.LeaveLesson("monday")
	require.Nil(t, h.Status().Machine)
	_, err = h.Start(order())
	require.ErrorIs(t, err, equipment.ErrNotJoined)
	_, err = h.Simulate(t.Context(), equipment.Machine, "")
	require.NoError(t, err)
	h.LeaveLesson("monday")
	require.NotNil(t, h.Status().Machine, "what was joined for no lesson stays")
}

// A machine that was told something and has not answered yet is shown at the pace of its program, not at five times
// that.
func TestAMachineThatHasNotSaidItsPaceHasThatOfItsProgram(t *testing.T) {
	for said, times := range map[float64]float64{0: 1, 1: 1, 2: 2, 0.1: 0.2} {
		require.InDelta(t, times, equipment.Waits(throwing.Event{Event: throwing.Reported, Times: said}), 1e-12)
	}
}
