-- Stored documents have revisions (their format has versions), are archived, and students have positions on a ladder.

-- +goose Up
ALTER TABLE coach RENAME COLUMN version TO revision;
ALTER TABLE student RENAME COLUMN version TO revision;
ALTER TABLE student RENAME COLUMN away TO archived;
ALTER TABLE drill RENAME COLUMN version TO revision;
ALTER TABLE drill RENAME COLUMN away TO archived;
ALTER TABLE lesson RENAME COLUMN version TO revision;
ALTER TABLE lesson RENAME COLUMN away TO archived;
ALTER TABLE standing RENAME TO ladder_position;
