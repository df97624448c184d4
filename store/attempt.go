package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"time"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/live/underway"
	"hodometer/core/sport/court"
)

// Attempt is what one student did at one measure of a drill in one block, from all devices, and what that amounts to.
type Attempt struct {
	underway.Attempt
	tally.Summary
	Standing score.Standing // how far along the goal is; of one that players count together, by what all of the block made
}

// AttemptsOfLesson returns the attempts of a lesson, oldest first.
func (s *Store) AttemptsOfLesson(ctx context.Context, lessonID string) ([]Attempt, error) {
	return attempts(ctx, s.read, "lesson = ?", lessonID)
}

// AttemptsOnDrill returns the attempts of a student on one drill, oldest first.
func (s *Store) AttemptsOnDrill(ctx context.Context, studentID, drillID string) ([]Attempt, error) {
	return attempts(ctx, s.read, "student = ? AND drill = ?", studentID, drillID)
}

// AttemptsOfStudent returns the attempts of a student, oldest first.
func (s *Store) AttemptsOfStudent(ctx context.Context, studentID string) ([]Attempt, error) {
	return attempts(ctx, s.read, "student = ?", studentID)
}

func attempts(ctx context.Context, db querier, where string, args ...any) ([]Attempt, error) {
	return collect(ctx, db, scanAttempt, selectAttempts(where), args...)
}

func selectAttempts(where string) string {
	return `SELECT lesson, block, student, drill, name, version, stroke, rung, measure.document, aim, at,
		made, balls, streak, best, at_least, "right", wrong, taps, landed, last, zones, rallies, longest, tries, fastest,
		net, long, wide, outcome, have, along,
		CASE WHEN measure.document ->> '$.goals[0].kind' = 'together' THEN
			(SELECT sum(other.made) FROM attempt AS other WHERE other.lesson = attempt.lesson AND other.block = attempt.block
			AND other.number = attempt.number)
		ELSE 0 END,
		(SELECT nullif(json_group_array(json_object('fault', fault.text, 'times', times) ORDER BY fault.text), '[]') FROM
		faulted JOIN fault ON fault.key = faulted.fault WHERE faulted.attempt = attempt.key)
		FROM attempt JOIN measure ON measure.key = attempt.measure WHERE ` + where + ` ORDER BY at, attempt.key`
}

func scanAttempt(rows *sql.Rows) (Attempt, error) {
	var a Attempt
	var at, last int64
	var measure, along string
	var outcome, have, together int
	var aim, zones, faults sql.NullString
	err := rows.Scan(
		&a.Lesson,
		&a.Block,
		&a.Student,
		&a.Drill,
		&a.Name,
		&a.Version,
		&a.Stroke,
		&a.Rung,
		&measure,
		&aim,
		&at,
		&a.Made,
		&a.Balls,
		&a.Streak,
		&a.Best,
		&a.AtLeast,
		&a.Right,
		&a.Wrong,
		&a.Taps,
		&a.Landed,
		&last,
		&zones,
		&a.Rallies,
		&a.Longest,
		&a.Tries,
		&a.Fastest,
		&a.Net,
		&a.Long,
		&a.Wide,
		&outcome,
		&have,
		&along,
		&together,
		&faults,
	)
	if err != nil {
		return a, err
	}
	a.At = time.UnixMilli(at).UTC()
	if last != 0 {
		a.Last = time.UnixMilli(last).UTC()
	}
	if a.Aim, err = readJSON[court.Point](aim); err != nil {
		return a, err
	}
	counted, err := readJSON[[]tally.Zoned](zones)
	if err != nil {
		return a, fmt.Errorf("zones of %s in %s: %w", a.Student, a.Lesson, err)
	}
	if counted != nil {
		a.Zones = *counted
	}
	seen, err := readJSON[[]tally.Seen](faults)
	if err != nil {
		return a, fmt.Errorf("faults of %s in %s: %w", a.Student, a.Lesson, err)
	}
	if seen != nil {
		a.Faults = *seen
	}
	if err := json.Unmarshal([]byte(measure), &a.Measure); err != nil {
		return a, fmt.Errorf("measure of %s in %s: %w", a.Student, a.Lesson, err)
	}
	if a.Measure.Goals.Joint() {
		a.Standing = a.Measure.Goals.StandJointly(together)
		return a, nil
	}
	a.Standing, err = standingOf(a.Measure.Goals, outcome, have, along)
	return a, err
}

// Landing is a place where a ball landed, and where it was aimed.
type Landing struct{ At, Aim court.Point }

