package lesson_test

import (
	"context"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/coach"
	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/library"
	"hodometer/core/rotation"
	"hodometer/core/student"
	"hodometer/internal/long"
)

var coin = library.All()[0]

// hour is an hour for two: 8 + 10 + 10 + 5 + 10 + 5 = 48 minutes, so that 12 are to spare.
func hour() (lesson.Document, lesson.Inputs) {
	d := lesson.Document{
		FormatVersion: 2, Title: "Tuesday pair", Date: "2026-03-10", Start: "16:45", Minutes: 60, Students: []string{"ada", "ben"},
		Blocks: []lesson.Block{
			{ID: "1", Kind: lesson.Body, Title: "Body warm-up", Minutes: 8, Effort: 3},
			{ID: "2", Kind: lesson.Ball, Title: "Ball warm-up", Minutes: 10, Effort: 4, Rotation: &rotation.Form{Kind: rotation.Roles, Every: 1, Spots: []rotation.Spot{{Name: "volleys"}, {Name: "feeds", Feeds: true}}},
				Calls: []lesson.Call{{Minute: 0, Text: "Forehand volleys"}, {Minute: 2, Text: "Backhand volleys"}}},
			{ID: "3", Kind: lesson.Drill, Title: "Coin", Minutes: 10, Effort: 6, Drill: coin.ID},
			{ID: "4", Kind: lesson.Break, Title: "Water", Minutes: 5},
			{ID: "5", Kind: lesson.Drill, Title: "Coin again", Minutes: 10, Effort: 7, Drill: coin.ID, Turns: 8},
			{ID: "6", Kind: lesson.Talk, Title: "Closing talk", Minutes: 5},
		},
	}
	in := lesson.Inputs{
		Drills: map[string]drill.Document{coin.ID: coin.Document},
		People: []lesson.Person{
			{ID: "ada", Profile: student.Profile{Name: "Ada", Hand: student.RightHand}},
			{ID: "ben", Profile: student.Profile{Name: "Ben", Hand: student.LeftHand}},
		},
		Settings: coach.Default(),
	}
	return d, in
}

func schedule(t require.TestingT, d lesson.Document, in lesson.Inputs) lesson.Plan {
	p, err := lesson.PlanFor(context.Background(), d, in)
	require.NoError(t, err)
	return p
}

func TestLayByHand(t *testing.T) {
	d, in := hour()
	p := schedule(t, d, in)
	// 48 minutes planned of 60 booked.
	require.InDelta(t, 2880, p.Planned, 1e-9)
	require.InDelta(t, 720, p.Spare, 1e-9)
	require.InDelta(t, 0, p.Over, 1e-9)
	require.Equal(t, []string{"16:45", "16:53", "17:03", "17:13", "17:18", "17:28"}, clocks(p))
	require.Len(t, p.Milestones, 13)
	require.Equal(t, "17:45", p.Milestones[12].Clock)

	// Coin, two players, four turns: 60 s set-up, 312 s feeding, 40 s picking up 48 balls, and 20 s to
	// walk over: 432 s of 600 s, 168 s to spare.
	first := p.Blocks[2]
	require.InDelta(t, 80, first.SetUp, 1e-9)
	require.InDelta(t, 312, first.Work, 1e-9)
	require.InDelta(t, 40, first.PickUp, 1e-9)
	require.InDelta(t, 168, first.Spare, 1e-9)
	require.Equal(t, "4 turns each, 48 balls: fits with 2:48 to spare", first.Fits)

	// Eight turns of the same drill: its five pieces stand already, which saves 5 × 5 s of the 60 s of set-up.
	// 20 + 35 + 624 + 80 = 759 s, 159 s over. A turn for both takes 88 s, so that the 545 s left hold 6 of them.
	second := p.Blocks[4]
	require.InDelta(t, 159, second.Over, 1e-9)
	require.Equal(t, "8 turns each, 96 balls: 2:39 over; 6 turns would fit", second.Fits)
	require.Equal(t, []lesson.Piece{{Count: 1, Name: "basket"}, {Count: 4, Name: "flat markers"}}, second.Stays)

	require.Equal(t, 48+96, p.Balls)
	require.Equal(t, 1+2, p.Baskets, "48 balls are one basket of 60, 96 balls are two")
	require.InDelta(t, 0, p.Late, 1e-9, "the 12 spare minutes take up the 2:39")
}

func clocks(p lesson.Plan) []string {
	phrases := make([]string, len(p.Blocks))
	for i, s := range p.Blocks {
		phrases[i] = s.Clock
	}
	return phrases
}

