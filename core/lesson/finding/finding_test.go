package finding_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

func about(findings []finding.Finding, phrase string) (finding.Finding, bool) {
	for _, f := range findings {
		if strings.Contains(f.Reason, phrase) {
			return f, true
		}
	}
	return finding.Finding{}, false
}

// Every finding is there where it should be, and gone after its remedy.
func TestFindingsAndTheirRemedies(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*lesson.Document, *schedule.Inputs)
		says   string
		remedy int // which one is tried; −1 where there is none
	}{
		{"a warm-up that is too short", func(d *lesson.Document, _ *schedule.Inputs) {
			d.Blocks[0].Minutes, d.Blocks[1].Minutes, d.Blocks[1].Calls = 3, 3, nil
		}, "6 min of warm-up come before it; 9.5 min would suit", 0},
		{"a warm-up that is too soft", func(d *lesson.Document, _ *schedule.Inputs) {
			d.Blocks[0].Effort, d.Blocks[4].Effort = 1, 9
			d.Blocks = append(d.Blocks[:1:1], d.Blocks[4:]...)
		}, "too soft for it", 0},
		{"no body warm-up", func(d *lesson.Document, _ *schedule.Inputs) { d.Blocks = d.Blocks[1:] },
			"before any body warm-up", 0},
		{"a body warm-up after the drill", func(d *lesson.Document, _ *schedule.Inputs) {
			d.Blocks[0], d.Blocks[2] = d.Blocks[2], d.Blocks[0]
		}, "before any body warm-up", 0},
		{"a game before the warm-up is over", func(d *lesson.Document, _ *schedule.Inputs) {
			game := lesson.More()[1]
			game.ID = "g"
			d.Blocks = append([]lesson.Block{d.Blocks[0], game}, d.Blocks[1:]...)
		}, "goes at game pace before Ball warm-up is over", 0},
		{"no break in long hard work", func(d *lesson.Document, _ *schedule.Inputs) {
			d.Blocks[2].Minutes, d.Blocks[4].Minutes = 16, 14
			d.Blocks = append(d.Blocks[:3:3], d.Blocks[4:]...)
			d.Minutes = 90
		}, "30 min of hard work without a break", 0},
		{"a break comes sooner in the heat", func(d *lesson.Document, in *schedule.Inputs) {
			in.Settings.Air.Celsius = 33
			d.Blocks = append(d.Blocks[:3:3], d.Blocks[4:]...)
			d.Blocks[3].Minutes = 12
			d.Minutes = 90
		}, "15 min are enough at 33 °C", 0},
		{"heat", func(_ *lesson.Document, in *schedule.Inputs) { in.Settings.Air.Celsius = 33 }, "the heat rules of your " +
			"club and federation come first", -1},
		{"serving before the shoulder is warm", func(d *lesson.Document, _ *schedule.Inputs) {
			serving := lesson.More()[2]
			serving.ID = "s"
			d.Blocks = append([]lesson.Block{d.Blocks[0], serving}, d.Blocks[1:]...)
		}, "before the shoulder is warm", 0},
		{"waiting", func(d *lesson.Document, in *schedule.Inputs) {
			more, with := sample.Crowd(6)
			d.Students, in.People = more.Students, with.People
			d.Blocks[2].Drill = sample.BuiltIn(t, "Two and Away", *in).ID
			in.Settings.Wait = 30
		}, "times as long as they play", 0},
		{"more balls than the baskets hold", func(d *lesson.Document, in *schedule.Inputs) {
			in.Settings.Baskets, d.Blocks[4].Minutes, d.Minutes = 1, 20, 90
		}, "feeds 96 balls, and the baskets hold 60: they are picked up 1 time", 0},
		{"a wide drill on half a court", func(d *lesson.Document, in *schedule.Inputs) {
			d.Space.Half = true
			d.Blocks[2].Drill = sample.BuiltIn(t, "Both Verges", *in).ID
		}, "needs the whole width", 0},
		{"a line where the volleys go", func(d *lesson.Document, in *schedule.Inputs) {
			more, with := sample.Crowd(4)
			d.Students, in.People = more.Students, with.People
			stored := sample.BuiltIn(t, "Closing the Door", *in)
			facing := stored.Document
			for _, place := range facing.Places {
				if place.Kind == drill.Feeder {
					place.Kind = drill.Queue
					facing.Places = append(facing.Places[:len(facing.Places):len(facing.Places)], place)
				}
			}
			in.Drills[stored.ID], d.Blocks[2].Drill = facing, stored.ID
		}, "the queue stands beyond the net, where the volleys go", -1},
		{"a goal that will not be met", func(_ *lesson.Document, in *schedule.Inputs) {
			streak := sample.Coin().Document
			streak.Measures[0].Goals = score.Course{{Kind: score.Streak, Count: 8}}
			in.Drills = map[string]drill.Document{sample.Coin().ID: streak}
			in.Rates = map[string]map[string]schedule.Rated{"3": {"ada": sample.Rated(streak, 0.6),
				"ben": sample.Rated(streak, 0.95)}}
			// By hand: (1 − 0.6⁸) ÷ (0.4 × 0.6⁸) = 146 balls in the mean, and about ln 5 × 143 = 231 4 times in 5: 39 turns of
			// six balls. A turn of both takes 88 s with the picking up, and 80 s come before: 3512 s.
		}, "Coin, 24 balls each: 8 in a row is met by Ada once in 10 (4 times in 5 in 59 min).", 0},
		{"rallies that will not be met", func(d *lesson.Document, in *schedule.Inputs) {
			stored := sample.BuiltIn(t, "Four and Out", *in)
			rallies := stored.Document
			rallies.Measures[0].Goals = score.Course{{Kind: score.Rallies, Count: 30, From: 4, To: 6}}
			in.Drills[stored.ID], d.Blocks[2].Drill = rallies, stored.ID
			in.Rates = map[string]map[string]schedule.Rated{d.Blocks[2].ID: {"ada": sample.Rated(rallies, 0.6)}}
			require.NoError(t, in.Measure(t.Context(), *d))
		}, "min of rallies each: 30 rallies of 4 to 6 strokes is met by Ada hardly ever (4 times in 5 in ", 0},
		{"a limit", func(_ *lesson.Document, in *schedule.Inputs) {
			in.People[1].Profile.Limit = &student.Limit{Of: student.Balls, Max: 150}
		}, "Ben: 172 balls planned, and the limit is 150", 0},
		{"a student who is archived", func(_ *lesson.Document, in *schedule.Inputs) { in.People[0].Archived = true },
			"Ada is archived", -1},
		{"a student who was erased", func(_ *lesson.Document, in *schedule.Inputs) { in.People = in.People[:1] },
			"1 student of this lesson was erased", -1},
		{"nobody left for a block", func(d *lesson.Document, _ *schedule.Inputs) { d.Blocks[2].People = []string{"gone"} },
			"nobody is left for it", 0},
		{"a drill deleted since", func(_ *lesson.Document, in *schedule.Inputs) { in.Drills = nil }, "no longer there", 0},
		{"over the booking", func(d *lesson.Document, _ *schedule.Inputs) { d.Minutes = 40 }, "8:00 over", 1},
		{"fitted to the booking", func(d *lesson.Document, _ *schedule.Inputs) { d.Minutes = 40 }, "8:00 over", 0},
	} {
		t.Run(c.name, func(t *testing.T) {
			d, in := sample.Hour()
			_, before := about(sample.Planned(t, d, in).Findings, c.says)
			require.False(t, before, "it is not there without a reason")
			c.change(&d, &in)
			f, is := about(sample.Planned(t, d, in).Findings, c.says)
			require.True(t, is, fmt.Sprint(sample.Planned(t, d, in).Findings))
			if c.remedy < 0 {
				require.Empty(t, f.Remedies)
				return
			}
			mended := sample.Apply(t, d, f.Remedies[c.remedy].Edit, in)
			again, still := about(sample.Planned(t, mended.Document, in).Findings, c.says)
			require.False(t, still && again.Block == f.Block, "after %q: %s", f.Remedies[c.remedy].Label, again.Reason)
		})
	}
}

