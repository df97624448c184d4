-- A group changes places in many ways, and a lesson has its courts: lessons are documents of version 2.

-- +goose Up
UPDATE lesson
SET document = json_set(document,
    '$.version', 2,
    '$.space', json('{}'),
    '$.blocks', json((
        SELECT json_group_array(json(CASE
            WHEN json_array_length(block.value, '$.roles') > 0 THEN json_set(
                json_remove(block.value, '$.roles', '$.swap'),
                '$.rotation', json_object(
                    'kind', 'roles',
                    'every', json_extract(block.value, '$.swap'),
                    'spots', json((SELECT json_group_array(json_object('name', role.value)) FROM json_each(block.value, '$.roles') AS role))))
            ELSE json_remove(block.value, '$.roles', '$.swap')
        END))
        FROM json_each(lesson.document, '$.blocks') AS block)))
WHERE json_extract(document, '$.version') = 1;
