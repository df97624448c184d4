package odds

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Exchange is two players who rally straight up and down the middle, each from one depth.
type Exchange struct {
	World   flight.World
	Near    float64 // metres from the net at which one player meets the ball
	Far     float64 // and the other
	Height  float64 // metres over the net
	Pace    sports.Pace
	Volleys bool    // out of the air
	Rate    float64 // chance to keep each ball in play
	Seconds float64 // time of the challenge
	Wanted  int     // balls wanted in it
	Sets    int     // balls in one set, counted "one, two, start again"; 1 for single balls
	Restart float64 // seconds from a miss to the next ball; the count carries on
}

// Rallied is how fast two players can rally.
type Rallied struct {
	PerMinute  float64           `json:"perMinute" description:"Balls a minute, both players together, as long as nobody misses"`
	Needed     *float64          `json:"needed" description:"Mean speed of the ball over the ground that the wanted number takes, m/s; null where no speed that lands does it"`
	Speed      float64           `json:"speed" description:"Mean speed at the most, m/s"`
	InTime     int               `json:"inTime" description:"Balls in the time without a miss"`
	Sets       int               `json:"sets" description:"Whole sets in the time"`
	Expected   float64           `json:"expected" description:"Balls in the time with the misses that are to be expected"`
	Chance     float64           `json:"chance" description:"To get the wanted number in the time"`
	Sentence   string            `json:"sentence"`
	Derivation metric.Derivation `json:"derivation"`
}

// Check says what is wrong with an exchange, by field.
func (e Exchange) Check() error {
	var wrong invalid.Fields
	c := e.World.Court
	if !c.HasNet() {
		wrong.Add("court", "%s has no net to rally over", c.Name)
		return wrong.Err()
	}
	deepest := c.Length/2 + c.RunOff.Back
	for path, depth := range map[string]float64{"near": e.Near, "far": e.Far} {
		if !(depth > 0) || depth > deepest {
			wrong.Add(
				path,
				"a player stands between the net and %s behind it; this is %s",
				units.Metres.Length(deepest),
				units.Metres.Length(depth),
			)
		}
	}
	if !(e.Height >= 0) || e.Height > 12 {
		wrong.Add("height", "a ball passes the net between 0 and 12 m above it")
	}
	if e.Pace.Speed(c) == 0 {
		wrong.Add("pace", "there is no pace called %q", e.Pace)
	}
	checkRate(&wrong, "rate", e.Rate)
	if !(e.Seconds > 0) || e.Wanted < 1 || e.Wanted > score.MaxCount || e.Sets < 1 || !(e.Restart >= 0) {
		wrong.Add("wanted", "say how many balls, between 1 and %d, are wanted in how many seconds", score.MaxCount)
	}
	return wrong.Err()
}

// trip is one way over the net: how fast it goes over the ground until it lands, and how long it takes
// until the other player meets it.
type trip struct{ speed, seconds float64 }

// trips are the ways of playing a ball so high over the net from one depth to the other: one for each
// landing place between the net and where it is met.
func (e Exchange) trips(ctx context.Context, from, to float64) ([]trip, error) {
	c := e.World.Court
	start := flight.Above(court.Point{Y: -from}, sports.Of(c.Sport).Rally)
	const places = 24
	deepest := math.Min(c.Length/2, 2.5*to)
	var list []trip
	for i := 1; i <= places; i++ {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		landing := court.Point{Y: deepest * float64(i) / places}
		l, err := e.World.Aim(flight.Want{From: start, Landing: landing, By: flight.ByClearance, Value: e.Height})
		if err != nil {
			continue
		}
		path := e.World.Follow(l, 2)
		bounce, landed := path.Bounce(0)
		if !landed {
			continue
		}
		if met, ok := e.contactTime(path, bounce, to); ok {
			list = append(list, trip{speed: (from + landing.Y) / bounce.T, seconds: met})
		}
	}
	return list, nil
}

// contactTime is when a ball comes to the depth of the other player, at a height that can be played.
func (e Exchange) contactTime(path flight.Path, bounce flight.State, depth float64) (float64, bool) {
	volley := e.Volleys || !e.World.Ball.Bounces()
	low, high := bounce.T, path.End()
	if volley {
		low, high = 0, bounce.T
	}
	if path.At(low).P.Y > depth || path.At(high).P.Y < depth {
		return 0, false
	}
	for range 40 {
		if mid := (low + high) / 2; path.At(mid).P.Y < depth {
			low = mid
		} else {
			high = mid
		}
	}
	const lowest, highest = 0.1, 2.2 // metres above the court
	z := path.At(high).P.Z
	return high, z >= lowest && z <= highest
}

// quickest is the shortest time at no more than a speed; false where there is none.
func quickest(list []trip, speed float64) (trip, bool) {
	best, found := trip{seconds: math.Inf(1)}, false
	for _, t := range list {
		if t.speed <= speed && t.seconds < best.seconds {
			best, found = t, true
		}
	}
	return best, found
}

