package lesson

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/student"
	"hodometer/core/units"
)

// What a body wants before and between hard work. Common practice, no source; local rules come first.
const (
	hard         = 7    // effort out of ten from which a block is hard
	gamePace     = 7    // and from which it is at game pace
	softer       = 4    // a warm-up ends no more than so much below the hardest block
	bodyWarm     = 5.0  // minutes of body warm-up before anything
	shoulderWarm = 5.0  // minutes with the ball before serves and strokes above the head
	longest      = 25.0 // minutes of work at five and more out of ten without a break
	longestYoung = 20.0 // the same for players who grow
	strenuous    = 5
	hot          = 28.0 // degrees Celsius from which the breaks come sooner
	veryHot      = 32.0
	sooner       = 5.0 // minutes
)

// wantedWarmUp is how many minutes of warm-up a block of so much effort wants, to half a minute.
func wantedWarmUp(effort int) float64 { return math.Round(2*(4+0.75*float64(effort))) / 2 }

// warmUps holds the beginning of a lesson against its hardest block.
func warmUps(d Document, list []preparedBlock) []Finding {
	var all []Finding
	hardest, body, first := -1, -1, -1
	for i, l := range list {
		if l.block.Kind == Body && body < 0 {
			body = i
		}
		if l.block.Kind.warms() || l.block.Kind.rests() {
			continue
		}
		if first < 0 {
			first = i
		}
		if hardest < 0 || l.block.Effort > list[hardest].block.Effort {
			hardest = i
		}
	}
	if hardest < 0 {
		return nil
	}
	if body < 0 || body > first {
		block := Starters()[0]
		all = append(all, found(Warning, list[first].block, "The first drill comes before any body warm-up. Warm the body first.", remedyBody(d, body, block)))
	}
	minutes, top := 0.0, 0
	for _, l := range list[:hardest] {
		if l.block.Kind.warms() {
			minutes += l.block.Minutes
		}
		if !l.block.Kind.rests() {
			top = max(top, l.block.Effort)
		}
	}
	block, wanted := list[hardest].block, wantedWarmUp(list[hardest].block.Effort)
	if body >= 0 && body < hardest && minutes < wanted-1e-6 {
		all = append(all, found(Warning, block, fmt.Sprintf("%s is %d out of 10, and %s min of warm-up come before it; %s min would suit.", block.Title, block.Effort, units.Decimal(minutes, 1), units.Decimal(wanted, 1)),
			Remedy{Label: fmt.Sprintf("Stretch %s to %s min", list[body].block.Title, units.Decimal(roundHalf(list[body].block.Minutes+wanted-minutes), 1)), Edit: Edit{Kind: Resize, Block: list[body].block.ID, Minutes: roundHalf(list[body].block.Minutes + wanted - minutes)}}))
	}
	if body >= 0 && body < hardest && top < block.Effort-softer {
		ball := Starters()[1]
		ball.Effort = block.Effort - softer
		all = append(all, found(Warning, block, fmt.Sprintf("%s is %d out of 10, and nothing before it is harder than %d: the warm-up is too soft for it.", block.Title, block.Effort, top),
			Remedy{Label: fmt.Sprintf("Put a ball warm-up of %d out of 10 before it", ball.Effort), Edit: Edit{Kind: InsertBlock, To: hardest, New: &ball}}))
	}
	return append(append(all, tooEarly(list)...), shoulders(list)...)
}

func roundHalf(minutes float64) float64 { return math.Ceil(2*minutes-1e-6) / 2 }

// remedyBody puts a body warm-up first: the one there is, or a new one.
func remedyBody(d Document, at int, block Block) Remedy {
	if at >= 0 {
		return Remedy{Label: "Move " + d.Blocks[at].Title + " to the beginning", Edit: Edit{Kind: MoveBlock, Block: d.Blocks[at].ID, To: 0}}
	}
	return Remedy{Label: "Begin with a body warm-up", Edit: Edit{Kind: InsertBlock, To: 0, New: &block}}
}

