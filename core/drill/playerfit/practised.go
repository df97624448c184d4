package playerfit

import (
	"math"
	"slices"
	"time"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/people/skill"
	"hodometer/core/sport/court"
)

// Practice is how one attempt of one of several students went.
type Practice struct {
	Student int // which of them
	Lesson  string
	Drill   string
	Measure int // its number
	At      time.Time
	Unit    score.Unit // of made and missed; strokes are balls
	Tried   *Tried     // one attempt; nil where it is not known how hard it was
	tally.Count
}

// Practised is what so many students did at a measure of a drill, by an instant: counts of balls and points speak for
// one another, a sequence or a repetition for its like only.
func Practised(rows []Practice, students int, drillID string, m drill.Measure, now time.Time) [][]odds.Practised {
	inBalls := func(u score.Unit) bool { return u.OfBalls() || u == score.Point }
	list := make([][]odds.Practised, students)
	for _, row := range rows {
		alike := row.Unit == m.What || inBalls(row.Unit) && inBalls(m.What)
		if !alike || row.Drill != drillID || row.Measure != m.Number {
			continue
		}
		list[row.Student] = append(list[row.Student], odds.Practised{
			Days: now.Sub(row.At).Hours() / 24, Made: row.Made, Missed: row.Missed(), Right: row.Right, Wrong: row.Wrong,
			InPoints: row.Unit == score.Point, Net: row.Net, Long: row.Long, Wide: row.Wide,
		})
	}
	return list
}

// Day is the day of an instant, as skill counts them.
func Day(at time.Time) int { return int(math.Floor(float64(at.Unix()) / (24 * 60 * 60))) }

// Until is up to where something is counted: before an instant, and not in a lesson; none, and the zero instant, leave
// nothing out.
type Until struct {
	Lesson string
	At     time.Time
}

func (u Until) without(row Practice) bool {
	return u.Lesson != "" && row.Lesson == u.Lesson || !u.At.IsZero() && !row.At.Before(u.At)
}

// Counts are what was counted of one of the students, for their skill: what will be there is told from what was before.
// What nobody knows how hard it was does not count; it is told how many attempts that are.
func Counts(rows []Practice, student int, until Until) (list []skill.Count, unknown int) {
	for _, row := range rows {
		if row.Student != student || until.without(row) {
			continue
		}
		if row.Tried == nil {
			unknown += row.Made + row.Missed()
			continue
		}
		list = append(list, skill.Count{
			Day: Day(row.At), Stroke: string(row.Tried.Stroke), Drill: At(row.Drill, row.Measure), Points: row.Tried.Points,
			Attempt: row.Tried.Attempt, Made: row.Made, Tried: row.Made + row.Missed(),
		})
	}
	return list, unknown
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