func TestATaskForTheWaitingMakesItANote(t *testing.T) {
	d, in := sample.Crowd(6)
	in.Settings.Wait = 30
	f, is := about(sample.Planned(t, d, in).Findings, "Coin: everybody waits")
	require.True(t, is)
	require.Equal(t, finding.Warning, f.Severity)
	task := f.Remedies[len(f.Remedies)-1]
	mended := sample.Apply(t, d, task.Edit, in).Document
	f, _ = about(sample.Planned(t, mended, in).Findings, "Coin: everybody waits")
	require.Equal(t, finding.Note, f.Severity)
}

func TestCautionsApplyAndSayTheyAreNoAdvice(t *testing.T) {
	d, in := sample.Hour()
	in.People[0].Profile.Age = student.Eleven
	stored := sample.BuiltIn(t, "In, Up and Over", in)
	d.Blocks[2].Drill = stored.ID
	banded := stored.Document
	banded.Equipment = append(banded.Equipment, "2 elastic bands")
	in.Drills[stored.ID] = banded
	all := sample.Planned(t, d, in).Cautions
	for _, want := range []string{"turn and cross over", "growing shoulders", "Elastic resistance"} {
		require.Contains(t, strings.Join(all, "\n"), want)
	}
	seen := map[string]bool{}
	for _, caution := range all {
		require.Contains(t, caution, "No medical advice")
		require.False(t, seen[caution], "each once")
		seen[caution] = true
	}
	d, in = sample.Hour()
	d.Blocks[2].Drill = sample.BuiltIn(t, "Round the Bollards", in).ID
	require.Contains(t, strings.Join(sample.Planned(t, d, in).Cautions, "\n"), "Eye protection")
}

