package equipment_test

import (
	"context"
	"fmt"
	"io"
	"net"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/live/throwing"
	"hodometer/core/sport/court"
	"hodometer/equipment"
)

// soon is how long a test waits for what should be there at once.
const soon = 20 * time.Second

// switchedOn is a simulated device that runs until the test ends, and its address.
func switchedOn(t *testing.T, device equipment.Simulated) string {
	t.Helper()
	listener, err := (&net.ListenConfig{}).Listen(t.Context(), "tcp", "127.0.0.1:0")
	require.NoError(t, err)
	ctx, cancel := context.WithCancel(context.Background())
	ended := make(chan error, 1)
	go func() { ended <- equipment.Serve(ctx, listener, device) }()
	t.Cleanup(func() {
		cancel()
		require.NoError(t, <-ended)
	})
	return listener.Addr().String()
}

// awaited is the next event of a kind.
func awaited(t *testing.T, l *equipment.Link, kind throwing.EventKind) throwing.Event {
	t.Helper()
	after := time.After(soon)
	for {
		select {
		case e, open := <-l.Events():
			require.True(t, open, "%v", l.Why())
			if e.Event == kind {
				return e
			}
		case <-after:
			require.Fail(t, "no "+string(kind))
		}
	}
}

func program() *throwing.Program {
	return &throwing.Program{
		Name: "two",
		Balls: []throwing.Ball{
			{To: court.Point{Y: -8}, Speed: 15, Wait: 0.3},
			{To: court.Point{X: 2, Y: -8}, Speed: 15, Wait: 0.3},
		},
	}
}

func TestAMachineIsJoinedAndThrows(t *testing.T) {
	at := switchedOn(
		t,
		equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(throwing.Make{Hopper: 3})},
	)
	l, err := equipment.Dial(t.Context(), at)
	require.NoError(t, err)
	require.Equal(t, equipment.Machine, l.Hello.Is)
	require.NoError(t, l.Tell(throwing.Command{Do: throwing.Start}))
	require.Contains(t, awaited(t, l, throwing.Refused).Why, "no program")
	require.NoError(t, l.Tell(throwing.Command{Do: throwing.Load, Program: program()}))
	require.Equal(t, "two", awaited(t, l, throwing.Reported).Program)
	require.NoError(t, l.Tell(throwing.Command{Do: throwing.Start}))
	for n := 1; n <= 3; n++ {
		ball := awaited(t, l, throwing.Thrown)
		require.Equal(t, n, ball.N)
		require.Equal(t, 3-n, ball.Left)
	}
	awaited(t, l, throwing.Empty)

	_, err = equipment.Dial(t.Context(), at)
	require.ErrorContains(t, err, "somebody else uses it")
	l.Close()
	for range l.Events() { // until it is closed
	}
	require.ErrorContains(t, l.Why(), "let go")
	require.Eventually(t, func() bool {
		again, err := equipment.Dial(t.Context(), at)
		if err == nil {
			again.Close()
		}
		return err == nil
	}, soon, 5*time.Millisecond, "it can be joined again")
}

func TestAnEyeIsJoinedAndSees(t *testing.T) {
	at := switchedOn(t, &equipment.SimulatedEye{SimulatedEye: throwing.NewSimulatedEye(0.5, 1), Flight: 0.02})
	l, err := equipment.Dial(t.Context(), at)
	require.NoError(t, err)
	require.Equal(t, equipment.Eye, l.Hello.Is)
	aim := court.Point{X: 1, Y: 10}
	for n := 1; n <= 5; n++ {
		require.NoError(t, l.Tell(throwing.Command{Do: throwing.Watch, Aim: &aim}))
		landed := awaited(t, l, throwing.Landed)
		require.Equal(t, n, landed.N)
		require.Less(t, landed.At.Distance(aim), 5.0)
	}
	l.Close()
}

