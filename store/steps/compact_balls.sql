-- Balls are stored compactly: their runs have integer keys, and times are milliseconds since a run began. What all
-- balls of a student in one block amount to stands beside them, so that reading a lesson reads no balls.

-- What one student did on one drill in one block, from all devices, with what the drill stood for then: a drill that
-- is changed later does not change what was done. Instants are milliseconds since 1970.
CREATE TABLE attempt (
    key       INTEGER PRIMARY KEY,
    lesson    TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    block     TEXT NOT NULL,
    student   TEXT NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    drill     TEXT NOT NULL,
    name      TEXT NOT NULL,
    stroke    TEXT NOT NULL,
    rung      TEXT NOT NULL,
    goal      TEXT NOT NULL,
    aim       TEXT,
    at        INTEGER NOT NULL,
    -- The summary; see core/count/tally.Summary.
    made      INTEGER NOT NULL DEFAULT 0,
    balls     INTEGER NOT NULL DEFAULT 0,
    streak    INTEGER NOT NULL DEFAULT 0,
    best      INTEGER NOT NULL DEFAULT 0,
    at_least  INTEGER NOT NULL DEFAULT 0,
    "right"   INTEGER NOT NULL DEFAULT 0,
    wrong     INTEGER NOT NULL DEFAULT 0,
    taps      INTEGER NOT NULL DEFAULT 0,
    landed    INTEGER NOT NULL DEFAULT 0,
    last      INTEGER NOT NULL DEFAULT 0,
    zones     TEXT
) STRICT;

-- What one device counted of an attempt.
CREATE TABLE device_run (
    key     INTEGER PRIMARY KEY,
    id      TEXT NOT NULL UNIQUE,
    attempt INTEGER NOT NULL REFERENCES attempt (key) ON DELETE CASCADE,
    at      INTEGER NOT NULL
) STRICT;

CREATE TABLE zone (
    key    INTEGER PRIMARY KEY,
    bounds TEXT NOT NULL UNIQUE
) STRICT;

-- The key of a ball is that of its run × 131072 + its number on the device.
CREATE TABLE ball (
    key    INTEGER PRIMARY KEY,
    at     INTEGER NOT NULL, -- milliseconds since its run began
    kind   INTEGER NOT NULL, -- 0 made, 1 missed, 2 a turn, 3 played again, 4 undo
    choice INTEGER,          -- 0 right, 1 wrong
    made   INTEGER,          -- of a turn
    "of"   INTEGER,
    x      INTEGER,          -- where it landed, millimetres
    y      INTEGER,
    zone   INTEGER REFERENCES zone (key)
) STRICT;

INSERT INTO attempt (lesson, block, student, drill, name, stroke, rung, goal, aim, at)
SELECT lesson, block, student, drill, name, stroke, rung, goal, aim, CAST(round((julianday(at) - 2440587.5) * 86400000) AS INTEGER)
FROM run AS first
WHERE NOT EXISTS (
    SELECT 1 FROM run AS earlier
    WHERE earlier.lesson = first.lesson AND earlier.block = first.block AND earlier.student = first.student
        AND (earlier.at, earlier.id) < (first.at, first.id))
ORDER BY at, id;
CREATE UNIQUE INDEX attempt_counted ON attempt (lesson, block, student);
-- All that rates are estimated from, so that it is read without the attempts themselves.
CREATE INDEX attempt_practised ON attempt (student, at, drill, stroke, made, balls, "right", wrong);

INSERT INTO device_run (id, attempt, at)
SELECT run.id, attempt.key, CAST(round((julianday(run.at) - 2440587.5) * 86400000) AS INTEGER)
FROM run JOIN attempt USING (lesson, block, student)
ORDER BY run.at, run.id;
CREATE INDEX device_run_attempt ON device_run (attempt);

INSERT INTO zone (bounds) SELECT DISTINCT zone FROM tap WHERE zone IS NOT NULL;

INSERT INTO ball (key, at, kind, choice, made, "of", x, y, zone)
SELECT device_run.key * 131072 + tap.seq,
    CAST(round((julianday(tap.at) - 2440587.5) * 86400000) AS INTEGER) - device_run.at,
    CASE tap.kind WHEN 'made' THEN 0 WHEN 'missed' THEN 1 WHEN 'turn' THEN 2 WHEN 'played again' THEN 3 ELSE 4 END,
    CASE tap.choice WHEN 'right' THEN 0 WHEN 'wrong' THEN 1 END,
    CASE tap.kind WHEN 'turn' THEN tap.made END,
    CASE tap.kind WHEN 'turn' THEN tap."of" END,
    CAST(round(json_extract(tap.landing, '$.x') * 1000) AS INTEGER),
    CAST(round(json_extract(tap.landing, '$.y') * 1000) AS INTEGER),
    (SELECT key FROM zone WHERE bounds = tap.zone)
FROM tap JOIN device_run ON device_run.id = tap.run
ORDER BY device_run.key, tap.seq;

DROP TABLE tap;
DROP TABLE run;
ALTER TABLE device_run RENAME TO run;
CREATE TRIGGER run_gone AFTER DELETE ON run BEGIN
    DELETE FROM ball WHERE key BETWEEN old.key * 131072 AND old.key * 131072 + 131071;
END;
