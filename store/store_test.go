package store_test

import (
	"database/sql"
	"fmt"
	"path/filepath"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/lesson"
	"hodometer/core/odds"
	"hodometer/core/progress"
	"hodometer/core/rotation"
	"hodometer/core/student"
	"hodometer/core/tally"
	"hodometer/core/units"
	"hodometer/internal/long"
	"hodometer/store"
)

func open(t *testing.T, path string) *store.Store {
	s, err := store.Open(t.Context(), path)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	return s
}

func fresh(t *testing.T) *store.Store {
	return open(t, filepath.Join(t.TempDir(), "a file with ? and spaces.db"))
}

// TestDocumentsOfTheFirstVersionAreKept opens a file that was written before sequences held tasks and before
// groups changed places in more than one way.
func TestDocumentsOfTheFirstVersionAreKept(t *testing.T) {
	path := filepath.Join(t.TempDir(), "old.db")
	require.NoError(t, store.FileOf(t.Context(), path, 1, `INSERT INTO drill (id, version, document)
		VALUES ('a', 3, '{"version":1,"name":"Old","pattern":{"way":"hand","gap":3,"balls":[{"stroke":"forehand","landing":{"place":{"x":1,"y":-5}}}]}}');
		INSERT INTO lesson (id, version, document) VALUES
		('b', 1, '{"version":1,"title":"Pair","date":"2026-03-10","start":"16:00","minutes":60,"students":["s"],"note":"n","blocks":[
			{"id":"1","kind":"ball warm-up","title":"Warm","minutes":8,"effort":4,"calls":[{"minute":0,"say":"Go"}],"roles":["net","back"],"swap":1.5},
			{"id":"2","kind":"break","title":"Water","minutes":4,"effort":0,"calls":[],"roles":[]}]}'),
		('c', 1, '{"version":1,"title":"Empty","date":"2026-03-10","start":"16:00","minutes":60,"students":["s"],"note":"","blocks":[]}')`))
	s := open(t, path)
	record, err := s.Drills.Get(t.Context(), "a")
	require.NoError(t, err)
	require.Equal(t, drill.FormatVersion, record.Document.FormatVersion)
	require.Equal(t, "Old", record.Document.Name)
	require.Equal(t, feed.ByHand, record.Document.Pattern.Method)
	require.Len(t, record.Document.Pattern.Tasks, 1)
	require.InDelta(t, 1, record.Document.Pattern.Tasks[0].Landing.Place.X, 1e-12)

	old, err := s.Lessons.Get(t.Context(), "b")
	require.NoError(t, err)
	require.Equal(t, lesson.FormatVersion, old.Document.FormatVersion)
	require.Equal(t, "n", old.Document.Note)
	warm := old.Document.Blocks[0]
	require.Equal(t, &rotation.Form{Kind: rotation.Roles, Every: 1.5, Spots: []rotation.Spot{{Name: "net"}, {Name: "back"}}}, warm.Rotation)
	require.Equal(t, []lesson.Call{{Minute: 0, Text: "Go"}}, warm.Calls)
	require.Nil(t, old.Document.Blocks[1].Rotation)
	old, err = s.Lessons.Get(t.Context(), "c")
	require.NoError(t, err)
	require.Empty(t, old.Document.Blocks)
}

