-- Of a missed ball, made is now the kind of the miss: 0 net, 1 long, 2 wide.
-- What is counted is one measure of a drill, kept as it was then; the same measure stands once for all attempts at it.
CREATE TABLE measure (
    key      INTEGER PRIMARY KEY,
    document TEXT NOT NULL UNIQUE
) STRICT;
ALTER TABLE attempt ADD COLUMN number INTEGER NOT NULL DEFAULT 1; -- of the measure in its drill
ALTER TABLE attempt ADD COLUMN measure INTEGER REFERENCES measure (key);
ALTER TABLE attempt ADD COLUMN unit INTEGER NOT NULL DEFAULT 0; -- 0 balls and strokes, 1 points, 2 sequences, 3 repetitions, 4 tries on the clock

ALTER TABLE attempt ADD COLUMN net INTEGER NOT NULL DEFAULT 0; -- misses by their kind, where they were marked
ALTER TABLE attempt ADD COLUMN long INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN wide INTEGER NOT NULL DEFAULT 0;

DROP INDEX attempt_counted;
CREATE UNIQUE INDEX attempt_counted ON attempt (lesson, block, student, number);
DROP INDEX attempt_practised;
ALTER TABLE attempt DROP COLUMN points;
-- All that rates are estimated from, so that it is read without the attempts themselves.
CREATE INDEX attempt_practised ON attempt (student, at, drill, number, stroke, made, balls, "right", wrong, unit);
