package footwork

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// Fastest is the shortest gap at which a pattern stays within a strain and can be kept up, turn after turn: the player
// is back where the pattern wants them when the next ball is struck.
type Fastest struct {
	Strain Verdict  `json:"strain"`
	Gap    *float64 `json:"gap" description:"Seconds, to the next tenth; null where no gap does"`
	First  string   `json:"first" description:"What gives first at a shorter one, in words; empty where no gap does"`
}

// kept is what one task of a pattern asks for, whatever the gap, from where the player waits for it.
type kept struct {
	task    int
	meant   bool
	verdict Verdict // of a ball
	back    float64 // seconds from its release until the player waits for the next one
	ready   float64 // more seconds until they have that one ready, where they drop or toss it themselves
	done    float64 // of a touch or a shadow stroke: seconds that it takes
	ratio   float64 // gaps of the pattern until the player's next task begins
	own     float64 // and until the next task begins
	pause   float64 // seconds of pause in between
}

// Fastest finds for each strain the shortest gap that can be kept up. A player who waits at the same place for a ball
// each time meets it in the same way at whatever gap, so that no gap has to be tried: it is the longest of what the
// tasks ask for. None for a rally, and none where one ball is played on.
func (t Timing) Fastest(ctx context.Context) ([]Fastest, error) {
	if t.Pattern.Rally != nil || t.Pattern.OneBall() {
		return []Fastest{}, nil
	}
	tasks, err := t.kept(ctx)
	if err != nil {
		return nil, err
	}
	var list []Fastest
	for _, strain := range []Verdict{Easy, Working, Stretched} {
		list = append(list, t.within(strain, tasks))
	}
	return list, nil
}

// within is the shortest gap within a strain.
func (t Timing) within(strain Verdict, tasks []kept) Fastest {
	share := map[Verdict]float64{Easy: easyShare, Working: 1, Stretched: hurried}[strain]
	f, gap := Fastest{Strain: strain}, shortestGap
	first := "nothing: balls do not come closer together"
	longer := func(g float64, why string, task int) {
		if g > gap {
			gap, first = g, fmt.Sprintf(why, t.Pattern.Tasks[task].Label(task))
		}
	}
	for _, k := range tasks {
		if !k.meant && k.verdict.Worse(strain) {
			return f
		}
		if k.ratio > 0 {
			longer((k.back-k.pause)/k.ratio, "recovery: the way back after %s", k.task)
			if k.ready > 0 {
				longer((k.back+k.ready-k.pause)/k.ratio, "time: no ball is ready yet after %s", k.task)
			}
		}
		if k.done > 0 && k.own > 0 && !k.meant {
			longer(k.done/share/k.own, "time: %s is not done before the next one", k.task)
		}
	}
	gap = math.Ceil(10*gap-1e-9) / 10
	if gap <= longestGap {
		f.Gap, f.First = &gap, first
	}
	return f
}

// kept works out what the tasks of a sequence ask for: each from where the player waits.
func (t Timing) kept(ctx context.Context) ([]kept, error) {
	p := t.Pattern
	p.Sequences, p.Ends = 2, ""
	if len(p.Listed())*2 > feed.MaxReleases {
		p.Sequences = 1
	}
	plan, err := p.PlanTurn(ctx, 0)
	if err != nil {
		return nil, err
	}
	var list []kept
	waits := make([]court.Point, len(t.Starts))
	copy(waits, t.Starts)
	for n, r := range plan {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		task := t.Pattern.Tasks[r.Task]
		i := min(task.Player, len(waits)-1)
		m := mover{place: waits[i], free: math.Inf(-1), recover: waits[i]}
		f := t.ball(t.sentTo(r, t.placed[r.Task], waits[i], t.player.Hand))
		k := kept{task: r.Task, meant: task.Meant, verdict: Easy}
		at := Interception{Task: r.Task, Release: r.At}
		switch {
		case f.fails != nil || p.MethodOf(task) == feed.Answer:
			continue
		case !task.Kind.Flies():
			t.visit(&m, &at, f.flown)
			k.done = at.Needed
		default:
			t.intercept(&m, &at, f, bare)
			k.verdict = at.Verdict
		}
		t.recoverFrom(&m, i, r)
		way := t.way(m.place, m.recover, WayBack)
		k.back = m.free - r.At + t.player.Seconds(way.Length)
		waits[i] = m.recover
		k.until(t.Drill, p, plan, n, i)
		list = append(list, k)
	}
	return list, nil
}

// until says how many gaps pass from a task of a turn until the next one, and until the next one of the same player.
func (k *kept) until(d Drill, p feed.Pattern, plan []feed.Release, n, player int) {
	k.own = p.GapOf(p.Tasks[plan[n].Task]) / p.Gap
	gaps, pause := 0.0, 0.0
	for next := n + 1; next < len(plan); next++ {
		gaps += p.GapOf(p.Tasks[plan[next-1].Task]) / p.Gap
		if plan[next].Sequence > plan[next-1].Sequence {
			pause += p.Pause
		}
		if p.Tasks[plan[next].Task].Player == player {
			k.ratio, k.pause, k.ready = gaps, pause, d.ready(p.Tasks[plan[next].Task])
			return
		}
	}
}