func TestCollection(t *testing.T) {
	s, ctx := fresh(t), t.Context()
	first, err := s.Students.Create(ctx, "a", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.EqualValues(t, 1, first.Revision)

	again, err := s.Students.Create(ctx, "a", student.Profile{Name: "Ada"})
	require.NoError(t, err, "a retry is answered like the first time")
	require.Equal(t, first, again)
	_, err = s.Students.Create(ctx, "a", student.Profile{Name: "Bo"})
	require.ErrorIs(t, err, store.ErrTaken)

	second, err := s.Students.Replace(ctx, "a", 1, student.Profile{Name: "Ada B."})
	require.NoError(t, err)
	require.EqualValues(t, 2, second.Revision)
	newest, err := s.Students.Replace(ctx, "a", 1, student.Profile{Name: "lost"})
	require.ErrorIs(t, err, store.ErrStale)
	require.Equal(t, second, newest, "who comes second is shown what is there")
	again, err = s.Students.Replace(ctx, "a", 1, student.Profile{Name: "Ada B."})
	require.NoError(t, err, "a save whose answer was lost is answered like the first time")
	require.Equal(t, second, again)

	_, err = s.Students.Archive(ctx, "a", true)
	require.NoError(t, err)
	list, err := s.Students.List(ctx, false)
	require.NoError(t, err)
	require.Empty(t, list)
	list, err = s.Students.List(ctx, true)
	require.NoError(t, err)
	require.Len(t, list, 1)
	_, err = s.Students.Archive(ctx, "nobody", true)
	require.ErrorIs(t, err, store.ErrNotFound)

	require.NoError(t, s.Students.Erase(ctx, "a"))
	_, err = s.Students.Get(ctx, "a")
	require.ErrorIs(t, err, store.ErrNotFound)
	require.ErrorIs(t, s.Students.Erase(ctx, "a"), store.ErrNotFound)
}

func TestOnlyOneOfManySavesOfARevisionWins(t *testing.T) {
	s, ctx := fresh(t), t.Context()
	_, err := s.Drills.Create(ctx, "d", drill.Document{Name: "start"})
	require.NoError(t, err)
	results := make(chan error, 16)
	var all sync.WaitGroup
	for i := range cap(results) {
		all.Go(func() {
			_, err := s.Drills.Replace(ctx, "d", 1, drill.Document{Name: fmt.Sprint("mine ", i)})
			results <- err
		})
	}
	all.Wait()
	close(results)
	won := 0
	for err := range results {
		if err == nil {
			won++
			continue
		}
		require.ErrorIs(t, err, store.ErrStale)
	}
	require.Equal(t, 1, won)
}

func TestSettings(t *testing.T) {
	s, ctx := fresh(t), t.Context()
	settings, version, err := s.Settings(ctx)
	require.NoError(t, err)
	require.Equal(t, coach.Default(), settings)
	settings.Units = units.Feet
	version, err = s.UpdateSettings(ctx, version, settings)
	require.NoError(t, err)
	again, err := s.UpdateSettings(ctx, 0, settings)
	require.NoError(t, err, "the same settings sent again are answered like the first time")
	require.Equal(t, version, again)
	other := settings
	other.Basket++
	_, err = s.UpdateSettings(ctx, 0, other)
	require.ErrorIs(t, err, store.ErrStale)
	_, err = s.UpdateSettings(ctx, version, settings)
	require.NoError(t, err)
	record, _, err := s.Settings(ctx)
	require.NoError(t, err)
	require.Equal(t, settings, record)
}

func TestTapsAreKeptOnceAndOutliveTheProgram(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "h.db"), t.Context()
	s := open(t, path)
	_, err := s.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	_, err = s.Lessons.Create(ctx, "l", lesson.Document{Date: "2026-03-10", Start: "16:00"})
	require.NoError(t, err)
	at := time.Date(2026, 3, 10, 16, 5, 0, 0, time.UTC)
	run := store.Run{
		ID: "r",
		Attempt: store.Attempt{
			Lesson: "l", Block: "b", Student: "ada", Drill: "d", Name: "Coin", Stroke: "forehand", Rung: "depth",
			Goal: odds.Goal{Kind: odds.Total, Count: 10}, At: at, Aim: &court.Point{X: 2.5, Y: 9},
		},
		Taps: []tally.Entry{{Seq: 0, Kind: tally.Made, At: at, Choice: tally.RightChoice, Landing: &court.Point{X: 2.1, Y: 8.4}}, {Seq: 1, Kind: tally.Turn, Made: 4, Of: 5, At: at},
			{Seq: 2, Kind: tally.Missed, At: at, Zone: &court.Zone{Name: "long, left", Left: -4, Right: -1, Bottom: 11, Top: 15}}},
	}
	require.NoError(t, s.AddTaps(ctx, run))
	require.NoError(t, s.AddTaps(ctx, run), "sent again")

	stranger := run
	stranger.Student = "bo"
	require.ErrorIs(t, s.AddTaps(ctx, stranger), store.ErrTaken)

	clock := lesson.Clock{Anchor: at, Second: 65, Running: true}
	require.NoError(t, s.SetClock(ctx, "l", clock, false))
	require.NoError(t, s.SetRemark(ctx, store.Remark{Lesson: "l", Student: "ada", Engagement: 8, Remark: "bright"}))
	require.NoError(t, s.SetLadderPosition(ctx, store.LadderPosition{Student: "ada", Stroke: "forehand", Rung: "direction", At: at}))

	s = open(t, path)
	taps, err := s.TapsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, [][]tally.Entry{run.Taps}, taps)
	attempts, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	want := run.Attempt
	want.Summary = tally.Summary{
		Count: tally.Count{Made: 5, Balls: 7, Best: 2, AtLeast: true, Right: 1, Taps: 3},
		Zones: []tally.Zoned{{Zone: *run.Taps[2].Zone, Balls: 1}}, Landed: 1, Last: at,
	}
	require.Equal(t, []store.Attempt{want}, attempts)
	mine, err := s.AttemptsOfStudent(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, attempts, mine)
	landings, err := s.Landings(ctx, "ada", "d")
	require.NoError(t, err)
	require.Equal(t, []store.Landing{{At: court.Point{X: 2.1, Y: 8.4}, Aim: court.Point{X: 2.5, Y: 9}}}, landings)
	practised, err := s.Practised(ctx, []string{"bo", "ada"})
	require.NoError(t, err)
	require.Len(t, practised, 1)
	require.Equal(t, []int{1, 5, 7}, []int{practised[0].Student, practised[0].Made, practised[0].Balls})
	require.Equal(t, "d", practised[0].Drill)
	record, finished, ok, err := s.Clock(ctx, "l")
	require.NoError(t, err)
	require.True(t, ok)
	require.False(t, finished)
	require.Equal(t, clock, record)
	remarks, err := s.RemarksOfStudent(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, 8, remarks[0].Engagement)
	positions, err := s.LadderPositions(ctx, "ada")
	require.NoError(t, err)
	require.EqualValues(t, "direction", positions[0].Rung)
	lessons, _, err := s.LessonsBetween(ctx, "2026-03-10", "2026-03-10")
	require.NoError(t, err)
	require.Len(t, lessons, 1)

	require.NoError(t, s.Students.Erase(ctx, "ada"))
	attempts, err = s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Empty(t, attempts, "erasing a student erases what was counted of them")
	left, err := s.BallsLeft(ctx)
	require.NoError(t, err)
	require.Zero(t, left)
}

