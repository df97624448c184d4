package equipment

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net"
	"sync"
	"time"

	"golang.org/x/time/rate"

	"hodometer/core/live/throwing"
)

// What a device may say, at most, so that it neither stops nor slows a lesson.
const (
	helloTime       = 3 * time.Second
	writeTime       = 2 * time.Second
	eventsASecond   = 50
	eventsAtOnce    = 200
	mostWrongInARow = 20
	waitingEvents   = 256 // that nobody has taken yet
)

// errNotHere says that an address is not on this machine.
var errNotHere = errors.New(
	"devices are joined on this machine only, as 127.0.0.1:7501: a real one by an adapter that runs here",
)

// Link is a connection to a device.
type Link struct {
	Hello  Hello
	events chan throwing.Event
	conn   net.Conn

	lock  sync.Mutex
	why   error // why it ended
	wrong int   // lines that made no sense
}

// Dial connects to a device on this machine, and waits for its first line.
func Dial(ctx context.Context, address string) (*Link, error) {
	host, _, err := net.SplitHostPort(address)
	if err != nil {
		return nil, fmt.Errorf("an address as 127.0.0.1:7501: %w", err)
	}
	if ip := net.ParseIP(host); host != "localhost" && (ip == nil || !ip.IsLoopback()) {
		return nil, errNotHere
	}
	conn, err := (&net.Dialer{Timeout: helloTime}).DialContext(ctx, "tcp", address)
	if err != nil {
		return nil, fmt.Errorf("nobody answers at %s: is the device switched on? %w", address, err)
	}
	if tcp, ok := conn.RemoteAddr().(*net.TCPAddr); !ok || !tcp.IP.IsLoopback() {
		return nil, errors.Join(errNotHere, conn.Close())
	}
	l := &Link{conn: conn, events: make(chan throwing.Event, waitingEvents)}
	from := linesOf(conn)
	if err := l.greeted(from); err != nil {
		return nil, errors.Join(err, conn.Close())
	}
	go l.listen(from)
	return l, nil
}

// greeted reads the first line.
func (l *Link) greeted(from lines) error {
	if err := l.conn.SetReadDeadline(time.Now().Add(helloTime)); err != nil {
		return err
	}
	line, err := from.next()
	if err != nil {
		return fmt.Errorf("it says nothing that can be understood: %w", err)
	}
	if json.Unmarshal(line, &l.Hello) != nil || l.Hello.Is != Machine && l.Hello.Is != Eye {
		if refused, err := event(line); err == nil && refused.Event == throwing.Refused {
			return errors.New(clip(refused.Why))
		}
		return errors.New("it is neither a ball machine nor an eye that speaks with Hodometer")
	}
	if l.Hello.Protocol != Protocol {
		return fmt.Errorf("it speaks version %d, and Hodometer speaks %d", l.Hello.Protocol, Protocol)
	}
	l.Hello.Name = clip(l.Hello.Name)
	return l.conn.SetReadDeadline(time.Time{})
}

// clip is as much of a text from outside as is shown.
func clip(text string) string {
	runes := []rune(text)
	return string(runes[:min(len(runes), 120)])
}

// listen takes in what the device says until it goes, or says what no device says.
func (l *Link) listen(from lines) {
	limit, wrong := rate.NewLimiter(eventsASecond, eventsAtOnce), 0
	defer close(l.events)
	for {
		line, err := from.next()
		if err != nil {
			l.end(fmt.Errorf("the connection was lost: %w", err))
			return
		}
		if !limit.Allow() {
			l.end(errors.New("it says more than any device has to say, and was cut off"))
			return
		}
		e, err := event(line)
		if err != nil {
			l.lock.Lock()
			l.wrong++
			l.lock.Unlock()
			if wrong++; wrong >= mostWrongInARow {
				l.end(errors.New("it says nothing that can be understood, and was cut off"))
				return
			}
			continue
		}
		wrong = 0
		e.Why, e.Program = clip(e.Why), clip(e.Program)
		select {
		case l.events <- e:
		default:
			l.end(errors.New("nobody took in what it says, and it was let go"))
			return
		}
	}
}

// end closes the connection, for the first reason that there is.
func (l *Link) end(why error) {
	l.lock.Lock()
	if l.why == nil {
		l.why = why
	}
	l.lock.Unlock()
	_ = l.conn.Close()
}

// Events are what the device says; closed once it is gone.
func (l *Link) Events() <-chan throwing.Event { return l.events }

// Why says why the connection ended; nil as long as it stands.
func (l *Link) Why() error {
	l.lock.Lock()
	defer l.lock.Unlock()
	return l.why
}

// Wrong is how many lines made no sense.
func (l *Link) Wrong() int {
	l.lock.Lock()
	defer l.lock.Unlock()
	return l.wrong
}

// Tell has the device do something. Whether it did is said among its events.
func (l *Link) Tell(c throwing.Command) error {
	if err := l.conn.SetWriteDeadline(time.Now().Add(writeTime)); err != nil {
		return err
	}
	if err := write(l.conn, c); err != nil {
		err = fmt.Errorf("it does not take in what it is told: %w", err)
		l.end(err)
		return err
	}
	return nil
}

// Close lets the device go.
func (l *Link) Close() { l.end(errors.New("it was let go")) }
