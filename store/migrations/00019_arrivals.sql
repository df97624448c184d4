-- Students, and who was there, come in from other places. What came in together can be taken back together.

-- +goose Up
CREATE TABLE arrival (
    id TEXT PRIMARY KEY,
    at TEXT NOT NULL,
    undone INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE TABLE arrived (
    arrival  TEXT NOT NULL REFERENCES arrival (id) ON DELETE CASCADE,
    student  TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    before   TEXT,             -- the document that was changed; null: the student is new
    archived INTEGER NOT NULL, -- whether the student was archived then
    revision INTEGER NOT NULL, -- of the student afterwards
    PRIMARY KEY (arrival, student)
) STRICT, WITHOUT ROWID;
CREATE INDEX arrived_student ON arrived (student);

-- Whether a student was at a lesson that Hodometer knows nothing else of.
CREATE TABLE presence (
    student TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    day     TEXT NOT NULL,
    lesson  TEXT NOT NULL, -- what it was called; empty: nothing
    came    INTEGER NOT NULL,
    arrival TEXT NOT NULL REFERENCES arrival (id) ON DELETE CASCADE,
    PRIMARY KEY (student, day, lesson)
) STRICT, WITHOUT ROWID;
CREATE INDEX presence_arrival ON presence (arrival);

-- +goose Down
DROP TABLE presence;
DROP TABLE arrived;
DROP TABLE arrival;