func TestADocumentThatCannotBeReadHidesNoOther(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "h.db"), t.Context()
	s := open(t, path)
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, db.Close()) })
	_, err = db.ExecContext(ctx, `INSERT INTO student (id, revision, document) VALUES ('a', 1, '{"name":'), ('b', 1, '{"name":"Bo"}'), ('c', 1, '{"name":7}'), ('d', 1, '{"name":"Di","shoe":41}');
		INSERT INTO lesson (id, revision, document) VALUES ('x', 1, '{"title":"Odd","date":"2026-03-10","minutes":"an hour"}'), ('y', 1, '{"date":17}'),
			('z', 1, '{"title":"Good","date":"2026-03-10","start":"16:00","minutes":60}')`)
	require.NoError(t, err)
	students, err := s.Students.List(ctx, false)
	require.NoError(t, err)
	require.Len(t, students, 1)
	require.Equal(t, "Bo", students[0].Document.Name)
	broken, err := s.Students.Unreadable(ctx)
	require.NoError(t, err)
	require.Len(t, broken, 3, "cut off, of another type, and with a word that would be lost")
	require.Equal(t, `{"name":`, broken[0].Text)
	for _, each := range broken {
		require.ErrorIs(t, each.Err, store.ErrUnreadable)
		_, err = s.Students.Get(ctx, each.ID)
		require.ErrorIs(t, err, store.ErrUnreadable)
		text, err := s.Students.Text(ctx, each.ID)
		require.NoError(t, err)
		require.Equal(t, each.Text, text)
		require.NoError(t, s.Students.Erase(ctx, each.ID), "and can be erased")
	}
	_, err = s.Students.Text(ctx, "a")
	require.ErrorIs(t, err, store.ErrNotFound)

	lessons, odd, err := s.LessonsBetween(ctx, "2026-03-10", "2026-03-10")
	require.NoError(t, err)
	require.Len(t, lessons, 1)
	require.Len(t, odd, 2, "one of that day, and one of no day")
	lessons, odd, err = s.LessonsBetween(ctx, "2026-03-11", "2026-03-12")
	require.NoError(t, err)
	require.Empty(t, lessons)
	require.Len(t, odd, 1)
	before, after, err := s.DaysAround(ctx, "2026-03-11", "2026-03-12")
	require.NoError(t, err)
	require.Equal(t, []string{"2026-03-10", ""}, []string{before, after})
	before, after, err = s.DaysAround(ctx, "2026-03-02", "2026-03-09")
	require.NoError(t, err)
	require.Equal(t, []string{"", "2026-03-10"}, []string{before, after}, "lessons of no day are in no week")
}

