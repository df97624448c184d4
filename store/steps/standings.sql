-- How far along its goal an attempt is stands beside it, and how many rallies were counted by their strokes. Balls of the
-- kind 5 are rallies: made is their strokes, of is 1 where they were stopped because they got too long.
ALTER TABLE attempt ADD COLUMN rallies INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN longest INTEGER NOT NULL DEFAULT 0;
ALTER TABLE attempt ADD COLUMN standing TEXT NOT NULL DEFAULT '{}';
