// Package template is the shapes of lessons, which fill themselves with drills for what the students should do next.
package template

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// Template is the shape of a lesson. It fills itself with drills for what its students should do next.
type Template struct {
	Name       string      `json:"name"`
	For        string      `json:"for" description:"Whom it is for, in words"`
	MinPlayers int         `json:"minPlayers" description:"Fewest players"`
	MaxPlayers int         `json:"maxPlayers"`
	Minutes    int         `json:"minutes" description:"Usual length"`
	Sport      court.Sport `json:"sport,omitempty" description:"empty: any"`

	slots []slot
	rare  bool // for a day that is not like others
}

// Suiting is the shape that goes for so many players of a sport and comes nearest to so many minutes; ok is false where
// there is none.
func Suiting(players, minutes int, sport court.Sport) (found Template, ok bool) {
	off := func(t Template) int { return max(t.Minutes-minutes, minutes-t.Minutes) }
	for _, t := range Templates() {
		goes := t.MinPlayers <= players && players <= t.MaxPlayers && (t.Sport == "" || t.Sport == sport) && !t.rare
		if goes && (!ok || off(t) < off(found)) {
			found, ok = t, true
		}
	}
	return found, ok
}

// pick is which drill a slot wants.
type pick int

const (
	noDrill pick = iota // no drill
	focus               // for the next step of most students
	second              // for the next step of others, or the same one in another way
	again               // the focus once more, as points
)