func TestInstantsOfAFarFutureAreMended(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	require.NoError(t, store.FileOf(ctx, path, 5, `INSERT INTO student (id, version, document) VALUES ('ada', 1, '{}');
		INSERT INTO lesson (id, version, document) VALUES ('l', 1, '{"date":"2026-03-10"}');
		INSERT INTO run (id, lesson, block, student, drill, name, stroke, rung, goal, at) VALUES ('r', 'l', 'b', 'ada', 'd', 'Coin', 'forehand', 'depth', '{}', '10000-01-01T04:59:59.000Z');
		INSERT INTO tap (run, seq, kind, made, "of", at) VALUES ('r', 0, 'made', 0, 0, '10000-01-01T04:59:59.000Z')`))
	s := open(t, path)
	attempts, err := s.AttemptsOfStudent(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, 9999, attempts[0].At.Year())
	require.Equal(t, 1, attempts[0].Made, "what was counted is kept")
}

// TestFilesOfEveryEarlierVersionAreKept writes the same club into a file as it was after each migration, and compares
// what is read after the later ones.
func TestFilesOfEveryEarlierVersionAreKept(t *testing.T) {
	at := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	for migration := int64(1); migration <= 6; migration++ {
		path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
		require.NoError(t, store.FileOf(ctx, path, migration, `
			INSERT INTO student (id, version, away, document) VALUES ('ada', 4, 1, '{"name":"Ada","age":"adult","hand":"left"}');
			INSERT INTO lesson (id, version, document) VALUES ('l', 2, '{"version":2,"title":"Pair","date":"2026-03-10","start":"16:00","minutes":60,"students":["ada"],"space":{},"note":"","blocks":[]}');
			INSERT INTO coach (id, version, document) VALUES (1, 3, '{"basket":50}');
			INSERT INTO run (id, lesson, block, student, drill, name, stroke, rung, goal, at) VALUES ('r', 'l', 'b', 'ada', 'd', 'Coin', 'forehand', 'depth', '{}', '2026-03-10T16:00:00.000Z');
			INSERT INTO tap (run, seq, kind, made, "of", at) VALUES ('r', 0, 'made', 0, 0, '2026-03-10T16:00:00.000Z'), ('r', 1, 'turn', 3, 5, '2026-03-10T16:00:00.000Z');
			INSERT INTO standing (student, stroke, rung, at) VALUES ('ada', 'forehand', 'depth', '2026-03-10T16:00:00.000Z')`), "migration %d", migration)
		s := open(t, path)
		ada, err := s.Students.Get(ctx, "ada")
		require.NoError(t, err)
		require.Equal(t, store.Record[student.Profile]{
			ID: "ada", Revision: 4, Archived: true, Document: student.Profile{Name: "Ada", Age: student.Adult, Hand: student.LeftHand},
		}, ada)
		pair, err := s.Lessons.Get(ctx, "l")
		require.NoError(t, err)
		require.Equal(t, int64(2), pair.Revision)
		require.Equal(t, []string{"ada"}, pair.Document.Students)
		settings, revision, err := s.Settings(ctx)
		require.NoError(t, err)
		require.Equal(t, int64(3), revision)
		require.Equal(t, 50, settings.Basket)
		taps, err := s.TapsOfLesson(ctx, "l")
		require.NoError(t, err)
		require.Equal(t, [][]tally.Entry{{{Seq: 0, Kind: tally.Made, At: at}, {Seq: 1, Kind: tally.Turn, Made: 3, Of: 5, At: at}}}, taps)
		attempts, err := s.AttemptsOfStudent(ctx, "ada")
		require.NoError(t, err)
		require.Equal(t, []store.Attempt{{
			Lesson: "l", Block: "b", Student: "ada", Drill: "d", Name: "Coin", Stroke: feed.Forehand, Rung: progress.Depth, At: at,
			Summary: tally.Summary{Count: tally.Count{Made: 4, Balls: 6, Best: 1, AtLeast: true, Taps: 2}, Last: at},
		}}, attempts)
		positions, err := s.LadderPositions(ctx, "ada")
		require.NoError(t, err)
		require.Equal(t, []store.LadderPosition{{Student: "ada", Stroke: feed.Forehand, Rung: progress.Depth, At: at}}, positions)
	}
}

