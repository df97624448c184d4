package drill

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Tour is work in each depth region of a court in turn, from the last one in to the net.
type Tour struct {
	Scheme  string        `json:"scheme,omitempty" maxLength:"60" description:"Whose regions; empty: those that the coach reads off on this court"`
	Stroke  sports.Stroke `json:"stroke,omitempty" description:"What is played everywhere; empty: what is usual there"`
	Balls   int           `json:"balls,omitempty" minimum:"0" maximum:"30" description:"In each region; 0: by seconds"`
	Seconds float64       `json:"seconds,omitempty" minimum:"0" maximum:"600" description:"In each region, where no balls are counted"`
	Back    bool          `json:"back,omitempty" description:"And out again"`
	OneBall bool          `json:"oneBall,omitempty" description:"A partner plays every ball back, instead of feeding another"`
}

// Corners are balls to the four corners of the near half.
type Corners struct {
	Seconds float64 `json:"seconds,omitempty" minimum:"0" maximum:"600" description:"Of work in each sequence; 0: one round"`
	Listed  bool    `json:"listed,omitempty" description:"In order, instead of at random"`
}

// toured returns the drill with a tour for its pattern. A player waits in the middle of each region and meets balls
// there: after a bounce they land a quarter of the way nearer to the net, out of the air they would land 2 m behind
// (common practice, no source). The error is told at "tour".
func (d Document) toured(tour Tour, hand student.Hand, s coach.Settings) (Document, error) {
	fail := func(format string, args ...any) (Document, error) {
		return d, invalid.Fields{{Path: "tour", Message: fmt.Sprintf(format, args...)}}
	}
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	scheme, ok := s.Scheme(d.Court)
	if tour.Scheme != "" {
		all := slices.Concat(s.Schemes, sports.Regions())
		i := slices.IndexFunc(all, func(each court.Scheme) bool { return each.Name == tour.Scheme && each.Court == d.Court })
		if ok = i >= 0; ok {
			scheme = all[i]
		}
	}
	if !ok {
		return fail("this court has no depth regions; make some of your own in the settings")
	}
	bands, err := scheme.Bands(c, court.FromNet)
	switch {
	case err != nil:
		return d, err
	case tour.Balls <= 0 && tour.Seconds <= 0:
		return fail("say how many balls, or how many seconds, in each region")
	case tour.OneBall && (tour.Balls <= 0 || !c.HasNet() || c.AtTable()):
		return fail("one ball is played on over a net and counted, not timed")
	}
	order := []int{}
	for i := len(bands) - 1; i >= 0; i-- {
		order = append(order, i)
	}
	if tour.Back {
		for i := 1; i < len(bands); i++ {
			order = append(order, i)
		}
	}
	d = d.Clone()
	pattern := feed.Pattern{
		Method:    d.Pattern.Method,
		Gap:       d.Pattern.Gap,
		Sequences: 1,
		Pause:     math.Max(d.Pattern.Pause, 5),
		Back:      d.Pattern.Back,
	}
	own := d.Pattern.Tasks[0]
	if tour.OneBall {
		pattern.Method, pattern.Gap = feed.Partner, exchangeGap
		partner := d.partner(c)
		pattern.Tasks = []feed.Task{{Stroke: sports.Forehand, Landing: partner, Method: feed.SelfDrop, Player: 1}}
	}
	for _, i := range order {
		from := len(pattern.Tasks)
		pattern.Tasks = append(pattern.Tasks, d.visit(c, bands[i], tour, hand, own, s)...)
		if tour.Balls > 1 {
			pattern.Repeats = append(pattern.Repeats, feed.Repeat{From: from, To: len(pattern.Tasks) - 1, Times: tour.Balls})
		} else if tour.Balls == 0 {
			pattern.Repeats = append(pattern.Repeats, feed.Repeat{From: from, To: len(pattern.Tasks) - 1, Seconds: tour.Seconds})
		}
	}
	d.Pattern = pattern
	d.startsWhere(pattern.Tasks)
	d.countThe(0)
	return d, d.Check()
}

// startsWhere has the student begin where they wait for their first ball.
func (d *Document) startsWhere(tasks []feed.Task) {
	first := slices.IndexFunc(tasks, func(t feed.Task) bool { return t.Player == 0 && t.Recover != nil })
	start := slices.IndexFunc(d.Places, func(p Place) bool { return p.Kind == Start })
	if first >= 0 && start >= 0 {
		d.Places[start].Mark = *tasks[first].Recover
	}
}

// liftedTo is how high a shuttle is lifted to somebody who comes from the region before, metres. Common practice, no
// source.
const liftedTo = 3.5

// exchangeGap is the seconds between two strokes of one ball that two play on, in planning. Common practice, no source.
const exchangeGap = 1.3

