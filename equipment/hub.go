package equipment

import (
	"cmp"
	"context"
	"errors"
	"net"
	"slices"
	"sync"
	"time"

	"hodometer/core/live/throwing"
)

// Equipment is what is joined to this machine.
type Equipment struct {
	Machine *JoinedDevice  `json:"machine" description:"Null where no ball machine is joined"`
	Eye     *JoinedDevice  `json:"eye" description:"Null where no eye is joined"`
	Seq     int            `json:"seq" description:"Of the last event"`
	Tally   throwing.Tally `json:"tally" description:"Balls thrown in the block for which the machine was started last, and what was seen of them"`
}

// JoinedDevice is a ball machine or an eye.
type JoinedDevice struct {
	Name    string         `json:"name"`
	Address string         `json:"address"`
	Lesson  string         `json:"lesson" description:"For which it was joined; empty: for none"`
	Stands  throwing.Event `json:"stands" description:"What it said last of how it stands"`
	Lost    string         `json:"lost" description:"Why the connection was lost; empty as long as it stands"`
	Stopped string         `json:"stopped" description:"Of a machine that was started and stands: why it does"`
	Rate    float64        `json:"rate" description:"Of a machine: balls a minute by what it is loaded with; 0: nothing is loaded"`
	Watcher string         `json:"watcher" description:"Of a machine that may throw: the page that watches it; else empty"`
}

// SaidEvent is one thing that a device said.
type SaidEvent struct {
	Seq   int            `json:"seq" description:"One more each time"`
	By    Kind           `json:"by" enum:"machine,eye"`
	Event throwing.Event `json:"event"`
	To    *throwing.To   `json:"to" description:"To whom the ball was thrown; of a landing: the ball that it is of. Null for all else, and for a landing that belongs to no ball"`
	In    bool           `json:"in" description:"Of a landing: it is in the target of that player"`
}

// SaidEvents are what devices said, in order.
type SaidEvents struct {
	Equipment Equipment   `json:"equipment"`
	Events    []SaidEvent `json:"events"`
}

// How many events are kept, how long who asks waits for one, and how often it is looked whether a machine is watched
// still.
const (
	keptEvents   = 500
	waitForEvent = 8 * time.Second
	lookEvery    = 250 * time.Millisecond
)

// ErrNotJoined says that there is no such device any more.
var ErrNotJoined = errors.New("it is not joined any more")

// RefusedError says why a device was not told what it was to be told, in words for the coach.
type RefusedError struct{ Why string }

func (e RefusedError) Error() string { return e.Why }

// Hub is what is joined to this machine, and what it said of late. Its methods may be called from several goroutines.
type Hub struct {
	lock    sync.Mutex
	joined  map[Kind]*joined
	station *throwing.Station
	said    []SaidEvent
	seq     int
	more    chan struct{}   // closed when something is said, and made anew
	closed  chan struct{}   // the program ends
	now     func() float64  // seconds of a clock that only goes on
	typed   map[string]bool // addresses that the coach typed at the machine
}

// Usual are the addresses at which devices listen unless the coach says otherwise.
func Usual() []string { return []string{"127.0.0.1:7501", "127.0.0.1:7502"} }

// Known says whether an address may be joined from another device: it is a usual one, or was typed at the machine.
// Others would tell which ports of the machine are open.
func (h *Hub) Known(address string) bool {
	h.lock.Lock()
	defer h.lock.Unlock()
	return slices.Contains(Usual(), address) || h.typed[address]
}

// Typed notes that the coach typed an address at the machine.
func (h *Hub) Typed(address string) {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.typed[address] = true
}

// joined is a device with its link.
type joined struct {
	JoinedDevice
	link *Link
	stop context.CancelFunc // of a simulated one; nil else
	rate func(times float64) float64
}

// NewHub is a hub to which nothing is joined. It is closed by Close.
func NewHub() *Hub {
	began := time.Now()
	return newHub(func() float64 { return time.Since(began).Seconds() })
}

func newHub(now func() float64) *Hub {
	h := &Hub{
		joined:  map[Kind]*joined{},
		typed:   map[string]bool{},
		station: &throwing.Station{},
		more:    make(chan struct{}),
		closed:  make(chan struct{}),
		now:     now,
	}
	go h.watch()
	return h
}

