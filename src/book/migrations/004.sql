-- Version 4: a recipe has stages before its last one, a last stage that may end by the clock, and a rest (JSON,
-- docs/formats.md). Older programs would cook the last stage only.
ALTER TABLE recipe ADD COLUMN stages_json TEXT NOT NULL DEFAULT '{}';
UPDATE book_info SET value = '4' WHERE key = 'min_reader';