// visit is what is done in one region.
func (d Document) visit(
	c court.Court,
	band court.Band,
	tour Tour,
	hand student.Hand,
	like feed.Task,
	s coach.Settings,
) []feed.Task {
	// Nobody waits further back than a step and a half behind the baseline, and nobody at a table leaves it.
	wait := (band.From + math.Min(band.To, c.Length/2+2)) / 2
	of, oneFloor := sports.Of(c.Sport), !c.HasNet()
	if oneFloor {
		wait = (band.From + math.Min(band.To, c.Length-1)) / 2
	}
	y := func(depth float64) float64 {
		if oneFloor {
			return c.Length/2 - depth
		}
		return -depth
	}
	stroke := tour.Stroke
	if stroke == "" {
		stroke = d.usualFrom(c, court.Point{Y: y(wait)}, hand, like.Stroke)
	}
	lands := wait
	switch {
	case c.AtTable():
		// The regions lie behind the table: deeper ones are for deeper balls.
		lands = c.Length / 2 * math.Min(
			court.DeepShare,
			math.Max(court.ShortShare, court.ShortShare+(court.DeepShare-court.ShortShare)*(wait-c.Length/2)),
		)
	case !of.Bounces() || oneFloor:
	case stroke.Volleyed():
		lands = math.Min(wait+2, c.Length/2+2)
	default:
		lands = 0.75 * wait
	}
	side := court.ShortShare / 2 * c.Singles / 2
	if stroke.OnBackhand() != (hand == student.LeftHand) {
		side = -side
	}
	grain := s.Units.Grain()
	mark := func(at court.Point) court.Mark { return near(c, at, grain) }
	task := feed.Task{Stroke: stroke, Pace: sports.HalfPace, Landing: mark(court.Point{X: side, Y: y(lands)})}
	if !c.AtTable() {
		home := mark(court.Point{Y: y(wait)})
		task.Recover = &home
	}
	if of.ByDepth != nil {
		task.Pace = ""
		if stroke != of.ByDepth.Short {
			task.By, task.Value = flight.ByApex, liftedTo
		}
	}
	if !tour.OneBall {
		return []feed.Task{task}
	}
	task.Method = feed.Answer
	reply := feed.Task{
		Stroke:  sports.Forehand,
		Pace:    sports.HalfPace,
		Method:  feed.Answer,
		Player:  1,
		Landing: mark(court.Point{X: -0.4, Y: c.Length / 2 * 0.66}),
	}
	if of.ByDepth != nil {
		reply.Pace, reply.Stroke = "", like.Stroke
	}
	return []feed.Task{task, reply}
}

// usualFrom is what is usually played from a place in the middle, by somebody who plays a stroke elsewhere: a shuttle
// by depth, volleys in the front half of courts where balls may be volleyed, else the stroke after a bounce.
func (d Document) usualFrom(c court.Court, at court.Point, hand student.Hand, elsewhere sports.Stroke) sports.Stroke {
	of := sports.Of(c.Sport)
	switch {
	case of.ByDepth != nil:
		if stroke := d.strokeAt(c, at, hand, elsewhere); stroke != of.ByDepth.Middle {
			return stroke
		}
		return of.ByDepth.Lifted
	case of.Volleys && -at.Y <= c.Length/4:
		return sports.ForehandVolley
	case elsewhere.Volleyed():
		return sports.Forehand
	}
	return elsewhere
}

// partner is where somebody plays the ball back from, beyond the net; whoever has no start place there gets one.
func (d *Document) partner(c court.Court) court.Mark {
	starts := 0
	for _, place := range d.Places {
		if place.Kind == Start {
			if starts++; starts == 2 {
				return place.Mark
			}
		}
	}
	mark := c.Nearby(court.Point{Y: c.Length / 2 * 0.95})
	second := slices.IndexFunc(d.Places, func(p Place) bool { return p.Kind == Start }) + 1
	d.Places = slices.Insert(d.Places, second, Place{Kind: Start, Mark: mark})
	for i, place := range d.Places {
		if place.Kind == Feeder {
			d.Places[i].Mark = mark
		}
	}
	return mark
}

// cornered returns the drill with balls to the corners for its pattern. The error is told at "corners".
func (d Document) cornered(corners Corners, hand student.Hand, s coach.Settings) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	d = d.Clone()
	like := d.Pattern.Tasks[0]
	pattern := feed.Pattern{
		Method:    d.Pattern.Method,
		Gap:       d.Pattern.Gap,
		Sequences: d.Pattern.Sequences,
		Pause:     d.Pattern.Pause,
		Back:      d.Pattern.Back,
	}
	for _, depth := range []float64{court.DeepShare, court.ShortShare} {
		for _, side := range []float64{-1, 1} {
			at := court.Point{X: side * court.WideShare * c.Singles / 2, Y: c.AtDepth(depth)}
			mark := near(c, at, s.Units.Grain())
			pattern.Tasks = append(
				pattern.Tasks,
				feed.Task{Stroke: d.strokeAt(c, at, hand, like.Stroke), Pace: like.Pace, Spin: like.Spin, Landing: mark},
			)
		}
	}
	if !corners.Listed {
		pattern.Order, pattern.Seed = feed.Shuffled, 1
	}
	if corners.Seconds > 0 {
		pattern.Ends, pattern.On = feed.ByTheClock, corners.Seconds
		pattern.Pause = math.Max(pattern.Pause, corners.Seconds)
	}
	d.Pattern = pattern
	d.countThe(0)
	return d, d.Check()
}

// countThe has one measure left, the first, for all that a player does.
func (d *Document) countThe(player int) {
	d.Measures = cloneMeasures(d.Measures[:1])
	d.Order = ""
	d.Measures[0].Tasks = nil
	if d.Pattern.Roles() == 1 {
		return
	}
	for i, task := range d.Pattern.Tasks {
		if task.Player == player {
			d.Measures[0].Tasks = append(d.Measures[0].Tasks, i)
		}
	}
}
