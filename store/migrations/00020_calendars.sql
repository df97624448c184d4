-- What calendars of clubs and schools say of lessons to come, and addresses under which calendar programs read the coach's.

-- +goose Up
CREATE TABLE calendar (
    id      TEXT PRIMARY KEY,
    name    TEXT NOT NULL,
    address TEXT NOT NULL, -- where it is read; empty: from a file
    at      TEXT NOT NULL, -- when it was read last
    wrong   TEXT NOT NULL DEFAULT '' -- why it could not be read the last time
) STRICT;

CREATE TABLE booking (
    id        TEXT PRIMARY KEY,
    calendar  TEXT NOT NULL REFERENCES calendar (id) ON DELETE CASCADE,
    uid       TEXT NOT NULL,
    instance  TEXT NOT NULL,
    title     TEXT NOT NULL,
    date      TEXT NOT NULL,
    start     TEXT NOT NULL,
    minutes   INTEGER NOT NULL,
    cancelled INTEGER NOT NULL,
    students  TEXT NOT NULL, -- JSON
    lesson    TEXT REFERENCES lesson (id) ON DELETE SET NULL,
    ignored   INTEGER NOT NULL DEFAULT 0
) STRICT;
CREATE INDEX booking_date ON booking (date);
CREATE INDEX booking_calendar ON booking (calendar, uid);
CREATE INDEX booking_lesson ON booking (lesson);

CREATE TABLE feed (
    id    TEXT PRIMARY KEY,
    name  TEXT NOT NULL,
    names INTEGER NOT NULL, -- whether it says who comes
    hash  TEXT NOT NULL UNIQUE, -- of its secret
    at    TEXT NOT NULL
) STRICT;

-- +goose Down
DROP TABLE feed;
DROP TABLE booking;
DROP TABLE calendar;
