package playerfit

import (
	"errors"
	"fmt"
	"math"
	"slices"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Ball is one ball of a turn that belongs to a measure, and how often somebody makes it: reached × in the target,
// scattered as widely as it is loosened × not mishit.
type Ball struct {
	Task     int     `json:"task" description:"In the pattern, from 0; of a rally the stroke"`
	Sequence int     `json:"sequence"`
	Reach    float64 `json:"reach" description:"How often it is reached"`
	Loose    float64 `json:"loose" description:"How much more the reply scatters than at ease"`
	In       float64 `json:"in" description:"How often the reply goes into the target"`
	Chance   float64 `json:"chance" description:"To make it"`
	Speed    float64 `json:"speed" description:"As the reply leaves, m/s; 0 where there is none"`
}

// mishit is how often somebody of a level mishits a ball at ease; with twice the scatter four times as often. Common
// practice, no source.
func mishit(level student.Level) float64 {
	switch level {
	case student.Tournament:
		return 0.005
	case student.Club:
		return 0.015
	case student.Improver, student.Green:
		return 0.03
	}
	return 0.05
}

// steadiness is how much narrower a serve scatters than other strokes: nobody hurries one's own toss. Common practice,
// no source.
func steadiness(t feed.Task) float64 {
	if t.Served() {
		return 0.75
	}
	return 1
}

// judge says what becomes of the balls of one measure of a drill for somebody of a level.
type judge struct {
	d     drill.Document
	m     drill.Measure
	drill footwork.Drill
	level student.Level
	wide  float64 // see footwork.Player.Scatter
	shape court.Shape
	at    court.Point // where the replies are aimed
	known map[[5]float64]Ball
}

func judgeOf(
	d drill.Document,
	m drill.Measure,
	player footwork.Player,
	level student.Level,
	s coach.Settings,
) (*judge, error) {
	shape, err := shapeOf(d, m)
	if err != nil {
		return nil, err
	}
	resolved, err := d.Resolved(s)
	if err != nil {
		return nil, err
	}
	resolved.Power = player.Power
	j := &judge{
		d:     d,
		m:     m,
		drill: resolved,
		level: level,
		wide:  player.Scatter,
		shape: shape,
		at:    aimAt(d, m, resolved.World.Court, shape),
		known: map[[5]float64]Ball{},
	}
	return j, nil
}

// aimAt is where replies to the target of a measure are aimed. A serve without a target of its own goes as deep into
// the box as players aim it, in badminton short.
func aimAt(d drill.Document, m drill.Measure, c court.Court, shape court.Shape) court.Point {
	at, target := c.AimPoint(shape), d.TargetOf(m)
	if m.Target != nil || target == nil {
		return at
	}
	if box, ok := c.Box(target.Box); ok {
		at.Y = box.Min.Y + sports.Of(c.Sport).Serving.Deep*(box.Max.Y-box.Min.Y)
	}
	return at
}

// mine says whether a ball of a turn belongs to the measure.
func (j *judge) mine(i footwork.Interception) bool {
	if j.d.Pattern.Rally != nil {
		return i.Player == 0
	}
	return j.m.Has(i.Task) && i.Kind.Flies()
}

// reply is how one ball is answered and how it scatters, aimed over the net by three standard deviations of its height
// there where it would pass lower at its pace.
func (j *judge) reply(i footwork.Interception) (replies, error) {
	task := feed.Task{Stroke: j.d.StrokeOf(j.m)}
	if j.d.Pattern.Rally == nil {
		task = j.d.Pattern.Tasks[i.Task]
	}
	at := j.at
	if task.Reply != nil {
		var err error
		if at, err = j.drill.World.Court.Resolve(*task.Reply); err != nil {
			return replies{}, err
		}
	}
	r := replies{
		stroke: stroke{
			world: j.drill.World,
			at:    at,
			level: odds.LaunchScatter(j.level).Times(i.Loose * j.wide * steadiness(task)),
		},
		court:  j.drill.World.Court,
		source: "Scatter of the launch by level: common practice, no source",
	}
	var err error
	if r.launch, err = reply(j.drill, task, i, at, j.shape); err != nil {
		return r, err
	}
	over, sigma, ok := r.world.OverNet(r.launch, r.level)
	if ok && over < 3*sigma && j.shape.Kind != court.WallBand && !r.launch.OwnFirst && !task.FirstServe() {
		want := flight.Want{
			From:    r.launch.From,
			Landing: at,
			By:      flight.ByClearance,
			Value:   3 * sigma,
			Spin:    task.Answered(j.d.Sport).SpinOf(j.d.Sport),
		}
		if higher, err := r.world.Aim(want); err == nil {
			r.launch = higher
			over, sigma, _ = r.world.OverNet(r.launch, r.level)
		}
	}
	if r.scatter, ok = odds.Expected(r.world, r.launch, r.level, over, sigma); !ok {
		return r, errors.New("the reply never lands")
	}
	return r, nil
}

// first is the reply to the first ball that is met and can be played to the target.
func (j *judge) first(line footwork.Timeline) (replies, error) {
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

// in is how often a reply goes into the target.
func (j *judge) in(r replies) (float64, error) {
	ground, err := groundOf(j.d, r, j.shape)
	switch {
	case errors.Is(err, odds.ErrUpright):
		in, ok := odds.Upright(r.world, r.launch, r.level, j.shape)
		if !ok {
			return 0, errors.New("the reply never comes to the target")
		}
		return in, nil
	case err != nil:
		return 0, err
	}
	return ground.In(r.scatter, r.at), nil
}

// balls are those of a turn that belong to the measure. One that cannot be answered to the target is never made.
func (j *judge) balls(line footwork.Timeline) []Ball {
	var list []Ball
	for _, i := range line.Interceptions {
		if j.mine(i) && !i.Skipped {
			list = append(list, j.ball(i))
		}
	}
	return list
}

func (j *judge) ball(i footwork.Interception) Ball {
	b := Ball{Task: i.Task, Sequence: i.Sequence, Reach: i.Chance, Loose: i.Loose}
	if i.Where == nil || i.Verdict == footwork.OutOfReach {
		return Ball{Task: i.Task, Sequence: i.Sequence, Loose: i.Loose}
	}
	// The same ball again is not worked out again: to two centimetres and two hundredths.
	const grain = 0.02
	key := [5]float64{
		float64(i.Task),
		math.Round(i.Where.X / grain),
		math.Round(i.Where.Y / grain),
		math.Round(i.Where.Z / grain),
		math.Round(i.Loose / grain),
	}
	if j.d.Pattern.Rally != nil {
		key[0] = 0
	}
	seen, ok := j.known[key]
	if !ok {
		if r, err := j.reply(i); err == nil {
			seen.In, _ = j.in(r)
			seen.Speed = r.launch.Velocity.Norm()
		}
		j.known[key] = seen
	}
	b.In, b.Speed = seen.In, seen.Speed
	b.Chance = b.Reach * b.In * math.Max(0, 1-mishit(j.level)*b.Loose*b.Loose)
	return b
}

// made is the chance of one attempt at a measure, from its balls: the mean, and of sequences the mean of what is made
// of all balls of each.
func made(m drill.Measure, balls []Ball) float64 {
	if m.What != score.Sequence {
		return mean(balls)
	}
	whole := map[int]float64{}
	for _, b := range balls {
		if _, ok := whole[b.Sequence]; !ok {
			whole[b.Sequence] = 1
		}
		whole[b.Sequence] *= b.Chance
	}
	sum := 0.0
	for _, chance := range whole {
		sum += chance
	}
	return sum / float64(len(whole))
}

// Moved are balls whose chances are moved together so that their mean is a rate: what was counted never makes the
// harder ball the easier one. A ball that is never made stays so.
func Moved(balls []Ball, rate float64) []Ball { return shifted(balls, shiftTo(balls, rate)) }

// shifted are balls with the log-odds of each moved by the same.
func shifted(balls []Ball, shift float64) []Ball {
	list := slices.Clone(balls)
	for i, b := range list {
		if b.Chance > 0 {
			p := math.Min(b.Chance, 1-1e-9)
			list[i].Chance = 1 / (1 + math.Exp(-math.Log(p/(1-p))-shift))
		}
	}
	return list
}

// mean is the mean chance of some balls.
func mean(balls []Ball) (sum float64) {
	for _, b := range balls {
		sum += b.Chance / float64(len(balls))
	}
	return sum
}

// shiftTo is by how much their log-odds are moved so that the mean chance of some balls is a rate.
func shiftTo(balls []Ball, rate float64) float64 {
	low, high := -12.0, 12.0
	for range 50 {
		if middle := (low + high) / 2; mean(shifted(balls, middle)) < rate {
			low = middle
		} else {
			high = middle
		}
	}
	return (low + high) / 2
}
