package roster_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
)

var today = time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)

// table makes rows of lines with bars between cells.
func table(lines ...string) [][]string {
	rows := make([][]string, len(lines))
	for i, line := range lines {
		rows[i] = strings.Split(line, "|")
	}
	return rows
}

func fieldsOf(r roster.Reading) []roster.Field {
	list := make([]roster.Field, len(r.Columns))
	for i, c := range r.Columns {
		list[i] = c.Field
	}
	return list
}

func TestColumnsAreFoundBySight(t *testing.T) {
	for _, c := range []struct {
		name  string
		rows  [][]string
		first roster.Heading
		want  []roster.Field
	}{
		{"headings", table("Player|DOB|Plays with|BH|Ball stage|E-mail", "Ada Fenn|2016-05-14|R|2|green|x"),
			roster.HasHeading,
			[]roster.Field{roster.Name, roster.Birthday, roster.Hand, roster.Backhand, roster.Level, roster.Unused}},
		{"two names", table("Surname|First name|Age group", "Fenn|Ada|U10"), roster.HasHeading,
			[]roster.Field{roster.LastName, roster.FirstName, roster.Age}},
		{"our own", table("Name|Age|Birthday|Sport|Level|Racket hand|Backhand|Works towards|What hurts|Note|Archived",
			"Ada||||||||||no"), roster.HasHeading,
			[]roster.Field{roster.Name, roster.Age, roster.Birthday, roster.Sport, roster.Level, roster.Hand, roster.Backhand,
				roster.Objective, roster.Hurts, roster.Note, roster.Unused}},
		{"no headings", table("Ada Fenn|14.05.2016|left|tennis|orange ball", "Ben Okoro|02.11.2014|right|tennis|green "+
			"ball"), roster.NoHeading,
			[]roster.Field{roster.Name, roster.Birthday, roster.Hand, roster.Sport, roster.Level}},
		{"of two that are called the same the first", table("Name|Notes|Comments", "Ada|a|b"), roster.HasHeading,
			[]roster.Field{roster.Name, roster.Note, roster.Unused}},
	} {
		t.Run(c.name, func(t *testing.T) {
			got := roster.Read(roster.Asked{Rows: c.rows}, nil, today)
			require.Equal(t, c.first, got.First)
			require.Equal(t, c.want, fieldsOf(got))
			for _, row := range got.Rows {
				require.Empty(t, row.Wrong, "%+v", row)
			}
		})
	}
}

func TestCellsAreReadAsPeopleWriteThem(t *testing.T) {
	for _, c := range []struct {
		head, cell string
		want       func(student.Profile) any
		is         any
	}{
		{"hand", "L", func(p student.Profile) any { return p.Hand }, student.LeftHand},
		{"hand", "Right-handed", func(p student.Profile) any { return p.Hand }, student.RightHand},
		{"backhand", "1", func(p student.Profile) any { return p.Backhand }, student.OneHanded},
		{"backhand", "three", nil, nil},
		{"backhand", "2H", func(p student.Profile) any { return p.Backhand }, student.TwoHanded},
		{"backhand", "One-handed", func(p student.Profile) any { return p.Backhand }, student.OneHanded},
		{"sport", "Table  Tennis", func(p student.Profile) any { return p.Sport }, court.TableTennis},
		{"level", "Orange", func(p student.Profile) any { return p.Level }, student.Orange},
		{"level", "INTERMEDIATE", func(p student.Profile) any { return p.Level }, student.Improver},
		{"age", "9", func(p student.Profile) any { return p.Age }, student.Eight},
		{"age", "U10", func(p student.Profile) any { return p.Age }, student.Eight},
		{"age", "under 8", func(p student.Profile) any { return p.Age }, student.Under8},
		{"age", "8-10", func(p student.Profile) any { return p.Age }, student.Eight},
		{"age", "14 to 17", func(p student.Profile) any { return p.Age }, student.Fourteen},
		{"age", "60+", func(p student.Profile) any { return p.Age }, student.Sixty},
		{"age", "17-9", nil, nil},
		{"hand", "Rihgt", nil, nil},
		{"born", "31.02.2016", nil, nil},
		{"born", "14.5.2031", nil, nil},
		{"born", "2016-05-14", func(p student.Profile) any { return p.Age }, student.Eight},
		{"born", "10 March 2018", func(p student.Profile) any { return p.Age }, student.Eight},     // eight today
		{"born", "March 11th, 2018", func(p student.Profile) any { return p.Age }, student.Under8}, // eight tomorrow
		{"born", "5/14/16", func(p student.Profile) any { return p.Age }, student.Eight},
		{"born", "1.1.65", func(p student.Profile) any { return p.Age }, student.Sixty},
		{"born", "2014", func(p student.Profile) any { return p.Age }, student.Eleven},
	} {
		t.Run(c.head+" "+c.cell, func(t *testing.T) {
			got := roster.Read(roster.Asked{Rows: table("name|"+c.head, "Ada|"+c.cell)}, nil, today)
			require.Len(t, got.Rows, 1)
			if c.want == nil {
				require.Len(t, got.Rows[0].Wrong, 1)
				require.Equal(t, 1, got.Rows[0].Wrong[0].Column)
				require.Contains(t, got.Rows[0].Wrong[0].Message, "“"+c.cell+"”"[:len("“")])
				require.Equal(t, 1, got.Wrong)
				return
			}
			require.Empty(t, got.Rows[0].Wrong)
			require.Equal(t, c.is, c.want(got.Rows[0].Profile))
		})
	}
}

