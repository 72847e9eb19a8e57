-- Version 3: a recipe's piece has a width, bone, fat cap, surface, seasonings, fat and a time out of the
-- refrigerator (JSON, docs/formats.md). Older programs would cook a slab instead. A book's own doneness
-- scales and its side in each school stand in book_info.
ALTER TABLE recipe ADD COLUMN piece_json TEXT NOT NULL DEFAULT '{}';
UPDATE book_info SET value = '3' WHERE key = 'min_reader';
