package footwork

import (
	"context"
	"math"

	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/flight"
)

// Sample is a ball at a moment of a timeline.
type Sample struct {
	T float64 `json:"t" description:"Seconds after the turn begins"`
	X float64 `json:"x"`
	Y float64 `json:"y"`
	Z float64 `json:"z" description:"Metres above the court"`
}

// Interception is one task of a turn as it is worked out. Times are seconds after the turn begins.
type Interception struct {
	Task     int       `json:"task" description:"In the pattern, from 0"`
	Sequence int       `json:"sequence"`
	Player   int       `json:"player"`
	Kind     feed.Kind `json:"kind"`
	Label    string    `json:"label"`
	Meant    bool      `json:"meant" description:"The coach means it to be too much"`

	Release   float64       `json:"release"`
	Speed     float64       `json:"speed" description:"As the ball leaves, m/s"`
	Apex      float64       `json:"apex" description:"Highest point before the bounce, metres"`
	Clearance *float64      `json:"clearance" description:"Over the net, metres; null where it does not cross it"`
	Bounce    *Sample       `json:"bounce" description:"Null where it does not bounce before it is met"`
	Slower    bool          `json:"slower" description:"It comes slower than its pace, so that it clears the net"`
	Contact   float64       `json:"contact"`
	Where     *Sample       `json:"where" description:"Where the ball is met; null where there is no ball, or it is out of reach"`
	How       feed.Moment   `json:"how,omitempty"`
	Late      bool          `json:"late" description:"Met later than was wanted, since there was no time"`
	Leaves    float64       `json:"leaves" description:"When the player starts to run"`
	From      court.Point   `json:"from" description:"Where the player is then"`
	Body      court.Point   `json:"body" description:"Where the player meets it, or gets to"`
	Route     []court.Point `json:"route"`
	Metres    float64       `json:"metres" description:"Run for it, and back from the one before"`
	Needed    float64       `json:"needed" description:"Seconds from the release that it takes in comfort"`
	Available float64       `json:"available" description:"Seconds from the release that there are"`
	Spare     float64       `json:"spare"`
	Verdict   Verdict       `json:"verdict"`
	Chance    float64       `json:"chance" description:"How often it is reached with the feeder's own scatter"`
	Trail     []Sample      `json:"trail" description:"The ball until it is met"`
	Problem   string        `json:"problem" description:"Why it cannot be fed; empty where it can"`
}

// Runner is what one live player does in a turn.
type Runner struct {
	Metres float64 `json:"metres"`
	Work   float64 `json:"work" description:"Seconds running and striking"`
	Rest   float64 `json:"rest" description:"The other seconds of the turn"`
	Balls  int     `json:"balls"`
}

// Timeline is one turn of a pattern.
type Timeline struct {
	Interceptions []Interception `json:"interceptions"`
	Runners       []Runner       `json:"runners"`
	Seconds       float64        `json:"seconds" description:"The turn with its pauses"`
	Worst         Verdict        `json:"worst" description:"The hardest verdict that is not meant"`
}

// mover is a player on the way through a turn.
type mover struct {
	place   court.Point // where they are from free on
	free    float64     // when they may leave it
	recover court.Point
	runner  Runner
}

// at is where a player is when a new ball asks for them: on the way back, as far as the time allowed.
func (m mover) at(d Drill, p Player, t float64) (court.Point, Route) {
	back := ShortestRoute(m.place, m.recover, d.Obstacles)
	gone := back.upTo(p.Metres(t - m.free))
	return gone.Places[len(gone.Places)-1], gone
}

// Timing is a pattern with every ball aimed and followed, which can be run at any tempo.
type Timing struct {
	Drill
	player   Player
	flown    []flown
	contacts [][]contact    // of each task
	varied   [][3][]contact // the same with a launch one standard deviation off, for the feeder's scatter
}

// Timing aims and follows every ball of a pattern once. Several live players are alike. The error is that
// of the context, or lists fields; a ball that cannot be fed is told in its interception.
func (d Drill) Timing(ctx context.Context, p Player) (Timing, error) {
	t := Timing{Drill: d, player: p}
	if d.Pattern.Rally != nil {
		return t, nil // each of its balls depends on the one before
	}
	var err error
	if t.flown, err = d.feeds(ctx); err != nil {
		return Timing{}, err
	}
	t.contacts, t.varied = make([][]contact, len(t.flown)), make([][3][]contact, len(t.flown))
	coarse := d.World
	coarse.Coarse = true
	for i, f := range t.flown {
		if f.fails != nil || !f.task.Kind.Flies() {
			continue
		}
		t.contacts[i] = d.contacts(f, f.path, p)
		if d.Scatter == nil { // every ball as it is meant
			t.varied[i] = [3][]contact{t.contacts[i], t.contacts[i], t.contacts[i]}
			continue
		}
		for k, launch := range f.launch.Varied(d.Scatter[d.Pattern.MethodOf(f.task)]) {
			t.varied[i][k] = d.contacts(f, coarse.Follow(launch, 2), p)
		}
	}
	return t, nil
}

