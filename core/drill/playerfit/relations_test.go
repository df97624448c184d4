package playerfit_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
	"hodometer/internal/long"
)

// somebody is a drill of the library at some gap, and who plays it: any level of the sport, age, hand and backhand.
type somebody struct {
	drill    drill.Document
	level    student.Level
	age      student.AgeBand
	hand     student.Hand
	backhand student.Backhand
	share    float64
}

func drawn[T any](t *rapid.T, values []any, name string) T {
	value, _ := rapid.SampledFrom(values).Draw(t, name).(T)
	return value
}

func anybody(t *rapid.T) somebody {
	d := rapid.SampledFrom(library.All()).Draw(t, "drill").Document
	return somebody{
		drill: d,
		level: rapid.SampledFrom(student.LevelsFor(d.Sport)).Draw(t, "level"),
		age:   drawn[student.AgeBand](t, student.AgeBand("").Enum(), "age"),
		hand: drawn[student.Hand](
			t,
			student.Hand("").Enum(),
			"hand",
		),
		backhand: drawn[student.Backhand](t, student.Backhand("").Enum(), "backhand"),
		share:    rapid.Float64Range(0.5, 2).Draw(t, "gap"),
	}
}

func (s somebody) player(level student.Level) footwork.Player {
	return footwork.For(s.drill.Sport, s.age, level, s.hand, s.backhand)
}

// rates are what is thought of somebody at each measure, at a share of the gap, with a way of feeding.
func (s somebody) rates(t require.TestingT, level student.Level, share float64, feeding coach.Steadiness) []float64 {
	settings := coach.Default()
	settings.Feeding = feeding
	known, err := playerfit.Know(context.Background(), timed(s.drill.For(s.hand), share), s.player(level), level, settings)
	require.NoError(t, err)
	var list []float64
	for _, tried := range known.Tried {
		list = append(list, tried.OfLevel())
	}
	return list
}

// Relations R2, R3, R5, R15 and R16 for anybody: any drill × level × age × hand × backhand × gap.
func TestRelationsForAnybody(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		s := anybody(t)
		d := timed(s.drill, s.share)
		if d.Check() != nil {
			return
		}
		turn, err := simulation.Run(context.Background(), d.For(s.hand), s.player(s.level), coach.Default())
		require.NoError(t, err)
		for _, m := range turn.Timeline.Interceptions {
			if m.Verdict == footwork.OutOfReach {
				require.Nil(t, m.Where, "R2: what is out of reach is not met")
			}
			method := feed.Live
			if d.Pattern.Rally == nil {
				method = d.Pattern.MethodOf(d.Pattern.Tasks[m.Task])
			}
			if method == feed.ByHand && m.Problem == "" {
				require.LessOrEqual(t, m.Speed, 14.0, "R16")
			}
		}
		// R5: the other hand plays the mirrored drill the same.
		other := s
		other.hand = map[student.Hand]student.Hand{student.RightHand: student.LeftHand,
			student.LeftHand: student.RightHand}[s.hand]
		mirrored, err := simulation.Run(context.Background(), d.For(other.hand), other.player(s.level), coach.Default())
		require.NoError(t, err)
		if d.Pattern.Rally == nil { // a rally begins on the right of whoever plays
			require.Len(t, mirrored.Timeline.Interceptions, len(turn.Timeline.Interceptions))
			for i, m := range turn.Timeline.Interceptions {
				require.Equal(t, m.Verdict, mirrored.Timeline.Interceptions[i].Verdict, "%s, ball %d", d.Name, i+1)
				require.InDelta(t, m.Metres, mirrored.Timeline.Interceptions[i].Metres, 0.02)
			}
		}
		now := s.rates(t, s.level, s.share, coach.Usual)
		for i, rate := range s.rates(t, s.level, s.share, coach.VerySteady) { // R15
			require.GreaterOrEqual(t, rate, now[i]-0.005, "%s: steadier feeding", d.Name)
		}
		better := map[student.Level]student.Level{
			student.Beginner: student.Improver,
			student.Improver: student.Club,
			student.Club:     student.Tournament,
		}
		if next, ok := better[s.level]; ok { // R3
			for i, rate := range s.rates(t, next, s.share, coach.Usual) {
				require.GreaterOrEqual(t, rate, now[i]-0.04, "%s: %s beside %s", d.Name, next, s.level)
			}
		}
	})
}
