package feed

import (
	"slices"
	"strings"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// asks changes what a pattern asks for: where the reply goes, how it is meant, what comes in. It is false for a step
// that does something else.
func (s Transformation) asks(p *Pattern, sport court.Sport) (string, bool) {
	switch s.Kind {
	case OtherReply:
		for i := range p.Tasks {
			if reply := p.Tasks[i].Reply; reply != nil {
				mirrored := reply.Mirrored()
				p.Tasks[i].Reply = &mirrored
			}
		}
		p.rally(func(r *Rally) { r.Near = r.Near.other() })
		return "Replies go to the other side.", true
	case Attack:
		p.replies(sports.GamePace)
		return "Replies at game pace: attack.", true
	case Neutral:
		p.replies(sports.HalfPace)
		return "Replies at half pace: keep it neutral.", true
	case SliceIn:
		for i := range p.Tasks {
			if t := &p.Tasks[i]; t.Kind.Struck() && t.Stroke != sports.Serve &&
				slices.Contains(sports.Of(sport).Spins, sports.Slice) {
				t.Spin, t.RPM = sports.Slice, 0
			}
		}
		return "A slice comes in.", true
	case Constrained:
		return "Constrained: " + s.Constraint() + ".", true
	case Free:
		return "Free of any constraint.", true
	}
	return "", false
}

// Constraint is what a constrained version is constrained by.
func (s Transformation) Constraint() string {
	if text := strings.TrimSpace(s.Text); text != "" {
		return text
	}
	return "as the coach says"
}

// replies has every struck ball answered at a pace.
func (p *Pattern) replies(pace sports.Pace) {
	for i := range p.Tasks {
		if t := &p.Tasks[i]; t.Kind.Struck() {
			t.ReplyPace = pace
		}
	}
	p.rally(func(r *Rally) { r.Pace = pace })
}

// rally changes the rules of a rally where there is one, the first one left alone.
func (p *Pattern) rally(change func(*Rally)) {
	if p.Rally != nil {
		r := *p.Rally
		change(&r)
		p.Rally = &r
	}
}

// other is the direction to the other side.
func (d Direction) other() Direction {
	switch d {
	case CrossCourt:
		return DownTheLine
	case DownTheLine:
		return CrossCourt
	}
	return d
}
