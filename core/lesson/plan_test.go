package lesson_test

import (
	"context"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/library"
	"hodometer/core/odds"
	"hodometer/core/progress"
	"hodometer/core/rotation"
	"hodometer/core/student"
	"hodometer/core/template"
	"hodometer/core/units"
)

func TestEquipmentThatMovesTakesTime(t *testing.T) {
	d, in := hour()
	d.Blocks[4].Drill = builtIn(t, "Metronome", in).ID
	p := schedule(t, d, in)
	// Coin leaves 1 basket and 4 flat markers; Metronome wants a machine, 2 baskets and 2 cones: the markers are
	// collected in 4 × 5 s.
	second := p.Blocks[4]
	require.Equal(t, []lesson.Piece{{Count: 4, Name: "flat markers"}}, second.Goes)
	require.Contains(t, fmt.Sprint(second.Comes), "1 ball machine")
	require.InDelta(t, 20+20+120, second.SetUp, 1e-9, "walking over, collecting, setting up")
	require.Equal(t, "Collecting 4 flat markers", second.Time.Inputs[1].Name)
	// 144 balls of the last drill fill both of the coach's baskets.
	require.Equal(t, []lesson.Piece{{Count: 2, Name: "baskets"}, {Count: 4, Name: "flat markers"}, {Count: 1, Name: "ball machine"}, {Count: 2, Name: "cones"}}, p.Carry)

	plans, err := lesson.CourtPlans(d, p.Timetable, in)
	require.NoError(t, err)
	require.Len(t, plans, 1)
	require.Len(t, plans[0].Moves, 2)
	walk := ""
	for _, step := range plans[0].Walk {
		walk += step.Label + "\n"
	}
	require.Contains(t, walk, "Coin in the Corner: target")
	require.Contains(t, walk, "Metronome: target")
}

func TestBudgetsByHand(t *testing.T) {
	d, in := hour()
	require.NoError(t, in.Measure(t.Context()))
	p := schedule(t, d, in)
	ada := p.Budgets[0]
	// 24 + 48 balls fed, and five minutes of volleys, a ball every three seconds.
	require.Equal(t, 24+48+100, ada.Balls)
	require.InDelta(t, 12*in.Metres[coin.ID], ada.Metres, 1e-6, "12 turns")
	// Playing: body 8 min less nothing to walk, ball 10 min, and 12 turns of 39 s; the others' 12 turns are waiting.
	require.InDelta(t, 480+600+12*39, ada.Playing, 1e-6)
	require.InDelta(t, 12*39, ada.Waiting, 1e-6)
	require.InDelta(t, 600, ada.Rest, 1e-9)
	require.Equal(t, "Run", p.Metrics[5].Name)
}

func TestRunSheetSaysWhoIsWhere(t *testing.T) {
	d, in := crowd(6)
	in.People[1].Profile.Watch = []string{"late split step"}
	d.Blocks[1].Rotation = &rotation.Form{Kind: rotation.Spots, Every: 1, Begins: rotation.SameSide, Courts: 1, Spots: []rotation.Spot{
		{Name: "net left", Side: "net"}, {Name: "net right", Side: "net"}, {Name: "back left", Side: "back"}, {Name: "back right", Side: "back"},
	}}
	d.Blocks[1].OnDeck = "skip behind the fence"
	d.Blocks[2].Variants = []lesson.Variant{{Student: "ada", Gap: 4.2, Size: 1.5, Goal: &odds.Goal{Kind: odds.Total, Count: 8}}}
	phrase := ""
	for _, cue := range lesson.RunSheet(d, schedule(t, d, in).Timetable, in) {
		phrase += fmt.Sprintf("%g %s: %s [", cue.Second, cue.Kind, cue.Text)
		for i, role := range cue.Roles {
			phrase += strings.Repeat(" ", min(i, 1)) + fmt.Sprintf("{%s %s}", role.Name, role.Role)
		}
		phrase += "]\n"
	}
	for _, want := range []string{
		"480 swap: Take your places. The net side begins [{Ada net left} {Ben net right} {Player 2 back left} {Player 3 back right} {Player 4 skip behind the fence}",
		"540 swap: Change: one place on. The net side begins [{Ada net right}",
		"Set up: Coin. Put down 1 basket, 4 flat markers",
		"{Ada 4.2 s apart; target 1.5 times as large; goal: 8 made in all} {Ben left-handed: mirror it} {Player 2 as drawn}",
		"count: Count for each: 10 made in all [{Ben watch: late split step}]",
	} {
		require.Contains(t, phrase, want)
	}
}