// Turn works out one turn.
func (t Timing) Turn(ctx context.Context, turn int) (Timeline, error) {
	if t.Pattern.Rally != nil {
		return t.rally(ctx, t.player)
	}
	plan, err := t.Pattern.PlanTurn(ctx, turn)
	if err != nil {
		return Timeline{}, err
	}
	return t.run(ctx, plan, true)
}

// run plays a turn through. In full, it also says how often each ball is reached, and where it flew.
func (t Timing) run(ctx context.Context, plan []feed.Release, full bool) (Timeline, error) {
	line := Timeline{Worst: Easy, Seconds: t.Pattern.TurnSeconds(), Interceptions: make([]Interception, 0, len(plan))}
	movers := make([]mover, len(t.Starts))
	for i := range movers {
		movers[i] = mover{place: t.Starts[i], free: math.Inf(-1), recover: t.Starts[i]}
	}
	for n, r := range plan {
		if err := ctx.Err(); err != nil {
			return Timeline{}, err
		}
		f := t.flown[r.Task]
		i := min(f.task.Player, len(movers)-1)
		m := Interception{Task: r.Task, Sequence: r.Sequence, Player: i, Kind: f.task.Kind, Label: string(f.task.Stroke), Meant: f.task.Meant, Release: r.At, Problem: f.problem(r.Task)}
		if m.Kind == "" {
			m.Kind = feed.BallTask
		}
		switch {
		case f.fails != nil:
			m.Verdict, m.Route, m.Trail = OutOfReach, []court.Point{}, []Sample{}
			m.From, _ = movers[i].at(t.Drill, t.player, r.At)
			m.Body = m.From
		case !f.task.Kind.Flies():
			t.visit(&movers[i], &m, f)
		default:
			t.intercept(&movers[i], &m, r, full)
		}
		t.recoverFrom(&movers[i], i, f)
		if n+1 < len(plan) && plan[n+1].Sequence > r.Sequence && t.Pattern.Pause > 0 {
			movers[i].recover = t.Starts[i] // the pause leads back to where the sequence begins
		}
		if m.Verdict.Worse(line.Worst) && !m.Meant {
			line.Worst = m.Verdict
		}
		line.Interceptions = append(line.Interceptions, m)
	}
	for _, m := range movers {
		back := ShortestRoute(m.place, m.recover, t.Obstacles)
		m.runner.Metres += back.Length
		m.runner.Work += t.player.Seconds(back.Length)
		m.runner.Rest = math.Max(0, line.Seconds-m.runner.Work)
		line.Runners = append(line.Runners, m.runner)
	}
	return line, nil
}

// recoverFrom says where a player goes after a task.
func (t Timing) recoverFrom(m *mover, i int, f flown) {
	switch {
	case f.task.Recover != nil:
		if at, err := t.World.Court.Resolve(*f.task.Recover); err == nil {
			m.recover = at
		}
	case i < len(t.Recovery):
		m.recover = t.Recovery[i]
	default:
		m.recover = t.Starts[i]
	}
}

// visit runs to a place that is to be touched, or where a stroke is shadowed, before the next task.
func (t Timing) visit(m *mover, interception *Interception, f flown) {
	const touch, shadow = 0.2, 0.35 // seconds, common practice, no source
	const hurried = 1.25            // a task may take so much longer than the time there is before it is too much
	from, back := m.at(t.Drill, t.player, interception.Release)
	run := ShortestRoute(from, f.place, t.Obstacles)
	doing := touch
	if f.task.Kind == feed.ShadowTask {
		doing = shadow
	}
	interception.Leaves = math.Max(interception.Release, m.free)
	late := interception.Leaves - interception.Release
	interception.From, interception.Body, interception.Route = from, f.place, run.Places
	interception.Needed = late + t.player.Seconds(run.Length) + doing
	interception.Available = t.Pattern.GapOf(f.task)
	interception.Contact = interception.Release + interception.Needed - doing
	interception.Spare, interception.Metres, interception.Chance, interception.Trail = interception.Available-interception.Needed, run.Length+back.Length, 1, []Sample{}
	a := arrival{needed: interception.Needed, reaching: interception.Needed / hurried, available: interception.Available}
	if interception.Verdict = a.verdict(); interception.Verdict == OutOfReach {
		interception.Chance = 0
	}
	m.runner.Metres += interception.Metres
	m.runner.Work += t.player.Seconds(back.Length) + interception.Needed - late
	m.place, m.free = f.place, interception.Release+interception.Needed
}

