package footwork

import (
	"context"
	"math"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// placed are the places of one task of a pattern, as they are written.
type placed struct {
	landing, from court.Point
	recover       *court.Point
}

// places resolves the places of every task. The error lists fields.
func (d Drill) places() ([]placed, error) {
	list := make([]placed, len(d.Pattern.Tasks))
	for i, t := range d.Pattern.Tasks {
		p := placed{from: d.Feeder}
		var err error
		if p.landing, err = d.World.Court.Resolve(t.Landing); err != nil {
			return nil, under(i, "landing", err)
		}
		if t.From != nil {
			if p.from, err = d.World.Court.Resolve(*t.From); err != nil {
				return nil, under(i, "from", err)
			}
		}
		if t.Recover != nil {
			at, err := d.World.Court.Resolve(*t.Recover)
			if err != nil {
				return nil, under(i, "recover", err)
			}
			p.recover = &at
		}
		list[i] = p
	}
	return list, nil
}

// facing is the way along the court in which somebody at a place looks: 1 or -1.
func (d Drill) facing(at court.Point) float64 {
	if at.Y > 0 && d.World.Court.HasNet() {
		return -1
	}
	return 1
}

// sent is how the ball of a task comes: from where, how high above the court it leaves (0: as usual), and where to. Of
// a touch or a shadow stroke it is the place itself.
type sent struct {
	task     int
	from, to court.Point
	high     float64
}

// What is the same to a player is the same ball: places that come about in play are kept to this many metres, and the
// landings in an area to this many each way.
const (
	grain = 0.05
	cells = 5
)

func snapped(p court.Point) court.Point {
	return court.Point{X: math.Round(p.X/grain) * grain, Y: math.Round(p.Y/grain) * grain}
}

// sentTo is how the ball of a release comes to a player who stands at a place.
func (d Drill) sentTo(r feed.Release, p placed, at court.Point, hand student.Hand) sent {
	task := d.Pattern.Tasks[r.Task]
	s := sent{task: r.Task, from: p.from, to: p.landing}
	s.to.Y += d.facing(p.landing) * r.Nearer
	if a := task.Area; a != nil {
		middle := func(share float64) float64 { return (math.Floor(share*cells)+0.5)/cells - 0.5 }
		across := middle(r.Within[0]) * a.Wide
		if hand == student.LeftHand {
			across = -across // the mirrored turn
		}
		s.to.X += across
		s.to.Y += middle(r.Within[1]) * a.Deep
	}
	if task.Toward != "" {
		s.to = snapped(d.toward(task.Toward, s, at, hand))
	}
	return s
}

// toward is where a ball lands that comes at somebody: on the straight way from where it is struck, as deep as it says,
// and at the feet right in front of them. How far the crossover point is from the middle of the body is common
// practice, no source.
func (d Drill) toward(part feed.Body, s sent, at court.Point, hand student.Hand) court.Point {
	const inFront, crossover = 0.3, 0.2 // metres
	facing := d.facing(at)
	switch part {
	case feed.TheFeet:
		s.to.Y = at.Y + facing*inFront
	case feed.TheCrossover:
		side := facing
		if hand == student.LeftHand {
			side = -side
		}
		at.X += side * crossover
	}
	if along := at.Y - s.from.Y; math.Abs(along) > grain {
		at.X = s.from.X + (at.X-s.from.X)*(s.to.Y-s.from.Y)/along
	}
	return court.Point{X: at.X, Y: s.to.Y}
}

// flown is one ball as it flies.
type flown struct {
	task   feed.Task
	moment feed.Moment
	place  court.Point // of a touch or a shadow stroke, else where the ball lands
	launch flight.Launch
	path   flight.Path
	net    *flight.State
	bounce *flight.State
	slower bool // than its pace, to clear the net
	fails  error
}

// fly lets the ball of a task fly as it is sent. A ball that cannot be played has its error.
func (d Drill) fly(s sent) flown {
	task := d.Pattern.Tasks[s.task]
	f := flown{task: task, moment: task.Moment(d.World.Ball), place: s.to}
	if !task.Kind.Flies() {
		return f
	}
	if d.Pattern.MethodOf(task) == feed.Answer {
		sends := task
		sends.Stroke = d.Pattern.Tasks[max(0, s.task-1)].Stroke // it is the stroke before that sends it
		f.launch, f.fails = d.shot(sends, flight.Above(s.from, s.high), s.to)
	} else {
		f.launch, f.slower, f.fails = d.fed(task, s.from, s.to)
	}
	if f.fails == nil {
		f.follow(d.World)
	}
	return f
}

// follow lets the ball fly as it was launched.
func (f *flown) follow(w flight.World) {
	f.path = w.Follow(f.launch, 2)
	if s, ok := f.path.First(flight.OverNet); ok {
		f.net = &s
	}
	if s, ok := f.path.Bounce(0); ok {
		f.bounce = &s
	}
}

// Way is from where to where a ball of a pattern goes.
type Way struct{ From, To court.Point }

// Ways are the ways of the balls of a pattern as it is written: to players who wait at their places, in the middle of
// an area, and of an answer from where the ball before lands. The error lists fields.
func (d Drill) Ways() ([]Way, error) {
	places, err := d.places()
	if err != nil {
		return nil, err
	}
	list := make([]Way, len(places))
	for i, p := range places {
		task := d.Pattern.Tasks[i]
		if i > 0 && d.Pattern.MethodOf(task) == feed.Answer {
			p.from = list[i-1].To
		}
		s := d.sentTo(feed.Release{Task: i, Within: [2]float64{0.5, 0.5}}, p, d.home(task.Player), student.RightHand)
		if d.Pattern.MethodOf(task) == feed.SelfDrop {
			s.from = s.to // nobody feeds it
		}
		list[i] = Way{s.from, s.to}
	}
	return list, nil
}

// atRest lets every ball of a pattern fly on its way as it is written.
func (d Drill) atRest(ctx context.Context) ([]flown, error) {
	ways, err := d.Ways()
	if err != nil {
		return nil, err
	}
	list := make([]flown, len(ways))
	for i, way := range ways {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		s := sent{task: i, from: way.From, to: way.To}
		if d.Pattern.MethodOf(d.Pattern.Tasks[i]) == feed.Answer {
			s.high = feed.Live.Height(sports.Of(d.World.Court.Sport))
		}
		list[i] = d.fly(s)
	}
	return list, nil
}

// home is where a player waits.
func (d Drill) home(player int) court.Point {
	if player < len(d.Recovery) {
		return d.Recovery[player]
	}
	return d.Starts[min(player, len(d.Starts)-1)]
}
