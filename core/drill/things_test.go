package drill_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

// putOn puts something on court for a right-hander.
func putOn(t require.TestingT, d drill.Document, kind drill.PlaceKind, x, y float64) drill.Document {
	d, err := d.Edited(
		drill.Edit{Put: &drill.Put{Kind: kind, At: court.Point{X: x, Y: y}}},
		student.RightHand,
		coach.Default(),
	)
	require.NoError(t, err)
	require.NoError(t, d.Check())
	return d
}

func TestThingsArePutDownNearALine(t *testing.T) {
	d := sample.Coin().Document
	// By hand: the near service line is 6.4 m from the net, the left singles sideline 4.115 m from the middle.
	d = putOn(t, d, drill.Cone, -3.3, -6.9)
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	cone := len(d.Places) - 1
	require.Equal(
		t,
		"0.5 m behind the near service line, 0.8 m inside the left singles sideline",
		c.Describe(d.Places[cone].Mark, coach.Default().Tape()),
	)
	d = putOn(t, d, drill.Rope, 0, 1)
	require.Equal(t, 4.0, d.Places[cone+1].Size)
	d = putOn(t, d, drill.Cone, 2, -5)
	require.Equal(
		t,
		[]string{"cone A", "rope", "cone B"},
		[]string{d.PlaceName(cone), d.PlaceName(cone + 1), d.PlaceName(cone + 2)},
	)
	d.Places[cone].Name = "the gate"
	require.Equal(t, "the gate", d.PlaceName(cone))
	require.Equal(t, "B", d.Letter(cone+2), "a name takes no letter away")

	stops := []string{}
	for _, stop := range d.Stops() {
		stops = append(stops, stop.Label)
	}
	require.Subset(t, stops, []string{"the gate", "rope", "cone B"}, "what is put down is walked off")
}

func TestTooMuchOnCourtIsTold(t *testing.T) {
	d := sample.Coin().Document
	for len(d.Places) < 24 {
		d = putOn(t, d, drill.Cone, 1, -1)
	}
	_, err := d.Edited(drill.Edit{Put: &drill.Put{Kind: drill.Cone}}, student.RightHand, coach.Default())
	require.ErrorContains(t, err, "take one away first")
}

// A left-hander's thing is where it was put for the left-hander, and the drill keeps its mirror image.
func TestAThingIsWhereItWasPutForEitherHand(t *testing.T) {
	long.Check(t, func(r *rapid.T) {
		all := library.All()
		d := all[rapid.IntRange(0, len(all)-1).Draw(r, "drill")].Document
		if len(d.Places) >= 24 {
			r.Skip("full")
		}
		c, err := sports.Court(d.Court)
		require.NoError(r, err)
		at := court.Point{
			X: rapid.Float64Range(-c.Width/2, c.Width/2).Draw(r, "x"),
			Y: rapid.Float64Range(-c.Length/2, c.Length/2).Draw(r, "y"),
		}
		kind := rapid.SampledFrom([]drill.PlaceKind{drill.Cone, drill.Obstacle, drill.Strip, drill.Rope, drill.Basket,
			drill.OnDeck}).
			Draw(r, "kind")
		for _, hand := range []student.Hand{student.RightHand, student.LeftHand} {
			after, err := d.Edited(drill.Edit{Put: &drill.Put{Kind: kind, At: at}}, hand, coach.Default())
			require.NoError(r, err)
			require.NoError(r, after.Check())
			got, err := c.Resolve(after.For(hand).Places[len(d.Places)].Mark)
			require.NoError(r, err)
			require.InDelta(r, at.X, got.X, 0.051, "to the grain")
			require.InDelta(r, at.Y, got.Y, 0.051, "to the grain")
			require.Equal(r, d.Places, after.Places[:len(d.Places)], "nothing else moves")
		}
	})
}

func TestWhatStandsOnCourtIsCarried(t *testing.T) {
	d := sample.Coin().Document
	d.Equipment = []string{"60 balls", "4 flat markers"}
	d = putOn(t, putOn(t, d, drill.Cone, 1, -3), drill.Cone, 2, -3)
	require.Equal(t, []string{"60 balls", "4 flat markers"}, d.Carry(), "markers are cones by another name")
	d.Equipment = []string{"60 balls"}
	require.Equal(t, []string{"60 balls", "2 cones"}, d.Carry())
	d = putOn(t, d, drill.Rope, 0, 1)
	require.Equal(t, []string{"60 balls", "2 cones", "1 rope"}, d.Carry())
}

