package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"strconv"
	"strings"
	"time"

	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/sport/sports"
)

// Practice is how an attempt went, and under which number it is kept how hard it was; 0 where it is not.
type Practice struct {
	playerfit.Practice
	Key   int64
	Under int64
}

// Practised returns how all attempts of some students went, each student's oldest first.
func (s *Store) Practised(ctx context.Context, students []string) ([]Practice, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (Practice, error) {
		var p Practice
		var at int64
		var stroke string
		var balls sql.NullString
		var points, whole bool
		unit := 0
		err := rows.Scan(
			&p.Student,
			&p.Key,
			&p.Lesson,
			&at,
			&p.Drill,
			&p.Measure,
			&p.Made,
			&p.Balls,
			&p.Right,
			&p.Wrong,
			&unit,
			&p.Net,
			&p.Long,
			&p.Wide,
			&p.Under,
			&stroke,
			&points,
			&whole,
			&balls,
		)
		p.At, p.Unit = time.UnixMilli(at), units[min(max(unit, 0), len(units)-1)]
		if err != nil || !balls.Valid {
			return p, err
		}
		p.Tried = &playerfit.Tried{Stroke: sports.Stroke(stroke), Points: points}
		p.Tried.Attempt.All = whole
		if p.Tried.Attempt.Balls, err = readNumbers(balls.String); err != nil {
			return p, fmt.Errorf("how hard attempt %d was: %w", p.Key, err)
		}
		return p, nil
	}, `SELECT student.key, attempt.key, lesson, at, drill, attempt.number, made, attempt.balls, "right", wrong, unit, net,
		long, wide, coalesce(tried.number, 0), coalesce(tried.stroke, ''), coalesce(points, 0), coalesce(whole, 0),
		tried.balls
		FROM json_each(?) AS student CROSS JOIN attempt ON attempt.student = student.value
		LEFT JOIN tried ON tried.attempt = attempt.key
		ORDER BY student.key, at, attempt.key`, asList(students))
}

// Place is where an attempt was made, and the measure that was kept with it.
type Place struct {
	Key           int64
	Lesson, Block string
	Measure       drill.Measure
}

// Places returns where some attempts were made.
func (s *Store) Places(ctx context.Context, keys []int64) ([]Place, error) {
	text, err := json.Marshal(keys)
	if err != nil {
		return nil, err
	}
	return collect(ctx, s.read, func(rows *sql.Rows) (p Place, err error) {
		var measure string
		if err := rows.Scan(&p.Key, &p.Lesson, &p.Block, &measure); err != nil {
			return p, err
		}
		return p, json.Unmarshal([]byte(measure), &p.Measure)
	}, `SELECT attempt.key, lesson, block, measure.document FROM json_each(?) AS wanted
		CROSS JOIN attempt ON attempt.key = wanted.value JOIN measure ON measure.key = attempt.measure`, string(text))
}

// KeepTried keeps under a number how hard some attempts were, of those that are still there.
func (s *Store) KeepTried(ctx context.Context, number int64, all map[int64]*playerfit.Tried) error {
	return s.in(ctx, func(tx *sql.Tx) error {
		for key, t := range all {
			var balls sql.NullString
			if t == nil {
				t = &playerfit.Tried{}
			} else {
				balls = sql.NullString{String: writeNumbers(t.Attempt.Balls), Valid: true}
			}
			if _, err := tx.ExecContext(ctx, `INSERT INTO tried (attempt, number, stroke, points, whole, balls)
				SELECT key, ?2, ?3, ?4, ?5, ?6 FROM attempt WHERE key = ?1
				ON CONFLICT (attempt) DO UPDATE SET number = ?2, stroke = ?3, points = ?4, whole = ?5, balls = ?6`,
				key, number, string(t.Stroke), t.Points, t.Attempt.All, balls); err != nil {
				return err
			}
		}
		return nil
	})
}

// writeNumbers writes log-odds one after the other, to a ten-thousandth.
func writeNumbers(list []float64) string {
	parts := make([]string, len(list))
	for i, v := range list {
		parts[i] = strconv.FormatFloat(v, 'f', 4, 64)
	}
	return strings.Join(parts, " ")
}

func readNumbers(text string) (list []float64, err error) {
	parts := strings.Fields(text)
	list = make([]float64, len(parts))
	for i, part := range parts {
		if list[i], err = strconv.ParseFloat(part, 64); err != nil {
			return nil, err
		}
	}
	return list, nil
}
