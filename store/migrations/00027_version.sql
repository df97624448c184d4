-- Which version of its drill an attempt was at, in words; it is not known of earlier ones.

-- +goose Up
ALTER TABLE attempt ADD COLUMN version TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE attempt DROP COLUMN version;
