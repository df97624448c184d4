// Package playerfit says how the goal and the target of a drill suit one player, and fits them.
package playerfit

import (
	"context"
	"errors"
	"fmt"
	"math"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/flight"
	"hodometer/core/footwork"
	"hodometer/core/invalid"
	"hodometer/core/load"
	"hodometer/core/metric"
	"hodometer/core/odds"
	"hodometer/core/score"
	"hodometer/core/simulation"
	"hodometer/core/student"
	"hodometer/core/units"
)

// Evidence is a player that a drill is to suit.
type Evidence struct {
	Level   student.Level
	Own     []odds.Practised // on this drill
	Related []odds.Practised // on drills for the same stroke
	// Landings are logged on this drill, as offsets from the middle of its target at the time.
	Landings []court.Point
	// Zones are landings that were only counted by zone, as offsets in the same way.
	Zones []odds.Zone
}

// Fit is how a drill's goal and target suit one player.
type Fit struct {
	Rates   odds.Estimates  `json:"rates"`
	Clock   odds.Clock      `json:"clock" description:"How this player's balls come"`
	Goal    *odds.Answer    `json:"goal" description:"What the goal takes; null where it cannot be worked out"`
	Target  *Aimed          `json:"target" description:"What becomes of balls that are aimed at the target; null where no ball can be played there"`
	Why     string          `json:"why" description:"Why there is no goal or no target, in words; else empty"`
	Metrics []metric.Metric `json:"metrics"`
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

// Clock is how one player's balls come, for what is counted in balls. Of a rally every stroke is one, so many seconds
// after the one before.
func Clock(d drill.Document, stroke float64, people int, s coach.Settings) odds.Clock {
	p := d.Pattern
	if stroke > 0 {
		return odds.Clock{Gap: stroke, Sequence: max(1, p.Rally.Shots), Pause: p.Pause, People: 1, Basket: s.Basket, PickUp: s.PickUp}
	}
	balls := max(p.BallsPerTurn()/max(p.Sequences, 1), 1)
	sequence := p.TurnSeconds()/float64(max(p.Sequences, 1)) - p.Pause
	if p.Next == feed.AllAtOnce {
		people = 1
	}
	return odds.Clock{Gap: sequence / float64(balls), Sequence: balls, Pause: p.Pause, People: people, Basket: s.Basket, PickUp: s.PickUp}
}

// questionOf is the drill's goal for somebody with a rate.
func questionOf(d drill.Document, rates odds.Estimates, turn simulation.Simulation, people int, s coach.Settings) odds.Question {
	q := odds.Question{Goal: d.Goal, Rate: rates.Rate.Mean, Partner: rates.Rate.Mean, Clock: Clock(d, simulation.StrokeGap(d, turn.Timeline), people, s)}
	if d.Goal.Kind == score.FirstTo {
		q.Rate = 0.5 // of points nobody knows better, until some were played
		if rates.Points != nil {
			q.Rate = rates.Points.Mean
		}
	}
	return q
}

// For works out what the drill's goal and its target are for a player, from one turn that was played
// out for them. It returns ctx.Err() when cancelled; what cannot be worked out is said in Fit.Why.
func For(ctx context.Context, d drill.Document, turn simulation.Simulation, evidence Evidence, people int, s coach.Settings) (Fit, error) {
	fit := Fit{}
	replies, rates, err := repliesOf(d, turn, evidence, s)
	fit.Rates = rates
	var aimed Aimed
	if err == nil {
		aimed, err = aimedAt(d, replies, evidence, s)
	}
	if err != nil {
		fit.Why = err.Error()
	} else {
		fit.Target = &aimed
	}
	question := questionOf(d, fit.Rates, turn, people, s)
	fit.Clock = question.Clock
	answer, err := question.Answer(ctx)
	var wrong invalid.Fields
	switch {
	case d.Goal.Unit() == score.Time:
		fit.Why = "how quick somebody is on the clock is not worked out"
	case errors.As(err, &wrong):
		fit.Why = wrong[0].Message
	case err != nil:
		return Fit{}, err
	default:
		fit.Goal = &answer
	}
	fit.Metrics = fitMetrics(d, fit, people, s)
	return fit, nil
}

// stroke is a reply that a player aims at the target: how it leaves, and in which world.
type stroke struct {
	world  flight.World
	launch flight.Launch
	at     court.Point
	level  flight.Scatter
}

// strokeOf finds the first ball of the turn that is met and can be played to the drill's target.
func strokeOf(d drill.Document, turn simulation.Simulation, level student.Level, shape court.Shape, s coach.Settings) (stroke, error) {
	resolved, err := d.Resolved(s)
	if err != nil {
		return stroke{}, err
	}
	switch {
	case d.Counts.By == drill.ByMovement:
		return stroke{}, errors.New("this drill counts movement, not landings")
	case d.Sport == court.TableTennis && d.Stroke == feed.Serve:
		return stroke{}, errors.New("a table serve bounces on the own half first; where it goes then is not worked out")
	}
	at := resolved.World.Court.AimPoint(shape)
	err = errors.New("no ball of this turn is met")
	for _, m := range turn.Timeline.Interceptions {
		if m.Where == nil || m.Player != 0 {
			continue
		}
		task := feed.Task{Stroke: d.Stroke}
		if m.Task < len(d.Pattern.Tasks) && d.Pattern.Rally == nil {
			task = d.Pattern.Tasks[m.Task]
		}
		var l flight.Launch
		if l, err = reply(resolved, task, m, at, shape); err == nil {
			return stroke{world: resolved.World, launch: l, at: at, level: odds.LaunchScatter(level)}, nil
		}
	}
	return stroke{}, fmt.Errorf("where the replies land is not known: %w", err)
}

// reply is how one ball is answered: in squash and at a band on the wall off the front wall.
func reply(drill footwork.Drill, task feed.Task, m footwork.Interception, at court.Point, shape court.Shape) (flight.Launch, error) {
	met := flight.Vec{X: m.Where.X, Y: m.Where.Y, Z: m.Where.Z}
	if shape.Kind == court.WallBand {
		return drill.World.Aim(flight.Want{From: met, Landing: at, By: flight.ByWall, Value: (shape.Low + shape.High) / 2})
	}
	return drill.Reply(task, met, at)
}

// replies is how a player answers the balls of a turn towards the target.
type replies struct {
	stroke
	court   court.Court
	scatter odds.Scatter
	source  string // what the scatter rests on
}

// repliesOf finds where a player's replies land, and what they make of the drill. The scatter is the
// level's, moved by landings that were logged on the drill; where only makes and misses were counted, it
// is as wide as they say. The estimates hold also where there is an error.
func repliesOf(d drill.Document, turn simulation.Simulation, evidence Evidence, s coach.Settings) (replies, odds.Estimates, error) {
	rates := odds.Estimate(odds.LevelPrior(evidence.Level), evidence.Own, evidence.Related)
	shape, ok := d.Aimed()
	if !ok {
		return replies{}, rates, errors.New("the target makes no sense on this court")
	}
	stroke, err := strokeOf(d, turn, evidence.Level, shape, s)
	if err != nil {
		return replies{}, rates, err
	}
	r := replies{stroke: stroke, court: stroke.world.Court, source: "Scatter of the launch by level: common practice, no source"}
	if r.scatter, ok = odds.Expected(stroke.world, stroke.launch, stroke.level); !ok {
		return replies{}, rates, errors.New("the reply never lands")
	}
	if len(evidence.Landings) > 0 {
		r.scatter = r.scatter.Learn(evidence.Landings, tapError*r.court.Length)
		r.source = "Logged landings, drawn together robustly (Huber, Ann. Math. Stat. 35 (1964) 73) with the level's scatter as eight more"
	}
	if len(evidence.Zones) > 0 {
		r.scatter = r.scatter.LearnZones(evidence.Zones)
		r.source = "Landings logged by zone (Dempster, Laird and Rubin, J. R. Stat. Soc. B 39 (1977) 1) and by place, with the level's scatter as eight more"
	}
	aimed, err := aimedAt(d, r, evidence, s)
	if err != nil {
		return replies{}, rates, err
	}
	if aimed.Shares.In > 0 {
		prior := odds.Prior{Rate: math.Max(0.02, math.Min(aimed.Shares.In, 0.98)), Description: "what the level's scatter makes of this target"}
		rates = odds.Estimate(prior, evidence.Own, evidence.Related)
	}
	if rates.Rate.Balls > 0 && len(evidence.Landings)+len(evidence.Zones) == 0 && !aimed.Upright {
		if ground, err := groundOf(d, r, shape); err == nil {
			r.scatter = ground.Calibrated(r.scatter, shape.Centre, rates.Rate.Mean)
			r.source = "The level's scatter, made as wide as what was counted says; log landings to know its shape"
		}
	}
	return r, rates, nil
}

// groundOf is a target that balls land in: of one where they bounce twice, the part from which they do.
func groundOf(d drill.Document, r replies, shape court.Shape) (odds.Ground, error) {
	ground, err := odds.OnGround(r.court, shape, d.Format)
	if err == nil && d.Target.Kind == court.DoubleBounce {
		var ok bool
		if ground, ok = ground.Twice(r.world, r.launch); !ok {
			return ground, errors.New("the reply does not bounce twice")
		}
	}
	return ground, err
}

// aimedAt works out what becomes of replies that are aimed at the drill's target.
func aimedAt(d drill.Document, r replies, evidence Evidence, s coach.Settings) (Aimed, error) {
	shape, ok := d.Aimed()
	if !ok {
		return Aimed{}, errors.New("the target makes no sense on this court")
	}
	a := Aimed{At: shape.Centre, Scatter: r.scatter, Landings: []court.Point{}}
	for _, offset := range evidence.Landings {
		a.Landings = append(a.Landings, court.Point{X: shape.Centre.X + offset.X, Y: shape.Centre.Y + offset.Y})
	}
	ground, err := groundOf(d, r, shape)
	switch {
	case errors.Is(err, odds.ErrUpright):
		a.At, a.Upright = r.at, true
		if a.Shares.In, ok = odds.Upright(r.world, r.launch, r.level, shape); !ok {
			return Aimed{}, errors.New("the reply never comes to the target")
		}
	case err != nil:
		return Aimed{}, err
	default:
		a.Shares = ground.Shares(r.scatter, a.At)
	}
	a.Sentence = a.sentence()
	a.Derivation = a.derivation(r, s)
	return a, nil
}

// sentence says what becomes of a hundred balls.
func (a Aimed) sentence() string {
	s := a.Shares
	if a.Upright {
		return fmt.Sprintf("of 100 balls %d go through or meet it", units.Percents(s.In)[0])
	}
	// All that can become of a ball, so that the parts add up to the hundred.
	of := units.Percents(s.In, s.Long, s.Wide, s.Net, s.Short, s.Beside)
	in, long, wide, net, short, beside := of[0], of[1], of[2], of[3], of[4], of[5]
	phrase := fmt.Sprintf("of 100 balls %d in the target, %d out", in, long+wide)
	if long+wide > 0 {
		phrase += fmt.Sprintf(" (%d long, %d wide)", long, wide)
	}
	if net > 0 {
		phrase += fmt.Sprintf(", %d in the net", net)
	}
	phrase += fmt.Sprintf(", %d in but short of it", short)
	if beside > 0 {
		phrase += fmt.Sprintf(", %d in beside it", beside)
	}
	return phrase
}

func (a Aimed) derivation(r replies, s coach.Settings) metric.Derivation {
	return metric.Derivation{
		Figure: "In the target", Value: units.Decimal(100*a.Shares.In, 0) + " of 100",
		Formula: "how speed, height and direction of the stroke vary, carried by the flight of the ball to where it lands; a bivariate normal distribution over the part of the target that is in",
		Inputs: []metric.Input{
			{Name: "Scatter across", Value: s.Units.Length(a.Scatter.SX)},
			{Name: "Scatter along", Value: s.Units.Length(a.Scatter.SY)},
			{Name: "Off the aim", Value: s.Units.Length(a.Scatter.X) + " across, " + s.Units.Length(a.Scatter.Y) + " along"},
			{Name: "Landings logged", Value: units.Decimal(float64(a.Scatter.Logged), 0)},
		},
		Source: r.source,
	}
}

// fitMetrics count balls with the misses that are to be expected.
func fitMetrics(d drill.Document, fit Fit, people int, s coach.Settings) []metric.Metric {
	planned := float64(load.For(d, load.Group{People: people}, d.Turns, s).Each)
	rate := fit.Rates.Rate
	metrics := []metric.Metric{metric.New("Made", math.Round(planned*rate.Mean), units.Decimal(planned*rate.Mean, 0), "of "+units.Decimal(planned, 0), metric.Derivation{
		Formula: "balls planned for one player × rate", Source: "Beta-binomial model",
		Inputs: []metric.Input{{Name: "Planned", Value: units.Decimal(planned, 0) + " balls"}, {Name: "Makes", Value: rate.Sentence}},
	})}
	if a := fit.Goal; a != nil && !a.Never {
		text := odds.Attempts(a.Mean)
		goal := metric.New("For the goal", a.Mean, text, a.Unit, a.Derivation)
		goal.Derivation.Value = text + " " + a.Unit
		metrics = append(metrics, goal)
	}
	return metrics
}
