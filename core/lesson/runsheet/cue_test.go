package runsheet_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/sample"
)

func TestRunSheet(t *testing.T) {
	d, in := sample.Hour()
	p := sample.Planned(t, d, in)
	sheet := runsheet.Cues(d, p.Timetable, in)
	at := func(second float64, kind runsheet.CueKind) runsheet.Cue {
		for _, cue := range sheet {
			if cue.Second == second && cue.Kind == kind {
				return cue
			}
		}
		t.Fatalf("no cue %q at %g s", kind, second)
		return runsheet.Cue{}
	}
	require.Equal(t, "Body warm-up", at(0, runsheet.Begin).Text)
	require.Equal(t, "Backhand volleys", at(8*60+120, runsheet.CallOut).Text)
	const tennis = 23.7744 // metres, 78 ft; who volleys is at the net, and who feeds faces them
	require.Equal(
		t,
		[]runsheet.Role{
			{Name: "Ada", Short: "Ada", Role: "volleys", At: &court.Point{Y: -0.12 * tennis}},
			{Name: "Ben", Short: "Ben", Role: "feeds", At: &court.Point{Y: 0.3 * tennis}},
		},
		at(480, runsheet.Swap).Roles,
	)
	require.Equal(
		t,
		[]runsheet.Role{
			{Name: "Ada", Short: "Ada", Role: "feeds", At: &court.Point{Y: 0.3 * tennis}},
			{Name: "Ben", Short: "Ben", Role: "volleys", At: &court.Point{Y: -0.12 * tennis}},
		},
		at(540, runsheet.Swap).Roles,
	)
	feed := at(18*60+80, runsheet.Feed)
	require.Contains(t, feed.Text,
		"6 balls a turn, 3.5 s apart, then a pause of 6 s, 3 times. One line of 2. Goal: 5 made in all")
	require.Equal(t, "left-handed: mirror it", feed.Roles[1].Role)
	require.Equal(t, "Pick up 48 balls", at(18*60+80+312, runsheet.PickUp).Text)
	require.Equal(t, "End of the lesson", at(2880, runsheet.End).Text)
	for i := 1; i < len(sheet); i++ {
		require.LessOrEqual(t, sheet[i-1].Second, sheet[i].Second)
	}
	// Alone, the student pairs with the coach.
	in.People, d.Students = in.People[:1], d.Students[:1]
	sheet = runsheet.Cues(d, sample.Planned(t, d, in).Timetable, in)
	require.Equal(
		t,
		runsheet.Role{Name: "Coach", Short: "Coach", Role: "feeds", At: &court.Point{Y: 0.3 * tennis}},
		at(480, runsheet.Swap).Roles[1],
	)
}

func TestRunSheetSaysWhoIsWhere(t *testing.T) {
	d, in := sample.Crowd(6)
	in.People[1].Profile.Watch = []string{"late split step"}
	d.Blocks[1].Rotation = &rotation.Form{
		Kind:   rotation.Spots,
		Every:  1,
		Begins: rotation.SameSide,
		Courts: 1,
		Spots: []rotation.Spot{
			{
				Name: "net left",
				Side: "net",
			},
			{Name: "net right", Side: "net"},
			{Name: "back left", Side: "back"},
			{Name: "back right", Side: "back"},
		},
	}
	d.Blocks[1].OnDeck = "skip behind the fence"
	d.Blocks[2].Variants = []lesson.Variant{
		{
			Student: "ada",
			Gap:     4.2,
			Size:    1.5,
			Goals:   []lesson.Instead{{Measure: 1, Goals: score.Course{{Kind: score.Total, Count: 8}}}},
		},
	}
	phrase := ""
	for _, cue := range runsheet.Cues(d, sample.Planned(t, d, in).Timetable, in) {
		phrase += fmt.Sprintf("%g %s: %s [", cue.Second, cue.Kind, cue.Text)
		for i, role := range cue.Roles {
			phrase += strings.Repeat(" ", min(i, 1)) + fmt.Sprintf("{%s %s}", role.Name, role.Role)
		}
		phrase += "]\n"
	}
	for _, want := range []string{
		"480 swap: Take your places. The net side begins [{Ada net left} {Ben net right} {Player 2 back left} {Player 3 " +
			"back right} {Player 4 skip behind the fence}",
		"540 swap: Change: one place on. The net side begins [{Ada net right}",
		"Set up: Coin. Put down 1 basket, 4 flat markers",
		"{Ada 4.2 s apart; target 1.5 times as large; goal: 8 made in all} {Ben left-handed: mirror it} {Player 2 as drawn}",
		"count: Count for each: 5 made in all [{Ben watch: late split step}]",
	} {
		require.Contains(t, phrase, want)
	}
}

func TestEveryCueSaysHowLongAfterItsBlockBegan(t *testing.T) {
	d, in := sample.Crowd(6)
	p := sample.Planned(t, d, in)
	starts := map[string]float64{}
	for _, s := range p.Blocks {
		starts[s.Block] = s.Start
	}
	for _, cue := range runsheet.Cues(d, p.Timetable, in) {
		require.Equal(t, units.Elapsed(cue.Second-starts[cue.Block]), cue.After)
		require.Regexp(t, `^\+[0-9]+:[0-5][0-9]$`, cue.After)
	}
}

func TestPeopleOfOneNameAreToldApartEverywhere(t *testing.T) {
	d, in := sample.Hour()
	in.People[0].Profile.Name, in.People[1].Profile.Name = "Ada Fenn", "Ada Marsh"
	p := sample.Planned(t, d, in)
	require.Equal(t, []string{"Ada F.", "Ada M."}, []string{p.Budgets[0].Short, p.Budgets[1].Short})
	roles := 0
	for _, cue := range runsheet.Cues(d, p.Timetable, in) {
		for _, role := range cue.Roles {
			require.Equal(t, map[string]string{"Ada Fenn": "Ada F.", "Ada Marsh": "Ada M."}[role.Name], role.Short)
			roles++
		}
	}
	require.NotZero(t, roles)
	d.Title = " "
	require.Equal(t, "Ada F. and Ada M.", schedule.Titled(d, in).Title, "a lesson without a title has their names")
	in.People = append(
		in.People,
		lesson.Person{ID: "c", Profile: student.Profile{Name: "Cleo Marsh"}},
		lesson.Person{ID: "d", Profile: student.Profile{Name: "Dov Lund"}},
	)
	require.Equal(t, "Ada F., Ada M. and 2 more", schedule.Titled(d, in).Title)
	d.Title = "Tuesday"
	require.Equal(t, "Tuesday", schedule.Titled(d, in).Title)
}

// Who changes places has a place on the court in each round, and another one in the next.
func TestRolesHavePlaces(t *testing.T) {
	d, in := sample.Hour()
	table, _, err := schedule.Make(t.Context(), d, in)
	require.NoError(t, err)
	var rounds []runsheet.Cue
	for _, cue := range runsheet.Cues(d, table, in) {
		if cue.Kind == runsheet.Swap {
			rounds = append(rounds, cue)
		}
	}
	require.Greater(t, len(rounds), 3)
	for i, cue := range rounds {
		for j, role := range cue.Roles {
			require.NotNil(t, role.At)
			if i > 0 {
				require.NotEqual(t, *rounds[i-1].Roles[j].At, *role.At, "round %d: %s goes to the other end", i, role.Name)
			}
		}
	}
}