// tooEarly says that something at game pace comes before a warm-up.
func tooEarly(list []preparedBlock) []Finding {
	last := -1
	for i, l := range list {
		if l.block.Kind.warms() {
			last = i
		}
	}
	for _, l := range list[:max(0, last)] {
		if l.block.Kind.warms() || l.block.Kind.rests() || l.block.Effort < gamePace && l.block.Kind != Game && l.block.Kind != Points {
			continue
		}
		return []Finding{found(Warning, l.block, fmt.Sprintf("%s goes at game pace before %s is over.", l.block.Title, list[last].block.Title),
			Remedy{Label: "Move it behind the warm-up", Edit: Edit{Kind: MoveBlock, Block: l.block.ID, To: last}})}
	}
	return nil
}

// shoulders says that somebody serves or hits above the head before the shoulder is warm.
func shoulders(list []preparedBlock) []Finding {
	body, ball := 0.0, 0.0
	for i, l := range list {
		if l.overhead() && (body < bodyWarm || ball < shoulderWarm) {
			f := found(Warning, l.block, fmt.Sprintf("%s has serves or strokes above the head before the shoulder is warm: %s min of body warm-up and %s min with the ball come before it, and %s and %s are wanted.",
				l.block.Title, units.Decimal(body, 1), units.Decimal(ball, 1), units.Decimal(bodyWarm, 0), units.Decimal(shoulderWarm, 0)))
			later := slices.IndexFunc(list[i+1:], func(other preparedBlock) bool {
				return !other.block.Kind.rests() && !other.overhead()
			})
			if later >= 0 {
				f.Remedies = append(f.Remedies, Remedy{Label: "Move it behind " + list[i+1+later].block.Title, Edit: Edit{Kind: MoveBlock, Block: l.block.ID, To: i + 1 + later}})
			} else {
				starters := Starters()
				f.Remedies = append(f.Remedies, Remedy{Label: "Put a ball warm-up before it", Edit: Edit{Kind: InsertBlock, To: i, New: &starters[1]}})
			}
			return []Finding{f}
		}
		switch {
		case l.block.Kind == Body:
			body += l.block.Minutes
		case !l.block.Kind.rests():
			ball += l.block.Minutes
		}
	}
	return nil
}

// rests asks for a break in long hard work, sooner in the heat.
func rests(list []preparedBlock, in Inputs) []Finding {
	var all []Finding
	young := slices.ContainsFunc(in.People, func(p Person) bool { return p.Profile.Age.Growing() })
	old := slices.ContainsFunc(in.People, func(p Person) bool { return p.Profile.Age == student.Sixty })
	most, degrees := longest, in.Settings.Air.Celsius
	if young {
		most = longestYoung
	}
	if degrees >= hot {
		most -= sooner
	}
	work, top := 0.0, 0
	for _, l := range list {
		if l.block.Kind.rests() {
			work, top = 0, 0
			continue
		}
		if l.block.Effort < strenuous {
			continue
		}
		if work > 0 && work+l.block.Minutes > most && max(top, l.block.Effort) >= hard-1 {
			water := water()
			all = append(all, found(Warning, l.block, fmt.Sprintf("%s min of hard work without a break or water by the end of %s; %s min are enough%s.", units.Decimal(work+l.block.Minutes, 1), l.block.Title, units.Decimal(most, 0), inHeat(degrees)),
				Remedy{Label: "Put a break before it", Edit: Edit{Kind: InsertBlock, To: l.index, New: &water}}))
			work, top = 0, 0
		}
		work += l.block.Minutes
		top = max(top, l.block.Effort)
	}
	if degrees >= veryHot || degrees >= hot && (young || old) {
		all = append(all, found(Warning, Block{}, fmt.Sprintf("%s °C: shade and water at every change, less effort, and the heat rules of your club and federation come first.", units.Decimal(degrees, 0))))
	}
	return all
}

func inHeat(degrees float64) string {
	if degrees < hot {
		return ""
	}
	return fmt.Sprintf(" at %s °C", units.Decimal(degrees, 0))
}