// told has somebody listen on a port who is no good device, and returns the address.
func told(t *testing.T, badly func(conn net.Conn)) string {
	t.Helper()
	listener, err := (&net.ListenConfig{}).Listen(t.Context(), "tcp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { _ = listener.Close() })
	go func() {
		for {
			conn, err := listener.Accept()
			if err != nil {
				return
			}
			go func() {
				defer func() { _ = conn.Close() }()
				badly(conn)
			}()
		}
	}()
	return listener.Addr().String()
}

const hello = `{"is":"machine","protocol":2,"name":"Bad"}` + "\n"

func TestWhoIsNoDeviceIsNotJoined(t *testing.T) {
	for name, c := range map[string]struct {
		says string
		why  string
	}{
		"garbage":            {"\x00\xff\xfe garbage\n", "neither a ball machine nor an eye"},
		"something else":     {"HTTP/1.1 400 Bad Request\r\n\r\n", "neither a ball machine nor an eye"},
		"half a line":        {`{"is":"machine","prot`, "nothing that can be understood"},
		"nothing":            {"", "nothing that can be understood"},
		"a line without end": {strings.Repeat("x", 200_000), "nothing that can be understood"},
		"a toaster":          {`{"is":"toaster","protocol":2}` + "\n", "neither a ball machine nor an eye"},
		"a protocol to come": {`{"is":"machine","protocol":3}` + "\n", "version 3"},
		"a name without end": {`{"is":"machine","protocol":2,"name":"` + strings.Repeat("n", 70_000) + `"}` + "\n",
			"nothing that can be understood"},
		"a number for a word": {`{"is":5,"protocol":2}` + "\n", "neither a ball machine nor an eye"},
	} {
		t.Run(name, func(t *testing.T) {
			at := told(t, func(conn net.Conn) { _, _ = io.WriteString(conn, c.says) })
			_, err := equipment.Dial(t.Context(), at)
			require.ErrorContains(t, err, c.why)
		})
	}
	for _, at := range []string{"192.0.2.7:7501", "example.com:7501", "8.8.8.8:53", "nonsense", "127.0.0.1"} {
		_, err := equipment.Dial(t.Context(), at)
		require.Error(t, err, at)
	}
	_, err := equipment.Dial(t.Context(), "127.0.0.1:1")
	require.ErrorContains(t, err, "is the device switched on?")
}

// A device that goes mad neither stops nor slows anything: what makes sense is taken in, what does not is left out, and
// who says too much is cut off.
func TestADeviceThatGoesMad(t *testing.T) {
	ball := `{"event":"ball","n":1,"ball":1,"left":5}` + "\n"
	for name, c := range map[string]struct {
		badly func(conn net.Conn)
		good  int    // events that make sense
		why   string // how it ends
	}{
		"garbage between": {func(conn net.Conn) {
			_, _ = io.WriteString(conn,
				ball+"{{{{\n\n\r\n\x00\x01\n"+`{"event":"landing"}`+"\n"+`{"event":"landing","at":{"x":1e9,"y":0}}`+"\n[]\nnull\n"+ball)
		}, 2, "the connection was lost"},
		"only garbage": {func(conn net.Conn) {
			for range 10_000 {
				if _, err := io.WriteString(conn, "garbage\n"); err != nil {
					return
				}
			}
		}, 0, "was cut off"},
		"half a line": {func(conn net.Conn) { _, _ = io.WriteString(conn, ball+`{"event":"ball","n":2,`) }, 1,
			"the connection was lost"},
		"a line without end": {func(conn net.Conn) {
			_, _ = io.WriteString(conn, ball)
			for range 1000 {
				if _, err := io.WriteString(conn, strings.Repeat("x", 1000)); err != nil {
					return
				}
			}
		}, 1, "a line of more than"},
		"a flood": {func(conn net.Conn) {
			for range 100_000 {
				if _, err := io.WriteString(conn, ball); err != nil {
					return
				}
			}
		}, -1, "more than any device has to say"},
	} {
		t.Run(name, func(t *testing.T) {
			at := told(t, func(conn net.Conn) {
				_, _ = io.WriteString(conn, hello)
				c.badly(conn)
			})
			l, err := equipment.Dial(t.Context(), at)
			require.NoError(t, err)
			n := 0
			after := time.After(soon)
			for open := true; open; {
				select {
				case _, open = <-l.Events():
					if open {
						n++
					}
				case <-after:
					require.Fail(t, "it goes on for ever")
				}
			}
			if c.good >= 0 {
				require.Equal(t, c.good, n)
			}
			require.LessOrEqual(t, n, 1000)
			require.ErrorContains(t, l.Why(), c.why)
		})
	}
}

// Nobody takes in what a device says, and it does not take in what it is told: both end, nothing waits for ever.
func TestNobodyWaitsForADevice(t *testing.T) {
	at := told(t, func(conn net.Conn) {
		_, _ = io.WriteString(conn, hello)
		time.Sleep(soon) // reads nothing
	})
	l, err := equipment.Dial(t.Context(), at)
	require.NoError(t, err)
	balls := make([]throwing.Ball, 400)
	began := time.Now()
	for err == nil && time.Since(began) < soon {
		err = l.Tell(throwing.Command{Do: throwing.Load, Program: &throwing.Program{Balls: balls}})
	}
	require.Error(t, err)
	require.Error(t, l.Why())
}

// Whoever tells a simulated device nonsense is told so, and it goes on.
func TestASimulatedDeviceTakesAnything(t *testing.T) {
	at := switchedOn(
		t,
		equipment.SimulatedMachine{SimulatedMachine: throwing.NewSimulatedMachine(throwing.Make{Hopper: 3})},
	)
	conn, err := (&net.Dialer{}).DialContext(t.Context(), "tcp", at)
	require.NoError(t, err)
	_, err = io.WriteString(conn, "garbage\n{}\n{\"do\":\"fly\"}\n[1]\n{\"do\":\"load\"}\n"+
		"{\"do\":\"load\",\"program\":{\"balls\":[{\"wait\":1e308}]}}\n{\"do\":\"state\"}\n"+strings.Repeat("y", 100_000))
	require.NoError(t, err)
	require.NoError(t, conn.SetReadDeadline(time.Now().Add(soon)))
	said, _ := io.ReadAll(conn)
	require.Equal(t, 7, strings.Count(string(said), `"refused"`), string(said))
	require.Contains(t, string(said), `"event":"state"`)
	require.NoError(t, conn.Close())
	require.Eventually(t, func() bool {
		l, err := equipment.Dial(t.Context(), at)
		if err == nil {
			l.Close()
		}
		return err == nil
	}, soon, 5*time.Millisecond)
}

func FuzzWhatADeviceSays(f *testing.F) {
	f.Add([]byte(hello + `{"event":"ball","n":1}` + "\n"))
	f.Add([]byte("\n\r\n{}\n"))
	f.Fuzz(func(t *testing.T, says []byte) {
		at := told(t, func(conn net.Conn) { _, _ = conn.Write(says) })
		l, err := equipment.Dial(t.Context(), at)
		if err != nil {
			return
		}
		for e := range l.Events() {
			require.NotEmpty(t, fmt.Sprint(e))
		}
		require.Error(t, l.Why())
	})
}