// watch stops a machine that nobody watches any more, and tells one that is watched so.
func (h *Hub) watch() {
	ticker := time.NewTicker(lookEvery)
	defer ticker.Stop()
	for {
		select {
		case <-ticker.C:
			h.lock.Lock()
			h.carryOut(h.station.Pass(h.now()))
			h.lock.Unlock()
		case <-h.closed:
			return
		}
	}
}

// carryOut tells the machine; what it was told to make it stand is said. The lock is held.
func (h *Hub) carryOut(commands []throwing.Command) {
	j := h.joined[Machine]
	if j == nil {
		return
	}
	for _, c := range commands {
		if err := j.link.Tell(c); err != nil {
			return // that it is lost is told as such
		}
		if c.Do == throwing.Pause {
			h.stopped(j)
		}
	}
}

// stopped notes why a machine stands. The lock is held.
func (h *Hub) stopped(j *joined) {
	open, why := h.station.Guard.Open()
	if !open && why != j.Stopped {
		j.Stopped = why
		h.say(
			SaidEvent{
				By: Machine,
				Event: throwing.Event{
					Event:   throwing.Reported,
					N:       j.Stands.N,
					Left:    j.Stands.Left,
					Jammed:  j.Stands.Jammed,
					Times:   j.Stands.Times,
					Program: j.Stands.Program,
					Why:     why,
				},
			},
		)
	}
}

// Status is what has joined, and what each of it said of itself.
func (h *Hub) Status() Equipment {
	h.lock.Lock()
	defer h.lock.Unlock()
	return h.status()
}

// status is that. The lock is held.
func (h *Hub) status() Equipment {
	of := func(kind Kind) *JoinedDevice {
		j, ok := h.joined[kind]
		if !ok {
			return nil
		}
		d := j.JoinedDevice
		if why := j.link.Why(); why != nil {
			d.Lost = why.Error()
		}
		if kind == Machine {
			if open, _ := h.station.Guard.Open(); open {
				_, d.Watcher = h.station.Guard.For()
			}
			if j.rate != nil {
				d.Rate = j.rate(waits(d.Stands))
			}
		}
		return &d
	}
	return Equipment{Machine: of(Machine), Eye: of(Eye), Seq: h.seq, Tally: h.station.Booking.Tally}
}

// waits is how many times as long a machine waits between balls as its program says: just as long, as long as it has
// not said.
func waits(stands throwing.Event) float64 { return max(cmp.Or(stands.Times, 1), 0.2) }

// Join joins a device of a kind for a lesson; the one before is let go. It returns a RefusedError where that cannot be.
func (h *Hub) Join(ctx context.Context, kind Kind, address, lesson string) (Equipment, error) {
	h.lock.Lock()
	if before := h.joined[kind]; before != nil && before.Address == address {
		h.leave(kind) // it speaks with one user at a time
	}
	h.lock.Unlock()
	if err := h.dial(ctx, kind, &joined{JoinedDevice: JoinedDevice{Address: address, Lesson: lesson}}); err != nil {
		return Equipment{}, err
	}
	return h.Status(), nil
}

// dial connects to a device, and has it be the one of its kind.
func (h *Hub) dial(ctx context.Context, kind Kind, j *joined) error {
	link, err := Dial(ctx, j.Address)
	if err != nil {
		return RefusedError{err.Error()}
	}
	if err := h.take(kind, link, j); err != nil {
		link.Close()
		return err
	}
	return nil
}

// take has a link be the one of its kind, all at once, and begins to listen to it.
func (h *Hub) take(kind Kind, link *Link, j *joined) error {
	if link.Hello.Is != kind {
		return RefusedError{
			"this is a " + map[Kind]string{Machine: "ball machine", Eye: "eye for landings"}[link.Hello.Is] +
				", not the other one",
		}
	}
	if err := link.Tell(throwing.Command{Do: throwing.State}); err != nil {
		return RefusedError{err.Error()}
	}
	h.lock.Lock()
	defer h.lock.Unlock()
	select {
	case <-h.closed:
		return RefusedError{"the program ends"}
	default:
	}
	h.leave(kind)
	j.link, j.Name, j.Stands = link, link.Hello.Name, throwing.Event{Event: throwing.Reported}
	h.joined[kind] = j
	if kind == Machine {
		h.station = &throwing.Station{}
	}
	go h.listen(kind, link)
	return nil
}