// TestDocumentsOfTheSecondFormatAreKept opens a file whose documents name their fields as they were before the third.
func TestDocumentsOfTheSecondFormatAreKept(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	require.NoError(t, store.FileOf(ctx, path, 7, `
		INSERT INTO student (id, revision, document) VALUES ('ada', 4, '{"name":"Ada","towards":"a title","limit":{"of":"serves","most":90}}'), ('cut', 1, '{"name":');
		INSERT INTO drill (id, revision, document) VALUES ('d', 2, '{"version":2,"name":"Coin","play":"doubles",
			"pattern":{"way":"hand","gap":1234567.0000001,"ends":"after a random count","sequences":2,"most":4,"tasks":[{"way":"racket","landing":{"whose":"far","place":{"x":1,"y":5}}}]},
			"variations":[{"name":"soon","towards":"harder","steps":[{"change":"quicken","by":1}]}]}');
		INSERT INTO lesson (id, revision, document) VALUES ('l', 3, '{"version":2,"title":"Pair","date":"2026-03-10","blocks":[{"least":4,"most":9,"calls":[{"minute":1,"say":"Go"}]}]}')`))
	s := open(t, path)
	ada, err := s.Students.Get(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, int64(4), ada.Revision)
	require.Equal(t, student.Profile{Name: "Ada", Objective: "a title", Limit: &student.Limit{Of: student.Serves, Max: 90}}, ada.Document)
	text, err := s.Students.Text(ctx, "cut")
	require.NoError(t, err)
	require.Equal(t, `{"name":`, text, "what cannot be read stays as it is")

	stored, err := s.Drills.Get(ctx, "d")
	require.NoError(t, err)
	d := stored.Document
	require.Equal(t, drill.FormatVersion, d.FormatVersion)
	require.Equal(t, court.Doubles, d.Format)
	require.Equal(t, feed.ByHand, d.Pattern.Method)
	require.Equal(t, 4, d.Pattern.MaxSequences)
	require.InDelta(t, 1234567.0000001, d.Pattern.Gap, 0, "numbers stay as they were written")
	require.Equal(t, feed.ByRacket, d.Pattern.Tasks[0].Method)
	require.Equal(t, court.FarEndPlayer, d.Pattern.Tasks[0].Landing.View)
	require.Equal(t, []drill.Variation{{Name: "soon", Difficulty: drill.Harder, Steps: []feed.Transformation{{Kind: feed.Quicken, By: 1}}}}, d.Variations)

	pair, err := s.Lessons.Get(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, lesson.FormatVersion, pair.Document.FormatVersion)
	require.Equal(t, []lesson.Block{{Min: 4, Max: 9, Calls: []lesson.Call{{Minute: 1, Text: "Go"}}}}, pair.Document.Blocks)
}

// TestSummariesAreThoseOfTheirBalls counts on several devices, with balls taken back, sent twice and out of order, and
// works the summaries out again.
func TestSummariesAreThoseOfTheirBalls(t *testing.T) {
	s, ctx := fresh(t), t.Context()
	_, err := s.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	_, err = s.Lessons.Create(ctx, "l", lesson.Document{Date: "2026-03-10", Start: "16:00"})
	require.NoError(t, err)
	at := time.Date(2026, 3, 10, 16, 5, 0, 0, time.UTC)
	n := 0
	long.Check(t, func(t *rapid.T) {
		n++
		devices := make([][]tally.Entry, rapid.IntRange(1, 3).Draw(t, "devices"))
		for i := range devices {
			for seq := range rapid.IntRange(1, 12).Draw(t, "taps") {
				kind := rapid.SampledFrom([]tally.Kind{tally.Made, tally.Missed, tally.Turn, tally.Again, tally.Undo}).Draw(t, "kind")
				// Every tap has an instant of its own, so that there is one order of them all.
				e := tally.Entry{Seq: seq, Kind: kind, At: at.Add(time.Duration(3*seq+i) * time.Millisecond)}
				if kind == tally.Turn {
					e.Of = rapid.IntRange(1, 9).Draw(t, "of")
					e.Made = rapid.IntRange(0, e.Of).Draw(t, "made")
				}
				devices[i] = append(devices[i], e)
			}
		}
		block := fmt.Sprint("b", n)
		for i, taps := range devices {
			run := store.Run{ID: fmt.Sprint(block, i), Attempt: store.Attempt{Lesson: "l", Block: block, Student: "ada", Drill: "d", At: taps[0].At}}
			for _, cut := range []int{rapid.IntRange(1, len(taps)).Draw(t, "cut"), len(taps)} {
				run.Taps = taps[:cut]
				require.NoError(t, s.AddTaps(ctx, run))
			}
		}
		attempts, err := s.AttemptsOfLesson(ctx, "l")
		require.NoError(t, err)
		i := slices.IndexFunc(attempts, func(a store.Attempt) bool { return a.Block == block })
		require.Equal(t, tally.Summarise(devices...), attempts[i].Summary)
	})
	before, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.NoError(t, s.Resummarise(ctx))
	after, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, before, after, "they can be built again from the balls")
}

