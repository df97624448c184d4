// Package playerfit says how the goal and the target of a drill suit one player, and fits them.
package playerfit

import (
	"context"
	"errors"
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Evidence is a player that a drill is to suit.
type Evidence struct {
	Level student.Level
	Skill *skill.Skill // nil: nothing was counted
	Drill string       // its identifier, by which what was counted at it is told apart
	// Typical is somebody just as good as the level, as what is known of a level is told of.
	Typical bool
	// Unknown is how many attempts are not in it, as it cannot be known how hard they were.
	Unknown int
	Day     int              // on which it is asked; see skill.Count
	Own     []odds.Practised // on this measure
	// Landings are logged on this drill, as offsets from the middle of its target at the time.
	Landings []court.Point
	// Zones are landings that were only counted by zone, as offsets in the same way.
	Zones []odds.Zone
}

// Fit is how a drill suits one player, measure by measure.
type Fit struct {
	Measures []Measure       `json:"measures" description:"In the order of the drill's"`
	Metrics  []metric.Metric `json:"metrics"`
}

// Measure is how the goals and the target of one measure suit one player.
type Measure struct {
	Number   int            `json:"number"`
	Attempts int            `json:"attempts" description:"How many the player has in the turns that the drill gives"`
	Word     string         `json:"word" description:"What they are called: balls, strokes, rallies"`
	Rates    odds.Estimates `json:"rates"`
	Made     string         `json:"made" description:"How often an attempt is reached, hit cleanly and made, in this order, in words; empty where only the last is known"`
	Balls    []Ball         `json:"balls" description:"Of one turn, in order; none where it is not known what becomes of them"`
	Goals    []GoalFit      `json:"goals" description:"In the order of the measure's"`
	Target   *Aimed         `json:"target" description:"What becomes of balls that are aimed at the target; null where no ball can be played there"`
	Why      string         `json:"why" description:"Why there is no target, in words; else empty"`
}

// GoalFit is what a goal asks of one player.
type GoalFit struct {
	Rate   float64      `json:"rate" description:"Chance of one attempt"`
	Belief skill.Belief `json:"belief" description:"What the chance comes from"`
	Clock  odds.Clock   `json:"clock" description:"How this player's attempts come"`
	Answer *odds.Answer `json:"answer" description:"What the goal takes; null where it cannot be worked out"`
	Why    string       `json:"why" description:"Why there is no answer, in words; else empty"`
}

// Aimed is what becomes of balls that are aimed at the target.
type Aimed struct {
	At         court.Point       `json:"at" description:"Where they are aimed"`
	Scatter    odds.Scatter      `json:"scatter"`
	Upright    bool              `json:"upright" description:"Balls pass the target or meet it instead of landing in it: only its share in is known"`
	Shares     odds.Shares       `json:"shares"`
	Landings   []court.Point     `json:"landings" description:"Where they were logged, on the court"`
	Sentence   string            `json:"sentence"`
	Derivation metric.Derivation `json:"derivation"`
}

// tapError is how far off a tap on the drawn court is, as a standard deviation in shares of the court's
// length. Common practice, no source.
const tapError = 0.015

// For works out what the drill's goals and targets are for a player, from one turn that was played out for them and
// from what they did at each measure. It returns ctx.Err() when cancelled; what cannot be worked out is said in words.
func For(
	ctx context.Context,
	d drill.Document,
	turn simulation.Simulation,
	evidence []Evidence,
	people int,
	s coach.Settings,
) (Fit, error) {
	fit := Fit{Measures: make([]Measure, len(d.Measures))}
	for i, m := range d.Measures {
		var err error
		if fit.Measures[i], err = measureFor(ctx, d, m, turn, evidence[i], people, s); err != nil {
			return Fit{}, err
		}
	}
	fit.Metrics = fitMetrics(d, fit)
	return fit, nil
}

func measureFor(
	ctx context.Context,
	d drill.Document,
	m drill.Measure,
	turn simulation.Simulation,
	evidence Evidence,
	people int,
	s coach.Settings,
) (Measure, error) {
	fit := Measure{Number: m.Number, Goals: make([]GoalFit, len(m.Goals))}
	j := judgeOf(d, m, turn.Player, evidence.Level, s)
	replies, rates, err := j.replies(turn.Timeline, evidence)
	fit.Rates, fit.Balls = rates, []Ball{}
	if j.fails == nil {
		fit.Balls = j.balls(turn.Timeline)
		if m.What != score.Sequence && m.What != score.Point {
			fit.Made = j.stepwise(fit.Balls, rates)
			fit.Balls = Believed(fit.Balls, rates.Rate.Belief.Better)
		}
	}
	var aimed Aimed
	if err == nil {
		aimed, err = aimedAt(d, replies, evidence, s)
	}
	if err != nil {
		fit.Why = err.Error()
	} else {
		fit.Target = &aimed
	}
	for i, g := range m.Goals {
		q := Ask(d, m, g, rates, simulation.StrokeGap(d, turn.Timeline), people, s)
		if i == 0 {
			one := q
			one.Clock.People = 1
			fit.Attempts, _, fit.Word = Tries(Planned(one, d, m, float64(d.Turns), d.Pattern.FeedingSeconds(1, d.Turns)), d, m)
		}
		fit.Goals[i] = GoalFit{Rate: q.Rate, Belief: rates.Rate.Belief, Clock: q.Clock}
		if m.What == score.Time {
			fit.Goals[i].Why = "how quick somebody is on the clock is not worked out"
			continue
		}
		answer, err := q.Answer(ctx)
		var wrong invalid.Fields
		switch {
		case errors.As(err, &wrong):
			fit.Goals[i].Why = wrong[0].Message
		case err != nil:
			return Measure{}, err
		default:
			fit.Goals[i].Answer = &answer
		}
	}
	return fit, nil
}

// stroke is a reply that a player aims at the target: how it leaves, and in which world.
type stroke struct {
	world  flight.World
	launch flight.Launch
	at     court.Point
	level  flight.Scatter
}

// replies is how a player answers the balls of a turn towards the target.
type replies struct {
	stroke
	goal    goal
	court   court.Court
	scatter odds.Scatter
	in      float64 // how often it goes where it has to
	source  string  // what the scatter rests on
}

// replies finds where a player's replies land, and what they make of the drill. The scatter is the level's, moved by
// landings that were logged on the drill, and as wide as what the player makes says: what becomes of a hundred balls
// and how many are made is one figure. The rates rest on makes and misses alone: each ball whose landing was logged is
// one of them. They hold also where there is an error.
func (j *judge) replies(line footwork.Timeline, evidence Evidence) (replies, odds.Estimates, error) {
	rates := evidence.Rates(j.m, j.tried(line, j.balls(line)))
	r, err := j.first(line)
	if err != nil {
		return replies{}, rates, err
	}
	if len(evidence.Landings) > 0 {
		r.scatter = r.scatter.Learn(evidence.Landings, tapError*r.court.Length)
		r.source = "Logged landings, drawn together robustly (Huber, Ann. Math. Stat. 35 (1964) 73) with the level's " +
			"scatter as eight more"
	}
	if len(evidence.Zones) > 0 {
		r.scatter = r.scatter.LearnZones(evidence.Zones)
		r.source = "Landings logged by zone (Dempster, Laird and Rubin, J. R. Stat. Soc. B 39 (1977) 1) and by place, " +
			"with the level's scatter as eight more"
	}
	if in, known := j.believedIn(line, rates); known {
		r.in = in
		if ground, err := r.ground(j.d); err == nil {
			r.scatter = ground.Calibrated(r.scatter, r.at, in)
			r.source += "; made as wide as what this player makes says"
		}
	}
	return r, rates, nil
}

// believedIn is how often the reply to the first ball that can be played to the target goes there, as is believed of
// this player: what they make of it, without what is not reached and not hit cleanly.
func (j *judge) believedIn(line footwork.Timeline, rates odds.Estimates) (float64, bool) {
	if j.m.What == score.Point {
		return 0, false
	}
	for _, b := range j.balls(line) {
		if b.In > 0 && b.Chance > 0 {
			const most = 0.999
			made := Believed([]Ball{b}, rates.Rate.Belief.Better)[0].Chance
			return math.Min(most, made*b.In/b.Chance), true
		}
	}
	return 0, false
}

// ground is the target on the ground that a reply goes to: of one where it bounces twice, the part from which it does.
func (r replies) ground(d drill.Document) (odds.Ground, error) {
	ground, err := r.goal.ground(d, r.court)
	if err == nil && r.goal.shape.Kind == court.DoubleBounce {
		var ok bool
		if ground, ok = ground.Twice(r.world, r.launch); !ok {
			return ground, errors.New("the reply does not bounce twice")
		}
	}
	return ground, err
}

// aimedAt works out what becomes of replies to a goal.
func aimedAt(d drill.Document, r replies, evidence Evidence, s coach.Settings) (Aimed, error) {
	shape := r.goal.shape
	a := Aimed{At: r.at, Scatter: r.scatter, Landings: []court.Point{}}
	for _, offset := range evidence.Landings {
		a.Landings = append(a.Landings, court.Point{X: shape.Centre.X + offset.X, Y: shape.Centre.Y + offset.Y})
	}
	ground, err := r.ground(d)
	var ok bool
	switch {
	case errors.Is(err, odds.ErrUpright):
		a.Upright = true
		if _, ok = odds.Upright(r.world, r.launch, r.level, shape); !ok {
			return Aimed{}, errors.New("the reply never comes to the target")
		}
		a.Shares.In = r.in
	case err != nil:
		return Aimed{}, err
	default:
		a.Shares = ground.Shares(r.scatter, a.At)
	}
	a.Sentence = a.sentence(r.goal)
	a.Derivation = a.derivation(r, s)
	return a, nil
}

// sentence says what becomes of a hundred balls: of those to a target, or, where in is enough, of all that are legal.
func (a Aimed) sentence(g goal) string {
	s := a.Shares
	if a.Upright {
		return fmt.Sprintf("of 100 balls %d go through or meet it", units.Percents(s.In)[0])
	}
	// All that can become of a ball, so that the parts add up to the hundred.
	of := units.Percents(s.In, s.Long, s.Wide, s.Net, s.Short, s.Beside)
	in, long, wide, net, short, beside := of[0], of[1], of[2], of[3], of[4], of[5]
	phrase := fmt.Sprintf("of 100 balls %d %s, %d out", in, g.where(), long+wide)
	if long+wide > 0 {
		phrase += fmt.Sprintf(" (%d long, %d wide)", long, wide)
	}
	if net > 0 {
		phrase += fmt.Sprintf(", %d in the net", net)
	}
	if g.whole {
		return phrase
	}
	phrase += fmt.Sprintf(", %d in but short of it", short)
	if beside > 0 {
		phrase += fmt.Sprintf(", %d in beside it", beside)
	}
	return phrase
}

func (a Aimed) derivation(r replies, s coach.Settings) metric.Derivation {
	return metric.Derivation{
		Figure: units.Title(r.goal.where()),
		Value:  units.Decimal(100*a.Shares.In, 0) + " of 100",
		Formula: "how speed, height and direction of the stroke vary, carried by the flight of the ball to where it " +
			"lands; a bivariate normal distribution over the part of the target that is in",
		Inputs: []metric.Input{
			{Name: "Scatter across", Value: s.Units.Length(a.Scatter.SX)},
			{Name: "Scatter along", Value: s.Units.Length(a.Scatter.SY)},
			{Name: "Off the aim", Value: s.Units.Length(a.Scatter.X) + " across, " + s.Units.Length(a.Scatter.Y) + " along"},
			{Name: "Landings logged", Value: units.Decimal(float64(a.Scatter.Logged), 0)},
		},
		Source: r.source,
	}
}
