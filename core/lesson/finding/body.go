package finding

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
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
	veryHot      = 32.0
	sooner       = 5.0 // minutes
)

// wantedWarmUp is how many minutes of warm-up a block of so much effort wants, to half a minute, with what the air and
// the age of those who come ask for and why.
func wantedWarmUp(effort int, in schedule.Inputs) (minutes float64, why string) {
	more, why := lesson.WarmUp(in.Settings.Air.Celsius, in.People)
	if why != "" {
		why = " (" + why + ")"
	}
	return math.Round(2*(4+0.75*float64(effort)))/2 + more, why
}

// warmUps holds the beginning of a lesson against its hardest block.
func warmUps(d lesson.Document, list []schedule.Prepared, in schedule.Inputs) []Finding {
	var all []Finding
	hardest, body, first := -1, -1, -1
	for i, l := range list {
		if l.Block.Kind == lesson.Body && body < 0 {
			body = i
		}
		if l.Block.Kind.Warms() || l.Block.Kind.Rests() {
			continue
		}
		if first < 0 {
			first = i
		}
		if hardest < 0 || l.Block.Effort > list[hardest].Block.Effort {
			hardest = i
		}
	}
	if hardest < 0 {
		return nil
	}
	if body < 0 || body > first {
		block := lesson.Starters(in.Sport())[0]
		all = append(
			all,
			found(
				Warning,
				list[first].Block,
				"The first drill comes before any body warm-up. Warm the body first.",
				remedyBody(d, body, block),
			),
		)
	}
	minutes, top := 0.0, 0
	for _, l := range list[:hardest] {
		if l.Block.Kind.Warms() {
			minutes += l.Block.Minutes
		}
		if !l.Block.Kind.Rests() {
			top = max(top, l.Block.Effort)
		}
	}
	block := list[hardest].Block
	wanted, why := wantedWarmUp(block.Effort, in)
	if body >= 0 && body < hardest && minutes < wanted-1e-6 {
		all = append(
			all,
			found(
				Warning,
				block,
				fmt.Sprintf(
					"%s is %d out of 10, and %s min of warm-up come before it; %s min would suit%s.",
					block.Title,
					block.Effort,
					units.Decimal(minutes, 1),
					units.Decimal(wanted, 1),
					why,
				),
				Remedy{
					Label: fmt.Sprintf(
						"Stretch %s to %s min",
						list[body].Block.Title,
						units.Decimal(roundHalf(list[body].Block.Minutes+wanted-minutes), 1),
					),
					Edit: editing.Edit{
						Kind:    editing.Resize,
						Block:   list[body].Block.ID,
						Minutes: roundHalf(list[body].Block.Minutes + wanted - minutes),
					},
				},
			),
		)
	}
	if body >= 0 && body < hardest && top < block.Effort-softer {
		ball := lesson.Starters(in.Sport())[1]
		ball.Effort = block.Effort - softer
		all = append(
			all,
			found(
				Warning,
				block,
				fmt.Sprintf(
					"%s is %d out of 10, and nothing before it is harder than %d: the warm-up is too soft for it.",
					block.Title,
					block.Effort,
					top,
				),
				Remedy{
					Label: fmt.Sprintf("Put a ball warm-up of %d out of 10 before it", ball.Effort),
					Edit:  editing.Edit{Kind: editing.InsertBlock, To: hardest, New: &ball},
				},
			),
		)
	}
	return append(append(all, tooEarly(list)...), shoulders(list, in)...)
}

func roundHalf(minutes float64) float64 { return math.Ceil(2*minutes-1e-6) / 2 }

// remedyBody puts a body warm-up first: the one there is, or a new one.
func remedyBody(d lesson.Document, at int, block lesson.Block) Remedy {
	if at >= 0 {
		return Remedy{
			Label: "Move " + d.Blocks[at].Title + " to the beginning",
			Edit:  editing.Edit{Kind: editing.MoveBlock, Block: d.Blocks[at].ID, To: 0},
		}
	}
	return Remedy{Label: "Begin with a body warm-up", Edit: editing.Edit{Kind: editing.InsertBlock, To: 0, New: &block}}
}