func TestOverrunIsSaidWithItsRemedy(t *testing.T) {
	d, in := sample.Hour()
	d.Minutes = 45
	p := sample.Planned(t, d, in)
	require.InDelta(t, 180, p.Over, 1e-9)
	require.InDelta(t, 180+159, p.Late, 1e-9)
	require.Equal(t, finding.Problem, p.Findings[0].Severity)
	require.Equal(t, "The blocks take 48:00 and the booking is 45 min: 3:00 over.", p.Findings[0].Reason)
	require.Equal(t, "Fit all blocks to the booking", p.Findings[0].Remedies[0].Label)
	require.Equal(t, []finding.Remedy{
		{Label: "Play 6 turns each", Edit: editing.Edit{Kind: editing.SetTurns, Block: "5", Turns: 6}},
		{Label: "Give it 13 min", Edit: editing.Edit{Kind: editing.Resize, Block: "5", Minutes: 13}},
	}, p.Findings[1].Remedies)
}

func TestEveryRemedyOfADrillWorks(t *testing.T) {
	tried := 0
	long.Check(t, func(t *rapid.T) {
		d, in := sample.Hour()
		d.Blocks[4].Minutes = float64(rapid.IntRange(1, 40).Draw(t, "half minutes")) / 2
		d.Blocks[4].Turns = rapid.IntRange(1, 100).Draw(t, "turns")
		for _, f := range sample.Planned(t, d, in).Findings {
			for _, remedy := range f.Remedies {
				if !strings.HasPrefix(f.Reason, "Coin again needs") {
					continue
				}
				mended, err := editing.Apply(t.Context(), d, remedy.Edit, nil, in)
				require.NoError(t, err)
				require.Less(t, sample.Planned(t, mended.Document, in).Blocks[4].Over, 1.0, remedy.Label)
				tried++
			}
		}
	})
	require.Greater(t, tried, long.Rounds(20, 20))
}

func TestFindings(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*lesson.Document, *schedule.Inputs)
		says   string
	}{
		{"a drill that is gone", func(_ *lesson.Document, in *schedule.Inputs) { in.Drills = nil }, "no longer there"},
		{"no body warm-up", func(d *lesson.Document, _ *schedule.Inputs) { d.Blocks = d.Blocks[2:] },
			"before any body warm-up"},
		{"a sore wrist", func(_ *lesson.Document, in *schedule.Inputs) { in.People[0].Profile.Hurts = "sore wrist" },
			"Pain means stop"},
		{"too many balls for one body", func(_ *lesson.Document, in *schedule.Inputs) {
			in.People[1].Profile.Limit = &student.Limit{Of: student.Balls, Max: 50}
		}, "Ben: 172 balls planned, and the limit is 50" /* 72 fed, 100 in five minutes of volleys */},
		{"much time left", func(*lesson.Document, *schedule.Inputs) {}, "12:00 of the booking is not planned"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d, in := sample.Hour()
			c.change(&d, &in)
			phrase := ""
			for _, f := range sample.Planned(t, d, in).Findings {
				phrase += f.Reason + "\n"
			}
			require.Contains(t, phrase, c.says)
		})
	}
	d, in := sample.Hour()
	in.People[0].Profile.Limit = &student.Limit{Of: student.Overheads, Max: 1}
	for _, f := range sample.Planned(t, d, in).Findings {
		require.NotContains(t, f.Reason, "limit", "the drill has no overheads")
	}
}
