-- What is thought of somebody rests on the kinds of their misses too: they are read from the same index.

-- +goose Up
DROP INDEX attempt_practised;
CREATE INDEX attempt_practised ON attempt (student, at, drill, number, stroke, made, balls, "right", wrong, unit, net, long, wide);

-- +goose Down
DROP INDEX attempt_practised;
CREATE INDEX attempt_practised ON attempt (student, at, drill, number, stroke, made, balls, "right", wrong, unit);