// intercept runs to a ball.
func (t Timing) intercept(m *mover, interception *Interception, r feed.Release, full bool) {
	f, p := t.flown[r.Task], t.player
	react := p.Reaction
	if t.Pattern.Order == "" || t.Pattern.Order == feed.AsListed {
		react *= known
	}
	leaves := math.Max(r.At+react, m.free)
	from, back := m.at(t.Drill, p, leaves)
	if contacts := t.contacts[r.Task]; t.Pattern.MethodOf(f.task) == feed.SelfDrop && len(contacts) > 0 { // they drop it where they stand
		leaves, back = r.At, Route{}
		from = p.stand(contacts[0].at.P, f.task.Stroke, 1)
	}
	interception.Leaves, interception.From = leaves, from
	a, found := t.best(t.contacts[r.Task], f.task.Stroke, p, from, leaves-r.At)
	interception.Speed, interception.Apex, interception.Slower = f.launch.Velocity.Norm(), f.path.Top.P.Z, f.slower
	if f.net != nil {
		over := t.World.Clearance(*f.net)
		interception.Clearance = &over
	}
	m.runner.Balls++
	if !found { // nowhere within the player's height
		never := f.path.End() + 9
		a = arrival{body: from, run: straight(from, from), available: f.path.End(), needed: never, reaching: never}
	}
	interception.Verdict = a.verdict()
	interception.How, interception.Late = a.how, a.late
	interception.Contact = r.At + a.available
	interception.Needed, interception.Available, interception.Spare = a.needed, a.available, a.available-a.needed
	interception.Body, interception.Route = a.body, a.run.Places
	interception.Metres = a.run.Length + back.Length
	if interception.Verdict != OutOfReach {
		interception.Where = sample(a.at, r.At)
	}
	if f.bounce != nil && f.bounce.T < a.available {
		interception.Bounce = sample(*f.bounce, r.At)
	}
	m.runner.Metres += interception.Metres
	m.runner.Work += p.Seconds(back.Length) + math.Min(a.needed, a.available) - (leaves - r.At)
	m.place, m.free = a.body, interception.Contact
	if interception.Verdict != OutOfReach {
		m.free += follow
		m.runner.Work += follow
	}
	if full {
		interception.Chance = t.chance(r.Task, from, leaves-r.At)
		interception.Trail = trail(f.path, r.At, a.available)
	}
}

func sample(s flight.State, from float64) *Sample {
	mm := func(v float64) float64 { return math.Round(v*1000) / 1000 }
	return &Sample{mm(from + s.T), mm(s.P.X), mm(s.P.Y), mm(s.P.Z)}
}

// trail is the ball every 40 ms until it is met.
func trail(path flight.Path, from, until float64) []Sample {
	const every = 0.04
	list := make([]Sample, 0, int(until/every)+2)
	for t := 0.0; t < until; t += every {
		list = append(list, *sample(path.At(t), from))
	}
	return append(list, *sample(path.At(until), from))
}

// chance is how often a ball is reached when the feeder scatters: the time to spare in a lunge is taken
// as normal, with the slopes of its three causes.
func (t Timing) chance(task int, from court.Point, leaves float64) float64 {
	stroke := t.flown[task].task.Stroke
	if len(t.contacts[task]) == 0 {
		return 0
	}
	spare, variance := t.lunge(t.contacts[task], stroke, from, leaves), 0.0
	for _, list := range t.varied[task] {
		if len(list) > 0 {
			change := t.lunge(list, stroke, from, leaves) - spare
			variance += change * change
		}
	}
	if variance < 1e-12 {
		if spare >= 0 {
			return 1
		}
		return 0
	}
	return 0.5 * math.Erfc(-spare/math.Sqrt(2*variance))
}

// lunge is the most time to spare with which a ball is reached at all.
func (t Timing) lunge(list []contact, stroke feed.Stroke, from court.Point, leaves float64) float64 {
	most := math.Inf(-1)
	for _, c := range list {
		a := t.arrive(c, stroke, t.player, from, leaves)
		most = math.Max(most, a.available-a.reaching)
	}
	return most
}
