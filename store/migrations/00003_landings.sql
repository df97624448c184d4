-- Where balls landed, and where they were aimed: places on the court, as JSON; null where nobody looked.
-- Whether they were the right choice: null where nobody marked it.

-- +goose Up
ALTER TABLE tap ADD COLUMN landing TEXT;
ALTER TABLE tap ADD COLUMN choice TEXT;
ALTER TABLE run ADD COLUMN aim TEXT;

-- +goose Down
ALTER TABLE run DROP COLUMN aim;
ALTER TABLE tap DROP COLUMN choice;
ALTER TABLE tap DROP COLUMN landing;
