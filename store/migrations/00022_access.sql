-- Which passphrase it is, as a number that only grows: clocks may be set back. Sessions of before are begun anew.

-- +goose Up
ALTER TABLE passphrase ADD COLUMN number INTEGER NOT NULL DEFAULT 1;

UPDATE session SET hash = 'network:' || hash; -- those of the machine are begun anew: their number is not that of the passphrase

-- +goose Down
ALTER TABLE passphrase DROP COLUMN number;