func TestOverrunIsSaidWithItsRemedy(t *testing.T) {
	d, in := hour()
	d.Minutes = 45
	p := schedule(t, d, in)
	require.InDelta(t, 180, p.Over, 1e-9)
	require.InDelta(t, 180+159, p.Late, 1e-9)
	require.Equal(t, lesson.Problem, p.Findings[0].Severity)
	require.Equal(t, "The blocks take 48:00 and the booking is 45 min: 3:00 over.", p.Findings[0].Reason)
	require.Equal(t, "Fit all blocks to the booking", p.Findings[0].Remedies[0].Label)
	require.Equal(t, []lesson.Remedy{
		{Label: "Play 6 turns each", Edit: lesson.Edit{Kind: lesson.SetTurns, Block: "5", Turns: 6}},
		{Label: "Give it 13 min", Edit: lesson.Edit{Kind: lesson.Resize, Block: "5", Minutes: 13}},
	}, p.Findings[1].Remedies)
}

func TestEveryRemedyOfADrillWorks(t *testing.T) {
	tried := 0
	long.Check(t, func(t *rapid.T) {
		d, in := hour()
		d.Blocks[4].Minutes = float64(rapid.IntRange(1, 40).Draw(t, "half minutes")) / 2
		d.Blocks[4].Turns = rapid.IntRange(1, 100).Draw(t, "turns")
		for _, f := range schedule(t, d, in).Findings {
			for _, remedy := range f.Remedies {
				if !strings.HasPrefix(f.Reason, "Coin again needs") {
					continue
				}
				mended, err := d.Apply(t.Context(), remedy.Edit, nil, in)
				require.NoError(t, err)
				require.Less(t, schedule(t, mended.Document, in).Blocks[4].Over, 1.0, remedy.Label)
				tried++
			}
		}
	})
	require.Greater(t, tried, 20)
}

func TestFindings(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*lesson.Document, *lesson.Inputs)
		says   string
	}{
		{"a drill that is gone", func(_ *lesson.Document, in *lesson.Inputs) { in.Drills = nil }, "no longer there"},
		{"no body warm-up", func(d *lesson.Document, _ *lesson.Inputs) { d.Blocks = d.Blocks[2:] }, "before any body warm-up"},
		{"a sore wrist", func(_ *lesson.Document, in *lesson.Inputs) { in.People[0].Profile.Hurts = "sore wrist" }, "Pain means stop"},
		{"too many balls for one body", func(_ *lesson.Document, in *lesson.Inputs) {
			in.People[1].Profile.Limit = &student.Limit{Of: student.Balls, Max: 50}
		}, "Ben: 172 balls planned, and the limit is 50" /* 72 fed, 100 in five minutes of volleys */},
		{"much time left", func(*lesson.Document, *lesson.Inputs) {}, "12:00 of the booking is not planned"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d, in := hour()
			c.change(&d, &in)
			phrase := ""
			for _, f := range schedule(t, d, in).Findings {
				phrase += f.Reason + "\n"
			}
			require.Contains(t, phrase, c.says)
		})
	}
	d, in := hour()
	in.People[0].Profile.Limit = &student.Limit{Of: student.Overheads, Max: 1}
	for _, f := range schedule(t, d, in).Findings {
		require.NotContains(t, f.Reason, "limit", "the drill has no overheads")
	}
}

func TestRunSheet(t *testing.T) {
	d, in := hour()
	p := schedule(t, d, in)
	sheet := lesson.RunSheet(d, p.Timetable, in)
	at := func(second float64, kind lesson.CueKind) lesson.Cue {
		for _, cue := range sheet {
			if cue.Second == second && cue.Kind == kind {
				return cue
			}
		}
		t.Fatalf("no cue %q at %g s", kind, second)
		return lesson.Cue{}
	}
	require.Equal(t, "Body warm-up", at(0, lesson.Begin).Text)
	require.Equal(t, "Backhand volleys", at(8*60+120, lesson.CallOut).Text)
	require.Equal(t, []lesson.Role{{Name: "Ada", Short: "Ada", Role: "volleys"}, {Name: "Ben", Short: "Ben", Role: "feeds"}}, at(480, lesson.Swap).Roles)
	require.Equal(t, []lesson.Role{{Name: "Ada", Short: "Ada", Role: "feeds"}, {Name: "Ben", Short: "Ben", Role: "volleys"}}, at(540, lesson.Swap).Roles)
	feed := at(18*60+80, lesson.Feed)
	require.Contains(t, feed.Text, "6 balls a turn, 3.5 s apart. One line of 2. Goal: 10 made in all")
	require.Equal(t, "left-handed: mirror it", feed.Roles[1].Role)
	require.Equal(t, "Pick up 48 balls", at(18*60+80+312, lesson.PickUp).Text)
	require.Equal(t, "End of the lesson", at(2880, lesson.End).Text)
	for i := 1; i < len(sheet); i++ {
		require.LessOrEqual(t, sheet[i-1].Second, sheet[i].Second)
	}
	// Alone, the student pairs with the coach.
	in.People, d.Students = in.People[:1], d.Students[:1]
	sheet = lesson.RunSheet(d, schedule(t, d, in).Timetable, in)
	require.Equal(t, lesson.Role{Name: "Coach", Short: "Coach", Role: "feeds"}, at(480, lesson.Swap).Roles[1])
}