// TestBallsOfEarlierFilesAreKept opens a file from before balls were stored compactly: two devices, landings, zones,
// choices, an undo, and a tap from before its run began.
func TestBallsOfEarlierFilesAreKept(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	require.NoError(t, store.FileOf(ctx, path, 8, `
		INSERT INTO student (id, revision, document) VALUES ('ada', 1, '{"name":"Ada"}');
		INSERT INTO lesson (id, revision, document) VALUES ('l', 1, '{"date":"2026-03-10"}');
		INSERT INTO run (id, lesson, block, student, drill, name, stroke, rung, goal, aim, at) VALUES
			('tablet', 'l', 'b', 'ada', 'd', 'Coin, later', 'forehand', 'depth', '{}', NULL, '2026-03-10T16:00:05.000Z'),
			('phone', 'l', 'b', 'ada', 'd', 'Coin', 'forehand', 'depth', '{"kind":"total","count":10}', '{"x":2.5,"y":9}', '2026-03-10T16:00:00.000Z');
		INSERT INTO tap (run, seq, kind, made, "of", landing, zone, choice, at) VALUES
			('phone', 0, 'made', 0, 0, '{"x":2.1004,"y":-8.4}', NULL, 'right', '2026-03-10T16:00:01.001Z'),
			('phone', 1, 'missed', 0, 0, NULL, '{"name":"long, left","left":-4,"right":-1,"bottom":11,"top":15}', 'wrong', '2026-03-10T16:00:02.000Z'),
			('phone', 2, 'made', 0, 0, NULL, NULL, NULL, '2026-03-10T16:00:03.000Z'),
			('phone', 3, 'undo', 0, 0, NULL, NULL, NULL, '2026-03-10T16:00:04.000Z'),
			('tablet', 0, 'turn', 4, 5, NULL, NULL, NULL, '2026-03-10T15:59:59.999Z'),
			('tablet', 100000, 'played again', 0, 0, NULL, NULL, NULL, '2026-03-10T16:00:09.000Z')`))
	s := open(t, path)
	attempts, err := s.AttemptsOfStudent(ctx, "ada")
	require.NoError(t, err)
	at := func(text string) time.Time {
		instant, err := time.Parse(time.RFC3339, text)
		require.NoError(t, err)
		return instant
	}
	zone := court.Zone{Name: "long, left", Left: -4, Right: -1, Bottom: 11, Top: 15}
	require.Equal(t, []store.Attempt{{
		Lesson: "l", Block: "b", Student: "ada", Drill: "d", Name: "Coin", Stroke: feed.Forehand, Rung: progress.Depth,
		Goal: odds.Goal{Kind: odds.Total, Count: 10}, Aim: &court.Point{X: 2.5, Y: 9}, At: at("2026-03-10T16:00:00Z"),
		Summary: tally.Summary{
			Count:  tally.Count{Made: 5, Balls: 7, Streak: 0, Best: 2, AtLeast: true, Right: 1, Wrong: 1, Taps: 4},
			Landed: 1, Zones: []tally.Zoned{{Zone: zone, Balls: 1}}, Last: at("2026-03-10T16:00:09Z"),
		},
	}}, attempts, "what the first device counted says what it was")
	taps, err := s.TapsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, [][]tally.Entry{
		{
			{Seq: 0, Kind: tally.Made, At: at("2026-03-10T16:00:01.001Z"), Choice: tally.RightChoice, Landing: &court.Point{X: 2.1, Y: -8.4}},
			{Seq: 1, Kind: tally.Missed, At: at("2026-03-10T16:00:02Z"), Choice: tally.WrongChoice, Zone: &zone},
			{Seq: 2, Kind: tally.Made, At: at("2026-03-10T16:00:03Z")},
			{Seq: 3, Kind: tally.Undo, At: at("2026-03-10T16:00:04Z")},
		},
		{
			{Seq: 0, Kind: tally.Turn, Made: 4, Of: 5, At: at("2026-03-10T15:59:59.999Z")},
			{Seq: 100000, Kind: tally.Again, At: at("2026-03-10T16:00:09Z")},
		},
	}, taps)
}
