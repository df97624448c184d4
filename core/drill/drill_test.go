package drill_test

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// full is a drill with one of everything that can stand on court.
func full() drill.Document {
	d := sample.Coin().Document
	post, other := court.At(1, 5), court.At(1, 6)
	d.Measures[0].Target = &court.Target{Kind: court.Gate, Mark: &post, Other: &other}
	area := court.Target{Kind: court.Polygon, Points: []court.Mark{court.At(0, 4), court.At(1, 4), court.At(0, 5)}}
	d.NoGo = []drill.NoGo{{Area: &area}, {Line: court.LeftSingles}}
	d.Places = append(d.Places,
		drill.Place{Kind: drill.Cone, Mark: court.At(-3, -8)},
		drill.Place{Kind: drill.Obstacle, Mark: court.At(3, -8), Size: 0.5, Around: drill.PassLeft},
		drill.Place{Kind: drill.OnDeck, Mark: court.At(-5, -14)})
	d.Measures[0].Counts = drill.Counts{By: drill.ByBoth, NoCount: true, Misses: true, Choices: true}
	return d
}

func TestCheckNamesTheField(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*drill.Document)
		path   string
	}{
		{"no name", func(d *drill.Document) { d.Name = " " }, "name"},
		{"an unknown court", func(d *drill.Document) { d.Court = "beach" }, "court"},
		{"a court of another sport", func(d *drill.Document) { d.Sport = court.Squash }, "court"},
		{"no feeder", func(d *drill.Document) { d.Places = d.Places[:1] }, "places"},
		{"a start off the map", func(d *drill.Document) { d.Places[0].Mark = court.At(0, -40) }, "places.0.mark"},
		{"a ball off the map", func(d *drill.Document) { d.Pattern.Tasks[1].Landing = court.At(40, 0) },
			"pattern.tasks.1.landing"},
		{"a target of no size", func(d *drill.Document) { d.Measures[0].Target.Radius = 0 }, "measures.0.target.radius"},
		{"an obstacle of no size", func(d *drill.Document) {
			d.Places = append(d.Places, drill.Place{Kind: drill.Obstacle, Mark: court.At(0, -5)})
		}, "places.3.size"},
		{"a no-go that is nowhere", func(d *drill.Document) { d.NoGo = []drill.NoGo{{}} }, "noGo.0.line"},
		{"a no-go line that is not there", func(d *drill.Document) { d.NoGo = []drill.NoGo{{Line: "rope"}} }, "noGo.0.line"},
		{"a no-go area of no size", func(d *drill.Document) {
			area := court.Ring(0,
				court.At(0, 5))
			d.NoGo = []drill.NoGo{{Area: &area}}
		}, "noGo.0.area.radius"},
		{"a caution nobody reads", func(d *drill.Document) { d.Cautions = []string{string(make([]rune, 201))} },
			"cautions.0"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d := sample.Coin().Document
			c.change(&d)
			var fields invalid.Fields
			require.ErrorAs(t, d.Check(), &fields)
			require.Equal(t, c.path, fields[0].Path)
			_, err := report.Of(d, 1, coach.Default())
			require.Error(t, err)
		})
	}
	_, err := report.Of(sample.Coin().Document, 0, coach.Default())
	require.ErrorContains(t, err, "at least one player")
}

func TestHands(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		require.Equal(t, d, d.Mirrored().Mirrored(), d.Name)
		require.Equal(t, d, d.For(student.LeftHand).Mirrored(), d.Name)
		require.Equal(t, d, d.For(student.RightHand))
		left, err := report.Of(d.For(student.LeftHand), 1, coach.Default())
		require.NoError(t, err)
		right, err := report.Of(d, 1, coach.Default())
		require.NoError(t, err)
		for i := range right.Feeds {
			require.InDelta(t, -right.Feeds[i].Landing.X, left.Feeds[i].Landing.X, 1e-9, d.Name)
		}
		for i, m := range right.Measures {
			require.True(t, m.Target == nil || math.Abs(m.Target.Area-left.Measures[i].Target.Area) < 1e-9)
		}
	}
}

func TestADrillWithOneOfEverything(t *testing.T) {
	d := full()
	require.NoError(t, d.Check())
	require.Equal(t, d, d.Mirrored().Mirrored())
	require.Equal(t, drill.PassRight, d.Mirrored().Places[4].Around)
	require.Equal(t, court.RightSingles, d.Mirrored().NoGo[1].Line)
	r, err := report.Of(d, 1, coach.Default())
	require.NoError(t, err)
	require.Equal(t, []court.LineID{court.LeftSingles}, r.NoGoLines)
	require.InDelta(t, 0.5, r.NoGo[0].Area, 1e-9)
	handles := map[string]bool{}
	for _, spot := range r.Spots {
		require.False(t, handles[spot.Handle])
		handles[spot.Handle] = true
		moved, err := d.Edited(
			drill.Edit{Move: &drill.Move{Handle: spot.Handle, To: court.Point{X: spot.At.X + 0.1, Y: spot.At.Y}}},
			student.RightHand,
			coach.Default(),
		)
		require.NoError(t, err, spot.Handle)
		require.NotEqual(t, d, moved)
		require.Equal(t, full(), d, "moving a copy leaves the drill alone")
	}
	require.True(t, handles["measures.0.target.other"] && handles["noGo.0.area.points.2"])
	// Start, cone, obstacle, both posts and three corners are put down; people and balls are not.
	require.Len(t, r.Walk, 8)
	for _, step := range r.Walk {
		require.NotContains(t, step.Label, "on deck")
	}
	steps := coach.Default()
	steps.InSteps = true
	r, err = report.Of(d, 1, steps)
	require.NoError(t, err)
	require.Contains(t, r.Walk[0].Description, "step")
}

func BenchmarkResolveMarks(b *testing.B) {
	d := full()
	c, err := sports.Court(d.Court)
	require.NoError(b, err)
	for b.Loop() {
		for i := range d.Places {
			if _, err := c.Resolve(d.Places[i].Mark); err != nil {
				b.Fatal(err)
			}
		}
		for i := range d.Pattern.Tasks {
			if _, err := c.Resolve(d.Pattern.Tasks[i].Landing); err != nil {
				b.Fatal(err)
			}
		}
		if _, err := c.Shape(*d.Measures[0].Target, d.Format); err != nil {
			b.Fatal(err)
		}
	}
}

// A ball is met off a wall only where there is one.
func TestABallIsMetOffAWallWhereThereIsOne(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document.Clone()
		c, err := sports.Court(d.Court)
		require.NoError(t, err)
		i := slices.IndexFunc(d.Pattern.Tasks, func(task feed.Task) bool { return task.Kind.Struck() && !task.Served() })
		if i < 0 || !sports.Of(d.Sport).Bounces() {
			continue
		}
		d.Pattern.Tasks[i].Contact = feed.OffTheWall
		if c.PlaysWalls() {
			require.NoError(t, d.Check(), d.Name)
		} else {
			require.ErrorContains(t, d.Check(), "there is no wall here", d.Name)
		}
	}
}