// Landings returns where a student's balls landed at a measure of a drill, in order, without those taken back.
func (s *Store) Landings(ctx context.Context, studentID, drillID string, measure int) ([]Landing, error) {
	where := "attempt.student = ? AND attempt.drill = ? AND attempt.number = ? AND attempt.landed > 0 AND attempt.aim " +
		"IS NOT NULL"
	aims := map[int64]court.Point{}
	err := each(ctx, s.read, func(rows *sql.Rows) error {
		var key int64
		var text sql.NullString
		if err := rows.Scan(&key, &text); err != nil {
			return err
		}
		aim, err := readJSON[court.Point](text)
		if aim != nil {
			aims[key] = *aim
		}
		return err
	}, "SELECT key, aim FROM attempt WHERE "+where, studentID, drillID, measure)
	if err != nil {
		return nil, err
	}
	runs, err := balls(
		ctx,
		s.read,
		"run.attempt IN (SELECT key FROM attempt WHERE "+where+")",
		studentID,
		drillID,
		measure,
	)
	if err != nil {
		return nil, err
	}
	var list []Landing
	for _, run := range runs {
		for _, at := range tally.Landings(run.entries) {
			if aim, ok := aims[run.attempt]; ok {
				list = append(list, Landing{At: at, Aim: aim})
			}
		}
	}
	return list, nil
}

// Occasion is when and in what something was counted.
type Occasion struct{ Lesson, Date, Title string }

// AttemptsBetween calls give for each attempt from one day to another, both included, by the days of their lessons, the
// oldest lesson first; of one student, or of all where it is empty.
func (s *Store) AttemptsBetween(
	ctx context.Context,
	studentID, from, to string,
	give func(Attempt, Occasion) error,
) error {
	occasions, err := s.occasions(ctx, studentID, from, to)
	if err != nil {
		return err
	}
	of, done, err := s.prepared(ctx, selectAttempts("lesson = ?1 AND (?2 = '' OR student = ?2)"))
	if err != nil {
		return err
	}
	defer done()
	for _, o := range occasions {
		all, err := collect(ctx, of, scanAttempt, "", o.Lesson, studentID)
		if err != nil {
			return err
		}
		for _, a := range all {
			if err := give(a, o); err != nil {
				return err
			}
		}
	}
	return nil
}

// CountsBetween calls give for what was counted of each of these attempts and not taken back, from all devices, in
// order.
func (s *Store) CountsBetween(
	ctx context.Context,
	studentID, from, to string,
	give func(Attempt, Occasion, []tally.Entry) error,
) error {
	const those = "lesson = ?1 AND (?2 = '' OR student = ?2)"
	of, done, err := s.prepared(ctx, selectBalls("run.attempt IN (SELECT key FROM attempt WHERE "+those+")"))
	if err != nil {
		return err
	}
	defer done()
	keys, doneToo, err := s.prepared(ctx, "SELECT key, block, student, number FROM attempt WHERE "+those)
	if err != nil {
		return err
	}
	defer doneToo()
	type attempted struct {
		block, student string
		number         int
	}
	lesson, devices, key := "", map[int64][][]tally.Entry{}, map[attempted]int64{}
	return s.AttemptsBetween(ctx, studentID, from, to, func(a Attempt, o Occasion) error {
		if o.Lesson != lesson {
			runs, err := readBalls(ctx, s.read, of, "", o.Lesson, studentID)
			if err != nil {
				return err
			}
			lesson = o.Lesson
			clear(devices)
			for _, run := range runs {
				devices[run.attempt] = append(devices[run.attempt], run.entries)
			}
			clear(key)
			err = each(ctx, keys, func(rows *sql.Rows) error {
				var one attempted
				var number int64
				err := rows.Scan(&number, &one.block, &one.student, &one.number)
				key[one] = number
				return err
			}, "", o.Lesson, studentID)
			if err != nil {
				return err
			}
		}
		return give(a, o, tally.InOrder(devices[key[attempted{a.Block, a.Student, a.Measure.Number}]]...))
	})
}

// CountedBetween is how many balls and all else were counted in a span.
func (s *Store) CountedBetween(ctx context.Context, studentID, from, to string) (n int, err error) {
	err = s.read.QueryRowContext(ctx, `SELECT coalesce(sum(taps), 0) FROM attempt JOIN lesson ON lesson.id = attempt.lesson
		WHERE date BETWEEN ?2 AND ?3 AND (?1 = '' OR student = ?1)`, studentID, from, to).Scan(&n)
	return n, err
}

// occasions are the lessons of a span in which something was counted, the oldest first.
func (s *Store) occasions(ctx context.Context, studentID, from, to string) ([]Occasion, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (o Occasion, err error) {
		return o, rows.Scan(&o.Lesson, &o.Date, &o.Title)
	}, `SELECT id, date, coalesce(document ->> '$.title', '') FROM lesson
		WHERE date BETWEEN ?2 AND ?3 AND EXISTS (SELECT 1 FROM attempt WHERE attempt.lesson = lesson.id AND (?1 = '' OR
		attempt.student = ?1))
		ORDER BY date, document ->> '$.start', id`, studentID, from, to)
}
