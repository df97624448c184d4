package drill_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/footwork"
	"hodometer/core/invalid"
	"hodometer/core/student"
)

func TestLibrary(t *testing.T) {
	names, ids, sports := map[string]bool{}, map[string]bool{}, map[court.Sport]bool{}
	for _, stored := range drill.Library() {
		d := stored.Document
		t.Run(d.Name, func(t *testing.T) {
			require.NoError(t, d.Check())
			require.False(t, names[d.Name] || ids[stored.ID], "a name or an identifier is there twice")
			names[d.Name], ids[stored.ID], sports[d.Sport] = true, true, true
			require.NotEmpty(t, d.Cues)
			require.NotEmpty(t, d.Cautions)
			r, err := d.Report(2, coach.Default())
			require.NoError(t, err)
			require.Positive(t, r.Target.Margin)
			for _, f := range r.Feeds {
				require.Negative(t, f.Landing.Y, "fed balls land on the student's half")
				require.True(t, r.Court.Inside(f.Landing, d.Play), "a fed ball lands in")
				require.True(t, f.From.Y > 0 || d.Pattern.Way == feed.SelfDrop, "the feeder stands beyond the net")
			}
			for _, drum := range r.Drums {
				require.NotEmpty(t, drum.Working.Inputs, drum.Name)
				require.NotEmpty(t, drum.Working.Source, drum.Name)
			}
		})
	}
	require.GreaterOrEqual(t, len(names), 20)
	require.Len(t, sports, 5)
}

// TestEveryVerdictOfTheLibrary works every built-in drill out for the level it is written for. The list is
// what the model finds with the profiles as they are; a ball out of reach is there only where it is meant.
func TestEveryVerdictOfTheLibrary(t *testing.T) {
	const easy, working, stretched = footwork.Easy, footwork.Working, footwork.Stretched
	want := map[string][]footwork.Verdict{
		"Coin in the Corner":    {stretched, easy},
		"Last Stretch":          {easy, easy},
		"In, Up and Over":       {working, working, working},
		"Both Verges":           {easy, easy, easy},
		"Three-Corner Round":    {working, working, stretched},
		"Soft Landing":          {easy, working},
		"Toe the Chalk":         {easy, easy, easy, easy},
		"Net Alphabet":          {easy, easy, working},
		"First Answer":          {stretched},
		"Four Rungs In":         {easy, easy, easy, easy},
		"Two and Away":          {working, working},
		"Crossroads":            {easy, easy, easy, easy, easy, easy, easy, easy, easy, easy, easy, easy},
		"Three Doors In":        {easy, easy, easy},
		"Metronome":             {working, easy, working},
		"Under the Bar":         {easy, easy, easy, easy},
		"Closing the Door":      {working, working, stretched, stretched},
		"Round the Bollards":    {working, stretched},
		"Bollards and a Volley": {working, easy, stretched},
		"Shadow Six":            {easy, easy, easy, easy, easy, easy},
		"Corner Catch":          {stretched, working, stretched, easy},
		"Two Hops Beyond":       {easy},
		"Pair Against One":      {easy, easy, easy, easy, easy, easy, easy, easy, easy, easy, easy, easy},
	}
	for _, stored := range drill.Library() {
		d := stored.Document
		p, err := d.PlayOut(t.Context(), d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err, d.Name)
		require.Empty(t, p.Problems, d.Name)
		got := []footwork.Verdict{}
		for _, task := range p.Tasks {
			m := p.Timeline.Meetings[task.Meeting]
			got = append(got, m.Verdict)
			require.True(t, m.Verdict != footwork.OutOfReach || m.Meant, "%s: %s", d.Name, task.Said)
			require.NotEmpty(t, task.Said)
			require.NotEmpty(t, task.Flight.Formula)
			require.NotEmpty(t, task.Running.Source)
		}
		require.Equal(t, want[d.Name], got, d.Name)
		require.NotEmpty(t, p.Verdict)
		require.NotEmpty(t, p.Drums)
	}
}

func TestVariationsStandReady(t *testing.T) {
	for _, stored := range drill.Library() {
		d := stored.Document
		ways := map[drill.Towards]bool{}
		for _, v := range d.Variations {
			ways[v.Towards] = true
			varied, said, err := d.Varied(t.Context(), v.Steps, coach.Default())
			require.NoError(t, err, "%s: %s", d.Name, v.Name)
			require.Len(t, said, len(v.Steps))
			require.NotEqual(t, d, varied, "%s: %s", d.Name, v.Name)
		}
		require.True(t, ways[drill.Easier] && ways[drill.Harder], "%s has an easier and a harder version", d.Name)
	}
}

// TestNoChangeInventsABallThatCannotBeFed tries every transformation on every built-in drill: it is either
// refused with a sentence, or every ball can still be fed.
func TestNoChangeInventsABallThatCannotBeFed(t *testing.T) {
	library := drill.Library()
	rapid.Check(t, func(t *rapid.T) {
		d := library[rapid.IntRange(0, len(library)-1).Draw(t, "drill")].Document
		var steps []feed.Step
		for range rapid.IntRange(1, 3).Draw(t, "steps") {
			change, ok := rapid.SampledFrom(feed.Change("").Enum()).Draw(t, "change").(feed.Change)
			require.True(t, ok)
			steps = append(steps, feed.Step{Change: change, Task: rapid.IntRange(0, 4).Draw(t, "task"), By: rapid.Float64Range(0, 3).Draw(t, "by")})
		}
		varied, _, err := d.Varied(context.Background(), steps, coach.Default())
		if err != nil {
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.NotEmpty(t, fields[0].Message)
			return
		}
		p, err := varied.PlayOut(context.Background(), varied.PlayerFor(varied.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		require.Empty(t, p.Problems)
	})
}

// TestBothMirrorsAndReverseTwice: on whole drills, too, done twice they are the drill again.
func TestBothMirrorsAndReverseTwice(t *testing.T) {
	for _, stored := range drill.Library() {
		for _, change := range []feed.Change{feed.ToOtherWing, feed.ForLeftHander, feed.Reverse} {
			step := feed.Step{Change: change}
			varied, _, err := stored.Document.Varied(t.Context(), []feed.Step{step, step}, coach.Default())
			require.NoError(t, err)
			require.Equal(t, stored.Document, varied, "%s %s", stored.Document.Name, change)
		}
	}
}

func TestALeftHanderHasTheSameVerdicts(t *testing.T) {
	for _, stored := range drill.Library() {
		d := stored.Document
		if d.Pattern.Rally != nil {
			continue // a rally begins on the right of whoever plays
		}
		right, err := d.PlayOut(t.Context(), d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		left, err := d.For(student.LeftHand).PlayOut(t.Context(), d.PlayerFor(d.Written(), student.LeftHand), coach.Default())
		require.NoError(t, err)
		for i, m := range right.Timeline.Meetings {
			require.Equal(t, m.Verdict, left.Timeline.Meetings[i].Verdict, "%s %d", d.Name, i)
			require.InDelta(t, m.Metres, left.Timeline.Meetings[i].Metres, 0.02)
		}
	}
}
