-- How far along its goal an attempt is stands beside it, and how many rallies were counted by their strokes. Balls of the
-- kind 5 are rallies: made is their strokes, of is 1 where they were stopped because they got too long. Those of the kind 6
-- are tries on the clock: made is milliseconds.
ALTER TABLE attempt ADD COLUMN rallies INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN longest INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN tries INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN fastest REAL NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN points INTEGER NOT NULL DEFAULT 0; -- 1 where made and missed are points won and lost
ALTER TABLE attempt ADD COLUMN outcome INTEGER NOT NULL DEFAULT 0; -- 0 open, 1 met, 2 perhaps met, 3 lost
ALTER TABLE attempt ADD COLUMN have INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN along TEXT NOT NULL DEFAULT '';

DROP INDEX attempt_practised;
-- All that rates are estimated from, so that it is read without the attempts themselves.
CREATE INDEX attempt_practised ON attempt (student, at, drill, stroke, made, balls, "right", wrong, points);