// Days with the month as a number are read as most of the column can only be read; a coach who knows better says so.
func TestTheOrderOfDaysIsToldByTheDays(t *testing.T) {
	read := func(order roster.DayOrder, days ...string) roster.Reading {
		rows := table("name|born")
		for i, day := range days {
			rows = append(rows, []string{fmt.Sprintf("Student %d", i), day})
		}
		return roster.Read(roster.Asked{Rows: rows, Dates: order, KeepBirthdays: true}, nil, today)
	}
	got := read("", "04/05/2016", "14/05/2016")
	require.Equal(t, roster.DayFirst, got.Dates)
	require.True(t, got.DatesTold)
	require.Equal(t, "2016-05-04", got.Rows[0].Profile.Born)
	got = read("", "04/05/2016", "05/14/2016")
	require.Equal(t, "2016-04-05", got.Rows[0].Profile.Born)
	got = read("", "04/05/2016")
	require.False(t, got.DatesTold, "either order goes, so the coach is asked")
	require.Equal(t, "2016-04-05", read(roster.MonthFirst, "04/05/2016").Rows[0].Profile.Born)
	require.Equal(t, 1, read(roster.MonthFirst, "14/05/2016").Wrong)
}

func TestABirthdayIsKeptOnlyWhereTheCoachWantsIt(t *testing.T) {
	rows := table("name|age|born", "Ada|adult|2016-05-14")
	got := roster.Read(roster.Asked{Rows: rows}, nil, today).Rows[0].Profile
	require.Equal(t, student.Eight, got.Age, "a birthday says more than an age")
	require.Empty(t, got.Born)
	got = roster.Read(roster.Asked{Rows: rows, KeepBirthdays: true}, nil, today).Rows[0].Profile
	require.Equal(t, "2016-05-14", got.Born)
	band, other := got.Grown(time.Date(2027, 5, 14, 0, 0, 0, 0, time.UTC))
	require.True(t, other)
	require.Equal(t, student.Eleven, band)
}

func TestDoublesAreFoundHoweverTheyAreTyped(t *testing.T) {
	known := []roster.Known{
		{ID: "a", Profile: student.Profile{Name: "Zoë Ødegård", Sport: court.Squash, Level: student.Club, Note: "quick"}},
		{ID: "b", Archived: true, Profile: student.Profile{Name: "Ben Okoro"}},
	}
	rows := table("name|hand", "zoe  odegard|left", "ØDEGÅRD, Zoë|", "Ben Okoro|", "Cleo Marsh|", "cleo marsh|", "|left")
	got := roster.Read(roster.Asked{Rows: rows}, known, today)
	require.Len(t, got.Rows, 6)
	require.Equal(t, "a", got.Rows[0].Double.Student)
	require.Equal(t, "a", got.Rows[1].Double.Student)
	require.True(t, got.Rows[2].Double.Archived)
	require.Nil(t, got.Rows[3].Double)
	require.Equal(t, 5, got.Rows[4].Double.Row)
	require.Equal(t, []roster.Action{roster.Leave, roster.Leave, roster.Leave, roster.Add, roster.Leave, roster.Add},
		[]roster.Action{got.Rows[0].Do, got.Rows[1].Do, got.Rows[2].Do, got.Rows[3].Do, got.Rows[4].Do, got.Rows[5].Do})
	require.Equal(t, 1, got.Add)
	require.Equal(t, 1, got.Wrong)
	require.Contains(t, got.Rows[5].Wrong[0].Message, "needs a name")

	// What the table says is changed, and the rest stays.
	got = roster.Read(
		roster.Asked{Rows: rows, Do: []roster.Chosen{{Row: 2, Do: roster.Change}, {Row: 7, Do: roster.Leave}}},
		known,
		today,
	)
	require.Equal(t, 1, got.Change)
	require.Zero(t, got.Wrong)
	changed := got.Rows[0].Profile
	require.Equal(t, student.LeftHand, changed.Hand)
	require.Equal(t, "quick", changed.Note)
	require.Equal(t, court.Squash, changed.Sport)
}

func TestTextsAreNoLongerThanTheirPlace(t *testing.T) {
	got := roster.Read(
		roster.Asked{
			Rows: table(
				"name|note",
				strings.Repeat("é", 81)+"|"+strings.Repeat("n", 2001),
				strings.Repeat("é", 80)+"|"+strings.Repeat("n", 2000),
			),
		},
		nil,
		today,
	)
	require.Len(t, got.Rows[0].Wrong, 2)
	require.Equal(t, "at most 80 characters; these are 81", got.Rows[0].Wrong[0].Message)
	require.Empty(t, got.Rows[1].Wrong)
}

// Whatever is in a table: every row with something in it is read once, in order, what can come in is a sound profile,
// and the same table is read the same.
func TestAnyTableIsRead(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		cell := rapid.OneOf(
			rapid.String(),
			rapid.SampledFrom(
				[]string{
					"",
					"Ada Fenn",
					"ada fenn",
					"left",
					"2016-05-14",
					"14/5/16",
					"orange ball",
					"squash",
					"name",
					"born",
					"U10",
					"1",
				},
			),
		)
		rows := rapid.SliceOfN(rapid.SliceOfN(cell, 0, 6), 0, 8).Draw(t, "rows")
		asked := roster.Asked{Rows: rows, KeepBirthdays: rapid.Bool().Draw(t, "keep")}
		got := roster.Read(asked, nil, today)
		require.Equal(t, got, roster.Read(asked, nil, today))
		last, coming := 0, 0
		for _, row := range got.Rows {
			require.Greater(t, row.Row, last)
			last = row.Row
			if row.Do == roster.Add && len(row.Wrong) == 0 {
				coming++
				require.NoError(t, row.Profile.Check())
			}
			for _, w := range row.Wrong {
				require.Less(t, w.Column, len(got.Columns))
			}
		}
		require.Equal(t, coming, got.Add)
	})
}
