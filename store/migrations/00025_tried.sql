-- How hard an attempt was for the level of its student, as the model judges one try of it: what core/drill/playerfit.Tried
-- is. It stands under a number of the model and of the player, and is worked out anew when that is another one.

-- +goose Up
CREATE TABLE tried (
    attempt INTEGER PRIMARY KEY REFERENCES attempt (key) ON DELETE CASCADE,
    number  INTEGER NOT NULL,
    stroke  TEXT NOT NULL DEFAULT '',
    points  INTEGER NOT NULL DEFAULT 0,
    whole   INTEGER NOT NULL DEFAULT 0, -- all its balls are one try
    balls   TEXT                        -- the log-odds of each; NULL: it cannot be known
) STRICT;
DROP INDEX attempt_practised;
CREATE INDEX attempt_practised ON attempt (student, at, drill, number, lesson, made, balls, "right", wrong, unit, net, long, wide);

-- +goose Down
DROP INDEX attempt_practised;
CREATE INDEX attempt_practised ON attempt (student, at, drill, number, stroke, made, balls, "right", wrong, unit, net, long, wide);
DROP TABLE tried;
