package equipment

import (
	"context"
	"encoding/json"
	"errors"
	"io"
	"net"
	"sync"
	"time"

	"golang.org/x/time/rate"

	"hodometer/core/live/throwing"
)

// Simulated is a device that ships with Hodometer.
type Simulated interface {
	Hello() Hello
	// Do has it do something at an instant, in seconds, and returns what it says.
	Do(c throwing.Command, now float64) []throwing.Event
	// Pass returns what it did up to an instant, and after how many seconds it is to be asked again; less than 0: not
	// before it is told something.
	Pass(now float64) (said []throwing.Event, again float64)
}

// SimulatedMachine is a ball machine without balls.
type SimulatedMachine struct{ *throwing.SimulatedMachine }

// Hello is how it introduces itself.
func (SimulatedMachine) Hello() Hello { return Hello{Machine, Protocol, "Simulated ball machine"} }

// Pass has the time go on.
func (m SimulatedMachine) Pass(now float64) ([]throwing.Event, float64) {
	said := m.SimulatedMachine.Pass(now)
	if due, ok := m.Wakes(); ok {
		return said, max(0, due-now)
	}
	return said, -1
}

// SimulatedEye watches a player who is not there. A ball lands a while after it is played.
type SimulatedEye struct {
	*throwing.SimulatedEye
	Flight float64 // seconds
	on     []landing
}

type landing struct {
	at   float64
	said throwing.Event
}

// Hello is how it introduces itself.
func (*SimulatedEye) Hello() Hello { return Hello{Eye, Protocol, "Simulated eye for landings"} }

// Do has it do something.
func (e *SimulatedEye) Do(c throwing.Command, now float64) (said []throwing.Event) {
	for _, each := range e.SimulatedEye.Do(c) {
		if each.Event == throwing.Landed {
			e.on = append(e.on, landing{now + e.Flight, each})
		} else {
			said = append(said, each)
		}
	}
	return said
}

// Pass has the time go on.
func (e *SimulatedEye) Pass(now float64) (said []throwing.Event, again float64) {
	for len(e.on) > 0 && e.on[0].at <= now {
		said, e.on = append(said, e.on[0].said), e.on[1:]
	}
	if len(e.on) > 0 {
		return said, e.on[0].at - now
	}
	return said, -1
}

// How much is read of whoever uses a device: more waits.
const linesASecond = 100

// Serve has a simulated device speak with whoever connects, one after the other, until ctx ends.
func Serve(ctx context.Context, listener net.Listener, device Simulated) error {
	ctx, cancel := context.WithCancel(ctx)
	stop := context.AfterFunc(ctx, func() { _ = listener.Close() })
	defer stop()
	var busy sync.Mutex
	var open sync.WaitGroup
	defer func() {
		cancel() // where nobody can come any more, who is there goes too
		open.Wait()
	}()
	for {
		conn, err := listener.Accept()
		if ctx.Err() != nil {
			return nil
		}
		if err != nil {
			return err
		}
		open.Go(func() {
			defer part(conn)
			if !busy.TryLock() {
				_ = write(conn, throwing.Event{Event: throwing.Refused, Why: "somebody else uses it now"})
				return
			}
			defer busy.Unlock()
			speak(ctx, conn, device)
		})
	}
}

// part closes a connection once what was said last has arrived: with bytes that were never read it would be lost.
func part(conn net.Conn) {
	if c, is := conn.(*net.TCPConn); is {
		_ = c.CloseWrite()
	}
	_ = conn.SetReadDeadline(time.Now().Add(time.Second / 2))
	_, _ = io.Copy(io.Discard, conn)
	_ = conn.Close()
}

// speak speaks with who has connected until either goes.
func speak(ctx context.Context, conn net.Conn, device Simulated) {
	ctx, cancel := context.WithCancel(ctx)
	defer cancel()
	defer context.AfterFunc(ctx, func() { _ = conn.Close() })()
	commands := make(chan throwing.Command)
	refused := make(chan string)
	gone := make(chan struct{})
	go func() {
		defer close(gone)
		from, limit := linesOf(conn), rate.NewLimiter(linesASecond, linesASecond)
		for limit.Wait(ctx) == nil {
			line, err := from.next()
			var c throwing.Command
			why := ""
			switch {
			case errors.Is(err, errTooLong):
				why = err.Error()
			case err != nil:
				return
			default:
				if err := json.Unmarshal(line, &c); err != nil {
					why = "this is no command: " + err.Error()
				}
			}
			if why == "" {
				select {
				case commands <- c:
				case <-ctx.Done():
				}
				continue
			}
			select {
			case refused <- why:
			case <-ctx.Done():
			}
			if err != nil {
				return // a line without an end: what comes after it means nothing
			}
		}
	}()
	began := time.Now()
	now := func() float64 { return time.Since(began).Seconds() }
	say := func(list ...throwing.Event) bool {
		for _, e := range list {
			_ = conn.SetWriteDeadline(time.Now().Add(5 * time.Second))
			if write(conn, e) != nil {
				return false
			}
		}
		return true
	}
	if write(conn, device.Hello()) != nil {
		return
	}
	defer device.Do(throwing.Command{Do: throwing.Pause}, now()) // nothing is thrown at a court where nobody looks
	for {
		said, again := device.Pass(now())
		if !say(said...) {
			return
		}
		var timer <-chan time.Time
		if again >= 0 {
			timer = time.After(time.Duration(again * float64(time.Second)))
		}
		select {
		case c := <-commands:
			if !say(device.Do(c, now())...) {
				return
			}
		case why := <-refused:
			if !say(throwing.Event{Event: throwing.Refused, Why: why}) {
				return
			}
		case <-timer:
		case <-gone:
			return
		case <-ctx.Done():
			return
		}
	}
}
