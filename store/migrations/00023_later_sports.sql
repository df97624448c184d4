-- From here on a file may hold documents of sports that came later: a program that does not know them refuses the file in words.

-- +goose Up
SELECT 1;

-- +goose Down
SELECT 1;
