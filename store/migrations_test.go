package store_test

import (
	"fmt"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/say"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/live/underway"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/store"
)

// TestDocumentsOfTheFirstVersionAreKept opens a file that was written before sequences held tasks and before
// groups changed places in more than one way.
func TestDocumentsOfTheFirstVersionAreKept(t *testing.T) {
	t.Parallel()
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
	require.Equal(
		t,
		&rotation.Form{Kind: rotation.Roles, Every: 1.5, Spots: []rotation.Spot{{Name: "net"}, {Name: "back"}}},
		warm.Rotation,
	)
	require.Equal(t, []lesson.Call{{Minute: 0, Text: "Go"}}, warm.Calls)
	require.Nil(t, old.Document.Blocks[1].Rotation)
	old, err = s.Lessons.Get(t.Context(), "c")
	require.NoError(t, err)
	require.Empty(t, old.Document.Blocks)
}

func TestInstantsOfAFarFutureAreMended(t *testing.T) {
	t.Parallel()
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
	t.Parallel()
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
			ID:       "ada",
			Revision: 4,
			Archived: true,
			Document: student.Profile{Name: "Ada", Age: student.Adult, Hand: student.LeftHand},
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
		require.Equal(
			t,
			[][]tally.Entry{{{Seq: 0, Kind: tally.Made, At: at}, {Seq: 1, Kind: tally.Turn, Made: 3, Of: 5, At: at}}},
			taps,
		)
		attempts, err := s.AttemptsOfStudent(ctx, "ada")
		require.NoError(t, err)
		require.Equal(t, []store.Attempt{{
			Attempt: underway.Attempt{
				Lesson:  "l",
				Block:   "b",
				Student: "ada",
				Drill:   "d",
				Name:    "Coin",
				Stroke:  sports.Forehand,
				Rung:    ladder.Depth,
				At:      at,
				Measure: drill.Measure{Number: 1, What: score.Ball, Goals: score.Course{{}}},
			},
			Summary:  tally.Summary{Count: tally.Count{Made: 4, Balls: 6, Best: 1, AtLeast: true, Taps: 2}, Last: at},
			Standing: score.Standing{Sentence: say.Of("standing.as counted then")},
		}}, attempts)
		positions, err := s.LadderPositions(ctx, "ada")
		require.NoError(t, err)
		require.Equal(
			t,
			[]store.LadderPosition{{Student: "ada", Stroke: sports.Forehand, Rung: ladder.Depth, At: at}},
			positions,
		)
	}
}

// TestDocumentsOfTheSecondFormatAreKept opens a file whose documents name their fields as they were before the third.
func TestDocumentsOfTheSecondFormatAreKept(t *testing.T) {
	t.Parallel()
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
	require.Equal(
		t,
		student.Profile{Name: "Ada", Objective: "a title", Limit: &student.Limit{Of: student.Serves, Max: 90}},
		ada.Document,
	)
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
	require.Equal(
		t,
		[]drill.Variation{
			{Name: "soon", Difficulty: drill.Harder, Steps: []feed.Transformation{{Kind: feed.Quicken, By: 1}}},
		},
		d.Variations,
	)

	pair, err := s.Lessons.Get(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, lesson.FormatVersion, pair.Document.FormatVersion)
	require.Equal(t, []lesson.Block{{Min: 4, Max: 9, Calls: []lesson.Call{{Minute: 1, Text: "Go"}}}}, pair.Document.Blocks)
}

