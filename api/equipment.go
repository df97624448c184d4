package api

import (
	"context"
	"net"
	"net/http"
	"slices"
	"sync"
	"time"

	"github.com/google/uuid"

	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/throwing"
	"hodometer/equipment"
)

// Equipment is what is joined to this machine.
type Equipment struct {
	Machine *JoinedDevice `json:"machine" description:"Null where no ball machine is joined"`
	Eye     *JoinedDevice `json:"eye" description:"Null where no eye is joined"`
	Seq     int           `json:"seq" description:"Of the last event"`
}

// JoinedDevice is a ball machine or an eye.
type JoinedDevice struct {
	Name    string         `json:"name"`
	Address string         `json:"address"`
	Stands  throwing.Event `json:"stands" description:"What it said last of how it stands"`
	Lost    string         `json:"lost" description:"Why the connection was lost; empty as long as it stands"`
}

// SaidEvent is one thing that a device said.
type SaidEvent struct {
	Seq   int            `json:"seq" description:"One more each time"`
	By    equipment.Kind `json:"by" enum:"machine,eye"`
	Event throwing.Event `json:"event"`
}

// SaidEvents are what devices said, in order.
type SaidEvents struct {
	Equipment Equipment   `json:"equipment"`
	Events    []SaidEvent `json:"events"`
}

// Joining is where a device is found.
type Joining struct {
	Address string `json:"address" maxLength:"60" description:"On this machine, as 127.0.0.1:7501"`
}

// Telling has a device do something.
type Telling struct {
	Command throwing.Command `json:"command"`
	Lesson  string           `json:"lesson,omitempty" maxLength:"40" description:"Of load: the lesson, and"`
	Block   string           `json:"block,omitempty" maxLength:"40" description:"the block whose drill is to be fed"`
}

// byKind is the parameter of something about one device.
type byKind struct {
	Kind equipment.Kind `param:"kind" path:"kind" enum:"machine,eye"`
}

func (p byKind) check() error {
	if p.Kind != equipment.Machine && p.Kind != equipment.Eye {
		return problem(http.StatusNotFound, "A device is a machine or an eye.")
	}
	return nil
}

// afterEvent is the parameter of what was said after an event.
type afterEvent struct {
	After int `query:"after" minimum:"-1" description:"The last event that is known; -1: what comes from now on"`
}

// How many events are kept, and how long who asks waits for one.
const (
	keptEvents   = 500
	waitForEvent = 8 * time.Second
)

// gear is what is joined, and what it said of late.
type gear struct {
	lock   sync.Mutex
	joined map[equipment.Kind]*joined
	said   []SaidEvent
	seq    int
	more   chan struct{} // closed when something is said, and made anew
	stop   map[equipment.Kind]context.CancelFunc
	closed chan struct{} // the program ends
}

// joined is a device with its link.
type joined struct {
	JoinedDevice
	link *equipment.Link
}

func newGear() *gear {
	return &gear{joined: map[equipment.Kind]*joined{}, more: make(chan struct{}), stop: map[equipment.Kind]context.CancelFunc{}, closed: make(chan struct{})}
}

func (s *server) equipmentRoutes() []Route {
	return []Route{
		route("GET", "/api/equipment", "getEquipment", "Which ball machine and which eye are joined", func(context.Context, None, None) (Equipment, error) {
			return s.gear.stands(), nil
		}).anew(),
		route("PUT", "/api/equipment/:kind", "joinDevice", "Join a ball machine or an eye that listens on this machine", func(ctx context.Context, p byKind, body Joining) (Equipment, error) {
			if err := p.check(); err != nil {
				return Equipment{}, err
			}
			return s.gear.join(ctx, p.Kind, body.Address)
		}),
		route("DELETE", "/api/equipment/:kind", "leaveDevice", "Let a device go", func(_ context.Context, p byKind, _ None) (Equipment, error) {
			s.gear.leave(p.Kind)
			return s.gear.stands(), nil
		}),
		route("POST", "/api/equipment/:kind/simulated", "simulateDevice", "Start a simulated device, and join it", func(ctx context.Context, p byKind, _ None) (Equipment, error) {
			if err := p.check(); err != nil {
				return Equipment{}, err
			}
			return s.gear.simulate(ctx, p.Kind)
		}),
		route("POST", "/api/equipment/:kind/told", "tellDevice", "Have a device do something", s.tell),
		route("GET", "/api/equipment/events", "listEvents", "What devices said after an event; where there is nothing it is waited for a while", s.events).anew(),
	}
}

