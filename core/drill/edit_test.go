package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/report"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func TestMovedKeepsItsLinesAndRounds(t *testing.T) {
	d, err := sample.Coin().Document.Edited(
		drill.Edit{
			Move: &drill.Move{
				Handle: "pattern.tasks.0.landing",
				To:     court.Point{X: 1.037, Y: -9.02},
				RoundX: true,
				RoundY: true,
			},
		},
		student.RightHand,
		coach.Default(),
	)
	require.NoError(t, err)
	landing := d.Pattern.Tasks[0].Landing
	// The near baseline is at −11.8872 and the right singles sideline at 4.1148: 2.867 and 3.078 off.
	require.Equal(
		t,
		court.From(court.Off(court.NearBaseline, 2.85, court.In), court.Off(court.RightSingles, 3.1, court.In)),
		landing,
	)
	require.NotEqual(t, landing, sample.Coin().Document.Pattern.Tasks[0].Landing, "the drill it came from is untouched")

	for handle, path := range map[string]string{"places.9": "move.handle",
		"measures.0.target.mark": "measures.0.target.mark", "nonsense": "move.handle", "places.0.mark": "places.0.mark"} {
		to := court.Point{X: 0, Y: 90}
		_, err := sample.Coin().Document.Edited(
			drill.Edit{Move: &drill.Move{Handle: handle, To: to}},
			student.RightHand,
			coach.Default(),
		)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, handle)
		require.Equal(t, path, fields[0].Path)
	}
}

func TestTyped(t *testing.T) {
	s := coach.Default()
	typed := func(d drill.Document, path, text string) drill.Document {
		changed, err := d.Edited(drill.Edit{Typed: &coach.Typed{Path: path, Text: text}}, student.RightHand, s)
		require.NoError(t, err, path+" "+text)
		return changed
	}
	d := typed(full(), "places.0.mark.measures.0", "half-way from the net to the service line")
	require.NotNil(t, d.Places[0].Mark.Measures[0].Fraction)
	require.Nil(t, full().Places[0].Mark.Measures[0].Fraction)
	r, err := report.Of(d, 1, s)
	require.NoError(t, err)
	require.Equal(t, "50 %", r.Spots[0].Parts[0].Text)
	require.Len(t, r.Sizes, 1, "a gate has no size, but the obstacle is so wide")
	require.Equal(t, 0.75, typed(d, "places.4.size", "75 cm").Places[4].Size)
	for _, spot := range r.Spots {
		for _, part := range spot.Parts {
			again, err := report.Of(typed(d, spot.Handle+"."+part.Path, part.Text), 1, s)
			require.NoError(t, err)
			require.Equal(t, r.Spots, again.Spots, "what is written reads back: "+spot.Handle+" "+part.Text)
		}
	}
}

func TestAPlaceIsSaidInAnotherWay(t *testing.T) {
	s, d := coach.Default(), full()
	change := func(d drill.Document, c drill.Edit) drill.Document {
		changed, err := d.Edited(c, student.RightHand, s)
		require.NoError(t, err)
		return changed
	}
	reword := func(d drill.Document, w court.Reference) drill.Document {
		return change(d, drill.Edit{Reword: &drill.Reword{Handle: "places.3.mark", Reference: w}})
	}
	spot := func(d drill.Document) report.Spot {
		r, err := report.Of(d, 1, s)
		require.NoError(t, err)
		return r.Spots[3]
	}
	require.Equal(t, "3 m left of the middle, 8 m this side of the net", spot(d).Description)
	lines := reword(d, court.Reference{Lines: []court.LineID{court.NearBaseline, court.LeftSingles}})
	// 11.8872 − 8 and 4.1148 − 3.
	require.Equal(t, "3.89 m inside the near baseline, 1.11 m inside the left singles sideline", spot(lines).Description)
	require.InDelta(t, 0, spot(lines).At.Distance(court.Point{X: -3, Y: -8}), 1e-9, "the cone stays where it is")
	require.Equal(
		t,
		"3 m left of the middle, 8 m this side of the net",
		spot(reword(lines, court.Reference{})).Description,
		"and back",
	)

	theirs := reword(
		d,
		court.Reference{
			Lines:  []court.LineID{court.NearBaseline, court.RightSingles},
			View:   court.FarEndPlayer,
			Scales: true,
		},
	)
	require.Equal(
		t,
		"3.89 m inside the near baseline, 1.11 m inside the right singles sideline (the far player's left and right)",
		spot(theirs).Description,
	)
	require.InDelta(t, 0, spot(theirs).At.Distance(court.Point{X: -3, Y: -8}), 1e-9)
	require.True(t, spot(theirs).Mark.Scales)

	along := reword(d, court.Reference{Lines: []court.LineID{court.LeftSingles}})
	require.Equal(
		t,
		"3.89 m along the left singles sideline from its near end",
		spot(along).Description,
		"on the line, where it is nearest",
	)
	along = change(along, drill.Edit{Typed: &coach.Typed{Path: "places.3.mark.along", Text: "2 m from the far end"}})
	require.Equal(t, "2 m along the left singles sideline from its far end", spot(along).Description)
	along = change(along, drill.Edit{Move: &drill.Move{Handle: "places.3.mark", To: court.Point{X: 0, Y: 1}}})
	require.InDelta(t, 0, spot(along).At.Distance(court.Point{X: -4.1148, Y: 1}), 1e-9, "dragged, it slides on its line")
	plain := change(d, drill.Edit{Typed: &coach.Typed{Path: "places.3.mark.place.x", Text: "1 m right"}})
	require.Equal(t, "1 m right of the middle, 8 m this side of the net", spot(plain).Description)

	for path, c := range map[string]drill.Edit{
		"places.3.mark.lines.0": {Reword: &drill.Reword{Handle: "places.3.mark",
			Reference: court.Reference{Lines: []court.LineID{"rope"}}}},
		"places.3.mark.measures.1.line": {Reword: &drill.Reword{Handle: "places.3.mark",
			Reference: court.Reference{Lines: []court.LineID{court.LeftSingles, court.RightSingles}}}},
		"reword.handle":         {Reword: &drill.Reword{Handle: "places.30.mark"}},
		"remove":                {Remove: "places.0.mark"}, // the only start
		"places.3.mark.place.x": {Typed: &coach.Typed{Path: "places.3.mark.place.x", Text: "1 m far"}},
		"places.3.mark.along":   {Typed: &coach.Typed{Path: "places.3.mark.along", Text: "1 m"}},
		"places.3.mark.place.y": {Typed: &coach.Typed{Path: "places.3.mark.place.y", Text: ""}},
	} {
		_, err := d.Edited(c, student.RightHand, s)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, path)
		require.Equal(t, path, fields[0].Path)
	}
	require.Len(t, change(d, drill.Edit{Remove: "places.3.mark"}).Places, len(d.Places)-1)
}

