-- +goose Up
CREATE TABLE coach (
    id       INTEGER PRIMARY KEY CHECK (id = 1),
    version  INTEGER NOT NULL,
    document TEXT NOT NULL
) STRICT;

CREATE TABLE student (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    away     INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL
) STRICT;

CREATE TABLE drill (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    away     INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL
) STRICT;

CREATE TABLE lesson (
    id       TEXT PRIMARY KEY,
    version  INTEGER NOT NULL,
    away     INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL,
    date     TEXT GENERATED ALWAYS AS (json_extract(document, '$.date')) VIRTUAL
) STRICT;
CREATE INDEX lesson_date ON lesson (date);

-- Where a lesson that was begun stands; see core/lesson.Clock.
CREATE TABLE clock (
    lesson   TEXT PRIMARY KEY REFERENCES lesson (id) ON DELETE CASCADE,
    anchor   TEXT NOT NULL,
    second   REAL NOT NULL,
    running  INTEGER NOT NULL,
    finished INTEGER NOT NULL
) STRICT;

-- One student on one drill in one block, counted by one device. What the drill stood for is kept with
-- it, so that a drill changed later does not change what was done.
CREATE TABLE run (
    id      TEXT PRIMARY KEY,
    lesson  TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    block   TEXT NOT NULL,
    student TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    drill   TEXT NOT NULL,
    name    TEXT NOT NULL,
    stroke  TEXT NOT NULL,
    rung    TEXT NOT NULL,
    goal    TEXT NOT NULL,
    at      TEXT NOT NULL
) STRICT;
CREATE INDEX run_student ON run (student, drill, at);
CREATE INDEX run_lesson ON run (lesson);

CREATE TABLE tap (
    run  TEXT NOT NULL REFERENCES run (id) ON DELETE CASCADE,
    seq  INTEGER NOT NULL,
    kind TEXT NOT NULL,
    made INTEGER NOT NULL,
    "of" INTEGER NOT NULL,
    at   TEXT NOT NULL,
    PRIMARY KEY (run, seq)
) STRICT, WITHOUT ROWID;

CREATE TABLE remark (
    lesson     TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    student    TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    engagement INTEGER NOT NULL,
    remark     TEXT NOT NULL,
    PRIMARY KEY (lesson, student)
) STRICT, WITHOUT ROWID;

-- The rungs a student has stood on, stroke by stroke; the newest counts.
CREATE TABLE standing (
    student TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    stroke  TEXT NOT NULL,
    at      TEXT NOT NULL,
    rung    TEXT NOT NULL,
    PRIMARY KEY (student, stroke, at)
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE standing;
DROP TABLE remark;
DROP TABLE tap;
DROP TABLE run;
DROP TABLE clock;
DROP TABLE lesson;
DROP TABLE drill;
DROP TABLE student;
DROP TABLE coach;
