package footwork

import (
	"context"
	"errors"
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
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
	Served    bool          `json:"served" description:"The player's own toss"`
	Incoming  float64       `json:"incoming" description:"How fast it comes in where it is met, m/s"`
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
	Loose     float64       `json:"loose" description:"How much more the reply scatters than at ease: for hurry, a late or a low contact, and a ball that comes in fast or with spin; 1 at ease"`
	Trail     []Sample      `json:"trail" description:"The ball until it is met"`
	Problem   string        `json:"problem" description:"Why it cannot be fed; empty where it can"`
	Skipped   bool          `json:"skipped" description:"It would answer a ball that nobody reached, and is not played"`
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
	back := d.way(m.place, m.recover, WayBack)
	gone := back.upTo(p.Metres(t - m.free))
	return gone.Places[len(gone.Places)-1], gone
}

// aimed is a ball with the ways of meeting it.
type aimed struct {
	flown
	contacts []contact
	// the same with a launch one standard deviation off, for the feeder's scatter; worked out when asked for
	varied *[3][]contact
}

// Timing is a pattern with its places, which can be run at any tempo. Every ball is aimed and followed once.
type Timing struct {
	Drill
	player Player
	placed []placed
	aimed  map[sent]*aimed
}

// Timing resolves the places of a pattern. Several live players are alike. The error lists fields; a ball that cannot
// be fed is told in its interception.
func (d Drill) Timing(ctx context.Context, p Player) (Timing, error) {
	d.Power = p.Power
	t := Timing{Drill: d, player: p, aimed: map[sent]*aimed{}}
	if d.Pattern.Rally != nil {
		return t, nil // each of its balls depends on the one before
	}
	var err error
	if t.placed, err = d.places(); err != nil {
		return Timing{}, err
	}
	return t, ctx.Err()
}

// ball is a ball as it is sent, aimed and followed.
func (t Timing) ball(s sent) *aimed {
	if a, ok := t.aimed[s]; ok {
		return a
	}
	a := &aimed{flown: t.fly(s)}
	if a.fails == nil && a.task.Kind.Flies() {
		a.contacts = t.contacts(a.flown, a.path, t.player)
	}
	t.aimed[s] = a
	return a
}

// scattered are the ways of meeting a ball that the feeder sends a little amiss.
func (t Timing) scattered(a *aimed) [3][]contact {
	if a.varied != nil {
		return *a.varied
	}
	varied := [3][]contact{a.contacts, a.contacts, a.contacts}
	if method := t.Pattern.MethodOf(a.task); t.Scatter != nil && method != feed.Answer {
		for k, launch := range a.launch.Varied(t.Scatter[method]) {
			varied[k] = t.contacts(a.flown, t.World.Follow(launch, 2), t.player)
		}
	}
	a.varied = &varied
	return varied
}

// Turn works out one turn.
func (t Timing) Turn(ctx context.Context, turn int) (Timeline, error) {
	return t.turn(ctx, turn, shown)
}

// Reached works out one turn without the ways of its balls.
func (t Timing) Reached(ctx context.Context, turn int) (Timeline, error) {
	return t.turn(ctx, turn, reached)
}

// detail is how much of a turn is worked out: where everybody is, also how often each ball is reached, or also how it
// flew.
type detail int

const (
	bare detail = iota
	reached
	shown
)

func (t Timing) turn(ctx context.Context, turn int, full detail) (Timeline, error) {
	if t.Pattern.Rally != nil {
		return t.rally(ctx, t.player)
	}
	plan, err := t.Pattern.PlanTurn(ctx, turn)
	if err != nil {
		return Timeline{}, err
	}
	return t.run(ctx, plan, full)
}

// ManyTurns is how many turns stand for all where no turn is like another.
const ManyTurns = 16

// Metres is how far each live player runs in a turn, the mean of many where no turn is like another.
func (t Timing) Metres(ctx context.Context) ([]float64, error) {
	turns := 1
	if t.Pattern.Varies() {
		turns = ManyTurns
	}
	metres := []float64{}
	for turn := range turns {
		line, err := t.turn(ctx, turn, bare)
		if err != nil {
			return nil, err
		}
		for i, r := range line.Runners {
			if i == len(metres) {
				metres = append(metres, 0)
			}
			metres[i] += r.Metres / float64(turns)
		}
	}
	return metres, nil
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
	const touch, shadow = 0.2, 0.35 // seconds, common practice, no source
	from, back := m.at(t.Drill, t.player, interception.Release)
	run := t.way(from, f.place, WayOut)
	doing := touch
	if f.task.Kind == feed.ShadowTask {
		doing = shadow
	}
	interception.Leaves = math.Max(interception.Release, m.free)
	late := interception.Leaves - interception.Release
	interception.From, interception.Body, interception.Route = from, f.place, run.Places
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
	m.place, m.free = f.place, interception.Release+interception.Needed
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
		leaves, back = release, Route{}
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
	if full >= reached {
		interception.Chance = t.chance(f, from, leaves-release)
	}
	if full == shown {
		interception.Trail = trail(f.path, release, a.available)
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
func (t Timing) chance(a *aimed, from court.Point, leaves float64) float64 {
	stroke := a.task.Stroke
	if len(a.contacts) == 0 {
		return 0
	}
	spare, variance := t.lunge(a.contacts, stroke, from, leaves), 0.0
	for _, list := range t.scattered(a) {
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
func (t Timing) lunge(list []contact, stroke sports.Stroke, from court.Point, leaves float64) float64 {
	most := math.Inf(-1)
	for _, c := range list {
		a := t.arrive(c, stroke, t.player, from, leaves)
		most = math.Max(most, a.available-a.reaching)
	}
	return most
}
