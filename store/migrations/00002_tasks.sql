-- A sequence holds tasks, not only balls: drills are documents of version 2.

-- +goose Up
UPDATE drill
SET document = json_set(
    json_remove(document, '$.pattern.balls'),
    '$.pattern.tasks', json(json_extract(document, '$.pattern.balls')),
    '$.version', 2)
WHERE json_extract(document, '$.version') = 1;
