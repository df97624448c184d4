package sports_test

import (
	"fmt"
	"maps"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// values lists the values of a closed type.
func values[T interface{ Enum() []any }]() (list []T) {
	var zero T
	for _, each := range zero.Enum() {
		value, _ := each.(T)
		list = append(list, value)
	}
	return list
}

// missing says what a sport lacks that some room reads from it: without it something would be 0, or said in no words.
func missing(s sports.Sport) (list []string) {
	need := func(there bool, what string, args ...any) {
		if !there {
			list = append(list, fmt.Sprintf(what, args...))
		}
	}
	need(slices.Contains(values[court.Sport](), s.Name), "a name of package court")
	need(s.One != "" && s.Many != "", "words for what is fed")
	need(
		slices.Contains([]sports.Carrier{sports.Baskets, sports.Tubes, sports.Boxes}, s.Carried),
		"what balls are carried in",
	)
	need(len(s.Courts) > 0, "a court")
	if len(s.Courts) == 0 {
		return list
	}
	usual := s.Courts[0]
	for _, p := range s.Courts {
		c := p.Court
		need(c.Sport == s.Name, "%s is of another sport", c.ID)
		need(c.Name != "" && c.Source != "" && len(c.Surfaces) > 0, "name, source and surface of %s", c.ID)
		need(c.Length > 0 && c.Width > 0 && c.Singles > 0 && len(c.Lines) > 0 && len(c.Boxes) > 0, "the measures of %s", c.ID)
		need((c.Net.Centre > 0) == c.HasNet() && (c.Net.Post > 0) == c.HasNet(), "the height of the net of %s", c.ID)
		need(c.HasNet() || c.PlaysWalls(), "a net or walls on %s", c.ID)
		need(p.Ball.Sport == s.Name && p.Ball.Name != "" && p.Ball.Source != "", "a ball with its source on %s", c.ID)
		need(p.Ball.Mass > 0 && p.Ball.Diameter > 0 && p.Ball.Drag > 0, "the figures of the ball on %s", c.ID)
		need(!p.Ball.Bounces() || p.Ball.Dropped > p.Ball.Rebounds, "from where the ball on %s is dropped", c.ID)
		need(len(p.Regions) > 0, "depth regions on %s", c.ID)
		for _, scheme := range p.Regions {
			_, err := scheme.Bands(c, court.FromNet)
			need(err == nil && scheme.Court == c.ID, "regions that go with %s", c.ID)
		}
	}

	last := 0.0
	for _, pace := range values[sports.Pace]() {
		need(s.Speeds[pace] > last, "a speed of %s, quicker than the one before", pace)
		last = s.Speeds[pace]
		need(len(s.Over) == 0 || s.Over[pace] > 0, "how high over the net at %s", pace)
	}
	for _, method := range values[feed.Method]() {
		need(method.Height(&s) > 0, "a height by %s", method)
	}
	need(s.Rally > 0 && s.Reach > 0 && s.Lunge > s.Reach && s.High > s.Rally, "how far and how high a player reaches")
	need(s.Circle > 0 && 3*s.Circle < usual.Court.Length/2, "a first target that lies on the half")
	need(usual.Ball.Bounces() == (s.Topspin > 0), "topspin, of a ball that bounces")
	need(usual.Ball.Bounces() == (s.ByDepth == nil), "strokes by depth, of a ball that does not bounce")
	if by := s.ByDepth; by != nil {
		for _, stroke := range []sports.Stroke{by.Short, by.Middle, by.Deep, by.Lifted} {
			need(slices.Contains(s.Strokes, stroke), "%q by depth among the strokes", stroke)
		}
	}

	for _, stroke := range []sports.Stroke{sports.Forehand, sports.Backhand, sports.Serve, sports.Return} {
		need(slices.Contains(s.Strokes, stroke), "the stroke %s", stroke)
	}
	need(slices.Contains(s.Spins, sports.Flat) && (s.Topspin > 0) == (len(s.Spins) > 1), "its spins")
	need(len(s.AboveHead) > 0, "what is met above the head")
	need(len(s.Answers) > 0, "strokes with which a ball is met")
	for _, stroke := range s.Answers {
		need(slices.Contains(s.Strokes, stroke), "the answer %s among the strokes", stroke)
	}
	need(s.Striking.Hardest > s.Speeds[sports.GamePace], "how hard the hardest ball is")
	for stroke, speed := range s.Striking.First {
		need(speed <= s.Striking.Hardest, "the hardest ball is no slower than a %s", stroke)
	}
	for _, stroke := range s.Strokes {
		for _, pace := range values[sports.Pace]() {
			by, value, told := sports.By(usual.Court, stroke, pace, 1, usual.Court.Length/8)
			need(!told || by != "" && value > 0, "how a %s flies at %s", stroke, pace)
		}
	}

	v := s.Serving
	need(v.Held > 0 && v.Up >= v.Met && v.Met > 0 && v.Ready > 0, "how it is served")
	for _, id := range s.ServedTo {
		_, there := usual.Court.Box(id)
		need(there, "the box %q that is served to", id)
	}
	need(s.Second.There || s.Second.Spin == "", "a second serve that has the spin %s", s.Second.Spin)

	need(s.WarmUp.Near != "" && s.WarmUp.Far != "" && s.WarmUp.Near != s.WarmUp.Far, "where two are who warm up")
	need(
		len(s.WarmUp.Calls) == len(sports.All()[0].WarmUp.Calls) && !slices.Contains(s.WarmUp.Calls, ""),
		"what is called in a warm-up",
	)
	need(s.Tempo.Check() == nil, "how long rallies are and take")
	need(s.Halves[0] != "" && s.Halves[1] != "" && s.Halves[0] != s.Halves[1], "names of the two sides of the middle")
	need(usual.Court.AtTable() == (s.Room > 0), "room to run, beside a table")

	replies := map[string]bool{}
	for _, r := range s.Replies {
		need(
			!replies[r.Name] && slices.Contains(s.Strokes, r.Stroke),
			"the reply %q once, with a stroke of the sport",
			r.Name,
		)
		replies[r.Name] = true
	}
	need(len(s.Situations) >= 12, "twelve situations")
	for _, each := range s.Situations {
		sum := 0.0
		for _, likely := range each.Likely {
			need(replies[likely.Reply], "the reply %q of %s", likely.Reply, each.ID)
			sum += likely.Chance
		}
		need(sum > 1-1e-9 && sum < 1+1e-9, "chances of %s that add up to 1", each.ID)
		need(each.ID != "" && each.Sport == s.Name && each.High > 0 && each.Waiting > 0, "where and when in %s", each.Name)
	}
	return list
}

func TestEverySportIsComplete(t *testing.T) {
	var names []court.Sport
	for _, s := range sports.All() {
		require.Empty(t, missing(*s), "%s lacks", s.Name)
		names = append(names, s.Name)
	}
	require.Equal(t, values[court.Sport](), names, "in the order in which they are offered")
	require.Zero(t, *sports.Of("curling"))
}

// A part that is forgotten is noticed: each of them is taken away in each sport.
func TestWhatIsForgottenIsNoticed(t *testing.T) {
	parts := map[string]func(*sports.Sport){
		"name":    func(s *sports.Sport) { s.Name = "" },
		"word":    func(s *sports.Sport) { s.One = "" },
		"words":   func(s *sports.Sport) { s.Many = "" },
		"carrier": func(s *sports.Sport) { s.Carried = "" },
		"courts":  func(s *sports.Sport) { s.Courts = nil },
		"ball":    func(s *sports.Sport) { s.Courts[0].Ball.Mass = 0 },
		"drag":    func(s *sports.Sport) { s.Courts[0].Ball.Drag = 0 },
		"source":  func(s *sports.Sport) { s.Courts[0].Court.Source = "" },
		"surface": func(s *sports.Sport) { s.Courts[0].Court.Surfaces = nil },
		"net": func(s *sports.Sport) {
			s.Courts[0].Court.Net.Centre = 1 - s.Courts[0].Court.Net.Centre
			s.Courts[0].Court.Net.HalfUp = 0
		},
		"regions":     func(s *sports.Sport) { s.Courts[0].Regions = nil },
		"topspin":     func(s *sports.Sport) { s.Topspin = 1000 - s.Topspin - 1000*bounces(s) },
		"by depth":    func(s *sports.Sport) { s.ByDepth = map[bool]*sports.ByDepth{true: {}}[s.ByDepth == nil] },
		"hand":        func(s *sports.Sport) { s.ByHand = 0 },
		"dropped":     func(s *sports.Sport) { s.Dropped = 0 },
		"off a wall":  func(s *sports.Sport) { s.OffWall = 0 },
		"struck":      func(s *sports.Sport) { s.Struck = 0 },
		"rally":       func(s *sports.Sport) { s.Rally = 0 },
		"reach":       func(s *sports.Sport) { s.Reach = 0 },
		"lunge":       func(s *sports.Sport) { s.Lunge = 0 },
		"high":        func(s *sports.Sport) { s.High = 0 },
		"strokes":     func(s *sports.Sport) { s.Strokes = s.Strokes[:1] },
		"spins":       func(s *sports.Sport) { s.Spins = nil },
		"above head":  func(s *sports.Sport) { s.AboveHead = nil },
		"answers":     func(s *sports.Sport) { s.Answers = nil },
		"hardest":     func(s *sports.Sport) { s.Striking.Hardest = 0 },
		"held":        func(s *sports.Sport) { s.Serving.Held = 0 },
		"met":         func(s *sports.Sport) { s.Serving.Met = 0 },
		"ready":       func(s *sports.Sport) { s.Serving.Ready = 0 },
		"box":         func(s *sports.Sport) { s.ServedTo[1] = "" },
		"near":        func(s *sports.Sport) { s.WarmUp.Near = "" },
		"calls":       func(s *sports.Sport) { s.WarmUp.Calls = s.WarmUp.Calls[1:] },
		"rallies":     func(s *sports.Sport) { s.Tempo.Strokes = 0 },
		"tempo":       func(s *sports.Sport) { s.Tempo.Stroke = 0 },
		"side":        func(s *sports.Sport) { s.Halves[1] = "" },
		"room":        func(s *sports.Sport) { s.Room = 3 - s.Room },
		"replies":     func(s *sports.Sport) { s.Replies = s.Replies[1:] },
		"situations":  func(s *sports.Sport) { s.Situations = s.Situations[:11] },
		"chances":     func(s *sports.Sport) { s.Situations[0].Likely = s.Situations[0].Likely[1:] },
		"where wait":  func(s *sports.Sport) { s.Situations[0].Waiting = 0 },
		"gentle":      func(s *sports.Sport) { delete(s.Speeds, sports.Gentle) },
		"half pace":   func(s *sports.Sport) { delete(s.Speeds, sports.HalfPace) },
		"rally pace":  func(s *sports.Sport) { delete(s.Speeds, sports.RallyPace) },
		"game pace":   func(s *sports.Sport) { delete(s.Speeds, sports.GamePace) },
		"over at one": func(s *sports.Sport) { s.Over = map[sports.Pace]float64{sports.Gentle: 1} },
	}
	for _, whole := range sports.All() {
		for part, take := range parts {
			s := *whole
			s.Courts, s.Situations, s.Speeds = slices.Clone(s.Courts), slices.Clone(s.Situations), maps.Clone(s.Speeds)
			take(&s)
			require.NotEmpty(t, missing(s), "%s without its %s", whole.Name, part)
		}
	}
}

// bounces is 1 for a ball that bounces, else 0.
func bounces(s *sports.Sport) float64 {
	if s.Bounces() {
		return 1
	}
	return 0
}
