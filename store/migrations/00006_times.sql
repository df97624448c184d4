-- Instants beyond the year 9999 were written so that they could not be read again: they are put at the end of
-- that year, and what was counted is kept.

-- +goose Up
UPDATE tap SET at = '9999-12-31T23:59:59.999Z' WHERE length(at) <> 24;
UPDATE run SET at = '9999-12-31T23:59:59.999Z' WHERE length(at) <> 24;
UPDATE clock SET anchor = '9999-12-31T23:59:59.999Z' WHERE length(anchor) <> 24;
UPDATE standing SET at = '9999-12-31T23:59:59.999Z' WHERE length(at) <> 24;
