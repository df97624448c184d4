-- What was told of a student's goals at a measure when a lesson began, and what became of it; earlier lessons have none.

-- +goose Up
CREATE TABLE forecast (
    lesson  TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    block   TEXT NOT NULL,
    student TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    measure INTEGER NOT NULL,
    chance  REAL NOT NULL,
    tries   INTEGER NOT NULL,
    met     INTEGER, -- NULL: not known, or not finished yet
    PRIMARY KEY (lesson, block, student, measure)
) STRICT;

-- +goose Down
DROP TABLE forecast;
