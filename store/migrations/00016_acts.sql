-- What was done with a lesson under way, beside its counts: once each, with the reason where one was given.

-- +goose Up
CREATE TABLE act (
    id     TEXT NOT NULL PRIMARY KEY,
    lesson TEXT NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    at     TEXT NOT NULL,
    act    TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE INDEX act_of_lesson ON act (lesson, at);

-- +goose Down
DROP TABLE act;
