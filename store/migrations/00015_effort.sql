-- How hard a lesson felt, beside how engaged somebody was.

-- +goose Up
ALTER TABLE remark ADD COLUMN effort INTEGER;

-- +goose Down
ALTER TABLE remark DROP COLUMN effort;