type slot struct {
	block lesson.Block
	pick  pick
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
					"Catch the net",
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

// Fill makes the blocks of a lesson from a template: drills for the students' next steps out of the coach's
// library, then everything fitted to the minutes. It says why each drill was chosen. New blocks get the
// fresh identifiers that are passed in. It returns invalid.Fields, or ctx.Err() when cancelled.
func (t Template) Fill(
	ctx context.Context,
	d lesson.Document,
	needs map[string][]catalogue.Need,
	library []library.Stored,
	fresh []string,
	in schedule.Inputs,
) (editing.Edited, error) {
	if n := len(d.Students); n < t.MinPlayers || n > t.MaxPlayers {
		return editing.Edited{}, invalid.Fields{
			{
				Path:    "students",
				Message: fmt.Sprintf("%s is for %s; these are %d", t.Name, manyPlayers(t.MinPlayers, t.MaxPlayers), n),
			},
		}
	}
	if len(fresh) < len(t.slots) {
		return editing.Edited{}, invalid.Fields{{Path: "fresh", Message: "too few identifiers for the blocks"}}
	}
	sport := in.Sport()
	if t.Sport != "" && t.Sport != sport {
		return editing.Edited{}, invalid.Fields{
			{Path: "students", Message: fmt.Sprintf("%s is for %s, and most of these play %s", t.Name, t.Sport, sport)},
		}
	}
	in = in.Named()
	c := chooser{in: in, needs: needs, sport: sport, library: library, space: d.Space, rests: rests(in.People)}
	first, why := c.choose(nil)
	other, alsoWhy := c.choose(first)
	phrases := []string{}
	d.Blocks = []lesson.Block{}
	for i, s := range t.slots {
		block, phrase := sparing(s.block.In(sport), in.People)
		if phrase != "" {
			phrases = append(phrases, phrase)
		}
		if more, why := lesson.WarmUp(in.Settings.Air.Celsius, in.People); block.Kind == lesson.Body && why != "" {
			block.Minutes += more
			for k := range block.Calls { // the last ones come at its end
				block.Calls[k].Minute = min(block.Calls[k].Minute, block.Minutes-2)
			}
			phrases = append(phrases, fmt.Sprintf("%s: %s.", block.Title, why))
		}
		block.ID, block.Wanted = fresh[i], block.Minutes
		chosen, reason := first, why
		if s.pick == second {
			chosen, reason = other, alsoWhy
		}
		if s.pick != noDrill {
			if chosen == nil {
				phrases = append(
					phrases,
					fmt.Sprintf(
						"There is no drill for %s in the library%s; a block of technique stands in its place.",
						sport,
						map[bool]string{true: " yet", false: " that asks for nothing they rest"}[len(c.rests) == 0],
					),
				)
				block.Kind, block.Title, block.Effort = lesson.Technique, "Technique", 3
			} else {
				block.Drill, block.Title, block.Effort = chosen.ID, chosen.Document.Name, chosen.Document.Effort
				if s.pick == again {
					block.Title += ", for points"
				} else {
					phrases = append(phrases, reason)
				}
				in.Drills[chosen.ID] = chosen.Document
				block.Lines = c.lines(chosen.Document, block)
			}
		}
		d.Blocks = append(d.Blocks, block)
	}
	fitted, err := editing.ShareOut(ctx, d, "", in)
	// What a short booking has no room for goes, the least important first; somebody has to play all the same.
	for err == nil && !fitted.Fits && len(fitted.Drop) > 0 && len(fitted.Drop) < len(d.Blocks) {
		var out []string
		d.Blocks = slices.DeleteFunc(d.Blocks, func(b lesson.Block) bool {
			gone := slices.Contains(fitted.Drop, b.ID)
			if gone {
				out = append(out, b.Title)
			}
			return gone
		})
		phrases = append(
			phrases,
			fmt.Sprintf("Left out, as %d min have no room for it: %s.", d.Minutes, strings.Join(out, ", ")),
		)
		fitted, err = editing.ShareOut(ctx, d, "", in)
	}
	fitted.Sentences = append(phrases, fitted.Sentences...)
	return fitted, err
}

func manyPlayers(least, most int) string {
	if least == most {
		return map[int]string{1: "one player", 2: "two players"}[least]
	}
	return fmt.Sprintf("%d to %d players", least, most)
}

// chooser chooses drills for a group.
type chooser struct {
	in      schedule.Inputs
	needs   map[string][]catalogue.Need
	sport   court.Sport
	library []library.Stored
	space   load.Space
	rests   []student.Strain // what anybody is spared
}

// choose returns the drill that serves the next steps of most students and is nearest to their level,
// and why; nil where there is none for the sport. A drill that was chosen already is passed over, and its
// stroke counts for less.
func (c chooser) choose(but *library.Stored) (best *library.Stored, why string) {
	top := math.Inf(-1)
	for i, s := range c.library {
		if s.Document.Sport != c.sport || but != nil && s.ID == but.ID || !catalogue.Spares(s.Document, c.rests) {
			continue
		}
		score, served := 0.0, []string{}
		for _, p := range c.in.People {
			if catalogue.Serves(s.Document, c.needs[p.ID]) == catalogue.IsNext {
				served = append(served, p.Short)
			}
			score += catalogue.Suits(s.Document, p.Profile.Level, c.needs[p.ID])
		}
		if but != nil && s.Document.Stroke == but.Document.Stroke {
			score -= float64(len(c.in.People))
		}
		if c.space.Half && !load.Narrow(s.Document) {
			score -= 3 * float64(len(c.in.People))
		}
		if score > top {
			top, best = score, &c.library[i]
			why = fmt.Sprintf("%s: %s, %s", s.Document.Name, s.Document.Stroke, s.Document.Rung)
			if len(served) > 0 {
				why += ", the next step of " + strings.Join(served, ", ")
			} else {
				why += ", near their level"
			}
			why += "."
		}
	}
	return best, why
}

// lines is in how many lines a drill is played so that everybody has a turn in the block and nobody waits too
// long; no more than three, since each wants a feeder.
func (c chooser) lines(d drill.Document, b lesson.Block) int {
	const most = 3
	n := len(c.in.People)
	if n < 4 || c.space.Half || load.Form(d) != nil {
		return 0
	}
	lines := min(load.Split(d, n, c.in.Settings), most)
	for ; lines < most; lines++ {
		g, _ := load.Arrange(d, n, lines, c.space)
		if load.For(d, g, 1, c.in.Settings).Need+c.in.Settings.ChangeOver <= b.Seconds() {
			break
		}
	}
	if lines < 2 {
		return 0
	}
	return lines
}

// FindTemplate returns a template by its name.
func FindTemplate(name string) (Template, bool) {
	all := Templates()
	i := slices.IndexFunc(all, func(t Template) bool { return t.Name == name })
	if i < 0 {
		return Template{}, false
	}
	return all[i], true
}
