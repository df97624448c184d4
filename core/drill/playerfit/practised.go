package playerfit

import (
	"slices"
	"time"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Practice is how one attempt of one of several students went.
type Practice struct {
	Student int // which of them
	Drill   string
	Measure int // its number
	Stroke  sports.Stroke
	At      time.Time
	Unit    score.Unit // of made and missed; strokes are balls
	tally.Count
}

// History is what one student did at a measure of a drill, and on other drills for the same stroke.
type History struct{ Own, Related []odds.Practised }

// Practised sorts how so many students did by what it says about a measure of a drill at an instant: counts of balls
// and points speak for one another, a sequence or a repetition for its like only.
func Practised(
	rows []Practice,
	students int,
	drillID string,
	d drill.Document,
	m drill.Measure,
	now time.Time,
) []History {
	inBalls := func(u score.Unit) bool { return u.OfBalls() || u == score.Point }
	stroke := d.StrokeOf(m)
	list := make([]History, students)
	for _, row := range rows {
		of := &list[row.Student]
		did := odds.Practised{
			Days: now.Sub(row.At).Hours() / 24, Made: row.Made, Missed: row.Missed(), Right: row.Right, Wrong: row.Wrong,
			InPoints: row.Unit == score.Point, Net: row.Net, Long: row.Long, Wide: row.Wide,
		}
		switch {
		case row.Unit != m.What && (!inBalls(row.Unit) || !inBalls(m.What)):
		case row.Drill == drillID && row.Measure == m.Number:
			of.Own = append(of.Own, did)
		case row.Stroke == stroke:
			of.Related = append(of.Related, did)
		}
	}
	return list
}

// Zoned adds balls that landed in zones, as offsets from where they were aimed, to a list of such.
func Zoned(list []odds.Zone, landed []tally.Zoned, aim court.Point) []odds.Zone {
	for _, z := range landed {
		counted := odds.Zone{
			Left:   z.Zone.Left - aim.X,
			Right:  z.Zone.Right - aim.X,
			Bottom: z.Zone.Bottom - aim.Y,
			Top:    z.Zone.Top - aim.Y,
		}
		i := slices.IndexFunc(list, func(other odds.Zone) bool {
			other.Count = 0
			return other == counted
		})
		if i < 0 {
			i, list = len(list), append(list, counted)
		}
		list[i].Count += z.Balls
	}
	return list
}
