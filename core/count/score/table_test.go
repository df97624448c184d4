package score_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"hodometer/core/basics/seeded"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/internal/golden"
)

// TestHowGoalsStand: how a goal of every kind, with whatever a miss can do, and goals one after the other stand as a
// player counts on, ball by ball, by turns, rallies and tries.
func TestHowGoalsStand(t *testing.T) {
	t.Parallel()
	var courses []score.Course
	for _, form := range score.Forms() {
		courses = append(courses, score.Course{form.First})
		for _, miss := range form.Misses {
			goal := form.First
			goal.Miss, goal.Sets = miss, max(goal.Sets, 2)
			courses = append(courses, score.Course{goal}, score.Course{{Kind: score.Total, Count: 4}, goal})
		}
	}
	courses = append(
		courses,
		score.Course{{Kind: score.AsManyAsPossible, Count: 4, Of: 3, Minutes: 2}},
		score.Course{{Kind: score.FirstTo, Count: 6, Against: 4, Lead: 2}},
		score.Course{{Kind: score.FewMisses, Count: 12, Misses: 3, Only: tally.IntoNet}},
		score.Course{
			{Kind: score.Streak, Count: 3},
			{Kind: score.FirstTo, Count: 5},
			{Kind: score.Rallies, Count: 2, From: 4, To: 9},
		},
	)
	var b strings.Builder
	for i, c := range courses {
		fmt.Fprintf(&b, "%s: %d steps, joint %v, longest %d, %v\n", c, c.Steps(), c.Joint(), c.LongestRally(), c.Check())
		for round := range 2 {
			chance := seeded.From(uint64(10*i + round))
			var entries []tally.Entry
			for seq := range 26 {
				entries = append(entries, drawn(chance, c, seq, round))
				if seq%3 > 0 {
					continue
				}
				s := c.Stand(entries)
				over := c.Over(s, entries)
				fmt.Fprintf(
					&b,
					"   %d: %s; %d of %d, %v %v %v, over %v, done %d\n",
					seq+1,
					s.Sentence,
					s.Have,
					s.Wanted,
					s.Met,
					s.Perhaps,
					s.Lost,
					over,
					c.GoalsDone(s, over),
				)
			}
		}
		for _, made := range []int{0, 3, 1000} {
			fmt.Fprintln(&b, "   jointly", c.StandJointly(made).Sentence)
		}
	}
	golden.Same(t, "standings.txt", b.String())
}

// drawn is something that is counted for goals: mostly as they are counted, and now and then not.
func drawn(chance *seeded.Numbers, c score.Course, seq, round int) tally.Entry {
	e := tally.Entry{Seq: seq, At: time.Date(2026, 3, 10, 16, 0, seq, 0, time.UTC), Kind: tally.Missed}
	if chance.Share() < 0.65 {
		e.Kind = tally.Made
	}
	switch what := chance.Share(); {
	case c[0].Unit() == score.Rally && what < 0.9:
		e.Kind, e.Strokes, e.Stopped = tally.Rally, chance.Below(14), chance.Share() < 0.1
	case c[0].Unit() == score.Time && what < 0.9:
		e.Kind, e.Seconds = tally.Timed, 2+10*chance.Share()
	case round > 0 && what < 0.25:
		e.Kind, e.Of = tally.Turn, 1+chance.Below(6)
		e.Made = chance.Below(e.Of + 1)
	case what > 0.95:
		e.Kind = tally.Undo
	}
	if e.Kind == tally.Missed {
		e.Miss = []tally.Miss{"", tally.IntoNet, tally.Long, tally.Wide}[chance.Below(4)]
	}
	return e
}