// stands is how everything stands.
func (g *gear) stands() Equipment {
	g.lock.Lock()
	defer g.lock.Unlock()
	e := Equipment{Seq: g.seq}
	of := func(kind equipment.Kind) *JoinedDevice {
		j, ok := g.joined[kind]
		if !ok {
			return nil
		}
		d := j.JoinedDevice
		if why := j.link.Why(); why != nil {
			d.Lost = why.Error()
		}
		return &d
	}
	e.Machine, e.Eye = of(equipment.Machine), of(equipment.Eye)
	return e
}

// join joins a device of a kind; the one before is let go.
func (g *gear) join(ctx context.Context, kind equipment.Kind, address string) (Equipment, error) {
	wrong := func(why string) (Equipment, error) {
		return Equipment{}, invalid.Fields{{Path: "address", Message: why}}
	}
	link, err := equipment.Dial(ctx, address)
	if err != nil {
		return wrong(err.Error())
	}
	if link.Hello.Is != kind {
		link.Close()
		return wrong("this is a " + map[equipment.Kind]string{equipment.Machine: "ball machine", equipment.Eye: "eye for landings"}[link.Hello.Is] + ", not the other one")
	}
	g.leave(kind)
	g.lock.Lock()
	g.joined[kind] = &joined{JoinedDevice{Name: link.Hello.Name, Address: address, Stands: throwing.Event{Event: throwing.Stands}}, link}
	g.lock.Unlock()
	go g.listen(kind, link)
	if err := link.Tell(throwing.Command{Do: throwing.State}); err != nil {
		return wrong(err.Error())
	}
	return g.stands(), nil
}

// listen takes in what a device says until it is gone.
func (g *gear) listen(kind equipment.Kind, link *equipment.Link) {
	for event := range link.Events() {
		g.lock.Lock()
		if j := g.joined[kind]; j != nil && j.link == link {
			j.take(event)
		}
		g.say(kind, event)
		g.lock.Unlock()
	}
	g.lock.Lock()
	g.say(kind, throwing.Event{Event: throwing.Stands}) // that it is lost is seen from how everything stands
	g.lock.Unlock()
}