func TestCheckNamesTheField(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*lesson.Document)
		path   string
	}{
		{"no title", func(d *lesson.Document) { d.Title = "" }, "title"},
		{"a day that is none", func(d *lesson.Document) { d.Date = "2026-02-30" }, "date"},
		{"nobody", func(d *lesson.Document) { d.Students = nil }, "students"},
		{"one twice", func(d *lesson.Document) { d.Students = []string{"ada", "ada"} }, "students.1"},
		{"a drill block without a drill", func(d *lesson.Document) { d.Blocks[2].Drill = "" }, "blocks.2.drill"},
		{"a break with a drill", func(d *lesson.Document) { d.Blocks[3].Drill = coin.ID }, "blocks.3.drill"},
		{"a call after the end", func(d *lesson.Document) { d.Blocks[1].Calls[1].Minute = 10 }, "blocks.1.calls.1.minute"},
		{"roles that never swap", func(d *lesson.Document) { d.Blocks[1].Rotation.Every = 0 }, "blocks.1.rotation.every"},
		{"a role without a name", func(d *lesson.Document) { d.Blocks[1].Rotation.Spots[0].Name = "" }, "blocks.1.rotation.spots.0"},
		{"least beyond most", func(d *lesson.Document) { d.Blocks[1].Min, d.Blocks[1].Max = 9, 8 }, "blocks.1.min"},
		{"whole rotations of nothing", func(d *lesson.Document) { d.Blocks[0].Step = lesson.WholeRotations }, "blocks.0.step"},
		{"one block twice", func(d *lesson.Document) { d.Blocks[1].ID = "1" }, "blocks.1.id"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d, in := hour()
			c.change(&d)
			_, err := lesson.PlanFor(context.Background(), d, in)
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.Equal(t, c.path, fields[0].Path)
		})
	}
}

func TestStartersAndDrillBlocksFit(t *testing.T) {
	d, in := hour()
	for drills := range slices.Chunk(library.All(), lesson.MaxBlocks-len(lesson.Starters())) {
		d.Blocks = lesson.Starters()
		for _, stored := range drills {
			in.Drills[stored.ID] = stored.Document
			d.Blocks = append(d.Blocks, lesson.ForDrill(stored.ID, stored.Document, 2, drill.Space{}, in.Settings))
		}
		for i := range d.Blocks {
			d.Blocks[i].ID = string(rune('a' + i))
		}
		for _, s := range schedule(t, d, in).Blocks {
			collecting := 0
			for _, piece := range s.Goes {
				collecting += piece.Count
			}
			require.LessOrEqual(t, s.Over, in.Settings.Piece*float64(collecting), s.Title+": only what stands from the drill before is not known beforehand")
			if s.Load != nil {
				require.Less(t, s.Spare, 120.0, s.Title)
			}
		}
	}
}

func TestClock(t *testing.T) {
	began := time.Date(2026, 3, 10, 16, 45, 0, 0, time.UTC)
	running := lesson.Clock{Anchor: began, Second: 30, Running: true}
	require.InDelta(t, 90, running.At(began.Add(time.Minute)), 1e-9)
	require.InDelta(t, 0, running.At(began.Add(-time.Minute)), 1e-9, "never before the start")
	require.InDelta(t, 30, lesson.Clock{Anchor: began, Second: 30}.At(began.Add(time.Hour)), 1e-9)
}

func BenchmarkLay12Blocks(b *testing.B) {
	d, in := hour()
	d.Minutes = 120
	for i := len(d.Blocks); i < 12; i++ {
		block := d.Blocks[i%6]
		block.ID = string(rune('a' + i))
		d.Blocks = append(d.Blocks, block)
	}
	for b.Loop() {
		p, err := lesson.PlanFor(context.Background(), d, in)
		require.NoError(b, err)
		lesson.RunSheet(d, p.Timetable, in)
	}
}
