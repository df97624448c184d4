-- Faults that were seen courtside, one tap each; and how often in each attempt, beside its balls.

-- +goose Up
CREATE TABLE fault (
    key  INTEGER PRIMARY KEY,
    text TEXT NOT NULL UNIQUE
) STRICT;

CREATE TABLE faulted (
    attempt INTEGER NOT NULL REFERENCES attempt (key) ON DELETE CASCADE,
    fault   INTEGER NOT NULL REFERENCES fault (key),
    times   INTEGER NOT NULL,
    PRIMARY KEY (attempt, fault)
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE faulted;
DROP TABLE fault;
