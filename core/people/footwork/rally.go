package footwork

import (
	"context"
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// rally plays out a rally in which each reply is the next feed. The student is player 0; at the other end
// is player 1, or players 1 and 2, each on their own side. It ends at a ball that nobody reaches.
func (d Drill) rally(ctx context.Context, p Player) (Timeline, error) {
	r := *d.Pattern.Rally
	movers := d.rallyPlayers(r)
	homes := make([]court.Point, len(movers))
	for i, m := range movers {
		homes[i] = m.recover
	}
	line := Timeline{Worst: Easy, Interceptions: []Interception{}}
	striker := 0
	ball := flight.Above(
		court.Point{X: p.right() * d.World.Court.Singles / 4, Y: d.Starts[0].Y},
		feed.Live.Height(sports.Of(d.World.Court.Sport)),
	)
	now := 0.0
	for shot := range r.Shots {
		if err := ctx.Err(); err != nil {
			return Timeline{}, err
		}
		rule := r.Near
		if striker > 0 {
			rule = r.Far
		}
		landing := d.reply(r, rule, ball, striker == 0, shot, p)
		f := flown{task: feed.Task{Pace: r.Pace, Stroke: sports.Forehand}, place: landing}
		f.moment = f.task.Moment(d.World.Ball)
		receiver := d.receiver(r, striker, landing)
		m := Interception{
			Task:    shot,
			Player:  receiver,
			Kind:    feed.BallTask,
			Release: now,
			Chance:  1,
			How:     f.moment,
			Route:   []court.Point{},
			Trail:   []Sample{},
		}
		if f.launch, f.fails = d.shot(f.task, ball, landing); f.fails != nil {
			m.Problem, m.Verdict, m.Chance = f.problem(shot), OutOfReach, 0
			line.Interceptions, line.Worst = append(line.Interceptions, m), OutOfReach
			break
		}
		f.follow(d.World)
		who := &movers[receiver]
		waits, _ := who.at(d, p, now)
		if d.onForehand(p, waits, ball, landing, receiver == 0) {
			m.Label = string(sports.Forehand)
		} else {
			m.Label, f.task.Stroke = string(sports.Backhand), sports.Backhand
		}
		t := Timing{Drill: d, player: p}
		t.intercept(who, &m, &aimed{flown: f, contacts: d.contacts(f, f.path, p)}, bare)
		m.Trail = trail(f.path, now, m.Contact-now)
		line.Interceptions = append(line.Interceptions, m)
		if m.Verdict.Worse(line.Worst) {
			line.Worst = m.Verdict
		}
		now = m.Contact
		if m.Where == nil {
			break
		}
		next := r.Near
		if receiver > 0 {
			next = r.Far
		}
		met := flight.Vec{X: m.Where.X, Y: m.Where.Y, Z: m.Where.Z}
		movers[striker].recover = d.base(homes[striker], m.Where, d.reply(r, next, met, receiver == 0, shot+1, p), r)
		ball, striker = flight.Vec{X: m.Where.X, Y: m.Where.Y, Z: m.Where.Z}, receiver
	}
	line.Seconds = now + d.Pattern.Pause
	for _, m := range movers {
		m.runner.Rest = math.Max(0, line.Seconds-m.runner.Work)
		line.Runners = append(line.Runners, m.runner)
	}
	return line, nil
}

// base is where a player waits for a ball that is struck at one place and lands at another: half-way from home to where
// its way comes to that depth, since the rest of the court is not given up (own choice, no source). Two at one end wait
// each at their own place; where walls send the ball back, everybody waits in the middle of the court.
func (d Drill) base(home court.Point, ball *Sample, landing court.Point, r feed.Rally) court.Point {
	const share = 0.5
	along := landing.Y - ball.Y
	if d.Middle || !d.World.Court.HasNet() || r.Pair && home.Y*d.Starts[0].Y < 0 || math.Abs(along) < grain {
		return home
	}
	wide := d.World.Court.Singles/2 - home.X
	comes := ball.X + (landing.X-ball.X)*(home.Y-ball.Y)/along - home.X
	return court.Point{X: home.X + share*math.Max(-wide, math.Min(comes, wide)), Y: home.Y}
}

// rallyPlayers are the student and the one or two at the other end, each at the place to which they return.
func (d Drill) rallyPlayers(r feed.Rally) []mover {
	home := d.Starts[0]
	if len(d.Recovery) > 0 {
		home = d.Recovery[0]
	}
	movers := []mover{{place: d.Starts[0], recover: home}}
	at := []court.Point{d.Feeder}
	if r.Pair {
		x := d.World.Court.Singles / 4
		at = []court.Point{{X: -x, Y: d.Feeder.Y}, {X: x, Y: d.Feeder.Y}}
	}
	for _, place := range at {
		movers = append(movers, mover{place: place, recover: place})
	}
	return movers
}

// receiver is who plays a ball next.
func (d Drill) receiver(r feed.Rally, striker int, landing court.Point) int {
	switch {
	case striker > 0:
		return 0
	case r.Pair && landing.X > 0:
		return 2
	}
	return 1
}

// reply is where a ball is sent by a rule. From the very middle it goes where it goes from the side of the right hand
// of a right-hander, and the other way of a left-hander.
func (d Drill) reply(r feed.Rally, rule feed.Direction, from flight.Vec, near bool, shot int, p Player) court.Point {
	c := d.World.Court
	side := math.Copysign(1, from.X)
	if from.X == 0 {
		side = p.right()
	}
	landing := court.Point{X: side * (c.Singles/2 - r.Wide), Y: c.Length/2 - r.Deep}
	if !near || !c.HasNet() {
		landing.Y = -landing.Y
	}
	switch rule {
	case feed.CrossCourt:
		landing.X = -landing.X
	case feed.Alternate:
		if shot/2%2 == 0 {
			landing.X = -landing.X
		}
	case feed.ToTheMiddle:
		landing.X = 0
	}
	return landing
}

// onForehand says on which side of a player who waits at a place a ball comes: by where its way passes that place, or,
// where walls send it back, by where it lands. One straight at them is a forehand (common practice, no source).
func (d Drill) onForehand(p Player, at court.Point, from flight.Vec, landing court.Point, near bool) bool {
	comes := landing.X
	if along := landing.Y - from.Y; d.World.Court.HasNet() && math.Abs(along) >= grain {
		comes = from.X + (landing.X-from.X)*(at.Y-from.Y)/along
	}
	aside := p.right() * (comes - at.X)
	if !near && d.World.Court.HasNet() {
		aside = -aside
	}
	return aside > -1e-6
}