func TestTheContactIsDraggedAlongTheBall(t *testing.T) {
	d, s := sample.Coin().Document, coach.Default()
	p, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), s)
	require.NoError(t, err)
	m := p.Timeline.Interceptions[0]
	drag := func(y float64) feed.Task {
		x := m.Bounce.X + (m.Where.X-m.Bounce.X)*(y-m.Bounce.Y)/(m.Where.Y-m.Bounce.Y)
		changed, err := d.Edited(
			drill.Edit{Move: &drill.Move{Handle: "pattern.tasks.0.contact", To: court.Point{X: x, Y: y}}},
			student.RightHand,
			s,
		)
		require.NoError(t, err)
		return changed.Pattern.Tasks[0]
	}
	require.Equal(t, feed.OutOfTheAir, drag(m.Bounce.Y+2).Contact)
	require.Equal(t, feed.Rising, drag(m.Bounce.Y-0.5).Contact)
	require.Equal(t, feed.AtHeight, drag(m.Bounce.Y-6).Contact)
	require.Positive(t, drag(m.Bounce.Y-6).At)
	_, err = d.Edited(drill.Edit{Move: &drill.Move{Handle: "pattern.tasks.7.contact"}}, student.RightHand, s)
	require.Error(t, err)
}

// The court was pressed: another ball lands there, to the side of the player on which it comes, as the last one came.
func TestPressingTheCourtAddsABall(t *testing.T) {
	d := sample.Coin().Document
	n := len(d.Pattern.Tasks)
	press := func(d drill.Document, x, y float64, hand student.Hand) (drill.Document, error) {
		return d.Edited(drill.Edit{Press: &court.Point{X: x, Y: y}}, hand, coach.Default())
	}
	right, err := press(d, 3.02, -8.99, student.RightHand)
	require.NoError(t, err)
	require.Len(t, right.Pattern.Tasks, n+1)
	added := right.Pattern.Tasks[n]
	require.Equal(t, sports.Forehand, added.Stroke)
	require.Equal(t, d.Pattern.Tasks[n-1].Pace, added.Pace)
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	at, err := c.Resolve(added.Landing)
	require.NoError(t, err)
	require.InDelta(t, 3.02, at.X, 0.06)
	require.InDelta(t, -8.99, at.Y, 0.06)
	left, err := press(right, -3, -9, student.RightHand)
	require.NoError(t, err)
	require.Equal(t, sports.Backhand, left.Pattern.Tasks[n+1].Stroke)
	require.NoError(t, left.Check())
	require.Len(t, d.Pattern.Tasks, n, "the drill that was pressed on is left alone")
	// On a left-hander's court the same press is the forehand of the mirrored drill.
	mirrored, err := press(d, -3.02, -8.99, student.LeftHand)
	require.NoError(t, err)
	require.Equal(t, sports.Forehand, mirrored.Pattern.Tasks[n].Stroke)

	_, err = press(d, 1, 4, student.RightHand)
	require.ErrorContains(t, err, "near half")
	_, err = press(d, 40, -4, student.RightHand)
	require.ErrorContains(t, err, "off the map")
	for len(d.Pattern.Tasks) < feed.MaxTasks {
		d, err = press(d, 1, -9, student.RightHand)
		require.NoError(t, err)
	}
	_, err = press(d, 1, -9, student.RightHand)
	require.ErrorContains(t, err, "at most 60 tasks")
}