// tooEarly says that something at game pace comes before a warm-up.
func tooEarly(list []schedule.Prepared) []Finding {
	last := -1
	for i, l := range list {
		if l.Block.Kind.Warms() {
			last = i
		}
	}
	for _, l := range list[:max(0, last)] {
		if l.Block.Kind.Warms() || l.Block.Kind.Rests() ||
			l.Block.Effort < gamePace && l.Block.Kind != lesson.Game && l.Block.Kind != lesson.Points {
			continue
		}
		return []Finding{
			found(
				Warning,
				l.Block,
				fmt.Sprintf("%s goes at game pace before %s is over.", l.Block.Title, list[last].Block.Title),
				Remedy{
					Label: "Move it behind the warm-up",
					Edit:  editing.Edit{Kind: editing.MoveBlock, Block: l.Block.ID, To: last},
				},
			),
		}
	}
	return nil
}

// shoulders says that somebody serves or hits above the head before the shoulder is warm.
func shoulders(list []schedule.Prepared, in schedule.Inputs) []Finding {
	body, ball := 0.0, 0.0
	for i, l := range list {
		if l.Overhead() && (body < bodyWarm || ball < shoulderWarm) {
			f := found(
				Warning,
				l.Block,
				fmt.Sprintf(
					"%s has serves or strokes above the head before the shoulder is warm: %s min of body warm-up and %s min with "+
						"the ball come before it, and %s and %s are wanted.",
					l.Block.Title,
					units.Decimal(body, 1),
					units.Decimal(ball, 1),
					units.Decimal(bodyWarm, 0),
					units.Decimal(shoulderWarm, 0),
				),
			)
			later := slices.IndexFunc(list[i+1:], func(other schedule.Prepared) bool {
				return !other.Block.Kind.Rests() && !other.Overhead()
			})
			if later >= 0 {
				f.Remedies = append(
					f.Remedies,
					Remedy{
						Label: "Move it behind " + list[i+1+later].Block.Title,
						Edit:  editing.Edit{Kind: editing.MoveBlock, Block: l.Block.ID, To: i + 1 + later},
					},
				)
			} else {
				starters := lesson.Starters(in.Sport())
				f.Remedies = append(
					f.Remedies,
					Remedy{
						Label: "Put a ball warm-up before it",
						Edit:  editing.Edit{Kind: editing.InsertBlock, To: i, New: &starters[1]},
					},
				)
			}
			return []Finding{f}
		}
		switch {
		case l.Block.Kind == lesson.Body:
			body += l.Block.Minutes
		case !l.Block.Kind.Rests():
			ball += l.Block.Minutes
		}
	}
	return nil
}

// rests asks for a break in long hard work, sooner in the heat.
func rests(list []schedule.Prepared, in schedule.Inputs) []Finding {
	var all []Finding
	young := slices.ContainsFunc(in.People, func(p lesson.Person) bool { return p.Profile.Age.Growing() })
	old := slices.ContainsFunc(in.People, func(p lesson.Person) bool { return p.Profile.Age == student.Sixty })
	most, degrees := longest, in.Settings.Air.Celsius
	if young {
		most = longestYoung
	}
	if degrees >= lesson.Hot {
		most -= sooner
	}
	work, top := 0.0, 0
	for _, l := range list {
		if l.Block.Kind.Rests() {
			work, top = 0, 0
			continue
		}
		if l.Block.Effort < strenuous {
			continue
		}
		if work > 0 && work+l.Block.Minutes > most && max(top, l.Block.Effort) >= hard-1 {
			water := lesson.Water()
			all = append(
				all,
				found(
					Warning,
					l.Block,
					fmt.Sprintf(
						"%s min of hard work without a break or water by the end of %s; %s min are enough%s.",
						units.Decimal(work+l.Block.Minutes, 1),
						l.Block.Title,
						units.Decimal(most, 0),
						inHeat(degrees),
					),
					Remedy{Label: "Put a break before it", Edit: editing.Edit{Kind: editing.InsertBlock, To: l.Index, New: &water}},
				),
			)
			work, top = 0, 0
		}
		work += l.Block.Minutes
		top = max(top, l.Block.Effort)
	}
	if degrees >= veryHot || degrees >= lesson.Hot && (young || old) {
		all = append(
			all,
			found(
				Warning,
				lesson.Block{},
				fmt.Sprintf(
					"%s °C: shade and water at every change, less effort, and the heat rules of your club and federation come first.",
					units.Decimal(degrees, 0),
				),
			),
		)
	}
	return all
}

func inHeat(degrees float64) string {
	if degrees < lesson.Hot {
		return ""
	}
	return fmt.Sprintf(" at %s °C", units.Decimal(degrees, 0))
}
