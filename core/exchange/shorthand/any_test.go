package shorthand_test

import (
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

func oneOf[T any](t *rapid.T, values []any, name string) T {
	value, _ := rapid.SampledFrom(values).Draw(t, name).(T)
	return value
}

// maybe is a value of a closed type, or none.
func maybe[T ~string](t *rapid.T, values []any, name string) T {
	if rapid.Bool().Draw(t, name+"?") {
		return oneOf[T](t, values, name)
	}
	return ""
}

func figure(t *rapid.T, low, high float64, name string) float64 {
	if rapid.Bool().Draw(t, name+"?") {
		return rapid.Float64Range(low, high).Draw(t, name)
	}
	return 0
}

// markOn is any mark that makes sense on a court.
func markOn(t *rapid.T, c court.Court) court.Mark {
	var m court.Mark
	switch rapid.IntRange(0, 2).Draw(t, "how") {
	case 0:
		m = court.At(
			rapid.Float64Range(-c.Width/2, c.Width/2).Draw(t, "x"),
			rapid.Float64Range(-c.Length/2, c.Length/2).Draw(t, "y"),
		)
	case 1:
		line := rapid.SampledFrom(c.Lines).Draw(t, "line")
		m.Along = &court.Along{Line: line.ID, Distance: rapid.Float64Range(0, 0.5).Draw(t, "far"), From: court.Near}
		if line.Across() {
			m.Along.From = court.Left
		}
	default:
		for _, across := range []bool{true, false} {
			lines := []court.Line{}
			for _, line := range c.Lines {
				if line.Across() == across {
					lines = append(lines, line)
				}
			}
			a := rapid.SampledFrom(lines).Draw(t, "line")
			if rapid.Bool().Draw(t, "fraction") {
				m.Measures = append(
					m.Measures,
					court.Between(a.ID, rapid.SampledFrom(lines).Draw(t, "to").ID, rapid.Float64Range(0, 1).Draw(t, "share")),
				)
				continue
			}
			at := a.From.X
			toward := []court.Toward{court.Left, court.Right}
			if across {
				at, toward = a.From.Y, []court.Toward{court.Near, court.Far}
			}
			if at != 0 {
				toward = []court.Toward{court.In, court.Out}
			}
			m.Measures = append(
				m.Measures,
				court.Off(a.ID, rapid.Float64Range(0, 1).Draw(t, "off"), rapid.SampledFrom(toward).Draw(t, "toward")),
			)
		}
	}
	m.Scales = rapid.Bool().Draw(t, "scales")
	m.View = maybe[court.End](t, court.End("").Enum(), "view")
	if _, err := c.Resolve(m); err != nil {
		return court.At(0, -c.Length/4)
	}
	return m
}

func taskOn(t *rapid.T, c court.Court) feed.Task {
	task := feed.Task{
		Kind: maybe[feed.Kind](
			t,
			feed.Kind("").Enum(),
			"kind",
		),
		Stroke:  rapid.SampledFrom(sports.Of(c.Sport).Strokes).Draw(t, "stroke"),
		Landing: markOn(t, c),
		Toward: maybe[feed.Body](
			t,
			feed.Body("").Enum(),
			"toward",
		),
		Method: maybe[feed.Method](t, feed.Method("").Enum(), "method"),
		Height: figure(
			t,
			0.1,
			4,
			"height",
		),
		Pace:    maybe[sports.Pace](t, sports.Pace("").Enum(), "pace"),
		Spin:    maybe[sports.SpinKind](t, sports.SpinKind("").Enum(), "spin"),
		RPM:     figure(t, -9000, 9000, "rpm"),
		Contact: maybe[feed.Moment](t, feed.Moment("").Enum(), "contact"),
		Stance: rapid.SampledFrom([]string{"", "open", `closed "a bit", wide; low {x} [y] \ ö`}).
			Draw(t, "stance"),
		ReplyPace: maybe[sports.Pace](t, sports.Pace("").Enum(), "reply pace"),
		ReplySpin: maybe[sports.SpinKind](
			t,
			sports.SpinKind("").Enum(),
			"reply spin",
		),
		Gap:    figure(t, 0.5, 60, "gap"),
		Player: rapid.IntRange(0, 3).Draw(t, "player"),
		Weight: figure(t, 0.1, 100, "weight"),
		Meant:  rapid.Bool().Draw(t, "meant"),
	}
	if task.Contact == feed.AtHeight {
		task.At = rapid.Float64Range(0.1, 4).Draw(t, "at")
	}
	if by := maybe[flight.By](t, flight.By("").Enum(), "by"); by != "" {
		task.By, task.Value = by, rapid.Float64Range(0.1, 50).Draw(t, "value")
	}
	if rapid.Bool().Draw(t, "area?") {
		task.Area = &feed.Area{
			Wide: rapid.Float64Range(0, 12).Draw(t, "wide"),
			Deep: rapid.Float64Range(0, 15).Draw(t, "deep"),
		}
	}
	for _, mark := range []**court.Mark{&task.From, &task.Reply, &task.Recover} {
		if rapid.Bool().Draw(t, "mark?") {
			m := markOn(t, c)
			*mark = &m
		}
	}
	return task
}

func patternOn(t *rapid.T, c court.Court) feed.Pattern {
	p := feed.Pattern{
		Method: oneOf[feed.Method](
			t,
			feed.Method("").Enum(),
			"method",
		),
		Gap:       rapid.Float64Range(0.5, 60).Draw(t, "gap"),
		Sequences: rapid.IntRange(1, 20).Draw(t, "sequences"),
		Pause: figure(
			t,
			0.5,
			120,
			"pause",
		),
		Ends:         maybe[feed.Ending](t, feed.Ending("").Enum(), "ends"),
		On:           figure(t, 1, 600, "on"),
		MaxSequences: rapid.IntRange(0, 20).Draw(t, "most"),
		Next: maybe[feed.Next](
			t,
			feed.Next("").Enum(),
			"next",
		),
		Overlap: figure(t, 0.5, 30, "overlap"),
		Order:   maybe[feed.Order](t, feed.Order("").Enum(), "order"),
		Seed:    uint64(rapid.Uint32().Draw(t, "seed")),
		Back:    maybe[feed.Back](t, feed.Back("").Enum(), "back"),
	}
	n := rapid.IntRange(1, 6).Draw(t, "tasks")
	for range n {
		p.Tasks = append(p.Tasks, taskOn(t, c))
	}
	if rapid.Bool().Draw(t, "repeat?") {
		from := rapid.IntRange(0, n-1).Draw(t, "from")
		r := feed.Repeat{
			From:   from,
			To:     rapid.IntRange(from, n-1).Draw(t, "to"),
			Times:  rapid.IntRange(2, 50).Draw(t, "times"),
			Nearer: figure(t, -5, 5, "nearer"),
			Whose:  rapid.IntRange(0, 4).Draw(t, "whose"),
		}
		if rapid.Bool().Draw(t, "by the clock") {
			r.Times, r.Seconds = 0, rapid.Float64Range(1, 600).Draw(t, "seconds")
		}
		p.Repeats = []feed.Repeat{r}
	}
	if rapid.Bool().Draw(t, "branch?") {
		from := rapid.IntRange(0, n-1).Draw(t, "first")
		p.Branches = []feed.Branch{
			{
				From:   from,
				To:     from,
				Case:   oneOf[feed.Case](t, feed.Case("").Enum(), "case"),
				Chance: rapid.Float64Range(0.01, 1).Draw(t, "chance"),
			},
		}
	}
	if rapid.IntRange(0, 9).Draw(t, "rally?") == 0 {
		p.Rally = &feed.Rally{
			Near: oneOf[feed.Direction](
				t,
				feed.Direction("").Enum(),
				"near",
			),
			Far:  oneOf[feed.Direction](t, feed.Direction("").Enum(), "far"),
			Pair: rapid.Bool().Draw(t, "pair"),
			Shots: rapid.IntRange(2, 60).
				Draw(t, "shots"),
			Deep: rapid.Float64Range(0, 10).Draw(t, "rally deep"),
			Wide: rapid.Float64Range(0, 5).Draw(t, "rally wide"),
			Pace: maybe[sports.Pace](t, sports.Pace("").Enum(), "rally pace"),
		}
	}
	return p
}
