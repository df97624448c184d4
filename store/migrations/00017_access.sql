-- Who is let in: the coach's passphrase as it is stored, devices that were paired, and sessions by the hash of their token.

-- +goose Up
CREATE TABLE passphrase (
    one   INTEGER NOT NULL PRIMARY KEY CHECK (one = 1),
    hash  TEXT NOT NULL,
    since TEXT NOT NULL
) STRICT;

CREATE TABLE device (
    id     TEXT NOT NULL PRIMARY KEY,
    name   TEXT NOT NULL,
    paired TEXT NOT NULL,
    seen   TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE session (
    hash    TEXT NOT NULL PRIMARY KEY,
    data    BLOB NOT NULL,
    expires TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE session;
DROP TABLE device;
DROP TABLE passphrase;
