-- A lesson as it was planned when it was begun, and what the coach says of it at its end.

-- +goose Up
ALTER TABLE clock ADD COLUMN planned TEXT; -- the document; null where that was not kept yet

CREATE TABLE closing (
    lesson   TEXT NOT NULL PRIMARY KEY REFERENCES lesson (id) ON DELETE CASCADE,
    document TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- +goose Down
DROP TABLE closing;
ALTER TABLE clock DROP COLUMN planned;