func TestVariantsChangeTheDrillOfOneStudent(t *testing.T) {
	d, in := hour()
	block, ada, ben := d.Blocks[2], in.People[0], in.People[1]
	block.Variants = []lesson.Variant{{Student: "ada", Gap: 7, Size: 2, Goal: &odds.Goal{Kind: odds.Streak, Count: 3}}, {Student: "ben", Drawn: lesson.AsDrawn}}
	hers := block.DrillFor(coin.Document, ada)
	require.InDelta(t, 7, hers.Pattern.Gap, 1e-9)
	require.InDelta(t, 2*coin.Document.Target.Radius, hers.Target.Radius, 1e-9)
	require.Equal(t, "3 in a row", hers.Goal.String())
	require.Equal(t, coin.Document, block.DrillFor(coin.Document, ben), "as drawn, though left-handed")
	block.Variants = []lesson.Variant{{Student: "ada", Drawn: lesson.Mirrored}}
	require.Equal(t, coin.Document.Mirrored(), block.DrillFor(coin.Document, ada))
	require.Equal(t, coin.Document.Mirrored(), block.DrillFor(coin.Document, ben))

	taken := apply(t, d, lesson.Edit{Kind: lesson.SetVariant, Block: "3", Variant: &lesson.Variant{Student: "ada", Gap: 5}}, in).Document
	require.Len(t, taken.Blocks[2].Variants, 1)
	taken = apply(t, taken, lesson.Edit{Kind: lesson.SetVariant, Block: "3", Variant: &lesson.Variant{Student: "ada"}}, in).Document
	require.Empty(t, taken.Blocks[2].Variants, "nothing different is no variant")
}

func TestVariantsAreProposed(t *testing.T) {
	d, in := hour()
	in.People[0].Profile.Age, in.People[0].Profile.Level = student.Sixty, student.Beginner
	weak := drill.PlayerEvidence{Level: student.Beginner, Own: []odds.Practised{{Made: 4, Missed: 26}}}
	v, err := d.Propose(t.Context(), "3", "ada", weak, in)
	require.NoError(t, err)
	require.Greater(t, v.Size, 1.1, "a larger target")
	require.NotNil(t, v.Goal)
	require.NotEmpty(t, v.Why)
	for _, bad := range [][2]string{{"1", "ada"}, {"3", "nobody"}} {
		_, err = d.Propose(t.Context(), bad[0], bad[1], weak, in)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields)
	}
}

func TestTemplatesFillThemselves(t *testing.T) {
	fresh := make([]string, 20)
	for i := range fresh {
		fresh[i] = fmt.Sprint("f", i)
	}
	for _, shape := range template.Templates() {
		sport, level := court.Tennis, student.Club
		if shape.Sport != "" {
			sport = shape.Sport
		}
		for n := shape.MinPlayers; n <= shape.MaxPlayers; n++ {
			t.Run(fmt.Sprint(shape.Name, " for ", n), func(t *testing.T) {
				d, in := crowd(n)
				in.Settings = coach.Default()
				d.Blocks, d.Minutes = nil, shape.Minutes
				for i := range in.People {
					in.People[i].Profile.Sport, in.People[i].Profile.Level, in.People[i].Profile.Age = sport, level, student.Adult
				}
				filled, err := shape.Fill(t.Context(), d, nil, library.All(), fresh, in)
				require.NoError(t, err)
				require.True(t, filled.Fits, fmt.Sprint(filled.Sentences))
				require.InDelta(t, shape.Minutes, total(filled.Document), 1.01, "only whole rotations may leave a minute")
				p := schedule(t, filled.Document, in)
				for _, f := range p.Findings {
					require.NotEqual(t, lesson.Problem, f.Severity, f.Reason)
				}
				for _, s := range p.Blocks {
					require.Less(t, s.Over, 1.0, s.Title)
				}
			})
		}
	}
}

