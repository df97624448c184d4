package playerfit

import (
	"errors"
	"fmt"

	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/striking"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// judge says what becomes of the balls of one measure of a drill for somebody of a level.
type judge struct {
	d     drill.Document
	m     drill.Measure
	drill footwork.Drill
	level student.Level
	wide  float64      // see footwork.Player.Scatter
	shape *court.Shape // the target of the measure; nil: in is enough
	known map[[5]float64]Ball
	fails error // why nothing can be said of any ball; nil where it can
}

func judgeOf(
	d drill.Document,
	m drill.Measure,
	player footwork.Player,
	level student.Level,
	s coach.Settings,
) *judge {
	j := &judge{d: d, m: m, level: level, wide: player.Scatter, known: map[[5]float64]Ball{}}
	if m.Counts.By == drill.ByMovement {
		j.fails = errors.New("movement is counted, not landings")
		return j
	}
	if j.drill, j.fails = d.Resolved(s); j.fails != nil {
		return j
	}
	j.drill.Power = player.Power
	if m.Target != nil {
		shape, err := j.drill.World.Court.Shape(*m.Target, d.Format)
		if err != nil {
			j.fails = errors.New("the target makes no sense on this court")
		}
		j.shape = &shape
	}
	return j
}

// mine says whether a ball of a turn belongs to the measure.
func (j *judge) mine(i footwork.Interception) bool {
	if j.d.Pattern.Rally != nil {
		return i.Player == 0
	}
	return j.m.Has(i.Task) && i.Kind.Flies()
}

// task is what is to be done with a ball: of a rally the stroke with which it is met.
func (j *judge) task(i footwork.Interception) feed.Task {
	if j.d.Pattern.Rally != nil {
		return feed.Task{Stroke: sports.Stroke(i.Label), ReplyPace: j.d.Pattern.Rally.Pace}
	}
	return j.d.Pattern.Tasks[i.Task]
}

// goal is where the reply to a ball has to go: into the target as far as it is legal, or, where in is enough, anywhere
// that is.
type goal struct {
	shape court.Shape
	legal court.Shape
	whole bool // in is enough: they are the same
}

func (j *judge) goal(t feed.Task, struck court.Point) (goal, error) {
	legal, err := j.d.Legal(j.drill.World.Court, t, struck)
	if err != nil {
		return goal{}, err
	}
	if j.shape == nil {
		return goal{legal, legal, true}, nil
	}
	return goal{*j.shape, legal, false}, nil
}

// where says where a ball is that is good.
func (g goal) where() string {
	if g.whole {
		return "in"
	}
	return "in the target"
}

// first is the reply to the first ball that is met and can be played to the target.
func (j *judge) first(line footwork.Timeline) (replies, error) {
	if j.fails != nil {
		return replies{}, j.fails
	}
	err := errors.New("no ball of this turn is met")
	for _, i := range line.Interceptions {
		if i.Where == nil || !j.mine(i) {
			continue
		}
		var r replies
		if r, err = j.reply(i); err == nil {
			return r, nil
		}
	}
	return replies{}, fmt.Errorf("where the replies land is not known: %w", err)
}

// reply is how one ball is answered and how it scatters. It is aimed where most balls are good, unless it is said where
// it goes.
func (j *judge) reply(i footwork.Interception) (replies, error) {
	task := j.task(i)
	met := flight.Vec{X: i.Where.X, Y: i.Where.Y, Z: i.Where.Z}
	goal, err := j.goal(task, met.Floor())
	if err != nil {
		return replies{}, err
	}
	shares, bySpeed := j.drill.Shares(task.Stroke), j.drill.BySpeed(task.Stroke)
	if !bySpeed {
		shares = []float64{1 / i.Loose} // hurried, they take the pace off
	}
	var r replies
	for k, share := range shares { // as hard as it goes at all
		anywhere := j.shape == nil || k+1 == len(shares) || task.Served()
		r, err = j.placed(task, goal, anywhere, func(at court.Point) (replies, error) {
			launch, err := j.launch(task, goal, met, at, share)
			if err != nil {
				return replies{}, err
			}
			return j.scattered(task, goal, launch, at, i.Loose, bySpeed && share > 0)
		})
		if err == nil {
			return r, nil
		}
	}
	return r, err
}

// placed is the reply aimed where it is said, or else where most are good: anywhere, or only where one that is aimed at
// the middle of the target can be played too.
func (j *judge) placed(t feed.Task, g goal, anywhere bool, try func(at court.Point) (replies, error)) (replies, error) {
	c := j.drill.World.Court
	if t.Reply != nil {
		at, err := c.Resolve(*t.Reply)
		if err != nil {
			return replies{}, err
		}
		return try(at)
	}
	if _, err := g.ground(j.d, c); err != nil || g.shape.Kind == court.DoubleBounce {
		return try(c.AimPoint(g.shape))
	}
	return bestAim(g, anywhere, try)
}

// scattered is a reply that is launched at a place. One that goes by its pace passes the net by so many standard
// deviations of its height there, higher than its pace says where it has to.
func (j *judge) scattered(t feed.Task, g goal, l flight.Launch, at court.Point, loose float64, bySpeed bool) (
	replies,
	error,
) {
	w := j.drill.World
	r := replies{
		stroke: stroke{
			world:  w,
			launch: l,
			at:     at,
			level:  striking.Scatter(j.level, j.d.Sport, t.Served()).Times(loose * j.wide),
		},
		goal:   g,
		court:  w.Court,
		source: "Scatter of the launch by level and sport, fitted to what is known of players (from memory)",
	}
	passage, ok := w.Passage(r.launch, r.level)
	least := striking.OverNet() * passage.Sigma
	if ok && passage.Crosses && passage.Over < least && !l.OwnFirst && !bySpeed {
		want := flight.Want{From: r.launch.From, Landing: at, By: flight.ByClearance, Value: least}
		want.Spin = t.Answered(j.d.Sport).SpinOf(j.d.Sport)
		if higher, err := w.Aim(want); err == nil {
			r.launch = higher
			passage, ok = w.Passage(r.launch, r.level)
		}
	}
	if !ok {
		return r, errors.New("the reply never lands")
	}
	r.scatter = odds.Expected(passage)
	if g.legal.Kind == court.WallBand && g.shape.Kind != court.WallBand {
		good, _ := odds.Upright(w, r.launch, r.level, g.legal)
		r.scatter.Net = 1 - good // on the board, or over the line
	}
	var err error
	r.in, err = j.in(r)
	return r, err
}

// launch is how one ball is answered: in squash and at a band on the wall off the front wall.
func (j *judge) launch(t feed.Task, g goal, met flight.Vec, at court.Point, share float64) (flight.Launch, error) {
	if g.shape.Kind == court.WallBand {
		high := (g.shape.Low + g.shape.High) / 2
		return j.drill.World.Aim(flight.Want{From: met, Landing: at, By: flight.ByWall, Value: high})
	}
	return j.drill.Strike(t, met, at, share)
}

// in is how often a reply goes where it has to.
func (j *judge) in(r replies) (float64, error) {
	ground, err := r.ground(j.d)
	switch {
	case errors.Is(err, odds.ErrUpright):
		in, ok := odds.Upright(r.world, r.launch, r.level, r.goal.shape)
		if !ok {
			return 0, errors.New("the reply never comes to the target")
		}
		return in, nil
	case err != nil:
		return 0, err
	}
	return ground.In(r.scatter, r.at), nil
}

// ground is a target that balls land in, as far as it is legal; one on the player's own half is no matter of that.
func (g goal) ground(d drill.Document, c court.Court) (odds.Ground, error) {
	ground, err := odds.OnGround(c, g.shape, d.Format)
	if err == nil && len(g.legal.Corners) > 2 && g.shape.Centre.Y*g.legal.Centre.Y >= 0 {
		ground = ground.Within(g.legal.Corners)
	}
	return ground, err
}
