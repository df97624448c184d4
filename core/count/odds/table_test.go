package odds_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/golden"
	"hodometer/internal/pencil"
)

// TestTheAnswersOfEveryKindOfGoal: what a goal of every kind takes three players, alone and taking turns, with what
// would be met 4 times in 5 instead.
func TestTheAnswersOfEveryKindOfGoal(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	goals := []score.Goal{
		{Kind: score.Streak, Count: 4, Sets: 2, Miss: score.CarriesOn},
		{Kind: score.FirstTo, Count: 7, Against: 5, Lead: 2},
		{
			Kind:   score.FewMisses,
			Count:  12,
			Misses: 3,
			Only:   tally.Long,
		},
		{Kind: score.FewMisses, Count: 5, Misses: 2, Minutes: 2},
		{Kind: score.AsManyAsPossible, Count: 6, Minutes: 2, Of: 3},
	}
	for _, form := range score.Forms() {
		goals = append(goals, form.First)
	}
	for _, miss := range score.AfterMiss("").Enum() {
		goals = append(goals,
			score.Goal{Kind: score.Streak, Count: 5, Sets: 2, Miss: miss.(score.AfterMiss)},
			score.Goal{Kind: score.Stages, Miss: miss.(score.AfterMiss), Stages: []score.Stage{
				{Count: 3, Hard: score.Hardness("").Enum()[0].(score.Hardness)},
				{Count: 2, Hard: score.Hardness("").Enum()[1].(score.Hardness)},
			}},
		)
	}
	goals = append(goals, score.Goal{Kind: score.Streak, Count: 12}, score.Goal{Kind: score.Streak, Count: 25})
	clocks := []odds.Clock{
		{Gap: 4, Sequence: 10, Pause: 6, People: 1, Basket: 40, PickUp: 1.25},
		{Gap: 2.5, Sequence: 4, People: 3, Basket: 72, PickUp: 1},
	}
	for i, g := range goals {
		fmt.Fprintln(&b, g)
		for k, rate := range []float64{0.35, 0.6, 0.9} {
			q := odds.Question{
				Goal: g, Rate: rate, Partner: 0.5, Clock: clocks[(i+k)%2], Balls: 30, Seconds: 240,
				Kinds: odds.Kinds{Net: 0.5, Long: 0.3, Wide: 0.2},
			}
			if k == 2 && i%3 == 0 && g.Kind == score.Total {
				q.Before = []odds.Leg{{Goal: score.Goal{Kind: score.Streak, Count: 3}, Rate: 0.5}}
			}
			answer, err := q.Answer(t.Context())
			pencil.Check(t, q.Goal.String(), answer.Derivation)
			fmt.Fprintln(&b, "  ", rate, golden.Line(t, answer, 3), err)
			within, err := q.Within(t.Context())
			fmt.Fprintf(&b, "   within %.4f %v;", within, err)
			attempts, seconds, ok, err := q.Enough(t.Context())
			fmt.Fprintf(&b, " enough %.2f, %.1f s, %v %v;", attempts, seconds, ok, err)
			attainable, err := q.Attainable(t.Context())
			fmt.Fprintf(&b, " attainable %s %v;", attainable, err)
			n, one, many := q.Attempts()
			fmt.Fprintln(&b, n, one, many)
			if other, said, err := q.Suggest(t.Context(), answer); err == nil {
				fmt.Fprintln(&b, "   suggests", golden.Line(t, other, 3), said)
			}
			course := score.Course{g}
			m := course.Machine()
			states := []score.State{0, score.State(m.Len() / 2)}
			here := q
			here.From, here.Balls = states, 12
			low, high, err := here.FromHere(t.Context())
			mean, counted := odds.MeanBalls(g, rate)
			fmt.Fprintf(&b, "   from here %.4f to %.4f %v; mean %.2f %v\n", low, high, err, mean, counted)
		}
	}
	for _, c := range clocks {
		fmt.Fprintf(&b, "%+v: %.4f a ball\n", c, c.Rate())
		for _, n := range []float64{1, 4, 10, 39, 40, 41, 145} {
			fmt.Fprintf(&b, "  %v: %.2f s, %.1f s of picking up, %d balls in so many seconds\n", n, c.Seconds(n), c.PickUps(n),
				c.Balls(n))
		}
	}
	golden.Same(t, "answers.txt", b.String())
}

// TestWhatIsKnownOfARate: what was marked lately and long ago, what is believed of a level, differences, and races that
// are fair.
func TestWhatIsKnownOfARate(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	done := func(days float64, made, missed int) odds.Practised {
		return odds.Practised{
			Days:     days,
			Made:     made,
			Missed:   missed,
			Right:    made / 2,
			Wrong:    missed / 2,
			InPoints: made%3 == 0,
			Net:      missed / 3,
			Long:     missed / 4,
			Wide:     missed / 5,
		}
	}
	own := []odds.Practised{done(1, 14, 6), done(20, 30, 30), done(200, 9, 40)}
	for n := range len(own) + 1 {
		fmt.Fprintln(&b, golden.Line(t, odds.Marked(own[:n]), 3))
	}
	for _, level := range student.Level("").Enum() {
		for _, better := range []skill.Estimate{{SD: 0.9}, {Mean: -0.6, SD: 0.4}, {Mean: 1.2, SD: 0.1}} {
			usual := odds.UsualRate(level.(student.Level))
			of := skill.Belief{Better: better, Attempt: skill.Of(usual)}
			fmt.Fprintln(&b, level, golden.Line(t, odds.Believed(of, "told."), 3))
		}
	}
	for _, c := range [][4]int{{8, 2, 4, 6}, {1, 0, 3, 3}, {30, 20, 28, 24}, {5, 5, 50, 50}, {90, 10, 60, 40}} {
		x, y := odds.Done{Made: c[0], Missed: c[1]}, odds.Done{Made: c[2], Missed: c[3]}
		transfer, ok := odds.TransferOf(x, y)
		pencil.Check(t, fmt.Sprint(c), transfer.Derivation)
		fmt.Fprintln(&b, c, golden.Line(t, odds.Compare(x, y), 4), golden.Line(t, transfer, 4), ok)
		low, high := odds.Wilson(c[0], c[0]+c[1])
		fmt.Fprintf(&b, "  %.4f to %.4f\n", low, high)
	}
	for _, chance := range []float64{0, 0.004, 0.1, 0.35, 0.5, 0.66, 0.8, 0.97, 0.999, 1} {
		fair, said, err := odds.FairRace(t.Context(), chance, 11)
		fmt.Fprintln(&b, chance, odds.Times(chance), odds.Attempts(100*chance), fair, said, err)
	}
	for _, on := range []court.ID{"tennis", "badminton", "table-tennis", "squash"} {
		for _, volleys := range []bool{false, true} {
			e := pair(t, on)
			e.Near, e.Volleys, e.Height, e.Rate = e.Near*0.6, volleys, 0.9, 0.9
			rallied, err := e.Answer(t.Context())
			pencil.Check(t, fmt.Sprint(e), rallied.Derivation)
			fmt.Fprintln(&b, on, volleys, golden.Line(t, rallied, 2), err)
		}
	}
	golden.Same(t, "rates.txt", b.String())
}
