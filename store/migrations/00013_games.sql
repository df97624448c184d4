-- Games with their rules, and games that were played with their events.

-- +goose Up
CREATE TABLE game (
    id       TEXT PRIMARY KEY,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL
) STRICT;

CREATE TABLE played (
    id       TEXT PRIMARY KEY,
    revision INTEGER NOT NULL,
    archived INTEGER NOT NULL DEFAULT 0,
    document TEXT NOT NULL,
    date     TEXT GENERATED ALWAYS AS (json_extract(document, '$.date')) VIRTUAL
) STRICT;
CREATE INDEX played_date ON played (date);

-- +goose Down
DROP TABLE played;
DROP TABLE game;