// The simulated devices of the page: a small hopper, so that it is seen running empty.
const (
	simulatedHopper = 60
	simulatedJitter = 0.05
	simulatedSpread = 0.9 // metres
	simulatedFlight = 1.0 // seconds
)

// Simulate starts a simulated device on a free port of this machine, and joins it for a lesson.
func (h *Hub) Simulate(ctx context.Context, kind Kind, lesson string) (Equipment, error) {
	var device Simulated = SimulatedMachine{throwing.NewSimulatedMachine(throwing.Make{Hopper: simulatedHopper,
		Jitter: simulatedJitter, Seed: 1})}
	if kind == Eye {
		device = &SimulatedEye{SimulatedEye: throwing.NewSimulatedEye(simulatedSpread, 1), Flight: simulatedFlight}
	}
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", "127.0.0.1:0")
	if err != nil {
		return Equipment{}, err
	}
	life, stop := context.WithCancel(context.WithoutCancel(ctx))
	go func() { _ = Serve(life, listener, device) }()
	j := &joined{JoinedDevice: JoinedDevice{Address: listener.Addr().String(), Lesson: lesson}, stop: stop}
	if err := h.dial(ctx, kind, j); err != nil {
		stop()
		return Equipment{}, err
	}
	return h.Status(), nil
}

// listen takes in what a device says until it is gone.
func (h *Hub) listen(kind Kind, link *Link) {
	for event := range link.Events() {
		h.lock.Lock()
		if j := h.joined[kind]; j != nil && j.link == link {
			h.heard(kind, j, event)
		}
		h.lock.Unlock()
	}
	h.lock.Lock()
	defer h.lock.Unlock()
	if j := h.joined[kind]; j != nil && j.link == link {
		if kind == Machine {
			h.station.Stop("the machine is lost", h.now())
		}
		// that it is lost is seen from how everything stands
		h.say(SaidEvent{By: kind, Event: throwing.Event{Event: throwing.Reported}})
	}
}

// heard takes in one thing that a device said. The lock is held.
func (h *Hub) heard(kind Kind, j *joined, e throwing.Event) {
	j.take(e)
	said := SaidEvent{By: kind, Event: e}
	if kind == Eye {
		if e.Event == throwing.Landed {
			if to, in, ok := h.station.Booking.Landed(e.Ball, *e.At, h.now()); ok {
				said.To, said.In = &to, in
			}
		}
		h.say(said)
		return
	}
	to, machine, eye := h.station.Said(e, h.now())
	said.To = to
	h.say(said)
	if eyes := h.joined[Eye]; eyes != nil {
		for _, c := range eye {
			_ = eyes.link.Tell(c) // an eye that is lost is told as such
		}
	}
	h.carryOut(machine)
	if !j.Stands.Running {
		h.stopped(j)
	}
}

// take keeps how a device stands.
func (j *joined) take(e throwing.Event) {
	switch e.Event {
	case throwing.Reported:
		j.Stands = e
	case throwing.Thrown:
		j.Stands.N, j.Stands.Left = e.N, e.Left
	case throwing.Landed:
		j.Stands.N = e.N
	case throwing.Empty:
		j.Stands.Left, j.Stands.Running = 0, false
	case throwing.Jam:
		j.Stands.Jammed, j.Stands.Running = true, false
	case throwing.Refused:
	}
}

// say adds an event to what is kept. The lock is held.
func (h *Hub) say(e SaidEvent) {
	h.seq++
	e.Seq = h.seq
	h.said = append(h.said, e)
	if len(h.said) > keptEvents {
		h.said = slices.Delete(h.said, 0, len(h.said)-keptEvents)
	}
	close(h.more)
	h.more = make(chan struct{})
}

// Leave lets a device go, and ends it where it is simulated.
func (h *Hub) Leave(kind Kind) Equipment {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.leave(kind)
	return h.status()
}

// leave lets a device go. The lock is held.
func (h *Hub) leave(kind Kind) {
	j, ok := h.joined[kind]
	if !ok {
		return
	}
	if kind == Machine {
		h.carryOut(h.station.Stop("it was let go", h.now()))
	}
	delete(h.joined, kind)
	j.link.Close()
	if j.stop != nil {
		j.stop()
	}
	h.say(SaidEvent{By: kind, Event: throwing.Event{Event: throwing.Reported}})
}

