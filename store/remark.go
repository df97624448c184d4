package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
)

// Remark is what a student's lesson felt like.
type Remark struct {
	Lesson     string
	Student    string
	Engagement int  // out of ten; 0 where none was given
	Effort     *int // how hard it felt, 0 to 10; nil where it was not asked
	Remark     string
}

// SetRemark keeps a remark. It fails with ErrNotFound where the lesson or the student was erased.
func (s *Store) SetRemark(ctx context.Context, r Remark) error {
	result, err := s.exec(ctx, `INSERT INTO remark (lesson, student, engagement, effort, remark)
		SELECT lesson.id, student.id, ?, ?, ? FROM lesson, student WHERE lesson.id = ? AND student.id = ?
		ON CONFLICT DO UPDATE SET engagement = excluded.engagement, effort = excluded.effort, remark = excluded.remark`,
		r.Engagement, r.Effort, r.Remark, r.Lesson, r.Student)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n == 0 {
		return errors.Join(err, fmt.Errorf("remark on %s: %w", r.Student, ErrNotFound))
	}
	return nil
}

// RemarksOfLesson returns the remarks of a lesson.
func (s *Store) RemarksOfLesson(ctx context.Context, lessonID string) ([]Remark, error) {
	return collect(
		ctx,
		s.read,
		scanRemark,
		"SELECT lesson, student, engagement, effort, remark FROM remark WHERE lesson = ? ORDER BY student",
		lessonID,
	)
}

// RemarksOfStudent returns a student's remarks, oldest lesson first.
func (s *Store) RemarksOfStudent(ctx context.Context, studentID string) ([]Remark, error) {
	return collect(
		ctx,
		s.read,
		scanRemark,
		`SELECT remark.lesson, remark.student, remark.engagement, remark.effort, remark.remark
		FROM remark JOIN lesson ON lesson.id = remark.lesson WHERE remark.student = ?
		ORDER BY lesson.date, json_extract(lesson.document, '$.start')`,
		studentID,
	)
}

func scanRemark(rows *sql.Rows) (Remark, error) {
	var r Remark
	err := rows.Scan(&r.Lesson, &r.Student, &r.Engagement, &r.Effort, &r.Remark)
	return r, err
}
