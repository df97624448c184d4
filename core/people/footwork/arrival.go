package footwork

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// arrival is what intercepting a ball asks for.
type arrival struct {
	contact
	body             court.Point // where the body is when the ball is met
	run              Route
	needed, reaching float64 // seconds from the release: in comfort, and in a lunge
	available        float64
	loose            float64 // see loosened
}

// verdict grades an arrival.
func (a arrival) verdict() Verdict {
	switch {
	case a.reaching > a.available+1e-9:
		return OutOfReach
	case a.late, a.needed > a.available:
		return Stretched
	case a.low, a.needed > easyShare*a.available:
		return Working
	}
	return Easy
}

// What loosens a reply: hurry, from the share of the time on at which a ball is no longer easy, being too late for
// comfort, meeting it later than wanted, and meeting it below the net. Our own choice, tried on relations: no source.
const (
	byHurry = 0.8
	byShort = 0.45
	byLate  = 0.3
	byLow   = 0.5
	byWall  = 0.8  // where it comes back off a wall behind, beside a net: it is read turned away
	byFast  = 0.25 // for each time that it comes in faster than at rally pace
	bySpin  = 0.1  // where its rim turns as fast as a ball of rally pace flies
)

// fierce is how much more the reply scatters for how fast a ball comes in and how it spins: 1 for one that is no faster
// than rally pace and has no spin.
func (d Drill) fierce(f flown, at flight.State) float64 {
	rally := sports.RallyPace.Speed(d.World.Court)
	rim := d.World.Ball.Radius() * f.launch.Spin.Norm()
	return 1 + byFast*math.Max(0, at.V.Norm()/rally-1) + bySpin*math.Min(1, rim/rally)
}

// loosened is how much more the reply to a ball scatters than at ease: 1 at ease.
func (d Drill) loosened(a arrival) float64 {
	loose := a.hurriedBy()
	if !d.World.Court.HasNet() {
		return loose
	}
	if net := d.World.Court.Net.Centre; a.at.P.Z < net {
		loose *= 1 + byLow*math.Min(1, (net-a.at.P.Z)/net)
	}
	if a.how == feed.OffTheWall {
		loose *= 1 + byWall
	}
	return loose
}

// hurriedBy is the part of it that is hurry, and being late.
func (a arrival) hurriedBy() float64 {
	loose := 1 + byHurry*math.Max(0, a.needed/math.Max(a.available, 1e-3)-easyShare)
	if a.needed > a.available { // in a lunge, which is no emergency until it is a full one
		loose += byShort * math.Min(1, (a.needed-a.available)/math.Max(a.needed-a.reaching, 1e-3))
	}
	if a.late {
		loose += byLate
	}
	return loose
}

// stance is a contact as a player goes for it: where the body is in comfort, and how far from it the ball is met in a
// lunge.
type stance struct {
	contact
	body  court.Point
	lunge float64
}

func (d Drill) stance(c contact, stroke sports.Stroke, p Player) stance {
	s := stance{contact: c, body: d.stand(p, c.at.P, stroke), lunge: p.LungeReach}
	if d.aboveHead(stroke) {
		s.lunge *= upwards
	}
	return s
}

// times are the seconds from the release until a player is at a contact: in comfort, by a way of so many metres from a
// place that they leave so many seconds after the release, and in a lunge.
func (d *Drill) times(s *stance, p *Player, from court.Point, metres, leaves float64) (needed, reaching float64) {
	facing := d.facing(from)
	back := backwards * math.Max(0, (from.Y-s.body.Y)*facing) // turned, away from the net
	needed = leaves + p.Seconds(metres+back)
	if metres > noRun {
		if d.World.Court.AtTable() {
			needed += quick
		} else {
			needed += settle
		}
	}
	toBall := from.Distance(s.at.P.Floor())
	short := toBall - s.lunge
	if short <= 0 {
		return needed, math.Min(needed, leaves)
	}
	short += backwards * math.Max(0, (from.Y-s.at.P.Y)*facing) * short / toBall
	short += math.Max(0, metres-from.Distance(s.body)) // the way round an obstacle
	return needed, math.Min(needed, leaves+p.Seconds(short))
}

// arrive works out what it takes to meet a ball at one contact, from a place that the player leaves so
// many seconds after the release.
func (d Drill) arrive(c contact, stroke sports.Stroke, p Player, from court.Point, leaves float64) arrival {
	s := d.stance(c, stroke, p)
	a := arrival{contact: c, body: s.body, available: c.at.T, run: d.way(from, s.body, WayOut)}
	a.needed, a.reaching = d.times(&s, &p, from, a.run.Length, leaves)
	a.loose = d.loosened(a)
	if a.needed > a.available { // met in a lunge, as near as the time allows
		a.run = a.run.upTo(p.Metres(a.available - leaves))
		a.body = a.run.Places[len(a.run.Places)-1]
	}
	return a
}

// handier says whether of two contacts that are otherwise as good the first one is met nearer to the height of the
// chest at ease, and in a hurry with more time to spare.
func (d Drill) handier(a, than arrival, p Player) bool {
	if a.verdict() != Easy {
		return a.available-a.needed > than.available-than.needed
	}
	off := func(a arrival) float64 { return math.Abs(a.at.P.Z + d.World.Court.Above - chest*p.High) }
	return off(a) < off(than)
}

// best picks the contact that is met with the best verdict; among equals the one whose reply is loosened least, then
// the handier one, and wanted ones before late ones.
func (d Drill) best(list []contact, stroke sports.Stroke, p Player, from court.Point, leaves float64) (arrival, bool) {
	var best arrival
	found := false
	for _, c := range list {
		if found && c.late && best.verdict() != OutOfReach {
			break
		}
		a := d.arrive(c, stroke, p, from, leaves)
		better := best.verdict().Worse(a.verdict()) ||
			best.verdict() == a.verdict() && (a.loose < best.loose || a.loose == best.loose && d.handier(a, best, p))
		if !found || better {
			best, found = a, true
		}
	}
	return best, found
}