// LeaveLesson lets go what was joined for a lesson that is over.
func (h *Hub) LeaveLesson(lesson string) {
	h.lock.Lock()
	defer h.lock.Unlock()
	for _, kind := range []Kind{Machine, Eye} {
		if j := h.joined[kind]; j != nil && j.Lesson == lesson {
			h.leave(kind)
		}
	}
}

// Close lets all devices go, and nobody waits for them any more.
func (h *Hub) Close() {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.leave(Machine)
	h.leave(Eye)
	select {
	case <-h.closed:
	default:
		close(h.closed)
	}
}

// Start has the machine throw. It returns ErrNotJoined, or a RefusedError where it must not.
func (h *Hub) Start(order throwing.Order) (Equipment, error) {
	return h.withMachine(func(j *joined) error {
		told, why := h.station.Start(order, h.now())
		if why != "" {
			return RefusedError{why}
		}
		j.Stopped, j.rate = "", order.Program.Rate
		h.carryOut(told)
		return nil
	})
}

// Watched takes in what the page that watches the machine says is on, and whose turn it made it; empty: as it was.
func (h *Hub) Watched(watcher string, on throwing.On, next string) Equipment {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.carryOut(h.station.Heard(watcher, on, next, h.now()))
	return h.status()
}

// Follow takes in what the program's own clock of a lesson says is on.
func (h *Hub) Follow(on throwing.On) {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.carryOut(h.station.Known(on, h.now()))
}

// For is the lesson for which the machine throws now; empty where it does not.
func (h *Hub) For() string {
	h.lock.Lock()
	defer h.lock.Unlock()
	if open, _ := h.station.Guard.Open(); !open {
		return ""
	}
	on, _ := h.station.Guard.For()
	return on.Lesson
}

// Stop has nothing thrown any more, for a reason.
func (h *Hub) Stop(why string) {
	h.lock.Lock()
	defer h.lock.Unlock()
	h.carryOut(h.station.Stop(why, h.now()))
}

// Pause has the machine stand.
func (h *Hub) Pause() (Equipment, error) {
	return h.withMachine(func(j *joined) error {
		h.carryOut(h.station.Stop("it was paused", h.now()))
		return j.link.Tell(throwing.Command{Do: throwing.Pause})
	})
}

// Tell has the machine do something that throws nothing.
func (h *Hub) Tell(c throwing.Command) (Equipment, error) {
	return h.withMachine(func(j *joined) error { return j.link.Tell(c) })
}

func (h *Hub) withMachine(do func(j *joined) error) (Equipment, error) {
	h.lock.Lock()
	defer h.lock.Unlock()
	j, ok := h.joined[Machine]
	if !ok {
		return Equipment{}, ErrNotJoined
	}
	if why := j.link.Why(); why != nil {
		return Equipment{}, RefusedError{why.Error()}
	}
	if err := do(j); err != nil {
		var refused RefusedError
		if !errors.As(err, &refused) {
			err = RefusedError{err.Error()}
		}
		return Equipment{}, err
	}
	return h.status(), nil
}

// Events are what devices said after an event, all of it, each once; less than 0: what comes from now on. Where there
// is nothing it is waited for a while. It returns ctx.Err() when cancelled.
func (h *Hub) Events(ctx context.Context, after int) (SaidEvents, error) {
	wait, cancel := context.WithTimeout(ctx, waitForEvent)
	defer cancel()
	for {
		h.lock.Lock()
		if after < 0 {
			after = h.seq
		}
		list := []SaidEvent{}
		if i := slices.IndexFunc(h.said, func(e SaidEvent) bool { return e.Seq > after }); i >= 0 {
			list = append(list, h.said[i:]...)
		}
		again := h.seq < after // the program was started again
		more, status := h.more, h.status()
		h.lock.Unlock()
		// What is answered and the number to go on from are of one moment: nothing is said between them.
		if len(list) > 0 || again {
			return SaidEvents{status, list}, nil
		}
		select {
		case <-more:
		case <-h.closed:
			return SaidEvents{status, list}, nil
		case <-wait.Done():
			return SaidEvents{status, list}, ctx.Err()
		}
	}
}
