package footwork

import (
	"context"
	"errors"
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// mover is a player on the way through a turn.
type mover struct {
	place   court.Point // where they are from free on
	free    float64     // when they may leave it
	recover court.Point
	runner  Runner
}

// at is where a player is when a new ball asks for them: on the way back, as far as the time allowed.
func (m mover) at(d Drill, p Player, t float64) (court.Point, Route) {
	back := d.way(m.place, m.recover, WayBack)
	gone := back.upTo(p.Metres(t - m.free))
	return gone.Places[len(gone.Places)-1], gone
}

// run plays a turn through.
func (t Timing) run(ctx context.Context, plan []feed.Release, full detail) (Timeline, error) {
	line := Timeline{Worst: Easy, Seconds: t.Pattern.TurnSeconds(), Interceptions: make([]Interception, 0, len(plan))}
	movers := make([]mover, len(t.Starts))
	for i := range movers {
		movers[i] = mover{place: t.Starts[i], free: math.Inf(-1), recover: t.Starts[i]}
	}
	for n, r := range plan {
		if err := ctx.Err(); err != nil {
			return Timeline{}, err
		}
		task := t.Pattern.Tasks[r.Task]
		i := min(task.Player, len(movers)-1)
		var before *Interception
		if n > 0 {
			before = &line.Interceptions[n-1]
		}
		f := t.comes(&r, before, movers[i])
		m := Interception{
			Task:     r.Task,
			Sequence: r.Sequence,
			Player:   i,
			Kind:     task.Kind,
			Label:    string(task.Stroke),
			Meant:    task.Meant,
			Served:   task.Served(),
			Release:  r.At,
			Problem:  f.problem(r.Task),
			Skipped:  errors.Is(f.fails, errNothingToAnswer),
		}
		if m.Kind == "" {
			m.Kind = feed.BallTask
		}
		switch {
		case f.fails != nil:
			m.Verdict, m.Route, m.Trail = OutOfReach, []court.Point{}, []Sample{}
			m.From, _ = movers[i].at(t.Drill, t.player, r.At)
			m.Body, m.Contact = m.From, r.At
		case !task.Kind.Flies():
			t.visit(&movers[i], &m, f.flown)
		default:
			t.intercept(&movers[i], &m, f, full)
		}
		t.recoverFrom(&movers[i], i, r)
		if n+1 < len(plan) && plan[n+1].Sequence > r.Sequence && t.Pattern.Pause > 0 {
			for k := range movers {
				movers[k].recover = t.Starts[k] // the pause leads back to where the sequence begins
			}
		}
		if m.Verdict.Worse(line.Worst) && !m.Meant {
			line.Worst = m.Verdict
		}
		line.Seconds = math.Max(line.Seconds, m.Contact)
		line.Interceptions = append(line.Interceptions, m)
	}
	for _, m := range movers {
		back := t.way(m.place, m.recover, WayBack)
		m.runner.Metres += back.Length
		m.runner.Work += t.player.Seconds(back.Length)
		m.runner.Rest = math.Max(0, line.Seconds-m.runner.Work)
		line.Runners = append(line.Runners, m.runner)
	}
	return line, nil
}

// comes is the ball of a release as it comes to a player. An answer leaves when and where the ball before was met; that
// changes the release.
func (t Timing) comes(r *feed.Release, before *Interception, m mover) *aimed {
	task, place := t.Pattern.Tasks[r.Task], t.placed[r.Task]
	high := 0.0
	if t.Pattern.MethodOf(task) == feed.Answer {
		if before == nil || before.Where == nil {
			return &aimed{flown: flown{task: task, fails: errNothingToAnswer}}
		}
		r.At = before.Contact
		place.from = snapped(court.Point{X: before.Where.X, Y: before.Where.Y})
		high = math.Max(grain, math.Round(before.Where.Z/grain)*grain)
	}
	at, _ := m.at(t.Drill, t.player, r.At)
	s := t.sentTo(*r, place, at, t.player.Hand)
	s.high = high
	return t.ball(s)
}

// errNothingToAnswer is of an answer to a ball that nobody reached.
var errNothingToAnswer = errors.New("the ball before it is not reached")

// recoverFrom says where a player goes after a task: as much of the way back as the pattern wants, nearer to the net
// with the group it lies in.
func (t Timing) recoverFrom(m *mover, i int, r feed.Release) {
	m.recover = t.home(i)
	if own := t.placed[r.Task].recover; own != nil {
		m.recover = *own
	}
	m.recover.Y += t.facing(m.recover) * r.Nearer
	if share := t.Pattern.Back.Share(); share < 1 {
		way := t.way(m.place, m.recover, WayBack)
		m.recover = way.After(share * way.Length)
	}
}

// hurried is how much longer a task without a ball may take than the time there is before it is too much.
const hurried = 1.25

// visit runs to a place that is to be touched, or where a stroke is shadowed, before the next task.
func (t Timing) visit(m *mover, interception *Interception, f flown) {
	const touch, shadow = 0.2, 0.3 // seconds, common practice, no source
	from, back := m.at(t.Drill, t.player, interception.Release)
	run := t.way(from, f.place, WayOut)
	doing := touch
	if f.task.Kind == feed.ShadowTask { // the racket is where the stroke is, and the body a reach away from it
		run, doing = run.upTo(math.Max(0, run.Length-t.player.Reach)), shadow
	}
	at := run.Places[len(run.Places)-1]
	interception.Leaves = math.Max(interception.Release, m.free)
	late := interception.Leaves - interception.Release
	interception.From, interception.Body, interception.Route = from, at, run.Places
	interception.Needed = late + t.player.Seconds(run.Length) + doing
	interception.Available = t.Pattern.GapOf(t.Pattern.Tasks[interception.Task])
	interception.Contact = interception.Release + interception.Needed - doing
	interception.Spare, interception.Metres, interception.Chance,
		interception.Trail = interception.Available-interception.Needed, run.Length+back.Length, 1, []Sample{}
	a := arrival{needed: interception.Needed, reaching: interception.Needed / hurried, available: interception.Available}
	if interception.Verdict = a.verdict(); interception.Verdict == OutOfReach {
		interception.Chance = 0
	}
	m.runner.Metres += interception.Metres
	m.runner.Work += t.player.Seconds(back.Length) + interception.Needed - late
	m.place, m.free = at, interception.Release+interception.Needed
}

// dropped is how long it takes to have the next ball ready and drop it, seconds. Common practice, no source.
const dropped = 0.8

// ready is how long somebody who feeds themselves needs before the next ball leaves their hand, seconds; 0 for a ball
// that comes from elsewhere.
func (d Drill) ready(t feed.Task) float64 {
	switch {
	case d.Pattern.MethodOf(t) != feed.SelfDrop || !t.Kind.Flies():
		return 0
	case t.Served():
		return sports.Of(d.World.Court.Sport).Serving.Ready
	}
	return dropped
}

// intercept runs to a ball.
func (t Timing) intercept(m *mover, interception *Interception, f *aimed, full detail) {
	p, release := t.player, interception.Release
	react := p.Reaction
	if t.Pattern.Known() {
		react *= known
	}
	leaves := math.Max(release+react, m.free)
	// the split step falls where they are when the ball is struck
	from, back := m.at(t.Drill, p, release)
	if t.Pattern.MethodOf(f.task) == feed.SelfDrop && len(f.contacts) > 0 { // they drop it where they stand
		leaves, back = math.Max(release, m.free+t.ready(f.task)), Route{}
		from = t.stand(p, f.contacts[0].at.P, f.task.Stroke)
	}
	interception.Leaves, interception.From = leaves, from
	a, found := t.best(f.contacts, f.task.Stroke, p, from, leaves-release)
	interception.Speed, interception.Apex, interception.Slower = f.launch.Velocity.Norm(), f.path.Top.P.Z, f.slower
	if f.net != nil {
		over := t.World.Clearance(*f.net)
		interception.Clearance = &over
	}
	m.runner.Balls++
	if !found { // nowhere within the player's height
		never := f.path.End() + 9
		a = arrival{body: from, run: straight(from, from), available: f.path.End(), needed: never, reaching: never, loose: 1}
	}
	interception.Verdict = a.verdict()
	interception.How, interception.Late, interception.Loose = a.how, a.late, a.loose
	interception.Contact = release + a.available
	interception.Needed, interception.Available, interception.Spare = a.needed, a.available, a.available-a.needed
	interception.Body, interception.Route = a.body, a.run.Places
	interception.Metres = a.run.Length + back.Length
	if interception.Verdict != OutOfReach {
		interception.Where = sample(a.at, release)
		interception.Incoming = a.at.V.Norm()
		if !f.task.Served() {
			interception.Loose *= t.fierce(f.flown, a.at)
		}
		if f.task.Kind.Struck() {
			interception.Label = t.met(p, f.task.Stroke, a.how, a.at.P.Z)
		}
	}
	if f.bounce != nil && f.bounce.T < a.available {
		interception.Bounce = sample(*f.bounce, release)
	}
	m.runner.Metres += interception.Metres
	m.runner.Work += p.Seconds(back.Length) + math.Min(a.needed, a.available) - (leaves - release)
	m.place, m.free = a.body, interception.Contact
	if interception.Verdict != OutOfReach {
		m.free += follow
		m.runner.Work += follow
	}
	switch {
	case interception.Verdict == OutOfReach:
		interception.Chance = 0
	case full >= reached:
		interception.Chance = t.chance(f, from, leaves-release)
	}
	if full == shown {
		interception.Trail = trail(f.path, release, a.available)
	}
}