// Answer works out how many balls a minute two players can reach, and what a number of balls in a time
// needs. Every ball passes the net as high as was said; each of its landing places has its own pace, and
// those up to the pace that was chosen can be played.
func (e Exchange) Answer(ctx context.Context) (Rallied, error) {
	if err := e.Check(); err != nil {
		return Rallied{}, err
	}
	there, err := e.trips(ctx, e.Near, e.Far)
	if err != nil {
		return Rallied{}, err
	}
	back, err := e.trips(ctx, e.Far, e.Near)
	if err != nil {
		return Rallied{}, err
	}
	fastest := e.Pace.Speed(e.World.Court)
	a, ok := quickest(there, fastest)
	b, okBack := quickest(back, fastest)
	if !ok || !okBack {
		return Rallied{}, e.tooSlow(there, back)
	}
	each := (a.seconds + b.seconds) / 2
	r := Rallied{PerMinute: 60 / each, Speed: math.Max(a.speed, b.speed), InTime: int(e.Seconds/each + 1e-9)}
	r.Sets = r.InTime / e.Sets
	for _, t := range append(there, back...) {
		x, ok := quickest(there, t.speed)
		y, okBack := quickest(back, t.speed)
		if ok && okBack && (x.seconds+y.seconds)/2*float64(e.Wanted) <= e.Seconds &&
			(r.Needed == nil || t.speed < *r.Needed) {
			speed := t.speed
			r.Needed = &speed
		}
	}
	r.Expected = e.Seconds * e.Rate / (each + (1-e.Rate)*e.Restart)
	// Each miss takes the time of its ball and of starting again: so many misses there is time for.
	if spare := e.Seconds - float64(e.Wanted)*each; spare >= -1e-9 {
		misses := int((spare + 1e-9) / (each + e.Restart))
		w, err := processOf(score.Goal{Kind: score.Total, Count: e.Wanted}, e.Rate, 0).wait(ctx, 0, 0, e.Wanted+misses)
		if err != nil {
			return Rallied{}, err
		}
		r.Chance = w.within(e.Wanted + misses)
	}
	r.Sentence = e.sentence(r)
	r.Derivation = e.derivation(r, a, b)
	return r, nil
}

// tooSlow says why no ball of the pace comes to the other player.
func (e Exchange) tooSlow(ways ...[]trip) error {
	needed := 0.0
	for _, list := range ways {
		slowest := math.Inf(1)
		for _, t := range list {
			slowest = math.Min(slowest, t.speed)
		}
		needed = math.Max(needed, slowest)
	}
	over := units.Metres.Length(e.Height)
	if math.IsInf(needed, 1) {
		return invalid.Fields{
			{
				Path: "height",
				Message: over + " over the net no ball that lands comes to the other player at a height to play; change the " +
					"height or the depths",
			},
		}
	}
	return invalid.Fields{
		{
			Path: "pace",
			Message: fmt.Sprintf(
				"%s over the net it takes %s m/s to come to the other player, and %s is %s",
				over,
				units.Decimal(needed, 1),
				e.Pace,
				units.Decimal(e.Pace.Speed(e.World.Court), 1),
			),
		},
	}
}

func (e Exchange) sentence(r Rallied) string {
	phrase := fmt.Sprintf(
		"at most %s balls a minute: %d in %s s",
		units.Decimal(r.PerMinute, 0),
		r.InTime,
		units.Decimal(e.Seconds, 0),
	)
	if e.Sets > 1 {
		phrase += fmt.Sprintf(", %s of %d", units.Count(r.Sets, "set", "sets"), e.Sets)
	}
	phrase += fmt.Sprintf(
		"; with their misses about %s. %d in that time: %s",
		units.Decimal(r.Expected, 0),
		e.Wanted,
		Times(r.Chance),
	)
	switch {
	case r.Needed == nil:
		return phrase + ", and no pace that lands is quick enough: lower the ball over the net or come closer"
	case *r.Needed > r.Speed+1e-9:
		return phrase + fmt.Sprintf("; it needs a pace of %s m/s", units.Decimal(*r.Needed, 1))
	}
	return phrase
}

func (e Exchange) derivation(r Rallied, there, back trip) metric.Derivation {
	speed := func(v float64) string { return units.Decimal(v, 1) + " m/s" }
	seconds := metric.Decimal(2, "s")
	both := metric.Added.Work("There and back", seconds,
		seconds.Of("There", there.seconds), seconds.Of("Back", back.seconds))
	w := metric.Derivation{
		Figure: "Balls a minute",
		Value:  units.Decimal(r.PerMinute, 1),
		Sums: []metric.Sum{both, metric.Shared.Work("Balls a minute", metric.Decimal(1, "").Fixed(),
			seconds.Of("Two balls a minute take", 120), both.Gives)},
		Formula: "A miss takes its ball's time and the restart, and the count carries on",
		Inputs: []metric.Input{
			{Name: "From the net", Value: units.Metres.Length(e.Near) + " and " + units.Metres.Length(e.Far)},
			{Name: "Over the net", Value: units.Metres.Length(e.Height)},
			{Name: "Pace there, and back", Value: speed(there.speed) + ", " + speed(back.speed)},
			{Name: "Kept in play", Value: ofTen(e.Rate)},
			{Name: "Starting again", Value: units.Decimal(e.Restart, 1) + " s"},
		},
		Source: "Flights from contact to contact; heights of contact and paces: common practice, no source",
	}
	if r.Needed != nil {
		w.Inputs = append(
			w.Inputs,
			metric.Input{Name: fmt.Sprintf("%d in %s s needs", e.Wanted, units.Decimal(e.Seconds, 0)), Value: speed(*r.Needed)},
		)
	}
	return w.Settled()
}
