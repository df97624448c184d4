-- Zones in which balls landed, as JSON; null where nobody looked, or where the place itself was noted.

-- +goose Up
ALTER TABLE tap ADD COLUMN zone TEXT;

-- +goose Down
ALTER TABLE tap DROP COLUMN zone;
