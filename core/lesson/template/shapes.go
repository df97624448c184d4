package template

import (
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/sport/court"
)

// Templates lists the shapes of lessons. Lengths and wording are common practice, no source.
func Templates() []Template {
	body := func(minutes float64) slot { return slot{block: lesson.BodyWarmUp(minutes)} }
	ball := func(minutes float64) slot { return slot{block: lesson.BallWarmUp(minutes)} }
	talk, water := slot{block: lesson.ClosingTalk()}, slot{block: lesson.Water()}
	cool := func(minutes float64, more string) slot {
		b := lesson.CoolingDown(minutes)
		b.Calls = append(b.Calls, callAt(minutes-2, more))
		return slot{block: b}
	}
	court4 := rotation.Form{Kind: rotation.Spots, Every: 2, Begins: rotation.SameSide, Spots: []rotation.Spot{
		{
			Name: "net, left",
			Side: "net",
		},
		{Name: "net, right", Side: "net"},
		{Name: "back, left", Side: "back"},
		{Name: "back, right", Side: "back"},
	}}
	mixed := court4
	mixed.Mix = true
	everybody := rotation.Form{Kind: rotation.Pairs, Every: 4, Spots: []rotation.Spot{}}
	return []Template{
		{Name: "Private hour", For: "One student, one focus", MinPlayers: 1, MaxPlayers: 1, Minutes: 60, slots: []slot{
			body(
				8,
			),
			ball(8),
			plain(
				lesson.Technique,
				"Technique",
				6,
				3,
				callAt(0, "Ten slow swings without a ball"),
				callAt(2, "The same with a dropped ball"),
			),
			drilled(focus, lesson.Drill, 12),
			water,
			drilled(second, lesson.Drill, 10),
			drilled(again, lesson.Points, 8),
			talk,
		}},
		{
			Name:       "Hour for a pair",
			For:        "Two who take turns and feed each other",
			MinPlayers: 2,
			MaxPlayers: 2,
			Minutes:    60,
			slots: []slot{
				body(
					8,
				),
				ball(8),
				drilled(focus, lesson.Drill, 12),
				water,
				drilled(second, lesson.Drill, 12),
				plain(lesson.Game, "Games to seven", 10, 7, callAt(0, "Serve in turns; first to seven")),
				talk,
			},
		},
		{Name: "Group of six", For: "Five to eight with one coach", MinPlayers: 5, MaxPlayers: 8, Minutes: 75, slots: []slot{
			body(
				8,
			),
			ball(8),
			drilled(focus, lesson.Drill, 14),
			water,
			drilled(second, lesson.Drill, 14),
			plain(
				lesson.Game,
				"Two against two, one place on",
				16,
				7,
				callAt(0, "Unscored first"),
				callAt(4, "Now everybody counts their own points"),
			).turning(mixed, lesson.WholeRotations),
			cool(4, "Shake it out"),
			talk,
		}},
		{
			Name:       "Junior group",
			For:        "Three to twelve juniors, short blocks",
			MinPlayers: 3,
			MaxPlayers: 12,
			Minutes:    60,
			slots: []slot{
				body(
					8,
				),
				plain(
					lesson.Ball,
					"Throw, catch, rally",
					7,
					4,
					callAt(0, "Throw and catch in twos, either hand"),
					callAt(3, "Rally over the line, soft"),
				),
				drilled(focus, lesson.Drill, 11),
				water,
				drilled(
					second,
					lesson.Drill,
					11,
				),
				plain(
					lesson.Game,
					"Up one place",
					12,
					7,
					callAt(0, "Waiting feet never still"),
				).turning(court4, lesson.WholeRotations),
				talk,
			},
		},
		{
			Name:       "Table session",
			For:        "Two to eight at the tables",
			MinPlayers: 2,
			MaxPlayers: 8,
			Minutes:    90,
			Sport:      court.TableTennis,
			slots: []slot{
				body(
					6,
				),
				plain(
					lesson.Ball,
					"Forehand and backhand at the table",
					8,
					4,
					callAt(0, "Forehand diagonal"),
					callAt(4, "Backhand diagonal"),
				),
				drilled(
					focus,
					lesson.Drill,
					9,
				),
				drilled(second, lesson.Drill, 9),
				drilled(again, lesson.Points, 9),
				plain(lesson.Break, "Water", 10, 0),
				plain(
					lesson.Game,
					"Games with a rule",
					10,
					6,
					callAt(0, "Third ball decides"),
				).turning(everybody, lesson.AnyLength),
				plain(lesson.Game, "Free games", 10, 7).turning(everybody, lesson.AnyLength),
				plain(lesson.Serving, "Serving", 8, 4, callAt(0, "Spin first"), callAt(4, "Then short")),
				talk,
			},
		},
		{
			Name:       "Ten-minute warm-up",
			For:        "Two, before a match or a lesson",
			MinPlayers: 2,
			MaxPlayers: 4,
			Minutes:    10,
			rare:       true,
			slots: []slot{
				plain(
					lesson.Ball,
					"Ten minutes for two",
					10,
					5,
					callAt(0, "Forehand volleys"),
					callAt(2, "Backhand volleys"),
					callAt(4, "Alternate, down the line; the partner answers cross-court"),
					callAt(6, "Overheads"),
					callAt(8, "Serve and return"),
				).
					turning(lesson.NetAndBack(), lesson.WholeRotations),
			},
		},
		{
			Name:       "Before an event",
			For:        "The last session: groove, then rest",
			MinPlayers: 1,
			MaxPlayers: 4,
			Minutes:    60,
			rare:       true,
			slots: []slot{
				body(8),
				ball(10),
				drilled(focus, lesson.Drill, 10),
				water,
				drilled(second, lesson.Drill, 8),
				plain(
					lesson.Serving,
					"Serving",
					8,
					4,
					callAt(0, "Five easy ones before the first full one"),
				),
				cool(8, "Food, water, sleep: agree on all three"),
				talk,
			},
		},
	}
}

func plain(kind lesson.Kind, title string, minutes float64, effort int, calls ...lesson.Call) slot {
	if calls == nil {
		calls = []lesson.Call{}
	}
	return slot{block: lesson.Block{Kind: kind, Title: title, Minutes: minutes, Effort: effort, Calls: calls}}
}

func drilled(p pick, kind lesson.Kind, minutes float64) slot {
	return slot{block: lesson.Block{Kind: kind, Minutes: minutes, Calls: []lesson.Call{}}, pick: p}
}

func callAt(minute float64, text string) lesson.Call { return lesson.Call{Minute: minute, Text: text} }

// turning has a block's group change places.
func (s slot) turning(f rotation.Form, step lesson.LengthStep) slot {
	s.block.Rotation, s.block.Step = &f, step
	return s
}