func TestATemplateServesTheNextSteps(t *testing.T) {
	fresh := strings.Split("a b c d e f g h i j", " ")
	d, in := hour()
	d.Blocks = nil
	for i := range in.People {
		in.People[i].Profile.Sport, in.People[i].Profile.Level = court.Tennis, student.Club
	}
	pair, ok := template.FindTemplate("Hour for a pair")
	require.True(t, ok)
	needs := map[string][]template.Need{"ada": {{Stroke: feed.Backhand, Rung: progress.Depth}}, "ben": {{Stroke: feed.ForehandVolley, Rung: progress.Consistency}}}
	filled, err := pair.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.NoError(t, err)
	require.Contains(t, fmt.Sprint(filled.Sentences), "backhand, depth, the next step of Ada.")
	require.Contains(t, fmt.Sprint(filled.Sentences), "forehand volley, consistency, the next step of Ben.")

	group, _ := template.FindTemplate("Group of six")
	_, err = group.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.ErrorContains(t, err, "Group of six is for 5 to 8 players; these are 2")
	table, _ := template.FindTemplate("Table session")
	_, err = table.Fill(t.Context(), d, needs, library.All(), fresh, in)
	require.ErrorContains(t, err, "most of these play tennis")
	// A sport without a drill in the library still gets its lesson.
	filled, err = pair.Fill(t.Context(), d, needs, nil, fresh, in)
	require.NoError(t, err)
	require.Contains(t, filled.Sentences[0], "There is no drill for tennis")
	_, ok = template.FindTemplate("none")
	require.False(t, ok)
}

// A lesson of twelve drills and twelve players, all computed: who runs how far, who is where,
// what it takes, what is to be said, and the run sheet.
func BenchmarkLesson12x12(b *testing.B) {
	d, in := crowd(12)
	d.Minutes = 150
	in.Rates = map[string]map[string]odds.Rate{}
	d.Blocks = nil
	for i, stored := range library.All()[:12] {
		block := lesson.ForDrill(stored.ID, stored.Document, 12, d.Space, in.Settings)
		block.ID = fmt.Sprint("b", i)
		d.Blocks = append(d.Blocks, block)
		in.Drills[stored.ID], in.Rates[stored.ID] = stored.Document, map[string]odds.Rate{}
		for _, p := range in.People {
			in.Rates[stored.ID][p.ID] = odds.Rate{Mean: 0.55}
		}
	}
	for b.Loop() {
		require.NoError(b, in.Measure(b.Context()))
		lesson.RunSheet(d, schedule(b, d, in).Timetable, in)
	}
}

// TestGroupsKeepToTheCourtsThatAreBooked schedules every offered block for every size of group.
func TestGroupsKeepToTheCourtsThatAreBooked(t *testing.T) {
	for people := 2; people <= 12; people++ {
		for _, space := range []drill.Space{{}, {Courts: 1}, {Courts: 2}, {Courts: 3}, {Half: true}} {
			d, in := crowd(people)
			d.Space, d.Blocks = space, append(lesson.Starters(), lesson.More()...)
			for i := range d.Blocks {
				d.Blocks[i].ID = string(rune('a' + i))
			}
			booked := max(1, space.Courts)
			for _, s := range schedule(t, d, in).Blocks {
				if s.Table == nil {
					continue
				}
				for _, round := range s.Table.Rounds {
					for _, seat := range round.Seats {
						most := booked
						switch {
						case space.Half:
							most = 1
						case s.Kind == lesson.Ball:
							most = 2 * booked // side by side, lengthwise
						}
						require.LessOrEqual(t, seat.Court, most, "%s for %d on %+v", s.Title, people, space)
						require.NotContains(t, seat.Where, fmt.Sprint("court ", booked+1))
					}
				}
			}
		}
	}
	// By hand: six on one court, everybody against everybody: two play, four wait.
	d, in := crowd(6)
	game := lesson.More()[1]
	game.ID = "game"
	d.Blocks = []lesson.Block{game}
	for _, round := range schedule(t, d, in).Blocks[0].Table.Rounds {
		waits := 0
		for _, seat := range round.Seats {
			if seat.Waits {
				waits++
			}
		}
		require.Equal(t, 4, waits)
	}
	// The coach may still put three side by side; then it is parts of a court, and no courts that are not there.
	d.Blocks[0].Rotation.Courts = 3
	require.Equal(t, "part 3", lastWhere(schedule(t, d, in).Blocks[0].Table.Rounds[0]))
	d.Space.Courts = 3
	require.Equal(t, "court 3", lastWhere(schedule(t, d, in).Blocks[0].Table.Rounds[0]))
}