// TestBallsOfEarlierFilesAreKept opens a file from before balls were stored compactly: two devices, landings, zones,
// choices, an undo, and a tap from before its run began.
func TestBallsOfEarlierFilesAreKept(t *testing.T) {
	t.Parallel()
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
	require.Equal(t, []store.Attempt{
		{
			Attempt: underway.Attempt{
				Lesson:  "l",
				Block:   "b",
				Student: "ada",
				Drill:   "d",
				Name:    "Coin",
				Stroke:  sports.Forehand,
				Rung:    ladder.Depth,
				Measure: drill.Measure{
					Number: 1,
					What:   score.Ball,
					Goals:  score.Course{{Kind: score.Total, Count: 10}},
				},
				Aim: &court.Point{X: 2.5, Y: 9},
				At:  at("2026-03-10T16:00:00Z"),
			},
			Summary: tally.Summary{
				Count:  tally.Count{Made: 5, Balls: 7, Streak: 0, Best: 2, AtLeast: true, Right: 1, Wrong: 1, Taps: 4},
				Landed: 1, Zones: []tally.Zoned{{Zone: zone, Balls: 1}}, Last: at("2026-03-10T16:00:09Z"),
			},
			Standing: score.Standing{Have: 5, Wanted: 10, Sentence: say.Of("standing.steps", 5, 10)},
		},
	}, attempts, "what the first device counted says what it was")
	taps, err := s.TapsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, [][]tally.Entry{
		{
			{
				Seq:     0,
				Kind:    tally.Made,
				At:      at("2026-03-10T16:00:01.001Z"),
				Choice:  tally.RightChoice,
				Landing: &court.Point{X: 2.1, Y: -8.4},
			},
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

// TestGoalsOfEarlierFilesAreCountedAnew opens a file from before attempts said how far along their goals are: a streak
// in two sets that one run used to meet, a game that was lost before it was won, and two who count together.
func TestGoalsOfEarlierFilesAreCountedAnew(t *testing.T) {
	t.Parallel()
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	const attempt = `INSERT INTO attempt (key, lesson, block, student, drill, name, stroke, rung, goal, at) VALUES `
	fill := `
		INSERT INTO student (id, revision, document) VALUES ('ada', 1, '{"name":"Ada"}'), ('bo', 1, '{"name":"Bo"}');
		INSERT INTO lesson (id, revision, document) VALUES ('l', 1, '{"date":"2026-03-10"}');`
	balls := [][]int{{0, 0, 0}, {1, 0, 0}, {0, 0}, {0}} // 0 made, 1 missed, by attempt
	for i, each := range []struct{ block, student, goal string }{
		{"streak", "ada", `{"kind":"in a row","count":2,"sets":2}`},
		{"game", "ada", `{"kind":"first to","count":2,"against":1}`},
		{"pair", "ada", `{"kind":"together","count":3}`},
		{"pair", "bo", `{"kind":"together","count":3}`},
	} {
		fill += fmt.Sprintf(
			"%s (%d, 'l', '%s', '%s', 'd', 'Coin', 'forehand', 'depth', '%s', %d);",
			attempt,
			i+1,
			each.block,
			each.student,
			each.goal,
			i,
		)
		fill += fmt.Sprintf("INSERT INTO run (key, id, attempt, at) VALUES (%d, 'run%d', %d, %d);", i+1, i, i+1, i)
		for seq, kind := range balls[i] {
			fill += fmt.Sprintf("INSERT INTO ball (key, at, kind) VALUES (%d, %d, %d);", (i+1)*131072+seq, seq, kind)
		}
	}
	require.NoError(t, store.FileOf(ctx, path, 9, fill))
	s := open(t, path)
	attempts, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	var standings []score.Standing
	for _, a := range attempts {
		standings = append(standings, a.Standing)
	}
	require.Equal(t, []score.Standing{
		{Have: 3, Wanted: 4, Sentence: say.Of("standing.times and in a row", 1, 2, 1)},
		{Lost: true, Wanted: 2, Sentence: say.Of("standing.lost")},
		{Met: true, Have: 3, Wanted: 3, Sentence: say.Of("standing.met")},
		{Met: true, Have: 3, Wanted: 3, Sentence: say.Of("standing.met")},
	}, standings)
	practised, err := s.Practised(ctx, []string{"ada"})
	require.NoError(t, err)
	var units []score.Unit
	for _, p := range practised {
		units = append(units, p.Unit)
	}
	require.Equal(t, []score.Unit{score.Ball, score.Point, score.Ball}, units, "points are evidence of their own")
	before := attempts
	require.NoError(t, s.Resummarise(ctx))
	attempts, err = s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, before, attempts, "worked out again, nothing changes")
}

// TestOneGoalBecomesAMeasure opens a file from before drills had measures: drills, a student's other goal, and what was
// counted of balls and of rallies.
func TestOneGoalBecomesAMeasure(t *testing.T) {
	t.Parallel()
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	require.NoError(t, store.FileOf(ctx, path, 10, `
		INSERT INTO student (id, revision, document) VALUES ('ada', 1, '{"name":"Ada"}');
		INSERT INTO drill (id, revision, document) VALUES
			('d', 2, '{"version":3,"name":"Coin","target":{"kind":"circle","radius":0.4},"counts":{"noCount":true},"goal":{"kind":"total","count":10}}'),
			('r', 1, '{"version":3,"name":"Rally","target":{"kind":"box","box":"far-half"},"goal":{"kind":"rallies of a length","count":3,"from":4,"to":19}}'),
			('x', 1, '{"version":3');
		INSERT INTO lesson (id, revision, document) VALUES ('l', 3, '{"version":3,"date":"2026-03-10","blocks":[{"id":"b","variants":[{"student":"ada","gap":3,"goal":{"kind":"in a row","count":4}},{"student":"bo"}]},{"id":"c"}]}');
		INSERT INTO attempt (key, lesson, block, student, drill, name, stroke, rung, goal, at) VALUES
			(1, 'l', 'b', 'ada', 'd', 'Coin', 'forehand', 'depth', '{"kind":"in a row","count":4}', 5),
			(2, 'l', 'c', 'ada', 'r', 'Rally', 'forehand', 'depth', '{"kind":"rallies of a length","count":3,"from":4,"to":19}', 6);
		INSERT INTO run (key, id, attempt, at) VALUES (1, 'one', 1, 5), (2, 'two', 2, 6);
		INSERT INTO ball (key, at, kind, made, "of") VALUES (131072, 0, 0, NULL, NULL), (262144, 0, 5, 5, 0)`))
	s := open(t, path)
	coin, err := s.Drills.Get(ctx, "d")
	require.NoError(t, err)
	require.Equal(t, int64(2), coin.Revision)
	require.Equal(t, drill.FormatVersion, coin.Document.FormatVersion)
	require.Equal(t, []drill.Measure{
		{
			Number: 1,
			What:   score.Ball,
			Target: &court.Target{Kind: court.Circle, Radius: 0.4},
			Counts: drill.Counts{NoCount: true},
			Goals:  score.Course{{Kind: score.Total, Count: 10}},
		},
	}, coin.Document.Measures)
	band := score.Course{{Kind: score.Rallies, Count: 3, From: 4, To: 19}}
	rally, err := s.Drills.Get(ctx, "r")
	require.NoError(t, err)
	require.Equal(t, score.Rally, rally.Document.Main().What)
	require.Equal(t, band, rally.Document.Main().Goals)
	text, err := s.Drills.Text(ctx, "x")
	require.NoError(t, err)
	require.Equal(t, `{"version":3`, text)

	record, err := s.Lessons.Get(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, lesson.FormatVersion, record.Document.FormatVersion)
	row := score.Course{{Kind: score.Streak, Count: 4}}
	require.Equal(
		t,
		[]lesson.Variant{{Student: "ada", Gap: 3, Goals: []lesson.Instead{{Measure: 1, Goals: row}}}, {Student: "bo"}},
		record.Document.Blocks[0].Variants,
	)

	attempts, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(
		t,
		[]drill.Measure{{Number: 1, What: score.Ball, Goals: row}, {Number: 1, What: score.Rally, Goals: band}},
		[]drill.Measure{attempts[0].Measure, attempts[1].Measure},
	)
	require.Equal(
		t,
		[]string{"1 in a row", "1 of 3 rallies"},
		[]string{attempts[0].Standing.Sentence.String(), attempts[1].Standing.Sentence.String()},
	)
}

// TestStandingsOfEarlierFilesAreToldAnew: what can be counted anew is stored as what it says; where it would come out
// otherwise today, the words of then stay.
func TestStandingsOfEarlierFilesAreToldAnew(t *testing.T) {
	t.Parallel()
	path, ctx := filepath.Join(t.TempDir(), "old.db"), t.Context()
	fill := `INSERT INTO student (id, revision, document) VALUES ('s0', 1, '{"name":"Ada"}'), ('s1', 1, '{"name":"Bo"}');
		INSERT INTO lesson (id, revision, document) VALUES ('l', 1, '{"date":"2026-03-10"}');`
	fill += "INSERT INTO measure (key, document) VALUES (1, '{\"number\":1,\"what\":\"ball\",\"goals\":[{\"kind\":\"total\",\"count\":10}]}');"
	for i, have := range []int{2, 7} {
		fill += fmt.Sprintf(`INSERT INTO attempt (key, lesson, block, student, drill, name, stroke, rung, at, measure, have, along)
			VALUES (%d, 'l', 'b', 's%d', 'd', 'Coin', 'forehand', 'depth', %d, 1, %d, '%d from 10');`, i+1, i, i, have, have)
		fill += fmt.Sprintf("INSERT INTO run (key, id, attempt, at) VALUES (%d, 'run%d', %d, %d);", i+1, i, i+1, i)
		for seq := range 2 {
			fill += fmt.Sprintf("INSERT INTO ball (key, at, kind) VALUES (%d, %d, 0);", (i+1)*131072+seq, seq)
		}
	}
	require.NoError(t, store.FileOf(ctx, path, 23, fill))
	attempts, err := open(t, path).AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t,
		[]say.Sentence{say.Of("standing.steps", 2, 10), say.Words("7 from 10")},
		[]say.Sentence{attempts[0].Standing.Sentence, attempts[1].Standing.Sentence})
}
