package api_test

import (
	"bytes"
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/exchange"
	"hodometer/api/repository"
	"hodometer/core/exchange/roster"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/student"
	"hodometer/sheets"
)

// tabled is a table as the program reads it from a file.
func (c *club) tabled(file string) [][]string {
	return read[sheets.Table](c.t, c.ask("POST", "/api/tables", file)).Rows
}

func (c *club) names() []string {
	var names []string
	for _, s := range read[[]desk.Student](c.t, c.ask("GET", "/api/students", nil)) {
		names = append(names, s.Profile.Name)
	}
	return names
}

func TestATableOfStudentsComesInWholeOrNotAtAll(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	there := c.student(ada())
	rows := c.tabled("Name;Born;Hand\nBen Okoro;14.5.2016;l\nCleo Marsh;31.2.2015;r\nAda;1.1.2014;right\n")
	look := read[roster.Reading](t, c.ask("POST", "/api/arrivals/students/look", roster.Asked{Rows: rows}))
	require.Equal(t, 1, look.Wrong)
	require.Equal(t, 1, look.Add)

	id := newID()
	p := readProblem(
		t,
		c.ask("PUT", "/api/arrivals/"+id+"/students", roster.Asked{Rows: rows}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "rows.2.1", p.Fields[0].Path)
	require.Contains(t, p.Fields[0].Message, "row 3: “31.2.2015” is no day")
	require.Equal(t, []string{"Ada"}, c.names(), "nothing came in")

	rows[2][1] = "28.2.2015"
	asked := roster.Asked{Rows: rows, KeepBirthdays: true, Do: []roster.Chosen{{Row: 4, Do: roster.Change}}}
	came := read[exchange.Arrived](t, c.ask("PUT", "/api/arrivals/"+id+"/students", asked))
	require.Equal(t, []int{2, 1}, []int{came.Added, came.Changed})
	require.Equal(
		t,
		came,
		read[exchange.Arrived](t, c.ask("PUT", "/api/arrivals/"+id+"/students", asked)),
		"sent again, nothing comes twice",
	)
	require.ElementsMatch(t, []string{"Ada", "Ben Okoro", "Cleo Marsh"}, c.names())
	require.Equal(t, student.RightHand, read[desk.Student](t, c.ask("GET", "/api/students/"+there, nil)).Profile.Hand)

	// Taken back: who was added goes, who was changed is as before; who is in a lesson by now stays, and so does who was
	// changed since.
	var ben desk.Student
	for _, s := range read[[]desk.Student](t, c.ask("GET", "/api/students", nil)) {
		if s.Profile.Name == "Ben Okoro" {
			ben = s
		}
	}
	ben.Profile.Note = "quick"
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/students/"+ben.ID, ben.Profile, "If-Match", `"1"`).Code)
	require.Len(t, read[[]exchange.Arrived](t, c.ask("GET", "/api/arrivals", nil)), 1)
	back := read[exchange.TakenBack](t, c.ask("DELETE", "/api/arrivals/"+id, nil))
	require.Equal(t, []string{"Ben Okoro"}, back.Stayed)
	require.ElementsMatch(t, []string{"Ada", "Ben Okoro"}, c.names())
	require.Equal(t, student.LeftHand, read[desk.Student](t, c.ask("GET", "/api/students/"+there, nil)).Profile.Hand)
	require.Empty(t, read[[]exchange.Arrived](t, c.ask("GET", "/api/arrivals", nil)))
	readProblem(t, c.ask("DELETE", "/api/arrivals/"+newID(), nil), http.StatusNotFound)
}

func TestWhoWasThereComesInAndIsShownWithTheLessonsThatWereGiven(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	c.student(ada())
	ben := ada()
	ben.Name = "Ben Okoro"
	c.student(ben)
	rows := c.tabled("Name,3/3/2026,4/3/2026\nAda,x,x\nBen Okoro,,x\nCleo,x,\n")
	asked := roster.AttendanceAsked{Rows: rows, Dates: roster.DayFirst}
	id := newID()
	p := readProblem(t, c.ask("PUT", "/api/arrivals/"+id+"/attendance", asked), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "say who “Cleo” is")
	asked.People = []roster.Person{{Name: "Cleo"}}
	require.Equal(t, 4, read[exchange.Arrived](t, c.ask("PUT", "/api/arrivals/"+id+"/attendance", asked)).Presences)
	p = readProblem(t, c.ask("PUT", "/api/arrivals/"+newID()+"/attendance", asked), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "nothing in it that is not kept already")

	for _, s := range read[[]desk.Student](t, c.ask("GET", "/api/students", nil)) {
		roll := read[repository.Progress](t, c.ask("GET", "/api/students/"+s.ID+"/progress", nil)).Roll
		require.Equal(t, 2, roll.Of)
		require.Equal(t, map[string]int{"Ada": 2, "Ben Okoro": 1}[s.Profile.Name], roll.Came)
		require.Equal(t, "2026-03-04", roll.Each[0].Day, "the newest first")
		require.Nil(t, roll.Each[0].Minutes)
	}
	c.ask("DELETE", "/api/arrivals/"+id, nil)
	for _, s := range read[[]desk.Student](t, c.ask("GET", "/api/students", nil)) {
		require.Zero(t, read[repository.Progress](t, c.ask("GET", "/api/students/"+s.ID+"/progress", nil)).Roll.Of)
	}
}

// Students came in with one table and their attendance with another: taking the students back takes no attendance along
// unasked.
func TestTakingStudentsBackTakesNoAttendanceAlong(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	students, attendance := newID(), newID()
	read[exchange.Arrived](
		t,
		c.ask(
			"PUT",
			"/api/arrivals/"+students+"/students",
			roster.Asked{Rows: c.tabled("Name;Hand\nBen Okoro;l\nCleo Marsh;r\n")},
		),
	)
	read[exchange.Arrived](
		t,
		c.ask(
			"PUT",
			"/api/arrivals/"+attendance+"/attendance",
			roster.AttendanceAsked{Rows: c.tabled("Name;2026-03-03\nBen Okoro;x\n")},
		),
	)
	back := read[exchange.TakenBack](t, c.ask("DELETE", "/api/arrivals/"+students, nil))
	require.Equal(t, []string{"Ben Okoro"}, back.Stayed)
	require.Equal(t, []string{"Ben Okoro"}, c.names())
	roll := read[repository.Progress](
		t,
		c.ask("GET", "/api/students/"+read[[]desk.Student](t, c.ask("GET", "/api/students", nil))[0].ID+"/progress", nil),
	).Roll
	require.Equal(t, 1, roll.Of)
}

// What goes out comes in again: the same students, and who was there.
func TestTablesThatAreHandedOutComeIn(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Born, p.Objective, p.Note = "2014-05-01", "=SUM(A1:A9)", "a, \"b\"; c"
	c.student(p)
	rows := c.tabled("Name,Date,Lesson,Came\nAda,2026-03-03,Juniors,yes\nAda,2026-03-04,Juniors,no\n")
	read[exchange.Arrived](t, c.ask("PUT", "/api/arrivals/"+newID()+"/attendance", roster.AttendanceAsked{Rows: rows}))

	other := newClub(t)
	for _, file := range []string{"students.csv", "hodometer.xlsx"} {
		w := c.ask("GET", "/api/out/tables/"+file, nil)
		require.Equal(t, http.StatusOK, w.Code)
		require.Contains(t, w.Header().Get("Content-Disposition"), "attachment")
		asked := roster.Asked{Rows: other.tabled(w.Body.String()), KeepBirthdays: true}
		if file == "students.csv" {
			require.NotContains(t, w.Body.String(), ",=SUM", "no formula in a spreadsheet program")
			read[exchange.Arrived](t, other.ask("PUT", "/api/arrivals/"+newID()+"/students", asked))
			require.Equal(t, p, read[[]desk.Student](t, other.ask("GET", "/api/students", nil))[0].Profile)
			continue
		}
		look := read[roster.Reading](t, other.ask("POST", "/api/arrivals/students/look", asked))
		require.Len(t, look.Rows, 1)
		require.NotNil(t, look.Rows[0].Double, "the same student, from the workbook")
	}
	attendance := c.ask("GET", "/api/out/tables/attendance.csv?from=2026-03-01&to=2026-03-31", nil).Body.String()
	read[exchange.Arrived](
		t,
		other.ask("PUT", "/api/arrivals/"+newID()+"/attendance", roster.AttendanceAsked{Rows: other.tabled(attendance)}),
	)
	require.Equal(
		t,
		attendance,
		other.ask("GET", "/api/out/tables/attendance.csv?from=2026-03-01&to=2026-03-31", nil).Body.String(),
	)
	require.Equal(
		t,
		1,
		strings.Count(c.ask("GET", "/api/out/tables/attendance.csv?from=2026-03-04", nil).Body.String(), "Ada"),
	)
	readProblem(t, c.ask("GET", "/api/out/tables/attendance.csv?from=soon", nil), http.StatusUnprocessableEntity)
	require.Equal(t, http.StatusNotFound, c.ask("GET", "/api/out/tables/secrets.csv", nil).Code)
}

func TestAFileThatIsTooLargeIsRefusedBeforeItIsRead(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := readProblem(t, c.ask("POST", "/api/tables", strings.Repeat("a,b\n", 2<<20+1)), http.StatusRequestEntityTooLarge)
	require.Contains(t, p.Fields[0].Message, "of a file 8")
	p = readProblem(t, c.ask("POST", "/api/tables", "%PDF-1.7"), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "this is a PDF")
}

// Five hundred students are in within two seconds; see docs/performance.md for how long it takes.
func BenchmarkFiveHundredStudentsComeIn(b *testing.B) {
	var file bytes.Buffer
	file.WriteString("Name,Born,Hand,Level,Works towards\n")
	for i := range 500 {
		fmt.Fprintf(&file, "Student %d,%d-05-14,left,green ball,Serves in\n", i, 2010+i%10)
	}
	for b.Loop() {
		b.StopTimer()
		c := newClub(b)
		b.StartTimer()
		rows := c.tabled(file.String())
		look := read[roster.Reading](b, c.ask("POST", "/api/arrivals/students/look", roster.Asked{Rows: rows}))
		require.Equal(b, 500, look.Add)
		came := read[exchange.Arrived](b, c.ask("PUT", "/api/arrivals/"+newID()+"/students", roster.Asked{Rows: rows}))
		require.Equal(b, 500, came.Added)
	}
}

// Of a lesson that was given it is known who was there, how long, and what was counted; the tables say the same as the
// student's page.
func TestWhatHappenedCourtsideIsHandedOut(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, block, id := c.student(ada()), newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	c.clock(id, 0, true, false)
	c.now = c.now.Add(9 * time.Minute)
	c.tap(id, taps{Run: newID(), Block: block, Student: student, Entries: []map[string]any{
		{
			"seq":  0,
			"kind": "turn",
			"made": 9,
			"of":   12,
			"at":   c.now,
		},
		{"seq": 1, "kind": "made", "at": c.now},
		{"seq": 2, "kind": "undo", "at": c.now},
		{"seq": 3, "kind": "missed", "miss": "long", "at": c.now},
	}})
	c.clock(id, 540, false, true)
	roll := read[repository.Progress](t, c.ask("GET", "/api/students/"+student+"/progress", nil)).Roll
	require.Equal(t, []int{1, 1}, []int{roll.Came, roll.Of})
	require.InDelta(t, 9, *roll.Each[0].Minutes, 0.01)

	out := func(file string) [][]string {
		return c.tabled(c.ask("GET", "/api/out/tables/"+file+"?student="+student, nil).Body.String())
	}
	require.Equal(t, []string{"Ada", "2026-03-10", "16:00", "Tuesday", "yes", "9"}, out("attendance.csv")[1])
	results := out("results.csv")
	require.Len(t, results, 2)
	require.Equal(t, []string{"9", "13"}, results[1][8:10])
	require.Equal(t, "1", results[1][12], "long")
	counts := out("counts.csv")
	require.Len(t, counts, 3, "what was taken back is not in it")
	require.Equal(t, []string{"turn", "9", "12"}, counts[1][5:8])
	require.Equal(t, []string{"missed", "", "", "", "long"}, counts[2][5:10])
	require.Len(
		t,
		c.tabled(c.ask("GET", "/api/out/tables/counts.csv?to=2026-03-09&from=2026-03-01", nil).Body.String()),
		1,
	)
}
