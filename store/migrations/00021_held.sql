-- For how many seconds a lesson under way stood still.

-- +goose Up
ALTER TABLE clock ADD COLUMN held REAL NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE clock DROP COLUMN held;