func lastWhere(round rotation.Round) string {
	last := rotation.Seat{}
	for _, seat := range round.Seats {
		if seat.Court > last.Court {
			last = seat
		}
	}
	return last.Where
}

func TestEveryCueSaysHowLongAfterItsBlockBegan(t *testing.T) {
	d, in := crowd(6)
	p := schedule(t, d, in)
	starts := map[string]float64{}
	for _, s := range p.Blocks {
		starts[s.Block] = s.Start
	}
	for _, cue := range lesson.RunSheet(d, p.Timetable, in) {
		require.Equal(t, units.Elapsed(cue.Second-starts[cue.Block]), cue.After)
		require.Regexp(t, `^\+[0-9]+:[0-5][0-9]$`, cue.After)
	}
}

func TestWorkStopsWhenNobodyWaitsForIt(t *testing.T) {
	d, in := crowd(6)
	gone, cancel := context.WithCancel(t.Context())
	cancel()
	_, err := lesson.PlanFor(gone, d, in)
	require.ErrorIs(t, err, context.Canceled)
	_, err = d.Refit(gone, "", in)
	require.ErrorIs(t, err, context.Canceled)
	for _, stored := range library.All() {
		player := stored.Document.PlayerFor(student.Club, student.RightHand)
		_, err := stored.Document.Simulate(gone, player, in.Settings)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
		_, err = stored.Document.Metres(gone, in.Settings)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
		_, _, err = stored.Document.Fitted(gone, drill.FitRequest{Minutes: 5}, drill.PlayerEvidence{Level: student.Club}, player, 2, in.Settings)
		require.ErrorIs(t, err, context.Canceled, stored.Document.Name)
	}
}

func TestPeopleOfOneNameAreToldApartEverywhere(t *testing.T) {
	d, in := hour()
	in.People[0].Profile.Name, in.People[1].Profile.Name = "Ada Fenn", "Ada Marsh"
	p := schedule(t, d, in)
	require.Equal(t, []string{"Ada F.", "Ada M."}, []string{p.Budgets[0].Short, p.Budgets[1].Short})
	roles := 0
	for _, cue := range lesson.RunSheet(d, p.Timetable, in) {
		for _, role := range cue.Roles {
			require.Equal(t, map[string]string{"Ada Fenn": "Ada F.", "Ada Marsh": "Ada M."}[role.Name], role.Short)
			roles++
		}
	}
	require.NotZero(t, roles)
	d.Title = " "
	require.Equal(t, "Ada F. and Ada M.", d.Titled(in).Title, "a lesson without a title has their names")
	in.People = append(in.People, lesson.Person{ID: "c", Profile: student.Profile{Name: "Cleo Marsh"}}, lesson.Person{ID: "d", Profile: student.Profile{Name: "Dov Lund"}})
	require.Equal(t, "Ada F., Ada M. and 2 more", d.Titled(in).Title)
	d.Title = "Tuesday"
	require.Equal(t, "Tuesday", d.Titled(in).Title)
}