func TestCareFollowsFromWhatIsThere(t *testing.T) {
	for _, each := range []struct {
		name   string
		change func(d *drill.Document)
		says   string
	}{
		{"an elastic band in the list", func(d *drill.Document) { d.Equipment = []string{"elastic band"} },
			"under supervision"},
		{"a thing that is called a medicine ball", func(d *drill.Document) {
			d.Places = append(d.Places, drill.Place{Kind: drill.Cone, Name: "Medicine ball", Mark: court.At(1, -3)})
		}, "light for juniors"},
		{"a band by any name", func(d *drill.Document) { d.Equipment = []string{"2 bands"} }, "under supervision"},
		{"a partner at the net in the line of a feed", func(d *drill.Document) {
			d.Places = slices.DeleteFunc(d.Places, func(p drill.Place) bool { return p.Kind == drill.Feeder })
			d.Places = append(d.Places, drill.Place{Kind: drill.Feeder, Mark: court.At(2, 9)},
				drill.Place{Kind: drill.Partner, Mark: court.At(2, -3)})
			d.Pattern.Tasks[0].Landing = court.At(2, -9)
		}, "partner at the net is in the line of a ball"},
		{"a net player in the line of a reply", func(d *drill.Document) {
			reply := court.At(-2, 9)
			d.Pattern.Tasks[0].Landing, d.Pattern.Tasks[0].Reply = court.At(-2, -9), &reply
			d.Places = append(d.Places, drill.Place{Kind: drill.OnDeck, Name: "Keeper", Mark: court.At(-2.3, 2)})
		}, "Keeper at the net is in the line"},
		{"runs that cross", func(d *drill.Document) {
			d.Places = slices.DeleteFunc(d.Places, func(p drill.Place) bool { return p.Kind == drill.Start })
			d.Places = append(d.Places, drill.Place{Kind: drill.Start, Mark: court.At(-3, -11)},
				drill.Place{Kind: drill.Start, Mark: court.At(3, -11)})
			d.Pattern.Tasks = d.Pattern.Tasks[:2]
			d.Pattern.Tasks[0].Landing, d.Pattern.Tasks[0].Player = court.At(3, -5), 0
			d.Pattern.Tasks[1].Landing, d.Pattern.Tasks[1].Player = court.At(-3, -5), 1
		}, "ways of two players cross"},
		{"a rope in the way", func(d *drill.Document) {
			d.Pattern.Tasks[0].Landing = court.At(0, -6)
			d.Places = append(d.Places, drill.Place{Kind: drill.Rope, Size: 8, Mark: court.At(0, -9)})
		}, "rope lies in the way"},
		{"a ball off a wall", func(d *drill.Document) { d.Pattern.Method = feed.OffWall }, "before a wall"},
		{"an obstacle", func(d *drill.Document) {
			d.Places = append(d.Places, drill.Place{Kind: drill.Obstacle, Size: 0.6, Mark: court.At(1, -3)})
		}, "give way"},
		{"a line that faces a volleyer", func(d *drill.Document) {
			d.Pattern.Tasks[1].Stroke = sports.ForehandVolley
			d.Places = append(d.Places, drill.Place{Kind: drill.Queue, Mark: court.At(1, 6)})
		}, "facing a volleyer"},
	} {
		t.Run(each.name, func(t *testing.T) {
			d := sample.Coin().Document.Clone()
			says := func(line string) bool { return strings.Contains(line, each.says) }
			require.False(t, slices.ContainsFunc(d.Care(), says), "it was there before")
			each.change(&d)
			require.True(t, slices.ContainsFunc(d.Care(), says), "%v", d.Care())
		})
	}
	// Somebody beside the line, or behind it, is in nobody's way; neither are two whose ways are side by side.
	beside := sample.Coin().Document.Clone()
	beside.Places = append(
		beside.Places,
		drill.Place{Kind: drill.Partner, Mark: court.At(-5, -1)},
		drill.Place{Kind: drill.OnDeck, Mark: court.At(5, -13)},
	)
	require.Empty(t, slices.DeleteFunc(beside.Care(), func(line string) bool {
		return !strings.Contains(line, "in the line") && !strings.Contains(line, "cross")
	}))
	// A line behind the volleyer faces nobody.
	d := sample.Coin().Document.Clone()
	d.Pattern.Tasks[1].Stroke = sports.ForehandVolley
	d.Places = append(d.Places, drill.Place{Kind: drill.Queue, Mark: court.At(1, -14)})
	require.Empty(t, slices.DeleteFunc(d.Care(), func(line string) bool { return !strings.Contains(line, "volleyer") }))
}
