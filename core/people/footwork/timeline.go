package footwork

import (
	"context"
	"math"
	"slices"

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
	Chance    float64       `json:"chance" description:"How often it is reached with the feeder's own scatter; 0 where it is out of reach as it is meant"`
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

// Metres is how far each live player runs in a turn, of many turns where none is like another. The rallies of a turn
// are alike.
func (t Timing) Metres(ctx context.Context) ([][]float64, error) {
	turns := 1
	if t.Pattern.Varies() {
		turns = ManyTurns
	}
	metres := make([][]float64, turns)
	for turn := range metres {
		line, err := t.turn(ctx, turn, bare)
		if err != nil {
			return nil, err
		}
		metres[turn] = t.Ran(line)
	}
	return metres, nil
}

// Ran is how far each live player runs in a turn that was worked out, with all of its rallies.
func (t Timing) Ran(line Timeline) (metres []float64) {
	times := 1.0
	if t.Pattern.Rally != nil {
		times = t.Pattern.UsualSequences()
	}
	for _, r := range line.Runners {
		metres = append(metres, times*r.Metres)
	}
	return metres
}

// Detours is by how many metres each obstacle makes the first turn longer, for all who run in it.
func (t Timing) Detours(ctx context.Context) ([]float64, error) {
	all := t.Obstacles
	list := make([]float64, len(all))
	if len(all) == 0 {
		return list, nil
	}
	run := func(t Timing) (metres float64, err error) {
		line, err := t.turn(ctx, 0, bare)
		for _, r := range line.Runners {
			metres += r.Metres
		}
		return metres, err
	}
	whole, err := run(t)
	for i := 0; i < len(all) && err == nil; i++ {
		var without float64
		t.Obstacles = slices.Delete(slices.Clone(all), i, i+1)
		without, err = run(t)
		list[i] = math.Max(0, whole-without)
	}
	return list, err
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