// take keeps how a device stands.
func (j *joined) take(e throwing.Event) {
	switch e.Event {
	case throwing.Stands:
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
func (g *gear) say(kind equipment.Kind, e throwing.Event) {
	g.seq++
	g.said = append(g.said, SaidEvent{g.seq, kind, e})
	if len(g.said) > keptEvents {
		g.said = slices.Delete(g.said, 0, len(g.said)-keptEvents)
	}
	close(g.more)
	g.more = make(chan struct{})
}

// leave lets a device go, and ends it where it is simulated.
func (g *gear) leave(kind equipment.Kind) {
	g.lock.Lock()
	defer g.lock.Unlock()
	if j, ok := g.joined[kind]; ok {
		j.link.Close()
		delete(g.joined, kind)
	}
	if stop, ok := g.stop[kind]; ok {
		stop()
		delete(g.stop, kind)
	}
}

// close lets all devices go, and nobody waits for them any more.
func (g *gear) close() {
	g.leave(equipment.Machine)
	g.leave(equipment.Eye)
	g.lock.Lock()
	defer g.lock.Unlock()
	select {
	case <-g.closed:
	default:
		close(g.closed)
	}
}

// The simulated devices of the page: a small hopper, so that it is seen running empty.
const (
	simulatedHopper = 60
	simulatedJitter = 0.05
	simulatedSpread = 0.9 // metres
	simulatedFlight = 1.0 // seconds
)

// simulate starts a simulated device on a free port of this machine, and joins it.
func (g *gear) simulate(ctx context.Context, kind equipment.Kind) (Equipment, error) {
	var device equipment.Simulated = equipment.SimulatedMachine{Machine: throwing.NewMachine(throwing.Make{Hopper: simulatedHopper, Jitter: simulatedJitter, Seed: 1})}
	if kind == equipment.Eye {
		device = &equipment.SimulatedEye{Eye: throwing.NewEye(simulatedSpread, 1), Flight: simulatedFlight}
	}
	listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", "127.0.0.1:0")
	if err != nil {
		return Equipment{}, err
	}
	life, stop := context.WithCancel(context.WithoutCancel(ctx))
	go func() { _ = equipment.Serve(life, listener, device) }()
	e, err := g.join(ctx, kind, listener.Addr().String())
	if err != nil {
		stop()
		return e, err
	}
	g.lock.Lock()
	g.stop[kind] = stop
	g.lock.Unlock()
	return e, nil
}

func (s *server) tell(ctx context.Context, p byKind, body Telling) (Equipment, error) {
	s.gear.lock.Lock()
	j, ok := s.gear.joined[p.Kind]
	s.gear.lock.Unlock()
	if !ok {
		return Equipment{}, problem(http.StatusConflict, "It is not joined any more.")
	}
	if body.Command.Do == throwing.Load && body.Command.Program == nil {
		program, err := s.program(ctx, body.Lesson, body.Block)
		if err != nil {
			return Equipment{}, err
		}
		body.Command.Program = &program
	}
	if err := j.link.Tell(body.Command); err != nil {
		return Equipment{}, problem(http.StatusConflict, err.Error())
	}
	return s.gear.stands(), nil
}

// program is what feeds the drill of a block.
func (s *server) program(ctx context.Context, id, blockID string) (throwing.Program, error) {
	if _, err := uuid.Parse(id); err != nil {
		return throwing.Program{}, invalid.Fields{{Path: "lesson", Message: "say of which lesson"}}
	}
	record, err := s.store.Lessons.Get(ctx, id)
	if err != nil {
		return throwing.Program{}, err
	}
	in, err := s.inputs(ctx, record.Document)
	if err != nil {
		return throwing.Program{}, err
	}
	at := slices.IndexFunc(record.Document.Blocks, func(b lesson.Block) bool { return b.ID == blockID })
	if at < 0 {
		return throwing.Program{}, invalid.Fields{{Path: "block", Message: "this block is not in the lesson any more"}}
	}
	block := record.Document.Blocks[at]
	d, known := in.Drills[block.Plays()]
	there := in.In(block)
	if !known || len(there) == 0 {
		return throwing.Program{}, invalid.Fields{{Path: "block", Message: "no drill is played in this block"}}
	}
	mine := block.DrillFor(d, there[0])
	return throwing.Of(ctx, mine, mine.PlayerFor(mine.Written(), there[0].Profile.Hand), in.Settings)
}

func (s *server) events(ctx context.Context, p afterEvent, _ None) (SaidEvents, error) {
	wait, cancel := context.WithTimeout(ctx, waitForEvent)
	defer cancel()
	for {
		s.gear.lock.Lock()
		if p.After < 0 {
			p.After = s.gear.seq
		}
		i := slices.IndexFunc(s.gear.said, func(e SaidEvent) bool { return e.Seq > p.After })
		var list []SaidEvent
		if i >= 0 {
			list = slices.Clone(s.gear.said[i:])
		}
		again := s.gear.seq < p.After // the program was started again
		more := s.gear.more
		s.gear.lock.Unlock()
		if len(list) > 0 || again {
			return SaidEvents{s.gear.stands(), append([]SaidEvent{}, list...)}, nil
		}
		select {
		case <-more:
		case <-s.gear.closed:
			return SaidEvents{s.gear.stands(), []SaidEvent{}}, nil
		case <-wait.Done():
			return SaidEvents{s.gear.stands(), []SaidEvent{}}, ctx.Err()
		}
	}
}
